"""Sugar on a surface against the heat and its minutes: how much bears it, and what to do about more."""

from __future__ import annotations

import math
from collections.abc import Sequence
from functools import lru_cache

from vadouvan.core.constants import (
    BROWNS_AT_MOST,
    BROWNS_WITH_TIME,
    BURNS_AFTER_MIN,
    DARK_BEARS,
    SUGAR_LIMIT_FIERCE,
    SUGAR_LIMIT_GENTLE,
    SUGAR_LIMIT_HOT,
    SUGAR_LIMIT_MEDIUM,
    Constant,
)
from vadouvan.core.cooking.stages import MOIST, USUAL_HEAT_C, CookStage
from vadouvan.core.figure import number_told
from vadouvan.core.parsing.amount import Portion
from vadouvan.unchanging import unchanging

# How early each sugar browns, against glucose (our calibration; directions from handbooks, from memory).
BROWNS = {"honey": 1.2, "fruit": 1.3, "dairy": 0.8, "cane": 0.7}
# Heats between which the limit is interpolated in its logarithm, so that a degree more makes no step.
LIMITS: tuple[tuple[float, Constant], ...] = (
    (150.0, SUGAR_LIMIT_GENTLE), (185.0, SUGAR_LIMIT_MEDIUM), (215.0, SUGAR_LIMIT_HOT), (245.0, SUGAR_LIMIT_FIERCE),
)  # fmt: skip
# What minutes make of a limit: less for longer, but hardly where it is gentle, and never more than so many times.
LEAST_FACTOR = ((150.0, 1.0), (200.0, 0.55))
WORTH_NAMING = 0.15  # of the browning sugar


@unchanging
class Exposure:
    """The dry stage whose heat and minutes a sugared surface bears least: its limit [kg/m2], heat [C], time [min].

    Where a dark crust is meant, the limit lies further up, and less is no fault.
    """

    limit: float
    heat_c: float
    minutes: float
    dark_is_meant: bool = False


def browns(portion: Portion) -> float:
    """How early the sugar of a line browns, against glucose."""
    item = portion.ingredient
    if item.id.startswith("honey"):
        return BROWNS["honey"]
    if "fruit" in item.group:
        return BROWNS["fruit"]
    if item.group.startswith("dairy"):
        return BROWNS["dairy"]
    return BROWNS["cane"] if item.id.startswith("sugar") else 1.0


@lru_cache(maxsize=512)
def sugar_limit(heat_c: float, time_min: float = BURNS_AFTER_MIN.value) -> float:
    """Sugar on the surface that a heat bears for so long without burning [kg/m2] (our calibration).

    >>> sugar_limit(250.0) < sugar_limit(210.0) < sugar_limit(180.0) < sugar_limit(150.0)
    True
    >>> sugar_limit(230.0, 1.0) > 2 * sugar_limit(230.0, 15.0) > 2 * sugar_limit(230.0, 40.0)
    True
    """
    heats, limits = [heat for heat, _ in LIMITS], [math.log(limit.value) for _, limit in LIMITS]
    base = math.exp(_between(heat_c, heats, limits))
    least = _between(heat_c, [heat for heat, _ in LEAST_FACTOR], [factor for _, factor in LEAST_FACTOR])
    times: float = min(
        BROWNS_AT_MOST.value, max(least, (BURNS_AFTER_MIN.value / max(time_min, 0.1)) ** BROWNS_WITH_TIME.value)
    )
    return base * times


def _between(x: float, xs: Sequence[float], ys: Sequence[float]) -> float:
    """Linear between points, flat beyond their ends."""
    if x <= xs[0]:
        return ys[0]
    for left in range(len(xs) - 1):
        if x <= xs[left + 1]:
            return ys[left] + (ys[left + 1] - ys[left]) * (x - xs[left]) / (xs[left + 1] - xs[left])
    return ys[-1]


def hardest(stages: Sequence[CookStage], *, dark_is_meant: bool = False) -> Exposure | None:
    """The stage that bears least sugar; none where all of them are moist."""
    times = DARK_BEARS.value if dark_is_meant else 1.0
    found = [
        Exposure(times * sugar_limit(heat_c, minutes), heat_c, minutes, dark_is_meant)
        for stage in stages
        if stage.place not in MOIST
        for heat_c in (stage.plain_heat_c or USUAL_HEAT_C[stage.place],)
        for minutes in (BURNS_AFTER_MIN.value if stage.minutes is None else stage.minutes,)
    ]
    return min(found, key=lambda one: one.limit, default=None)


def sugar_says(sugar_kg_per_m2: float, exposure: Exposure | None, portions: Sequence[Portion]) -> tuple[str, bool]:
    """Words for so much browning sugar [kg/m2] at the hardest stage, and whether it burns; nothing if it bears it."""
    if exposure is None or sugar_kg_per_m2 <= 0.2 * exposure.limit:
        return "", False
    told = (
        f"{number_told(sugar_kg_per_m2 * 1000)} g of browning sugar to the square metre{_from(portions)}, "
        f"{number_told(exposure.minutes)} min at about {number_told(exposure.heat_c)} °C"
    )
    if sugar_kg_per_m2 <= exposure.limit:
        limit = number_told(exposure.limit * 1000)
        if exposure.dark_is_meant:
            return f"{told}: it goes dark, as you mean it to; past {limit} g it burns all the same.", False
        return f"{told}: it darkens early, and looks burned before it is; {limit} g are the limit.", False
    move = number_told((1 - exposure.limit / sugar_kg_per_m2) * 100)
    bears = DARK_BEARS.value if exposure.dark_is_meant else 1.0
    cooler = _bears_from(sugar_kg_per_m2 / bears, exposure.minutes)
    further = f"go down to about {number_told(cooler)} °C or further from the heat" if cooler else "start further away"
    says = (
        f"{told}: it burns. Keep about {move} % of the sweet things for a glaze in the last 5 to 10 minutes, "
        f"{further}, cover it once it is dark, or wipe it off; a lined tray with a little water saves the pan."
    )
    return says, True


def _bears_from(sugar: float, minutes: float) -> float | None:
    """The hottest heat in steps of five that bears it, if an oven has one."""
    heats = [heat for heat in range(240, 120, -5) if sugar_limit(float(heat), minutes) >= sugar]
    return float(heats[0]) if heats else None


def _from(portions: Sequence[Portion]) -> str:
    """The lines that most of it comes from."""
    parts = [
        (portion.ingredient.sugar.value * portion.mass_kg.value * browns(portion), portion) for portion in portions
    ]
    total = sum(amount for amount, _ in parts)
    names = [
        portion.ingredient.also_called[0]
        for amount, portion in sorted(parts, key=lambda part: -part[0])
        if amount > WORTH_NAMING * total
    ]
    return f" ({' and '.join(names[:3])})" if names else ""
