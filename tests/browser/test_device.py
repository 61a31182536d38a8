"""A browser that keeps nothing, or has no room left, and a page that breaks: nothing ends in an empty screen."""

from __future__ import annotations

import unittest

from playwright.sync_api import Page, Route, expect

from tests.browser.support import BrowserCase
from tests.saturday import saturday_kitchen

FORBIDDEN = """Object.defineProperty(window, 'localStorage', {
    get() { throw new DOMException('The operation is insecure.', 'SecurityError') } })"""
FULL = """Storage.prototype.setItem = () => { throw new DOMException('No room.', 'QuotaExceededError') }"""


class Device(BrowserCase):
    """The Saturday kitchen on a device that will not keep."""

    filled = staticmethod(saturday_kitchen)

    def at_a_batch(self, script: str) -> Page:
        """Its first batch, on a device with such a storage."""
        batch = self.ask("/api/batches")[0]
        page = self.open("/")
        page.add_init_script(script)
        page.goto(f"{self.kitchen.address}/batch/{batch['id']}/mix")
        self.traffic.settle()
        return page

    def test_storage_that_is_forbidden_or_full(self) -> None:
        """The page opens, what is typed reaches the kitchen, and it is told that the browser keeps nothing."""
        for script, name in ((FORBIDDEN, "Forbidden"), (FULL, "Full")):
            with self.subTest(name):
                page = self.at_a_batch(script)
                page.get_by_role("textbox", name="Name of the dish").fill(name)
                expect(page.get_by_text("This browser keeps nothing")).to_be_visible()
                self.traffic.settle()
                expect(page.get_by_text("All kept")).to_be_visible()
                self.assertEqual(self.ask("/api/batches")[0]["draft"]["name"], name)
                page.close()

    def test_a_fault_of_the_page_leaves_a_way_on(self) -> None:
        """An answer that the page cannot draw: it says so, and the Counter is one press away."""
        page = self.open("/")

        def nonsense(route: Route) -> None:
            route.fulfill(json={"entries": [None], "total": 1})

        page.route("**/api/logbook**", nonsense)
        page.get_by_role("link", name="Logbook").click()
        expect(page.get_by_role("heading", name="This page broke")).to_be_visible()
        page.get_by_role("link", name="To the Counter").click()
        expect(page.get_by_role("heading", name="what needs hands next")).to_be_visible()


if __name__ == "__main__":
    unittest.main()
