"""Amounts that one line relates to the meat for all those below it: "For each kilo of boned leg of lamb, cubed:", "(per
cent of the meat's weight)".
"""

from __future__ import annotations

import re
from collections.abc import Callable

from vadouvan.core.parsing.tidy import without_bullet
from vadouvan.core.patterns import lazily

# Of meat that is named: "For each kilo of boned leg of lamb, cubed at 3 cm:".
_FOR_A_KILO_OF = lazily(
    r"^(?:for )?(?:each|every|per|1|one|a) ?(?P<unit>kg|kilo(?:gram)?|lb|pound) (?:of )?(?P<meat>[^:]{3,60}?)"
    r"(?:,? (?:use|you need|take|mix))?\s*:$",
    re.IGNORECASE,
)
_HAVE = lazily(
    r"^(?:(?:i|we) (?:have|had|used?|am using|are using|bought|cooked)|(?:i|we)['’](?:ve got|m using|re using)|using"
    r"|mine (?:is|was|weighs))"
    r" (?:about |a |an )?(?P<weight>\d[\d.,]* ?(?:kg|kilos?|g|lbs?|pounds?))\b(?: (?:of )?(?P<of>[a-z ]{3,30}))?\.?$",
    re.IGNORECASE,
)
_OF_THE_MEAT = lazily(
    r"(?:%|\bper ?cent(?:ages?)?\b|\bpct\b)(?: \w+)? (?:of|on|by|against|to) (?:the )?(?:(?:raw|total|green|trimmed) )?"
    r"(?:meat|fish|chicken|pork|beef|lamb|poultry|turkey|duck)\b"
    r"|\bdry[- ](?:brin(?:e|ing)|cur(?:e|ing)|rub)\b|\bequilibrium\b",  # that have no water to be a share of
    re.IGNORECASE,
)
_ALL_GRAMS = lazily(
    r"^[([]?(?:all|amounts?|weights?|quantities|everything|measures?|figures)(?: amounts?| weights?)?(?: are)?(?: in)?"
    r" (?:g|grams?|grammes?)[)\].]*$",
    re.IGNORECASE,
)
_NUMBER_BEHIND = lazily(r"^[^\W\d_][^\d]{1,40}?[\s:,=–-]+\d[\d.]*$")
_SHARE = lazily(  # not the strength of a bottle or a tub, which is asked about
    r"^(?!.*\b(?:vinegar|milk|cream|beer|cider|wine|sake|spirit|rum|vodka|yog(?:h)?urt|juice|alcohol|essence)\b)"
    r"(?:(?:dry[- ])?(?:brine|cure|rub)\s*[:=–-]\s*)?"
    r"(?:[^\W\d_][^\d%:,]{1,40}?\s*[:,=–-]?\s*\d{1,2}(?:[.,]\d{1,3})? ?%"
    r"|\d{1,2}(?:[.,]\d{1,3})? ?%\s*[^\W\d_][^\d%:]{1,40})$",
    re.IGNORECASE,
)


def all_in_grams(lines: list[str]) -> list[str]:
    """Lines, where a number behind a name is of grams, if one of them says so for all.

    >>> all_in_grams(["soy 60", "2 limes", "honey: 30", "(all grams)"])
    ['soy 60 g', '2 limes', 'honey: 30 g', '(all grams)']
    """
    if not any(_ALL_GRAMS.match(line.strip()) for line in lines):
        return lines
    return [f"{line.rstrip()} g" if _NUMBER_BEHIND.match(without_bullet(line)) else line for line in lines]


def is_for_a_kilo_of_meat(line: str) -> bool:
    """Whether amounts for so much of a named meat stand below a line."""
    return _FOR_A_KILO_OF.match(line.strip()) is not None


def shares_of_the_meat(lines: list[str]) -> list[str]:
    """Lines, where a share that one of them relates to the meat for all says so itself.

    >>> shares_of_the_meat(["Rub, in % of meat", "Salt 1.6%", "Mix well"])
    ['Rub, in % of meat', 'Salt 1.6% of meat', 'Mix well']
    """
    if not any(_OF_THE_MEAT.search(line) for line in lines):
        return lines
    bare = [without_bullet(line).rstrip(" .") for line in lines]
    return [
        f"{said} of meat" if _SHARE.match(said) and not said.endswith(" of meat") else line
        for said, line in zip(bare, lines, strict=True)
    ]


def meat_of_a_kilo(lines: list[str], is_meat: Callable[[str], bool]) -> list[str]:
    """Lines, where a meat that stands in "For each kilo of ...:" is a line, with the weight that another one tells.

    >>> meat_of_a_kilo(["For each kilo of lamb neck:", "14 g salt", "I have 2.5 kg"], lambda line: "lamb" in line)
    ['2.5 kg lamb neck', 'For each kilo:', '14 g salt']
    """
    each = [_FOR_A_KILO_OF.match(line.strip()) for line in lines]
    if not any(each):
        return lines
    weighed = next(
        ((place, had["weight"]) for place, line in enumerate(lines) if (had := _HAVE.match(line.strip()))), None
    )
    found: list[str] = []
    for place, (line, kilo) in enumerate(zip(lines, each, strict=True)):
        if kilo is not None and is_meat(f"1 kg {kilo['meat']}"):
            found += [f"{weighed[1]} {kilo['meat']}" if weighed else kilo["meat"], f"For each {kilo['unit']}:"]
        elif weighed is None or place != weighed[0]:
            found.append(line)
    return found
