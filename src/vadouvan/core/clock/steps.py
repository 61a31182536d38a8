"""A plan step by step: what to do before contact, during the hold, and from the pull to the table.

Each step has its start, minutes, whether it needs hands, where it is, and what it waits for. Usual minutes are
common practice and stand in one place.
"""

from __future__ import annotations

import math
from collections.abc import Iterator, Sequence
from dataclasses import dataclass
from datetime import datetime, timedelta
from typing import Literal

from vadouvan.core.clock.plan import Plan
from vadouvan.core.clock.routine import Routine, hours_between, later, on_a_step
from vadouvan.core.constants import BRINE_REST, FAN_OVEN_LOWER_C, JOINT_REST, SMALL_REST, TEMPER
from vadouvan.core.cut.cut import Cut
from vadouvan.core.mix_judgement import MixJudgement

Place = Literal["counter", "fridge", "stove", "oven", "table"]

WEIGH_MIN, WEIGH_EACH_MIN = 5.0, 1.0
POUR_OFF_MIN, CONTACT_MIN, TURN_MIN, DRY_MIN = 2.0, 5.0, 2.0, 5.0
FAN_OVEN = f"A fan oven is set {FAN_OVEN_LOWER_C.value:.0f} C lower than a plain one."
JOINT_KG = 1.0
LEAST_COOK_MIN = 5.0
FIVE = 5.0
TURN_FROM_H, TWICE_FROM_H = 3.0, 20.0


@dataclass(frozen=True)
class PlanStep:
    """One step on the clock."""

    id: str
    says: str
    at: datetime
    minutes: float
    hands_on: bool
    place: Place
    waits_for: str = ""

    @property
    def ends(self) -> datetime:
        """When it is done."""
        return later(self.at, timedelta(minutes=self.minutes))


@dataclass(frozen=True)
class Task:
    """A step before it has its place on the clock."""

    id: str
    says: str
    minutes: float
    hands_on: bool
    place: Place


def before_contact(cut: Cut, mix: MixJudgement) -> list[Task]:
    """Tasks that end with contact, in order."""
    return [
        *_prepare(cut),
        *_make(mix),
        Task("contact", "Meat into the mix, air out, into the fridge.", CONTACT_MIN, True, "fridge"),
    ]


def hands_on_before(cut: Cut, mix: MixJudgement) -> timedelta:
    """Hands-on time that ends with contact, without a break: what cannot fall into the night."""
    minutes = 0.0
    for task in reversed(before_contact(cut, mix)):
        if not task.hands_on:
            break
        minutes += _in_steps(task.minutes)
    return timedelta(minutes=minutes)


def steps_of(plan: Plan, cut: Cut, mix: MixJudgement, routine: Routine) -> list[PlanStep]:
    """Every step of a plan in the order of the clock."""
    return [
        *_until(plan.contact_at, before_contact(cut, mix)),
        *_turns(plan, cut, mix, routine),
        *_until(plan.meal.at, _from_the_pull(plan, cut, mix)),
    ]


def _until(end: datetime, tasks: Sequence[Task]) -> Iterator[PlanStep]:
    """Tasks one after another, the last done at ``end``."""
    minutes = [_in_steps(task.minutes) for task in tasks]
    at = later(end, -timedelta(minutes=sum(minutes)))
    waits_for = ""
    for task, length in zip(tasks, minutes, strict=True):
        yield PlanStep(task.id, task.says, at, length, task.hands_on, task.place, waits_for)
        at, waits_for = later(at, timedelta(minutes=length)), task.id


def _in_steps(minutes: float) -> float:
    """Minutes that a cook can act on, never fewer than it takes."""
    return math.ceil(minutes / FIVE - 1e-9) * FIVE


def _prepare(cut: Cut) -> Iterator[Task]:
    """What is done to the cut: hands-on work together, soaking and the like on their own."""
    hands = 0.0
    for number, effect in enumerate(cut.prepared.effects):
        if effect.hands_on:
            hands += effect.minutes
        elif effect.minutes > 0:
            yield Task(f"prepare-{number}", effect.says, effect.minutes, False, "fridge")
    if hands > 0:
        yield Task("prepare", "Prepare the cut.", hands, True, "counter")


