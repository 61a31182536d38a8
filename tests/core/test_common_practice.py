"""Facts of the trade that the mix and the hold have to agree with. Source of all: common practice, none.

Numbers are those of the project's list of such facts; other rows of it are tested beside their subject.
"""

from __future__ import annotations

import itertools
import math
import unittest
from dataclasses import replace

import numpy as np

from tests.drafts import cut_of, judged, of_kind, steak
from tests.mixes import ITEMS, KITCHEN
from tests.reference.crank import uptake
from vadouvan.core.cut.shape import Path
from vadouvan.core.draft import Draft, HoldSaid, QuantitySaid
from vadouvan.core.hold.course import HoldCourse
from vadouvan.core.hold.modes import modes_of
from vadouvan.core.mix.making import cooling_s
from vadouvan.core.mix.need import Vessel, need_of


def course(draft: Draft) -> HoldCourse:
    """The course of a draft."""
    found = judged(draft).course
    assert found is not None
    return found


def average(draft: Draft, hours: float) -> float:
    """Mean salt after so many hours [g/kg]."""
    found = course(draft)
    return float(np.interp(hours, found.hours, found.average)) * 1000


class Facts(unittest.TestCase):
    """By their numbers."""

    def test_cp02_left_open_takes_up_less_than_wrapped(self) -> None:
        """What is drawn out dries away."""
        rub = steak("12 g salt")
        self.assertLess(average(replace(rub, hold=HoldSaid(open_air="open")), 10), average(rub, 10))

    def test_cp04_white_band_of_a_vinegar_mix(self) -> None:
        """Three parts vinegar to one of oil on chicken, 10 h: 2 to 4 mm, give or take 1; plenty of it."""
        draft = of_kind("chicken_breast", "1 kg", "slab", "24 mm", "750 ml white wine vinegar", "250 ml olive oil")
        found = course(draft)
        self.assertTrue(1.0 <= float(np.interp(10, found.hours, found.white_m)) * 1000 <= 5.0)

    def test_cp05_salt_in_a_sour_mix(self) -> None:
        """More salt in it goes a little deeper; a salty rub and a brine go deeper still."""

        def depth(*mix: str) -> float:
            found = course(of_kind("chicken_breast", "1 kg", "slab", "40 mm", *mix))
            return float(np.interp(10, found.hours, found.seasoned_m))

        little, more = depth("300 g cider vinegar", "10 g salt"), depth("300 g cider vinegar", "16 g salt")
        self.assertLess(little, more)
        self.assertLess(more, depth("16 g salt", "20 g olive oil"))
        self.assertLess(more, depth("1 l water", "64 g salt"))

    def test_cp19_thin_ribs_in_a_salty_paste(self) -> None:
        """Earliest useful after half an hour to two hours."""
        draft = of_kind("pork_spare_ribs", "1 kg", "slab", "15 mm", "40 g white miso", "30 g soy sauce", bone="ribs")
        window = judged(draft).window
        assert window is not None
        self.assertTrue(0.4 <= window.earliest.hours <= 2.0, window.earliest.hours)

    def test_cp21_the_faster_school_of_vacuum(self) -> None:
        """Half to a third of the time, as claimed: marked, never the default."""
        bag = replace(steak("12 g salt", "300 g water"), quantity=QuantitySaid(container="vacuum"))
        claimed = replace(bag, hold=HoldSaid(vacuum_school="faster"))
        hours = 10.0
        share = next(h for h in np.linspace(1, hours, 200) if average(claimed, float(h)) >= average(bag, hours)) / hours
        self.assertTrue(1 / 3 - 0.02 <= share <= 0.52, share)

    def test_cp25_a_cooked_mix_is_cold_after_half_an_hour(self) -> None:
        """Stirred in ice water."""
        self.assertTrue(20 <= cooling_s("ice_bath", 95.0, 5.0) / 60 <= 45)

    def test_cp26_dried_for_fresh_herbs(self) -> None:
        """A third, between a half and a quarter."""
        ratios = [
            swap.parts[0][1]
            for swap in KITCHEN.swaps
            if ITEMS[swap.swap_from].group == "herb_fresh" and swap.parts[0][0].endswith("_dried")
        ]
        self.assertTrue(ratios)
        for ratio in ratios:
            self.assertTrue(0.25 <= ratio <= 0.5, ratio)


class WorkedExamples(unittest.TestCase):
    """Arithmetic of the design notes."""

    def test_paste_of_a_round_joint_twice_as_heavy(self) -> None:
        """1.587 times: surface goes with the two-thirds power of the mass."""

        def paste(mass: str, thickness: str) -> float:
            draft = of_kind("beef_sirloin", mass, "ball", thickness, "12 g salt", pieces="1")
            return need_of(cut_of(draft), Vessel("paste")).mass_kg.value

        one, two = 0.1217, 0.1217 * 2 ** (1 / 3)
        self.assertAlmostEqual(
            paste("2 kg", f"{two * 1000:.2f} mm") / paste("1 kg", f"{one * 1000:.2f} mm"), 1.587, delta=0.01
        )

    def test_band_of_a_pure_clock(self) -> None:
        """Spread of the diffusivity 0.30, of thickness 0.10: times or over exp(1.28 sqrt(0.09 + 0.04)) = 1.59."""
        draft = replace(steak("300 g salt", "6 l water", thickness="9 mm"), hold=HoldSaid(goal="through"))
        window = judged(draft).window
        assert window is not None
        limit = window.latest
        self.assertTrue(limit.limit.id.startswith("over_salt"), limit.limit.id)
        factor = math.exp(1.2816 * math.sqrt(0.30**2 + (2 * 0.10) ** 2))
        self.assertAlmostEqual(limit.hours / limit.low_hours, factor, delta=0.005)


class Convergence(unittest.TestCase):
    """Refining the grid."""

    def test_second_order(self) -> None:
        """Twice as many cells, a quarter of the error (between a third and a fifth), at Fo 0.1 and 0.3."""
        for fo in (0.1, 0.3):
            exact = uptake("slab", 1.0, fo)
            errors = []
            for cells in (20, 40, 80):
                modes = modes_of(Path(0.0, 1.0), 1.0, cells)
                state = modes.states(np.append(np.zeros(cells), 1.0), np.array([fo]))[0]
                errors.append(abs(float(state[:-1] @ modes.grid.volumes) / 0.5 - exact))
            for coarse, fine in itertools.pairwise(errors):
                self.assertTrue(3.0 <= coarse / fine <= 5.0, errors)
