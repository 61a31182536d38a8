"""A cook's week: sleep every night, work on some days. Hands are free outside both."""

from __future__ import annotations

from collections.abc import Callable, Iterator
from dataclasses import dataclass
from datetime import UTC, date, datetime, time, timedelta

A_STEP = timedelta(minutes=5)
EVERY_DAY = frozenset(range(7))


@dataclass(frozen=True)
class DaySpan:
    """Local hours from ``start`` to ``end`` (over midnight if that is earlier) on days counted from Monday, 0.

    A span over midnight belongs to the day it starts on. With ``on`` it is that date alone.
    """

    start: time
    end: time
    days: frozenset[int] = EVERY_DAY
    on: date | None = None

    def begins_on(self, day: date) -> bool:
        """Whether it begins on a date."""
        return day == self.on if self.on is not None else day.weekday() in self.days

    def holds(self, moment: datetime) -> bool:
        """Whether a local moment lies inside, its ends not counted."""
        clock, day = moment.time(), moment.date()
        if self.start <= self.end:
            return self.begins_on(day) and self.start < clock < self.end
        evening = self.begins_on(day) and clock > self.start
        morning = self.begins_on(day - timedelta(days=1)) and clock < self.end
        return evening or morning


@dataclass(frozen=True)
class Routine:
    """When hands are not free: ``sleep``, ``work`` if there is any, and ``away`` besides, every week or on one date."""

    sleep: DaySpan = DaySpan(time(23, 0), time(6, 30))
    work: DaySpan | None = None
    away: tuple[DaySpan, ...] = ()

    def spans(self) -> Iterator[tuple[str, DaySpan]]:
        """All of them, with what they are."""
        yield "sleep", self.sleep
        if self.work is not None:
            yield "work", self.work
        for span in self.away:
            yield "away", span

    def busy(self, moment: datetime) -> bool:
        """Whether hands are not free at a local moment."""
        return any(span.holds(moment) for _, span in self.spans())

    def free_for(self, start: datetime, length: timedelta) -> bool:
        """Whether hands are free from a local moment on for so long."""
        steps = max(1, round(length / A_STEP))
        return not any(self.busy(later(start, A_STEP * step)) for step in range(steps + 1))

    def nearest_free(
        self, wanted: datetime, *, first: datetime, last: datetime, before: timedelta = timedelta(0)
    ) -> datetime | None:
        """The moment nearest to ``wanted`` within the two ends, with hands free for so long ``before`` it; or none."""
        return self.nearest(wanted, first=first, last=last, fits=lambda moment: self._free_until(moment, before))

    def nearest(
        self, wanted: datetime, *, first: datetime, last: datetime, fits: Callable[[datetime], bool]
    ) -> datetime | None:
        """The moment nearest to ``wanted``, in steps of five minutes within the two ends, that ``fits``; or none."""
        if fits(wanted):
            return wanted
        for step in range(1, int((max(last - wanted, wanted - first)) / A_STEP) + 2):
            for moment in (later(wanted, -A_STEP * step), later(wanted, A_STEP * step)):
                if first <= moment <= last and fits(moment):
                    return moment
        return None

    def between(self, first: datetime, last: datetime) -> list[tuple[str, datetime, datetime]]:
        """Every stretch of sleep and work that touches a time, as (what, from, to), in the zone of ``first``."""
        found = []
        for what, span in self.spans():
            day = first.date() - timedelta(days=1)
            while day <= last.date():
                if span.begins_on(day):
                    start = datetime.combine(day, span.start, first.tzinfo)
                    over_midnight = timedelta(days=1 if span.end <= span.start else 0)
                    end = datetime.combine(day + over_midnight, span.end, first.tzinfo)
                    if end > first and start < last:
                        found.append((what, start, end))
                day += timedelta(days=1)
        return sorted(found, key=lambda stretch: stretch[1])

    def _free_until(self, moment: datetime, before: timedelta) -> bool:
        return self.free_for(later(moment, -before), before)


USUAL_WEEK = Routine()


def later(moment: datetime, span: timedelta) -> datetime:
    """A moment moved by elapsed time, not by wall-clock time."""
    return (moment.astimezone(UTC) + span).astimezone(moment.tzinfo)


def hours_between(start: datetime, end: datetime) -> float:
    """Elapsed hours, right across changes of the clock."""
    return (end.astimezone(UTC) - start.astimezone(UTC)).total_seconds() / 3600


def on_a_step(moment: datetime) -> datetime:
    """Rounded to five minutes: nobody acts on less."""
    steps = round(moment.timestamp() / A_STEP.total_seconds())
    return datetime.fromtimestamp(steps * A_STEP.total_seconds(), UTC).astimezone(moment.tzinfo)
