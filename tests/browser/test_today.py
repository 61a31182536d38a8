"""Today's list and the bag labels, on the screen and on paper."""

from __future__ import annotations

from playwright.sync_api import expect

from tests.browser.support import BrowserCase
from tests.saturday import saturday_kitchen


class OnTheCounter(BrowserCase):
    """Batches in the order of the clock."""

    filled = staticmethod(saturday_kitchen)

    def test_what_wants_hands_stands_in_groups_with_the_time_left(self) -> None:
        """Each batch once, the groups in their order, the deed and the time that is left in each row."""
        page = self.open("/")
        batches = [one for one in self.ask("/api/batches") if one["judgement"]["plan"]]
        expect(page.get_by_role("heading", level=3).first).to_be_visible()
        told = page.get_by_role("heading", level=3).all_inner_texts()
        order = ["needs hands now", "later today", "another day", "without a plan"]
        self.assertEqual(told, [one for one in order if one in told])
        groups = {"now": "needs hands now", "today": "later today", "later": "another day"}
        for batch in batches:
            due = batch["judgement"]["plan"]["due"]
            row = page.get_by_role("region", name=groups[due["soon"]]).get_by_role("link", name=batch["draft"]["name"])
            expect(row).to_contain_text(due["deed"])
            expect(row).to_contain_text(due["left"])


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
