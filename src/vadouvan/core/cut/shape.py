"""Geometry of one piece: area, volume, and the one-dimensional path that salt takes inward.

Any compact piece is run as one radial problem whose area grows with ``(x / length)**exponent``;
exponent and length are matched to the piece's volume-to-area ratio and its slowest decay rate
(``calibration``; against product solutions of cubes and cuboids within 1.2 % of uptake).

Bone blocks: along one face of a slab or cuboid the way is the full thickness; ribs let some
through between them; in the middle of a round piece the path is a ring. Skin, fat and membranes
resist: each counts as a length of lean meat that resists as much (:mod:`vadouvan.core.cut.cover`).
"""

from __future__ import annotations

import math
from collections.abc import Callable, Sequence
from dataclasses import replace
from functools import lru_cache
from itertools import pairwise
from typing import Literal

import numpy as np
from numpy.typing import NDArray

from vadouvan.core.constants import BONE_IN_SECTION, COVERED_FACE_EARLY, COVERED_SHARE_OF_ROUND, RIBS_RESISTANCE_M
from vadouvan.unchanging import unchanging

Array = NDArray[np.float64]
Face = Literal["round", "above", "below", "left", "right"]
ShapeName = Literal["slab", "strip", "cylinder", "cube", "cuboid", "ball", "irregular"]
Bone = Literal["none", "face", "edge", "ribs", "core"]

# Exponent p against s = (slowest eigenvalue) * (V/A)^2, for a radial problem on (x/L)^p.
_MATCH = (
    (0.0, 2.4674), (0.25, 2.0613), (0.5, 1.7890), (0.75, 1.5934), (1.0, 1.4458), (1.25, 1.3303),
    (1.5, 1.2373), (1.75, 1.1608), (2.0, 1.0966), (2.25, 1.0420), (2.5, 0.9949), (2.75, 0.9538),
    (3.0, 0.9176), (3.25, 0.8855), (3.5, 0.8568), (3.75, 0.8310), (4.0, 0.8076), (4.5, 0.7669), (5.0, 0.7326),
)  # fmt: skip
_FIRST_ZERO_J0 = 2.404826
IRREGULAR_WIDTH = 1.4  # an uneven piece is about this much wider than thick


@unchanging
class Path:
    """A radial problem: area ~ (x / length)**exponent from ``inner_m`` to ``length_m``, open outside.

    ``resistance_m`` is the cover outside; ``far_resistance_m`` the cover of a second open face at
    the inner end (slabs only), or nothing where that end is closed or a middle.
    """

    exponent: float
    length_m: float
    inner_m: float = 0.0
    resistance_m: float = 0.0
    far_resistance_m: float | None = None

    def quickened(self, factor: float) -> Path:
        """The same path with every length divided by ``factor`` (scoring, slits) [1]."""
        return replace(
            self,
            length_m=self.length_m / factor,
            inner_m=self.inner_m / factor,
            resistance_m=self.resistance_m / factor,
            far_resistance_m=None if self.far_resistance_m is None else self.far_resistance_m / factor,
        )


@unchanging
class Size:
    """Outer dimensions of one piece [m] and its volume [m3]."""

    thickness_m: float
    width_m: float
    length_m: float
    volume_m3: float


@unchanging
class Openness:
    """Ways in for the mix: bone, and the cover's resistance [m] on one face or all round."""

    bone: Bone = "none"
    bone_share: float = 0.0
    cover_m: float = 0.0
    cover_all_round: bool = False


@unchanging(eq=False)  # one is known by being the same
class Piece:
    """One piece as salt sees it.

    ``deeper`` gives the share of volume (0 to 1) deeper than a depth [m] under the open faces;
    ``far_m`` is the way to the point reached last.
    """

    shape: ShapeName
    size: Size
    openness: Openness
    surface_m2: float
    open_area_m2: float
    path: Path
    far_m: float
    deeper: Callable[[Array], Array]

    @property
    def thickness_m(self) -> float:
        """Thickness at the thickest place [m]."""
        return self.size.thickness_m

    @property
    def volume_m3(self) -> float:
        """Volume of meat [m3]."""
        return self.size.volume_m3

    def share_deeper_than(self, depth_m: float) -> float:
        """Share of the piece's volume (0 to 1) that lies deeper than ``depth_m``."""
        return _share_deeper(self, depth_m)

    def shares_deeper_than(self, depths_m: Array) -> Array:
        """Shares of the piece's volume (0 to 1) that lie deeper than each depth."""
        return np.clip(self.deeper(depths_m), 0.0, 1.0)


@lru_cache(maxsize=512)
def _share_deeper(piece: Piece, depth_m: float) -> float:
    return float(piece.shares_deeper_than(np.array(depth_m)))


