"""Batches kept and found again, with every state on the way for undo and redo."""

from __future__ import annotations

import json
from collections.abc import Callable, Iterator, Sequence
from dataclasses import dataclass
from datetime import datetime, timedelta
from typing import Literal

from sqlalchemy import Engine, bindparam, delete, func, select
from sqlalchemy.orm import Session

from vadouvan.core.draft.merging import Side, merged
from vadouvan.core.draft.typed import Draft
from vadouvan.errors import InputError, NotKept, Overtaken
from vadouvan.shapes import draft_from_json, draft_to_json
from vadouvan.store.database import reading
from vadouvan.store.rows import BatchRow, HistoryRow, VerdictRow

ONE_STEP = timedelta(seconds=4)  # changes to one field within this make one step of the history
MOST_STATES = 400
MOST_AT_ONCE = 500
Way = Literal["undo", "redo"]
Check = Callable[[Draft, Draft], None]


@dataclass(frozen=True)
class Origin:
    """Ground of a change: a revision, and the draft of it, if it is known; ``prefer`` settles a clash."""

    revision: int = 0
    since: Draft | None = None
    prefer: Side | None = None


@dataclass(frozen=True)
class KeptBatch:
    """A draft with its identity and revision, and whether there is a state before and after it.

    ``damaged`` is the text of a row that cannot be read any more; its draft is then a name and nothing else.
    """

    id: str
    revision: int
    draft: Draft
    can_undo: bool = False
    can_redo: bool = False
    damaged: str = ""


class Batches:
    """The kitchen's batches. Every change is committed before it returns."""

    def __init__(self, engine: Engine) -> None:
        self._engine = engine

    def in_hand(self) -> list[KeptBatch]:
        """Batches that nobody has tasted yet, in the order they were made."""
        tasted = select(VerdictRow.batch_id)
        ends = select(HistoryRow.batch_id, *_ENDS).group_by(HistoryRow.batch_id).subquery()
        wanted = (
            select(BatchRow, ends.c.first, ends.c.last)
            .outerjoin(ends, ends.c.batch_id == BatchRow.id)
            .where(BatchRow.id.not_in(tasted))
            .order_by(BatchRow.made_at, BatchRow.id)
        )
        with reading(self._engine) as session:
            return [_between(row, first, last) for row, first, last in session.execute(wanted)]

    def some(self, identities: Sequence[str]) -> list[KeptBatch]:
        """Those of these batches that are kept, in the order they were made."""
        found: list[KeptBatch] = []
        with reading(self._engine) as session:
            for start in range(0, len(identities), MOST_AT_ONCE):
                part = identities[start : start + MOST_AT_ONCE]
                columns = select(BatchRow.id, BatchRow.revision, BatchRow.draft)
                rows = session.execute(columns.where(BatchRow.id.in_(part)).order_by(BatchRow.made_at))
                found += [KeptBatch(name, revision, draft_in(draft)[0]) for name, revision, draft in rows]
        return found

    def get(self, identity: str) -> KeptBatch:
        """One batch; raises NotKept."""
        with reading(self._engine) as session:
            return _kept(session, _row(session, identity))

    def add(self, identity: str, draft: Draft, *, now: datetime) -> KeptBatch:
        """Keep a new batch."""
        moment, text = now.isoformat(), draft_to_json(draft)
        with Session(self._engine) as session, session.begin():
            session.add(BatchRow(id=identity, draft=text, revision=1, made_at=moment, changed_at=moment, at_number=1))
            session.flush()
            session.add(HistoryRow(batch_id=identity, number=1, draft=text, touched="", made_at=moment))
        return KeptBatch(identity, 1, draft)

    def change(
        self, identity: str, draft: Draft, origin: Origin, *, now: datetime, check: Check | None = None
    ) -> KeptBatch:
        """Replace a draft by one that was made from ``origin``.

        What was changed elsewhere meanwhile stays beside it. Raises NotKept, and Overtaken where both changed one field
        or, without the draft that it was made from, if the batch has moved on. States that had been undone are
        forgotten. Typing on in one field stays one step. ``check`` may refuse the change by raising, with the draft
        before and after it.
        """
        with Session(self._engine) as session, session.begin():
            row = _row(session, identity)
            _refuse_damaged(row)
            before = draft_from_json(row.draft)
            after = _brought_together(row, before, draft, origin)
            if check is not None:
                check(before, after)
            put_draft(session, row, draft_to_json(after), now)
            session.flush()
            return _kept(session, row)

    def step(self, identity: str, way: Way, *, revision: int, now: datetime, check: Check | None = None) -> KeptBatch:
        """Go one state back (``undo``) or forward again (``redo``), if there is one; ``check`` may refuse it."""
        with Session(self._engine) as session, session.begin():
            row = _row_at(session, identity, revision)
            number = row.at_number + (-1 if way == "undo" else 1)
            state = session.get(HistoryRow, (identity, number))
            if state is not None:
                if check is not None:
                    check(draft_in(row.draft)[0], draft_in(state.draft)[0])
                row.at_number = number
                _move(row, state.draft, now)
                session.flush()
            return _kept(session, row)

    def remove(self, identity: str) -> None:
        """Remove a batch and its history; raises NotKept."""
        with Session(self._engine) as session, session.begin():
            session.delete(_row(session, identity))


