"""One-field quantities: "2.6 kg", "1 lb 4 oz", "1 1/4 in", "30", "75 min".

Each reader takes what was typed and the field it stands in, and returns SI or raises
:class:`~vadouvan.errors.InputError` with what would be accepted.
"""

from __future__ import annotations

import math
import re
from collections.abc import Mapping

from vadouvan.core.measures.numbers import leading_number
from vadouvan.core.measures.units import DURATION_S, LENGTH_M, MASS_KG, VOLUME_M3, unit_word
from vadouvan.core.patterns import lazily
from vadouvan.errors import InputError
from vadouvan.unchanging import unchanging

_UNIT = lazily(r'[a-zA-Z]+\.?|"|°\s*[cCfF]|%')
# Words round a figure that make it no other one: "about 2 kg", "3 cm thick".
_ROUGHLY = lazily(
    r"^\s*(?:about|around|approx\.?|approximately|roughly|ca\.?|circa|~)\s*(?=\S)"
    r"|(?<=\w)\.?\s+(?:approx\.?|or so|thick|wide|long|deep|each side)\s*$",
    re.IGNORECASE,
)
_TOLD_TWICE = lazily(r"^(?P<first>[^()]{1,60}?)\s*\((?P<second>[^()]{1,60})\)\s*$")
_TIMES = lazily(r"^\s*(?P<count>\d{1,3})\s*(?:[x×@]|at\b)\s*(?P<each>[^\sx×@][^x×@]*)$", re.IGNORECASE)
_AND_A_PART = lazily(r"^(?:and\s+)?an?\s+(?P<part>half|quarter)$", re.IGNORECASE)  # "an hour and a half"
_PARTS = {"half": 0.5, "quarter": 0.25}
LEAST_BEHIND = 0.05  # of the unit before a bare number: "1 kg 2" may be 1.2 kg, and is asked about
_NEXT_SMALLER = {"kg": "g", "kilo": "g", "lb": "oz", "pound": "oz", "h": "min", "hr": "min", "hour": "min"}
MAY_DIFFER = 0.12  # of the two: 1.5 kg is told as 3 lb, and as 3 lb 5 oz
_NEGATIVE = lazily(r"^\s*[-−]\s*[\d½¼¾⅓⅔.]")


@unchanging
class QuantityKind:
    """A kind of quantity: its units, the unit of a bare number, its limits in SI, its words."""

    name: str
    units: Mapping[str, float]
    bare: str
    low: float
    high: float
    accepted: str


MASS = QuantityKind(
    "mass", MASS_KG, "g", 0.005, 25.0, 'Write a weight from 5 g to 25 kg, such as "2.6 kg", "900 g" or "2 lb 4 oz".'
)
THICKNESS = QuantityKind(
    "thickness",
    LENGTH_M,
    "mm",
    0.002,
    0.25,
    'Write 2 mm to 250 mm at the thickest place, such as "30 mm", "3 cm" or "1 1/4 in".',
)
SIDE = QuantityKind("side", LENGTH_M, "mm", 0.002, 1.0, 'Write 2 mm to 1 m, such as "40 mm" or "4 cm".')
DEPTH = QuantityKind(
    "depth", LENGTH_M, "mm", 0.0005, 0.1, 'Write a depth from 1 mm, less than the piece is thick, such as "5 mm".'
)
SPACING = QuantityKind("spacing", LENGTH_M, "mm", 0.003, 0.2, 'Write a distance from 3 mm to 20 cm, such as "2 cm".')
TRIMMED = QuantityKind("trimmings", MASS_KG, "g", 0.0, 10.0, 'Write what was cut off, such as "120 g".')
LEAD = QuantityKind(
    "time from pull to plate", DURATION_S, "min", 0.0, 259_200.0, 'Write up to 72 h, such as "75 min" or "1 h 30 min".'
)

