"""Worth of each hour of a hold, concern by concern, in 0 to 1 and without a step (Harrington 1965, from memory).

Rising concerns (seasoned, aroma, and what else is the aim) never fall with the hour, falling ones (salty, sour, soft,
texture) never rise, so that their minimum has one hill. What no hour can mend, such as a rub with too much salt, is a
verdict and no edge.
"""

from __future__ import annotations

import math
from dataclasses import dataclass
from functools import lru_cache
from typing import Literal

import numpy as np

from vadouvan.core.constants import (
    REFERENCE_TEMPERATURE_K,
    SATURATION_KG_PER_KG_WATER,
    TASTED_SALT_KG_PER_KG_WATER,
    ZERO_CELSIUS_K,
)
from vadouvan.core.cut.cut import Cut
from vadouvan.core.cut.kind import Family
from vadouvan.core.hold import levels
from vadouvan.core.hold.acid import AcidCourse
from vadouvan.core.hold.aim import AimWeights, aim_weights
from vadouvan.core.hold.buffer import RAW_PH
from vadouvan.core.hold.eigenmodes import Array
from vadouvan.core.hold.enzyme import effective_strength
from vadouvan.core.hold.scenario import HoldScenario
from vadouvan.core.hold.temperature import salt_diffusivity
from vadouvan.core.mix.left_on import LEAVES, Left

ConcernName = Literal["seasoned", "aroma", "tenderised", "cured", "soured", "salty", "sour", "soft", "texture"]
REFERENCE_C = REFERENCE_TEMPERATURE_K.value - ZERO_CELSIUS_K.value  # where souring and softening are counted
TINY = 1e-9


@dataclass(frozen=True)
class Concern:
    """One concern at every hour [0..1]; ``start`` is what of it no hour can mend."""

    name: ConcernName
    rises: bool
    values: Array
    start: float = 1.0


def concerns_of(scenario: HoldScenario, hours: Array) -> tuple[Concern, ...]:
    """Every concern that bears on this hold, at these hours [h]."""
    kept, balance = kept_share(scenario), scenario.balance
    aims = aim_weights(scenario.hold.aim, balance.paste_kg, scenario.cut.meat_kg, scenario.cut.kind.family)
    found = (
        _seasoned(scenario, hours, kept, aims),
        _aroma(scenario, hours, kept),
        _tenderised(scenario, hours, aims),
        _cured(scenario, hours, aims),
        _soured(scenario, hours, aims),
        _salty(scenario, hours, kept, aims),
        _sour(scenario, hours, aims),
        _soft(scenario, hours),
        _texture(scenario, hours),
    )
    return tuple(one for one in found if one is not None)


def softening_strength(scenario: HoldScenario) -> float:
    """Strength of the live enzyme at the surface (neat fresh pineapple juice = 1)."""
    balance = scenario.balance
    return _strength(scenario, balance.enzyme_units.value, balance.ph, balance.salt_per_water, balance.mass_kg.value)


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


def _along(scenario: HoldScenario, hours: Array, series: Array) -> Array:
    """A series of the salt's course at these hours; before the course begins all goes with the root of time."""
    found = np.interp(np.log(hours), scenario.log_hours, series)
    begins_h = float(scenario.hours[0])
    return found if hours[0] >= begins_h else np.asarray(np.sqrt(np.minimum(1.0, hours / begins_h)) * found)


def _asked_depth_m(scenario: HoldScenario, bite_m: float) -> float:
    """Depth that has to taste seasoned [m]: a bite, and more of a joint that is eaten in slices."""
    if scenario.cut.kind.family in ("fish", "shellfish", "plant"):
        return bite_m
    return float(bite_m * (1 + (scenario.cut.way_in.far_m / levels.SLICE_M) ** 4) ** (levels.SLICE_POWER / 4))


def _seasoned_depth_m(scenario: HoldScenario, bite_m: float) -> float:
    """The depth that is asked to taste seasoned [m]: what is eaten in a bite, unless the cook says otherwise."""
    usual_m = _asked_depth_m(scenario, bite_m)
    if not scenario.hold.goal_said:
        return usual_m
    return (
        usual_m * levels.OUTSIDE_OF_BITE if scenario.hold.goal == "surface" else max(usual_m, scenario.cut.way_in.far_m)
    )


