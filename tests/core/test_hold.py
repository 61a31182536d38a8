"""A hold through time: pace and recorded temperatures, bands, remarks, comparisons, lessons."""

from __future__ import annotations

import math
import unittest
from dataclasses import replace
from typing import Any

import numpy as np
from hypothesis import given, settings
from hypothesis import strategies as st
from scipy.integrate import quad
from scipy.special import erfc

from tests import drawn
from tests.drafts import NOW, SATURDAY, judged, of_kind, steak
from tests.mixes import KITCHEN
from vadouvan.core.advice.comparing import Change, Comparison, compared
from vadouvan.core.constants import ENZYME_DIFFUSIVITY, ENZYME_PLEASANT_H
from vadouvan.core.draft.examples import lines
from vadouvan.core.draft.typed import CutInput, Draft, HoldInput, MakingInput, QuantityInput
from vadouvan.core.hold.temperature import enzyme_pace, salt_diffusivity
from vadouvan.core.hold.time_course import TimeCourse
from vadouvan.core.hold.time_temperature import Pace
from vadouvan.core.judgement.judgement import Judgement
from vadouvan.core.lessons.guided import LESSONS, outcome
from vadouvan.errors import InputError

STRIPS = of_kind("beef_flank_strips", "1 kg", "strip", "12 mm", "100 g kiwi", "12 g salt", "60 g rapeseed oil")
SOUR = of_kind("chicken_breast", "1 kg", "slab", "24 mm", "300 g cider vinegar", "100 g olive oil", "12 g salt")


def held(draft: Draft, **said: Any) -> Judgement:
    """The judgement of a draft with answers on its hold."""
    return judged(replace(draft, hold=replace(draft.hold, **said)))


def course(judgement: Judgement) -> TimeCourse:
    """Its course through time."""
    assert judgement.course is not None
    return judgement.course


class Clock(unittest.TestCase):
    """One temperature, or a course of them."""

    def test_two_warm_hours_and_ten_cold(self) -> None:
        """2 h at 20 C, 10 h at 4 C: 11.482e-6 m2 on salt's clock (arithmetic of the Arrhenius factor)."""
        pace = Pace(((0.0, 20.0), (2.0, 4.0)), "red")
        self.assertAlmostEqual(float(pace.tau_at(12.0)) * 1e6, 11.482, delta=0.01)

    @given(st.lists(st.tuples(st.floats(0.1, 20), st.floats(0, 20)), min_size=1, max_size=5), st.floats(0.1, 300))
    def test_there_and_back(self, steps: list[tuple[float, float]], hours: float) -> None:
        """Hours to clock and back, for any course."""
        starts = np.concatenate(([0.0], np.cumsum([length for length, _ in steps[:-1]])))
        pace = Pace(tuple((float(at), degrees) for at, (_, degrees) in zip(starts, steps, strict=True)), "red")
        self.assertAlmostEqual(float(pace.hours_at(np.array([pace.tau_at(hours)]))[0]), hours, delta=1e-6 * hours)
        ends = [*(float(at) for at in starts[1:]), math.inf]
        worked = sum(
            max(0.0, min(end, hours) - float(at)) * enzyme_pace(degrees)
            for at, end, (_, degrees) in zip(starts, ends, steps, strict=True)
        )
        self.assertAlmostEqual(float(pace.softening_at(np.array(hours))), worked, delta=1e-6 * hours)

    def test_one_temperature_is_plain_division(self) -> None:
        """No course: hours times the diffusivity."""
        pace = Pace(((0.0, 7.0),), "fish")
        self.assertAlmostEqual(float(pace.tau_at(5.0)), 5 * 3600 * salt_diffusivity(7.0, "fish"))
        self.assertAlmostEqual(float(pace.softening_at(np.array(5.0))), 5 * enzyme_pace(7.0))

    def test_a_warm_hour_shortens(self) -> None:
        """The same fridge with an hour at 12 C: salt further in, softening sooner too much."""
        cold, warm = held(STRIPS, fridge="4"), held(STRIPS, readings="0 h 4 C, 1 h 12 C, 2 h 4 C")
        assert cold.window is not None
        assert warm.window is not None
        self.assertLess(warm.window.latest.hours, cold.window.latest.hours)
        self.assertLess(warm.window.earliest.hours, cold.window.earliest.hours + 1e-4)

    def test_bad_readings_are_told(self) -> None:
        """Gaps at the start, backwards, absurd, unreadable: one sentence each, the text stays."""
        for text, wrong in (
            ("1 h 4 C, 2 h 5 C", "nothing is known before it"),
            ("0 h 4 C, 6 h 9 C, 5 h 4 C", "does not come after"),
            ("0 h 4 C, 0 h 9 C", "does not come after"),
            ("0 h 60 C", "outside what can be judged"),
            ("0 h 4 C, 999 h 4 C", "outside what can be judged"),
            ("cold", "could not be read"),
            (", ".join(f"{hour} h 4 C" for hour in range(60)), "could not be read"),
        ):
            with self.subTest(text=text[:30]):
                problems = held(steak("12 g salt"), readings=text).reading.problems
                self.assertEqual([problem.field for problem in problems], ["hold.readings"])
                self.assertIn(wrong, problems[0].wrong)
                self.assertIn("0 h 4 C", problems[0].accepted)


