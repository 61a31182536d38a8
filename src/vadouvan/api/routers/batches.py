"""Batches: made, changed, judged, removed, written to a file and read from one."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Annotated

from fastapi import APIRouter, Path, Response

from vadouvan.api.context import Context, Here
from vadouvan.api.schemas.batch import AtBody, BatchFileBody, BatchOut, ChangeBody
from vadouvan.api.schemas.draft import DraftBody
from vadouvan.core.draft import Draft
from vadouvan.core.judge import judge
from vadouvan.core.weigh.as_weighed import locked_parts_changed
from vadouvan.errors import InputError
from vadouvan.formats import batch_file
from vadouvan.formats.cut_out import CubeChoiceOut, cube_choices_out
from vadouvan.formats.judgement import judgement_out
from vadouvan.store.batches import Check, KeptBatch, Way

router = APIRouter(prefix="/api/batches", tags=["batches"])

Identity = Annotated[str, Path(max_length=64)]


@dataclass(frozen=True)
class Marks:
    """What is known of a batch besides its draft: its mix has met the meat; somebody tasted it."""

    locked: bool = False
    tasted: bool = False


def answer(kept: KeptBatch, here: Context, marks: Marks | None = None) -> BatchOut:
    """A kept batch as the page gets it, judged as of now."""
    kitchen = here.kitchen
    if marks is None:
        marks = Marks(kept.id in here.presses.in_contact(kept.id), bool(here.verdicts.of(kept.id)))
    judgement = judge(kept.draft, kitchen, now=here.now())
    return BatchOut(
        id=kept.id,
        revision=kept.revision,
        draft=DraftBody.model_validate(kept.draft),
        judgement=judgement_out(judgement, kitchen),
        can_undo=kept.can_undo,
        can_redo=kept.can_redo,
        locked=marks.locked,
        tasted=marks.tasted,
    )


@router.get("")
def list_batches(here: Here) -> list[BatchOut]:
    """Batches in hand in the order they were made, judged but without their course; tasted ones are in the logbook."""
    locked = here.presses.in_contact()
    found = [answer(kept, here, Marks(kept.id in locked)) for kept in here.in_hand()]
    for batch in found:
        batch.judgement.course = None
    return found


@router.post("", status_code=201)
def make_batch(draft: DraftBody, here: Here) -> BatchOut:
    """Keep a new batch."""
    return answer(here.batches.add(here.new_id(), draft.to_core(), now=here.now()), here)


@router.post("/from-file", status_code=201)
def make_batch_from_file(body: BatchFileBody, here: Here) -> BatchOut:
    """Keep a new batch read from the text of a batch file."""
    draft = batch_file.read(body.text)
    return answer(here.batches.add(here.new_id(), draft, now=here.now()), here)


@router.get("/{identity}")
def get_batch(identity: Identity, here: Here) -> BatchOut:
    """One batch with its judgement as of now."""
    return answer(here.batches.get(identity), here)


@router.put("/{identity}")
def change_batch(identity: Identity, change: ChangeBody, here: Here) -> BatchOut:
    """Keep a changed draft; 409 if the batch was changed elsewhere since."""
    check = _locked_check(identity, here)
    kept = here.batches.change(identity, change.draft.to_core(), revision=change.revision, now=here.now(), check=check)
    return answer(kept, here)


@router.post("/{identity}/undo")
def undo_change(identity: Identity, at: AtBody, here: Here) -> BatchOut:
    """Go one change back; the same batch if there is none."""
    return _stepped(identity, "undo", at, here)


@router.post("/{identity}/redo")
def redo_change(identity: Identity, at: AtBody, here: Here) -> BatchOut:
    """Take an undone change again; the same batch if there is none."""
    return _stepped(identity, "redo", at, here)


def _stepped(identity: str, way: Way, at: AtBody, here: Context) -> BatchOut:
    check = _locked_check(identity, here)
    return answer(here.batches.step(identity, way, revision=at.revision, now=here.now(), check=check), here)


def _locked_check(identity: str, here: Context) -> Check | None:
    """Refuses changes to what is locked once the meat is in the mix."""
    if identity not in here.presses.in_contact(identity):
        return None

    def check(before: Draft, after: Draft) -> None:
        changed = locked_parts_changed(before, after)
        if changed:
            wrong = "The meat is in the mix: cut and mix stay as they were weighed."
            accepted = "Note what you add under Weigh-in; plan, hold and fire may still change."
            raise InputError(field=changed[0], given=changed[0], wrong=wrong, accepted=accepted)

    return check


@router.get("/{identity}/cubes")
def get_cube_series(identity: Identity, here: Here) -> list[CubeChoiceOut]:
    """What bigger and smaller cubes of the same meat in the same mix would do; empty while not judged."""
    judgement = judge(here.batches.get(identity).draft, here.kitchen, now=here.now())
    return cube_choices_out(judgement)


@router.delete("/{identity}", status_code=204)
def remove_batch(identity: Identity, here: Here) -> None:
    """Remove a batch."""
    here.batches.remove(identity)


@router.get("/{identity}/file", response_class=Response)
def get_batch_file(identity: Identity, here: Here) -> Response:
    """The batch as a file."""
    kept = here.batches.get(identity)
    return Response(
        batch_file.write(kept.draft),
        media_type="application/json",
        headers={"Content-Disposition": f'attachment; filename="batch-{kept.id[:8]}.json"'},
    )
