"""A date and time as cooks say it: "tomorrow 19:00", "Sat 7 pm", "5 Dec 18:30", "in 3 h", "tonight at 8"."""

from __future__ import annotations

import re
from datetime import date, datetime, timedelta
from typing import NoReturn
from zoneinfo import ZoneInfo

from vadouvan.core.clock.moment import local_moment
from vadouvan.core.clock.routine import later
from vadouvan.core.patterns import lazily
from vadouvan.errors import InputError

ACCEPTED = 'Write a day and an hour, such as "tomorrow 19:00", "Sat 7 pm", "5 Dec 18:30" or "in 3 h".'
WEEKDAYS = ("monday", "tuesday", "wednesday", "thursday", "friday", "saturday", "sunday")
MONTHS = (
    "january", "february", "march", "april", "may", "june", "july", "august", "september", "october", "november",
    "december",
)  # fmt: skip
OF_THE_DAY = ("evening", "afternoon", "morning", "night", "dinner", "lunch", "breakfast")
SHORTEST_NAME, LONGEST = 3, 120
HOURS_NAMED = {"noon": 12, "midday": 12, "midnight": 0}
NOON, LUNCH_UNTIL = 12, 5  # "tonight at 8" is the evening's eight, "lunch at 1" the afternoon's one
HOUR_WORDS = ("one", "two", "three", "four", "five", "six", "seven", "eight", "nine", "ten", "eleven", "twelve")
UNITS = {"m": timedelta(minutes=1), "h": timedelta(hours=1), "d": timedelta(days=1), "w": timedelta(weeks=1)}
_ISO = lazily(r"^\d{4}-\d\d-\d\d[t ]\d\d:\d\d")
_SOON = lazily(r"^in\s+(?P<much>\d+(?:[.,]\d+)?)\s*(?P<unit>minutes?|mins?|m|hours?|hrs?|h|days?|d|weeks?)$")
_ANY_HOUR = rf"\d{{1,2}}|{'|'.join(HOUR_WORDS)}"
_SPOKEN = lazily(rf"\b(?P<part>half past|(?:a )?quarter past|(?:a )?quarter to) (?P<hour>{_ANY_HOUR})\b")
_AT_WORD = lazily(rf"\bat ({'|'.join(HOUR_WORDS)})\b")
_HALF = r"(?P<half>[ap]\.?m\b\.?)"
# The plainest first: a colon is an hour wherever it stands, a point may be a date's.
_CLOCKS = tuple(
    lazily(rf"(?:\bat\s+)?{clock}")
    for clock in (
        rf"(?<![\d.])(?P<hour>\d{{1,2}})[:h](?P<minute>\d\d)(?!\d)\s*{_HALF}?",
        rf"(?<![\d.])(?P<hour>\d{{1,2}})(?:\.(?P<minute>\d\d))?\s*{_HALF}",
        r"\b(?P<hour>\d{1,2})\s*o'?clock\b",
        r"(?<=\btonight )(?P<hour>\d{1,2})(?![\d./])",
        r"(?<=\bat )(?P<hour>\d{1,2})(?:\.(?P<minute>\d\d))?(?![\d.])",
        r"(?<![\d.])(?P<hour>\d{1,2})\.(?P<minute>\d\d)$",
        r"(?<!\d)(?P<hour>\d\d)(?P<minute>\d\d)(?:\s*(?:h|hours|hrs))?$",
    )
)
_HAS_COLON = lazily(r"\d[:h]\d|\d{4}")
_YEAR = lazily(r"(?<!\d)(?P<year>(?:19|20)\d\d)(?!\d)")
_NUMBERS = lazily(r"^(?P<first>\d{1,2})\s*[./-]\s*(?P<second>\d{1,2})\.?$")
_DAY = lazily(r"^(?P<day>\d{1,2})(?:st|nd|rd|th)?$")


def said_moment(text: str, zone: ZoneInfo, now: datetime, *, field: str) -> datetime:
    """The moment in words, in a zone; raises InputError for what cannot be read, or names no hour.

    >>> now, zone = datetime.fromisoformat("2026-11-28T09:00+00:00"), ZoneInfo("Europe/Lisbon")
    >>> for text in ("tomorrow 7 pm", "Sat 19:00", "in 3 h"):
    ...     print(f"{said_moment(text, zone, now, field='meal.at'):%d %b %H:%M}")
    29 Nov 19:00
    28 Nov 19:00
    28 Nov 12:00
    """
    if len(text) > LONGEST:
        _refuse(text, field, "It is too long.")
    now = now.astimezone(zone)
    said = re.sub(r"\s+", " ", text.strip().lower().replace(",", " ").replace("’", "'")).strip()
    if _ISO.match(said):
        return local_moment(text.strip().upper().replace(" ", "T"), zone, field=field)
    soon = _SOON.match(said)
    if soon:
        return _rounded(later(now, _length(soon["much"], soon["unit"])))
    said = _AT_WORD.sub(lambda found: f"at {_number(found[1])}", _SPOKEN.sub(_in_figures, said))
    rest, hour, minute = _hour(said, text, field)
    day = _day(rest.strip(" .-"), now, (hour, minute), text, field)
    return local_moment(f"{day.isoformat()}T{hour:02d}:{minute:02d}", zone, field=field)


def _in_figures(found: re.Match[str]) -> str:
    """Half past seven, or a quarter to eight, as the clock shows it: "at 7.30", "at 7.45"."""
    hour, part = _number(found["hour"]), found["part"]
    if part.endswith("to"):
        return f"at {(hour - 2) % NOON + 1}.45"
    return f"at {hour}.{30 if part.startswith('half') else 15}"


