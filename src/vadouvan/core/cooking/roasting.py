"""How long a piece takes to reach its core on the heat: conduction from its whole surface, by the heat of each place.

The piece is a radial problem of its own shape and size, bone counted as meat, heated by a coefficient for the place.
An estimate to plan by: the core decides. Against roasting tables in `tests/core/test_roasting.py`.
"""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import replace
from functools import lru_cache

import numpy as np

from vadouvan.core.constants import (
    FROM_FRIDGE_C,
    MEAT_CONDUCTIVITY,
    MEAT_HEAT_DIFFUSIVITY,
    OVEN_REFERENCE_K,
    RADIATION_POWER,
    ROASTING_SPREAD,
    SIMMER_C,
    SURFACE_HEATING_FRYER,
    SURFACE_HEATING_GRILL,
    SURFACE_HEATING_OVEN,
    SURFACE_HEATING_PAN,
    SURFACE_HEATING_POT,
    SURFACE_HEATING_STEAM,
    TENDER_BELOW_K,
    TENDER_CORE_C,
    TENDER_HOLD,
    ZERO_CELSIUS_K,
    Constant,
)
from vadouvan.core.cooking.doneness import DonenessRule, doneness_of
from vadouvan.core.cooking.stages import USUAL_HEAT_C, CookPlace, CookStage, in_kitchen_minutes
from vadouvan.core.cut.cut import Cut, size_of
from vadouvan.core.cut.shape import Openness, Path, piece_of
from vadouvan.core.measures.numbers import Interval

SEVERAL, THINNER, SOONER_FROM_MIN = 2, 0.8, 1.0
CELLS, LONGEST_S = 60, 48 * 3600.0
HEATING: dict[CookPlace, Constant] = {
    "oven": SURFACE_HEATING_OVEN,
    "grill": SURFACE_HEATING_GRILL,
    "grill_indirect": SURFACE_HEATING_OVEN,
    "broiler": SURFACE_HEATING_GRILL,
    "smoker": SURFACE_HEATING_OVEN,
    "pan": SURFACE_HEATING_PAN,
    "wok": SURFACE_HEATING_PAN,
    "fryer": SURFACE_HEATING_FRYER,
    "pot": SURFACE_HEATING_POT,
    "parcel": SURFACE_HEATING_OVEN,
    "steamer": SURFACE_HEATING_STEAM,
}
RADIATED: frozenset[CookPlace] = frozenset(("oven", "grill_indirect", "smoker", "parcel"))  # heated like an oven
AT_THE_BOIL: frozenset[CookPlace] = frozenset(("pot", "steamer"))


@lru_cache(maxsize=512)
def minutes_to_core(cut: Cut, stage: CookStage, core_c: float) -> Interval | None:
    """Minutes for one piece from the fridge to a core [C], with its band; nothing where that heat never gets there."""
    heat_c = stage.plain_heat_c or USUAL_HEAT_C[stage.place]
    if stage.place in AT_THE_BOIL:
        heat_c = min(heat_c, SIMMER_C.value)
    if core_c >= heat_c - 1:
        return None
    heating = HEATING[stage.place].value
    if stage.place in RADIATED:
        heating *= ((heat_c + ZERO_CELSIUS_K.value) / OVEN_REFERENCE_K.value) ** RADIATION_POWER.value
    seconds = seconds_to_core(_heated(cut), heating, (heat_c - core_c) / (heat_c - FROM_FRIDGE_C.value))
    spread = ROASTING_SPREAD
    return Interval(*(seconds / 60 * factor for factor in (spread.value, spread.low, spread.high)))


def minutes_to_tender(cut: Cut, stage: CookStage) -> Interval | None:
    """Minutes until a fork turns in it: to the core at which collagen gives way, and at it by how tough the cut is."""
    heat_c = stage.plain_heat_c or USUAL_HEAT_C[stage.place]
    heats = minutes_to_core(cut, stage, min(TENDER_CORE_C.value, min(heat_c, SIMMER_C.value) - TENDER_BELOW_K.value))
    if heats is None:
        return None
    hold = TENDER_HOLD[cut.kind.toughness]
    return Interval(heats.value + hold.value, heats.low + hold.low, heats.high + hold.high)


