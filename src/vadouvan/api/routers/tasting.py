"""After the meal: verdicts, what they teach, the next batch; and the logbook of what was eaten."""

from __future__ import annotations

from typing import Annotated

from fastapi import Path, Query, Request, Response
from fastapi.concurrency import run_in_threadpool
from pydantic import BaseModel, ConfigDict, Field

from vadouvan.api.context import Here
from vadouvan.api.router import body_of_a_file, router_of
from vadouvan.api.routers.batches import answer
from vadouvan.api.schemas.batch import BatchOut
from vadouvan.api.schemas.text import Text
from vadouvan.core.draft.merging import Side
from vadouvan.core.draft.typed import CutInput
from vadouvan.core.tasting.cut_face import FaceMarks, Point
from vadouvan.core.tasting.hold_history import as_held
from vadouvan.core.tasting.last_good import last_good
from vadouvan.core.tasting.logbook import MOST_BESIDE, Asked, found, side_by_side, thread_of
from vadouvan.core.tasting.next_time import next_time
from vadouvan.core.tasting.teaching import learned_says
from vadouvan.core.tasting.verdict import ASPECTS, LONGEST_NOTE_KEPT, WORDS, VerdictInput, readable_verdicts
from vadouvan.errors import InputError, NotKept
from vadouvan.formats.tasting_out import (
    CameFrom,
    CutFaceOut,
    EntryOut,
    LastGoodOut,
    OwnCorrectionOut,
    TasteOut,
    correction_out,
    cut_face_out,
    entry_out,
    last_good_out,
    taste_out,
)
from vadouvan.store.beside import MadeFrom
from vadouvan.store.verdicts import LessonWeight
from vadouvan.unchanging import unchanging
from vadouvan.use_cases.learning import learn, taught_by
from vadouvan.use_cases.running_kitchen import RunningKitchen
from vadouvan.use_cases.tasting import again, next_batch
from vadouvan.use_cases.tasting import keep_verdict as keep_one_verdict

router = router_of("/api", "taste")

Identity = Annotated[str, Path(max_length=64)]
Asking = Annotated[str, Query(max_length=200)]
PAGE = 50
_PICTURE = body_of_a_file("image/jpeg")


class VerdictBody(BaseModel):
    """A verdict as it is said."""

    model_config = ConfigDict(extra="forbid")

    eater: Text = ""
    words: dict[Text, Text] = Field(default={}, max_length=20)
    depth: Text = ""
    note: Annotated[str, Field(max_length=LONGEST_NOTE_KEPT)] = ""

    def to_core(self) -> VerdictInput:
        """In the shape of the core."""
        return VerdictInput(self.eater.strip(), self.words, self.depth, self.note)


class VerdictKept(VerdictBody):
    """A verdict, what it was made from (this eater's earlier one, if known), and who stands where both changed one."""

    since: VerdictBody | None = None
    prefer: Side | None = None


class MarksBody(BaseModel):
    """Points on a photograph: the face that the mix lay on, the face opposite, and where seasoning ends."""

    model_config = ConfigDict(extra="forbid")

    face: Point
    opposite: Point
    reached: Point


class LessonBody(BaseModel):
    """How a batch, null for all, is learned from: as usual, not at all, or even though it lies far from the others."""

    batch_id: Annotated[str, Field(max_length=64)] | None = None
    lesson: LessonWeight = "forgotten"


@unchanging(kw_only=True)
class LogbookOut:
    """Entries that fit, a page of them, and how many there are."""

    entries: list[EntryOut]
    count: int


@unchanging(kw_only=True)
class RowOut:
    """One thing in which batches differ."""

    what: str
    values: list[str]


@unchanging(kw_only=True)
class BesideOut:
    """Batches side by side: their names, and only what differs."""

    names: list[str]
    rows: list[RowOut]


@router.get("/taste/scales")
def list_scales() -> dict[str, list[str]]:
    """The five words for each thing that is tasted."""
    return {aspect: list(WORDS[aspect]) for aspect in ASPECTS}


