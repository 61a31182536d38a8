"""Small random kitchens for the planner of several dishes, and every plan of one tried by brute force."""

from __future__ import annotations

import itertools
import random
from collections.abc import Iterator
from dataclasses import replace

from vadouvan.core.joint_schedule.clash import clashes
from vadouvan.core.joint_schedule.dish import Choice, Dish, OvenUse, Placed, Stretch
from vadouvan.core.kitchen.shared import SharedKitchen

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


def evening_dish(number: int) -> Dish:
    """A dish for one evening, that could go in at any five minutes of a day; all like about the same hour best."""
    hands, best, pull = 3 + number % 5, 150 + 3 * number, 320 - 2 * number
    return Dish(
        id=str(number),
        name=f"Dish {number}",
        contacts=tuple(Choice(slot, abs(slot - best) / 12, (Stretch(slot - hands, slot),)) for slot in range(20, 300)),
        pulls=tuple(
            Choice(
                pull - early,
                early / 6,
                (Stretch(pull - early, pull - early + 1),),
                (OvenUse(Stretch(pull - early + 5, pull - early + 10), 200.0),),
            )
            for early in range(7)
        ),
        earliest=18,
        latest=288,
        room_l=4.0,
    )


def tight_kitchens() -> dict[str, tuple[list[Dish], SharedKitchen]]:
    """Kitchens of eight dishes in which some have to be left out: by litres, tubs, heats, and on two evenings."""
    dishes = [evening_dish(number) for number in range(8)]
    two_heats = [_at_heat(dish, HEATS[number % 2]) for number, dish in enumerate(dishes)]
    evenings = [_moved(dish, 288 * (number % 2)) for number, dish in enumerate(dishes)]
    return {
        "room for seven": (dishes, SharedKitchen(30.0)),
        "seven tubs for eight": ([replace(dish, tub_l=2.0) for dish in dishes], SharedKitchen(None, (2.0,) * 7)),
        "two heats in one oven": (two_heats, SharedKitchen()),
        "two heats and room for seven": (two_heats, SharedKitchen(30.0)),
        "two evenings": (evenings, SharedKitchen(14.0)),
        "two evenings, two tubs": ([replace(dish, tub_l=2.0) for dish in evenings], SharedKitchen(None, (2.0, 2.0))),
    }


def _at_heat(dish: Dish, heat_c: float) -> Dish:
    pulls = (replace(pull, oven=tuple(replace(use, heat_c=heat_c) for use in pull.oven)) for pull in dish.pulls)
    return replace(dish, pulls=tuple(pulls))


def _moved(dish: Dish, by: int) -> Dish:
    def later(choice: Choice) -> Choice:
        hands = tuple(stretch.moved(by) for stretch in choice.hands)
        oven = tuple(replace(use, stretch=use.stretch.moved(by)) for use in choice.oven)
        return replace(choice, slot=choice.slot + by, hands=hands, oven=oven)

    return replace(dish, contacts=tuple(map(later, dish.contacts)), pulls=tuple(map(later, dish.pulls)))
