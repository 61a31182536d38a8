"""The cook's own ingredients, kept as their labels were typed."""

from __future__ import annotations

import json
from dataclasses import asdict
from datetime import datetime

from sqlalchemy import Engine

from vadouvan.core.parsing.label import LabelInput
from vadouvan.errors import NotKept
from vadouvan.shapes import value_in
from vadouvan.store.beside import MadeFrom, beside
from vadouvan.store.database import reading
from vadouvan.store.rows import OWN_INGREDIENT, OwnIngredientRow
from vadouvan.store.table import sound
from vadouvan.store.unread import readable
from vadouvan.unchanging import unchanging

OWN = "ingredient of your own"


@unchanging
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
        with reading(self._engine) as connection:
            rows = OWN_INGREDIENT.rows(connection, OWN_INGREDIENT.all.order_by(OWN_INGREDIENT.c.made_at.desc()))
            return [OwnIngredient(row.id, said) for row, said in readable(rows, own_label_in)]

    def keep(self, identity: str, said: LabelInput, *, now: datetime) -> None:
        """Keep a new label."""
        with self._engine.begin() as connection:
            OWN_INGREDIENT.add(connection, OwnIngredientRow(identity, label_text(said), made_at=now.isoformat()))

    def change(
        self, identity: str, said: LabelInput, *, now: datetime, made_from: MadeFrom[LabelInput] | None = None
    ) -> LabelInput:
        """Change a kept label beside what was changed elsewhere; raises NotKept, and Overtaken where both changed one
        answer.
        """
        with self._engine.begin() as connection:
            row = OWN_INGREDIENT.one(connection, identity)
            if row is None:
                raise NotKept(OWN, identity)
            kept = beside(identity, said, label_in(row.label), made_from)
            OWN_INGREDIENT.put(connection, OwnIngredientRow(identity, label_text(kept), made_at=now.isoformat()))
        return kept

    def remove(self, identity: str) -> None:
        """Remove a label; raises NotKept."""
        with self._engine.begin() as connection:
            if not OWN_INGREDIENT.remove(connection, identity):
                raise NotKept(OWN, identity)


def label_text(said: LabelInput) -> str:
    """A label as the JSON that a row holds."""
    return json.dumps(asdict(said))


def own_label_in(row: OwnIngredientRow) -> LabelInput:
    """The label in a row; raises ValueError for one that cannot be read."""
    return label_in(sound(row).label)


def label_in(text: str) -> LabelInput:
    """The label in a row."""
    return value_in(LabelInput, text)
