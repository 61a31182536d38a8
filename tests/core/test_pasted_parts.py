"""Parts of a pasted recipe that are no line of its mix go beside it, and are told; a table without a frame is read.

Source: common practice, no source; the recipes were written for this product.
"""

from __future__ import annotations

import unittest

from vadouvan.core.draft.typed import LineInput
from vadouvan.core.interpretation.line import portion_of
from vadouvan.data.tables import shipped_kitchen
from vadouvan.errors import InputError
from vadouvan.formats.any_file import read_any
from vadouvan.formats.brought import Brought

KITCHEN = shipped_kitchen()


def mix_of(found: Brought) -> list[str]:
    """The lines of the mix, as they were written."""
    return [line.text for line in found.draft.mix]


def beside(found: Brought) -> dict[str, str]:
    """Titles of what goes beside the mix, with their lines."""
    return {one.title: one.text for one in found.draft.companions}


class Parts(unittest.TestCase):
    """Headings after a first list that has no heading of its own."""

    def test_another_part_after_the_dressed_meat(self) -> None:
        """A sauce, "For the yogurt", is no marinade; what names the meat again, or a mix of it, is."""
        own = "1 x 2kg lamb shoulder, bone in\n3 tbsp harissa\njuice 1 lemon\n2 tsp sea salt flakes\n\n"
        found = read_any(f"{own}For the yogurt:\n200g Greek yogurt\n1/2 cucumber, grated", KITCHEN)
        self.assertEqual(mix_of(found), ["3 tbsp harissa", "juice 1 lemon", "2 tsp sea salt flakes"])
        self.assertEqual(beside(found), {"yogurt": "200g Greek yogurt\n1/2 cucumber, grated"})
        self.assertIn('"yogurt"', " ".join(found.notes))
        again = read_any(f"{own}For the lamb:\n1 tsp sumac\n1 tsp cumin", KITCHEN)
        self.assertEqual((mix_of(again)[3:], beside(again)), (["1 tsp sumac", "1 tsp cumin"], {}))

    def test_the_name_of_a_side_is_a_heading(self) -> None:
        """Without a colon or a gap, over amounts; any other name after a gap below the first lines."""
        own = "2 lbs. chicken breast, cubed\n1/3 cup olive oil\n1 1/2 tsp kosher salt\n"
        found = read_any(f"{own}Tzatziki\n1 cup Greek yogurt\n1/2 English cucumber, grated", KITCHEN)
        self.assertEqual(mix_of(found), ["1/3 cup olive oil", "1 1/2 tsp kosher salt"])
        self.assertEqual(beside(found), {"Tzatziki": "1 cup Greek yogurt\n1/2 English cucumber, grated"})
        apart = read_any(
            "1 whole chicken, 1.5kg\n\nPeri-peri\n4 red chillies\n60ml oil\n\nColeslaw\n2 carrots", KITCHEN
        )
        self.assertEqual((mix_of(apart), beside(apart)), (["4 red chillies", "60ml oil"], {"Coleslaw": "2 carrots"}))
        cooked = read_any(f"{own}to cook: 150g lardons, 2 tbsp flour, 300ml stock", KITCHEN)
        self.assertEqual(beside(cooked), {"to cook": "150g lardons\n2 tbsp flour\n300ml stock"})

    def test_vegetables_beside_the_meat_lie_in_the_tray(self) -> None:
        """Where the mix has a heading; without one a grated onion is of the mix."""
        own = "8 chicken thighs, bone in\n800g potatoes\n2 red onions\n1 tsp salt\n"
        found = read_any(f"Tray\n\n{own}For the marinade: 100ml olive oil, 2 lemons (juice), 4 garlic cloves", KITCHEN)
        self.assertEqual(mix_of(found), ["1 tsp salt", "100ml olive oil", "2 lemons (juice)", "4 garlic cloves"])
        self.assertEqual(beside(found), {"with the meat": "800g potatoes\n2 red onions"})
        plain = read_any("Skewers\n\n1 kg lamb leg cubes\n2 onions\n1 tsp salt\n60 ml oil", KITCHEN)
        self.assertEqual((mix_of(plain)[0], beside(plain)), ("2 onions", {}))

    def test_a_table_with_commas(self) -> None:
        """Below a head of its columns, units in a column of their own; on a line by itself it means the same."""
        rows = "beef rump steak,800,g\nsoy sauce,60,ml\ngarlic,12,g"
        found = read_any(f"ingredient,amount,unit\n{rows}", KITCHEN)
        self.assertEqual((found.draft.cut.mass, found.draft.name), ("800 g", ""))
        self.assertEqual(mix_of(found), ["soy sauce, 60 ml", "garlic, 12 g"])
        first = read_any("qty,unit,ingredient\n1.2,kg,turkey breast\n150,g,yoghurt\n2,tsp,salt", KITCHEN)
        self.assertEqual((first.draft.cut.mass, mix_of(first)), ("1.2 kg", ["150 g yoghurt", "2 tsp salt"]))
        grams = portion_of(LineInput("1", "ginger,15,g"), KITCHEN.pantry).mass_kg.value * 1000
        self.assertAlmostEqual(grams, 15.0)

    def test_rows_that_begin_with_a_deed_or_end_in_sentences(self) -> None:
        """What is done to all of it is told; the last amount before a sentence is no part of it."""
        found = read_any(
            "Chops: blend 3 stalks lemongrass, 2 shallots, 2 tbsp fish sauce and 1 tbsp oil. Marinate 6 pork chops"
            " (about 700g) for 4 hours.",
            KITCHEN,
        )
        lines = ["3 stalks lemongrass", "2 shallots", "2 tbsp fish sauce", "1 tbsp oil"]
        self.assertEqual((mix_of(found), found.draft.cut.mass), (lines, "700g"))
        self.assertIn("Blend all of it", " ".join(found.notes))
        row = "Prawns: 1 lb peeled shrimp, 3 Tbsp lime juice, 1/2 tsp salt, 1/4 tsp cayenne. 20-30 min, no longer."
        self.assertEqual(mix_of(read_any(row, KITCHEN))[-1], "1/4 tsp cayenne")

    def test_the_meat_that_a_brine_is_for(self) -> None:
        """With the hours behind it, which are told."""
        found = read_any("House brine\n4 litres water\n200 g salt\nFor 2 chickens of 1.5 kg each, 8 hours", KITCHEN)
        self.assertEqual((found.draft.cut.mass, found.draft.cut.pieces, len(found.draft.mix)), ("3 kg", "2", 2))
        self.assertIn("8 hours", " ".join(found.notes))

    def test_parts_of_a_list_without_gaps(self) -> None:
        """A brine, the bird with what goes under its skin, and what it is fried in: each has a heading of its own."""
        found = read_any(
            "Maple turkey\nBrine\n8 l water\n400 g salt\nTurkey\n1 (14-pound) turkey, neck and giblets removed\n"
            "60 g butter, softened\n2 tbsp chopped sage\nFor frying\n2 l oil",
            KITCHEN,
        )
        self.assertEqual((found.draft.cut.kind, mix_of(found)), ("turkey_whole", ["8 l water", "400 g salt"]))
        self.assertEqual(beside(found), {"Turkey": "60 g butter, softened\n2 tbsp chopped sage", "frying": "2 l oil"})

    def test_a_line_of_which_some_is_kept_for_later(self) -> None:
        """It is of the mix; what is all for later is not."""
        found = read_any(
            "2 whole mackerel\n5 g salt\nzest and juice ½ lemon, plus wedges to serve\nlemon wedges, to serve\n"
            "Enough for 2 pounds of fish.",
            KITCHEN,
        )
        self.assertEqual(len(mix_of(found)), 3)
        self.assertIn("lemon wedges, to serve; Enough for 2 pounds of fish.", " ".join(found.notes))

    def test_a_second_column_and_a_row_with_both_marks(self) -> None:
        """What the second column says counts as brackets do; commas hold the amounts where semicolons hold deeds."""
        table = (
            "Lamb cubes\n2.2 lb lamb leg           1 kg\n1 medium onion            150 g\n1 1/2 tsp salt         9 g"
        )
        self.assertEqual(mix_of(read_any(table, KITCHEN)), ["1 medium onion (150 g)", "1 1/2 tsp salt (9 g)"])
        amounts = "4 x 150g lamb leg steaks, 150g yoghurt, juice ½ lemon, ½ tsp salt"
        row = f"Lamb steaks, {amounts}; chill 2-8 hrs; griddle 3 min"
        found = read_any(row, KITCHEN)
        self.assertEqual((found.draft.name, found.draft.cut.mass), ("Lamb steaks", "600 g"))
        self.assertEqual(mix_of(found), ["150g yoghurt", "juice ½ lemon", "½ tsp salt"])

    def test_headings_in_brackets_and_rows_with_dots(self) -> None:
        """A heading in square brackets is no JSON; a row with dots may end in a handful; amounts may stand behind."""
        text = "[Marinade]\nsoy 6T / rice vin 2T / honey 2T / ginger 1T\n[Protein]\nfirm tofu 400 g"
        found = read_any(text, KITCHEN)
        self.assertEqual(mix_of(found), ["soy 6T", "rice vin 2T", "honey 2T", "ginger 1T"])
        self.assertEqual(found.draft.cut.kind, "tofu_firm")
        dots = "500g lamb mince · 1 small onion · 1 tsp cumin · 6 g salt · handful mint\n"
        found = read_any(f"Koftas\n\n{dots}Tzatziki: 200g yoghurt · ½ cucumber · 1 tbsp oil", KITCHEN)
        self.assertEqual(mix_of(found), ["1 small onion", "1 tsp cumin", "6 g salt", "handful mint"])
        self.assertEqual(beside(found), {"Tzatziki": "200g yoghurt\n½ cucumber\n1 tbsp oil"})
        row = "½ cup yoghurt, ¼ cup oil, 1 tsp each paprika, oregano, salt 2 tsp"
        lines = ["½ cup yoghurt", "¼ cup oil", "1 tsp paprika", "1 tsp oregano", "salt 2 tsp"]
        self.assertEqual(mix_of(read_any(f"Dish\n\n1 kg chicken breast, cubed\n{row}\nmin 6 h", KITCHEN)), lines)

    def test_a_row_beside_the_mix(self) -> None:
        """Under a heading of its own it is a line for each, as that of the mix is."""
        found = read_any(
            "Loin\n\n1 kg pork loin\n10 g salt\n\nFor the crust:\n2 Tbsp Dijon, 1 cup panko, 1 Tbsp oil", KITCHEN
        )
        self.assertEqual(beside(found), {"crust": "2 Tbsp Dijon\n1 cup panko\n1 Tbsp oil"})

    def test_one_sentence_behind_a_colon(self) -> None:
        """What is done and with how much, in commas only."""
        found = read_any(
            "Brine for breasts: dissolve 3 tbsp salt and 2 tbsp sugar in 1 L cold water, add 4 chicken breasts"
            " (about 800 g), chill 2 hours, rinse, roast 220C 20 min.",
            KITCHEN,
        )
        self.assertEqual(mix_of(found), ["3 tbsp salt", "2 tbsp sugar", "1 L cold water"])
        self.assertEqual((found.draft.cut.mass, found.draft.fire.stages[0].heat), ("800 g", "220C"))

    def test_a_name_over_a_heading(self) -> None:
        """What the dish is called stands over "Steak", and the meat below: none of both is an ingredient."""
        found = read_any("STICKY BEEF\nSTEAK\n1 lb flank steak\nMARINADE\n60 ml soy sauce\n20 g honey", KITCHEN)
        self.assertEqual((found.draft.name, mix_of(found)), ("STICKY BEEF", ["60 ml soy sauce", "20 g honey"]))

    def test_a_sauce_is_the_mix_where_nothing_else_is(self) -> None:
        """With a garnish beside it, which never is."""
        found = read_any(
            "2 salmon fillets (150g each)\n\nTeriyaki sauce\n4 tbsp soy sauce\n2 tbsp mirin\n\nGarnish\nsesame seeds",
            KITCHEN,
        )
        self.assertEqual(mix_of(found), ["4 tbsp soy sauce", "2 tbsp mirin"])
        self.assertEqual(beside(found), {"Garnish": "sesame seeds"})

    def test_a_row_with_strokes_and_what_is_told_of_times(self) -> None:
        """Strokes or dots part amounts, not two units of one; nothing is lost of hours and deeds in small letters."""
        found = read_any(
            "flank steak 900g\nMarinating time: 4 hours\n60ml vinegar / 4 cloves garlic / 1 tsp salt\n-> 4-6 h fridge\n"
            "200 g / 7 oz yoghurt\nstab it 15 times, 2cm deep, and rub the rest over. leave overnight\novernight",
            KITCHEN,
        )
        self.assertEqual(mix_of(found), ["60ml vinegar", "4 cloves garlic", "1 tsp salt", "200 g / 7 oz yoghurt"])
        left = " ".join(found.notes)
        for told in ("Marinating time: 4 hours", "4-6 h fridge", "stab it 15 times", "; overnight"):
            self.assertIn(told, left)
        dotted = read_any("Pork fillet 600 g\nmix: 2 tbsp mustard · 1 tbsp honey · 8 g salt", KITCHEN)
        self.assertEqual(mix_of(dotted), ["2 tbsp mustard", "1 tbsp honey", "8 g salt"])

    def test_for_each_rack(self) -> None:
        """Amounts for each are for all where racks are counted, else asked about; the sauce beside is for all."""
        row = "Dry rub per rack: 2 tbsp brown sugar, 2 tsp salt\nSauce: ketchup 200g, vinegar 60ml, chilli 4"
        found = read_any(f"Sunday ribs\n\n2 racks baby back ribs\n{row}", KITCHEN)
        self.assertEqual(mix_of(found), ["4 tbsp brown sugar", "4 tsp salt"])
        self.assertIn("4 tsp salt, for 2", " ".join(found.notes))
        self.assertEqual(beside(found), {"Sauce": "ketchup 200g\nvinegar 60ml\nchilli 4"})
        asked = read_any(f"Sunday ribs\n\nPork ribs 2kg\n{row}", KITCHEN)
        self.assertEqual(mix_of(asked), ["2 tbsp brown sugar per rack", "2 tsp salt per rack"])
        with self.assertRaisesRegex(InputError, "for each"):
            portion_of(LineInput("1", mix_of(asked)[1]), KITCHEN.pantry)

    def test_the_meat_in_brackets_behind_the_name(self) -> None:
        """What it is enough for, "a 5kg brisket", is the cut, if it is one."""
        rub = "1/4 cup kosher salt\n1 tbsp garlic powder\nRub 12 hours before"
        found = read_any(f"Smoked brisket rub (enough for a 5kg packer brisket)\n{rub}", KITCHEN)
        self.assertEqual((found.draft.name[:18], found.draft.cut.kind), ("Smoked brisket rub", "beef_brisket"))
        self.assertEqual(found.draft.cut.mass, "5kg")
        self.assertEqual(read_any(f"House rub (enough for a week)\n{rub}", KITCHEN).draft.cut.kind, "")

    def test_ingredients_for_so_many_and_crumbs_after_the_hold(self) -> None:
        """A remark in brackets leaves a heading one; panko goes with the butter that it is tossed with."""
        found = read_any(
            "Pork\n\nIngredients (2 people)\n2 pork tenderloins, 1 lb each\n3 tbsp Dijon mustard\n1 tsp kosher salt\n"
            "1 cup panko breadcrumbs\n2 tbsp melted butter\n\nRub mustard and salt over the pork; marinate 2 hours. "
            "Toss panko with butter and press it on.",
            KITCHEN,
        )
        self.assertEqual(mix_of(found), ["3 tbsp Dijon mustard", "1 tsp kosher salt"])
        self.assertEqual(beside(found), {"after the hold": "1 cup panko breadcrumbs\n2 tbsp melted butter"})

    def test_the_dish_under_a_heading_of_its_own(self) -> None:
        """A line without the mark of those around it is a heading; meat that may be two cuts is asked, and not lost."""
        found = read_any(
            "Steak fajitas\nMarinade\n• 3 limes, juiced\n• 60ml olive oil\n• 1 tsp salt\nFajitas\n"
            "• 700g skirt or flank steak\n• 3 peppers, sliced\n• 2 onions, sliced",
            KITCHEN,
        )
        self.assertEqual(mix_of(found), ["3 limes, juiced", "60ml olive oil", "1 tsp salt"])
        self.assertEqual(beside(found), {"Fajitas": "3 peppers, sliced\n2 onions, sliced"})
        self.assertEqual([one.kind for one in found.cuts_meant], ["beef_skirt", "beef_flank"])
        named = read_any("For the lamb:\n1 kg lamb shoulder, cubed\n1 tsp salt\nFor the marinade:\n60 ml oil", KITCHEN)
        self.assertEqual(mix_of(named), ["1 tsp salt", "60 ml oil"])

    def test_bylines_heats_and_a_hold_in_passing(self) -> None:
        """Who wrote it and how hot the oven is are told; "coat the fish, 20 minutes" is a hold."""
        found = read_any(
            "Harissa cod\nBy Ana | 35 min\n\n4 thick cod fillets, 170g each\n2 tbsp harissa\n1 tbsp olive oil\n"
            "400g tin chickpeas\n\nMix harissa and oil, coat the fish, 20 minutes. Tip chickpeas in a tray.\n"
            "To roast:\n200C 15 min",
            KITCHEN,
        )
        self.assertEqual((found.draft.name, mix_of(found)), ("Harissa cod", ["2 tbsp harissa", "1 tbsp olive oil"]))
        self.assertEqual(beside(found), {"after the hold": "400g tin chickpeas"})
        for told in ("By Ana | 35 min", "200C 15 min"):
            self.assertIn(told, " ".join(found.notes))

    def test_blocks_are_no_dice_and_veg_goes_beside(self) -> None:
        """Two blocks in cubes are not two cubes; "Veg" under the mix goes beside it; party wings are wings."""
        tofu = read_any('tofu 2 blocks (14 oz each), 1" cubes\n60 ml soy sauce\n1 tsp sugar', KITCHEN)
        self.assertEqual((tofu.draft.cut.kind, tofu.draft.cut.mass, tofu.draft.cut.pieces), ("tofu_cubes", "28 oz", ""))
        wings = read_any(
            "2 lb party wings\nRub\n1 tsp salt\n2 tsp paprika\nVeg\n1 pound broccolini\n1 tbsp oil", KITCHEN
        )
        self.assertEqual((wings.draft.cut.kind, mix_of(wings)), ("chicken_wing", ["1 tsp salt", "2 tsp paprika"]))
        self.assertEqual(beside(wings), {"Veg": "1 pound broccolini\n1 tbsp oil"})

    def test_bread_and_rice_to_go_with_it(self) -> None:
        """They are left out and told; flour and vinegar of rice are lines."""
        own = "500g chicken breast diced\n3 tbsp yoghurt\n1 tbsp rice vinegar\n1 tsp salt"
        found = read_any(f"{own}\n4 flour tortillas, warmed\n200g cooked rice\n2 pitta breads", KITCHEN)
        self.assertEqual(mix_of(found), ["3 tbsp yoghurt", "1 tbsp rice vinegar", "1 tsp salt"])
        self.assertIn("4 flour tortillas, warmed; 200g cooked rice; 2 pitta breads", " ".join(found.notes))

    def test_an_injection_is_none_of_the_rub(self) -> None:
        """Both in rows under their names; the injection goes beside, and that is told."""
        found = read_any(
            "8 lb bone-in pork butt\nInjection: 1 cup apple juice, 1/2 cup water, 2 tbsp salt\n"
            "Rub: 1/4 cup brown sugar, 2 tbsp paprika, 1 tbsp salt",
            KITCHEN,
        )
        self.assertEqual(mix_of(found), ["1/4 cup brown sugar", "2 tbsp paprika", "1 tbsp salt"])
        self.assertEqual(beside(found), {"Injection": "1 cup apple juice\n1/2 cup water\n2 tbsp salt"})

    def test_flour_is_a_coating(self) -> None:
        """Under "Dry" or "For the flour mix", beside a marinade that is wet; never where it is all there is."""
        own = "2kg chicken wings\nWet: 1 cup buttermilk, 1 tbsp hot sauce, 1 tsp salt\n"
        for heading in ("Dry", "For the flour mix"):
            with self.subTest(heading):
                found = read_any(f"{own}{heading}: 2 cups flour, 1 tbsp paprika, 2 tsp salt", KITCHEN)
                self.assertEqual(mix_of(found), ["1 cup buttermilk", "1 tbsp hot sauce", "1 tsp salt"])
                self.assertEqual(len(beside(found)), 1)
        alone = read_any("2kg chicken wings\nDry: 2 tbsp flour, 1 tbsp paprika, 2 tsp salt", KITCHEN)
        self.assertEqual(len(mix_of(alone)), 3)

    def test_a_coating_after_a_rule_or_a_gap(self) -> None:
        """It needs no heading where it is of cups of flour; a spoon of flour binds the paste it stands in."""
        own = "1 lb chicken tenderloins\n1 c. buttermilk\n1 tsp hot sauce\n"
        for between in ("--\n", "\n"):
            with self.subTest(between):
                found = read_any(f"{own}{between}1 1/2 c. all-purpose flour\n2 tsp paprika", KITCHEN)
                self.assertEqual(beside(found), {"Coating": "1 1/2 c. all-purpose flour\n2 tsp paprika"})
        bound = read_any(f"{own}\n1 tbsp flour\n2 tsp paprika", KITCHEN)
        self.assertEqual((len(mix_of(bound)), beside(bound)), (4, {}))

    def test_parts_by_letter(self) -> None:
        """Letters, "A" and "B", over lines are two marinades, taken as one, which is told."""
        found = read_any(
            "600 g pork shoulder, cubed\nA\n- 4 cloves garlic\n- 1 tsp cumin\nB\n- 1 tbsp fish sauce\n- 60 ml oil",
            KITCHEN,
        )
        self.assertEqual(len(mix_of(found)), 4)
        self.assertIn("Taken as one mix: “Marinade A” and “Marinade B”", " ".join(found.notes))

    def test_meat_that_is_told_twice(self) -> None:
        """A heading, "Brine for 2 pork tenderloins", and further down what they weigh: one cut, with its weight."""
        found = read_any(
            "Brine for 2 pork tenderloins\n\n1 l water\n40 g salt\n\n2 pork tenderloins (about 1 lb each)",
            KITCHEN,
        )
        self.assertEqual(
            (found.draft.cut.kind, found.draft.cut.mass, found.draft.cut.pieces), ("pork_tenderloin", "2 lb", "2")
        )
        self.assertNotIn("Another cut", " ".join(found.notes))

    def test_a_mix_that_comes_last(self) -> None:
        """A remark of the heading says so; without one it is taken with the list above, which is told."""
        own = "500 g lamb leg, cubed\n1 tbsp light soy sauce\n1 tsp cornstarch\n\n"
        last = read_any(f"{own}Spice mix (sprinkle while grilling):\n1 tbsp cumin\n1/2 tsp salt", KITCHEN)
        self.assertEqual(beside(last), {"Spice mix to finish": "1 tbsp cumin\n1/2 tsp salt"})
        mixed = read_any(f"{own}Spice mix:\n1 tbsp cumin\n1/2 tsp salt", KITCHEN)
        self.assertEqual(len(mix_of(mixed)), 4)
        self.assertIn("Taken as one mix: what stands under no heading and “Spice mix”", " ".join(mixed.notes))

    def test_rows_between_strokes_and_semicolons(self) -> None:
        """A rub in one row is the mix, and not what mops it; things with their amounts behind them, one each."""
        ribs = read_any(
            "2 racks baby backs (1.2 kg each)\nRub: 50g brown sugar / 20g paprika / 15g salt\n"
            "Mop: 100ml cider vinegar, 100ml apple juice",
            KITCHEN,
        )
        self.assertEqual(mix_of(ribs), ["50g brown sugar", "20g paprika", "15g salt"])
        wings = read_any("Smoke wings\n\nwings 2kg; smoked paprika 2 tbsp; salt 24g; veg oil 3 tbsp", KITCHEN)
        self.assertEqual(
            (wings.draft.cut.mass, mix_of(wings)), ("2kg", ["smoked paprika 2 tbsp", "salt 24g", "veg oil 3 tbsp"])
        )

    def test_amounts_in_what_is_to_be_done(self) -> None:
        """Where no list has them they are opened; where one has, they would be counted twice."""
        meat, deed = (
            "4 salmon fillets (about 600 g)\n",
            "Whisk together 60 ml soy sauce, 2 tbsp honey and the juice of 1 lime. Leave.",
        )
        alone = read_any(f"Sticky salmon\n\n{meat}{deed}", KITCHEN)
        self.assertEqual(mix_of(alone), ["60 ml soy sauce", "2 tbsp honey", "juice of 1 lime"])
        listed = read_any(f"Sticky salmon\n\n{meat}60 ml soy sauce\n2 tbsp honey\n{deed}", KITCHEN)
        self.assertEqual(mix_of(listed), ["60 ml soy sauce", "2 tbsp honey"])
        self.assertIn("Whisk together", " ".join(listed.notes))

    def test_what_is_taken_together_is_told(self) -> None:
        """Two parts that are one mix now are named, whatever their headings say."""
        found = read_any(
            "First marinade: 1 tbsp lemon juice, 1 tsp salt, 1 tsp turmeric\n1 kg chicken thighs\n"
            "Second marinade: 200 g yoghurt, 1 tsp cumin, 1 tsp chilli powder",
            KITCHEN,
        )
        self.assertIn("Taken as one mix", " ".join(found.notes))

    def test_a_table_without_a_frame(self) -> None:
        """Bars between the cells alone; its head is no name, and a row of times is no ingredient."""
        found = read_any(
            "Ingredient | Amount | Notes\n--- | --- | ---\nFlank steak | 700 g | trimmed\nSoy sauce | 60 ml |\n"
            "Brown sugar | 2 tbsp | packed",
            KITCHEN,
        )
        self.assertEqual((found.draft.name, found.draft.cut.kind), ("", "beef_flank"))
        self.assertEqual(mix_of(found), ["Soy sauce, 60 ml", "Brown sugar, 2 tbsp, packed"])

    def test_amounts_on_lines_of_their_own(self) -> None:
        """Copied out of two columns: each goes with the name after it, or with the one before."""
        after = read_any(
            "Grilled rump\n\n2\nlamb rumps, about 250 g each\n\n60 ml\nolive oil\n\n1 tsp\nfine salt", KITCHEN
        )
        self.assertEqual((after.draft.cut.mass, mix_of(after)), ("500 g", ["60 ml olive oil", "1 tsp fine salt"]))
        before = read_any("Soy chops\n\nPork chops\n4 (1 kg)\nSoy sauce\n60 ml\nBrown sugar\n2 tbsp", KITCHEN)
        self.assertEqual((before.draft.cut.kind, before.draft.cut.mass), ("pork_chop_bone", "1 kg"))
        self.assertEqual(mix_of(before), ["60 ml Soy sauce", "2 tbsp Brown sugar"])

    def test_small_pictures(self) -> None:
        """Before each line and round the name: they say nothing."""
        found = read_any(
            "🌶️ SPICY SKEWERS 🌶️\n\n🥩 800g pork shoulder, cubed\n🧂 10g salt\n⭐️ 2 tsp dried oregano", KITCHEN
        )
        self.assertEqual(found.draft.name, "SPICY SKEWERS")
        self.assertEqual(mix_of(found), ["10g salt", "2 tsp dried oregano"])

    def test_rows_with_names_first(self) -> None:
        """In brackets, or under a name; a thickness behind the meat is no line; a brine of one thing is one."""
        beef = read_any("beef, thinly sliced 500 g\n(soy 60 ml, sake 30 ml, apple 50 g grated, garlic 5 g)", KITCHEN)
        self.assertEqual(mix_of(beef), ["soy 60 ml", "sake 30 ml", "apple 50 g grated", "garlic 5 g"])
        steaks = read_any(
            "Steaks: 2 x 300g sirloin, 3cm\nDry brine: 6g salt, overnight, uncovered\n"
            "Chimichurri: parsley 30g, oregano 5g, vinegar 30ml, oil 80ml",
            KITCHEN,
        )
        self.assertEqual((steaks.draft.cut.mass, steaks.draft.cut.thickness), ("600 g", "3cm"))
        self.assertEqual(mix_of(steaks), ["6g salt, overnight, uncovered"])
        self.assertEqual(list(beside(steaks)), ["Chimichurri"])

    def test_ratings_coatings_and_amounts_for_each_pound(self) -> None:
        """What readers gave it and what only coats are none of the mix, nor a sentence after the amounts."""
        found = read_any(
            "Lamb chops\n\n★★★★★ 4.8 (120)\n▢ 8 lamb chops (800g)\n▢ 150g thick yoghurt\n▢ 1 tsp turmeric\n"
            "▢ 5 tbsp cornflour – for coating",
            KITCHEN,
        )
        self.assertEqual(mix_of(found), ["150g thick yoghurt", "1 tsp turmeric"])
        self.assertIn("4.8 (120)", " ".join(found.notes))
        each = read_any(
            "For every pound of steak use:\n2 Tbsp soy\n1 Tbsp oil\n1 clove garlic\n\n3 lb sirloin steak", KITCHEN
        )
        self.assertEqual((each.draft.cut.kind, mix_of(each)[0]), ("beef_sirloin", "2 Tbsp soy per pound"))

    def test_about_in_one_letter(self) -> None:
        """About so much is "c. 1.4 kg"; "for 10 people" is no name of a dish."""
        found = read_any("For 10 people\n\n1 rabbit, jointed (c. 1.4kg)\n2 tsp salt\n3 tbsp mustard", KITCHEN)
        self.assertEqual((found.draft.cut.kind, found.draft.cut.mass), ("rabbit_jointed", "1.4kg"))
        self.assertEqual(found.draft.name, "")

    def test_all_that_is_needed_in_one_sentence(self) -> None:
        """Under a title: the cut, each amount, and what is to be done then, which is told as left out."""
        found = read_any(
            "Prawns, garlic and chilli\n\nYou need 500g raw king prawns, peeled and deveined (tails left on), 4 fat "
            "cloves garlic, 1 red chilli, 3 tbsp olive oil, a squeeze of lemon, good pinch of flaky salt. Toss it all "
            "together and leave 20-30 minutes before it hits the grill.",
            KITCHEN,
        )
        wanted = ["4 fat cloves garlic", "1 red chilli", "3 tbsp olive oil", "a squeeze of lemon"]
        self.assertEqual(mix_of(found), [*wanted, "good pinch of flaky salt"])
        self.assertEqual((found.draft.cut.kind, found.draft.cut.mass), ("prawn_peeled", "500g"))
        self.assertIn("Toss it all together", " ".join(found.notes))

    def test_in_a_bowl(self) -> None:
        """What is done in a bowl says again what is listed, and is told as left out."""
        found = read_any(
            "5 lb boneless leg of lamb, butterflied\n1 1/2 cups yogurt\n1 tbsp salt\n\n"
            "In a large bowl whisk together yogurt and salt. Add lamb. Refrigerate 8 to 24 hours.",
            KITCHEN,
        )
        self.assertEqual(mix_of(found), ["1 1/2 cups yogurt", "1 tbsp salt"])
        self.assertIn("In a large bowl", " ".join(found.notes))

    def test_so_much_of_each_behind_their_names(self) -> None:
        """With what is done to both."""
        found = read_any("400 g paneer\nHung curd - 1 cup\nCapsicum and onion - 1 each, cut into squares", KITCHEN)
        self.assertEqual(len(found.draft.mix), 3)
        self.assertEqual(mix_of(found)[1:], ["1 Capsicum, cut into squares", "1 onion, cut into squares"])

    def test_amounts_in_brackets_behind_a_sauce(self) -> None:
        """Soy sauce is none of what goes beside the mix, though a sauce is."""
        found = read_any(
            "Ingredients (serves 2)\nSalmon fillets (2 x 140g)\nSoy sauce (45ml)\nMirin (45ml)\nSugar (1 tbsp)", KITCHEN
        )
        self.assertEqual(mix_of(found), ["Soy sauce (45ml)", "Mirin (45ml)", "Sugar (1 tbsp)"])
        self.assertEqual(beside(found), {})

    def test_a_title_that_names_the_mix(self) -> None:
        """It is the dish's name, drawn under or not, with a gap or none."""
        for rule in ("", "=================\n", "\n"):
            with self.subTest(rule):
                found = read_any(f"Bistecca marinade\n{rule}2 T-bone steaks (700g each)\n4 tbsp olive oil", KITCHEN)
                self.assertEqual(found.draft.name, "Bistecca marinade")
                self.assertEqual(mix_of(found), ["4 tbsp olive oil"])

    def test_deeds_are_left_out_and_told(self) -> None:
        """Whatever they begin with."""
        for deed in (
            "Heat half the water with the salt. Cool.",
            "Shape round skewers, chill 1 hr.",
            "Whizz the lot.",
            "pound roots and garlic; rub; 4 h",
            "Weigh down, 36-48 hours, turning twice.",
        ):
            with self.subTest(deed):
                found = read_any(f"500g lamb mince\n1 tsp salt\n2 cloves garlic\n{deed}", KITCHEN)
                self.assertEqual(mix_of(found), ["1 tsp salt", "2 cloves garlic"])
                self.assertIn(deed.rstrip("."), " ".join(found.notes))

    def test_brine_of_a_cheese_is_no_deed(self) -> None:
        """It is asked about, not left out."""
        found = read_any("1 kg chicken thighs, bone-in\nbrine from 1 tub of feta (about 250 ml)\n2 tbsp oil", KITCHEN)
        self.assertEqual(mix_of(found), ["brine from 1 tub of feta (about 250 ml)", "2 tbsp oil"])

    def test_a_name_that_asks_which_cut(self) -> None:
        """It stays the name, and is asked about."""
        title = "Mojo marinade for pork (enough for a 3 kg shoulder)"
        found = read_any(f"{title}\n120 ml olive oil\n1 tbsp salt", KITCHEN)
        self.assertEqual(found.draft.name, title)
        self.assertIn("Which cut is", " ".join(found.notes))

    def test_a_recipe_in_running_sentences(self) -> None:
        """The cut and each amount are taken, and what else the sentences say is told, with gaps for them."""
        found = read_any(
            "Sticky soy chicken\n\nFor the marinade, whisk together 100 ml soy sauce, 2 tbsp honey and 1 tbsp rice "
            "vinegar. Add 4 crushed garlic cloves and a thumb of grated ginger. Pour over 1 kg chicken thighs and "
            "leave overnight in the fridge.",
            KITCHEN,
        )
        wanted = ["100 ml soy sauce", "2 tbsp honey", "1 tbsp rice vinegar", "4 crushed garlic cloves"]
        self.assertEqual(mix_of(found), [*wanted, "a thumb of grated ginger"])
        self.assertEqual((found.draft.cut.kind, found.draft.cut.mass), ("chicken_thigh", "1 kg"))
        self.assertIn("Pour over … and leave overnight in the fridge", " ".join(found.notes))

    def test_sentences_on_lines_of_their_own(self) -> None:
        """With the cut in the first, and what is not understood told."""
        found = read_any(
            "Take a 1.5 kg pork shoulder and score the fat. Pound 4 cloves of garlic with 30 g salt.\n"
            "Loosen with 3 tablespoons of olive oil, the same of cider and the juice of 2 lemons.\n"
            "Rub all over and leave for 24 hours. Roast at 150C for 5 hours.",
            KITCHEN,
        )
        amounts = ["4 cloves of garlic", "30 g salt", "3 tablespoons of olive oil", "juice of 2 lemons"]
        self.assertEqual(mix_of(found), amounts)
        self.assertEqual((found.draft.name, found.draft.cut.kind), ("", "pork_shoulder"))
        for told in ("the same of cider", "leave for 24 hours", "score the fat"):
            self.assertIn(told, " ".join(found.notes))

    def test_rows_of_amounts_are_no_sentences(self) -> None:
        """Their headings stay what they are."""
        found = read_any("1.5kg wings\nBrine: 1L water + 50g salt\n1st rub — 1 tsp paprika, 1 tsp cumin", KITCHEN)
        self.assertEqual(list(beside(found).values()), ["1 tsp paprika\n1 tsp cumin"])

    def test_sentences_in_one_row(self) -> None:
        """With a heading or none, before commas part them."""
        found = read_any(
            "Turkey legs: 2 turkey legs, 1.6 kg in total. Make a paste of 40 g butter, 4 garlic cloves, 10 sage leaves "
            "and 20 g salt. Push under the skin. Overnight.",
            KITCHEN,
        )
        self.assertEqual(mix_of(found), ["40 g butter", "4 garlic cloves", "10 sage leaves", "20 g salt"])
        self.assertEqual((found.draft.cut.mass, found.draft.cut.pieces), ("1.6 kg", "2"))
        tofu = read_any(
            "To make the tofu: press a 400 g block of firm tofu. Meanwhile, stir 3 tbsp soy sauce, 1 tbsp maple syrup, "
            "and 2 cloves of minced garlic together. Slice it 1 cm thick.",
            KITCHEN,
        )
        self.assertEqual(mix_of(tofu), ["3 tbsp soy sauce", "1 tbsp maple syrup", "2 cloves of minced garlic"])
        self.assertIn("Slice it 1 cm thick", " ".join(tofu.notes))

    def test_ingredients_in_one_row(self) -> None:
        """The first has its amount behind it, with a comma in its brackets."""
        found = read_any(
            "Salmon\n\nIngredients: salmon fillet (600 g, skin on), 50 ml soy sauce, 2 tbsp mirin, thumb of ginger\n\n"
            "Method: Mix the soy, mirin and ginger.",
            KITCHEN,
        )
        self.assertEqual(mix_of(found), ["50 ml soy sauce", "2 tbsp mirin", "thumb of ginger"])
        self.assertEqual((found.draft.cut.kind, found.draft.cut.mass), ("salmon_fillet", "600 g"))

    def test_so_much_for_each_piece(self) -> None:
        """For as many as there are, and that is told; asked about where nobody says how many."""
        rub = "1 tbsp ground coffee\n1 tsp kosher salt per steak"
        found = read_any(f"2 flat iron steaks, 225 g each, 2 cm\n{rub}", KITCHEN)
        self.assertEqual(mix_of(found), ["1 tbsp ground coffee", "2 tsp kosher salt"])
        self.assertIn("“1 tsp kosher salt per steak” is taken as 2 tsp kosher salt, for 2.", found.notes)
        self.assertEqual(mix_of(read_any(f"450 g flat iron steak\n{rub}", KITCHEN))[1], "1 tsp kosher salt per steak")

    def test_a_title_that_asks_is_no_part(self) -> None:
        """It is not told as one that was taken together with the rubs."""
        found = read_any(
            "Smoky ribs — 2 racks (about 1.8 kg in all)\n\nWet rub\n3 Tbsp Dijon\nDry rub\n1 Tbsp salt\n2 tsp cumin",
            KITCHEN,
        )
        told = next(note for note in found.notes if note.startswith("Taken as one mix"))
        self.assertNotIn("under no heading", told)


