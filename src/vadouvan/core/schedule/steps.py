"""A plan step by step: what to do before contact, during the hold, and from the pull to the table.

Each step has its start, minutes, whether it needs hands, where it is, how warm the meat is meanwhile, and what it
waits for. Usual minutes are common practice and stand in one place.
"""

from __future__ import annotations

import re
from collections.abc import Iterable, Iterator, Sequence
from dataclasses import replace
from datetime import datetime, time, timedelta
from functools import lru_cache

from vadouvan.core.clock.chain import Place, PlanStep, Task, Zone, laid_before
from vadouvan.core.clock.routine import DaySpan, Routine, hours_between, later, on_a_step
from vadouvan.core.constants import (
    BRINE_REST,
    BRUSH_MIN,
    CONTACT_MIN,
    DRY_MIN,
    FAN_OVEN_LOWER_C,
    FROM_FREEZER_MIN,
    LEAST_COOK_MIN,
    LEAST_THAW_S,
    MOST_ON_THE_HEAT,
    POUR_OFF_MIN,
    SHOP_MIN,
    TEMPER,
    THAW_S_PER_KG,
    TURN_MIN,
    WEIGH_EACH_MIN,
    WEIGH_MIN,
)
from vadouvan.core.contact.mix_judgement import MixJudgement
from vadouvan.core.cooking.brushing import last_brush
from vadouvan.core.cooking.fire import FireInterpretation
from vadouvan.core.cooking.lead import TEMPERED, least_lead, least_on_heat, rest_minutes
from vadouvan.core.cooking.stages import CookPlace, CookStage, of_stage
from vadouvan.core.cut.cut import Cut
from vadouvan.core.cut.preparation import deed_told
from vadouvan.core.mix.consistency import consistency_of
from vadouvan.core.schedule.plan import Plan, Work

MOSTLY_DRY = 0.5
SHOPS_ARE_CLOSED = DaySpan(time(20, 0), time(8, 0))  # common practice; the cook knows better
FAN_OVEN = f"A fan oven is set {FAN_OVEN_LOWER_C.value:.0f} C lower than a plain one."
TURN_FROM_H, TWICE_FROM_H = 3.0, 20.0
COOKED_AT: dict[CookPlace, Place] = {
    "oven": "oven", "parcel": "oven", "broiler": "oven", "grill": "grill", "grill_indirect": "grill",
    "smoker": "grill", "pan": "stove", "wok": "stove", "pot": "stove", "fryer": "stove", "steamer": "stove",
}  # fmt: skip


def thaw_minutes(mass_kg: float) -> float:
    """How long a pack of that weight thaws in the fridge: a day, longer if it is large (``fsis``).

    >>> thaw_minutes(0.5), round(thaw_minutes(4.0) / 60)
    (1440.0, 47)
    """
    return max(LEAST_THAW_S.value, THAW_S_PER_KG.value * mass_kg) / 60


def work_of(cut: Cut, mix: MixJudgement, fire: FireInterpretation, lead: timedelta) -> Work:
    """Steps before contact, the least time from the pull to the table, and how much of a lead it waits raw."""
    waits = max(timedelta(0), lead - most_hot(cut, fire))
    return Work(before_contact(cut, mix), least_lead(cut, fire), waits if cut.kind.needs_cold else timedelta(0))


def before_contact(cut: Cut, mix: MixJudgement) -> list[Task]:
    """Tasks that end with contact, in order."""
    return [
        *_thaw(cut),
        *_prepare(cut),
        *_make(mix),
        Task("contact", _into_the_mix(cut), CONTACT_MIN.value, True, "fridge", _warm(cut)),
    ]


def _into_the_mix(cut: Cut) -> str:
    if cut.kind.is_minced:
        return "Work the mix in with cold hands until it binds, cover it, into the fridge."
    return "Meat into the mix, air out, into the fridge."


def steps_of(
    plan: Plan, cut: Cut, mix: MixJudgement, fire: FireInterpretation, routine: Routine, now: datetime
) -> list[PlanStep]:
    """Every step of a plan in the order of the clock."""
    before = laid_before(plan.contact_at, before_contact(cut, mix), routine)
    after = laid_before(plan.meal.at, after_the_pull(plan, cut, mix, fire))
    brush = last_brush(fire.stages, after)
    if brush is not None:
        step = PlanStep(
            "brush", "Brush for the last time.", brush.at, BRUSH_MIN.value, True, "stove", "cook", "hot", of="last"
        )
        after = sorted([*after, step], key=lambda one: one.at.timestamp())
    return [*_shop(cut, before, routine, now), *before, *_turns(plan, cut, mix, routine), *after]


