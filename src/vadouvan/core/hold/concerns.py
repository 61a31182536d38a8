"""Worth of each hour of a hold, concern by concern, in 0 to 1 and without a step (Harrington 1965, from memory).

Rising concerns (seasoned, aroma, and what else is the aim) never fall with the hour, falling ones (salty, sour, soft,
texture) never rise, so that their minimum has one hill. What no hour can mend, such as a rub with too much salt, is a
verdict and no edge.
"""

from __future__ import annotations

import math
from collections.abc import Callable, Sequence
from functools import cached_property, lru_cache
from typing import Literal

import numpy as np

from vadouvan.core.constants import (
    REFERENCE_TEMPERATURE_K,
    TASTED_SALT_KG_PER_KG_WATER,
    ZERO_CELSIUS_K,
)
from vadouvan.core.cut.kind import Family
from vadouvan.core.hold import levels
from vadouvan.core.hold.acid import AcidCourse
from vadouvan.core.hold.aim import AimWeights, aim_weights
from vadouvan.core.hold.buffer import RAW_PH
from vadouvan.core.hold.eigenmodes import Array
from vadouvan.core.hold.on_the_meat import (
    asked_depth_m,
    bath_share,
    kept_share,
    seasoned_depth_m,
    softened_before,
    softening_strength,
)
from vadouvan.core.hold.salt import LOG_FO
from vadouvan.core.hold.scenario import HoldScenario
from vadouvan.core.hold.temperature import salt_diffusivity
from vadouvan.core.hold.time_temperature import Pace
from vadouvan.unchanging import unchanging

ConcernName = Literal["seasoned", "aroma", "tenderised", "cured", "soured", "salty", "sour", "soft", "texture"]
REFERENCE_C = REFERENCE_TEMPERATURE_K.value - ZERO_CELSIUS_K.value  # where souring and softening are counted


@unchanging
class Concern:
    """One concern at every hour [0..1], a row for each run of a hold; ``start`` is what of it no hour can mend."""

    name: ConcernName
    rises: bool
    values: Array
    start: float = 1.0


@unchanging
class _Runs:
    """Runs of one hold at the same hours (looks). They differ in pace, thickness and salt, in nothing else.

    What is ``kept`` on the meat and the ``strength`` of its enzyme are columns (runs, 1), as is all that differs.
    """

    all: Sequence[HoldScenario]
    hours: Array
    kept: Array
    strength: Array
    aims: AimWeights

    @cached_property
    def clocks(self) -> list[Array]:
        """Logarithms of what the course's own clock of each run shows at these hours."""
        shown = self.by_pace(lambda pace: np.log(pace.tau_at(self.hours)))
        return [at - 2 * math.log(one.course.piece.path.length_m) for at, one in zip(shown, self.all, strict=True)]

    @cached_property
    def begin_h(self) -> Array:
        """First hours of their courses, as a column [h]."""
        return self.each(lambda one: one.begins_h)

    @property
    def first(self) -> HoldScenario:
        """The one that is told."""
        return self.all[0]

    @property
    def family(self) -> Family:
        """The family of the meat."""
        return self.first.cut.kind.family

    def each(self, of: Callable[[HoldScenario], float]) -> Array:
        """A number of each run, as a column."""
        return _column([of(one) for one in self.all])

    def by_pace(self, series: Callable[[Pace], Array]) -> list[Array]:
        """A series for each run that hangs on its pace alone: runs of one pace share one."""
        made = {pace: series(pace) for pace in {one.pace for one in self.all}}
        return [made[one.pace] for one in self.all]

    def along(self, series: Callable[[HoldScenario], Array]) -> Array:
        """A series of each run's salt at these hours; before its course begins all goes with the root of time."""
        found = np.array([np.interp(at, LOG_FO, series(one)) for at, one in zip(self.clocks, self.all, strict=True)])
        early = self.hours[0] < self.begin_h.max()
        return np.sqrt(np.minimum(1.0, self.hours / self.begin_h)) * found if early else found


def _column(numbers: Sequence[float]) -> Array:
    return np.array(numbers)[:, np.newaxis]


