"""Acid in the meat: buffering, the band, the jar, against worked values and a general ODE solver."""

from __future__ import annotations

import re
import unittest
from unittest.mock import patch

import numpy as np
from scipy.integrate import solve_ivp

from tests.drafts import judged, of_kind
from tests.slabs import slab
from vadouvan.core.cut.kind import Family
from vadouvan.core.cut.shape import cube
from vadouvan.core.hold import acid
from vadouvan.core.hold.acid import AcidCourse, acid_course
from vadouvan.core.hold.buffer import RAW_PH, AcidKind, meat_titration, mix_titration
from vadouvan.core.hold.scenario import hold_scenario
from vadouvan.core.hold.temperature import salt_diffusivity
from vadouvan.core.hold.window import window_of
from vadouvan.core.mix.acidity import Solution, solution_ph

VINEGAR = Solution({"acetic": 0.877}, 0.0)
ACETIC = AcidKind({"acetic": 1.0})


def chicken(bath_ratio: float, solution: Solution = VINEGAR) -> AcidCourse:
    """A 24 mm chicken breast, open on both faces."""
    found = acid_course(slab(0.024, open_faces=2, volume_m3=1e-3), "poultry", 0.75, solution, bath_ratio)
    assert found is not None
    return found


def band_mm(course: AcidCourse, hours: float) -> float:
    """Depth of the white band after so many hours at 4 C [mm]."""
    tau = salt_diffusivity(4.0, "red") * hours * 3600
    return float(np.interp(tau, course.tau_m2, course.band_m())) * 1000


class Buffering(unittest.TestCase):
    """Meat holds its pH."""

    def test_acid_a_kilogram_brings_red_meat_to(self) -> None:
        """0.1, 0.2, 0.4 mol of acetic acid: pH 4.76, 4.51, 4.27 (design note, worked separately)."""
        titration = meat_titration("red", 0.73, ACETIC)
        for moles, ph in ((0.1, 4.76), (0.2, 4.51), (0.4, 4.27)):
            self.assertAlmostEqual(float(titration.ph_at(np.array([moles / 0.73]))[0]), ph, delta=0.01)

    def test_capacity_near_raw_meat(self) -> None:
        """40 to 60 mmol a kilogram and pH at pH 6 to 5.5 (Puolanne and Kivikari 2000, from memory)."""
        strong = AcidKind({"lactic": 1.0})
        titration = meat_titration("red", 0.73, strong)
        near = [float(np.interp(-ph, -titration.ph, titration.acid)) for ph in (5.5, 5.1)]
        capacity = (near[1] - near[0]) * 0.73 / 0.4 * 1000
        self.assertTrue(40 <= capacity <= 80, capacity)

    def test_no_acid_leaves_the_raw_ph(self) -> None:
        """Every family starts where it is."""
        for family, raw in RAW_PH.items():
            titration = meat_titration(family, 0.75, ACETIC)
            self.assertAlmostEqual(float(titration.ph_at(np.array([0.0]))[0]), raw)

    def test_the_mixs_own_curve_agrees_with_its_charge_balance(self) -> None:
        """With minerals and two acids, over a tenfold range."""
        solution = Solution({"acetic": 0.2, "citric": 0.1}, 0.05)
        kind = AcidKind.of(solution)
        assert kind is not None
        curve = mix_titration(solution, kind)
        for factor in (0.3, 1.0, 3.0):
            scaled = Solution({name: amount * factor for name, amount in solution.acids.items()}, 0.05)
            self.assertAlmostEqual(float(curve.ph_at(np.array([0.3 * factor]))[0]), solution_ph(scaled), delta=0.01)


