"""Every limit that could open, mark or close the window of one hold."""

from __future__ import annotations

from collections.abc import Iterator, Mapping
from dataclasses import dataclass, replace

import numpy as np

from vadouvan.core.constants import (
    ACID_BAND_FISH_M,
    ACID_BAND_PORK_M,
    ACID_BAND_POULTRY_M,
    ACID_BAND_RED_M,
    ACID_BAND_SHARE,
    ACID_BAND_SHELLFISH_M,
    ACID_PH_EITHER_WAY,
    AROMA_BEST_S,
    AROMA_CONTACT_FISH_S,
    AROMA_CONTACT_S,
    EARLY_DEPTH_M,
    EARLY_DEPTH_SHARE,
    FISH_IN_STRONG_BATH_S,
    GOOD_ENOUGH_SHARE,
    MOST_OF_SETTLED,
    OVER_SALT_FACTOR,
    RED_QUALITY_S,
    SALT_MATTERS_KG_PER_KG,
    SEASONED_VOLUME_SHARE,
    SHELL_M,
    SMALL_M,
    SOUR_BIG_S,
    SOUR_POULTRY_S,
    SOUR_SMALL_S,
    SOUR_THIN_S,
    STRONG_ACID_KG_PER_KG,
    STRONG_ACID_PH,
    STRONG_BATH_KG_PER_KG_WATER,
    SURFACE_DEPTH_SHARE,
    SURFACE_SALT_FISH,
    SURFACE_SALT_POULTRY,
    SURFACE_SALT_RED,
    TASTED_SALT_KG_PER_KG_WATER,
    THIN_M,
    THIN_RED_QUALITY_S,
    THROUGH_SHARE,
    Constant,
)
from vadouvan.core.cut.cut import Cut
from vadouvan.core.cut.kind import Family
from vadouvan.core.figure import hours_told, number_told
from vadouvan.core.hold.acid import AcidCourse, acid_course
from vadouvan.core.hold.enzyme import EnzymeTimes, effective_strength, enzyme_times
from vadouvan.core.hold.hold import Hold
from vadouvan.core.hold.limits import Basis, Limit
from vadouvan.core.hold.modes import Array
from vadouvan.core.hold.pace import Pace
from vadouvan.core.hold.salt import Contact, SaltCourse, salt_course
from vadouvan.core.mix.balance import Balance

ACID_MATTERS_KG_PER_KG = 0.0003
SOUR_FOR_LONG: Mapping[Family, Constant] = {
    "poultry": SOUR_POULTRY_S, "fish": SOUR_FISH_S, "shellfish": SOUR_SHELLFISH_S,
}  # fmt: skip
REFERENCE_C = 4.0  # where softening is counted
NEVER_H = 24.0 * 60  # longer than any hold: stands for "not within this hold"


@dataclass(frozen=True)
class HoldCase:
    """One hold with its courses of salt and acid worked out; ``pace`` turns their clocks into hours."""

    cut: Cut
    balance: Balance
    hold: Hold
    contact: Contact
    course: SaltCourse
    pace: Pace
    acid: AcidCourse | None

    def with_pace(self, factor: float) -> HoldCase:
        """The same course run at a faster or slower diffusivity."""
        return replace(self, pace=self.pace.times(factor))

    @property
    def hours(self) -> Array:
        """The course's time axis [h]."""
        return self.pace.hours_at(self.course.tau_m2)

    @property
    def water_share(self) -> float:
        """Water in the meat [kg/kg]."""
        return self.cut.kind.water_share

    def hour_when(self, series: Array, threshold: float) -> float:
        """First hour at which a rising series reaches a threshold; ``NEVER_H`` if it does not."""
        over = np.flatnonzero(series >= threshold)
        if len(over) == 0:
            return NEVER_H
        first = int(over[0])
        if first == 0:
            return float(self.hours[0])
        below, above = float(series[first - 1]), float(series[first])
        part = (threshold - below) / (above - below)
        return float(self.hours[first - 1] + part * (self.hours[first] - self.hours[first - 1]))

    def salt_at(self, depth_m: float, hours: float) -> float:
        """Salt at a depth and an hour [kg per kg of meat]."""
        return self.water_share * float(np.interp(hours, self.hours, self.course.at_depth(depth_m)))

    def average_at(self, hours: float) -> float:
        """Mean salt of the meat at an hour [kg per kg of meat]."""
        return self.water_share * float(np.interp(hours, self.hours, self.course.average))

    def hour_below(self, series: Array, thresholds: Array) -> float:
        """Hour from which a series stays at or under its thresholds."""
        over = np.flatnonzero(series > thresholds)
        if len(over) == 0:
            return 0.0
        last = int(over[-1])
        return NEVER_H if last + 1 >= len(self.hours) else float(self.hours[last + 1])


