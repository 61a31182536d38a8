"""The batch file: one JSON document, our own open format (``docs/formats.md``).

Numbers stand in the unit that their name ends in. What a cook typed in other words, or what
could not be read, is kept beside in ``as_typed``, so that nothing typed is lost on the way.
"""

from __future__ import annotations

import json
from collections.abc import Callable
from typing import Annotated, Any, Literal, NoReturn

from pydantic import BaseModel, ConfigDict, Field, StringConstraints, ValidationError

from vadouvan.core.draft import LONGEST_TEXT, CutSaid, Draft, HoldSaid, LineSaid, MealSaid
from vadouvan.core.said.quantity import LEAD, MASS, THICKNESS, quantity
from vadouvan.errors import BadInput, FormatError, InputError

FORMAT = "vadouvan-batch"
VERSION = 1
LARGEST_BYTES = 1_000_000
ACCEPTED = 'A batch file is a JSON object that starts with "format": "vadouvan-batch" and "version": 1.'

Text = Annotated[str, StringConstraints(max_length=LONGEST_TEXT)]
Number = Annotated[float, Field(allow_inf_nan=False, ge=-1e9, le=1e9)]


class _Part(BaseModel):
    model_config = ConfigDict(extra="forbid")


class CutPart(_Part):
    """What the cut is."""

    kind: Text = ""
    mass_g: Number | None = None
    shape: Text = ""
    thickness_mm: Number | None = None
    pieces: int | None = Field(default=None, ge=-(10**9), le=10**9)
    blocked_faces: int | None = Field(default=None, ge=-(10**9), le=10**9)
    bone_share_pct: Number | None = None


class HoldPart(_Part):
    """How it is held and what for."""

    fridge_c: Number | None = None
    goal: Text = ""
    salt_target_g_per_kg: Number | None = None


class MealPart(_Part):
    """When food is on the table; ``lead_min`` is the time from the mix to the table."""

    at: Text = ""
    lead_min: Number | None = None
    time_zone: Text = ""


class BatchFile(_Part):
    """A batch of Vadouvan as a file."""

    format: Literal["vadouvan-batch"]
    version: Literal[1]
    name: Text = ""
    cut: CutPart = CutPart()
    mix: Annotated[list[str], Field(max_length=1000)] = []
    hold: HoldPart = HoldPart()
    meal: MealPart = MealPart()
    as_typed: dict[str, str] = Field(default={}, description="Field path to the words a cook typed there.")


def json_schema() -> str:
    """The JSON Schema of the format, as shipped beside this module."""
    return json.dumps(BatchFile.model_json_schema(), indent=2, sort_keys=True) + "\n"


# --- numbers and what was typed -------------------------------------------------------------

# Path of a number, how its typed text is read into the file's unit, and how a number is typed.
_NUMBERS: dict[str, tuple[Callable[[str], float], str]] = {
    "cut.mass_g": (lambda text: quantity(text, MASS, field="cut.mass_g") * 1000, "{:g} g"),
    "cut.thickness_mm": (lambda text: quantity(text, THICKNESS, field="cut.thickness_mm") * 1000, "{:g} mm"),
    "cut.pieces": (int, "{}"),
    "cut.blocked_faces": (int, "{}"),
    "cut.bone_share_pct": (float, "{:g}"),
    "hold.fridge_c": (float, "{:g}"),
    "hold.salt_target_g_per_kg": (float, "{:g}"),
    "meal.lead_min": (lambda text: quantity(text, LEAD, field="meal.lead_min") / 60, "{:g} min"),
}


def _as_number(path: str, typed: str) -> float | None:
    """The number that typed text means, or nothing if it cannot be read: then only the text is kept."""
    try:
        return round(_NUMBERS[path][0](typed), 6)
    except (InputError, ValueError):
        return None


def write(draft: Draft) -> str:
    """A draft as the text of a batch file."""
    typed = _typed_numbers(draft)
    numbers = {path: _as_number(path, text) for path, text in typed.items() if text}
    kept = {path: text for path, text in typed.items() if text and text != _plainly(path, numbers[path])}
    part = {
        room: {p.split(".")[1]: n for p, n in numbers.items() if p.startswith(room)} for room in ("cut", "hold", "meal")
    }
    document = BatchFile(
        format=FORMAT,
        version=VERSION,
        name=draft.name,
        cut=CutPart.model_validate({"kind": draft.cut.kind, "shape": draft.cut.shape, **part["cut"]}),
        mix=[line.text for line in draft.mix],
        hold=HoldPart.model_validate({"goal": draft.hold.goal, **part["hold"]}),
        meal=MealPart.model_validate({"at": draft.meal.at, "time_zone": draft.meal.time_zone, **part["meal"]}),
        as_typed=kept,
    )
    return document.model_dump_json(indent=2) + "\n"


