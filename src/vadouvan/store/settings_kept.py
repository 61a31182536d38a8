"""Settings of the kitchen, each kept as JSON under its name."""

from __future__ import annotations

import json
from collections.abc import Callable
from dataclasses import asdict, replace
from typing import Any, TypeVar

from sqlalchemy import ColumnElement, Connection, Engine, String, literal_column, select, union_all

from vadouvan.core.interpretation.household import HouseholdInput, read_household
from vadouvan.core.interpretation.routine import RoutineInput, read_routine
from vadouvan.core.interpretation.shared import SharedInput, read_shared
from vadouvan.core.kitchen.kitchen import NOTHING_LEARNED, OwnCorrection
from vadouvan.core.pantry.pantry import Pantry
from vadouvan.shapes import value_in
from vadouvan.store.beside import MadeFrom, beside
from vadouvan.store.database import asked, in_words, reading
from vadouvan.store.rows import OWN_CUT, OWN_INGREDIENT, SETTING, SettingRow
from vadouvan.store.table import sound
from vadouvan.store.unread import read_or_none

T = TypeVar("T")
NO_PANTRY = Pantry.of(())
ROUTINE, SHARED, CORRECTION, HOUSEHOLD = "routine", "shared", "correction", "household"


def _said(word: str) -> ColumnElement[str]:
    return literal_column(f"'{word} '", String)


_STATE = in_words(
    union_all(
        select(_said("setting") + SETTING.c.name, SETTING.c.value),
        select(_said("ingredient") + OWN_INGREDIENT.c.id, OWN_INGREDIENT.c.label),
        select(_said("cut") + OWN_CUT.c.id, OWN_CUT.c.kind),
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

    def _read(self, name: str, read: Callable[[str], T]) -> T | None:
        """A setting; nothing where none was said, or where it cannot be read any more."""
        with reading(self._engine) as connection:
            return setting_in(connection, name, read)

    def _keep_beside(self, name: str, said: T, read: Callable[[str], T], blank: T, made_from: MadeFrom[T] | None) -> T:
        """Compare and set in one transaction."""
        with self._engine.begin() as connection:
            kept_there = setting_in(connection, name, read)
            theirs = blank if kept_there is None else kept_there
            kept = beside(name, said, theirs, made_from)
            SETTING.put(connection, SettingRow(name, json.dumps(asdict(kept))))  # type: ignore[call-overload]
        return kept

    def _keep(self, name: str, said: dict[str, Any]) -> None:
        with self._engine.begin() as connection:
            SETTING.put(connection, SettingRow(name, json.dumps(said)))


def setting_in(connection: Connection, name: str, read: Callable[[str], T]) -> T | None:
    """A setting; nothing where none was said, or where it cannot be read any more."""
    row = SETTING.one(connection, name)
    return None if row is None else read_or_none(row, lambda kept: read(sound(kept).value))


def correction_in(text: str) -> OwnCorrection:
    """Lessons of the verdicts, in a row; raises ValueError for factors that are none."""
    learned = value_in(OwnCorrection, text)
    softening = (factor for of_family in learned.softening.values() for factor in of_family.values())
    if not all(factor > 0 for factor in (learned.salt, *learned.pace.values(), *softening)):
        raise ValueError("a factor is above 0")
    return learned


def routine_in(text: str) -> RoutineInput:
    """The week in a row; raises ValueError or BadInput for one that cannot be read."""
    said = value_in(RoutineInput, text)
    read_routine(said)
    return said


def shared_in(text: str) -> SharedInput:
    """Fridge and tubs, in a row; likewise."""
    said = value_in(SharedInput, text)
    read_shared(said)
    return said


def household_in(text: str) -> HouseholdInput:
    """The household in a row; likewise. Its salt may be one that was removed since: nobody's fault."""
    said = value_in(HouseholdInput, text)
    read_household(replace(said, salt=""), NO_PANTRY)
    return said


READ_BY_NAME: dict[str, Callable[[str], object]] = {
    ROUTINE: routine_in,
    SHARED: shared_in,
    HOUSEHOLD: household_in,
    CORRECTION: correction_in,
}
