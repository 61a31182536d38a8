"""The last batch of the same dish that everybody found just right: what the next one is held against."""

from __future__ import annotations

from collections.abc import Mapping, Sequence

from vadouvan.core.tasting.logbook import Entry


def last_good(entries: Sequence[Entry], *, itself: str, name: str, came_from: Mapping[str, str]) -> Entry | None:
    """The latest eaten, all of whose verdicts came out just right, of the same descent or the same name; or none.

    ``came_from`` names the batch that each one was made again from, tasted or not.
    """
    root, plain = _root(itself, came_from), _plain(name)
    good = [
        entry
        for entry in entries
        if entry.id != itself
        and is_good(entry)
        and (_root(entry.id, came_from) == root or (plain != "" and _plain(entry.spine.name) == plain))
    ]
    return max(good, key=lambda entry: (entry.eaten_on, entry.id), default=None)


def is_good(entry: Entry) -> bool:
    """Whether something was tasted, and all of it was just right to all eaters together."""
    return bool(entry.steps) and not any(entry.steps.values())


def _root(identity: str, came_from: Mapping[str, str]) -> str:
    """The first batch of a descent; in a circle, which a foreign archive may hold, the smallest name of it."""
    seen: list[str] = []
    while identity in came_from:
        if identity in seen:
            return min(seen[seen.index(identity) :])
        seen.append(identity)
        identity = came_from[identity]
    return identity


def _plain(name: str) -> str:
    return " ".join(name.casefold().split())
