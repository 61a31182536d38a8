"""Masses, lengths and areas told in the units a cook has chosen."""

from __future__ import annotations

import math
from typing import Literal

from vadouvan.core.figure import number_told
from vadouvan.core.measures.units import LENGTH_M, MASS_KG, VOLUME_M3

System = Literal["metric", "customary"]
SYSTEMS: tuple[System, ...] = ("metric", "customary")
_OUNCE_KG, _POUND_KG, _INCH_M = MASS_KG["oz"], MASS_KG["lb"], LENGTH_M["in"]
_TEASPOON_M3, _TABLESPOON_M3, _CUP_M3 = VOLUME_M3["tsp"], VOLUME_M3["tbsp"], VOLUME_M3["cup"]
OVEN_FROM_C = 120.0
LEAST_IN_OUNCES_KG = _OUNCE_KG / 4  # less is told in grams: no scale that reads ounces shows it


def mass_told(mass_kg: float, system: System) -> str:
    """A mass as a cook reads it; below a quarter of an ounce in grams.

    >>> mass_told(2.6, "metric"), mass_told(2.6, "customary"), mass_told(0.12, "customary")
    ('2.6 kg', '5 lb 12 oz', '4.2 oz')
    """
    if system == "metric" or mass_kg < LEAST_IN_OUNCES_KG:
        return f"{mass_kg:.2f}".rstrip("0").rstrip(".") + " kg" if mass_kg >= 1 else f"{number_told(mass_kg * 1000)} g"
    ounces = round(mass_kg / _OUNCE_KG)
    if ounces < 16:
        return f"{number_told(mass_kg / _OUNCE_KG)} oz"
    pounds, rest = divmod(ounces, 16)
    return f"{pounds} lb {rest} oz" if rest else f"{pounds} lb"


def length_told(length_m: float, system: System) -> str:
    """A length as a cook reads it: in eighths of an inch, the least in sixteenths.

    >>> length_told(0.03, "metric"), length_told(0.03, "customary"), length_told(0.002, "customary")
    ('30 mm', '1 1/8 in', '1/16 in')
    """
    if system == "metric":
        return f"{number_told(length_m * 1000)} mm"
    inches = length_m / _INCH_M
    parts = 16 if inches < 0.5 else 8
    return f"{_in_parts(max(1, round(inches * parts)), parts)} in"


def area_told(area_m2: float, system: System) -> str:
    """An area as a cook reads it.

    >>> area_told(0.3429, "metric"), area_told(0.3429, "customary")
    ('3429 cm²', '531 sq in')
    """
    if system == "metric":
        return f"{number_told(area_m2 * 1e4)} cm²"
    return f"{number_told(area_m2 / _INCH_M**2)} sq in"


def volume_told(volume_m3: float, system: System) -> str:
    """A volume as a cook reads it: level spoons to the half, cups to the quarter.

    >>> volume_told(250e-6, "metric"), volume_told(250e-6, "customary"), volume_told(30e-6, "customary")
    ('250 ml', '1 cup', '2 tbsp')
    """
    if system == "metric":
        return f"{number_told(volume_m3 * 1e6)} ml"
    if volume_m3 >= _CUP_M3 / 4:
        quarters = round(volume_m3 / _CUP_M3 * 4)
        return f"{_in_parts(quarters, 4)} {'cup' if quarters <= 4 else 'cups'}"
    spoon_m3, name = (_TABLESPOON_M3, "tbsp") if volume_m3 >= _TABLESPOON_M3 else (_TEASPOON_M3, "tsp")
    return f"{_in_parts(max(1, round(volume_m3 / spoon_m3 * 2)), 2)} {name}"


def warmth_told(warmth_c: float, system: System) -> str:
    """A temperature as a cook reads it; that of an oven in steps of five, as its dial has them.

    >>> warmth_told(63, "metric"), warmth_told(63, "customary"), warmth_told(74, "customary")
    ('63 °C', '145 °F', '165 °F')
    """
    if system == "metric":
        return f"{number_told(warmth_c)} °C"
    fahrenheit = warmth_c * 1.8 + 32
    return f"{5 * round(fahrenheit / 5) if warmth_c >= OVEN_FROM_C else round(fahrenheit)} °F"


def _in_parts(count: int, parts: int) -> str:
    """So many parts of a whole, as cooks write it: "1 1/8"."""
    whole, rest = divmod(count, parts)
    if not rest:
        return str(whole)
    shared = math.gcd(rest, parts)
    return f"{whole or ''} {rest // shared}/{parts // shared}".strip()
