"""Diffusion by modes against analytic series, tables, product solutions and a general solver."""

from __future__ import annotations

import math
import unittest

import numpy as np
from hypothesis import given, settings
from hypothesis import strategies as st
from scipy.integrate import solve_ivp

from tests import drawn
from tests.cases import rows
from tests.reference import crank
from vadouvan.core.cut.shape import Path, cube
from vadouvan.core.hold.eigenmodes import Modes, modes_of

EXPONENT = {"slab": 0.0, "cylinder": 1.0, "sphere": 2.0}


def uptake(modes: Modes, fo: float) -> float:
    """Mean concentration over its final value, from an empty piece."""
    empty = np.zeros(len(modes.grid.volumes))
    if math.isinf(modes.bath_ratio):
        return float((1 + modes.states(empty - 1, np.array([fo]))[0]) @ modes.grid.volumes)
    state = modes.states(np.append(empty, 1.0), np.array([fo]))[0]
    return float(state[:-1] @ modes.grid.volumes) * (1 + modes.bath_ratio) / modes.bath_ratio


class AgainstPublishedValues(unittest.TestCase):
    """Values that stand outside the project."""

    def test_uptake_of_slab_cylinder_and_sphere(self) -> None:
        """Uptake equals the tabulated series for constant surfaces and finite baths."""
        for row in rows("diffusion"):
            with self.subTest(row=row):
                modes = modes_of(Path(EXPONENT[row["shape"]], 1.0), float(row["bath_ratio"]))
                self.assertAlmostEqual(
                    uptake(modes, float(row["fo"])), float(row["uptake"]), delta=float(row["tolerance"])
                )

    def test_reference_series_has_the_tabulated_roots(self) -> None:
        """The series we check against is itself Crank's: its first roots are the printed ones."""
        for row in rows("first_roots"):
            with self.subTest(row=row):
                root = crank.roots(row["shape"], float(row["bath_ratio"]), count=1)[0]
                self.assertAlmostEqual(root, float(row["root"]), delta=1.1e-4)

    def test_slowest_mode_of_a_finite_bath_is_the_root_squared(self) -> None:
        """The decay rates are the squares of Crank's roots."""
        for row in rows("first_roots"):
            with self.subTest(row=row):
                rates = modes_of(Path(EXPONENT[row["shape"]], 1.0), float(row["bath_ratio"])).rates
                self.assertAlmostEqual(math.sqrt(rates[1]), float(row["root"]), delta=2e-3)


class TwoOpenFaces(unittest.TestCase):
    """A slab that is open, or covered, on each of its faces."""

    def test_open_alike_is_half_the_slab_from_its_middle(self) -> None:
        """Twice as thick and open on both faces: the same uptake after the same time, in any bath, covered or not."""
        for bath_ratio in (math.inf, 5.0, 0.5):
            for cover in (0.0, 0.4):
                half = modes_of(Path(0.0, 1.0, resistance_m=cover), bath_ratio)
                snapshot = modes_of(Path(0.0, 2.0, resistance_m=cover, far_resistance_m=cover), bath_ratio)
                for fo in (0.02, 0.1, 0.5, 1.5):
                    with self.subTest(bath_ratio=bath_ratio, cover=cover, fo=fo):
                        self.assertAlmostEqual(uptake(snapshot, fo / 4), uptake(half, fo), delta=1.5e-3)

    def test_nothing_is_lost_between_two_faces_and_their_bath(self) -> None:
        """What leaves the bath is in the piece, to a part in a thousand million, whatever the two covers."""
        modes = modes_of(Path(0.0, 1.0, resistance_m=0.3, far_resistance_m=1.5), 0.7)
        start = np.append(np.zeros(len(modes.grid.volumes)), 1.0)
        states = modes.states(start, np.array([0.01, 0.1, 1.0, 10.0]))
        held = states[:, :-1] @ modes.grid.volumes + 0.7 * states[:, -1]
        self.assertLess(float(np.abs(held - 0.7).max()), 1e-9)