def _make(mix: MixJudgement) -> Iterator[Task]:
    lines = len(mix.bowl.whole)
    yield Task(
        "weigh", f"Weigh and stir the mix, {lines} ingredients.", WEIGH_MIN + lines * WEIGH_EACH_MIN, True, "counter"
    )
    first = None
    for step in mix.steps:
        if step.id == "first":
            first = step
        elif step.minutes > 0:
            yield Task(step.id, step.says, step.minutes, step.hands_on, "stove")
    if mix.bowl.set_aside_kg > 0:
        says = next(step.says for step in mix.steps if step.id == "set-aside")
        yield Task("set-aside", says, POUR_OFF_MIN, True, "counter")
    if first is not None and first.minutes > 0:
        yield Task("first", first.says, first.minutes, False, "fridge")


def _turns(plan: Plan, cut: Cut, mix: MixJudgement, routine: Routine) -> Iterator[PlanStep]:
    """Once halfway, or twice in a long hold, while hands are free; not for one piece, nor in a vacuum bag."""
    hours = plan.hold_h
    if hours < TURN_FROM_H or mix.vacuum or (cut.pieces == 1 and hours < TWICE_FROM_H):
        return
    shares = (1 / 3, 2 / 3) if hours >= TWICE_FROM_H else (1 / 2,)
    for number, share in enumerate(shares, start=1):
        wanted = on_a_step(later(plan.contact_at, timedelta(hours=hours * share)))
        quarter = timedelta(hours=hours / 6)
        moment = routine.nearest_free(wanted, first=later(wanted, -quarter), last=later(wanted, quarter))
        if moment is not None:
            yield PlanStep(
                f"turn-{number}", "Turn the bag, or stir the tub.", moment, TURN_MIN, True, "fridge", "contact"
            )


def _from_the_pull(plan: Plan, cut: Cut, mix: MixJudgement) -> list[Task]:
    """Dry, temper, cook, rest: the cook's own time is what is left of the lead."""
    lead = plan.meal.lead / timedelta(minutes=1)
    each_kg = cut.meat_kg / cut.pieces
    rest = Task("rest", "Rest it.", JOINT_REST.value if each_kg >= JOINT_KG else SMALL_REST.value, False, "counter")
    dry = Task("pull", "Out of the mix; drain, and pat or brush it off.", DRY_MIN, True, "counter")
    tasks = [dry]
    bathed = (
        mix.salt is not None
        and mix.salt.school in ("equilibrium", "strong_bath")
        and mix.bowl.balance.salt_per_water > 0.03
    )
    if bathed and lead >= BRINE_REST.value + DRY_MIN + LEAST_COOK_MIN + rest.minutes:
        tasks.append(
            Task(
                "brine-rest", "A brined piece rests uncovered, three hours at least.", BRINE_REST.value, False, "fridge"
            )
        )
    spare = lead - sum(task.minutes for task in tasks) - rest.minutes - LEAST_COOK_MIN
    if cut.kind.family in ("red", "poultry") and spare >= TEMPER.value:
        tasks.append(
            Task("temper", "Out of the fridge, up to 30 minutes at most in all.", TEMPER.value, False, "counter")
        )
    cook = max(0.0, lead - sum(task.minutes for task in tasks) - rest.minutes)
    tasks.append(Task("cook", f"Cook it. {FAN_OVEN}", cook, True, "oven"))
    return [*tasks, rest, Task("serve", "On the table.", 0.0, True, "table")]


def next_hands_on(steps: Sequence[PlanStep], now: datetime) -> PlanStep | None:
    """The step that needs hands next, or is under way."""
    coming = [step for step in steps if step.hands_on and hours_between(now, step.ends) > 0]
    return min(coming, key=lambda step: step.at.timestamp(), default=None)
