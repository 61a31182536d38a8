"""Bounds on the best plan of several dishes, known before it is searched for: how many fit, and which places."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import replace
from itertools import combinations

from vadouvan.core.joint_schedule.dish import Choice, Dish, Placed
from vadouvan.core.kitchen.shared import SharedKitchen

ROUNDING = 1e-9


def all_together(dishes: Sequence[Dish]) -> bool:
    """Whether every contact of every dish comes before every pull: all are inside at once."""
    return all(always_meet(one, other) for one, other in combinations(dishes, 2))


def always_meet(one: Dish, other: Dish) -> bool:
    """Whether two dishes are in the fridge at the same time whatever is chosen."""
    return max(c.slot for c in one.contacts) < min(p.slot for p in other.pulls) and max(
        c.slot for c in other.contacts
    ) < min(p.slot for p in one.pulls)


def meeting(dishes: Sequence[Dish]) -> list[list[int]]:
    """The dishes in groups, by their places in the list, of which all are inside at once whatever is chosen."""
    groups: list[list[int]] = []
    for at, dish in enumerate(dishes):
        home = next((one for one in groups if all(always_meet(dish, dishes[other]) for other in one)), None)
        if home is None:
            groups.append([at])
        else:
            home.append(at)
    return groups


def most_inside(dishes: Sequence[Dish], kitchen: SharedKitchen) -> int:
    """How many of the dishes litres and tubs hold at once, at most."""
    fit, litres = 0, 0.0
    for room in sorted(dish.room_l for dish in dishes):
        litres += room
        fit += kitchen.fridge_l is None or litres <= kitchen.fridge_l + ROUNDING
    wanting = sum(dish.tub_l > 0 for dish in dishes) if kitchen.tubs_l else 0
    return min(fit, len(dishes) - max(0, wanting - len(kitchen.tubs_l)))


def needed_contacts(dishes: Sequence[Dish], kitchen: SharedKitchen, *, together: bool) -> list[Dish]:
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
    free: list[int] = []
    bound: list[int] = []
    for at, contact in enumerate(dish.contacts):
        always = dish.earliest <= first - contact.slot and last - contact.slot <= dish.latest
        (free if always else bound).append(at)
    cheapest = sorted(free, key=lambda at: dish.contacts[at].cost)[: blocked + 1]
    return replace(dish, contacts=tuple(dish.contacts[at] for at in sorted([*cheapest, *bound])))


def _alike(dish: Dish) -> bool:
    """Whether every contact wants hands at the same times before it."""
    return len({tuple((h.start - one.slot, h.end - one.slot) for h in one.hands) for one in dish.contacts}) == 1


def near_enough(dishes: Sequence[Dish], placed: Sequence[Placed], pulls_cost_h: float) -> list[Dish]:
    """Dishes without choices that cost more than a plan at hand that holds as many dishes as can be.

    The best plan costs no more than that one, and no choice in it can. ``pulls_cost_h`` is what the pulls of so many
    dishes cost at least.
    """
    cheapest = sum(one.cost for one in placed) + ROUNDING
    contact, pull = (
        [_least(part) for part in parts] for parts in zip(*((d.contacts, d.pulls) for d in dishes), strict=True)
    )
    contacts_cost = sum(sorted(contact)[: len(placed)])
    other_contacts, other_pulls = (sum(sorted(costs)[: len(placed) - 1]) for costs in (contact, pull))
    for_contact = cheapest - other_contacts - max(pulls_cost_h, sum(sorted(pull)[: len(placed)]))
    for_pull = cheapest - other_pulls - contacts_cost
    return [
        replace(dish, contacts=_up_to(dish.contacts, for_contact), pulls=_up_to(dish.pulls, for_pull))
        for dish in dishes
    ]


def _up_to(choices: Sequence[Choice], cost: float) -> tuple[Choice, ...]:
    """Choices of at most a cost, and never none: a dish that is left out keeps its cheapest."""
    limit = max(cost, _least(choices))
    return tuple(choice for choice in choices if choice.cost <= limit)


def _least(choices: Sequence[Choice]) -> float:
    return min(choice.cost for choice in choices)
