"""Cut in the real interface: every answer redraws the section, every edit can be undone."""

from __future__ import annotations

import re
import unittest

from playwright.sync_api import Page, expect

from tests.browser.keyboard import answer, tab_to
from tests.browser.support import BrowserCase, Held
from tests.saturday import saturday_kitchen
from vadouvan.core.cut.kind import CutKind
from vadouvan.data.tables import shipped_kitchen


class CutByKeyboard(BrowserCase):
    """A chicken leg and lamb cubes of the demo kitchen."""

    filled = staticmethod(saturday_kitchen)

    def open_cut(self, name: str) -> Page:
        """The Cut stage of a demo batch."""
        page = self.open("/")
        page.get_by_role("link", name=re.compile(name)).click()
        page.get_by_role("link", name=re.compile("^Cut")).click()
        expect(page.get_by_role("combobox", name="What is it?")).to_be_visible()
        return page

    def test_answers_redraw_the_section(self) -> None:
        """Bone, skin, scores and thickness show in the section as they are said, by keyboard."""
        page = self.open_cut("Saturday legs")
        section = page.get_by_role("img", name=re.compile("^Section to scale"))
        expect(section).to_have_accessible_name("Section to scale, 45 mm thick, bone in the middle, scored")
        self.choose(page, "What lies over it?", "skin")
        expect(section).to_have_accessible_name(re.compile("skin all round"))
        self.choose(page, "Bone?", "along one face")
        expect(section).to_have_accessible_name(re.compile("bone along one face"))
        tab_to(page, page.get_by_role("textbox", name="How thick at the thickest?"))
        page.keyboard.press("Control+A")
        page.keyboard.type("38 mm")
        expect(section).to_have_accessible_name(re.compile("38 mm thick"))

    @staticmethod
    def choose(page: Page, question: str, option: str) -> None:
        """Open a list by keyboard, walk to an option, take it."""
        page.evaluate("document.activeElement.blur()")
        tab_to(page, page.get_by_role("button", name=question))
        page.keyboard.press("Space")
        expect(page.get_by_role("listbox")).to_be_visible()
        names = [name.strip() for name in page.get_by_role("option").all_inner_texts()]
        page.keyboard.press("Home")
        for _ in range(names.index(option)):
            page.keyboard.press("ArrowDown")
        page.keyboard.press("Enter")
        expect(page.get_by_role("listbox")).to_have_count(0)

    def test_steps_say_what_they_do_and_what_to_mind(self) -> None:
        """A rinse tells its water and its caution; a score too deep is refused and stays."""
        page = self.open_cut("Slip skewers")
        page.get_by_role("button", name="Add a step").press("Enter")
        page.get_by_role("menuitem", name="Rinsed with water").press("Enter")
        expect(page.get_by_text(re.compile("g of water stays on it"))).to_be_visible()
        expect(page.get_by_text(re.compile("Rinsing splashes bacteria about"))).to_be_visible()
        page.get_by_role("button", name="Add a step").press("Enter")
        page.get_by_role("menuitem", name="Scored").press("Enter")
        depth = page.get_by_role("textbox", name="Scored: depth")
        depth.fill("40 mm")
        expect(page.get_by_text(re.compile("would go right through a piece 30 mm thick"))).to_be_visible()
        expect(depth).to_have_value("40 mm")
        page.get_by_role("button", name="Take out Scored").press("Enter")
        expect(page.get_by_text(re.compile("would go right through"))).to_have_count(0)
        page.get_by_role("button", name="Take out Rinsed with water").press("Enter")
        expect(page.get_by_text(re.compile("Rinsing splashes"))).to_have_count(0)
        expect(page.get_by_text("All kept")).to_be_visible()

    def test_undo_and_redo_across_the_batch(self) -> None:
        """A changed weight and a new ingredient are taken back one after the other, and one again."""
        page = self.open_cut("Harbour tofu")
        weight = page.get_by_role("textbox", name="How heavy?")
        weight.fill("1 kg")
        expect(page.get_by_text("All kept")).to_be_visible()
        page.get_by_role("link", name=re.compile("^Mix")).click()
        page.get_by_role("textbox", name="Add an ingredient").fill("7 g honey")
        page.keyboard.press("Enter")
        expect(page.get_by_text("All kept")).to_be_visible()
        page.evaluate("document.activeElement.blur()")
        page.keyboard.press("u")
        expect(page.get_by_role("textbox", name="What you wrote: 7 g honey")).to_have_count(0)
        page.keyboard.press("u")
        page.keyboard.press("c")
        expect(weight).to_have_value("800 g")
        page.get_by_role("button", name="Redo").click()
        expect(weight).to_have_value("1 kg")

    def test_units_turn_with_nothing_retyped(self) -> None:
        """Inches and pounds are told; what was typed stays."""
        page = self.open_cut("Slip skewers")
        page.get_by_role("button", name="in inches and pounds").click()
        expect(page.get_by_text("that is 3 lb 15 oz")).to_be_visible()
        expect(page.get_by_role("textbox", name="How heavy?")).to_have_value("1.8 kg")
        page.reload()
        expect(page.get_by_text("that is 3 lb 15 oz")).to_be_visible()
        page.get_by_role("button", name="in mm and grams").click()
        expect(page.get_by_text("that is 3 lb 15 oz")).to_have_count(0)

    def test_another_cube_is_taken_from_the_strip(self) -> None:
        """20 mm cubes: the edge is written, the time is shorter."""
        page = self.open_cut("Slip skewers")
        page.get_by_role("button", name=re.compile("^Cubes of 20 mm")).press("Enter")
        expect(page.get_by_role("textbox", name="Edge of a cube?")).to_have_value("20 mm")
        expect(page.get_by_role("img", name=re.compile("20 mm thick"))).to_be_visible()
        page.get_by_role("button", name="Undo").click()
        expect(page.get_by_role("textbox", name="Edge of a cube?")).to_have_value("30 mm")

    def test_an_own_cut_is_kept_and_offered(self) -> None:
        """It needs a name, and is then in the list."""
        page = self.open_cut("Crown for Sunday")
        page.get_by_role("button", name="Keep as my own cut").click()
        page.get_by_role("button", name="Keep this cut").click()
        expect(page.get_by_role("alert")).to_contain_text("needs a name")
        page.get_by_label("Its name").fill("Slipway crown")
        page.get_by_role("button", name="Keep this cut").click()
        expect(page.get_by_text("Kept as turkey, Slipway crown.")).to_be_visible()
        kind = page.get_by_role("combobox", name="What is it?")
        kind.fill("slipway")
        expect(page.get_by_role("option", name="turkey, Slipway crown")).to_be_visible()

    def test_words_that_name_no_cut_stay_and_are_asked_about(self) -> None:
        """Left without a pick they stay as typed, kept, with what may be meant; Escape takes them back."""
        page = self.open_cut("Quick flank")
        kind = page.get_by_role("combobox", name="What is it?")
        expect(kind).not_to_have_value("")
        before = kind.input_value()
        kind.fill("half a moon")
        kind.press("Escape")
        expect(kind).to_have_value(before)
        kind.fill("half a moon")
        page.get_by_role("textbox", name="How heavy?").click()
        expect(page.get_by_text('There is no cut "half a moon" in the list.')).to_be_visible()
        expect(kind).to_have_value("half a moon")
        expect(page.get_by_text("All kept")).to_be_visible()
        page.reload()
        expect(kind).to_have_value("half a moon")
        kind.fill("chops")
        page.get_by_role("textbox", name="How heavy?").click()
        page.get_by_role("group", name="What may be meant").get_by_role("button", name="veal, rib or loin chop").click()
        expect(kind).to_have_value("veal, rib or loin chop")
        expect(page.get_by_role("img", name=re.compile("^Section to scale"))).to_be_visible()

    def test_for_how_many(self) -> None:
        """Servings give the weight to buy, and whether the board has enough."""
        page = self.open_cut("Quick flank")
        answer(page, "For how many?", "9")
        expect(page.get_by_text(re.compile("enough for 6 of 9; 1.44 kg needed"))).to_be_visible()


