"""The whole kitchen read at once, another taken in, and all of it removed: each in one transaction."""

from __future__ import annotations

import json
from collections import defaultdict
from collections.abc import Callable, Iterable, Iterator, Sequence
from dataclasses import asdict
from datetime import UTC, datetime
from typing import Any, TypeVar

from sqlalchemy import Engine, delete, select
from sqlalchemy.orm import Session

from vadouvan.core.snapshot.kitchen import BatchSnapshot, KitchenSettings, KitchenSnapshot, OwnLabel, VerdictSnapshot
from vadouvan.core.snapshot.merging import Merge
from vadouvan.core.weighing.event import LoggedEvent
from vadouvan.errors import NotKept
from vadouvan.progress import EVERY, Tell, silently
from vadouvan.shapes import draft_to_json
from vadouvan.store.cut_faces import cut_face_row, with_or_without_marks
from vadouvan.store.database import reading
from vadouvan.store.own_cuts import kind_in, kind_text
from vadouvan.store.own_ingredients import label_in, label_text
from vadouvan.store.presses import event_row, logged_in
from vadouvan.store.readers import unread_rows
from vadouvan.store.rows import (
    Base,
    BatchRow,
    CutFaceRow,
    DescentRow,
    EventRow,
    HistoryRow,
    OwnCutRow,
    OwnIngredientRow,
    SettingRow,
    VerdictRow,
)
from vadouvan.store.settings_kept import HOUSEHOLD, ROUTINE, SHARED, household_in, routine_in, shared_in
from vadouvan.store.standing import draft_in
from vadouvan.store.unread import read_or_none, readable
from vadouvan.store.verdicts import KeptVerdict, changes_in, verdict_in, verdict_row

Row = TypeVar("Row", EventRow, VerdictRow)
Setting = TypeVar("Setting")
NO_MOMENT = datetime(1990, 1, 1, tzinfo=UTC)  # of a batch whose own cannot be read any more
Merging = Callable[[KitchenSnapshot], Merge]


class Snapshots:
    """All that the kitchen's file holds, but for the states of undo."""

    def __init__(self, engine: Engine) -> None:
        self._engine = engine

    def read(self) -> KitchenSnapshot:
        """Everything, batches in the order they were made."""
        with reading(self._engine) as session:
            return _read(session)

    def batch(self, identity: str) -> BatchSnapshot:
        """One batch with all that happened to it; raises NotKept."""
        with reading(self._engine) as session:
            row = session.get(BatchRow, identity)
            if row is None:
                raise NotKept("batch", identity)
            events = select(EventRow).where(EventRow.batch_id == identity).order_by(EventRow.number)
            verdicts = select(VerdictRow).where(VerdictRow.batch_id == identity).order_by(VerdictRow.at)
            return _batch(
                row,
                list(session.scalars(events)),
                list(session.scalars(verdicts)),
                session.get(DescentRow, identity),
                session.get(CutFaceRow, identity),
            )

    def take_in(self, merging: Merging, *, now: datetime, tell: Tell = silently) -> Merge:
        """Write what a merge with the kitchen as it stands brings; all of it or, if anything fails, nothing.

        The merge is worked out while nobody else writes, so that a press or an edit of that moment is never undone.
        """
        moment = now.isoformat()
        with Session(self._engine) as session, session.begin():
            merge = merging(_read(session))
            for kind in merge.cuts:
                session.add(OwnCutRow(id=kind.id, kind=kind_text(kind), made_at=moment))
            for label in merge.labels:
                session.add(OwnIngredientRow(id=label.id, label=label_text(label.said), made_at=moment))
            known = set(session.scalars(select(BatchRow.id)))
            new = [batch for batch in merge.batches if batch.id not in known]
            for start in range(0, len(new), EVERY):
                tell("Writing", start, len(merge.batches))
                _add(session, new[start : start + EVERY], moment)
            for number, batch in enumerate(batch for batch in merge.batches if batch.id in known):
                if number % EVERY == 0:
                    tell("Writing", len(new) + number, len(merge.batches))
                for row in _rows_about(batch):
                    session.merge(row)
            _put_settings(session, merge.settings)
            return merge

    def clear(self, *, first: Callable[[], None]) -> None:
        """Remove everything; the shipped tables stay. ``first`` keeps a copy while nobody else writes."""
        with Session(self._engine) as session, session.begin():
            session.connection()  # begins
            first()
            for table in reversed(Base.metadata.sorted_tables):
                session.execute(delete(table))


