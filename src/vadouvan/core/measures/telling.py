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


def scale_told(mass_kg: float, target_kg: float, system: System) -> tuple[str, str]:
    """A reading of a scale on the way to a target [kg], as number and unit.

    The unit is that of the target all along, so that none changes under the hand; nothing is rounded to what a cook
    would say, since this is what lies on the scale.

    >>> scale_told(1.2344, 2.0, "metric"), scale_told(0.0123, 0.06, "metric"), scale_told(0.002, 0.06, "customary")
    (('1234', 'g'), ('12.3', 'g'), ('0.07', 'oz'))
    """
    if system == "metric" or abs(target_kg) < LEAST_IN_OUNCES_KG:
        return _trimmed(mass_kg * 1000, 0 if abs(mass_kg) >= 0.1 else 1), "g"
    ounces = mass_kg / _OUNCE_KG
    return _trimmed(ounces, 1 if abs(ounces) >= 10 else 2), "oz"


def weight_told(mass_kg: float, system: System) -> str:
    """A reading of a scale in words.

    >>> weight_told(2.604, "metric"), weight_told(2.604, "customary"), weight_told(0.0123, "metric")
    ('2604 g', '5 lb 11.9 oz', '12.3 g')
    """
    tenths = math.floor(mass_kg / _OUNCE_KG * 10 + 0.5)
    if system == "metric" or mass_kg < _POUND_KG:
        return " ".join(scale_told(mass_kg, mass_kg, system))
    pounds, rest = divmod(tenths, 160)
    return f"{pounds} lb {_trimmed(rest / 10, 1)} oz" if rest else f"{pounds} lb"


def probe_told(warmth_c: float, system: System) -> str:
    """A reading of a probe, to the tenth.

    >>> probe_told(62.04, "metric"), probe_told(62.04, "customary")
    ('62.0 °C', '143.7 °F')
    """
    return f"{warmth_c:.1f} °C" if system == "metric" else f"{warmth_c * 1.8 + 32:.1f} °F"


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


def _trimmed(value: float, digits: int) -> str:
    """A number with at most so many digits behind its point, and none that say nothing."""
    told = f"{value:.{digits}f}"
    bare = told.rstrip("0").rstrip(".") if "." in told else told
    return "0" if bare == "-0" else bare


def _in_parts(count: int, parts: int) -> str:
    """So many parts of a whole, as cooks write it: "1 1/8"."""
    whole, rest = divmod(count, parts)
    if not rest:
        return str(whole)
    shared = math.gcd(rest, parts)
    return f"{whole or ''} {rest // shared}/{parts // shared}".strip()
