"""How temperature sets the pace (Arrhenius)."""

from __future__ import annotations

import math

from vadouvan.core.constants import (
    ACTIVATION_ENERGY,
    ENZYME_ACTIVATION,
    GAS_CONSTANT,
    REFERENCE_TEMPERATURE_K,
    SALT_DIFFUSIVITY,
    SALT_DIFFUSIVITY_FISH_FACTOR,
    ZERO_CELSIUS_K,
)
from vadouvan.core.cut.kind import Family


def salt_diffusivity(temperature_c: float, family: Family) -> float:
    """Diffusivity of salt in raw meat [m2/s] (``fox1980``, ``calibration``).

    >>> round(salt_diffusivity(20.0, "red") / salt_diffusivity(4.0, "red"), 3)
    1.644
    """
    factor = SALT_DIFFUSIVITY_FISH_FACTOR.value if family in ("fish", "shellfish") else 1.0
    pace = _arrhenius(temperature_c, ACTIVATION_ENERGY.value, REFERENCE_TEMPERATURE_K.value)
    return SALT_DIFFUSIVITY.value * factor * pace


def enzyme_pace(temperature_c: float) -> float:
    """Speed of enzyme softening against 4 C [1] (``calibration``).

    >>> round(enzyme_pace(20.0) / enzyme_pace(4.0), 2)
    3.12
    """
    return _arrhenius(temperature_c, ENZYME_ACTIVATION.value, REFERENCE_TEMPERATURE_K.value)


def _arrhenius(temperature_c: float, energy: float, reference_k: float) -> float:
    kelvin = temperature_c + ZERO_CELSIUS_K.value
    return math.exp(-energy / GAS_CONSTANT.value * (1 / kelvin - 1 / reference_k))
