"""Presses at the counter, kept in their order; a press and what it does to the draft are one transaction."""

from __future__ import annotations

import json
from dataclasses import asdict
from datetime import datetime

from sqlalchemy import Engine, exists, select
from sqlalchemy.orm import Session, aliased

from vadouvan.core.draft.typed import Draft
from vadouvan.core.weighing.event import Noted, Press
from vadouvan.errors import NotKept, Overtaken
from vadouvan.shapes import draft_from_json, draft_to_json
from vadouvan.store.batches import put_draft
from vadouvan.store.rows import BatchRow, PressRow


class Presses:
    """What was pressed, batch by batch."""

    def __init__(self, engine: Engine) -> None:
        self._engine = engine

    def of(self, batch_id: str) -> list[Noted]:
        """All presses of a batch in their order."""
        with Session(self._engine) as session:
            rows = session.scalars(select(PressRow).where(PressRow.batch_id == batch_id).order_by(PressRow.number))
            return [noted_in(row) for row in rows]

    def in_contact(self, batch_id: str | None = None) -> set[str]:
        """Identities of batches whose meat went in at the counter: of all, or of one."""
        later = aliased(PressRow)
        undone = exists().where(later.batch_id == PressRow.batch_id, later.undoes == PressRow.number)
        wanted = select(PressRow.batch_id).where(PressRow.kind == "contact", ~undone)
        if batch_id is not None:
            wanted = wanted.where(PressRow.batch_id == batch_id)
        with Session(self._engine) as session:
            return set(session.scalars(wanted))

    def note(self, batch_id: str, noted: Noted, *, draft: Draft | None, now: datetime) -> None:
        """Keep a press, and the draft it leads to, if that is another.

        Raises NotKept without the batch, and Overtaken if another press came first.
        """
        with Session(self._engine) as session, session.begin():
            row = session.get(BatchRow, batch_id, with_for_update=True)
            if row is None:
                raise NotKept("batch", batch_id)
            last = session.scalar(
                select(PressRow.number).where(PressRow.batch_id == batch_id).order_by(PressRow.number.desc()).limit(1)
            )
            if (last or 0) != noted.number - 1:
                raise Overtaken(batch_id, expected=noted.number - 1, stored=last or 0)
            session.add(press_row(batch_id, noted))
            if draft is not None:
                put_draft(session, row, draft_to_json(draft), now)


def press_row(batch_id: str, noted: Noted) -> PressRow:
    """A press as a row."""
    return PressRow(
        batch_id=batch_id,
        number=noted.number,
        at=noted.at.isoformat(),
        press=json.dumps(asdict(noted.press), separators=(",", ":")),
        kind=noted.press.kind,
        undoes=noted.press.undoes,
        before=None if noted.before is None else draft_to_json(noted.before),
    )


def noted_in(row: PressRow) -> Noted:
    """The press in a row."""
    before = None if row.before is None else draft_from_json(row.before)
    return Noted(row.number, datetime.fromisoformat(row.at), Press(**json.loads(row.press)), before)
