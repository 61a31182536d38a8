"""The solver against arithmetic and scipy's general optimiser, and the ways to a salt target."""

from __future__ import annotations

import unittest
from dataclasses import replace
from unittest.mock import patch

import numpy as np
from hypothesis import given, settings
from hypothesis import strategies as st
from scipy.optimize import minimize

from tests import drawn
from tests.drafts import judged, of_kind, steak
from vadouvan.core.draft.examples import lines
from vadouvan.core.draft.typed import Draft, LineInput
from vadouvan.core.hold.levels import COMPROMISE
from vadouvan.core.hold.window import Tried
from vadouvan.core.interpretation.line import portion_of
from vadouvan.core.mix.solver import PULL, WEIGHTS, Aims, solve
from vadouvan.core.parsing.amount import Portion
from vadouvan.data.tables import shipped_kitchen

PANTRY = shipped_kitchen().pantry


def portions(*texts: str) -> list[Portion]:
    """Portions of typed lines, with their numbers as identities."""
    return [portion_of(LineInput(str(number), text), PANTRY) for number, text in enumerate(texts)]


class Solver(unittest.TestCase):
    """Targets, locks, and what cannot be reached."""

    def test_five_salty_things_with_two_locked(self) -> None:
        """Salt and acid are met to a tenth of a gram a kilogram, and the locked amounts stay."""
        mix = portions(
            "60 g soy sauce", "10 g fish sauce", "20 g mustard", "15 g white miso", "4 g salt", "30 g lemon juice"
        )
        aims = Aims(1.0, 0.73, False, {"salt": 0.013, "acid": 0.002})
        found = solve(mix, aims, locked=frozenset({"0", "2"}))
        self.assertEqual(found.unmet, ())
        self.assertEqual((found.amounts_kg["0"], found.amounts_kg["2"]), (0.060, 0.020))
        salt = sum(p.ingredient.salt.value * found.amounts_kg[p.line_id] for p in mix)
        self.assertAlmostEqual(salt, 0.013, delta=1e-5)

    def test_a_bath_is_aimed_at_what_it_settles_to(self) -> None:
        """29.167 g of pure salt for 1.25 % in 1 kg of meat (75 % water) and 1 kg of water: mass balance."""
        mix = portions("20 g salt", "1002 g water")
        found = solve(mix, Aims(1.0, 0.75, True, {"salt": 0.0125}), locked=frozenset({"1"}))
        self.assertAlmostEqual(found.amounts_kg["0"] * 0.985 * 1000, 29.167, delta=0.05)

    def test_what_cannot_be_reached_is_named_with_the_nearest(self) -> None:
        """Less salt than the locked soy brings: unmet, with what it comes to."""
        mix = portions("100 g soy sauce", "20 g honey")
        found = solve(mix, Aims(1.0, 0.73, False, {"salt": 0.005}), locked=frozenset({"0"}))
        self.assertEqual([one.aim for one in found.unmet], ["salt"])
        self.assertAlmostEqual(found.unmet[0].got, 0.0143, delta=1e-4)

    def test_no_amount_is_ever_negative(self) -> None:
        """However far off the aims are."""
        mix = portions("60 g soy sauce", "30 g honey", "30 g olive oil")
        for salt, sugar in ((0.0, 0.05), (0.05, 0.0), (0.0, 0.0)):
            found = solve(mix, Aims(1.0, 0.73, False, {"salt": salt, "sugar": sugar, "total": 0.1}))
            self.assertTrue(all(amount >= -1e-9 for amount in found.amounts_kg.values()))

    def test_as_near_as_a_general_optimiser_finds(self) -> None:
        """On 200 random problems our objective is no worse than scipy's L-BFGS-B finds."""
        rng = np.random.default_rng(7)
        names = ["soy sauce", "honey", "lemon juice", "yoghurt", "olive oil", "salt", "mustard", "water", "sugar"]
        for _ in range(200):
            chosen = rng.choice(names, size=rng.integers(3, 8), replace=False)
            mix = portions(*(f"{rng.integers(2, 90)} g {name}" for name in chosen))
            aims = Aims(
                1.0, 0.73, False, {"salt": float(rng.uniform(0.004, 0.02)), "sugar": float(rng.uniform(0, 0.03))}
            )
            found = solve(mix, aims)
            mine = objective(mix, aims, np.array([found.amounts_kg[p.line_id] for p in mix]), pull=0.0)
            start = np.array([p.mass_kg.value for p in mix])
            theirs = optimised(mix, aims, start)
            self.assertLessEqual(mine, objective(mix, aims, theirs, pull=0.0) + 1e-3)