def _seasoned(scenario: HoldScenario, hours: Array, kept: float, aims: AimWeights) -> Concern:
    """Share of the depth that is eaten which tastes seasoned, or whose salt goes to the heat outside."""
    family = scenario.cut.kind.family
    settled, unit_settled = scenario.contact.settled, scenario.unit_settled
    lean = levels.TASTED_OF_SETTLED * unit_settled
    from_ = lean if settled <= 0 else min(TASTED_SALT_KG_PER_KG_WATER.value * unit_settled / settled, lean)
    asked_m = _seasoned_depth_m(scenario, levels.BITE_M[family])
    share = np.maximum.accumulate(_along(scenario, hours, scenario.outer_tasting_of(asked_m, from_)))
    seasoned = share + (1 - share) * levels.OUTSIDE_COUNTS[family] * kept
    asked = max(levels.ramp(settled / TASTED_SALT_KG_PER_KG_WATER.value, 0.0, 1.5), bath_share(scenario))
    asked *= 1 - levels.WORTH * levels.ramp(softening_strength(scenario), levels.WORKS_FROM, levels.WORKS_FULL)
    return Concern("seasoned", True, 1 - asked * aims.season * (1 - seasoned))


def _aroma(scenario: HoldScenario, hours: Array, kept: float) -> Concern:
    missing = 1 - levels.AROMA_BASE - levels.AROMA_KEPT * kept
    return Concern("aroma", True, 1 - missing * np.exp(-hours / levels.AROMA_H[scenario.cut.kind.family]))


def _salty(scenario: HoldScenario, hours: Array, kept: float, aims: AimWeights) -> Concern:
    """Salt of the rim as it is eaten, bounded by what the mix settles to, against the aim."""
    family = scenario.cut.kind.family
    target = max(scenario.hold.salt_target, levels.LEAST_AIM)  # who wants none is held to what nobody tastes
    aim = target * (1 + levels.CURED_MORE_SALT * aims.cure)  # cured is saltier than seasoned
    whole = scenario.water_share * scenario.contact.settled / aim
    if family == "plant":  # takes what the mix settles to within the hour: a matter of the mix, not of hours
        return Concern("salty", False, np.ones(len(hours)), float(_hill(whole, levels.ALL_HALF, levels.SALTY_STEEP)))
    depth_m = _asked_depth_m(scenario, levels.RIM_M[family])
    rim = np.maximum.accumulate(_along(scenario, hours, scenario.outer_salt(depth_m))) * scenario.water_share / aim
    eaten = rim * whole / np.sqrt(rim**2 + whole**2 + 1e-12)  # a rub's rim is not held against it: it settles
    start, patted = (
        min(share * scenario.balance.total("salt").value / aim, whole)
        for share in (kept, kept_share(scenario, "patted"))
    )
    usual = max(start, patted)  # what is rinsed off is not there to be tasted: it makes nothing saltier, at no hour
    way_m = min(max(scenario.cut.way_in.far_m, levels.CURES_LEAST_M), levels.CURES_WAY_M)
    settles_h = levels.CURES_FO * way_m**2 / (scenario.pace.diffusivity * 3600)
    taken = np.maximum(eaten - usual, 0.0) * (1 + hours / settles_h) ** levels.CURES_POWER
    first = _hill(usual, levels.SALTY_HALF, levels.SALTY_STEEP)
    falls = _hill(start + taken, levels.SALTY_HALF, levels.SALTY_STEEP)
    values = np.minimum.accumulate(np.minimum(1.0, (falls + levels.ONLY_SO_BAD) / (first + levels.ONLY_SO_BAD)))
    return Concern("salty", False, values, float(_hill(start, levels.ALL_HALF, levels.SALTY_STEEP)))


def _sour(scenario: HoldScenario, hours: Array, aims: AimWeights) -> Concern | None:
    """Hours at 4 C at the surface, weighed by how far its pH is under that of the raw meat [pH^1.5 h]."""
    family, acid = scenario.cut.kind.family, scenario.acid
    if acid is None or family not in levels.SOUR_HALF:
        return None
    tau, worked = _soured_outside(acid, family, scenario.cut.kind.fat_share)
    sour = np.interp(hours, scenario.pace.hours_at(tau), worked)
    size = (scenario.cut.way_in.thickness_m / levels.SOUR_AT_M) ** levels.SOUR_POWER[family]
    half = levels.SOUR_HALF[family] * size
    wanted = max(aims.sour, aims.cure)  # the mild acid of a bed of paste belongs to what it makes of the meat
    return Concern("sour", False, 1 - (1 - wanted) * (1 - _hill(sour, half, levels.SOUR_STEEP)))


