"""Strength of live fruit enzymes at the surface; neat fresh pineapple juice is 1 (``calibration``; folk windows)."""

from __future__ import annotations

import numpy as np

from vadouvan.core.constants import (
    ENZYME_FULL_FILM_KG_PER_M2,
)

_PH = np.array((2.2, 2.8, 3.4, 4.5, 5.5, 7.0))
_PH_FACTOR = np.array((0.1, 0.5, 1.0, 1.2, 1.3, 1.2))


def effective_strength(units: float, *, ph: float | None, salt_per_water: float, film_kg_per_m2: float) -> float:
    """Strength at the surface (neat fresh pineapple juice = 1) after acidity, salt and film.

    ``units`` strength of the mix [1]; ``salt_per_water`` [kg/kg]; ``film_kg_per_m2`` mix on the
    open surface [kg/m2].
    """
    acidity = float(np.interp(ph if ph is not None else 6.0, _PH, _PH_FACTOR))
    saltiness = 1 - 0.3 * min(salt_per_water / 0.06, 1.0)
    coating = min(1.0, film_kg_per_m2 / ENZYME_FULL_FILM_KG_PER_M2.value)
    return units * acidity * saltiness * coating
