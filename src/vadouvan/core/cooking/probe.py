"""A probe in the meat: when it will be done, and when to take it off for the heat that still goes in."""

from __future__ import annotations

import math
from collections.abc import Sequence
from datetime import datetime, timedelta

from vadouvan.core.clock.routine import hours_between, later
from vadouvan.core.constants import CARRIES_AT_M, CARRY_OVER, MOST_CARRY_OVER_K
from vadouvan.core.figure import number_told
from vadouvan.unchanging import unchanging

LEAST_READINGS, LEAST_RISE_C = 3, 1.0
LATEST_READINGS = 12


@unchanging
class Forecast:
    """Where the core is, at which core to take it off so that it rises to its target, and when that will be."""

    now_c: float
    off_at_c: float
    ready_at: datetime | None
    says: str


def carry_over_c(heat_c: float, core_c: float, far_m: float) -> float:
    """How far the core still rises off the heat [C]: more from hotter heat and in thicker pieces (our calibration).

    >>> round(carry_over_c(180.0, 63.0, 0.04), 1), round(carry_over_c(180.0, 63.0, 0.01), 1)
    (4.4, 2.2)
    """
    rise = CARRY_OVER.value * max(0.0, heat_c - core_c) * math.sqrt(far_m / CARRIES_AT_M.value)
    return min(MOST_CARRY_OVER_K.value, rise)


def forecast(
    readings: Sequence[tuple[datetime, float]], target_c: float, heat_c: float, far_m: float
) -> Forecast | None:
    """From what the probe showed: the core nears the heat exponentially, at the pace of the last readings.

    None before the first reading. ``far_m`` is 0 for what has to reach its core on the heat.
    """
    if not readings:
        return None
    off_at = target_c - carry_over_c(heat_c, target_c, far_m)
    at, now_c = readings[-1]
    if now_c >= target_c:
        return Forecast(now_c, off_at, at, f"{number_told(now_c)} °C: done.")
    if now_c >= off_at:
        rises = f"it rises to about {number_told(target_c)} °C while it rests"
        says = f"{number_told(now_c)} °C: off the heat; {rises}. Check it then."
        return Forecast(now_c, off_at, at, says)
    pace = _pace_per_h(readings[-LATEST_READINGS:], heat_c)
    if pace is None:
        says = f"{number_told(now_c)} °C; off the heat at {number_told(off_at)} °C. A few more readings tell when."
        return Forecast(now_c, off_at, None, says)
    hours = math.log((heat_c - now_c) / (heat_c - off_at)) / pace
    ready_at = later(at, timedelta(hours=hours))
    minutes = max(1, round(hours * 60))
    says = (
        f"{number_told(now_c)} °C; off the heat at {number_told(off_at)} °C, in about {minutes} min ({ready_at:%H:%M})."
    )
    return Forecast(now_c, off_at, ready_at, says)


def _pace_per_h(readings: Sequence[tuple[datetime, float]], heat_c: float) -> float | None:
    """The rate at which the distance to the heat shrinks [1/h], by least squares; none if it hardly does."""
    if len(readings) < LEAST_READINGS or readings[-1][1] - readings[0][1] < LEAST_RISE_C:
        return None
    points = [
        (hours_between(readings[0][0], at), math.log(heat_c - celsius)) for at, celsius in readings if celsius < heat_c
    ]
    count = len(points)
    mean_x, mean_y = (sum(part) / count for part in zip(*points, strict=True))
    spread = sum((x - mean_x) ** 2 for x, _ in points)
    if spread <= 0:
        return None
    slope = sum((x - mean_x) * (y - mean_y) for x, y in points) / spread
    return -slope if slope < 0 else None
