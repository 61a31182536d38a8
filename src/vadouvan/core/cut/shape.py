"""Geometry of one piece: area, volume, and the one-dimensional path that salt takes inward.

Any compact piece is run as one radial problem whose area grows with ``(x / path)**exponent``;
exponent and path are matched to the piece's volume-to-area ratio and its slowest decay rate
(``calibration``; against product solutions of cubes and cuboids within 1.2 % of uptake).
"""

from __future__ import annotations

import math
from dataclasses import dataclass
from itertools import pairwise

from vadouvan.core.cut.kind import ShapeName

# Exponent p against s = (slowest eigenvalue) * (V/A)^2, for a radial problem on (x/L)^p.
_MATCH = (
    (0.0, 2.4674), (0.25, 2.0613), (0.5, 1.7890), (0.75, 1.5934), (1.0, 1.4458), (1.25, 1.3303),
    (1.5, 1.2373), (1.75, 1.1608), (2.0, 1.0966), (2.25, 1.0420), (2.5, 0.9949), (2.75, 0.9538),
    (3.0, 0.9176), (3.25, 0.8855), (3.5, 0.8568), (3.75, 0.8310), (4.0, 0.8076), (4.5, 0.7669), (5.0, 0.7326),
)  # fmt: skip


@dataclass(frozen=True)
class Path:
    """The radial problem that stands for a piece: area ~ (x / length)**exponent, open at x = length."""

    exponent: float
    length_m: float


@dataclass(frozen=True)
class Piece:
    """One piece, as salt sees it.

    ``half_dims_m`` are the distances from the middle (or from a blocked face) to each open
    pair of faces; a slab has one, a cube three. ``open_area_m2`` and ``volume_m3`` are of the
    whole piece.
    """

    shape: ShapeName
    thickness_m: float
    half_dims_m: tuple[float, ...]
    open_area_m2: float
    volume_m3: float

    @property
    def far_m(self) -> float:
        """Distance from the open surface to the point that is reached last, along the thickness [m]."""
        return max(self.half_dims_m) if self.shape == "slab" else min(self.half_dims_m)

    @property
    def path(self) -> Path:
        """The matched radial problem."""
        ratio_m = 1.0 / sum(1.0 / half for half in self.half_dims_m)
        slowest_per_m2 = math.pi**2 / 4 * sum(1.0 / half**2 for half in self.half_dims_m)
        exponent = matched_exponent(slowest_per_m2 * ratio_m**2)
        return Path(exponent, (exponent + 1) * ratio_m)

    def share_deeper_than(self, depth_m: float) -> float:
        """Share of the piece's volume (0 to 1) that lies deeper than ``depth_m`` under every open face.

        >>> slab(0.020, open_faces=2, volume_m3=1e-4).share_deeper_than(0.005)
        0.5
        """
        return math.prod(max(0.0, 1.0 - depth_m / half) for half in self.half_dims_m)


def matched_exponent(s: float) -> float:
    """Exponent p of the radial problem with slowest eigenvalue times (V/A)^2 equal to ``s`` [1].

    >>> round(matched_exponent(math.pi**2 / 4), 2), round(matched_exponent(3 * math.pi**2 / 36), 2)
    (0.0, 3.84)
    """
    for (low_p, low_s), (high_p, high_s) in pairwise(_MATCH):
        if s >= high_s:
            return max(0.0, low_p + (high_p - low_p) * (low_s - s) / (low_s - high_s))
    return _MATCH[-1][0]


def slab(thickness_m: float, *, open_faces: int, volume_m3: float) -> Piece:
    """A slab that takes up through ``open_faces`` (2, or 1 when bone or tray blocks the other).

    Edges are left out: true for pieces a few times wider than thick.
    """
    area_m2 = open_faces * volume_m3 / thickness_m
    return Piece("slab", thickness_m, (thickness_m / open_faces,), area_m2, volume_m3)


def cube(edge_m: float, *, blocked_faces: int) -> Piece:
    """A cube with all faces open, or one blocked by bone (its path there is the full edge)."""
    half = edge_m / 2
    halves = (half, half, edge_m if blocked_faces else half)
    return Piece("cube", edge_m, halves, (6 - blocked_faces) * edge_m**2, edge_m**3)
