"""Batches: made, changed, judged, removed, written to a file and read from one."""

from __future__ import annotations

from typing import Annotated, Literal

from fastapi import Path, Query, Response

from vadouvan.api.context import Here
from vadouvan.api.router import router_of
from vadouvan.api.schemas.batch import AtBody, BatchFileBody, BatchOut, ChangeBody, ChangedOut
from vadouvan.api.told_in import AsRead
from vadouvan.core.cut.cover import Cover
from vadouvan.core.cut.shape import Bone, ShapeName
from vadouvan.core.draft.typed import CutInput, Draft
from vadouvan.core.judgement.judge import unjudged
from vadouvan.core.weighing.locking import refuse_what_is_locked
from vadouvan.errors import NotKept
from vadouvan.formats import batch_file
from vadouvan.formats.any_file import read_any
from vadouvan.formats.brought import Brought, cut_input
from vadouvan.formats.card import card_told_anew, markdown_of
from vadouvan.formats.course_out import CourseOut, course_out
from vadouvan.formats.cut_out import CubeChoiceOut, cube_choices_out
from vadouvan.formats.judgement import (
    BalanceInMixOut,
    JudgementShown,
    WorkingOut,
    balance_in_mix_out,
    judgement_shown,
    working_out,
)
from vadouvan.formats.mix_out import SaltOfferOut, salt_offers_out
from vadouvan.formats.recipe import write_recipe
from vadouvan.store.batches import Origin, Way
from vadouvan.store.standing import KeptBatch
from vadouvan.unchanging import unchanging
from vadouvan.use_cases.cards import card_of_batch
from vadouvan.use_cases.running_kitchen import RunningKitchen

router = router_of("/api/batches", "batches")

Identity = Annotated[str, Path(max_length=64)]


def answer(kept: KeptBatch, here: RunningKitchen) -> BatchOut:
    """A kept batch as the page gets it, judged as of now."""
    return _out(kept, here.judged_shown(kept.draft), here)


def _out(kept: KeptBatch, judged: JudgementShown, here: RunningKitchen) -> BatchOut:
    if kept.damaged:
        kitchen = here.kitchen
        judged = judgement_shown(unjudged("its row is damaged", kitchen, now=here.now()), kitchen)
    return BatchOut(
        id=kept.id,
        revision=kept.revision,
        draft=kept.draft,
        judgement=judged,
        can_undo=kept.can_undo,
        can_redo=kept.can_redo,
        locked=kept.locked,
        tasted=kept.tasted,
    )


@router.get("")
def list_batches(here: Here) -> list[BatchOut]:
    """Batches in hand in the order they were made, judged; tasted ones are in the logbook."""
    in_hand = here.in_hand()
    judged = here.all_shown(kept.draft for kept in in_hand)
    return [_out(kept, one, here) for kept, one in zip(in_hand, judged, strict=True)]


@router.post("", status_code=201)
def make_batch(draft: Draft, here: Here) -> BatchOut:
    """Keep a new batch."""
    return answer(here.batches.add(here.new_id(), here.started(draft), now=here.now()), here)


@unchanging(kw_only=True)
class CutMeantOut:
    """A cut that a line may mean, as an answer about the cut."""

    name: str
    shape: ShapeName
    bone: Bone
    cover: Cover
    thickness_mm: float
    cut: CutInput


@unchanging(kw_only=True)
class CutAskedOut:
    """A line of meat that does not say which cut, and the few that it may be."""

    line: str
    cuts: list[CutMeantOut]


@unchanging(kw_only=True)
class BroughtOut:
    """A batch made from a file, and in words what could not be taken over."""

    batch: BatchOut
    notes: list[str]
    asks: CutAskedOut | None = None


@router.post("/from-file", status_code=201)
def make_batch_from_file(body: BatchFileBody, here: Here) -> BroughtOut:
    """Keep a new batch read from the text of a batch file, a recipe in JSON-LD, or a list of ingredients."""
    brought = read_any(body.text, here.kitchen)
    draft = brought.draft if brought.is_ours else here.started(brought.draft)
    kept = here.batches.add(here.new_id(), draft, now=here.now())
    return BroughtOut(batch=answer(kept, here), notes=list(brought.notes), asks=_asks(brought, here))


def _asks(brought: Brought, here: RunningKitchen) -> CutAskedOut | None:
    if not brought.cuts_meant:
        return None
    kinds = [(here.kitchen.cuts[one.kind], one) for one in brought.cuts_meant]
    return CutAskedOut(
        line=brought.meat_line,
        cuts=[
            CutMeantOut(
                name=kind.name,
                shape=kind.shape,
                bone=kind.bone,
                cover=kind.cover,
                thickness_mm=kind.thickness_m * 1000,
                cut=cut_input(one),
            )
            for kind, one in kinds
        ],
    )


