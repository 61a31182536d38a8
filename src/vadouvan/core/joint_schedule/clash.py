"""Clashes of placed dishes: the rules that the planner keeps, told in words."""

from __future__ import annotations

from collections import Counter
from collections.abc import Iterator, Sequence
from itertools import combinations

from vadouvan.core.figure import number_told
from vadouvan.core.joint_schedule.dish import Choice, Dish, OvenUse, Placed
from vadouvan.core.kitchen.shared import SharedKitchen
from vadouvan.unchanging import unchanging

FULL = 1e-9
MOST_WAYS, MOST_PULLS = 20, 3  # enough to tell what stands in the way


@unchanging
class Clash:
    """Two dishes that want the same thing, or all of them more room than there is: ``thing``, and it in words."""

    thing: str
    says: str


def clashes(placed: Sequence[Placed], kitchen: SharedKitchen) -> list[Clash]:
    """Everything that does not go together; empty for a plan that works."""
    found = [clash for one, other in combinations(placed, 2) for clash in _between(one, other)]
    return [*found, *_too_full(placed, kitchen), *_no_tub(placed, kitchen)]


def stands_beside(choice: Choice, placed: Sequence[Placed]) -> bool:
    """Whether a contact or a pull leaves hands and oven to the dishes that have their place."""
    for other in placed:
        if any(mine.meets(theirs) for mine in choice.hands for theirs in other.hands):
            return False
        if any(_other_heat(mine, theirs) for mine in choice.oven for theirs in other.oven):
            return False
    return True


def has_room(way: Placed, placed: Sequence[Placed], kitchen: SharedKitchen) -> bool:
    """Whether fridge and tubs hold one more dish beside others that they hold."""
    everyone = [way, *placed]
    return next(_no_tub(everyone, kitchen), None) is None and next(_too_full(everyone, kitchen), None) is None


def clashes_with(way: Placed, placed: Sequence[Placed], kitchen: SharedKitchen) -> Iterator[Clash]:
    """Reasons that keep one more dish from its place beside others that go together, found one by one."""
    everyone = [way, *placed]
    yield from _no_tub(everyone, kitchen)
    yield from _too_full(everyone, kitchen)
    for other in placed:
        yield from _between(way, other)


def _between(one: Placed, other: Placed) -> Iterator[Clash]:
    if any(mine.meets(theirs) for mine in one.hands for theirs in other.hands):
        yield Clash("hands", f"{one.dish.name} and {other.dish.name} want your hands in the same minutes.")
    for mine in one.oven:
        for theirs in other.oven:
            if _other_heat(mine, theirs):
                heats = f"{number_told(mine.heat_c)} °C and {number_told(theirs.heat_c)} °C"
                yield Clash("oven", f"{one.dish.name} and {other.dish.name} want the one oven at {heats}.")
                return


def _other_heat(mine: OvenUse, theirs: OvenUse) -> bool:
    return mine.heat_c != theirs.heat_c and mine.stretch.meets(theirs.stretch)


def _too_full(placed: Sequence[Placed], kitchen: SharedKitchen) -> Iterator[Clash]:
    if kitchen.fridge_l is None:
        return
    held = [(one, one.held) for one in placed]
    for at in sorted({stretch.start for _, stretch in held}):
        inside = [one for one, stretch in held if stretch.start <= at < stretch.end]
        litres = sum(one.dish.room_l for one in inside)
        if litres > kitchen.fridge_l + FULL:
            names = " and ".join(one.dish.name for one in inside)
            free = number_told(kitchen.fridge_l)
            yield Clash("fridge", f"{names} take {number_told(litres)} l in the fridge; {free} l are free.")
            return


def _no_tub(placed: Sequence[Placed], kitchen: SharedKitchen) -> Iterator[Clash]:
    if not kitchen.tubs_l:
        return
    for one in placed:
        if one.dish.tub_l > 0 and (one.tub is None or kitchen.tubs_l[one.tub] + FULL < one.dish.tub_l):
            yield Clash("tub", _tub_words(one.dish, kitchen))
    for one, other in combinations(placed, 2):
        if one.tub is not None and one.tub == other.tub and one.held.meets(other.held):
            yield Clash("tub", f"{one.dish.name} and {other.dish.name} want the same tub.")


def _tub_words(dish: Dish, kitchen: SharedKitchen) -> str:
    tubs = " and ".join(f"{number_told(size)} l" for size in kitchen.tubs_l)
    return f"{dish.name} needs a tub of {number_told(dish.tub_l)} l; there are {tubs}. A bag would do."


def why_left_out(dish: Dish, placed: Sequence[Placed], kitchen: SharedKitchen) -> str:
    """Reason that keeps a dish from a place beside the others: what stands in most of its ways, in words."""
    every = max(1, len(dish.contacts) // MOST_WAYS)
    ways = [
        Placed(dish, contact, pull, tub)
        for contact in dish.contacts[::every]
        for pull in dish.pulls[:MOST_PULLS]
        if dish.within(contact, pull)
        for tub in (range(len(kitchen.tubs_l)) if dish.tub_l > 0 and kitchen.tubs_l else (None,))
    ]
    if not ways:
        return f"{dish.name} finds no time for its contact on its own."
    counted: Counter[Clash] = Counter()
    for way in ways:
        counted.update({clash.thing: clash for clash in clashes_with(way, placed, kitchen)}.values())
    things: Counter[str] = Counter()
    for clash, times in counted.items():
        things[clash.thing] += times
    thing = max(things, key=lambda name: (things[name], name == "oven"), default="")
    return next((clash.says for clash, _ in counted.most_common() if clash.thing == thing), "")
