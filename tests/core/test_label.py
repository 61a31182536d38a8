"""Own ingredients from nutrition labels, and pasted lists."""

from __future__ import annotations

import unittest
from collections import Counter
from dataclasses import replace

import molmass
from hypothesis import given
from hypothesis import strategies as st

from tests.mixes import ITEMS, KITCHEN
from vadouvan.core.constants import SODIUM_SHARE_OF_SALT
from vadouvan.core.parsing.label import (
    ALLERGENS,
    LabelInput,
    LabelInterpretation,
    as_label,
    read_label,
    readable_labels,
)
from vadouvan.errors import InputError
from vadouvan.formats.ingredient_list import recipe_of

JAR = (
    "Energy 420 kJ / 100 kcal, Fat 1,5 g of which saturates 0.2 g, Carbohydrate 8 g of which sugars 6.5 g, "
    "Protein 7 g, Salt 14 g"
)


def read(label: str, **said: str) -> LabelInterpretation:
    """The reading of a label called jar."""
    return read_label(LabelInput(**{"name": "jar", "label": label, **said}), "1", ITEMS)


class Labels(unittest.TestCase):
    """What a label says, and what is assumed."""

    def test_per_100_g(self) -> None:
        """Figures in grams; energy passed over, saturates not taken for fat, a decimal comma read."""
        item = read(JAR, basis="per_100g").ingredient
        found = [item.salt.value, item.sugar.value, item.fat, item.protein]
        for ours, theirs in zip(found, (0.14, 0.065, 0.015, 0.07), strict=True):
            self.assertAlmostEqual(ours, theirs)
        self.assertAlmostEqual(item.water, 1 - 0.14 - 0.08 - 0.015 - 0.07)

    def test_sodium_is_salt_times_2_54(self) -> None:
        """Molar masses by a chemistry library (molmass): sodium is 39.34 % of salt."""
        share = molmass.Formula("Na").mass / molmass.Formula("NaCl").mass
        self.assertAlmostEqual(SODIUM_SHARE_OF_SALT.value, share, delta=1e-4)
        self.assertAlmostEqual(read("Sodium 400 mg", basis="per_100g").ingredient.salt.value, 0.004 / share, delta=1e-6)

    def test_per_serving_and_per_100_ml(self) -> None:
        """18 g a serving; 100 ml of something like soy weigh 118 g."""
        serving = read("Serving size 1 tbsp (18 g), Sodium 920 mg, Total Fat 0 g", like="soy_regular")
        self.assertAlmostEqual(serving.ingredient.salt.value, 0.920 / 0.3934 / 18, delta=1e-5)
        self.assertIn("a serving is 18 g, as printed", serving.assumed)
        density = ITEMS["soy_regular"].density_kg_per_m3 / 1000
        by_volume = read("Salt 16 g", like="soy_regular", basis="per_100ml").ingredient
        self.assertAlmostEqual(by_volume.salt.value, 0.16 / density)

    def test_what_it_is_like_gives_the_rest(self) -> None:
        """Acids, pH, spoon weight, allergens; each told."""
        like = ITEMS["soy_regular"]
        reading = read("Salt 12 g, Sugars 2 g", like="soy_regular")
        item = reading.ingredient
        self.assertEqual((item.acids, item.ph, item.allergens), (like.acids, like.ph, like.allergens))
        self.assertEqual(item.spoon_density_kg_per_m3, like.spoon_density_kg_per_m3)
        for words in ("acids and pH like soy sauce", "fat 0 %", "allergens like soy sauce", "water"):
            self.assertTrue(any(words in told for told in reading.assumed), (words, reading.assumed))

    def test_a_printed_acid_is_shared_out_as_in_what_it_is_like(self) -> None:
        """4.2 % acid in a vinegar is acetic."""
        item = read("Salt 0 g, acid 4.2 g", like="vinegar_cider").ingredient
        self.assertAlmostEqual(item.acid.value, 0.042)
        self.assertGreater(item.acids.acetic, 0.9 * item.acid.value)

    def test_as_little_as_a_name(self) -> None:
        """Like another, or of no weight that matters; its allergens are asked, not borrowed."""
        said = LabelInput("quay soy", like="soy_regular")
        with self.assertRaisesRegex(InputError, "allergens are not known") as caught:
            read_label(said, "1", ITEMS)
        self.assertEqual(caught.exception.field, "allergens")
        like = read_label(replace(said, allergens="soy"), "1", ITEMS)
        self.assertEqual(like.ingredient.salt, ITEMS["soy_regular"].salt)
        self.assertEqual(like.ingredient.allergens, ("soy",))
        self.assertIn("every figure like", like.assumed[0])
        colour = read_label(LabelInput("slip red", basis="nothing", allergens="none"), "2", ITEMS).ingredient
        self.assertEqual((colour.salt.value, colour.acid.value, colour.enzyme, colour.allergens), (0, 0, None, ()))

    def test_bad_labels_are_told_with_what_would_do(self) -> None:
        """One sentence each, on the field that is wrong."""
        for field, wrong, said in (
            ("label", "do not fit into 15 g", {"label": "Serving 15 g, Sodium 20 g"}),
            ("label", "add up to", {"label": "Fat 60 g, Carbohydrate 50 g, Salt 1 g"}),
            ("label", "more sugar than carbohydrate", {"label": "Carbohydrate 5 g, Sugars 9 g, Salt 1 g"}),
            ("label", "neither salt nor sodium", {"label": "Fat 3 g"}),
            ("label", "No figure", {"label": "delicious"}),
            ("serving", "How much", {"label": "Salt 1 g", "basis": "per_serving"}),
            ("basis", "no basis", {"label": "Salt 1 g", "basis": "per jar"}),
            ("like", "not in the pantry", {"label": "Salt 1 g", "like": "unicorn"}),
            ("allergens", "not one of the 14", {"label": "Salt 1 g", "allergens": "walnut"}),
            ("name", "needs a name", {"label": "Salt 1 g", "name": " "}),
            ("label", "too long", {"label": "Salt 1 g" * 400}),
        ):
            with self.subTest(wrong=wrong), self.assertRaises(InputError) as caught:
                read_label(LabelInput(**{"name": "jar", **said}), "1", ITEMS)
            self.assertEqual(caught.exception.field, field)
            self.assertIn(wrong, str(caught.exception))
            self.assertTrue(caught.exception.accepted)

    @given(st.sampled_from(sorted(ITEMS)))
    def test_own_copies_start_from_what_ships(self, name: str) -> None:
        """A copy of any ingredient holds its salt, sugar and fat, or says that its parts do not add up."""
        item = ITEMS[name]
        copy = read_label(as_label(item), "1", ITEMS).ingredient
        for ours, theirs in (
            (copy.salt.value, item.salt.value),
            (copy.sugar.value, item.sugar.value),
            (copy.fat, item.fat),
        ):
            self.assertAlmostEqual(ours, theirs, delta=2e-4)

    def test_own_names_come_first_and_unread_labels_are_left_out(self) -> None:
        """A jar called soy sauce is the soy sauce from then on; a broken label harms nothing."""
        labels = [("1", LabelInput("soy sauce", "soy_regular", "per_100g", "", "Salt 18 g")), ("2", LabelInput("x"))]
        kitchen = KITCHEN.with_ingredients(readable_labels(labels, ITEMS))
        self.assertEqual(kitchen.pantry.find(["soy sauce"], field="mix.1", given="").id, "own-1")
        self.assertEqual(len(kitchen.pantry.by_id), len(ITEMS) + 1)

    def test_allergens_are_the_fourteen(self) -> None:
        """EU 1169/2011 annex II has 14 (from memory)."""
        self.assertEqual(len(set(ALLERGENS)), 14)


