"""A rest in the cold after the pull: the salt inside evens out, and none is lost."""

from __future__ import annotations

import math
import unittest
from dataclasses import replace

import numpy as np
from hypothesis import given, settings
from hypothesis import strategies as st

from tests import drawn
from tests.drafts import judged, of_kind
from vadouvan.core.cut.shape import Path
from vadouvan.core.draft.typed import Draft, FireInput
from vadouvan.core.hold.eigenmodes import modes_of
from vadouvan.core.hold.rest import rested_course
from vadouvan.core.hold.scenario import HoldScenario
from vadouvan.core.hold.time_course import TimeCourse

CHOP = of_kind("lamb_chop", "1 kg", "slab", "30 mm", "12 g salt", "40 g oil")
PIECES = {
    "two faces": CHOP,
    "one face": of_kind("chicken_breast", "1 kg", "slab", "30 mm", "60 g salt", "1 kg water", cover="skin"),
    "round": of_kind("pork_tenderloin", "500 g", "cylinder", "58 mm", "60 g salt", "940 g water"),
    "cubes": of_kind("lamb_shoulder_cubes", "1 kg", "cube", "30 mm", "14 g salt", "50 g lemon juice"),
    "with a bone": of_kind("chicken_leg", "1 kg", "irregular", "45 mm", "12 g salt", "100 g yoghurt", bone="core"),
}


def scenario_of(draft: Draft) -> HoldScenario:
    """The hold of a draft."""
    found = judged(draft).scenario
    assert found is not None
    return found


def course_of(draft: Draft) -> TimeCourse:
    """The course of a draft."""
    found = judged(draft).course
    assert found is not None
    return found


class Sealed(unittest.TestCase):
    """With nothing outside."""

    def test_against_the_cosine_of_a_closed_slab(self) -> None:
        """A cosine over a slab closed on both sides keeps its form and fades as exp(-pi2 fo) (crank1975, 2.1.2)."""
        modes = modes_of(Path(0.0, 0.02, 0.0, math.inf), math.inf, 200)
        start = np.cos(math.pi * modes.grid.centres)[np.newaxis, :]
        for fo in (0.01, 0.1, 0.3):
            expected = start * math.exp(-(math.pi**2) * fo)
            np.testing.assert_allclose(modes.after(start, fo), expected, atol=2e-3)

    @given(name=st.sampled_from(sorted(PIECES)), hours=st.floats(0.5, 72))
    @settings(max_examples=drawn(15), deadline=None)
    def test_none_is_lost_and_it_only_evens_out(self, name: str, hours: float) -> None:
        """At every moment of the hold: the same average, no cell beyond the ends of what was there."""
        scenario = scenario_of(PIECES[name])
        before, after = scenario.course, rested_course(scenario, hours)
        np.testing.assert_allclose(
            after.cells @ after.grid.volumes, before.cells @ before.grid.volumes, rtol=1e-6, atol=1e-12
        )
        tiny = 1e-9 + 1e-9 * before.cells.max()
        self.assertTrue((after.cells.max(axis=1) <= before.cells.max(axis=1) + tiny).all())
        self.assertTrue((after.cells.min(axis=1) >= before.cells.min(axis=1) - tiny).all())

    def test_in_the_end_it_is_even(self) -> None:
        """A month in the cold."""
        for name, draft in PIECES.items():
            with self.subTest(name):
                after = rested_course(scenario_of(draft), 24 * 365)
                np.testing.assert_allclose(after.cells.max(axis=1), after.cells.min(axis=1), rtol=1e-3, atol=1e-9)


class Told(unittest.TestCase):
    """In the course of a batch."""

    def test_the_outside_is_milder_and_it_goes_deeper(self) -> None:
        """At the best hour of a chop."""
        course = course_of(CHOP)
        at = int(np.argmin(abs(course.hours - 10)))
        self.assertLess(course.rested[at][0], course.salt[at][0])
        self.assertGreaterEqual(course.rested_m[at], course.seasoned_m[at])

    def test_as_long_as_the_cook_lets_it_dry(self) -> None:
        """A night, or the time that was said under Fire."""
        self.assertEqual(course_of(CHOP).rest_h, 8)
        self.assertEqual(course_of(replace(CHOP, fire=FireInput(dries="24 h"))).rest_h, 24)


if __name__ == "__main__":
    unittest.main()
