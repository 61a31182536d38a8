"""Cuts of the cook's own."""

from __future__ import annotations

from typing import Annotated

from fastapi import Path

from vadouvan.api.context import Here
from vadouvan.api.router import router_of
from vadouvan.api.routers.tables import cut_out
from vadouvan.api.schemas.batch import CutOut, OwnCutInput
from vadouvan.core.cut.own import own_kind
from vadouvan.core.interpretation.draft import read_draft
from vadouvan.errors import InputError

router = router_of("/api/own-cuts", "own cuts")


@router.post("", status_code=201)
def keep_own_cut(body: OwnCutInput, here: Here) -> CutOut:
    """Keep the cut of a batch under a name; its answers become defaults."""
    reading = read_draft(here.batches.get(body.batch).draft, here.kitchen, now=here.now())
    if reading.cut is None:
        accepted = "Say what it is and mend what is marked, then keep it."
        raise InputError(field="cut", given="", wrong="The cut is not described well enough yet.", accepted=accepted)
    kind = own_kind(reading.cut, body.name, here.new_id())
    here.own_cuts.add(kind, now=here.now())
    return cut_out(kind)


@router.delete("/{identity}", status_code=204)
def remove_own_cut(identity: Annotated[str, Path(max_length=64)], here: Here) -> None:
    """Remove a cut of the cook's own."""
    here.own_cuts.remove(identity)