class Course(unittest.TestCase):
    """Salt, acid and softening by depth and hour."""

    def test_salt_is_conserved(self) -> None:
        """What is in the meat and what is outside add up to what was in the mix, to 1e-9."""
        for draft in (STRIPS, SOUR, steak("30 g salt", "1 l water")):
            judgement = judged(draft)
            assert judgement.balance is not None
            found = course(judgement)
            inside = found.average * judgement.balance.meat_kg
            spare = np.abs(inside + found.left_kg - judgement.balance.salt_kg)
            self.assertLess(float(spare.max()), 1e-9 + 2e-3 * judgement.balance.salt_kg)

    def test_everything_grows_with_time(self) -> None:
        """Mean salt, the white band and the softened layer never shrink."""
        for draft in (STRIPS, SOUR):
            found = course(judged(draft))
            for values in (found.average, found.white_m, found.soft_m):
                self.assertTrue(bool(np.all(np.diff(values) >= -1e-9)))

    def test_softening_is_the_time_integral_of_what_diffuses_in(self) -> None:
        """J(x, t) against numerical integration of erfc(x / 2 sqrt(D t')) over t' (Crank 1975, from memory)."""
        hours, diffusivity = 6.0, ENZYME_DIFFUSIVITY.value
        for depth in (1e-4, 4e-4, 1e-3):
            spread = 2 * np.sqrt(diffusivity * hours * 3600)
            z = depth / spread
            ours = hours * ((1 + 2 * z**2) * erfc(z) - 2 * z * np.exp(-(z**2)) / np.sqrt(np.pi))

            def there(t_h: float, depth: float = depth) -> float:
                return float(erfc(depth / (2 * np.sqrt(diffusivity * t_h * 3600))))

            theirs, _ = quad(there, 1e-9, hours)
            self.assertAlmostEqual(ours, theirs, delta=1e-5)

    def test_softening_is_shallow(self) -> None:
        """0.2 to 1 mm in the hours that fruit is left on (design note): never inside a thick cut."""
        found = course(judged(STRIPS))
        at_two = float(np.interp(2.0, found.hours, found.soft_m)) * 1000
        self.assertTrue(0 <= at_two <= 1.0, at_two)
        self.assertGreater(ENZYME_PLEASANT_H.value, 0)

    def test_no_salt_no_seasoning(self) -> None:
        """Next to none all through, and the window ends by what is left: aroma, acid, quality, days."""
        judgement = judged(steak("60 g olive oil", "5 g garlic"))
        assert judgement.window is not None
        self.assertLess(float(course(judgement).salt.max()), 1e-4)
        self.assertEqual(judgement.window.earliest.limit.id, "at_once")
        self.assertIn(judgement.window.latest.limit.basis, ("quality", "safety"))

    def test_half_the_meats_mass_in_fruit(self) -> None:
        """500 g of kiwi on a kilogram: judged, and ended within hours."""
        judgement = judged(of_kind("beef_flank_strips", "1 kg", "strip", "12 mm", "500 g kiwi", "12 g salt"))
        assert judgement.window is not None
        self.assertEqual(judgement.window.latest.limit.id, "soft")
        self.assertLess(judgement.window.latest.hours, 4)


