"""Levels of the judgement of an hour, by family where tastes differ: one set for every cut and mix.

Each has a physical or a sensory meaning and none belongs to one dish. All are our calibration on common practice
(``calibration``): agreement with cooks' hours moves by a few cases when one of them moves by a tenth, most by
BITE_M, ACCEPTABLE and BEST.
"""

from __future__ import annotations

import math
from collections.abc import Mapping

from vadouvan.core.cut.kind import Family


def ramp(value: float, low: float, high: float) -> float:
    """Share [0..1] of a value: 0 below ``low``, 1 above ``high``, smooth between."""
    u = min(1.0, max(0.0, (value - low) / (high - low)))
    return u * u * (3 - 2 * u)


def _by_family(meat: float, fish: float, plant: float) -> Mapping[Family, float]:
    """One value for meat of any kind, one for fish and shellfish, one for plants."""
    return {
        "red": meat, "mince": meat, "poultry": meat, "other": meat, "fish": fish, "shellfish": fish, "plant": plant,
    }  # fmt: skip


# How far in a cook tastes: a bite, or a forkful; joints are eaten in slices, so the depth grows with the way in
BITE_M = _by_family(0.009, 0.004, 0.004)
RIM_M = _by_family(0.005, 0.004, 0.004)  # the layer that gets too salty first
SLICE_M, SLICE_POWER = 0.0125, 0.5
OUTSIDE_OF_BITE = 0.5  # of that depth, where the cook asks for the outside alone; all through asks for the whole way in
TASTED_OF_SETTLED = 0.60  # a lean mix: this share of what it settles to counts as seasoned
# What stays on the meat when it goes to the heat: kg/m2 of plain liquid and, over it, of a paste and of a dry mix
CLING_WET_KG_PER_M2, CLING_PASTE_KG_PER_M2, CLING_DRY_KG_PER_M2, KNEE = 0.10, 0.5, 1.5, 2.0
COATED_M2_PER_KG = 0.09  # surface that a mix is spread over: a cook gives a thick piece no less of it
OUTSIDE_COUNTS = _by_family(0.55, 0.70, 0.92)  # worth of salt that stays outside against salt inside
BATH_FROM, BATH_FULL = 0.12, 1.5  # water of the mix over water of the meat: from a coating to a bath
# Salt: times the aim at which half of the pleasure is gone, in the rim from a bath and of all that is eaten
SALTY_HALF, SALTY_STEEP, ALL_HALF = 1.42, 6.0, 1.60
LEAST_AIM = 0.0005  # kg/kg: of less nobody tastes whether there is any
# What is taken up goes on curing: from Fo 0.05 of at most 10 mm, then with t^0.4
CURES_FO, CURES_POWER, CURES_WAY_M, CURES_LEAST_M = 0.05, 0.4, 0.010, 0.006
ONLY_SO_BAD = 0.15  # a mix that is too salty from the start cannot be spoilt much further by hours
# Acid: pH^1.5 h at 25 mm at which half of the pleasure is gone, and its power of thickness (slices, flakes)
UNDER_POWER, SOUR_STEEP, SOUR_AT_M = 1.5, 3.0, 0.025
SOUR_HALF: Mapping[Family, float] = {
    "red": 23.5, "mince": 23.5, "poultry": 23.5, "other": 23.5, "fish": 6.0, "shellfish": 4.5,
}  # fmt: skip
SOUR_POWER = _by_family(1.15, 0.5, 0.5)
# Lean land meat has no fat to hide that it is chalky: an hour at a pH that whitens it counts so much more
LEAN_CHALKY, LEAN_FAT, RICH_FAT = 0.6, 0.02, 0.06
CHALKY_FROM_PH, CHALKY_PH = 4.9, 4.4
# Live enzymes: hours in neat fresh pineapple juice at 4 C, for 12 mm
SOFT_HALF_H: Mapping[Family, float] = {
    "red": 2.3, "mince": 2.3, "poultry": 2.3, "other": 2.3, "fish": 1.15, "shellfish": 1.15, "plant": 2.3,
}  # fmt: skip
# Connective tissue holds a piece together: times the hours that a piece of middling toughness stands
STANDS: Mapping[str, float] = {"tender": 0.7, "moderate": 1.0, "tough": 1.2}
# Meat that a film softens: what is worked into mince meets all of the meat, as such a film its layer
SOFTENED_LAYER_KG_PER_M2 = 2.0
SOFT_STEEP, SOFT_POWER, SOFT_AT_M = 3.0, 0.35, 0.012
SOFT_REACHES_M = 0.014  # how deep the meat is that shares what a thin coat brings
# What a live tenderiser is worth waiting for less seasoning: share of the seasoning asked, at full strength
WORKS_FROM, WORKS_FULL, WORTH = 0.0, 0.65, 0.6
# Aroma: at once, more for what stays on, then with hours
AROMA_BASE, AROMA_KEPT = 0.25, 0.30
AROMA_H = _by_family(0.7, 0.2, 0.15)
# Texture of red meat in any mix
TEXTURE_HALF_H, TEXTURE_AT_M, TEXTURE_POWER, TEXTURE_STEEP = 96.0, 0.025, 0.5, 4.0
# Aims other than seasoning. A bed of fermented paste: paste over meat from which the aim is to cure, time constant of
# curing [h], and by how much the salt that is wanted then grows. Tenderised: share of the softening that is half too
# much at which half of it is there. Sour through: pH of the core that is sour enough (no licence to keep it).
PASTE_BED_FROM, PASTE_BED_FULL = 0.10, 0.36
# Hours of curing grow so with paste over meat: a thin coat needs few; on a vegetable it is hardly more than a glaze.
BED_POWER = _by_family(1.0, 1.0, 3.0)
CURED_H = _by_family(9.0, 9.0, 6.5)
CURED_MORE_SALT = 2.5
TENDER_SHARE, TENDER_STEEP = 0.25, 2.0
SOUR_CORE_PH = 4.6
# Levels of the whole: acceptable of 1 (or of the most there is, if less), good and best of the most
ACCEPTABLE, GOOD, BEST = 0.42, 0.80, 0.95
# Tastes differ: an edge is the middle of the hours at which cooks with these times the level draw it, where hours
# shorter than it takes to get things ready differ little
TASTES = tuple(math.exp(0.14 * step) for step in range(-3, 4))
AT_HAND_H = 0.25
STRAIGHT_H = 1 / 6  # what is acceptable by the time that a pan is hot may go straight to the heat
BEFORE_CROSSING = 0.83  # best is a little before a falling concern is as bad as a rising one
LIFTED_EARLIER = 0.08  # so much more of it before the salt of a bath is: what is in goes on inward, nothing comes out
COMPROMISE, NOT_RECOMMENDED = 0.50, 0.25

