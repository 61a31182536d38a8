"""What a whole recipe says of its lines and of its meat counts for each of them, and is told.

Source: common practice, no source; the recipes were written for this product.
"""

from __future__ import annotations

import unittest

from tests.drafts import judged
from vadouvan.core.draft.typed import StageInput
from vadouvan.data.tables import shipped_kitchen
from vadouvan.formats.any_file import read_any

KITCHEN = shipped_kitchen()
THIGHS = "Sunday dish\n\n1 kg chicken thighs, boneless\n2 onions\n200 g yoghurt\n2 tsp salt\n\n"


class Servings(unittest.TestCase):
    """For how many it is, wherever that stands."""

    def test_taken_from_a_line_or_from_the_name(self) -> None:
        """And then neither left out nor part of the name; what else the line says is told."""
        for text, servings, name in (
            ("Drumsticks\nServes 4-6\n1 kg chicken drumsticks\n10 g salt", "4-6", "Drumsticks"),
            ("DRUMSTICKS ....... serves 6\nDrumsticks ...... 1.2 kg\nSalt ...... 2 tsp", "6", "DRUMSTICKS"),
            ("Drumsticks\nServings: 8  Calories: 300\n1 kg chicken drumsticks\n10 g salt", "8", "Drumsticks"),
            ("Drumsticks\n\nFor 6 people\n\n1 kg chicken drumsticks\n10 g salt", "6", "Drumsticks"),
            ("Drumsticks\nIngredients for 4 servings:\n1 kg chicken drumsticks\n10 g salt", "4", "Drumsticks"),
            ("Drumsticks\n1 kg chicken drumsticks\n10 g salt\nmakes 12 skewers", "", "Drumsticks"),
        ):
            with self.subTest(text):
                found = read_any(text, KITCHEN)
                self.assertEqual((found.draft.occasion.servings, found.draft.name), (servings, name))
                left_out = " ".join(found.notes)
                self.assertEqual("Calories" in left_out, "Calories" in text)
                self.assertNotIn("Serves 4", left_out)


class Head(unittest.TestCase):
    """A head between two rules, as note-taking programs put it before a text."""

    def test_the_title_is_the_name(self) -> None:
        """Told once, though a heading says it again; the rest of the head counts as lines do."""
        found = read_any(
            "---\ntitle: Miso cod\nserves: 4\n---\n# Miso cod\n- 4 cod fillets, 150 g each\n- 60 g miso", KITCHEN
        )
        self.assertEqual((found.draft.name, found.draft.occasion.servings), ("Miso cod", "4"))
        self.assertEqual([line.text for line in found.draft.mix], ["60 g miso"])
        self.assertEqual(found.draft.cut.mass, "600 g")


class OfTheMeat(unittest.TestCase):
    """One line relates all those below it to the meat."""

    def test_shares_of_the_meat(self) -> None:
        """Percents whose line does not say of what: the head of the list says it."""
        found = read_any(
            "Loin rub (% of the meat)\n\n1.5 kg pork loin\nSalt 1.6%\n0.3 % black pepper\nGarlic 2 cloves",
            KITCHEN,
        )
        grams = [round(figure.value, 1) for figure in judged(found.draft).grams]
        self.assertEqual(grams[:2], [24.0, 4.5])
        alone = read_any("1.5 kg pork loin\nSalt 1.6%\nBlack pepper 0.3%\n2 cloves garlic\n1 tsp thyme", KITCHEN)
        notes = judged(alone.draft).reading.notes
        asked = [problem.wrong for problem in (*notes.problems, *notes.unweighed)]
        self.assertEqual(asked, ['"Salt 1.6%" does not say of what.', '"Black pepper 0.3%" does not say of what.'])

    def test_shares_of_a_dry_brine_and_of_water(self) -> None:
        """Without water a share is of the meat; "of water" is of the water that the list has."""
        dry = read_any(
            "Roast rib of beef on the bone, 3 ribs (3.5 kg)\nDry brine: 1% salt\n+ 2 tsp mustard powder", KITCHEN
        )
        self.assertEqual((dry.draft.cut.mass, dry.draft.cut.pieces), ("3.5 kg", ""))
        self.assertEqual([line.text for line in dry.draft.mix], ["1% salt of meat", "2 tsp mustard powder"])
        strength = read_any("Dry brine for ribs\n\n2 kg pork ribs\n1.5 % salt\n2 % milk\nBeer 5 %", KITCHEN)
        self.assertEqual([line.text for line in strength.draft.mix], ["1.5 % salt of meat", "2 % milk", "Beer 5 %"])
        wet = read_any("Brisket 2 kg\nWater 4 L\nSalt 5% of water\n2 % sugar of the water\n5 days", KITCHEN)
        lines = ["Water 4 L", "200 g Salt (5 % of the water)", "80 g sugar (2 % of the water)"]
        self.assertEqual([line.text for line in wet.draft.mix], lines)
        no_water = read_any("Brisket 2 kg\nSalt 5% of water\n4 cloves garlic\n10 g pepper", KITCHEN)
        self.assertIn("Salt 5% of water", [line.text for line in no_water.draft.mix])  # and is asked about

    def test_for_a_kilo_of_a_named_meat(self) -> None:
        """The meat stands in the heading, its weight elsewhere; without one it is asked for."""
        head = (
            "Lamb skewers (serves 6)\nFor each kilo of boned leg of lamb, cubed at 3 cm:\n14 g salt\n60 ml olive oil\n"
        )
        found = read_any(f"{head}I have 2.5 kg of lamb.", KITCHEN)
        self.assertEqual(
            (found.draft.name, found.draft.cut.mass, found.draft.cut.thickness), ("Lamb skewers", "2.5 kg", "3 cm")
        )
        self.assertEqual([line.text for line in found.draft.mix], ["14 g salt per kilo", "60 ml olive oil per kilo"])
        self.assertEqual(found.draft.occasion.servings, "6")
        self.assertEqual(read_any(head, KITCHEN).draft.cut.mass, "")


