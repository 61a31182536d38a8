"""Nothing of a line or a cut is dropped or guessed unmarked: it is read as said, or asked.

Source: common practice, no source; the grams follow from the pantry's own densities and piece weights.
"""

from __future__ import annotations

import csv
import unittest
from pathlib import Path

from vadouvan.core.draft.typed import LineInput
from vadouvan.core.interpretation.mix import portion_of
from vadouvan.core.measures.quantity import MASS, quantity
from vadouvan.core.parsing.amount import Portion
from vadouvan.core.parsing.cut_name import cut_named
from vadouvan.data.tables import shipped_kitchen
from vadouvan.errors import InputError

KITCHEN = shipped_kitchen()
CASES = Path(__file__).resolve().parent.parent / "cases" / "language"

READ = (
    # a state counts wherever it stands
    ("2 tsp thyme, dried", "thyme_dried"),
    ("1 tbsp paprika, smoked", "paprika_smoked"),
    ("200 g pineapple, canned", "pineapple_canned"),
    ("100 ml pineapple juice, fresh", "pineapple_juice_fresh"),
    ("3 tbsp lime juice (bottled)", "lime_juice_bottled"),
    ("1 tsp pepper, cayenne", "cayenne"),
    # an amount behind its name
    ("fish sauce, 2 tbsp", "fish_sauce"),
    ("Honey: 30 g", "honey"),
    ("lemon juice from 1 lemon", "lemon_juice"),
    # names by region and form
    ("1 tsp jeera powder", "cumin"),
    ("3 green onions", "scallion"),
    ("1 tsp crushed red pepper", "chilli_flakes"),
    ("10 g ground cayenne", "cayenne"),
)
ASKED = (
    "6 dried chillies",  # fresh ones are known; these are not
    "1 kg fresh tomatoes, canned",
    "1 tsp salt, 5 g sugar",
    "4 cloves garlic, 2 shallots and 3 chillies",
    "1/2 tsp saffron, steeped in 2 tbsp water",
    "1 lemon, zest and juice",
    "1 cup dashi",  # no way to spell yoghurt
    "half a pineapple",  # a slice of one is known, a whole one is not
    "400 g tin chopped tomatoes",
)
CUTS = (
    ("1 kg chicken breast, cubed", "chicken_breast_cubes"),
    ("1.2 kg chicken thighs, bone in", "chicken_thigh_bone"),
    ("2 kg leg of lamb", "lamb_leg_bone"),  # a joint, not a butterflied leg
    ("1 kg beef shin", "beef_shin"),
    ("800 g lamb shoulder chops", None),
    ("600 g pork belly cubes", "pork_belly"),
    ("1.5 kg lamb ribs", "lamb_ribs"),
    ("1 kg chicken breast or lamb leg", None),
)


def portion(text: str) -> Portion:
    """A line as the kitchen reads it."""
    return portion_of(LineInput("1", text), KITCHEN.pantry)


class Lines(unittest.TestCase):
    """One line at a time."""

    def test_read_as_said(self) -> None:
        """The state, the order, the name of the region."""
        for text, wanted in READ:
            with self.subTest(text):
                self.assertEqual(portion(text).ingredient.id, wanted)

    def test_asked_rather_than_guessed(self) -> None:
        """Something else, or half of it, would be read otherwise; what would do is said."""
        for text in ASKED:
            with self.subTest(text), self.assertRaises(InputError) as caught:
                portion(text)
            self.assertTrue(caught.exception.accepted, text)

    def test_a_weight_in_brackets_counts(self) -> None:
        """More than the pieces before it."""
        self.assertAlmostEqual(portion("4 cloves (12 g) garlic").mass_kg.value, 0.012)

    def test_thousands_and_decimals(self) -> None:
        """By the unit they stand with."""
        self.assertAlmostEqual(portion("1,100 g yoghurt").mass_kg.value, 1.1)
        self.assertAlmostEqual(portion("1,250 kg yoghurt").mass_kg.value, 1.25)
        self.assertAlmostEqual(portion("2,5 g salt").mass_kg.value, 0.0025)

    def test_every_name_of_the_pantry_reads_as_itself(self) -> None:
        """Each name and each alias, in grams."""
        for name, identity in KITCHEN.pantry.by_name.items():
            with self.subTest(name):
                self.assertEqual(KITCHEN.pantry.find((name,), field="mix.1", given=name).id, identity)


def corpus(name: str) -> list[dict[str, str]]:
    """Rows of a table of what cooks write, with what it means."""
    with (CASES / f"{name}.csv").open(encoding="utf-8", newline="") as table:
        return list(csv.DictReader(table))


class Cuts(unittest.TestCase):
    """A cut with its weight."""

    def test_named_or_asked(self) -> None:
        """Another part, another way of cutting, two animals: none, and it is asked."""
        for text, wanted in CUTS:
            with self.subTest(text):
                named = cut_named(text, KITCHEN.cuts)
                self.assertEqual(named.kind if named else None, wanted)

    def test_phrases_of_shopping_lists(self) -> None:
        """Each of the corpus, with its weight and its count (``tests/cases/language``; written for this product)."""
        for row in corpus("cuts"):
            named = cut_named(row["phrase"], KITCHEN.cuts)
            with self.subTest(row["phrase"]):
                if row["expect"] == "ask":
                    self.assertIsNone(named)
                    continue
                assert named is not None
                known = [one for one in row["cut_ids"].split("|") if not one.startswith("new:")]
                self.assertTrue(named.kind in known or "new:" in row["cut_ids"], named)
                self.assertEqual(bool(named.mass), bool(row["mass_g_low"]))
                if named.mass:
                    low, high = float(row["mass_g_low"]), float(row["mass_g_high"])
                    self.assertTrue(low * 0.99 <= quantity(named.mass, MASS, field="x") * 1000 <= high * 1.01, named)
                if row["pieces"] and row["pieces"] != "1":
                    self.assertEqual(named.pieces, row["pieces"])

    def test_the_size_of_the_cubes_is_kept(self) -> None:
        """As thickness."""
        named = cut_named("1 kg chicken breast, cut in 3 cm cubes", KITCHEN.cuts)
        assert named is not None
        self.assertEqual((named.kind, named.thickness), ("chicken_breast_cubes", "3 cm"))


if __name__ == "__main__":
    unittest.main()
