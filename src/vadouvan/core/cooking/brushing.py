"""Brushing on the heat: with what, and until when."""

from __future__ import annotations

from collections.abc import Iterator, Sequence
from datetime import datetime, timedelta

from vadouvan.core.clock.chain import PlanStep
from vadouvan.core.clock.routine import later
from vadouvan.core.constants import AFTER_LAST_BRUSH
from vadouvan.core.cooking.stages import CookStage, of_stage
from vadouvan.core.cooking.surface import Told
from vadouvan.unchanging import unchanging


@unchanging
class LastBrush:
    """The last moment at which something may be brushed on."""

    at: datetime
    says: str


def used_raw(stages: Sequence[CookStage]) -> str:
    """Why a plan that brushes used mix as it is cannot be: a sentence, or nothing."""
    if not any(stage.brush == "used" for stage in stages):
        return ""
    return "Mix that raw meat has been in is not brushed on as it is: boil it first, or use the part set aside clean."


def brushing_told(stages: Sequence[CookStage], set_aside_kg: float, boiled: bool) -> Iterator[Told]:
    """Remarks on brushing."""
    if used_raw(stages):
        yield Told("brush-used", "stop", used_raw(stages))
    if any(stage.brush == "clean" for stage in stages) and set_aside_kg <= 0:
        yield Told(
            "brush-clean", "warn", "You brush with the clean part, and none is set aside: say so under Quantity."
        )
    if any(stage.brush == "boiled" for stage in stages) and not boiled:
        yield Told(
            "brush-boiled", "warn", "You brush with boiled mix: plan to boil it, a minute at a rolling boil at least."
        )


def last_brush(stages: Sequence[CookStage], steps: Sequence[PlanStep]) -> LastBrush | None:
    """The last brush: so long before the end of the last brushed stage that the heat still gets at it."""
    brushed = [of_stage(number) for number, stage in enumerate(stages, start=1) if stage.brush != ""]
    ends = [step.ends for step in steps if step.kind == "cook" and step.of in brushed]
    if not ends:
        return None
    minutes = AFTER_LAST_BRUSH.value
    at = later(ends[-1], -timedelta(minutes=minutes))
    return LastBrush(at, f"Brush for the last time at {at:%H:%M}, {minutes:.0f} minutes before it leaves the heat.")