@dataclass(frozen=True)
class Candidates:
    """All limits of one run, by the end they bear on."""

    earliest: tuple[Limit, ...]
    best: tuple[Limit, ...]
    latest: tuple[Limit, ...]
    good_enough: Limit | None


def hold_case(cut: Cut, balance: Balance, hold: Hold, acid: AcidCourse | None = None) -> HoldCase:
    """A hold with its salt course; ``acid`` is taken over from another run of the same mix, or worked out."""
    contact = Contact(balance.salt_kg, balance.water_kg, cut.water_kg, cut.open_area_m2)
    pace = Pace(hold.course, cut.kind.family, hold.pace_factor)
    return HoldCase(cut, balance, hold, contact, salt_course(cut.piece, contact), pace, acid or _acid(cut, balance))


def _acid(cut: Cut, balance: Balance) -> AcidCourse | None:
    """The acid's course, where there is enough acid to matter."""
    if balance.solution is None or balance.total("acid").value < ACID_MATTERS_KG_PER_KG:
        return None
    kind = cut.kind
    return acid_course(cut.piece, kind.family, kind.water_share, balance.solution, balance.water_kg / cut.water_kg)


def candidates_of(case: HoldCase) -> Candidates:
    """Every limit of this hold."""
    latest = tuple(_latest(case))
    enzyme = _enzyme(case)
    fruit = _fruit(case)
    earliest = [*_salt_begins(case), _aroma(case)]
    best = list(_salt_best(case))
    if _is_salted(case) and not _can_over_salt(case):
        evened = _evened_out(case)
        if evened.hours < min(limit.hours for limit in latest):
            best.append(evened)
        else:  # the surface stays too salty for as long as it may be held, so it ends there
            latest = (*latest, *_surface_too_salty(case))
    if enzyme is not None:
        first_end_h = min(limit.hours for limit in latest)
        if enzyme.best_h < first_end_h and _tenderising_is_the_aim(case):
            earliest.append(
                Limit(
                    "enzyme_begins", enzyme.pleasant_h, f"{fruit} begins to soften the surface", "enzyme", "calibration"
                )
            )
            best = [Limit("enzyme_best", enzyme.best_h, f"{fruit} has done its best work", "enzyme", "calibration")]
        soft = f"{fruit} turns the surface too soft"
        latest = (*latest, Limit("enzyme_very_soft", enzyme.very_soft_h, soft, "enzyme", "calibration"))
    if not best:
        best = [
            Limit(
                "aroma_best",
                AROMA_BEST_S.value / 3600,
                "aroma gains little after two hours",
                "aroma",
                "common_practice",
            )
        ]
    return Candidates(tuple(earliest), tuple(best), latest, _good_enough(case))


def _salt_begins(case: HoldCase) -> Iterator[Limit]:
    if not _is_salted(case):
        return
    depth_m = min(EARLY_DEPTH_M.value, EARLY_DEPTH_SHARE.value * case.cut.piece.far_m)
    hours = case.hour_when(case.course.at_depth(depth_m), TASTED_SALT_KG_PER_KG_WATER.value)
    if hours < NEVER_H:
        yield Limit(
            "salt_at_early_depth",
            hours,
            f"salt seasons the outer {number_told(depth_m * 1000)} mm",
            "salt",
            "calibration",
        )


def _aroma(case: HoldCase) -> Limit:
    fish = case.cut.kind.family in ("fish", "shellfish")
    hours = (AROMA_CONTACT_FISH_S if fish else AROMA_CONTACT_S).value / 3600
    return Limit("aroma_contact", hours, f"aroma needs {hours_told(hours)} of contact", "aroma", "common_practice")


