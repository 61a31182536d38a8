"""How soon a letter typed in the ledger moves the figures of the page, in a browser on the same machine."""

from __future__ import annotations

import statistics
import tempfile
from datetime import UTC, datetime
from pathlib import Path

from tests.browser.support import LAPTOP, KitchenOfItsOwn, the_browser

KEYS, APART_MS = 60, 700
WATCH = """() => {
    window.took = []
    const line = document.querySelector('input[aria-label^="What you wrote"]')
    const figure = [...document.querySelectorAll('main button')].find(one => one.ariaLabel?.startsWith('Mix made'))
    const made = () => figure.textContent
    let began = 0, before = ''
    line.addEventListener('input', () => { began = performance.now(); before = made() }, true)
    new MutationObserver(() => {
        if (began === 0 || made() === before) return
        window.took.push(performance.now() - began)
        began = 0
    }).observe(document.querySelector('main'), { subtree: true, childList: true, characterData: true })
    line.focus()
    line.setSelectionRange(3, 3)
}"""


def print_page_speed() -> None:
    """A digit of one amount taken out and put in again, with rests between."""
    with tempfile.TemporaryDirectory() as folder:
        at = datetime(2026, 11, 28, 9, tzinfo=UTC)
        kitchen = KitchenOfItsOwn(data_dir=Path(folder), demo=True, at=at)
        kitchen.start()
        page = the_browser().new_context(viewport=LAPTOP).new_page()
        page.goto(kitchen.address)
        page.get_by_role("link", name="Saturday legs").click()
        page.get_by_role("textbox", name="What you wrote: 600 g yoghurt").wait_for()
        page.evaluate(WATCH)
        for number in range(KEYS):
            page.keyboard.press("Backspace" if number % 2 == 0 else "0")
            page.wait_for_timeout(APART_MS)
        took = sorted(page.evaluate("window.took"))
        kitchen.kill()
    late = took[int(0.95 * len(took))]
    told = f"p50 {statistics.median(took):.0f} ms, p95 {late:.0f} ms"
    print(f"a letter in the ledger to moved figures: {told}, of {len(took)}")


if __name__ == "__main__":
    print_page_speed()