class Band(unittest.TestCase):
    """How deep it turns white."""

    def test_vinegar_on_chicken(self) -> None:
        """4, 10, 20 h with half and with as much water outside as inside: design note, Newton and lagged agree."""
        for ratio, depths in ((0.5, (1.25, 1.58, 1.63)), (1.0, (1.45, 2.11, 2.68))):
            course = chicken(ratio)
            for hours, depth in zip((4, 10, 20), depths, strict=True):
                with self.subTest(ratio=ratio, hours=hours):
                    self.assertAlmostEqual(band_mm(course, hours), depth, delta=0.05)

    def test_three_parts_vinegar_to_one_of_oil_for_10_h(self) -> None:
        """2 to 4 mm, plus or minus 1 (common practice, no source): with plenty of it."""
        self.assertTrue(1.0 <= band_mm(chicken(1.0), 10) <= 5.0)

    def test_a_small_mix_runs_out_and_the_band_stops(self) -> None:
        """From 10 to 20 h it hardly grows at half the water; twice as much mix goes on."""
        self.assertLess(band_mm(chicken(0.5), 20) - band_mm(chicken(0.5), 10), 0.1)
        self.assertGreater(band_mm(chicken(1.0), 20) - band_mm(chicken(1.0), 10), 0.4)

    def test_yoghurt_never_makes_it(self) -> None:
        """PH 4.3 does not bring meat to 4.4; a day in yoghurt is ordinary (common practice, no source)."""
        judgement = judged(of_kind("chicken_breast", "1 kg", "slab", "24 mm", "12 g salt", "400 g yoghurt"))
        assert judgement.window is not None
        self.assertGreater(judgement.window.latest.hours, 24)

    def test_acid_is_conserved(self) -> None:
        """What the mix loses the meat has: the mean over volume and mix stays."""
        family: Family = "poultry"
        course = chicken(0.5)
        meat, mix = meat_titration(family, 0.75, ACETIC), mix_titration(VINEGAR, ACETIC)
        inside = np.interp(-course.ph[-1], -meat.ph, meat.acid)
        outside = float(np.interp(-course.mix_ph[-1], -mix.ph, mix.acid))
        edges = np.concatenate(([0.0], (course.depths_m[1:] + course.depths_m[:-1]) / 2, [0.012]))
        mean = float(np.sum(inside * np.diff(edges)) / 0.012)
        self.assertAlmostEqual(mean + 0.5 * outside, 0.5 * 0.877, delta=0.01)

    def test_finer_steps_and_cells_by_a_stiff_solver(self) -> None:
        """The same equations on the same cells by scipy's BDF: band within 0.05 mm at 4 and 10 h."""
        course = chicken(1.0)
        depths = stiffly(1.0, (4.0, 10.0))
        for hours, theirs in zip((4.0, 10.0), depths, strict=True):
            self.assertAlmostEqual(band_mm(course, hours), theirs, delta=0.05)

    def test_hours_are_those_of_ten_times_as_many_steps(self) -> None:
        """Within 1.5 %: less than the clock's steps, and far less than the band."""
        fine = np.repeat(acid.STEP_M2 / 10, 10)
        for kind, thickness, mix in (
            ("chicken_breast", "24 mm", ("300 g yoghurt", "40 g lemon juice", "12 g salt")),
            ("salmon_fillet", "25 mm", ("60 g lime juice", "30 g oil", "8 g salt")),
            ("pork_collar_steak", "35 mm", ("120 g cider vinegar", "60 g oil", "14 g salt")),
        ):
            with self.subTest(kind):
                one = judged(of_kind(kind, "900 g", "", thickness, *mix)).scenario
                assert one is not None
                found = window_of(one)
                with patch.multiple(acid, STEP_M2=fine, STEPS=len(fine), TAU_M2=np.cumsum(fine), STEPS_A_BLOCK=1):
                    finer = window_of(hold_scenario(one.cut, one.balance, one.hold))
                for edge in ("earliest", "best", "latest"):
                    ours, theirs = getattr(found, edge).hours, getattr(finer, edge).hours
                    self.assertAlmostEqual(ours, theirs, delta=0.015 * theirs + 0.02, msg=edge)
                self.assertNotEqual(found.latest.hours, finer.latest.hours)  # its steps were other ones

    def test_more_acid_is_deeper_and_fish_deeper_still(self) -> None:
        """Orderings."""
        weak, strong = chicken(1.0, Solution({"acetic": 0.4}, 0.0)), chicken(1.0)
        self.assertLess(band_mm(weak, 10), band_mm(strong, 10))
        fish = acid_course(slab(0.024, open_faces=2, volume_m3=1e-3), "fish", 0.77, VINEGAR, 1.0)
        assert fish is not None
        self.assertGreater(band_mm(fish, 4), band_mm(strong, 4))

    def test_lime_on_fish(self) -> None:
        """0.8, 1.5, 2.9 mm after 15 min, 1 h, 4 h at as much water outside as inside (design note), within a third."""
        lime = Solution({"citric": 0.33}, 0.02)
        course = acid_course(slab(0.024, open_faces=2, volume_m3=1e-3), "fish", 0.77, lime, 1.0)
        assert course is not None
        for hours, depth in ((0.25, 0.8), (1.0, 1.5), (4.0, 2.9)):
            with self.subTest(hours=hours):
                self.assertAlmostEqual(band_mm(course, hours), depth, delta=depth / 3)

    def test_no_acid_no_course(self) -> None:
        """Nothing to run."""
        self.assertIsNone(acid_course(cube(0.03, blocked_faces=0), "red", 0.73, Solution({"acetic": 0.0}, 0.0), 1.0))


