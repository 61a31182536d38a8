"""Amounts told in running sentences, as in "Whisk 60 ml soy with 30 g honey and pour it over 1 kg of thighs"."""

from __future__ import annotations

import re
from collections.abc import Callable, Iterator
from itertools import islice

from vadouvan.core.parsing.headings import is_deed
from vadouvan.core.patterns import lazily

_COUNTED = r"(?:one|two|three|four|five|six|eight|ten|twelve)\b"
_MEASURE = (
    r"(?:pinch|handful|bunch|clove|thumb|knob|splash|glug|dash|squeeze|drizzle|sprig|stick|head|bulb|tin|can|bottle|jar"
    r"|cup|tablespoon|teaspoon|spoonful|stalk|lemon|lime|orange|onion|shallot|chilli|kilo|pound)"
)
_HOW_MUCH = r"(?:large|small|big|good|generous|fat|heaped|level|fresh)\s+"
_TREATED = r"(?:(?:finely|freshly|coarsely) )?(?:grated |squeezed |pared )?"
_BEGINS = lazily(
    rf"(?<![\w/.,½¼¾⅓⅔-])(?:\d|[½¼¾⅓⅔]|half an?\b|{_COUNTED}"
    rf"|(?:the )?{_TREATED}(?:juice|zest)(?: and {_TREATED}(?:juice|zest))? of\b"
    rf"|an?\s+(?:{_HOW_MUCH})?{_MEASURE}\b|{_HOW_MUCH}{_MEASURE} of\b)",
    re.IGNORECASE,
)
FULL_STOP = r"(?<!tsp)(?<!bsp)(?<!bs)(?<! oz)(?<! lb)(?<! lbs)\."  # "1 tsp. salt" ends no sentence
_ENDS = lazily(rf"(?:{FULL_STOP}|[!?])(?=\s|$)", re.IGNORECASE)
_STOPS = lazily(
    r"\s*[,;:(]|\s+(?:and|with|plus|over|into|in|for|until|then|to|on|at|together|all|per|through|from|so|which|that)\b",
    re.IGNORECASE,
)
_EACH = lazily(r"\beach\b", re.IGNORECASE)
_AND = lazily(r"\s*(?:,|and\b)", re.IGNORECASE)
_GAP = "…"
LEAST_WORDS, LEAST_AROUND = 4, 3  # of a sentence; around its amounts where it has no full stop
# What a sentence may hold: pasted text is long, and each piece is looked up in the pantry and among the cuts.
MOST_BEGUN, MOST_PIECES, LONGEST_PIECE, MOST_IN_A_TEXT = 30, 4, 120, 40
_HEADED = lazily(r"^[^:.]{1,60}:\s(?!.*[a-z)]\.\s+[A-Z])")
_WORD = lazily(r"[^\W\d_]+")
_JOINS = frozenset(("and", "with", "plus", "or", "of", "each"))


def begun_in(line: str) -> int:
    """The places in a line at which an amount may begin, as many as are looked at."""
    return sum(1 for _ in islice(_BEGINS.finditer(line), MOST_BEGUN))


def amounts_in_prose(
    line: str, is_line: Callable[[str], bool], is_meat: Callable[[str], bool]
) -> tuple[list[str], str]:
    """The amounts and the meat that a line of sentences tells, and its other words, with a gap for each of them.

    None of a row of amounts, "Rub: 50 g sugar, 20 g paprika": there is no sentence around them, as there is behind
    "Brine: dissolve 50 g salt in 1 l water".
    """
    headed = _HEADED.match(line)
    if len(line.split()) < LEAST_WORDS or (headed is not None and not is_deed(line[headed.end() :])):
        return [], line
    found: list[str] = []
    left: list[str] = []
    at = 0
    for begin in islice(_BEGINS.finditer(line), MOST_BEGUN):
        if begin.start() < at:
            continue
        told = _told_from(line[begin.start() :], is_line, is_meat)
        if told:
            left.append(line[at : begin.start()])
            found.append(told.removeprefix("the "))
            at = begin.start() + len(told)
    rest = _GAP.join([*left, line[at:]])
    words = [word for word in _WORD.findall(rest) if word.lower() not in _JOINS]
    least = 1 if _ENDS.search(line) is not None else LEAST_AROUND
    return (found, rest) if len(words) >= least else ([], line)


def _told_from(rest: str, is_line: Callable[[str], bool], is_meat: Callable[[str], bool]) -> str:
    """The longest piece of a sentence that names the cut, or the shortest that is an ingredient; empty for neither."""
    pieces = list(_pieces(rest))
    meat = next((piece for piece in reversed(pieces) if is_meat(piece)), "")
    return meat or next((piece for piece in pieces if is_line(piece) and not _goes_on(piece, rest)), "")


def _pieces(rest: str) -> Iterator[str]:
    """The beginning of a sentence, ever longer: up to each of the places where an amount may end."""
    end = _ENDS.search(rest)
    sentence = rest[: end.start() if end else None][:LONGEST_PIECE]
    for stop in islice(_STOPS.finditer(sentence), MOST_PIECES):
        piece = sentence[: stop.start()]
        if piece and piece.count("(") == piece.count(")"):
            yield piece
    yield sentence


def _goes_on(piece: str, rest: str) -> bool:
    """Whether so much of each goes on: "1 tsp each of cumin", and coriander after it."""
    return _EACH.search(piece) is not None and _AND.match(rest[len(piece) :]) is not None
