"""Lines whose amount stands behind the name, "fish sauce, 2 tbsp", turned round."""

from __future__ import annotations

import re

from vadouvan.core.measures.numbers import leading_number
from vadouvan.core.parsing.said_units import VAGUE_M3, unit_said
from vadouvan.core.patterns import lazily

_TURNED = lazily(
    r"^(?P<name>[^\W\d_][^\d,:()½¼¾⅓⅔]*?)\s*(?:[,:(]|\s[-–]\s|\s)\s*(?:x\s*)?"
    r"(?P<amount>[\d½¼¾⅓⅔](?:[^,]|(?<=\d),(?=\d))*?(?:\([^(),]*\))?)\)?(?P<tail>,(?!\d).*)?$"
)
_SO_MANY_PACKS = lazily(  # "coconut milk 1 x 400 ml can"
    r"^(?P<name>[^\W\d_][^\d,:()]*?)\s*[:,-]?\s+(?P<packs>\d{1,2}\s*[x×]\s*\d[\d.,]*\s*(?:g|kg|ml|l|oz)\s*"
    r"(?:cans?|tins?|jars?|cartons?|packs?|packets?|tubs?|pots?|bottles?))$",
    re.IGNORECASE,
)
_A_FEW_OF = lazily(  # "parsley - small bunch", "thyme: a few sprigs"
    r"^(?P<name>[^\W\d_][^\d(),:]*?)\s*(?:[:,]|\s[-–])\s*"
    r"(?P<amount>(?:an? )?(?:(?:small|large|big|few|good|generous) )?"
    r"(?:bunch|handful|pinch|knob|splash|glug|sprigs?|dash|drizzle))$",
    re.IGNORECASE,
)
_IN_WORDS = lazily(  # "dark beer - one bottle", "brown sugar: quarter cup"
    r"^(?P<name>[^\W\d_][^\d(),:]*?)(?::|\s[-–—]|,)\s*(?P<amount>(?:an?|one|two|three|four|five|six|eight|ten|twelve|half"
    r"|quarter|third) [a-z ]{2,30})$",
    re.IGNORECASE,
)
_STATE_BESIDE = lazily(  # "ginger (grated): 1 tbsp"
    r"^(?P<name>[^\W\d_][^\d(),:]*?)\s*\((?P<state>[^()\d]+)\)\s*[:,-]?\s*(?P<amount>[\d½¼¾⅓⅔][^,()]*)$"
)
_STATE_BETWEEN = lazily(  # "ginger, grated 1 tsp"
    r"^(?P<name>[^\W\d_][^\d(),:]*?),\s*"
    r"(?P<state>(?:(?:finely|freshly|coarsely|thinly|roughly|medium|extra|very) )?"
    r"(?:[a-z]{3,12}ed|ground|hot|mild|smooth|coarse|fine|fresh|light|dark))"
    r"\s*[:,-]?\s*(?P<amount>[\d½¼¾⅓⅔][^,()]*)$",
    re.IGNORECASE,
)
_IN_CELLS = lazily(  # "soy sauce,60,ml", a row of a table
    r"^(?P<name>[^\W\d_][^\d(),:]*?)\s*,\s*(?P<count>\d[\d./]*)\s*,\s*(?P<unit>[a-z]{1,12})$", re.IGNORECASE
)
_OF_A_FRUIT = lazily(  # "lemon - 1, juice only"
    r"^(?P<fruit>lemon|lime|orange)s?\s*(?:[:,]|\s[-–])?\s*(?P<count>\d|½)(?:\s*[,(]\s*|\s+)(?P<what>juice|zest)"
    r"(?: only)?\)?$",
    re.IGNORECASE,
)


# Each with the same line told the other way round
_PLAINLY = (
    (lazily(r"^(?:the\s+)?(?:\w+\s+)?(juice|zest)\s+from\s+(.+)$", re.IGNORECASE), r"\1 of \2"),
    (_A_FEW_OF, r"\g<amount> \g<name>"),
    (_OF_A_FRUIT, r"\g<what> of \g<count> \g<fruit>"),
    (_STATE_BESIDE, r"\g<amount> \g<name>, \g<state>"),
    (_STATE_BETWEEN, r"\g<amount> \g<name>, \g<state>"),
)


def packs_first(text: str) -> str:
    """The same line with the packs that stand behind its name in front.

    >>> packs_first("Coconut milk 1 x 400 ml can"), packs_first("1 x 400 ml can coconut milk")
    ('1 x 400 ml can Coconut milk', '1 x 400 ml can coconut milk')
    """
    packs = _SO_MANY_PACKS.match(" ".join(text.split()))
    return text if packs is None else f"{packs['packs']} {packs['name']}"


def amount_first(text: str) -> str:
    """The same line with the amount that stands behind its name in front.

    >>> amount_first("fish sauce, 2 tbsp"), amount_first("lemon juice from 1 lemon"), amount_first("salt: 12g")
    ('2 tbsp fish sauce', 'juice of 1 lemon', '12g salt')
    """
    text = " ".join(text.split())  # in a row of blanks a pattern would look for ever
    found = next((match.expand(told) for way, told in _PLAINLY if (match := way.match(text))), None)
    if found is not None:
        return found
    cells, worded = _IN_CELLS.match(text), _IN_WORDS.match(text)
    if cells and unit_said(cells["unit"]) is not None:
        return f"{cells['count']} {cells['unit']} {cells['name']}"
    counted = leading_number(worded["amount"]) if worded else None
    if worded and counted is not None and unit_said(counted.rest.strip()) is not None:
        return f"{worded['amount']} {worded['name']}"
    turned = _TURNED.match(text)
    if turned is None or leading_number(turned["name"]) is not None:
        return text
    first = re.match(r"^[^\W\d_]+", turned["name"])
    if first and (unit_said(first[0]) in VAGUE_M3 or first[0].lower() in ("juice", "zest", "the", "finely", "freshly")):
        return text
    return f"{turned['amount']} {turned['name']}{turned['tail'] or ''}"
