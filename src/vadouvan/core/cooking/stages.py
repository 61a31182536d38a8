"""Stages of cooking as the cook plans them: where, how hot, how long."""

from __future__ import annotations

import math
from typing import Literal

from vadouvan.core.constants import FAN_OVEN_LOWER_C
from vadouvan.core.figure import number_told
from vadouvan.core.measures.numbers import Interval
from vadouvan.unchanging import unchanging

CookPlace = Literal[
    "oven", "grill", "grill_indirect", "broiler", "smoker", "pan", "wok", "fryer", "pot", "parcel", "steamer"
]
Brush = Literal["", "clean", "boiled", "used"]
PLACE_WORDS: dict[CookPlace, str] = {
    "oven": "In the oven",
    "grill": "On the grill",
    "grill_indirect": "On the cooler side of the grill",
    "broiler": "Under the broiler",
    "smoker": "In the smoker",
    "pan": "In the pan",
    "wok": "In the wok",
    "fryer": "In hot oil",
    "pot": "In the pot, covered",
    "parcel": "In a closed parcel",
    "steamer": "In the steamer",
}
USUAL_HEAT_C: dict[CookPlace, float] = {
    "oven": 190.0, "grill": 250.0, "grill_indirect": 170.0, "broiler": 260.0, "smoker": 115.0, "pan": 210.0,
    "wok": 230.0, "fryer": 175.0, "pot": 100.0, "parcel": 180.0, "steamer": 100.0,
}  # fmt: skip
# Where the surface stays wet: nothing browns, and the mix is eaten with the meat.
MOIST: frozenset[CookPlace] = frozenset(("pot", "parcel", "steamer"))


def of_stage(number: int) -> str:
    """Which step on the heat a stage is, counted from 1: the first is just "cook".

    >>> of_stage(1), of_stage(2)
    ('', '2')
    """
    return "" if number == 1 else str(number)


@unchanging
class CookStage:
    """One stage; what was not said is None. ``heat_c`` as it is set, ``fan`` in moving air, time [min], core [C].

    ``until_tender``: it ends when a fork turns in it, whatever the core. ``estimate`` is the band of minutes that were
    not said but worked out.
    """

    place: CookPlace
    heat_c: float | None = None
    fan: bool = False
    minutes: float | None = None
    core_c: float | None = None
    until_tender: bool = False
    turn: bool = False
    turn_every_min: float | None = None
    brush: Brush = ""
    estimate: Interval | None = None

    @property
    def plain_heat_c(self) -> float | None:
        """The same heat in still air [C]: moving air is set lower for the same effect (``common_practice``).

        >>> CookStage("oven", 180.0, fan=True).plain_heat_c
        200.0
        """
        if self.heat_c is None or not self.fan:
            return self.heat_c
        return self.heat_c + FAN_OVEN_LOWER_C.value

    @property
    def says(self) -> str:
        """In words: "In the oven at 180 C with the fan (200 C without), to a core of 74 C", as a sentence."""
        words = PLACE_WORDS[self.place]
        if self.heat_c is not None:
            words += f" at {number_told(self.heat_c)} °C"
        if self.place == "oven" and self.heat_c is not None:
            other = self.heat_c + (FAN_OVEN_LOWER_C.value if self.fan else -FAN_OVEN_LOWER_C.value)
            words += (
                f" with the fan ({number_told(other)} °C without)"
                if self.fan
                else f" without fan ({number_told(other)} °C with)"
            )
        if self.core_c is not None:
            words += f", to a core of {number_told(self.core_c)} °C"
        if self.until_tender:
            words += ", until a fork turns in it easily"
        if self.estimate is not None:
            words += f": {minutes_told(self.estimate)}, the {'fork' if self.until_tender else 'core'} decides"
        elif self.minutes is not None:
            words += f", {as_given(self.minutes)}"
        if self.turn_every_min is not None:
            words += f", turned every {as_given(self.turn_every_min)}"
        elif self.turn:
            words += ", turned halfway"
        return f"{words}."


def minutes_told(takes: Interval) -> str:
    """An estimate in words, in steps a cook can plan by.

    >>> minutes_told(Interval(97.0, 78.0, 121.0))
    'about 95 min (80 to 120)'
    """
    value, low, high = (in_kitchen_minutes(minutes) for minutes in (takes.value, takes.low, takes.high))
    return f"about {value:g} min ({low:g} to {high:g})"


def as_given(time_min: float) -> str:
    """A time as the cook gave it.

    >>> as_given(2.0), as_given(0.5), as_given(90.0)
    ('2 min', '30 s', '90 min')
    """
    return f"{time_min:g} min" if time_min >= 1 else f"{time_min * 60:.0f} s"


def in_kitchen_minutes(time_min: float) -> float:
    """Minutes as they are planned by: whole ones, in steps of five from twenty on.

    >>> in_kitchen_minutes(97.4), in_kitchen_minutes(7.6)
    (95.0, 8.0)
    """
    step = 5 if time_min >= 20 else 1
    return float(max(step, step * math.floor(time_min / step + 0.5)))
