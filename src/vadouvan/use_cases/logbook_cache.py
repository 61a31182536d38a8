"""Tasted batches and what each teaches, kept in memory: a long logbook stays quick, only what changed is read anew.

Nothing here is the truth: everything follows from the store, by the revision of a batch and the state of its verdicts.
"""

from __future__ import annotations

from collections.abc import Sequence
from datetime import datetime
from functools import partial
from threading import Lock

from vadouvan.core.draft.typed import Draft
from vadouvan.core.kitchen.kitchen import Kitchen
from vadouvan.core.tasting.logbook import Entry, latest_first
from vadouvan.core.tasting.teaching import MOST_LESSONS, Lesson, Tasted, lesson_of
from vadouvan.core.tasting.verdict import readable_verdicts
from vadouvan.errors import NotKept
from vadouvan.store.batches import Batches
from vadouvan.store.verdicts import State, Verdicts


class LogbookCache:
    """Entries by batch, with the state that they were read from; lessons by that state and the kitchen's tables."""

    def __init__(self, batches: Batches, verdicts: Verdicts) -> None:
        self._batches = batches
        self._verdicts = verdicts
        self._entries: dict[str, tuple[State, Entry]] = {}
        self._in_order: list[Entry] = []
        self._lessons: dict[tuple[str, State], Lesson | None] = {}
        self._tables: object = None
        self._fingerprint: object = None
        self._lock = Lock()

    def entries(self) -> list[Entry]:
        """All batches that were tasted, the latest first."""
        with self._lock:
            self._refresh()
            return self._in_order

    def tasted(self) -> list[Tasted]:
        """The batches that may teach: the latest, as many as are learned from."""
        with self._lock:
            self._refresh()
            latest = [(self._entries[entry.id][0], entry) for entry in self._in_order[:MOST_LESSONS]]
        found = []
        for state, entry in reversed(latest):
            try:
                draft = entry.draft
            except NotKept:
                continue  # removed elsewhere in this moment: it teaches no more
            found.append(Tasted(entry.id, draft, entry.verdicts, not state.is_forgotten, state.is_insisted))
        return found

    def lessons(self, tasted: Sequence[Tasted], kitchen: Kitchen, *, now: datetime) -> list[Lesson]:
        """Lessons of these batches; judged once for each state of theirs and of the kitchen's tables."""
        with self._lock:
            tables = (kitchen.cuts, kitchen.pantry, kitchen.household)
            if tables != self._tables:
                self._lessons, self._tables = {}, tables
            found = []
            for one in tasted:
                kept = self._entries.get(one.batch_id)
                if kept is None:
                    continue
                key = (one.batch_id, kept[0])
                if key not in self._lessons:
                    self._lessons[key] = lesson_of(one, kitchen, now=now)
                lesson = self._lessons[key]
                if lesson is not None:
                    found.append(lesson)
            return found

    def _refresh(self) -> None:
        fingerprint = self._verdicts.fingerprint()
        if fingerprint == self._fingerprint:
            return
        states = self._verdicts.states()
        changed = [name for name, state in states.items() if self._entries.get(name, (None,))[0] != state]
        for name in self._entries.keys() - states.keys():
            del self._entries[name]
        descents = {one.batch_id: one for one in self._verdicts.descents()}
        for name, spine in self._batches.spines(changed).items():
            descent = descents.get(name)
            entry = Entry(
                name,
                spine,
                readable_verdicts(states[name].verdicts()),
                descent.from_id if descent else "",
                descent.says if descent else (),
                take=partial(self._taken, name),
            )
            self._entries[name] = (states[name], entry)
        self._in_order = latest_first(entry for _, entry in self._entries.values())
        self._fingerprint = fingerprint

    def _taken(self, name: str) -> Draft:
        return self._batches.get(name).draft
