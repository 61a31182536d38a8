"""Parts of a recipe that only its directions tell: what they name after the hold, "Marinate overnight. Spread with the
butter", and how much there is of what the list names alone, "Kosher salt".
"""

from __future__ import annotations

import re
from collections import Counter
from collections.abc import Callable, Container, Iterable, Mapping, Sequence
from dataclasses import replace

from vadouvan.core.measures.numbers import leading_number
from vadouvan.core.parsing.parts import PastedMix, PastedRecipe
from vadouvan.core.parsing.prose import FULL_STOP, amounts_in_prose
from vadouvan.core.patterns import lazily

AFTERWARDS = "after the hold"
MOST_WORDS_OF_A_NAME = 4
MOST_SENTENCES = 60  # of directions, in which amounts are looked for
LEAST_NAMED = 2  # lines that the directions name before the hold: fewer, and they do not go by names
_SENTENCE = lazily(rf"{FULL_STOP}(?=\s|$)|[;!?](?=\s|$)|\n", re.IGNORECASE)
_HOLD = lazily(
    r"\b(?:marinat\w+|refrigerat\w+|chill(?:ed)?|fridge|overnight|brine|cure|soak|let (?:it |them )?(?:stand|sit)"
    r"|set aside|leave (?:it |them )?(?:for|to|in|at|\d))\b"
    r"|^(?!.*\b(?:roast|bake|grill|fry|cook|simmer|boil|sear|oven|heat)\b)"
    r".*\b(?:coat|rub|spread|toss|leave|stand|sit)\b.*\b\d+ ?(?:mins?|minutes|h|hrs?|hours)\b",
    re.IGNORECASE,
)
_ALL_OF_THEM = lazily(
    r"\b(?:all|remaining|other|rest of|marinade|these|dry|wet|rub|brine|paste)\b(?: \w+){0,3} ingredients"
    r"|\beverything\b|\ball (?:the )?(?:above|together)\b",
    re.IGNORECASE,
)
_FIRST_SO_MANY = lazily(r"\bfirst (?P<count>\w+) ingredients\b", re.IGNORECASE)
_COUNTS = {
    word: number
    for number, word in enumerate(
        ("two", "three", "four", "five", "six", "seven", "eight", "nine", "ten", "eleven", "twelve"), start=2
    )
}
_NOT_A_NAME = lazily(r"\([^)]{0,200}\)|,.*$|\b(?:or|for|plus|to taste)\b.*$")
_WORD = lazily(r"[^\W\d_]+")
# A word that many ingredients share says little by itself: the one before it tells which
_SHARED = frozenset((
    "breadcrumb", "broth", "bulb", "cheese", "clove", "crumb", "flake", "ginger", "head", "juice", "leaf",
    "mustard", "oil", "paste", "pepper", "piece", "powder", "root", "salt", "sauce", "seed", "sprig", "stalk",
    "stick", "stock", "sugar", "syrup", "vinegar", "wine", "zest",
))  # fmt: skip


def parted_by(
    directions: Sequence[str], recipe: PastedRecipe, is_line: Callable[[str], bool], is_meat: Callable[[str], bool]
) -> PastedRecipe:
    """A recipe whose one list is for all of the dish: what is first named after the hold goes beside the mix."""
    listed = [
        line for line in recipe.lines if (is_line(line) or leading_number(line) is not None) and not is_meat(line)
    ]
    later = used_afterwards(listed, directions)
    if not later:
        return recipe
    beside = (*recipe.companions, PastedMix(AFTERWARDS, later, "companion"))
    return replace(recipe, lines=tuple(line for line in recipe.lines if line not in later), companions=beside)