def _number(word: str) -> int:
    return HOUR_WORDS.index(word) + 1 if word in HOUR_WORDS else int(word)


def _length(much: str, unit: str) -> timedelta:
    number = float(much.replace(",", "."))
    return number * UNITS[unit[0]]


def _rounded(moment: datetime) -> datetime:
    return moment.replace(second=0, microsecond=0)


def _hour(said: str, text: str, field: str) -> tuple[str, int, int]:
    """The text without its hour, and the hour."""
    for word, hour in HOURS_NAMED.items():
        if re.search(rf"\b{word}\b", said):
            return re.sub(rf"(?:\bat )?\b{word}\b", " ", said), hour, 0
    found = next(filter(None, (clock.search(said) for clock in _CLOCKS)), None)
    if found is None:
        _refuse(text, field, "It names no hour.")
    rest = f"{said[: found.start()]} {said[found.end() :]}"
    parts = found.groupdict()
    half = (parts.get("half") or "").replace(".", "")
    hour, minute = int(parts["hour"]), int(parts.get("minute") or 0)
    if half and not 1 <= hour <= NOON:
        _refuse(text, field, f"{hour} {half} is no hour.")
    if half:
        hour = hour % NOON + (NOON if half == "pm" else 0)
    elif hour == NOON and "night" in said:
        _refuse(text, field, "Twelve at night is the next day's: say midnight of that day.")
    elif 0 < hour < NOON:
        hour += _of_the_day(said, hour, text, field, is_bare=not _HAS_COLON.search(found.group()))
    if hour > 24 or minute > 59 or (hour == 24 and minute):
        _refuse(text, field, f"{hour}:{minute:02d} is no hour.")
    return rest, hour % 24, minute


def _of_the_day(said: str, hour: int, text: str, field: str, *, is_bare: bool) -> int:
    """Hours to add to an hour of the first twelve: by the part of the day that is named; asked where none is."""
    late = any(word in said for word in ("tonight", "evening", "dinner", "night"))
    if late or (hour < LUNCH_UNTIL and ("afternoon" in said or "lunch" in said)):
        return NOON
    if is_bare and not any(word in said for word in ("morning", "breakfast", "lunch", "afternoon")):
        _refuse(text, field, f"{hour} may be of the morning or of the evening.")
    return 0


def _day(rest: str, now: datetime, hour: tuple[int, int], text: str, field: str) -> date:
    """The day that the rest names; without one, today if the hour is still to come."""
    today = now.date()
    words = [word for word in re.split(r"[\s]+", rest) if word not in ("on", "at", "the", "in", "of", "for", "")]
    said = " ".join(word for word in words if word not in OF_THE_DAY)
    if said in ("", "this"):
        return today if (now.hour, now.minute) < hour else today + timedelta(days=1)
    if said in ("today", "tonight"):
        return today
    if said == "tomorrow":
        return today + timedelta(days=1)
    if said in ("day after tomorrow", "overmorrow"):
        return today + timedelta(days=2)
    if said == "yesterday":
        return today - timedelta(days=1)
    weekday = _named(said.removeprefix("next ").removeprefix("this "), WEEKDAYS)
    if weekday is not None:
        ahead = (weekday - today.weekday()) % 7
        if ahead == 0 and (said.startswith("next ") or (now.hour, now.minute) >= hour):
            ahead = 7
        return today + timedelta(days=ahead)
    return _dated(said, today, text, field)


def _dated(said: str, today: date, text: str, field: str) -> date:
    """A day of a month, with or without its weekday and year: the coming one."""
    year = _YEAR.search(said)
    left = _YEAR.sub(" ", said).strip(" .,-/")
    numbers = _NUMBERS.match(left)
    if numbers:
        first, second = int(numbers["first"]), int(numbers["second"])
        if first <= NOON and second <= NOON and first != second:
            _refuse(text, field, f"{left} could be two days.")
        day, month = (first, second) if second <= NOON else (second, first)
        return _in_year(day, month, year, today, (text, field))
    day_number = month_number = None
    for word in left.replace(".", " ").split():
        as_day, as_month = _DAY.match(word), _named(word, MONTHS)
        if as_day:
            day_number = int(as_day["day"])
        elif as_month is not None:
            month_number = as_month + 1
        elif _named(word, WEEKDAYS) is None:
            _refuse(text, field, f'"{word}" is no day.')
    if day_number is None or month_number is None:
        _refuse(text, field, "It names no day.")
    return _in_year(day_number, month_number, year, today, (text, field))


def _in_year(day: int, month: int, year: re.Match[str] | None, today: date, asked: tuple[str, str]) -> date:
    try:
        if year:
            return date(int(year["year"]), month, day)
        found = date(today.year, month, day)
        return found if found >= today - timedelta(days=60) else date(today.year + 1, month, day)
    except ValueError:
        _refuse(*asked, f"There is no {day}th day in that month." if day > 3 else "There is no such day.")


def _named(word: str, names: tuple[str, ...]) -> int | None:
    """Which of the names a word begins, by three letters or more."""
    word = word.rstrip(".")
    if len(word) < SHORTEST_NAME:
        return None
    return next((number for number, name in enumerate(names) if name.startswith(word) or word == f"{name}s"), None)


def _refuse(text: str, field: str, why: str) -> NoReturn:
    raise InputError(field=field, given=text[:60], wrong=f'"{text.strip()[:60]}": {why}', accepted=ACCEPTED)
