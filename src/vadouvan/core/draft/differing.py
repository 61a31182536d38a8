"""The one field that an edit changed, so that typing on in it stays one step of the history."""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import fields, is_dataclass
from typing import Any

from vadouvan.core.draft.typed import Draft

SEVERAL = "several"


def touched_field(before: Draft, after: Draft) -> str:
    """The path of the one field in which two drafts differ; ``several`` if more, empty if none.

    >>> touched_field(Draft(name="Lamb"), Draft(name="Lamb chops"))
    '.name'
    """
    differing = list(_differing(before, after))
    if len(differing) > 1:
        return SEVERAL
    return differing[0] if differing else ""


def _differing(before: Any, after: Any, path: str = "") -> Iterator[str]:
    """Paths of all that is another in one of two drafts; members go by their identity."""
    if before == after:
        return
    if is_dataclass(before) and is_dataclass(after):
        for one in fields(before):
            yield from _differing(getattr(before, one.name), getattr(after, one.name), f"{path}.{one.name}")
    elif isinstance(before, tuple) and isinstance(after, tuple):
        olds, news = ({part.id: part for part in side} for side in (before, after))
        if list(olds) != list(news):
            yield f"{path}.order"
        for name in olds.keys() | news.keys():
            yield from _differing(olds.get(name), news.get(name), f"{path}.{name}")
    else:
        yield path