@router.get("/{identity}")
def get_batch(identity: Identity, here: Here) -> BatchOut:
    """One batch with its judgement as of now."""
    return answer(here.batches.get(identity), here)


@router.put("/{identity}")
def change_batch(identity: Identity, change: ChangeBody, here: Here) -> ChangedOut:
    """Keep a changed draft beside what was changed elsewhere; 409 where both changed one field, with both values.

    The draft is told only where it is another than was sent.
    """
    origin = Origin(change.revision, change.since, change.prefer)
    kept = here.batches.change(identity, change.draft, origin, now=here.now(), check=refuse_what_is_locked)
    told = answer(kept, here)
    return ChangedOut(**vars(told) | {"draft": None if kept.draft == change.draft else kept.draft})


@router.post("/{identity}/undo")
def undo_change(identity: Identity, at: AtBody, here: Here) -> BatchOut:
    """Go one change back; the same batch if there is none."""
    return _stepped(identity, "undo", at, here)


@router.post("/{identity}/redo")
def redo_change(identity: Identity, at: AtBody, here: Here) -> BatchOut:
    """Take an undone change again; the same batch if there is none."""
    return _stepped(identity, "redo", at, here)


def _stepped(identity: str, way: Way, at: AtBody, here: RunningKitchen) -> BatchOut:
    now, check = here.now(), refuse_what_is_locked
    return answer(here.batches.step(identity, way, revision=at.revision, now=now, check=check), here)


@router.get("/{identity}/cubes")
def get_cube_series(identity: Identity, here: Here) -> list[CubeChoiceOut]:
    """Effects of bigger and smaller cubes of the same meat in the same mix; empty while not judged."""
    judgement = here.judged(here.batches.get(identity).draft)
    return cube_choices_out(judgement)


@router.delete("/{identity}", status_code=204)
def remove_batch(identity: Identity, here: Here) -> None:
    """Remove a batch."""
    here.batches.remove(identity)


@router.get("/{identity}/course")
def course_of_batch(identity: Identity, here: Here) -> CourseOut | None:
    """Salt, acid and softening at each hour of the hold; nothing while it cannot be judged."""
    course = here.judged(here.batches.get(identity).draft).course
    return course_out(course) if course else None


@router.get("/{identity}/salt-offers")
def ways_to_the_salt(identity: Identity, here: Here) -> list[SaltOfferOut]:
    """Lines to add or to change that bring the salt to its target; empty where it is there, or while not judged."""
    return salt_offers_out(here.judged(here.batches.get(identity).draft))


@router.get("/{identity}/balance-in-mix")
def balance_in_mix(identity: Identity, here: Here) -> BalanceInMixOut:
    """The balance for a kilogram of mix instead of meat, with its figures."""
    return balance_in_mix_out(here.judged(here.batches.get(identity).draft))


@router.get("/{identity}/working")
def working_of_figure(identity: Identity, here: Here, figure: Annotated[str, Query(max_length=100)]) -> WorkingOut:
    """Inputs, rule and sources of one figure of the judgement."""
    found = next((one for one in here.judged(here.batches.get(identity).draft).all_figures if one.name == figure), None)
    if found is None:
        raise NotKept("figure", figure)
    return working_out(found, here.kitchen.sources)


FileKind = Literal["file", "recipe", "card", "card.pdf"]


@router.get("/{identity}/{kind}", response_class=Response)
def get_batch_file(identity: Identity, kind: FileKind, here: Here, as_read: AsRead) -> Response:
    """The batch as a batch file, as a recipe (JSON-LD), or as a card (Markdown or PDF)."""
    kept = here.batches.get(identity)
    if kind == "file" and kept.damaged:
        return _file(kept.damaged, "text/plain; charset=utf-8", f"damaged-{kept.id[:8]}.txt")
    if kind == "file":
        return _file(batch_file.write(kept.draft), "application/json", f"batch-{kept.id[:8]}.json")
    snapshot = here.snapshots.batch(identity)
    card = card_of_batch(snapshot, here.kitchen, now=here.now())
    if kind == "recipe":
        return _file(write_recipe(snapshot, card), "application/ld+json", f"recipe-{kept.id[:8]}.jsonld")
    card = card_told_anew(card, as_read)
    if kind == "card":
        return _file(markdown_of(card), "text/markdown; charset=utf-8", f"card-{kept.id[:8]}.md")
    from vadouvan.formats.paper_card import cards_pdf  # noqa: PLC0415 - loaded when something is printed

    return _file(cards_pdf([card], now=here.now()), "application/pdf", f"card-{kept.id[:8]}.pdf")


def _file(content: str | bytes, kind: str, name: str) -> Response:
    return Response(content, media_type=kind, headers={"Content-Disposition": f'attachment; filename="{name}"'})
