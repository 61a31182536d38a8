"""The cook's own ingredients, kept as their labels were typed."""

from __future__ import annotations

import json
from dataclasses import asdict, dataclass
from datetime import datetime

from sqlalchemy import Engine, select
from sqlalchemy.orm import Session

from vadouvan.core.parsing.label import LabelInput
from vadouvan.errors import NotKept
from vadouvan.store.beside import MadeFrom, beside
from vadouvan.store.database import reading
from vadouvan.store.rows import OwnIngredientRow
from vadouvan.store.unread import readable


@dataclass(frozen=True)
class OwnIngredient:
    """One kept label."""

    id: str
    said: LabelInput


class OwnIngredients:
    """Labels that the cook entered, beside the ingredients that ship."""

    def __init__(self, engine: Engine) -> None:
        self._engine = engine

    def all(self) -> list[OwnIngredient]:
        """All kept labels, newest first."""
        with reading(self._engine) as session:
            rows = session.scalars(select(OwnIngredientRow).order_by(OwnIngredientRow.made_at.desc()))
            return [OwnIngredient(row.id, said) for row, said in readable(rows, lambda row: label_in(row.label))]

    def keep(self, identity: str, said: LabelInput, *, now: datetime) -> None:
        """Keep a new label."""
        with Session(self._engine) as session, session.begin():
            session.add(OwnIngredientRow(id=identity, label=label_text(said), made_at=now.isoformat()))

    def change(
        self, identity: str, said: LabelInput, *, now: datetime, made_from: MadeFrom[LabelInput] | None = None
    ) -> LabelInput:
        """Change a kept label beside what was changed elsewhere; raises NotKept, and Overtaken where both changed one
        answer.
        """
        with Session(self._engine) as session, session.begin():
            row = _row(session, identity)
            kept = beside(identity, said, label_in(row.label), made_from)
            row.label, row.made_at = label_text(kept), now.isoformat()
        return kept

    def remove(self, identity: str) -> None:
        """Remove a label; raises NotKept."""
        with Session(self._engine) as session, session.begin():
            session.delete(_row(session, identity))


def label_text(said: LabelInput) -> str:
    """A label as the JSON that a row holds."""
    return json.dumps(asdict(said))


def label_in(text: str) -> LabelInput:
    """The label in a row."""
    return LabelInput(**json.loads(text))


def _row(session: Session, identity: str) -> OwnIngredientRow:
    row = session.get(OwnIngredientRow, identity)
    if row is None:
        raise NotKept("ingredient of your own", identity)
    return row
