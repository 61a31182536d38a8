"""The mix worked out on the page: aims and locks, tasting, swaps, another size, a part kept clean."""

from __future__ import annotations

import re

from playwright.sync_api import Page, expect

from tests.browser.keyboard import answer, tab_to, tab_to_back
from tests.browser.support import BrowserCase
from tests.mixes import FIVE_SALTY
from tests.saturday import saturday_kitchen


def drawer(page: Page, name: str) -> None:
    """Open a drawer beside the ledger by its tab, with arrow keys."""
    selected = page.get_by_role("tab", selected=True)
    tab_to_back(page, selected) if page.evaluate("document.activeElement.role") != "tab" else None
    for _ in range(5):
        if page.get_by_role("tab", name=name, selected=True).count():
            return
        page.keyboard.press("ArrowRight")
    raise AssertionError(f"There is no drawer {name}")


class ByKeyboard(BrowserCase):
    """One batch through every way of changing a mix, without a mouse."""

    def test_aimed_corrected_swapped_scaled_set_aside(self) -> None:
        """Five salty things to a salt and an acid target, then all that can happen to a mix."""
        page = self.open("/")
        page.keyboard.press("n")
        self.describe(page)
        self.lock(page)
        self.aim(page)
        self.correct(page)
        self.swap(page)
        self.scale(page)
        self.set_aside(page)
        page.reload()
        expect(page.get_by_text("kept clean")).to_be_visible()

    def describe(self, page: Page) -> None:
        """A kilogram of steak, six lines."""
        kind = page.get_by_role("combobox", name="What is it?")
        expect(kind).to_be_visible()
        tab_to(page, kind)
        page.keyboard.type("beef, sirloin")
        page.keyboard.press("Enter")
        answer(page, "How heavy?", "1 kg")
        expect(page.get_by_role("status").filter(has_text="All kept")).to_be_attached()
        tab_to_back(page, page.get_by_role("link", name="Mix"))
        page.keyboard.press("Enter")
        tab_to(page, page.get_by_role("textbox", name="Add an ingredient"))
        for line in FIVE_SALTY:
            page.keyboard.insert_text(line)
            page.keyboard.press("Enter")
        expect(page.get_by_text(re.compile("g salt over")).first).to_be_visible()

    def lock(self, page: Page) -> None:
        """Soy sauce and mustard stay as they are."""
        for line in ("20 g mustard", "60 g soy sauce"):
            button = page.get_by_role("button", name=f"Fix this amount: {line}")
            tab_to_back(page, button)
            page.keyboard.press("Space")
            expect(button).to_have_attribute("aria-pressed", "true")

    def aim(self, page: Page) -> None:
        """12 g of salt and 3 g of acid for a kilogram."""
        tab_to(page, page.get_by_role("tab", name="Balance"))
        drawer(page, "Aims")
        answer(page, "Salt, g a kilogram", "12")
        answer(page, "Acid, g a kilogram", "3")
        tab_to(page, page.get_by_role("button", name="Work out the amounts"))
        page.keyboard.press("Enter")
        expect(page.get_by_text("salt 12 g/kg, as aimed")).to_be_visible()
        tab_to(page, page.get_by_role("button", name="Take these amounts"))
        page.keyboard.press("Enter")
        expect(page.get_by_text("salt as aimed").first).to_be_visible()
        expect(page.get_by_role("textbox", name="What you wrote: 60 g soy sauce")).to_be_visible()
        expect(page.get_by_role("textbox", name="What you wrote: 20 g mustard")).to_be_visible()
        expect(page.get_by_role("textbox", name="What you wrote: 10 g fish sauce")).to_have_count(0)

    def correct(self, page: Page) -> None:
        """A little too salty: water is added, and the mix grows by it."""
        tab_to_back(page, page.get_by_role("tab", name="Aims"))
        drawer(page, "Taste")
        tab_to(page, page.get_by_role("radio", name="salty"))
        page.keyboard.press("Space")
        add = page.get_by_role("button", name=re.compile(r"^Add .* water$"))
        expect(add).to_be_visible()
        tab_to(page, add)
        page.keyboard.press("Enter")
        expect(page.get_by_role("textbox", name=re.compile(r"What you wrote: [\d.]+ g water"))).to_be_visible()

    def swap(self, page: Page) -> None:
        """Soy sauce for something without soy, at equal salt."""
        more = page.get_by_role("button", name="What to do with 60 g soy sauce")
        tab_to_back(page, more)
        page.keyboard.press("Enter")
        expect(page.get_by_role("menuitem", name="Swap for something else")).to_be_visible()
        page.keyboard.press("Enter")
        dialog = page.get_by_role("dialog")
        expect(dialog).to_contain_text("Instead of 60 g soy sauce")
        tab_to(page, dialog.get_by_role("button", name=re.compile("^Without")))
        page.keyboard.press("Space")
        page.keyboard.type("soy")
        page.keyboard.press("Enter")
        expect(dialog.get_by_role("button", name=re.compile("tamari"))).to_have_count(0)
        take = dialog.get_by_role("button", name=re.compile(r"^Take .*fish sauce"))
        expect(take).to_be_visible()
        expect(dialog).to_contain_text("no gluten, no soy")
        tab_to(page, take)
        page.keyboard.press("Enter")
        expect(dialog).to_have_count(0)
        expect(page.get_by_role("textbox", name=re.compile("What you wrote: .* soy sauce"))).to_have_count(0)

    def scale(self, page: Page) -> None:
        """The same for 1.8 kg of lamb cubes: worked out anew."""
        tab_to(page, page.get_by_role("tab", name="Taste"))
        drawer(page, "Quantity")
        what = page.get_by_role("combobox", name="Of what")
        tab_to(page, what)
        page.keyboard.press("Control+A")
        page.keyboard.type("lamb cubes")
        page.keyboard.press("Enter")
        answer(page, "Weight", "1.8 kg")
        answer(page, "Thickness, or edge of a cube", "30 mm")
        tab_to(page, page.get_by_role("button", name="Work out for this size"))
        page.keyboard.press("Enter")
        expect(page.get_by_text(re.compile("Meat times 1.8, every amount times 1.8"))).to_be_visible()
        tab_to(page, page.get_by_role("button", name="Take these amounts"))
        page.keyboard.press("Enter")
        expect(page.get_by_role("link", name=re.compile("Cut 1.8 kg, 30 mm"))).to_be_visible()

    def set_aside(self, page: Page) -> None:
        """120 g clean for the baste, on top of what the cut needs."""
        tab_to_back(page, page.get_by_role("textbox", name="Set aside clean"))
        page.keyboard.type("120 g")
        answer(page, "What for", "the baste")
        expect(page.get_by_text("kept clean")).to_be_visible()
        expect(page.get_by_text(re.compile(r"\d+ % of the mix meets the meat"))).to_be_visible()
        tab_to_back(page, page.get_by_role("tab", name="Quantity"))
        drawer(page, "Making")
        expect(page.get_by_text("Pour 120 g off clean for the baste")).to_be_visible()


