"""The hour at which food has been raw for as long as it keeps: never softened, whatever the mix."""

from __future__ import annotations

from vadouvan.core.constants import AIRLESS_COLD_C, AIRLESS_KEEPS_S, FRIDGE_ADVISED_C, JAR_SAFE_PH
from vadouvan.core.figure import hours_told
from vadouvan.core.hold.limits import Basis, Limit
from vadouvan.core.hold.scenario import HoldScenario
from vadouvan.core.hold.storage import keeps_until_h


def storage_limit(scenario: HoldScenario) -> Limit:
    """The hour at which it has been raw for as long as it keeps: the clock of raw food, not only of the mix."""
    kind, hold = scenario.cut.kind, scenario.hold
    days_h, age_h = kind.keeps_s / 3600, scenario.cut.age_s / 3600
    words = f"{hours_told(days_h)} is the most for {kind.species} in the fridge"
    basis: Basis = "safety" if kind.needs_cold else "quality"
    if not kind.needs_cold:
        return Limit("storage", days_h, words, basis, kind.hold_source)
    if airless_hours(scenario) is not None:
        days_h = min(days_h, AIRLESS_KEEPS_S.value / 3600)
        words = f"{hours_told(days_h)} is the most without air for fish, or in a mix that is not sour"
    hours = keeps_until_h(days_h, hold.course, age_h)
    if age_h > 0:
        words += f", and it has had {hours_told(age_h)} of them"
    elif hours < days_h - 0.01:
        words += f", and less in one that is warmer than {FRIDGE_ADVISED_C.value:.0f} °C"
    return Limit("storage", hours, words, basis, kind.hold_source)


def airless_hours(scenario: HoldScenario) -> float | None:
    """Hours that are left to a vacuum bag above 3 C, where the mix or the food asks for fewer than its days [h]."""
    sour = scenario.balance.ph is not None and scenario.balance.ph < JAR_SAFE_PH.value
    warm = max(celsius for _, celsius in scenario.hold.course) > AIRLESS_COLD_C.value
    if not scenario.hold.vacuum or not warm or (sour and not scenario.cut.kind.is_fish):
        return None
    return AIRLESS_KEEPS_S.value / 3600
