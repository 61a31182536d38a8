"""Amounts of a brine that are told as a share of its water: "Water 4 L", "Salt 5% of water"."""

from __future__ import annotations

import re

from vadouvan.core.measures.numbers import leading_number
from vadouvan.core.measures.units import MASS_KG, VOLUME_M3, unit_word
from vadouvan.core.parsing.amount_behind import amount_first
from vadouvan.core.parsing.tidy import without_bullet
from vadouvan.core.patterns import lazily

WATER_KG_PER_M3 = 1000.0  # in the cold (CRC handbook, from memory)
_WATER = lazily(r"^(?:(?:cold|tap|filtered|boiled|cool|warm|hot) )*water\b(?! chestnut)", re.IGNORECASE)
_UNIT = lazily(r"^([a-zA-Z]+)\.?\s+(?:of )?")
_OF_THE_WATER = lazily(
    r"^(?:(?P<name>[^\W\d_][^\d%:,]{1,40}?)\s*[:,=–-]?\s*)?(?P<share>\d{1,2}(?:[.,]\d{1,3})?) ?% ?"
    r"(?:(?P<first>[^\W\d_][^\d%:,]{1,40}?),? )?(?:\(?(?:of|on|by|to) (?:the )?(?:weight of (?:the )?)?water\)?)$",
    re.IGNORECASE,
)


def shares_of_the_water(lines: list[str]) -> list[str]:
    """Lines, where a share of the water is an amount, with what was said in brackets behind it.

    >>> shares_of_the_water(["Water 4 L", "Salt 5% of water", "2 % sugar of the water"])
    ['Water 4 L', '200 g Salt (5 % of the water)', '80 g sugar (2 % of the water)']
    """
    said = [_OF_THE_WATER.match(without_bullet(line).rstrip(" .")) for line in lines]
    water_kg = sum(map(_water_kg, lines)) if any(said) else 0.0
    if water_kg <= 0:
        return lines
    return [line if one is None else _as_amount(one, water_kg, line) for line, one in zip(lines, said, strict=True)]


def _as_amount(said: re.Match[str], water_kg: float, line: str) -> str:
    """A share of so much water in grams; the line as it is where it names nothing."""
    name = (said["name"] or said["first"] or "").strip()
    share = float(said["share"].replace(",", "."))
    return f"{share * 10 * water_kg:.4g} g {name} ({share:g} % of the water)" if name else line


def _water_kg(line: str) -> float:
    """So much water as a line tells [kg]; nothing for any other line."""
    found = leading_number(amount_first(without_bullet(line)))
    unit = _UNIT.match(found.rest) if found is not None else None
    if found is None or unit is None or _WATER.match(found.rest[unit.end() :]) is None:
        return 0.0
    name = unit_word(unit[1])
    size_kg = MASS_KG.get(name, VOLUME_M3.get(name, 0.0) * WATER_KG_PER_M3)
    return found.read_for(size_kg).value * size_kg
