"""A file that a cook brings: a batch file, a recipe (JSON-LD, alone or in a page), or a plain list of ingredients."""

from __future__ import annotations

import json
from collections.abc import Sequence
from dataclasses import dataclass

from vadouvan.core.draft.typed import LONGEST_KEPT, MOST_COMPANIONS, MOST_LINES, CompanionInput, Draft, LineInput
from vadouvan.core.interpretation.mix import can_be_read, single_lines
from vadouvan.core.kitchen.kitchen import Kitchen
from vadouvan.core.measures.numbers import leading_number
from vadouvan.core.parsing.cut_figures import CutNamed, has_weight
from vadouvan.core.parsing.cut_name import cut_named, cuts_meant, cuts_near, meat_among
from vadouvan.core.parsing.headings import begins_a_row, heading_of, is_told_of_all, is_told_of_times, tells_a_part
from vadouvan.core.parsing.pasted import in_lines, recipe_in, without_step_number
from vadouvan.core.parsing.tidy import without_bullet
from vadouvan.errors import FormatError
from vadouvan.formats import batch_file
from vadouvan.formats.brought import cut_input
from vadouvan.formats.recipe import read_recipe

LONGEST_NAME, LONGEST_TITLE = 200, 100
NO_MEAT = "No line names a cut with its weight: say it under Cut."
ACCEPTED = "Choose a batch file, a recipe in JSON-LD, or a text with one ingredient a line."


@dataclass(frozen=True)
class Brought:
    """A draft from a file, and in words what could not be taken over; ``is_ours`` for a batch file.

    ``cuts_meant`` are the few cuts that ``meat_line`` may mean, where it does not say which.
    """

    draft: Draft
    notes: tuple[str, ...] = ()
    is_ours: bool = False
    meat_line: str = ""
    cuts_meant: tuple[CutNamed, ...] = ()


def read_any(text: str, kitchen: Kitchen) -> Brought:
    """The draft in a file of any of these kinds; raises FormatError or BadInput saying what would do."""
    plain = text.lstrip("\ufeff \t\r\n")
    if len(plain.encode()) > batch_file.LARGEST_BYTES or _is_batch(plain):
        return Brought(batch_file.read(plain), is_ours=True)
    if plain.startswith(("{", "[")):
        _refuse_broken(plain)
    if plain.startswith(("{", "[")) or (plain.startswith("<") and "ld+json" in plain):
        read = read_recipe(plain, kitchen)
        return Brought(read.draft, read.notes)
    return _list_of_ingredients(plain, kitchen)


def _refuse_broken(text: str) -> None:
    try:
        json.loads(text)
    except (ValueError, RecursionError) as error:
        wrong = f"The file is broken or not JSON: {str(error)[:200]}."
        raise FormatError(field="file", given=text[:40], wrong=wrong, accepted=ACCEPTED) from None


def _is_batch(text: str) -> bool:
    """Whether it says that it is a batch file, whole or cut short."""
    try:
        raw = json.loads(text)
    except (ValueError, RecursionError):
        return text.startswith("{") and f'"{batch_file.FORMAT}"' in text
    return isinstance(raw, dict) and "@type" not in raw and "@graph" not in raw and text.startswith("{")


