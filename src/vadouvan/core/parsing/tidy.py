"""Lines as they stand in pasted lists, brought to the plain form that the grammar reads.

Bullets and numbers of lists, "about", "200 g / 7 oz", "a 400 g can of", "2 tbsp plus 1 tsp",
"1-inch piece of": each is rewritten without changing what is meant.
"""

from __future__ import annotations

import re

from vadouvan.core.measures.numbers import leading_number
from vadouvan.core.measures.units import MASS_KG, VOLUME_M3, unit_word
from vadouvan.core.parsing.amount_behind import packs_first
from vadouvan.core.parsing.spoken import plainly_said
from vadouvan.core.patterns import lazily
from vadouvan.unchanging import unchanging

# Small pictures that lists are set out with, and what joins them.
_PICTURE = r"\u2300-\u23ff\u2190-\u21ff\u25a0-\u25ff\u2600-\u27bf\u2b00-\u2bff\U0001f000-\U0001faff\ufe0f\u200d"
_BULLET = lazily(
    rf"^\s*[{_PICTURE}][{_PICTURE}\s]*(?=[^\W_])"
    r"|^\s*(?:\[[ xX]?\]\s*|[•*·▪☐□–→➔‣✓✔]\s*|[-=]+>\s*|[-+]\s+|\d{1,2}[.)]\s+(?=[\d½¼¾⅓⅔a-zA-Z]))"
)
_PICTURES_BEHIND = lazily(rf"\s*[{_PICTURE}]+$")
_LEADERS = lazily(r"(?<=[^\W_])\s*(?:\.{2,}|…+|_{2,})\s*(?=[\d½¼¾⅓⅔])")  # "Yoghurt......250 g"
_ABOUT = lazily(
    r"^(?:about|approx\.?|approximately|roughly|around|circa|ca\.|some|maybe|perhaps|say|like|~|≈)\s*", re.IGNORECASE
)
_JOINED = lazily(r"(\d)\s*-\s*(inch|in|cm|mm|g|kg|ml|l|oz|ounce|lb|pound|litre|liter)\b", re.IGNORECASE)
_OTHER_UNITS = lazily(
    r"(?<=[a-z\"])\s*[/|]\s*[\d½¼¾⅓⅔⅛][\d.,/ ½¼¾⅓⅔⅛]*\s*(?:fl\.?\s*oz|oz|lbs?|pounds?|ounces?|g|kg|ml|l|litres?|liters?"
    r"|quarts?|qts?|pints?|pts?|cups?|tablespoons?|teaspoons?|tbsps?|tsps?|cm|mm|inch(?:es)?)\b\.?"
    r"(?:\s*\d[\d.,½¼¾]*\s*oz\b\.?)?",
    re.IGNORECASE,
)
_SIZE = r"\(?\s*(?P<size>\d+(?:[.,]\d+)?)\s*(?P<unit>g|kg|ml|l|oz|ounces?|lb|pound|fl oz)\s*\)?\s*"
_PACK = (
    r"(?:cans?|tins?|jars?|cartons?|packs?|packets?|pkgs?|packages?|env|envelopes?|sachets?"
    r"|bottles?|tubs?|pots?|tubes?|bags?|pouch(?:es)?|box(?:es)?)\b\.?\s*"
)
_SO_MANY = r"\d+(?!/)|1/2|½|half|an?|one|two|three"
_PACKED = lazily(
    rf"^(?:(?P<count>{_SO_MANY})\s*(?:x|×|\s(?:of )?(?:an? )?(?=\d)|(?=\()))?\s*{_SIZE}{_PACK}(?:of\s+)?(?P<name>.+)$",
    re.IGNORECASE,
)
_COUNT_BEFORE_PACK = lazily(
    rf"^(?P<count>{_SO_MANY})(?:\s+of)?(?:\s+an?)?\s+{_PACK}(?=\(){_SIZE}(?:of\s+)?(?P<name>.+)$", re.IGNORECASE
)
_SIZE_BEHIND = lazily(
    rf"^(?P<count>{_SO_MANY})(?:\s+of)?(?:\s+an?)?\s+{_PACK}(?:of\s+)?(?P<name>[^()\d,]+?)\s*[(,]\s*"
    rf"(?:the |an? )?{_SIZE}(?:each|ones?|size|sort)?\s*\)?$",
    re.IGNORECASE,
)
_SO_LONG = lazily(
    r"^(?P<count>\d{1,2})\s*[x×]\s*(?P<length>\d+(?:[.,]\d+)?)\s*-?(?P<unit>cm|mm|inch|in)\b", re.IGNORECASE
)
_PIECE = lazily(r"\b(?:-?\s*)(?:piece|pieces|length|lengths)\s+(?:of\s+)?(?=[a-z])", re.IGNORECASE)
_THUMB = lazily(r"\bthumb(?:-?sized?)?(?:\s+piece)?(?:\s+of)?\s+", re.IGNORECASE)
# What it is cut into, as a remark behind it: "2 onions in thin rings", "1 leek cut into strips"
_IN_PIECES = lazily(
    r"(?<=\w)\s+(?=(?:(?:cut|sliced|chopped|torn|broken|shaved|snipped)\s)?(?:up\s)?(?:in|into|to)\s"
    r"(?:(?:very|thin|thick|fine|small|large|big|rough|even|long|bite[- ]?sized?|\d+ ?[cm]m)\s){0,4}"
    r"(?:rings?|slices?|chunks?|wedges?|strips?|cubes?|pieces|halves|half|quarters|rounds?|batons?|ribbons?|sticks?|dice"
    r"|coins|half[- ]?moons?|matchsticks?|slivers?|segments?)\s*$)",
    re.IGNORECASE,
)
_SOME_ROOT = lazily(
    r"^(?:(?:an?|1|one)\s+)?(?:(?P<size>small|large|big|little|good|medium)\s+)?(?:piece|bit|nub)\s+(?:of\s+)?"
    r"(?=(?:(?:fresh|peeled|root)\s+)*(?:ginger|galangal|turmeric)\b)",
    re.IGNORECASE,
)
_SUM = lazily(r"^(?:\+|plus\b|and\b|&)\s*(?=[\d½¼¾⅓⅔]|a\b|one\b|half\b|two\b)", re.IGNORECASE)
_NOTHING = lazily(r"(?=\d)")  # "1 lb 4 oz" adds up without a word
_WORD = lazily(r"[a-zA-Z]+\.?")
_SPOONS = lazily(r"^(\d{1,2}|an?|one|two|three)\s*(?:x|×)\s*(5|15)\s?ml\s+(?:tea|table)?\s?spoons?\b", re.IGNORECASE)
_COUNTS = {"a": 1, "an": 1, "one": 1, "two": 2, "three": 3, "half": 0.5, "½": 0.5, "1/2": 0.5}


