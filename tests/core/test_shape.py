"""Geometry against closed forms."""

from __future__ import annotations

import math
import unittest

from hypothesis import given
from hypothesis import strategies as st

from vadouvan.core.cut.cut import cubes_in
from vadouvan.core.cut.shape import cube, matched_exponent, slab


class ClosedForms(unittest.TestCase):
    """Areas, volumes, paths."""

    def test_cube(self) -> None:
        """A cube's path: exponent 3.84 and length 1.614 half edges."""
        path = cube(2.0, blocked_faces=0).path
        self.assertAlmostEqual(path.exponent, 3.84, delta=0.02)
        self.assertAlmostEqual(path.length_m, 1.614, delta=0.005)

    def test_blocked_cube_has_a_fifth_of_its_edge_as_volume_over_area(self) -> None:
        """V/A = e^3 / 5 e^2."""
        piece = cube(0.03, blocked_faces=1)
        self.assertAlmostEqual(piece.volume_m3 / piece.open_area_m2, 0.03 / 5)
        path = piece.path
        self.assertAlmostEqual(path.length_m / (path.exponent + 1), 0.03 / 5)

    def test_slab_is_its_own_path(self) -> None:
        """Exponent 0; half the thickness with two faces, all of it with one."""
        for faces, length in ((2, 0.01), (1, 0.02)):
            path = slab(0.02, open_faces=faces, volume_m3=1e-4).path
            self.assertAlmostEqual(path.exponent, 0.0, delta=1e-3)
            self.assertAlmostEqual(path.length_m, length, delta=1e-5)

    def test_area_of_a_kilogram_of_25_mm_cubes(self) -> None:
        """6 M / (rho a) = 0.226 m2 at 1060 kg/m3."""
        piece = cube(0.025, blocked_faces=0)
        self.assertAlmostEqual(piece.open_area_m2 / piece.volume_m3 / 1060, 0.22642, delta=1e-4)

    def test_sphere_is_the_known_shape_of_its_eigenvalue(self) -> None:
        """pi^2 / 9 stands for a sphere, 2.4048^2 / 4 for a long cylinder."""
        self.assertAlmostEqual(matched_exponent(math.pi**2 / 9), 2.0, delta=0.01)
        self.assertAlmostEqual(matched_exponent(2.4048**2 / 4), 1.0, delta=0.01)

    def test_63_cubes_of_30_mm_in_1800_g(self) -> None:
        """1.8 kg / (1050 kg/m3 x 27 ml) = 63.5."""
        self.assertEqual(cubes_in(1.8, 0.03, 1050), 63)


class Scaling(unittest.TestCase):
    """Lengths times k: area k^2, volume k^3."""

    @given(st.floats(0.005, 0.08), st.floats(0.2, 5))
    def test_cube_scales(self, edge_m: float, k: float) -> None:
        """Area, volume and path length scale as they must."""
        small, large = cube(edge_m, blocked_faces=1), cube(edge_m * k, blocked_faces=1)
        self.assertAlmostEqual(large.open_area_m2 / small.open_area_m2, k**2, delta=1e-9 * k**2)
        self.assertAlmostEqual(large.volume_m3 / small.volume_m3, k**3, delta=1e-9 * k**3)
        self.assertAlmostEqual(large.path.length_m / small.path.length_m, k, delta=1e-9 * k)

    @given(st.floats(0, 0.02))
    def test_share_deeper_falls_with_depth(self, depth_m: float) -> None:
        """The deeper, the less is left."""
        piece = cube(0.03, blocked_faces=0)
        self.assertGreaterEqual(piece.share_deeper_than(depth_m), piece.share_deeper_than(depth_m + 0.001))
