"""Guided examples: guess first, then see what the same model that judges batches works out.

Nothing is written down as the right answer: each lesson measures two holds and finds the option that holds
the measured value, so that a better model teaches better.
"""

from __future__ import annotations

from bisect import bisect_right
from collections.abc import Callable
from datetime import datetime

import numpy as np

from vadouvan.core.draft.examples import lines
from vadouvan.core.draft.typed import CutInput, Draft, HoldInput, MakingInput, QuantityInput
from vadouvan.core.figure import hours_told, number_told
from vadouvan.core.hold.scenario import hold_scenario
from vadouvan.core.hold.time_course import TimeCourse
from vadouvan.core.hold.window import Window
from vadouvan.core.judgement.judge import judge
from vadouvan.core.judgement.judgement import Judgement
from vadouvan.core.kitchen.kitchen import Kitchen
from vadouvan.unchanging import unchanging


@unchanging
class Held:
    """One side of a lesson: its draft, judged, with window and course."""

    name: str
    draft: Draft
    judgement: Judgement
    window: Window
    course: TimeCourse

    def at(self, values: np.ndarray, hours: float) -> float:
        """A value of the course at an hour."""
        return float(np.interp(hours, self.course.hours, values))


@unchanging
class GuidedLesson:
    """A question with its options; ``edges`` part the measured value into them, ``hour`` is where to look."""

    id: str
    title: str
    asks: str
    options: tuple[str, ...]
    edges: tuple[float, ...]
    sides: tuple[tuple[str, Draft], tuple[str, Draft]]
    hour: float
    measure: Callable[[Held, Held], float]
    says: Callable[[Held, Held, float], str]


@unchanging
class Outcome:
    """Outcome: the option that is right, in words why, and both sides to look at."""

    right: int
    says: str
    this: Held
    other: Held


def outcome(lesson: GuidedLesson, kitchen: Kitchen, *, now: datetime) -> Outcome:
    """Both sides of a lesson judged, and which option the measured value falls into."""
    this, other = (_held(name, draft, kitchen, now) for name, draft in lesson.sides)
    value = lesson.measure(this, other)
    return Outcome(bisect_right(lesson.edges, value), lesson.says(this, other, value), this, other)


def _held(name: str, draft: Draft, kitchen: Kitchen, now: datetime) -> Held:
    judgement = judge(draft, kitchen, now=now)
    if judgement.window is None or judgement.course is None:
        raise ValueError(f"the lesson's {name} cannot be judged: {judgement.sentence}")
    return Held(name, draft, judgement, judgement.window, judgement.course)


# --- measures ------------------------------------------------------------------------------


def _deeper_at_20_than_at_10(this: Held, _other: Held) -> float:
    seasoned = this.course.seasoned_m
    return this.at(seasoned, 20) / this.at(seasoned, 10)


def _salt_over_acid_at_10(this: Held, _other: Held) -> float:
    return this.at(this.course.seasoned_m, 10) / this.at(this.course.white_m, 10)


def _longer_heat_treated(this: Held, other: Held) -> float:
    return other.window.safe_latest_h / this.window.safe_latest_h


def _joint_over_cube(this: Held, other: Held) -> float:
    return _hours_until_even(other) / _hours_until_even(this)


def _hours_until_even(held: Held) -> float:
    """Hours until the middle has half of the mean, however long: even enough to call it through."""
    reading, balance = held.judgement.reading, held.judgement.balance
    if reading.cut is None or reading.hold is None or balance is None:
        raise ValueError(f"the lesson's {held.name} cannot be judged")
    scenario = hold_scenario(reading.cut, balance, reading.hold)
    middle = scenario.course.at_depth(reading.cut.way_in.far_m)
    over = np.flatnonzero(middle >= 0.5 * scenario.course.average)
    return float(scenario.hours[over[0]])


def _bath_over_paste_at_12(this: Held, other: Held) -> float:
    return other.at(other.course.average, 12) / this.at(this.course.average, 12)


def _vacuum_over_bag_at_10(this: Held, other: Held) -> float:
    return other.at(other.course.seasoned_m, 10) / this.at(this.course.seasoned_m, 10)


# --- the lessons ---------------------------------------------------------------------------


def _steak(*mix: str, container: str = "", school: str = "") -> Draft:
    cut = CutInput(kind="beef_sirloin", mass="1 kg", shape="slab", thickness="25 mm", pieces="4")
    hold = HoldInput(goal="through", vacuum_school=school)
    return Draft("Steaks", cut, lines(*mix), hold, quantity=QuantityInput(container=container))


_STRIPS = Draft(
    "Strips",
    CutInput(kind="beef_flank_strips", mass="600 g", thickness="12 mm"),
    lines("60 g kiwi", "2 tbsp rapeseed oil", "7 g salt"),
)
_CUBES = Draft("Cubes", CutInput(kind="lamb_shoulder_cubes", mass="1.5 kg", thickness="30 mm"),
               lines("18 g salt", "60 ml olive oil", "40 g lemon juice"))  # fmt: skip
