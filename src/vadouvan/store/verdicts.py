"""Verdicts kept, and which batch a batch goes on from."""

from __future__ import annotations

import json
from dataclasses import asdict, replace
from datetime import datetime
from typing import Literal, NamedTuple

from sqlalchemy import Engine, String, cast, func, select, update

from vadouvan.core.tasting.verdict import VerdictInput
from vadouvan.errors import NotKept
from vadouvan.shapes import value_in
from vadouvan.store.beside import MadeFrom, beside
from vadouvan.store.database import reading
from vadouvan.store.rows import BATCH, DESCENT, VERDICT, DescentRow, VerdictRow
from vadouvan.store.table import sound
from vadouvan.store.unread import moment_in, read_or_none, readable
from vadouvan.unchanging import unchanging


@unchanging
class KeptVerdict:
    """A verdict on a batch as it was said, when, and whether what it teaches is forgotten, or counts come what may."""

    batch_id: str
    said: VerdictInput
    at: datetime
    is_forgotten: bool = False
    is_insisted: bool = False


@unchanging
class Descent:
    """The batch that a batch goes on from, and what was changed, in words."""

    batch_id: str
    from_id: str
    says: tuple[str, ...]


RECENT_JULIAN_DAY = 2_461_000  # taken off before times are summed, so that a sum tells a millisecond


class State(NamedTuple):
    """From which anything that is worked out of a tasted batch follows: its revision, and its verdicts' state.

    ``said`` are the verdicts as they are kept, the oldest first.
    """

    revision: int
    changed_at: str
    said: tuple[str, ...]
    is_forgotten: bool
    is_insisted: bool
    from_id: str

    def with_another(self, said: str, is_forgotten: bool, is_insisted: bool) -> State:
        """The state with one verdict more."""
        weighed = self.is_forgotten or bool(is_forgotten), self.is_insisted or bool(is_insisted)
        return State(self.revision, self.changed_at, (*self.said, said), *weighed, self.from_id)

    def verdicts(self) -> list[VerdictInput]:
        """The verdicts that can be read."""
        return [said for _, said in readable(self.said, lambda text: value_in(VerdictInput, text))]


LessonWeight = Literal["usual", "forgotten", "insisted"]


