"""Lessons of verdicts and depths: the cook's own factors on diffusion, on softening and on the salt target.

All are worked out on a grid, so that "right through", which is only a lower bound, counts as what it is.
"""

from __future__ import annotations

import math
from collections.abc import Callable, Sequence
from dataclasses import replace

import numpy as np

from vadouvan.core.constants import (
    DEPTH_READING_M,
    DEPTH_SCATTER,
    DIFFUSIVITY_LOG_SD,
    ENZYME_LOG_SD,
    JUST_TENDER,
    QUANTILE_OF_68,
    SALT_EATEN_LOG_SD,
    SALT_STEP,
    SALT_TASTE_LOG_SD,
    SOFT_STEP,
    SOFT_VERDICT_LOG_SD,
    STRAY_VERDICTS,
)
from vadouvan.core.figure import number_told
from vadouvan.core.hold.eigenmodes import Array
from vadouvan.unchanging import unchanging

GRID = np.linspace(-1.0, 1.0, 401)  # ln of the factor; beyond that a depth was misread, or the batch was another
# What one batch may tell at most when the cook insists on it: two steps of a verdict, and of softening four.
INSISTED_SALT, INSISTED_SOFT = 0.36, 1.0
WIDE_GRID = 2 * GRID  # of softening, which varies more


@unchanging
class DepthSeen:
    """A depth on the knife [m], and what the model tells at each factor [m]; ``is_through``: at least so deep."""

    batch_id: str
    depth_m: float
    model_m: Callable[[float], float]
    is_through: bool = False


@unchanging
class SaltJudged:
    """Salt in what was eaten and salt that was aimed at [kg/kg], and the verdict from -2 to 2.

    ``insisted``: the cook wants it counted, however far it lies from the others.
    """

    batch_id: str
    eaten: float
    aimed: float
    step: float
    insisted: bool = False


@unchanging
class SoftnessJudged:
    """Softening as the model tells it, against what is half too soft [1], and the verdict from -2, tough, to 2."""

    batch_id: str
    softened: float
    step: float
    insisted: bool = False


@unchanging
class Learned:
    """A factor with its 68 % band, and how many batches it rests on; ``grid`` and ``weights`` are its distribution.

    ``strays`` are batches whose verdicts lie so far from the rest that they are left out.
    """

    factor: float
    low: float
    high: float
    count: int
    log_mean: float
    log_sd: float
    weights: tuple[float, ...]
    grid: tuple[float, ...]
    strays: frozenset[str] = frozenset()


def learned_pace(seen: Sequence[DepthSeen]) -> Learned:
    """The factor on diffusion that depths seen on the knife tell; 1 with the model's own spread before any.

    ln m is normal about 0 with the spread from piece to piece; a depth is read to a millimetre and scatters by a
    tenth. Readings where the piece was seasoned right through only say "at least so fast".
    """
    from scipy.special import log_ndtr  # noqa: PLC0415 - a fiftieth of a start, for what the knife told

    log_weight = -0.5 * (GRID / DIFFUSIVITY_LOG_SD.value) ** 2
    for one in seen:
        told = np.log(np.maximum([one.model_m(math.exp(x)) for x in GRID], 1e-5))
        spread = math.hypot(DEPTH_READING_M.value / one.depth_m, DEPTH_SCATTER.value)
        off = (math.log(one.depth_m) - told) / spread
        log_weight = log_weight + (log_ndtr(-off) if one.is_through else -0.5 * off**2)
    return _learned(log_weight, len(seen))


def learned_salt(judged: Sequence[SaltJudged]) -> Learned:
    """The factor on the salt target that verdicts tell: a step is taken as about a fifth more or less salt.

    ln k is normal about 0; ln of the salt eaten, less what the verdict says it was over, is ln of k times the target.
    """
    wanted = [
        _Told(one.batch_id, math.log(one.eaten / one.aimed) - SALT_STEP.value * one.step, one.insisted)
        for one in judged
    ]
    return _learned_of(wanted, GRID, SALT_TASTE_LOG_SD.value, SALT_EATEN_LOG_SD.value, INSISTED_SALT)


def learned_softening(judged: Sequence[SoftnessJudged]) -> Learned:
    """The factor on softening that verdicts on tenderness tell, for one fruit and one family of meat.

    ln m is normal about 0; what was softened, times m, is just right times half as much again for each step.
    """
    wanted = [
        _Told(
            one.batch_id,
            math.log(JUST_TENDER.value) + SOFT_STEP.value * one.step - math.log(one.softened),
            one.insisted,
        )
        for one in judged
    ]
    return _learned_of(wanted, WIDE_GRID, ENZYME_LOG_SD.value, SOFT_VERDICT_LOG_SD.value, INSISTED_SOFT)


