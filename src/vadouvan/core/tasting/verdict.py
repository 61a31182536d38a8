"""A verdict as it is said: five steps in words for each thing tasted, by an eater; the depth seen; a note."""

from __future__ import annotations

from collections.abc import Iterable
from dataclasses import field
from functools import lru_cache
from typing import Annotated, Literal, get_args

from annotated_types import Len

from vadouvan.core.draft.typed import Text
from vadouvan.core.measures.quantity import SEEN_DEPTH, quantity
from vadouvan.errors import BadInput, InputError
from vadouvan.unchanging import unchanging

Aspect = Literal["salt", "sweet", "sour", "heat", "tenderness", "surface", "juice"]
ASPECTS: tuple[Aspect, ...] = get_args(Aspect)
_NAMED: dict[str, Aspect] = {aspect: aspect for aspect in ASPECTS}
STEPS = (-2, -1, 0, 1, 2)
WORDS: dict[Aspect, tuple[str, str, str, str, str]] = {
    "salt": ("far too little", "a little too little", "just right", "a little too much", "far too much"),
    "sweet": ("far too little", "a little too little", "just right", "a little too much", "far too much"),
    "sour": ("far too little", "a little too little", "just right", "a little too much", "far too much"),
    "heat": ("far too little", "a little too little", "just right", "a little too much", "far too much"),
    "tenderness": ("tough", "a little firm", "just right", "a little soft", "mushy"),
    "surface": ("pale and wet", "a little pale", "just right", "a little dark", "burned"),
    "juice": ("dry", "a little dry", "just right", "a little wet", "wet"),
}
THROUGH = "through"
LONGEST_NOTE, LONGEST_EATER = 4000, 60
LONGEST_NOTE_KEPT = 100_000  # that it is too long is told, and nothing of it lost


@unchanging
class VerdictInput:
    """As it was said: who, a word for each thing tasted, the depth seen on the knife or ``through``, a note."""

    eater: Text = ""
    words: dict[Text, Text] = field(default_factory=dict)
    depth: Text = ""
    note: Annotated[str, Len(0, LONGEST_NOTE_KEPT)] = ""


@unchanging
class Verdict:
    """As it was read: steps from -2 to 2 by aspect; depth seen [m], or that it was seen right through."""

    eater: str
    steps: dict[Aspect, int]
    depth_m: float | None = None
    is_through: bool = False
    note: str = ""


def read_verdict(said: VerdictInput) -> Verdict:
    """The verdict; raises BadInput with everything that is wrong."""
    problems: list[InputError] = []
    steps: dict[Aspect, int] = {}
    for name, words in said.words.items():
        step = _step(name, words, problems)
        if step is not None:
            steps[_NAMED[name]] = step
    depth_m = None
    is_through = said.depth.strip() == THROUGH
    if said.depth.strip() and not is_through:
        try:
            depth_m = _depth_m(said.depth)
        except InputError as error:
            problems.append(error)
    _check_length("note", said.note, LONGEST_NOTE, problems)
    _check_length("eater", said.eater, LONGEST_EATER, problems)
    if not steps and depth_m is None and not is_through and not said.note.strip():
        wrong, accepted = "Nothing was said of it.", "Choose a word for one thing, mark the depth, or write a note."
        problems.append(InputError(field="words", given="", wrong=wrong, accepted=accepted))
    if problems:
        raise BadInput(problems)
    return Verdict(said.eater.strip(), steps, depth_m, is_through, said.note.strip())


@lru_cache(maxsize=512)
def _depth_m(said: str) -> float:
    """A depth as typed [m]; many verdicts of a logbook name the same."""
    return quantity(said, SEEN_DEPTH, field="depth")


def readable_verdicts(said: Iterable[VerdictInput]) -> tuple[Verdict, ...]:
    """The verdicts that can be read; others came in with an archive, and stand on their batch as they are."""
    found = []
    for one in said:
        try:
            found.append(read_verdict(one))
        except BadInput:
            continue  # shown in its own words where the batch was tasted
    return tuple(found)


def _step(name: str, words: str, problems: list[InputError]) -> int | None:
    if not words:
        return None
    aspect = _NAMED.get(name)
    if aspect is None:
        accepted = "Choose from " + ", ".join(ASPECTS) + "."
        problems.append(
            InputError(field=f"words.{name[:40]}", given=name, wrong="That is not tasted.", accepted=accepted)
        )
        return None
    if words not in WORDS[aspect]:
        accepted = "Choose from " + ", ".join(WORDS[aspect]) + "."
        problems.append(
            InputError(field=f"words.{name}", given=words[:60], wrong=f'"{words[:60]}" is no step.', accepted=accepted)
        )
        return None
    return STEPS[WORDS[aspect].index(words)]


def _check_length(field_name: str, text: str, longest: int, problems: list[InputError]) -> None:
    if len(text) > longest:
        wrong = f"{len(text)} letters are too long for a {field_name}."
        problems.append(InputError(field=field_name, given=text[:40], wrong=wrong, accepted=f"Write up to {longest}."))


def mean_step(verdicts: list[Verdict], aspect: Aspect) -> float | None:
    """Mean of all eaters on one thing, from -2 to 2; none if nobody did.

    >>> mean_step([Verdict("a", {"salt": 1}), Verdict("b", {"salt": 0}), Verdict("c", {})], "salt")
    0.5
    """
    said = [verdict.steps[aspect] for verdict in verdicts if aspect in verdict.steps]
    return sum(said) / len(said) if said else None