class Vessel(unittest.TestCase):
    """Metal, vacuum, turns, air, fridge."""

    def remarks(self, draft: Draft, **said: Any) -> dict[str, str]:
        """Kinds of remarks by id."""
        return {one.id: one.kind for one in held(draft, **said).remarks}

    def test_acid_in_aluminium_stops_the_plan(self) -> None:
        """Said, and nothing is planned; stainless steel is fine; so is aluminium without acid."""
        planned = replace(SOUR, meal=SATURDAY)
        stopped = held(planned, metal="aluminium")
        self.assertIsNone(stopped.plan)
        self.assertIn("Acid takes up aluminium", stopped.sentence)
        self.assertEqual([stop.id for stop in stopped.stops], ["reactive"])
        self.assertNotIn("reactive", self.remarks(planned, metal="stainless"))
        self.assertNotIn("reactive", self.remarks(steak("12 g salt", "40 g olive oil"), metal="aluminium"))

    def test_fridge(self) -> None:
        """Fine to 5 C, beyond that a warning with what an hour costs (US FSIS, UK FSA, as recalled)."""
        for text, kind in (("0 h 4 C", "note"), ("0 h 4 C, 1 h 7 C", "warn"), ("0 h 4 C, 1 h 12 C", "warn")):
            remarks = self.remarks(steak("12 g salt"), readings=text)
            self.assertEqual(remarks.get("fridge-warm", remarks.get("fridge")), kind, text)

    def test_a_fridge_at_30_is_refused(self) -> None:
        """As an answer that cannot be judged."""
        problems = held(steak("12 g salt"), fridge="30").reading.problems
        self.assertEqual([problem.field for problem in problems], ["hold.fridge_c"])

    def test_vacuum_both_schools(self) -> None:
        """No faster by default; twice as fast when claimed, and marked so."""
        bag = replace(steak("12 g salt", "40 g olive oil"), quantity=QuantityInput(container="vacuum"))
        plain, claimed = held(bag, vacuum_school="contact"), held(bag, vacuum_school="faster")
        still = judged(steak("12 g salt", "40 g olive oil"))
        for hours in (2.0, 10.0):
            depth = [np.interp(hours, course(one).hours, course(one).seasoned_m) for one in (still, plain, claimed)]
            self.assertAlmostEqual(float(depth[0]), float(depth[1]), delta=1e-5)
            self.assertGreater(float(depth[2]), 1.2 * float(depth[1]))
        self.assertTrue(any("claimed, not derived" in one.says for one in claimed.remarks))

    def test_left_lying_is_slower(self) -> None:
        """1.6 times as long for a share of 0.8 (time goes with one over its square)."""
        turned, left = held(steak("12 g salt", "300 g water")), held(steak("12 g salt", "300 g water"), turned="left")
        at = [np.interp(h, course(j).hours, course(j).average) for j, h in ((turned, 5.0), (left, 5.0 / 0.64))]
        self.assertAlmostEqual(float(at[0]) / float(at[1]), 1.0, delta=0.02)

    def test_open_air_dries(self) -> None:
        """A share of the weight, more with more surface."""
        self.assertIn("open-air", self.remarks(steak("12 g salt"), open_air="open"))


class Beside(unittest.TestCase):
    """One thing changed, and what that does."""

    def other(self, draft: Draft, change: Change, value: str = "", at_h: float = 4.0) -> Comparison:
        """The comparison of a draft."""
        return compared(draft, KITCHEN, now=NOW, change=change, value=value, at_h=at_h)

    def test_heat_treated_fruit(self) -> None:
        """Ends much later, and no longer by the kiwi."""
        says = " ".join(self.other(STRIPS, "heat_treated").says)
        self.assertIn("no longer because the kiwi turns the surface too soft", says)
        self.assertIn("the softened layer is 0 mm", says)

    def test_what_nobody_can_see_is_not_told(self) -> None:
        """Hundredths of a millimetre of softening and of a white band after an hour are none."""
        says = " ".join(self.other(STRIPS, "heat_treated", at_h=1.0).says)
        self.assertIn("It ends", says)
        self.assertNotIn("At 1 h", says)

    def test_thinner_is_sooner(self) -> None:
        """20 mm instead of 25: best comes earlier."""
        draft = Draft("x", CutInput(kind="beef_sirloin", mass="1 kg", thickness="25 mm"), steak("12 g salt").mix)
        found = self.other(draft, "thickness", "15 mm")
        assert found.judgement.window is not None
        this = judged(draft).window
        assert this is not None
        self.assertLess(found.judgement.window.best.hours, this.best.hours)

    def test_another_hour_of_the_same(self) -> None:
        """20 h against 10: deeper seasoned; an hour that is none is told."""
        found = self.other(steak("12 g salt", "30 g olive oil"), "hour", "20 h", at_h=10)
        self.assertEqual(found.at_h, 20)
        self.assertTrue(any("At 20 h the depth of seasoning is" in words for words in found.says), found.says)
        with self.assertRaises(InputError):
            self.other(steak("12 g salt"), "hour", "later")

    def test_scored_adds_or_takes_away(self) -> None:
        """Twice changed is where it was."""
        once = self.other(SOUR, "scored")
        self.assertTrue(once.draft.cut.steps)
        twice = self.other(once.draft, "scored")
        self.assertEqual(twice.draft.cut.steps, SOUR.cut.steps)

    def test_another_salt_target_changes_amounts(self) -> None:
        """8 instead of 12 g a kilogram: as much less salt in the mix."""
        found = self.other(steak("12.18 g salt", "30 g olive oil"), "salt_target", "8")
        assert found.judgement.balance is not None
        self.assertAlmostEqual(found.judgement.balance.total("salt").value, 0.008, delta=1e-4)

    def test_nothing_different_is_said(self) -> None:
        """A mix without fruit, its fruit heat-treated."""
        self.assertEqual(self.other(steak("12 g salt", "30 g olive oil"), "heat_treated").says[0][:7], "Nothing")

    def test_what_cannot_be_judged_is_told(self) -> None:
        """A thickness that is none."""
        with self.assertRaises(InputError):
            self.other(steak("12 g salt"), "thickness", "a finger")
        with self.assertRaises(InputError):
            self.other(Draft(), "scored")


