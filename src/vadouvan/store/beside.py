"""A change brought together with what was changed elsewhere meanwhile."""

from __future__ import annotations

from typing import Generic, TypeVar

from vadouvan.core.draft.merging import Side, settled
from vadouvan.errors import InputError, Overtaken
from vadouvan.unchanging import unchanging

T = TypeVar("T")


@unchanging
class MadeFrom(Generic[T]):
    """Ground that a change was made from, if that is known; ``prefer`` settles what both sides changed."""

    since: T | None = None
    prefer: Side | None = None


def beside(what: str, mine: T, theirs: T, made_from: MadeFrom[T] | None) -> T:
    """The change with all that was changed elsewhere; raises Overtaken where both changed one field, with both."""
    if made_from is None or made_from.since is None:
        return mine
    found, clashes = settled(made_from.since, mine, theirs, made_from.prefer)
    if clashes and made_from.prefer is None:
        told = [
            InputError(
                field=one.path, given=one.mine or "", wrong=one.says, accepted="Keep it again to put yours there."
            )
            for one in clashes
        ]
        raise Overtaken(what, expected=0, stored=0, clashes=told)
    return found
