"""How long raw food keeps: its days in the fridge, and what each hour above 5 C takes from them.

The clock runs from purchase or thawing to the heat, whatever the food lies in. Hours allowed fall smoothly, in their
logarithm, from the days of a storage chart at 5 C to two hours at room temperature and one at 32 C (``fsis``, as
recalled). Growth rates measured between those ends (Ratkowsky 1982, from memory) rise less steeply: the rule is on the
safe side of them.
"""

from __future__ import annotations

import math
from collections.abc import Sequence

from vadouvan.core.constants import (
    FRIDGE_ADVISED_C,
    HOT_ROOM_C,
    HOT_ROOM_KEEPS_H,
    ROOM_C,
    ROOM_KEEPS_H,
)


def hours_allowed(days_h: float, held_c: float) -> float:
    """Hours that food keeps at one temperature, where it keeps so many at 5 C [h].

    >>> [round(hours_allowed(48.0, c), 1) for c in (4.0, 5.0, 8.0, 20.0, 28.0, 32.0)]
    [48.0, 48.0, 25.4, 2.0, 1.3, 1.0]
    """
    if held_c <= FRIDGE_ADVISED_C.value:
        return days_h
    room_h = min(ROOM_KEEPS_H.value, days_h)
    if held_c <= ROOM_C.value:
        return _between(held_c, (FRIDGE_ADVISED_C.value, days_h), (ROOM_C.value, room_h))
    return _between(held_c, (ROOM_C.value, room_h), (HOT_ROOM_C.value, min(HOT_ROOM_KEEPS_H.value, room_h)))


def _between(celsius: float, colder: tuple[float, float], warmer: tuple[float, float]) -> float:
    """Log-linear between two temperatures, and beyond the warmer one at the same slope."""
    share = (celsius - colder[0]) / (warmer[0] - colder[0])
    return math.exp(math.log(colder[1]) + share * (math.log(warmer[1]) - math.log(colder[1])))


def used_share(days_h: float, readings: Sequence[tuple[float, float]], until_h: float, age_h: float = 0.0) -> float:
    """Share of what it keeps that is used up after so many hours of these temperatures [1].

    ``readings`` are temperatures from an hour on [(h, C)]; ``age_h`` are cold hours before.

    >>> round(used_share(48.0, [(0.0, 4.0), (2.0, 8.0), (6.0, 4.0)], 24.0), 2)
    0.57
    """
    ends = [*(hour for hour, _ in readings[1:]), math.inf]
    used = age_h / days_h
    for (start, celsius), end in zip(readings, ends, strict=True):
        used += max(0.0, min(end, until_h) - start) / hours_allowed(days_h, celsius)
    return used


def keeps_until_h(days_h: float, readings: Sequence[tuple[float, float]], age_h: float = 0.0) -> float:
    """The hour of a hold at which all of it is used up [h]; 0 if that was before.

    >>> round(keeps_until_h(48.0, [(0.0, 4.0)], 24.0), 1), round(keeps_until_h(120.0, [(0.0, 28.0)]), 1)
    (24.0, 1.3)
    """
    left = 1.0 - age_h / days_h
    ends = [*(hour for hour, _ in readings[1:]), math.inf]
    for (start, celsius), end in zip(readings, ends, strict=True):
        allowed_h = hours_allowed(days_h, celsius)
        if left <= 0:
            return 0.0 if start == 0 else start
        if (end - start) / allowed_h >= left:
            return start + left * allowed_h
        left -= (end - start) / allowed_h
    return 0.0


def room_minutes(room_c: float) -> float:
    """Minutes that all time out of the cold may come to in a room of that temperature [min].

    >>> round(room_minutes(18.0)), round(room_minutes(26.0)), round(room_minutes(32.0))
    (120, 85, 60)
    """
    if room_c <= ROOM_C.value:
        return 60 * ROOM_KEEPS_H.value
    return 60 * _between(room_c, (ROOM_C.value, ROOM_KEEPS_H.value), (HOT_ROOM_C.value, HOT_ROOM_KEEPS_H.value))
