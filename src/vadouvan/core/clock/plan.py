"""When the meat goes in and comes out, worked back from the meal."""

from __future__ import annotations

from dataclasses import dataclass
from datetime import UTC, datetime, time, timedelta

from vadouvan.core.hold.window import Window

A_STEP = timedelta(minutes=5)


@dataclass(frozen=True)
class Sleep:
    """Local hours in which nobody puts meat into a bag; may run over midnight."""

    start: time = time(23, 0)
    end: time = time(6, 30)

    def holds(self, moment: datetime) -> bool:
        """Whether a local moment falls into sleep."""
        clock = moment.time()
        if self.start <= self.end:
            return self.start < clock < self.end
        return clock > self.start or clock < self.end

    def bounds(self, moment: datetime) -> tuple[datetime, datetime]:
        """The last moment awake before, and the first after, the sleep that holds ``moment``."""
        evening = moment.replace(hour=self.start.hour, minute=self.start.minute, second=0, microsecond=0)
        if evening > moment:
            evening -= timedelta(days=1)
        morning = moment.replace(hour=self.end.hour, minute=self.end.minute, second=0, microsecond=0)
        if morning < moment:
            morning += timedelta(days=1)
        return evening, morning


@dataclass(frozen=True)
class Meal:
    """When food is on the table, and how long before that the meat leaves its mix."""

    at: datetime
    lead: timedelta

    @property
    def pull_at(self) -> datetime:
        """When the meat has to be out of the mix to be ready for the meal."""
        return _later(self.at, -self.lead)


@dataclass(frozen=True)
class Plan:
    """Contact and pull around one meal.

    ``trouble`` says what does not fit, if anything; ``after_sleep`` that contact was moved out of the night.
    """

    meal: Meal
    contact_at: datetime
    contact_from: datetime
    contact_until: datetime
    pull_from: datetime
    pull_until: datetime
    trouble: str | None
    after_sleep: bool

    @property
    def hold_h(self) -> float:
        """Hours between contact and the pull that the meal asks for."""
        return hours_between(self.contact_at, self.meal.pull_at)


def plan_for(window: Window, meal: Meal, now: datetime, sleep: Sleep) -> Plan:
    """The plan whose pull fits the meal: contact as near to best as the present and sleep allow."""
    pull_at = meal.pull_at
    contact_from = _later(pull_at, -timedelta(hours=window.safe_latest_h))
    contact_until = _later(pull_at, -timedelta(hours=window.safe_earliest_h))
    wanted = _later(pull_at, -timedelta(hours=window.best.hours))
    awake = _awake(max(wanted, now), max(contact_from, now), contact_until, sleep)
    contact_at = _on_a_step(awake)
    return Plan(
        meal=meal,
        contact_at=contact_at,
        contact_from=_on_a_step(contact_from),
        contact_until=_on_a_step(contact_until),
        pull_from=_on_a_step(_later(contact_at, timedelta(hours=window.safe_earliest_h))),
        pull_until=_on_a_step(_later(contact_at, timedelta(hours=window.safe_latest_h))),
        trouble=_trouble(window, meal, now, contact_until),
        after_sleep=awake != max(wanted, now),
    )


def _awake(wanted: datetime, first: datetime, last: datetime, sleep: Sleep) -> datetime:
    """The wanted moment, or the nearest one outside sleep that the window still allows."""
    if not sleep.holds(wanted):
        return wanted
    allowed = [moment for moment in sleep.bounds(wanted) if first <= moment <= last]
    return min(allowed, key=lambda moment: abs(hours_between(moment, wanted)), default=wanted)


def _trouble(window: Window, meal: Meal, now: datetime, contact_until: datetime) -> str | None:
    if now <= contact_until:
        return None
    zone = meal.at.tzinfo
    ready = _on_a_step(_later(now, timedelta(hours=window.safe_earliest_h) + meal.lead) + A_STEP).astimezone(zone)
    return (
        f"The meat should have gone in by {contact_until.astimezone(zone):%a %H:%M} for this meal. "
        f"In now, it is on the table at {ready:%a %H:%M} at the earliest; or use thinner pieces."
    )


def hours_between(start: datetime, end: datetime) -> float:
    """Elapsed hours, right across changes of the clock."""
    return (end.astimezone(UTC) - start.astimezone(UTC)).total_seconds() / 3600


def _later(moment: datetime, span: timedelta) -> datetime:
    """A moment moved by elapsed time, not by wall-clock time."""
    return (moment.astimezone(UTC) + span).astimezone(moment.tzinfo)


def _on_a_step(moment: datetime) -> datetime:
    """Rounded to five minutes: nobody acts on less."""
    steps = round(moment.timestamp() / A_STEP.total_seconds())
    return datetime.fromtimestamp(steps * A_STEP.total_seconds(), UTC).astimezone(moment.tzinfo)