def with_amounts_of(
    directions: Sequence[str], recipe: PastedRecipe, is_line: Callable[[str], bool], is_meat: Callable[[str], bool]
) -> PastedRecipe:
    """A recipe with the amounts that its directions give, up to the hold, to what its list names without one."""
    bare = [line for line in (*recipe.left_out, *recipe.lines) if _is_bare(line) and is_line(f"10 g {line}")]
    if not bare:
        return recipe
    before = up_to_the_hold(directions)[:MOST_SENTENCES]
    amounts = [amount for one in before for amount in amounts_in_prose(f"{one}.", is_line, is_meat)[0]]
    found: dict[str, str] = {}
    for line in bare:
        kind = _name_of(line)[-1:]
        said = next((one for one in amounts if kind and _name_of(one)[-1:] == kind and not is_meat(one)), "")
        how_much = " ".join(_without_name(said.split(), _words_in([line])))
        if how_much and is_line(f"{how_much} {line}"):
            found[line] = f"{how_much} {line[0].lower()}{line[1:]}"
    return replace(
        recipe,
        lines=(
            *(found.get(line, line) for line in recipe.lines),
            *(taken for line, taken in found.items() if line not in recipe.lines),
        ),
        left_out=tuple(line for line in recipe.left_out if line not in found),
        told=tuple(f"“{line}” is taken as {taken}, as its directions say." for line, taken in found.items()),
    )


def with_meat_of(
    directions: Sequence[str], recipe: PastedRecipe, is_line: Callable[[str], bool], is_meat: Callable[[str], bool]
) -> PastedRecipe:
    """A recipe whose meat only its directions tell, "Cool it, then submerge two pork tenderloins (450 g each)".

    An amount of the list that cannot be read may be the meat, and is asked about first: "1 kg ribs".
    """
    if any(is_meat(line) or (leading_number(line) is not None and not is_line(line)) for line in recipe.lines):
        return recipe
    sentences = _sentences(directions)[:MOST_SENTENCES]
    told = (amount for one in sentences for amount in amounts_in_prose(one, is_line, is_meat)[0])
    meat = next((amount for amount in told if is_meat(amount)), None)
    if meat is None:
        return recipe
    says = f"“{meat}” stands in its directions, and is taken as the cut."
    return replace(recipe, lines=(meat, *recipe.lines), told=(*recipe.told, says))


def _without_name(said: Sequence[str], name: Container[str]) -> Sequence[str]:
    """The words of an amount without those of its name at their end, of which one is there at least."""
    kept = said[:-1]
    while kept and _singular(kept[-1]) in name:
        kept = kept[:-1]
    return kept


def _is_bare(line: str) -> bool:
    """Whether a line is no more than a name: no figure, few words."""
    return re.search(r"\d", line) is None and 0 < len(line.split()) <= MOST_WORDS_OF_A_NAME


def _sentences(directions: Iterable[str]) -> list[str]:
    return [part.strip() for told in directions for part in _SENTENCE.split(told) if part.strip()]


def up_to_the_hold(directions: Iterable[str]) -> list[str]:
    """The sentences up to the one that holds the meat, that one included; all, where none does."""
    sentences = _sentences(directions)
    held = next((number for number, one in enumerate(sentences, start=1) if _HOLD.search(one)), len(sentences))
    return sentences[:held]


def from_the_hold(directions: Iterable[str]) -> list[str]:
    """The sentences from the one that holds the meat on; all, where none does."""
    sentences = _sentences(directions)
    held = next((number for number, one in enumerate(sentences) if _HOLD.search(one)), 0)
    return sentences[held:]


def used_afterwards(lines: Sequence[str], directions: Iterable[str]) -> tuple[str, ...]:
    """Those of a list's lines that are named for the first time after the sentence that holds the meat.

    That is the first which tells a hold and has enough of the lines named up to it: "Start by marinating the lamb"
    only says what is to come. None where the directions say "all the ingredients".
    """
    sentences = _sentences(directions)
    names = [_name_of(line) for line in lines]
    alike = Counter(name[-1:] for name in names)
    for held in (number for number, one in enumerate(sentences, start=1) if _HOLD.search(one)):
        first, then = sentences[:held], sentences[held:]
        if any(_ALL_OF_THEM.search(one) for one in first):
            return ()
        before, after = _words_in(first), _words_in(then)
        so_many = max(map(_first_so_many, first))
        named = [number < so_many or _is_named(name, before, alike) for number, name in enumerate(names)]
        if sum(named) >= LEAST_NAMED:
            told = zip(lines, names, named, strict=True)
            return tuple(line for line, name, was_named in told if not was_named and _is_named(name, after, alike))
    return ()


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