def warm_minutes(steps: Iterable[PlanStep]) -> float:
    """Minutes in which raw meat is out of the cold, as planned."""
    return sum(step.minutes for step in steps if step.zone == "warm")


def raw_hours(plan: Plan, steps: Iterable[PlanStep]) -> float:
    """Hours from contact until the heat first gets at it, waits in the fridge included."""
    first = min((step.at for step in steps if step.zone == "hot"), default=plan.pull_at)
    return hours_between(plan.contact_at, first)


def _warm(cut: Cut) -> Zone:
    return "warm" if cut.kind.needs_cold else "none"


def _thaw(cut: Cut) -> Iterator[Task]:
    if not cut.frozen:
        return
    says = "Out of the freezer into the fridge, on a tray."
    yield Task("thaw-out", says, FROM_FREEZER_MIN.value, True, "freezer", "frozen")
    kg = cut.untrimmed_kg if cut.pieces == 1 else max(cut.untrimmed_kg / cut.pieces, 0.5)
    yield Task("thaw", "It thaws in the fridge; days count from here.", thaw_minutes(kg), False, "fridge", "cold")


def _shop(cut: Cut, before: Sequence[PlanStep], routine: Routine, now: datetime) -> Iterator[PlanStep]:
    """A last free time to shop before the first step, if there still is one: otherwise it is in the house."""
    if not before or cut.frozen:
        return
    length = timedelta(minutes=SHOP_MIN.value)
    last = later(before[0].at, -length)
    if hours_between(now, last) < 0:
        return
    at = _while_shops_are_open(routine).nearest_free(last, first=now, last=last, hands=length)
    if at is not None:
        name = ",".join(re.sub(r" \([^()]*\)", "", cut.kind.name).split(",")[:2])
        says = f"Shop: {name}, {cut.mass_kg * 1000:.0f} g, and what the mix lacks."
        yield PlanStep("shop", says, at, SHOP_MIN.value, True, "shop", "", "none")


def _prepare(cut: Cut) -> Iterator[Task]:
    """Steps on the cut: hands-on work together, soaking and the like on their own."""
    hands, deeds = 0.0, []
    for number, (step, effect) in enumerate(zip(cut.steps, cut.prepared.effects, strict=True)):
        if effect.hands_on:
            hands += effect.minutes
            deeds.append(deed_told(step))
        elif effect.minutes > 0:
            yield Task(
                "prepare", f"{deed_told(step).capitalize()}.", effect.minutes, False, "fridge", "cold", of=str(number)
            )
    if hands > 0:
        yield Task("prepare", f"The cut: {'; '.join(deeds)}.", hands, True, "counter", _warm(cut))


def _make(mix: MixJudgement) -> Iterator[Task]:
    lines = len(mix.at_contact.whole)
    many = f"{lines} ingredients" if lines != 1 else "1 ingredient"
    yield Task(
        "weigh", f"Weigh and stir the mix, {many}.", WEIGH_MIN.value + lines * WEIGH_EACH_MIN.value, True, "counter"
    )
    first = None
    for step in mix.steps:
        if step.id == "first":
            first = step
        elif step.minutes > 0:
            yield Task(step.id, step.says, step.minutes, step.hands_on, "stove")
    if mix.at_contact.set_aside_kg > 0:
        says = next(step.says for step in mix.steps if step.id == "set-aside")
        yield Task("set-aside", says, POUR_OFF_MIN.value, True, "counter")
    if first is not None and first.minutes > 0:
        yield Task("first", first.says, first.minutes, False, "fridge", "cold")


@lru_cache(maxsize=16)
def _while_shops_are_open(routine: Routine) -> Routine:
    """The week as it is for who has to shop: not free while shops are closed."""
    return replace(routine, away=(*routine.away, SHOPS_ARE_CLOSED))


def _turns(plan: Plan, cut: Cut, mix: MixJudgement, routine: Routine) -> Iterator[PlanStep]:
    """Once halfway, or twice in a long hold, while hands are free; not for one piece, for mince or in a vacuum bag."""
    hours = plan.hold_h
    if cut.kind.is_minced or hours < TURN_FROM_H or mix.vacuum or (cut.pieces == 1 and hours < TWICE_FROM_H):
        return
    shares = (1 / 3, 2 / 3) if hours >= TWICE_FROM_H else (1 / 2,)
    for number, share in enumerate(shares, start=1):
        wanted = on_a_step(later(plan.contact_at, timedelta(hours=hours * share)))
        quarter = timedelta(hours=hours / 6)
        moment = routine.nearest_free(wanted, first=later(wanted, -quarter), last=later(wanted, quarter))
        if moment is not None:
            says = "Turn the bag, or stir the tub."
            yield PlanStep("turn", says, moment, TURN_MIN.value, True, "fridge", "contact", of=str(number))