class Learn(unittest.TestCase):
    """Guided examples answer by the model."""

    def test_every_lesson_has_an_answer_that_cooks_know(self) -> None:
        """Common practice, no source: what the model has to come to for each to teach the right thing."""
        expected = {"twice-as-long": 1, "acid-or-salt": 2, "live-fruit": 2, "cube-or-joint": 2, "bath-or-paste": 0,
                    "vacuum": 0}  # fmt: skip
        self.assertEqual(set(expected), set(LESSONS))
        for identity, right in expected.items():
            with self.subTest(lesson=identity):
                found = outcome(LESSONS[identity], KITCHEN, now=NOW)
                self.assertEqual(found.right, right)
                self.assertEqual(len(LESSONS[identity].options), len(LESSONS[identity].edges) + 1)
                self.assertTrue(found.says)


class Properties(unittest.TestCase):
    """Orderings that hold for any batch."""

    @settings(max_examples=drawn(25))
    @given(st.floats(8, 50), st.floats(0, 7), st.floats(0.3, 1))
    def test_hotter_is_faster_and_thicker_is_slower(self, thickness_mm: float, degrees: float, salt_g: float) -> None:
        """Mean salt after ten hours."""
        mix = (f"{12 * salt_g:.1f} g salt", "200 g water")
        base = course(held(steak(*mix, thickness=f"{thickness_mm:.1f} mm"), fridge=f"{degrees:.1f}"))
        warm = course(held(steak(*mix, thickness=f"{thickness_mm:.1f} mm"), fridge=f"{degrees + 1:.1f}"))
        thick = course(held(steak(*mix, thickness=f"{thickness_mm * 1.2:.1f} mm"), fridge=f"{degrees:.1f}"))
        at = [float(np.interp(1.5, one.hours, one.average)) for one in (base, warm, thick)]
        self.assertGreaterEqual(at[1], at[0] - 1e-7)
        self.assertLessEqual(at[2], at[0] + 1e-7)

    def test_cooked_first_is_only_about_the_enzyme(self) -> None:
        """Without fruit, a simmer that boils nothing off changes no hour."""
        draft = steak("12 g salt", "100 g water")
        cooked = replace(draft, making=MakingInput(method="cooked", reduce_to="112 g"))
        one, other = judged(draft).window, judged(cooked).window
        assert one is not None
        assert other is not None
        self.assertAlmostEqual(one.best.hours, other.best.hours)

    def test_live_fruit_works_on_protein_alone(self) -> None:
        """Ginger turns no vegetable soft, but meat, prawns, tofu and fresh cheese; common practice, no source."""
        for kind in ("cauliflower_steak", "portobello", "king_oyster", "aubergine_slab", "jackfruit_young"):
            with self.subTest(kind=kind):
                self.assertNotIn("soft", _latest_limits(kind))
        for kind in ("pork_loin_roast", "chicken_breast", "prawn_peeled", "tofu_firm", "paneer"):
            with self.subTest(kind=kind):
                self.assertIn("soft", _latest_limits(kind))

    def test_hold_said_keeps_its_words(self) -> None:
        """What was typed stays as it was, readable or not."""
        self.assertEqual(held(steak("12 g salt"), readings="cold").reading.problems[0].given, "cold")
        self.assertEqual(HoldInput(readings="cold").readings, "cold")


def _latest_limits(kind: str) -> set[str]:
    """What sets or follows the latest hour of this cut with ginger and salt."""
    window = judged(Draft(cut=CutInput(kind=kind), mix=lines("8 g salt", "60 g yogurt", "25 g ginger"))).window
    assert window is not None
    return {limit.id for limit in (window.latest.limit, *window.latest.others)}
