"""Judgements kept for as long as nothing they rest on has changed: the draft, the kitchen's tables, and the minute."""

from __future__ import annotations

from collections import OrderedDict
from datetime import datetime
from threading import Lock
from typing import Generic, TypeVar

from vadouvan.core.draft.typed import Draft
from vadouvan.core.judgement.judge import judge
from vadouvan.core.judgement.judgement import Judgement
from vadouvan.core.kitchen.kitchen import Kitchen
from vadouvan.formats.judgement import JudgementShown, judgement_shown

MOST_KEPT = 64  # whole, with its courses
MOST_SHOWN = 256

T = TypeVar("T")
_Key = tuple[Draft, int, datetime]


class _LastOf(Generic[T]):
    """The values last asked for, each with the kitchen that it was made in: it is known by being the same value."""

    def __init__(self, most: int) -> None:
        self._most = most
        self._kept: OrderedDict[_Key, tuple[Kitchen, T]] = OrderedDict()
        self._lock = Lock()

    def get(self, key: _Key) -> T | None:
        """The value kept for a key, if it still is."""
        with self._lock:
            kept = self._kept.get(key)
            if kept is None:
                return None
            self._kept.move_to_end(key)
            return kept[1]

    def keep(self, key: _Key, kitchen: Kitchen, value: T) -> T:
        """Keep a value in the place of the one that was longest not asked for."""
        with self._lock:
            self._kept[key] = kitchen, value
            while len(self._kept) > self._most:
                self._kept.popitem(last=False)
        return value


class Judged:
    """The judgements last asked for, and more of what a page shows of them, which holds no course."""

    def __init__(self) -> None:
        self._whole: _LastOf[Judgement] = _LastOf(MOST_KEPT)
        self._shown: _LastOf[JudgementShown] = _LastOf(MOST_SHOWN)

    def of(self, draft: Draft, kitchen: Kitchen, *, now: datetime) -> Judgement:
        """The judgement of a draft as of the minute."""
        minute, key = _key(draft, kitchen, now)
        return self._whole.get(key) or self._whole.keep(key, kitchen, judge(draft, kitchen, now=minute))

    def shown_of(self, draft: Draft, kitchen: Kitchen, *, now: datetime) -> JudgementShown:
        """The same as a page shows it; made once."""
        _, key = _key(draft, kitchen, now)
        kept = self._shown.get(key)
        if kept is not None:
            return kept
        return self._shown.keep(key, kitchen, judgement_shown(self.of(draft, kitchen, now=now), kitchen))


def _key(draft: Draft, kitchen: Kitchen, now: datetime) -> tuple[datetime, _Key]:
    minute = now.replace(second=0, microsecond=0)
    return minute, (draft, id(kitchen), minute)
