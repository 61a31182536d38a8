"""The next deed of a batch and how soon it is: at once, on this day, or another; and the time left, in words."""

from __future__ import annotations

from datetime import date, datetime, timedelta
from typing import Literal

from vadouvan.core.clock.chain import PlanStep
from vadouvan.core.clock.routine import hours_between
from vadouvan.core.figure import hours_told
from vadouvan.core.schedule.plan import Plan
from vadouvan.unchanging import unchanging

A_MINUTE_H = 1 / 60
WITHIN_H = 0.5  # what begins in the next half hour is prepared for now
NIGHT_ENDS = timedelta(hours=4)  # a deed at one in the morning belongs to the evening before it
AFTER_IT = "How was it? Note it under Taste."

Soon = Literal["now", "today", "later"]


@unchanging
class Due:
    """The next deed of a plan: its moment, the group that it stands in, and the time that is left until it begins."""

    deed: str
    at: datetime
    soon: Soon
    left: str


def due_of(plan: Plan, step: PlanStep | None, now: datetime) -> Due:
    """The next of a plan: the step that needs hands, what the plan fails by, or to taste when all is over."""
    if plan.trouble:
        return Due(plan.trouble, plan.meal.at, "now", "too late")
    if step is None:
        return Due(AFTER_IT, plan.meal.at, "now", left_until(plan.meal.at, now))
    return Due(step.says, step.at, soon_is(step.at, now), left_until(step.at, now))


def left_until(begins: datetime, now: datetime) -> str:
    """The time until a moment, or since it.

    >>> now = datetime.fromisoformat("2026-11-28T21:00+00:00")
    >>> [left_until(datetime.fromisoformat(f"2026-11-{text}+00:00"), now) for text in ("29T00:10", "28T20:45")]
    ['in 3 h 10', '15 min ago']
    """
    left_h = hours_between(now, begins)
    if abs(left_h) < A_MINUTE_H:
        return "now"
    return f"in {hours_told(left_h)}" if left_h > 0 else f"{hours_told(-left_h)} ago"


def soon_is(begins: datetime, now: datetime) -> Soon:
    """The group of a moment, by the day of its own zone.

    >>> now = datetime.fromisoformat("2026-11-28T21:00+00:00")
    >>> [soon_is(datetime.fromisoformat(f"2026-11-{text}+00:00"), now) for text in ("28T21:30", "29T03:00", "29T04:00")]
    ['now', 'today', 'later']
    """
    if hours_between(now, begins) <= WITHIN_H:
        return "now"
    return "today" if _day(begins) == _day(now.astimezone(begins.tzinfo)) else "later"


def _day(moment: datetime) -> date:
    return (moment - NIGHT_ENDS).date()
