"""The best plan of several dishes in one kitchen, exact: an integer program over every place each could have.

For each dish one contact and one pull are chosen, or it is left out at a price above all others together. Hands are
shared slot by slot, the oven pair by pair of heats, the fridge and the tubs by who is inside. What is minimised is
hours away from best. Solved by HiGHS through scipy.
"""

from __future__ import annotations

from collections import defaultdict
from collections.abc import Sequence
from dataclasses import replace
from itertools import combinations

import numpy as np

from vadouvan.core.table.clash import clashes_with, why_left_out
from vadouvan.core.table.dish import Choice, Dish, Placed, SharedKitchen, TablePlan
from vadouvan.core.table.program import Program

LEFT_OUT_COST = 5000.0  # hours; above eight dishes each a whole window away from best
MOST_DISHES = 12
ROUNDING = 1e-9


def plan_table(dishes: Sequence[Dish], kitchen: SharedKitchen) -> TablePlan:
    """The plan with the most dishes in it, and of those the one nearest to best; what is left out says why."""
    if not dishes:
        return TablePlan(())
    if len(dishes) > MOST_DISHES:
        kept, rest = dishes[:MOST_DISHES], dishes[MOST_DISHES:]
        plan = plan_table(kept, kitchen)
        words = f"Up to {MOST_DISHES} dishes are planned together."
        return replace(plan, left_out={**plan.left_out, **{dish.id: words for dish in rest}})
    together = _all_together(dishes)
    most = _most_possible(dishes, kitchen, together=together)
    dishes = _needed_contacts(dishes, kitchen, together=together)
    dishes = _near_enough(dishes, kitchen, most)
    program = Program()
    contacts = [[program.variable(choice.cost) for choice in dish.contacts] for dish in dishes]
    pulls = [[program.variable(choice.cost) for choice in dish.pulls] for dish in dishes]
    out = [program.variable(LEFT_OUT_COST) for _ in dishes]
    for number, dish in enumerate(dishes):
        program.row({**dict.fromkeys(contacts[number], 1.0), out[number]: 1.0}, 1, 1)
        program.row({**dict.fromkeys(pulls[number], 1.0), out[number]: 1.0}, 1, 1)
        _keep_window(program, dish, contacts[number], pulls[number])
    program.row(dict.fromkeys(out, 1.0), len(dishes) - most, np.inf)
    _share_hands(program, dishes, contacts, pulls)
    _share_oven(program, dishes, pulls)
    if kitchen.fridge_l is not None and sum(dish.room_l for dish in dishes) > kitchen.fridge_l:
        if together:
            rooms = {column: -dish.room_l for dish, column in zip(dishes, out, strict=True)}
            program.row(rooms, -np.inf, kitchen.fridge_l - sum(dish.room_l for dish in dishes))
        else:
            _share_fridge(program, dishes, contacts, pulls, kitchen.fridge_l)
    tubs = _share_tubs(program, dishes, contacts, pulls, out, kitchen.tubs_l)
    chosen, proven = program.solved()
    placed = tuple(
        Placed(
            dish,
            _picked(dish.contacts, contacts[number], chosen),
            _picked(dish.pulls, pulls[number], chosen),
            next((tub for tub, column in enumerate(tubs.get(number, ())) if chosen[column] > 0), None),
        )
        for number, dish in enumerate(dishes)
        if chosen[out[number]] == 0
    )
    left = [dish for number, dish in enumerate(dishes) if chosen[out[number]] > 0]
    return TablePlan(placed, {dish.id: why_left_out(dish, placed, kitchen) for dish in left}, proven)


def _picked(choices: Sequence[Choice], columns: Sequence[int], chosen: np.ndarray) -> Choice:
    return next(choice for choice, column in zip(choices, columns, strict=True) if chosen[column] > 0)


def _near_enough(dishes: Sequence[Dish], kitchen: SharedKitchen, most: int) -> list[Dish]:
    """Dishes without choices that cost more than a plan found by taking one dish after another.

    That plan has to hold as many dishes as can be: then the best one costs no more, and no choice in it can.
    """
    placed = one_after_another(dishes, kitchen)
    if len(placed) < most:
        return list(dishes)
    least = [_least(dish.contacts) + _least(dish.pulls) for dish in dishes]
    others = sum(sorted(least)[: most - 1])
    spare = sum(one.cost for one in placed) - others + ROUNDING
    return [
        replace(
            dish,
            contacts=_up_to(dish.contacts, spare - _least(dish.pulls)),
            pulls=_up_to(dish.pulls, spare - _least(dish.contacts)),
        )
        for dish in dishes
    ]


