"""Settings of the kitchen, each kept as JSON under its name."""

from __future__ import annotations

import json
from collections.abc import Callable
from dataclasses import asdict
from typing import Any, TypeVar

from sqlalchemy import ColumnElement, Engine, String, literal_column, select, union_all
from sqlalchemy.orm import Session

from vadouvan.core.interpretation.household import HouseholdInput
from vadouvan.core.interpretation.routine import RoutineInput
from vadouvan.core.interpretation.shared import SharedInput
from vadouvan.core.kitchen.kitchen import NOTHING_LEARNED, OwnCorrection
from vadouvan.store.beside import MadeFrom, beside
from vadouvan.store.database import asked, in_words, reading
from vadouvan.store.rows import OwnCutRow, OwnIngredientRow, SettingRow
from vadouvan.store.unread import read_or_none

T = TypeVar("T")
ROUTINE, SHARED, CORRECTION, HOUSEHOLD = "routine", "shared", "correction", "household"


def _said(word: str) -> ColumnElement[str]:
    return literal_column(f"'{word} '", String)


_STATE = in_words(
    union_all(
        select(_said("setting") + SettingRow.name, SettingRow.value),
        select(_said("ingredient") + OwnIngredientRow.id, OwnIngredientRow.label),
        select(_said("cut") + OwnCutRow.id, OwnCutRow.kind),
    )
)


class KeptSettings:
    """Settings of the cook for all batches."""

    def __init__(self, engine: Engine) -> None:
        self._engine = engine

    def routine(self) -> RoutineInput:
        """The cook's week as typed; the usual one until something was said."""
        return self._read(ROUTINE, routine_in) or RoutineInput()

    def keep_routine(self, said: RoutineInput, made_from: MadeFrom[RoutineInput] | None = None) -> RoutineInput:
        """Keep the cook's week beside what was changed elsewhere; raises Overtaken where both changed one answer."""
        return self._keep_beside(ROUTINE, said, routine_in, RoutineInput(), made_from)

    def shared(self) -> SharedInput:
        """Fridge and tubs as typed; nothing until something was said."""
        return self._read(SHARED, shared_in) or SharedInput()

    def keep_shared(self, said: SharedInput, made_from: MadeFrom[SharedInput] | None = None) -> SharedInput:
        """Keep what all batches share, likewise."""
        return self._keep_beside(SHARED, said, shared_in, SharedInput(), made_from)

    def household(self) -> HouseholdInput:
        """The household as typed; nothing until something was said."""
        return self._read(HOUSEHOLD, household_in) or HouseholdInput()

    def keep_household(self, said: HouseholdInput, made_from: MadeFrom[HouseholdInput] | None = None) -> HouseholdInput:
        """Keep the household, likewise."""
        return self._keep_beside(HOUSEHOLD, said, household_in, HouseholdInput(), made_from)

    def correction(self) -> OwnCorrection:
        """Lessons of the verdicts; nothing until they have."""
        return self._read(CORRECTION, correction_in) or NOTHING_LEARNED

    def keep_correction(self, learned: OwnCorrection) -> None:
        """Keep what verdicts have taught."""
        self._keep(
            CORRECTION,
            {
                "pace": dict(learned.pace),
                "salt": learned.salt,
                "softening": {family: dict(factors) for family, factors in learned.softening.items()},
            },
        )

    def state(self) -> tuple[tuple[str, ...], ...]:
        """All that the kitchen's tables rest on as it is written: settings, own ingredients, own cuts.

        One quick question, whose answer is another after any change to them, by whomever.
        """
        return tuple(asked(self._engine, _STATE))

    def _read(self, name: str, read: Callable[[dict[str, Any]], T]) -> T | None:
        """A setting; nothing where none was said, or where it cannot be read any more."""
        with reading(self._engine) as session:
            row = session.get(SettingRow, name)
            return None if row is None else read_or_none(row, lambda kept: read(json.loads(kept.value)))

    def _keep_beside(
        self, name: str, said: T, read: Callable[[dict[str, Any]], T], blank: T, made_from: MadeFrom[T] | None
    ) -> T:
        """Compare and set in one transaction."""
        with Session(self._engine) as session, session.begin():
            row = session.get(SettingRow, name)
            kept_there = None if row is None else read_or_none(row, lambda kept: read(json.loads(kept.value)))
            theirs = blank if kept_there is None else kept_there
            kept = beside(name, said, theirs, made_from)
            session.merge(SettingRow(name=name, value=json.dumps(asdict(kept))))  # type: ignore[call-overload]
        return kept

    def _keep(self, name: str, said: dict[str, Any]) -> None:
        with Session(self._engine) as session, session.begin():
            session.merge(SettingRow(name=name, value=json.dumps(said)))


def correction_in(raw: dict[str, Any]) -> OwnCorrection:
    """Lessons of the verdicts, in a row."""
    return OwnCorrection(dict(raw["pace"]), float(raw["salt"]), dict(raw.get("softening", {})))


def routine_in(raw: dict[str, Any]) -> RoutineInput:
    """The week in a row."""
    return RoutineInput(**{**raw, "work_days": tuple(raw["work_days"])})


def shared_in(raw: dict[str, Any]) -> SharedInput:
    """Fridge and tubs, in a row."""
    return SharedInput(**raw)


def household_in(raw: dict[str, Any]) -> HouseholdInput:
    """The household in a row."""
    return HouseholdInput(**{**raw, "allergens": tuple(raw.get("allergens", ()))})
