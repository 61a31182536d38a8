"""The window: earliest, best and latest hour, each with the concern that binds there and a band.

R(t) is the worst rising concern, F(t) the worst falling one. It opens where R reaches a level and ends where F leaves
it; tastes differ, so each edge is the middle of the hours at which several levels are reached, and a flat curve makes
no cliff. The level is relative where no hour is good, so that a window narrows but never vanishes: only safety takes
hours away. The band comes from running salt slower and faster, the piece thinner and thicker: log slopes in quadrature.
"""

from __future__ import annotations

import math
from collections.abc import Callable, Sequence
from dataclasses import dataclass
from functools import lru_cache

import numpy as np
from numpy.typing import NDArray

from vadouvan.core.constants import BEST_NEAR_LATEST, DIFFUSIVITY_LOG_SD, QUANTILE_OF_80
from vadouvan.core.figure import hours_told
from vadouvan.core.hold import levels
from vadouvan.core.hold.concerns import TINY, Concern, bath_share, concerns_of
from vadouvan.core.hold.eigenmodes import Array
from vadouvan.core.hold.keeping import storage_limit
from vadouvan.core.hold.limits import Limit
from vadouvan.core.hold.scenario import NEVER_H, HoldScenario, hold_scenario
from vadouvan.core.hold.worded import at_once, before_crossing, limit_of
from vadouvan.core.mix.balance import Balance

FIRST_H, LOOKS = 0.01, 420
TASTES: Array = np.array(levels.TASTES)
SALT_SPREAD_MATTERS = 0.06  # of the salt, from low to high


@dataclass(frozen=True)
class Edge:
    """One end of the window, or its best hour: the hour, its 80 % band, what sets it, what else was near."""

    hours: float
    low_hours: float
    high_hours: float
    limit: Limit
    others: tuple[Limit, ...]


@dataclass(frozen=True)
class Window:
    """Earliest, best and latest; ``good_h`` are the hours near the best; ``mark`` is how good it gets at all [0..1].

    ``straight``: it may go straight to the heat. ``spoiled_by`` is what no hour can mend, if the mark is low for it.
    ``keeps_h`` is the hour at which it has been raw for as long as it keeps.
    """

    earliest: Edge
    best: Edge
    latest: Edge
    good_h: tuple[float, float]
    mark: float
    straight: bool
    spoiled_by: Limit | None = None
    keeps_h: float = math.inf

    @property
    def safe_earliest_h(self) -> float:
        """The hour from which it may be pulled."""
        return self.earliest.hours

    @property
    def safe_latest_h(self) -> float:
        """The hour by which it is pulled: never past what it keeps."""
        return min(self.latest.hours, self.keeps_h)

    @property
    def earliest_told(self) -> str:
        """When it opens, rounded up."""
        return hours_told(self.safe_earliest_h, "up")

    @property
    def best_told(self) -> str:
        """The best hour; never told earlier than it opens."""
        if self.best.hours <= self.safe_earliest_h * 1.01:
            return self.earliest_told
        return hours_told(self.best.hours)

    @property
    def latest_told(self) -> str:
        """When it closes, rounded down."""
        return hours_told(self.safe_latest_h, "down")

    @property
    def is_narrow(self) -> bool:
        """Whether it opens so near its end that one hour tells both."""
        return self.safe_earliest_h >= BEST_NEAR_LATEST.value * self.safe_latest_h

    @property
    def is_closed(self) -> bool:
        """Whether safety leaves no hour at all."""
        return self.keeps_h <= FIRST_H


@dataclass(frozen=True)
class _Run:
    """One run: hours and what binds."""

    earliest: float
    best: float
    latest: float
    good_h: tuple[float, float]
    opens: Concern
    ends: Concern | None
    best_by: Concern | None
    falls_at_best: Concern
    rising: tuple[Concern, ...]
    falling: tuple[Concern, ...]
    mark: float
    straight: bool


@dataclass(frozen=True)
class Tried:
    """Hours of a hold that is only tried, without their bands and words, and how good it gets at all [0..1]."""

    earliest_h: float
    best_h: float
    latest_h: float
    mark: float