AGE = QuantityKind(
    "time raw in the fridge", DURATION_S, "h", 0.0, 864_000.0, 'Write up to 10 days, such as "1 day" or "6 h".'
)
EARLY = QuantityKind("time kept warm", DURATION_S, "min", 0.0, 7200.0, 'Write up to 2 h, such as "20 min".')
CONTACT = QuantityKind(
    "time in the mix", DURATION_S, "h", 300.0, 864_000.0, 'Write 5 minutes to 10 days, such as "45 min" or "12 h".'
)
COOK = QuantityKind("time on the heat", DURATION_S, "min", 10.0, 86_400.0, 'Write 10 s to 24 h, such as "45 min".')
DRYING = QuantityKind("time to dry", DURATION_S, "min", 300.0, 172_800.0, 'Write 5 minutes to 2 days, such as "12 h".')
TRAVEL = QuantityKind("time on the way", DURATION_S, "min", 60.0, 86_400.0, 'Write up to 24 h, such as "90 min".')
REST = QuantityKind("rest", DURATION_S, "min", 0.0, 7200.0, 'Write up to 2 h, such as "10 min".')
BOIL = QuantityKind("time at the boil", DURATION_S, "min", 0.0, 7200.0, 'Write up to 2 h, such as "5 min".')
SIMMER = QuantityKind("simmer", DURATION_S, "min", 0.0, 14_400.0, 'Write up to 4 h, such as "10 min".')
MIX_MASS = QuantityKind("part of a mix", MASS_KG, "g", 0.0, 10.0, 'Write a weight up to 10 kg, such as "120 g".')
SERVING = QuantityKind(
    "serving", MASS_KG, "g", 0.0005, 1.0, 'Write a serving from 0.5 g to 1 kg, such as "18 g" or "15 ml".'
)
SERVING_VOLUME = QuantityKind(
    "serving", VOLUME_M3, "ml", 5e-7, 1e-3, 'Write a serving from 0.5 ml to 1 l, such as "15 ml" or "1 tbsp".'
)
VESSEL_SIDE = QuantityKind("side of a vessel", LENGTH_M, "cm", 0.04, 1.0, 'Write 4 to 100 cm, such as "22 x 16 cm".')
VESSEL_VOLUME = QuantityKind(
    "vessel", VOLUME_M3, "l", 0.0002, 0.05, 'Write its volume, such as "2.5 l", or its floor, such as "22 x 16 cm".'
)
SEEN_DEPTH = QuantityKind(
    "depth", LENGTH_M, "mm", 0.0005, 0.15, 'Write the depth on the knife, such as "9 mm", or "through".'
)
FRIDGE_ROOM = QuantityKind("fridge", VOLUME_M3, "l", 0.001, 1.0, 'Write the room that is free in it, such as "38 l".')


def quantity(text: str, kind: QuantityKind, *, field: str) -> float:
    """A typed quantity in SI.

    >>> round(quantity("2 lb 4 oz", MASS, field="cut.mass_g"), 4)
    1.0206
    >>> quantity("about 3 cm thick", THICKNESS, field="f"), quantity("4 x 200 g", MASS, field="f")
    (0.03, 0.8)
    >>> quantity("1kg 200", MASS, field="f"), quantity("1 h 30", COOK, field="f")
    (1.2, 5400.0)
    >>> quantity("an hour and a half", COOK, field="f"), quantity("45m", COOK, field="f")
    (5400.0, 2700.0)
    """
    text = " ".join(text.split())
    told_twice = _TOLD_TWICE.match(text)
    if told_twice:
        return _the_same(text, told_twice, kind, field)
    times = _TIMES.match(text) if kind.bare == "g" else None
    if times:
        return _within(int(times["count"]) * quantity(times["each"], kind, field=field), text, kind, field)
    text = _ROUGHLY.sub("", text)
    if _NEGATIVE.match(text):
        raise InputError(
            field=field, given=text, wrong=f'"{text.strip()}" is less than nothing.', accepted=kind.accepted
        )
    return _within(_added_up(text.strip(), kind, field), text, kind, field)


def _added_up(text: str, kind: QuantityKind, field: str) -> float:
    """The parts of a quantity, one behind the other: "2 lb 4 oz", "1 kg 200", "an hour and a half"."""
    total, rest, last = 0.0, text, ""
    while rest:
        if last and (part := _AND_A_PART.match(rest)):
            return total + _PARTS[part["part"].lower()] * kind.units[last]
        found = leading_number(rest)
        unit = _UNIT.match(found.rest) if found is not None else None
        # A bare number behind another unit is of the next smaller one
        word = unit_word(unit.group()) if unit else _NEXT_SMALLER.get(last, "") if last else kind.bare
        factor = kind.units.get(word)
        if found is None or factor is None or (unit is None and found.rest):
            raise _unread(text, kind, field)
        if unit is None and found.grouped is not None:
            return _either(text, kind, field, (found.number.value * factor, found.grouped.value * factor))
        here = found.read_for(factor).value * factor
        if unit is None and last and not LEAST_BEHIND * kind.units[last] <= here < kind.units[last]:
            raise _unread(text, kind, field)
        total += here
        rest = found.rest[unit.end() :].lstrip(" ,") if unit else ""
        rest = re.sub(r"^and\s+(?!an?\s+(?:half|quarter)$)", "", rest)
        last = word
    if not last:
        raise _unread(text, kind, field)
    return total


def _within(total: float, text: str, kind: QuantityKind, field: str) -> float:
    """A quantity that a kitchen can hold; raises InputError for one that it cannot."""
    if not kind.low <= total <= kind.high:
        size = "too much" if total > kind.high else "too little"
        raise InputError(
            field=field, given=text, wrong=f'"{text.strip()}" is {size} for a {kind.name} here.', accepted=kind.accepted
        )
    return total