def stiffly(ratio: float, hours: tuple[float, ...]) -> list[float]:
    """Band depths [mm] by scipy's BDF on 200 even cells, mobility taken as it is at every instant."""
    cells, half = 200, 0.012
    meat, mix = meat_titration("poultry", 0.75, ACETIC), mix_titration(VINEGAR, ACETIC)
    width = half / cells
    pace = 0.76 * salt_diffusivity(4.0, "red")

    def change(_time: float, c: np.ndarray) -> np.ndarray:
        snapshot = np.append(meat.whole_at(c[:-1]), mix.whole_at(c[-1:]))
        free = c * (snapshot + 0.3 * (1 - snapshot))
        flux = np.append(pace * np.diff(free[:-1]) / width, pace * (free[-1] - free[-2]) / (width / 2))
        gain = np.append(flux[0], np.diff(flux)) / width
        return np.append(gain, -flux[-1] / half / ratio)

    start = np.append(np.zeros(cells), 0.877)
    found = solve_ivp(change, (0, max(hours) * 3600), start, method="BDF", t_eval=[h * 3600 for h in hours], rtol=1e-5)
    depths = []
    for column in found.y.T:
        ph = meat.ph_at(column[:-1])[::-1]
        centres = (np.arange(cells) + 0.5) * width
        depths.append(float(np.interp(4.4, ph, centres)) * 1000)
    return depths


class Jar(unittest.TestCase):
    """Where a jar settles."""

    def test_pork_in_five_per_cent_vinegar(self) -> None:
        """0.25, 0.5, 0.8, 1 kg of it on a kilogram: pH 4.56, 4.39, 4.30, 4.26 (design note)."""
        for kg, ph in ((0.25, 4.56), (0.5, 4.39), (0.8, 4.30), (1.0, 4.26)):
            course = acid_course(cube(0.040, blocked_faces=0), "red", 0.73, VINEGAR, kg * 0.95 / 0.73)
            assert course is not None
            self.assertAlmostEqual(course.settled_ph, ph, delta=0.015)

    def test_the_remark_says_where_the_middle_is_and_where_it_goes(self) -> None:
        """Only where it may stay for a day, in a mix under pH 4.6 (high-acid line of the US food code, from memory)."""

        def told(*mix: str) -> str:
            draft = of_kind("pork_shoulder", "1 kg", "cube", "40 mm", *mix)
            return next((remark.says for remark in judged(draft).remarks if remark.id == "jar"), "")

        says = told("500 g buttermilk", "12 g salt")
        now, later = (float(number) for number in re.findall(r"(?:at pH|near) (\d\.\d)", says))
        self.assertLess(later, now)
        self.assertGreater(later, 4.5)  # the mix itself: meat buffers, so none gets as sour as what it lies in
        self.assertEqual(told("700 g milk", "12 g salt"), "")  # as long a hold, but not sour

    def test_the_core_passes_4_6_after_days(self) -> None:
        """40 mm cubes in 0.8 kg of vinegar: about 5.8 days at 4 C (design note, 0.25 days)."""
        course = acid_course(cube(0.040, blocked_faces=0), "red", 0.73, VINEGAR, 0.8 * 0.95 / 0.73)
        assert course is not None
        hours = course.tau_m2 / salt_diffusivity(4.0, "red") / 3600
        core = course.core_ph
        passed = float(np.interp(-4.6, -core, hours)) / 24
        self.assertAlmostEqual(passed, 5.8, delta=0.5)
