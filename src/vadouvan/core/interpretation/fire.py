"""Reading how it is cooked: the stages, one after another."""

from __future__ import annotations

from typing import get_args

from vadouvan.core.constants import ROLLING_BOIL, USUAL_BOIL
from vadouvan.core.cooking.doneness import DonenessRule, core_said
from vadouvan.core.cooking.fire import FireInterpretation, OwnStep
from vadouvan.core.cooking.heat_words import heat_said, without_fan
from vadouvan.core.cooking.stages import Brush, CookPlace, CookStage
from vadouvan.core.draft.typed import MOST_OWN_STEPS, MOST_STAGES, YES, FireInput, StageInput
from vadouvan.core.interpretation.notes import Notes, kept_as_read
from vadouvan.core.interpretation.reduced import reduced_to
from vadouvan.core.measures.quantity import (
    BOIL,
    COOK,
    DRYING,
    EARLY,
    REST,
    TRAVEL,
    QuantityKind,
    quantity,
)
from vadouvan.core.mix.left_on import Left
from vadouvan.errors import InputError

PLACES: dict[str, CookPlace] = {name: name for name in get_args(CookPlace)}
BRUSHES: dict[str, Brush] = {name: name for name in get_args(Brush) if name}
SCHOOLS: dict[str, DonenessRule] = {name: name for name in get_args(DonenessRule)}
SURFACES: dict[str, Left] = {name: name for name in get_args(Left)}
FREEZES = {"raw": False, "cooked": True}
SAUCES = {"discard": False, "boil": True}
CRUSTS = {"browned": False, "dark": True}
AIR = {"fan": True, "plain": False}


@kept_as_read
def read_fire(notes: Notes, said: FireInput, minced: bool) -> FireInterpretation:
    """Every answer about the fire; nothing can be patted off what is ``minced``."""
    stages = read_stages(said, notes)
    school = notes.choice(said.doneness, SCHOOLS, ("guidance", "guidance"), "fire.doneness")
    own_c = None
    if said.core:
        own_c = notes.attempt(lambda: core_said(said.core, field="fire.core_c"))
    usual: tuple[Left, str] = ("as_is", "as_is") if minced else ("patted", "patted")
    boils = notes.choice(said.sauce, SAUCES, (False, "discard"), "fire.sauce")
    return FireInterpretation(
        stages=stages,
        surface=notes.choice(said.surface, SURFACES, usual, "fire.surface"),
        school=school,
        own_core_c=own_c,
        boils=boils,
        boil_s=_boil_s(said, boils, notes),
        reduce_to=reduced_to(said.reduce_to, "fire.reduce_to", notes),
        freezes_cooked=notes.choice(said.freeze, FREEZES, (False, "raw"), "fire.freeze"),
        dries_min=_minutes(said.dries, DRYING, "fire.dries_min", notes) or 0.0,
        travels_min=_minutes(said.travels, TRAVEL, "fire.travels_min", notes) or 0.0,
        rest_min=_minutes(said.rest, REST, "fire.rest_min", notes),
        own_steps=_own_steps(said, notes),
        dark_is_meant=notes.choice(said.crust, CRUSTS, (False, "browned"), "fire.crust"),
    )


def _minutes(text: str, kind: QuantityKind, field: str, notes: Notes) -> float | None:
    """A time that was said [min]."""
    found = notes.attempt(lambda: quantity(text, kind, field=field)) if text.strip() else None
    return None if found is None else found / 60


def _own_steps(said: FireInput, notes: Notes) -> tuple[OwnStep, ...]:
    """The cook's own steps; one without a name or a time is a problem of its own."""
    if len(said.own_steps) > MOST_OWN_STEPS:
        wrong = f"{len(said.own_steps)} steps of your own are more than one meal has."
        accepted = f"Keep up to {MOST_OWN_STEPS}."
        notes.problems.append(
            InputError(field="fire.own_steps", given=str(len(said.own_steps)), wrong=wrong, accepted=accepted)
        )
    found = []
    for number, step in enumerate(said.own_steps[:MOST_OWN_STEPS]):
        path = f"fire.own_steps.{number}"
        if not (step.what.strip() or step.minutes.strip() or step.before.strip()):
            continue
        minutes = _minutes(step.minutes, COOK, f"{path}.time_min", notes)
        before = _minutes(step.before, EARLY, f"{path}.before_min", notes) or 0.0
        missing = "what" if not step.what.strip() else "time_min" if not step.minutes.strip() else ""
        if missing:
            wrong = "A step of your own wants words and a time."
            accepted = 'Write what it is and how long it takes, such as "rice on" and "40 min".'
            notes.problems.append(InputError(field=f"{path}.{missing}", given="", wrong=wrong, accepted=accepted))
        elif minutes is not None:
            found.append(OwnStep(step.id, step.what.strip(), minutes, before))
    return tuple(found)


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


def read_stages(said: FireInput, notes: Notes) -> tuple[CookStage, ...]:
    """The stages; what of one cannot be read is a problem and counts as not said, so that the others stand.

    All but one need their minutes, or something to end by.
    """
    if len(said.stages) > MOST_STAGES:
        notes.problems.append(
            InputError(
                field="fire.stages",
                given=str(len(said.stages)),
                wrong=f"There are {len(said.stages)} stages of cooking.",
                accepted=f"Up to {MOST_STAGES} can be planned.",
            )
        )
    stages = [_stage(stage, f"fire.stages.{number}", notes) for number, stage in enumerate(said.stages[:MOST_STAGES])]
    open_ended = [
        number
        for number, stage in enumerate(stages)
        if stage.minutes is None and stage.core_c is None and not stage.until_tender
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
    return tuple(stages)


def _stage(said: StageInput, path: str, notes: Notes) -> CookStage:
    place = notes.choice(said.place, PLACES, ("oven", "oven"), f"{path}.place")
    heat = core = minutes = None
    heat_text, with_fan = without_fan(said.heat) if place == "oven" else (said.heat, False)
    if heat_text:
        found = notes.attempt(lambda: heat_said(heat_text, place, field=f"{path}.heat_c"))
        heat, in_words = found or (None, False)
        if heat is not None and in_words:
            notes.assumed[f"{path}.heat_c"] = f"about {heat:g} °C"
    if said.core:
        core = notes.attempt(lambda: core_said(said.core, field=f"{path}.core_c"))
    if said.minutes:
        minutes = notes.attempt(lambda: quantity(said.minutes, COOK, field=f"{path}.time_min"))
    every = None
    if said.every:
        every = notes.attempt(lambda: quantity(said.every, COOK, field=f"{path}.turn_every_min"))
    if with_fan and said.air == "plain":
        wrong = f'"{said.heat.strip()}" is in moving air, and still air is chosen.'
        notes.problems.append(
            InputError(field=f"{path}.air", given="plain", wrong=wrong, accepted="Choose one of them.")
        )
    usual = (True, "fan") if with_fan else (False, "plain")
    fan = notes.choice("" if with_fan else said.air, AIR, usual, f"{path}.air") if place == "oven" else False
    brush: Brush = notes.choice(said.brush, BRUSHES, ("", ""), f"{path}.brush") if said.brush else ""
    return CookStage(
        place=place,
        heat_c=heat,
        fan=fan,
        minutes=None if minutes is None else minutes / 60,
        core_c=core,
        until_tender=said.tender == YES,
        turn=said.turn == YES or every is not None,
        turn_every_min=None if every is None else every / 60,
        brush=brush,
    )
