"""Meaning of a mix for those who eat it: allergens that somebody keeps off, and salt for those low in it."""

from __future__ import annotations

from collections.abc import Iterator, Sequence

from vadouvan.core.constants import LOW_SALT_MEAL_SHARE, SODIUM_A_DAY_KG
from vadouvan.core.cut.kind import CutKind
from vadouvan.core.figure import number_told
from vadouvan.core.kitchen.household import Household
from vadouvan.core.parsing.amount import Portion

MEDICAL = "Medical advice comes first."


def household_words(
    household: Household, portions: Sequence[Portion], kind: CutKind, sodium_mg: float
) -> tuple[str, ...]:
    """A sentence for each allergen that the household keeps off, and one on salt for those low in it."""
    return (*_allergens(household, portions, kind), *_low_salt(household, sodium_mg))


def _allergens(household: Household, portions: Sequence[Portion], kind: CutKind) -> Iterator[str]:
    for name in sorted(household.allergens):
        brought = [portion.ingredient.also_called[0] for portion in portions if name in portion.ingredient.allergens]
        if name in kind.allergens:
            brought.insert(0, kind.species)
        if brought:
            yield f"Has {name} ({', '.join(dict.fromkeys(brought))}): somebody in your household keeps off it."
            continue
        to_check = [p.ingredient.also_called[0] for p in portions if name in p.ingredient.allergens_to_check]
        if to_check:
            yield f"May have {name} ({', '.join(dict.fromkeys(to_check))}): read the label before it goes in."


def _low_salt(household: Household, sodium_mg: float) -> Iterator[str]:
    limit_mg = SODIUM_A_DAY_KG.value * LOW_SALT_MEAL_SHARE.value * 1e6
    eaters = household.low_salt_eaters
    if eaters == 0 or sodium_mg <= limit_mg:
        return
    who = "One of you eats" if eaters == 1 else f"{eaters} of you eat"
    yield (
        f"{who} low in salt: a serving brings {number_told(sodium_mg)} mg of sodium from the mix alone, above"
        f" {number_told(limit_mg)} mg, a third of a day's limit. Season their part apart, or aim lower. {MEDICAL}"
    )
