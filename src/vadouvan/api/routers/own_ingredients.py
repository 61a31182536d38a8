"""Ingredients of the cook's own, from nutrition labels; own copies of shipped ones."""

from __future__ import annotations

from typing import Annotated

from fastapi import Path

from vadouvan.api.context import Here
from vadouvan.api.router import router_of
from vadouvan.api.schemas.own_ingredient import LabelAnswer, LabelBody, LabelChange, OwnIngredientOut
from vadouvan.api.schemas.pantry import pantry_item_out
from vadouvan.core.parsing.label import as_label, read_label
from vadouvan.errors import InputError
from vadouvan.formats.problem_out import problem_out
from vadouvan.store.beside import MadeFrom
from vadouvan.store.own_ingredients import OwnIngredient
from vadouvan.use_cases.running_kitchen import RunningKitchen

router = router_of("/api/own-ingredients", "own ingredients")

Identity = Annotated[str, Path(max_length=64)]


def _answer(kept: OwnIngredient, here: RunningKitchen) -> OwnIngredientOut:
    body = LabelBody.model_validate(kept.said)
    return OwnIngredientOut(id=kept.id, said=body, reading=_reading(body, kept.id, here))


def _reading(body: LabelBody, identity: str, here: RunningKitchen) -> LabelAnswer:
    """A label's ingredient, or what is wrong with it: an answer either way."""
    try:
        reading = read_label(body.to_core(), identity, here.tables.pantry.by_id)
    except InputError as error:
        return LabelAnswer(assumed=[], problem=problem_out(error))
    item = pantry_item_out(reading.ingredient, here.tables.sources)
    return LabelAnswer(item=item, assumed=list(reading.assumed))


@router.get("")
def list_own_ingredients(here: Here) -> list[OwnIngredientOut]:
    """All labels of the cook, newest first."""
    return [_answer(kept, here) for kept in here.own_ingredients.all()]


@router.post("/reading")
def read_label_as_typed(body: LabelBody, here: Here) -> LabelAnswer:
    """Contents by a label that is being typed."""
    return _reading(body, "typed", here)


@router.get("/start/{identity}")
def start_from_shipped(identity: Identity, here: Here) -> LabelBody:
    """A shipped ingredient as a label, for an own copy of it."""
    items = here.tables.pantry.by_id
    if identity not in items:
        wrong, accepted = f'"{identity}" is not in the pantry.', "Choose an ingredient of the pantry."
        raise InputError(field="like", given=identity, wrong=wrong, accepted=accepted)
    return LabelBody.model_validate(as_label(items[identity]))


@router.post("", status_code=201)
def keep_own_ingredient(body: LabelBody, here: Here) -> OwnIngredientOut:
    """Keep a label as an ingredient of the cook's own; its name comes before shipped ones."""
    said, identity = body.to_core(), here.new_id()
    read_label(said, identity, here.tables.pantry.by_id)
    here.own_ingredients.keep(identity, said, now=here.now())
    return _answer(OwnIngredient(identity, said), here)


@router.put("/{identity}")
def change_own_ingredient(identity: Identity, body: LabelChange, here: Here) -> OwnIngredientOut:
    """Change a kept label beside what was changed elsewhere; 409 where both changed one answer, with both values."""
    said = body.to_core()
    read_label(said, identity, here.tables.pantry.by_id)
    made_from = MadeFrom(None if body.since is None else body.since.to_core(), body.prefer)
    kept = here.own_ingredients.change(identity, said, now=here.now(), made_from=made_from)
    return _answer(OwnIngredient(identity, kept), here)


@router.delete("/{identity}", status_code=204)
def remove_own_ingredient(identity: Identity, here: Here) -> None:
    """Remove a label; batches that name it say so."""
    here.own_ingredients.remove(identity)
