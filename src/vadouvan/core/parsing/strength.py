"""A strength that stands beside a name: "vinegar 9%", "2 % milk", "beer (5 % vol)", "70% vinegar essence"."""

from __future__ import annotations

import re

from vadouvan.core.patterns import lazily
from vadouvan.unchanging import unchanging

_STRENGTH = lazily(
    r"\s*(?:,\s*)?\(?(?<![\d.,])(?P<value>\d{1,2}(?:[.,]\d{1,2})?)\s*%"
    r"(?:\s*(?:acidity|acetic acid|acid|(?:milk)?fat|mf|vol\.?|abv|alcohol|alc\.?(?: vol\.?)?"
    r"|by vol(?:ume)?\.?)(?![^\W\d_]))?\)?",
    re.IGNORECASE,
)
_ESSENCE = lazily(r"\b(?:vinegar|acetic) essence\b|\bacetic acid\b|\bessence of vinegar\b", re.IGNORECASE)


@unchanging
class StrengthSaid:
    """A line without its strength, and the strength [1]."""

    line: str
    share: float


def strength_said(text: str) -> StrengthSaid | None:
    """The strength in a line, if it tells one and no more.

    >>> strength_said("Vinegar 9% - 50 ml"), strength_said("100 ml 2 % fat milk").share
    (StrengthSaid(line='Vinegar - 50 ml', share=0.09), 0.02)
    >>> strength_said("2 tbsp vinegar"), strength_said("1 % salt, 2 % sugar")
    (None, None)
    """
    text = " ".join(text.split())  # in a row of blanks a pattern would look for ever
    found = list(_STRENGTH.finditer(text))
    if len(found) != 1:
        return None
    said = found[0]
    bare = " ".join(f"{text[: said.start()]} {text[said.end() :]}".split())
    return StrengthSaid(_ESSENCE.sub("vinegar", bare).strip(" ,"), float(said["value"].replace(",", ".")) / 100)
