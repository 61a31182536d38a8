"""Refresh docs/screenshots from the demo kitchen: ``make pictures``. Each is then looked at."""

from __future__ import annotations

import json
import tempfile
import urllib.request
from pathlib import Path
from typing import Literal

from playwright.sync_api import sync_playwright

from tests.browser.support import ARGUMENTS, LAPTOP, PHONE, ROOT, KitchenOfItsOwn, Traffic, chromium
from tests.drafts import NOW

# What is opened before the picture is taken: role and name, one after the other.
OPENED: dict[str, tuple[tuple[Literal["tab", "radio", "button", "option"], str], ...]] = {
    "plate": (("tab", "Plate"),),
    "beside": (("button", "beside it"), ("option", "its fruit heat-treated")),
    "plan": (("tab", "Plan"),),
    "today": (("radio", "the next seven days"),),
    "learn": (("button", "Acid or salt"), ("radio", "the salt, several times")),
}
VIEWS = {
    "counter": ("/", LAPTOP),
    "cut": ("/batch/{Slip skewers}/cut", LAPTOP),
    "mix": ("/batch/{Saturday legs}/mix", LAPTOP),
    "plate": ("/batch/{Saturday legs}/mix", LAPTOP),
    "hold": ("/batch/{Saturday legs}/hold", LAPTOP),
    "beside": ("/batch/{Quick flank}/hold", LAPTOP),
    "plan": ("/batch/{Saturday legs}/hold", LAPTOP),
    "weigh": ("/batch/{Quick flank}/weigh", LAPTOP),
    "fire": ("/batch/{Saturday legs}/fire", LAPTOP),
    "today": ("/today", LAPTOP),
    "verdict": ("/batch/{Sherry-vinegar quail}/taste", LAPTOP),
    "logbook": ("/logbook", LAPTOP),
    "learn": ("/learn", LAPTOP),
    "cautions": ("/cautions", LAPTOP),
    "settings": ("/settings", LAPTOP),
    "data": ("/settings/data", LAPTOP),
    "pantry": ("/pantry", LAPTOP),
    "phone-weigh": ("/batch/{Quick flank}/weigh", PHONE),
    "phone": ("/batch/{Saturday legs}/mix", PHONE),
}


def main() -> None:
    """Take one picture of each view."""
    with tempfile.TemporaryDirectory() as folder, sync_playwright() as playwright:
        kitchen = KitchenOfItsOwn(demo=True, data_dir=Path(folder))
        kitchen.start()
        with urllib.request.urlopen(f"{kitchen.address}/api/batches") as answer:
            ids = {batch["draft"]["name"]: batch["id"] for batch in json.load(answer)}
        with urllib.request.urlopen(f"{kitchen.address}/api/logbook") as answer:
            ids |= {entry["name"]: entry["id"] for entry in json.load(answer)["entries"]}
        browser = playwright.chromium.launch(executable_path=chromium(), args=ARGUMENTS)
        for name, (path, size) in VIEWS.items():
            page = browser.new_page(viewport=size, timezone_id="Europe/Lisbon", locale="en-GB")
            page.add_init_script("localStorage.setItem('vadouvan.theme', 'light')")
            page.context.clock.set_fixed_time(NOW)
            traffic = Traffic(page)
            page.goto(kitchen.address + path.format_map(ids))
            traffic.settle()
            page.get_by_text("Looking at the", exact=False).first.wait_for(state="hidden")
            for role, title in OPENED.get(name, ()):
                page.get_by_role(role, name=title).first.click()
                traffic.settle()
            page.screenshot(path=ROOT / "docs" / "screenshots" / f"{name}.png")
        browser.close()
        kitchen.kill()


if __name__ == "__main__":
    main()