def _up_to(choices: Sequence[Choice], cost: float) -> tuple[Choice, ...]:
    """Choices of at most a cost, and never none: a dish that is left out keeps its cheapest."""
    limit = max(cost, _least(choices))
    return tuple(choice for choice in choices if choice.cost <= limit)


def _most_possible(dishes: Sequence[Dish], kitchen: SharedKitchen, *, together: bool) -> int:
    """A number of dishes that no plan exceeds: by hands at the pulls, and by litres and tubs where all meet inside."""
    pulled = _most_pulled(dishes)
    if not together:
        return pulled
    fit, litres = 0, 0.0
    for room in sorted(dish.room_l for dish in dishes):
        litres += room
        fit += kitchen.fridge_l is None or litres <= kitchen.fridge_l + ROUNDING
    wanting = sum(dish.tub_l > 0 for dish in dishes) if kitchen.tubs_l else 0
    return min(pulled, fit, len(dishes) - max(0, wanting - len(kitchen.tubs_l)))


def _most_pulled(dishes: Sequence[Dish]) -> int:
    """How many dishes one pair of hands can pull in all the slots in which any of them could be."""
    slots = {
        slot
        for dish in dishes
        for pull in dish.pulls
        for stretch in pull.hands
        for slot in range(stretch.start, stretch.end)
    }
    needed = sorted(
        min(sum(stretch.end - stretch.start for stretch in pull.hands) for pull in dish.pulls) for dish in dishes
    )
    used, count = 0, 0
    for length in needed:
        used += length
        count += used <= len(slots)
    return count


def _least(choices: Sequence[Choice]) -> float:
    return min(choice.cost for choice in choices)


def one_after_another(dishes: Sequence[Dish], kitchen: SharedKitchen) -> list[Placed]:
    """A plan that works: each dish in turn at its cheapest place beside those before it, or left out.

    Dishes that take up less room and have fewer places come first.
    """
    placed: list[Placed] = []
    together = _all_together(dishes)
    for dish in sorted(dishes, key=lambda one: (one.room_l, one.tub_l, len(one.contacts) * len(one.pulls))):
        ways = sorted(
            ((contact, pull) for contact in dish.contacts for pull in dish.pulls if dish.within(contact, pull)),
            key=lambda way: way[0].cost + way[1].cost,
        )
        tubs = _tubs_for(dish, kitchen)
        if together:  # no hour makes room where all are inside at once: one look for each tub is enough
            tubs = [tub for tub in tubs if ways and not _no_room(Placed(dish, *ways[0], tub), placed, kitchen)]
        beside = (Placed(dish, contact, pull, tub) for contact, pull in ways for tub in tubs)
        found = next((way for way in beside if next(clashes_with(way, placed, kitchen), None) is None), None)
        if found is not None:
            placed.append(found)
    return placed


def _no_room(way: Placed, placed: Sequence[Placed], kitchen: SharedKitchen) -> bool:
    return any(clash.thing in ("fridge", "tub") for clash in clashes_with(way, placed, kitchen))


def _tubs_for(dish: Dish, kitchen: SharedKitchen) -> list[int | None]:
    """Tubs it could be in, the smallest first; no tub for a dish that needs none."""
    if dish.tub_l <= 0 or not kitchen.tubs_l:
        return [None]
    fitting = [number for number, size in enumerate(kitchen.tubs_l) if size >= dish.tub_l]
    return [*sorted(fitting, key=lambda number: kitchen.tubs_l[number])]