class Details(BrowserCase):
    """The demo kitchen, one thing at a time."""

    filled = staticmethod(saturday_kitchen)

    def mix_of(self, name: str) -> Page:
        """The mix of a demo batch."""
        page = self.open("/")
        page.get_by_role("link", name=re.compile(name)).click()
        expect(page.get_by_role("textbox", name="Add an ingredient")).to_be_visible()
        return page

    def test_from_paste_to_plate(self) -> None:
        """A pasted recipe with its glaze; a dip added; what each brings to a serving; removed, and taken back."""
        page = self.open("/")
        page.get_by_role("button", name="Paste an ingredient list").click()
        recipe = (
            "1.2 kg chicken thighs, boneless\n300 g yoghurt\n15 g salt\n\nFor the glaze:\n60 g honey\nsome magic dust"
        )
        page.get_by_label("One ingredient a line").fill(recipe)
        page.get_by_role("button", name="Start with this list").click()
        page.get_by_role("tab", name="Plate").click()
        glaze = page.get_by_role("region", name="glaze", exact=True)
        expect(glaze).to_contain_text("60 g Honey")
        expect(glaze).to_contain_text("60 g over the surface")
        page.get_by_role("button", name="Add a glaze, sauce, dip").click()
        dip = page.get_by_role("region", name="a mix", exact=True).or_(
            page.get_by_role("region", name="sauce", exact=True)
        )
        dip.get_by_label("one ingredient a line").fill("200 g yoghurt\n4 g salt\nsome magic dust")
        expect(dip).to_contain_text("has no amount")
        dip.get_by_role("textbox", name="Called").fill("mint dip")
        dip = page.get_by_role("region", name="mint dip", exact=True)
        expect(dip).to_contain_text("200 g Yoghurt")
        serving = page.get_by_role("region", name="A serving as eaten")
        expect(serving.get_by_role("row", name=re.compile("^mint dip"))).to_be_visible()
        serving.get_by_role("button", name=re.compile("^Salt of a serving")).click()
        expect(page.get_by_text("What of each part is eaten, over the servings.")).to_be_visible()
        page.keyboard.press("Escape")
        dip.get_by_role("button", name="Remove mint dip").click()
        expect(serving.get_by_role("row", name=re.compile("^mint dip"))).to_have_count(0)
        expect(page.get_by_text("All kept")).to_be_visible()
        page.get_by_role("button", name="Undo").click()
        expect(serving.get_by_role("row", name=re.compile("^mint dip"))).to_be_visible()

    def test_the_mark_of_a_span_asks_for_amounts(self) -> None:
        """Moved by keys and taken with Enter: acid goes there, salt stays; Escape leaves all as it was."""
        page = self.mix_of("Slip skewers")
        mark = page.get_by_role("slider", name="Acid wanted in the mix")
        before = mark.get_attribute("aria-valuenow")
        mark.focus()
        page.keyboard.press("PageUp")
        page.keyboard.press("Escape")
        expect(mark).to_have_attribute("aria-valuenow", before or "")
        page.keyboard.press("PageUp")
        expect(mark).to_have_attribute("aria-valuetext", re.compile("Enter works out the amounts"))
        with page.expect_response(lambda response: response.request.method == "PUT"):
            page.keyboard.press("Enter")
        expect(page.get_by_text(re.compile(r"acid [\d.]+ g/kg, as aimed"))).to_be_visible()
        expect(page.get_by_text("salt as aimed").first).to_be_visible()
        expect(page.get_by_role("textbox", name="What you wrote: juice of 2 lemons")).to_have_count(0)
        page.evaluate("document.activeElement.blur()")
        expect(page.get_by_role("button", name="Undo")).to_be_enabled()
        page.keyboard.press("u")
        expect(page.get_by_role("textbox", name="What you wrote: juice of 2 lemons")).to_be_visible()

    def test_dragging_does_the_same(self) -> None:
        """By pointer, along the rule."""
        page = self.mix_of("Harbour tofu")
        mark = page.get_by_role("slider", name="Sugar wanted in the mix")
        box = mark.bounding_box()
        assert box is not None
        page.mouse.move(box["x"] + box["width"] / 2, box["y"] + box["height"] / 2)
        page.mouse.down()
        page.mouse.move(box["x"] + 90, box["y"] + 8, steps=4)
        page.mouse.up()
        expect(page.get_by_text(re.compile(r"sugar [\d.]+ g/kg"))).to_be_visible()

    def test_make_enough(self) -> None:
        """One press brings the mix to what the cut needs."""
        page = self.mix_of("Quick flank")
        expect(page.get_by_text("covers thinly")).to_be_visible()
        page.get_by_role("button", name="make enough").click()
        expect(page.get_by_text("enough", exact=True)).to_be_visible()

    def test_two_mixes_pasted_as_one_are_asked_about(self) -> None:
        """One is taken; the other is left where it was; a dip comes along beside it."""
        page = self.mix_of("Quick flank")
        entry = page.get_by_role("textbox", name="Add an ingredient")
        entry.focus()
        text = "For the paste:\n5 g cumin\n2 g salt\nFor the marinade:\n20 g honey\n10 g soy sauce\n"
        text += "For the dip:\n100 g yoghurt"
        page.evaluate(
            """text => { const data = new DataTransfer(); data.setData('text', text);
            document.activeElement.dispatchEvent(new ClipboardEvent('paste',
              {clipboardData: data, bubbles: true, cancelable: true})) }""",
            text,
        )
        group = page.get_by_role("group", name="Which mix?")
        expect(group).to_contain_text("2 mixes")
        group.get_by_role("button", name="marinade (2 lines)").click()
        expect(page.get_by_role("textbox", name="What you wrote: 20 g honey")).to_be_visible()
        expect(page.get_by_role("textbox", name="What you wrote: 5 g cumin")).to_have_count(0)
        page.get_by_role("tab", name="Plate").click()
        expect(page.get_by_role("region", name="dip", exact=True)).to_contain_text("100 g Yoghurt")

    def test_one_of_two_mixes_begins_a_batch(self) -> None:
        """Under the name of the dish, with its meat; what is no line is told of the one that was chosen, too."""
        page = self.open("/")
        page.get_by_role("button", name="Paste an ingredient list").click()
        page.get_by_label("One ingredient a line").fill(
            "Harbour chops\n\n4 pork chops, 900 g\nFor the paste:\n5 g cumin\n9 g salt\nFor the marinade:\n20 g honey\n"
            "30 g soy sauce\n\nChill the chops for two hours."
        )
        page.get_by_role("button", name="Start with this list").click()
        page.get_by_role("group", name="Which mix?").get_by_role("button", name="marinade (2 lines)").click()
        expect(page.get_by_role("textbox", name="What you wrote: 20 g honey")).to_be_visible()
        expect(page.get_by_role("textbox", name="What you wrote: 5 g cumin")).to_have_count(0)
        expect(page.get_by_text("Left out: Chill the chops for two hours.")).to_be_visible()
        expect(page.get_by_text("Harbour chops").first).to_be_visible()

    def test_which_cut_is_asked_with_its_section(self) -> None:
        """A pasted list that says only "4 chops": one press says which, and the question goes."""
        page = self.open("/")
        page.get_by_role("button", name="Paste an ingredient list").click()
        page.get_by_label("One ingredient a line").fill("4 chops\n12 g salt\n40 g olive oil")
        page.get_by_role("button", name="Start with this list").click()
        asked = page.get_by_role("group", name="Which cut is 4 chops?")
        asked.get_by_role("button", name="lamb, loin or rib chop").click()
        expect(asked).to_have_count(0)
        expect(page.get_by_role("link", name="Cut")).to_contain_text("mm")

    def test_what_may_be_meant_is_one_press(self) -> None:
        """Typed where new lines are typed, and in a line that stands: each with its grams."""
        page = self.mix_of("Slip skewers")
        entry = page.get_by_role("textbox", name="Add an ingredient")
        entry.fill("garlic 1")
        page.get_by_role("button", name="1 clove garlic 4 g").click()
        row = page.get_by_role("listitem").filter(
            has=page.get_by_role("textbox", name="What you wrote: 1 clove garlic")
        )
        row.get_by_role("button", name=re.compile("^guess, ")).click()  # as many grams as it was taken for
        line = page.get_by_role("textbox", name="What you wrote: 4 g garlic")
        expect(line).to_be_visible()
        line.fill("3 tbsp worcester")
        page.get_by_role("button", name="3 tbsp worcester sauce 52 g").click()
        expect(page.get_by_role("textbox", name="What you wrote: 3 tbsp worcester sauce")).to_be_visible()

    def test_a_cooked_mix_says_its_steps(self) -> None:
        """Simmer, boil down, cool; a slow cooling is stopped."""
        page = self.mix_of("Harbour tofu")
        page.get_by_role("tab", name="Making").click()
        page.get_by_role("button", name=re.compile("^It is")).click()
        page.get_by_role("option", name="cooked, then cooled").click()
        page.get_by_role("textbox", name="Boil down to").fill("60 %")
        expect(page.get_by_text(re.compile("Boil .* g off, down to"))).to_be_visible()
        page.get_by_role("button", name=re.compile("^Cool")).click()
        page.get_by_role("option", name="in the fridge").click()
        expect(page.get_by_text("slower than 60 to 21 C").first).to_be_visible()

    def test_an_ingredient_from_its_label(self) -> None:
        """Entered, told what was assumed, kept, used in a mix, removed."""
        page = self.open("/pantry")
        page.get_by_role("button", name="Enter from a label").click()
        page.get_by_role("textbox", name="What you call it").fill("shelf soy")
        like = page.get_by_role("combobox", name="Most like")
        like.fill("brown water")
        page.get_by_role("textbox", name="What you call it").click()
        expect(page.get_by_text('"brown water" is not in the pantry.').first).to_be_visible()
        expect(like).to_have_value("brown water")
        like.fill("soy sauce, regular")
        page.keyboard.press("Enter")
        label = page.get_by_role("textbox", name="The label, line by line")
        label.fill("Serving size 15 ml (18 g)\nSodium 20 g")
        expect(page.get_by_text("do not fit into 18 g")).to_be_visible()
        label.fill("Serving size 15 ml (18 g)\nSodium 920 mg\nSugars 1 g")
        expect(page.get_by_text("a serving is 18 g, as printed")).to_be_visible()
        page.get_by_role("button", name="Keep this ingredient").click()
        expect(page.get_by_role("dialog")).to_have_count(0)
        page.get_by_role("searchbox", name="Look for").fill("shelf soy")
        row = page.get_by_role("button", name=re.compile("shelf soy"))
        expect(row).to_contain_text("mine")
        row.click()
        page.get_by_role("button", name="Remove it").click()
        expect(row).to_have_count(0)