def _read(session: Session) -> KitchenSnapshot:
    events = _by_batch(session.scalars(select(EventRow).order_by(EventRow.number)))
    verdicts = _by_batch(session.scalars(select(VerdictRow).order_by(VerdictRow.at)))
    descents = {row.batch_id: row for row in session.scalars(select(DescentRow))}
    faces = {row.batch_id: row for row in session.scalars(select(CutFaceRow))}
    batches = tuple(
        _batch(row, events[row.id], verdicts[row.id], descents.get(row.id), faces.get(row.id))
        for row in session.scalars(select(BatchRow).order_by(BatchRow.made_at, BatchRow.id))
    )
    labels = session.scalars(select(OwnIngredientRow).order_by(OwnIngredientRow.made_at, OwnIngredientRow.id))
    cuts = session.scalars(select(OwnCutRow).order_by(OwnCutRow.made_at, OwnCutRow.id))
    return KitchenSnapshot(
        batches,
        tuple(OwnLabel(row.id, said) for row, said in readable(labels, lambda row: label_in(row.label))),
        tuple(kind for _, kind in readable(cuts, lambda row: kind_in(row.kind))),
        _settings(session),
        tuple((row.where, row.text) for row in unread_rows(session)),
    )


def _add(session: Session, batches: Sequence[BatchSnapshot], moment: str) -> None:
    """New batches with their first state and all that happened to them."""
    texts = [draft_to_json(batch.draft) for batch in batches]
    for batch, text in zip(batches, texts, strict=True):
        made = batch.made_at.isoformat()
        session.add(BatchRow(id=batch.id, draft=text, revision=1, made_at=made, changed_at=moment, at_number=1))
    session.flush()
    for batch, text in zip(batches, texts, strict=True):
        made = batch.made_at.isoformat()
        session.add(HistoryRow(batch_id=batch.id, number=1, draft=text, touched="", made_at=made))
        session.add_all(_rows_about(batch))


def _rows_about(batch: BatchSnapshot) -> Iterator[EventRow | VerdictRow | DescentRow | CutFaceRow]:
    for logged in batch.events:
        yield event_row(batch.id, logged)
    for one in batch.verdicts:
        yield verdict_row(batch.id, one.said, at=one.at, is_forgotten=one.is_forgotten, is_insisted=one.is_insisted)
    if batch.from_id:
        says = json.dumps(list(batch.changed), ensure_ascii=False)
        yield DescentRow(batch_id=batch.id, from_id=batch.from_id, says=says)
    if batch.cut_face is not None:
        yield cut_face_row(batch.id, batch.cut_face)


def _put_settings(session: Session, settings: KitchenSettings) -> None:
    said = {ROUTINE: settings.routine, SHARED: settings.shared, HOUSEHOLD: settings.household}
    for name, part in said.items():
        if part is not None:
            session.merge(SettingRow(name=name, value=json.dumps(asdict(part))))


def _settings(session: Session) -> KitchenSettings:
    def kept(name: str, read: Callable[[Any], Setting]) -> Setting | None:
        """A setting; nothing where none is kept, or where it cannot be read any more."""
        row = session.get(SettingRow, name)
        return None if row is None else read_or_none(row, lambda one: read(json.loads(one.value)))

    return KitchenSettings(
        routine=kept(ROUTINE, routine_in), shared=kept(SHARED, shared_in), household=kept(HOUSEHOLD, household_in)
    )


def _batch(
    row: BatchRow,
    events: list[EventRow],
    verdicts: list[VerdictRow],
    descent: DescentRow | None,
    face: CutFaceRow | None,
) -> BatchSnapshot:
    draft, damaged = draft_in(row.draft)
    return BatchSnapshot(
        row.id,
        draft,
        read_or_none(row, lambda one: datetime.fromisoformat(one.made_at)) or NO_MOMENT,
        tuple(_first_readable(events)),
        tuple(_verdict(kept) for _, kept in readable(verdicts, verdict_in)),
        descent.from_id if descent else "",
        (read_or_none(descent, changes_in) if descent else None) or (),
        damaged,
        None if face is None else with_or_without_marks(face),
    )


def _first_readable(events: Iterable[EventRow]) -> Iterator[LoggedEvent]:
    """Presses up to the first that cannot be read: those after it rest on it."""
    for row in events:
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
