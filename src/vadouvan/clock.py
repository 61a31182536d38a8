"""The present: the machine's clock, or one that starts at a told moment (``VADOUVAN_CLOCK``) and goes on from there.

The only place that reads the real clock; everything else is told what time it is.
"""

from __future__ import annotations

from collections.abc import Callable
from datetime import UTC, datetime, timedelta
from time import monotonic

Clock = Callable[[], datetime]


def clock_from(start: datetime | None) -> Clock:
    """A clock that starts at a moment, in UTC where it names no zone; the machine's own without one."""
    if start is None:
        return lambda: datetime.now(UTC)
    began, first = monotonic(), start if start.tzinfo is not None else start.replace(tzinfo=UTC)
    return lambda: first + timedelta(seconds=monotonic() - began)