class Pieces(unittest.TestCase):
    """Pieces that only the directions tell."""

    def test_of_the_meat(self) -> None:
        """Whole thighs are not what lies in the mix, and that is told."""
        for said, size in (
            ("Cut the chicken into 4 cm pieces. Marinate 2 hours.", "4 cm"),
            ("Trim the thighs and cut them into 1 inch chunks. Mix all.", "1 inch"),
            ("METHOD: CUT IN 3 CM CUBES. MARINATE 2 HRS.", "3 CM"),
        ):
            with self.subTest(said):
                found = read_any(THIGHS + said, KITCHEN)
                self.assertIn(size, (found.draft.cut.thickness, found.draft.cut.width))
                self.assertIn("as its directions say", " ".join(found.notes))

    def test_of_anything_else(self) -> None:
        """An onion's, what is carved after the fire, or what its own line tells otherwise."""
        for said in (
            "Peel the onion and cut into 2 cm pieces. Mix and marinate.",
            "Cut the lemons into 1 cm slices.",
            "Marinate overnight. Grill, rest and cut into 1 cm slices.",
            "Roast 20 min then cut into 2 cm strips.",
        ):
            with self.subTest(said):
                cut = read_any(THIGHS + said, KITCHEN).draft.cut
                self.assertEqual((cut.kind, cut.thickness, cut.width, cut.shape), ("chicken_thigh", "", "", ""))
        own = read_any("1 kg lamb leg cubes, 3 cm\n10 g salt\n2 tbsp oil\nCut the lamb into 5 cm cubes.", KITCHEN)
        self.assertEqual(own.draft.cut.thickness, "3 cm")