class Pasted(unittest.TestCase):
    """Lists as they are copied."""

    def titles(self, text: str) -> list[tuple[str, int]]:
        """Heading and number of lines of each mix."""
        found = recipe_of(text, KITCHEN)
        return [(mix.title, len(mix.lines)) for mix in (*found.mixes, *found.companions)]

    def test_two_mixes_under_headings(self) -> None:
        """With colons, with "for the", with marks of headings."""
        for text in (
            "Marinade:\n200 g yoghurt\n12 g salt\n\nSauce:\n3 tbsp tahini\n1 lemon",
            "For the marinade\n200 g yoghurt\n12 g salt\nFor the sauce\n3 tbsp tahini\n1 lemon",
            "## Marinade\n200 g yoghurt\n12 g salt\n## Sauce\n3 tbsp tahini\n1 lemon",
        ):
            self.assertEqual(
                [(title.lower(), lines) for title, lines in self.titles(text)], [("marinade", 2), ("sauce", 2)]
            )

    def test_two_full_lists_with_a_gap(self) -> None:
        """Salt in both: two mixes. Without anything in common: one list with a gap."""
        self.assertEqual(len(self.titles("2 tbsp miso\n1 tsp salt\n\n1 tbsp honey\n2 tsp salt")), 2)
        self.assertEqual(self.titles("2 tbsp miso\n1 tsp salt\n\n1 tbsp honey\n2 g ginger"), [("", 4)])

    def test_lines_that_only_look_like_headings_stay(self) -> None:
        """One about salt without an amount is none, and is told; one with a colon in the middle is a line."""
        self.assertEqual(recipe_of("salt to taste\n2 g pepper", KITCHEN).left_out, ("salt to taste",))
        self.assertEqual(self.titles("oil: 2 tbsp\n2 g pepper"), [("", 2)])

    @given(st.lists(st.sampled_from(["12 g salt", "2 tbsp honey", "1 lemon", "🍋", "3 handfuls"]), max_size=400))
    def test_no_line_is_lost(self, lines: list[str]) -> None:
        """300 lines or none, emoji or not."""
        found = recipe_of("\n".join(lines), KITCHEN)
        kept = [line for mix in found.mixes for line in mix.lines]
        self.assertEqual(kept, list(found.lines))
        self.assertEqual(Counter([*kept, *found.left_out]), Counter(lines))
