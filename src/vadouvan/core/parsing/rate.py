"""An amount said for so much meat: "10 g salt per kg", "3/4 tsp kosher salt per pound of meat", "1.5 % salt".

The line without its rate is what one such part of the meat gets; how many parts there are is for the meat to say.
"""

from __future__ import annotations

import re

from vadouvan.core.measures.numbers import leading_number
from vadouvan.core.measures.units import MASS_KG, unit_word
from vadouvan.core.parsing.amount_behind import amount_first
from vadouvan.core.patterns import lazily
from vadouvan.unchanging import unchanging

_ANIMAL = r"(?:raw\s+)?(?:meat|chicken|pork|beef|lamb|fish|poultry|turkey|duck)"
_PER = lazily(
    r"\s*(?:/(?=\s*[a-z])|\bper\b|\bfor (?:each|every)\b|\bto (?:each|every|the)\b|\ba(?=\s+(?:kilo|pound)))\s*"
    r"(?P<count>\d{1,4})?\s*(?P<unit>kgs?|kilos?|kilogram(?:me)?s?|g|lbs?|pounds?)"
    rf"(?:\s+(?:of\s+)?(?:the\s+)?{_ANIMAL})?\s*[.)]?$",
    re.IGNORECASE,
)
_IN_BRACKETS = lazily(r"\(((?:of|by|on|per) [^()]{2,40})\)")  # "1.2 % salt (of the meat)"
_PER_FIRST = lazily(
    r"^(?P<amount>[\d½¼¾⅓⅔./]+ ?[a-z]+)\s*(?:/|\bper )\s*(?P<unit>kg|kilo|lb|pound)\b\s*(?P<name>.+)$", re.IGNORECASE
)
_PERCENT = lazily(
    r"^(?P<value>\d{1,2}(?:[.,]\d{1,3})?)\s*%\s*(?:of\s+)?(?P<name>[^\W\d_][^,%]*?),?\s+(?:of|on|by)\s+(?:the\s+)?"
    rf"(?:weight\s+of\s+(?:the\s+)?)?{_ANIMAL}(?:'s)?(?:\s+weight)?$",
    re.IGNORECASE,
)
_SHARE_FIRST = lazily(
    r"^(?P<value>\d{1,2}(?:[.,]\d{1,3})?)\s*%\s*(?:of|by|on)\s+(?:the\s+)?(?:weight\s+of\s+(?:the\s+)?)?"
    rf"(?:{_ANIMAL}(?:['’]s)?(?:\s+weight)?|(?:its\s+|total\s+)?weight)\s*,?\s+(?:in\s+|of\s+|as\s+)?"
    r"(?P<name>[^\W\d_][^,%]*)$",
    re.IGNORECASE,
)
_BY_WEIGHT = lazily(
    r"^(?P<value>\d{1,2}(?:[.,]\d{1,3})?)\s*%\s*(?P<name>[^\W\d_][^,%]*?),?\s+by\s+weight$", re.IGNORECASE
)

# "1 tsp kosher salt per steak"
_PER_PIECE = lazily(
    r"(?:,\s*|\s+)(?:per|for (?:each|every)|to each|on each)\s+"
    r"(?:piece|steak|chop|cutlet|fillet|breast|thigh|leg|drumstick|wing|bird|rack|burger|patty)\b\s*\.?$",
    re.IGNORECASE,
)


def told_for_each(text: str) -> str:
    """The amount in a line that is said for each piece, without those words; empty for any other line."""
    per = _PER_PIECE.search(text)
    return text[: per.start()].strip() if per is not None and leading_number(text[: per.start()]) is not None else ""


def for_all_pieces(text: str, pieces: int) -> str:
    """A line whose amount is said for each piece as it is for so many; any other line as it is.

    >>> for_all_pieces("1 tsp kosher salt per steak", 2), for_all_pieces("10 g salt per kg", 2)
    ('2 tsp kosher salt', '10 g salt per kg')
    """
    per = _PER_PIECE.search(text)
    amount = leading_number(text[: per.start()]) if per is not None else None
    if amount is None or pieces < 1:
        return text
    return f"{amount.number.value * pieces:g} {amount.rest.strip()}"


@unchanging
class Rate:
    """Portion of ``per_kg`` of meat, as a line of its own."""

    line: str
    per_kg: float


def rate_in(text: str) -> Rate | None:
    """The line for one part of the meat, and how heavy that part is [kg]; none if no rate is said.

    >>> rate_in("10 g salt per kg of meat"), rate_in("3/4 tsp kosher salt per lb").per_kg
    (Rate(line='10 g salt', per_kg=1.0), 0.45359237)
    >>> rate_in("2 % salt of the meat"), rate_in("1.5 % of the meat's weight in salt").line
    (Rate(line='20 g salt', per_kg=1.0), '15 g salt')
    """
    line = amount_first(_IN_BRACKETS.sub(r"\1", " ".join(text.split())))
    share = _PERCENT.match(line) or _SHARE_FIRST.match(line) or _BY_WEIGHT.match(line)
    if share:
        return Rate(f"{float(share['value'].replace(',', '.')) * 10:g} g {share['name']}", 1.0)
    first = _PER_FIRST.match(line)
    if first:
        return Rate(f"{first['amount']} {first['name']}", _mass_kg(first["unit"]))
    per = _PER.search(line)
    if per is None or not re.match(r"[\d½¼¾⅓⅔]|an?\b|one\b|half\b", line):
        return None
    return Rate(line[: per.start()].rstrip(" ,("), int(per["count"] or 1) * _mass_kg(per["unit"]))


def _mass_kg(word: str) -> float:
    unit = unit_word(word)
    return MASS_KG.get(unit, MASS_KG["kg"])
