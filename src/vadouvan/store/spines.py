"""Spines of the logbook, read in the file itself: a tenth of the work of whole drafts."""

from __future__ import annotations

import json
from collections.abc import Sequence

from pydantic_core import from_json
from sqlalchemy import Engine, bindparam, case, func, literal_column, select

from vadouvan.core.tasting.logbook import Spine
from vadouvan.store.database import done, in_words, reading
from vadouvan.store.rows import BATCH
from vadouvan.store.standing import DAMAGED_NAME

_SPINE_PATHS = ("$.name", "$.cut.kind", "$.aims.school", "$.meal.pulled", "$.meal.at", "$.mix")
_EXTRACTED = func.json_extract(BATCH.c.draft, *(literal_column(f"'{path}'") for path in _SPINE_PATHS))
_WANTED = select(func.json_each(bindparam("ids")).table_valued("value").c.value)
_SPINES = in_words(
    select(BATCH.c.id, case((func.json_valid(BATCH.c.draft), _EXTRACTED))).where(BATCH.c.id.in_(_WANTED))
)


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
    with reading(engine) as connection:
        rows = done(connection, _SPINES, {"ids": json.dumps(identities, default=str)})  # a damaged name names none
        return {name: _spine_in(text) for name, text in rows}
