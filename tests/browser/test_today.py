"""Today's list and the bag labels, on the screen and on paper."""

from __future__ import annotations

from playwright.sync_api import expect

from tests.browser.support import BrowserCase
from tests.saturday import saturday_kitchen


class OnPaper(BrowserCase):
    """The demo kitchen's week."""

    filled = staticmethod(saturday_kitchen)

    def test_from_the_counter_to_paper_by_keyboard(self) -> None:
        """The link is on the Counter; paper shows dark ink, the steps and the labels, and nothing to press."""
        page = self.open("/", theme="evening")
        page.get_by_role("link", name="Today’s list and bag labels").press("Enter")
        page.get_by_role("radio", name="the next 24 hours").press("ArrowRight")
        expect(page.get_by_role("listitem").filter(has_text="Saturday legs: On the table.")).to_be_visible()
        label = page.get_by_role("listitem").filter(has_text="The used mix is not a sauce.").first
        expect(label).to_contain_text("not after")
        page.emulate_media(media="print")
        expect(page.get_by_role("navigation")).to_be_hidden()
        expect(page.get_by_role("button", name="Print list and labels")).to_be_hidden()
        expect(label).to_be_visible()
        expect(page.get_by_role("heading", name="on the bags")).to_be_visible()
        self.assertEqual(label.evaluate("e => getComputedStyle(e).color"), "rgb(0, 0, 0)")