def tried(scenario: HoldScenario) -> Tried:
    """Hours that :func:`window_of` would tell of a hold, in a sixth of the time."""
    keeps_h = storage_limit(scenario)
    run = _run(scenario, _last_h(keeps_h))
    return Tried(run.earliest, run.best, min(run.latest, keeps_h.hours), run.mark)


def _last_h(storage: Limit) -> float:
    return min(max(storage.hours, FIRST_H * 2), NEVER_H)


def window_of(scenario: HoldScenario) -> Window:
    """The window of a cut in a mix under a hold."""
    cut, balance, hold = scenario.cut, scenario.balance, scenario.hold
    storage = storage_limit(scenario)
    last_h = _last_h(storage)
    base = _run(scenario, last_h)
    runs = [base, *(_run(scenario.with_pace(factor), last_h) for factor in _either_way(DIFFUSIVITY_LOG_SD.value))]
    runs += [
        _run(hold_scenario(cut.scaled(factor), balance, hold, scenario.acid), last_h)
        for factor in _either_way(cut.thickness_log_sd)
    ]
    runs += [_run(hold_scenario(cut, salted, hold, scenario.acid), last_h) for salted in _salt_either_way(balance)]
    at_hand = base.earliest <= levels.STRAIGHT_H
    opens = at_once(scenario, base.earliest) if at_hand else limit_of(scenario, base.opens, base.earliest)
    latest_by = storage if base.ends is None else limit_of(scenario, base.ends, base.latest)
    falls = limit_of(scenario, base.falls_at_best, base.latest)
    best_by = before_crossing(base.best, falls) if base.best_by is None else limit_of(scenario, base.best_by, base.best)
    ended_h = [_last_hour(_hours(last_h), one.values, _level(base)) for one in base.falling]
    others = tuple(limit_of(scenario, one, hour) for one, hour in zip(base.falling, ended_h, strict=True))
    worst = min((*base.rising, *base.falling), key=lambda one: one.start)
    return Window(
        earliest=_edge(runs, lambda run: run.earliest, opens),
        best=_edge(runs, lambda run: run.best, best_by),
        latest=_edge(
            runs,
            lambda run: run.latest,
            latest_by,
            tuple(one for one in (*others, storage) if one.id != latest_by.id),
            last_h=storage.hours,
        ),
        good_h=base.good_h,
        mark=base.mark,
        straight=base.straight or hold.cooked_in_mix,
        spoiled_by=limit_of(scenario, worst, base.latest) if worst.start < levels.COMPROMISE else None,
        keeps_h=storage.hours,
    )


@lru_cache(maxsize=256)
def _hours(last_h: float) -> Array:
    return np.geomspace(FIRST_H, last_h, LOOKS)


def _level(run: _Run) -> float:
    return levels.ACCEPTABLE * min(1.0, run.mark / levels.GOOD)


def _run(scenario: HoldScenario, last_h: float) -> _Run:
    hours = _hours(last_h)
    found = concerns_of(scenario, hours)
    up, down = (tuple(one for one in found if one.rises is way) for way in (True, False))
    rising = np.minimum.reduce([one.values for one in up])
    falling = np.minimum.reduce([one.values for one in down])
    hill = np.minimum(rising, falling)
    most = float(hill.max())
    level = levels.ACCEPTABLE * min(1.0, most / levels.GOOD)
    tastes = level * TASTES
    opens = _first_at(hours, rising, np.append(tastes, (levels.BEST * float(rising[-1]), levels.GOOD * most)))
    closes = _last_at(hours, falling, np.append(tastes, levels.GOOD * most))
    earliest, full, good_from = _middle(opens[: len(TASTES)]), *map(float, opens[len(TASTES) :])
    latest, good_until = _middle(closes[: len(TASTES)]), float(closes[-1])
    before = levels.BEFORE_CROSSING * _crossing(hours, rising, falling)
    if (bath := bath_share(scenario)) > 0:
        salty = next(one.values for one in down if one.name == "salty")
        lifted = levels.BEFORE_CROSSING - levels.LIFTED_EARLIER * bath
        before = min(before, lifted * _crossing(hours, rising, salty))
    best = min(max(min(full, before), earliest), latest)
    ends = None if latest >= last_h * 0.999 else _binding(down, hours, latest)
    return _Run(
        earliest=earliest,
        best=best,
        latest=latest,
        good_h=(min(good_from, best), max(good_until, best)),
        opens=_binding(up, hours, max(earliest, FIRST_H)),
        ends=ends,
        best_by=_binding(up, hours, best) if full <= before else None,
        falls_at_best=_binding(down, hours, best),
        rising=up,
        falling=down,
        mark=most * min(one.start for one in found),
        straight=float(np.interp(levels.STRAIGHT_H, hours, rising)) >= levels.ACCEPTABLE,
    )