class AgainstTheSeries(unittest.TestCase):
    """The analytic series over a wide range."""

    def test_uptake_stays_within_half_a_thousandth(self) -> None:
        """|error in uptake| <= 5e-4 for Fo from 1e-3 on, any bath."""
        for shape, exponent in EXPONENT.items():
            for ratio in (0.3, 1.0, 3.0, math.inf):
                modes = modes_of(Path(exponent, 1.0), ratio)
                for fo in (1e-3, 1e-2, 0.1, 0.5, 2.0):
                    with self.subTest(shape=shape, ratio=ratio, fo=fo):
                        expected = crank.uptake(shape, ratio, fo)
                        self.assertAlmostEqual(uptake(modes, fo), expected, delta=5e-4)

    def test_cube_by_matched_exponent_follows_the_product_solution(self) -> None:
        """A cube as one radial problem stays within 0.8 % of the product of three slabs."""
        path = cube(2.0, blocked_faces=0).path
        modes = modes_of(path, math.inf)
        for fo in (0.005, 0.02, 0.05, 0.1, 0.2, 0.4):
            with self.subTest(fo=fo):
                mine = uptake(modes, fo / path.length_m**2)
                self.assertAlmostEqual(mine, crank.cube_uptake(fo), delta=0.008)


class AgainstAGeneralSolver(unittest.TestCase):
    """The same equation stepped by scipy's stiff solver on a finer, even grid."""

    def test_finite_bath_slab_profile(self) -> None:
        """Centre and bath agree with BDF on 400 even cells."""
        cells, ratio, fo = 400, 0.5, 0.15
        step = 1 / cells

        def change(_t: float, c: np.ndarray) -> np.ndarray:
            flux = np.empty(cells + 1)
            flux[0] = 0.0
            flux[1:-1] = (c[1:cells] - c[: cells - 1]) / step
            flux[-1] = (c[cells] - c[cells - 1]) / (step / 2)
            return np.append(np.diff(flux) / step, -flux[-1] / ratio)

        start = np.append(np.zeros(cells), 1.0)
        stepped = solve_ivp(change, (0, fo), start, method="BDF", rtol=1e-8, atol=1e-10).y[:, -1]
        modes = modes_of(Path(0.0, 1.0), ratio)
        mine = modes.states(np.append(np.zeros(60), 1.0), np.array([fo]))[0]
        self.assertAlmostEqual(mine[0], stepped[0], delta=1e-3)
        self.assertAlmostEqual(mine[-1], stepped[-1], delta=5e-4)


class Properties(unittest.TestCase):
    """What must hold for any piece and bath."""

    @settings(max_examples=drawn(40))
    @given(st.floats(0, 4.9), st.floats(0.05, 20), st.floats(1e-4, 3))
    def test_nothing_is_lost_or_made(self, exponent: float, ratio: float, fo: float) -> None:
        """Mass in piece and bath is the mass that was in the bath, to 1e-9."""
        modes = modes_of(Path(exponent, 1.0), ratio)
        state = modes.states(np.append(np.zeros(60), 1.0), np.array([fo]))[0]
        total = float(state[:-1] @ modes.grid.volumes) + modes.bath_ratio * float(state[-1])
        self.assertAlmostEqual(total, modes.bath_ratio, delta=1e-9 * max(1.0, ratio))

    @settings(max_examples=drawn(30))
    @given(st.floats(0, 4.9), st.floats(0.05, 20))
    def test_uptake_only_grows(self, exponent: float, ratio: float) -> None:
        """The mean never falls, and ends at equilibrium."""
        modes = modes_of(Path(exponent, 1.0), ratio)
        states = modes.states(np.append(np.zeros(60), 1.0), np.geomspace(1e-4, 60, 40))
        means = states[:, :-1] @ modes.grid.volumes
        self.assertTrue(np.all(np.diff(means) > -1e-9))
        self.assertAlmostEqual(means[-1], modes.bath_ratio / (1 + modes.bath_ratio), delta=1e-6)
