"""The window: earliest, best and latest hour, each with the limit that sets it and a band.

Every candidate limit is worked out; the last to be met opens the window, the first to be
passed closes it. The band comes from running the salt model slower and faster, thinner and
thicker, and with less and more salt where amounts were guessed: log slopes added in
quadrature, widened to the envelope where the limit changes.
"""

from __future__ import annotations

import math
from collections.abc import Callable, Sequence
from dataclasses import dataclass, replace

from vadouvan.core.constants import (
    BEST_AT_MOST_SHARE_OF_LATEST,
    BEST_NEAR_LATEST,
    DIFFUSIVITY_LOG_SD,
    ENZYME_VARIABILITY,
)
from vadouvan.core.cut.cut import Cut
from vadouvan.core.figure import hours_told
from vadouvan.core.hold.candidates import Candidates, candidates_of
from vadouvan.core.hold.case import hold_case
from vadouvan.core.hold.endings import storage_limit
from vadouvan.core.hold.hold import Hold
from vadouvan.core.hold.limits import Limit
from vadouvan.core.mix.balance import Balance

SALT_SPREAD_MATTERS = 0.06  # of the salt, from low to high
SOON_H = 0.01
EIGHTY_PER_CENT = 1.2816  # standard normal quantile at 0.9: an 80 % band


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
    """Earliest, best and latest; ``unreached`` is the aim that the latest hour cuts off.

    ``good_enough`` is the hour at which many cooks stop, where it lies inside and before best; ``keeps_h`` the hour at
    which it has been raw for as long as it keeps.
    """

    earliest: Edge
    best: Edge
    latest: Edge
    unreached: Limit | None
    good_enough: Limit | None = None
    keeps_h: float = math.inf

    @property
    def safe_earliest_h(self) -> float:
        """The late edge of the earliest hour: by then it has almost surely opened."""
        return _safe_earliest_h(self.earliest, self.latest)

    @property
    def safe_latest_h(self) -> float:
        """The early edge of the latest hour: until then it has almost surely not closed."""
        return self.latest.low_hours

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
        return self.safe_earliest_h >= BEST_NEAR_LATEST.value * self.safe_latest_h - SOON_H / 10

    @property
    def is_closed(self) -> bool:
        """Whether the mix spoils the surface before it does any good."""
        return self.earliest.hours > self.latest.low_hours


def window_of(cut: Cut, balance: Balance, hold: Hold) -> Window:
    """The window of a cut in a mix under a hold."""
    case = hold_case(cut, balance, hold)
    base = candidates_of(case)
    runs = [base, *(candidates_of(case.with_pace(factor)) for factor in _either_way(DIFFUSIVITY_LOG_SD.value))]
    runs += [
        candidates_of(hold_case(cut.scaled(factor), balance, hold, case.acid))
        for factor in _either_way(cut.thickness_log_sd)
    ]
    runs += [candidates_of(hold_case(cut, salted, hold, case.acid)) for salted in _salt_either_way(balance)]
    earliest = _edge(runs, lambda run: _last(run.earliest))
    latest = _edge(runs, lambda run: _first(run.latest))
    best = _edge(runs, lambda run: _last(run.best))
    return replace(_placed(earliest, best, latest, base.good_enough), keeps_h=storage_limit(case).hours)


def _placed(earliest: Edge, best: Edge, latest: Edge, good_enough: Limit | None) -> Window:
    """Best put inside the window; if the aim would come too late, what is good enough, or three quarters."""
    unreached = None
    opens = _safe_earliest_h(earliest, latest)
    if best.hours > BEST_NEAR_LATEST.value * latest.low_hours:
        unreached = best.limit if best.limit.basis != "enzyme" else None
        limit = _instead(best.limit, latest, good_enough)
        hours = max(limit.hours, min(opens, latest.low_hours))
        best = Edge(hours, hours * 0.85, hours * 1.15, limit, (best.limit, *best.others))
    elif best.hours < opens:
        limit = Limit(
            "earliest", opens, f"as soon as {earliest.limit.says}", earliest.limit.basis, earliest.limit.source
        )
        best = Edge(opens, opens, max(opens, best.high_hours), limit, (best.limit, *best.others))
    low = min(max(best.low_hours, opens), best.hours)
    high = max(min(best.high_hours, latest.low_hours), best.hours)
    inside = good_enough is not None and opens <= good_enough.hours < 0.9 * best.hours
    placed = Edge(best.hours, low, high, best.limit, best.others)
    return Window(earliest, placed, latest, unreached, good_enough if inside else None)


