"""Spines of the logbook, read in the file itself: a tenth of the work of whole drafts."""

from __future__ import annotations

from collections.abc import Sequence

from pydantic_core import from_json
from sqlalchemy import Engine, case, func, select

from vadouvan.core.tasting.logbook import Spine
from vadouvan.store.database import reading
from vadouvan.store.rows import BatchRow
from vadouvan.store.standing import DAMAGED_NAME

MOST_AT_ONCE = 500
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


def spines_of(engine: Engine, identities: Sequence[str]) -> dict[str, Spine]:
    """The spines of those of these batches that are kept."""
    found: dict[str, Spine] = {}
    with reading(engine) as session:
        for start in range(0, len(identities), MOST_AT_ONCE):
            part = identities[start : start + MOST_AT_ONCE]
            rows = session.execute(select(BatchRow.id, _ON_SPINE).where(BatchRow.id.in_(part)))
            found |= {name: _spine_in(text) for name, text in rows}
    return found
