"""A text as it travels: bounded in length, and writable."""

from __future__ import annotations

from typing import Annotated

from pydantic import AfterValidator, StringConstraints

from vadouvan.core.draft.typed import LONGEST_KEPT


def _writable(text: str) -> str:
    """Refuses half of a surrogate pair: it is no character and cannot be stored."""
    text.encode("utf-8")
    return text


Text = Annotated[str, StringConstraints(max_length=LONGEST_KEPT), AfterValidator(_writable)]