def _the_same(text: str, told: re.Match[str], kind: QuantityKind, field: str) -> float:
    """A quantity told in two units, "1.5 kg (3 lb 5 oz)": the first, if both say the same."""
    first, second = (quantity(told[part], kind, field=field) for part in ("first", "second"))
    if abs(first - second) > MAY_DIFFER * max(first, second):
        wrong = f'"{text.strip()}" tells two different amounts.'
        raise InputError(field=field, given=text, wrong=wrong, accepted=kind.accepted)
    return first


def _either(text: str, kind: QuantityKind, field: str, readings: tuple[float, float]) -> float:
    """A bare "1,100": the one of the two readings that can be meant; asked where both can.

    >>> round(_either("1,100", MASS, "cut.mass_g", (0.0011, 1.1)), 3)
    1.1
    """
    fits = [value for value in readings if kind.low < value <= kind.high]
    if len(fits) == 1:
        return fits[0]
    small, large = (value / kind.units[kind.bare] for value in readings)
    if not fits:
        raise _unread(text, kind, field)
    raise InputError(
        field=field,
        given=text,
        wrong=f'"{text.strip()}" may be {small:g} {kind.bare} or {large:g} {kind.bare}.',
        accepted=f'Write "{large:g} {kind.bare}" or "{small:g} {kind.bare}".',
    )


def whole_number(text: str, *, field: str, low: int, high: int, what: str, between: bool = False) -> int:
    """A typed count; the middle of a range, rounded up, where it may lie ``between`` two.

    >>> whole_number("nine", field="cut.pieces", low=1, high=500, what="pieces")
    9
    >>> whole_number("4-5", field="occasion.servings", low=1, high=100, what="servings", between=True)
    5
    """
    found = leading_number(text.strip()) if not _NEGATIVE.match(text) else None
    accepted = f"Write a whole number of {what} from {low} to {high}."
    value = found.number.value if found and not found.rest.strip() else None
    if found is not None and value is not None and between and found.number.low != found.number.high:
        value = math.ceil(value)
    if value is None or value != int(value) or not low <= value <= high:
        raise InputError(
            field=field,
            given=text,
            wrong=f'"{text.strip()}" is not a number of {what} that can be used.',
            accepted=accepted,
        )
    return int(value)


def decimal(text: str, *, field: str, low: float, high: float, units: tuple[str, ...], accepted: str) -> float:
    """A typed decimal with an optional unit word from ``units``; may be negative."""
    match = re.fullmatch(r"\s*([-−]?\d{1,6}(?:[.,]\d{1,6})?)\s*(.*?)\s*", text)
    unit_ok = match is not None and (match[2] == "" or match[2].lower() in units)
    if match is None or not unit_ok:
        raise InputError(field=field, given=text, wrong=f'"{text.strip()}" could not be read.', accepted=accepted)
    value = float(match[1].replace(",", ".").replace("−", "-"))
    if not low <= value <= high:
        raise InputError(
            field=field, given=text, wrong=f'"{text.strip()}" is outside what can be judged.', accepted=accepted
        )
    return value


_FIGURE = r"(\d{1,4}(?:[.,]\d{1,3})?)"
_DEGREES = lazily(rf"([-−]?){_FIGURE} ?°? ?(?:(?:-|–|to) ?{_FIGURE} ?°? ?)?([cCfF]?)")


def degrees(text: str, *, field: str, low: float, high: float, accepted: str) -> float:
    """A typed temperature in C, in the middle of a range; Fahrenheit where it says so, or where only that can be meant.

    >>> degrees("392 F", field="heat", low=0, high=300, accepted="")
    200.0
    >>> [degrees(said, field="fridge", low=0, high=15, accepted="") for said in ("2-4", "39", "8")]
    [3.0, 3.9, 8.0]
    """
    plain = re.sub(r"(?<=\d) ?deg(?:rees?)?\b\.?", "", " ".join(text.split()), flags=re.IGNORECASE)
    match = _DEGREES.fullmatch(plain)
    if match is None or (match[1] and match[3]):
        raise InputError(
            field=field, given=text, wrong=f'"{text.strip()}" could not be read as a temperature.', accepted=accepted
        )
    ends = [float(end.replace(",", ".")) for end in (match[2], match[3]) if end]
    value = sum(ends) / len(ends) * (-1 if match[1] else 1)
    in_fahrenheit = round((value - 32) / 1.8, 1)
    if match[4] in ("f", "F") or (not match[4] and value > high and low <= in_fahrenheit <= high):
        value = in_fahrenheit
    if not low <= value <= high:
        raise InputError(
            field=field, given=text, wrong=f'"{text.strip()}" is outside what can be used here.', accepted=accepted
        )
    return value


def _unread(text: str, kind: QuantityKind, field: str) -> InputError:
    return InputError(
        field=field, given=text, wrong=f'"{text.strip()}" could not be read as a {kind.name}.', accepted=kind.accepted
    )
