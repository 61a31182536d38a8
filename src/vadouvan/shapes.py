"""The draft of core as it crosses an edge: one shape for requests, answers, rows and files, made from core's own.

Core says what a draft is and how long its texts may be; here only stands how strict an edge is with it.
"""

from __future__ import annotations

from pydantic import ConfigDict, TypeAdapter
from pydantic_core import from_json

from vadouvan.core.draft.typed import PARTS, Draft

for _part in PARTS:
    setattr(_part, "__pydantic_config__", ConfigDict(extra="forbid"))  # noqa: B010 - core does not know the name

EVER_SINCE = ("name", "cut", "mix", "hold", "meal")  # parts that every version has written
DRAFT: TypeAdapter[Draft] = TypeAdapter(Draft)
# Worked out once, not anew for each of the twenty bodies that hold a draft: a twelfth of a start
setattr(Draft, "__pydantic_core_schema__", DRAFT.core_schema)  # noqa: B010


def draft_to_json(draft: Draft) -> str:
    """A draft as compact JSON."""
    return DRAFT.dump_json(draft).decode()


def draft_from_json(text: str) -> Draft:
    """The draft in JSON; what an older version did not know is empty. Raises ValueError for what is no draft."""
    draft = DRAFT.validate_json(text)
    said = from_json(text)
    lacking = [name for name in EVER_SINCE if name not in said]
    if lacking:
        raise ValueError(f"a draft without {', '.join(lacking)}")
    return draft
