"""Losses of a mix while it is made, and what that leaves behind: steam, water fried off, what is strained out."""

from __future__ import annotations

import math
import re
from collections.abc import Sequence
from dataclasses import replace

from vadouvan.core.constants import (
    FRIED_LOSES,
    LEFT_BY_CUT_PIECES,
    LEFT_BY_WHOLE_PIECES,
    LIFTED_TAKES_ALONG,
    RAW_LEAVES,
    SATURATION_KG_PER_KG_WATER,
    SIMMERS_OFF_KG_PER_S,
    SOAKED_UP_BY_DRIED,
    SYRUP_WATER,
)
from vadouvan.core.measures.numbers import Interval
from vadouvan.core.parsing.amount import Portion
from vadouvan.core.patterns import lazily
from vadouvan.unchanging import unchanging

FRESH_GROUPS = frozenset({"aromatic_fresh", "herb_fresh", "chilli_fresh", "vegetable"})
DRIED_GROUPS = frozenset({"spice_dried", "spice_blend", "herb_dried"})
STRAINED_OFF = FRESH_GROUPS | DRIED_GROUPS
_CUT_OPEN = lazily(
    r"\b(halved|half|split|slit|sliced|slices?|cut|crushed|chopped|bruised|smashed|grated|ground|minced)\b", re.I
)


def simmered_off(portions: Sequence[Portion], simmer_s: float) -> Interval:
    """Water that leaves an open pot at a simmer [kg]: a steady rate at first, slower as little is left.

    What boils off never reaches the water there is, however long; ends of the band by the width of the pot.
    """
    water_kg = water_of(portions)
    if water_kg <= 0:
        return Interval.exactly(0.0)
    rate = SIMMERS_OFF_KG_PER_S
    value, low, high = (
        water_kg * (1 - math.exp(-kg_per_s * simmer_s / water_kg)) for kg_per_s in (rate.value, rate.low, rate.high)
    )
    return Interval(value, low, high)


def water_of(portions: Sequence[Portion]) -> float:
    """Water of all lines [kg]."""
    return sum(portion.mass_kg.value * portion.ingredient.water for portion in portions)


def least_left_kg(portions: Sequence[Portion]) -> float:
    """The lightest that boiling down can bring these lines to [kg].

    All but water stays, with the water that keeps its salt dissolved and its sugar a syrup.
    """
    solids_kg = sum(portion.mass_kg.value * (1 - portion.ingredient.water) for portion in portions)
    salt_kg = sum(portion.mass_kg.value * portion.ingredient.salt.value for portion in portions)
    sugar_kg = sum(portion.mass_kg.value * portion.ingredient.sugar.value for portion in portions)
    keeps_kg = salt_kg / SATURATION_KG_PER_KG_WATER.value + sugar_kg * SYRUP_WATER.value
    return solids_kg + min(keeps_kg, water_of(portions))


def fried(portion: Portion) -> tuple[Portion, float]:
    """A fresh aromatic after it was fried soft, without its enzyme, and the water it lost [kg]; others as they are."""
    if portion.ingredient.group not in FRESH_GROUPS:
        return portion, 0.0
    lost_kg = portion.mass_kg.value * portion.ingredient.water * FRIED_LOSES.value
    return replace(portion, ingredient=replace(portion.ingredient, enzyme=None)), lost_kg


@unchanging
class Lifted:
    """Loss: the share of the mix that goes along with it [1], and what it leaves behind."""

    share_along: float
    left_behind: tuple[Portion, ...]


def lifting(kept: Sequence[Portion], out: Sequence[Portion], *, cooked: bool) -> Lifted:
    """Effects of fishing or straining these lines out.

    Wet pieces drip; dried ones have soaked up their weight. What they had that dissolves stays in part:
    more when they were cut open, more when it was cooked.
    """
    along_kg = sum(portion.mass_kg.value * _takes_along(portion) for portion in out)
    total_kg = sum(portion.mass_kg.value for portion in kept)
    share = along_kg / (total_kg + along_kg) if total_kg > 0 else 0.0
    left = (_left_by(portion, cooked=cooked) for portion in out)
    return Lifted(share, tuple(portion for portion in left if portion is not None))


def _takes_along(portion: Portion) -> float:
    dried = portion.ingredient.group in DRIED_GROUPS
    return LIFTED_TAKES_ALONG.value + (SOAKED_UP_BY_DRIED.value if dried else 0.0)


def _left_by(portion: Portion, *, cooked: bool) -> Portion | None:
    """The dissolved part of a lifted line, as a line of its own weight; nothing where it has nothing to give."""
    item = portion.ingredient
    given = LEFT_BY_CUT_PIECES if _CUT_OPEN.search(portion.text) else LEFT_BY_WHOLE_PIECES
    share = given.value if cooked else given.value * RAW_LEAVES.value
    dissolves = item.salt.value + item.sugar.value + item.acid.value
    stays = max(dissolves * share, 0.001 if item.heat_shu.value > 0 else 0.0)  # of its weight
    if stays <= 0:
        return None
    up = Interval.exactly(share / stays)
    extract = replace(
        item,
        water=0.0,
        fat=0.0,
        alcohol=0.0,
        protein=0.0,
        enzyme=None,
        burns=False,
        stains=False,
        salt=item.salt.times(up),
        sugar=item.sugar.times(up),
        acid=item.acid.times(up),
        acids=replace(item.acids, **{name: getattr(item.acids, name) * up.value for name in vars(item.acids)}),
        sodium=item.sodium * up.value,
        heat_shu=item.heat_shu.times(up),
    )
    return replace(portion.part(stays), ingredient=extract)
