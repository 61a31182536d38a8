"""How a mix behaves on the meat: a dry rub, a paste that stays where it is put, a wet mix, a bath round the pieces.

The name follows from what pours and what holds it; what depends on it goes by the two shares, which are continuous,
so that a teaspoon of oil in a paste moves a figure by a little and never by a step.
"""

from __future__ import annotations

from collections.abc import Sequence
from functools import lru_cache
from typing import Literal

from vadouvan.core.constants import DRY_MIX_WATER, DRY_SPICE_HOLDS, POURING_SHARE, Constant
from vadouvan.core.pantry.ingredient import KEPT_INGREDIENTS, Ingredient
from vadouvan.core.parsing.amount import Portion
from vadouvan.unchanging import unchanging

Form = Literal["rub", "paste", "liquid", "bath"]
# What runs off by itself; the rest holds its own water, as a pounded onion or a yoghurt does.
POURING_GROUPS = frozenset({"acid", "alcohol", "liquid", "fermented_liquid", "stock", "fat"})
DRY_GROUPS = frozenset({"spice_dried", "spice_blend", "herb_dried", "coating"})
DISSOLVES = frozenset({"salt", "sugar", "seasoning", "alkali"})
THIN_FROM_WATER = 0.80  # a juice or milk pours; yoghurt, ketchup, mustard and honey cling
JUICE_OR_MILK = frozenset({"juice", "milk", "buttermilk", "whey", "water", "brine"})


@unchanging
class Consistency:
    """``runny`` from 0, a paste, to 1, a liquid; ``dry`` from 0 to 1, a rub without water or fat."""

    runny: float
    dry: float

    @property
    def form(self) -> Form:
        """The nearest word for it.

        >>> Consistency(0.1, 0.9).form, Consistency(0.1, 0.0).form, Consistency(0.8, 0.0).form
        ('rub', 'paste', 'liquid')
        """
        if self.dry > 0.5:
            return "rub"
        return "liquid" if self.runny > 0.5 else "paste"


OF_FORM: dict[Form, Consistency] = {
    "rub": Consistency(0.0, 1.0),
    "paste": Consistency(0.0, 0.0),
    "liquid": Consistency(1.0, 0.0),
    "bath": Consistency(1.0, 0.0),
}


def consistency_of(portions: Sequence[Portion]) -> Consistency:
    """How runny and how dry a mix of these portions is, by weight."""
    total = pours = holds = wet = 0.0
    for portion in portions:
        mass_kg = portion.mass_kg.value
        poured, held, wetted = _of_each(portion.ingredient)
        total += mass_kg
        pours += poured * mass_kg
        holds += held * mass_kg
        wet += wetted * mass_kg
    if total <= 0:
        return OF_FORM["paste"]
    loose = pours / (pours + holds) if pours > 0 else 0.0
    return Consistency(_rising(POURING_SHARE, loose), 1 - _rising(DRY_MIX_WATER, wet / total))


@lru_cache(maxsize=KEPT_INGREDIENTS)
def _of_each(ingredient: Ingredient) -> tuple[float, float, float]:
    """How much of it pours off, how much that pours it holds, and what of it is wet, by its own weight [1]."""
    return float(_pours_off(ingredient)), _holds(ingredient), min(1.0, ingredient.water + ingredient.fat)


def _pours_off(ingredient: Ingredient) -> bool:
    """Whether it runs by itself, as juice, oil and soy sauce do."""
    if ingredient.group in POURING_GROUPS:
        return True
    words = frozenset(ingredient.id.split("_"))
    return ingredient.water >= THIN_FROM_WATER and not words.isdisjoint(JUICE_OR_MILK)


def _holds(ingredient: Ingredient) -> float:
    """Liquid that a gram of it keeps from running off, itself included."""
    if _pours_off(ingredient) or ingredient.group in DISSOLVES:
        return 0.0
    return DRY_SPICE_HOLDS.value if ingredient.group in DRY_GROUPS else 1.0


def _rising(between: Constant, value: float) -> float:
    """From 0 at its low to 1 at its high, without a corner."""
    share = min(1.0, max(0.0, (value - between.low) / (between.high - between.low)))
    return share * share * (3 - 2 * share)
