"""Batches kept and found again, with every state on the way for undo and redo."""

from __future__ import annotations

import json
from collections.abc import Callable, Iterator, Sequence
from dataclasses import dataclass, replace
from datetime import datetime, timedelta
from typing import Any, Literal

from pydantic_core import from_json
from sqlalchemy import Connection, Engine, ScalarSelect, bindparam, case, delete, exists, func, insert, select, update
from sqlalchemy.orm import Session, aliased

from vadouvan.core.draft.merging import Side, merged
from vadouvan.core.draft.typed import Draft
from vadouvan.core.tasting.logbook import Spine
from vadouvan.core.weighing.event import LoggedEvent
from vadouvan.errors import InputError, NotKept, Overtaken
from vadouvan.shapes import draft_from_json, draft_to_json
from vadouvan.store.database import reading
from vadouvan.store.presses import presses_of
from vadouvan.store.rows import BatchRow, EventRow, HistoryRow, VerdictRow

ONE_STEP = timedelta(seconds=4)  # changes to one field within this make one step of the history
MOST_STATES = 400
MOST_AT_ONCE = 500
Way = Literal["undo", "redo"]
Check = Callable[[Draft, Draft, Sequence[LoggedEvent]], None]


@dataclass(frozen=True)
class Origin:
    """Ground of a change: a revision, and the draft of it, if it is known; ``prefer`` settles a clash."""

    revision: int = 0
    since: Draft | None = None
    prefer: Side | None = None


@dataclass(frozen=True)
class KeptBatch:
    """A draft with its identity and revision, and whether there is a state before and after it.

    ``locked``: its meat went into the mix at the counter; ``tasted``: somebody said how it was. ``damaged`` is the text
    of a row that cannot be read any more; its draft is then a name and nothing else.
    """

    id: str
    revision: int
    draft: Draft
    can_undo: bool = False
    can_redo: bool = False
    locked: bool = False
    tasted: bool = False
    damaged: str = ""


@dataclass(frozen=True)
class _Standing:
    """A batch's row as it stands in its history, from ``first`` to ``last``; ``pressed``: it was at the counter.

    ``touched`` is the field that led to this state, at ``stepped_at``.
    """

    id: str
    draft: str
    revision: int
    at_number: int
    first: int | None
    last: int | None
    touched: str | None
    stepped_at: str | None
    pressed: bool
    locked: bool
    tasted: bool

    def kept(self) -> KeptBatch:
        """The batch in it."""
        draft, damaged = draft_in(self.draft)
        return self._with(draft, damaged)

    def changed(self, draft: Draft) -> KeptBatch:
        """The batch in it, whose draft is known."""
        return self._with(draft, "")

    def _with(self, draft: Draft, damaged: str) -> KeptBatch:
        back, on = self.at_number > (self.first or 0), self.at_number < (self.last or 0)
        return KeptBatch(self.id, self.revision, draft, back, on, self.locked, self.tasted, damaged)


def _of_history(value: Any, *more: Any) -> ScalarSelect[Any]:
    return select(value).where(HistoryRow.batch_id == BatchRow.id, *more).scalar_subquery()


_UNDOING = aliased(EventRow)
_IN_CONTACT = exists().where(
    EventRow.batch_id == BatchRow.id,
    EventRow.kind == "contact",
    ~exists().where(_UNDOING.batch_id == EventRow.batch_id, _UNDOING.undoes == EventRow.number),
)
_HERE = HistoryRow.number == BatchRow.at_number
_STANDING = select(
    BatchRow.id,
    BatchRow.draft,
    BatchRow.revision,
    BatchRow.at_number,
    _of_history(func.min(HistoryRow.number)),
    _of_history(func.max(HistoryRow.number)),
    _of_history(HistoryRow.touched, _HERE),
    _of_history(HistoryRow.made_at, _HERE),
    exists().where(EventRow.batch_id == BatchRow.id),
    _IN_CONTACT,
    exists().where(VerdictRow.batch_id == BatchRow.id),
)
_STANDING_OF = _STANDING.where(BatchRow.id == bindparam("batch"))


