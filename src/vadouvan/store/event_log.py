"""Presses at the counter, kept in their order; a press and what it does to the draft are one transaction."""

from __future__ import annotations

import json
from dataclasses import asdict, replace
from datetime import datetime

from sqlalchemy import Engine, bindparam, exists, select
from sqlalchemy.orm import Session, aliased

from vadouvan.core.draft.typed import Draft
from vadouvan.core.weighing.event import CounterEvent, LoggedEvent
from vadouvan.errors import InputError, NotKept, Overtaken, VadouvanError
from vadouvan.shapes import draft_from_json, draft_to_json
from vadouvan.store.batches import put_draft
from vadouvan.store.database import reading
from vadouvan.store.rows import BatchRow, EventRow
from vadouvan.store.unread import read_or_none


class DraftMoved(VadouvanError):
    """The draft was changed between being read and being written: work it out anew from the newer one."""

    def __init__(self, identity: str) -> None:
        self.identity = identity
        super().__init__("This batch was changed elsewhere in the same moment. Press it again.")


_OF_BATCH = select(EventRow).where(EventRow.batch_id == bindparam("batch")).order_by(EventRow.number)


class EventLog:
    """Presses, batch by batch."""

    def __init__(self, engine: Engine) -> None:
        self._engine = engine

    def of(self, batch_id: str) -> list[LoggedEvent]:
        """All presses of a batch in their order."""
        with reading(self._engine) as session:
            rows = session.scalars(_OF_BATCH, {"batch": batch_id})
            return [_logged_or_refused(row) for row in rows]

    def in_contact(self, batch_id: str | None = None) -> set[str]:
        """Identities of batches whose meat went in at the counter: of all, or of one."""
        later = aliased(EventRow)
        undone = exists().where(later.batch_id == EventRow.batch_id, later.undoes == EventRow.number)
        wanted = select(EventRow.batch_id).where(EventRow.kind == "contact", ~undone)
        if batch_id is not None:
            wanted = wanted.where(EventRow.batch_id == batch_id)
        with reading(self._engine) as session:
            return set(session.scalars(wanted))

    def note(self, batch_id: str, logged: LoggedEvent, *, draft: Draft | None, made_from: Draft, now: datetime) -> None:
        """Keep an event, and the draft it leads to, if that is another; ``made_from`` is what it was worked out from.

        Raises NotKept without the batch, Overtaken if another event came first, and DraftMoved, with nothing kept, if
        the draft was changed since: what was typed meanwhile is never written over.
        """
        with Session(self._engine) as session, session.begin():
            row = session.get(BatchRow, batch_id, with_for_update=True)
            if row is None:
                raise NotKept("batch", batch_id)
            last = session.scalar(
                select(EventRow.number).where(EventRow.batch_id == batch_id).order_by(EventRow.number.desc()).limit(1)
            )
            if (last or 0) != logged.number - 1:
                raise Overtaken(batch_id, expected=logged.number - 1, stored=last or 0)
            if row.draft != draft_to_json(made_from):
                raise DraftMoved(batch_id)
            session.add(event_row(batch_id, logged))
            if draft is not None:
                put_draft(session, row, draft_to_json(draft), now)


def event_row(batch_id: str, logged: LoggedEvent) -> EventRow:
    """An event as a row."""
    return EventRow(
        batch_id=batch_id,
        number=logged.number,
        at=logged.at.isoformat(),
        event=json.dumps(asdict(logged.event), separators=(",", ":")),
        kind=logged.event.kind,
        undoes=logged.event.undoes,
        before=None if logged.before is None else draft_to_json(logged.before),
    )


def _logged_or_refused(row: EventRow) -> LoggedEvent:
    """The event in a row; raises InputError where it cannot be read: the state of a batch is never guessed."""
    logged = read_or_none(row, logged_in)
    if logged is None:
        wrong = f"Press {row.number} of this batch cannot be read any more, so nobody knows how far it is."
        accepted = "Put a backup back under Settings, or take what is left of the batch over into a new one."
        raise InputError(field="press", given="", wrong=wrong, accepted=accepted)
    return logged


def logged_in(row: EventRow) -> LoggedEvent:
    """The event in a row."""
    before = None if row.before is None else draft_from_json(row.before)
    return replace(press_in(row), before=before)


def press_in(row: EventRow) -> LoggedEvent:
    """The event in a row without the draft that it changed, of which only the form is looked at."""
    if row.before is not None:
        json.loads(row.before)
    return LoggedEvent(row.number, datetime.fromisoformat(row.at), CounterEvent(**json.loads(row.event)), None)
