"""Judgements kept for as long as nothing they rest on has changed: the draft, the kitchen's tables, and the minute."""

from __future__ import annotations

from collections import OrderedDict
from datetime import datetime
from threading import Lock

from vadouvan.core.draft.typed import Draft
from vadouvan.core.judgement.judge import Judgement, judge
from vadouvan.core.kitchen.kitchen import Kitchen

MOST_KEPT = 256


class Judged:
    """The judgements last asked for. A kitchen is known by being the same value, not an equal one."""

    def __init__(self) -> None:
        self._kept: OrderedDict[tuple[Draft, int, datetime], tuple[Kitchen, Judgement]] = OrderedDict()
        self._lock = Lock()

    def of(self, draft: Draft, kitchen: Kitchen, *, now: datetime) -> Judgement:
        """The judgement of a draft as of the minute."""
        minute = now.replace(second=0, microsecond=0)
        key = (draft, id(kitchen), minute)
        with self._lock:
            kept = self._kept.get(key)
            if kept is not None:
                self._kept.move_to_end(key)
                return kept[1]
        judgement = judge(draft, kitchen, now=minute)
        with self._lock:
            self._kept[key] = (kitchen, judgement)
            while len(self._kept) > MOST_KEPT:
                self._kept.popitem(last=False)
        return judgement
