"""Preparation of the piece before the mix: each step's effect, time and caution.

A step changes what the model sees (weight, cover, way in, water on the surface) or says that it
changes nothing but time. Steps apply in the order they were done.
"""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import replace
from typing import Literal

from vadouvan.core.constants import (
    ACID_RINSE_SHARE,
    CUT_REACH,
    DEEP_SCORE_M,
    PATTED_FILM_KG_PER_M2,
    PRESSED_FILM_KG_PER_M2,
    PRICKED_FACTOR,
    SCORE_OPEN_SHARE,
    SLIT_OPEN_SHARE,
    SLIT_WIDTH_M,
    STUFFED_SLIT_OPEN_SHARE,
    WET_FILM_KG_PER_M2,
)
from vadouvan.core.cut.cover import Cover
from vadouvan.core.figure import number_told
from vadouvan.unchanging import unchanging

StepKind = Literal[
    "trimmed", "membrane_off", "divided", "scored", "slits", "pricked", "cold_soak", "hot_dip", "rinsed", "acid_rinsed",
    "patted", "pressed", "left_wet", "skin_salted",
]  # fmt: skip
CautionId = Literal["wash", "non-intact", "purge-water"]


@unchanging
class Step:
    """One step as read: only what its kind asks for is set [kg, m, count]."""

    kind: StepKind
    amount_kg: float = 0.0
    depth_m: float = 0.0
    spacing_m: float = 0.0
    crosswise: bool = False
    through_skin: bool = False
    count: int = 0
    stuffed_with: str = ""


@unchanging
class Surface:
    """The pieces on the board while steps are applied, per batch.

    ``path_length_factor`` shortens every way in (1: untouched); ``film_kg`` is water on the surface;
    ``acid_kg`` acid left by an acid rinse.
    """

    meat_kg: float
    thickness_m: float
    open_area_m2: float
    cover: Cover
    cover_m: float
    path_length_factor: float = 1.0
    film_kg: float = 0.0
    acid_kg: float = 0.0
    intact: bool = True


@unchanging
class StepEffect:
    """A step's outcome in words, with its time and what to be careful about."""

    kind: StepKind
    says: str
    minutes: float
    hands_on: bool
    caution: CautionId | None = None


@unchanging
class Prepared:
    """The surface after all steps, and each step's effect."""

    surface: Surface
    effects: tuple[StepEffect, ...]


_Outcome = tuple[Surface, StepEffect]
_DEEDS: dict[StepKind, str] = {
    "membrane_off": "take the membrane off", "pricked": "prick it along the grain", "rinsed": "rinse it",
    "cold_soak": "soak it cold, an hour", "hot_dip": "dip it hot, 30 s", "acid_rinsed": "rinse it with acid",
    "patted": "pat it dry", "pressed": "press it dry", "left_wet": "leave it wet",
    "skin_salted": "salt the skin, an hour, and rinse it",
}  # fmt: skip


def deed_told(step: Step) -> str:
    """A step as it is to be done, with its figures.

    >>> deed_told(Step("divided", spacing_m=0.03)), deed_told(Step("scored", depth_m=0.008, spacing_m=0.025))
    ('cut it apart every 30 mm', 'score it 8 mm deep every 25 mm')
    """
    deep, apart = (f"{number_told(length_m * 1000)} mm" for length_m in (step.depth_m, step.spacing_m))
    if step.kind == "trimmed":
        return f"trim {number_told(step.amount_kg * 1000)} g off"
    if step.kind == "divided":
        return f"cut it apart every {apart}"
    if step.kind == "scored":
        ways = " both ways" if step.crosswise else ""
        return f"score it {deep} deep every {apart}{ways}{', through the skin' if step.through_skin else ''}"
    if step.kind == "slits":
        stuffed = f", stuffed with {step.stuffed_with}" if step.stuffed_with else ""
        return f"cut {step.count} slits {deep} deep{stuffed}"
    return _DEEDS[step.kind]


def prepare(surface: Surface, steps: tuple[Step, ...]) -> Prepared:
    """Apply steps in order."""
    effects: list[StepEffect] = []
    for step in steps:
        surface, effect = _RULES[step.kind](surface, step)
        effects.append(effect)
    return Prepared(surface, tuple(effects))


def _trimmed(surface: Surface, step: Step) -> _Outcome:
    left_kg = surface.meat_kg - step.amount_kg
    share = left_kg / surface.meat_kg
    says = f"{number_told(step.amount_kg * 1000)} g off, {number_told(share * 100)} % of the meat left"
    area_m2 = surface.open_area_m2 * share
    return replace(surface, meat_kg=left_kg, open_area_m2=area_m2), StepEffect("trimmed", says, 10, True)


def _membrane_off(surface: Surface, _step: Step) -> _Outcome:
    if surface.cover != "membrane":
        return surface, StepEffect("membrane_off", "nothing was in the way there", 5, True)
    says = "a barrier until it is off; the face is open now"
    return replace(surface, cover="none", cover_m=0.0), StepEffect("membrane_off", says, 5, True)