def _instead(aim: Limit, latest: Edge, good_enough: Limit | None) -> Limit:
    """What stands in for an aim that comes too late."""
    at_most_h = BEST_AT_MOST_SHARE_OF_LATEST.value * latest.low_hours
    if good_enough is not None and aim.basis == "salt" and good_enough.hours < at_most_h:
        return good_enough
    says = f"three quarters of the time until it ends; it ends before {aim.says}"
    return Limit("before_latest", at_most_h, says, latest.limit.basis, "calibration")


def _safe_earliest_h(earliest: Edge, latest: Edge) -> float:
    """The late edge of the earliest hour, but not so late that the window would be gone."""
    return min(earliest.high_hours, max(earliest.hours, BEST_NEAR_LATEST.value * latest.low_hours))


def _edge(runs: Sequence[Candidates], pick: Callable[[Candidates], tuple[Limit, tuple[Limit, ...]]]) -> Edge:
    """The picked limit of the base run, with the band that the other runs give it."""
    limit, others = pick(runs[0])
    hard_stop = min((other.hours for other in (limit, *others) if other.basis == "safety"), default=math.inf)
    if limit.band_h is not None:
        low, high = limit.band_h
        return Edge(limit.hours, low, min(high, max(hard_stop, limit.hours)), limit, others)
    if limit.basis == "enzyme":
        return Edge(limit.hours, *_enzyme_band(limit), limit, others)
    times = [max(pick(run)[0].hours, SOON_H) for run in runs]
    slopes = [math.log(times[up] / times[up - 1]) / 2 for up in range(2, len(times), 2)]
    spread = math.exp(EIGHTY_PER_CENT * math.hypot(*slopes))
    low, high = limit.hours / spread, limit.hours * spread
    if any(pick(run)[0].id != limit.id for run in runs):
        low, high = min(low, *times), max(high, *times)
    return Edge(limit.hours, low, min(high, max(hard_stop, limit.hours)), limit, others)


def _enzyme_band(limit: Limit) -> tuple[float, float]:
    """Fruit varies; the upper threshold is already cut by that, so its hour is the early edge."""
    factor = ENZYME_VARIABILITY.value
    low = limit.hours if limit.id == "enzyme_very_soft" else limit.hours / factor
    return low, limit.hours * factor


def _salt_either_way(balance: Balance) -> tuple[Balance, ...]:
    """The mix with a standard deviation less and more salt, where guessed amounts or labels leave that open."""
    salt = balance.total("salt")
    if salt.value <= 0 or salt.high - salt.low < SALT_SPREAD_MATTERS * salt.value:
        return ()
    ends = (max(salt.low, 0.01 * salt.value), salt.high)
    return tuple(balance.salted((end / salt.value) ** (1 / EIGHTY_PER_CENT)) for end in ends)


def _either_way(log_sd: float) -> tuple[float, float]:
    return math.exp(-log_sd), math.exp(log_sd)


def _last(limits: Sequence[Limit]) -> tuple[Limit, tuple[Limit, ...]]:
    chosen = max(limits, key=lambda limit: limit.hours)
    return chosen, tuple(limit for limit in limits if limit is not chosen)


def _first(limits: Sequence[Limit]) -> tuple[Limit, tuple[Limit, ...]]:
    chosen = min(limits, key=lambda limit: limit.hours)
    return chosen, tuple(limit for limit in limits if limit is not chosen)
