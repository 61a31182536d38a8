"""Live fruit enzymes at the surface: the hours at which softening begins, is best, is too much.

Index of softening: hours in neat fresh pineapple juice at 4 C (``calibration``; folk windows,
fruit varies three- to fivefold, so the two upper thresholds are cut by that variability).
"""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass

import numpy as np

from vadouvan.core.constants import (
    ENZYME_BEST_H,
    ENZYME_FULL_FILM_KG_PER_M2,
    ENZYME_MATTERS_FROM,
    ENZYME_PLEASANT_H,
    ENZYME_REFERENCE_THICKNESS_M,
    ENZYME_VARIABILITY,
    ENZYME_VERY_SOFT_H,
)
from vadouvan.core.hold.temperature import enzyme_pace

_PH = (2.2, 2.8, 3.4, 4.5, 5.5, 7.0)
_PH_FACTOR = (0.1, 0.5, 1.0, 1.2, 1.3, 1.2)


@dataclass(frozen=True)
class EnzymeTimes:
    """Hours until the surface is pleasantly softer, best, and very soft."""

    pleasant_h: float
    best_h: float
    very_soft_h: float

    def on(self, clock: Callable[[float], float]) -> EnzymeTimes:
        """The same told by another clock: of hours at 4 C, the hours that soften as much."""
        return EnzymeTimes(clock(self.pleasant_h), clock(self.best_h), clock(self.very_soft_h))

    def after(self, spent_h: float) -> EnzymeTimes:
        """What is left of each when so much softening [h at this strength] is already done."""
        pleasant, best, very_soft = (
            max(0.0, hours - spent_h) for hours in (self.pleasant_h, self.best_h, self.very_soft_h)
        )
        return EnzymeTimes(pleasant, best, very_soft)


def effective_strength(units: float, *, ph: float | None, salt_per_water: float, film_kg_per_m2: float) -> float:
    """Strength at the surface (neat fresh pineapple juice = 1) after acidity, salt and film.

    ``units`` strength of the mix [1]; ``salt_per_water`` [kg/kg]; ``film_kg_per_m2`` mix on the
    open surface [kg/m2].
    """
    acidity = float(np.interp(ph if ph is not None else 6.0, _PH, _PH_FACTOR))
    saltiness = 1 - 0.3 * min(salt_per_water / 0.06, 1.0)
    coating = min(1.0, film_kg_per_m2 / ENZYME_FULL_FILM_KG_PER_M2.value)
    return units * acidity * saltiness * coating


def enzyme_times(strength: float, thickness_m: float, temperature_c: float) -> EnzymeTimes | None:
    """Softening times for a strength, a thickness and a fridge; nothing if too weak to matter.

    >>> times = enzyme_times(1.018, 0.012, 4.0)
    >>> round(times.best_h, 2), round(times.very_soft_h, 1)
    (1.96, 2.6)
    """
    if strength < ENZYME_MATTERS_FROM.value:
        return None
    size = (thickness_m / ENZYME_REFERENCE_THICKNESS_M.value) ** 0.5
    scale_h = min(max(size, 0.6), 1.6) / (strength * enzyme_pace(temperature_c))
    very_soft_h = ENZYME_VERY_SOFT_H.value / ENZYME_VARIABILITY.value * scale_h
    return EnzymeTimes(
        pleasant_h=ENZYME_PLEASANT_H.value * scale_h,
        best_h=min(ENZYME_BEST_H.value * scale_h, very_soft_h),
        very_soft_h=very_soft_h,
    )
