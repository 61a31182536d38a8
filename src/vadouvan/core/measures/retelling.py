"""A sentence told in the units and on the clock of the one who reads it.

The core tells in grams, millimetres, degrees Celsius and 24 hours. For a cook who weighs in ounces or reads a
12-hour clock every sentence, figure and sheet passes through :func:`retold`, once, where it leaves. A share
(g/kg, "g a kilogram") is the same in any unit and stays; so does what stands in quotes, since a cook typed it.
"""

from __future__ import annotations

import re
from collections.abc import Callable
from typing import Literal

from vadouvan.core.measures.telling import System, area_told, length_told, mass_told, volume_told, warmth_told
from vadouvan.core.patterns import lazily
from vadouvan.unchanging import unchanging

Clock = Literal["24", "12"]
CLOCKS: tuple[Clock, ...] = ("24", "12")

_N = r"\d+(?:,\d{3})*(?:\.\d+)?"
_QUANTITY = lazily(
    rf"(?<![\w.,/])(?:(?P<low>{_N})\s*(?P<joint>to|and|or|–)\s*)?(?P<high>{_N})(?P<gap>\s?)"
    r"(?P<unit>kg|g|mm|cm²|cm|ml|°C|C)(?![\w²])(?!\s?/)(?!\s(?:a|per|to the|in a) (?:kilogram|kilo|kg|square|litre))",
)
_QUOTED = lazily(r"\"[^\"]*\"|“[^”]*”")
_HOUR = lazily(r"(?<![\d:.,])(?P<hour>[01]\d|2[0-3]|\d):(?P<minute>[0-5]\d)(?!\d|:\d)")
_ALREADY = lazily(r"\s*\(\d+\s?°?F\)")
_AREAL = "square metre"  # of a film on a surface: neither a weight nor a length that is measured out


@unchanging
class ToldIn:
    """The units and the clock that someone reads."""

    system: System = "metric"
    clock: Clock = "24"

    @property
    def is_as_the_core_tells(self) -> bool:
        """Whether nothing has to be told anew."""
        return self.system == "metric" and self.clock == "24"


_Teller = Callable[[float, System], str]
_TELLERS: dict[str, tuple[_Teller, float]] = {
    "kg": (mass_told, 1.0),
    "g": (mass_told, 1e-3),
    "mm": (length_told, 1e-3),
    "cm": (length_told, 1e-2),
    "cm²": (area_told, 1e-4),
    "ml": (volume_told, 1e-6),
    "°C": (warmth_told, 1.0),
    "C": (warmth_told, 1.0),
}


def retold(text: str, told_in: ToldIn) -> str:
    """A text of the core in someone's own units and on their clock; what stands in quotes stays.

    >>> ours = ToldIn("customary", "12")
    >>> retold("Sat 19:00: 2.6 kg, 30 mm, to a core of 63 °C; 12 g/kg of salt, 33 g", ours)
    'Sat 7:00 pm: 5 lb 12 oz, 1 1/8 in, to a core of 145 °F; 12 g/kg of salt, 1.2 oz'
    >>> retold('"250 g" is read as 250 g; 14 to 42 g', ours)
    '"250 g" is read as 8.8 oz; 0.5 to 1.5 oz'
    """
    if told_in.is_as_the_core_tells:
        return text
    parts: list[str] = []
    at = 0
    for quote in _QUOTED.finditer(text):
        parts += [_retold(text[at : quote.start()], told_in), quote.group()]
        at = quote.end()
    return "".join([*parts, _retold(text[at:], told_in)])


def _retold(text: str, told_in: ToldIn) -> str:
    if told_in.system == "customary":
        areal = _AREAL in text
        text = _QUANTITY.sub(lambda found: found.group() if areal and found["unit"] == "g" else _quantity(found), text)
        text = re.sub(rf"(°F){_ALREADY.pattern}", r"\1", text)
    return _HOUR.sub(_hour, text) if told_in.clock == "12" else text


def _quantity(found: re.Match[str]) -> str:
    teller, factor = _TELLERS[found["unit"]]
    high = teller(float(found["high"].replace(",", "")) * factor, "customary")
    if found["low"] is None:
        return high
    low = teller(float(found["low"].replace(",", "")) * factor, "customary")
    (low_number, _, low_unit), (_, _, high_unit) = low.rpartition(" "), high.rpartition(" ")
    joint = f" {found['joint']} "
    return f"{low_number}{joint}{high}" if low_unit == high_unit and " lb" not in low else f"{low}{joint}{high}"


def _hour(found: re.Match[str]) -> str:
    hour = int(found["hour"])
    return f"{(hour - 1) % 12 + 1}:{found['minute']} {'am' if hour < 12 else 'pm'}"
