"""The radial paths that pieces are run as, against a finite-volume solver in two and three dimensions."""

from __future__ import annotations

import math
import random
import unittest
from collections.abc import Iterator

import numpy as np

from tests.reference import crank
from tests.reference.finite_volume import CLOSED, Array, Direction, uptake
from vadouvan.core.cut.shape import Openness, Piece, Size, piece_of
from vadouvan.core.hold.eigenmodes import modes_of

SKIN_M, FAT_M = 0.0015, 0.1
MOMENTS = np.geomspace(0.01, 1.0, 6)  # of the square of the way
WITHIN = 0.02  # of all that is taken up in the end
ROUNDS = 5


def modelled(piece: Piece, bath_ratio: float, taus_m2: Array) -> Array:
    """Mean over the one that all settles to, as the application works it out."""
    modes = modes_of(piece.path, bath_ratio)
    volumes = modes.grid.volumes
    states = modes.states(np.append(np.zeros(len(volumes)), 1.0), taus_m2 / piece.path.length_m**2)
    return np.asarray(states[:, :-1] @ volumes * (1 + bath_ratio) / bath_ratio)


def half(size_m: float, cover_m: float = 0.0) -> Direction:
    """From the middle to a face."""
    return Direction(0.0, size_m / 2, before_end_m=cover_m)


def boxes(rnd: random.Random) -> Iterator[tuple[str, Piece, list[Direction]]]:
    """One of each kind with corners: thickness 12 to 50 mm, wider and longer as cuts are."""
    thick = rnd.uniform(0.012, 0.05)
    wide, long = thick * rnd.uniform(1.2, 3), thick * rnd.uniform(2, 5)
    size, edges = Size(thick, wide, long, thick * wide * long), [half(wide), half(long)]
    yield "cube", piece_of("cube", Size(thick, thick, thick, thick**3), Openness()), [half(thick)] * 3
    bar = Size(thick, thick * 1.2, 0.2, thick * thick * 1.2 * 0.2)
    yield "bar", piece_of("strip", bar, Openness()), [half(thick), half(thick * 1.2)]
    yield "slab", piece_of("slab", size, Openness()), [half(thick), *edges]
    yield "bone below", piece_of("slab", size, Openness(bone="face")), [Direction(0, thick), *edges]
    edge = [half(thick), Direction(0, wide), half(long)]
    yield "bone along an edge", piece_of("slab", size, Openness(bone="edge")), edge
    for name, cover_m in (("skin", SKIN_M), ("fat", FAT_M)):
        covered = [Direction(0, thick, before_start_m=cover_m), *edges]
        yield f"{name} on one side", piece_of("slab", size, Openness(cover_m=cover_m)), covered
    around = [half(side, SKIN_M) for side in (thick, wide, long)]
    yield "skin all round", piece_of("slab", size, Openness(cover_m=SKIN_M, cover_all_round=True)), around


def rounds(rnd: random.Random) -> Iterator[tuple[str, Piece, list[Direction]]]:
    """Round joints with their ends; meat round a bone."""
    radius = rnd.uniform(0.01, 0.05)
    long = radius * rnd.uniform(3, 10)
    size = Size(2 * radius, 2 * radius, long, math.pi * radius**2 * long)
    around = Direction(0, radius, radial=True)
    yield "cylinder", piece_of("cylinder", size, Openness()), [around, half(long)]
    skinned = Openness(cover_m=SKIN_M, cover_all_round=True)
    under = [Direction(0, radius, before_end_m=SKIN_M, radial=True), half(long, SKIN_M)]
    yield "cylinder under skin", piece_of("cylinder", size, skinned), under
    ring = piece_of("cylinder", size, Openness(bone="core", bone_share=rnd.uniform(0.1, 0.3)))
    yield "round a bone", ring, [Direction(ring.path.inner_m, radius, radial=True)]


class Pieces(unittest.TestCase):
    """Fifty-five pieces drawn at random, each in a bath of a tenth to three times its water."""

    def test_uptake(self) -> None:
        """Within 2 % at each of six moments."""
        rnd = random.Random(16)
        for _ in range(ROUNDS):
            for name, piece, directions in (*boxes(rnd), *rounds(rnd)):
                ratio, taus_m2 = rnd.uniform(0.1, 3.0), MOMENTS * piece.far_m**2
                with self.subTest(name, ratio=ratio, mm=piece.thickness_m * 1000):
                    off = modelled(piece, ratio, taus_m2) - uptake(directions, ratio, taus_m2)
                    self.assertLess(float(np.abs(off).max()), WITHIN)


class TheSolver(unittest.TestCase):
    """The solver itself against closed forms (``crank1975``), and that a face can be closed."""

    def test_closed_forms(self) -> None:
        """Slab and cylinder in a finite bath, within half a percent."""
        fo = np.geomspace(0.005, 0.8, 6)
        for shape, radial in (("slab", False), ("cylinder", True)):
            for ratio in (0.3, 2.0):
                with self.subTest(shape, ratio=ratio):
                    known = [crank.uptake(shape, ratio, time) for time in fo]
                    off = uptake([Direction(0, 1, radial=radial)], ratio, fo) - known
                    self.assertLess(float(np.abs(off).max()), 0.005)

    def test_a_cube_in_a_large_bath(self) -> None:
        """The product of three slabs."""
        fo = np.geomspace(0.005, 0.8, 6)
        off = uptake([Direction(0, 1)] * 3, 1e7, fo) - [crank.cube_uptake(time) for time in fo]
        self.assertLess(float(np.abs(off).max()), 0.005)

    def test_two_open_faces_are_half_the_way(self) -> None:
        """A slab from face to face is its half from the middle; one closed face is the whole way."""
        fo = np.geomspace(0.005, 0.8, 6)
        through = uptake([Direction(0, 2, before_start_m=0.0)], 1.0, fo)
        self.assertLess(float(np.abs(through - uptake([Direction(0, 1)], 1.0, fo)).max()), 0.005)
        closed = uptake([Direction(0, 1, before_start_m=CLOSED, before_end_m=CLOSED)], 1.0, fo)
        self.assertLess(float(np.abs(closed).max()), 1e-9)
