"""A low laptop and a phone: the work stays above the foot, and the rail is a strip that opens."""

from __future__ import annotations

import re

from playwright.sync_api import Locator, Page, ViewportSize, expect

from tests.browser.support import PHONE, BrowserCase
from tests.saturday import saturday_kitchen

LOW, SMALLEST = ViewportSize(width=1024, height=600), ViewportSize(width=320, height=568)
LINES_IN_SIGHT = 3


class LowScreens(BrowserCase):
    """The demo kitchen at 1024x600 and on a phone."""

    filled = staticmethod(saturday_kitchen)

    def on(self, size: ViewportSize) -> Page:
        """A page on a screen of that size, gone with the test."""
        return self.another_context(viewport=size).new_page()

    def opened(self, stage: str, size: ViewportSize) -> Page:
        """A stage of the dish for Saturday on a screen of that size."""
        batch = next(one for one in self.ask("/api/batches") if one["draft"]["name"] == "Saturday legs")
        page = self.on(size)
        page.goto(f"{self.kitchen.address}/batch/{batch['id']}/{stage}")
        expect(page.locator("[data-opening]")).to_have_count(0)
        return page

    def expect_in_sight(self, page: Page, one: Locator) -> None:
        """Whole, and above the foot, without scrolling."""
        expect(one).to_be_visible()
        box, foot = one.bounding_box(), page.locator("footer").bounding_box()
        assert box is not None
        assert foot is not None
        self.assertLessEqual(box["y"] + box["height"], foot["y"] + 0.5)

    def test_mix_on_a_low_laptop(self) -> None:
        """Some lines and the entry line are in sight, their names too, and the header is one row."""
        page = self.opened("mix", LOW)
        self.expect_in_sight(page, page.get_by_role("textbox", name="Add an ingredient"))
        ledger = page.locator("ol").filter(has=page.get_by_label(re.compile("^What you wrote"))).first
        within = ledger.bounding_box()
        assert within is not None
        rows = [row.bounding_box() for row in ledger.get_by_role("listitem").all()]
        whole = [row for row in rows if row and row["y"] + row["height"] <= within["y"] + within["height"] + 1]
        self.assertGreaterEqual(len(whole), LINES_IN_SIGHT)
        name = ledger.get_by_text("Lemon juice, fresh").bounding_box()
        assert name is not None
        self.assertGreater(name["width"], 60)
        header = page.locator("header").bounding_box()
        assert header is not None
        self.assertLess(header["height"], 90)

    def expect_beside(self, opener: Locator, panel: Locator, size: ViewportSize) -> None:
        """Right under what opened it, or right over it, and whole on the screen."""
        expect(panel).to_be_visible()
        # Both in one look: the page may still move between two.
        box, by = panel.evaluate(
            "(panel, opener) => [panel, opener].map((one) => one.getBoundingClientRect().toJSON())",
            opener.element_handle(),
        )
        under, over = box["y"] - (by["y"] + by["height"]), by["y"] - (box["y"] + box["height"])
        self.assertTrue(0 <= under <= 12 or 0 <= over <= 12, (box, by))
        self.assertTrue(box["x"] < by["x"] + by["width"] and by["x"] < box["x"] + box["width"], (box, by))
        for begins, length, room in ((box["x"], box["width"], "width"), (box["y"], box["height"], "height")):
            self.assertTrue(begins >= 0 and begins + length <= size[room], (box, size))  # type: ignore[literal-required]

    def test_what_opens_lies_beside_what_opened_it(self) -> None:
        """Lists, menus and workings, on a low laptop and on phones."""
        for size in (LOW, PHONE, SMALLEST):
            for stage, role, name, panel in (
                ("cut", "combobox", "What is it?", "[role=listbox]"),
                ("cut", "button", "What lies over it?", "[role=listbox]"),
                ("cut", "button", "Add a step", "[role=menu]"),
                ("mix", "button", "What to do with 600 g yoghurt", "[role=menu]"),
                ("mix", "button", "Yoghurt, plain whole-milk: 600 g. How it was worked out", "[popover]:popover-open"),
            ):
                with self.subTest(f"{size['width']}: {name}"):
                    page = self.opened(stage, size)
                    opener = page.get_by_role(role, name=name).first  # type: ignore[arg-type]
                    opener.click()
                    self.expect_beside(opener, page.locator(panel), size)
                    page.keyboard.press("Escape")
                    expect(page.locator(panel)).to_have_count(0)
                    page.close()

    def test_a_dialog_is_left_by_what_lies_beside_it(self) -> None:
        """Not by its own bar to scroll by."""
        page = self.on(SMALLEST)
        page.goto(f"{self.kitchen.address}/pantry")
        page.get_by_role("button", name="label").first.click()
        dialog = page.get_by_role("dialog")
        page.get_by_role("textbox", name="What you call it").fill("Shelf soy")
        box = dialog.bounding_box()
        assert box is not None
        page.mouse.click(box["x"] + box["width"] - 1, box["y"] + box["height"] / 2)
        expect(page.get_by_role("textbox", name="What you call it")).to_have_value("Shelf soy")
        page.mouse.click(box["x"] / 2, box["y"] + box["height"] / 2)
        expect(dialog).to_have_count(0)

    def test_weighing_where_there_is_little_room(self) -> None:
        """The figure and the button that says that it is in, on a low laptop and on the smallest phone."""
        page = self.opened("weigh", LOW)
        self.expect_in_sight(page, page.get_by_role("button", name="It is in"))
        self.expect_in_sight(page, page.get_by_text("g to go"))
        smallest = self.opened("weigh", SMALLEST)
        self.expect_in_sight(smallest, smallest.get_by_role("button", name="It is in"))

    def test_the_rail_is_a_strip_that_opens(self) -> None:
        """It says when, opens by a press, and stays as it was left."""
        page = self.opened("cut", PHONE)
        strip = page.get_by_role("button", name=re.compile("^in .*, out .*, meal"))
        rail = page.get_by_role("img", name=re.compile("^Saturday legs: in"))
        expect(strip).to_have_attribute("aria-expanded", "false")
        expect(rail).to_be_hidden()
        strip.press("Enter")
        expect(rail).to_be_visible()
        page.reload()
        expect(rail).to_be_visible()
        page.get_by_role("link", name="Counter").click()
        strip = page.locator("footer").get_by_role("button", name=re.compile("hide hours$"))
        expect(strip).to_have_attribute("aria-expanded", "true")
        strip.click()
        expect(page.locator("footer").get_by_role("img")).to_be_hidden()
