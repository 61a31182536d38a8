"""A moment in words: the weekday and the hour, with its date where that weekday could be another week's."""

from __future__ import annotations

from datetime import datetime

THIS_WEEK_DAYS = 6  # by the calendar of the moment's own zone, so that all of a day is told alike


def moment_told(moment: datetime, now: datetime) -> str:
    """A moment in its own zone, as of another.

    >>> now = datetime.fromisoformat("2026-11-28T09:00Z")
    >>> [moment_told(datetime.fromisoformat(f"2026-{text}Z"), now) for text in ("12-05T19:00", "11-28T19:00")]
    ['Sat 5 Dec 19:00', 'Sat 19:00']
    >>> [moment_told(datetime.fromisoformat(f"2026-{text}Z"), now) for text in ("12-04T07:00", "12-04T19:00")]
    ['Fri 4 Dec 07:00', 'Fri 4 Dec 19:00']
    """
    days = (moment.date() - now.astimezone(moment.tzinfo).date()).days
    if abs(days) < THIS_WEEK_DAYS:
        return f"{moment:%a %H:%M}"
    return dated(moment)


def dated(moment: datetime) -> str:
    """A moment with its date, whatever the present."""
    return f"{moment:%a} {moment.day} {moment:%b} {moment:%H:%M}"
