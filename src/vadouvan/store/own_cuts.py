"""The cook's own cuts."""

from __future__ import annotations

import json
from dataclasses import asdict
from datetime import datetime

from sqlalchemy import Engine

from vadouvan.core.cut.kind import CutKind, wrong_sizes
from vadouvan.errors import NotKept
from vadouvan.shapes import value_in
from vadouvan.store.database import reading
from vadouvan.store.rows import OWN_CUT, OwnCutRow
from vadouvan.store.table import sound
from vadouvan.store.unread import readable


class OwnCuts:
    """Cuts that the cook saved, beside those that ship."""

    def __init__(self, engine: Engine) -> None:
        self._engine = engine

    def all(self) -> dict[str, CutKind]:
        """All own cuts by id, newest first."""
        with reading(self._engine) as connection:
            rows = OWN_CUT.rows(connection, OWN_CUT.all.order_by(OWN_CUT.c.made_at.desc()))
            return {row.id: kind for row, kind in readable(rows, own_cut_in)}

    def add(self, kind: CutKind, *, now: datetime) -> None:
        """Keep an own cut."""
        with self._engine.begin() as connection:
            OWN_CUT.add(connection, OwnCutRow(kind.id, kind_text(kind), made_at=now.isoformat()))

    def remove(self, identity: str) -> None:
        """Remove an own cut; raises NotKept."""
        with self._engine.begin() as connection:
            if not OWN_CUT.remove(connection, identity):
                raise NotKept("cut of your own", identity)


def kind_text(kind: CutKind) -> str:
    """An own cut as the JSON that a row holds."""
    return json.dumps(asdict(kind))


def own_cut_in(row: OwnCutRow) -> CutKind:
    """The own cut in a row; raises ValueError for one that cannot be read."""
    return kind_in(sound(row).kind)


def kind_in(text: str) -> CutKind:
    """The own cut in a row, an older one without its allergens; raises ValueError for one that no cut can be."""
    kind = value_in(CutKind, json.dumps({"allergens": (), **json.loads(text)}))
    wrong = wrong_sizes(kind)
    if wrong:
        raise ValueError(wrong)
    return kind
