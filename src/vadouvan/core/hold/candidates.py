"""Every limit that could open, mark or close the window of one hold."""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import dataclass

import numpy as np

from vadouvan.core.constants import (
    AROMA_BEST_S,
    AROMA_CONTACT_FISH_S,
    AROMA_CONTACT_S,
    EARLY_DEPTH_M,
    EARLY_DEPTH_SHARE,
    GOOD_ENOUGH_SHARE,
    MOST_OF_SETTLED,
    SEASONED_VOLUME_SHARE,
    SHELL_M,
    SURFACE_DEPTH_SHARE,
    TASTED_SALT_KG_PER_KG_WATER,
    THROUGH_SHARE,
)
from vadouvan.core.figure import hours_told, number_told
from vadouvan.core.hold.case import NEVER_H, HoldCase
from vadouvan.core.hold.endings import endings, surface_too_salty
from vadouvan.core.hold.enzyme import EnzymeTimes, effective_strength, enzyme_times
from vadouvan.core.hold.limits import Limit

REFERENCE_C = 4.0  # where softening is counted


@dataclass(frozen=True)
class Candidates:
    """All limits of one run, by the end they bear on."""

    earliest: tuple[Limit, ...]
    best: tuple[Limit, ...]
    latest: tuple[Limit, ...]
    good_enough: Limit | None


def candidates_of(case: HoldCase) -> Candidates:
    """Every limit of this hold."""
    latest = tuple(endings(case))
    enzyme = _enzyme(case)
    fruit = _fruit(case)
    earliest = [*_salt_begins(case), _aroma(case)]
    best = list(_salt_best(case))
    if case.is_salted and not case.can_over_salt:
        evened = _evened_out(case)
        if evened.hours < min(limit.hours for limit in latest):
            best.append(evened)
        else:  # the surface stays too salty for as long as it may be held, so it ends there
            latest = (*latest, *surface_too_salty(case))
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
    if not case.is_salted:
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
    if not case.is_salted:
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
    if not case.is_salted:
        return None
    water = case.water_share
    enough = GOOD_ENOUGH_SHARE.value * min(water * case.contact.settled, case.hold.salt_target)
    words = "three fifths of the salt you aim for is in the meat"
    return Limit("salt_good_enough", case.hour_when(water * case.course.average, enough), words, "salt", "calibration")


def _evened_out(case: HoldCase) -> Limit:
    """The hour from which the outer 5 mm no longer stands out: twice the average, or the shell limit."""
    outer = case.water_share * case.course.outer_average(SHELL_M.value)
    allowed = np.maximum(2 * case.water_share * case.course.average, case.shell_limit)
    return Limit(
        "surface_evened_out", case.hour_below(outer, allowed), "the outer 5 mm has evened out", "salt", "calibration"
    )


def _enzyme(case: HoldCase) -> EnzymeTimes | None:
    balance = case.balance
    strength = softening_strength(case)
    times = enzyme_times(strength, case.cut.thickness_m, REFERENCE_C)
    first = balance.first
    if times is None:
        return None
    if first is None:
        return times.on(case.pace.hours_of_softening)
    alone = _strength(case, first.enzyme_units, first.ph, first.salt_per_water, first.mass_kg)
    return times.after(first.contact_s / 3600 * alone / strength).on(case.pace.hours_of_softening)


def softening_strength(case: HoldCase) -> float:
    """Strength of the live enzyme at the surface (neat fresh pineapple juice = 1)."""
    balance = case.balance
    return _strength(case, balance.enzyme_units.value, balance.ph, balance.salt_per_water, balance.mass_kg.value)


def _strength(case: HoldCase, units: float, ph: float | None, salt_per_water: float, mass_kg: float) -> float:
    film = mass_kg / case.cut.open_area_m2
    return effective_strength(units, ph=ph, salt_per_water=salt_per_water, film_kg_per_m2=film)


def _tenderising_is_the_aim(case: HoldCase) -> bool:
    return case.balance.tenderiser is not None and case.balance.tenderiser.is_fruit


def _fruit(case: HoldCase) -> str:
    tenderiser = case.balance.tenderiser
    return f"the {tenderiser.name}" if tenderiser else "the enzyme"
