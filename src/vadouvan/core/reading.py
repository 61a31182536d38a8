"""From a draft to numbers: each answer read, what is missing assumed, all that is wrong listed."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass, field
from datetime import datetime, timedelta
from typing import TypeVar

from vadouvan.core.clock.moment import local_moment, time_zone
from vadouvan.core.clock.plan import Meal
from vadouvan.core.constants import FRIDGE_ADVISED_C, FRIDGE_STOP_C, SALT_TARGET_KG_PER_KG
from vadouvan.core.cut.cut import Cut, check_agreement, cubes_in
from vadouvan.core.cut.kind import CutKind, ShapeName
from vadouvan.core.draft import LONGEST_TEXT, MOST_LINES, CutSaid, Draft, HoldSaid, LineSaid, MealSaid
from vadouvan.core.figure import number_told
from vadouvan.core.hold.hold import Goal, Hold
from vadouvan.core.kitchen import Kitchen
from vadouvan.core.mix.amount import Portion, read_line, weigh
from vadouvan.core.mix.pantry import Pantry
from vadouvan.core.said.quantity import LEAD, MASS, THICKNESS, decimal, quantity, whole_number
from vadouvan.errors import InputError

T = TypeVar("T")

DEFAULT_FRIDGE_C = 4.0
DEFAULT_LEAD = timedelta(minutes=60)
THROUGH_UP_TO_M = 0.020  # a point further in than this is not the default aim
SHAPES: dict[str, ShapeName] = {"slab": "slab", "cube": "cube"}
GOALS: dict[str, Goal] = {"surface": "surface", "through": "through"}


@dataclass
class Reading:
    """What could be read of a draft.

    ``assumed`` maps field paths to the words of what was assumed; ``problems`` are to be mended;
    ``waiting`` are questions not yet answered, without which there is no judgement.
    """

    cut: Cut | None = None
    portions: tuple[Portion, ...] = ()
    hold: Hold | None = None
    meal: Meal | None = None
    problems: list[InputError] = field(default_factory=list)
    assumed: dict[str, str] = field(default_factory=dict)
    waiting: list[str] = field(default_factory=list)

    def attempt(self, read: Callable[[], T]) -> T | None:
        """The result of a reader, or nothing with its error listed."""
        try:
            return read()
        except InputError as error:
            self.problems.append(error)
            return None

    def assume(self, path: str, value: T, words: str) -> T:
        """A value that was not said, noted as assumed."""
        self.assumed[path] = words
        return value


def read_draft(draft: Draft, kitchen: Kitchen, *, now: datetime) -> Reading:
    """Read every answer of a draft; never raises for what a cook typed."""
    reading = Reading()
    reading.cut = _cut(draft.cut, kitchen, reading)
    reading.portions = _mix(draft.mix, kitchen.pantry, reading)
    reading.hold = _hold(draft.hold, reading)
    reading.meal = _meal(draft.meal, reading, now)
    return reading


# --- cut -----------------------------------------------------------------------------------


def _cut(said: CutSaid, kitchen: Kitchen, reading: Reading) -> Cut | None:
    if not said.kind:
        reading.waiting.append("what the cut is")
        return None
    kind = kitchen.cuts.get(said.kind)
    if kind is None:
        accepted = "Choose one from the list of cuts, such as " + ", ".join(list(kitchen.cuts)[:3]) + "."
        reading.problems.append(
            InputError(field="cut.kind", given=said.kind, wrong=f'There is no cut "{said.kind}".', accepted=accepted)
        )
        return None
    before = len(reading.problems)
    shape = _choice(said.shape, SHAPES, kind.shape, "cut.shape", reading)
    blocked = _blocked_faces(said, reading)
    bone = _bone_share(said, kind, reading)
    pieces = reading.attempt(lambda: _pieces(said)) if said.pieces else None
    mass_kg = _mass(said, kind, pieces, reading)
    thickness_m = _thickness(said, kind, reading)
    if len(reading.problems) > before or mass_kg is None or thickness_m is None:
        return None
    if pieces is None:
        pieces = _assumed_pieces(kind, shape, mass_kg * (1 - bone), thickness_m, reading)
    cut = Cut(kind, mass_kg, shape, thickness_m, pieces, blocked, bone)
    disagreements = check_agreement(cut)
    reading.problems += disagreements
    return None if disagreements else cut


def _pieces(said: CutSaid) -> int:
    return whole_number(said.pieces, field="cut.pieces", low=1, high=2000, what="pieces")


def _mass(said: CutSaid, kind: CutKind, pieces: int | None, reading: Reading) -> float | None:
    if said.mass:
        return reading.attempt(lambda: quantity(said.mass, MASS, field="cut.mass_g"))
    count = pieces or 1
    mass_kg = min(kind.mass_kg * count, MASS.high)
    return reading.assume("cut.mass_g", mass_kg, f"{number_told(mass_kg * 1000)} g, usual for {count} of this cut")


def _thickness(said: CutSaid, kind: CutKind, reading: Reading) -> float | None:
    if said.thickness:
        return reading.attempt(lambda: quantity(said.thickness, THICKNESS, field="cut.thickness_mm"))
    return reading.assume(
        "cut.thickness_mm", kind.thickness_m, f"{number_told(kind.thickness_m * 1000)} mm, usual for this cut"
    )


def _blocked_faces(said: CutSaid, reading: Reading) -> int:
    if not said.blocked_faces:
        return reading.assume("cut.blocked_faces", 0, "all faces open")
    count = reading.attempt(
        lambda: whole_number(said.blocked_faces, field="cut.blocked_faces", low=0, high=1, what="faces blocked by bone")
    )
    return count or 0


def _bone_share(said: CutSaid, kind: CutKind, reading: Reading) -> float:
    if not said.bone_share:
        return reading.assume("cut.bone_share_pct", kind.bone_share, f"{number_told(kind.bone_share * 100)} % bone")
    accepted = "Write 0 to 60 % of the weight; for a very bony cut weigh some meat off the bone."
    share = reading.attempt(
        lambda: decimal(said.bone_share, field="cut.bone_share_pct", low=0, high=60, units=("%",), accepted=accepted)
    )
    return (share or 0.0) / 100


def _assumed_pieces(kind: CutKind, shape: ShapeName, meat_kg: float, thickness_m: float, reading: Reading) -> int:
    if shape == "cube":
        count = cubes_in(meat_kg, thickness_m, kind.density_kg_per_m3)
        return reading.assume("cut.pieces", count, f"about {count} cubes")
    usual_kg = kind.mass_kg * (1 - kind.bone_share)
    count = max(1, round(meat_kg / usual_kg))
    return reading.assume("cut.pieces", count, "1 piece" if count == 1 else f"about {count} pieces")


def _choice(said: str, choices: dict[str, T], default: T, path: str, reading: Reading) -> T:
    if not said:
        return reading.assume(path, default, str(default))
    if said not in choices:
        wrong, accepted = f'"{said}" is not one of the choices.', "Choose " + " or ".join(choices) + "."
        reading.problems.append(InputError(field=path, given=said, wrong=wrong, accepted=accepted))
    return choices.get(said, default)


# --- mix -----------------------------------------------------------------------------------


def _mix(lines: tuple[LineSaid, ...], pantry: Pantry, reading: Reading) -> tuple[Portion, ...]:
    written = [line for line in lines if line.text.strip()]
    if not written:
        reading.waiting.append("at least one ingredient in the mix")
    if len(written) > MOST_LINES:
        wrong = f"{len(written)} lines are more than one mix has."
        accepted = f"Keep up to {MOST_LINES} lines; put the rest in another batch."
        reading.problems.append(InputError(field="mix", given=f"{len(written)} lines", wrong=wrong, accepted=accepted))
    portions = (reading.attempt(lambda line=line: portion_of(line, pantry)) for line in written[:MOST_LINES])  # type: ignore[misc]
    return tuple(portion for portion in portions if portion is not None)


def portion_of(line: LineSaid, pantry: Pantry) -> Portion:
    """The portion that a typed line means; raises InputError with the line's path ``mix.<id>``."""
    path = f"mix.{line.id}"
    if len(line.text) > LONGEST_TEXT:
        wrong = f"A line of {len(line.text)} letters is too long for one ingredient."
        raise InputError(field=path, given=line.text[:60], wrong=wrong, accepted="Write one ingredient a line.")
    said = read_line(line.text, field=path)
    ingredient = pantry.find(said.names, field=path, given=line.text)
    return weigh(said, ingredient, line_id=line.id, field=path)


