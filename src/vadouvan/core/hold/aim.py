"""Aims of a hold: how much of each aim counts, as the cook says, or as the mix tells where nothing is said."""

from __future__ import annotations

from collections.abc import Sequence

from vadouvan.core.cut.cut import Cut
from vadouvan.core.cut.kind import Family
from vadouvan.core.hold import levels
from vadouvan.core.hold.hold import HoldAim
from vadouvan.core.mix.balance import FERMENTED_PASTE
from vadouvan.core.parsing.amount import Portion
from vadouvan.unchanging import unchanging


@unchanging
class AimWeights:
    """How much each aim counts [0..1]; ``cure_share`` of the hours of a whole bed of paste cure it."""

    season: float = 1.0
    tenderise: float = 0.0
    cure: float = 0.0
    sour: float = 0.0
    cure_share: float = 0.0


_SAID: dict[HoldAim, AimWeights] = {
    "season": AimWeights(),
    "tenderise": AimWeights(season=0.0, tenderise=1.0),
    "both": AimWeights(tenderise=1.0),
    "cure": AimWeights(cure=1.0, cure_share=1.0),
    "sour": AimWeights(sour=1.0),
}


def aim_weights(said: HoldAim | None, paste_kg: float, meat_kg: float, family: Family) -> AimWeights:
    """The aims of a hold: as said, or to season, and to cure the more of it lies in a bed of fermented paste.

    >>> [aim_weights(None, paste_kg, 1.0, "fish").cure for paste_kg in (0.1, 0.4)]
    [0.0, 1.0]
    >>> aim_weights(None, 0.09, 1.0, "fish").cure_share, aim_weights(None, 0.18, 1.0, "plant").cure_share
    (0.25, 0.125)
    """
    if said is not None:
        return _SAID[said]
    bed = levels.ramp(paste_kg / meat_kg, levels.PASTE_BED_FROM, levels.PASTE_BED_FULL)
    of_a_bed = min(1.0, paste_kg / meat_kg / levels.PASTE_BED_FULL)
    return AimWeights(cure=bed, cure_share=of_a_bed ** levels.BED_POWER[family])


def aim_assumed(portions: Sequence[Portion], cut: Cut) -> HoldAim:
    """The aim that is told where nothing was said."""
    paste_kg = sum(one.mass_kg.value for one in portions if one.ingredient.group == FERMENTED_PASTE)
    return "cure" if aim_weights(None, paste_kg, cut.meat_kg, cut.kind.family).cure > 0.5 else "season"
