"""A file that a cook brings: a batch file, a recipe (JSON-LD, alone or in a page), or a plain list of ingredients."""

from __future__ import annotations

import json
from dataclasses import dataclass

from vadouvan.core.draft.typed import LONGEST_KEPT, MOST_COMPANIONS, MOST_LINES, CompanionInput, Draft, LineInput
from vadouvan.core.interpretation.mix import can_be_read, single_lines
from vadouvan.core.kitchen.kitchen import Kitchen
from vadouvan.core.measures.numbers import leading_number
from vadouvan.core.parsing.cut_name import meat_among
from vadouvan.core.parsing.pasted import recipe_in
from vadouvan.errors import FormatError
from vadouvan.formats import batch_file
from vadouvan.formats.brought import cut_input
from vadouvan.formats.recipe import read_recipe

LONGEST_NAME = 200
ACCEPTED = "Choose a batch file, a recipe in JSON-LD, or a text with one ingredient a line."


@dataclass(frozen=True)
class Brought:
    """A draft from a file, and in words what could not be taken over; ``is_ours`` for a batch file."""

    draft: Draft
    notes: tuple[str, ...] = ()
    is_ours: bool = False


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
    name, rest = _name_and_rest(text)
    recipe = recipe_in(rest, lambda line: can_be_read(line, kitchen.pantry))
    if not recipe.lines:
        raise FormatError(field="file", given=text[:40], wrong="No ingredients are in it.", accepted=ACCEPTED)
    place, meat = meat_among(recipe.lines, kitchen.cuts)
    mix = [
        single[:LONGEST_KEPT]
        for number, line in enumerate(recipe.lines)
        if number != place
        for single in single_lines(line, kitchen.pantry)
    ]
    notes = [] if meat else ["No line names a cut with its weight: say it under Cut."]
    beside = tuple(
        CompanionInput(str(number), title=part.title[:LONGEST_NAME], text="\n".join(part.lines)[:LONGEST_KEPT])
        for number, part in enumerate(recipe.companions[:MOST_COMPANIONS], start=1)
    )
    notes += [f'Beside the mix, under Plate, as "{one.title}": {"; ".join(one.text.splitlines())}.' for one in beside]
    notes += [
        f'Not taken, under "{part.title}": {"; ".join(part.lines)}.' for part in recipe.companions[MOST_COMPANIONS:]
    ]
    notes += [f"Left out: {'; '.join(recipe.left_out)}."] if recipe.left_out else []
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
    return Brought(draft, tuple(notes))


def _name_and_rest(text: str) -> tuple[str, str]:
    """A first line without an amount, with a gap or an amount after it, is the name."""
    first, _, rest = text.partition("\n")
    after = rest.partition("\n")[0].strip()
    is_name = leading_number(first.strip().lstrip("# ")) is None and not first.rstrip().endswith(":")
    if is_name and rest.strip() and (not after or leading_number(after) is not None):
        return first.strip().lstrip("# ")[:LONGEST_NAME], rest
    return "", text
