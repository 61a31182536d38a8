"""Batches of one kitchen as dishes for the planner of several, and its answer back into their drafts."""

from __future__ import annotations

import math
from collections.abc import Iterator, Sequence
from dataclasses import replace
from datetime import UTC, datetime, timedelta

from vadouvan.core.clock.chain import PlanStep, laid_before
from vadouvan.core.clock.meal import Meal
from vadouvan.core.clock.routine import Routine, hours_between, later
from vadouvan.core.constants import LIQUID_DENSITY
from vadouvan.core.contact.mix_judgement import MixJudgement
from vadouvan.core.cooking.stages import of_stage
from vadouvan.core.cut.cut import Cut
from vadouvan.core.draft.typed import Draft
from vadouvan.core.hold.window import Window
from vadouvan.core.joint_schedule.dish import SLOT_MIN, Choice, Dish, OvenUse, Placed, Stretch
from vadouvan.core.judgement.judgement import Judgement
from vadouvan.core.schedule.plan import Plan, Work, plan_for
from vadouvan.core.schedule.steps import after_the_pull, work_of
from vadouvan.unchanging import unchanging

MOST_EARLY_SLOTS = 6  # half an hour kept warm
EARLY_COST = 2.0  # an hour kept warm is as bad as two hours away from the best contact
FINE_H = 2.0  # near the best contact every five minutes, further away every quarter of an hour
COARSE_SLOTS = 3
BAG_SLACK = 1.15  # a bag or a bowl takes more room than what is in it


@unchanging
class Batch:
    """A batch at the table: its identity, its draft and its judgement."""

    id: str
    draft: Draft
    judgement: Judgement

    @property
    def name(self) -> str:
        """As the cook calls it."""
        return self.draft.name or "Unnamed batch"


@unchanging
class _Facts:
    """Facts of a batch with a meal."""

    batch: Batch
    cut: Cut
    mix: MixJudgement
    window: Window
    meal: Meal


