"""A cook's week: sleep every night, work on some days. Hands are free outside both."""

from __future__ import annotations

from collections.abc import Callable, Iterator
from dataclasses import dataclass, field
from datetime import UTC, date, datetime, time, timedelta, tzinfo

A_STEP = timedelta(minutes=5)
EVERY_DAY = frozenset(range(7))
MOST_DAYS_KEPT = 400


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

    def stretch_from(self, day: date, zone: tzinfo | None) -> tuple[datetime, datetime] | None:
        """Its beginning and end where it begins on a date; none on other days, or if it has no length."""
        if not self.begins_on(day) or self.start == self.end:
            return None
        last = day if self.start < self.end else day + timedelta(days=1)
        return datetime.combine(day, self.start, zone), datetime.combine(last, self.end, zone)


@dataclass(frozen=True)
class Routine:
    """When hands are not free: ``sleep``, ``work`` if there is any, and ``away`` besides, every week or on one date."""

    sleep: DaySpan = DaySpan(time(23, 0), time(6, 30))
    work: DaySpan | None = None
    away: tuple[DaySpan, ...] = ()
    _kept: dict[tuple[date, tzinfo | None], tuple[tuple[float, float], ...]] = field(
        default_factory=dict, init=False, repr=False, compare=False
    )

    def spans(self) -> Iterator[tuple[str, DaySpan]]:
        """All of them, with what they are."""
        yield "sleep", self.sleep
        if self.work is not None:
            yield "work", self.work
        for span in self.away:
            yield "away", span

    def busy(self, moment: datetime) -> bool:
        """Whether hands are not free at a local moment, the ends of a stretch not counted."""
        return self._touches(moment, timedelta(0))

    def free_for(self, start: datetime, length: timedelta) -> bool:
        """Whether hands are free from a local moment on for so long, and for five minutes at least."""
        return not self._touches(start, max(length, A_STEP))

    def _touches(self, start: datetime, length: timedelta) -> bool:
        first = start.timestamp()
        last = first + length.total_seconds()
        for ahead in range(-1, length.days + 2):  # what begins the evening before may reach into it
            for begun, ended in self._seconds(start.date() + timedelta(days=ahead), start.tzinfo):
                if begun < last and ended > first:
                    return True
        return False

    def _seconds(self, day: date, zone: tzinfo | None) -> tuple[tuple[float, float], ...]:
        """The stretches that begin on a date, in seconds of the epoch: a search for a free moment asks often."""
        kept = self._kept.get((day, zone))
        if kept is None:
            found = (span.stretch_from(day, zone) for _, span in self.spans())
            kept = tuple((ends[0].timestamp(), ends[1].timestamp()) for ends in found if ends)
            if len(self._kept) > MOST_DAYS_KEPT:
                self._kept.clear()
            self._kept[day, zone] = kept
        return kept

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
        zone, (at, begins, ends) = wanted.tzinfo, (moment.astimezone(UTC) for moment in (wanted, first, last))
        for step in range(1, int(max(ends - at, at - begins) / A_STEP) + 2):
            for moment in (at - A_STEP * step, at + A_STEP * step):
                if begins <= moment <= ends and fits(here := moment.astimezone(zone)):
                    return here
        return None

    def between(self, first: datetime, last: datetime) -> list[tuple[str, datetime, datetime]]:
        """Every stretch of sleep and work that touches a time, as (what, from, to), in the zone of ``first``."""
        days = [first.date() + timedelta(days=ahead) for ahead in range(-1, (last.date() - first.date()).days + 1)]
        begun = [(what, span.stretch_from(day, first.tzinfo)) for what, span in self.spans() for day in days]
        touching = [(what, *ends) for what, ends in begun if ends and ends[1] > first and ends[0] < last]
        return sorted(touching, key=lambda stretch: stretch[1])

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