def matched_exponent(s: float) -> float:
    """Exponent p of the radial problem with slowest eigenvalue times (V/A)^2 equal to ``s`` [1].

    >>> round(matched_exponent(math.pi**2 / 4), 2), round(matched_exponent(3 * math.pi**2 / 36), 2)
    (0.0, 3.84)
    """
    for (low_p, low_s), (high_p, high_s) in pairwise(_MATCH):
        if s >= high_s:
            return max(0.0, low_p + (high_p - low_p) * (low_s - s) / (low_s - high_s))
    return _MATCH[-1][0]


def matched_path(volume_over_area_m: float, slowest_per_m2: float, resistance_m: float = 0.0) -> Path:
    """The radial problem with this volume-to-area ratio [m] and slowest decay rate [1/m2]."""
    exponent = matched_exponent(slowest_per_m2 * volume_over_area_m**2)
    return Path(exponent, (exponent + 1) * volume_over_area_m, resistance_m=resistance_m)


def piece_of(shape: ShapeName, size: Size, openness: Openness) -> Piece:
    """One piece of a shape and size, with bone and cover where they are."""
    round_with_bone = openness.bone == "core" and shape in ("cylinder", "ball", "irregular")
    if round_with_bone:
        return _ring(shape, size, openness)
    if shape in ("cylinder", "ball"):
        return _round(shape, size, openness)
    if shape == "slab" and openness.bone == "ribs":
        return _rack(shape, size, openness)
    return _box(shape, size, openness)


def _rack(shape: ShapeName, size: Size, openness: Openness) -> Piece:
    """Ribs side by side: meat shows between them; a membrane lies on that side and is in the way there."""
    thick = size.thickness_m
    behind_m = RIBS_RESISTANCE_M.value + openness.cover_m
    face_m2 = size.volume_m3 / thick
    path = Path(0.0, thick, far_resistance_m=behind_m)
    return Piece(
        shape=shape,
        size=size,
        openness=openness,
        surface_m2=2 * face_m2,
        open_area_m2=face_m2,
        path=path,
        far_m=(thick + min(thick, behind_m)) / 2,
        deeper=lambda depths_m: 1 - depths_m / path.length_m,
    )


def _box(shape: ShapeName, size: Size, openness: Openness) -> Piece:
    """Slabs with their edges, strips, cubes, cuboids and uneven pieces: open on all sides that nothing blocks."""
    thick_half = size.thickness_m / 2
    bone_below = openness.bone in ("face", "ribs")
    lag_m = 0.0 if openness.cover_all_round else openness.cover_m
    # A closed face doubles the way from the other; a cover stands in between: at the end by how slowly the last of
    # it evens out, at first by how little comes through. With bone below and a cover above, the cover lengthens the
    # only short way.
    if bone_below:
        first = early = size.thickness_m + min(lag_m, size.thickness_m)
    else:
        first = _half_beside_cover_m(size.thickness_m, lag_m)
        early = thick_half * (1 + lag_m / (lag_m + COVERED_FACE_EARLY.value * thick_half))
    # A bone along an edge, as in a chop, closes one narrow side: salt comes from the other, all the way.
    edge = 2 if openness.bone == "edge" else 1
    beside = [edge * size.width_m / 2] if shape == "strip" else [edge * size.width_m / 2, size.length_m / 2]
    halves = [first, *beside]
    ratio_m = 1.0 / sum(1.0 / half for half in (early, *beside))
    slowest = math.pi**2 / 4 * sum(1.0 / half**2 for half in halves)
    cover_m = openness.cover_m if openness.cover_all_round else 0.0
    sides = ((size.width_m, size.length_m), (size.thickness_m, size.length_m), (size.thickness_m, size.width_m))
    surface_m2 = 2 * sum(a * b for a, b in sides)
    closed_m2 = size.width_m * size.length_m * (bone_below + (lag_m > 0))
    closed_m2 += size.thickness_m * size.length_m * (openness.bone == "edge")
    return Piece(
        shape=shape,
        size=size,
        openness=openness,
        surface_m2=surface_m2,
        open_area_m2=surface_m2 - closed_m2,
        path=matched_path(ratio_m, slowest, cover_m),
        far_m=min(halves),
        deeper=lambda depths_m: _inside(depths_m, halves),
    )


def _inside(depths_m: Array, halves_m: Sequence[float]) -> Array:
    """Share of a piece inside each depth: what is left of it in each direction, by half its size there."""
    left = np.ones_like(depths_m)
    for half_m in halves_m:
        left = left * np.maximum(0.0, 1 - depths_m / half_m)
    return left


