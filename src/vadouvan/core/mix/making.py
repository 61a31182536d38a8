"""How a mix is made before it meets the meat: boiled down, cooled, iced, pounded with water, fished out.

Each answer is a step with grams and minutes; what leaves the mix on the way (steam, whole
aromatics of a cooked mix) is taken off what meets the meat, and heat ends every enzyme.
"""

from __future__ import annotations

import math
from collections.abc import Iterator, Sequence
from dataclasses import replace
from typing import Literal

from vadouvan.core.constants import (
    BOILING_C,
    CONCENTRATE_C,
    CONTACT_C,
    COOLING_LAYER_M,
    FREEZER_ICE_C,
    FRIDGE_USUAL_C,
    FRYING,
    HOT_C,
    HOT_TO_WARM_S,
    ICE_BATH_C,
    ICE_BATH_COOLING,
    ICE_HEAT_CAPACITY,
    ICE_MELTING_HEAT,
    LOOSE_PASTE_WATER,
    MIX_HEAT_PER_VOLUME,
    PAN_BOILS_OFF_KG_PER_S,
    SATURATION_KG_PER_KG_WATER,
    SPREADABLE_PASTE_WATER,
    STILL_AIR_COOLING,
    THICK_PASTE_WATER,
    WARM_C,
    WARM_TO_COLD_S,
    WATER_HEAT_CAPACITY,
)
from vadouvan.core.figure import hours_told, number_told
from vadouvan.core.measures.numbers import Interval
from vadouvan.core.mix.leaving import FRESH_GROUPS, STRAINED_OFF, fried, least_left_kg, lifting, simmered_off
from vadouvan.core.parsing.amount import Portion
from vadouvan.unchanging import unchanging

Method = Literal["raw", "fried", "cooked", "concentrate", "pounded"]
Cooling = Literal["ice_bath", "fridge"]
Texture = Literal["thick", "spreadable", "loose"]
StepKind = Literal["note", "warn", "stop"]

DEFAULT_SIMMER_S = 600.0
TEXTURE_WATER = {"thick": THICK_PASTE_WATER, "spreadable": SPREADABLE_PASTE_WATER, "loose": LOOSE_PASTE_WATER}
WATER, ICE = "water", "ice"


@unchanging
class Making:
    """How the mix is made.

    ``reduce_to_kg`` is its weight after boiling down, ``strained`` whether its solids are strained off,
    ``first_contact_s`` of two steps.
    """

    method: Method = "raw"
    simmer_s: float = DEFAULT_SIMMER_S
    reduce_to_kg: float | None = None
    cooling: Cooling = "ice_bath"
    texture: Texture | None = None
    first_contact_s: float | None = None
    strained: bool = False


MakingId = Literal[
    "lift", "fry", "simmer", "reduce", "cool", "cool-first", "ice", "pound", "burns", "stains", "alcohol", "set-aside",
    "vessel", "first",
]  # fmt: skip


@unchanging
class MakingStep:
    """One thing to do, or to mind, with its minutes; ``kind`` of a caution, or a plain step."""

    id: MakingId
    says: str
    minutes: float = 0.0
    kind: StepKind = "note"
    hands_on: bool = True


@unchanging
class Ready:
    """The mix when it is ready: its lines, water boiled off [kg], weight [kg], what was fished out, the steps."""

    portions: tuple[Portion, ...]
    boiled_off_kg: float
    mass_kg: Interval
    lifted: tuple[Portion, ...]
    steps: tuple[MakingStep, ...]


def make(portions: Sequence[Portion], making: Making, lifted: frozenset[str] = frozenset()) -> Ready:
    """The ready mix and the steps to it. ``lifted`` names lines that go in whole and are fished out."""
    cooked = making.method == "cooked"
    whole = tuple(portion for portion in portions if _comes_out(portion, making, lifted))
    rest = [portion for portion in portions if portion not in whole]
    fried_off_kg = 0.0
    if making.method == "fried":
        rest, lost = map(list, zip(*map(fried, rest), strict=True)) if rest else ([], [])
        fried_off_kg = sum(lost)
    if cooked:
        rest = [replace(portion, ingredient=replace(portion.ingredient, enzyme=None)) for portion in rest]
    total_kg = sum(portion.mass_kg.value for portion in rest)
    steam = _boiled_off(rest, making, total_kg) if cooked else Interval.exactly(fried_off_kg)
    out = lifting(rest, whole, cooked=cooked)
    stays = 1 - out.share_along
    kept = (*(portion.part(stays) for portion in rest), *out.left_behind)
    boiled_off_kg = steam.value * stays
    steps = tuple(_steps(kept, whole, making, total_kg, steam))
    kept_kg = [sum(getattr(portion.mass_kg, end) for portion in kept) for end in ("value", "low", "high")]
    mass = Interval(
        kept_kg[0] - boiled_off_kg, max(0.0, kept_kg[1] - steam.high * stays), kept_kg[2] - steam.low * stays
    )
    return Ready(kept, boiled_off_kg, mass, whole, steps)


