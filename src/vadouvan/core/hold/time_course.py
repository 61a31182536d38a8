"""A hold through time: where salt, acid and softening are at each hour, for drawing and for reading off."""

from __future__ import annotations

import math
from dataclasses import replace

import numpy as np

from vadouvan.core.constants import (
    ENZYME_DIFFUSIVITY,
    ENZYME_PLEASANT_H,
    TASTED_SALT_KG_PER_KG_WATER,
    USUAL_REST_H,
)
from vadouvan.core.hold.concerns import Concern, concerns_of
from vadouvan.core.hold.eigenmodes import Array
from vadouvan.core.hold.on_the_meat import softening_strength
from vadouvan.core.hold.rest import rested_course
from vadouvan.core.hold.scenario import HoldScenario
from vadouvan.core.hold.window import Window
from vadouvan.unchanging import unchanging

HOURS, DEPTHS = 33, 25
ROUND_HOURS = (1.0, 2.0, 4.0, 10.0, 20.0, 24.0, 48.0)  # those that cooks speak of
EARLIEST_H = 0.25


@unchanging
class TimeCourse:
    """Per hour: salt by depth [kg/kg meat] (hours, depths), mean and middle, salt left outside [kg], depth of
    seasoning, of the white band and of softening [m]. ``rested`` is the salt after a rest of ``rest_h`` in the cold
    from that hour, and ``rested_m`` the depth of seasoning then. ``across``: depths run right through to the far side.
    ``tasted`` is the salt from which a layer tastes seasoned [kg/kg]; ``concerns`` is what each hour is worth by each
    concern, and ``worst`` at each hour the index of the one that binds.
    """

    hours: Array
    depths_m: Array
    salt: Array
    average: Array
    middle: Array
    left_kg: Array
    seasoned_m: Array
    white_m: Array
    soft_m: Array
    rest_h: float
    rested: Array
    rested_m: Array
    tasted: float
    across: bool
    concerns: tuple[Concern, ...]
    worst: tuple[int, ...]


def hold_course(scenario: HoldScenario, window: Window, dries_h: float = 0.0) -> TimeCourse:
    """The course from a quarter of an hour to a good while after the latest hour.

    With a rest in the cold after it, for as long as it is to dry uncovered, or the usual one [h].
    """
    rest_h = dries_h or USUAL_REST_H.value
    hours = course_hours(window)
    piece = scenario.cut.way_in
    across = piece.path.far_resistance_m is not None or (
        scenario.cut.shape == "slab" and scenario.cut.bone in ("face", "ribs")
    )
    reach_m = scenario.cut.thickness_m if across else piece.far_m
    depths = np.linspace(0.0, reach_m, DEPTHS)
    axis = scenario.hours
    fields, rested = (
        scenario.water_share * np.array([np.interp(hours, axis, values) for values in course.at_depths(depths)]).T
        for course in (scenario.course, rested_course(scenario, rest_h))
    )
    average = np.interp(hours, axis, scenario.average)
    tasted = TASTED_SALT_KG_PER_KG_WATER.value * scenario.water_share
    concerns = tuple(replace(one, values=one.values[0]) for one in concerns_of([scenario], hours))
    return TimeCourse(
        hours=hours,
        depths_m=depths,
        salt=fields,
        average=average,
        middle=fields[:, -1] if not across else fields.min(axis=1),
        left_kg=np.maximum(0.0, scenario.balance.salt_kg - average * scenario.cut.meat_kg),
        seasoned_m=np.array([_reach(depths, row, tasted) for row in fields]),
        white_m=_white(scenario, hours),
        soft_m=_softened_m(scenario, hours),
        rest_h=rest_h,
        rested=rested,
        rested_m=np.array([_reach(depths, row, tasted) for row in rested]),
        tasted=tasted,
        across=across,
        concerns=concerns,
        worst=tuple(int(index) for index in np.argmin([one.values for one in concerns], axis=0)),
    )


def course_hours(window: Window) -> Array:
    """Hours to look at: finer at the start, to half as long again as it may be held."""
    last = max(1.5 * window.latest.hours, 1.2 * window.best.hours, 2.0)
    marks = (window.safe_earliest_h, window.best.hours, window.safe_latest_h, *ROUND_HOURS)
    inside = [hour for hour in marks if EARLIEST_H <= hour <= last]
    return np.unique(np.concatenate((np.geomspace(EARLIEST_H, last, HOURS), inside)))


def _reach(depths_m: Array, row: Array, threshold: float) -> float:
    """Depth from the surface to which a falling profile is at or over a threshold [m]."""
    under = np.flatnonzero(row < threshold)
    if len(under) == 0:
        return float(depths_m[-1])
    first = int(under[0])
    if first == 0:
        return 0.0
    part = (row[first - 1] - threshold) / (row[first - 1] - row[first])
    return float(depths_m[first - 1] + part * (depths_m[first] - depths_m[first - 1]))


def _white(scenario: HoldScenario, hours: Array) -> Array:
    if scenario.acid is None:
        return np.zeros(len(hours))
    axis = scenario.pace.hours_at(scenario.acid.tau_m2)
    return np.asarray(np.interp(hours, axis, scenario.acid.band_m(), left=0.0))


_Z = np.linspace(0.0, 4.0, 200)  # depth over twice the root of diffusivity times time
_ERFC = np.array([math.erfc(depth) for depth in _Z])
_WORKED_INSIDE = (1 + 2 * _Z**2) * _ERFC - 2 * _Z * np.exp(-(_Z**2)) / math.sqrt(math.pi)  # share of the surface's


def _softened_m(scenario: HoldScenario, hours: Array) -> Array:
    """Depth to which a live enzyme has softened pleasantly [m]: what diffuses in works as long as it is there."""
    at_surface = softening_strength(scenario) * scenario.pace.softening_at(hours)
    asked = ENZYME_PLEASANT_H.value / np.maximum(at_surface, 1e-12)
    deepest = np.interp(asked, _WORKED_INSIDE[::-1], _Z[::-1])
    return np.asarray(2 * np.sqrt(ENZYME_DIFFUSIVITY.value * hours * 3600) * deepest)