@unchanging
class _Told:
    """The ln of a factor that one batch tells by itself."""

    batch_id: str
    log_factor: float
    insisted: bool


def _bell(at: float, middle: Array, sd: float) -> Array:
    """Density of the normal distribution [1/unit of ``sd``]."""
    return np.asarray(np.exp(-0.5 * ((at - middle) / sd) ** 2) / (sd * math.sqrt(2 * math.pi)))


def _learned_of(told: Sequence[_Told], grid: Array, prior_sd: float, verdict_sd: float, most: float) -> Learned:
    """A factor from verdicts, some of which may be strays: each counts as far as it agrees with prior and others."""
    log_weight = -0.5 * (grid / prior_sd) ** 2
    stray = STRAY_VERDICTS.value / float(grid[-1] - grid[0])
    likely = {}
    for one in told:
        told_ln = min(max(one.log_factor, -most), most) if one.insisted else one.log_factor
        agrees = (1 - STRAY_VERDICTS.value) * _bell(told_ln, grid, verdict_sd)
        likely[one.batch_id] = agrees
        log_weight = log_weight + (np.log(np.maximum(agrees, 1e-300)) if one.insisted else np.log(agrees + stray))
    found = _learned(log_weight, len(told), grid)
    weights = np.array(found.weights)
    strays = frozenset(
        one.batch_id
        for one in told
        if not one.insisted and float((weights * likely[one.batch_id] / (likely[one.batch_id] + stray)).sum()) < 0.5
    )
    return replace(found, count=len(told) - len(strays), strays=strays)


def _learned(log_weight: Array, count: int, grid: Array = GRID) -> Learned:
    weights = np.exp(log_weight - log_weight.max())
    weights[[0, -1]] *= 0.5  # the ends of the grid stand for half a step
    weights = weights / weights.sum()
    mean = float((weights * grid).sum())
    sd = float(np.sqrt((weights * (grid - mean) ** 2).sum()))
    band = (math.exp(mean - QUANTILE_OF_68.value * sd), math.exp(mean + QUANTILE_OF_68.value * sd))
    ends = tuple(float(value) for value in grid)
    return Learned(math.exp(mean), *band, count, mean, sd, tuple(float(weight) for weight in weights), ends)


def pace_says(learned: Learned, group: str) -> str:
    """The factor on diffusion as a sentence."""
    if learned.count == 0:
        return f"Nothing is learned of {group} yet: mark the depth on the knife."
    band = f"between {number_told(learned.low)} and {number_told(learned.high)}"
    rests = f"from {learned.count} depth{'s' if learned.count > 1 else ''} you saw"
    if learned.low < 1 < learned.high and abs(learned.factor - 1) < 0.05:
        return f"In your {group} salt goes in as the model says ({rests}; {band} times)."
    way = "faster" if learned.factor > 1 else "more slowly"
    return f"In your {group} salt goes in about {number_told(learned.factor)} times as fast: {way} ({rests}; {band})."


def salt_says(learned: Learned) -> str:
    """The factor on the salt target as a sentence."""
    if learned.count == 0:
        return "Nothing is learned of your salt yet: say how salty it was."
    percent = (learned.factor - 1) * 100
    rests = f"from {learned.count} batch{'es' if learned.count > 1 else ''}"
    band = f"between {number_told(learned.low)} and {number_told(learned.high)} times"
    if abs(percent) < 2:
        return f"You like your salt as aimed ({rests}; {band})."
    way = "more" if percent > 0 else "less"
    return f"You like about {number_told(abs(percent))} % {way} salt than is usual ({rests}; {band})."


def softening_says(learned: Learned, fruit: str, group: str) -> str:
    """The factor on softening as a sentence.

    >>> softening_says(learned_softening([]), "papaya", "red meat")
    'Nothing is learned of papaya on red meat yet: say how tender it was.'
    """
    if learned.count == 0:
        return f"Nothing is learned of {fruit} on {group} yet: say how tender it was."
    rests = f"from {learned.count} batch{'es' if learned.count > 1 else ''}"
    band = f"between {number_told(learned.low)} and {number_told(learned.high)}"
    return f"Your {fruit} softens {group} about {number_told(learned.factor)} times as fast as told ({rests}; {band})."
