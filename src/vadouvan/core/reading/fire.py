"""Reading how it is cooked: the stages, one after another."""

from __future__ import annotations

from typing import get_args

from vadouvan.core.draft import MOST_STAGES, YES, FireSaid, StageSaid
from vadouvan.core.fire.stages import Brush, CookPlace, CookStage
from vadouvan.core.reading.notes import Notes
from vadouvan.core.said.quantity import COOK, degrees, quantity
from vadouvan.errors import InputError

PLACES: dict[str, CookPlace] = {name: name for name in get_args(CookPlace)}
BRUSHES: dict[str, Brush] = {name: name for name in get_args(Brush) if name}
AIR = {"fan": True, "plain": False}
COOLEST_C, HOTTEST_C = 40.0, 400.0
HEAT_ACCEPTED = 'Write 40 to 400 C, such as "200 C" or "390 F".'
CORE_ACCEPTED = 'Write 40 to 100 C, such as "74 C" or "165 F".'


def read_stages(said: FireSaid, notes: Notes) -> tuple[CookStage, ...]:
    """The stages that could be read; all but one need their minutes."""
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
    open_ended = [number for number, stage in enumerate(stages) if stage is not None and stage.minutes is None]
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


def _stage(said: StageSaid, path: str, notes: Notes) -> CookStage | None:
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
