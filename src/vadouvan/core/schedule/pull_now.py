"""Whether it may come out of the mix now."""

from __future__ import annotations

from datetime import datetime, timedelta

from vadouvan.core.clock.routine import hours_between, later, on_a_step
from vadouvan.core.figure import hours_told
from vadouvan.core.hold.window import Window
from vadouvan.core.schedule.plan import Plan

JUST_IN_H = 1 / 12


def pull_now(window: Window, plan: Plan, now: datetime) -> str:
    """The answer to "pull now?" while it is in the mix, in words; empty before contact and after the pull."""
    meal = plan.meal
    if meal.contact_at is None or meal.pulled_at is not None:
        return ""
    hours = hours_between(meal.contact_at, now)
    held = hours_told(hours) if hours >= JUST_IN_H else "a few minutes"
    if hours < window.safe_earliest_h:
        opens = _told(plan, meal.contact_at, window.safe_earliest_h)
        return f"Not yet, after {held}: it opens at {opens}, when {window.earliest.limit.says}."
    if hours > window.safe_latest_h:
        return f"Yes, at once: after {held} it is past its latest. {_capital(window.latest.limit.says)}."
    if hours < min(window.best.low_hours, max(window.good_h[0], window.best.hours / 2)):
        best = _told(plan, meal.contact_at, window.best.hours)
        straight = " go straight to the heat" if window.straight and hours < window.best.hours / 2 else ""
        return f"It may{straight}, after {held}; it is better about {best}."
    closes = _told(plan, meal.contact_at, window.safe_latest_h)
    if window.best.high_hours < hours <= window.good_h[1]:
        return f"Yes: after {held} it is nearly as good as at its best. It may stay until {closes}."
    if hours <= window.best.high_hours:
        return f"Yes: after {held} it is at its best. It may stay until {closes}."
    return f"Yes: after {held} it is past its best. It has to come out by {closes}."


def _told(plan: Plan, contact: datetime, hours: float) -> str:
    return plan.told(on_a_step(later(contact, timedelta(hours=hours))))


def _capital(text: str) -> str:
    return text[:1].upper() + text[1:]
