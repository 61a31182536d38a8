"""Presses at the counter, kept in their order; a press and what it does to the draft are one transaction."""

from __future__ import annotations

from datetime import datetime

from sqlalchemy import Engine, func, select

from vadouvan.core.draft.typed import Draft
from vadouvan.core.weighing.event import LoggedEvent
from vadouvan.errors import NotKept, Overtaken, VadouvanError
from vadouvan.shapes import draft_to_json
from vadouvan.store.database import reading
from vadouvan.store.presses import press_row, presses_of
from vadouvan.store.rows import BATCH, PRESS
from vadouvan.store.standing import put_draft


class DraftMoved(VadouvanError):
    """The draft was changed between being read and being written: work it out anew from the newer one."""

    def __init__(self, identity: str) -> None:
        self.identity = identity
        super().__init__("This batch was changed elsewhere in the same moment. Press it again.")


class EventLog:
    """Presses, batch by batch."""

    def __init__(self, engine: Engine) -> None:
        self._engine = engine

    def of(self, batch_id: str) -> list[LoggedEvent]:
        """All presses of a batch in their order."""
        with reading(self._engine) as connection:
            return presses_of(connection, batch_id)

    def note(self, batch_id: str, logged: LoggedEvent, *, draft: Draft | None, made_from: Draft, now: datetime) -> None:
        """Keep an event, and the draft it leads to, if that is another; ``made_from`` is what it was worked out from.

        Raises NotKept without the batch, Overtaken if another event came first, and DraftMoved, with nothing kept, if
        the draft was changed since: what was typed meanwhile is never written over.
        """
        with self._engine.begin() as connection:
            row = BATCH.one(connection, batch_id)
            if row is None:
                raise NotKept("batch", batch_id)
            last = connection.scalar(select(func.max(PRESS.c.number)).where(PRESS.c.batch_id == batch_id)) or 0
            if last != logged.number - 1:
                raise Overtaken(batch_id, expected=logged.number - 1, stored=last)
            if row.draft != draft_to_json(made_from):
                raise DraftMoved(batch_id)
            PRESS.add(connection, press_row(batch_id, logged))
            if draft is not None:
                put_draft(connection, batch_id, draft, now)
