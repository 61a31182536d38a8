"""Hold in the real interface: time dragged, another hold beside it, vessels, lessons."""

from __future__ import annotations

import re

from playwright.sync_api import Page, expect

from tests.browser.keyboard import tab_to
from tests.browser.support import BrowserCase


class HoldByKeyboard(BrowserCase):
    """The demo kitchen, no mouse."""

    demo = True

    def hold_of(self, name: str) -> Page:
        """The hold of a demo batch."""
        page = self.open("/")
        page.get_by_role("link", name=re.compile(name)).click()
        expect(page.get_by_role("textbox", name="Add an ingredient")).to_be_visible()
        page.evaluate("document.activeElement.blur()")
        page.keyboard.press("h")
        expect(page.get_by_role("slider", name="Hour to look at")).to_be_visible()
        return page

    def test_time_is_dragged_and_two_sections_compared(self) -> None:
        """Arrow keys move the hour; the other hold follows; only the differences are said."""
        page = self.hold_of("Quick flank")
        slider = page.get_by_role("slider", name="Hour to look at")
        before = slider.get_attribute("aria-valuetext") or ""
        tab_to(page, slider)
        for _ in range(8):
            page.keyboard.press("ArrowLeft")
        expect(slider).not_to_have_attribute("aria-valuetext", before)
        earlier = slider.get_attribute("aria-valuetext") or ""
        expect(page.get_by_text(earlier, exact=True)).to_be_visible()
        page.keyboard.press("Shift+Tab")
        page.keyboard.press("Space")
        page.keyboard.type("its fruit")
        page.keyboard.press("Enter")
        differences = page.get_by_role("status", name="What is different")
        expect(differences).to_contain_text("no longer the kiwi turns the surface too soft")
        expect(page.get_by_role("img", name=re.compile("^Section to scale"))).to_have_count(2)
        said = differences.inner_text()
        tab_to(page, slider)
        page.keyboard.press("End")
        expect(differences).not_to_have_text(said)

    def test_another_thickness_is_asked_for_and_a_bad_one_told(self) -> None:
        """What is typed stays; what would do is said."""
        page = self.hold_of("Slip skewers")
        page.get_by_role("button", name=re.compile("^beside it")).click()
        page.get_by_role("option", name="another thickness or cube").click()
        field = page.get_by_role("textbox", name="How thick")
        field.fill("a thumb")
        expect(page.get_by_role("alert")).to_contain_text("could not be read")
        expect(field).to_have_value("a thumb")
        field.fill("15 mm")
        expect(page.get_by_role("img", name="Section to scale, 15 mm thick")).to_be_visible()
        expect(page.get_by_role("status", name="What is different")).to_contain_text("instead of")

    def test_acid_in_aluminium_stops_the_plan(self) -> None:
        """And glass lets it go on."""
        page = self.hold_of("Slip skewers")
        page.get_by_role("tab", name="Vessel").click()
        page.get_by_role("button", name=re.compile("^made of")).click()
        page.get_by_role("option", name="aluminium").click()
        expect(page.get_by_text(re.compile("Not planned. Acid takes up aluminium"))).to_be_visible()
        page.get_by_role("button", name=re.compile("^made of")).click()
        page.get_by_role("option", name="no metal").click()
        expect(page.get_by_text(re.compile("In .* out"))).to_be_visible()

    def test_a_lesson_is_guessed_first(self) -> None:
        """The answer comes after the guess, with both sections."""
        page = self.open("/")
        page.keyboard.press("l")
        expect(page.get_by_role("heading", name=re.compile("How much deeper"))).to_be_visible()
        expect(page.get_by_role("img", name=re.compile("^Section"))).to_have_count(0)
        tab_to(page, page.get_by_role("radio", name="no deeper"))
        page.keyboard.press("Space")
        expect(page.get_by_role("status")).to_contain_text("The model says: about a third to a half deeper")
        expect(page.get_by_role("img", name=re.compile("^Section"))).to_have_count(2)
