"""Batches kept and found again."""

from __future__ import annotations

from collections.abc import Callable, Sequence
from dataclasses import replace
from datetime import datetime
from typing import Literal

from sqlalchemy import Connection, Engine, select

from vadouvan.core.draft.merging import Side, merged
from vadouvan.core.draft.typed import Draft
from vadouvan.core.tasting.logbook import Spine
from vadouvan.core.weighing.event import LoggedEvent
from vadouvan.errors import InputError, NotKept, Overtaken
from vadouvan.shapes import draft_to_json
from vadouvan.store.database import reading
from vadouvan.store.presses import presses_of
from vadouvan.store.rows import BATCH, HISTORY, VERDICT, BatchRow, HistoryRow
from vadouvan.store.spines import spines_of
from vadouvan.store.standing import STANDING, KeptBatch, Standing, draft_in, move, put, standing_of, state_at
from vadouvan.store.table import is_identity
from vadouvan.unchanging import unchanging

Way = Literal["undo", "redo"]
Check = Callable[[Draft, Draft, Sequence[LoggedEvent]], None]


@unchanging
class Origin:
    """Ground of a change: a revision, and the draft of it, if it is known; ``prefer`` settles a clash."""

    revision: int = 0
    since: Draft | None = None
    prefer: Side | None = None


class Batches:
    """The kitchen's batches. Every change is committed before it returns."""

    def __init__(self, engine: Engine) -> None:
        self._engine = engine

    def in_hand(self) -> list[KeptBatch]:
        """Batches that nobody has tasted yet, in the order they were made."""
        tasted = select(VERDICT.c.batch_id)
        wanted = STANDING.where(BATCH.c.id.not_in(tasted)).order_by(BATCH.c.made_at, BATCH.c.id)
        with reading(self._engine) as connection:
            return [Standing(*row).kept() for row in connection.execute(wanted) if is_identity(row.id)]

    def is_kept(self, identity: str) -> bool:
        """Whether a batch is here, readable or not."""
        with reading(self._engine) as connection:
            return BATCH.holds(connection, identity)

    def spines(self, identities: Sequence[str]) -> dict[str, Spine]:
        """The spines of those of these batches that are kept."""
        return spines_of(self._engine, identities)

    def get(self, identity: str) -> KeptBatch:
        """One batch; raises NotKept."""
        with reading(self._engine) as connection:
            return standing_of(connection, identity).kept()

    def add(self, identity: str, draft: Draft, *, now: datetime) -> KeptBatch:
        """Keep a new batch."""
        moment, text = now.isoformat(), draft_to_json(draft)
        with self._engine.begin() as connection:
            BATCH.add(connection, BatchRow(identity, text, revision=1, made_at=moment, changed_at=moment))
            HISTORY.add(connection, HistoryRow(identity, 1, text, touched="", made_at=moment))
        return KeptBatch(identity, 1, draft)

    def change(
        self, identity: str, draft: Draft, origin: Origin, *, now: datetime, check: Check | None = None
    ) -> KeptBatch:
        """Replace a draft by one that was made from ``origin``.

        What was changed elsewhere meanwhile stays beside it. Raises NotKept, and Overtaken where both changed one field
        or, without the draft that it was made from, if the batch has moved on. States that had been undone are
        forgotten. Typing on in one field stays one step. ``check`` may refuse the change by raising, with the draft
        before and after it and the presses at the counter, of the same moment.
        """
        with self._engine.begin() as connection:
            stands = standing_of(connection, identity)
            before, damaged = draft_in(stands.draft)
            if damaged:
                raise _unread()
            after = _brought_together(stands, before, draft, origin)
            if check is not None:
                check(before, after, _presses(connection, stands))
            return put(connection, stands, before, after, now).kept(after)

    def step(self, identity: str, way: Way, *, revision: int, now: datetime, check: Check | None = None) -> KeptBatch:
        """Go one state back (``undo``) or forward again (``redo``), if there is one; ``check`` may refuse it."""
        with self._engine.begin() as connection:
            stands = standing_of(connection, identity)
            if stands.revision != revision:
                raise Overtaken(identity, expected=revision, stored=stands.revision)
            number = stands.at_number + (-1 if way == "undo" else 1)
            state = state_at(connection, identity, number)
            if state is None:
                return stands.kept()
            if check is not None:
                check(draft_in(stands.draft)[0], draft_in(state)[0], _presses(connection, stands))
            moved = replace(stands, draft=state, at_number=number, revision=stands.revision + 1)
            move(connection, moved, now)
            return moved.kept()

    def remove(self, identity: str) -> None:
        """Remove a batch and its history; raises NotKept."""
        with self._engine.begin() as connection:
            if not BATCH.remove(connection, identity):
                raise NotKept("batch", identity)


def _brought_together(row: Standing, stored: Draft, mine: Draft, origin: Origin) -> Draft:
    """By what was there, not by a number: after a kitchen was put back the same number can mean another draft."""
    if origin.since is None:
        if row.revision != origin.revision:
            raise Overtaken(row.id, expected=origin.revision, stored=row.revision)
        return mine
    found = merged(origin.since, mine, stored, origin.prefer)
    if found.clashes and origin.prefer is None:
        clashes = [
            InputError(field=one.path, given=one.mine or "", wrong=one.says, accepted="Choose one.")
            for one in found.clashes
        ]
        raise Overtaken(row.id, expected=origin.revision, stored=row.revision, clashes=clashes)
    return found.draft


def _presses(connection: Connection, stands: Standing) -> list[LoggedEvent]:
    """Its presses as of this transaction; there is nothing to ask for where it was never at the counter."""
    return presses_of(connection, stands.id) if stands.pressed else []


def _unread() -> InputError:
    """The text of a row that cannot be read is kept as it is until somebody has seen it."""
    wrong = "What is kept of this batch cannot be read, and is not written over."
    accepted = "Go back one change, write it to a file, or remove it."
    return InputError(field="batch", given="", wrong=wrong, accepted=accepted)
