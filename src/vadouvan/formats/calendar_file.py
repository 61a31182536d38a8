"""A plan as an iCalendar file, and moved times read back from one.

Each hands-on step is an event with an alarm; its identity stays the same, so that a second import moves the first.
"""

from __future__ import annotations

from collections.abc import Iterable, Sequence
from dataclasses import replace
from datetime import datetime, timedelta

from icalendar import Alarm, Calendar, Event

from vadouvan.core.clock.routine import hours_between
from vadouvan.core.clock.steps import PlanStep
from vadouvan.core.draft import Draft
from vadouvan.errors import FormatError

DOMAIN = "vadouvan"
LARGEST_BYTES = 2_000_000
ALARM_BEFORE = timedelta(minutes=10)
ACCEPTED = "Choose a calendar file (.ics) that was written here, with times moved in a calendar."


def calendar_text(batches: Iterable[tuple[str, str, Sequence[PlanStep]]], *, now: datetime) -> str:
    """A calendar of (identity, name, steps) of batches; steps that need hands, and the meal."""
    calendar = Calendar()
    calendar.add("prodid", "-//Vadouvan//plan//EN")
    calendar.add("version", "2.0")
    for identity, name, steps in batches:
        for step in steps:
            if step.hands_on:
                calendar.add_component(_event(identity, name, step, now))
    return str(calendar.to_ical().decode())


def _event(identity: str, name: str, step: PlanStep, now: datetime) -> Event:
    event = Event()
    event.add("uid", f"{step.id}.{identity}@{DOMAIN}")
    event.add("dtstamp", now)
    event.add("summary", f"{name or 'Batch'}: {step.says}")
    event.add("dtstart", step.at)
    event.add("dtend", max(step.ends, step.at + timedelta(minutes=5)))
    alarm = Alarm()
    alarm.add("action", "DISPLAY")
    alarm.add("description", step.says)
    alarm.add("trigger", -ALARM_BEFORE)
    event.add_component(alarm)
    return event


def moved_draft(text: str, identity: str, draft: Draft, steps: Sequence[PlanStep]) -> tuple[Draft, list[str]]:
    """The draft with a meal or a pull that was moved in a calendar, and what was taken over in words.

    Raises FormatError for a file that is no calendar, or that holds nothing of this batch.
    """
    starts = _starts(text, identity)
    planned = {step.id: step.at for step in steps}
    said: list[str] = []
    meal_at, pull_at = planned.get("serve"), planned.get("pull")
    if meal_at is None or pull_at is None:
        raise FormatError(
            field="file", given="", wrong="This batch has no plan to move.", accepted="Say the meal first."
        )
    served = starts.get("serve", meal_at).astimezone(meal_at.tzinfo)
    pulled = starts.get("pull", pull_at).astimezone(meal_at.tzinfo)
    if served != meal_at and "pull" in starts and starts["pull"] == pull_at:
        pulled = served - (meal_at - pull_at)  # the meal alone was moved: the pull goes with it
    lead = round(hours_between(pulled, served) * 60)
    if not 0 <= lead <= 24 * 60:
        wrong = f"The pull would be {lead} minutes before the meal."
        raise FormatError(
            field="file", given=str(lead), wrong=wrong, accepted="Move the pull to within a day before the meal."
        )
    meal = draft.meal
    if served != meal_at:
        meal = replace(meal, at=f"{served:%Y-%m-%dT%H:%M}")
        said.append(f"the meal, to {served:%a %H:%M}")
    if lead != round(hours_between(pull_at, meal_at) * 60):
        meal = replace(meal, lead=f"{lead} min")
        said.append(f"the pull, to {pulled:%a %H:%M}")
    return replace(draft, meal=meal), said


def _starts(text: str, identity: str) -> dict[str, datetime]:
    """Starts of this batch's events by the id of their step."""
    if len(text.encode("utf-8", errors="replace")) > LARGEST_BYTES:
        raise FormatError(field="file", given=text[:40], wrong="The file is larger than 2 MB.", accepted=ACCEPTED)
    try:
        calendar = Calendar.from_ical(text)
    except (ValueError, IndexError, KeyError) as error:
        wrong = f"This is no calendar file: {str(error)[:80]}."
        raise FormatError(field="file", given=text[:40], wrong=wrong, accepted=ACCEPTED) from None
    found = {}
    for event in calendar.walk("VEVENT"):
        uid, start = str(event.get("uid", "")), event.get("dtstart")
        if uid.endswith(f".{identity}@{DOMAIN}") and start is not None and isinstance(start.dt, datetime):
            moment = start.dt
            if moment.tzinfo is None:
                raise FormatError(
                    field="file",
                    given=str(moment),
                    wrong="A time in it has no zone.",
                    accepted="Export it with its time zones.",
                )
            found[uid.split(".", maxsplit=1)[0]] = moment
    if not found:
        raise FormatError(field="file", given=text[:40], wrong="It holds nothing of this batch.", accepted=ACCEPTED)
    return found
