"""Two edits of one draft brought together: what only one side changed is taken from it, and only where both changed
the same field otherwise is it asked which one stands.

Members of a list (lines, steps, stages) go by their identity, never by their place.
"""

from __future__ import annotations

from collections.abc import Iterable, Sequence
from dataclasses import dataclass, field, fields, is_dataclass, replace
from typing import Any, Literal, Protocol, TypeVar

from vadouvan.core.draft.typed import Draft
from vadouvan.unchanging import unchanging

T = TypeVar("T")
Side = Literal["mine", "theirs"]


class _Member(Protocol):
    id: str


@unchanging
class Clash:
    """One field that both sides changed, each to something else; a member that is gone reads as None."""

    path: str
    mine: str | None
    theirs: str | None

    @property
    def says(self) -> str:
        """Both values, for the cook to choose from."""
        return f"Here {_told(self.mine)}, elsewhere {_told(self.theirs)}."


@unchanging
class Merged:
    """The draft with both edits, and where they clash: there it holds the side that was preferred, else theirs."""

    draft: Draft
    clashes: tuple[Clash, ...]


@dataclass
class _Merging:
    prefer: Side | None
    clashes: list[Clash] = field(default_factory=list)

    def whole(self, since: T, mine: T, theirs: T) -> T:
        """The value with both edits."""
        value: T = self._value("", since, mine, theirs)
        return value

    def _value(self, path: str, since: Any, mine: Any, theirs: Any) -> Any:
        if mine in (theirs, since):
            return theirs
        if theirs == since:
            return mine
        if is_dataclass(mine) and not isinstance(mine, type):
            return self._parts(path, since, mine, theirs)
        if isinstance(mine, dict):
            return self._words(path, since, mine, theirs)
        if isinstance(mine, tuple) and not any(isinstance(one, str) for one in (*mine, *theirs)):
            return self._members(path, since, mine, theirs)
        return self._clash(path, mine, theirs)

    def _parts(self, path: str, since: Any, mine: Any, theirs: Any) -> Any:
        names = [one.name for one in fields(mine)]
        parts = (
            (name, getattr(since, name), getattr(mine, name), getattr(theirs, name)) for name in names if name != "id"
        )
        return replace(mine, **{part[0]: self._value(_joined(path, part[0]), *part[1:]) for part in parts})

    def _members(
        self, path: str, since: Sequence[_Member], mine: Sequence[_Member], theirs: Sequence[_Member]
    ) -> tuple[_Member, ...]:
        olds, ours, others = ({one.id: one for one in side} for side in (since, mine, theirs))
        kept = []
        for identity in _in_order(list(olds), list(ours), list(others)):
            old, our, other = olds.get(identity), ours.get(identity), others.get(identity)
            one = self._member(_joined(path, identity), old, our, other)
            if one is not None:
                kept.append(one)
        return tuple(kept)

    def _member(self, path: str, old: _Member | None, our: _Member | None, other: _Member | None) -> Any:
        if our is not None and other is not None:
            return self._clash(path, our, other) if old is None and our != other else self._value(path, old, our, other)
        if old is None:  # new on one side
            return other if our is None else our
        if old in (our, other) or (our is None and other is None):  # gone on one side, untouched on the other
            return None
        return self._clash(path, our, other)

    def _words(self, path: str, since: dict[str, str], mine: dict[str, str], theirs: dict[str, str]) -> dict[str, str]:
        """Words by what they are said of; one that is gone reads as None."""
        names = dict.fromkeys((*theirs, *mine))
        found = {
            name: self._value(_joined(path, name), since.get(name), mine.get(name), theirs.get(name)) for name in names
        }
        return {name: value for name, value in found.items() if value is not None}

    def _clash(self, path: str, mine: Any, theirs: Any) -> Any:
        self.clashes.append(Clash(path, _text(mine), _text(theirs)))
        return mine if self.prefer == "mine" else theirs


def merged(since: Draft, mine: Draft, theirs: Draft, prefer: Side | None = None) -> Merged:
    """Two drafts that both come from ``since``; ``prefer`` settles what clashes."""
    merging = _Merging(prefer)
    draft = merging.whole(since, mine, theirs)
    return Merged(draft, tuple(merging.clashes))


def settled(since: T, mine: T, theirs: T, prefer: Side | None = None) -> tuple[T, tuple[Clash, ...]]:
    """Two edits of any answers that come from ``since``, and where they clash; ``prefer`` settles what does."""
    merging = _Merging(prefer)
    return merging.whole(since, mine, theirs), tuple(merging.clashes)


def _in_order(since: list[str], mine: list[str], theirs: list[str]) -> list[str]:
    """Every identity once: in my order if I moved, added or removed something, else in theirs; new ones stay behind
    what they stood behind.
    """
    base, others = (mine, (theirs, since)) if mine != since else (theirs, (mine, since))
    order = list(base)
    for other in others:
        for place, identity in enumerate(other):
            if identity not in order:
                before = next((order.index(one) for one in reversed(other[:place]) if one in order), -1)
                order.insert(before + 1, identity)
    return order


def _joined(path: str, name: str) -> str:
    return f"{path}.{name}" if path else name


def _text(value: Any) -> str | None:
    """A value as text: a line or a stage by what is said in it."""
    if value is None or isinstance(value, str):
        return value
    if isinstance(value, tuple):
        return "; ".join(filter(None, map(_text, value)))
    return ", ".join(_said(getattr(value, one.name) for one in fields(value) if one.name != "id"))


def _said(values: Iterable[Any]) -> list[str]:
    return [text for text in map(_text, values) if text]


def _told(value: str | None) -> str:
    return "it is removed" if value is None else f"“{value}”" if value else "nothing is said"