@unchanging
class Clock:
    """Moments as slots of five minutes from an origin, around a cook's week; nothing is planned before ``now``."""

    now: datetime
    routine: Routine

    @property
    def origin(self) -> datetime:
        """The start of slot 0: the last whole five minutes."""
        seconds = SLOT_MIN * 60
        return datetime.fromtimestamp(self.now.timestamp() // seconds * seconds, UTC)

    def slot(self, moment: datetime) -> int:
        """The slot in which a moment lies."""
        return math.floor(hours_between(self.origin, moment) * 60 / SLOT_MIN + 1e-6)

    def moment(self, slot: int, like: datetime) -> datetime:
        """The start of a slot, in the zone of another moment."""
        return later(self.origin, timedelta(minutes=slot * SLOT_MIN)).astimezone(like.tzinfo)

    def stretch(self, step: PlanStep) -> Stretch:
        """The slots of a step."""
        return Stretch(self.slot(step.at), self.slot(later(step.ends, timedelta(minutes=SLOT_MIN - 1))))


def dishes_of(batches: Sequence[Batch], clock: Clock) -> list[Dish]:
    """A dish for each batch that has a meal and an open window; others have nothing to be planned."""
    return [_dish(facts, clock) for facts in (_facts(batch) for batch in batches) if facts is not None]


def as_planned(batches: Sequence[Batch], clock: Clock) -> list[Placed]:
    """The batches at the places that their own plans give them, each planned without the others."""
    found = []
    for batch in batches:
        facts, plan = _facts(batch), batch.judgement.plan
        if facts is None or plan is None or plan.trouble:
            continue
        before = [step for step in batch.judgement.steps if hours_between(step.at, plan.contact_at) > 0]
        contact = Choice(clock.slot(plan.contact_at), 0.0, _hands(before, clock))
        pull = _pull_choice(facts, plan, 0, clock)
        found.append(Placed(replace(_bare(facts), contacts=(contact,), pulls=(pull,)), contact, pull))
    return found


def taken(batch: Batch, placed: Placed, clock: Clock) -> Draft:
    """The draft of a batch with its place at the table: the start, and how long before the meal it is done."""
    meal, said = batch.judgement.reading.meal, batch.draft.meal
    if meal is None:
        return batch.draft
    early = (clock.slot(later(meal.at, -meal.lead)) - placed.pull.slot) * SLOT_MIN
    start = said.start
    if meal.contact_at is None:
        start = f"{clock.moment(placed.contact.slot, meal.at):%Y-%m-%dT%H:%M}"
    return replace(batch.draft, meal=replace(said, start=start, early=f"{early} min" if early > 0 else ""))


def _facts(batch: Batch) -> _Facts | None:
    judged = batch.judgement
    cut, mix, window, meal = judged.reading.cut, judged.mix, judged.window, judged.reading.meal
    if cut is None or mix is None or window is None or meal is None or window.is_closed or judged.plan is None:
        return None
    return _Facts(batch, cut, mix, window, meal)


def _bare(facts: _Facts) -> Dish:
    """A dish without its places."""
    litres = _litres(facts)
    vessel = facts.batch.judgement.reading.mix.vessel
    tub = vessel.container in ("tub", "jar")
    said_l = vessel.volume_m3 * 1000 if vessel.volume_m3 is not None else litres
    opens_h, closes_h = facts.window.safe_earliest_h, facts.window.safe_latest_h
    return Dish(
        id=facts.batch.id,
        name=facts.batch.name,
        contacts=(),
        pulls=(),
        earliest=math.ceil(opens_h * 60 / SLOT_MIN - 1e-6),
        latest=math.floor(closes_h * 60 / SLOT_MIN + 1e-6),
        room_l=round(said_l if tub else litres * BAG_SLACK, 2),
        tub_l=round(litres, 2) if tub else 0.0,
    )


def _litres(facts: _Facts) -> float:
    """Meat and mix [l]; bone counts as meat."""
    meat_m3 = facts.cut.mass_kg / facts.cut.kind.density_kg_per_m3
    return (meat_m3 + facts.mix.at_contact.balance.mass_kg.value / LIQUID_DENSITY.value) * 1000


def _dish(facts: _Facts, clock: Clock) -> Dish:
    """A dish with all its places: pulls up to half an hour early, contacts wherever hands are free in the window."""
    meal, reading = replace(facts.meal, early=timedelta(0), start_at=None), facts.batch.judgement.reading
    work = work_of(facts.cut, facts.mix, reading.fire, meal.lead)
    plan = plan_for(facts.window, meal, clock.now, clock.routine, work)
    dish = _bare(facts)
    if meal.pulled_at is not None or plan.overdue:
        pulls = [_pull_choice(facts, plan, 0, clock)]
    else:
        pulls = [_pull_choice(facts, plan, slots, clock) for slots in range(MOST_EARLY_SLOTS + 1)]
        pulls = [one for number, one in enumerate(pulls) if number == 0 or _awake(plan, number, clock)]
    if meal.contact_at is not None:
        contacts = [Choice(clock.slot(meal.contact_at), 0.0)]
        slots = pulls[0].slot - contacts[0].slot
        dish = replace(dish, earliest=min(dish.earliest, slots), latest=max(dish.latest, slots))
    else:
        contacts = list(_contacts(facts, plan, work, dish, clock))
    return replace(dish, contacts=tuple(contacts), pulls=tuple(pulls))


def _awake(plan: Plan, slots: int, clock: Clock) -> bool:
    early = timedelta(minutes=slots * SLOT_MIN)
    return clock.routine.free_for(later(plan.pull_at, -early), early) and hours_between(clock.now, plan.pull_at) > 0


def _pull_choice(facts: _Facts, plan: Plan, slots: int, clock: Clock) -> Choice:
    """The pull so many slots earlier, with what it wants of hands and oven until the meal."""
    early = timedelta(minutes=slots * SLOT_MIN)
    fire = facts.batch.judgement.reading.fire
    shifted = replace(plan, pull_at=later(plan.pull_at, -early), meal=replace(plan.meal, early=plan.meal.early + early))
    steps = laid_before(plan.meal.at, after_the_pull(shifted, facts.cut, facts.mix, fire))
    heats = {of_stage(number): stage.plain_heat_c for number, stage in enumerate(fire.stages, start=1)}
    oven = tuple(
        OvenUse(clock.stretch(step), heat)
        for step in steps
        if step.kind == "cook" and step.place == "oven" and (heat := heats.get(step.of)) is not None
    )
    return Choice(clock.slot(shifted.pull_at), slots * SLOT_MIN / 60 * EARLY_COST, _hands(steps, clock), oven)


def _hands(steps: Sequence[PlanStep], clock: Clock) -> tuple[Stretch, ...]:
    """Stretches that want all of you, those that touch put together."""
    found: list[Stretch] = []
    for step in steps:
        if not step.wants_all_of_you:
            continue
        stretch = clock.stretch(step)
        if found and found[-1].end == stretch.start:
            found[-1] = Stretch(found[-1].start, stretch.end)
        else:
            found.append(stretch)
    return tuple(found)


def _contacts(facts: _Facts, plan: Plan, work: Work, dish: Dish, clock: Clock) -> Iterator[Choice]:
    """Contacts in the window at which everything before can be done from now on, with hands free."""
    pull = clock.slot(plan.pull_at)
    best = pull - round(facts.window.best.hours * 60 / SLOT_MIN)
    first = max(pull - dish.latest, clock.slot(later(clock.now, work.length)))
    for slot in range(first, pull - dish.earliest + 1):
        away_h = abs(slot - best) * SLOT_MIN / 60
        if away_h > FINE_H and (slot - best) % COARSE_SLOTS:
            continue
        moment = clock.moment(slot, plan.meal.at)
        if not work.fits(moment, clock.now, clock.routine):
            continue
        yield Choice(slot, away_h, _hands(laid_before(moment, work.tasks, clock.routine), clock))
