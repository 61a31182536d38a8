"""Lines of a list that its directions name only after the hold: "Marinate overnight. Spread with the butter"."""

from __future__ import annotations

import re
from collections import Counter
from collections.abc import Iterable, Mapping, Sequence

LEAST_NAMED = 2  # lines that the directions name before the hold: fewer, and they do not go by names
_SENTENCE = re.compile(r"[.;!?](?=\s|$)|\n")
_HOLD = re.compile(
    r"\b(?:marinat\w+|refrigerat\w+|chill(?:ed)?|fridge|overnight|brine|cure|soak|let (?:it |them )?(?:stand|sit)"
    r"|set aside|leave (?:it |them )?(?:for|to|in|at|\d))\b",
    re.IGNORECASE,
)
_ALL_OF_THEM = re.compile(
    r"\b(?:all|remaining|other|rest of|marinade|these|dry|wet|rub|brine|paste)\b(?: \w+){0,3} ingredients"
    r"|\beverything\b|\ball (?:the )?(?:above|together)\b",
    re.IGNORECASE,
)
_FIRST_SO_MANY = re.compile(r"\bfirst (?P<count>\w+) ingredients\b", re.IGNORECASE)
_COUNTS = {
    word: number
    for number, word in enumerate(
        ("two", "three", "four", "five", "six", "seven", "eight", "nine", "ten", "eleven", "twelve"), start=2
    )
}
_NOT_A_NAME = re.compile(r"\([^)]*\)|,.*$|\bor\b.*$|\bto taste\b.*$")
_WORD = re.compile(r"[^\W\d_]+")
# A word that many ingredients share says little by itself: the one before it tells which
_SHARED = frozenset((
    "bulb", "broth", "clove", "flake", "ginger", "head", "juice", "leaf", "mustard", "oil", "paste", "pepper", "piece",
    "powder", "root", "salt", "sauce", "seed", "sprig", "stalk", "stick", "stock", "sugar", "syrup", "vinegar", "wine",
    "zest",
))  # fmt: skip


def used_afterwards(lines: Sequence[str], directions: Iterable[str]) -> tuple[str, ...]:
    """Those of a list's lines that are named for the first time after the sentence that holds the meat.

    None where the directions say "all the ingredients", or name too few of them before.
    """
    sentences = [part for told in directions for part in _SENTENCE.split(told) if part.strip()]
    held = next((number for number, one in enumerate(sentences) if _HOLD.search(one)), None)
    if held is None or any(_ALL_OF_THEM.search(one) for one in sentences[: held + 1]):
        return ()
    names = [_name_of(line) for line in lines]
    alike = Counter(name[-1:] for name in names)
    before = _words_in(sentences[: held + 1])
    counted = [_first_so_many(one) for one in sentences[: held + 1]]
    named = [_is_named(name, before, alike) or number < max(counted, default=0) for number, name in enumerate(names)]
    if sum(named) < LEAST_NAMED:
        return ()
    after = _words_in(sentences[held + 1 :])
    return tuple(
        line
        for line, name, was_named in zip(lines, names, named, strict=True)
        if not was_named and _is_named(name, after, alike)
    )


def _first_so_many(sentence: str) -> int:
    found = _FIRST_SO_MANY.search(sentence)
    if found is None:
        return 0
    count = found["count"].lower()
    return int(count) if count.isdigit() else _COUNTS.get(count, 0)


def _name_of(line: str) -> tuple[str, ...]:
    """The last words of what a line names, singular: ("unsalted", "butter")."""
    plain = _NOT_A_NAME.sub("", line) or line
    return tuple(_singular(word) for word in _WORD.findall(plain))[-2:]


def _words_in(sentences: Iterable[str]) -> frozenset[str]:
    return frozenset(_singular(word) for one in sentences for word in _WORD.findall(one))


def _is_named(name: tuple[str, ...], words: frozenset[str], alike: Mapping[tuple[str, ...], int]) -> bool:
    """Whether words tell an ingredient: by its last word, or by the word before it where others share the last."""
    if not name:
        return False
    head, kind = name[-1], name[-2] if len(name) > 1 else ""
    if head in _SHARED and kind in words:
        return True
    return head in words and not (alike[name[-1:]] > 1 and kind not in words)


def _singular(word: str) -> str:
    word = word.lower()
    for ending, short in (("ies", "y"), ("oes", "o"), ("leaves", "leaf"), ("s", "")):
        if word.endswith(ending) and len(word) > len(ending) + 2 and not word.endswith("ss"):
            return word.removesuffix(ending) + short
    return word
