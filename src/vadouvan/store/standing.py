"""A batch's row as it stands in its history, and the steps that it goes there: typing, undo and redo."""

from __future__ import annotations

from dataclasses import replace
from datetime import datetime, timedelta
from typing import Any

from sqlalchemy import (
    Connection,
    Integer,
    ScalarSelect,
    bindparam,
    cast,
    delete,
    exists,
    func,
    insert,
    literal_column,
    select,
    update,
)

from vadouvan.core.draft.differing import SEVERAL, touched_field
from vadouvan.core.draft.typed import Draft
from vadouvan.errors import NotKept
from vadouvan.shapes import draft_from_json, draft_to_json
from vadouvan.store.database import done, in_words
from vadouvan.store.rows import BATCH, HISTORY, PRESS, VERDICT
from vadouvan.store.unread import moment_in, read_or_none
from vadouvan.unchanging import unchanging

ONE_STEP = timedelta(seconds=4)  # changes to one field within this make one step of the history
MOST_STATES = 400


@unchanging
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


@unchanging
class Standing:
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

    def kept(self, known: Draft | None = None) -> KeptBatch:
        """The batch in it, whose draft may be known already."""
        draft, damaged = draft_in(self.draft) if known is None else (known, "")
        back, on = self.at_number > (self.first or 0), self.at_number < (self.last or 0)
        return KeptBatch(self.id, self.revision, draft, back, on, self.locked, self.tasted, damaged)


def _of_history(value: Any, *more: Any) -> ScalarSelect[Any]:
    return select(value).where(HISTORY.c.batch_id == BATCH.c.id, *more).scalar_subquery()


_UNDOING = PRESS.table.alias()
_IN_CONTACT = exists().where(
    PRESS.c.batch_id == BATCH.c.id,
    PRESS.c.kind == literal_column("'contact'"),
    ~exists().where(_UNDOING.c.batch_id == PRESS.c.batch_id, _UNDOING.c.undoes == PRESS.c.number),
)
_HERE = HISTORY.c.number == BATCH.c.at_number
STANDING = select(
    BATCH.c.id,
    BATCH.c.draft,
    cast(BATCH.c.revision, Integer),
    cast(BATCH.c.at_number, Integer),
    _of_history(func.min(cast(HISTORY.c.number, Integer))),
    _of_history(func.max(cast(HISTORY.c.number, Integer))),
    _of_history(HISTORY.c.touched, _HERE),
    _of_history(HISTORY.c.made_at, _HERE),
    exists().where(PRESS.c.batch_id == BATCH.c.id),
    _IN_CONTACT,
    exists().where(VERDICT.c.batch_id == BATCH.c.id),
)
_STANDING_OF = in_words(STANDING.where(BATCH.c.id == bindparam("batch")))


def standing_of(connection: Connection, identity: str) -> Standing:
    """A batch's row; raises NotKept."""
    row = done(connection, _STANDING_OF, {"batch": identity}).fetchone()
    if row is None:
        raise NotKept("batch", identity)
    return Standing(*row[:8], *map(bool, row[8:]))


_OF_IT = HISTORY.c.batch_id == bindparam("batch")
_AT = _OF_IT, HISTORY.c.number == bindparam("step")
_STATE = in_words(select(HISTORY.c.draft).where(*_AT))
_AFTER = in_words(delete(HISTORY.table).where(_OF_IT, HISTORY.c.number > bindparam("step")))
_UNTIL = in_words(delete(HISTORY.table).where(_OF_IT, HISTORY.c.number <= bindparam("step")))
_TYPED_ON = in_words(update(HISTORY.table).where(*_AT).values(draft=bindparam("text"), made_at=bindparam("now")))
_STEPPED = in_words(insert(HISTORY.table))
_MOVED = in_words(
    update(BATCH.table)
    .where(BATCH.c.id == bindparam("batch"))
    .values(
        draft=bindparam("text"),
        revision=bindparam("to_revision"),
        changed_at=bindparam("now"),
        at_number=bindparam("to_number"),
    )
)


def put_draft(connection: Connection, identity: str, draft: Draft, now: datetime) -> None:
    """Put a draft in the place of a batch's, with its step in the history; raises NotKept."""
    stands = standing_of(connection, identity)
    put(connection, stands, draft_in(stands.draft)[0], draft, now)


def put(connection: Connection, stands: Standing, before: Draft, after: Draft, now: datetime) -> Standing:
    """Put a draft in the place of the one that stands there, with its step; gives where it stands then."""
    identity, number, text = stands.id, stands.at_number, draft_to_json(after)
    touched = touched_field(before, after)
    if (stands.last or 0) > number:
        done(connection, _AFTER, {"batch": identity, "step": number})
    stepped = read_or_none(stands.stepped_at or "", moment_in)
    recent = stepped is not None and now - stepped <= ONE_STEP
    at = {"batch": identity, "step": number, "text": text, "now": now.isoformat()}
    typed_on = touched == stands.touched and touched != SEVERAL
    if touched and typed_on and recent and number > 1:
        done(connection, _TYPED_ON, at)
    elif touched:
        number += 1
        step = {"batch_id": identity, "number": number, "draft": text, "touched": touched, "made_at": now.isoformat()}
        done(connection, _STEPPED, step)
        oldest = number - MOST_STATES
        if stands.first is not None and stands.first <= oldest:
            done(connection, _UNTIL, {"batch": identity, "step": oldest})
    moved = replace(stands, draft=text, at_number=number, last=number, revision=stands.revision + 1)
    move(connection, moved, now)
    return moved


def move(connection: Connection, to: Standing, now: datetime) -> None:
    """Write where a batch stands now."""
    row = {
        "batch": to.id,
        "text": to.draft,
        "to_revision": to.revision,
        "now": now.isoformat(),
        "to_number": to.at_number,
    }
    done(connection, _MOVED, row)


def state_at(connection: Connection, identity: str, number: int) -> str | None:
    """The draft of a state of a batch, as JSON; nothing where there is none."""
    found = done(connection, _STATE, {"batch": identity, "step": number}).fetchone()
    return None if found is None else str(found[0])


DAMAGED_NAME = "A batch that cannot be read"


def draft_in(kept: str | bytes) -> tuple[Draft, str]:
    """The draft in a row's text; for what is none, a draft with a name alone, and its text: a column may hold bytes."""
    text = kept if isinstance(kept, str) else kept.decode("utf-8", "replace")
    try:
        return draft_from_json(text), ""
    except ValueError:
        return Draft(name=DAMAGED_NAME), text
