"""A batch as it was held and eaten: hours in the mix, salt in what was eaten, the depth that the model tells."""

from __future__ import annotations

from collections.abc import Callable
from functools import cached_property

import numpy as np

from vadouvan.core.clock.routine import hours_between
from vadouvan.core.constants import PASTE_RUN_OFF, VISIBLE_SALT_KG_PER_KG_WATER
from vadouvan.core.hold.eigenmodes import Array
from vadouvan.core.hold.scenario import HoldScenario, hold_scenario
from vadouvan.core.judgement.judgement import Judgement
from vadouvan.unchanging import unchanging

DEPTHS = 120


@unchanging
class AsHeld:
    """A tasted batch: its case at the model's own pace, and how long it was in the mix.

    ``opens_h`` is the hour at which its window opens.
    ``is_coated``: salted by what lies on it, all of which is eaten but for what runs off.
    """

    scenario: HoldScenario
    hours: float
    is_coated: bool = False
    opens_h: float = 0.0

    @property
    def eaten_salt(self) -> float:
        """Salt of what was eaten [kg per kg of meat]: on and in a coated piece, in the meat from a bath."""
        if self.is_coated:
            runs_off = 0.0 if self.scenario.cut.kind.is_minced else PASTE_RUN_OFF.value
            return self.scenario.balance.total("salt").value * (1 - runs_off)
        return self.scenario.average_at(self.hours)

    @property
    def depth_to_middle_m(self) -> float:
        """The way from an open face to the point reached last [m]."""
        return self.scenario.cut.way_in.far_m

    def seen_depth_m(self, factor: float = 1.0) -> float:
        """Depth to which seasoning shows on the knife, with diffusion so many times as fast [m]."""
        far_m = self.depth_to_middle_m
        depths = np.linspace(0.0, far_m, DEPTHS)
        axis = self.scenario.with_pace(factor).hours
        after = int(np.clip(np.searchsorted(axis, self.hours), 1, len(axis) - 1))
        part = float(np.clip((self.hours - axis[after - 1]) / (axis[after] - axis[after - 1]), 0.0, 1.0))
        salt = (1 - part) * self._profiles[:, after - 1] + part * self._profiles[:, after]
        over = np.flatnonzero(salt < VISIBLE_SALT_KG_PER_KG_WATER.value)
        if len(over) == 0:
            return far_m
        first = int(over[0])
        if first == 0:
            return 0.0
        part = (salt[first - 1] - VISIBLE_SALT_KG_PER_KG_WATER.value) / (salt[first - 1] - salt[first])
        return float(depths[first - 1] + part * (depths[first] - depths[first - 1]))

    @cached_property
    def _profiles(self) -> Array:
        """Salt by depth and time [kg/kg water]: the same at every pace, only its clock is another."""
        return self.scenario.course.at_depths(np.linspace(0.0, self.depth_to_middle_m, DEPTHS))

    def model(self) -> Callable[[float], float]:
        """The depth at any factor, worked out once at many and read between them."""
        factors = np.exp(np.linspace(-1.05, 1.05, 43))
        told = [self.seen_depth_m(float(factor)) for factor in factors]
        return lambda factor: float(np.interp(factor, factors, told))


def as_held(judgement: Judgement) -> AsHeld | None:
    """The hold that a batch had; none for one that has not come out, or cannot be judged."""
    reading, mix = judgement.reading, judgement.mix
    cut, hold, meal = reading.cut, reading.hold, reading.meal
    window, scenario = judgement.window, judgement.scenario
    if cut is None or hold is None or mix is None or meal is None or window is None or scenario is None:
        return None
    if meal.contact_at is None or meal.pulled_at is None:
        return None
    plain = hold.without_learning()
    coated = mix.salt is not None and mix.salt.school in ("per_kg", "spoon_per_pound")
    hours = hours_between(meal.contact_at, meal.pulled_at)
    own = hold_scenario(cut, mix.at_contact.balance, plain, scenario.acid)  # acid goes by no pace that was learned
    return AsHeld(own, hours, coated, window.safe_earliest_h)