def _comes_out(portion: Portion, making: Making, lifted: frozenset[str]) -> bool:
    return portion.line_id in lifted or (making.strained and portion.ingredient.group in STRAINED_OFF)


def _boiled_off(portions: Sequence[Portion], making: Making, total_kg: float) -> Interval:
    """Water that leaves as steam [kg]: by the weight on the scale where that was said, else by the minutes."""
    if making.reduce_to_kg is None:
        return simmered_off(portions, making.simmer_s)
    most_kg = max(0.0, total_kg - least_left_kg(portions))
    return Interval.exactly(min(max(0.0, total_kg - making.reduce_to_kg), most_kg))


def _steps(
    kept: Sequence[Portion], whole: Sequence[Portion], making: Making, total_kg: float, steam: Interval
) -> Iterator[MakingStep]:
    if making.method == "concentrate":
        yield from _concentrate(kept)
    if making.method == "pounded" and making.texture is not None:
        yield from _pounded(kept, making.texture)
    if making.method == "fried":
        yield from _fried(kept, making, steam)
    if making.method == "cooked":
        yield from _cooked(making, total_kg, steam)
    if whole:
        names = ", ".join(portion.ingredient.also_called[0] for portion in whole)
        verb = "Strain off" if making.strained else "Fish out"
        when = "before cooling" if making.method == "cooked" else "before cooking"
        yield MakingStep("lift", f"{verb} {when}: {names}.")
    yield from _remarks(kept, making)


def _fried(kept: Sequence[Portion], making: Making, steam: Interval) -> Iterator[MakingStep]:
    names = [portion.ingredient.also_called[0] for portion in kept if portion.ingredient.group in FRESH_GROUPS]
    if not names:
        yield MakingStep(
            "fry", "Nothing fresh in this mix to fry: onion, garlic, ginger, chillies, herbs.", kind="warn"
        )
        return
    grams = number_told(steam.value * 1000)
    says = f"Fry {', '.join(names)} soft over a medium flame; about {grams} g of water leave. Then stir in the rest."
    yield MakingStep("fry", says, FRYING.value)
    yield from _cooled(making.cooling)


def _cooked(making: Making, total_kg: float, steam: Interval) -> Iterator[MakingStep]:
    simmer = f"Simmer {hours_told(making.simmer_s / 3600)}."
    if making.reduce_to_kg is None:
        low, high = (number_told(kg * 1000) for kg in (steam.low, steam.high))
        simmer += f" In an open pot {low} to {high} g boil away; the weight on the scale says it better."
    yield MakingStep("simmer", simmer, making.simmer_s / 60)
    if making.reduce_to_kg is not None and steam.value > 0:
        minutes = steam.value / PAN_BOILS_OFF_KG_PER_S.value / 60
        more = max(0.0, minutes - making.simmer_s / 60)
        left = number_told((total_kg - steam.value) * 1000)
        yield MakingStep(
            "reduce",
            f"Boil {number_told(steam.value * 1000)} g off, down to {left} g on the scale; "
            f"about {number_told(minutes)} min in a wide pan, simmer included.",
            more,
        )
    yield from _cooled(making.cooling)


def cooling_s(cooling: Cooling, start_c: float, end_c: float) -> float:
    """Time for a shallow layer to cool, well stirred, by Newton's law [s].

    Both faces of the layer count in air, bottom and walls in ice water. An estimate: the
    heat transfer of fridges and basins differs by half either way.
    """
    rate, around_c = (
        (2 * STILL_AIR_COOLING.value, FRIDGE_USUAL_C.value)
        if cooling == "fridge"
        else (ICE_BATH_COOLING.value, ICE_BATH_C.value)
    )
    time_s = MIX_HEAT_PER_VOLUME.value * COOLING_LAYER_M.value / rate
    return time_s * math.log((start_c - around_c) / (end_c - around_c))


def cools_in_time(cooling: Cooling) -> bool:
    """Whether the mix passes 60 to 21 C within two hours and on to 5 C within four more."""
    first = cooling_s(cooling, HOT_C.value, WARM_C.value)
    return first <= HOT_TO_WARM_S.value and (cooling_s(cooling, WARM_C.value, CONTACT_C.value) <= WARM_TO_COLD_S.value)


def _cooled(cooling: Cooling) -> Iterator[MakingStep]:
    seconds = cooling_s(cooling, BOILING_C.value, CONTACT_C.value)
    where = "in a pot stirred in ice water" if cooling == "ice_bath" else "in a shallow tray in the fridge"
    yield MakingStep(
        "cool",
        f"Cool to 5 C before it meets meat: about {hours_told(seconds / 3600, 'up')} {where}, no deeper than 3 cm.",
        seconds / 60,
        hands_on=cooling == "ice_bath",
    )
    if not cools_in_time(cooling):
        yield MakingStep(
            "cool-first",
            "That is slower than 60 to 21 C in two hours and to 5 C in four more. Cool it in ice water instead.",
            kind="stop",
        )


