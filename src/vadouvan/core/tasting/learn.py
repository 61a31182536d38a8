"""What verdicts and depths teach: the cook's own factor on diffusion, by kind of meat, and on the salt target.

Both are worked out on a grid, so that "right through", which is only a lower bound, counts as what it is.
"""

from __future__ import annotations

import math
from collections.abc import Callable, Sequence
from dataclasses import dataclass

import numpy as np
from scipy.stats import norm

from vadouvan.core.constants import (
    DEPTH_READING_M,
    DEPTH_SCATTER,
    DIFFUSIVITY_LOG_SD,
    SALT_EATEN_LOG_SD,
    SALT_STEP,
    SALT_TASTE_LOG_SD,
)
from vadouvan.core.figure import number_told
from vadouvan.core.hold.eigenmodes import Array

GRID = np.linspace(-1.0, 1.0, 401)  # ln of the factor; beyond that a depth was misread, or the batch was another
MOST_OFF_AIM_LN = 0.36  # two steps of a verdict: a batch further off its aim tells of the batch, not of the household
SIXTY_EIGHT = 0.9945  # standard normal quantile of a 68 % band, either way


@dataclass(frozen=True)
class DepthSeen:
    """A depth on the knife [m], and what the model tells at each factor [m]; ``is_through``: at least so deep."""

    batch_id: str
    depth_m: float
    model_m: Callable[[float], float]
    is_through: bool = False


@dataclass(frozen=True)
class SaltJudged:
    """Salt in what was eaten and salt that was aimed at [kg/kg], and the verdict from -2 to 2."""

    batch_id: str
    eaten: float
    aimed: float
    step: float


@dataclass(frozen=True)
class Learned:
    """A factor with its 68 % band, and how many batches it rests on; ``grid`` and ``weights`` are its distribution."""

    factor: float
    low: float
    high: float
    count: int
    log_mean: float
    log_sd: float
    weights: tuple[float, ...]


def learned_pace(seen: Sequence[DepthSeen]) -> Learned:
    """The factor on diffusion that depths seen on the knife tell; 1 with the model's own spread before any.

    ln m is normal about 0 with the spread from piece to piece; a depth is read to a millimetre and scatters by a
    tenth. Readings where the piece was seasoned right through only say "at least so fast".
    """
    log_weight = -0.5 * (GRID / DIFFUSIVITY_LOG_SD.value) ** 2
    for one in seen:
        told = np.log(np.maximum([one.model_m(math.exp(x)) for x in GRID], 1e-5))
        spread = math.hypot(DEPTH_READING_M.value / one.depth_m, DEPTH_SCATTER.value)
        off = (math.log(one.depth_m) - told) / spread
        log_weight = log_weight + (norm.logcdf(-off) if one.is_through else -0.5 * off**2)
    return _learned(log_weight, len(seen))


def learned_salt(judged: Sequence[SaltJudged]) -> Learned:
    """The factor on the salt target that verdicts tell: a step is taken as about a fifth more or less salt.

    ln k is normal about 0; ln of the salt eaten, less what the verdict says it was over, is ln of k times the target.
    """
    log_weight = -0.5 * (GRID / SALT_TASTE_LOG_SD.value) ** 2
    for one in judged:
        off_aim = min(max(math.log(one.eaten / one.aimed), -MOST_OFF_AIM_LN), MOST_OFF_AIM_LN)
        wanted = off_aim - SALT_STEP.value * one.step
        log_weight = log_weight - 0.5 * ((wanted - GRID) / SALT_EATEN_LOG_SD.value) ** 2
    return _learned(log_weight, len(judged))


def _learned(log_weight: Array, count: int) -> Learned:
    weights = np.exp(log_weight - log_weight.max())
    weights[[0, -1]] *= 0.5  # the ends of the grid stand for half a step
    weights = weights / weights.sum()
    mean = float((weights * GRID).sum())
    sd = float(np.sqrt((weights * (GRID - mean) ** 2).sum()))
    band = (math.exp(mean - SIXTY_EIGHT * sd), math.exp(mean + SIXTY_EIGHT * sd))
    return Learned(math.exp(mean), *band, count, mean, sd, tuple(float(weight) for weight in weights))


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
