"""A mix on its meat: what stays on for the heat, how far in it is asked to season, how strongly its fruit works."""

from __future__ import annotations

import math

from vadouvan.core.constants import SATURATION_KG_PER_KG_WATER
from vadouvan.core.cut.cut import Cut
from vadouvan.core.hold import levels
from vadouvan.core.hold.enzyme import effective_strength
from vadouvan.core.hold.scenario import HoldScenario
from vadouvan.core.mix.left_on import LEAVES, Left

TINY = 1e-9


def kept_share(scenario: HoldScenario, left: Left | None = None) -> float:
    """Share of the mix that goes to the heat on the meat [1]: a rub all of it, a bath next to nothing.

    Less if it is wiped or rinsed off, more if it is left as it is: as the cook says, or as ``left`` does. Of what is
    worked into mince all goes along.
    """
    left = left or scenario.hold.left
    if scenario.cut.kind.is_minced:
        return 1.0
    balance = scenario.balance
    mass_kg = max(balance.mass_kg.value, TINY)
    dissolved_kg = min(balance.salt_kg, SATURATION_KG_PER_KG_WATER.value * balance.water_kg)
    wet = min(1.0, balance.water_kg / mass_kg * (1 + dissolved_kg / mass_kg))
    cling = levels.CLING_WET_KG_PER_M2 + levels.CLING_PASTE_KG_PER_M2 * (1 - balance.runny)
    cling += levels.CLING_DRY_KG_PER_M2 * (1 - wet)
    # The levels are those of a surface that is patted dry, which takes nothing from a dry rub
    share = 1.0 if left == "patted" else LEAVES[left] / (wet * LEAVES["patted"] + 1 - wet)
    x = cling * levels.COATED_M2_PER_KG * scenario.cut.meat_kg / mass_kg * max(share, 1.0)
    return float(x / (1 + x**levels.KNEE) ** (1 / levels.KNEE) * min(share, 1.0))


def bath_share(scenario: HoldScenario) -> float:
    """From 0, a coating, to 1, a bath round the pieces: by water of the mix over water of the meat."""
    ratio = max(scenario.balance.water_kg / scenario.cut.water_kg, TINY)
    return levels.ramp(math.log(ratio), math.log(levels.BATH_FROM), math.log(levels.BATH_FULL))


def asked_depth_m(scenario: HoldScenario, bite_m: float) -> float:
    """Depth that has to taste seasoned [m]: a bite, and more of a joint that is eaten in slices."""
    if scenario.cut.kind.family in ("fish", "shellfish", "plant"):
        return bite_m
    return float(bite_m * (1 + (scenario.cut.way_in.far_m / levels.SLICE_M) ** 4) ** (levels.SLICE_POWER / 4))


def seasoned_depth_m(scenario: HoldScenario, bite_m: float) -> float:
    """The depth that is asked to taste seasoned [m]: what is eaten in a bite, unless the cook says otherwise."""
    usual_m = asked_depth_m(scenario, bite_m)
    if not scenario.hold.goal_said:
        return usual_m
    return (
        usual_m * levels.OUTSIDE_OF_BITE if scenario.hold.goal == "surface" else max(usual_m, scenario.cut.way_in.far_m)
    )


def softening_strength(scenario: HoldScenario) -> float:
    """Strength of the live enzyme at the surface (neat fresh pineapple juice = 1)."""
    balance = scenario.balance
    return _strength(scenario, balance.enzyme_units.value, balance.ph, balance.salt_per_water, balance.mass_kg.value)


def softened_before(one: HoldScenario) -> float:
    """Softening by the first step of a mix, at the strength it had on its own [h]."""
    first = one.balance.first
    if first is None:
        return 0.0
    alone = _strength(one, first.enzyme_units, first.ph, first.salt_per_water, first.mass_kg)
    return first.contact_s / 3600 * alone


def _strength(scenario: HoldScenario, units: float, ph: float | None, salt_per_water: float, mass_kg: float) -> float:
    if not scenario.cut.kind.is_softened_by_fruit:
        return 0.0
    film = _softening_film_kg_per_m2(scenario.cut, mass_kg)
    fruit = scenario.balance.tenderiser
    units *= scenario.hold.learned_softening.get(fruit.enzyme, 1.0) if fruit is not None else 1.0
    return effective_strength(units, ph=ph, salt_per_water=salt_per_water, film_kg_per_m2=film)


def _softening_film_kg_per_m2(cut: Cut, mass_kg: float) -> float:
    """Mix on each open square metre [kg/m2] as a thick piece would feel it: a thin one shares it with less meat."""
    if cut.kind.is_minced:
        return mass_kg / cut.meat_kg * levels.SOFTENED_LAYER_KG_PER_M2
    shared = min(1.0, cut.way_in.thickness_m / 2 / levels.SOFT_REACHES_M)
    return mass_kg / cut.open_area_m2 / shared
