"""A whole recipe in one sentence: "Marinate 600 g fish in 3 tbsp lime juice, 2 tbsp oil and 1 tsp salt"."""

from __future__ import annotations

import re
from collections.abc import Iterator

from vadouvan.core.parsing.headings import is_deed
from vadouvan.core.patterns import lazily

# "Marinate 600 g fish fillets in 3 tbsp lime juice, 2 tbsp oil, 1 tsp salt for 20 minutes.", "1 kg wings tossed in ..."
_TOLD_TO_DO = lazily(
    r"^(?P<head>[^:\d]{3,40}: )?(?:(?:marinate|toss|coat|rub|season|mix|combine|cover|brine|soak)\s+)?"
    r"(?:an? (?=\d))?(?P<meat>(?:\d|an? )[^,;:]{3,60}?)"
    r"(?P<long>\s+(?:overnight|for \d[\d -]{0,5}(?:h|hours?|minutes?|mins?)))?"
    r"\s+(?:(?:marinated|tossed|coated|rubbed|seasoned|covered|brined|soaked)\s+)?(?:in|with)\s+"
    r"(?:(?:a mix(?:ture)? of|the)\s+)?(?P<rest>(?:\d|[½¼¾⅓⅔]|an? |the juice |juice ).+)$",
    re.IGNORECASE,
)
_DOES = lazily(r"\b(?:marinate|toss|coat|rub|season|mix|combine|cover|brine|soak)(?:d|ed|sed)?\b", re.IGNORECASE)
_THEN = lazily(r"[;.]\s+")
_AND_SO_MUCH = lazily(
    r"(?:,\s*(?:and\s+)?|\s+(?:and|with|plus|\+)\s+)(?=[\d½¼¾⅓⅔]|an? |half an? |(?:one|two|three|four|six) "
    r"|(?:the )?(?:juice|zest) of "
    r"|(?:good |big |generous |small |large )?(?:pinch|splash|dash|glug|squeeze|handful|bunch) of )"
)
_SO_LONG_AT_LAST = lazily(
    r"\.?,?\s{1,3}(?:and )?((?:for|at least|overnight|in the fridge)\b[^,;]{0,60}"
    r"(?:hours?|hrs?|minutes?|mins?|days?|\d ?h)\b[^,;]{0,40}|overnight\b[^,;]{0,40})$",
    re.IGNORECASE,
)


def recipe_of_a_sentence(row: str) -> list[str]:
    """Lines of a recipe that one sentence tells: its meat, its amounts, what else is to be done; none in any other."""
    told = _TOLD_TO_DO.match(row)
    return list(_lines_of_a_deed(told)) if told is not None and _DOES.search(row) is not None else []


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
