"""Reference tables to choose from, and the reading of a line as it is typed."""

from __future__ import annotations

from typing import Annotated

from fastapi import Query

from vadouvan.api.context import Here
from vadouvan.api.router import router_of
from vadouvan.api.schemas.batch import CutOut, IngredientNameOut, LineAnswer, LineItem, LineQuestion, TablesOut
from vadouvan.api.schemas.pantry import PantryItemOut, pantry_item_out
from vadouvan.core.contact.mix_judgement import grams_figure
from vadouvan.core.cut.kind import CutKind
from vadouvan.core.cut.own import OWN
from vadouvan.core.draft.typed import LineInput
from vadouvan.core.interpretation.line import portion_of, single_lines
from vadouvan.core.interpretation.other_readings import with_choices
from vadouvan.core.pantry.pantry import Pantry
from vadouvan.errors import InputError
from vadouvan.formats.problem_out import problem_out

router = router_of("/api", "tables")


def cut_out(kind: CutKind) -> CutOut:
    """A kind of cut as the page gets it."""
    return CutOut(
        id=kind.id,
        name=kind.name,
        species=kind.species,
        shape=kind.shape,
        bone=kind.bone,
        cover=kind.cover,
        thickness_mm=kind.thickness_m * 1000,
        own=kind.id.startswith(OWN),
        also_called=list(kind.also_called),
    )


@router.get("/tables")
def get_tables(here: Here) -> TablesOut:
    """Cuts and ingredients that ship with the application."""
    cuts = [cut_out(kind) for kind in here.kitchen.cuts.values()]
    ingredients = [
        IngredientNameOut(id=item.id, name=item.name, also_called=list(item.also_called), group=item.group)
        for item in here.kitchen.pantry.by_id.values()
    ]
    return TablesOut(cuts=cuts, ingredients=ingredients)


@router.get("/pantry")
def get_pantry(here: Here, search: Annotated[str, Query(max_length=80)] = "") -> list[PantryItemOut]:
    """All ingredients by name, or those whose names come near to what is searched, best first."""
    kitchen = here.kitchen
    pantry = kitchen.pantry
    if not search.strip():
        found = sorted(pantry.by_id.values(), key=lambda item: item.name.lower())
    else:
        found = pantry.search(search)
    return [pantry_item_out(item, kitchen.sources) for item in found]


@router.post("/lines/reading")
def read_line_as_typed(question: LineQuestion, here: Here) -> LineAnswer:
    """Weight of a line being typed; a line that cannot be read is an answer, not an error."""
    pantry = here.kitchen.pantry
    meat_kg = None if question.meat_g is None else question.meat_g / 1000
    singles = single_lines(question.text, pantry)
    try:
        if len(singles) > 1:
            return LineAnswer(items=[_item(text, pantry, meat_kg) for text in singles])
        portion = portion_of(LineInput("typed", question.text), pantry, meat_kg)
    except InputError as error:
        return LineAnswer(items=[], problem=problem_out(with_choices(error, question.text, pantry, meat_kg)))
    figure = grams_figure(portion)
    return LineAnswer(
        name=portion.ingredient.name,
        shown=figure.shown,
        band_shown=figure.band_shown,
        guessed=portion.guessed,
        salt_g=portion.mass_kg.value * portion.ingredient.salt.value * 1000,
        items=[],
    )


def _item(text: str, pantry: Pantry, meat_kg: float | None) -> LineItem:
    portion = portion_of(LineInput("typed", text), pantry, meat_kg)
    figure = grams_figure(portion)
    return LineItem(
        text=text,
        ingredient_id=portion.ingredient.id,
        name=portion.ingredient.name,
        grams=portion.mass_kg.value * 1000,
        shown=figure.shown,
        guessed=portion.guessed,
    )