def with_estimates(
    cut: Cut | None, stages: Sequence[CookStage], rule: DonenessRule, own_c: float | None
) -> tuple[CookStage, ...]:
    """The stages, with an estimate for one that ends by a core or by guidance and has no minutes of its own."""
    if cut is None:
        return tuple(stages)
    target_c = doneness_of(cut, rule, own_c).core_c
    return tuple(
        _estimated(cut, stage, stage.core_c or target_c) if stage.minutes is None else stage for stage in stages
    )


def _estimated(cut: Cut, stage: CookStage, core_c: float | None) -> CookStage:
    """A pot without a core is left open, unless it is to end when the meat is tender."""
    if stage.until_tender:
        takes = minutes_to_tender(cut, stage)
        return stage if takes is None else replace(stage, minutes=in_kitchen_minutes(takes.value), estimate=takes)
    if core_c is None or (stage.place == "pot" and stage.core_c is None):
        return stage
    takes = minutes_to_core(cut, stage, core_c)
    return stage if takes is None else replace(stage, minutes=in_kitchen_minutes(takes.value), estimate=takes)


def thinner_sooner_min(cut: Cut, stage: CookStage, core_c: float) -> float | None:
    """By how many minutes a piece a fifth thinner is done before the others; nothing where it makes no odds."""
    if cut.pieces < SEVERAL or stage.place in AT_THE_BOIL or stage.until_tender:
        return None
    whole, thinner = (minutes_to_core(one, stage, core_c) for one in (cut, cut.scaled(THINNER)))
    if whole is None or thinner is None:
        return None
    sooner = whole.value - thinner.value
    return sooner if sooner >= SOONER_FROM_MIN else None


def _heated(cut: Cut) -> Path:
    """One piece as heat sees it: bone and cover are heated through like meat."""
    piece_kg = cut.mass_kg / cut.pieces if cut.shape != "cube" else cut.mass_kg
    bare = replace(cut, mass_kg=piece_kg, pieces=1, bone="none", bone_share=0.0)
    return piece_of(cut.shape, size_of(bare, piece_kg), Openness()).path


@lru_cache(maxsize=64)
def seconds_to_core(path: Path, heating_w_per_m2_k: float, left_share: float) -> float:
    """Time until the middle has only a share of its distance to the heat left [s] (finite volumes, eigenmodes)."""
    ends = np.linspace(0.0, 1.0, CELLS + 1)
    middles = (ends[1:] + ends[:-1]) / 2
    area, power = ends**path.exponent, path.exponent + 1
    volume = np.diff(ends**power) / power * path.length_m
    step = path.length_m / CELLS
    diffusivity = MEAT_HEAT_DIFFUSIVITY.value
    between = diffusivity * area[1:-1] / step
    outside = diffusivity / ((1 - middles[-1]) * path.length_m + MEAT_CONDUCTIVITY.value / heating_w_per_m2_k)
    leaves = np.zeros(CELLS)
    leaves[:-1] += between
    leaves[1:] += between
    leaves[-1] += outside
    root = np.sqrt(volume)
    from scipy.linalg import eigh_tridiagonal  # noqa: PLC0415 - scipy is a tenth of a start

    rates, modes = eigh_tridiagonal(leaves / volume, -between / (root[:-1] * root[1:]))
    weights = modes[0] / root[0] * (modes.T @ root)

    def missing(time_s: float) -> float:
        """Distance to the heat against what is wanted."""
        return float((weights * np.exp(-rates * time_s)).sum()) - left_share

    if missing(LONGEST_S) > 0:
        return LONGEST_S
    from scipy.optimize import brentq  # noqa: PLC0415 - a fifth of a start, for what is cooked

    return float(brentq(missing, 1.0, LONGEST_S)) if missing(1.0) > 0 else 1.0
