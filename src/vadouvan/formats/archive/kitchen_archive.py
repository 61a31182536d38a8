"""A whole kitchen to an archive and back.

What is read back: ``batches/``, ``records/``, ``photographs/``, ``pantry.csv`` (own ingredients),
``own_cuts.json``, ``settings.json``. The rest is there to be read by people and other programs: the logbook as a table,
the plan as a calendar, each batch as a recipe and as a card.
"""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import replace
from datetime import datetime

from vadouvan.core.clock.chain import PlanStep
from vadouvan.core.kitchen.kitchen import Kitchen
from vadouvan.core.pantry.pantry import Pantry
from vadouvan.core.snapshot.kitchen import BatchSnapshot, KitchenSnapshot, check_settings
from vadouvan.core.tasting.cut_face import checked_marks
from vadouvan.core.tasting.logbook import Entry, entry_of
from vadouvan.core.tasting.verdict import readable_verdicts
from vadouvan.errors import BadInput, VadouvanError
from vadouvan.formats import batch_file, batch_shape
from vadouvan.formats.archive.container import Unpacked, pack, refused, unpack
from vadouvan.formats.archive.records import read_batch, write_record
from vadouvan.formats.archive.settings_file import read_cuts, read_settings, write_cuts, write_settings
from vadouvan.formats.archive.tables import labels_in, logbook_csv, pantry_csv
from vadouvan.formats.card import Card, markdown_of
from vadouvan.formats.recipe import write_recipe
from vadouvan.progress import EVERY, Tell, silently
from vadouvan.unchanging import unchanging

BATCHES, RECORDS, RECIPES, CARDS, PHOTOGRAPHS = "batches", "records", "recipes", "cards", "photographs"
DAMAGED = "damaged"
PANTRY, OWN_CUTS, SETTINGS, LOGBOOK = "pantry.csv", "own_cuts.json", "settings.json", "logbook.csv"
NEEDED = (f"{BATCHES}/", f"{RECORDS}/", f"{PHOTOGRAPHS}/", PANTRY, OWN_CUTS, SETTINGS)
SCHEMA = f"{BATCHES}/batch.schema.json"
MOST_ON_PAPER = 60
READ_ME = """A kitchen of Vadouvan, as open files.

manifest.json    what is in here, with fingerprints
batches/         each batch as it was typed (JSON; batch.schema.json describes it)
records/         what happened to each batch: presses at the counter, verdicts, what it goes on from
photographs/     the cut face of a batch, as a picture (JPEG); its marks stand in the record
pantry.csv       every ingredient; those of your own with their labels
own_cuts.json    cuts of your own
settings.json    sleep and work, fridge and tubs, household
logbook.csv      what was eaten, for a spreadsheet
plans.ics        the plans of batches in hand, for a calendar
recipes/         each batch as a recipe (schema.org, JSON-LD)
cards/           each batch as a card (Markdown); cards.pdf has the latest, for paper

Settings takes it in again. It reads batches, records, photographs, pantry.csv, own_cuts.json and settings.json;
the rest is made from them.
"""


@unchanging
class BatchOnCard:
    """A batch with its card, and the steps of its plan while it is in hand."""

    batch: BatchSnapshot
    card: Card
    steps: tuple[PlanStep, ...] = ()


def pack_archive(
    snapshot: KitchenSnapshot, kitchen: Kitchen, on_cards: Sequence[BatchOnCard], *, now: datetime
) -> bytes:
    """The archive of a kitchen, its readable batches on cards; ``kitchen`` has the tables with the cook's own."""
    from vadouvan.formats.calendar_file import calendar_text  # noqa: PLC0415 - loaded when an archive is written
    from vadouvan.formats.paper_card import cards_pdf  # noqa: PLC0415

    files: dict[str, str | bytes] = {"README.txt": READ_ME, SCHEMA: batch_shape.json_schema()}
    for damaged in snapshot.batches:
        if damaged.damaged:  # its text as it is, to be mended by hand; nothing of it is taken in again
            files[f"{DAMAGED}/{damaged.id}.txt"] = damaged.damaged
    for number, (where, text) in enumerate(snapshot.unread, start=1):
        files[f"{DAMAGED}/row-{number}.txt"] = f"{where}\n\n{text}"
    for one in on_cards:
        batch, card = one.batch, one.card
        files[f"{BATCHES}/{batch.id}.json"] = batch_file.write(batch.draft)
        files[f"{RECORDS}/{batch.id}.json"] = write_record(batch)
        if batch.cut_face is not None:
            files[f"{PHOTOGRAPHS}/{batch.id}.jpg"] = batch.cut_face.jpeg
        files[f"{RECIPES}/{batch.id}.jsonld"] = write_recipe(batch, card, batch_path=f"../{BATCHES}/{batch.id}.json")
        files[f"{CARDS}/{batch.id}.md"] = markdown_of(card)
    files[PANTRY] = pantry_csv(kitchen.pantry.by_id.values(), snapshot.labels)
    files[OWN_CUTS] = write_cuts(snapshot.cuts)
    files[SETTINGS] = write_settings(snapshot.settings)
    files[LOGBOOK] = logbook_csv(entries_of(snapshot.batches), kitchen.cuts)
    plans = [(one.batch.id, one.batch.draft.name, one.steps) for one in on_cards if one.steps]
    files["plans.ics"] = calendar_text(plans, now=now)
    files[f"{CARDS}/cards.pdf"] = cards_pdf([one.card for one in _latest(on_cards)], now=now)
    packed = {path: data if isinstance(data, bytes) else data.encode() for path, data in files.items()}
    return pack(packed, now=now)


