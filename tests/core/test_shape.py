"""Geometry against closed forms."""

from __future__ import annotations

import math
import unittest
from typing import Any

from hypothesis import given
from hypothesis import strategies as st

from tests.drafts import cut_of, of_kind
from tests.slabs import slab
from vadouvan.core.cut.shape import (
    Openness,
    Piece,
    ShapeName,
    Size,
    bone_radius_m,
    cube,
    matched_exponent,
    open_faces,
    piece_of,
)


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

    def test_edges_of_a_slab_are_open(self) -> None:
        """A breast of 220 g and 28 mm: its edges add about two thirds to its faces (arithmetic: 2 t / side = .65)."""
        side, thick = 0.0861, 0.028
        piece = piece_of("slab", Size(thick, side, side, thick * side**2), Openness())
        self.assertAlmostEqual(piece.open_area_m2 / (2 * side**2), 1 + 2 * thick / side, delta=1e-6)
        self.assertAlmostEqual(piece.path.length_m / (piece.path.exponent + 1), piece.volume_m3 / piece.open_area_m2)

    def test_a_bone_at_the_edge_leaves_both_faces_open(self) -> None:
        """A chop takes up nearly as one without bone; along a face it takes up half as fast or less."""
        size = Size(0.028, 0.09, 0.12, 0.028 * 0.09 * 0.12)
        none, edge, face = (piece_of("slab", size, Openness(bone=bone)) for bone in ("none", "edge", "face"))
        self.assertAlmostEqual(edge.far_m, none.far_m)
        self.assertTrue(0.85 < edge.open_area_m2 / none.open_area_m2 < 1.0)
        self.assertAlmostEqual(face.far_m, 2 * none.far_m)

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
        self.assertEqual(cut_of(of_kind("lamb_shoulder_cubes", "1.8 kg", "cube", "30 mm", "5 g salt")).pieces, 63)


def block(shape: ShapeName, thick: float, wide: float, long: float, **openness: Any) -> Piece:
    """A piece of given sides [m]."""
    volumes = {"cylinder": math.pi / 4 * thick**2 * long, "ball": math.pi / 6 * thick**3}
    return piece_of(shape, Size(thick, wide, long, volumes.get(shape, thick * wide * long)), Openness(**openness))


class MoreClosedForms(unittest.TestCase):
    """Cuboids, cylinders, balls, strips and rings."""

    def test_cuboid_three_two_one(self) -> None:
        """Exponent 2.48; V/A = 1 / (1/a + 1/b + 1/c) of half sides."""
        piece = block("cuboid", 0.02, 0.04, 0.06)
        self.assertAlmostEqual(piece.path.exponent, 2.48, delta=0.02)
        self.assertAlmostEqual(piece.volume_m3 / piece.open_area_m2, 1 / (1 / 0.01 + 1 / 0.02 + 1 / 0.03), delta=1e-9)

    def test_cylinder(self) -> None:
        """Surface 2 pi r^2 + 2 pi r h; a very long one has exponent 1 and its radius as path."""
        piece = block("cylinder", 0.04, 0.04, 0.1)
        self.assertAlmostEqual(piece.surface_m2, 2 * math.pi * 0.02 * (0.02 + 0.1))
        long = block("cylinder", 0.04, 0.04, 40.0).path
        self.assertAlmostEqual(long.exponent, 1.0, delta=0.01)
        self.assertAlmostEqual(long.length_m, 0.02, delta=1e-4)

    def test_ball(self) -> None:
        """4 pi r^2; the share deeper than half the radius is an eighth."""
        piece = block("ball", 0.1, 0.1, 0.1)
        self.assertAlmostEqual(piece.surface_m2, math.pi * 0.01)
        self.assertAlmostEqual(piece.share_deeper_than(0.025), 1 / 8)

    def test_strip_is_a_long_prism(self) -> None:
        """12 x 12 mm: V/A on four sides is a quarter of the thickness."""
        piece = block("strip", 0.012, 0.012, 0.07)
        self.assertAlmostEqual(piece.path.length_m / (piece.path.exponent + 1), 0.003, delta=1e-9)

    def test_ring_round_a_bone(self) -> None:
        """Deepest at the bone; all of the meat is less deep than that."""
        piece = block("cylinder", 0.05, 0.05, 0.12, bone="core", bone_share=0.3)
        inner = bone_radius_m(0.05, 0.3)
        self.assertAlmostEqual(piece.far_m, 0.025 - inner)
        self.assertAlmostEqual(piece.share_deeper_than(piece.far_m), 0.0)
        middle = ((0.025 - 0.005) ** 2 - inner**2) / (0.025**2 - inner**2)
        self.assertAlmostEqual(piece.share_deeper_than(0.005), middle)

    def test_round_roast_of_a_kilogram(self) -> None:
        """(36 pi)^(1/3) (M/rho)^(2/3) = 0.0465 m2: 51 g of paste 1 mm thick."""
        diameter = (6 / math.pi / 1060) ** (1 / 3)
        self.assertAlmostEqual(block("ball", diameter, diameter, diameter).surface_m2 * 1.1, 0.0512, delta=2e-4)


