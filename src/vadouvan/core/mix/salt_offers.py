"""Ways to bring the salt to its target, in amounts a kitchen has: each with what else it moves.

One line at most doubles or halves, but for plain salt; else several lines move together, or water takes the place of
what is left out. Each way is worked out in the model before it is offered, and one that misses is not.
"""

from __future__ import annotations

from collections.abc import Callable, Iterator, Sequence
from dataclasses import replace
from itertools import islice

from vadouvan.core.figure import number_told
from vadouvan.core.measures.numbers import Interval
from vadouvan.core.mix.balance import SUBSTANCES, Film, balance_of
from vadouvan.core.mix.measure import as_weighed_g, weighed_text
from vadouvan.core.mix.solver import Aims, salt_share_and_target
from vadouvan.core.pantry.ingredient import Ingredient
from vadouvan.core.pantry.pantry import Pantry
from vadouvan.core.parsing.amount import MOST_KG, Portion
from vadouvan.unchanging import unchanging

SALTY_FROM = 0.02  # salt share from which an ingredient of the mix can carry a correction
MOST_OFFERS = 2
MOST_TIMES = 2.0  # a line at most doubles or halves
TOLD_FROM_G_PER_KG = 0.3
WATER = "water"


@unchanging
class LineChange:
    """A line to add (``line_id`` empty) or to change, and its new text."""

    line_id: str
    text: str


@unchanging
class SaltOffer:
    """One way: the lines it adds or changes, in words, and what else it moves."""

    lines: tuple[LineChange, ...]
    says: str
    also: str


@unchanging
class MixToSalt:
    """A mix with its aims; ``is_without_fault`` judges other lines on the same cut: each way is tried in it."""

    portions: tuple[Portion, ...]
    aims: Aims
    locked: frozenset[str]
    film: Film
    pantry: Pantry
    is_without_fault: Callable[[Sequence[Portion]], bool]

    def amount_that_meets(self, moved: Portion) -> float | None:
        """The amount of one line, there or new, that meets the salt aim with all others as they are [kg]."""
        share, target_kg = salt_share_and_target(self.aims)
        others = sum(share(p.ingredient) * p.mass_kg.value for p in self.portions if p.line_id != moved.line_id)
        own = share(moved.ingredient)
        amount_kg = (target_kg - others) / own if own else -1.0
        return amount_kg if 0 < amount_kg <= MOST_KG else None

    def factor_that_meets(self, moved: Sequence[Portion]) -> float | None:
        """The factor on these lines together that meets the salt aim."""
        share, target_kg = salt_share_and_target(self.aims)
        ids = {portion.line_id for portion in moved}
        theirs = sum(share(p.ingredient) * p.mass_kg.value for p in moved)
        others = sum(share(p.ingredient) * p.mass_kg.value for p in self.portions if p.line_id not in ids)
        factor = (target_kg - others) / theirs if theirs else -1.0
        return factor if factor > 0 else None


def salt_offers(asked: MixToSalt) -> list[SaltOffer]:
    """Up to two ways to the salt target, the plainest first."""
    return list(islice(_ways(asked), MOST_OFFERS))


def _ways(asked: MixToSalt) -> Iterator[SaltOffer]:
    salty = [
        portion
        for portion in asked.portions
        if portion.ingredient.salt.value >= SALTY_FROM and portion.line_id not in asked.locked
    ]
    plain = [portion for portion in salty if portion.ingredient.group == "salt"]
    for portion in plain[:1]:
        yield from _moved(asked, portion, MOST_KG)
    if not plain:
        yield from _added(asked, asked.pantry.plain_salt)
    others = sorted((p for p in salty if p not in plain), key=lambda portion: -portion.ingredient.salt.value)
    found = False
    for portion in others:
        for offer in _moved(asked, portion, MOST_TIMES):
            found = True
            yield offer
    if asked.aims.settles:
        yield from _added(asked, asked.pantry.by_id[WATER])
    if not found and others:
        together = list(_together(asked, others)) or list(_together(asked, salty))
        yield from together