class EveryCut(BrowserCase):
    """The cuts of the table."""

    def test_cuts_of_every_make_open_with_a_section(self) -> None:
        """One of each shape, bone and cover, chosen in the list one after the other, is drawn with all three named."""
        page = self.open("/")
        page.keyboard.press("n")
        kind = page.get_by_role("combobox", name="What is it?")
        expect(kind).to_be_visible()
        section = page.get_by_role("img", name=re.compile("^Section to scale"))
        for cut in {(one.shape, one.bone, one.cover): one for one in shipped_kitchen().cuts.values()}.values():
            with self.subTest(cut=cut.id):
                kind.fill(cut.name)
                page.get_by_role("option", name=cut.name, exact=True).first.click()
                expect(section).to_have_accessible_name(self.expected(cut))

    def test_nothing_is_typed_before_the_list_has_come(self) -> None:
        """Until then the other questions can be answered; where it does not come at all, words are kept as typed."""
        page = self.open("/")
        held = Held(page, "**/api/tables")
        page.keyboard.press("n")
        expect(page.get_by_text("Looking them up")).to_be_visible()
        kind = page.get_by_role("combobox", name="What is it?")
        expect(kind).to_have_count(0)
        page.get_by_role("textbox", name="How heavy?").fill("900 g")
        held.let_go()
        kind.focus()
        page.keyboard.type("lamb cubes")
        page.keyboard.press("Enter")
        expect(kind).to_have_value("lamb, shoulder or leg cubes (skewers)")
        expect(page.get_by_role("textbox", name="How heavy?")).to_have_value("900 g")
        expect(page.get_by_text("All kept")).to_be_visible()
        page.unroute_all()
        page.route("**/api/tables", lambda route: route.abort())
        page.reload()
        kind.fill("pork tenderloin")
        page.get_by_role("textbox", name="How heavy?").click()
        expect(page.get_by_text('There is no cut "pork tenderloin" in the list.')).to_be_visible()
        expect(kind).to_have_value("pork tenderloin")

    @staticmethod
    def expected(cut: CutKind) -> re.Pattern[str]:
        """What the section of a cut has to say."""
        thick = f"{cut.thickness_m * 1000:.0f} mm thick"
        bone = {"face": ".*bone along one face", "ribs": ".*ribs on one side", "core": ".*bone in the middle"}.get(
            cut.bone, ""
        )
        cover = f".*{cut.cover}" if cut.cover != "none" else ""
        return re.compile(f"{thick}{bone}{cover}")


if __name__ == "__main__":
    unittest.main()
