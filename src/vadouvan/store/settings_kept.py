"""Settings of the kitchen, each kept as JSON under its name."""

from __future__ import annotations

import json
from dataclasses import asdict

from sqlalchemy import Engine
from sqlalchemy.orm import Session

from vadouvan.core.reading.routine import RoutineSaid
from vadouvan.store.rows import SettingRow

ROUTINE = "routine"


class KeptSettings:
    """What the cook set once for all batches."""

    def __init__(self, engine: Engine) -> None:
        self._engine = engine

    def routine(self) -> RoutineSaid:
        """The cook's week as typed; the usual one until something was said."""
        with Session(self._engine) as session:
            row = session.get(SettingRow, ROUTINE)
        if row is None:
            return RoutineSaid()
        raw = json.loads(row.value)
        return RoutineSaid(**{**raw, "work_days": tuple(raw["work_days"])})

    def keep_routine(self, said: RoutineSaid) -> None:
        """Keep the cook's week."""
        with Session(self._engine) as session, session.begin():
            session.merge(SettingRow(name=ROUTINE, value=json.dumps(asdict(said))))
