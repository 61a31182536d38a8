"""A cook's week: sleep every night, work on some days. Hands are free outside both."""

from __future__ import annotations

from bisect import bisect_left
from collections.abc import Callable, Iterator
from dataclasses import field
from datetime import UTC, date, datetime, time, timedelta, tzinfo

from vadouvan.unchanging import unchanging

A_STEP = timedelta(minutes=5)
EVERY_DAY = frozenset(range(7))
MOST_DAYS_KEPT = 400


@unchanging
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


@unchanging
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
        self,
        wanted: datetime,
        *,
        first: datetime,
        last: datetime,
        hands: timedelta = timedelta(0),
        before: timedelta = timedelta(0),
        fits: Callable[[datetime], bool] = lambda _: True,
    ) -> datetime | None:
        """The moment nearest to ``wanted``, in steps of five minutes within the two ends, that ``fits``; or none.

        Hands are free for ``hands`` from ``before`` it on, and for five minutes at least.
        """
        if self.free_for(later(wanted, -before), hands) and fits(wanted):
            return wanted
        zone, (at, begins, ends) = wanted.tzinfo, (moment.timestamp() for moment in (wanted, first, last))
        step_s, lead_s = A_STEP.total_seconds(), before.total_seconds()
        if begins > ends:
            return None
        busy = self._busy(begins - lead_s, ends - lead_s, max(hands, A_STEP), zone)
        starts = [start for start, _ in busy]
        for step in range(1, int(max(ends - at, at - begins) / step_s) + 2):
            for moment_s in (at - step_s * step, at + step_s * step):
                if not begins <= moment_s <= ends:
                    continue
                under = bisect_left(starts, moment_s - lead_s) - 1
                if under >= 0 and busy[under][1] > moment_s - lead_s:
                    continue
                moment = datetime.fromtimestamp(moment_s, UTC).astimezone(zone)
                if fits(moment):
                    return moment
        return None

    def _busy(
        self, begins_s: float, ends_s: float, length: timedelta, zone: tzinfo | None
    ) -> list[tuple[float, float]]:
        """Stretches, ends left out, in which nothing of a length may begin, one after another, over these hours."""
        days = (datetime.fromtimestamp(end_s, zone).date() for end_s in (begins_s, ends_s + length.total_seconds()))
        first, last = days
        found = [
            (begun - length.total_seconds(), ended)
            for ahead in range(-1, (last - first).days + 1)
            for begun, ended in self._seconds(first + timedelta(days=ahead), zone)
        ]
        together: list[tuple[float, float]] = []
        for start, end in sorted(found):
            if together and start < together[-1][1]:
                together[-1] = together[-1][0], max(end, together[-1][1])
            else:
                together.append((start, end))
        return together

    def between(self, first: datetime, last: datetime) -> list[tuple[str, datetime, datetime]]:
        """Every stretch of sleep and work that touches a time, as (what, from, to), in the zone of ``first``."""
        days = [first.date() + timedelta(days=ahead) for ahead in range(-1, (last.date() - first.date()).days + 1)]
        begun = [(what, span.stretch_from(day, first.tzinfo)) for what, span in self.spans() for day in days]
        touching = [(what, *ends) for what, ends in begun if ends and ends[1] > first and ends[0] < last]
        return sorted(touching, key=lambda stretch: stretch[1])


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
