"""An ingredient as strong, as fat or as sour as a bottle or a tub says: vinegar of 9 %, milk of 2 %, beer of 5 %."""

from __future__ import annotations

import math
from dataclasses import replace

from vadouvan.core.measures.numbers import Interval
from vadouvan.core.pantry.ingredient import Ingredient

ETHANOL_KG_PER_L = 0.789  # at 20 C (OIML alcoholometric tables, from memory)
LEAST_ACETIC, MOST_ACETIC = 0.02, 0.80  # vinegar to essence
MOST_FAT, MOST_ALCOHOL = 0.60, 0.80  # double cream to overproof spirit
MOSTLY = 0.5  # of its acid is acetic: a vinegar, and no lemon juice
AS_PRINTED = 0.05  # a label rounds by so much of itself


def as_strong(item: Ingredient, share: float) -> Ingredient | None:
    """The same ingredient at a strength of so much [1]: acid of vinegar, fat of dairy, alcohol by volume of drinks.

    None for what has no such strength, or not so much of it.
    """
    if item.acids.acetic > MOSTLY * item.acid.value > 0:
        return _as_sour(item, share) if LEAST_ACETIC <= share <= MOST_ACETIC else None
    if item.group == "dairy":
        return _as_fat(item, share) if 0 <= share <= MOST_FAT else None
    if item.alcohol > 0:
        return _as_much_alcohol(item, share) if 0 <= share <= MOST_ALCOHOL else None
    return None


def _named(item: Ingredient, share: float, of: str) -> str:
    name = min((name for name in item.also_called if item.also_called[0].endswith(name)), key=len)
    return f"{name[0].upper()}{name[1:]}, {share * 100:.3g} %{of}"


def _as_sour(item: Ingredient, share: float) -> Ingredient:
    """All else in it is thinned as its water is; its pH falls as that of a weak acid does."""
    ratio = share / item.acid.value
    rest = Interval.exactly((1 - share) / (1 - item.acid.value))
    return replace(
        item,
        name=_named(item, share, ""),
        water=item.water * rest.value,
        salt=item.salt.times(rest),
        sugar=item.sugar.times(rest),
        sodium=item.sodium * rest.value,
        acid=Interval(share, share * (1 - AS_PRINTED), share * (1 + AS_PRINTED)),
        acids=replace(item.acids, acetic=share - (item.acid.value - item.acids.acetic)),
        ph=None if item.ph is None else item.ph - 0.5 * math.log10(ratio),
    )


def _as_fat(item: Ingredient, share: float) -> Ingredient:
    """All that is not fat stands in for what is less of it, as it is made up."""
    rest = Interval.exactly((1 - share) / (1 - item.fat))
    acids = {name: getattr(item.acids, name) * rest.value for name in vars(item.acids)}
    return replace(
        item,
        name=_named(item, share, " fat"),
        water=item.water * rest.value,
        salt=item.salt.times(rest),
        sugar=item.sugar.times(rest),
        acid=item.acid.times(rest),
        acids=replace(item.acids, **acids),
        fat=share,
        protein=item.protein * rest.value,
        sodium=item.sodium * rest.value,
    )


def _as_much_alcohol(item: Ingredient, share: float) -> Ingredient:
    """Water makes up for alcohol; ``share`` is by volume."""
    alcohol = share * ETHANOL_KG_PER_L / (item.density_kg_per_m3 / 1000)
    return replace(
        item, name=_named(item, share, " vol"), water=max(0.0, item.water + item.alcohol - alcohol), alcohol=alcohol
    )
