"""Reading how it is cooked: the stages, one after another."""

from __future__ import annotations

from typing import get_args

from vadouvan.core.constants import ROLLING_BOIL, USUAL_BOIL
from vadouvan.core.cooking.doneness import DonenessRule
from vadouvan.core.cooking.fire import FireInterpretation
from vadouvan.core.cooking.stages import Brush, CookPlace, CookStage
from vadouvan.core.cooking.surface import Left
from vadouvan.core.draft.typed import MOST_STAGES, YES, FireInput, StageInput
from vadouvan.core.interpretation.notes import Notes
from vadouvan.core.measures.quantity import BOIL, COOK, MIX_MASS, decimal, degrees, quantity
from vadouvan.errors import InputError

PLACES: dict[str, CookPlace] = {name: name for name in get_args(CookPlace)}
BRUSHES: dict[str, Brush] = {name: name for name in get_args(Brush) if name}
SCHOOLS: dict[str, DonenessRule] = {name: name for name in get_args(DonenessRule)}
SURFACES: dict[str, Left] = {name: name for name in get_args(Left)}
FREEZES = {"raw": False, "cooked": True}
SAUCES = {"discard": False, "boil": True}
AIR = {"fan": True, "plain": False}
COOLEST_C, HOTTEST_C = 40.0, 400.0
HEAT_ACCEPTED = 'Write 40 to 400 C, such as "200 C" or "390 F".'
CORE_ACCEPTED = 'Write 40 to 100 C, such as "74 C" or "165 F".'


def read_fire(said: FireInput, notes: Notes) -> FireInterpretation:
    """Every answer about the fire."""
    stages = read_stages(said, notes)
    school = notes.choice(said.doneness, SCHOOLS, ("guidance", "guidance"), "fire.doneness")
    own_c = None
    if said.core:
        own_c = notes.attempt(lambda: degrees(said.core, field="fire.core_c", low=40, high=100, accepted=CORE_ACCEPTED))
    boils = notes.choice(said.sauce, SAUCES, (False, "discard"), "fire.sauce")
    reduce_kg, reduce_share = _reduce_to(said, notes)
    return FireInterpretation(
        stages=stages,
        surface=notes.choice(said.surface, SURFACES, ("patted", "patted"), "fire.surface"),
        school=school,
        own_core_c=own_c,
        boils=boils,
        boil_s=_boil_s(said, boils, notes),
        reduce_to_kg=reduce_kg,
        reduce_share=reduce_share,
        freezes_cooked=notes.choice(said.freeze, FREEZES, (False, "raw"), "fire.freeze"),
    )


def _boil_s(said: FireInput, boils: bool, notes: Notes) -> float:
    usual = USUAL_BOIL.value * 60
    if not said.boil:
        return notes.assume("fire.boil_min", usual, f"{USUAL_BOIL.value:g} min") if boils else usual
    boil_s = notes.attempt(lambda: quantity(said.boil, BOIL, field="fire.boil_min"))
    if boils and boil_s is not None and boil_s < ROLLING_BOIL.value * 60:
        wrong = f'"{said.boil.strip()}" does not make a used mix safe.'
        accepted = f"Boil it for {ROLLING_BOIL.value:g} minute at a rolling boil at least, or throw it away."
        notes.problems.append(InputError(field="fire.boil_min", given=said.boil, wrong=wrong, accepted=accepted))
    return usual if boil_s is None else boil_s


def _reduce_to(said: FireInput, notes: Notes) -> tuple[float | None, float | None]:
    """A weight [kg], or a share of what is left."""
    text = said.reduce_to.strip()
    if not text:
        return None, None
    if text.endswith("%"):
        accepted = 'Write 20 to 100 %, or a weight such as "150 g".'
        share = notes.attempt(
            lambda: decimal(text, field="fire.reduce_to", low=20, high=100, units=("%",), accepted=accepted)
        )
        return None, None if share is None else share / 100
    return notes.attempt(lambda: quantity(text, MIX_MASS, field="fire.reduce_to")), None


def read_stages(said: FireInput, notes: Notes) -> tuple[CookStage, ...]:
    """The stages that could be read; all but one need their minutes, or a core to end by."""
    before = len(notes.problems)
    if len(said.stages) > MOST_STAGES:
        notes.problems.append(
            InputError(
                field="fire.stages",
                given=str(len(said.stages)),
                wrong=f"There are {len(said.stages)} stages of cooking.",
                accepted=f"Up to {MOST_STAGES} can be planned.",
            )
        )
        return ()
    stages = [_stage(stage, f"fire.stages.{number}", notes) for number, stage in enumerate(said.stages)]
    open_ended = [
        number
        for number, stage in enumerate(stages)
        if stage is not None and stage.minutes is None and stage.core_c is None
    ]
    for number in open_ended[1:]:
        notes.problems.append(
            InputError(
                field=f"fire.stages.{number}.time_min",
                given="",
                wrong="Only one stage can take what is left of the time.",
                accepted='Write how long this one takes, such as "20 min".',
            )
        )
    return tuple(stage for stage in stages if stage is not None) if len(notes.problems) == before else ()


def _stage(said: StageInput, path: str, notes: Notes) -> CookStage | None:
    place = notes.choice(said.place, PLACES, ("oven", "oven"), f"{path}.place")
    heat = core = minutes = None
    if said.heat:
        heat = notes.attempt(
            lambda: degrees(said.heat, field=f"{path}.heat_c", low=COOLEST_C, high=HOTTEST_C, accepted=HEAT_ACCEPTED)
        )
    if said.core:
        core = notes.attempt(
            lambda: degrees(said.core, field=f"{path}.core_c", low=40, high=100, accepted=CORE_ACCEPTED)
        )
    if said.minutes:
        minutes = notes.attempt(lambda: quantity(said.minutes, COOK, field=f"{path}.time_min"))
    fan = notes.choice(said.air, AIR, (False, "plain"), f"{path}.air") if place == "oven" else False
    brush: Brush = notes.choice(said.brush, BRUSHES, ("", ""), f"{path}.brush") if said.brush else ""
    return CookStage(
        place=place,
        heat_c=heat,
        fan=fan,
        minutes=None if minutes is None else minutes / 60,
        core_c=core,
        turn=said.turn == YES,
        brush=brush,
    )
