"""Verdicts kept, and which batch a batch goes on from."""

from __future__ import annotations

import json
from dataclasses import asdict, dataclass, replace
from datetime import datetime
from typing import Literal, NamedTuple

from pydantic_core import from_json
from sqlalchemy import Engine, delete, func, select
from sqlalchemy.orm import Session

from vadouvan.core.tasting.verdict import VerdictInput
from vadouvan.errors import NotKept
from vadouvan.store.beside import MadeFrom, beside
from vadouvan.store.database import looking, reading
from vadouvan.store.rows import BatchRow, DescentRow, VerdictRow
from vadouvan.store.unread import read_or_none, readable


@dataclass(frozen=True)
class KeptVerdict:
    """A verdict on a batch as it was said, when, and whether what it teaches is forgotten, or counts come what may."""

    batch_id: str
    said: VerdictInput
    at: datetime
    is_forgotten: bool = False
    is_insisted: bool = False


@dataclass(frozen=True)
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
        return [said for _, said in readable(self.said, lambda text: VerdictInput(**from_json(text)))]


LessonWeight = Literal["usual", "forgotten", "insisted"]


class Verdicts:
    """Verdicts on the batches; each eater has one verdict on a batch."""

    def __init__(self, engine: Engine) -> None:
        self._engine = engine

    def of(self, batch_id: str) -> list[KeptVerdict]:
        """The verdicts on one batch."""
        wanted = select(VerdictRow).where(VerdictRow.batch_id == batch_id).order_by(VerdictRow.at)
        with reading(self._engine) as session:
            return [kept for _, kept in readable(session.scalars(wanted), verdict_in)]

    def fingerprint(self) -> tuple[object, ...]:
        """A value that is another after any change to a batch or a verdict, and quickly read."""
        # A total is no integer that could overflow.
        batches = select(
            func.count(), func.total(BatchRow.revision), func.max(BatchRow.revision), func.max(BatchRow.changed_at)
        )
        verdicts = select(
            func.count(),
            func.sum(VerdictRow.forgotten),
            func.sum(VerdictRow.insisted),
            func.max(VerdictRow.at),
            func.total(func.julianday(VerdictRow.at) - RECENT_JULIAN_DAY),
            func.total(func.length(VerdictRow.said)),
        )
        with reading(self._engine) as session:
            descents = session.scalar(select(func.count()).select_from(DescentRow))
            return (*session.execute(batches).one(), *session.execute(verdicts).one(), descents)

    def states(self) -> dict[str, State]:
        """The state of every tasted batch."""
        columns = (
            VerdictRow.batch_id,
            BatchRow.revision,
            BatchRow.changed_at,
            DescentRow.from_id,
            VerdictRow.said,
            VerdictRow.forgotten,
            VerdictRow.insisted,
        )
        wanted = (
            select(*columns)
            .join(BatchRow, BatchRow.id == VerdictRow.batch_id)
            .outerjoin(DescentRow, DescentRow.batch_id == VerdictRow.batch_id)
            .order_by(VerdictRow.batch_id, VerdictRow.at)
        )
        with looking(self._engine) as connection:
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
        with Session(self._engine) as session, session.begin():
            if session.get(BatchRow, batch_id) is None:
                raise NotKept("batch", batch_id)
            said = replace(said, eater=said.eater.strip())
            row = session.get(VerdictRow, (batch_id, said.eater))
            kept = None if row is None else read_or_none(row, verdict_in)
            theirs = VerdictInput(said.eater) if kept is None else kept.said
            session.merge(verdict_row(batch_id, beside(batch_id, said, theirs, made_from), at=now))

    def remove(self, batch_id: str, eater: str) -> None:
        """Remove an eater's verdict; raises NotKept."""
        with Session(self._engine) as session, session.begin():
            row = session.get(VerdictRow, (batch_id, eater))
            if row is None:
                raise NotKept("verdict", eater or "without a name")
            session.delete(row)

    def weigh(self, batch_id: str | None, lesson: LessonWeight) -> None:
        """Learn nothing more from the verdicts on a batch, or on all; or as usual again; or whatever the others say."""
        with Session(self._engine) as session, session.begin():
            wanted = select(VerdictRow)
            if batch_id is not None:
                wanted = wanted.where(VerdictRow.batch_id == batch_id)
            rows = list(session.scalars(wanted))
            if batch_id is not None and not rows:
                raise NotKept("verdict", batch_id)
            for row in rows:
                row.forgotten, row.insisted = lesson == "forgotten", lesson == "insisted"

    def note_descent(self, descent: Descent) -> None:
        """Keep which batch a batch goes on from."""
        with Session(self._engine) as session, session.begin():
            session.execute(delete(DescentRow).where(DescentRow.batch_id == descent.batch_id))
            says = json.dumps(list(descent.says), ensure_ascii=False)
            session.add(DescentRow(batch_id=descent.batch_id, from_id=descent.from_id, says=says))

    def descents(self) -> list[Descent]:
        """All of them."""
        with reading(self._engine) as session:
            rows = session.scalars(select(DescentRow))
            return [Descent(row.batch_id, row.from_id, says) for row, says in readable(rows, changes_in)]


def changes_in(row: DescentRow) -> tuple[str, ...]:
    """Changes since the batch that this one goes on from; raises ValueError if these are no list of texts."""
    changes = json.loads(row.says)
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
        row.batch_id, VerdictInput(**from_json(row.said)), datetime.fromisoformat(row.at), row.forgotten, row.insisted
    )
