"""From paste to plate: seven ways that a dish ends, each from a pasted text to the clock of its fire.

The recipes are made up, on the demo's own dishes. Plan, Fire, Today, card and calendar tell the same minutes.
"""

from __future__ import annotations

import re
import urllib.request
from datetime import datetime

from playwright.sync_api import Page, expect

from tests.browser.support import BrowserCase

MEAL = "2026-11-28T19:00"


class FromPasteToPlate(BrowserCase):
    """One kitchen for all seven."""

    def pasted(self, recipe: str, meal: str = MEAL) -> Page:
        """A batch from a pasted text, with its meal, at its fire."""
        page = self.open("/")
        paste = page.get_by_role("button", name=re.compile("^Paste an ingredient list"))
        paste.click()
        page.get_by_label("One ingredient a line").fill(recipe)
        page.get_by_role("button", name="Start with this list").click()
        page.get_by_role("link", name="Hold").click()
        page.get_by_label("Meal on the table").fill(meal)
        expect(page.get_by_text("All kept")).to_be_visible()
        page.get_by_role("link", name="Fire").click()
        return page

    def stage(self, page: Page, number: int, place: str, **fields: str) -> None:
        """One more stage: its place, and its fields by their questions."""
        page.get_by_role("button", name="Add a stage").click()
        line = page.get_by_role("listitem").filter(has=page.get_by_role("button", name=f"Take out stage {number}"))
        if place != "oven":
            line.get_by_role("button", name=re.compile("^Where")).click()
            page.get_by_role("option", name=place, exact=True).click()
        for question, text in fields.items():
            if question == "tender":
                line.get_by_role("checkbox", name="until tender").check()
            else:
                line.get_by_role("textbox", name=question.replace("_", " ")).fill(text)

    def on_the_clock(self, page: Page, *wanted: str) -> None:
        """These words stand on the clock of the fire, and the same step at the same minute in every other outlet."""
        clock = page.get_by_role("list", name="On the clock")
        for words in wanted:
            expect(clock).to_contain_text(words)
        expect(page.get_by_text("All kept")).to_be_visible()
        identity = page.url.split("/")[-2]
        steps = self.ask(f"/api/batches/{identity}")["judgement"]["plan"]["steps"]
        today = self.ask("/api/plan/today?hours=120")["steps"]
        card = self.text_of(f"/api/batches/{identity}/card").replace("\\", "")
        calendar = self.text_of(f"/api/plan/{identity}/calendar.ics")
        shown = clock.inner_text()
        for step in steps:
            at = datetime.fromisoformat(step["at"])
            self.assertIn(step["says"], card)
            told = any((one["at"], one["says"]) == (step["at"], step["says"]) for one in today)
            self.assertTrue(told or at < self.at, step["says"])
            if step["hands_on"] and step["minutes"] >= 1:
                self.assertIn(f"{at:%Y%m%dT%H%M}", calendar)
            if step["id"].startswith("cook"):
                self.assertIn(f"{at:%H:%M}", shown)

    def text_of(self, path: str) -> str:
        """An answer as text."""
        with urllib.request.urlopen(self.kitchen.address + path) as answer:
            return str(answer.read().decode())

    def test_a_braise_with_gravy(self) -> None:
        """Shanks in their wine, until tender; what goes in with them; the mix is not thrown away."""
        page = self.pasted(
            "Slipway shanks\n\n4 lamb shanks, 1.6 kg\n300 ml red wine\n20 g salt\n4 cloves garlic\n\nFor the pot:\n"
            "2 carrots\n300 ml chicken stock\n\nGravy:\n200 ml chicken stock\n12 g cornflour\n"
        )
        self.stage(page, 1, "pan", How_hot="high", How_long="8 min")
        self.stage(page, 2, "covered pot", tender="yes")
        page.get_by_role("tab", name="Used mix").click()
        expect(page.get_by_text("It cooks with the meat")).to_be_visible()
        expect(page.get_by_text("throw it away")).to_have_count(0)
        clock = ("In with it: pot", "Make Gravy", "until a fork turns in it easily", "In the pan at 225 °C, 8 min")
        self.on_the_clock(page, *clock)

    def test_a_late_glaze_in_stages(self) -> None:
        """A crown roasted, then hotter; the glaze in thin rounds over the last minutes."""
        page = self.pasted(
            "2.4 kg turkey crown\n30 g salt\n200 g buttermilk\n\nHoney glaze:\n60 g honey\n20 g mustard\n"
        )
        self.stage(page, 1, "oven", How_hot="160 C", How_long="90 min")
        self.stage(page, 2, "oven", How_hot="gas 7", How_long="15 min", To_a_core_of="74 C")
        self.on_the_clock(page, "Heat the oven to 160 °C", "Brush on Honey glaze", "at 220 °C")
        page.goto(page.url.replace("/fire", "/weigh"))
        beside = page.locator("details").filter(has_text="Beside it, to weigh as well: Honey glaze")
        beside.locator("summary").click()
        expect(beside).to_contain_text("60 g")
        beside.get_by_role("checkbox").first.click()
        expect(beside).to_contain_text("(1 to go)")
        page.reload()
        expect(beside).to_contain_text("(1 to go)")
        beside.locator("summary").click()
        expect(beside.get_by_role("checkbox").first).to_be_checked()

    def test_a_rub_straight_to_the_oven(self) -> None:
        """No hold is forced."""
        page = self.pasted(
            "1.2 kg chicken thighs, bone in\n14 g salt\n6 g smoked paprika\n4 g black pepper\n20 g olive oil\n"
        )
        self.stage(page, 1, "oven", How_hot="200 C", How_long="35 min")
        expect(page.get_by_text("It may go straight to the heat").first).to_be_visible()
        self.on_the_clock(page, "Heat the oven to 200 °C", "In the oven at 200 °C")

    def test_fried_twice_in_a_coating(self) -> None:
        """Coated before the oil, fried, and once more: seven minutes stay seven."""
        page = self.pasted(
            "1 kg boneless chicken thighs\n12 g salt\n60 g soy sauce\n20 g ginger\n\n"
            "Coating:\n120 g cornflour\n60 g flour\n"
        )
        self.stage(page, 1, "hot oil", How_hot="160 C", How_long="7 min")
        self.stage(page, 2, "hot oil", How_hot="190 C", How_long="90 s")
        self.on_the_clock(
            page, "Coat it, and shake off what is loose", "In hot oil at 160 °C, 7 min", "at 190 °C, 1.5 min"
        )
        page.get_by_role("link", name="Mix").click()
        page.get_by_role("tab", name="Plate").click()
        expect(page.get_by_role("region", name="Coating", exact=True)).to_contain_text("the surface holds about")

    def test_the_clean_part_reduced_for_the_table(self) -> None:
        """Set aside before raw meat goes in, boiled down while the meat rests."""
        page = self.pasted("1.2 kg chicken thighs, bone in\n20 g salt\n400 g tomato passata\n30 g honey\n")
        self.stage(page, 1, "grill, over the heat", How_hot="medium", How_long="25 min")
        page.get_by_role("link", name="Mix").click()
        page.get_by_role("tab", name="Quantity").click()
        page.get_by_role("textbox", name="Set aside clean").fill("150 g")
        page.get_by_role("textbox", name="What for").fill("the table")
        page.get_by_role("textbox", name="Boiled down to").fill("100 g")
        page.get_by_role("tab", name="Plate").click()
        expect(page.get_by_role("row", name=re.compile("clean part for the table"))).to_be_visible()
        page.get_by_role("link", name="Fire").click()
        self.on_the_clock(page, "Boil the clean part down to 100 g, for the table")

    def test_a_brined_bird_with_a_rest(self) -> None:
        """Out of the brine, six hours uncovered, then the oven, and a rest of its own."""
        page = self.pasted("1 whole chicken, 1.8 kg\nBrine:\n3 litres water\n150 g salt\n60 g sugar\n")
        self.stage(page, 1, "oven", How_hot="hot", How_long="70 min", To_a_core_of="74 C")
        page.get_by_role("textbox", name="Uncovered, cold").fill("6 h")
        page.get_by_role("textbox", name="Rests after it").fill("15 min")
        self.on_the_clock(page, "Uncovered in the fridge, to dry", "Heat the oven to 220 °C", "Rest it")

    def test_food_carried_to_an_outing(self) -> None:
        """In a cold box, then over coals on the slip, with bread of one's own on the same clock."""
        page = self.pasted("1.5 kg lamb leg, cubed\n18 g salt\n40 g olive oil\n2 lemons\n")
        self.stage(page, 1, "grill, over the heat", How_hot="high", How_long="10 min", Turned_every="3 min")
        page.get_by_role("textbox", name="In a cold box").fill("90 min")
        page.get_by_role("tab", name="Beside it").click()
        page.get_by_role("button", name="Add a step of your own").click()
        page.get_by_role("textbox", name="What", exact=True).fill("flat bread on the side")
        page.get_by_role("textbox", name="Takes").fill("12 min")
        self.on_the_clock(
            page, "In a cold box with ice", "turned every 3 min", "flat bread on the side", "Light the coals"
        )