def concerns_of(runs: Sequence[HoldScenario], hours: Array) -> tuple[Concern, ...]:
    """Every concern that bears on a hold, at these hours [h], in runs that differ in pace, thickness and salt."""
    hold, balance, cut = runs[0].hold, runs[0].balance, runs[0].cut
    those = _Runs(
        runs,
        hours,
        kept=_column([kept_share(one) for one in runs]),
        strength=_column([softening_strength(one) for one in runs]),
        aims=aim_weights(hold.aim, balance.paste_kg, cut.meat_kg, cut.kind.family),
    )
    found = (
        concern(those) for concern in (_seasoned, _aroma, _tenderised, _cured, _soured, _salty, _sour, _soft, _texture)
    )
    return tuple(one for one in found if one is not None)


def _seasoned(runs: _Runs) -> Concern:
    """Share of the depth that is eaten which tastes seasoned, or whose salt goes to the heat outside."""

    def tasting(one: HoldScenario) -> Array:
        """Share of that depth which tastes of salt, over time."""
        settled, unit_settled = one.contact.settled, one.unit_settled
        lean = levels.TASTED_OF_SETTLED * unit_settled
        from_ = lean if settled <= 0 else min(TASTED_SALT_KG_PER_KG_WATER.value * unit_settled / settled, lean)
        return one.outer_tasting_of(seasoned_depth_m(one, levels.BITE_M[runs.family]), from_)

    def asked_of(one: HoldScenario) -> float:
        """How much of it the salt of the mix lets one ask for."""
        salted = levels.ramp(one.contact.settled / TASTED_SALT_KG_PER_KG_WATER.value, 0.0, 1.5)
        return max(salted, bath_share(one))

    share = np.maximum.accumulate(runs.along(tasting), axis=1)
    seasoned = share + (1 - share) * levels.OUTSIDE_COUNTS[runs.family] * runs.kept
    works = _column([levels.ramp(one, levels.WORKS_FROM, levels.WORKS_FULL) for one in runs.strength[:, 0].tolist()])
    asked = runs.each(asked_of) * (1 - levels.WORTH * works)
    return Concern("seasoned", True, 1 - asked * runs.aims.season * (1 - seasoned))


def _aroma(runs: _Runs) -> Concern:
    missing = 1 - levels.AROMA_BASE - levels.AROMA_KEPT * runs.kept
    return Concern("aroma", True, 1 - missing * np.exp(-runs.hours / levels.AROMA_H[runs.family]))


def _salty(runs: _Runs) -> Concern:
    """Salt of the rim as it is eaten, bounded by what the mix settles to, against the aim."""
    target = max(runs.first.hold.salt_target, levels.LEAST_AIM)  # who wants none is held to what nobody tastes
    aim = target * (1 + levels.CURED_MORE_SALT * runs.aims.cure)  # cured is saltier than seasoned
    whole = runs.each(lambda one: one.water_share * one.contact.settled / aim)
    if runs.family == "plant":  # takes what the mix settles to within the hour: a matter of the mix, not of hours
        held = np.ones((len(runs.all), len(runs.hours)))
        return Concern("salty", False, held, float(_hill(whole[0, 0], levels.ALL_HALF, levels.SALTY_STEEP)))
    salt = runs.along(lambda one: one.outer_salt(asked_depth_m(one, levels.RIM_M[runs.family])))
    rim = np.maximum.accumulate(salt, axis=1) * runs.first.water_share / aim
    eaten = rim * whole / np.sqrt(rim**2 + whole**2 + 1e-12)  # a rub's rim is not held against it: it settles
    brought = runs.each(lambda one: one.balance.total("salt").value / aim)
    start = np.minimum(runs.kept * brought, whole)
    patted = np.minimum(runs.each(lambda one: kept_share(one, "patted")) * brought, whole)
    usual = np.maximum(start, patted)  # what is rinsed off is not there to be tasted: it makes nothing saltier
    settles_h = runs.each(_settles_h)
    taken = np.maximum(eaten - usual, 0.0) * (1 + runs.hours / settles_h) ** levels.CURES_POWER
    first = _hill(usual, levels.SALTY_HALF, levels.SALTY_STEEP)
    falls = _hill(start + taken, levels.SALTY_HALF, levels.SALTY_STEEP)
    spoilt = np.minimum(1.0, (falls + levels.ONLY_SO_BAD) / (first + levels.ONLY_SO_BAD))
    worth = float(_hill(start[0, 0], levels.ALL_HALF, levels.SALTY_STEEP))
    return Concern("salty", False, np.minimum.accumulate(spoilt, axis=1), worth)


def _settles_h(one: HoldScenario) -> float:
    """Hours in which what is taken up begins to cure [h]."""
    way_m = min(max(one.cut.way_in.far_m, levels.CURES_LEAST_M), levels.CURES_WAY_M)
    return levels.CURES_FO * way_m**2 / (one.pace.diffusivity * 3600)


