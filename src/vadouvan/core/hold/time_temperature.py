"""The clock of a hold: how far salt and enzyme have got at an hour, at one temperature or a recorded course of them.

Both models see time only as an integral of their own pace, so a warm hour is only a stretch of that axis.
"""

from __future__ import annotations

from collections.abc import Callable
from functools import cached_property, lru_cache

import numpy as np

from vadouvan.core.cut.kind import Family
from vadouvan.core.hold.eigenmodes import Array
from vadouvan.core.hold.temperature import enzyme_pace, salt_diffusivity
from vadouvan.unchanging import unchanging

FAR_H = 24.0 * 400
KEPT_PACES = 128


@unchanging(eq=False)  # known by being the same: one is kept for each course of temperatures
class Pace:
    """Temperatures from an hour on [(h, C)], the first from hour 0; ``factor`` quickens or slows salt [1]."""

    readings: tuple[tuple[float, float], ...]
    family: Family
    factor: float = 1.0

    def times(self, factor: float) -> Pace:
        """The same course at another pace of salt."""
        return pace_of(self.readings, self.family, self.factor * factor)

    @property
    def diffusivity(self) -> float:
        """Diffusivity of salt at the last temperature [m2/s]."""
        return self.factor * salt_diffusivity(self.readings[-1][1], self.family)

    def hours_at(self, tau_m2: Array) -> Array:
        """Hours at which salt's clock shows so much [h]."""
        knots, tau = self._salt_clock
        return np.asarray(np.interp(tau_m2, tau, knots))

    def tau_at(self, hours: Array | float) -> Array:
        """Salt's clock at hours [m2]."""
        knots, tau = self._salt_clock
        return np.asarray(np.interp(hours, knots, tau))

    def softening_at(self, hours: Array) -> Array:
        """Hours at 4 C that soften as much as this course until each of these hours."""
        knots, worked = self._softening_clock
        return np.asarray(np.interp(hours, knots, worked))

    @cached_property
    def _softening_clock(self) -> tuple[Array, Array]:
        return _clock(self.readings, enzyme_pace)

    @cached_property
    def _salt_clock(self) -> tuple[Array, Array]:
        return _clock(self.readings, lambda celsius: self.factor * salt_diffusivity(celsius, self.family) * 3600)


@lru_cache(maxsize=KEPT_PACES)
def pace_of(readings: tuple[tuple[float, float], ...], family: Family, factor: float = 1.0) -> Pace:
    """The clock of these temperatures for a family of meat, with what it has worked out: a mix that changes moves none.

    >>> pace_of(((0.0, 4.0),), "red") is pace_of(((0.0, 4.0),), "red")
    True
    """
    return Pace(readings, family, factor)


def _clock(readings: tuple[tuple[float, float], ...], pace_at: Callable[[float], float]) -> tuple[Array, Array]:
    """Hours from one reading to the next and far beyond the last, and what is worked by then at these paces an hour."""
    knots, worked = [hour for hour, _ in readings], [0.0]
    knots.append(FAR_H)
    for number, (begins_h, celsius) in enumerate(readings):
        worked.append(worked[-1] + (knots[number + 1] - begins_h) * pace_at(celsius))
    return np.array(knots), np.array(worked)