def _needed_contacts(dishes: Sequence[Dish], kitchen: SharedKitchen, *, together: bool) -> list[Dish]:
    """The dishes with only those contacts that the best plan could need.

    Where fridge and tubs set no limit, or all dishes are in them together whatever is chosen, only hands can push a
    dish off its best contacts, and each other dish can push it off only so many: more than that, and a cheaper one is
    free. Contacts that do not go with every pull stay.
    """
    roomy = kitchen.fridge_l is None or sum(one.room_l for one in dishes) <= kitchen.fridge_l
    tubs_matter = bool(kitchen.tubs_l) and any(one.tub_l > 0 for one in dishes)
    if not ((roomy and not tubs_matter) or together):
        return list(dishes)
    wanted = [[_hand_lengths(choices) for choices in (dish.contacts, dish.pulls)] for dish in dishes]
    return [
        _with_cheapest(dish, _most_blocked(dish, [*wanted[:number], *wanted[number + 1 :]])) if _alike(dish) else dish
        for number, dish in enumerate(dishes)
    ]


def _hand_lengths(choices: Sequence[Choice]) -> set[tuple[int, ...]]:
    """Every set of lengths of stretches with hands among the choices [slots]."""
    return {tuple(stretch.end - stretch.start for stretch in choice.hands) for choice in choices}


def _most_blocked(dish: Dish, others: Sequence[Sequence[set[tuple[int, ...]]]]) -> int:
    """How many of a dish's contacts the hands of the others can take at most, whatever is chosen for them."""
    mine = [stretch.end - stretch.start for stretch in dish.contacts[0].hands]
    return sum(
        max(sum(theirs + length - 1 for theirs in lengths for length in mine) for lengths in part)
        for other in others
        for part in other
    )


def _with_cheapest(dish: Dish, blocked: int) -> Dish:
    """The dish with as many of its cheapest contacts as cannot all be blocked, and those that not every pull allows."""
    first, last = min(pull.slot for pull in dish.pulls), max(pull.slot for pull in dish.pulls)
    free = [c for c in dish.contacts if dish.earliest <= first - c.slot and last - c.slot <= dish.latest]
    kept = set(sorted(free, key=lambda choice: choice.cost)[: blocked + 1])
    kept |= set(dish.contacts) - set(free)
    return replace(dish, contacts=tuple(choice for choice in dish.contacts if choice in kept))


def _all_together(dishes: Sequence[Dish]) -> bool:
    """Whether every contact of every dish comes before every pull: all are inside at once."""
    return all(_always_meet(one, other) for one, other in combinations(dishes, 2))


def _always_meet(one: Dish, other: Dish) -> bool:
    """Whether two dishes are in the fridge at the same time whatever is chosen."""
    return max(c.slot for c in one.contacts) < min(p.slot for p in other.pulls) and max(
        c.slot for c in other.contacts
    ) < min(p.slot for p in one.pulls)


def _alike(dish: Dish) -> bool:
    """Whether every contact wants hands at the same times before it."""
    shapes = {tuple(stretch.moved(-choice.slot) for stretch in choice.hands) for choice in dish.contacts}
    return len(shapes) == 1


def _keep_window(program: Program, dish: Dish, contacts: Sequence[int], pulls: Sequence[int]) -> None:
    """Pull less contact is at least ``earliest`` and at most ``latest``; nothing for a dish that is left out."""
    slots, leaving = [choice.slot for choice in dish.contacts], [choice.slot for choice in dish.pulls]
    if dish.earliest <= min(leaving) - max(slots) and max(leaving) - min(slots) <= dish.latest:
        return
    origin = min(choice.slot for choice in dish.contacts)
    out = {column: float(choice.slot - origin) for choice, column in zip(dish.pulls, pulls, strict=True)}
    early = {c: -float(choice.slot - origin + dish.earliest) for choice, c in zip(dish.contacts, contacts, strict=True)}
    late = {c: -float(choice.slot - origin + dish.latest) for choice, c in zip(dish.contacts, contacts, strict=True)}
    program.row({**out, **early}, 0, np.inf)
    program.row({**out, **late}, -np.inf, 0)


def _share_hands(
    program: Program, dishes: Sequence[Dish], contacts: Sequence[Sequence[int]], pulls: Sequence[Sequence[int]]
) -> None:
    """One pair of hands: in each slot at most one of the stretches that cover it."""
    covering: dict[int, dict[int, float]] = defaultdict(dict)
    owners: dict[int, set[int]] = defaultdict(set)
    for number, dish in enumerate(dishes):
        for choices, columns in ((dish.contacts, contacts[number]), (dish.pulls, pulls[number])):
            for choice, column in zip(choices, columns, strict=True):
                for stretch in choice.hands:
                    for slot in range(stretch.start, stretch.end):
                        covering[slot][column] = 1.0
                        owners[slot].add(number)
    seen = set()
    for slot, terms in covering.items():
        key = frozenset(terms)
        if len(owners[slot]) > 1 and key not in seen:
            seen.add(key)
            program.row(terms, -np.inf, 1)