def optimised(mix: list[Portion], aims: Aims, start: np.ndarray) -> np.ndarray:
    """The best amounts that scipy's bounded quasi-Newton method finds."""

    def miss(amounts: np.ndarray) -> float:
        return objective(mix, aims, amounts)

    found = minimize(miss, start, bounds=[(0, None)] * len(mix), method="L-BFGS-B")
    return np.asarray(found.x)


def objective(mix: list[Portion], aims: Aims, amounts: np.ndarray, pull: float = PULL) -> float:
    """Squared relative misses of salt and sugar by their weights, and the pull towards the start."""
    salt = sum(p.ingredient.salt.value * x for p, x in zip(mix, amounts, strict=True))
    sugar = sum(p.ingredient.sugar.value * x for p, x in zip(mix, amounts, strict=True))
    pairs = ((salt, aims.values["salt"], WEIGHTS["salt"]), (sugar, aims.values["sugar"], WEIGHTS["sugar"]))
    misses = [(got - wanted) / max(wanted, 1e-3) * weight for got, wanted, weight in pairs]
    start = np.array([p.mass_kg.value for p in mix])
    moved = (amounts - start) / np.maximum(start, 0.002)
    return float(sum(miss**2 for miss in misses) + pull * np.sum(moved**2))


class Offers(unittest.TestCase):
    """Ways to the salt target."""

    def test_each_way_ends_on_the_target(self) -> None:
        """Short or over, paste or bath: taking any offer makes the salt as aimed."""
        for mix in (
            ("8 g salt", "30 g olive oil"),
            ("60 g soy sauce", "10 g fish sauce", "20 g honey"),
            ("12 g salt", "600 g yoghurt"),
            ("30 g salt", "40 g lemon juice"),
            ("40 g olive oil", "2 g dried oregano"),
        ):
            draft = steak(*mix)
            offers = judged(draft).offers
            self.assertTrue(offers, mix)
            for offer in offers:
                with self.subTest(mix=mix, offer=offer.says):
                    words = {change.line_id: change.text for change in offer.lines}
                    kept = [words.get(line.id, line.text) for line in draft.mix]
                    texts = [*kept, *(change.text for change in offer.lines if not change.line_id)]
                    after = judged(Draft("x", draft.cut, lines(*texts), draft.hold)).salt
                    assert after is not None
                    self.assertTrue(after.is_on_target)
                    self.assertIn("salt as aimed", after.says)

    @given(
        st.lists(
            st.tuples(
                st.floats(1, 90),
                st.sampled_from(
                    ("soy sauce", "fish sauce", "white miso", "chipotle in adobo", "mustard", "salt", "water")
                ),
            ),
            min_size=1,
            max_size=4,
            unique_by=lambda line: line[1],
        )
    )
    def test_an_offer_stays_in_a_kitchens_measure(self, mix: list[tuple[float, str]]) -> None:
        """One line at most doubles or halves but for plain salt and water; each offer ends on the target."""
        draft = steak(*(f"{grams:.1f} g {name}" for grams, name in mix))
        judgement = judged(draft)
        for offer in judgement.offers:
            words = {change.line_id: change.text for change in offer.lines}
            texts = [words.get(line.id, line.text) for line in draft.mix]
            texts += [change.text for change in offer.lines if not change.line_id]
            after = judged(Draft("x", draft.cut, lines(*texts), draft.hold))
            assert after.salt is not None
            self.assertTrue(after.salt.is_on_target, offer.says)
            self.assertEqual(after.reading.problems, [])
            if len(offer.lines) == 1 and offer.lines[0].line_id and not offer.lines[0].text.endswith("table salt"):
                before = next(p for p in judgement.reading.portions if p.line_id == offer.lines[0].line_id)
                times = float(offer.lines[0].text.split()[0]) / (before.mass_kg.value * 1000)
                self.assertTrue(0.49 <= times <= 2.01, offer.says)

    @given(
        st.sampled_from(
            ("prawn_peeled", "chicken_whole", "lamb_leg_joint", "salmon_fillet", "tofu_firm", "pork_belly")
        ),
        st.lists(
            st.tuples(
                st.integers(5, 120),
                st.sampled_from(
                    ("soy sauce", "mustard", "kiwi", "lime juice", "capers", "salt", "buttermilk", "ginger")
                ),
            ),
            min_size=1,
            max_size=4,
            unique_by=lambda line: line[1],
        ),
    )
    @settings(max_examples=drawn(20))
    def test_each_way_leads_to_a_judgement_without_fault(self, kind: str, mix: list[tuple[int, str]]) -> None:
        """On any cut: salt as aimed, nothing that cannot be read, and hours as good as before or good enough."""
        draft = of_kind(kind, "1 kg", "", "", *(f"{grams} g {name}" for grams, name in mix))
        before = judged(draft)
        for offer in before.offers:
            words = {change.line_id: change.text for change in offer.lines}
            texts = [words.get(line.id, line.text) for line in draft.mix]
            texts += [change.text for change in offer.lines if not change.line_id]
            after = judged(replace(draft, mix=lines(*texts)))
            assert before.window is not None
            assert after.window is not None
            assert after.salt is not None
            self.assertTrue(after.salt.is_on_target, offer.says)
            self.assertEqual(after.reading.problems, before.reading.problems)
            self.assertGreaterEqual(after.window.mark, min(before.window.mark - 0.03, COMPROMISE), offer.says)

    def test_a_way_that_spoils_the_hold_is_not_offered(self) -> None:
        """Every other mix held worse than this one: no way is left."""
        draft = steak("120 g mustard", "6 g salt", "30 g honey")
        self.assertTrue(judged(draft).offers)
        poor = Tried(0.1, 1.0, 10.0, mark=COMPROMISE - 0.01)
        with patch("vadouvan.core.judgement.salt_ways.tried", return_value=poor):
            self.assertEqual(judged(draft).offers, ())

    def test_no_kilogram_of_chipotle_and_no_drop_of_soy(self) -> None:
        """It offered 1262 g chipotle instead of 32 g, and 1.2 g soy instead of 19."""
        lean = judged(steak("32 g chipotle in adobo", "60 g orange juice")).offers
        self.assertTrue(lean)
        self.assertFalse(any("chipotle" in offer.says for offer in lean))
        strong = judged(steak("19 g soy sauce", "15 g salt", "40 g fish sauce")).offers
        self.assertTrue(strong)
        self.assertFalse(any("instead of 19 g" in offer.says and " and " not in offer.says for offer in strong))

    def test_a_bath_is_told_what_will_be_in(self) -> None:
        """A turkey joint at the offered bath was "salt as aimed" with 2.2 g/kg in it at best."""
        draft = of_kind("turkey_breast", "2.5 kg", "", "", "2 l water", "125 g salt")
        offer = judged(draft).offers[0]
        after = judged(replace(draft, mix=lines("2 l water", offer.lines[0].text)))
        assert after.salt is not None
        self.assertEqual(after.salt.says, "salt as aimed once it has settled")
        self.assertRegex(
            after.salt_line, r"^Salt: aimed 12 g/kg; \d\.?\d* in the meat at \d+ h.* \(12 when it has settled\)"
        )
        self.assertIn("stays in the mix", after.salt_line)
        rub = judged(steak("12 g salt"))
        self.assertRegex(rub.salt_line, r"^Salt: aimed 12 g/kg; 12 on the meat, [\d.]+ of it inside at .* runs off\.$")

    def test_nothing_is_offered_on_the_target(self) -> None:
        """No way to where one is."""
        self.assertEqual(judged(steak("12.2 g salt")).offers, ())

    def test_what_else_moves_is_said(self) -> None:
        """More mustard brings fat and acid too."""
        offers = judged(steak("120 g mustard", "6 g salt", "30 g honey")).offers
        mustard = next(offer for offer in offers if "mustard" in offer.says)
        self.assertIn("fat", mustard.also)