@unchanging
class Tidied:
    """A line in plain form; ``about`` when it was said to be rough."""

    text: str
    about: bool


_SO_MANY_EACH = lazily(r"^([\d½¼¾/. ]{1,8}?) ?ea\b\.? ", re.IGNORECASE)
_ALL_OF_IT = lazily(r"\b100\s?%\s*(?:pure\s+)?(?=[a-z\d])", re.IGNORECASE)  # "100 % pineapple juice"
_AS_I_DO = lazily(r"\((?:i|we) (?:use|used|like|add|added|start with) (about |around |roughly )?", re.IGNORECASE)


def without_bullet(text: str) -> str:
    """A line of a list without the mark or the number that it begins with, nor dots that lead to its amount.

    >>> without_bullet("- 60 ml oil"), without_bullet("2) 3 cloves garlic"), without_bullet("-5 g salt")
    ('60 ml oil', '3 cloves garlic', '-5 g salt')
    """
    return _LEADERS.sub(": ", _BULLET.sub("", text)).strip()


def as_a_name(text: str) -> str:
    """A first line as the name of a dish, without the mark before it and the small pictures round it."""
    return _PICTURES_BEHIND.sub("", without_bullet(text)).strip()


def tidied(text: str) -> Tidied:
    """A line in plain form.

    >>> tidied("- about 200 g / 7 oz yoghurt")
    Tidied(text='200 g yoghurt', about=True)
    >>> tidied("2 x 400 g tins coconut milk").text, tidied("2 tbsp plus 1 tsp soy sauce").text
    ('800 g canned coconut milk', '2.33333 tbsp soy sauce')
    """
    text = _SPOONS.sub(lambda found: f"{found[1]} {'tbsp' if found[2] == '15' else 'tsp'}", packs_first(text))
    text = _ALL_OF_IT.sub("", text)
    text = _SO_MANY_EACH.sub(r"\1 ", _AS_I_DO.sub(r"(\1", without_bullet(text)))
    bare = _ABOUT.sub("", text)
    about = bare != text
    bare = _OTHER_UNITS.sub("", _JOINED.sub(r"\1 \2", _SO_LONG.sub(_together, bare)))
    bare = _SOME_ROOT.sub(lambda found: f"{found['size'] or ''} knob ".lstrip(), bare)
    bare, rough = plainly_said(bare)
    bare = _IN_PIECES.sub(", ", _PIECE.sub(" ", _THUMB.sub("knob ", bare)).strip())
    return Tidied(_summed(_unpacked(bare)), about or rough)


def _together(found: re.Match[str]) -> str:
    """Pieces of one length, end to end: "2 x 3 cm pieces" are 6 cm."""
    return f"{int(found['count']) * float(found['length'].replace(',', '.')):g} {found['unit']}"


def _unpacked(text: str) -> str:
    """Cans, jars and packets of a told size as their weight or volume."""
    match = _COUNT_BEFORE_PACK.match(text) or _PACKED.match(text) or _SIZE_BEHIND.match(text)
    if match is None:
        return text
    said = (match["count"] or "1").lower()
    count = _COUNTS.get(said) or int(said)
    size = float(match["size"].replace(",", "."))
    canned = "canned " if re.search(r"\b(?:cans?|tins?)\b", text, re.IGNORECASE) else ""
    return f"{count * size:g} {match['unit']} {canned}{match['name']}"


def _summed(text: str) -> str:
    """Two measures of one kind added up, told in the first."""
    first = leading_number(text)
    if first is None:
        return text
    unit = _WORD.match(first.rest)
    if unit is None:
        return text
    rest = first.rest[unit.end() :].lstrip()
    in_pounds = unit_word(unit.group()) in ("lb", "pound")
    plus = _SUM.match(rest) or (_NOTHING.match(rest) if in_pounds else None)
    second = leading_number(rest[plus.end() :]) if plus else None
    other = _WORD.match(second.rest) if second else None
    if second is None or other is None:
        return text
    ratio = _ratio(unit_word(other.group()), unit_word(unit.group()))
    if ratio is None:
        return text
    total = first.number.value + second.number.value * ratio
    return f"{total:g} {unit.group()} {second.rest[other.end() :].strip()}"


def _ratio(unit: str, to: str) -> float | None:
    """How many of one unit make one of another, if both are masses or both are volumes [1]."""
    for table in (MASS_KG, VOLUME_M3):
        if unit in table and to in table:
            return table[unit] / table[to]
    return None
