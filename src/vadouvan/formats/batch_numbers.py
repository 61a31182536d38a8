"""Numbers of a batch file and the words that a cook typed for them: each in the unit of its name."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass

from pydantic import BaseModel

from vadouvan.core.said.quantity import (
    AGE,
    BOIL,
    CONTACT,
    COOK,
    DEPTH,
    EARLY,
    LEAD,
    MASS,
    SIDE,
    SIMMER,
    SPACING,
    THICKNESS,
    TRIMMED,
    Kind,
    degrees,
    quantity,
)
from vadouvan.errors import InputError


@dataclass(frozen=True)
class NumberField:
    """A number of the file: its name, the draft's name for it, how text is read, how a number is typed."""

    name: str
    said: str
    read: Callable[[str], float]
    typed: str


def _of_kind(kind: Kind, factor: float) -> Callable[[str], float]:
    return lambda text: quantity(text, kind, field="") * factor


def _degrees(text: str) -> float:
    return degrees(text, field="", low=-40, high=500, accepted="")


_NUMBERS: dict[str, tuple[NumberField, ...]] = {
    "cut": (
        NumberField("mass_g", "mass", _of_kind(MASS, 1000), "{:g} g"),
        NumberField("thickness_mm", "thickness", _of_kind(THICKNESS, 1000), "{:g} mm"),
        NumberField("width_mm", "width", _of_kind(SIDE, 1000), "{:g} mm"),
        NumberField("length_mm", "length", _of_kind(SIDE, 1000), "{:g} mm"),
        NumberField("pieces", "pieces", int, "{}"),
        NumberField("bone_share_pct", "bone_share", float, "{:g}"),
        NumberField("age_h", "age", _of_kind(AGE, 1 / 3600), "{:g} h"),
    ),
    "step": (
        NumberField("amount_g", "amount", _of_kind(TRIMMED, 1000), "{:g} g"),
        NumberField("depth_mm", "depth", _of_kind(DEPTH, 1000), "{:g} mm"),
        NumberField("spacing_mm", "spacing", _of_kind(SPACING, 1000), "{:g} mm"),
        NumberField("count", "count", int, "{}"),
    ),
    "hold": (
        NumberField("fridge_c", "fridge", _degrees, "{:g}"),
        NumberField("salt_target_g_per_kg", "salt_target", float, "{:g}"),
        NumberField("room_c", "room", _degrees, "{:g} C"),
    ),
    "meal": (
        NumberField("lead_min", "lead", _of_kind(LEAD, 1 / 60), "{:g} min"),
        NumberField("early_min", "early", _of_kind(EARLY, 1 / 60), "{:g} min"),
    ),
    "occasion": (
        NumberField("servings", "servings", int, "{}"),
        NumberField("frozen_pct", "frozen", float, "{:g}"),
    ),
    "aims": (
        NumberField("spoons", "spoons", float, "{:g}"),
        NumberField("bath_h", "bath_time", _of_kind(CONTACT, 1 / 3600), "{:g} h"),
        NumberField("sugar_g_per_kg", "sugar", float, "{:g}"),
        NumberField("acid_g_per_kg", "acid", float, "{:g}"),
        NumberField("heat_shu_per_kg", "heat", float, "{:g}"),
    ),
    "stage": (
        NumberField("heat_c", "heat", _degrees, "{:g} C"),
        NumberField("time_min", "minutes", _of_kind(COOK, 1 / 60), "{:g} min"),
        NumberField("core_c", "core", _degrees, "{:g} C"),
    ),
    "fire": (
        NumberField("core_c", "core", _degrees, "{:g} C"),
        NumberField("boil_min", "boil", _of_kind(BOIL, 1 / 60), "{:g} min"),
    ),
    "making": (
        NumberField("simmer_min", "simmer", _of_kind(SIMMER, 1 / 60), "{:g} min"),
        NumberField("first_contact_min", "first_contact", _of_kind(CONTACT, 1 / 60), "{:g} min"),
    ),
}


def _as_number(field: NumberField, typed: str) -> float | None:
    """The number that typed text means, or nothing if it cannot be read: then only the text is kept."""
    try:
        return round(field.read(typed), 6)
    except (InputError, ValueError):
        return None


def _plainly(field: NumberField, number: float | None) -> str:
    return "" if number is None else field.typed.format(number)


def numbers_of(part: str, said: object, path: str, kept: dict[str, str]) -> dict[str, float | None]:
    """The numbers of one part; words that say more than the number are added to ``kept``."""
    found: dict[str, float | None] = {}
    for field in _NUMBERS[part]:
        typed = getattr(said, field.said)
        found[field.name] = _as_number(field, typed) if typed else None
        if typed and typed != _plainly(field, found[field.name]):
            kept[f"{path}.{field.name}"] = typed
    return found


def texts_of(part: str, document: BaseModel, path: str, kept: dict[str, str]) -> dict[str, str]:
    """What the cook's fields show: the typed words if they still mean the number, else the number."""
    found: dict[str, str] = {}
    for field in _NUMBERS[part]:
        number, words = getattr(document, field.name), kept.get(f"{path}.{field.name}", "")
        same = words != "" and (number is None or _as_number(field, words) == round(number, 6))
        found[field.said] = words if same else _plainly(field, number)
    return found
