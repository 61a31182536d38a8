"""Reading the answers about the hold: fridge, goal, salt target, vessel, turns, recorded temperatures."""

from __future__ import annotations

import re
from typing import get_args

from vadouvan.core.constants import FRIDGE_ADVISED_C, FRIDGE_USUAL_C, FRIDGE_WARMEST_C, ROOM_C, SALT_TARGET_KG_PER_KG
from vadouvan.core.cut.cut import Cut
from vadouvan.core.draft.typed import HoldInput
from vadouvan.core.hold.aim import aim_assumed
from vadouvan.core.hold.hold import Goal, Hold, HoldAim, Metal
from vadouvan.core.interpretation.mix import MixInterpretation
from vadouvan.core.interpretation.notes import Notes
from vadouvan.core.kitchen.kitchen import OwnCorrection
from vadouvan.core.measures.quantity import decimal, degrees
from vadouvan.core.mix.salting_method import Salting, spoon_target
from vadouvan.core.patterns import lazily
from vadouvan.errors import InputError

TELL_FROM = 0.005
THROUGH_UP_TO_M = 0.020  # in joints a point further in than this is not the default aim
GOALS: dict[str, Goal] = {"surface": "surface", "through": "through"}
AIMS: dict[str, HoldAim] = {name: name for name in get_args(HoldAim)}
METALS: dict[str, Metal] = {name: name for name in get_args(Metal)}
VACUUM_SCHOOLS = {"contact": False, "faster": True}
TURNS = {"turned": True, "left": False}
AIR = {"wrapped": False, "open": True}
MOST_READINGS = 50
WARMEST_READING_C, COLDEST_READING_C, LONGEST_H = 30.0, -2.0, 240.0
COOLEST_ROOM_C, WARMEST_ROOM_C = 10.0, 45.0
READINGS_ACCEPTED = 'Write hours since contact and degrees, rising from 0 h, such as "0 h 4 C, 6 h 9 C, 7 h 4 C".'
_READING = lazily(r"(?P<hour>\d+(?:[.,]\d+)?)\s*h\s*:?\s*(?P<degrees>-?\d+(?:[.,]\d+)?)\s*°?\s*c?", re.IGNORECASE)


def read_hold(
    said: HoldInput, cut: Cut | None, mix: MixInterpretation, own: OwnCorrection, notes: Notes
) -> Hold | None:
    """The hold, or nothing while something about it is wrong."""
    before = len(notes.problems)
    small = cut is None or cut.shape in ("cube", "strip") or cut.way_in.far_m <= THROUGH_UP_TO_M
    default: Goal = "through" if small else "surface"
    vacuum = mix.vessel.container == "vacuum"
    hold = Hold(
        fridge_c=_fridge(said, notes),
        goal=notes.choice(said.goal, GOALS, (default, default), "hold.goal"),
        goal_said=said.goal in GOALS,
        salt_target=_salt_target(said, cut, mix.salting, own.salt, notes),
        readings=_readings(said.readings, notes),
        vacuum=vacuum,
        vacuum_claim=vacuum
        and notes.choice(said.vacuum_school, VACUUM_SCHOOLS, (False, "contact"), "hold.vacuum_school"),
        turned=notes.choice(said.turned, TURNS, (True, "turned"), "hold.turned"),
        metal=notes.choice(said.metal, METALS, ("none", "none"), "hold.metal"),
        open_air=notes.choice(said.open_air, AIR, (False, "wrapped"), "hold.open_air"),
        learned_pace=own.pace.get(cut.kind.family, 1.0) if cut is not None else 1.0,
        learned_softening=own.softening.get(cut.kind.family, {}) if cut is not None else {},
        room_c=_room(said, notes),
        aim=_aim(said, cut, mix, notes),
    )
    return hold if len(notes.problems) == before else None


def _aim(said: HoldInput, cut: Cut | None, mix: MixInterpretation, notes: Notes) -> HoldAim | None:
    """Aim of the hold, if the cook says so; else the mix tells, and that is noted as assumed."""
    usual = aim_assumed(mix.portions, cut) if cut is not None else "season"
    chosen = notes.choice(said.aim, AIMS, (usual, usual), "hold.aim")
    return chosen if said.aim in AIMS else None


