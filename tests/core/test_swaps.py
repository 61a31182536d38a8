"""Swaps keep what they say they keep, and tell allergens and enzymes."""

from __future__ import annotations

import unittest

from hypothesis import given, settings
from hypothesis import strategies as st

from tests import drawn
from tests.drafts import NOW, steak
from tests.mixes import ITEMS, KITCHEN, portions, salty
from vadouvan.core.advice.swaps import KEPT, MixToSwapIn, SwapOffer, swaps_for
from vadouvan.core.advice.tasted import swaps_of_line
from vadouvan.core.mix.balance import Film
from vadouvan.core.mix.measure import weighed_text
from vadouvan.core.pantry.swap import Swap
from vadouvan.errors import InputError

EQUAL = [swap for swap in KITCHEN.swaps if swap.rule != "by_weight"]


def offers(text: str, *others: str, without: frozenset[str] = frozenset()) -> list[SwapOffer]:
    """Swaps of a line on a kilogram of meat, among other lines."""
    mix = tuple(portions(text, *others))
    return swaps_for(mix[0], MixToSwapIn(mix, 1.0, Film()), KITCHEN.swaps, ITEMS, without)


class Kept(unittest.TestCase):
    """Equal salt is equal salt."""

    @settings(max_examples=drawn(120))
    @given(st.sampled_from(EQUAL), st.floats(5, 500))
    def test_every_swap_of_the_table_keeps_its_quantity(self, swap: Swap, grams: float) -> None:
        """The texts of an offer, read back, hold what the line held of the quantity, within rounding."""
        line = weighed_text(ITEMS[swap.swap_from], grams / 1000)
        had = portions(line)[0]
        for offer in offers(line):
            if offer.rule == "by_weight":
                continue
            kept = KEPT[offer.rule]
            has = sum(kept(new.ingredient) * new.mass_kg.value for new in portions(*offer.texts))
            smallest = min(new.mass_kg.value for new in portions(*offer.texts))
            self.assertAlmostEqual(
                has / (kept(had.ingredient) * had.mass_kg.value), 1, delta=0.01 + 0.00006 / smallest, msg=offer.says
            )

    def test_soy_for_salt(self) -> None:
        """12 g of salt at 98.5 % are 82.7 g of soy at 14.3 % (arithmetic)."""
        soy = next(offer for offer in offers("12 g table salt") if offer.id.endswith("__soy_regular"))
        self.assertEqual(soy.texts, ("82.7 g soy sauce",))
        self.assertEqual(soy.gains, ("gluten", "soy"))

    def test_vinegar_for_lemon_is_equal_by_titration(self) -> None:
        """Equal protons, not equal grams of acid."""
        vinegar = next(offer for offer in offers("30 g lemon juice") if offer.rule == "equal_acid")
        new = portions(*vinegar.texts)
        protons = sum(part.ingredient.titratable * part.mass_kg.value for part in new)
        self.assertAlmostEqual(protons, ITEMS["lemon_juice"].titratable * 0.030, delta=2e-4)


class Allergens(unittest.TestCase):
    """What a swap brings and takes away."""

    def test_without_an_allergen(self) -> None:
        """No offer for soy sauce holds soy, named or possible, when soy is not wanted."""
        found = offers("60 g soy sauce", without=frozenset({"soy"}))
        self.assertTrue(found)
        for offer in found:
            for part in portions(*offer.texts):
                self.assertNotIn("soy", (*part.ingredient.allergens, *part.ingredient.allergens_to_check), offer.says)

    def test_gains_and_losses(self) -> None:
        """Tahini to peanut butter: sesame goes, peanut comes."""
        peanut = next(offer for offer in offers("30 g tahini") if offer.id.endswith("peanut_butter"))
        self.assertEqual((peanut.gains, peanut.loses), (("peanut",), ("sesame",)))

    def test_what_the_label_has_to_say_is_not_counted_as_lost(self) -> None:
        """Tamari may hold wheat: gluten is not lost, the label is to be read."""
        tamari = next(offer for offer in offers("60 g soy sauce") if offer.id.endswith("__tamari"))
        self.assertNotIn("gluten", tamari.loses)
        self.assertIn("gluten", tamari.check)


class Enzymes(unittest.TestCase):
    """What becomes of a live enzyme."""

    def test_fresh_for_canned(self) -> None:
        """Nothing softens."""
        canned = next(offer for offer in offers("100 g pineapple") if "canned" in offer.id)
        self.assertIn("No live enzyme left", canned.enzyme_says)

    def test_another_fruit_at_equal_enzyme(self) -> None:
        """As much of it: once the enzyme."""
        kiwi = next(offer for offer in offers("100 g pineapple") if offer.id.endswith("kiwi_green"))
        self.assertIn("1 times the enzyme", kiwi.enzyme_says)


class Asked(unittest.TestCase):
    """Over a whole draft."""

    def test_a_line_that_is_not_there(self) -> None:
        """Told."""
        with self.assertRaises(InputError):
            swaps_of_line(salty(), KITCHEN, now=NOW, line_id="99")

    def test_water_has_no_swap(self) -> None:
        """Nothing known stands in."""
        self.assertEqual(swaps_of_line(steak("100 g water", "12 g salt"), KITCHEN, now=NOW, line_id="1"), [])
