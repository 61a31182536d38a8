"""Every screen in both themes and sizes: axe finds nothing, nothing overflows sideways."""

from __future__ import annotations

import json
import urllib.request

from axe_playwright_python.sync_playwright import Axe

from tests.browser.support import BrowserCase


class Screens(BrowserCase):
    """The demo kitchen."""

    demo = True

    def addresses(self) -> list[str]:
        """Counter, and each stage of a batch."""
        with urllib.request.urlopen(f"{self.kitchen.address}/api/batches") as answer:
            identity = json.load(answer)[0]["id"]
        return ["/", "/pantry", *(f"/batch/{identity}/{stage}" for stage in ("cut", "mix", "hold"))]

    def test_axe_finds_nothing(self) -> None:
        """No accessibility finding of any weight."""
        for path in self.addresses():
            for theme in ("light", "evening"):
                for phone in (False, True):
                    with self.subTest(path=path, theme=theme, phone=phone):
                        page = self.open(path, phone=phone, theme=theme)
                        found = Axe().run(page)
                        told = [
                            f"{v['id']}: {[n['html'][:120] for n in v['nodes'][:3]]}"
                            for v in found.response["violations"]
                        ]
                        self.assertEqual(told, [])
                        page.close()

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
            if path == "/pantry":  # a list: it scrolls
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
