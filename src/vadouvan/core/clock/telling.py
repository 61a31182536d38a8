"""A moment in words: the weekday and the hour, with its date where that weekday could be another week's."""

from __future__ import annotations

from datetime import datetime, timedelta

from vadouvan.core.clock.routine import hours_between

THIS_WEEK = timedelta(days=6)


def moment_told(moment: datetime, now: datetime) -> str:
    """A moment in its own zone, as of another.

    >>> now = datetime.fromisoformat("2026-11-28T09:00Z")
    >>> [moment_told(datetime.fromisoformat(text), now) for text in ("2026-12-05T19:00Z", "2026-11-28T19:00Z")]
    ['Sat 5 Dec 19:00', 'Sat 19:00']
    """
    if abs(hours_between(now, moment)) < THIS_WEEK / timedelta(hours=1):
        return f"{moment:%a %H:%M}"
    return dated(moment)


def dated(moment: datetime) -> str:
    """A moment with its date, whatever the present."""
    return f"{moment:%a} {moment.day} {moment:%b} {moment:%H:%M}"