def _added(asked: MixToSalt, item: Ingredient) -> Iterator[SaltOffer]:
    """Plain salt, or for a bath plain water, as a new line; water no more than there is mix."""
    fresh = Portion("", "", item, Interval.exactly(0.0), guessed=False)
    amount_kg = asked.amount_that_meets(fresh)
    if amount_kg is None or (item.id == WATER and amount_kg > sum(p.mass_kg.value for p in asked.portions)):
        return
    text = weighed_text(item, amount_kg)
    yield from _tried(asked, (LineChange("", text),), [*asked.portions, _weighing(fresh, amount_kg)], f"{text} more")


def _moved(asked: MixToSalt, portion: Portion, most_times: float) -> Iterator[SaltOffer]:
    """More or less of a salty line, as far as a cook would go."""
    amount_kg = asked.amount_that_meets(portion)
    now_kg = portion.mass_kg.value
    if amount_kg is None or not now_kg / most_times <= amount_kg <= now_kg * most_times:
        return
    yield from _tried(
        asked,
        (LineChange(portion.line_id, weighed_text(portion.ingredient, amount_kg)),),
        [_weighing(other, amount_kg) if other is portion else other for other in asked.portions],
        _instead(portion, amount_kg),
    )


def _together(asked: MixToSalt, salty: Sequence[Portion]) -> Iterator[SaltOffer]:
    """All salty lines by one factor; what is taken away of a liquid is made up with water."""
    factor = asked.factor_that_meets(salty)
    if factor is None or factor > MOST_TIMES:
        return
    after = [_weighing(p, p.mass_kg.value * factor) if p in salty else p for p in asked.portions]
    changes = [LineChange(p.line_id, weighed_text(p.ingredient, p.mass_kg.value * factor)) for p in salty]
    words = [_instead(portion, portion.mass_kg.value * factor) for portion in salty]
    wet = [portion for portion in salty if portion.ingredient.group != "salt"]
    missing_kg = (1 - factor) * sum(portion.mass_kg.value for portion in wet)
    if missing_kg > 0 and not asked.aims.settles:
        water = asked.pantry.by_id[WATER]
        changes.append(LineChange("", weighed_text(water, missing_kg)))
        after.append(_weighing(Portion("", "", water, Interval.exactly(0.0), guessed=False), missing_kg))
        words.append(f"{changes[-1].text} in their place")
    yield from _tried(asked, tuple(changes), after, " and ".join(words))


def _tried(
    asked: MixToSalt, changes: tuple[LineChange, ...], after: Sequence[Portion], words: str
) -> Iterator[SaltOffer]:
    """The offer, if what will be weighed is judged to be without fault."""
    weighed = [_weighing(portion, as_weighed_g(portion.mass_kg.value) / 1000) for portion in after]
    if not asked.is_without_fault(weighed):
        return
    target = number_told(asked.aims.values["salt"] * 1000)
    yield SaltOffer(changes, f"Bring the salt to {target} g/kg: {words}", _also(asked, weighed))


def _instead(portion: Portion, mass_kg: float) -> str:
    return f"{weighed_text(portion.ingredient, mass_kg)} instead of {number_told(portion.mass_kg.value * 1000)} g"


def _weighing(portion: Portion, mass_kg: float) -> Portion:
    return replace(portion, mass_kg=Interval.exactly(mass_kg))


def _also(asked: MixToSalt, after: Sequence[Portion]) -> str:
    """Other changes that matter, in g per kg of meat."""
    old, new = (balance_of(portions, asked.aims.meat_kg, asked.film) for portions in (asked.portions, after))
    moved = []
    for name in SUBSTANCES:
        change = (new.total(name).value - old.total(name).value) * 1000
        if name != "salt" and abs(change) >= TOLD_FROM_G_PER_KG:
            moved.append(f"{name} {'+' if change > 0 else '−'}{number_told(abs(change))}")
    return ", ".join(moved)
