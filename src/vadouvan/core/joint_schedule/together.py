"""All batches planned together, and later meals for those that find no place."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import replace
from datetime import timedelta

from vadouvan.core.clock.routine import later
from vadouvan.core.draft.typed import Draft
from vadouvan.core.joint_schedule.clash import Clash, clashes, clashes_with
from vadouvan.core.joint_schedule.dish import Dish, Placed
from vadouvan.core.joint_schedule.gather import Batch, Clock, as_planned, dishes_of, taken
from vadouvan.core.joint_schedule.planner import plan_table
from vadouvan.core.judgement.judge import judge
from vadouvan.core.kitchen.kitchen import Kitchen
from vadouvan.core.kitchen.shared import SharedKitchen
from vadouvan.unchanging import unchanging

OTHER_MEALS_MIN = tuple(range(30, 6 * 60 + 1, 30))


@unchanging
class Moved:
    """A batch whose start, or the time it is done, is another than before."""

    batch: Batch
    draft: Draft


@unchanging
class LeftOut:
    """A batch that finds no place: why, and a later meal at which it does, if one is near."""

    batch: Batch
    says: str
    later_says: str = ""
    draft: Draft | None = None


@unchanging
class Together:
    """The plan of all: what moves, and what is left out."""

    moved: tuple[Moved, ...]
    left_out: tuple[LeftOut, ...]
    proven: bool


def clashes_as_planned(batches: Sequence[Batch], shared: SharedKitchen, clock: Clock) -> list[Clash]:
    """Clashes while each batch is planned without the others."""
    dishes = as_planned(batches, clock)
    return clashes(_in_tubs(dishes, shared), shared)


def _in_tubs(placed: Sequence[Placed], shared: SharedKitchen) -> list[Placed]:
    """Each in the smallest free tub that is large enough; without one if there is none."""
    found: list[Placed] = []
    for one in sorted(placed, key=lambda dish: dish.dish.tub_l):
        tubs = sorted(range(len(shared.tubs_l)), key=lambda number: shared.tubs_l[number])
        ways = [replace(one, tub=tub) for tub in tubs if one.dish.tub_l > 0]
        fit = (way for way in ways if all(clash.thing != "tub" for clash in clashes_with(way, found, shared)))
        found.append(next(fit, one))
    return found


def plan_together(batches: Sequence[Batch], shared: SharedKitchen, kitchen: Kitchen, clock: Clock) -> Together:
    """The best plan of all batches that have a meal."""
    dishes = dishes_of(batches, clock)
    placeable = [dish for dish in dishes if dish.contacts and dish.pulls]
    plan = plan_table(placeable, shared)
    by_id = {batch.id: batch for batch in batches}
    moved = []
    for placed in plan.placed:
        batch = by_id[placed.dish.id]
        draft = taken(batch, placed, clock)
        if draft != batch.draft:
            moved.append(Moved(batch, draft))
    alone = {dish.id: _alone(by_id[dish.id]) for dish in dishes if not dish.contacts}
    left = [
        _left_out(by_id[identity], says, plan.placed, shared, kitchen, clock)
        for identity, says in {**alone, **plan.left_out}.items()
    ]
    return Together(tuple(moved), tuple(left), plan.proven)


def _alone(batch: Batch) -> str:
    """Why a batch has no place even without the others."""
    trouble = batch.judgement.plan.trouble if batch.judgement.plan else None
    return trouble or f"{batch.name} finds no hour at which your hands are free."


def _left_out(
    batch: Batch, says: str, placed: Sequence[Placed], shared: SharedKitchen, kitchen: Kitchen, clock: Clock
) -> LeftOut:
    """The batch with the nearest later meal at which it goes beside the others."""
    meal = batch.judgement.reading.meal
    if meal is None:
        return LeftOut(batch, says)
    for minutes in OTHER_MEALS_MIN:
        at = later(meal.at, timedelta(minutes=minutes))
        draft = replace(batch.draft, meal=replace(batch.draft.meal, at=f"{at:%Y-%m-%dT%H:%M}", start="", early=""))
        other = Batch(batch.id, draft, judge(draft, kitchen, now=clock.now))
        way = next((_beside(dish, placed, shared) for dish in dishes_of([other], clock)), None)
        if way is not None:
            words = f"Eat {batch.name} at {at:%H:%M} instead"
            return LeftOut(batch, says, words, taken(other, way, clock))
    return LeftOut(batch, says)


def _beside(dish: Dish, placed: Sequence[Placed], shared: SharedKitchen) -> Placed | None:
    """The cheapest place of a dish beside the others, or none."""
    ways = sorted(
        ((contact, pull) for contact in dish.contacts for pull in dish.pulls if dish.within(contact, pull)),
        key=lambda way: way[0].cost + way[1].cost,
    )
    tubs = [*range(len(shared.tubs_l))] if dish.tub_l > 0 and shared.tubs_l else [None]
    for contact, pull in ways:
        for tub in tubs:
            way = Placed(dish, contact, pull, tub)
            if next(clashes_with(way, placed, shared), None) is None:
                return way
    return None