class Fire(unittest.TestCase):
    """Heat, time and core that directions tell of the meat."""

    def test_taken_over_and_told(self) -> None:
        """By the words of the recipe, each in the field where a cook types it; a time for each side is of both."""
        for said, *stages in (
            ("Marinate 2 hours. Roast at 375°F for 1 hour 10 minutes until 160°F internal.",
             "oven, 375°F, 1 hour 10 minutes, 160°F"),
            ("Marinate overnight. Sear 2 min a side, then roast at 180C to 54C.",
             "pan, , 4 min, , turned", "oven, 180C, , 54C"),
            ("Preheat the oven to 200C. Leave 6 hours. Put it in a tin. Roast for 50 minutes.", "oven, , 50 minutes"),
            ("Leave 6 hours. Preheat the oven to 200C. Put it in a tin. Roast for 50 minutes.",
             "oven, 200C, 50 minutes"),
            ("Leave 6 hours. Grill over high heat 4 minutes a side, then 5 minutes over a low heat to 63C. Rest it.",
             "grill, high, 8 minutes, , turned", "grill, low, 5 minutes, 63C"),
            ("Chill 4 hours. Cook 45-50 min at 200°C/180°C fan/gas 6.", "oven, 200°C, 45-50 min"),
            ("Leave 24 hr. Roast 1hr 30 @ 180.", "oven, 180, 1hr 30"),
            ("Chill 1 hour. Fry at 350 F until gold, about 5 minutes.", "fryer, 350 F, 5 minutes"),
            ("Chill. Roast at 180C to 63C, glazing the last 20 minutes.", "oven, 180C, , 63C"),
            ("Marinate. Fry the thighs 6 min, pour on a dressing, leave 24h.", "pan, , 6 min"),
            ("Leave 1 hour. Heat a griddle pan. Cook the thighs for 6 mins on each side.", "pan, , 12 mins, , turned"),
            ("Chill. Heat the oven to 220C. Roast 30 minutes, then turn down to 140C and cook for 6 hours.",
             "oven, 220C, 30 minutes", "oven, 140C, 6 hours"),
            ("Marinate. Grill over charcoal, turning every 2-3 minutes, for 12 minutes. For the sauce simmer 200ml"
             " stock 5 minutes.", "grill, , 12 minutes, , every 2-3 minutes"),
            ("Chill. Wrap in parchment and bake 15 min at 400F.", "parcel, 400F, 15 min"),
            ("Rest 1 h. Fry in a very hot pan 3 min a side for medium rare.",
             "pan, very hot, 6 min, medium rare, turned"),
            ("Chill 2 h. Bake at 220C until it reaches 165°, 40 minutes.", "oven, 220C, 40 minutes, 165°"),
            ("Chill 2 h. Roast covered at 150C for 4 hours, uncover, 20 minutes at 200C.",
             "oven, 150C, 4 hours", "oven, 200C, 20 minutes"),
            ("Rest 10 min. Sear 90 sec per side.", "pan, , 180 sec, , turned"),
            ("Chill 2 h. Roast at 180C for 1 to 1¼ hours.", "oven, 180C, 1 to 1¼ hours"),
            ("Marinate. Bake 220 40 min.", "oven, 220, 40 min"),
            ("Marinate. Air fry 400F 22 min.", "oven, 400F, 22 min"),
            ("Cure 24 h. Hot smoke at 80C to a core of 60C.", "smoker, 80C, , 60C"),
            ("Salt it overnight. Roast at 90C for 6 hours.", "oven, 90C, 6 hours"),
            ("Marinate. Smoke 225F 5-6 hrs.", "smoker, 225F, 5-6 hrs"),
            ("Simmer the brine 5 minutes and cool it. Brine overnight.",),
            ("Marinate. Roast the potatoes 40 minutes. Boil the marinade 5 min. Roast 325°, 25 min./lb.", "oven, 325°"),
        ):  # fmt: skip
            with self.subTest(said):
                found = read_any(THIGHS + said, KITCHEN)
                self.assertEqual([_in_short(one) for one in found.draft.fire.stages], stages)
                self.assertEqual("At the fire" in " ".join(found.notes), bool(stages))
                fields = [one.field for one in judged(found.draft).reading.problems]
                self.assertEqual(fields, ["fire.stages.0.heat_c"] if "325" in said else [])


def _in_short(stage: StageInput) -> str:
    """A stage as it was typed, without what is not said at its end."""
    turned = f"every {stage.every}" if stage.every else "turned" if stage.turn else ""
    return ", ".join((stage.place, stage.heat, stage.minutes, stage.core, turned)).rstrip(", ")


class Species(unittest.TestCase):
    """Meat whose line does not say of which animal."""

    def test_the_name_tells_it(self) -> None:
        """Of the cuts that it may be, those of another animal are not offered."""
        lines = "1.2 kg boneless thighs\n200 g yoghurt\n2 tsp salt"
        asked = [one.kind for one in read_any(f"Dinner\n\n{lines}", KITCHEN).cuts_meant]
        self.assertEqual(asked, ["chicken_thigh", "turkey_thigh"])
        told = [one.kind for one in read_any(f"Mum's chicken\n\n{lines}", KITCHEN).cuts_meant]
        self.assertEqual(told, ["chicken_thigh"])


class Pages(unittest.TestCase):
    """A web page, or a piece of one, without a recipe in its data."""

    def test_lines_of_a_page(self) -> None:
        """Items, cells and paragraphs are lines; what nobody sees is none."""
        page = (
            "<!doctype html><html><head><title>x</title><style>b {}</style></head><body><nav>Home 1 kg</nav>"
            "<h1>Rosemary\nchops</h1><ul><li>8 lamb loin chops (1 kg)</li><li>4 tbsp <b>olive</b> oil &amp; 1 tsp salt"
            "</li></ul><table><tr><td>Garlic</td><td>4 cloves</td></tr></table><p>Marinate<br>2 h.</p></body></html>"
        )
        found = read_any(page, KITCHEN)
        self.assertEqual(
            (found.draft.name, found.draft.cut.mass, found.draft.cut.pieces), ("Rosemary chops", "1 kg", "8")
        )
        self.assertEqual(
            [line.text for line in found.draft.mix], ["4 tbsp olive oil", "1 tsp salt", "Garlic, 4 cloves"]
        )
        self.assertNotIn("Home", " ".join(found.notes))


