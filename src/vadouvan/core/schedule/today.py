"""Next steps across all batches, in the order of the clock, and where two of them want the same hands."""

from __future__ import annotations

from collections.abc import Iterable, Sequence
from datetime import datetime, timedelta

from vadouvan.core.clock.chain import PlanStep
from vadouvan.core.clock.routine import hours_between
from vadouvan.unchanging import unchanging


@unchanging
class DayStep:
    """A step of one batch; ``beside`` names the batches that want hands in the same minutes."""

    identity: str
    batch: str
    step: PlanStep
    beside: tuple[str, ...]


def coming_steps(
    batches: Iterable[tuple[str, str, Sequence[PlanStep]]], now: datetime, span: timedelta
) -> list[DayStep]:
    """Steps of (identity, name, steps) that are under way or begin within ``span``, earliest first.

    Cooking is hands-on from end to end but leaves room for more, and a bag is turned in passing: neither collides.
    """
    known = [(identity, name or "Unnamed batch", step) for identity, name, steps in batches for step in steps]
    coming = [one for one in known if hours_between(now, one[2].ends) >= 0 and _begins_within(one[2], now, span)]
    return sorted(
        (DayStep(identity, name, step, _beside(identity, step, known)) for identity, name, step in coming),
        key=lambda one: (one.step.at.timestamp(), one.batch, one.step.ends.timestamp()),
    )


def _begins_within(step: PlanStep, now: datetime, span: timedelta) -> bool:
    return hours_between(now, step.at) <= span / timedelta(hours=1)


def _beside(identity: str, step: PlanStep, known: Sequence[tuple[str, str, PlanStep]]) -> tuple[str, ...]:
    if not step.wants_all_of_you:
        return ()
    names = {
        name: None
        for other, name, theirs in known
        if other != identity and theirs.wants_all_of_you and _overlap(step, theirs)
    }
    return tuple(names)


def _overlap(one: PlanStep, other: PlanStep) -> bool:
    """By elapsed time: in the hour that comes twice the clock on the wall cannot tell."""
    return hours_between(one.at, other.ends) > 0 and hours_between(other.at, one.ends) > 0
