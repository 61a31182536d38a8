"""When the meat goes in and comes out, worked back from the meal, around the cook's week."""

from __future__ import annotations

from dataclasses import dataclass
from datetime import datetime, timedelta

from vadouvan.core.clock.routine import A_STEP, Routine, hours_between, later, on_a_step
from vadouvan.core.hold.window import Window


@dataclass(frozen=True)
class Meal:
    """When food is on the table, how long before that the meat leaves its mix, and contact if it has been."""

    at: datetime
    lead: timedelta
    contact_at: datetime | None = None

    @property
    def pull_at(self) -> datetime:
        """When the meat has to be out of the mix to be ready for the meal."""
        return later(self.at, -self.lead)


@dataclass(frozen=True)
class Plan:
    """Contact and pull around one meal.

    ``trouble`` says what does not fit, if anything; ``after_sleep`` that contact was moved out of sleep or work.
    ``ready_at`` is the earliest meal that would work from now on, where this one does not.
    """

    meal: Meal
    contact_at: datetime
    contact_from: datetime
    contact_until: datetime
    pull_from: datetime
    pull_until: datetime
    trouble: str | None
    after_sleep: bool
    ready_at: datetime | None = None

    @property
    def hold_h(self) -> float:
        """Hours between contact and the pull that the meal asks for."""
        return hours_between(self.contact_at, self.meal.pull_at)


def plan_for(window: Window, meal: Meal, now: datetime, routine: Routine, before: timedelta = timedelta(0)) -> Plan:
    """The plan whose pull fits the meal: contact as near to best as the present and the cook's week allow.

    ``before`` is hands-on time that ends with contact: it is kept out of sleep and work as well. A contact that
    has been is taken as it was.
    """
    pull_at = meal.pull_at
    contact_from = later(pull_at, -timedelta(hours=window.safe_latest_h))
    contact_until = later(pull_at, -timedelta(hours=window.safe_earliest_h))
    earliest = later(now, before).astimezone(pull_at.tzinfo)
    wanted = max(later(pull_at, -timedelta(hours=window.best.hours)), earliest)
    first = max(contact_from, earliest)
    free = (
        routine.nearest_free(wanted, first=first, last=contact_until, before=before) if first <= contact_until else None
    )
    contact_at = meal.contact_at or on_a_step(free or wanted)
    trouble = _trouble(window, meal, contact_at, contact_from, contact_until, free is None)
    return Plan(
        meal=meal,
        contact_at=contact_at,
        contact_from=on_a_step(contact_from),
        contact_until=on_a_step(contact_until),
        pull_from=on_a_step(later(contact_at, timedelta(hours=window.safe_earliest_h))),
        pull_until=on_a_step(later(contact_at, timedelta(hours=window.safe_latest_h))),
        trouble=trouble,
        after_sleep=meal.contact_at is None and free is not None and free != wanted,
        ready_at=_ready_at(window, meal, earliest, routine, before) if trouble else None,
    )


def _ready_at(window: Window, meal: Meal, earliest: datetime, routine: Routine, before: timedelta) -> datetime:
    """The earliest meal from now on: contact as soon as hands are free (or as it was), out when it opens."""
    contact = meal.contact_at
    if contact is None:
        week = timedelta(days=7)
        contact = routine.nearest_free(earliest, first=earliest, last=later(earliest, week), before=before) or earliest
    out = later(contact, timedelta(hours=window.safe_earliest_h))
    return on_a_step(later(max(out, earliest), meal.lead) + A_STEP).astimezone(meal.at.tzinfo)


def _trouble(
    window: Window,
    meal: Meal,
    contact_at: datetime,
    contact_from: datetime,
    contact_until: datetime,
    nothing_free: bool,
) -> str | None:
    """Which two things collide, in words; nothing if none do."""
    zone = meal.at.tzinfo
    until = f"{on_a_step(contact_until).astimezone(zone):%a %H:%M}"
    if meal.contact_at is not None:
        if contact_at > contact_until:
            return f"It went in at {contact_at:%a %H:%M}; for this meal it should have by {until}."
        if contact_at < contact_from:
            out = later(contact_at, timedelta(hours=window.safe_latest_h))
            by = f"{on_a_step(out):%a %H:%M}"
            return f"It went in at {contact_at:%a %H:%M} and has to come out by {by}, before this meal."
        return None
    if contact_at > contact_until:
        return f"The meat should have gone in by {until} for this meal."
    if nothing_free:
        since = f"{on_a_step(contact_from).astimezone(zone):%a %H:%M}"
        return f"It has to go in between {since} and {until}, and your hands are not free then."
    return None
