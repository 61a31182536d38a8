"""A list of ingredients, as it was pasted or as a recipe from elsewhere holds it, to a draft."""

from __future__ import annotations

from collections.abc import Callable, Sequence
from functools import cache

from vadouvan.core.cooking.fire_said import StageSaid, stages_said
from vadouvan.core.draft.typed import (
    LONGEST_KEPT,
    MOST_COMPANIONS,
    MOST_LINES,
    YES,
    CompanionInput,
    Draft,
    FireInput,
    LineInput,
    OccasionInput,
    StageInput,
)
from vadouvan.core.interpretation.line import can_be_read, single_lines
from vadouvan.core.kitchen.kitchen import Kitchen
from vadouvan.core.parsing.cut_figures import CutNamed
from vadouvan.core.parsing.cut_name import cut_named, cuts_meant, cuts_near, meat_among
from vadouvan.core.parsing.cut_words import tokens_of
from vadouvan.core.parsing.parts import PastedRecipe
from vadouvan.core.parsing.pasted import MOST_LOOKED_AT, recipe_in
from vadouvan.core.parsing.rate import for_all_pieces
from vadouvan.core.parsing.servings import ServingsSaid, servings_among, servings_said
from vadouvan.errors import FormatError
from vadouvan.formats.brought import LONGEST_NAME, NO_MEAT, Brought, cut_input, done_to
from vadouvan.unchanging import unchanging

ACCEPTED = "Choose a batch file, a recipe in JSON-LD, or a text with one ingredient a line."


def meat_told_by(text: str, kitchen: Kitchen) -> Callable[[str], bool]:
    """Whether a line of a text names its cut; where no line does, whether it may be one of a few, which is asked."""

    @cache
    def names_a_cut(line: str) -> bool:
        """Whether a line names one cut."""
        return cut_named(line, kitchen.cuts) is not None

    names_one = any(map(names_a_cut, text.splitlines()[:MOST_LOOKED_AT]))

    @cache
    def is_meat(line: str) -> bool:
        """One cut, or the few that it may be."""
        return names_a_cut(line) or (not names_one and bool(cuts_meant(line, kitchen.cuts)))

    return is_meat


def recipe_of(text: str, kitchen: Kitchen, directions: Sequence[str] = ()) -> PastedRecipe:
    """The parts of a recipe, by what this kitchen can read; ``directions`` are those that stand outside the text."""
    is_meat = meat_told_by(text, kitchen)
    return recipe_in(text, lambda line: can_be_read(line, kitchen.pantry), is_meat, directions)


@unchanging
class _MeatFound:
    """The meat of a list and its line; lines of other cuts, lines that tell it again, and what has to be asked."""

    named: CutNamed | None
    line: int | None
    others: tuple[str, ...] = ()
    again: tuple[str, ...] = ()
    asked: str = ""
    meant: tuple[CutNamed, ...] = ()


def listed(name: str, text: str, kitchen: Kitchen, directions: Sequence[str] = ()) -> Brought:
    """A list: the line of its meat, the lines of its mix one ingredient each; the rest is told. Raises FormatError.

    ``directions`` that stand elsewhere tell only what goes on after the hold.
    """
    recipe = recipe_of(text, kitchen, directions)
    if not recipe.lines:
        raise FormatError(field="file", given=text[:40], wrong="No ingredients are in it.", accepted=ACCEPTED)
    meat = _meat_in(recipe, name, kitchen)
    mix, for_each = _for_all(_mix_in(recipe, meat, kitchen), meat.named)
    beside, told_beside = _beside(recipe, kitchen)
    served = servings_among(text.splitlines()[:MOST_LOOKED_AT])
    left_out = "; ".join(line.rstrip(". ") for line in recipe.left_out if not _says_only(served, line))
    stages = stages_said(recipe.afterwards, "" if meat.line is None else recipe.lines[meat.line])
    fire = "; ".join(f"“{stage.said}”" for stage in stages)
    notes = [
        *_told_of_meat(meat, kitchen),
        *for_each,
        *recipe.told,
        *([f"Another cut, for a batch of its own: {'; '.join(meat.others)}."] if meat.others else []),
        *told_beside,
        *([f"At the fire, as its directions say: {fire}. See under Fire."] if fire else []),
        *([f"Left out: {left_out}."] if left_out else []),
    ]
    if len(mix) > MOST_LINES:
        left = "; ".join(mix[MOST_LINES:])[:LONGEST_KEPT]
        notes.append(f"Left out, since {MOST_LINES} lines are the most of one mix: {left}.")
        mix = mix[:MOST_LINES]
    draft = Draft(
        name=name[:LONGEST_NAME],
        cut=cut_input(meat.named),
        occasion=OccasionInput(servings=served.count if served is not None else ""),
        mix=tuple(LineInput(str(number), line) for number, line in enumerate(mix, start=1)),
        companions=beside,
        fire=FireInput(stages=tuple(_stage(number, stage) for number, stage in enumerate(stages, start=1))),
    )
    return Brought(draft, tuple(notes), meat_line=meat.asked, cuts_meant=meat.meant)


def _stage(number: int, stage: StageSaid) -> StageInput:
    """A stage on the heat as a cook would type it."""
    turn = YES if stage.turned else ""
    return StageInput(
        str(number), stage.place, stage.heat, minutes=stage.minutes, core=stage.core, turn=turn, every=stage.every
    )


