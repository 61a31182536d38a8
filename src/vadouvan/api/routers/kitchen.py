"""The whole kitchen: out as an archive and in again, backup, restore, check, and everything removed."""

from __future__ import annotations

import tempfile
from pathlib import Path
from typing import Annotated

from fastapi import Query, Request, Response
from fastapi.concurrency import run_in_threadpool
from fastapi.responses import FileResponse
from starlette.background import BackgroundTask

from vadouvan.api.context import Here
from vadouvan.api.router import body_of_a_file, router_of
from vadouvan.core.snapshot.kitchen import KitchenSnapshot
from vadouvan.core.snapshot.merging import FATES, Fate, Merge, ThingKind, merged
from vadouvan.errors import InputError
from vadouvan.formats.archive.container import LARGEST_ARCHIVE_BYTES, too_large
from vadouvan.formats.archive.kitchen_archive import kitchen_to_take_in
from vadouvan.store.keeping import Checked
from vadouvan.unchanging import unchanging
from vadouvan.use_cases.archives import beside, put_back
from vadouvan.use_cases.cards import write_archive
from vadouvan.use_cases.learning import learn
from vadouvan.use_cases.running_kitchen import RunningKitchen

router = router_of("/api/kitchen", "kitchen")

MOST_TOLD = 200
LARGEST_BACKUP_BYTES = 2_000_000_000  # it has every step of undo
CLEAR_WORD = "remove everything"
_BODY = body_of_a_file("application/octet-stream")


@unchanging(kw_only=True)
class TakenOut:
    """Fate of one thing of an archive: ``says`` completes a sentence that begins with its name."""

    kind: ThingKind
    name: str
    fate: Fate
    says: str


@unchanging(kw_only=True)
class MergeOut:
    """Effects of taking an archive in: counts by fate, each thing, and notes on the archive itself."""

    says: str
    counts: dict[str, int]
    told: list[TakenOut]
    notes: list[str]


@unchanging(kw_only=True)
class CheckOut:
    """The check of the store: rows read, and what is wrong with where it stands."""

    says: str
    rows: int
    findings: list[str]


@router.get("/archive", response_class=Response)
def get_archive(here: Here) -> Response:
    """The whole kitchen as one archive of open files."""
    now = here.now()
    data = write_archive(here.snapshots.read(), here.kitchen, now=now)
    return _download(data, f"vadouvan-kitchen-{now:%Y-%m-%d}.zip", "application/zip")


@router.post("/archive/preview", openapi_extra=_BODY)
async def preview_archive(request: Request, here: Here, *, settings: bool = False) -> MergeOut:
    """Effects that taking an archive in would have; nothing is changed."""
    data = await _body(request)
    return await run_in_threadpool(_preview, data, here, with_settings=settings)


@router.post("/archive", openapi_extra=_BODY)
async def take_archive_in(request: Request, here: Here, *, settings: bool = False) -> MergeOut:
    """Take an archive in: all of it, or nothing if it cannot be read."""
    data = await _body(request)
    return await run_in_threadpool(_take_in, data, here, with_settings=settings)


@unchanging(kw_only=True)
class WorkOut:
    """Work that goes on: the part that is being done, and how far it is."""

    what: str
    done: int
    total: int
    can_stop: bool


@router.get("/work")
def look_at_work(here: Here) -> WorkOut | None:
    """How far the long work of this kitchen is; nothing while none goes on."""
    work = here.long_work.now
    return None if work is None else WorkOut(what=work.what, done=work.done, total=work.total, can_stop=work.can_stop)


@router.post("/work/stop", status_code=204)
def stop_work(here: Here) -> None:
    """Stop the long work that goes on, before anything of it is kept."""
    here.long_work.stop()


@router.get("/backup", response_class=FileResponse)
def get_backup(here: Here) -> FileResponse:
    """A copy of the kitchen's file, with undo and all, taken while it is in use; sent from the disk, piece by piece."""
    folder = tempfile.TemporaryDirectory()
    copy = Path(folder.name) / "backup.sqlite"
    try:
        here.file.backup(copy)
    except Exception:
        folder.cleanup()
        raise
    name = f"vadouvan-backup-{here.now():%Y-%m-%d-%H%M}.sqlite"
    sent = BackgroundTask(folder.cleanup)
    return FileResponse(copy, media_type="application/vnd.sqlite3", filename=name, background=sent)


@router.post("/restore", openapi_extra=_BODY)
async def restore_backup(request: Request, here: Here) -> CheckOut:
    """Put a backup in the place of the kitchen; the kitchen as it was is kept beside it."""
    with tempfile.TemporaryDirectory() as folder:
        source = Path(folder) / "backup.sqlite"
        size = 0
        with source.open("wb") as file:
            async for part in request.stream():
                size += len(part)
                if size > LARGEST_BACKUP_BYTES:
                    raise _backup_too_large(size)
                file.write(part)
        return await run_in_threadpool(_restore, source, here)


