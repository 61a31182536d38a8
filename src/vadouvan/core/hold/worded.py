"""Concerns in words: what opens a window, what ends it, what no hour can mend."""

from __future__ import annotations

from vadouvan.core.hold.concerns import Concern, ConcernName
from vadouvan.core.hold.limits import Basis, Limit
from vadouvan.core.hold.scenario import HoldScenario

_BASIS: dict[ConcernName, Basis] = {
    "seasoned": "salt",
    "aroma": "aroma",
    "tenderised": "enzyme",
    "cured": "salt",
    "soured": "acid",
    "salty": "salt",
    "sour": "acid",
    "soft": "enzyme",
    "texture": "quality",
}


# How a concern is called beside what it is worth: good is always more
_NAMED: dict[ConcernName, str] = {
    "seasoned": "seasoned",
    "aroma": "aroma",
    "tenderised": "tender",
    "cured": "cured",
    "soured": "sour through",
    "salty": "not too salty",
    "sour": "not too sour",
    "soft": "not too soft",
    "texture": "still juicy",
}


def named(concern: Concern) -> str:
    """A concern by a short name that fits beside its worth."""
    return _NAMED[concern.name]


def limit_of(scenario: HoldScenario, concern: Concern, hours: float) -> Limit:
    """A concern as the limit that it sets at an hour."""
    tenderiser = scenario.balance.tenderiser
    fruit = f"the {tenderiser.name}" if tenderiser else "the enzyme"
    says: dict[ConcernName, str] = {
        "seasoned": "what is eaten tastes seasoned",
        "aroma": "the aroma has had its time",
        "tenderised": f"{fruit} has made it tender",
        "cured": "the paste has cured it",
        "soured": "it is sour to the core",
        "salty": "the outside gets saltier than you aim for",
        "sour": "the outside gets sour and firm",
        "soft": f"{fruit} turns the surface too soft",
        "texture": "the meat gets firm and dry in the mix",
    }
    if scenario.cut.kind.is_minced:
        says |= {
            "salty": "it gets saltier than you aim for",
            "sour": "it gets sour and crumbly",
            "soft": f"{fruit} turns it to paste",
            "texture": "the salt makes it firm and springy",
        }
    source = "common_practice" if concern.name in ("aroma", "texture") else "calibration"
    return Limit(concern.name, hours, says[concern.name], _BASIS[concern.name], source)


def at_once(scenario: HoldScenario, hours: float) -> Limit:
    """It may be pulled, or go to the heat, from the first minute."""
    where = "is worked in" if scenario.cut.kind.is_minced else "lies on it"
    return Limit("at_once", hours, f"what {where} seasons it already", "salt", "common_practice")


def before_crossing(hours: float, ends: Limit) -> Limit:
    """Best a little before what goes against it outweighs what it gains."""
    return Limit(
        "crossing", hours, f"after that it gains less than it loses, as {ends.says}", ends.basis, "calibration"
    )
