"""Masses, lengths and areas told in the units a cook has chosen."""

from __future__ import annotations

from typing import Literal

from vadouvan.core.figure import number_told

System = Literal["metric", "customary"]
SYSTEMS: tuple[System, ...] = ("metric", "customary")
_OUNCE_KG, _POUND_KG, _INCH_M = 0.028349523125, 0.45359237, 0.0254
_EIGHTHS = ("", "1/8", "1/4", "3/8", "1/2", "5/8", "3/4", "7/8")


def mass_told(mass_kg: float, system: System) -> str:
    """A mass as a cook reads it.

    >>> mass_told(2.6, "metric"), mass_told(2.6, "customary"), mass_told(0.12, "customary")
    ('2.6 kg', '5 lb 12 oz', '4.2 oz')
    """
    if system == "metric":
        return f"{mass_kg:.2f}".rstrip("0").rstrip(".") + " kg" if mass_kg >= 1 else f"{number_told(mass_kg * 1000)} g"
    if mass_kg < _POUND_KG:
        return f"{number_told(mass_kg / _OUNCE_KG)} oz"
    ounces = round(mass_kg / _OUNCE_KG)
    pounds, rest = divmod(ounces, 16)
    return f"{pounds} lb {rest} oz" if rest else f"{pounds} lb"


def length_told(length_m: float, system: System) -> str:
    """A length as a cook reads it.

    >>> length_told(0.03, "metric"), length_told(0.03, "customary"), length_told(0.0254, "customary")
    ('30 mm', '1 1/8 in', '1 in')
    """
    if system == "metric":
        return f"{number_told(length_m * 1000)} mm"
    eighths = max(1, round(length_m / _INCH_M * 8))
    whole, part = divmod(eighths, 8)
    return " ".join(filter(None, (str(whole) if whole else "", _EIGHTHS[part]))) + " in"


def area_told(area_m2: float, system: System) -> str:
    """An area as a cook reads it.

    >>> area_told(0.3429, "metric"), area_told(0.3429, "customary")
    ('3429 cm²', '531 sq in')
    """
    if system == "metric":
        return f"{number_told(area_m2 * 1e4)} cm²"
    return f"{number_told(area_m2 / _INCH_M**2)} sq in"
