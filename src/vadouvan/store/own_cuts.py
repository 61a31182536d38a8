"""The cook's own cuts."""

from __future__ import annotations

import json
from dataclasses import asdict
from datetime import datetime

from sqlalchemy import Engine, select
from sqlalchemy.orm import Session

from vadouvan.core.cut.kind import CutKind
from vadouvan.errors import NotKept
from vadouvan.store.database import reading
from vadouvan.store.rows import OwnCutRow
from vadouvan.store.unread import readable


class OwnCuts:
    """Cuts that the cook saved, beside those that ship."""

    def __init__(self, engine: Engine) -> None:
        self._engine = engine

    def all(self) -> dict[str, CutKind]:
        """All own cuts by id, newest first."""
        with reading(self._engine) as session:
            rows = session.scalars(select(OwnCutRow).order_by(OwnCutRow.made_at.desc()))
            return {row.id: kind for row, kind in readable(rows, lambda row: kind_in(row.kind))}

    def add(self, kind: CutKind, *, now: datetime) -> None:
        """Keep an own cut."""
        row = OwnCutRow(id=kind.id, kind=kind_text(kind), made_at=now.isoformat())
        with Session(self._engine) as session, session.begin():
            session.add(row)

    def remove(self, identity: str) -> None:
        """Remove an own cut; raises NotKept."""
        with Session(self._engine) as session, session.begin():
            row = session.get(OwnCutRow, identity)
            if row is None:
                raise NotKept("cut of your own", identity)
            session.delete(row)


def kind_text(kind: CutKind) -> str:
    """An own cut as the JSON that a row holds."""
    return json.dumps(asdict(kind))


def kind_in(text: str) -> CutKind:
    """The own cut in a row."""
    raw = json.loads(text)
    lists = {name: tuple(raw.get(name, ())) for name in ("allergens", "also_called")}
    return CutKind(**{**raw, **lists})
