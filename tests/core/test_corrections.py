"""After tasting: each addition does what it says, by mass balance worked out again from its text."""

from __future__ import annotations

import unittest
from collections.abc import Callable

from hypothesis import given, settings
from hypothesis import strategies as st

from tests import drawn
from tests.drafts import NOW, steak
from tests.mixes import ITEMS, KITCHEN, PANTRY, portions, salty
from vadouvan.core.advice.corrections import TIMES_TOO_MUCH, Correction, Degree, Taste, corrections
from vadouvan.core.advice.tasted import corrections_for
from vadouvan.core.mix.balance import Film
from vadouvan.core.pantry.ingredient import Ingredient
from vadouvan.core.parsing.amount import Portion
from vadouvan.errors import InputError

MIX = ("60 g soy sauce", "30 g lemon juice", "20 g honey", "2 g cayenne", "40 g olive oil", "50 g yoghurt")
OF: dict[str, Callable[[Ingredient], float]] = {
    "too_salty": lambda item: item.salt.value,
    "too_sweet": lambda item: item.sugar.value,
    "too_sour": lambda item: item.acid.value,
    "too_hot": lambda item: item.heat_shu.value,
}


def found(taste: Taste, degree: Degree = "clearly", *mix: str) -> list[Correction]:
    """Corrections of a mix on a kilogram of meat."""
    return corrections(portions(*(mix or MIX)), 1.0, Film(), taste, degree, PANTRY)


def strength(mix: list[Portion], taste: str) -> float:
    """Of the taste, per kg of mix."""
    return sum(OF[taste](p.ingredient) * p.mass_kg.value for p in mix) / sum(p.mass_kg.value for p in mix)


class Diluted(unittest.TestCase):
    """Exact ones."""

    @settings(max_examples=drawn(60))
    @given(
        st.sampled_from(sorted(OF)),
        st.sampled_from(sorted(TIMES_TOO_MUCH)),
        st.lists(st.sampled_from(MIX), min_size=2, max_size=6, unique=True),
    )
    def test_each_brings_the_mix_to_where_it_says(self, taste: str, degree: str, mix: list[str]) -> None:
        """The line added, read back, leaves the taste weaker by the factor of its degree, within rounding."""
        before = portions(*mix)
        for way in found(taste, degree, *mix):  # type: ignore[arg-type]
            if way.basis != "exact" or not way.text or way.id == "baking_soda":
                continue
            after = portions(*mix, way.text)
            wanted = strength(before, taste) / TIMES_TOO_MUCH[degree]  # type: ignore[index]
            self.assertAlmostEqual(strength(after, taste) / wanted, 1, delta=0.02, msg=way.says)

    def test_what_is_in_the_mix_comes_first(self) -> None:
        """Oil or yoghurt that is there already, before water that is not."""
        self.assertIn(found("too_salty")[0].id, ("oil_neutral", "yoghurt"))

    def test_effects_are_what_the_balance_says(self) -> None:
        """Before and after of the mix's weight differ by the grams added."""
        for way in found("too_salty"):
            if way.text:
                grams = float(way.text.split(" g ")[0])
                effect = next(effect for effect in way.effects if effect.what == "mix")
                self.assertAlmostEqual(effect.after - effect.before, grams, delta=0.06)

    def test_more_meat_is_always_a_way(self) -> None:
        """A quarter too salty: a quarter more meat, and nothing is added."""
        meat = next(way for way in found("too_salty") if way.id == "meat")
        self.assertEqual((meat.text, meat.says), ("", "250 g more meat in the same mix"))

    def test_nothing_hot_needs_no_cure(self) -> None:
        """No chilli, no way."""
        self.assertEqual(found("too_hot", "clearly", "60 g soy sauce", "30 g olive oil"), [])


class Masked(unittest.TestCase):
    """Rules of thumb."""

    def test_only_while_the_excess_is_small(self) -> None:
        """Sugar against a little too much salt; not against half as much again."""
        self.assertTrue(any(way.basis == "thumb" for way in found("too_salty", "a_little")))
        self.assertFalse(any(way.basis == "thumb" for way in found("too_salty", "far")))

    def test_acid_is_not_offered_against_salt(self) -> None:
        """It brightens, it takes none away."""
        ids = {way.id for degree in TIMES_TOO_MUCH for way in found("too_salty", degree)}
        self.assertFalse(ids & {"lemon_juice", "vinegar_cider"})

    def test_soda_takes_acid_away_mole_for_mole(self) -> None:
        """100 g of 5 % vinegar hold 83 mmol; a fifth off takes 1.4 g of soda (84.007 g/mol, atomic weights)."""
        soda = next(way for way in found("too_sour", "clearly", "100 g cider vinegar") if way.id == "baking_soda")
        grams = float(soda.text.split(" g ")[0])
        protons = ITEMS["vinegar_cider"].titratable * 0.1
        self.assertAlmostEqual(grams, protons * 0.2 * 84.007, delta=0.06)
        self.assertTrue(any(effect.what == "sodium" for effect in soda.effects))


class Texture(unittest.TestCase):
    """Too thick, too thin."""

    def test_loosening_adds_more_the_farther_off(self) -> None:
        """Water by degree."""
        grams = [
            float(next(way for way in found("too_thick", degree) if way.id == "water").text.split(" g ")[0])
            for degree in ("a_little", "clearly", "far")
        ]
        self.assertEqual(grams, sorted(grams))

    def test_thickening_boils_off_or_binds(self) -> None:
        """Boiling off, and something drier than the mix."""
        ways = {way.id: way for way in found("too_thin", "clearly")}
        self.assertIn("boil", ways)
        self.assertIn("then cool it to 5 C", ways["boil"].says)
        self.assertIn("cornflour", ways)


class Asked(unittest.TestCase):
    """Over a whole draft."""

    def test_a_draft_that_cannot_be_judged_says_why(self) -> None:
        """Nothing in the mix, or a bad line."""
        for mix in ((), ("3 handfuls",)):
            with self.assertRaises(InputError):
                corrections_for(steak(*mix), KITCHEN, now=NOW, taste="too_salty", degree="far")

    def test_effects_are_per_kilogram_of_meat(self) -> None:
        """Salt a kilogram of meat does not change by adding water."""
        water = next(
            way
            for way in corrections_for(salty(), KITCHEN, now=NOW, taste="too_salty", degree="far")
            if way.id == "water"
        )
        self.assertNotIn("salt", [effect.what for effect in water.effects])
