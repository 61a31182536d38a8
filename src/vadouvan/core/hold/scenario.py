"""One hold with its courses of salt and acid worked out, ready to be asked when and how much."""

from __future__ import annotations

import math
from dataclasses import field, replace
from functools import cached_property

import numpy as np

from vadouvan.core.cut.cut import Cut
from vadouvan.core.hold.acid import AcidCourse, acid_course
from vadouvan.core.hold.eigenmodes import Array
from vadouvan.core.hold.hold import Hold
from vadouvan.core.hold.salt import EarlierContact, SaltContact, SaltCourse, salt_course
from vadouvan.core.hold.time_temperature import Pace, pace_of
from vadouvan.core.mix.balance import Balance
from vadouvan.unchanging import unchanging

TRACE_KG_PER_KG = 1e-4
NEVER_H = 24.0 * 60  # longer than any hold: stands for "not within this hold"


@unchanging
class HoldScenario:
    """One hold with its courses of salt and acid worked out; ``pace`` turns their clocks into hours.

    ``unit_cells`` and ``unit_settled`` are of the same mix with at least a trace of salt: they stand for whatever the
    mix brings in, so that salt going to nothing makes no step.
    """

    cut: Cut
    balance: Balance
    hold: Hold
    contact: SaltContact
    course: SaltCourse
    pace: Pace
    acid: AcidCourse | None
    unit_settled: float = 0.0
    unit_cells: Array = field(default_factory=lambda: np.zeros((0, 0)))
    _layers: dict[tuple[float, float], Array] = field(default_factory=dict, repr=False, compare=False)

    def with_pace(self, factor: float) -> HoldScenario:
        """The same course run at a faster or slower diffusivity; what goes by its own clock is worked out once."""
        return replace(self, pace=self.pace.times(factor))

    def outer_salt(self, depth_m: float) -> Array:
        """Mean concentration of the layer from the surface to a depth, over time [kg/kg water]."""
        return self._outer(depth_m, math.inf)

    def outer_tasting_of(self, depth_m: float, tasted_kg_per_kg: float) -> Array:
        """Share of that layer that tastes of salt, over time [1]: all from ``tasted_kg_per_kg`` of water on.

        Less in proportion below it. Of the course with at least a trace of salt.
        """
        return self._outer(depth_m, tasted_kg_per_kg)

    def _outer(self, depth_m: float, tasted_kg_per_kg: float) -> Array:
        kept = self._layers.get((depth_m, tasted_kg_per_kg))
        if kept is None:
            is_of_salt = math.isinf(tasted_kg_per_kg)
            series = self.course.cells if is_of_salt else np.minimum(self.unit_cells / tasted_kg_per_kg, 1.0)
            weights = self.course.grid.outside(self.cut.way_in.share_deeper_than(depth_m))
            kept = self._layers[depth_m, tasted_kg_per_kg] = np.asarray(series @ weights)
        return kept

    @cached_property
    def hours(self) -> Array:
        """The course's time axis [h]."""
        return self.pace.hours_at(self.course.tau_m2)

    @property
    def begins_h(self) -> float:
        """The first hour of the course [h]."""
        return float(self.pace.hours_at(self.course.tau_m2[:1])[0])

    @property
    def water_share(self) -> float:
        """Water in the meat [kg/kg]."""
        return self.cut.kind.water_share

    @property
    def average(self) -> Array:
        """Mean salt of the meat at its hours [kg per kg of meat]; what is worked in is in it from the start."""
        if self.cut.kind.is_minced:
            return np.full(len(self.course.average), self.balance.salt_kg / self.cut.meat_kg)
        return np.asarray(self.water_share * self.course.average)

    def average_at(self, hours: float) -> float:
        """Mean salt of the meat at an hour [kg per kg of meat]."""
        return float(np.interp(hours, self.hours, self.average))


def hold_scenario(cut: Cut, balance: Balance, hold: Hold, acid: AcidCourse | None = None) -> HoldScenario:
    """A hold with its salt course; ``acid`` is taken over from another run of the same mix, or worked out."""
    contact = SaltContact(balance.salt_kg, balance.water_kg, cut.water_kg, cut.open_area_m2)
    pace = pace_of(hold.course, cut.kind.family, hold.pace_factor)
    earlier = _earlier(cut, balance, pace)
    course = salt_course(cut.way_in, contact, earlier)
    traced = replace(contact, salt_kg=max(balance.salt_kg, TRACE_KG_PER_KG * cut.meat_kg))
    unit = course if traced == contact else salt_course(cut.way_in, traced, earlier)
    return HoldScenario(
        cut, balance, hold, contact, course, pace, acid or _acid(cut, balance), traced.settled, unit.cells
    )


def _earlier(cut: Cut, balance: Balance, pace: Pace) -> EarlierContact | None:
    """The first step of a mix in two; hours of the hold count from the second."""
    first = balance.first
    if first is None:
        return None
    contact = SaltContact(first.salt_kg, first.water_kg, cut.water_kg, cut.open_area_m2)
    return EarlierContact(contact, float(pace.tau_at(first.contact_s / 3600)))


def _acid(cut: Cut, balance: Balance) -> AcidCourse | None:
    """The acid's course, where there is any acid."""
    if balance.solution is None or sum(balance.solution.acids.values()) <= 0:
        return None
    kind = cut.kind
    return acid_course(cut.way_in, kind.family, kind.water_share, balance.solution, balance.water_kg / cut.water_kg)