class Batches:
    """The kitchen's batches. Every change is committed before it returns."""

    def __init__(self, engine: Engine) -> None:
        self._engine = engine

    def in_hand(self) -> list[KeptBatch]:
        """Batches that nobody has tasted yet, in the order they were made."""
        tasted = select(VerdictRow.batch_id)
        wanted = _STANDING.where(BatchRow.id.not_in(tasted)).order_by(BatchRow.made_at, BatchRow.id)
        with reading(self._engine) as session:
            return [_Standing(*row).kept() for row in session.execute(wanted)]

    def is_kept(self, identity: str) -> bool:
        """Whether a batch is here, readable or not."""
        with reading(self._engine) as session:
            return session.scalar(select(BatchRow.id).where(BatchRow.id == identity)) is not None

    def spines(self, identities: Sequence[str]) -> dict[str, Spine]:
        """The spines of those of these batches that are kept: read in the file, a tenth of the work of whole drafts."""
        found: dict[str, Spine] = {}
        with reading(self._engine) as session:
            for start in range(0, len(identities), MOST_AT_ONCE):
                part = identities[start : start + MOST_AT_ONCE]
                rows = session.execute(select(BatchRow.id, _ON_SPINE).where(BatchRow.id.in_(part)))
                found |= {name: _spine_in(text) for name, text in rows}
        return found

    def get(self, identity: str) -> KeptBatch:
        """One batch; raises NotKept."""
        with reading(self._engine) as session:
            return _standing(session.connection(), identity).kept()

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
        before and after it and the presses at the counter, of the same moment.
        """
        with self._engine.begin() as connection:
            stands = _standing(connection, identity)
            before, damaged = draft_in(stands.draft)
            if damaged:
                raise _unread()
            after = _brought_together(stands, before, draft, origin)
            if check is not None:
                check(before, after, _presses(connection, stands))
            return _put(connection, stands, draft_to_json(after), now).changed(after)

    def step(self, identity: str, way: Way, *, revision: int, now: datetime, check: Check | None = None) -> KeptBatch:
        """Go one state back (``undo``) or forward again (``redo``), if there is one; ``check`` may refuse it."""
        with self._engine.begin() as connection:
            stands = _standing(connection, identity)
            if stands.revision != revision:
                raise Overtaken(identity, expected=revision, stored=stands.revision)
            number = stands.at_number + (-1 if way == "undo" else 1)
            state = connection.scalar(_STATE, {"batch": identity, "step": number})
            if state is None:
                return stands.kept()
            if check is not None:
                check(draft_in(stands.draft)[0], draft_in(state)[0], _presses(connection, stands))
            moved = replace(stands, draft=state, at_number=number, revision=stands.revision + 1)
            _move(connection, moved, now)
            return moved.kept()

    def remove(self, identity: str) -> None:
        """Remove a batch and its history; raises NotKept."""
        with Session(self._engine) as session, session.begin():
            row = session.get(BatchRow, identity)
            if row is None:
                raise NotKept("batch", identity)
            session.delete(row)


_STATE = select(HistoryRow.draft).where(
    HistoryRow.batch_id == bindparam("batch"), HistoryRow.number == bindparam("step")
)
_AT = HistoryRow.batch_id == bindparam("batch"), HistoryRow.number == bindparam("step")
_STATE = select(HistoryRow.draft).where(*_AT)
_AFTER = delete(HistoryRow).where(HistoryRow.batch_id == bindparam("batch"), HistoryRow.number > bindparam("step"))
_UNTIL = delete(HistoryRow).where(HistoryRow.batch_id == bindparam("batch"), HistoryRow.number <= bindparam("step"))
_TYPED_ON = update(HistoryRow).where(*_AT).values(draft=bindparam("text"), made_at=bindparam("now"))
_STEPPED = insert(HistoryRow)
_MOVED = (
    update(BatchRow)
    .where(BatchRow.id == bindparam("batch"))
    .values(
        draft=bindparam("text"),
        revision=bindparam("to_revision"),
        changed_at=bindparam("now"),
        at_number=bindparam("to_number"),
    )
)


def put_draft(connection: Connection, identity: str, text: str, now: datetime) -> None:
    """Put a draft (as JSON) in the place of a batch's, with its step in the history; raises NotKept."""
    _put(connection, _standing(connection, identity), text, now)


