"""A computed figure: its value, its unit, its band where it is uncertain, and its working.

Every number that a cook sees is one of these, so that each can open how it was worked out.
Rounding to what can be acted on is done here and nowhere else.
"""

from __future__ import annotations

import math
from collections.abc import Callable
from dataclasses import field
from typing import Literal

from vadouvan.unchanging import unchanging

Towards = Literal["near", "down", "up"]
Unit = Literal["g", "g/kg", "g/100 g", "h", "mm", "1", "%", "pieces", "pH", "C", "cm2", "SHU", "mg"]


@unchanging
class Given:
    """One input of a working, in the unit it is told in."""

    name: str
    value: float
    unit: str


@unchanging
class Working:
    """How a figure came about: the rule in words, what went in, the source keys."""

    rule: str
    inputs: tuple[Given, ...]
    sources: tuple[str, ...]


@unchanging
class Figure:
    """A value in a unit, with an 80 % band (``low`` to ``high``) where it is uncertain.

    ``towards`` is the safe side: a latest hour is rounded down, an earliest and a temperature up. Its working is told
    by ``worked``, which is asked when a cook opens it: few are, of the thirty that a judgement tells.
    """

    name: str
    value: float
    unit: Unit
    worked: Callable[[], Working] = field(compare=False, repr=False)
    low: float | None = None
    high: float | None = None
    towards: Towards = "near"

    @property
    def working(self) -> Working:
        """How it was worked out."""
        return self.worked()

    @property
    def shown(self) -> str:
        """The value as a cook reads it, unit included."""
        return told(self.value, self.unit, self.towards)

    @property
    def band_shown(self) -> str | None:
        """The band as a cook reads it, or nothing when both ends round to the value."""
        if self.low is None or self.high is None:
            return None
        low, high = told(self.low, self.unit), told(self.high, self.unit)
        if low == high:
            return None
        bare = low if self.unit == "h" else low.removesuffix(f" {self.unit}")
        return f"{bare} to {high}"


def told(value: float, unit: Unit, towards: Towards = "near") -> str:
    """A value rounded to what can be acted on, with its unit; the only place where a side is taken.

    >>> told(612.3, "g"), told(4.26, "g"), told(0.42, "h"), told(26.4, "h")
    ('612 g', '4.3 g', '25 min', '26 h')
    """
    if unit == "h":
        return hours_told(value, towards)
    if unit == "C":
        return f"{degrees_told(value)} C"
    if unit == "pH":
        return f"{value:.1f}"
    if unit == "1":
        return number_told(value)
    return f"{number_told(value)} {unit}"


def number_told(value: float) -> str:
    """Two significant figures below ten, whole numbers from ten on.

    >>> [number_told(v) for v in (0.034, 1.25, 9.96, 18.4, 2604.0, 0.0)]
    ['0.03', '1.2', '10', '18', '2604', '0']
    """
    size = abs(value)
    if size < 0.005:
        return "0"
    if size < 0.095:
        return f"{value:.2f}"
    if size < 9.95:
        return f"{value:.1f}".removesuffix(".0")
    return f"{value:.0f}"


def degrees_told(told_c: float, towards: Towards = "up") -> str:
    """A temperature to be reached, to the degree: never told lower than it is, unless that is the safe side.

    >>> degrees_told(73.2), degrees_told(62.6, "down"), degrees_told(74.0)
    ('74', '62', '74')
    """
    return f"{math.floor(told_c + 1e-6) if towards == 'down' else math.ceil(told_c - 1e-6):d}"


def hours_told(hours: float, towards: Towards = "near") -> str:
    """A duration as a cook says it: five-minute steps, half hours, hours, then days.

    ``towards`` rounds a latest time down and an earliest time up, so that acting on the
    words never oversteps the figure.

    >>> [hours_told(h) for h in (0.05, 1.48, 3.3, 26.4, 120.0)]
    ['5 min', '1 h 30', '3 h 20', '26 h', '5 days']
    >>> hours_told(2.9, "down"), hours_told(2.1, "up")
    ('2 h 50', '2 h 10')
    """
    step_min = _step_minutes(hours)
    steps = hours * 60 / step_min
    whole = {"near": math.floor(steps + 0.5), "down": math.floor(steps + 1e-6), "up": math.ceil(steps - 1e-6)}[towards]
    minutes = max(5, whole * step_min)
    if minutes < 60:
        return f"{minutes} min"
    if minutes < 72 * 60:
        return _hours_and_minutes(minutes)
    return f"{number_told(minutes / 1440)} days"


def _step_minutes(hours: float) -> int:
    """The step a cook can act on: finer when it is soon over."""
    for below_h, step_min in ((0.96, 5), (4.0, 10), (11.75, 30), (72.0, 60), (228.0, 12 * 60)):
        if hours < below_h:
            return step_min
    return 24 * 60


def _hours_and_minutes(minutes: int) -> str:
    whole, rest = divmod(minutes, 60)
    return f"{whole} h {rest:02d}" if rest else f"{whole} h"
