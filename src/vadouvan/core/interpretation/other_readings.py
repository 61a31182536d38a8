"""Readings of a line that cannot be read: lines to choose from, each with its grams."""

from __future__ import annotations

import re
from collections.abc import Iterator

from vadouvan.core.draft.typed import LineInput
from vadouvan.core.figure import number_told
from vadouvan.core.interpretation.line import portion_of
from vadouvan.core.mix.measure import as_weighed_g
from vadouvan.core.pantry.ingredient import Ingredient
from vadouvan.core.pantry.pantry import Pantry
from vadouvan.core.parsing.amount import SaidLine, read_line
from vadouvan.core.parsing.curing import names_curing_salt
from vadouvan.core.parsing.said_units import PIECE_UNITS
from vadouvan.errors import Choice, InputError

MOST_CHOICES, MOST_TRIED, LONGEST_LINE, MOST_SPOONS = 3, 6, 120, 4
PLURAL = {"leaf": "leaves", "bunch": "bunches", "glass": "glasses"}


def with_choices(error: InputError, text: str, pantry: Pantry, meat_kg: float | None) -> InputError:
    """The same error with what the line may mean; none for what is never offered, such as a curing salt."""
    if not names_curing_salt(text) and len(text) <= LONGEST_LINE:
        error.choices = tuple(_choices(text, pantry, meat_kg))
    return error


def _choices(text: str, pantry: Pantry, meat_kg: float | None) -> Iterator[Choice]:
    """Those that read as what they say, the likeliest first."""
    offered: set[str] = set()
    for line, identity in _may_mean(text, pantry):
        if line in offered or len(offered) == MOST_CHOICES:
            continue
        try:
            portion = portion_of(LineInput("choice", line), pantry, meat_kg)
        except InputError:
            continue
        if portion.ingredient.id == identity:
            offered.add(line)
            yield Choice(line, f"{number_told(as_weighed_g(portion.mass_kg.value))} g")


def _may_mean(text: str, pantry: Pantry) -> Iterator[tuple[str, str]]:
    """Lines, and what each would have to be."""
    try:
        said = read_line(text, field="mix")
    except InputError:
        return
    known = pantry.qualified((*said.qualified, *said.names))
    if known is not None:
        yield from _in_other_measures(said, known)
        return
    for name in dict.fromkeys(said.names):
        for item, _ in pantry.nearest(name.lower())[:MOST_TRIED]:
            yield _renamed(text, said, name, item.also_called[0]), item.id


def _in_other_measures(said: SaidLine, item: Ingredient) -> Iterator[tuple[str, str]]:
    """The same number of what it is counted in, or of grams or teaspoons; of a fruit its juice."""
    name, number = item.also_called[0], f"{said.number.value:g}"
    several = said.number.value > 1
    if re.match(r"\s*[\d.,]+\s*%", said.text):  # a share is never so many grams
        yield f"{number} % {name} of the meat", item.id
        return
    for unit in item.piece_kg:
        if unit in PIECE_UNITS and unit not in ("juice", "zest"):
            yield f"{number} {PLURAL.get(unit, f'{unit}s') if several else unit} {name}", item.id
    if item.group == "acid" and name.endswith(" juice"):
        yield f"juice of {number} {name.removesuffix(' juice')}", item.id
    elif said.unit in (None, "each"):
        yield f"{number} g {name}", item.id
        if said.number.value <= MOST_SPOONS:
            yield f"{number} tsp {name}", item.id


def _renamed(text: str, said: SaidLine, name: str, by: str) -> str:
    """The line with another name in the place of the one that is not known."""
    found = re.search(re.escape(name), text, re.IGNORECASE)
    if found is not None:
        return " ".join((text[: found.start()] + by + text[found.end() :]).split())
    unit = "" if said.unit in (None, "each") else f"{said.unit} "
    return f"{said.number.value:g} {unit}{by}"