# How far each may move, as shares of its value (tried from a half to twice), before more than three further cases of
# the trade's tables disagree; one at a time, measured by ``python -m tests.levels``. Narrow ones carry the judgement.
MAY_MOVE: Mapping[str, tuple[float, float]] = {
    "BITE_M": (0.91, 1), "RIM_M": (0.67, 1.1), "SLICE_M": (0.91, 1.25), "SLICE_POWER": (0.8, 1.1),
    "OUTSIDE_OF_BITE": (0.5, 2), "TASTED_OF_SETTLED": (0.5, 2), "CLING_WET_KG_PER_M2": (0.5, 2),
    "CLING_PASTE_KG_PER_M2": (0.5, 2), "CLING_DRY_KG_PER_M2": (0.5, 2), "KNEE": (0.67, 2),
    "COATED_M2_PER_KG": (0.67, 2), "OUTSIDE_COUNTS": (0.67, 1.25), "BATH_FROM": (0.5, 2), "BATH_FULL": (0.5, 2),
    "SALTY_HALF": (0.91, 1), "SALTY_STEEP": (0.67, 1.25), "ALL_HALF": (0.5, 2), "LEAST_AIM": (0.5, 2),
    "CURES_FO": (0.67, 1.25), "CURES_POWER": (0.91, 1.1), "CURES_WAY_M": (0.8, 1.25), "CURES_LEAST_M": (0.5, 2),
    "ONLY_SO_BAD": (0.5, 1.25), "UNDER_POWER": (0.67, 1.25), "SOUR_STEEP": (0.5, 1.5), "SOUR_AT_M": (0.91, 1.5),
    "SOUR_HALF": (0.67, 1.1), "SOUR_POWER": (0.5, 1.1), "LEAN_CHALKY": (0.5, 2), "LEAN_FAT": (0.5, 2),
    "RICH_FAT": (0.5, 2), "CHALKY_FROM_PH": (0.5, 2), "CHALKY_PH": (0.5, 2), "SOFT_HALF_H": (0.91, 1.1),
    "STANDS": (0.91, 1.1), "SOFTENED_LAYER_KG_PER_M2": (0.5, 2), "SOFT_STEEP": (0.8, 2), "SOFT_POWER": (0.67, 1.5),
    "SOFT_AT_M": (0.67, 1.25), "SOFT_REACHES_M": (0.5, 2), "WORKS_FULL": (0.5, 2), "WORTH": (0.5, 2),
    "AROMA_BASE": (0.5, 2), "AROMA_KEPT": (0.5, 2), "AROMA_H": (0.5, 2), "TEXTURE_HALF_H": (0.5, 2),
    "TEXTURE_AT_M": (0.5, 2), "TEXTURE_POWER": (0.5, 2), "TEXTURE_STEEP": (0.5, 2), "PASTE_BED_FROM": (0.5, 2),
    "PASTE_BED_FULL": (0.5, 1.5), "BED_POWER": (0.5, 2), "CURED_H": (0.5, 2), "CURED_MORE_SALT": (0.5, 2),
    "TENDER_SHARE": (0.5, 2), "TENDER_STEEP": (0.5, 2), "SOUR_CORE_PH": (0.5, 2), "ACCEPTABLE": (1, 1),
    "GOOD": (1, 1.25), "BEST": (1, 1), "AT_HAND_H": (0.5, 2), "STRAIGHT_H": (0.5, 2), "BEFORE_CROSSING": (0.91, 1.1),
    "LIFTED_EARLIER": (0.5, 2), "COMPROMISE": (0.5, 2), "NOT_RECOMMENDED": (0.5, 2),
}  # fmt: skip
