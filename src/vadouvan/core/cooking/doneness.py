"""When it is done: the core that national guidance asks for by species, and what the cook chose instead."""

from __future__ import annotations

from typing import Literal

from vadouvan.core.constants import (
    DONE_TO_WITHIN_K,
    FISH_DONE_C,
    GAME_DONE_C,
    MINCE_DONE_C,
    NON_INTACT_DONE_C,
    POULTRY_DONE_C,
    UK_DONE_C,
    WHOLE_RED_DONE_C,
    WHOLE_RED_REST,
    Constant,
)
from vadouvan.core.cut.cut import Cut
from vadouvan.core.figure import degrees_told, number_told
from vadouvan.core.measures.quantity import degrees
from vadouvan.unchanging import unchanging

# Cores that cooks call by a word [C]: of whole red meat, rested (common practice, no source).
SAID_C = {
    "blue": 46.0, "rare": 52.0, "medium rare": 57.0, "medium": 63.0, "medium well": 68.0, "well done": 74.0,
}  # fmt: skip
COOLEST_CORE_C, HOTTEST_CORE_C = 40.0, 100.0
CORE_ACCEPTED = 'Write 40 to 100 C, such as "74 C" or "165 F", or how done it is, such as "medium rare".'
DonenessRule = Literal["guidance", "own"]


def core_said(text: str, *, field: str) -> float:
    """A core as it was typed [C], in degrees or by its word; raises InputError.

    >>> core_said("medium-rare", field="f"), core_said("145", field="f"), core_said("63 C", field="f")
    (57.0, 62.8, 63.0)
    """
    words = " ".join(text.lower().replace("-", " ").split())
    if words in SAID_C:
        return SAID_C[words]
    return degrees(text, field=field, low=COOLEST_CORE_C, high=HOTTEST_CORE_C, accepted=CORE_ACCEPTED)


@unchanging
class Guidance:
    """Core [C] and rest [min] of a guidance, with what it is for and its source."""

    core_c: float
    rest_min: float
    says: str
    source: str


@unchanging
class Doneness:
    """The core to cook to, the guidance beside it, and whether it is below that."""

    core_c: float | None
    guidance: Guidance | None
    is_below: bool
    says: str


def guidance_for(cut: Cut) -> Guidance | None:
    """Guidance for a cut as it was prepared; none for plants.

    Whole red meat that was pricked, slit or stuffed counts as non-intact: bacteria of the surface are inside.
    """
    found = _by_kind(cut)
    row_c = cut.kind.core_c
    if found is None or row_c is None or row_c <= found.core_c:
        return found
    return Guidance(row_c, found.rest_min, found.says, cut.kind.core_source)


def _by_kind(cut: Cut) -> Guidance | None:
    """Guidance of the authorities for its kind; a row of the table of cuts may ask for more, never for less."""
    kind, family = cut.kind, cut.kind.family
    if family == "plant":
        return None
    if family == "other":
        return _guidance(POULTRY_DONE_C, "meat of a kind not known here, as the strictest")
    if kind.is_bird:
        return _guidance(POULTRY_DONE_C, "poultry")
    if family == "mince":
        return _guidance(MINCE_DONE_C, "minced meat")
    if family in ("fish", "shellfish"):
        return _guidance(FISH_DONE_C, "fish and seafood")
    if kind.is_game:
        return _guidance(GAME_DONE_C, "game")
    if not cut.prepared.surface.intact:
        return _guidance(NON_INTACT_DONE_C, "opened up: non-intact meat, for 17 seconds in the middle")
    return _guidance(WHOLE_RED_DONE_C, "whole meat, then 3 minutes of rest", WHOLE_RED_REST.value)


def _guidance(core: Constant, what: str, rest_min: float = 0.0) -> Guidance:
    return Guidance(core.value, rest_min, what, core.source)


def doneness_of(cut: Cut, school: DonenessRule, own_c: float | None) -> Doneness:
    """The core to cook to: guidance, unless the cook chose one of their own."""
    guidance = guidance_for(cut)
    if guidance is None:
        return Doneness(own_c, None, False, "" if own_c is None else f"To a core of {degrees_told(own_c)} °C.")
    core_c = own_c if school == "own" and own_c is not None else guidance.core_c
    is_below = core_c < guidance.core_c - DONE_TO_WITHIN_K.value
    asks = f"{degrees_told(guidance.core_c)} °C ({guidance.says})"
    uk = f"In the UK {number_told(UK_DONE_C.value)} °C for 2 minutes, or the same effect."
    if is_below:
        warned = "Not for the old, the young, the ill or the pregnant."
        says = f"{degrees_told(core_c, 'down')} °C is below guidance, which asks for {asks}. {warned}"
    elif abs(core_c - guidance.core_c) <= DONE_TO_WITHIN_K.value:
        says = f"Guidance asks for {asks}. {uk}"
    else:
        says = f"{degrees_told(core_c)} °C, above the {asks} that guidance asks for."
    return Doneness(core_c, guidance, is_below, says)