def _meat_in(recipe: PastedRecipe, name: str, kitchen: Kitchen) -> _MeatFound:
    """The meat that a line names, or the line that may be one of a few."""
    place, meat = meat_among(recipe.lines, kitchen.cuts)
    if meat is None:
        asked, meant = which_meat((*recipe.lines, *recipe.left_out), kitchen) or ("", ())
        return _MeatFound(None, None, asked=asked, meant=_of_the_species_in(name, meant, kitchen))
    named = {
        line: cut_named(line, kitchen.cuts)
        for number, line in enumerate(recipe.lines)
        if number != place and not can_be_read(line, kitchen.pantry)
    }
    others = [line for line, other in named.items() if other is not None]
    again = [line for line in others if _is_told_again(named[line], meat)]
    return _MeatFound(meat, place, tuple(line for line in others if line not in again), tuple(again))


def _told_of_meat(meat: _MeatFound, kitchen: Kitchen) -> list[str]:
    """Notes on the meat: which is asked, or what was assumed of it and done to it."""
    if meat.named is None:
        return [f"Which cut is “{meat.asked}”?" if meat.asked else NO_MEAT]
    is_assumed = meat.named.wholes and (meat.named.pieces or meat.named.whole)
    return [*([_of_wholes(meat.named, kitchen)] if is_assumed else []), *done_to(meat.named)]


def _mix_in(recipe: PastedRecipe, meat: _MeatFound, kitchen: Kitchen) -> list[str]:
    """The lines of the mix, one ingredient each: those that are not of the meat."""
    of_meat = {*meat.others, *meat.again, meat.asked}
    return [
        single[:LONGEST_KEPT]
        for number, line in enumerate(recipe.lines)
        if number != meat.line and line not in of_meat
        for single in single_lines(line, kitchen.pantry)
    ]


def _beside(recipe: PastedRecipe, kitchen: Kitchen) -> tuple[tuple[CompanionInput, ...], list[str]]:
    """Companions of the mix, and notes on them and on mixes that are one now."""
    singles = [
        (part.title, [one for line in part.lines for one in single_lines(line, kitchen.pantry)])
        for part in recipe.companions
    ]
    beside = tuple(
        CompanionInput(str(number), title=title[:LONGEST_NAME], text="\n".join(lines)[:LONGEST_KEPT])
        for number, (title, lines) in enumerate(singles[:MOST_COMPANIONS], start=1)
    )
    told = [f'Beside the mix, under Plate, as "{one.title}": {"; ".join(one.text.splitlines())}.' for one in beside]
    told += [f'Not taken, under "{title}": {"; ".join(lines)}.' for title, lines in singles[MOST_COMPANIONS:]]
    if recipe.taken_together:
        headings = " and ".join(recipe.taken_together)
        told.append(f"Taken as one mix: {headings}. Part them if one goes on after the other.")
    return beside, told


def _of_the_species_in(name: str, meant: tuple[CutNamed, ...], kitchen: Kitchen) -> tuple[CutNamed, ...]:
    """Those of the cuts that may be meant whose species the name of the dish tells; all, where it tells none."""
    said = set(tokens_of(name))
    return tuple(one for one in meant if set(tokens_of(kitchen.cuts[one.kind].species)) <= said) or meant


def _says_only(served: ServingsSaid | None, line: str) -> bool:
    """Whether a line says no more than for how many it is, which was taken."""
    said = servings_said(line) if served is not None and served.rest.strip() == line.strip() else None
    return said is not None and not said.rest


def _is_told_again(other: CutNamed | None, meat: CutNamed | None) -> bool:
    """Whether a line names the meat that another line weighs: "Brine for 2 tenderloins", and further down these two."""
    return other is not None and meat is not None and (other.kind, other.mass) == (meat.kind, "")


def _of_wholes(meat: CutNamed, kitchen: Kitchen) -> str:
    """Assumed of what was counted whole: how many pieces there are, or what it weighs."""
    kind = kitchen.cuts[meat.kind]
    if meat.whole:
        whole = kitchen.cuts[meat.whole].name
        return f"{meat.wholes} × {whole} is taken as {meat.mass}: weigh it, and say so under Cut."
    return f"{meat.wholes} × {kind.species} is taken as {meat.pieces} × {kind.cut}: say under Cut how many there are."


def _for_all(mix: list[str], meat: CutNamed | None) -> tuple[list[str], list[str]]:
    """The lines with what was said for each piece taken for all of them, and what is told of it."""
    pieces = int(meat.pieces) if meat and meat.pieces.isdigit() else 0
    taken = [for_all_pieces(line, pieces) for line in mix]
    told = [
        f"“{said}” is taken as {line}, for {pieces}." for said, line in zip(mix, taken, strict=True) if said != line
    ]
    return taken, told


def which_meat(lines: Sequence[str], kitchen: Kitchen) -> tuple[str, tuple[CutNamed, ...]] | None:
    """The first line that may be one of a few cuts, and which; or else, that names a cut beside unknown words."""
    unread = [line for line in lines if not can_be_read(line, kitchen.pantry)]
    found = ((line, cuts(line, kitchen.cuts)) for cuts in (cuts_meant, cuts_near) for line in unread)
    return next(((line, meant) for line, meant in found if meant), None)