class Scaling(unittest.TestCase):
    """Lengths times k: area k^2, volume k^3."""

    @given(st.floats(0.005, 0.08), st.floats(0.2, 5))
    def test_cube_scales(self, edge_m: float, k: float) -> None:
        """Area, volume and path length scale as they must."""
        small, large = cube(edge_m, blocked_faces=1), cube(edge_m * k, blocked_faces=1)
        self.assertAlmostEqual(large.open_area_m2 / small.open_area_m2, k**2, delta=1e-9 * k**2)
        self.assertAlmostEqual(large.volume_m3 / small.volume_m3, k**3, delta=1e-9 * k**3)
        self.assertAlmostEqual(large.path.length_m / small.path.length_m, k, delta=1e-9 * k)

    @given(
        st.sampled_from(["slab", "strip", "cylinder", "cuboid", "ball", "irregular"]),
        st.sampled_from(["none", "face", "core"]),
        st.floats(0.01, 0.06),
        st.floats(0.3, 4),
    )
    def test_every_shape_scales(self, shape: ShapeName, bone: Any, thick: float, k: float) -> None:
        """Lengths times k: surfaces times k^2, paths times k, whatever the shape and bone."""
        sides = (thick, 1.5 * thick, 3 * thick)
        small = block(shape, *sides, bone=bone, bone_share=0.2)
        large = block(shape, *(k * side for side in sides), bone=bone, bone_share=0.2)
        self.assertAlmostEqual(large.surface_m2 / small.surface_m2 / k**2, 1.0, delta=1e-9)
        self.assertAlmostEqual(large.open_area_m2 / small.open_area_m2 / k**2, 1.0, delta=1e-9)
        self.assertAlmostEqual(large.path.length_m / small.path.length_m / k, 1.0, delta=1e-9)
        self.assertAlmostEqual(large.far_m / small.far_m / k, 1.0, delta=1e-9)

    @given(st.floats(0, 0.02))
    def test_share_deeper_falls_with_depth(self, depth_m: float) -> None:
        """The deeper, the less is left."""
        piece = cube(0.03, blocked_faces=0)
        self.assertGreaterEqual(piece.share_deeper_than(depth_m), piece.share_deeper_than(depth_m + 0.001))


class OpenFaces(unittest.TestCase):
    """Which faces of the section let the mix in, as it is drawn."""

    def test_each(self) -> None:
        """Bone and a cover on one side close what lies below; a bone along an edge the right; ribs all but the top."""
        size = Size(0.03, 0.08, 0.12, 0.03 * 0.08 * 0.12)
        known: tuple[tuple[ShapeName, Openness, tuple[str, ...]], ...] = (
            ("slab", Openness(), ("above", "below", "left", "right")),
            ("slab", Openness(bone="face"), ("above", "left", "right")),
            ("slab", Openness(bone="edge"), ("above", "below", "left")),
            ("slab", Openness(bone="ribs"), ("above",)),
            ("slab", Openness(bone="core", bone_share=0.2), ("round",)),
            ("slab", Openness(cover_m=0.0015), ("above", "left", "right")),
            ("slab", Openness(cover_m=0.0015, cover_all_round=True), ("above", "below", "left", "right")),
            ("cylinder", Openness(), ("round",)),
            ("irregular", Openness(bone="core", bone_share=0.2), ("round",)),
        )
        for shape, openness, faces in known:
            with self.subTest(shape, openness=openness):
                self.assertEqual(open_faces(piece_of(shape, size, openness)), faces)