@router.get("/taste/correction")
def get_correction(here: Here) -> OwnCorrectionOut:
    """Lessons of the verdicts, how sure it is, and what it rests on."""
    tasted = here.logbook_cache.tasted()
    return correction_out(taught_by(tasted, here), tasted)


@router.post("/taste/lesson")
def weigh_lesson(body: LessonBody, here: Here) -> OwnCorrectionOut:
    """Learn nothing from one batch, or from all; or from them again; or from one that was left out."""
    here.verdicts.weigh(body.batch_id, body.lesson)
    learn(here)
    return get_correction(here)


@router.get("/taste/{identity}")
def get_taste(identity: Identity, here: Here) -> TasteOut:
    """Verdicts on a batch, and what to change next time."""
    kept = here.batches.get(identity)
    said = here.verdicts.of(identity)
    verdicts = list(readable_verdicts(one.said for one in said))
    kitchen, now = here.kitchen, here.now()
    held = as_held(here.judged(kept.draft))
    advice = next_time(kept.draft, verdicts, kitchen, now=now)
    descents = {one.batch_id: one for one in here.verdicts.descents()}
    origin = descents.get(identity)
    name = here.batches.get(origin.from_id).draft.name if origin and here.batches.is_kept(origin.from_id) else ""
    return taste_out(
        [one.said for one in said],
        held,
        advice,
        CameFrom(name, origin.says) if origin else CameFrom(),
        learned_says(taught_by(here.logbook_cache.tasted(), here), identity),
        _cut_face(identity, here),
    )


@router.get("/taste/{identity}/last-good")
def get_last_good(identity: Identity, here: Here) -> LastGoodOut | None:
    """The last batch of the same dish that was just right, with its balance; nothing if there was none."""
    name = here.batches.get(identity).draft.name
    came_from = {one.batch_id: one.from_id for one in here.verdicts.descents()}
    entry = last_good(here.logbook_cache.entries(), itself=identity, name=name, came_from=came_from)
    return None if entry is None else last_good_out(entry, here.judged_shown(entry.draft))


@router.put("/taste/{identity}")
def keep_verdict(identity: Identity, body: VerdictKept, here: Here) -> TasteOut:
    """Keep what one eater said; the cook's own correction follows. 409 where it was said elsewhere otherwise."""
    made_from = MadeFrom(None if body.since is None else body.since.to_core(), body.prefer)
    keep_one_verdict(identity, body.to_core(), made_from, here)
    return get_taste(identity, here)


@router.delete("/taste/{identity}")
def remove_verdict(identity: Identity, here: Here, eater: Asking = "") -> TasteOut:
    """Remove what one eater said."""
    here.verdicts.remove(identity, eater)
    learn(here)
    return get_taste(identity, here)


@router.put("/taste/{identity}/photograph", openapi_extra=_PICTURE)
async def keep_photograph(identity: Identity, request: Request, here: Here) -> TasteOut:
    """Keep a photograph of the cut face, made small and without its metadata, in the place of an earlier one."""
    from vadouvan.formats.photograph import LARGEST_BYTES  # noqa: PLC0415 - loaded when a picture comes

    data = bytearray()
    async for part in request.stream():
        data += part
        if len(data) > LARGEST_BYTES:
            break
    return await run_in_threadpool(_with_photograph, identity, bytes(data), here)


@router.get("/taste/{identity}/photograph", response_class=Response)
def get_photograph(identity: Identity, here: Here) -> Response:
    """The photograph of the cut face, as JPEG."""
    face = here.cut_faces.of(identity)
    if face is None:
        raise NotKept("photograph", identity)
    return Response(face.jpeg, media_type="image/jpeg", headers={"Cache-Control": "no-cache"})


@router.put("/taste/{identity}/photograph/marks")
def mark_photograph(identity: Identity, body: MarksBody, here: Here) -> TasteOut:
    """Keep the points marked on it; the answer has the depth that they tell."""
    here.cut_faces.mark(identity, FaceMarks(body.face, body.opposite, body.reached))
    return get_taste(identity, here)


