"""Reading a cook's week as typed in Settings."""

from __future__ import annotations

import re
from datetime import date, time
from typing import Annotated

from annotated_types import Len

from vadouvan.core.clock.routine import DaySpan, Routine
from vadouvan.core.draft.typed import Text
from vadouvan.core.patterns import lazily
from vadouvan.errors import BadInput, InputError
from vadouvan.unchanging import unchanging

DAYS = ("mon", "tue", "wed", "thu", "fri", "sat", "sun")
AWAY_ACCEPTED = 'Write such as "sat 14:00 to 17:00" for every week, or "2026-12-05 09:00 to 12:00" for once.'
_AWAY = lazily(
    r"(?:(?P<day>mon|tue|wed|thu|fri|sat|sun)[a-z]*|(?P<date>\d{4}-\d{2}-\d{2}))\s+"
    r"(?P<start>\d{1,2}:\d{2})\s*(?:to|-|until)\s*(?P<end>\d{1,2}:\d{2})",
    re.IGNORECASE,
)
CLOCK_ACCEPTED = 'Write a time of day such as "23:00".'


@unchanging
class RoutineInput:
    """Sleep and work as typed: times of day, and the days of work by their first three letters."""

    sleep_from: Text = "23:00"
    sleep_to: Text = "06:30"
    work_from: Text = ""
    work_to: Text = ""
    work_days: Annotated[tuple[Text, ...], Len(0, 7)] = DAYS[:5]
    away: Text = ""


def read_routine(said: RoutineInput) -> Routine:
    """The week; raises BadInput with every field that is wrong."""
    problems: list[InputError] = []
    sleep = _span(said.sleep_from, said.sleep_to, "sleep", problems)
    work = None
    if said.work_from.strip() or said.work_to.strip():
        work = _span(said.work_from, said.work_to, "work", problems)
    days = _days(said.work_days, problems)
    away = _away(said.away, problems)
    if sleep is not None and sleep[0] == sleep[1]:
        problems.append(
            InputError(
                field="sleep_to",
                given=said.sleep_to,
                wrong="That is sleep all day.",
                accepted="Leave some hours awake.",
            )
        )
    if problems or sleep is None:
        raise BadInput(problems)
    return Routine(DaySpan(*sleep), DaySpan(*work, days) if work and days else None, away)


def _span(start: str, end: str, name: str, problems: list[InputError]) -> tuple[time, time] | None:
    times = [_clock(text, f"{name}_{end_name}", problems) for text, end_name in ((start, "from"), (end, "to"))]
    return (times[0], times[1]) if times[0] is not None and times[1] is not None else None


def _clock(text: str, field: str, problems: list[InputError]) -> time | None:
    try:
        return time.fromisoformat(text.strip())
    except ValueError:
        wrong = f'"{text.strip()}" is no time of day.'
        problems.append(InputError(field=field, given=text, wrong=wrong, accepted=CLOCK_ACCEPTED))
        return None


def _away(said: str, problems: list[InputError]) -> tuple[DaySpan, ...]:
    """Other hours away: "sat 14:00 to 17:00" every week, "2026-12-05 09:00 to 12:00" once; a line or comma each."""
    found = []
    for part in re.split(r"[,;\n]", said):
        if not part.strip():
            continue
        match = _AWAY.fullmatch(part.strip())
        span = _away_span(match) if match else None
        if span is None:
            wrong = f'"{part.strip()}" could not be read.'
            problems.append(InputError(field="away", given=part.strip(), wrong=wrong, accepted=AWAY_ACCEPTED))
        else:
            found.append(span)
    return tuple(found)


def _away_span(match: re.Match[str]) -> DaySpan | None:
    """The span of a match; nothing if its date or its hours do not exist, or it has no length."""
    try:
        start, end = (time.fromisoformat(match[name].zfill(5)) for name in ("start", "end"))
        on = date.fromisoformat(match["date"]) if match["date"] else None
    except ValueError:
        return None
    if start == end:
        return None
    if on is not None:
        return DaySpan(start, end, frozenset(), on)
    return DaySpan(start, end, frozenset({DAYS.index(match["day"][:3].lower())}))


def _days(said: tuple[str, ...], problems: list[InputError]) -> frozenset[int]:
    for day in said:
        if day not in DAYS:
            wrong, accepted = f'"{day}" is no day.', "Choose from " + ", ".join(DAYS) + "."
            problems.append(InputError(field="work_days", given=day, wrong=wrong, accepted=accepted))
    return frozenset(DAYS.index(day) for day in said if day in DAYS)