def _put(connection: Connection, stands: _Standing, text: str, now: datetime) -> _Standing:
    identity, number = stands.id, stands.at_number
    touched = touched_field(stands.draft, text)
    if (stands.last or 0) > number:
        connection.execute(_AFTER, {"batch": identity, "step": number})
    recent = stands.stepped_at is not None and now - datetime.fromisoformat(stands.stepped_at) <= ONE_STEP
    first, at = stands.first, {"batch": identity, "step": number, "text": text, "now": now.isoformat()}
    if touched and touched == stands.touched and recent and number > 1:
        connection.execute(_TYPED_ON, at)
    elif touched:
        number += 1
        step = {"batch_id": identity, "number": number, "draft": text, "touched": touched, "made_at": now.isoformat()}
        connection.execute(_STEPPED, step)
        oldest = number - MOST_STATES
        if first is not None and first <= oldest:
            connection.execute(_UNTIL, {"batch": identity, "step": oldest})
            first = oldest + 1
    moved = replace(stands, draft=text, at_number=number, first=first, last=number, revision=stands.revision + 1)
    _move(connection, moved, now)
    return moved


def _move(connection: Connection, to: _Standing, now: datetime) -> None:
    """Write where a batch stands now."""
    row = {
        "batch": to.id,
        "text": to.draft,
        "to_revision": to.revision,
        "now": now.isoformat(),
        "to_number": to.at_number,
    }
    connection.execute(_MOVED, row)


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


def _brought_together(row: _Standing, stored: Draft, mine: Draft, origin: Origin) -> Draft:
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


def _standing(connection: Connection, identity: str) -> _Standing:
    """A batch's row; raises NotKept."""
    row = connection.execute(_STANDING_OF, {"batch": identity}).first()
    if row is None:
        raise NotKept("batch", identity)
    return _Standing(*row)


def _presses(connection: Connection, stands: _Standing) -> list[LoggedEvent]:
    """Its presses as of this transaction; there is nothing to ask for where it was never at the counter."""
    if not stands.pressed:
        return []
    with Session(connection) as session:
        return presses_of(session, stands.id)


_SPINE_PATHS = ("$.name", "$.cut.kind", "$.aims.school", "$.meal.pulled", "$.meal.at", "$.mix")
_ON_SPINE = case((func.json_valid(BatchRow.draft), func.json_extract(BatchRow.draft, *_SPINE_PATHS)))


def _spine_in(text: str | None) -> Spine:
    """The spine in these parts of a draft, as JSON; of what cannot be read a name alone."""
    if text is None:
        return Spine(DAMAGED_NAME, "", "", "", ())
    *said, mix = from_json(text)
    name, kind, school, pulled, at = (one if isinstance(one, str) else "" for one in said)
    lines = [line.get("text") for line in mix if isinstance(line, dict)] if isinstance(mix, list) else []
    return Spine(name, kind, school, pulled or at, tuple(line for line in lines if isinstance(line, str)))


DAMAGED_NAME = "A batch that cannot be read"


def draft_in(text: str) -> tuple[Draft, str]:
    """The draft in a row's text; for text that is none, a draft with a name alone, and the text."""
    try:
        return draft_from_json(text), ""
    except ValueError:
        return Draft(name=DAMAGED_NAME), text


def _unread() -> InputError:
    """The text of a row that cannot be read is kept as it is until somebody has seen it."""
    wrong = "What is kept of this batch cannot be read, and is not written over."
    accepted = "Go back one change, write it to a file, or remove it."
    return InputError(field="batch", given="", wrong=wrong, accepted=accepted)
