"""A cut taken apart before the mix: a rack into ribs, a joint into steaks, a fillet into portions."""

from __future__ import annotations

import math
from dataclasses import replace

from vadouvan.core.cut.cut import Cut, size_of
from vadouvan.errors import InputError

ROUND = ("cylinder", "ball", "irregular")
RACK_IS_LONGER = 3.0  # a rack of ribs is about so many times longer than wide (common practice, no source)


def divided(cut: Cut, apart_m: float, *, field: str) -> Cut:
    """The cut in pieces, each as wide as the cuts lie apart [m], taken across its longest side.

    A round joint gives slices, with what covered it left as their rim; of anything else the pieces keep their faces,
    bone and cover, and are open where they were cut. Raises InputError where it is too short to be cut at all.
    """
    longest_m, other_m = _sides_m(cut)
    count = round(longest_m / apart_m)
    if count < 2:
        wrong = f"It is about {longest_m * 1000:.0f} mm long: cuts {apart_m * 1000:.0f} mm apart make no pieces."
        accepted = f"Write up to {longest_m * 500:.0f} mm, or take the step out."
        raise InputError(field=field, given=f"{apart_m * 1000:.0f} mm", wrong=wrong, accepted=accepted)
    each_m, pieces = longest_m / count, cut.pieces * count
    if cut.shape in ROUND and each_m < cut.thickness_m:
        return replace(
            cut, shape="slab", thickness_m=each_m, width_m=cut.thickness_m, length_m=None, pieces=pieces, cover="none"
        )
    if cut.shape in ROUND:
        return replace(cut, pieces=pieces, length_m=None)
    if cut.bone == "none" and each_m < cut.thickness_m:
        return replace(cut, shape="cuboid", thickness_m=each_m, width_m=cut.thickness_m, length_m=None, pieces=pieces)
    return replace(cut, shape="cuboid", width_m=min(each_m, other_m), length_m=None, pieces=pieces)


def _sides_m(cut: Cut) -> tuple[float, float]:
    """The longest side of a piece and the one across it [m]; of a rack that was not measured, as racks are."""
    size = size_of(cut, cut.untrimmed_kg)
    if cut.bone == "ribs" and cut.width_m is None:
        across_m = math.sqrt(size.width_m * size.length_m / RACK_IS_LONGER)
        return RACK_IS_LONGER * across_m, across_m
    return max(size.length_m, size.width_m), min(size.length_m, size.width_m)
