"""Changes for next time in hours: how long until the seasoning is right through, and baths that salt by time."""

from __future__ import annotations

import math
from collections.abc import Iterator

import numpy as np

from vadouvan.core.figure import hours_told, number_told
from vadouvan.core.hold.window import Window
from vadouvan.core.tasting.hold_history import AsHeld
from vadouvan.core.tasting.verdict import Verdict

NEARLY_ALL = 0.97  # of the way to the middle counts as right through
SHORT_OF = 0.9  # of the way: less was not right through
FACTORS = np.exp(np.linspace(-2.0, 2.3, 87))
HALF_HOUR = 0.5


def hours_to_depth(held: AsHeld, seen_m: float, wanted_m: float) -> float | None:
    """Hours in the mix until seasoning shows at a depth [m], where after the hours it had it showed at another.

    Depth follows pace times time, so what was seen tells the pace. None where it never shows that deep.
    """
    told = np.maximum.accumulate([held.seen_depth_m(float(factor)) for factor in FACTORS])
    if told[-1] < wanted_m or seen_m <= told[0]:
        return None
    reached = [float(FACTORS[int(np.searchsorted(told, depth))]) for depth in (seen_m, wanted_m)]
    return held.hours * reached[1] / reached[0]


def depth_advice(held: AsHeld, verdicts: list[Verdict], window: Window) -> Iterator[str]:
    """For a batch that was to be seasoned right through and was not: how long that takes, or how thin it has to be."""
    if held.scenario.hold.goal != "through" or any(verdict.is_through for verdict in verdicts):
        return
    seen = [verdict.depth_m for verdict in verdicts if verdict.depth_m is not None]
    middle_m = held.depth_to_middle_m
    if not seen or sum(seen) / len(seen) >= SHORT_OF * middle_m:
        return
    seen_m = sum(seen) / len(seen)
    hours = hours_to_depth(held, seen_m, NEARLY_ALL * middle_m)
    was = f"Seasoned {number_told(seen_m * 1000)} of {number_told(middle_m * 1000)} mm in {hours_told(held.hours)}"
    latest_h = window.latest.hours
    if hours is not None and hours <= latest_h:
        yield f"{was}: right through takes about {hours_told(hours)}."
        return
    takes = f"right through would take about {hours_told(hours)}" if hours is not None else "it gets no further"
    limit = f"; {hours_told(latest_h)} is the most" if hours is not None else " in this mix"
    thick_mm = held.scenario.cut.thickness_m * 1000
    if hours is not None:
        thin_mm = thick_mm * math.sqrt(latest_h / hours)
        limit += f": {number_told(math.floor(thin_mm))} mm thick instead of {number_told(thick_mm)} would do"
    yield f"{was}: {takes}{limit}. Scoring helps too."


def bath_hours(hours: float, salt_factor: float) -> float:
    """Hours in a strong bath for so much of its salt: uptake follows the root of time; to the half hour.

    >>> bath_hours(12.0, 1.0), bath_hours(12.0, 0.8)
    (12.0, 7.5)
    """
    wanted = hours * salt_factor**2
    return max(HALF_HOUR, round(wanted / HALF_HOUR) * HALF_HOUR)
