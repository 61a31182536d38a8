"""Judgements kept for as long as nothing they rest on has changed: the draft, the kitchen's tables, and the minute."""

from __future__ import annotations

from collections import OrderedDict
from dataclasses import dataclass
from datetime import datetime
from threading import Lock

from vadouvan.core.draft.typed import Draft
from vadouvan.core.judgement.judge import judge
from vadouvan.core.judgement.judgement import Judgement
from vadouvan.core.kitchen.kitchen import Kitchen
from vadouvan.formats.judgement import JudgementShown, judgement_shown

MOST_KEPT = 256


@dataclass
class _Kept:
    """A judgement, the kitchen that it was made in, and what left the core of it."""

    kitchen: Kitchen
    judgement: Judgement
    shown: JudgementShown | None = None


class Judged:
    """The judgements last asked for. A kitchen is known by being the same value, not an equal one."""

    def __init__(self) -> None:
        self._kept: OrderedDict[tuple[Draft, int, datetime], _Kept] = OrderedDict()
        self._lock = Lock()

    def of(self, draft: Draft, kitchen: Kitchen, *, now: datetime) -> Judgement:
        """The judgement of a draft as of the minute."""
        return self._of(draft, kitchen, now).judgement

    def shown_of(self, draft: Draft, kitchen: Kitchen, *, now: datetime) -> JudgementShown:
        """The same as a page shows it; made once."""
        kept = self._of(draft, kitchen, now)
        if kept.shown is None:
            kept.shown = judgement_shown(kept.judgement, kitchen)
        return kept.shown

    def _of(self, draft: Draft, kitchen: Kitchen, now: datetime) -> _Kept:
        minute = now.replace(second=0, microsecond=0)
        key = (draft, id(kitchen), minute)
        with self._lock:
            kept = self._kept.get(key)
            if kept is not None:
                self._kept.move_to_end(key)
                return kept
        kept = _Kept(kitchen, judge(draft, kitchen, now=minute))
        with self._lock:
            self._kept[key] = kept
            while len(self._kept) > MOST_KEPT:
                self._kept.popitem(last=False)
        return kept