def _list_of_ingredients(text: str, kitchen: Kitchen) -> Brought:
    """A list: its name, the line of its meat, the lines of its mix one ingredient each; the rest is told."""
    name, rest = _name_and_rest("\n".join(map(without_step_number, in_lines(text).split("\n"))), kitchen)
    recipe = recipe_in(
        rest,
        lambda line: can_be_read(line, kitchen.pantry),
        lambda line: cut_named(line, kitchen.cuts) is not None,
    )
    if not recipe.lines:
        raise FormatError(field="file", given=text[:40], wrong="No ingredients are in it.", accepted=ACCEPTED)
    place, meat = meat_among(recipe.lines, kitchen.cuts)
    others = [
        line
        for number, line in enumerate(recipe.lines)
        if place not in (None, number)
        and cut_named(line, kitchen.cuts) is not None
        and not can_be_read(line, kitchen.pantry)
    ]
    mix = [
        single[:LONGEST_KEPT]
        for number, line in enumerate(recipe.lines)
        if number != place and line not in others
        for single in single_lines(line, kitchen.pantry)
    ]
    asked = None if meat else _which_meat((*recipe.lines, *recipe.left_out), kitchen)
    if asked is not None:
        mix = [line for line in mix if line != asked[0]]
    notes = [] if meat else [f"Which cut is “{asked[0]}”?" if asked else NO_MEAT]
    notes += [f"Another cut, for a batch of its own: {'; '.join(others)}."] if others else []
    beside = tuple(
        CompanionInput(str(number), title=part.title[:LONGEST_NAME], text="\n".join(part.lines)[:LONGEST_KEPT])
        for number, part in enumerate(recipe.companions[:MOST_COMPANIONS], start=1)
    )
    notes += [f'Beside the mix, under Plate, as "{one.title}": {"; ".join(one.text.splitlines())}.' for one in beside]
    notes += [
        f'Not taken, under "{part.title}": {"; ".join(part.lines)}.' for part in recipe.companions[MOST_COMPANIONS:]
    ]
    left_out = "; ".join(line.rstrip(". ") for line in recipe.left_out)
    notes += [f"Left out: {left_out}."] if left_out else []
    if len(mix) > MOST_LINES:
        left = "; ".join(mix[MOST_LINES:])[:LONGEST_KEPT]
        notes.append(f"Left out, since {MOST_LINES} lines are the most of one mix: {left}.")
        mix = mix[:MOST_LINES]
    draft = Draft(
        name=name,
        cut=cut_input(meat),
        mix=tuple(LineInput(str(number), line) for number, line in enumerate(mix, start=1)),
        companions=beside,
    )
    line, meant = asked or ("", ())
    return Brought(draft, tuple(notes), meat_line=line, cuts_meant=meant)


def _which_meat(lines: Sequence[str], kitchen: Kitchen) -> tuple[str, tuple[CutNamed, ...]] | None:
    """The first line that may be one of a few cuts, and which; or else, that names a cut beside unknown words."""
    unread = [line for line in lines if not can_be_read(line, kitchen.pantry)]
    found = ((line, cuts(line, kitchen.cuts)) for cuts in (cuts_meant, cuts_near) for line in unread)
    return next(((line, meant) for line, meant in found if meant), None)


def _name_and_rest(text: str, kitchen: Kitchen) -> tuple[str, str]:
    """The name, if the first line is one: it holds no amount and names neither meat nor an ingredient.

    After it comes a gap, an amount, a heading, or what is said of the whole recipe.
    """
    first, _, rest = text.partition("\n")
    said = without_bullet(first.strip().lstrip("# "))
    after = without_bullet(rest.strip().partition("\n")[0])
    in_use = leading_number(said) is not None or first.rstrip().endswith(":") or tells_a_part(first)
    ingredient = can_be_read(said, kitchen.pantry) or said.lower() in kitchen.pantry.by_name
    if (
        in_use
        or ingredient
        or cut_named(said, kitchen.cuts) is not None
        or (has_weight(said) and _which_meat((said,), kitchen) is not None)
        or is_told_of_times(said)
        or len(said) > LONGEST_TITLE
        or not rest.strip()
    ):
        return "", text
    follows = rest.startswith(("\n", "\r")) or leading_number(after) is not None or heading_of(after) is not None
    is_line = can_be_read(after, kitchen.pantry) or cut_named(after, kitchen.cuts) is not None
    goes_on = follows or is_line or has_weight(after) or begins_a_row(after) or is_told_of_all(after)
    return (said[:LONGEST_NAME], rest) if goes_on else ("", text)
