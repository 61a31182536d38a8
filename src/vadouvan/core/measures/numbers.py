"""Numbers as people say them: "1 1/2", "½", "two or three", "6-7", "a third of a".

A number is a :class:`Interval`, since "6-7" and "a couple" are ranges.
"""

from __future__ import annotations

import re

from vadouvan.core.patterns import lazily
from vadouvan.unchanging import unchanging

VULGAR = {
    "½": 1 / 2, "⅓": 1 / 3, "⅔": 2 / 3, "¼": 1 / 4, "¾": 3 / 4, "⅕": 1 / 5, "⅖": 2 / 5,
    "⅗": 3 / 5, "⅘": 4 / 5, "⅙": 1 / 6, "⅚": 5 / 6, "⅛": 1 / 8, "⅜": 3 / 8, "⅝": 5 / 8, "⅞": 7 / 8,
}  # fmt: skip
ONES = {
    "a": 1, "an": 1, "one": 1, "two": 2, "three": 3, "four": 4, "five": 5, "six": 6, "seven": 7,
    "eight": 8, "nine": 9, "ten": 10, "eleven": 11, "twelve": 12, "fifteen": 15, "twenty": 20,
    "dozen": 12,
}  # fmt: skip
PARTS = {
    "half": 1 / 2, "third": 1 / 3, "thirds": 1 / 3, "quarter": 1 / 4, "quarters": 1 / 4,
    "fifth": 1 / 5, "fifths": 1 / 5, "eighth": 1 / 8, "eighths": 1 / 8,
}  # fmt: skip
VAGUE_COUNTS = {"couple": (2.0, 2.0, 3.0), "few": (2.0, 3.0, 5.0), "several": (3.0, 5.0, 7.0)}

_SIGNS = "".join(VULGAR)
_DIGITS = lazily(
    rf"(?P<whole>\d+)\s*(?P<sign>[{_SIGNS}])|(?P<only>[{_SIGNS}])"
    r"|(?:(?P<mixed>\d+)\s+)?(?P<top>\d+)\s*[/⁄]\s*(?P<bottom>\d+)"
    r"|(?P<decimal>[1-9]\d{0,2}(?:,\d{3}){2,}|[1-9]\d{0,2}(?:\.\d{3}){2,}|\d{1,15}(?:[.,]\d{1,15})?)"
)
# A full stop is a decimal point unless the last digit is a nought: nobody ends a decimal with one.
_GROUPS = lazily(r"[1-9]\d{0,2}(?:,\d{3})+|[1-9]\d{0,2}(?:\.\d{3})*\.\d{2}0")
SMALL_UNIT_SI = 1e-3  # a gram, a millimetre, a millilitre: nobody cooks with a thousandth of it
_WORD = lazily(r"[a-z]+", re.IGNORECASE)
_RANGE = lazily(r"\s*(?:-|–|—|\bto\b|\bor\b)\s*", re.IGNORECASE)


@unchanging
class Interval:
    """A number with its range; ``low == high`` when it was said exactly."""

    value: float
    low: float
    high: float

    @classmethod
    def exactly(cls, value: float) -> Interval:
        """A number without a range."""
        return cls(value, value, value)

    def times(self, other: Interval) -> Interval:
        """The product, ends multiplied with ends."""
        return Interval(self.value * other.value, self.low * other.low, self.high * other.high)


@unchanging
class Found:
    """A number found at the start of a text, and what follows it.

    ``grouped`` is the same read with its mark between thousands ("1,100" as 1100), where that may be meant too.
    """

    number: Interval
    rest: str
    grouped: Interval | None = None

    def read_for(self, unit_share_si: float) -> Interval:
        """The number with a unit of that size [kg, m3 or m]: a thousandth of a gram or of a millilitre is no amount.

        >>> leading_number("1,100 g").read_for(1e-3).value, leading_number("1,250 kg").read_for(1.0).value
        (1100.0, 1.25)
        """
        return self.grouped if self.grouped is not None and unit_share_si <= SMALL_UNIT_SI else self.number


_NAME_OF_A_BLEND = lazily(r"(?:three|four|five|seven)[- ]spices?\b", re.IGNORECASE)