def read_archive(data: bytes, tell: Tell = silently) -> tuple[KitchenSnapshot, tuple[str, ...]]:
    """The kitchen in an archive, and notes on what was missing or changed in it; raises FormatError or BadInput."""
    unpacked = unpack(data, needed=NEEDED)
    for path in (PANTRY, OWN_CUTS, SETTINGS):
        if path not in unpacked.files:
            raise refused(f"The archive lacks {path}.")
    snapshot = KitchenSnapshot(
        tuple(_batches(unpacked, tell)),
        labels_in(_text(unpacked, PANTRY), name=PANTRY),
        read_cuts(_text(unpacked, OWN_CUTS), name=OWN_CUTS),
        read_settings(_text(unpacked, SETTINGS), name=SETTINGS),
    )
    return snapshot, unpacked.notes


def kitchen_to_take_in(data: bytes, pantry: Pantry, tell: Tell = silently) -> tuple[KitchenSnapshot, tuple[str, ...]]:
    """The kitchen in an archive, once its settings are known to be usable; raises FormatError."""
    snapshot, notes = read_archive(data, tell)
    try:
        check_settings(snapshot.settings, pantry)
    except BadInput as error:
        raise refused(f"{SETTINGS}: {error}") from None
    return snapshot, notes


def entries_of(batches: Sequence[BatchSnapshot]) -> list[Entry]:
    """The batches that were tasted, as entries of the logbook; a verdict that cannot be read is left out of them."""
    return [
        entry_of(
            batch.id,
            batch.draft,
            readable_verdicts(one.said for one in batch.verdicts),
            batch.from_id,
            batch.changed,
        )
        for batch in batches
        if batch.verdicts
    ]


def _latest(on_cards: Sequence[BatchOnCard]) -> list[BatchOnCard]:
    return sorted(on_cards, key=lambda one: one.batch.made_at, reverse=True)[:MOST_ON_PAPER]


def _batches(unpacked: Unpacked, tell: Tell) -> list[BatchSnapshot]:
    found: dict[str, BatchSnapshot] = {}
    batch_paths = {path for path in unpacked.files if path.startswith(f"{BATCHES}/") and path != SCHEMA}
    records = sorted(path for path in unpacked.files if path.startswith(f"{RECORDS}/"))
    for number, path in enumerate(records):
        if number % EVERY == 0:
            tell("Reading the archive", number, len(records))
        batch_path = f"{BATCHES}/{path.removeprefix(f'{RECORDS}/')}"
        if batch_path not in batch_paths:
            raise refused(f"{path} has no batch file beside it ({batch_path}).")
        batch_paths.discard(batch_path)
        try:
            batch = read_batch(_text(unpacked, path), _text(unpacked, batch_path), name=path)
        except VadouvanError as error:
            raise refused(f"{batch_path}: {error}") from None
        batch = _with_photograph(batch, unpacked)
        if batch.id in found:
            raise refused(f"Two records have the identity {batch.id}.", "Each batch has its own.")
        found[batch.id] = batch
    if batch_paths:
        raise refused(f"{min(batch_paths)} has no record beside it.")
    return sorted(found.values(), key=lambda batch: (batch.made_at, batch.id))


def _with_photograph(batch: BatchSnapshot, unpacked: Unpacked) -> BatchSnapshot:
    """The batch with the picture of its cut face; the record has the marks."""
    from vadouvan.formats.photograph import read_small  # noqa: PLC0415 - loaded when a picture is read

    path = f"{PHOTOGRAPHS}/{batch.id}.jpg"
    marks = batch.cut_face.marks if batch.cut_face else None
    if path not in unpacked.files:
        return replace(batch, cut_face=None)
    try:
        face = read_small(unpacked.files[path])
        return replace(batch, cut_face=replace(face, marks=None if marks is None else checked_marks(face, marks)))
    except VadouvanError as error:
        raise refused(f"{path}: {error}") from None


def _text(unpacked: Unpacked, path: str) -> str:
    try:
        return unpacked.files[path].decode()
    except UnicodeDecodeError:
        raise refused(f"{path} is not text in UTF-8.") from None
