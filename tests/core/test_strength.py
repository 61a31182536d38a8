"""Bottles and tubs whose strength is said: acid of vinegar, fat of dairy, alcohol of drinks.

Sources: spirit vinegar is sold at 5 to 10 %, essence at 25 to 80 % (common practice, no source); a litre of beer of
5 % vol holds 39 g of ethanol, whose density is 0.789 (from memory); pH of 0.83 and 1.67 mol/l acetic acid 2.42 and 2.26
(half the sum of pKa 4.76 and minus log c, from memory).
"""

from __future__ import annotations

import unittest

from hypothesis import given
from hypothesis import strategies as st

from vadouvan.core.draft.typed import LineInput
from vadouvan.core.interpretation.line import portion_of
from vadouvan.core.mix.balance import balance_of
from vadouvan.core.parsing.amount import Portion
from vadouvan.data.tables import shipped_kitchen
from vadouvan.errors import InputError

PANTRY = shipped_kitchen().pantry


def portion(text: str) -> Portion:
    """The portion that a line means."""
    return portion_of(LineInput("1", text), PANTRY)


class Strength(unittest.TestCase):
    """What stands beside a name in per cent, wherever cooks put it."""

    def test_wherever_it_stands(self) -> None:
        """Before the name, behind it, in brackets, before or behind the amount."""
        for line in ("50 ml 9% vinegar", "Vinegar 9% - 50 ml", "vinegar (9 %), 50 ml", "9% vinegar 50 ml",
                     "50 ml vinegar, 9% acidity"):  # fmt: skip
            with self.subTest(line):
                found = portion(line)
                self.assertAlmostEqual(found.ingredient.acid.value, 0.09)
                self.assertEqual(found.ingredient.name, "Vinegar, 9 %")
                self.assertAlmostEqual(found.mass_kg.value, 0.0503, places=4)
                self.assertFalse(found.guessed)

    def test_sourness_goes_by_it(self) -> None:
        """Twice as strong brings twice the acid, and a pH as a weak acid's; all shares still make one."""
        five, ten = (balance_of([portion(f"100 g white vinegar {share}%")], 1.0) for share in (5, 10))
        self.assertAlmostEqual(ten.total("acid").value, 2 * five.total("acid").value)
        assert five.ph is not None
        assert ten.ph is not None
        self.assertAlmostEqual(five.ph, 2.42, delta=0.1)
        self.assertAlmostEqual(five.ph - ten.ph, 0.16, delta=0.03)
        self.assertAlmostEqual(portion("1 tbsp 70% vinegar essence").ingredient.acid.value, 0.7)
        as_sold = PANTRY.by_id["vinegar_white5"]
        self.assertAlmostEqual(portion("50 ml vinegar 5%").ingredient.water, as_sold.water)

    def test_fat_of_dairy_and_alcohol_of_drinks(self) -> None:
        """The rest is made up as it was; alcohol is said by volume."""
        lean, fat = portion("200 g yogurt 0%").ingredient, portion("200 g 10% fat yoghurt").ingredient
        self.assertEqual((lean.fat, fat.fat), (0.0, 0.1))
        self.assertGreater(lean.water, fat.water)
        self.assertGreater(lean.acid.value, fat.acid.value)
        beer = portion("beer 5% vol 1 l")
        self.assertAlmostEqual(beer.ingredient.alcohol * beer.mass_kg.value, 0.039, delta=0.001)
        self.assertLess(portion("500 ml beer 0.5%").ingredient.alcohol, 0.005)

    def test_what_has_no_strength_is_read_as_before(self) -> None:
        """A share of the meat is one; all of a juice is juice; of what it is has to be said."""
        self.assertAlmostEqual(portion_of(LineInput("1", "2 % salt of the meat"), PANTRY, 1.0).mass_kg.value, 0.02)
        self.assertEqual(portion("100% pineapple juice 200 ml").ingredient.id, "pineapple_juice_canned")
        for line in ("2% salt", "5% brine, 2 litres", "50 ml vinegar 95%", "50 ml vinegar essence"):
            with self.subTest(line), self.assertRaises(InputError):
                portion(line)

    @given(st.floats(2, 80), st.sampled_from(("white vinegar", "cider vinegar", "rice vinegar", "balsamic vinegar")))
    def test_shares_stay_shares(self, percent: float, name: str) -> None:
        """Never less than nothing or more than all, and sourer the stronger it is."""
        item = portion(f"100 g {name} {percent:.1f}%").ingredient
        self.assertTrue(all(0 <= share <= 1 for share in (item.water, item.acid.value, item.acids.acetic)))
        self.assertLessEqual(item.water + item.sugar.value + item.acid.value, 1.0)


if __name__ == "__main__":
    unittest.main()
