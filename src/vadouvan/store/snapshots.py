"""The whole kitchen read at once, another taken in, and all of it removed: each in one transaction."""

from __future__ import annotations

import json
from collections import defaultdict
from collections.abc import Callable, Iterable, Iterator, Sequence
from dataclasses import asdict
from datetime import UTC, datetime
from typing import Any, TypeVar

from sqlalchemy import Connection, Engine, delete, select

from vadouvan.core.snapshot.kitchen import BatchSnapshot, KitchenSettings, KitchenSnapshot, OwnLabel, VerdictSnapshot
from vadouvan.core.snapshot.merging import Merge
from vadouvan.core.weighing.event import LoggedEvent
from vadouvan.errors import NotKept
from vadouvan.progress import EVERY, Tell, silently
from vadouvan.shapes import draft_to_json
from vadouvan.store.cut_faces import cut_face_row, with_or_without_marks
from vadouvan.store.database import reading
from vadouvan.store.own_cuts import kind_text, own_cut_in
from vadouvan.store.own_ingredients import label_text, own_label_in
from vadouvan.store.presses import logged_in, press_row
from vadouvan.store.readers import unread_rows
from vadouvan.store.rows import (
    BATCH,
    CUT_FACE,
    DESCENT,
    HISTORY,
    OWN_CUT,
    OWN_INGREDIENT,
    PRESS,
    SETTING,
    VERDICT,
    BatchRow,
    CutFaceRow,
    DescentRow,
    HistoryRow,
    OwnCutRow,
    OwnIngredientRow,
    PressRow,
    SettingRow,
    VerdictRow,
)
from vadouvan.store.settings_kept import HOUSEHOLD, ROUTINE, SHARED, household_in, routine_in, setting_in, shared_in
from vadouvan.store.standing import draft_in
from vadouvan.store.table import METADATA, TableOf, is_identity
from vadouvan.store.unread import moment_in, read_or_none, readable
from vadouvan.store.verdicts import KeptVerdict, changes_in, verdict_in, verdict_row

Row = TypeVar("Row", PressRow, VerdictRow)
NO_MOMENT = datetime(1990, 1, 1, tzinfo=UTC)  # of a batch whose own cannot be read any more
Merging = Callable[[KitchenSnapshot], Merge]


class Snapshots:
    """All that the kitchen's file holds, but for the states of undo."""

    def __init__(self, engine: Engine) -> None:
        self._engine = engine

    def read(self) -> KitchenSnapshot:
        """Everything, batches in the order they were made."""
        with reading(self._engine) as connection:
            return _read(connection)

    def batch(self, identity: str) -> BatchSnapshot:
        """One batch with all that happened to it; raises NotKept."""
        with reading(self._engine) as connection:
            row = BATCH.one(connection, identity)
            if row is None:
                raise NotKept("batch", identity)
            presses = _PRESSES.where(PRESS.c.batch_id == identity)
            verdicts = _VERDICTS.where(VERDICT.c.batch_id == identity)
            return _batch(
                row,
                list(PRESS.rows(connection, presses)),
                list(VERDICT.rows(connection, verdicts)),
                DESCENT.one(connection, identity),
                CUT_FACE.one(connection, identity),
            )

    def take_in(self, merging: Merging, *, now: datetime, tell: Tell = silently) -> Merge:
        """Write what a merge with the kitchen as it stands brings; all of it or, if anything fails, nothing.

        The merge is worked out while nobody else writes, so that a press or an edit of that moment is never undone.
        """
        moment = now.isoformat()
        with self._engine.begin() as connection:
            merge = merging(_read(connection))
            OWN_CUT.add(connection, *(OwnCutRow(kind.id, kind_text(kind), moment) for kind in merge.cuts))
            labels = (OwnIngredientRow(label.id, label_text(label.said), moment) for label in merge.labels)
            OWN_INGREDIENT.add(connection, *labels)
            known = set(connection.scalars(select(BATCH.c.id)))
            new = [batch for batch in merge.batches if batch.id not in known]
            for start in range(0, len(new), EVERY):
                tell("Writing", start, len(merge.batches))
                _add(connection, new[start : start + EVERY], moment)
            for number, batch in enumerate(batch for batch in merge.batches if batch.id in known):
                if number % EVERY == 0:
                    tell("Writing", len(new) + number, len(merge.batches))
                for table, rows in _rows_about(batch):
                    for row in rows:
                        table.put(connection, row)
            _put_settings(connection, merge.settings)
            return merge

    def clear(self, *, first: Callable[[], None]) -> None:
        """Remove everything; the shipped tables stay. ``first`` keeps a copy while nobody else writes."""
        with self._engine.begin() as connection:
            first()
            for table in reversed(METADATA.sorted_tables):
                connection.execute(delete(table))


