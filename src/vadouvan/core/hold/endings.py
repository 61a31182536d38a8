"""What can end a hold: days in the fridge, salt, acid, texture."""

from __future__ import annotations

from collections.abc import Iterator, Mapping

import numpy as np

from vadouvan.core.constants import (
    ACID_BAND_FISH_M,
    ACID_BAND_PORK_M,
    ACID_BAND_POULTRY_M,
    ACID_BAND_RED_M,
    ACID_BAND_SHARE,
    ACID_BAND_SHELLFISH_M,
    ACID_PH_EITHER_WAY,
    AIRLESS_COLD_C,
    AIRLESS_KEEPS_S,
    FISH_IN_STRONG_BATH_S,
    FRIDGE_ADVISED_C,
    JAR_SAFE_PH,
    OVER_SALT_FACTOR,
    RED_QUALITY_S,
    SHELL_M,
    SMALL_M,
    SOUR_BIG_S,
    SOUR_FISH_S,
    SOUR_POULTRY_S,
    SOUR_SHELLFISH_S,
    SOUR_SMALL_S,
    SOUR_THIN_S,
    STRONG_ACID_KG_PER_KG,
    STRONG_ACID_PH,
    STRONG_BATH_KG_PER_KG_WATER,
    THIN_M,
    THIN_RED_QUALITY_S,
    Constant,
)
from vadouvan.core.cut.kind import Family
from vadouvan.core.figure import hours_told, number_told
from vadouvan.core.hold.case import NEVER_H, HoldCase
from vadouvan.core.hold.limits import Basis, Limit
from vadouvan.core.hold.modes import Array
from vadouvan.core.hold.storage import keeps_until_h

SOUR_FOR_LONG: Mapping[Family, Constant] = {
    "poultry": SOUR_POULTRY_S,
    "fish": SOUR_FISH_S,
    "shellfish": SOUR_SHELLFISH_S,
}


def endings(case: HoldCase) -> Iterator[Limit]:
    """Every limit that could end a hold but softening, which is counted with the enzyme."""
    yield storage_limit(case)
    if case.can_over_salt:
        yield from _over_salt(case)
    if _is_strong_acid(case):
        yield from _sour_for_long(case)
    yield from _acid_band(case)
    yield from _quality(case)


def storage_limit(case: HoldCase) -> Limit:
    """The hour at which it has been raw for as long as it keeps: the clock of raw food, not only of the mix."""
    kind, hold = case.cut.kind, case.hold
    days_h, age_h = kind.keeps_s / 3600, case.cut.age_s / 3600
    words = f"{hours_told(days_h)} is the most for {kind.species} in the fridge"
    basis: Basis = "safety" if kind.needs_cold else "quality"
    if not kind.needs_cold:
        return Limit("storage", days_h, words, basis, kind.hold_source)
    if airless_hours(case) is not None:
        days_h = min(days_h, AIRLESS_KEEPS_S.value / 3600)
        words = f"{hours_told(days_h)} is the most without air for fish, or in a mix that is not sour"
    hours = keeps_until_h(days_h, hold.course, age_h)
    if age_h > 0:
        words += f", and it has had {hours_told(age_h)} of them"
    elif hours < days_h - 0.01:
        words += f", and less in one that is warmer than {FRIDGE_ADVISED_C.value:.0f} °C"
    return Limit("storage", hours, words, basis, kind.hold_source)


def airless_hours(case: HoldCase) -> float | None:
    """Hours that are left to a vacuum bag above 3 C, where the mix or the food asks for fewer than its days [h]."""
    sour = case.balance.ph is not None and case.balance.ph < JAR_SAFE_PH.value
    warm = max(celsius for _, celsius in case.hold.course) > AIRLESS_COLD_C.value
    if not case.hold.vacuum or not warm or (sour and not case.cut.kind.is_fish):
        return None
    return AIRLESS_KEEPS_S.value / 3600


