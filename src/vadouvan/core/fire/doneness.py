"""When it is done: the core that national guidance asks for by species, and what the cook chose instead."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Literal

from vadouvan.core.constants import (
    FISH_DONE_C,
    MINCE_DONE_C,
    NON_INTACT_DONE_C,
    POULTRY_DONE_C,
    UK_DONE_C,
    WHOLE_RED_DONE_C,
    WHOLE_RED_REST,
    Constant,
)
from vadouvan.core.cut.cut import Cut
from vadouvan.core.figure import number_told

School = Literal["guidance", "own"]


@dataclass(frozen=True)
class Guidance:
    """Core [C] and rest [min] of a guidance, with what it is for and its source."""

    core_c: float
    rest_min: float
    says: str
    source: str


@dataclass(frozen=True)
class Doneness:
    """The core to cook to, the guidance beside it, and whether it is below that."""

    core_c: float | None
    guidance: Guidance | None
    is_below: bool
    says: str


def guidance_for(cut: Cut) -> Guidance | None:
    """What guidance asks of a cut as it was prepared; none for plants.

    Whole red meat that was pricked, slit or stuffed counts as non-intact: bacteria of the surface are inside.
    """
    family, poultry = cut.kind.family, cut.kind.species in ("chicken", "turkey", "duck", "quail", "hen")
    if family == "plant":
        return None
    if family == "poultry" or (family == "mince" and poultry):
        return _guidance(POULTRY_DONE_C, "poultry")
    if family == "mince":
        return _guidance(MINCE_DONE_C, "minced meat")
    if family in ("fish", "shellfish"):
        return _guidance(FISH_DONE_C, "fish and seafood")
    if not cut.prepared.surface.intact:
        core = NON_INTACT_DONE_C
        return Guidance(core.value, 0.0, "opened up: non-intact meat, for 17 seconds in the middle", core.source)
    core = WHOLE_RED_DONE_C
    return Guidance(core.value, WHOLE_RED_REST.value, "whole meat, then 3 minutes of rest", core.source)


def _guidance(core: Constant, what: str) -> Guidance:
    return Guidance(core.value, 0.0, what, core.source)


def doneness_of(cut: Cut, school: School, own_c: float | None) -> Doneness:
    """The core to cook to: guidance, unless the cook chose one of their own."""
    guidance = guidance_for(cut)
    if guidance is None:
        return Doneness(own_c, None, False, "" if own_c is None else f"To a core of {number_told(own_c)} °C.")
    core_c = own_c if school == "own" and own_c is not None else guidance.core_c
    is_below = core_c < guidance.core_c
    asks = f"{number_told(guidance.core_c)} °C ({guidance.says})"
    uk = f"In the UK {number_told(UK_DONE_C.value)} °C for 2 minutes, or the same effect."
    if is_below:
        warned = "Not for the old, the young, the ill or the pregnant."
        says = f"{number_told(core_c)} °C is below guidance, which asks for {asks}. {warned}"
    elif core_c == guidance.core_c:
        says = f"Guidance asks for {asks}. {uk}"
    else:
        says = f"{number_told(core_c)} °C, above the {asks} that guidance asks for."
    return Doneness(core_c, guidance, is_below, says)