def _crossing(hours: Array, rising: Array, falling: Array) -> float:
    """The hour at which a falling series is as bad as the rising one, in the middle of tastes; never, if it is not."""
    if falling[-1] >= rising[-1] or not np.any(rising >= falling):
        return math.inf
    return _middle(_first_at(hours, rising / np.maximum(falling, TINY), TASTES))


def _middle(found: Array) -> float:
    """The middle of the hours at which cooks of different tastes draw the line: geometric, but for what is at once."""
    return float(np.exp(np.log(found + levels.AT_HAND_H).mean())) - levels.AT_HAND_H


def _binding(concerns: Sequence[Concern], hours: Array, hour: float) -> Concern:
    """The worst concern at an hour: the one that is told."""
    return min(concerns, key=lambda one: float(np.interp(hour, hours, one.values)))


def _edge(
    runs: Sequence[_Run],
    pick: Callable[[_Run], float],
    limit: Limit,
    others: tuple[Limit, ...] = (),
    *,
    last_h: float = math.inf,
) -> Edge:
    """The hour of the base run with the band that the other runs give it."""
    hours = pick(runs[0])
    times = [max(pick(run), FIRST_H) for run in runs]
    slopes = [math.log(times[up] / times[up - 1]) / 2 for up in range(2, len(times), 2)]
    spread = math.exp(QUANTILE_OF_80.value * math.hypot(*slopes))
    return Edge(hours, hours / spread, max(hours, min(hours * spread, last_h)), limit, others)


def _last_hour(hours: Array, falling: Array, asked: float) -> float:
    return float(_last_at(hours, falling, np.array([asked]))[0])


def _first_at(hours: Array, rising: Array, asked: Array) -> Array:
    """First hours at which a rising series reaches each value: at once, if it is over it from the first look on."""
    found = _passed(hours, rising, asked, np.searchsorted(rising, asked, side="left"))
    return np.where(rising[0] > asked * 1.0000001, 0.0, found)


def _last_at(hours: Array, falling: Array, asked: Array) -> Array:
    """Last hours at which a falling series is at or over each value."""
    return _passed(hours, -falling, -asked, np.searchsorted(-falling, -asked, side="right"))


def _passed(hours: Array, rising: Array, asked: Array, after: NDArray[np.intp]) -> Array:
    """Hours at which a rising series passes each value, before the look ``after``: log-linear between two looks.

    The last hour stands for what is never passed.
    """
    low, high = np.maximum(after - 1, 0), np.minimum(after, len(hours) - 1)
    step = rising[high] - rising[low]
    part = np.divide(asked - rising[low], step, out=np.zeros_like(asked), where=step > 0)
    return np.asarray(hours[low] * (hours[high] / hours[low]) ** part)


def _salt_either_way(balance: Balance) -> tuple[Balance, ...]:
    """The mix with a standard deviation less and more salt, where guessed amounts or labels leave that open."""
    salt = balance.total("salt")
    if salt.value <= 0 or salt.high - salt.low < SALT_SPREAD_MATTERS * salt.value:
        return ()
    ends = (max(salt.low, 0.01 * salt.value), salt.high)
    return tuple(balance.salted((end / salt.value) ** (1 / QUANTILE_OF_80.value)) for end in ends)


def _either_way(log_sd: float) -> tuple[float, float]:
    return math.exp(-log_sd), math.exp(log_sd)