def _fridge(said: HoldInput, notes: Notes) -> float:
    if not said.fridge:
        return notes.assume("hold.fridge_c", FRIDGE_USUAL_C.value, f"{FRIDGE_USUAL_C.value:.0f} C")
    most = FRIDGE_WARMEST_C.value
    accepted = (
        f"A hold is judged from 0 to {most:.0f} C (32 to 59 F); advised is at most {FRIDGE_ADVISED_C.value:.0f} C."
    )
    value = notes.attempt(lambda: degrees(said.fridge, field="hold.fridge_c", low=0, high=most, accepted=accepted))
    return FRIDGE_USUAL_C.value if value is None else value


def _room(said: HoldInput, notes: Notes) -> float:
    if not said.room.strip():
        return notes.assume("hold.room_c", ROOM_C.value, f"{ROOM_C.value:.0f} C")
    accepted = 'Write how warm the kitchen is, 10 to 45 C, such as "27 C" or "80 F".'
    value = notes.attempt(
        lambda: degrees(said.room, field="hold.room_c", low=COOLEST_ROOM_C, high=WARMEST_ROOM_C, accepted=accepted)
    )
    return ROOM_C.value if value is None else value


def _salt_target(said: HoldInput, cut: Cut | None, salting: Salting, own_factor: float, notes: Notes) -> float:
    usual, words = SALT_TARGET_KG_PER_KG.value * own_factor, "well seasoned"
    if abs(own_factor - 1) > TELL_FROM:
        words = "as your verdicts say"
    if cut is not None and cut.kind.is_salted_itself:
        usual, words = 0.0, f"{cut.kind.species} brings its own"
    elif salting.school == "spoon_per_pound" and salting.spoon_salt is not None:
        usual, words = spoon_target(salting.spoon_salt, salting.spoons), "from the spoon"
    if not said.salt_target:
        return notes.assume("hold.salt_target_g_per_kg", usual, f"{usual * 1000:.3g} g a kilogram, {words}")
    accepted = "Write 0 to 30 grams of salt a kilogram of meat; 8 is lean, 10 to 15 well seasoned."
    value = notes.attempt(
        lambda: decimal(
            said.salt_target, field="hold.salt_target_g_per_kg", low=0, high=30, units=("g", "g/kg"), accepted=accepted
        )
    )
    return usual if value is None else value / 1000


def _readings(text: str, notes: Notes) -> tuple[tuple[float, float], ...]:
    """Temperatures from an hour on, as noted; nothing if none were, or if they cannot be used."""
    if not text.strip():
        return ()
    parts = [part for part in re.split(r"[,;\n]\s*(?=\d)", text.strip()) if part.strip()]
    found = [_READING.fullmatch(part.strip()) for part in parts]
    if not all(found) or len(parts) > MOST_READINGS:
        return _refuse(text, "These readings could not be read.", notes)
    pairs = [
        (float(match["hour"].replace(",", ".")), float(match["degrees"].replace(",", "."))) for match in found if match
    ]
    hours = [hour for hour, _ in pairs]
    if hours[0] != 0:
        return _refuse(text, f"The first reading is at {hours[0]:g} h: nothing is known before it.", notes)
    back = next((hours[i] for i in range(1, len(hours)) if hours[i] <= hours[i - 1]), None)
    if back is not None:
        return _refuse(text, f"The reading at {back:g} h does not come after the one before it.", notes)
    for hour, celsius in pairs:
        if not COLDEST_READING_C <= celsius <= WARMEST_READING_C or hour > LONGEST_H:
            return _refuse(text, f"{celsius:g} C at {hour:g} h is outside what can be judged.", notes)
    return tuple(pairs)


def _refuse(text: str, wrong: str, notes: Notes) -> tuple[tuple[float, float], ...]:
    notes.problems.append(InputError(field="hold.readings", given=text[:60], wrong=wrong, accepted=READINGS_ACCEPTED))
    return ()