@lru_cache(maxsize=8)
def _soured_outside(acid: AcidCourse, family: Family, fat_share: float) -> tuple[Array, Array]:
    """Salt's clock [m2] and what has worked at the surface by then [pH^1.5 h at 4 C]: one for all runs of a hold."""
    tau, ph = np.concatenate(([0.0], acid.tau_m2)), acid.surface_ph
    at_4_c = tau / (salt_diffusivity(REFERENCE_C, family) * 3600)  # on the clock of diffusion: warmer is never later
    under = np.maximum(0.0, RAW_PH[family] - ph) ** levels.UNDER_POWER
    return tau, np.concatenate(([0.0], np.cumsum(np.diff(at_4_c) * under * _chalky(ph, family, fat_share))))


def _chalky(ph: Array, family: Family, fat_share: float) -> Array | float:
    """Weight of an hour at each pH of the surface [1]: more where it whitens lean meat. Fish has hours of its own."""
    if family in ("fish", "shellfish"):
        return 1.0
    lean = 1 - levels.ramp(fat_share, levels.LEAN_FAT, levels.RICH_FAT)
    white = np.clip((levels.CHALKY_FROM_PH - ph) / (levels.CHALKY_FROM_PH - levels.CHALKY_PH), 0.0, 1.0)
    return np.asarray(1 + levels.LEAN_CHALKY * lean * white**2 * (3 - 2 * white))


def _softened(scenario: HoldScenario, hours: Array) -> Array | None:
    """Softening against what is half too much [1]; nothing without a live enzyme."""
    strength = softening_strength(scenario)
    if strength <= 0:
        return None
    first, done = scenario.balance.first, 0.0
    if first is not None:
        alone = _strength(scenario, first.enzyme_units, first.ph, first.salt_per_water, first.mass_kg)
        done = first.contact_s / 3600 * alone
    worked = scenario.pace.softening_at(hours)
    size = (scenario.cut.way_in.thickness_m / levels.SOFT_AT_M) ** levels.SOFT_POWER
    stands_h = levels.SOFT_HALF_H[scenario.cut.kind.family] * levels.STANDS[scenario.cut.kind.toughness] * size
    return np.asarray((strength * worked + done) / stands_h)


def softened_at(scenario: HoldScenario, hours: float) -> float:
    """Softening at an hour against what is half too much [1]; nothing without a live enzyme."""
    softened = _softened(scenario, np.array([hours]))
    return 0.0 if softened is None else float(softened[0])


def _soft(scenario: HoldScenario, hours: Array) -> Concern | None:
    softened = _softened(scenario, hours)
    return None if softened is None else Concern("soft", False, _hill(softened, 1.0, levels.SOFT_STEEP))


def _tenderised(scenario: HoldScenario, hours: Array, aims: AimWeights) -> Concern | None:
    """How far the fruit has come on its way, where that is the aim."""
    softened = _softened(scenario, hours) if aims.tenderise > 0 else None
    if softened is None:
        return None
    done = 1 - _hill(softened, levels.TENDER_SHARE, levels.TENDER_STEEP)
    return Concern("tenderised", True, 1 - aims.tenderise * (1 - done))


def _cured(scenario: HoldScenario, hours: Array, aims: AimWeights) -> Concern | None:
    """How far a bed of paste has come, where that is the aim."""
    if aims.cure_share <= 0:
        return None
    return Concern("cured", True, 1 - np.exp(-hours / (levels.CURED_H[scenario.cut.kind.family] * aims.cure_share)))


def _soured(scenario: HoldScenario, hours: Array, aims: AimWeights) -> Concern | None:
    """How sour the core has become, where it is to be sour all through."""
    acid, raw = scenario.acid, RAW_PH[scenario.cut.kind.family]
    if acid is None or aims.sour <= 0:
        return None
    tau = np.concatenate(([0.0], acid.tau_m2))
    core = np.minimum.accumulate(np.concatenate(([raw], acid.core_ph)))
    done = np.clip((raw - core) / (raw - levels.SOUR_CORE_PH), 0.0, 1.0)
    return Concern("soured", True, 1 - aims.sour * (1 - np.interp(hours, scenario.pace.hours_at(tau), done)))


def _texture(scenario: HoldScenario, hours: Array) -> Concern | None:
    if scenario.cut.kind.family not in ("red", "mince"):
        return None
    size = (scenario.cut.way_in.thickness_m / levels.TEXTURE_AT_M) ** levels.TEXTURE_POWER
    return Concern("texture", False, _hill(hours, levels.TEXTURE_HALF_H * size, levels.TEXTURE_STEEP))


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


def _hill(x: Array | float, half: float, steep: float) -> Array:
    """Falls from 1 through a half at ``half``."""
    return np.asarray(1.0 / (1.0 + (np.maximum(x, 0.0) / half) ** steep))
