"""The clock's part of a judgement: the plan with its steps, or the reason why there is none."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from datetime import datetime

from vadouvan.core.clock.chain import PlanStep
from vadouvan.core.clock.freezer import cooked_portion, frozen_part
from vadouvan.core.clock.plan import Plan, plan_for
from vadouvan.core.clock.routine import Routine, hours_between
from vadouvan.core.clock.steps import steps_of, warm_fridge_minutes, warm_minutes, work_of
from vadouvan.core.cut.cut import Cut
from vadouvan.core.hold.window import Window
from vadouvan.core.mix_judgement import MixJudgement
from vadouvan.core.reading.draft import Reading
from vadouvan.core.sentences import plan_sentence, stop_sentence
from vadouvan.core.stops import warm_stop


@dataclass(frozen=True)
class Board:
    """What is on the board: the draft as read, with the cut, the mix and the window."""

    reading: Reading
    cut: Cut
    mix: MixJudgement
    window: Window


@dataclass(frozen=True)
class Planned:
    """A plan with its steps, minutes of raw meat out of the cold, and the plan in words."""

    plan: Plan | None = None
    steps: tuple[PlanStep, ...] = ()
    warm_min: float = 0.0
    says: str = ""


def _warm_so_far(reading: Reading, plan: Plan, now: datetime) -> float:
    """Minutes in which the fridge was noted too warm since contact; none for plants."""
    if reading.hold is None or plan.meal.contact_at is None or reading.cut is None:
        return 0.0
    if reading.cut.kind.family == "plant":
        return 0.0
    return warm_fridge_minutes(reading.hold.readings, hours_between(plan.contact_at, now))


def planned_of(board: Board, routine: Routine, now: datetime, stops: Sequence[str]) -> Planned:
    """The plan of a batch; nothing but the reason if something refuses it, nothing at all without a meal."""
    reading, cut, mix, window = board.reading, board.cut, board.mix, board.window
    meal = reading.meal
    if meal is None or (window.is_closed and not stops):
        return Planned()
    if stops:
        return Planned(says=stop_sentence(stops))
    plan = plan_for(window, meal, now, routine, work_of(cut, mix, reading.stages))
    if plan.trouble:
        return Planned(plan, says=plan_sentence(plan))
    steps = steps_of(plan, cut, mix, reading.stages, routine, now)
    warm_min = warm_minutes(steps) + _warm_so_far(reading, plan, now)
    too_warm = warm_stop(warm_min)
    if too_warm:
        return Planned(says=stop_sentence([too_warm]), warm_min=warm_min)
    says = plan_sentence(plan)
    if reading.frozen_share > 0 and reading.fire.freezes_cooked:
        steps = [*steps, cooked_portion(plan, cut, reading.frozen_share)]
    elif reading.frozen_share > 0:
        mix_kg = mix.bowl.balance.mass_kg.value
        frozen = frozen_part(plan, cut, mix_kg, window, reading.frozen_share, routine)
        steps = sorted([*steps, *frozen.steps], key=lambda step: step.at.timestamp())
        says = f"{says} {frozen.trouble}".strip()
    return Planned(plan, tuple(steps), warm_min, says)