class Notes(unittest.TestCase):
    """Lists as cooks keep them for themselves."""

    def test_a_row_of_a_diary(self) -> None:
        """Its date is no amount, and what was thought of it no ingredient."""
        row = (
            "12 Oct: pork belly strips 1kg, soy 80ml, honey 2tbsp, garlic 5 cloves, left 5h. Bit salty, 60ml next time."
        )
        found = read_any(row, KITCHEN)
        self.assertEqual([line.text for line in found.draft.mix], ["soy 80ml", "honey 2tbsp", "garlic 5 cloves"])
        self.assertEqual(found.draft.cut.mass, "1kg")
        for told in ("12 Oct", "Bit salty"):
            self.assertIn(told, " ".join(found.notes))

    def test_numbers_that_are_all_grams(self) -> None:
        """One line says so for all of them; ten grams of ginger are no ten pieces."""
        found = read_any("SALMON (800g)\n+ soy 60\n+ honey 30\n+ lime 20\n+ ginger 10\n(all grams)", KITCHEN)
        self.assertEqual([round(one.value) for one in judged(found.draft).grams], [60, 30, 20, 10])

    def test_meat_that_another_word_names(self) -> None:
        """The species of a marinade stands before its brackets, that of "2 whole" before a colon."""
        lamb = read_any("Lamb marinade (enough for a butterflied leg, ~2kg)\n200ml red wine\n11 g salt", KITCHEN)
        self.assertEqual((lamb.draft.cut.kind, lamb.draft.cut.mass), ("lamb_leg_butterfly", "2kg"))
        trout = read_any("Trout: 2 whole (350g each). Rub: 10 g salt, 2 g pepper, 20 ml oil. Rest 1 h.", KITCHEN)
        self.assertEqual(
            (trout.draft.cut.kind, trout.draft.cut.mass, len(trout.draft.mix)), ("whole_trout", "700 g", 3)
        )

    def test_who_wrote_it_is_no_name(self) -> None:
        """And a name stands over a list, whatever is between."""
        for text, name in (
            ("Posted by a friend, 3 days ago:\n\n1 kg flank steak\n60 ml soy sauce\n20 g honey", ""),
            ("FREEZER BAG\nlabel: thaw overnight, grill\n- 900g diced chicken breast\n- 1 tsp salt", "FREEZER BAG"),
            ("Ingredients\nMarinade:\n60 ml soy sauce\n20 g honey\nMeat:\n1 kg flank steak", ""),
            ("Marinade\nStep 1: whisk\n60 ml soy sauce\n20 g honey\n1 kg flank steak", ""),
            ("Butter chicken\nStep 1: marinate\n750g boneless chicken thighs\n120 g yogurt", "Butter chicken"),
            (
                "Basic teriyaki\nEqual parts soy and mirin (100 ml each), plus 2 tbsp sugar\n600 g salmon",
                "Basic teriyaki",
            ),
        ):
            with self.subTest(text):
                self.assertEqual(read_any(text, KITCHEN).draft.name, name)

    def test_short_for_a_word(self) -> None:
        """Pounds by their sign, and meat as a shopping list shortens it; thousands with a comma."""
        found = read_any("Chx thighs (bnls/sknls) - 2#\nEVOO - 1/4 C\nLemon jc - 3 T\nSalt - 2 t", KITCHEN)
        self.assertEqual((found.draft.cut.kind, found.draft.cut.mass), ("chicken_thigh", "2 lb"))
        self.assertEqual(len(judged(found.draft).grams), 3)
        lamb = read_any("Leg of lamb butterflied (2,000 g trimmed)\nGarlic 30 g\nSalt 22 g\nOil 60 g", KITCHEN)
        self.assertEqual((lamb.draft.cut.kind, lamb.draft.cut.mass), ("lamb_leg_butterfly", "2,000 g"))

    def test_stages_are_parts(self) -> None:
        """A stage with what it is of is a heading; a remark in brackets with a comma in it hides no amount."""
        found = read_any(
            "Turkey\n\n2.2 kg turkey breast\nSTAGE 1 - brine (12 h)\n3 L water\n150 g salt\n"
            "1 t pepper (12 h, then rinse)\nSTAGE 2 - butter under skin\n100 g soft butter",
            KITCHEN,
        )
        lines = ["3 L water", "150 g salt", "1 t pepper (12 h, then rinse)"]
        self.assertEqual([line.text for line in found.draft.mix], lines)
        self.assertEqual([one.title for one in found.draft.companions], ["butter under skin"])
        self.assertEqual(len(judged(found.draft).grams), 3)
