"""A plan that is found at once: one dish after another, each at its cheapest place beside those before it."""

from __future__ import annotations

from collections.abc import Sequence

from vadouvan.core.joint_schedule.clash import has_room, stands_beside
from vadouvan.core.joint_schedule.dish import Choice, Dish, Placed
from vadouvan.core.joint_schedule.narrow import always_meet
from vadouvan.core.kitchen.shared import SharedKitchen


def one_after_another(dishes: Sequence[Dish], kitchen: SharedKitchen) -> list[Placed]:
    """A plan that works: each dish in turn at its cheapest place beside those before it, or left out.

    Dishes that take up less room and have fewer places come first.
    """
    placed: list[Placed] = []
    for dish in sorted(dishes, key=lambda one: (one.room_l, one.tub_l, len(one.contacts) * len(one.pulls))):
        contacts = [contact for contact in dish.contacts if stands_beside(contact, placed)]
        pulls = [pull for pull in dish.pulls if stands_beside(pull, placed)]
        ways = [(contact, pull) for contact in contacts for pull in pulls if dish.within(contact, pull)]
        company = [one for one in placed if always_meet(dish, one.dish)]
        # no hour makes room beside those that are inside whatever is chosen: one look is enough
        tubs = [
            tub for tub in _tubs_for(dish, kitchen) if ways and has_room(Placed(dish, *ways[0], tub), company, kitchen)
        ]
        if len(company) == len(placed):
            ways = [min(ways, key=_both)] if ways else []
        else:
            ways.sort(key=_both)
        beside = (Placed(dish, contact, pull, tub) for contact, pull in ways for tub in tubs)
        found = next((way for way in beside if has_room(way, placed, kitchen)), None)
        if found is not None:
            placed.append(found)
    return placed


def _both(way: tuple[Choice, Choice]) -> float:
    return way[0].cost + way[1].cost


def _tubs_for(dish: Dish, kitchen: SharedKitchen) -> list[int | None]:
    """Tubs it could be in, the smallest first; no tub for a dish that needs none."""
    if dish.tub_l <= 0 or not kitchen.tubs_l:
        return [None]
    fitting = [number for number, size in enumerate(kitchen.tubs_l) if size >= dish.tub_l]
    return [*sorted(fitting, key=lambda number: kitchen.tubs_l[number])]
