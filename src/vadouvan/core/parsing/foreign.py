"""Measures of other languages: not read, since their sizes differ, but recognised and answered."""

from __future__ import annotations

import re

from vadouvan.core.patterns import lazily

# Words of kitchens near us, by the measure that they mean (common practice, no source).
_MEANS = {
    "tbsp": ("el", "esslöffel", "c. à s.", "càs", "c. à soupe", "c. a soupe", "cas", "cuillère à soupe",
             "cuillères à soupe", "cucharada", "cucharadas", "cucchiaio", "cucchiai", "colher de sopa",
             "colheres de sopa", "msk", "spsk", "eetlepel", "eetlepels"),
    "tsp": ("tl", "teelöffel", "c. à c.", "càc", "c. à café", "c. a cafe", "cuillère à café", "cuillères à café",
            "cucharadita", "cucharaditas", "cucchiaino", "cucchiaini", "colher de chá", "colheres de chá", "tsk",
            "theelepel"),
    "pinch": ("prise", "prisen", "pincée", "pizca", "pizzico", "pitada", "snufje"),
    "cups": ("tasse", "tassen", "becher", "taza", "tazas", "tazza", "xícara", "kopje"),
    "cloves": ("zehe", "zehen", "gousse", "gousses", "diente", "dientes", "spicchio", "spicchi", "teen"),
}  # fmt: skip
LONGEST_LOOKED_AT = 80
_MEASURE = {word: ours for ours, words in _MEANS.items() for word in words}
_LINE = lazily(
    r"^(?P<number>[\d.,/½¼¾⅓⅔ -]+?) ?(?P<word>"
    + "|".join(re.escape(word) for word in sorted(_MEASURE, key=len, reverse=True))
    + r")(?=\s|$)",
    re.IGNORECASE,
)


def foreign_measure(text: str) -> tuple[str, str] | None:
    """The foreign measure that a line starts with, and the same amount in ours.

    >>> foreign_measure("2 EL Senf")
    ('EL', '2 tbsp')
    """
    match = _LINE.match(" ".join(text[:LONGEST_LOOKED_AT].split()))  # an amount stands at the start of its line
    if match is None:
        return None
    return match["word"], f"{match['number'].strip()} {_MEASURE[match['word'].lower()]}"
