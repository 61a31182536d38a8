"""Ways to bring the salt to its target: each one line added or changed, with what else it moves."""

from __future__ import annotations

from collections.abc import Iterator, Sequence
from dataclasses import dataclass, replace

from vadouvan.core.figure import number_told
from vadouvan.core.measures.numbers import Interval
from vadouvan.core.mix.balance import SUBSTANCES, Film, balance_of
from vadouvan.core.mix.solver import Aims, solve
from vadouvan.core.mix.span import SaltState
from vadouvan.core.pantry.ingredient import Ingredient
from vadouvan.core.pantry.pantry import Pantry
from vadouvan.core.parsing.amount import Portion

SALTY_FROM = 0.02  # salt share from which an ingredient of the mix can carry a correction
MOST_OFFERS = 2
TOLD_FROM_G_PER_KG = 0.3


@dataclass(frozen=True)
class SaltOffer:
    """One way: a line to add (``line_id`` empty) or to change, its new text, and what else it moves."""

    line_id: str
    text: str
    says: str
    also: str


def salt_offers(
    portions: Sequence[Portion], state: SaltState, aims: Aims, film: Film, pantry: Pantry
) -> list[SaltOffer]:
    """Up to two ways to the salt target, the plainest first; none when salt is as aimed."""
    if state.is_on_target:
        return []
    return list(_ways(portions, aims, film, pantry))[:MOST_OFFERS]


def _ways(portions: Sequence[Portion], aims: Aims, film: Film, pantry: Pantry) -> Iterator[SaltOffer]:
    if not any(portion.ingredient.group == "salt" for portion in portions):
        yield from _added(portions, aims, film, pantry)
    salty = [portion for portion in portions if portion.ingredient.salt.value >= SALTY_FROM]
    for portion in sorted(salty, key=lambda portion: -portion.ingredient.salt.value):
        yield from _changed(portions, portion, aims, film)


def _added(portions: Sequence[Portion], aims: Aims, film: Film, pantry: Pantry) -> Iterator[SaltOffer]:
    """Plain salt as a new line."""
    fresh = Portion("new", "", pantry.plain_salt, Interval.exactly(0.0), guessed=False)
    amount_kg = _amount_that_meets([*portions, fresh], fresh, aims)
    if amount_kg is not None:
        text = _text(fresh.ingredient, amount_kg)
        yield SaltOffer(
            "", text, f"{text} more", _also(portions, [*portions, _with_mass(fresh, amount_kg)], aims, film)
        )


def _changed(portions: Sequence[Portion], portion: Portion, aims: Aims, film: Film) -> Iterator[SaltOffer]:
    """More or less of a salty line."""
    amount_kg = _amount_that_meets(portions, portion, aims)
    if amount_kg is not None:
        text = _text(portion.ingredient, amount_kg)
        after = [_with_mass(other, amount_kg) if other is portion else other for other in portions]
        says = f"{text} instead of {number_told(portion.mass_kg.value * 1000)} g"
        yield SaltOffer(portion.line_id, text, says, _also(portions, after, aims, film))


def _amount_that_meets(portions: Sequence[Portion], moved: Portion, aims: Aims) -> float | None:
    """The amount of one line that meets the salt aim with all others locked, or nothing if none does [kg]."""
    locked = frozenset(portion.line_id for portion in portions if portion is not moved)
    solution = solve(portions, aims, locked=locked)
    amount_kg = solution.amounts_kg[moved.line_id]
    return None if solution.unmet or amount_kg <= 0 else amount_kg


def _with_mass(portion: Portion, mass_kg: float) -> Portion:
    return replace(portion, mass_kg=Interval.exactly(mass_kg))


def _text(ingredient: Ingredient, mass_kg: float) -> str:
    """A line that means so much of it: to the tenth of a gram where that matters."""
    grams = mass_kg * 1000
    told = f"{grams:.1f}".removesuffix(".0") if grams < 100 else f"{grams:.0f}"
    return f"{told} g {ingredient.also_called[0]}"


def _also(before: Sequence[Portion], after: Sequence[Portion], aims: Aims, film: Film) -> str:
    """What else changes by enough to matter, in g per kg of meat."""
    old, new = (balance_of(portions, aims.meat_kg, film) for portions in (before, after))
    moved = []
    for name in SUBSTANCES:
        change = (new.total(name).value - old.total(name).value) * 1000
        if name != "salt" and abs(change) >= TOLD_FROM_G_PER_KG:
            moved.append(f"{name} {'+' if change > 0 else '−'}{number_told(abs(change))}")
    return ", ".join(moved)