class Verdicts:
    """Verdicts on the batches; each eater has one verdict on a batch."""

    def __init__(self, engine: Engine) -> None:
        self._engine = engine

    def of(self, batch_id: str) -> list[KeptVerdict]:
        """The verdicts on one batch."""
        wanted = VERDICT.all.where(VERDICT.c.batch_id == batch_id).order_by(VERDICT.c.at)
        with reading(self._engine) as connection:
            return [kept for _, kept in readable(VERDICT.rows(connection, wanted), verdict_in)]

    def fingerprint(self) -> tuple[object, ...]:
        """A value that is another after any change to a batch or a verdict, and quickly read."""
        # A total is no integer that could overflow.
        batches = select(
            func.count(), func.total(BATCH.c.revision), func.max(BATCH.c.revision), func.max(BATCH.c.changed_at)
        )
        verdicts = select(
            func.count(),
            func.sum(VERDICT.c.forgotten),
            func.sum(VERDICT.c.insisted),
            func.max(VERDICT.c.at),
            func.total(func.julianday(VERDICT.c.at) - RECENT_JULIAN_DAY),
            func.total(func.length(VERDICT.c.said)),
        )
        with reading(self._engine) as connection:
            descents = connection.scalar(select(func.count()).select_from(DESCENT.table))
            return (*connection.execute(batches).one(), *connection.execute(verdicts).one(), descents)

    def states(self) -> dict[str, State]:
        """The state of every tasted batch."""
        columns = (
            VERDICT.c.batch_id,
            BATCH.c.revision,
            BATCH.c.changed_at,
            cast(DESCENT.c.from_id, String),
            VERDICT.c.said,
            VERDICT.c.forgotten,
            VERDICT.c.insisted,
        )
        wanted = (
            select(*columns)
            .join(BATCH.table, BATCH.c.id == VERDICT.c.batch_id)
            .outerjoin(DESCENT.table, DESCENT.c.batch_id == VERDICT.c.batch_id)
            .order_by(VERDICT.c.batch_id, VERDICT.c.at)
        )
        with reading(self._engine) as connection:
            rows = connection.execute(wanted).all()
        found: dict[str, State] = {}
        for name, revision, changed_at, from_id, said, forgotten, insisted in rows:
            before = found.get(name)
            if before is None:
                found[name] = State(revision, changed_at, (said,), bool(forgotten), bool(insisted), from_id or "")
            else:
                found[name] = before.with_another(said, forgotten, insisted)
        return found

    def keep(
        self, batch_id: str, said: VerdictInput, *, now: datetime, made_from: MadeFrom[VerdictInput] | None = None
    ) -> None:
        """Keep a verdict in the place of the eater's earlier one, beside what was said elsewhere meanwhile.

        Raises NotKept without the batch, and Overtaken where both said something else of one thing.
        """
        with self._engine.begin() as connection:
            if not BATCH.holds(connection, batch_id):
                raise NotKept("batch", batch_id)
            said = replace(said, eater=said.eater.strip())
            row = VERDICT.one(connection, batch_id, said.eater)
            kept = None if row is None else read_or_none(row, verdict_in)
            theirs = VerdictInput(said.eater) if kept is None else kept.said
            VERDICT.put(connection, verdict_row(batch_id, beside(batch_id, said, theirs, made_from), at=now))

    def remove(self, batch_id: str, eater: str) -> None:
        """Remove an eater's verdict; raises NotKept."""
        with self._engine.begin() as connection:
            if not VERDICT.remove(connection, batch_id, eater):
                raise NotKept("verdict", eater or "without a name")

    def weigh(self, batch_id: str | None, lesson: LessonWeight) -> None:
        """Learn nothing more from the verdicts on a batch, or on all; or as usual again; or whatever the others say."""
        weighed = update(VERDICT.table).values(forgotten=lesson == "forgotten", insisted=lesson == "insisted")
        if batch_id is not None:
            weighed = weighed.where(VERDICT.c.batch_id == batch_id)
        with self._engine.begin() as connection:
            if connection.execute(weighed).rowcount == 0 and batch_id is not None:
                raise NotKept("verdict", batch_id)

    def note_descent(self, descent: Descent) -> None:
        """Keep which batch a batch goes on from."""
        says = json.dumps(list(descent.says), ensure_ascii=False)
        with self._engine.begin() as connection:
            DESCENT.put(connection, DescentRow(descent.batch_id, descent.from_id, says))

    def descents(self) -> list[Descent]:
        """All of them."""
        with reading(self._engine) as connection:
            rows = readable(DESCENT.rows(connection, DESCENT.all), changes_in)
            return [Descent(row.batch_id, row.from_id, says) for row, says in rows]


def changes_in(row: DescentRow) -> tuple[str, ...]:
    """Changes since the batch that this one goes on from; raises ValueError if these are no list of texts."""
    changes = json.loads(sound(row).says)
    if not isinstance(changes, list) or not all(isinstance(one, str) for one in changes):
        raise ValueError("what was changed is no list of texts")
    return tuple(changes)


def verdict_row(
    batch_id: str, said: VerdictInput, *, at: datetime, is_forgotten: bool = False, is_insisted: bool = False
) -> VerdictRow:
    """A verdict as a row."""
    text = json.dumps(asdict(said), separators=(",", ":"))
    return VerdictRow(
        batch_id=batch_id,
        eater=said.eater.strip(),
        said=text,
        forgotten=is_forgotten,
        insisted=is_insisted,
        at=at.isoformat(),
    )


def verdict_in(row: VerdictRow) -> KeptVerdict:
    """The verdict in a row."""
    return KeptVerdict(
        sound(row).batch_id, value_in(VerdictInput, row.said), moment_in(row.at), row.forgotten, row.insisted
    )