def after_the_pull(plan: Plan, cut: Cut, mix: MixJudgement, fire: FireInterpretation) -> list[Task]:
    """Dry, rest if brined, travel, wait, temper, cook, rest: what is left of the lead is for the open stage, or waited.

    A brined piece rests as long as the cook says, or three hours if there is the time.
    """
    lead, stages = plan.lead / timedelta(minutes=1), fire.stages
    rest = Task("rest", "Rest it.", rest_minutes(cut, fire), False, "counter", "hot")
    dry = Task("pull", _out(cut, mix, fire), DRY_MIN.value, True, "counter", _warm(cut))
    spare = lead - least_lead(cut, fire) / timedelta(minutes=1)
    tasks = [dry]
    if fire.dries_min > 0:
        tasks.append(Task("dries", "Uncovered in the fridge, to dry.", fire.dries_min, False, "fridge", "cold"))
    elif _bathed(mix) and spare >= BRINE_REST.value:
        says = "A brined piece rests uncovered, three hours at least."
        tasks.append(Task("brine-rest", says, BRINE_REST.value, False, "fridge", "cold"))
        spare -= BRINE_REST.value
    if fire.travels_min > 0:
        says = "In a cold box with ice, 5 °C at most, on its way."
        tasks.append(Task("travels", says, fire.travels_min, False, "cold box", "cold"))
    temper = []
    if cut.kind.family in TEMPERED and spare >= TEMPER.value:
        says = "Out of the cold, up to 30 minutes at most in all."
        temper = [Task("temper", says, TEMPER.value, False, "counter", "warm")]
        spare -= TEMPER.value
    waits = max(0.0, spare - longer_on_heat(stages))
    if waits > 0:
        tasks.append(Task("wait", "It waits in the fridge, uncovered.", waits, False, "fridge", "cold"))
    spare -= waits
    after = [rest]
    if plan.meal.early > timedelta(0):
        early = plan.meal.early / timedelta(minutes=1)
        after.append(Task("keep-warm", "Covered and kept warm, above 60 °C.", early, False, "counter", "hot"))
    return [*tasks, *temper, *_cook(stages, spare), *after, Task("serve", "On the table.", 0.0, True, "table")]


def _out(cut: Cut, mix: MixJudgement, fire: FireInterpretation) -> str:
    """Out of the mix in words, with what its surface is to be."""
    if cut.kind.is_minced:
        return "Shape it with cold, wet hands, all pieces of one size."
    if fire.surface == "as_is":
        return "Out of the mix, left as it is."
    if fire.surface == "wiped":
        return "Out of the mix; wipe it off."
    if fire.surface == "rinsed":
        return "Out of the mix; rinse it in a basin, and pat it dry."
    is_dry = consistency_of(mix.at_contact.ready.portions).dry > MOSTLY_DRY
    return "Out of the mix; pat off what is wet." if is_dry else "Out of the mix; drain, and pat it dry."


def longer_on_heat(stages: Sequence[CookStage]) -> float:
    """Minutes by which the open stage, or cooking that was not planned, may be longer than its shortest."""
    if stages and all(stage.minutes is not None for stage in stages):
        return 0.0
    return MOST_ON_THE_HEAT.value - LEAST_COOK_MIN.value


def most_hot(cut: Cut, fire: FireInterpretation) -> timedelta:
    """Of a lead, the most that it is on the heat and rests [min]; what is left of it is waited raw."""
    return timedelta(minutes=least_on_heat(fire.stages) + longer_on_heat(fire.stages) + rest_minutes(cut, fire))


def _cook(stages: Sequence[CookStage], spare: float) -> Iterator[Task]:
    """The stages with their minutes; the open one, or cooking without stages, takes what is left."""
    if not stages:
        yield Task("cook", f"Cook it. {FAN_OVEN}", LEAST_COOK_MIN.value + spare, True, "stove", "hot")
    for number, stage in enumerate(stages, start=1):
        minutes = LEAST_COOK_MIN.value + spare if stage.minutes is None else stage.minutes
        place = COOKED_AT[stage.place]
        yield Task("cook", stage.says, minutes, True, place, "hot", of=of_stage(number))


def _bathed(mix: MixJudgement) -> bool:
    return (
        mix.salt is not None
        and mix.salt.school in ("equilibrium", "strong_bath")
        and mix.at_contact.balance.salt_per_water > 0.03
    )


def next_hands_on(steps: Sequence[PlanStep], now: datetime) -> PlanStep | None:
    """The step that needs hands next, or is under way."""
    coming = [step for step in steps if step.hands_on and hours_between(now, step.ends) > 0]
    return min(coming, key=lambda step: step.at.timestamp(), default=None)