def _half_beside_cover_m(thickness_m: float, lag_m: float) -> float:
    """Half the thickness of an open slab that evens out as slowly as this one with a cover on one face [m].

    The slowest decay of a slab open at one face, with a lag ``c`` before the other: ``tan(k T) = -k c``.

    >>> [round(_half_beside_cover_m(0.02, lag) * 1000, 1) for lag in (0.0, 0.002, 0.1)]
    [10.0, 11.0, 18.6]
    """
    decay = math.pi / (thickness_m + lag_m)
    for _ in range(30):
        decay = (math.pi - math.atan(decay * lag_m)) / thickness_m
    return math.pi / 2 / decay


def _round(shape: ShapeName, size: Size, openness: Openness) -> Piece:
    """Cylinders with ends, and balls; a cap on one side takes a third of the surface away."""
    radius = size.thickness_m / 2
    if shape == "ball":
        surface_m2 = 4 * math.pi * radius**2
        path = Path(2.0, radius)
        halves = [radius] * 3
    else:
        half = size.length_m / 2
        surface_m2 = 2 * math.pi * radius**2 + 2 * math.pi * radius * size.length_m
        ratio_m = 1 / (2 / radius + 1 / half)
        path = matched_path(ratio_m, (_FIRST_ZERO_J0 / radius) ** 2 + (math.pi / 2 / half) ** 2)
        halves = [radius, radius, half]
    return _capped(Piece(
        shape=shape,
        size=size,
        openness=openness,
        surface_m2=surface_m2,
        open_area_m2=surface_m2,
        path=path,
        far_m=min(halves),
        deeper=lambda depths_m: _inside(depths_m, halves),
    ))  # fmt: skip


def _ring(shape: ShapeName, size: Size, openness: Openness) -> Piece:
    """Meat round a bone."""
    radius = size.thickness_m / 2
    inner = bone_radius_m(size.thickness_m, openness.bone_share)
    meat_m2 = math.pi * (radius**2 - inner**2)
    length = size.volume_m3 / meat_m2
    surface_m2 = 2 * math.pi * radius * length
    return _capped(Piece(
        shape=shape,
        size=replace(size, length_m=length),
        openness=openness,
        surface_m2=surface_m2,
        open_area_m2=surface_m2,
        path=Path(1.0, radius, inner_m=inner),
        far_m=radius - inner,
        deeper=lambda depths_m: (np.maximum(inner, radius - depths_m) ** 2 - inner**2) / (radius**2 - inner**2),
    ))  # fmt: skip


def open_faces(piece: Piece) -> tuple[Face, ...]:
    """Faces of the section at the thickest place that let the mix in unhindered, as it is drawn: bone and cover below,
    a bone along an edge to the right.

    >>> open_faces(cube(0.03, blocked_faces=1))
    ('above', 'left', 'right')
    """
    bone, one_side = piece.openness.bone, piece.openness.cover_m > 0 and not piece.openness.cover_all_round
    if piece.shape in ("cylinder", "ball") or (bone == "core" and piece.shape in ("irregular", "slab")):
        return ("round",)
    below: tuple[Face, ...] = () if bone in ("face", "ribs") or one_side else ("below",)
    in_a_rack = bone == "ribs" and piece.shape == "slab"  # one rib by itself is open on both sides
    sides: tuple[Face, ...] = () if in_a_rack else ("left",) if bone == "edge" else ("left", "right")
    return ("above", *below, *sides)


def bone_radius_m(thickness_m: float, bone_share: float) -> float:
    """Radius of a bone in the middle at the thickest place [m].

    Bone is denser than meat and heaviest at its ends: its share of the section is well under its
    share of the weight (``calibration``).

    >>> round(bone_radius_m(0.045, 0.24) * 1000, 1)
    6.5
    """
    return thickness_m / 2 * math.sqrt(BONE_IN_SECTION.value * bone_share)


def _capped(piece: Piece) -> Piece:
    """A round piece under its cover: all round as a resistance, one side as surface lost."""
    openness = piece.openness
    blocks = openness.bone in ("face", "ribs")
    if openness.cover_all_round and not blocks:
        return replace(piece, path=replace(piece.path, resistance_m=openness.cover_m))
    if openness.cover_m <= 0 and not blocks:
        return piece
    weight = 1.0 if blocks else openness.cover_m / (openness.cover_m + piece.size.thickness_m / 2)
    open_share = 1 - COVERED_SHARE_OF_ROUND.value * weight
    lost_m2 = COVERED_SHARE_OF_ROUND.value * piece.surface_m2
    return replace(piece, path=piece.path.quickened(open_share), open_area_m2=piece.surface_m2 - lost_m2)


def cube(edge_m: float, *, blocked_faces: int) -> Piece:
    """A cube with all faces open, or one blocked by bone."""
    openness = Openness(bone="face" if blocked_faces else "none")
    return piece_of("cube", Size(edge_m, edge_m, edge_m, edge_m**3), openness)
