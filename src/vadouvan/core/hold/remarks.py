"""Remarks on the vessel, the air, the turns and the fridge and warnings."""

from __future__ import annotations

import math
from collections.abc import Iterator
from typing import Literal

from vadouvan.core.constants import (
    FRIDGE_ADVISED_C,
    JAR_SAFE_PH,
    OPEN_AIR_LOSS_KG_PER_M2_S,
    SUGAR_OVER_SALT,
    UNTURNED_SHARE,
    VACUUM_CLAIM,
)
from vadouvan.core.figure import hours_told, number_told
from vadouvan.core.hold.scenario import HoldScenario
from vadouvan.core.hold.storage import hours_allowed
from vadouvan.unchanging import unchanging

MATTERS_KG_PER_KG = 0.001
RemarkKind = Literal["note", "warn"]


@unchanging
class Remark:
    """One remark with the source it rests on."""

    id: str
    kind: RemarkKind
    says: str
    source: str


def remarks_on(scenario: HoldScenario, hours: float, latest_h: float) -> list[Remark]:
    """All remarks on a hold of so many hours."""
    return [
        *_near_surface(scenario),
        *_fridge(scenario, hours),
        *_vacuum(scenario),
        *_turns(scenario),
        *_air(scenario, hours),
        *_jar(scenario, latest_h),
    ]


def _near_surface(scenario: HoldScenario) -> Iterator[Remark]:
    """Sugar lags behind salt, and what smells hardly goes in at all."""
    if scenario.cut.kind.is_minced or (
        scenario.balance.total("sugar").value < MATTERS_KG_PER_KG
        and scenario.balance.total("aroma").value < MATTERS_KG_PER_KG
    ):
        return
    share = math.sqrt(SUGAR_OVER_SALT.value)
    says = (
        f"Sugar gets about {share:.1f} times as deep as salt; what smells stays in the outer 1 to 3 mm, however long."
    )
    yield Remark("near-surface", "note", says, "calibration")


def _fridge(scenario: HoldScenario, hours: float) -> Iterator[Remark]:
    if not scenario.cut.kind.needs_cold:
        return
    warmest = max(degrees for hour, degrees in scenario.hold.course if hour <= hours)
    if warmest > FRIDGE_ADVISED_C.value:
        days_h = scenario.cut.kind.keeps_s / 3600
        times = days_h / hours_allowed(days_h, warmest)
        says = (
            f"{number_told(warmest)} C is warmer than the {FRIDGE_ADVISED_C.value:.0f} C advised at most: each hour of "
            f"it counts for {number_told(times)} of the hours that it keeps."
        )
        yield Remark("fridge-warm", "warn", says, "fsis")
    else:
        yield Remark("fridge", "note", "At or below 4 C (5 C in the UK and EU) all the time.", "fsis")


def _vacuum(scenario: HoldScenario) -> Iterator[Remark]:
    if not scenario.hold.vacuum:
        return
    if scenario.hold.vacuum_claim:
        says = f"Counted {VACUUM_CLAIM.value:.0f} times as fast because you chose that school: claimed, not derived."
    else:
        says = (
            "A sealed bag does not push salt in: it wets every face with little mix. Days are no longer than unpacked."
        )
    yield Remark("vacuum", "note", says, "calibration")


def _turns(scenario: HoldScenario) -> Iterator[Remark]:
    if not scenario.hold.turned and not scenario.hold.vacuum:
        share = UNTURNED_SHARE.value
        times = f"{1 / share**2:.1f} times as long"
        says = f"Left lying, about {share:.0%} of the surface meets the mix, so salt takes {times}."
        yield Remark("turns", "note", says, "calibration")


def _air(scenario: HoldScenario, hours: float) -> Iterator[Remark]:
    if not scenario.hold.open_air:
        return
    lost = [
        constant * scenario.cut.open_area_m2 * hours * 3600 / scenario.cut.meat_kg * 100
        for constant in (OPEN_AIR_LOSS_KG_PER_M2_S.low, OPEN_AIR_LOSS_KG_PER_M2_S.high)
    ]
    low, high = (number_told(min(share, 30.0)) for share in lost)
    says = f"Uncovered it dries by {low} to {high} % of its weight by then, at the surface first; less salt goes in."
    yield Remark("open-air", "note", says, "calibration")


def _jar(scenario: HoldScenario, latest_h: float) -> Iterator[Remark]:
    """How sour the middle of a sour jar gets; the fridge all the way, whatever tradition says."""
    if (
        scenario.acid is None
        or scenario.balance.ph is None
        or scenario.balance.ph >= JAR_SAFE_PH.value
        or latest_h < 24
    ):
        return
    days = scenario.pace.hours_at(scenario.acid.tau_m2) / 24
    core = scenario.acid.core_ph
    ph = float(core[int(days.searchsorted(latest_h / 24).clip(0, len(core) - 1))])
    settled = scenario.acid.settled_ph
    settles = f"; left alone it settles near {settled:.1f}" if settled < ph - 0.05 else ""
    middle = f"After {hours_told(latest_h, 'down')} the middle is at pH {ph:.1f}, within 0.2 or so{settles}."
    says = f"{middle} Keep it in the fridge throughout; acid is no cure."
    yield Remark("jar", "note", says, "fda_food_code")
