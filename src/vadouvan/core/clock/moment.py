"""Local moments as typed, made exact: time zones, and hours that do not exist."""

from __future__ import annotations

from datetime import UTC, datetime
from zoneinfo import ZoneInfo, ZoneInfoNotFoundError

from vadouvan.errors import InputError

FIRST_YEAR, LAST_YEAR = 1990, 2100
LONGEST_ZONE = 64
ACCEPTED = 'Write a day and an hour, such as "2026-11-28T19:00".'


def time_zone(name: str, *, field: str) -> ZoneInfo:
    """The named time zone; raises InputError for a name that is not one."""
    try:
        return ZoneInfo(name[: LONGEST_ZONE + 1])
    except (ZoneInfoNotFoundError, ValueError, OSError):
        raise InputError(
            field=field,
            given=name[:LONGEST_ZONE],
            wrong=f'"{name[:LONGEST_ZONE]}" is not a time zone.',
            accepted='Write one such as "Europe/Lisbon" or "UTC".',
        ) from None


def local_moment(text: str, zone: ZoneInfo, *, field: str) -> datetime:
    """A typed local date and time in a zone; an offset in the text wins over the zone.

    Raises InputError for text that is no moment, and for an hour that the clock skips.
    """
    try:
        moment = datetime.fromisoformat(text.strip())
    except ValueError:
        raise InputError(
            field=field, given=text, wrong=f'"{text}" is not a date and time.', accepted=ACCEPTED
        ) from None
    if not FIRST_YEAR <= moment.year <= LAST_YEAR:
        wrong = f"{moment.year} is no year that is planned for."
        raise InputError(field=field, given=text, wrong=wrong, accepted=f"{ACCEPTED} Years from 1990 to 2100.")
    if moment.tzinfo is not None:
        return moment.astimezone(zone)
    placed = moment.replace(tzinfo=zone)
    if placed.astimezone(UTC).astimezone(zone).replace(tzinfo=None) != moment:
        raise InputError(
            field=field,
            given=text,
            wrong=f"{moment:%H:%M} does not exist on {moment:%-d %B %Y}: the clocks go forward over it.",
            accepted="Write an hour before or after the change.",
        )
    return placed