@router.get("/unread")
def get_unread(here: Here) -> CheckOut:
    """Rows that cannot be read any more and stand aside, by name: a quick look, which the Counter takes."""
    rows = here.unread()
    names = {one: here.batches.get(one).draft.name for one in {row.batch_id for row in rows} if one}
    told = [row.where.replace(row.batch_id, f"“{names[row.batch_id]}”") if row.batch_id else row.where for row in rows]
    things = "1 thing" if len(rows) == 1 else f"{len(rows)} things"
    says = "" if not rows else f"{things} in the kitchen's file cannot be read any more."
    return CheckOut(says=says, rows=len(rows), findings=told[:MOST_TOLD])


@router.get("/check")
def check_store(here: Here) -> CheckOut:
    """Read everything that is kept, as the application would."""
    return _checked(here.file.check())


@router.delete("", status_code=200)
def remove_everything(here: Here, sure: Annotated[str, Query(max_length=40)] = "") -> CheckOut:
    """Remove all batches, own ingredients, own cuts and settings; a backup is kept beside the kitchen first."""
    if sure != CLEAR_WORD:
        wrong = "Removing everything has to be said in words."
        raise InputError(field="sure", given=sure, wrong=wrong, accepted=f'Write "{CLEAR_WORD}".')
    aside = beside(here.file, "removed", now=here.now())
    here.snapshots.clear(first=lambda: here.file.backup(aside))
    here.look_again()
    return CheckOut(says=f"Everything was removed. A backup of it is kept in {aside}.", rows=0, findings=[])


def _preview(data: bytes, here: RunningKitchen, *, with_settings: bool) -> MergeOut:
    with here.long_work.going_on() as work:
        there, notes = kitchen_to_take_in(data, here.tables.pantry, work.tell)
    return _merge_out(merged(here.snapshots.read(), there, with_settings=with_settings), notes, done=False)


def _take_in(data: bytes, here: RunningKitchen, *, with_settings: bool) -> MergeOut:
    with here.long_work.going_on() as work:
        there, notes = kitchen_to_take_in(data, here.tables.pantry, work.tell)

        def merging(own: KitchenSnapshot) -> Merge:
            """With the kitchen as it stands."""
            return merged(own, there, with_settings=with_settings)

        merge = here.snapshots.take_in(merging, now=here.now(), tell=work.tell)
        work.kept("Working out what they teach")
        learn(here)
    return _merge_out(merge, notes, done=True)


def _restore(source: Path, here: RunningKitchen) -> CheckOut:
    checked, aside = put_back(here.file, source, now=here.now())
    here.look_again()
    learn(here)
    says = f"Put back, {checked.rows} rows. The kitchen as it was is kept in {aside}."
    return CheckOut(says=says, rows=checked.rows, findings=[])


def _backup_too_large(size: int) -> InputError:
    wrong = f"This is {size // 1_000_000} MB or more."
    accepted = f"A backup of up to {LARGEST_BACKUP_BYTES // 1_000_000} MB is put back; kitchens are smaller."
    return InputError(field="backup", given="", wrong=wrong, accepted=accepted)


def _checked(checked: Checked) -> CheckOut:
    wrong = len(checked.findings)
    told = "1 thing is not as it should be." if wrong == 1 else f"{wrong} things are not as they should be."
    says = told if wrong else f"All well: {checked.rows} rows read."
    return CheckOut(says=says, rows=checked.rows, findings=[f"{one.where}: {one.says}" for one in checked.findings])


def _merge_out(merge: Merge, notes: tuple[str, ...], *, done: bool) -> MergeOut:
    counts: dict[str, int] = {fate: merge.count(fate) for fate in FATES}
    brought = [
        (merge.count("new", "batch") + merge.count("beside", "batch"), "batch", "batches"),
        (merge.count("added_to", "batch"), "batch added to", "batches added to"),
        (merge.count("new", "ingredient") + merge.count("beside", "ingredient"), "ingredient", "ingredients"),
        (merge.count("new", "cut") + merge.count("beside", "cut"), "cut", "cuts"),
        (merge.count("new", "settings") + merge.count("replaced", "settings"), "setting", "settings"),
    ]
    words = ", ".join(f"{count} {one if count == 1 else many}" for count, one, many in brought if count)
    if done:
        says = f"Taken in: {words}." if words else "Nothing was new."
    else:
        says = f"Would come in: {words}." if words else "Nothing in it is new here."
    told = [
        TakenOut(kind=one.kind, name=one.name, fate=one.fate, says=FATES[one.fate]) for one in merge.told[:MOST_TOLD]
    ]
    return MergeOut(says=says, counts=counts, told=told, notes=list(notes))


async def _body(request: Request) -> bytes:
    """The file in a request, refused as soon as it is too large."""
    said = request.headers.get("content-length", "")
    if said.isdigit() and int(said) > LARGEST_ARCHIVE_BYTES:
        raise too_large(int(said))
    data = bytearray()
    async for part in request.stream():
        data += part
        if len(data) > LARGEST_ARCHIVE_BYTES:
            raise too_large(len(data))
    return bytes(data)


def _download(data: bytes, name: str, kind: str) -> Response:
    return Response(data, media_type=kind, headers={"Content-Disposition": f'attachment; filename="{name}"'})