def read(text: str) -> Draft:
    """The draft in the text of a batch file; raises FormatError or BadInput saying what would do."""
    document = _document(text)
    typed = {path: _typed(document, path) for path in _NUMBERS}
    return Draft(
        name=document.name,
        cut=CutSaid(
            kind=document.cut.kind,
            mass=typed["cut.mass_g"],
            shape=document.cut.shape,
            thickness=typed["cut.thickness_mm"],
            pieces=typed["cut.pieces"],
            blocked_faces=typed["cut.blocked_faces"],
            bone_share=typed["cut.bone_share_pct"],
        ),
        mix=tuple(LineSaid(str(number), line) for number, line in enumerate(document.mix, start=1)),
        hold=HoldSaid(typed["hold.fridge_c"], document.hold.goal, typed["hold.salt_target_g_per_kg"]),
        meal=MealSaid(document.meal.at, typed["meal.lead_min"], document.meal.time_zone),
    )


def _typed_numbers(draft: Draft) -> dict[str, str]:
    cut, hold, meal = draft.cut, draft.hold, draft.meal
    return {
        "cut.mass_g": cut.mass,
        "cut.thickness_mm": cut.thickness,
        "cut.pieces": cut.pieces,
        "cut.blocked_faces": cut.blocked_faces,
        "cut.bone_share_pct": cut.bone_share,
        "hold.fridge_c": hold.fridge,
        "hold.salt_target_g_per_kg": hold.salt_target,
        "meal.lead_min": meal.lead,
    }


def _plainly(path: str, number: float | None) -> str:
    return "" if number is None else _NUMBERS[path][1].format(number)


def _typed(document: BatchFile, path: str) -> str:
    """What the cook's field shows: the typed words if they still mean the number, else the number."""
    room, name = path.split(".")
    number = getattr(getattr(document, room), name)
    words = document.as_typed.get(path, "")
    if words and (number is None or _as_number(path, words) == round(number, 6)):
        return words
    return _plainly(path, number)


def _document(text: str) -> BatchFile:
    raw = _json(text)
    if not isinstance(raw, dict) or raw.get("format") != FORMAT:
        raise FormatError(
            field="file", given=text[:60], wrong="This is JSON, but not a batch of Vadouvan.", accepted=ACCEPTED
        )
    if raw.get("version") != VERSION:
        wrong = f"This batch file has version {raw.get('version')!r}; this Vadouvan reads version {VERSION}."
        raise FormatError(
            field="file",
            given=str(raw.get("version")),
            wrong=wrong,
            accepted="Use a newer Vadouvan, or write the file again from it.",
        )
    try:
        return BatchFile.model_validate(raw)
    except ValidationError as error:
        raise BadInput([_field_error(item) for item in error.errors(include_url=False)]) from None


def _json(text: str) -> Any:
    if len(text.encode("utf-8", errors="replace")) > LARGEST_BYTES:
        raise FormatError(
            field="file",
            given=text[:60],
            wrong="The file is larger than 1 MB.",
            accepted="A batch file is a few kilobytes of JSON.",
        )
    try:
        return json.loads(text, parse_constant=_no_constants)
    except json.JSONDecodeError as error:
        wrong = f"The file is broken or not JSON: {error.msg} at line {error.lineno}, column {error.colno}."
        raise FormatError(field="file", given=text[:60], wrong=wrong, accepted=ACCEPTED) from None
    except RecursionError:
        raise FormatError(
            field="file", given=text[:60], wrong="The file is nested too deeply.", accepted=ACCEPTED
        ) from None


def _no_constants(name: str) -> NoReturn:
    raise FormatError(
        field="file",
        given=name,
        wrong=f"The file holds {name}, which is no number.",
        accepted="Write a number or null.",
    )


def _field_error(item: Any) -> InputError:
    path = ".".join(str(step) for step in item["loc"])
    given = repr(item["input"])[:60]
    return FormatError(
        field=path,
        given=given,
        wrong=f"{path} is {given}: {item['msg']}.",
        accepted="docs/formats.md lists what each field holds.",
    )