def _salt_best(case: HoldCase) -> Iterator[Limit]:
    if not _is_salted(case):
        return
    water, course = case.water_share, case.course
    if case.hold.goal == "through":
        aim = THROUGH_SHARE.value * min(water * case.contact.settled, case.hold.salt_target)
        words = "four fifths of the salt you aim for is in the meat"
        yield Limit("salt_through", case.hour_when(water * course.average, aim), words, "salt", "calibration")
        tasted = min(TASTED_SALT_KG_PER_KG_WATER.value, MOST_OF_SETTLED.value * case.contact.settled)
        hours = case.hour_when(course.reached_by(SEASONED_VOLUME_SHARE.value), tasted)
        yield Limit("salt_in_most_of_it", hours, "seven eighths of the meat tastes seasoned", "salt", "calibration")
    else:
        depth_m = min(SHELL_M.value, SURFACE_DEPTH_SHARE.value * case.cut.piece.far_m)
        hours = case.hour_when(course.at_depth(depth_m), TASTED_SALT_KG_PER_KG_WATER.value)
        yield Limit(
            "salt_at_surface_depth",
            hours,
            f"salt is tasted {number_told(depth_m * 1000)} mm deep",
            "salt",
            "calibration",
        )


def _good_enough(case: HoldCase) -> Limit | None:
    """Three fifths of the salt aimed for: where many cooks stop, and the aim when the rest comes too late."""
    if not _is_salted(case):
        return None
    water = case.water_share
    enough = GOOD_ENOUGH_SHARE.value * min(water * case.contact.settled, case.hold.salt_target)
    words = "three fifths of the salt you aim for is in the meat"
    return Limit("salt_good_enough", case.hour_when(water * case.course.average, enough), words, "salt", "calibration")


def _is_salted(case: HoldCase) -> bool:
    return case.balance.total("salt").value >= SALT_MATTERS_KG_PER_KG.value


def _evened_out(case: HoldCase) -> Limit:
    """The hour from which the outer 5 mm no longer stands out: twice the average, or the shell limit."""
    outer = case.water_share * case.course.outer_average(SHELL_M.value)
    allowed = np.maximum(2 * case.water_share * case.course.average, _shell_limit(case))
    return Limit(
        "surface_evened_out", case.hour_below(outer, allowed), "the outer 5 mm has evened out", "salt", "calibration"
    )


def _surface_too_salty(case: HoldCase) -> Iterator[Limit]:
    outer = case.water_share * case.course.outer_average(SHELL_M.value)
    hours = case.hour_when(outer, _shell_limit(case))
    if hours < NEVER_H:
        words = f"the outer 5 mm passes {number_told(_shell_limit(case) * 100)} % salt"
        yield Limit("over_salt_surface", hours, words, "salt", "calibration")


def _can_over_salt(case: HoldCase) -> bool:
    return case.water_share * case.contact.settled > OVER_SALT_FACTOR.value * case.hold.salt_target


def _shell_limit(case: HoldCase) -> float:
    family = case.cut.kind.family
    if family in ("fish", "shellfish"):
        return SURFACE_SALT_FISH.value
    return (SURFACE_SALT_POULTRY if family == "poultry" else SURFACE_SALT_RED).value


def _latest(case: HoldCase) -> Iterator[Limit]:
    kind = case.cut.kind
    days = kind.hold_max_s / 3600
    basis: Basis = "quality" if kind.hold_source == "quality" else "safety"
    yield Limit(
        "storage", days, f"{hours_told(days)} is the most for {kind.species} in the fridge", basis, kind.hold_source
    )
    if _can_over_salt(case):
        yield from _over_salt(case)
    if _is_strong_acid(case):
        yield from _sour_for_long(case)
    yield from _acid_band(case)
    yield from _quality(case)


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
    yield from _surface_too_salty(case)


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


def _enzyme(case: HoldCase) -> EnzymeTimes | None:
    balance = case.balance
    strength = _strength(case, balance.enzyme_units.value, balance.ph, balance.salt_per_water, balance.mass_kg.value)
    times = enzyme_times(strength, case.cut.thickness_m, REFERENCE_C)
    first = balance.first
    if times is None:
        return None
    if first is None:
        return times.on(case.pace.hours_of_softening)
    alone = _strength(case, first.enzyme_units, first.ph, first.salt_per_water, first.mass_kg)
    return times.after(first.contact_s / 3600 * alone / strength).on(case.pace.hours_of_softening)


def _strength(case: HoldCase, units: float, ph: float | None, salt_per_water: float, mass_kg: float) -> float:
    film = mass_kg / case.cut.open_area_m2
    return effective_strength(units, ph=ph, salt_per_water=salt_per_water, film_kg_per_m2=film)


def _tenderising_is_the_aim(case: HoldCase) -> bool:
    return case.balance.tenderiser is not None and case.balance.tenderiser.is_fruit


def _fruit(case: HoldCase) -> str:
    tenderiser = case.balance.tenderiser
    return f"the {tenderiser.name}" if tenderiser else "the enzyme"
