"""Presses at the counter as rows, and the rows read."""

from __future__ import annotations

import json
from dataclasses import asdict, replace
from datetime import datetime

from sqlalchemy import bindparam, select
from sqlalchemy.orm import Session

from vadouvan.core.weighing.event import CounterEvent, LoggedEvent
from vadouvan.errors import InputError
from vadouvan.shapes import draft_from_json, draft_to_json
from vadouvan.store.rows import EventRow
from vadouvan.store.unread import read_or_none

_OF_BATCH = select(EventRow).where(EventRow.batch_id == bindparam("batch")).order_by(EventRow.number)


def presses_of(session: Session, batch_id: str) -> list[LoggedEvent]:
    """All presses of a batch in their order; raises InputError where one cannot be read."""
    return [_logged_or_refused(row) for row in session.scalars(_OF_BATCH, {"batch": batch_id})]


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
