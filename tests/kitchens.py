"""Small random kitchens for the planner of several dishes, and every plan of one tried by brute force."""

from __future__ import annotations

import itertools
import random
from collections.abc import Iterator

from vadouvan.core.table.clash import clashes
from vadouvan.core.table.dish import Choice, Dish, OvenUse, Placed, SharedKitchen, Stretch

HEATS = (160.0, 200.0)


def random_dish(number: int, chance: random.Random, contacts: int, pulls: int, span: int) -> Dish:
    """A dish with so many places for its contact within a span of slots, and for its pull after it."""
    hands, after = chance.randint(1, 4), chance.randint(1, 3)
    best = chance.randint(4, span)
    slots = sorted(chance.sample(range(4, span + 4), min(contacts, span)))
    pull_at = span + chance.randint(4, 10)
    cooks = chance.choice((0, 2, 6))
    heat = chance.choice(HEATS)
    return Dish(
        id=str(number),
        name=f"Dish {number}",
        contacts=tuple(Choice(slot, abs(slot - best) / 12, (Stretch(slot - hands, slot),)) for slot in slots),
        pulls=tuple(
            Choice(
                pull_at - shift,
                shift / 6,
                (Stretch(pull_at - shift, pull_at - shift + after),),
                (OvenUse(Stretch(pull_at - shift + after, pull_at - shift + after + cooks), heat),) if cooks else (),
            )
            for shift in range(pulls)
        ),
        earliest=chance.randint(1, 6),
        latest=span + chance.randint(0, 12),
        room_l=chance.choice((2.0, 4.0, 7.0)),
        tub_l=chance.choice((0.0, 0.0, 2.0, 4.0)),
    )


def random_kitchen(seed: int, dishes: int = 3, contacts: int = 5) -> tuple[list[Dish], SharedKitchen]:
    """Dishes and what they share, the same for the same seed."""
    chance = random.Random(seed)
    made = [random_dish(number, chance, contacts, chance.randint(1, 3), span=10) for number in range(dishes)]
    fridge = chance.choice((None, 8.0, 12.0))
    tubs = chance.choice(((), (2.5,), (2.5, 5.0)))
    return made, SharedKitchen(fridge, tubs)


def _ways(dish: Dish, kitchen: SharedKitchen) -> list[Placed | None]:
    tubs: list[int | None] = [None]
    if kitchen.tubs_l and dish.tub_l > 0:
        tubs = [number for number, size in enumerate(kitchen.tubs_l) if size >= dish.tub_l]
    return [None] + [
        Placed(dish, contact, pull, tub)
        for contact in dish.contacts
        for pull in dish.pulls
        if dish.within(contact, pull)
        for tub in tubs
    ]


def every_plan(dishes: list[Dish], kitchen: SharedKitchen) -> Iterator[list[Placed]]:
    """Every plan that works, dishes left out included."""
    for ways in itertools.product(*(_ways(dish, kitchen) for dish in dishes)):
        placed = [way for way in ways if way is not None]
        if not clashes(placed, kitchen):
            yield placed


def best_by_trying(dishes: list[Dish], kitchen: SharedKitchen) -> tuple[int, float]:
    """How many dishes the best plan places, and what it costs: most dishes first."""
    return min(
        ((-len(placed), sum(one.cost for one in placed)) for placed in every_plan(dishes, kitchen)),
        default=(0, 0.0),
    )