def _sour(runs: _Runs) -> Concern | None:
    """Hours at 4 C at the surface, weighed by how far its pH is under that of the raw meat [pH^1.5 h]."""
    acid, family = runs.first.acid, runs.family
    if acid is None or family not in levels.SOUR_HALF:
        return None
    tau, worked = _soured_outside(acid, family, runs.first.cut.kind.fat_share)
    sour = np.array(runs.by_pace(lambda pace: np.interp(runs.hours, pace.hours_at(tau), worked)))
    half = levels.SOUR_HALF[family] * _grown(runs, levels.SOUR_AT_M, levels.SOUR_POWER[family])
    wanted = max(runs.aims.sour, runs.aims.cure)  # the mild acid of a bed of paste belongs to what it makes of the meat
    return Concern("sour", False, 1 - (1 - wanted) * (1 - _hill(sour, half, levels.SOUR_STEEP)))


def _grown(runs: _Runs, usual_m: float, power: float) -> Array:
    """How a level grows with the thickness of the piece [1]."""
    return runs.each(lambda one: (one.cut.way_in.thickness_m / usual_m) ** power)


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


def _softened(runs: _Runs) -> Array | None:
    """Softening against what is half too much [1]; nothing without a live enzyme."""
    if runs.strength[0, 0] <= 0:
        return None
    worked = runs.first.pace.softening_at(runs.hours)
    done = runs.each(softened_before)
    stands_h = levels.SOFT_HALF_H[runs.family] * levels.STANDS[runs.first.cut.kind.toughness]
    size = _grown(runs, levels.SOFT_AT_M, levels.SOFT_POWER)
    return np.asarray((runs.strength * worked + done) / (stands_h * size))


def softened_at(scenario: HoldScenario, hours: float) -> float:
    """Softening at an hour against what is half too much [1]; nothing without a live enzyme."""
    strength = _column([softening_strength(scenario)])
    softened = _softened(_Runs([scenario], np.array([hours]), np.zeros((1, 1)), strength, AimWeights()))
    return 0.0 if softened is None else float(softened[0, 0])


def _soft(runs: _Runs) -> Concern | None:
    softened = _softened(runs)
    return None if softened is None else Concern("soft", False, _hill(softened, 1.0, levels.SOFT_STEEP))


def _tenderised(runs: _Runs) -> Concern | None:
    """How far the fruit has come on its way, where that is the aim."""
    softened = _softened(runs) if runs.aims.tenderise > 0 else None
    if softened is None:
        return None
    done = 1 - _hill(softened, levels.TENDER_SHARE, levels.TENDER_STEEP)
    return Concern("tenderised", True, 1 - runs.aims.tenderise * (1 - done))


def _cured(runs: _Runs) -> Concern | None:
    """How far a bed of paste has come, where that is the aim."""
    share = runs.aims.cure_share
    if share <= 0:
        return None
    cured = 1 - np.exp(-runs.hours / (levels.CURED_H[runs.family] * share))
    return Concern("cured", True, np.broadcast_to(cured, (len(runs.all), len(cured))))  # the same in all runs


def _soured(runs: _Runs) -> Concern | None:
    """How sour the core has become, where it is to be sour all through."""
    acid, raw, wanted = runs.first.acid, RAW_PH[runs.family], runs.aims.sour
    if acid is None or wanted <= 0:
        return None
    tau = np.concatenate(([0.0], acid.tau_m2))
    core = np.minimum.accumulate(np.concatenate(([raw], acid.core_ph)))
    done = np.clip((raw - core) / (raw - levels.SOUR_CORE_PH), 0.0, 1.0)
    come = np.array(runs.by_pace(lambda pace: np.interp(runs.hours, pace.hours_at(tau), done)))
    return Concern("soured", True, 1 - wanted * (1 - come))


def _texture(runs: _Runs) -> Concern | None:
    if runs.family not in ("red", "mince"):
        return None
    half_h = levels.TEXTURE_HALF_H * _grown(runs, levels.TEXTURE_AT_M, levels.TEXTURE_POWER)
    return Concern("texture", False, _hill(runs.hours, half_h, levels.TEXTURE_STEEP))


def _hill(x: Array | float, half: Array | float, steep: float) -> Array:
    """Falls from 1 through a half at ``half``."""
    return np.asarray(1.0 / (1.0 + (np.maximum(x, 0.0) / half) ** steep))
