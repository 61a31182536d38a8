"""Drafts for tests, in a few words."""

from __future__ import annotations

from dataclasses import replace
from datetime import UTC, datetime
from typing import Any

from vadouvan.core.cut.cut import Cut
from vadouvan.core.draft.examples import lines
from vadouvan.core.draft.typed import CutInput, Draft, HoldInput, MealInput
from vadouvan.core.judgement.judge import judge
from vadouvan.core.judgement.judgement import Judgement
from vadouvan.data.tables import shipped_kitchen

NOW = datetime(2026, 11, 25, 9, 0, tzinfo=UTC)
SATURDAY = MealInput("2026-11-28T19:00", "60 min", "Europe/Lisbon")


def steak(*mix: str, thickness: str = "25 mm", mass: str = "1 kg", hold: HoldInput | None = None) -> Draft:
    """Boneless beef as a slab with a mix."""
    cut = CutInput(kind="beef_sirloin", mass=mass, shape="slab", thickness=thickness, pieces="4")
    return Draft("Test", cut, lines(*mix), hold or HoldInput())


def of_kind(kind: str, mass: str, shape: str, thickness: str, *mix: str, **cut: Any) -> Draft:
    """A bare cut without bone, unless said otherwise, with a mix."""
    bare = CutInput(kind=kind, mass=mass, shape=shape, thickness=thickness, bone="none", cover="none")
    return Draft("Test", replace(bare, **cut), lines(*mix))


def judged(draft: Draft, now: datetime = NOW) -> Judgement:
    """The judgement of a draft at a fixed moment."""
    return judge(draft, shipped_kitchen(), now=now)


def hours(draft: Draft) -> tuple[float, float, float]:
    """Earliest, best and latest hour to act on."""
    window = judged(draft).window
    assert window is not None
    return window.safe_earliest_h, window.best.hours, window.safe_latest_h


def limits(draft: Draft) -> tuple[str, str, str]:
    """What sets earliest, best and latest."""
    window = judged(draft).window
    assert window is not None
    return window.earliest.limit.id, window.best.limit.id, window.latest.limit.id


def cut_of(draft: Draft) -> Cut:
    """The cut that a draft describes."""
    cut = judged(draft).reading.cut
    assert cut is not None
    return cut