_PRESSES = PRESS.all.order_by(PRESS.c.number)
_VERDICTS = VERDICT.all.order_by(VERDICT.c.at)
_BATCHES = BATCH.all.order_by(BATCH.c.made_at, BATCH.c.id)
_LABELS = OWN_INGREDIENT.all.order_by(OWN_INGREDIENT.c.made_at, OWN_INGREDIENT.c.id)
_CUTS = OWN_CUT.all.order_by(OWN_CUT.c.made_at, OWN_CUT.c.id)


def _read(connection: Connection) -> KitchenSnapshot:
    presses = _by_batch(PRESS.rows(connection, _PRESSES))
    verdicts = _by_batch(VERDICT.rows(connection, _VERDICTS))
    descents = {row.batch_id: row for row in DESCENT.rows(connection, DESCENT.all)}
    faces = {row.batch_id: row for row in CUT_FACE.rows(connection, CUT_FACE.all)}
    batches = tuple(
        _batch(row, presses[row.id], verdicts[row.id], descents.get(row.id), faces.get(row.id))
        for row in BATCH.rows(connection, _BATCHES)
        if is_identity(row.id)
    )
    labels = OWN_INGREDIENT.rows(connection, _LABELS)
    cuts = OWN_CUT.rows(connection, _CUTS)
    return KitchenSnapshot(
        batches,
        tuple(OwnLabel(row.id, said) for row, said in readable(labels, own_label_in)),
        tuple(kind for _, kind in readable(cuts, own_cut_in)),
        _settings(connection),
        tuple((row.where, row.text) for row in unread_rows(connection)),
    )


def _add(connection: Connection, batches: Sequence[BatchSnapshot], moment: str) -> None:
    """New batches with their first state and all that happened to them."""
    rows, states = [], []
    about: dict[TableOf[Any], list[Any]] = defaultdict(list)
    for batch in batches:
        made, text = batch.made_at.isoformat(), draft_to_json(batch.draft)
        rows.append(BatchRow(batch.id, text, revision=1, made_at=made, changed_at=moment))
        states.append(HistoryRow(batch.id, 1, text, touched="", made_at=made))
        for table, more in _rows_about(batch):
            about[table] += more
    BATCH.add(connection, *rows)
    HISTORY.add(connection, *states)
    for table, more in about.items():
        table.add(connection, *more)


def _rows_about(batch: BatchSnapshot) -> Iterator[tuple[TableOf[Any], list[Any]]]:
    yield PRESS, [press_row(batch.id, logged) for logged in batch.events]
    yield VERDICT, [_verdict_row(batch.id, one) for one in batch.verdicts]
    if batch.from_id:
        yield DESCENT, [DescentRow(batch.id, batch.from_id, json.dumps(list(batch.changed), ensure_ascii=False))]
    if batch.cut_face is not None:
        yield CUT_FACE, [cut_face_row(batch.id, batch.cut_face)]


def _verdict_row(batch_id: str, one: VerdictSnapshot) -> VerdictRow:
    return verdict_row(batch_id, one.said, at=one.at, is_forgotten=one.is_forgotten, is_insisted=one.is_insisted)


def _put_settings(connection: Connection, settings: KitchenSettings) -> None:
    said = {ROUTINE: settings.routine, SHARED: settings.shared, HOUSEHOLD: settings.household}
    for name, part in said.items():
        if part is not None:
            SETTING.put(connection, SettingRow(name, json.dumps(asdict(part))))


def _settings(connection: Connection) -> KitchenSettings:
    return KitchenSettings(
        routine=setting_in(connection, ROUTINE, routine_in),
        shared=setting_in(connection, SHARED, shared_in),
        household=setting_in(connection, HOUSEHOLD, household_in),
    )


def _batch(
    row: BatchRow,
    presses: list[PressRow],
    verdicts: list[VerdictRow],
    descent: DescentRow | None,
    face: CutFaceRow | None,
) -> BatchSnapshot:
    draft, damaged = draft_in(row.draft)
    came = read_or_none(descent, changes_in) if descent else None
    return BatchSnapshot(
        row.id,
        draft,
        read_or_none(row.made_at, moment_in) or NO_MOMENT,
        tuple(_first_readable(presses)),
        tuple(_verdict(kept) for _, kept in readable(verdicts, verdict_in)),
        descent.from_id if descent and came is not None else "",
        came or (),
        damaged,
        None if face is None else with_or_without_marks(face),
    )


def _first_readable(presses: Iterable[PressRow]) -> Iterator[LoggedEvent]:
    """Presses up to the first that cannot be read: those after it rest on it."""
    for row in presses:
        logged = read_or_none(row, logged_in)
        if logged is None:
            return
        yield logged


def _verdict(kept: KeptVerdict) -> VerdictSnapshot:
    return VerdictSnapshot(kept.said, kept.at, kept.is_forgotten, kept.is_insisted)


def _by_batch(rows: Iterable[Row]) -> dict[str, list[Row]]:
    found: dict[str, list[Row]] = defaultdict(list)
    for row in rows:
        found[row.batch_id].append(row)
    return found
