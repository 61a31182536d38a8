"""Acid in the meat: a shallow band that turns white, held back by the meat's own buffering.

Only whole molecules and a share of the ions move; weak acids have to reach a high total before the
pH falls, and a small mix runs out, so the band stops. Backward Euler with lagged mobility on
steps that double, on the same graded cells as salt. Band depth is uncertain by a factor of two.
"""

from __future__ import annotations

from bisect import bisect_right
from functools import cached_property, lru_cache

import numpy as np

from vadouvan.core.constants import (
    ACID_BAND_PH,
    ACID_BAND_PH_FISH,
    ACID_FISH_FACTOR,
    ACID_IONS_MOVE,
)
from vadouvan.core.cut.kind import Family
from vadouvan.core.cut.shape import Piece
from vadouvan.core.hold.buffer import AcidKind, Titration, meat_titration, mix_titration
from vadouvan.core.hold.eigenmodes import Array, Grid, graded_grid
from vadouvan.core.mix.acidity import Solution
from vadouvan.unchanging import unchanging

CELLS = 44
SETTLED: Array = np.linspace(0.0, 1.0, 400)  # shares of the strength that are left outside
LOOKS = 240  # depths at which a piece is asked how much lies deeper
BLOCKS, STEPS_A_BLOCK = 8, 8  # hours of 156 sour holds are within 1.2 % of those of fifteen times as many steps
FIRST_STEP_M2 = 6e-8  # of D t: about four minutes of salt's pace in the cold
STEP_M2: Array = np.repeat(FIRST_STEP_M2 * 2.0 ** np.arange(BLOCKS), STEPS_A_BLOCK)
STEPS = len(STEP_M2)
TAU_M2: Array = np.cumsum(STEP_M2)
NOTHING = 1e-30  # mol/kg in the meat before: numbers too small to be held in full would make a step twice as slow
# Diffusivity in meat at 4 C over that of salt [1]: from handbook values in water (Wilke-Chang), same obstruction.
_OVER_SALT = {"acetic": 0.76, "lactic": 0.62, "citric": 0.41, "malic": 0.47, "tartaric": 0.46, "other": 0.41}


@unchanging(eq=False)  # one is known by being the same: its hash goes with that
class AcidCourse:
    """Acid over time in one piece, on salt's axis of tau [m2], by depth from the surface inwards, and in the mix.

    ``acid`` (times, cells) and ``mix_acid`` (times) in mol/kg of water, ``depths_m`` (cells); ``threshold`` is the pH
    of the band. ``strength`` is what the mix began with, ``bath_ratio`` its water over the meat's [1].
    """

    tau_m2: Array
    depths_m: Array
    acid: Array
    mix_acid: Array
    meat: Titration
    mix: Titration
    threshold: float
    strength: float
    bath_ratio: float

    @cached_property
    def ph(self) -> Array:
        """The pH of the meat (times, cells)."""
        return self.meat.ph_at(self.acid)

    @cached_property
    def surface_ph(self) -> Array:
        """The pH of its outermost cell (times)."""
        return self.meat.ph_at(self.acid[:, 0])

    @cached_property
    def core_ph(self) -> Array:
        """The pH of its innermost cell (times)."""
        return self.meat.ph_at(self.acid[:, -1])

    @property
    def mix_ph(self) -> Array:
        """The pH of the mix (times)."""
        return self.mix.ph_at(self.mix_acid)

    @property
    def settled_ph(self) -> float:
        """The pH of the meat when acid is spread evenly over all water: as many whole molecules inside as outside."""
        # Swept over what stays outside: what is inside rises with it.
        outside = self.strength * SETTLED
        meat = self.meat
        inside = np.interp(outside * self.mix.whole_at(outside), meat.acid * meat.whole, meat.acid)
        settled = np.interp(self.strength * self.bath_ratio, outside * self.bath_ratio + inside, inside)
        return float(meat.ph_at(np.array([settled]))[0])

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
    strength = sum(solution.acids.values())
    states = np.empty((STEPS + 1, CELLS + 1))
    states[0, :-1], states[0, -1] = NOTHING, strength
    _step(states, conductances, np.append(grid.volumes, bath_ratio), meat, mix)
    depths = _depths_m(piece, grid)
    threshold = (ACID_BAND_PH_FISH if family in ("fish", "shellfish") else ACID_BAND_PH).value
    return AcidCourse(
        tau_m2=TAU_M2,
        depths_m=depths[::-1],
        acid=states[1:, -2::-1],
        mix_acid=states[1:, -1],
        meat=meat,
        mix=mix,
        threshold=threshold,
        strength=strength,
        bath_ratio=bath_ratio,
    )


def _face(edges: Array, exponent: float) -> float:
    """Surface over volume for a path of length 1, so that volumes add up to 1."""
    return float((exponent + 1) / (1 - edges[0] ** (exponent + 1)))


@lru_cache(maxsize=64)
def _depths_m(piece: Piece, grid: Grid) -> Array:
    """Depth of each cell under the open face [m]."""
    path = piece.path
    if path.far_resistance_m is not None:
        return np.asarray((1 - grid.centres) * path.length_m)
    looked_at = np.linspace(piece.far_m, 0.0, LOOKS)
    deeper = piece.shares_deeper_than(looked_at)
    return np.asarray(np.interp(grid.centre_shares, deeper, looked_at))


def _step(states: Array, conductances: Array, capacities: Array, meat: Titration, mix: Titration) -> None:
    """Fill ``states`` (times, cells and mix) from its first row.

    By d(capacity C)/dtau = div(conductance grad(mobility C)). Each step is implicit, with mobility as it was, and
    solved for what moves (mobility times C): what leaves one cell enters the next, so that its matrix is symmetric.
    """
    from scipy.linalg.lapack import dptsv  # noqa: PLC0415 - scipy is a tenth of a start

    inside, outside = meat.mobile(ACID_IONS_MOVE.value), mix.mobile(ACID_IONS_MOVE.value)
    in_mix, mobile = _Line(mix.acid, outside), np.empty(CELLS + 1)
    either_side = np.append(conductances, 0.0) + np.append(0.0, conductances)
    state = states[0]
    for now, row in enumerate(states[1:]):
        if now % STEPS_A_BLOCK == 0:
            out, beside = STEP_M2[now] * either_side, -STEP_M2[now] * conductances
        mobile[:-1] = np.interp(state[:-1], meat.acid, inside)
        mobile[-1] = in_mix(state.item(-1))
        # its matrix and right side are the solver's to overwrite, what is beside the diagonal is not
        *_, moves, failed = dptsv(capacities / mobile + out, beside, capacities * state, 1, 0, 1)
        if failed:
            raise ArithmeticError("a step cannot be solved")
        np.divide(moves, mobile, out=row)
        state = row


class _Line:
    """A rising curve that is asked for one value after another: np.interp is made for many at once."""

    def __init__(self, points: Array, values: Array) -> None:
        self._points, self._values = points.tolist(), values.tolist()

    def __call__(self, point: float) -> float:
        """The value at a point, linear between two and level beyond the ends."""
        points, values = self._points, self._values
        right = bisect_right(points, point)
        if right == 0:
            return float(values[0])
        if right == len(points):
            return float(values[-1])
        low = points[right - 1]
        slope = (values[right] - values[right - 1]) / (points[right] - low)
        return float(slope * (point - low) + values[right - 1])


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
