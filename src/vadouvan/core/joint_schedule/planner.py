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

from vadouvan.core.joint_schedule.clash import why_left_out
from vadouvan.core.joint_schedule.dish import Choice, Dish, Placed, TablePlan
from vadouvan.core.joint_schedule.in_turn import one_after_another
from vadouvan.core.joint_schedule.narrow import (
    all_together,
    always_meet,
    meeting,
    most_inside,
    near_enough,
    needed_contacts,
)
from vadouvan.core.joint_schedule.program import Program
from vadouvan.core.kitchen.shared import SharedKitchen

LEFT_OUT_COST = 5000.0  # hours; above eight dishes each a whole window away from best
MOST_DISHES = 12


def plan_table(dishes: Sequence[Dish], kitchen: SharedKitchen) -> TablePlan:
    """The plan with the most dishes in it, and of those the one nearest to best; what is left out says why."""
    if not dishes:
        return TablePlan(())
    if len(dishes) > MOST_DISHES:
        kept, rest = dishes[:MOST_DISHES], dishes[MOST_DISHES:]
        plan = plan_table(kept, kitchen)
        words = f"Up to {MOST_DISHES} dishes are planned together."
        return replace(plan, left_out={**plan.left_out, **{dish.id: words for dish in rest}})
    together = all_together(dishes)
    groups = [(group, most_inside([dishes[at] for at in group], kitchen)) for group in meeting(dishes)]
    most = sum(fit for _, fit in groups)
    dishes = needed_contacts(dishes, kitchen, together=together)
    at_hand, pulls_cost_h = one_after_another(dishes, kitchen), 0.0
    if len(at_hand) < most and (cooked := _cooked(dishes)) is not None:
        pulls_cost_h = sum(pull.cost for pull in cooked.values()) if len(cooked) <= most else 0.0
        most = min(most, len(cooked))
        at_pulls = [replace(dish, pulls=(cooked[dish.id],)) for dish in dishes if dish.id in cooked]
        at_hand = _better(at_hand, one_after_another(at_pulls, kitchen))
    reached = len(at_hand) == most
    if reached:
        dishes = near_enough(dishes, at_hand, pulls_cost_h)
    program = Program()
    contacts = [[program.variable(choice.cost) for choice in dish.contacts] for dish in dishes]
    pulls = [[program.variable(choice.cost) for choice in dish.pulls] for dish in dishes]
    out = [program.variable(0.0 if reached else LEFT_OUT_COST) for _ in dishes]
    for number, dish in enumerate(dishes):
        program.row({**dict.fromkeys(contacts[number], 1.0), out[number]: 1.0}, 1, 1)
        program.row({**dict.fromkeys(pulls[number], 1.0), out[number]: 1.0}, 1, 1)
        _keep_window(program, dish, contacts[number], pulls[number])
    for group, fit in groups:
        program.row({out[at]: 1.0 for at in group}, len(group) - fit, np.inf)
    fewest_out = len(dishes) - most
    program.row(dict.fromkeys(out, 1.0), fewest_out, fewest_out if reached else np.inf)
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


def _better(one: list[Placed], other: list[Placed]) -> list[Placed]:
    """Of two plans the one with more dishes, and then the one nearer to best."""
    return min((one, other), key=lambda plan: (-len(plan), sum(placed.cost for placed in plan)))


def _cooked(dishes: Sequence[Dish]) -> dict[str, Choice] | None:
    """The pulls at least cost of as many dishes as one pair of hands and one oven allow, contacts aside; by dish.

    No plan has more dishes, and none with as many has cheaper pulls. None if that was not proven in time.
    """
    program = Program()
    pulls = [[program.variable(choice.cost) for choice in dish.pulls] for dish in dishes]
    out = [program.variable(LEFT_OUT_COST) for _ in dishes]
    for columns, column in zip(pulls, out, strict=True):
        program.row({**dict.fromkeys(columns, 1.0), column: 1.0}, 1, 1)
    _share_hands(program, dishes, [() for _ in dishes], pulls)
    _share_oven(program, dishes, pulls)
    chosen, proven = program.solved()
    if not proven:
        return None
    return {
        dish.id: _picked(dish.pulls, columns, chosen)
        for dish, columns, column in zip(dishes, pulls, out, strict=True)
        if not chosen[column]
    }


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
        parts = [(dish.contacts, contacts[number])] if contacts[number] else []
        for choices, columns in (*parts, (dish.pulls, pulls[number])):
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
    """One heat at a time: in each slot, of two dishes at different heats only one has the oven."""
    using: dict[int, dict[tuple[int, float], dict[int, float]]] = defaultdict(lambda: defaultdict(dict))
    for number, dish in enumerate(dishes):
        for choice, column in zip(dish.pulls, pulls[number], strict=True):
            for use in choice.oven:
                for slot in range(use.stretch.start, use.stretch.end):
                    using[slot][number, use.heat_c][column] = 1.0
    seen = set()
    for uses in using.values():
        for ((one, heat), mine), ((other, other_heat), theirs) in combinations(uses.items(), 2):
            key = frozenset((*mine, *theirs))
            if one != other and heat != other_heat and key not in seen:
                seen.add(key)
                program.row({**mine, **theirs}, -np.inf, 1)


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
    if all(always_meet(dishes[one], dishes[other]) for one, other in combinations(wanting, 2)):
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
