"""Batches kept and found again."""

from __future__ import annotations

from dataclasses import dataclass
from datetime import datetime

from sqlalchemy import Engine, delete, func, select, update
from sqlalchemy.orm import Session

from vadouvan.core.draft import Draft
from vadouvan.errors import NotKept, Overtaken
from vadouvan.store.drafts_json import from_json, to_json
from vadouvan.store.rows import BatchRow


@dataclass(frozen=True)
class KeptBatch:
    """A draft with its identity and revision."""

    id: str
    revision: int
    draft: Draft


class Batches:
    """The kitchen's batches. Every change is committed before it returns."""

    def __init__(self, engine: Engine) -> None:
        self._engine = engine

    def count(self) -> int:
        """How many batches are kept."""
        with Session(self._engine) as session:
            return session.scalar(select(func.count()).select_from(BatchRow)) or 0

    def all(self) -> list[KeptBatch]:
        """All batches in the order they were made."""
        with Session(self._engine) as session:
            rows = session.scalars(select(BatchRow).order_by(BatchRow.made_at, BatchRow.id))
            return [_kept(row) for row in rows]

    def get(self, identity: str) -> KeptBatch:
        """One batch; raises NotKept."""
        with Session(self._engine) as session:
            row = session.get(BatchRow, identity)
            if row is None:
                raise NotKept("batch", identity)
            return _kept(row)

    def add(self, identity: str, draft: Draft, *, now: datetime) -> KeptBatch:
        """Keep a new batch."""
        moment = now.isoformat()
        row = BatchRow(id=identity, draft=to_json(draft), revision=1, made_at=moment, changed_at=moment)
        with Session(self._engine) as session, session.begin():
            session.add(row)
        return KeptBatch(identity, 1, draft)

    def change(self, identity: str, draft: Draft, *, revision: int, now: datetime) -> KeptBatch:
        """Replace a draft made from ``revision``; raises NotKept, or Overtaken if it has moved on."""
        statement = (
            update(BatchRow)
            .where(BatchRow.id == identity, BatchRow.revision == revision)
            .values(draft=to_json(draft), revision=revision + 1, changed_at=now.isoformat())
        )
        with self._engine.begin() as connection:
            changed = connection.execute(statement).rowcount
        if changed == 0:
            raise Overtaken(identity, expected=revision, stored=self.get(identity).revision)
        return KeptBatch(identity, revision + 1, draft)

    def remove(self, identity: str) -> None:
        """Remove a batch; raises NotKept."""
        with self._engine.begin() as connection:
            if connection.execute(delete(BatchRow).where(BatchRow.id == identity)).rowcount == 0:
                raise NotKept("batch", identity)


def _kept(row: BatchRow) -> KeptBatch:
    return KeptBatch(row.id, row.revision, from_json(row.draft))