# --- hold and meal -------------------------------------------------------------------------


def _hold(said: HoldSaid, reading: Reading) -> Hold | None:
    before = len(reading.problems)
    fridge_c = _fridge(said, reading)
    far_m = reading.cut.piece.far_m if reading.cut else 0.0
    default: Goal = "through" if far_m <= THROUGH_UP_TO_M else "surface"
    goal = _choice(said.goal, GOALS, default, "hold.goal", reading)
    target = _salt_target(said, reading)
    return Hold(fridge_c, goal, target) if len(reading.problems) == before else None


def _fridge(said: HoldSaid, reading: Reading) -> float:
    if not said.fridge:
        return reading.assume("hold.fridge_c", DEFAULT_FRIDGE_C, f"{DEFAULT_FRIDGE_C:.0f} C")
    accepted = (
        f"A hold is judged from 0 to {FRIDGE_STOP_C.value:.0f} C; advised is at most {FRIDGE_ADVISED_C.value:.0f} C."
    )
    value = reading.attempt(
        lambda: decimal(
            said.fridge, field="hold.fridge_c", low=0, high=FRIDGE_STOP_C.value, units=("c", "°c"), accepted=accepted
        )
    )
    return DEFAULT_FRIDGE_C if value is None else value


def _salt_target(said: HoldSaid, reading: Reading) -> float:
    usual = SALT_TARGET_KG_PER_KG.value
    if not said.salt_target:
        return reading.assume("hold.salt_target_g_per_kg", usual, f"{usual * 1000:.0f} g a kilogram, well seasoned")
    accepted = "Write 0 to 30 grams of salt a kilogram of meat; 8 is lean, 10 to 15 well seasoned."
    value = reading.attempt(
        lambda: decimal(
            said.salt_target, field="hold.salt_target_g_per_kg", low=0, high=30, units=("g", "g/kg"), accepted=accepted
        )
    )
    return usual if value is None else value / 1000


def _meal(said: MealSaid, reading: Reading, now: datetime) -> Meal | None:
    zone = reading.attempt(lambda: time_zone(said.time_zone or "UTC", field="meal.time_zone"))
    lead_s = reading.attempt(lambda: quantity(said.lead, LEAD, field="meal.lead_min")) if said.lead else None
    if not said.lead:
        lead_s = reading.assume("meal.lead_min", DEFAULT_LEAD.total_seconds(), "60 min from the mix to the table")
    if not said.at or zone is None:
        return None
    at = reading.attempt(lambda: local_moment(said.at, zone, field="meal.at"))
    if at is None or lead_s is None:
        return None
    if at <= now:
        wrong = f"{at:%a %-d %b %Y, %H:%M} is already past."
        reading.problems.append(
            InputError(
                field="meal.at", given=said.at, wrong=wrong, accepted="Write a time still to come, or leave it empty."
            )
        )
        return None
    return Meal(at, timedelta(seconds=lead_s))