class Afterwards(unittest.TestCase):
    """One list for all of a dish: what its directions name only after the hold is none of the mix."""

    def later(self, listed: str, directions: str) -> tuple[list[str], str]:
        """The lines of the mix, and what goes beside it after the hold."""
        found = read_any(f"Supper\n\n{listed}\n\n{directions}", KITCHEN)
        return mix_of(found), beside(found).get("after the hold", "")

    def test_what_is_named_only_then(self) -> None:
        """By its last word, or by the one before it where several end alike; what is not known to the pantry, too."""
        rub = "2 Tbsp. kosher salt\n1 Tbsp. light brown sugar\n1 tsp. dried sage"
        turkey = f"1 turkey breast (5 lb.)\n{rub}\n4 Tbsp. unsalted butter, softened\n1 cup chicken stock\n1/2 cup feta"
        mix, after = self.later(
            turkey,
            "1. Combine the salt, sugar and sage. Rub all over the turkey and refrigerate 1 to 2 days.\n"
            "2. Spread with the butter, pour the stock in the pan, and roast.\n3. Top with feta and more sage.",
        )
        self.assertEqual(mix, rub.splitlines())
        self.assertEqual(after.splitlines(), turkey.splitlines()[4:])
        mix, after = self.later(
            "400 g firm tofu\n3 tbsp soy sauce\n1 tbsp olive oil\n1 tbsp sesame oil\n1 tbsp lime juice",
            "Marinate the tofu in the soy sauce and olive oil for 30 minutes. Grill; dress with sesame oil and lime.",
        )
        self.assertEqual(
            (mix, after), (["3 tbsp soy sauce", "1 tbsp olive oil"], "1 tbsp sesame oil\n1 tbsp lime juice")
        )

    def test_so_many_of_the_first(self) -> None:
        """They are named by their number."""
        listed = "1 kg lamb leg steaks\n200 g yoghurt\n12 g salt\n2 tsp cumin\n2 tbsp oil\n1 lemon"
        for count in ("three", "3"):
            mix, after = self.later(
                listed, f"Combine the first {count} ingredients, add the lamb, chill. Fry in the oil, serve with lemon."
            )
            self.assertEqual((mix, after), (listed.splitlines()[1:4], "2 tbsp oil\n1 lemon"))

    def test_a_hold_that_is_announced(self) -> None:
        """It comes after what goes in is named."""
        mix, after = self.later(
            "1 kg lamb leg steaks\n200 g yoghurt\n12 g salt\n2 tbsp oil\n1 lemon",
            "Start by marinating the lamb. Mix the yoghurt with the salt, add the lamb and chill for 4 hours. Fry in "
            "the oil, serve with the lemon.",
        )
        self.assertEqual((mix, after), (["200 g yoghurt", "12 g salt"], "2 tbsp oil\n1 lemon"))

    def test_what_is_named_before_or_nowhere_stays(self) -> None:
        """Nor is anything parted where all goes in together, where few are named, or where nothing is held."""
        lamb = "1 kg lamb leg steaks\n100 ml red wine\n3 tbsp olive oil\n1 tbsp rosemary\n10 g salt"
        for directions in (
            "Put everything in a bag and marinate overnight. Grill, sprinkle with salt and rosemary.",
            "Mix the wine and oil with all the other ingredients, chill the lamb in it. Add rosemary and salt.",
            "Mix all the marinade ingredients, add the lamb and chill for 4 hours. Brush with oil and grill.",
            "Marinate the lamb overnight. Grill with the oil, rosemary and salt.",
            "Mix the wine, oil and salt, coat the lamb. Grill, scatter with rosemary.",
            "Mix the wine, oil, rosemary and salt, chill the lamb in it overnight. Rest with a little oil and salt.",
            "Whisk together the first 4 ingredients, add the lamb and marinate overnight. Season with the salt, grill.",
        ):
            with self.subTest(directions=directions):
                self.assertEqual(self.later(lamb, directions), (lamb.splitlines()[1:], ""))

    def test_amounts_that_only_the_directions_tell(self) -> None:
        """Of what the list names alone, up to the hold; with the kind that the list names, and told."""
        listed = "8 chicken thighs\n3 tbsp harissa\nKosher salt\nBlack pepper\n\n"
        found = read_any(
            f"{listed}Stir together the harissa and 2 teaspoons salt; coat the chicken. Chill 1 hour. Roast, and "
            "finish with 1 teaspoon pepper.",
            KITCHEN,
        )
        self.assertEqual(mix_of(found), ["3 tbsp harissa", "2 teaspoons kosher salt"])
        self.assertIn("“Kosher salt” is taken as 2 teaspoons kosher salt, as its directions say.", found.notes)
        self.assertEqual(beside(found), {"after the hold": "Black pepper"})
        silent = read_any(f"{listed}Mix the harissa and salt. Chill 1 hour.", KITCHEN)
        self.assertEqual(mix_of(silent), ["3 tbsp harissa", "Black pepper"])
        self.assertIn("Kosher salt", " ".join(silent.notes))

    def test_meat_that_only_the_directions_tell(self) -> None:
        """Taken, and told; not where the list has it already."""
        listed = "3 tbsp olive oil\n2 tsp oregano\n10 g salt\n\n"
        found = read_any(f"{listed}Whisk it. Pour over four chicken breasts (800 g) and chill for 3 hours.", KITCHEN)
        self.assertEqual((found.draft.cut.kind, found.draft.cut.mass), ("chicken_breast", "800 g"))
        self.assertIn("“four chicken breasts (800 g)” stands in its directions, and is taken as the cut.", found.notes)
        own = read_any(
            f"1 kg lamb chops\n{listed}Whisk it, chill 3 hours. You could use 2 chicken breasts for it.", KITCHEN
        )
        self.assertEqual(own.draft.cut.kind, "lamb_chop")
        self.assertNotIn("is taken as the cut", " ".join(own.notes))
        asked = read_any(
            f"1 kg ribs\n{listed}Whisk it, chill 3 hours. You could use 2 chicken breasts for it.", KITCHEN
        )
        self.assertEqual((asked.draft.cut.kind, asked.meat_line), ("", "1 kg ribs"))

    def test_a_sentence_is_no_heading(self) -> None:
        """It was taken for one over nothing, and lost; what is squeezed or topped is a deed."""
        found = read_any("1 kg lamb chops\n10 g salt\n2 tbsp oil\n\nGrill it.\nTop with feta and parsley.", KITCHEN)
        self.assertIn("Top with feta and parsley", " ".join(found.notes))
        over_nothing = read_any("1 kg lamb chops\n10 g salt\n\nGrill it.\nTop with crumbled feta cheese", KITCHEN)
        self.assertIn("Top with crumbled feta cheese", " ".join(over_nothing.notes))
        squeezed = read_any("1 kg lamb chops\n2 lemons\n10 g salt\n\nSqueeze one lemon. Toss with the salt.", KITCHEN)
        self.assertEqual(mix_of(squeezed), ["2 lemons", "10 g salt"])


class WhatItIsCutInto(unittest.TestCase):
    """Said behind a name without a comma, and a label before the meat."""

    def test_in_rings(self) -> None:
        """The piece that was bought is weighed, however it is cut."""
        for line, grams in (
            ("2 onions in rings", 300),
            ("1 leek cut into thin strips", 100),
            ("3 shallots cut in half", 75),
        ):
            portion = portion_of(LineInput("1", line), KITCHEN.pantry)
            self.assertAlmostEqual(portion.mass_kg.value * 1000, grams, delta=1)

    def test_a_label_before_the_meat(self) -> None:
        """It is no word of the cut."""
        found = read_any("Fish: 2 whole sea bream, about 500 g each, gutted\nMarinade: 30 ml oil, 10 g salt", KITCHEN)
        self.assertEqual((found.draft.cut.kind, found.draft.cut.pieces), ("whole_fish", "2"))


if __name__ == "__main__":
    unittest.main()
