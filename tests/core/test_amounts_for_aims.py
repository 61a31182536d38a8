"""Amounts for the aims of a draft, on the scale and in kitchen measures; texts of amounts."""

from __future__ import annotations

import unittest
from dataclasses import replace

import numpy as np
from hypothesis import given, settings
from hypothesis import strategies as st
from scipy.optimize import LinearConstraint, milp

from tests import drawn
from tests.drafts import NOW, judged, steak
from tests.mixes import FIVE_SALTY, ITEMS, KITCHEN, marked, portions, salty
from vadouvan.core.advice.amounts import Amounts, amounts_for
from vadouvan.core.draft.typed import AimsInput, Draft, LineInput, QuantityInput
from vadouvan.core.mix.measure import measured, step_kg, weighed_text
from vadouvan.core.mix.rounding import in_measures
from vadouvan.core.mix.solver import Aim, Aims, aim_rows, solve
from vadouvan.core.parsing.said_units import PIECE_UNITS
from vadouvan.errors import InputError


def taken(draft: Draft, amounts: Amounts) -> Draft:
    """The draft with the amounts taken over."""
    words = {line.line_id: line.text for line in amounts.lines}
    return replace(draft, mix=tuple(LineInput(line.id, words[line.id], line.locked) for line in draft.mix))


class ForADraft(unittest.TestCase):
    """Aims as said, locks, set-aside, coverage."""

    def test_salt_and_acid_with_two_locked(self) -> None:
        """Taken over, the batch is judged as aimed, and the locked lines are as typed."""
        draft = replace(marked(salty(), "locked", "1", "3"), aims=AimsInput(acid="3"))
        amounts = amounts_for(draft, KITCHEN, now=NOW)
        after = taken(draft, amounts)
        judgement = judged(after)
        assert judgement.salt is not None
        assert judgement.balance is not None
        self.assertEqual(judgement.salt.says, "salt as aimed")
        self.assertAlmostEqual(judgement.balance.total("acid").value, 0.003, delta=5e-5)
        self.assertEqual([after.mix[0].text, after.mix[2].text], [FIVE_SALTY[0], FIVE_SALTY[2]])
        self.assertTrue(all(one.is_met for one in amounts.reached))

    def test_what_is_set_aside_counts(self) -> None:
        """With 60 g kept clean, what meets the meat still holds the target."""
        draft = replace(salty(), quantity=QuantityInput(set_aside="60 g"))
        judgement = judged(taken(draft, amounts_for(draft, KITCHEN, now=NOW)))
        assert judgement.salt is not None
        self.assertTrue(judgement.salt.is_on_target, judgement.salt)

    def test_enough_for_the_cut(self) -> None:
        """Oil may grow: the mix comes to what the cut needs, the salt stays on target."""
        draft = steak("12 g salt", "20 g lemon juice", "20 g olive oil")
        mix = judged(taken(draft, amounts_for(draft, KITCHEN, now=NOW, cover=True))).mix
        assert mix is not None
        self.assertEqual(mix.at_contact.need_says, "enough")
        assert mix.salt is not None
        self.assertTrue(mix.salt.is_on_target)

    def test_heat_is_an_aim_too(self) -> None:
        """100 Scoville over the meat from cayenne at 35000: 2.86 g a kilogram (arithmetic)."""
        draft = replace(steak("12 g salt", "1 g cayenne"), aims=AimsInput(heat="100"))
        line = amounts_for(draft, KITCHEN, now=NOW).lines[1]
        self.assertAlmostEqual(line.after_kg * 1000, 100 / 35, delta=0.06)

    def test_a_drag_keeps_the_salt(self) -> None:
        """More acid, same salt."""
        draft = steak("60 g soy sauce", "30 g lemon juice", "20 g honey", "30 g olive oil")
        before = judged(draft).balance
        after = judged(taken(draft, amounts_for(draft, KITCHEN, now=NOW, in_mix={"acid": 0.004}))).balance
        assert before is not None
        assert after is not None
        self.assertAlmostEqual(after.total("acid").value, 0.004, delta=5e-5)
        self.assertAlmostEqual(after.total("salt").value, before.total("salt").value, delta=5e-5)

    def test_unreachable_aims_name_the_nearest(self) -> None:
        """Less salt than a locked soy brings."""
        draft = marked(steak("150 g soy sauce", "30 g honey"), "locked", "1")
        reached = amounts_for(draft, KITCHEN, now=NOW).reached[0]
        self.assertFalse(reached.is_met)
        self.assertEqual(reached.says, "salt 12 g/kg cannot be reached: 21 g/kg is the nearest")

    def test_all_locked_is_told(self) -> None:
        """Nothing may move."""
        draft = marked(steak("12 g salt"), "locked", "1")
        with self.assertRaises(InputError) as caught:
            amounts_for(draft, KITCHEN, now=NOW)
        self.assertIn("Every line is locked", str(caught.exception))

    def test_no_line_vanishes_and_herbs_keep_to_their_dose(self) -> None:
        """Asked for far too much mix, oregano stays a seasoning."""
        draft = steak("12 g salt", "2 g dried oregano", "20 g olive oil", thickness="6 mm")
        amounts = amounts_for(draft, KITCHEN, now=NOW, cover=True)
        self.assertTrue(all(line.after_kg > 0 for line in amounts.lines))
        dose = ITEMS["oregano_dried"].dose_kg_per_kg
        assert dose is not None
        self.assertLessEqual(amounts.lines[1].after_kg, max(0.002, dose.high) + 1e-9)


