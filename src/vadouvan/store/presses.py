"""Presses at the counter as rows, and the rows read."""

from __future__ import annotations

import json
from dataclasses import asdict, replace

from sqlalchemy import Connection, bindparam

from vadouvan.core.weighing.event import MOST_EVENTS, CounterEvent, LoggedEvent
from vadouvan.errors import InputError
from vadouvan.shapes import draft_from_json, draft_to_json, value_in
from vadouvan.store.rows import PRESS, PressRow
from vadouvan.store.table import sound
from vadouvan.store.unread import moment_in, read_or_none

_OF_BATCH = PRESS.all.where(PRESS.c.batch_id == bindparam("batch")).order_by(PRESS.c.number)


def presses_of(connection: Connection, batch_id: str) -> list[LoggedEvent]:
    """All presses of a batch in their order; raises InputError where one cannot be read."""
    return [_logged_or_refused(row) for row in PRESS.rows(connection, _OF_BATCH, {"batch": batch_id})]


def press_row(batch_id: str, logged: LoggedEvent) -> PressRow:
    """An event as a row."""
    return PressRow(
        batch_id=batch_id,
        number=logged.number,
        at=logged.at.isoformat(),
        press=json.dumps(asdict(logged.event), separators=(",", ":")),
        kind=logged.event.kind,
        undoes=logged.event.undoes,
        before=None if logged.before is None else draft_to_json(logged.before),
    )


def _logged_or_refused(row: PressRow) -> LoggedEvent:
    """The event in a row; raises InputError where it cannot be read: the state of a batch is never guessed."""
    logged = read_or_none(row, logged_in)
    if logged is None:
        wrong = f"Press {row.number} of this batch cannot be read any more, so nobody knows how far it is."
        accepted = "Put a backup back under Settings, or take what is left of the batch over into a new one."
        raise InputError(field="press", given="", wrong=wrong, accepted=accepted)
    return logged


def logged_in(row: PressRow) -> LoggedEvent:
    """The event in a row."""
    before = None if row.before is None else draft_from_json(row.before)
    return replace(press_in(row), before=before)


def press_in(row: PressRow) -> LoggedEvent:
    """The event in a row without the draft that it changed, of which only the form is looked at."""
    if sound(row).before is not None:
        json.loads(row.before or "")
    if not 1 <= row.number <= MOST_EVENTS:
        raise ValueError(f"{row.number} is no number of a press")
    return LoggedEvent(row.number, moment_in(row.at), value_in(CounterEvent, row.press), None)
