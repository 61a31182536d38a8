"""What the hold left on the surface: mix that clings, its water and sugar against the heat, enzyme still alive."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from typing import Literal

from vadouvan.core.constants import (
    CLINGS_THICK_KG_PER_M2,
    CLINGS_THIN_KG_PER_M2,
    ENZYME_TURNS_TO_MUSH_FROM,
    PATTED_LEAVES,
    SLOW_COOK,
    SLOW_HEAT_C,
    SUGAR_LIMIT_FIERCE,
    SUGAR_LIMIT_GENTLE,
    SUGAR_LIMIT_HOT,
    SUGAR_LIMIT_MEDIUM,
    WIPED_LEAVES,
)
from vadouvan.core.cooking.stages import CookStage
from vadouvan.core.cut.cut import Cut
from vadouvan.core.figure import number_told
from vadouvan.core.mix.consistency import Consistency
from vadouvan.core.parsing.amount import Portion

Left = Literal["patted", "wiped", "as_is"]
ToldKind = Literal["note", "warn", "stop"]

LEAVES: dict[Left, float] = {"patted": PATTED_LEAVES.value, "wiped": WIPED_LEAVES.value, "as_is": 1.0}
USUAL_HEAT_C = {"oven": 190.0, "grill": 250.0, "pan": 210.0, "pot": 100.0, "fryer": 175.0}
# How early each sugar browns, against glucose (our calibration; directions from handbooks, from memory).
BROWNS = {"honey": 1.2, "fruit": 1.3, "dairy": 0.8, "cane": 0.7}
FIERCE_C, HOT_C, MEDIUM_C = 230.0, 200.0, 170.0


@dataclass(frozen=True)
class Told:
    """Something to know at the fire, and how grave it is."""

    id: str
    kind: ToldKind
    says: str


@dataclass(frozen=True)
class SurfaceLeft:
    """Mix that clings after drying [kg], its water [kg], sugar that browns [kg/m2] and the limit of the heat."""

    clings_kg: float
    left_kg: float
    water_kg: float
    sugar_kg_per_m2: float
    sugar_limit: float | None
    told: tuple[Told, ...]


def surface_left(
    cut: Cut, portions: Sequence[Portion], consistency: Consistency, left: Left, stages: Sequence[CookStage]
) -> SurfaceLeft:
    """What is on the surface when it meets the heat, after it was patted, wiped or left as it is."""
    mass_kg = sum(portion.mass_kg.value for portion in portions)
    thick, thin = CLINGS_THICK_KG_PER_M2.value, CLINGS_THIN_KG_PER_M2.value
    film = thick ** (1 - consistency.runny) * thin**consistency.runny
    clings_kg = min(film * cut.open_area_m2, mass_kg)
    left_kg = clings_kg * LEAVES[left]
    share = left_kg / mass_kg if mass_kg > 0 else 0.0
    water_kg = share * sum(portion.ingredient.water * portion.mass_kg.value for portion in portions)
    browning_kg = sum(portion.ingredient.sugar.value * portion.mass_kg.value * browns(portion) for portion in portions)
    sugar = share * browning_kg / cut.open_area_m2
    heat_c = hottest_c(stages)
    limit = sugar_limit(heat_c) if heat_c is not None else None
    told = (
        *_water_told(clings_kg, left_kg, water_kg, left, stages),
        *_sugar_told(sugar, limit, heat_c),
        *_enzyme_told(portions, mass_kg, left, stages),
    )
    return SurfaceLeft(clings_kg, left_kg, water_kg, sugar, limit, told)


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


def hottest_c(stages: Sequence[CookStage]) -> float | None:
    """The hottest dry heat of all stages [C], as said or as is usual there; none without a dry stage."""
    dry = [stage for stage in stages if stage.place != "pot"]
    return max((stage.plain_heat_c or USUAL_HEAT_C[stage.place] for stage in dry), default=None)


def sugar_limit(heat_c: float) -> float:
    """Sugar on the surface that a heat bears without burning [kg/m2] (our calibration).

    >>> sugar_limit(250.0) < sugar_limit(210.0) < sugar_limit(180.0) < sugar_limit(150.0)
    True
    """
    if heat_c > FIERCE_C:
        return SUGAR_LIMIT_FIERCE.value
    if heat_c > HOT_C:
        return SUGAR_LIMIT_HOT.value
    return SUGAR_LIMIT_MEDIUM.value if heat_c > MEDIUM_C else SUGAR_LIMIT_GENTLE.value


def _water_told(
    clings_kg: float, left_kg: float, water_kg: float, left: Left, stages: Sequence[CookStage]
) -> Sequence[Told]:
    if not stages or all(stage.place == "pot" for stage in stages):
        return ()
    grams = f"About {number_told(clings_kg * 1000)} g of mix cling"
    water = f"{number_told(water_kg * 1000)} g of water are left to boil away before it browns"
    if left == "as_is":
        return (Told("surface-water", "note", f"{grams}; {water}. Patted dry, it browns sooner."),)
    verb = "patted" if left == "patted" else "wiped"
    return (Told("surface-water", "note", f"{grams}; {verb}, {number_told(left_kg * 1000)} g stay, and {water}."),)


def _sugar_told(sugar: float, limit: float | None, heat_c: float | None) -> Sequence[Told]:
    if limit is None or heat_c is None or sugar <= 0.2 * limit:
        return ()
    told = f"{number_told(sugar * 1000)} g of browning sugar to the square metre at about {number_told(heat_c)} °C"
    if sugar <= limit:
        says = f"{told}: it darkens early, and looks burned before it is; {number_told(limit * 1000)} g are the limit."
        return (Told("sugar", "note", says),)
    move = 1 - limit / sugar
    says = (
        f"{told}: it burns. Keep about {number_told(move * 100)} % of the sweet things for a glaze in the last 5 to 10 "
        "minutes, wipe it off, or cook on the cooler side first."
    )
    return (Told("sugar", "warn", says),)


def _enzyme_told(
    portions: Sequence[Portion], mass_kg: float, left: Left, stages: Sequence[CookStage]
) -> Sequence[Told]:
    if mass_kg <= 0 or not is_slow(stages):
        return ()
    units = sum(p.ingredient.enzyme.strength.value * p.mass_kg.value for p in portions if p.ingredient.enzyme) / mass_kg
    if units * LEAVES[left] < ENZYME_TURNS_TO_MUSH_FROM.value * LEAVES["wiped"]:
        return ()
    grave = units * LEAVES[left] >= ENZYME_TURNS_TO_MUSH_FROM.value
    says = (
        "The raw fruit goes on softening while it heats slowly, fastest at 40 to 70 °C: wipe it off well, or start hot."
    )
    return (Told("enzyme", "warn" if grave else "note", says),)


def is_slow(stages: Sequence[CookStage]) -> bool:
    """Whether the surface stays lukewarm for long: a gentle first stage, or more than an hour and a half in all."""
    if not stages:
        return False
    first = stages[0].plain_heat_c or USUAL_HEAT_C[stages[0].place]
    total = sum(stage.minutes or 0.0 for stage in stages)
    return first <= SLOW_HEAT_C.value or total >= SLOW_COOK.value