@router.delete("/taste/{identity}/photograph")
def remove_photograph(identity: Identity, here: Here) -> TasteOut:
    """Remove the photograph; verdicts stay, with the depth that they say."""
    here.cut_faces.remove(identity)
    return get_taste(identity, here)


def _with_photograph(identity: str, data: bytes, here: RunningKitchen) -> TasteOut:
    from vadouvan.formats.photograph import made_small  # noqa: PLC0415

    here.cut_faces.keep(identity, made_small(data))
    return get_taste(identity, here)


@router.post("/taste/{identity}/next", status_code=201)
def make_next(identity: Identity, here: Here) -> BatchOut:
    """The next batch of the same dish, with every change that the verdicts ask for."""
    return answer(next_batch(identity, here), here)


class LogbookQuestion(BaseModel):
    """Query of the logbook; empty is anything."""

    search: Annotated[str, Field(max_length=200)] = ""
    cut: Annotated[str, Field(max_length=200)] = ""
    species: Annotated[str, Field(max_length=200)] = ""
    school: Annotated[str, Field(max_length=200)] = ""
    verdict: Annotated[str, Field(max_length=200)] = ""
    ingredient: Annotated[str, Field(max_length=200)] = ""
    page: Annotated[int, Field(ge=0, le=10_000)] = 0


@router.get("/logbook")
def look_in_logbook(asked: Annotated[LogbookQuestion, Query()], here: Here) -> LogbookOut:
    """Batches that were eaten, the latest first."""
    cuts = here.kitchen.cuts
    fit = found(here.logbook_cache.entries(), Asked(**asked.model_dump(exclude={"page"})), cuts)
    shown = fit[asked.page * PAGE : (asked.page + 1) * PAGE]
    return LogbookOut(entries=[entry_out(entry, cuts) for entry in shown], count=len(fit))


@router.get("/logbook/beside")
def look_beside(here: Here, ids: Annotated[str, Query(max_length=400)]) -> BesideOut:
    """Two to four batches side by side, differences only."""
    wanted = [identity for identity in ids.split(",") if identity]
    if not 2 <= len(wanted) <= MOST_BESIDE:
        raise InputError(
            field="ids", given=ids[:60], wrong=f"{len(wanted)} batches.", accepted="Choose two to four of them."
        )
    by_id = {entry.id: entry for entry in here.logbook_cache.entries()}
    missing = next((identity for identity in wanted if identity not in by_id), None)
    if missing is not None:
        raise NotKept("batch in the logbook", missing)
    entries = [by_id[identity] for identity in wanted]
    rows = side_by_side(entries, here.kitchen.cuts)
    names = [entry.draft.name or "Unnamed batch" for entry in entries]
    return BesideOut(names=names, rows=[RowOut(what=row.what, values=list(row.values)) for row in rows])


@router.get("/logbook/{identity}/thread")
def follow_thread(identity: Identity, here: Here) -> list[EntryOut]:
    """All repeats of one dish, from the first, each with what was changed."""
    cuts = here.kitchen.cuts
    return [entry_out(entry, cuts) for entry in thread_of(identity, here.logbook_cache.entries())]


class AgainBody(BaseModel):
    """Other answers about the cut; empty is as it was."""

    model_config = ConfigDict(extra="forbid")

    kind: Text = ""
    mass: Text = ""
    thickness: Text = ""


@router.post("/logbook/{identity}/again", status_code=201)
def make_again(identity: Identity, body: AgainBody, here: Here) -> BatchOut:
    """A batch of the logbook made again, on another cut if one is said: its amounts are worked out anew."""
    return answer(again(identity, CutInput(**body.model_dump()), here), here)


def _cut_face(identity: str, here: RunningKitchen) -> CutFaceOut | None:
    face = here.cut_faces.of(identity)
    if face is None:
        return None
    cut = here.judged(here.batches.get(identity).draft).reading.cut
    return cut_face_out(face, cut.thickness_m if cut else None)