def ice_share(hot_c: float, ready_c: float, ice_c: float) -> float:
    """Ice as a share of all water, for hot water plus ice to end at ``ready_c`` [1]: heat lost is heat gained.

    >>> round(ice_share(80.0, 4.0, -18.0), 2)
    0.45
    """
    gives = WATER_HEAT_CAPACITY.value * (hot_c - ready_c)
    takes = ICE_HEAT_CAPACITY.value * -ice_c + ICE_MELTING_HEAT.value + WATER_HEAT_CAPACITY.value * ready_c
    return gives / (gives + takes)


def _concentrate(portions: Sequence[Portion]) -> Iterator[MakingStep]:
    """Part of the water hot with all that dissolves, the rest as ice: the ice that was written, or worked out."""
    written_kg = sum(portion.mass_kg.value for portion in portions if portion.ingredient.id == ICE)
    water_kg = written_kg + sum(portion.mass_kg.value for portion in portions if portion.ingredient.id == WATER)
    if water_kg <= 0:
        yield MakingStep(
            "ice",
            "There is no plain water in this mix to make a hot concentrate from, and none to freeze.",
            kind="warn",
        )
        return
    share = ice_share(CONCENTRATE_C.value, CONTACT_C.value - 1, FREEZER_ICE_C.value)
    ice_kg = written_kg or share * water_kg
    hot_kg = water_kg - ice_kg
    salt_kg = sum(portion.mass_kg.value * portion.ingredient.salt.value for portion in portions)
    if salt_kg > SATURATION_KG_PER_KG_WATER.value * hot_kg:
        yield MakingStep(
            "ice", "So much salt does not dissolve in the hot part. Use less ice and cool it longer.", kind="warn"
        )
    missing_kg = share * water_kg - ice_kg
    cold = "that comes to 4 C. Measure it."
    if missing_kg > 0.05 * water_kg:
        cold = f"that is {number_told(missing_kg * 1000)} g of ice in place of water too little for 4 C: cool it on."
    yield MakingStep(
        "ice",
        f"Dissolve salt and sugar in {number_told(hot_kg * 1000)} g of water at {CONCENTRATE_C.value:.0f} C with the "
        f"aromatics, then stir in {number_told(ice_kg * 1000)} g of ice from the freezer: {cold}",
        15.0,
    )


def water_to_add_kg(portions: Sequence[Portion], share: float) -> float:
    """Water that brings a paste to a share of water by weight [kg]; negative when it has more."""
    total_kg = sum(portion.mass_kg.value for portion in portions)
    water_kg = sum(portion.mass_kg.value * portion.ingredient.water for portion in portions)
    return (share * total_kg - water_kg) / (1 - share)


def _pounded(portions: Sequence[Portion], texture: Texture) -> Iterator[MakingStep]:
    constant = TEXTURE_WATER[texture]
    more_kg = water_to_add_kg(portions, constant.value)
    low, high = (number_told(max(0.0, water_to_add_kg(portions, end) * 1000)) for end in (constant.low, constant.high))
    if more_kg > 0.001:
        says = f"For a {texture} paste add about {number_told(more_kg * 1000)} g of water ({low} to {high}), by spoons."
    elif water_to_add_kg(portions, constant.high) >= 0:
        says = f"As it is, this comes to a {texture} paste."
    else:
        says = (
            f"This has {number_told(-more_kg * 1000)} g more water than a {texture} paste: drain or strain something."
        )
    yield MakingStep("pound", f"Pound the dry and tough things first, then the juicy ones. {says}", 15.0)


def _remarks(portions: Sequence[Portion], making: Making) -> Iterator[MakingStep]:
    burns = [portion.ingredient.also_called[0] for portion in portions if _clings_and_burns(portion)]
    if burns:
        yield MakingStep(
            "burns", f"Darkens early and looks burned before it is: {', '.join(burns)}. Wipe it off before searing."
        )
    stains = [portion.ingredient.also_called[0] for portion in portions if portion.ingredient.stains]
    if stains:
        yield MakingStep("stains", f"Stains hands, boards and plastic: {', '.join(stains)}.")
    if making.method == "cooked" and any(portion.ingredient.alcohol > 0 for portion in portions):
        yield MakingStep("alcohol", "Not all of the alcohol boils off.")


def _clings_and_burns(portion: Portion) -> bool:
    """Solids and sugars that scorch; liquids and plain salt are wiped with the rest."""
    item = portion.ingredient
    return item.burns and (item.sugar.value >= 0.15 or item.group in ("aromatic_fresh", "herb_fresh", "spice_dried"))
