"""Every screen in both themes and sizes: axe finds nothing, nothing overflows sideways."""

from __future__ import annotations

import json
import tempfile
import urllib.request
from pathlib import Path
from typing import Any

from axe_playwright_python.sync_playwright import Axe
from playwright.sync_api import Page

from tests.browser.support import BrowserCase


class Screens(BrowserCase):
    """The demo kitchen."""

    demo = True

    def addresses(self) -> list[str]:
        """Counter, and each stage of a batch."""
        with urllib.request.urlopen(f"{self.kitchen.address}/api/batches") as answer:
            identity = json.load(answer)[0]["id"]
        return [
            "/",
            "/logbook",
            "/pantry",
            "/learn",
            "/settings",
            "/settings/household",
            "/settings/data",
            "/settings/device",
            "/cautions",
            "/today",
            *(f"/batch/{identity}/{stage}" for stage in ("cut", "mix", "hold", "weigh", "fire", "taste")),
        ]

    def test_axe_finds_nothing(self) -> None:
        """No accessibility finding of any weight."""
        for path in self.addresses():
            for theme, phone in (("light", False), ("evening", True)):  # colours by theme, layout by size
                with self.subTest(path=path, theme=theme, phone=phone):
                    page = self.open(path, phone=phone, theme=theme)
                    self.assert_clean(page, path)
                    page.close()

    def test_axe_finds_nothing_in_drawers_and_dialogs(self) -> None:
        """Mix and Hold drawer by drawer; the swaps of a line; a lesson answered; a label being entered."""
        mix = next(path for path in self.addresses() if path.endswith("/mix"))
        for theme in ("light", "evening"):
            page = self.open(mix, theme=theme)
            for name in ("Aims", "Taste", "Quantity", "Making"):
                page.get_by_role("tab", name=name).click()
                if name == "Taste":
                    page.get_by_role("radio", name="sour").click()
                    page.wait_for_load_state("networkidle")
                self.assert_clean(page, f"{name} {theme}")
            page.get_by_role("button", name="What to do with 600 g yoghurt").click()
            page.get_by_role("menuitem", name="Swap for something else").click()
            page.wait_for_load_state("networkidle")
            self.assert_clean(page, f"swap {theme}")
            page.close()
            page = self.open(mix.replace("/mix", "/hold"), theme=theme)
            for name in ("Answers", "Plan", "Vessel", "Curve"):
                page.get_by_role("tab", name=name).click()
                self.assert_clean(page, f"{name} {theme}")
            page.close()
            page = self.open("/learn", theme=theme)
            page.get_by_role("radio", name="twice as deep").click()
            page.wait_for_load_state("networkidle")
            self.assert_clean(page, f"learn {theme}")
            page.close()
            page = self.open("/pantry", theme=theme)
            page.get_by_role("button", name="Enter from a label").click()
            page.get_by_role("textbox", name="The label, line by line").fill("Salt 3 g")
            page.wait_for_load_state("networkidle")
            self.assert_clean(page, f"label {theme}")
            page.close()

    def test_axe_finds_nothing_at_the_counter(self) -> None:
        """Every phase of a weigh-in, on a laptop by day and on a phone in the evening; the fire with a probe in."""
        with urllib.request.urlopen(f"{self.kitchen.address}/api/batches") as answer:
            draft = json.load(answer)[1]["draft"]
        identity = self.ask("/api/batches", {**draft, "name": "Axe"})["id"]
        address = f"{self.kitchen.address}/api/batches/{identity}"
        self.addCleanup(lambda: urllib.request.urlopen(urllib.request.Request(address, method="DELETE")).close())
        lines = self.ask(f"/api/weigh/{identity}")["lines"]
        weighed = [{"kind": "weighed", "line_id": line["id"], "mass_g": line["target_g"] * 1.3} for line in lines]
        steps: list[tuple[str, list[dict[str, object]]]] = [
            ("taste", [{"kind": "skipped", "line_id": lines[0]["id"]}, *weighed]),
            ("set aside", [{"kind": "tasted", "words": "good"}]),
            ("contact", [{"kind": "set_aside", "mass_g": 10}]),
            ("in the mix", [{"kind": "contact", "mass_g": 1800, "celsius": 4}, {"kind": "fridge", "celsius": 5}]),
            ("out", [{"kind": "pulled"}, {"kind": "probe", "celsius": 20}, {"kind": "probe", "celsius": 30}]),
        ]
        number = 0
        for where, presses in steps:
            for press in presses:
                number = self.ask(f"/api/weigh/{identity}", {"after": number, **press})["number"]
            for phone, theme in ((False, "light"), (True, "evening")):
                page = self.open(f"/batch/{identity}/{'fire' if where == 'out' else 'weigh'}", phone=phone, theme=theme)
                self.assert_clean(page, f"{where} {theme}")
                page.close()

    def test_axe_finds_nothing_in_what_opens_over_settings_and_logbook(self) -> None:
        """An archive looked at, the questions before something is put back or removed; a dish made again."""
        with tempfile.TemporaryDirectory() as folder:
            archive = Path(folder) / "kitchen.zip"
            with urllib.request.urlopen(f"{self.kitchen.address}/api/kitchen/archive") as answer:
                archive.write_bytes(answer.read())
            for theme, phone in (("light", False), ("evening", True)):
                page = self.open("/settings/data", theme=theme, phone=phone)
                page.get_by_label("Archive of a kitchen").set_input_files(archive)
                page.get_by_text("Each thing in it").click()
                self.assert_clean(page, f"archive {theme}")
                page.get_by_role("button", name="Remove everything").click()
                self.assert_clean(page, f"remove {theme}")
                page.get_by_role("button", name="Keep it").click()
                page.get_by_label("Backup of a kitchen").set_input_files(archive)
                self.assert_clean(page, f"restore {theme}")
                page.get_by_role("button", name="Put it back").click()
                page.get_by_role("alert").wait_for()
                self.assert_clean(page, f"refused {theme}")
                page.goto(f"{self.kitchen.address}/logbook")
                page.get_by_role("button", name="Make it again").first.click()
                self.assert_clean(page, f"again {theme}")
                page.close()

    def ask(self, path: str, body: object = None) -> Any:
        """A request to the kitchen."""
        data = None if body is None else json.dumps(body).encode()
        request = urllib.request.Request(self.kitchen.address + path, data, {"Content-Type": "application/json"})
        with urllib.request.urlopen(request) as answer:
            return json.load(answer)

    def assert_clean(self, page: Page, where: str) -> None:
        """No finding of axe on a page as it stands."""
        found = Axe().run(page)
        told = [f"{v['id']}: {[n['html'][:120] for n in v['nodes'][:3]]}" for v in found.response["violations"]]
        with self.subTest(where=where):
            self.assertEqual(told, [])

    def test_nothing_overflows_sideways(self) -> None:
        """The page is no wider than the screen."""
        for path in self.addresses():
            for phone in (False, True):
                with self.subTest(path=path, phone=phone):
                    page = self.open(path, phone=phone)
                    spare = page.evaluate("document.documentElement.scrollWidth - innerWidth")
                    self.assertLessEqual(spare, 0)
                    page.close()

    def test_main_job_fits_a_laptop_without_scrolling(self) -> None:
        """At 1280x800 no screen of a batch needs the page to scroll."""
        for path in self.addresses():
            if path != "/" and not path.startswith("/batch/"):  # the Counter, and each stage of a batch
                continue
            with self.subTest(path=path):
                page = self.open(path)
                spare = page.evaluate("document.documentElement.scrollHeight - innerHeight")
                self.assertLessEqual(spare, 0)
                page.close()

    def test_targets_are_large_enough_for_wet_hands(self) -> None:
        """Every visible button and field of a stage is at least 44 px high, or is a figure in the text."""
        for path in self.addresses():
            with self.subTest(path=path):
                page = self.open(path, phone=True)
                small = page.evaluate(
                    """() => [...document.querySelectorAll('.act, .said, [role=radio], nav a, header button')]
                    .filter(e => e.offsetParent && e.getBoundingClientRect().height < 44)
                    .map(e => e.outerHTML.slice(0, 90))"""
                )
                self.assertEqual(small, [])
                page.close()