_JOINT = Draft("Joint",
               CutInput(kind="pork_loin_roast", mass="1.5 kg", shape="cylinder", thickness="80 mm", pieces="1"),
               lines("18 g salt", "60 ml olive oil", "40 g lemon juice"))  # fmt: skip
_SOUR = Draft(
    "Sour breasts",
    CutInput(kind="chicken_breast", mass="1 kg", shape="slab", thickness="24 mm"),
    lines("300 g cider vinegar", "100 ml olive oil", "12 g salt"),
)

LESSONS: dict[str, GuidedLesson] = {
    lesson.id: lesson
    for lesson in (
        GuidedLesson(
            "twice-as-long",
            "Twice as long",
            "A salty rub on a 25 mm steak. How much deeper is it tasted after 20 hours than after 10?",
            ("no deeper", "about a third to a half deeper", "twice as deep"),
            (1.1, 1.7),
            (
                ("the steak", _steak("12 g salt", "20 g olive oil")),
                ("a saltier rub", _steak("18 g salt", "20 g olive oil")),
            ),
            20.0,
            _deeper_at_20_than_at_10,
            lambda this, _o, v: (
                f"{number_told(this.at(this.course.seasoned_m, 10) * 1000)} mm after 10 h, "
                f"{number_told(this.at(this.course.seasoned_m, 20) * 1000)} mm after 20 h: {number_told(v)} times. "
                "Salt spreads by diffusion: twice as deep takes four times as long, until the two sides meet."
            ),
        ),
        GuidedLesson(
            "acid-or-salt",
            "Acid or salt",
            "Chicken in vinegar, oil and salt for 10 hours. Which gets deeper?",
            ("the acid", "about the same", "the salt, several times"),
            (0.7, 1.5),
            (("with vinegar", _SOUR), ("without", Draft("Plain", _SOUR.cut, lines("100 ml olive oil", "12 g salt")))),
            10.0,
            _salt_over_acid_at_10,
            lambda this, _o, _v: (
                f"Salt is tasted {number_told(this.at(this.course.seasoned_m, 10) * 1000)} mm deep; acid has "
                f"whitened about {number_told(this.at(this.course.white_m, 10) * 1000)} mm. "
                "Meat buffers acid, and oil carries none."
            ),
        ),
        GuidedLesson(
            "live-fruit",
            "Live or heat-treated fruit",
            "Beef strips with fresh kiwi. The same with the kiwi boiled first may stay how much longer?",
            ("no longer", "about twice as long", "many times as long"),
            (1.2, 3.0),
            (
                ("fresh", _STRIPS),
                ("boiled first", Draft("Boiled", _STRIPS.cut, _STRIPS.mix, making=MakingInput("cooked"))),
            ),
            3.0,
            _longer_heat_treated,
            lambda this, other, _v: (
                f"Fresh it ends at {this.window.latest_told}: {this.window.latest.limit.says}. Boiled it ends at "
                f"{other.window.latest_told}: {other.window.latest.limit.says}. Heat ends the enzyme."
            ),
        ),
        GuidedLesson(
            "cube-or-joint",
            "Cube or joint",
            "The same rub on 30 mm cubes and on a joint 80 mm thick. How much longer until salt has evened out inside?",
            ("as long", "about twice as long", "five times as long or more"),
            (1.5, 4.0),
            (("cubes", _CUBES), ("a joint", _JOINT)),
            24.0,
            _joint_over_cube,
            lambda this, other, v: (
                f"About {hours_told(_hours_until_even(this))} in the cubes and "
                f"{hours_told(_hours_until_even(other))} in the joint, longer than it keeps, {number_told(v)} times. "
                "Time goes with the square of the thickness."
            ),
        ),
        GuidedLesson(
            "bath-or-paste",
            "Bath or paste",
            "12 grams of salt a kilogram, as a paste or in a litre of water. How much is in the meat after 12 hours?",
            ("far less from the bath", "about the same", "more from the bath"),
            (0.7, 1.3),
            (("paste", _steak("12 g salt", "40 g olive oil")), ("bath", _steak("12 g salt", "1 l water"))),
            12.0,
            _bath_over_paste_at_12,
            lambda this, other, _v: (
                f"{number_told(this.at(this.course.average, 12) * 1000)} g a kilogram from the paste, "
                f"{number_told(other.at(other.course.average, 12) * 1000)} g from the bath: "
                "what is in the water stays there."
            ),
        ),
        GuidedLesson(
            "vacuum",
            "What a vacuum bag does",
            "The same steak and rub in a vacuum bag. After 10 hours the salt is tasted",
            ("as deep", "half as deep again", "twice as deep"),
            (1.15, 1.75),
            (
                ("a plain bag", _steak("12 g salt", "20 g olive oil")),
                ("a vacuum bag", _steak("12 g salt", "20 g olive oil", container="vacuum", school="contact")),
            ),
            10.0,
            _vacuum_over_bag_at_10,
            lambda _t, _o, v: (
                f"{number_told(v)} times as deep. A sealed bag presses the mix on but pushes no salt in; it saves mix. "
                "Some cooks say it is two to three times as fast: that school can be chosen in Hold, and is marked."
            ),
        ),
    )
}
