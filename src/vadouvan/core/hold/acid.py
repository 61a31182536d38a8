"""Acid in the meat: a shallow band that turns white, held back by the meat's own buffering.

Only whole molecules and a share of the ions move; weak acids have to reach a high total before the
pH falls, and a small mix runs out, so the band stops. Backward Euler with lagged mobility on
steps that double, on the same graded cells as salt. Band depth is uncertain by a factor of two.
"""

from __future__ import annotations

import math
from dataclasses import dataclass

import numpy as np
from scipy.linalg.lapack import dgtsv

from vadouvan.core.constants import (
    ACID_BAND_PH,
    ACID_BAND_PH_FISH,
    ACID_FISH_FACTOR,
    ACID_IONS_MOVE,
)
from vadouvan.core.cut.kind import Family
from vadouvan.core.cut.shape import Piece
from vadouvan.core.hold.buffer import AcidKind, meat_titration, mix_titration
from vadouvan.core.hold.eigenmodes import Array, Grid, graded_grid
from vadouvan.core.mix.acidity import Solution

CELLS = 44
LOOKS = 240  # depths at which a piece is asked how much lies deeper
BLOCKS, STEPS_A_BLOCK = 8, 12
FIRST_STEP_M2 = 4e-8  # of D t: about three minutes of salt's pace in the cold
# Diffusivity in meat at 4 C over that of salt [1]: from handbook values in water (Wilke-Chang), same obstruction.
_OVER_SALT = {"acetic": 0.76, "lactic": 0.62, "citric": 0.41, "malic": 0.47, "tartaric": 0.46, "other": 0.41}


@dataclass(frozen=True)
class AcidCourse:
    """Acid over time in one piece, on salt's axis of tau [m2]: pH by depth, and of the mix.

    ``ph`` (times, cells) and ``depths_m`` (cells) from the surface inwards; ``threshold`` is the pH of the band.
    """

    tau_m2: Array
    depths_m: Array
    ph: Array
    mix_ph: Array
    threshold: float

    def band_m(self, more_ph: float = 0.0) -> Array:
        """Deepest that the pH has ever been at or under the threshold, by time [m]; turning white is for good."""
        depth = _depths_at(self.depths_m, self.ph, self.threshold + more_ph)
        return np.asarray(np.maximum.accumulate(depth))


def acid_course(
    piece: Piece, family: Family, water_share: float, solution: Solution, bath_ratio: float
) -> AcidCourse | None:
    """How the acid of a mix spreads into one piece; nothing without acid.

    ``bath_ratio`` is the mix's water over the meat's [1].
    """
    kind = AcidKind.of(solution)
    if kind is None or bath_ratio <= 0:
        return None
    meat, mix = meat_titration(family, water_share, kind), mix_titration(solution, kind)
    path = piece.path
    grid = graded_grid(path.exponent, CELLS, inner_share=path.inner_m / path.length_m)
    pace = sum(share * _OVER_SALT[name] for name, share in kind.shares.items())
    if family in ("fish", "shellfish"):
        pace *= ACID_FISH_FACTOR.value
    area = grid.edges[1:-1] ** path.exponent * _face(grid.edges, path.exponent)
    inner = area / np.diff(grid.centres)
    surface = _face(grid.edges, path.exponent) / (1 - grid.centres[-1] + path.resistance_m / path.length_m)
    conductances = np.append(inner, surface) * pace / path.length_m**2
    capacities = np.append(grid.volumes, bath_ratio)
    inside, outside = meat.mobile(ACID_IONS_MOVE.value), mix.mobile(ACID_IONS_MOVE.value)
    times = np.cumsum(np.repeat(FIRST_STEP_M2 * 2.0 ** np.arange(BLOCKS), STEPS_A_BLOCK))
    states, mobile = np.empty((len(times) + 1, CELLS + 1)), np.empty(CELLS + 1)
    states[0, :-1], states[0, -1] = 0.0, sum(solution.acids.values())
    for now, step in enumerate(np.diff(times, prepend=0.0)):
        mobile[:-1] = np.interp(states[now, :-1], meat.acid, inside)
        mobile[-1] = np.interp(states[now, -1], mix.acid, outside)
        states[now + 1] = _stepped(states[now], step * conductances, capacities, mobile)
    depths = _depths_m(piece, grid)
    threshold = (ACID_BAND_PH_FISH if family in ("fish", "shellfish") else ACID_BAND_PH).value
    return AcidCourse(
        tau_m2=times,
        depths_m=depths[::-1],
        ph=meat.ph_at(states[1:, :-1])[:, ::-1],
        mix_ph=mix.ph_at(states[1:, -1]),
        threshold=threshold,
    )


def _face(edges: Array, exponent: float) -> float:
    """Surface over volume for a path of length 1, so that volumes add up to 1."""
    return float((exponent + 1) / (1 - edges[0] ** (exponent + 1)))


def _depths_m(piece: Piece, grid: Grid) -> Array:
    """Depth of each cell under the open face [m]."""
    path = piece.path
    if path.far_resistance_m is not None:
        return np.asarray((1 - grid.centres) * path.length_m)
    looked_at = np.linspace(piece.far_m, 0.0, LOOKS)
    deeper = piece.shares_deeper_than(looked_at)
    return np.asarray(np.interp(np.cumsum(grid.volumes) - grid.volumes / 2, deeper, looked_at))


def _stepped(state: Array, flow: Array, capacities: Array, mobile: Array) -> Array:
    """One implicit step of d(capacity C)/dtau = div(conductance grad(mobility C)), mobility as it was.

    ``flow`` is the step's length times the conductances.
    """
    inward, outward = flow * mobile[:-1], flow * mobile[1:]
    middle = capacities.copy()
    middle[:-1] += inward
    middle[1:] += outward
    *_, solved, failed = dgtsv(-inward, middle, -outward, capacities * state)
    if failed:
        raise ArithmeticError("a step cannot be solved")
    return np.asarray(solved)


def _depths_at(depths_m: Array, ph: Array, threshold: float) -> Array:
    """For each row, the depth from the surface at which the pH rises above a threshold [m]."""
    mild = ph > threshold
    first = np.argmax(mild, axis=1)
    inside = np.clip(first, 1, None)
    rows = np.arange(len(ph))
    before, after = ph[rows, inside - 1], ph[rows, inside]
    part = (threshold - before) / np.where(after == before, 1.0, after - before)
    found = depths_m[inside - 1] + part * (depths_m[inside] - depths_m[inside - 1])
    return np.where(mild.any(axis=1), np.where(first == 0, 0.0, found), depths_m[-1])


def settled_ph(family: Family, water_share: float, solution: Solution, bath_ratio: float) -> float | None:
    """The pH of the meat when acid is spread evenly over all water, in meat and mix; nothing without acid.

    Whole molecules are as many per kg of water inside as outside.
    """
    kind = AcidKind.of(solution)
    if kind is None:
        return None
    meat, mix = meat_titration(family, water_share, kind), mix_titration(solution, kind)
    total = sum(solution.acids.values()) * bath_ratio
    # Swept over what stays outside: what is inside rises with it, by equal whole molecules.
    outside = np.linspace(0, sum(solution.acids.values()), 4000)
    free = outside * mix.whole_at(outside)
    inside = np.interp(free, meat.acid * meat.whole, meat.acid)
    found = int(np.argmin(np.abs(outside * bath_ratio + inside - total)))
    ph = float(meat.ph_at(np.array([inside[found]]))[0])
    return ph if math.isfinite(ph) else None
