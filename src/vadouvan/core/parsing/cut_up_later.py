"""Pieces that only the directions of a recipe tell: "Cut the chicken into 4 cm pieces" below a line of whole thighs."""

from __future__ import annotations

import re
from collections.abc import Callable, Sequence
from dataclasses import replace

from vadouvan.core.parsing.directions import MOST_SENTENCES, up_to_the_hold
from vadouvan.core.parsing.headings import words_of
from vadouvan.core.parsing.parts import PastedRecipe
from vadouvan.core.patterns import lazily

_NUMBER = r"\d+(?:[./]\d+)?(?: \d/\d)?[½¼¾]?"
_CUT_INTO = lazily(
    r"\b(?:cut|dice|cube|chop|slice)s? (?P<what>(?:[a-z]+ ){0,4}?)(?:up )?(?:in|into|to) "
    rf"(?P<size>(?:about |roughly |approx\.? |~)?{_NUMBER}(?: ?(?:-|–|to) ?{_NUMBER})?[- ]?(?:cm|mm|inch|in\b|\")[- ]?"
    r"(?:thick |long |wide )?(?:cubes?|pieces|chunks|strips|slices|dice))\b",
    re.IGNORECASE,
)
_LATER = lazily(
    r"\b(?:roast|bake|grill|griddle|barbecue|fry|cook|simmer|sear|oven|smoke|serv(?:e|ing)|carve|rest)\b", re.IGNORECASE
)
_SIZED = lazily(r"\d ?-?(?:cm|mm|inch|in\b|\")|\b(?:cubed?|cubes|diced?|chunks|strips|sliced|slices)\b", re.IGNORECASE)
_IT = frozenset(("it", "them"))
_THE_MEAT = frozenset(("it", "them", "meat", "fish"))
_DEEDS = frozenset(
    ("and", "then", "first", "method", "step", "wash", "rinse", "trim", "pat", "dry", "skin", "bone", "it", "them")
)
_LITTLE = frozenset(("the", "your", "each", "of", "up", "all"))


def with_pieces_of(sentences: Sequence[str], recipe: PastedRecipe, is_meat: Callable[[str], bool]) -> PastedRecipe:
    """A recipe whose line of meat tells the pieces that its directions cut, where it tells none itself."""
    meat = next((line for line in recipe.lines if is_meat(line)), None)
    if meat is None or _SIZED.search(meat) is not None:
        return recipe
    named = _THE_MEAT | words_of(meat) | {word.removesuffix("s") for word in words_of(meat)}
    for sentence in up_to_the_hold(sentences)[:MOST_SENTENCES]:
        plain = " ".join(sentence.split())
        cut, later = _CUT_INTO.search(plain), _LATER.search(plain)
        if later is not None and (cut is None or later.start() < cut.start()):  # what is carved was cooked
            return recipe
        sized = f"{meat}, cut into {cut['size']}" if cut is not None and _is_of(plain, cut, named) else ""
        if sized and is_meat(sized):
            told = f"“{sized.rpartition(', ')[2]}” stands with the meat now, as its directions say."
            lines = tuple(sized if line == meat else line for line in recipe.lines)
            return replace(recipe, lines=lines, told=(*recipe.told, told))
    return recipe


def _is_of(sentence: str, cut: re.Match[str], named: frozenset[str]) -> bool:
    """Whether what a sentence cuts is the meat: it names it, or what it names before is nothing else."""
    what = words_of(cut["what"]) - _LITTLE
    before = words_of(sentence[: cut.start()]) - _LITTLE
    is_meat = bool(what) and all(word in named for word in what)
    goes_on = not what - _IT and (any(word in named - _IT for word in before) or before <= _DEEDS)
    return (is_meat and bool(what - _IT)) or goes_on