def _acid_band(case: HoldCase) -> Iterator[Limit]:
    """The hour at which the white band gets deeper than is pleasant; sooner or later by the pH it takes."""
    if case.acid is None:
        return
    most_m = min(_most_band_m(case), ACID_BAND_SHARE.value * case.cut.piece.far_m)
    hours = case.pace.hours_at(case.acid.tau_m2)
    nominal, early, late = (
        _first_hour(hours, case.acid.band_m(shift), most_m)
        for shift in (0.0, ACID_PH_EITHER_WAY.value, -ACID_PH_EITHER_WAY.value)
    )
    if nominal < NEVER_H:
        words = f"acid whitens it deeper than {number_told(most_m * 1000)} mm"
        yield Limit("acid_band", nominal, words, "acid", "calibration", (early, late))


def _first_hour(hours: Array, rising: Array, threshold: float) -> float:
    over = np.flatnonzero(rising >= threshold)
    return NEVER_H if len(over) == 0 else float(np.interp(threshold, rising[: over[0] + 1], hours[: over[0] + 1]))


def _sour_for_long(case: HoldCase) -> Iterator[Limit]:
    """Texture in a sour mix, whatever the band: by kind and thickness."""
    family, thickness_m = case.cut.kind.family, case.cut.thickness_m
    if family == "red":
        limit = SOUR_THIN_S if thickness_m < THIN_M.value else SOUR_SMALL_S
        limit = limit if thickness_m < SMALL_M.value else SOUR_BIG_S
    elif family in SOUR_FOR_LONG:
        limit = SOUR_FOR_LONG[family]
    else:
        return
    yield Limit(
        "strong_acid", limit.value / 3600, "a mix this sour turns the surface chalky", "quality", "common_practice"
    )


def _most_band_m(case: HoldCase) -> float:
    kind = case.cut.kind
    if kind.species == "pork":
        return ACID_BAND_PORK_M.value
    by_family = {
        "poultry": ACID_BAND_POULTRY_M,
        "fish": ACID_BAND_FISH_M,
        "shellfish": ACID_BAND_SHELLFISH_M,
    }
    return by_family.get(kind.family, ACID_BAND_RED_M).value


def _over_salt(case: HoldCase) -> Iterator[Limit]:
    water, course = case.water_share, case.course
    most = OVER_SALT_FACTOR.value * case.hold.salt_target
    average_h = case.hour_when(water * course.average, most)
    yield Limit(
        "over_salt_average",
        average_h,
        f"the meat passes {number_told(most * 1000)} g of salt a kilogram",
        "salt",
        "calibration",
    )
    yield from surface_too_salty(case)


def _is_strong_acid(case: HoldCase) -> bool:
    ph, acid = case.balance.ph, case.balance.total("acid").value
    return ph is not None and ph < STRONG_ACID_PH.value and acid >= STRONG_ACID_KG_PER_KG.value


def _quality(case: HoldCase) -> Iterator[Limit]:
    family = case.cut.kind.family
    if family == "fish" and STRONG_BATH_KG_PER_KG_WATER.value < case.balance.salt_per_water:
        hours = FISH_IN_STRONG_BATH_S.value / 3600
        yield Limit(
            "fish_in_strong_bath", hours, "fish firms and dries in so strong a mix", "quality", "common_practice"
        )
    if family == "red":
        thin = case.cut.thickness_m < THIN_M.value
        limit = THIN_RED_QUALITY_S if thin else RED_QUALITY_S
        name = "thin slices lose their" if thin else "red meat loses its"
        words = f"{name} texture after {hours_told(limit.value / 3600)}"
        yield Limit(
            "thin_red_quality" if thin else "red_quality", limit.value / 3600, words, "quality", "common_practice"
        )


def surface_too_salty(case: HoldCase) -> Iterator[Limit]:
    """The outer 5 mm becoming too salty to enjoy."""
    outer = case.water_share * case.course.outer_average(SHELL_M.value)
    hours = case.hour_when(outer, case.shell_limit)
    if hours < NEVER_H:
        words = f"the outer 5 mm passes {number_told(case.shell_limit * 100)} % salt"
        yield Limit("over_salt_surface", hours, words, "salt", "calibration")
