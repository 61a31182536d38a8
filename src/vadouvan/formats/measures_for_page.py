"""The measures that the page tells by itself, and how: what devices show changes faster than the server is asked.

Numbers of the units come from here, and so do the cases that hold the page's telling to the core's, word for word.
"""

from __future__ import annotations

import json
from collections.abc import Callable

from vadouvan.core.measures.telling import (
    LEAST_IN_OUNCES_KG,
    OVEN_FROM_C,
    SYSTEMS,
    System,
    length_told,
    mass_told,
    probe_told,
    scale_told,
    warmth_told,
    weight_told,
)
from vadouvan.core.measures.units import LENGTH_M, MASS_KG

# Values of each kind on both sides of wherever the telling changes; kept off halves, which languages round differently.
_GRAMS = (0.04, 2.0, 7.0, 7.2, 12.34, 30.0, 99.4, 123.4, 283.0, 284.0, 453.58, 453.6, 996.0, 1004.0, 2604.0, 12_345.0)
_MILLIMETRES = (0.3, 0.74, 2.0, 2.6, 9.7, 12.4, 25.4, 30.0, 47.6, 140.0, 333.0)
_CELSIUS = (-18.0, -0.4, 0.0, 3.7, 4.0, 8.26, 37.2, 62.6, 74.0, 118.0, 121.0, 230.0)
_ON_THE_WAY_G = ((2.0, 60.0), (2.0, 5.0), (58.3, 60.0), (412.6, 2000.0), (-0.02, 30.0))


def measures_for_page() -> str:
    """Numbers of the units [g, mm, C], as JSON."""
    numbers = {
        "ounce_g": MASS_KG["oz"] * 1000,
        "pound_g": MASS_KG["lb"] * 1000,
        "least_in_ounces_g": LEAST_IN_OUNCES_KG * 1000,
        "inch_mm": LENGTH_M["in"] * 1000,
        "oven_from_c": OVEN_FROM_C,
    }
    return json.dumps({name: float(f"{value:.12g}") for name, value in numbers.items()}, indent=2) + "\n"


def telling_cases() -> str:
    """Every kind of telling with what the core says, as JSON; masses in g, lengths in mm, warmth in C."""
    tellers: tuple[tuple[str, tuple[float, ...], float, Callable[[float, System], str]], ...] = (
        ("mass", _GRAMS, 1e-3, mass_told),
        ("weight", _GRAMS, 1e-3, weight_told),
        ("length", _MILLIMETRES, 1e-3, length_told),
        ("warmth", _CELSIUS, 1.0, warmth_told),
        ("probe", _CELSIUS, 1.0, probe_told),
    )
    told = {
        name: [[value, system, tell(value * si, system)] for value in values for system in SYSTEMS]
        for name, values, si, tell in tellers
    }
    told["scale"] = [
        [grams, target, system, *scale_told(grams / 1000, target / 1000, system)]
        for grams, target in _ON_THE_WAY_G
        for system in SYSTEMS
    ]
    return json.dumps(told, ensure_ascii=False, indent=None).replace("]], ", "]],\n") + "\n"