_AFTER = delete(HistoryRow).where(HistoryRow.batch_id == bindparam("batch"), HistoryRow.number > bindparam("number"))


def put_draft(session: Session, row: BatchRow, text: str, now: datetime) -> None:
    """Put a draft (as JSON) in the place of a row's, with its step in the history."""
    identity, touched = row.id, touched_field(row.draft, text)
    session.execute(_AFTER, {"batch": identity, "number": row.at_number})
    last = session.get_one(HistoryRow, (identity, row.at_number))
    recent = now - datetime.fromisoformat(last.made_at) <= ONE_STEP
    if touched and touched == last.touched and recent and row.at_number > 1:
        last.draft, last.made_at = text, now.isoformat()
    elif touched:
        row.at_number += 1
        step = HistoryRow(batch_id=identity, number=row.at_number, draft=text, touched=touched, made_at=now.isoformat())
        session.add(step)
        oldest = row.at_number - MOST_STATES
        session.execute(delete(HistoryRow).where(HistoryRow.batch_id == identity, HistoryRow.number <= oldest))
    _move(row, text, now)


def touched_field(old: str, new: str) -> str:
    """The path of the one field in which two drafts (as JSON) differ; ``several`` if more, empty if none."""
    differing = list(_differing(json.loads(old), json.loads(new)))
    if len(differing) > 1:
        return "several"
    return differing[0] if differing else ""


def _differing(before: object, after: object, path: str = "") -> Iterator[str]:
    """Paths of all that is another in one of two drafts; list members go by their identity."""
    if before == after:
        return
    if isinstance(before, dict) and isinstance(after, dict):
        for key in before.keys() | after.keys():
            yield from _differing(before.get(key), after.get(key), f"{path}.{key}")
    elif isinstance(before, list) and isinstance(after, list):
        olds, news = ({part["id"]: part for part in side} for side in (before, after))
        if list(olds) != list(news):
            yield f"{path}.order"
        for name in olds.keys() | news.keys():
            yield from _differing(olds.get(name), news.get(name), f"{path}.{name}")
    else:
        yield path


def _brought_together(row: BatchRow, stored: Draft, mine: Draft, origin: Origin) -> Draft:
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


def _row(session: Session, identity: str) -> BatchRow:
    row = session.get(BatchRow, identity)
    if row is None:
        raise NotKept("batch", identity)
    return row


def _row_at(session: Session, identity: str, revision: int) -> BatchRow:
    row = session.get(BatchRow, identity, with_for_update=True)
    if row is None:
        raise NotKept("batch", identity)
    if row.revision != revision:
        raise Overtaken(identity, expected=revision, stored=row.revision)
    return row


def _move(row: BatchRow, draft: str, now: datetime) -> None:
    row.draft, row.revision, row.changed_at = draft, row.revision + 1, now.isoformat()


_ENDS = (func.min(HistoryRow.number).label("first"), func.max(HistoryRow.number).label("last"))
_ENDS_OF_BATCH = select(*_ENDS).where(HistoryRow.batch_id == bindparam("batch"))


def _kept(session: Session, row: BatchRow) -> KeptBatch:
    return _between(row, *session.execute(_ENDS_OF_BATCH, {"batch": row.id}).one())


def _between(row: BatchRow, first: int | None, last: int | None) -> KeptBatch:
    """A row as a batch, where its history begins and ends so."""
    draft, damaged = draft_in(row.draft)
    return KeptBatch(row.id, row.revision, draft, row.at_number > (first or 0), row.at_number < (last or 0), damaged)


DAMAGED_NAME = "A batch that cannot be read"


def draft_in(text: str) -> tuple[Draft, str]:
    """The draft in a row's text; for text that is none, a draft with a name alone, and the text."""
    try:
        return draft_from_json(text), ""
    except ValueError:
        return Draft(name=DAMAGED_NAME), text


def _refuse_damaged(row: BatchRow) -> None:
    """Raises InputError for a row that cannot be read: its text is kept as it is until somebody has seen it."""
    if draft_in(row.draft)[1]:
        wrong = "What is kept of this batch cannot be read, and is not written over."
        accepted = "Go back one change, write it to a file, or remove it."
        raise InputError(field="batch", given="", wrong=wrong, accepted=accepted)
