"""The window: earliest, best and latest hour, each with the concern that binds there and a band.

R(t) is the worst rising concern, F(t) the worst falling one. It opens where R reaches a level and ends where F leaves
it; tastes differ, so each edge is the middle of the hours at which several levels are reached, and a flat curve makes
no cliff. The level is relative where no hour is good, so that a window narrows but never vanishes: only safety takes
hours away. The band comes from running salt slower and faster, the piece thinner and thicker: log slopes in quadrature.
"""

from __future__ import annotations

import math
from collections.abc import Iterator, Sequence
from functools import lru_cache

import numpy as np

from vadouvan.core.constants import BEST_NEAR_LATEST, DIFFUSIVITY_LOG_SD, QUANTILE_OF_80
from vadouvan.core.cut.cut import Cut
from vadouvan.core.figure import hours_told
from vadouvan.core.hold import levels
from vadouvan.core.hold.concerns import Concern
from vadouvan.core.hold.curves import FIRST_H, acceptable, curves_of, edges_of, last_at
from vadouvan.core.hold.eigenmodes import Array
from vadouvan.core.hold.hold import Hold
from vadouvan.core.hold.keeping import storage_limit
from vadouvan.core.hold.limits import Limit
from vadouvan.core.hold.scenario import NEVER_H, HoldScenario, hold_scenario
from vadouvan.core.hold.worded import at_once, before_crossing, limit_of
from vadouvan.core.mix.balance import Balance
from vadouvan.unchanging import unchanging

SALT_SPREAD_MATTERS = 0.06  # of the salt, from low to high
KEPT_HOLDS = 64
ALL_OF_IT = 0.999  # of the hours that it keeps: nothing else ends the window


@unchanging
class Edge:
    """One end of the window, or its best hour: the hour, its 80 % band, what sets it, what else was near."""

    hours: float
    low_hours: float
    high_hours: float
    limit: Limit
    others: tuple[Limit, ...]


@unchanging
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


@unchanging
class Tried:
    """Hours of a hold that is only tried, without their bands and words, and how good it gets at all [0..1]."""

    earliest_h: float
    best_h: float
    latest_h: float
    mark: float


def tried(scenario: HoldScenario) -> Tried:
    """Hours that :func:`window_of` would tell of a hold, in a quarter of the time."""
    keeps_h = storage_limit(scenario)
    run = curves_of([scenario], _last_h(keeps_h))
    edges = edges_of(run)
    return Tried(edges.earliest[0], edges.best[0], min(edges.latest[0], keeps_h.hours), edges.most[0] * run.start)


def _last_h(storage: Limit) -> float:
    return min(max(storage.hours, FIRST_H * 2), NEVER_H)


@lru_cache(maxsize=KEPT_HOLDS)
def held(cut: Cut, balance: Balance, hold: Hold) -> tuple[HoldScenario, Window]:
    """A hold and its window, the last ones kept: a name, a meal or a fire that changes, and a minute, move neither."""
    scenario = hold_scenario(cut, balance, hold)
    return scenario, window_of(scenario)


def window_of(scenario: HoldScenario) -> Window:
    """The window of a cut in a mix under a hold."""
    storage = storage_limit(scenario)
    last_h = _last_h(storage)
    run = curves_of([scenario, *_either_way(scenario)], last_h)
    edges = edges_of(run)
    hours, rising, falling = run.hours, run.up, run.down
    earliest_h, best_h, latest_h = edges.earliest[0], edges.best[0], edges.latest[0]
    if earliest_h <= levels.STRAIGHT_H:
        opens = at_once(scenario, earliest_h)
    else:
        opens = limit_of(scenario, _binding(rising, hours, max(earliest_h, FIRST_H)), earliest_h)
    falls = limit_of(scenario, _binding(falling, hours, best_h), latest_h)
    if edges.full[0] <= edges.before[0]:
        best_by = limit_of(scenario, _binding(rising, hours, best_h), best_h)
    else:
        best_by = before_crossing(best_h, falls)
    ends = latest_h < last_h * ALL_OF_IT
    latest_by = limit_of(scenario, _binding(falling, hours, latest_h), latest_h) if ends else storage
    mark = edges.most[0] * run.start
    level = np.full((len(falling), 1), acceptable(mark))
    ended_h = last_at(hours, np.array([one.values[0] for one in falling]), level)[:, 0].tolist()
    others = (limit_of(scenario, one, hour) for one, hour in zip(falling, ended_h, strict=True))
    worst = min((*rising, *falling), key=lambda one: one.start)
    straight = float(np.interp(levels.STRAIGHT_H, hours, run.rising[0])) >= levels.ACCEPTABLE
    return Window(
        earliest=_edge(edges.earliest, opens),
        best=_edge(edges.best, best_by),
        latest=_edge(
            edges.latest,
            latest_by,
            tuple(one for one in (*others, storage) if one.id != latest_by.id),
            last_h=storage.hours,
        ),
        good_h=(min(edges.good_from[0], best_h), max(edges.good_until[0], best_h)),
        mark=mark,
        straight=straight or scenario.hold.cooked_in_mix,
        spoiled_by=limit_of(scenario, worst, latest_h) if worst.start < levels.COMPROMISE else None,
        keeps_h=storage.hours,
    )


def _either_way(scenario: HoldScenario) -> Iterator[HoldScenario]:
    """The same hold a standard deviation less and more of what is uncertain: pace, thickness and, if it is, salt."""
    cut, balance, hold = scenario.cut, scenario.balance, scenario.hold
    for factor in _less_and_more(DIFFUSIVITY_LOG_SD.value):
        yield scenario.with_pace(factor)
    for factor in _less_and_more(cut.thickness_log_sd):
        yield hold_scenario(cut.scaled(factor), balance, hold, scenario.acid)
    for salted in _salt_either_way(balance):
        yield hold_scenario(cut, salted, hold, scenario.acid)


def _binding(concerns: Sequence[Concern], hours: Array, hour: float) -> Concern:
    """The worst concern at an hour: the one that is told."""
    right = min(max(int(np.searchsorted(hours, hour)), 1), len(hours) - 1)
    before, after = float(hours[right - 1]), float(hours[right])
    part = min(max((hour - before) / (after - before), 0.0), 1.0)
    return min(concerns, key=lambda one: _between(float(one.values[0, right - 1]), float(one.values[0, right]), part))


def _between(before: float, after: float, part: float) -> float:
    return before + part * (after - before)


def _edge(found: Sequence[float], limit: Limit, others: tuple[Limit, ...] = (), *, last_h: float = math.inf) -> Edge:
    """The hour of the base run, the first, with the band that the other runs give it."""
    hours = found[0]
    times = [max(hour, FIRST_H) for hour in found]
    slopes = [math.log(times[up] / times[up - 1]) / 2 for up in range(2, len(times), 2)]
    spread = math.exp(QUANTILE_OF_80.value * math.hypot(*slopes))
    return Edge(hours, hours / spread, max(hours, min(hours * spread, last_h)), limit, others)


def _salt_either_way(balance: Balance) -> tuple[Balance, ...]:
    """The mix with a standard deviation less and more salt, where guessed amounts or labels leave that open."""
    salt = balance.total("salt")
    if salt.value <= 0 or salt.high - salt.low < SALT_SPREAD_MATTERS * salt.value:
        return ()
    ends = (max(salt.low, 0.01 * salt.value), salt.high)
    return tuple(balance.salted((end / salt.value) ** (1 / QUANTILE_OF_80.value)) for end in ends)


def _less_and_more(log_sd: float) -> tuple[float, float]:
    return math.exp(-log_sd), math.exp(log_sd)
