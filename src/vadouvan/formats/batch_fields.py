"""The fields of a batch file that are not plain texts: numbers in the unit of their name, and ticks.

All else of the file follows from the draft itself: the same parts, the same fields, under the same names.
"""

from __future__ import annotations

from collections.abc import Callable

from vadouvan.core.constants import FRIDGE_WARMEST_C
from vadouvan.core.cooking.doneness import core_said
from vadouvan.core.draft.typed import (
    AimsInput,
    CutInput,
    FireInput,
    HoldInput,
    LineInput,
    MakingInput,
    MealInput,
    OccasionInput,
    OwnStepInput,
    StageInput,
    StepInput,
)
from vadouvan.core.interpretation.hold import COOLEST_ROOM_C, WARMEST_ROOM_C
from vadouvan.core.measures.quantity import (
    AGE,
    BOIL,
    CONTACT,
    COOK,
    DEPTH,
    DRYING,
    EARLY,
    LEAD,
    MASS,
    REST,
    SIDE,
    SIMMER,
    SPACING,
    THICKNESS,
    TRAVEL,
    TRIMMED,
    QuantityKind,
    decimal,
    degrees,
    quantity,
    whole_number,
)
from vadouvan.errors import InputError
from vadouvan.unchanging import unchanging

MOST = 10**6  # of any count or share: what the cook may say of each is for the reading to tell


@unchanging
class NumberField:
    """A number of the file: its name, the draft's name for it, how text is read, how a number is typed.

    ``unit`` is added where the number alone would be read as another: 39 of a fridge in C as 39 F.
    """

    name: str
    said: str
    read: Callable[[str], float]
    typed: str
    unit: str = ""

    def number(self, typed: str) -> float | None:
        """The number that typed text means, or nothing if it cannot be read: then only the text is kept."""
        try:
            return round(self.read(typed), 6)
        except InputError:
            return None

    def plainly(self, number: float | None) -> str:
        """A number as it would be typed."""
        if number is None:
            return ""
        text = self.typed.format(number)
        return text if not self.unit or self.number(text) in (None, round(number, 6)) else f"{text} {self.unit}"


def _amount(name: str, said: str, kind: QuantityKind, factor: float, unit: str) -> NumberField:
    return NumberField(name, said, lambda text: quantity(text, kind, field=name) * factor, f"{{:g}} {unit}")


def _count(name: str, said: str, *, between: bool = False) -> NumberField:
    def read(text: str) -> float:
        """A whole number, in the middle of a range where that counts."""
        return whole_number(text, field=name, low=-MOST, high=MOST, what=said, between=between)

    return NumberField(name, said, read, "{}")


def _plain(name: str, said: str, *units: str) -> NumberField:
    return NumberField(
        name, said, lambda text: decimal(text, field=name, low=-MOST, high=MOST, units=units, accepted=""), "{:g}"
    )


def _degrees(name: str, said: str, low: float, high: float, unit: str = " C") -> NumberField:
    return NumberField(
        name, said, lambda text: degrees(text, field=name, low=low, high=high, accepted=""), f"{{:g}}{unit}", "C"
    )


def _core(name: str, said: str) -> NumberField:
    return NumberField(name, said, lambda text: core_said(text, field=name), "{:g} C")


NUMBERS: dict[type, tuple[NumberField, ...]] = {
    CutInput: (
        _amount("mass_g", "mass", MASS, 1000, "g"),
        _amount("thickness_mm", "thickness", THICKNESS, 1000, "mm"),
        _amount("width_mm", "width", SIDE, 1000, "mm"),
        _amount("length_mm", "length", SIDE, 1000, "mm"),
        _count("pieces", "pieces"),
        _plain("bone_share_pct", "bone_share", "%"),
        _amount("age_h", "age", AGE, 1 / 3600, "h"),
    ),
    StepInput: (
        _amount("amount_g", "amount", TRIMMED, 1000, "g"),
        _amount("depth_mm", "depth", DEPTH, 1000, "mm"),
        _amount("spacing_mm", "spacing", SPACING, 1000, "mm"),
        _count("count", "count"),
    ),
    HoldInput: (
        _degrees("fridge_c", "fridge", 0.0, FRIDGE_WARMEST_C.value, ""),
        _plain("salt_target_g_per_kg", "salt_target", "g/kg", "g per kg"),
        _degrees("room_c", "room", COOLEST_ROOM_C, WARMEST_ROOM_C),
    ),
    MealInput: (
        _amount("lead_min", "lead", LEAD, 1 / 60, "min"),
        _amount("early_min", "early", EARLY, 1 / 60, "min"),
    ),
    OccasionInput: (_count("servings", "servings", between=True), _plain("frozen_pct", "frozen", "%")),
    AimsInput: (
        _plain("spoons", "spoons"),
        _amount("bath_h", "bath_time", CONTACT, 1 / 3600, "h"),
        _plain("sugar_g_per_kg", "sugar", "g/kg", "g per kg"),
        _plain("acid_g_per_kg", "acid", "g/kg", "g per kg"),
        _plain("heat_shu_per_kg", "heat", "shu/kg"),
    ),
    StageInput: (
        _degrees("heat_c", "heat", -40.0, 500.0),
        _amount("time_min", "minutes", COOK, 1 / 60, "min"),
        _core("core_c", "core"),
        _amount("turn_every_min", "every", COOK, 1 / 60, "min"),
    ),
    OwnStepInput: (
        _amount("time_min", "minutes", COOK, 1 / 60, "min"),
        _amount("before_min", "before", EARLY, 1 / 60, "min"),
    ),
    FireInput: (
        _core("core_c", "core"),
        _amount("boil_min", "boil", BOIL, 1 / 60, "min"),
        _amount("dries_min", "dries", DRYING, 1 / 60, "min"),
        _amount("travels_min", "travels", TRAVEL, 1 / 60, "min"),
        _amount("rest_min", "rest", REST, 1 / 60, "min"),
    ),
    MakingInput: (
        _amount("simmer_min", "simmer", SIMMER, 1 / 60, "min"),
        _amount("first_contact_min", "first_contact", CONTACT, 1 / 60, "min"),
    ),
}
COUNTS = frozenset({"pieces", "count", "servings"})
TICKS: dict[type, tuple[str, ...]] = {
    StepInput: ("crosswise", "through_skin"),
    StageInput: ("turn", "tender"),
    LineInput: ("locked", "lifted", "first"),
    MakingInput: ("strained",),
}
