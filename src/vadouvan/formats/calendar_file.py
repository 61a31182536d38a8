"""A plan as an iCalendar file, and moved times read back from one.

Each hands-on step is an event with an alarm; its identity stays the same, so that a second import moves the first.
"""

from __future__ import annotations

from collections.abc import Iterable, Mapping, Sequence
from dataclasses import replace
from datetime import UTC, datetime, timedelta

from icalendar import Alarm, Calendar, Component, Event

from vadouvan.core.clock.chain import PlanStep
from vadouvan.core.clock.routine import hours_between, later
from vadouvan.core.constants import CONTACT_MIN
from vadouvan.core.draft.typed import Draft
from vadouvan.core.schedule.moving import Mark, moved
from vadouvan.core.schedule.plan import Plan
from vadouvan.errors import FormatError, InputError

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
    # In universal time: needs no rules of a zone in the file, and an hour that comes twice is told apart.
    begins = step.at.astimezone(UTC)
    event.add("dtstart", begins)
    event.add("dtend", max(step.ends.astimezone(UTC), begins + timedelta(minutes=5)))
    alarm = Alarm()
    alarm.add("action", "DISPLAY")
    alarm.add("description", step.says)
    alarm.add("trigger", -ALARM_BEFORE)
    event.add_component(alarm)
    return event


def moved_draft(text: str, identity: str, draft: Draft, plan: Plan | None) -> tuple[Draft, list[str]]:
    """The draft with a meal, a pull or a start that was moved in a calendar, and what was taken over in words.

    A meal that was moved alone takes its pull along. Raises FormatError for a file that is no calendar, that holds
    nothing of this batch, or whose times cannot be.
    """
    starts = _starts(text, identity)
    if plan is None:
        raise FormatError(
            field="file", given="", wrong="This batch has no plan to move.", accepted="Say the meal first."
        )
    said: list[str] = []
    for mark, to, was in _marks(starts, plan):
        if to is None or hours_between(was, to) == 0:
            continue
        try:
            draft = moved(draft, plan, mark, to)
        except InputError as error:
            raise FormatError(field="file", given=error.given, wrong=error.wrong, accepted=error.accepted) from None
        local = to.astimezone(plan.meal.at.tzinfo)
        said.append(f"the {mark}, to {plan.told(local)}")
        if mark == "meal":
            plan = replace(plan, meal=replace(plan.meal, at=local))
    return draft, said


def _marks(starts: Mapping[str, datetime], plan: Plan) -> list[tuple[Mark, datetime | None, datetime]]:
    """Moments that can be moved, where the calendar has it, and where it was. What has been is left alone."""
    contact = starts.get("contact")
    put_in = later(contact, timedelta(minutes=CONTACT_MIN.value)) if contact and plan.meal.contact_at is None else None
    pull = starts.get("pull") if plan.meal.pulled_at is None else None
    return [
        ("meal", starts.get("serve"), plan.meal.at),
        ("pull", pull, plan.pull_at),
        ("start", put_in, plan.contact_at),
    ]


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
        uid = str(event.get("uid", ""))
        moment = _start_of(event) if uid.endswith(f".{identity}@{DOMAIN}") else None
        if moment is not None:
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


def _start_of(event: Component) -> datetime | None:
    """When it begins; nothing for a whole day."""
    try:
        begins = event.decoded("dtstart", None)
    except (ValueError, TypeError, AttributeError, KeyError) as error:
        wrong = f"The time of an event in it cannot be read: {str(error)[:80]}."
        raise FormatError(field="file", given=str(event.get("uid", ""))[:40], wrong=wrong, accepted=ACCEPTED) from None
    return begins if isinstance(begins, datetime) else None