class InMeasures(unittest.TestCase):
    """Quarter teaspoons, pieces, grams."""

    def test_texts_are_whole_measures(self) -> None:
        """Each line keeps its own kind of measure."""
        draft = steak("3 tbsp soy sauce", "2 cloves garlic", "25 g honey", "1 tsp salt")
        lines = amounts_for(draft, KITCHEN, now=NOW, measures="kitchen").lines
        self.assertRegex(lines[0].text, r"^[\d /]+(tbsp|tsp) soy sauce$")
        self.assertRegex(lines[1].text, r"^\d+ cloves? garlic$")
        self.assertRegex(lines[2].text, r"^\d+ g honey$")
        self.assertRegex(lines[3].text, r"^[\d /]+tsp")

    def test_as_near_as_an_exact_integer_search(self) -> None:
        """On small mixes the worst miss of an aim is within a measure's step of scipy's mixed-integer optimum."""
        rng = np.random.default_rng(3)
        names = ["tsp salt", "tbsp soy sauce", "tbsp lemon juice", "g honey", "tbsp olive oil", "g mustard"]
        for _ in range(25):
            chosen = rng.choice(names, size=4, replace=False)
            mix = portions(*(f"{rng.integers(1, 5) * (10 if name.startswith('g ') else 1)} {name}" for name in chosen))
            values: dict[Aim, float] = {"salt": float(rng.uniform(0.008, 0.02)), "sugar": float(rng.uniform(0, 0.02))}
            aims = Aims(1.0, 0.73, False, values)
            solution = solve(mix, aims)
            rounded = in_measures(mix, solution, aims)
            rows, wanted = aim_rows(mix, [], aims)
            ours = float(np.sum(np.abs(rows @ [p.mass_kg.value for p in rounded] - wanted)))
            best = exact_misses(rows * np.array([step_kg(p) for p in mix]), wanted)
            slack = float(np.max(np.abs(rows * np.array([step_kg(p) for p in mix]))))
            self.assertLessEqual(ours, best + slack)


def exact_misses(rows: np.ndarray, wanted: np.ndarray) -> float:
    """The least sum of absolute misses over whole numbers of steps, by scipy's mixed-integer solver."""
    aims, lines = rows.shape
    cost = np.concatenate((np.zeros(lines), np.ones(aims)))
    upper = np.hstack((rows, -np.eye(aims)))
    lower = np.hstack((rows, np.eye(aims)))
    constraints = [LinearConstraint(upper, -np.inf, wanted), LinearConstraint(lower, wanted, np.inf)]
    whole = np.concatenate((np.ones(lines, dtype=int), np.zeros(aims, dtype=int)))
    found = milp(cost, constraints=constraints, integrality=whole, bounds=None, options={"time_limit": 2.0})
    assert found.fun is not None
    return float(found.fun)


class Texts(unittest.TestCase):
    """The text of an amount reads back to the amount."""

    @settings(max_examples=drawn(300))
    @given(st.sampled_from(sorted(ITEMS)), st.floats(0.1, 3000))
    def test_grams_read_back(self, name: str, grams: float) -> None:
        """Any ingredient, any weight: a tenth of a gram below 100, a gram above."""
        read = portions(weighed_text(ITEMS[name], grams / 1000))[0]
        self.assertEqual(read.ingredient.id, name)
        self.assertAlmostEqual(read.mass_kg.value * 1000, grams, delta=0.051 if grams < 99.95 else 0.501)

    @settings(max_examples=drawn(200))
    @given(st.sampled_from(sorted(ITEMS)), st.integers(1, 60))
    def test_spoons_read_back(self, name: str, steps: int) -> None:
        """Quarter teaspoons of anything."""
        is_said = ITEMS[name].group != "herb_fresh" or ITEMS[name].also_called[0].startswith("fresh ")
        fresh = "" if is_said else "fresh "
        start = portions(f"1 tsp {fresh}{ITEMS[name].also_called[0]}")[0]
        after = measured(start, steps)
        read = portions(after.text)[0]
        self.assertEqual(read.ingredient.id, name)
        self.assertAlmostEqual(read.mass_kg.value, steps * step_kg(start), delta=1e-9)

    def test_pieces_read_back(self) -> None:
        """Every piece that an ingredient is counted in."""
        for item in ITEMS.values():
            for unit in item.piece_kg:
                if unit not in PIECE_UNITS or unit in ("juice", "zest"):
                    continue
                with self.subTest(item=item.id, unit=unit):
                    start = portions(f"2 {unit} {item.also_called[0]}")[0]
                    for steps in (1, 3):
                        read = portions(measured(start, steps).text)[0]
                        self.assertEqual(read.ingredient.id, item.id)
                        self.assertAlmostEqual(read.mass_kg.value, steps * item.piece_kg[unit].value, delta=1e-9)
