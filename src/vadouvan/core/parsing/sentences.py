"""Recipes and amounts in sentences: "Marinate 600 g fish in 3 tbsp lime juice, ...", "Whisk 60 ml soy with ..."."""

from __future__ import annotations

import re
from collections.abc import Iterator

from vadouvan.core.measures.numbers import leading_number
from vadouvan.core.parsing.headings import is_deed
from vadouvan.core.parsing.tidy import without_bullet

# "Marinate 600 g fish fillets in 3 tbsp lime juice, 2 tbsp oil, 1 tsp salt for 20 minutes.", "1 kg wings tossed in ..."
_TOLD_TO_DO = re.compile(
    r"^(?P<head>[^:\d]{3,40}: )?(?:(?:marinate|toss|coat|rub|season|mix|combine|cover|brine|soak)\s+)?"
    r"(?:an? (?=\d))?(?P<meat>(?:\d|an? )[^,;:]{3,60}?)"
    r"(?P<long>\s+(?:overnight|for \d[\d -]{0,5}(?:h|hours?|minutes?|mins?)))?"
    r"\s+(?:(?:marinated|tossed|coated|rubbed|seasoned|covered|brined|soaked)\s+)?(?:in|with)\s+"
    r"(?:(?:a mix(?:ture)? of|the)\s+)?(?P<rest>(?:\d|[½¼¾⅓⅔]|an? |the juice |juice ).+)$",
    re.IGNORECASE,
)
_DOES = re.compile(r"\b(?:marinate|toss|coat|rub|season|mix|combine|cover|brine|soak)(?:d|ed|sed)?\b", re.IGNORECASE)
_TO_BRING = (
    r"(?:brew|mix|combine|whisk|dissolve|stir|boil|simmer|heat|blend|blitz|pound|grind|toast"
    r"|make (?:a|the) \w+ (?:of|from|with))"
)
_BRINGS_TOGETHER = re.compile(
    rf"^(?:(?:first|then|next),? |in (?:an?|the) [^,\d]{{3,30}}?,? )?{_TO_BRING}(?: (?:together|up))?:?\s+"
    r"(?:the )?(?P<rest>(?:[\d½¼¾⅓⅔]|an? |juice |zest ).+)$",
    re.IGNORECASE,
)
_THEN = re.compile(r"[;.]\s+")
_AND_SO_MUCH = re.compile(
    r"(?:,\s*(?:and\s+)?|\s+(?:and|with|plus|\+)\s+)(?=[\d½¼¾⅓⅔]|an? |half an? |(?:one|two|three|four|six) "
    r"|(?:the )?(?:juice|zest) of "
    r"|(?:good |big |generous |small |large )?(?:pinch|splash|dash|glug|squeeze|handful|bunch) of )"
)
# "You need 500 g prawns, 4 cloves garlic, 3 tbsp olive oil. Leave 20 minutes."
_NEEDED = re.compile(
    r"^(?:you(?:'ll| will)? need|you(?:'ll| will)? want|take|get)(?: about)?:?\s+(?P<rest>\d.+)$", re.IGNORECASE
)
_LEAST_NEEDED = 3
_SO_LONG_AT_LAST = re.compile(
    r"\.?,?\s{1,3}(?:and )?((?:for|at least|overnight|in the fridge)\b[^,;]{0,60}"
    r"(?:hours?|hrs?|minutes?|mins?|days?|\d ?h)\b[^,;]{0,40}|overnight\b[^,;]{0,40})$",
    re.IGNORECASE,
)
_OF_FRUIT = re.compile(r"^(?:juice|zest)\b", re.IGNORECASE)


def recipe_of_a_sentence(row: str) -> list[str]:
    """Lines of a recipe that one sentence tells: its meat, its amounts, what else is to be done; none in any other."""
    if needed := all_needed(row):
        return needed
    told = _TOLD_TO_DO.match(row)
    return list(_lines_of_a_deed(told)) if told is not None and _DOES.search(row) is not None else []


def all_needed(row: str) -> list[str]:
    """Amounts of a sentence that tells what is needed, and what is to be done then; none of any other.

    >>> all_needed("You need 500 g prawns, peeled, 4 cloves garlic and a squeeze of lemon. Leave 20 minutes.")
    ['500 g prawns, peeled', '4 cloves garlic', 'a squeeze of lemon', 'Leave 20 minutes.']
    """
    needed = _NEEDED.match(row)
    if needed is None:
        return []
    listed, stop, then = needed["rest"].partition(". ")
    amounts = _AND_SO_MUCH.split(listed.rstrip(". "))
    return [*amounts, *([then] if stop else [])] if len(amounts) >= _LEAST_NEEDED else []


def amounts_of_a_deed(line: str) -> tuple[list[str], str]:
    """Amounts that a line says to bring together, and what is to be done then; none in any other line.

    >>> amounts_of_a_deed("Whisk 60 ml soy with 30 g honey and 1 tsp salt. Chill.")
    (['60 ml soy', '30 g honey', '1 tsp salt'], 'Chill.')
    """
    told = _BRINGS_TOGETHER.match(" ".join(without_bullet(line).split()))
    if told is None:
        return [], line
    listed, stop, rest = told["rest"].partition(". ")
    amounts = [part.strip(" .").removeprefix("the ") for part in _AND_SO_MUCH.split(listed)]
    whole = all(leading_number(part) is not None or _OF_FRUIT.match(part) is not None for part in amounts)
    return (amounts, rest if stop else "") if whole else ([], line)


def _lines_of_a_deed(told: re.Match[str]) -> Iterator[str]:
    """The name of the dish, the meat, each amount, and what else is to be done, from a sentence that tells all."""
    if told["head"]:
        yield from (told["head"].strip(": "), "")
    yield told["meat"]
    listed, *then = _THEN.split(told["rest"].rstrip(". "))
    listed, *so_long = _SO_LONG_AT_LAST.split(listed)[:2]
    amounts = _AND_SO_MUCH.split(listed)
    last, comma, deed = amounts[-1].partition(", ")
    if comma and is_deed(deed):
        amounts[-1:], then = [last], [deed, *then]
    yield from amounts
    yield from (f"Marinate {long.strip()}" for long in (told["long"] or "", *so_long) if long.strip())
    yield from then
