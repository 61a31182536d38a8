"""pH against published values of a reference chemistry library and typical values of foods."""

from __future__ import annotations

import unittest

from hypothesis import given
from hypothesis import strategies as st

from vadouvan.core.mix.acidity import Solution, mixed, solution_ph
from vadouvan.data.tables import shipped_kitchen

PANTRY = shipped_kitchen().pantry.by_id


class AgainstPublishedValues(unittest.TestCase):
    """Values computed by two chemistry libraries (pHcalc and chempy agree to 1e-4), as recorded."""

    def test_solutions(self) -> None:
        """Weak acids alone and mixed, with and without strong ions."""
        for acids, ions, expected in (
            ({"acetic": 0.8764}, 0.0, 2.4076),
            ({"citric": 0.3146}, 0.035, 2.2916),
            ({"lactic": 0.1}, 0.0, 2.4381),
            ({"malic": 0.05}, 0.0, 2.3692),
            ({"tartaric": 0.03}, 0.015, 2.9838),
            ({"acetic": 0.2, "citric": 0.1}, 0.05, 3.0537),
        ):
            with self.subTest(acids=acids):
                self.assertAlmostEqual(solution_ph(Solution(acids, ions)), expected, delta=5e-4)

    def test_pure_water_is_neutral(self) -> None:
        """PH 7 at 25 C. Source: handbook, from memory."""
        self.assertAlmostEqual(solution_ph(Solution({}, 0.0)), 7.0, delta=1e-6)


class Foods(unittest.TestCase):
    """Single ingredients give back their own typical pH; mixes lie between."""

    def test_single_sour_ingredients(self) -> None:
        """Lemon, vinegar, yoghurt, tamarind: within 0.3 of the table's typical pH."""
        for name in ("lemon_juice", "yoghurt", "buttermilk", "tamarind_paste", "kiwi_green", "mustard_dijon"):
            item = PANTRY[name]
            solution = mixed([(item, 1.0)])
            assert solution is not None
            assert item.ph is not None
            self.assertAlmostEqual(solution_ph(solution), item.ph, delta=0.3, msg=name)

    def test_oil_carries_no_acid(self) -> None:
        """Oil dilutes grams, not pH."""
        lemon, oil = PANTRY["lemon_juice"], PANTRY["oil_olive"]
        alone, with_oil = mixed([(lemon, 0.1)]), mixed([(lemon, 0.1), (oil, 0.3)])
        assert alone is not None
        assert with_oil is not None
        self.assertAlmostEqual(solution_ph(alone), solution_ph(with_oil), delta=1e-9)

    def test_dry_and_oily_mixes_have_none(self) -> None:
        """Without water there is no pH."""
        self.assertIsNone(mixed([(PANTRY["oil_olive"], 0.1)]))

    @given(st.floats(0.01, 1), st.floats(0.01, 1))
    def test_a_mix_lies_between_its_parts(self, lemon_kg: float, yoghurt_kg: float) -> None:
        """Two sour things mixed are no sourer than the sourer, no milder than the milder."""
        lemon, yoghurt = PANTRY["lemon_juice"], PANTRY["yoghurt"]
        values = []
        for parts in ([(lemon, 1.0)], [(lemon, lemon_kg), (yoghurt, yoghurt_kg)], [(yoghurt, 1.0)]):
            solution = mixed(parts)
            assert solution is not None
            values.append(solution_ph(solution))
        self.assertTrue(values[0] - 1e-6 <= values[1] <= values[2] + 1e-6)
