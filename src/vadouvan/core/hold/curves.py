"""Runs of one hold as curves over the hours, and the hours at which they cross the levels.

R(t) is the worst rising concern, F(t) the worst falling one, a row for each run: a band takes five to seven of them,
and what is asked of all rows at once costs little more than of one.
"""

from __future__ import annotations

import math
from collections.abc import Sequence
from functools import lru_cache
from typing import Literal

import numpy as np
from numpy.typing import NDArray

from vadouvan.core.hold import levels
from vadouvan.core.hold.concerns import Concern, concerns_of
from vadouvan.core.hold.eigenmodes import Array
from vadouvan.core.hold.on_the_meat import TINY, bath_share
from vadouvan.core.hold.scenario import HoldScenario
from vadouvan.unchanging import unchanging

FIRST_H, LOOKS = 0.01, 420
TASTES: Array = np.array(levels.TASTES)


@unchanging
class Curves:
    """Runs at the same ``hours`` (looks): ``rising``, ``falling`` and the salty concern alone (runs, looks).

    ``baths`` are shares of a bath by run; ``up`` and ``down`` the concerns that rise and fall.
    """

    hours: Array
    rising: Array
    falling: Array
    salty: Array
    baths: Array
    up: tuple[Concern, ...]
    down: tuple[Concern, ...]

    @property
    def start(self) -> float:
        """Worth that no hour of the first run can better [0..1]."""
        return min(one.start for one in (*self.up, *self.down))


@unchanging
class Edges:
    """Hours by run: earliest, best, latest, good from and until; ``most`` is how good it gets [0..1].

    ``full`` is when it is as good as it gets, ``before`` a little before a falling concern is as bad as a rising one.
    """

    earliest: list[float]
    best: list[float]
    latest: list[float]
    good_from: list[float]
    good_until: list[float]
    full: list[float]
    before: list[float]
    most: list[float]


def curves_of(runs: Sequence[HoldScenario], last_h: float) -> Curves:
    """The concerns of several runs of one hold, as far as an hour."""
    hours = _hours(last_h)
    found = concerns_of(runs, hours)
    up, down = (tuple(one for one in found if one.rises is way) for way in (True, False))
    return Curves(
        hours=hours,
        rising=np.minimum.reduce([one.values for one in up]),
        falling=np.minimum.reduce([one.values for one in down]),
        salty=next(one.values for one in down if one.name == "salty"),
        baths=np.array([bath_share(one) for one in runs]),
        up=up,
        down=down,
    )


def edges_of(curves: Curves) -> Edges:
    """The hours at which each run opens, is best and ends."""
    hours, rising, falling = curves.hours, curves.rising, curves.falling
    most = np.minimum(rising, falling).max(axis=1, keepdims=True)
    tastes = acceptable(most) * TASTES
    # What rises and how much worse it is than what falls are asked for their first hours together.
    against = [falling, curves.salty] if curves.baths.any() else [falling]
    worse = [rising / np.maximum(one, TINY) for one in against]
    asked = np.hstack((tastes, levels.BEST * rising[:, -1:], levels.GOOD * most))
    as_bad = np.broadcast_to(np.append(TASTES, TASTES[-2:]), asked.shape)  # as many, the last ones for nothing
    found = first_at(hours, np.vstack((rising, *worse)), np.vstack((asked, *(as_bad for _ in worse))))
    opens, closes = found[: len(rising)], last_at(hours, falling, np.hstack((tastes, levels.GOOD * most)))
    middles = _middle(np.vstack((found[:, : len(TASTES)], closes[:, :-1]))).reshape(-1, len(rising))
    earliest, latest, full = middles[0], middles[-1], opens[:, -2]
    crossed = [
        np.where(_crosses(rising, one), middle, math.inf) for one, middle in zip(against, middles[1:-1], strict=True)
    ]
    before = levels.BEFORE_CROSSING * crossed[0]
    if len(crossed) > 1:
        before = np.minimum(before, (levels.BEFORE_CROSSING - levels.LIFTED_EARLIER * curves.baths) * crossed[1])
    best = np.minimum(np.maximum(np.minimum(full, before), earliest), latest)
    told = (earliest, best, latest, opens[:, -1], closes[:, -1], full, before, most[:, 0])
    return Edges(*(values.tolist() for values in told))


@lru_cache(maxsize=256)
def _hours(last_h: float) -> Array:
    return np.geomspace(FIRST_H, last_h, LOOKS)


def acceptable(most: Array | float) -> Array:
    """The level from which hours are acceptable, where it gets so good at all."""
    return np.asarray(levels.ACCEPTABLE * np.minimum(1.0, most / levels.GOOD))


def _crosses(rising: Array, falling: Array) -> NDArray[np.bool_]:
    """Whether each falling row comes to be worse than the rising one."""
    return np.asarray((falling[:, -1] < rising[:, -1]) & np.any(rising >= falling, axis=1))


def _middle(found: Array) -> Array:
    """The middle of the hours at which cooks of different tastes draw the line: geometric, but for what is at once."""
    return np.asarray(np.exp(np.log(found + levels.AT_HAND_H).mean(axis=1)) - levels.AT_HAND_H)


def first_at(hours: Array, rising: Array, asked: Array) -> Array:
    """First hours at which each rising row reaches its values: at once, if it is over one from the first look on."""
    found = _passed(hours, rising, asked, "left")
    return np.where(rising[:, :1] > asked * 1.0000001, 0.0, found)


def last_at(hours: Array, falling: Array, asked: Array) -> Array:
    """Last hours at which each falling row is at or over its values."""
    return _passed(hours, -falling, -asked, "right")


def _passed(hours: Array, rising: Array, asked: Array, side: Literal["left", "right"]) -> Array:
    """Hours at which each rising row passes its values (rows, values): log-linear between two looks.

    The last hour stands for what is never passed.
    """
    after: NDArray[np.intp] = np.array(
        [row.searchsorted(values, side=side) for row, values in zip(rising, asked, strict=True)]
    )
    low, high = np.maximum(after - 1, 0), np.minimum(after, len(hours) - 1)
    rows = np.arange(len(rising))[:, np.newaxis]
    under = rising[rows, low]
    step = rising[rows, high] - under
    part = np.divide(asked - under, step, out=np.zeros(asked.shape), where=step > 0)
    return np.asarray(hours[low] * (hours[high] / hours[low]) ** part)
