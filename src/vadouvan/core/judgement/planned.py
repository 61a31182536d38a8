"""The clock's part of a judgement: the plan with its steps, or the reason why there is none."""

from __future__ import annotations

from datetime import datetime

from vadouvan.core.clock.chain import PlanStep
from vadouvan.core.clock.routine import Routine
from vadouvan.core.hold.window import Window
from vadouvan.core.judgement.beside import beside
from vadouvan.core.judgement.sentences import plan_sentence
from vadouvan.core.judgement.stops import Stop, StopFacts, waiting_stop, warm_stop
from vadouvan.core.schedule.freezer import cooked_portion, frozen_part
from vadouvan.core.schedule.plan import Plan, plan_for
from vadouvan.core.schedule.steps import raw_hours, steps_of, warm_minutes, work_of
from vadouvan.unchanging import unchanging

NOT_PLANNED = "Not planned."


@unchanging
class Planned:
    """A plan with its steps, minutes of raw meat out of the cold, the plan in words, and what stops it after all."""

    plan: Plan | None = None
    steps: tuple[PlanStep, ...] = ()
    warm_min: float = 0.0
    says: str = ""
    stops: tuple[Stop, ...] = ()


def planned_of(board: StopFacts, window: Window, routine: Routine, now: datetime, stops: tuple[Stop, ...]) -> Planned:
    """The plan of a batch; nothing but the reason if something refuses it, nothing at all without a meal."""
    reading, cut, mix = board.reading, board.cut, board.mix
    meal = reading.meal
    if stops:
        return Planned(says=NOT_PLANNED if meal is not None else "", stops=stops)
    if meal is None or window.is_closed:
        return Planned()
    plan = plan_for(window, meal, now, routine, work_of(cut, mix, reading.fire, meal.lead))
    if plan.trouble:
        return Planned(plan, says=plan_sentence(plan))
    steps = beside(reading, mix, cut, steps_of(plan, cut, mix, reading.fire, routine, now))
    warm_min = warm_minutes(steps)
    refused = warm_stop(warm_min, board.hold.room_c) or waiting_stop(board, raw_hours(plan, steps))
    if refused is not None:
        return Planned(says=NOT_PLANNED, warm_min=warm_min, stops=(refused,))
    says = plan_sentence(plan)
    if reading.frozen_share > 0 and reading.fire.freezes_cooked:
        steps = [*steps, cooked_portion(plan, cut, reading.frozen_share)]
    elif reading.frozen_share > 0:
        mix_kg = mix.at_contact.balance.mass_kg.value
        frozen = frozen_part(plan, cut, mix_kg, window, reading.frozen_share, routine)
        steps = sorted([*steps, *frozen.steps], key=lambda step: step.at.timestamp())
        says = f"{says} {frozen.trouble}".strip()
    return Planned(plan, tuple(steps), warm_min, says)
