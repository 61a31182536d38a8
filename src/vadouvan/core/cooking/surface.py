"""The surface after the hold: mix that clings, its water and sugar against the heat, enzyme still alive."""

from __future__ import annotations

from collections.abc import Sequence
from typing import Literal

from vadouvan.core.constants import (
    BROWNS_TO_M,
    CLINGS_THICK_KG_PER_M2,
    CLINGS_THIN_KG_PER_M2,
    ENZYME_TURNS_TO_MUSH_FROM,
    SLOW_COOK,
    SLOW_HEAT_C,
)
from vadouvan.core.cooking.browning import Exposure, browns, hardest, sugar_says
from vadouvan.core.cooking.stages import MOIST, USUAL_HEAT_C, CookStage
from vadouvan.core.cut.cut import Cut
from vadouvan.core.figure import number_told
from vadouvan.core.mix.consistency import Consistency
from vadouvan.core.mix.left_on import LEAVES, Left
from vadouvan.core.parsing.amount import Portion
from vadouvan.unchanging import unchanging

ToldKind = Literal["note", "warn", "stop"]


@unchanging
class Told:
    """Something to know at the fire, and how grave it is."""

    id: str
    kind: ToldKind
    says: str


@unchanging
class SurfaceLeft:
    """Mix that clings after drying [kg], its water [kg], sugar that browns [kg/m2] and the limit of the heat."""

    clings_kg: float
    left_kg: float
    water_kg: float
    sugar_kg_per_m2: float
    sugar_limit: float | None
    told: tuple[Told, ...]


@unchanging
class Exposed:
    """The heat that a surface meets, stage by stage, and whether it is meant to become dark."""

    stages: Sequence[CookStage]
    dark_is_meant: bool = False


def surface_left(
    cut: Cut, portions: Sequence[Portion], consistency: Consistency, left: Left, exposed: Exposed
) -> SurfaceLeft:
    """The surface when it meets the heat, after it was patted, wiped, rinsed or left as it is."""
    stages = exposed.stages
    mass_kg = sum(portion.mass_kg.value for portion in portions)
    thick, thin = CLINGS_THICK_KG_PER_M2.value, CLINGS_THIN_KG_PER_M2.value
    film = thick ** (1 - consistency.runny) * thin**consistency.runny
    clings_kg = min(film * cut.open_area_m2, mass_kg)
    if cut.kind.is_minced:  # nothing lies on it, nothing can be wiped off: what browns is the mix of its outer layer
        left, outer_kg = "as_is", BROWNS_TO_M.value * cut.open_area_m2 * cut.kind.density_kg_per_m3
        clings_kg = mass_kg * min(1.0, outer_kg / (cut.meat_kg + mass_kg))
    left_kg = clings_kg * LEAVES[left]
    share = left_kg / mass_kg if mass_kg > 0 else 0.0
    water_kg = share * sum(portion.ingredient.water * portion.mass_kg.value for portion in portions)
    browning_kg = sum(portion.ingredient.sugar.value * portion.mass_kg.value * browns(portion) for portion in portions)
    sugar = share * browning_kg / cut.open_area_m2
    exposure = hardest(stages, dark_is_meant=exposed.dark_is_meant)
    told = (
        *(() if cut.kind.is_minced else _water_told(clings_kg, left_kg, water_kg, left, stages)),
        *_sugar_told(sugar, exposure, portions),
        *_enzyme_told(portions, mass_kg, left, stages),
    )
    return SurfaceLeft(clings_kg, left_kg, water_kg, sugar, exposure.limit if exposure else None, told)


def _water_told(
    clings_kg: float, left_kg: float, water_kg: float, left: Left, stages: Sequence[CookStage]
) -> Sequence[Told]:
    if not stages or all(stage.place in MOIST for stage in stages):
        return ()
    grams = f"About {number_told(clings_kg * 1000)} g of mix cling"
    water = f"{number_told(water_kg * 1000)} g of water are left to boil away before it browns"
    if left == "as_is":
        return (Told("surface-water", "note", f"{grams}; {water}. Patted dry, it browns sooner."),)
    return (Told("surface-water", "note", f"{grams}; {left}, {number_told(left_kg * 1000)} g stay, and {water}."),)


def _sugar_told(sugar: float, exposure: Exposure | None, portions: Sequence[Portion]) -> Sequence[Told]:
    says, burns = sugar_says(sugar, exposure, portions)
    return (Told("sugar", "warn" if burns else "note", says),) if says else ()


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