def _divided(surface: Surface, step: Step) -> _Outcome:
    """The pieces are already those on the board: :func:`vadouvan.core.cut.dividing.divided` makes them."""
    says = f"{step.count} pieces, open where they were cut"
    return surface, StepEffect("divided", says, 5 + step.count / 4, True)


def _scored(surface: Surface, step: Step) -> _Outcome:
    ways = 2 if step.crosswise else 1
    gained = 2 * CUT_REACH.value * SCORE_OPEN_SHARE.value * ways * step.depth_m / step.spacing_m / 2
    factor = surface.path_length_factor * (1 + gained)
    cover_m = surface.cover_m
    if step.through_skin and surface.cover in ("skin", "fat", "rind"):
        cover_m = cover_m / (1 + cover_m / step.spacing_m)
    deep = step.depth_m >= DEEP_SCORE_M.value
    skin = ", through the skin" if step.through_skin else ""
    says = f"salt goes in {number_told((1 + gained) ** 2)} times as fast{skin}"
    after = replace(surface, path_length_factor=factor, cover_m=cover_m, intact=surface.intact and not deep)
    return after, StepEffect("scored", says, 5, True, "non-intact" if deep else None)


def _slits(surface: Surface, step: Step) -> _Outcome:
    open_share = STUFFED_SLIT_OPEN_SHARE if step.stuffed_with else SLIT_OPEN_SHARE
    added_m2 = step.count * 2 * step.depth_m * SLIT_WIDTH_M.value
    gained = CUT_REACH.value * open_share.value * added_m2 / surface.open_area_m2
    stuffed = f", held open by {step.stuffed_with}" if step.stuffed_with else ", which close again"
    says = f"{number_told(added_m2 * 1e4)} cm2 more surface{stuffed}"
    after = replace(surface, path_length_factor=surface.path_length_factor * (1 + gained), intact=False)
    return after, StepEffect("slits", says, 5 + step.count / 4, True, "non-intact")


def _pricked(surface: Surface, _step: Step) -> _Outcome:
    says = "works at the surface only, and lets some juice out"
    after = replace(surface, path_length_factor=surface.path_length_factor * PRICKED_FACTOR.value, intact=False)
    return after, StepEffect("pricked", says, 5, True, "non-intact")


def _wetted(surface: Surface) -> Surface:
    return replace(surface, film_kg=WET_FILM_KG_PER_M2.value * surface.open_area_m2)


def _film_words(surface: Surface) -> str:
    return f"{number_told(surface.film_kg * 1000)} g of water stays on it"


def _cold_soak(surface: Surface, _step: Step) -> _Outcome:
    after = _wetted(surface)
    return after, StepEffect("cold_soak", f"draws blood for an hour; {_film_words(after)}", 60, False, "purge-water")


def _hot_dip(surface: Surface, _step: Step) -> _Outcome:
    after = _wetted(surface)
    return after, StepEffect("hot_dip", f"30 s off the boil, no longer; {_film_words(after)}", 5, True, "purge-water")


def _rinsed(surface: Surface, _step: Step) -> _Outcome:
    after = _wetted(surface)
    return after, StepEffect("rinsed", _film_words(after), 5, True, "wash")


def _acid_rinsed(surface: Surface, _step: Step) -> _Outcome:
    after = _wetted(surface)
    after = replace(after, acid_kg=after.film_kg * ACID_RINSE_SHARE.value)
    says = f"{_film_words(after)}, with {number_told(after.acid_kg * 1000)} g of acid"
    return after, StepEffect("acid_rinsed", says, 5, True, "wash")


def _left_wet(surface: Surface, _step: Step) -> _Outcome:
    after = _wetted(surface)
    return after, StepEffect("left_wet", f"{_film_words(after)} and thins a paste", 0, False)


def _dried_to(film_kg_per_m2: float, kind: StepKind, minutes: float) -> Callable[[Surface, Step], _Outcome]:
    def dried(surface: Surface, _step: Step) -> _Outcome:
        """Water and acid left after drying."""
        film_kg = film_kg_per_m2 * surface.open_area_m2
        acid_kg = surface.acid_kg * film_kg / surface.film_kg if surface.film_kg > 0 else 0.0
        after = replace(surface, film_kg=film_kg, acid_kg=acid_kg)
        return after, StepEffect(kind, _film_words(after), minutes, True)

    return dried


def _skin_salted(surface: Surface, _step: Step) -> _Outcome:
    after = _wetted(surface)
    return after, StepEffect(
        "skin_salted", f"an hour in the fridge, then rinsed off; {_film_words(after)}", 65, True, "wash"
    )


_RULES: dict[StepKind, Callable[[Surface, Step], _Outcome]] = {
    "trimmed": _trimmed,
    "membrane_off": _membrane_off,
    "divided": _divided,
    "scored": _scored,
    "slits": _slits,
    "pricked": _pricked,
    "cold_soak": _cold_soak,
    "hot_dip": _hot_dip,
    "rinsed": _rinsed,
    "acid_rinsed": _acid_rinsed,
    "left_wet": _left_wet,
    "patted": _dried_to(PATTED_FILM_KG_PER_M2.value, "patted", 3),
    "pressed": _dried_to(PRESSED_FILM_KG_PER_M2.value, "pressed", 10),
    "skin_salted": _skin_salted,
}