def leading_number(text: str) -> Found | None:
    """The number that a text starts with, or nothing if it starts with none.

    >>> leading_number("1 1/2 tsp salt").number.value
    1.5
    >>> leading_number("half a cup of yoghurt")
    Found(number=Interval(value=0.5, low=0.5, high=0.5), rest='cup of yoghurt', grouped=None)
    >>> leading_number("6-7 curry leaves").number
    Interval(value=6.5, low=6.0, high=7.0)
    """
    text = text.lstrip()
    first = _single(text)
    if first is None or _NAME_OF_A_BLEND.match(text):
        return None
    grouped = first.grouped
    joined = _RANGE.match(first.rest)
    if joined:
        second = _single(first.rest[joined.end() :])
        if second and second.number.value > first.number.value:
            low, high = first.number.low, second.number.high
            return Found(Interval((low + high) / 2, low, high), second.rest.lstrip(), _grouped_range(first, second))
    return Found(first.number, first.rest.lstrip(), grouped)


def _grouped_range(first: Found, second: Found) -> Interval | None:
    """A range whose ends may both be thousands, or of which the lower one plainly is not."""
    if second.grouped is None:
        return None
    low, high = (first.grouped or first.number).low, second.grouped.high
    return Interval((low + high) / 2, low, high)


def _single(text: str) -> Found | None:
    digits = _DIGITS.match(text)
    if digits:
        value = _digits_value(digits)
        if value is None:
            return None
        return Found(Interval.exactly(value), text[digits.end() :], _thousands(digits["decimal"] or ""))
    return _words(text)


def _thousands(text: str) -> Interval | None:
    """A number such as "1,100", "12.500" or "1,234,567" with its marks taken as those of thousands."""
    return Interval.exactly(float(re.sub(r"[.,]", "", text))) if _GROUPS.fullmatch(text) else None


def _digits_value(match: re.Match[str]) -> float | None:
    part = match.groupdict()
    if part["only"]:
        return VULGAR[part["only"]]
    if part["whole"]:
        return int(part["whole"]) + VULGAR[part["sign"]]
    if part["bottom"]:
        bottom = int(part["bottom"])
        return None if bottom == 0 else int(part["mixed"] or 0) + int(part["top"]) / bottom
    if part["decimal"].count(",") + part["decimal"].count(".") > 1:
        return float(re.sub(r"[.,]", "", part["decimal"]))
    return float(part["decimal"].replace(",", "."))


def _words(text: str) -> Found | None:
    """Numbers in words: "two", "half a", "a third of a", "one and a half", "a couple of"."""
    words = [(m.group().lower(), m.end()) for m in _WORD.finditer(text[:60])]
    if not words or text[: len(words[0][0])].lower() != words[0][0]:
        return None
    names = [name for name, _ in words] + [""] * 4
    ends = [end for _, end in words] + [len(text)] * 4
    if names[0] in PARTS:  # half a cup, quarter teaspoon
        used = 2 if names[1] in ("a", "an") else 1
        return Found(Interval.exactly(PARTS[names[0]]), text[ends[used - 1] :])
    if names[0] in VAGUE_COUNTS and names[0] != "couple":  # several leaves, few sprigs
        low, value, high = VAGUE_COUNTS[names[0]]
        return Found(Interval(value, low, high), text[ends[0] :])
    if names[0] not in ONES:
        return None
    return _counted(ONES[names[0]], names, ends, text)


def _counted(count: float, names: list[str], ends: list[int], text: str) -> Found:
    """After a counting word: a part of something, a vague count, or the count itself."""
    if names[1] in PARTS:  # a third of a cup, two thirds of a cup
        used = 2
        if names[used] == "of":
            used += 1
        if used == 3 and names[used] in ("a", "an"):
            used += 1
        return Found(Interval.exactly(count * PARTS[names[1]]), text[ends[used - 1] :])
    if names[1] in VAGUE_COUNTS and names[0] in ("a", "an"):
        low, value, high = VAGUE_COUNTS[names[1]]
        used = 3 if names[2] == "of" else 2
        return Found(Interval(value, low, high), text[ends[used - 1] :])
    if names[1] == "and" and names[2] in ("a", "an", "one") and names[3] in PARTS:  # one and a half, one and one half
        return Found(Interval.exactly(count + PARTS[names[3]]), text[ends[3] :])
    if names[1] == "hundred":
        return Found(Interval.exactly(100.0 * count), text[ends[1] :])
    if names[1] == "dozen":
        return Found(Interval.exactly(12.0 * count), text[ends[1] :])
    return Found(Interval.exactly(float(count)), text[ends[0] :])