def _share_oven(program: Program, dishes: Sequence[Dish], pulls: Sequence[Sequence[int]]) -> None:
    """One heat at a time: for each pull of one dish, no pull of another that wants another heat meanwhile."""
    for one, other in combinations(range(len(dishes)), 2):
        for mine, column in zip(dishes[one].pulls, pulls[one], strict=True):
            clashing = {
                theirs_column: 1.0
                for theirs, theirs_column in zip(dishes[other].pulls, pulls[other], strict=True)
                if any(
                    use.stretch.meets(their.stretch) and use.heat_c != their.heat_c
                    for use in mine.oven
                    for their in theirs.oven
                )
            }
            if clashing:
                program.row({**clashing, column: 1.0}, -np.inf, 1)


def _share_fridge(
    program: Program,
    dishes: Sequence[Dish],
    contacts: Sequence[Sequence[int]],
    pulls: Sequence[Sequence[int]],
    free_l: float,
) -> None:
    """Litres inside never above what is free: between two pulls they only grow, so before each pull is enough."""
    for slot in sorted({choice.slot - 1 for dish in dishes for choice in dish.pulls}):
        terms: dict[int, float] = {}
        for number, dish in enumerate(dishes):
            for choice, column in zip(dish.contacts, contacts[number], strict=True):
                if choice.slot <= slot:
                    terms[column] = dish.room_l
            for choice, column in zip(dish.pulls, pulls[number], strict=True):
                if choice.slot <= slot:
                    terms[column] = -dish.room_l
        program.row(terms, -np.inf, free_l)


def _share_tubs(
    program: Program,
    dishes: Sequence[Dish],
    contacts: Sequence[Sequence[int]],
    pulls: Sequence[Sequence[int]],
    out: Sequence[int],
    tubs_l: Sequence[float],
) -> dict[int, list[int]]:
    """A tub that is large enough for each dish that needs one, and never two dishes in one; columns by dish and tub."""
    wanting = [number for number, dish in enumerate(dishes) if dish.tub_l > 0] if tubs_l else []
    tubs = {number: [program.variable(0.0) for _ in tubs_l] for number in wanting}
    for number in wanting:
        large_enough = [c for c, size in zip(tubs[number], tubs_l, strict=True) if size >= dishes[number].tub_l]
        program.row({**dict.fromkeys(large_enough, 1.0), out[number]: 1.0}, 1, 1)
        for column in tubs[number]:
            if column not in large_enough:
                program.row({column: 1.0}, 0, 0)
    if all(_always_meet(dishes[one], dishes[other]) for one, other in combinations(wanting, 2)):
        for tub in range(len(tubs_l)):
            program.row({tubs[number][tub]: 1.0 for number in wanting}, -np.inf, 1)
        return tubs
    for one, other in combinations(wanting, 2):
        first = _one_before(program, dishes, contacts, pulls, one, other)
        second = _one_before(program, dishes, contacts, pulls, other, one)
        for mine, theirs in zip(tubs[one], tubs[other], strict=True):
            program.row({mine: 1.0, theirs: 1.0, first: -1.0, second: -1.0}, -np.inf, 1)
    return tubs


def _one_before(
    program: Program,
    dishes: Sequence[Dish],
    contacts: Sequence[Sequence[int]],
    pulls: Sequence[Sequence[int]],
    one: int,
    other: int,
) -> int:
    """A variable that may be 1 only if ``one`` is pulled before ``other`` makes contact."""
    before = program.variable(0.0)
    slots = [
        choice.slot
        for number in (one, other)
        for part in (dishes[number].contacts, dishes[number].pulls)
        for choice in part
    ]
    origin, far = min(slots), max(slots) - min(slots)
    terms = {c: float(choice.slot - origin) for choice, c in zip(dishes[other].contacts, contacts[other], strict=True)}
    terms |= {c: -float(choice.slot - origin) for choice, c in zip(dishes[one].pulls, pulls[one], strict=True)}
    program.row({**terms, before: -float(far)}, -float(far), np.inf)
    return before
