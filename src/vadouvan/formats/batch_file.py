"""The batch file: one JSON document, our own open format (``docs/formats.md``).

Numbers stand in the unit that their name ends in. What a cook typed in other words, or what
could not be read, is kept beside in ``as_typed``, so that nothing typed is lost on the way.
"""

from __future__ import annotations

import json
from collections.abc import Callable
from dataclasses import asdict, dataclass
from typing import Annotated, Any, Literal, NoReturn

from pydantic import BaseModel, ConfigDict, Field, StringConstraints, ValidationError

from vadouvan.core.draft import (
    LONGEST_TEXT,
    YES,
    AimsSaid,
    CutSaid,
    Draft,
    HoldSaid,
    LineSaid,
    MakingSaid,
    MealSaid,
    OccasionSaid,
    QuantitySaid,
    StepSaid,
)
from vadouvan.core.said.quantity import (
    CONTACT,
    DEPTH,
    LEAD,
    MASS,
    SIDE,
    SIMMER,
    SPACING,
    THICKNESS,
    TRIMMED,
    Kind,
    quantity,
)
from vadouvan.errors import BadInput, FormatError, InputError

FORMAT = "vadouvan-batch"
VERSION = 1
LARGEST_BYTES = 1_000_000
ACCEPTED = 'A batch file is a JSON object that starts with "format": "vadouvan-batch" and "version": 1.'

Text = Annotated[str, StringConstraints(max_length=LONGEST_TEXT)]
Count = Annotated[int, Field(ge=-(10**9), le=10**9)]
Number = Annotated[float, Field(allow_inf_nan=False, ge=-1e9, le=1e9)]


class _Part(BaseModel):
    model_config = ConfigDict(extra="forbid")


class StepPart(_Part):
    """One thing done to the cut; only what its kind asks for is filled in."""

    kind: Text
    amount_g: Number | None = None
    depth_mm: Number | None = None
    spacing_mm: Number | None = None
    crosswise: bool = False
    through_skin: bool = False
    count: Count | None = None
    stuffed_with: Text = ""


class CutPart(_Part):
    """What the cut is."""

    kind: Text = ""
    mass_g: Number | None = None
    shape: Text = ""
    thickness_mm: Number | None = None
    width_mm: Number | None = None
    length_mm: Number | None = None
    pieces: Count | None = None
    bone: Text = ""
    bone_share_pct: Number | None = None
    cover: Text = ""
    cover_on: Text = ""
    evenness: Text = ""
    steps: Annotated[list[StepPart], Field(max_length=100)] = []


class OccasionPart(_Part):
    """For how many."""

    servings: Count | None = None
    appetite: Text = ""
    frozen_pct: Number | None = None


class HoldPart(_Part):
    """How it is held and what for."""

    fridge_c: Number | None = None
    goal: Text = ""
    salt_target_g_per_kg: Number | None = None
    vacuum_school: Text = ""
    turned: Text = ""
    metal: Text = ""
    open_air: Text = ""
    readings: Text = ""


class MealPart(_Part):
    """When food is on the table; ``lead_min`` is the time from the mix to the table."""

    at: Text = ""
    lead_min: Number | None = None
    time_zone: Text = ""


class LinePart(_Part):
    """A line of the mix with its marks; a line without marks is written as its text alone."""

    text: Text
    locked: bool = False
    lifted: bool = False
    first: bool = False


class AimsPart(_Part):
    """What the mix should come to; the salt target stands in ``hold``."""

    school: Text = ""
    spoon_salt: Text = ""
    spoons: Number | None = None
    bath_h: Number | None = None
    sugar_g_per_kg: Number | None = None
    acid_g_per_kg: Number | None = None
    heat_shu_per_kg: Number | None = None


class QuantityPart(_Part):
    """How the mix meets the meat, and what is set aside: a weight or a share, in words."""

    form: Text = ""
    container: Text = ""
    size: Text = ""
    coat: Text = ""
    set_aside: Text = ""
    set_aside_for: Text = ""


class MakingPart(_Part):
    """How the mix is made; ``reduce_to`` is a weight or a share, in words."""

    method: Text = ""
    simmer_min: Number | None = None
    reduce_to: Text = ""
    cooling: Text = ""
    texture: Text = ""
    first_contact_min: Number | None = None


class BatchFile(_Part):
    """A batch of Vadouvan as a file."""

    format: Literal["vadouvan-batch"]
    version: Literal[1]
    name: Text = ""
    cut: CutPart = CutPart()
    mix: Annotated[list[str | LinePart], Field(max_length=1000)] = []
    hold: HoldPart = HoldPart()
    meal: MealPart = MealPart()
    occasion: OccasionPart = OccasionPart()
    aims: AimsPart = AimsPart()
    quantity: QuantityPart = QuantityPart()
    making: MakingPart = MakingPart()
    as_typed: dict[str, str] = Field(default={}, description="Field path to the words a cook typed there.")


def json_schema() -> str:
    """The JSON Schema of the format, as shipped beside this module."""
    return json.dumps(BatchFile.model_json_schema(), indent=2, sort_keys=True) + "\n"


# --- numbers and what was typed -------------------------------------------------------------


@dataclass(frozen=True)
class _NumberField:
    """A number of the file: its name, the draft's name for it, how text is read, how a number is typed."""

    name: str
    said: str
    read: Callable[[str], float]
    typed: str


def _of_kind(kind: Kind, factor: float) -> Callable[[str], float]:
    return lambda text: quantity(text, kind, field="") * factor


_NUMBERS: dict[str, tuple[_NumberField, ...]] = {
    "cut": (
        _NumberField("mass_g", "mass", _of_kind(MASS, 1000), "{:g} g"),
        _NumberField("thickness_mm", "thickness", _of_kind(THICKNESS, 1000), "{:g} mm"),
        _NumberField("width_mm", "width", _of_kind(SIDE, 1000), "{:g} mm"),
        _NumberField("length_mm", "length", _of_kind(SIDE, 1000), "{:g} mm"),
        _NumberField("pieces", "pieces", int, "{}"),
        _NumberField("bone_share_pct", "bone_share", float, "{:g}"),
    ),
    "step": (
        _NumberField("amount_g", "amount", _of_kind(TRIMMED, 1000), "{:g} g"),
        _NumberField("depth_mm", "depth", _of_kind(DEPTH, 1000), "{:g} mm"),
        _NumberField("spacing_mm", "spacing", _of_kind(SPACING, 1000), "{:g} mm"),
        _NumberField("count", "count", int, "{}"),
    ),
    "hold": (
        _NumberField("fridge_c", "fridge", float, "{:g}"),
        _NumberField("salt_target_g_per_kg", "salt_target", float, "{:g}"),
    ),
    "meal": (_NumberField("lead_min", "lead", _of_kind(LEAD, 1 / 60), "{:g} min"),),
    "occasion": (
        _NumberField("servings", "servings", int, "{}"),
        _NumberField("frozen_pct", "frozen", float, "{:g}"),
    ),
    "aims": (
        _NumberField("spoons", "spoons", float, "{:g}"),
        _NumberField("bath_h", "bath_time", _of_kind(CONTACT, 1 / 3600), "{:g} h"),
        _NumberField("sugar_g_per_kg", "sugar", float, "{:g}"),
        _NumberField("acid_g_per_kg", "acid", float, "{:g}"),
        _NumberField("heat_shu_per_kg", "heat", float, "{:g}"),
    ),
    "making": (
        _NumberField("simmer_min", "simmer", _of_kind(SIMMER, 1 / 60), "{:g} min"),
        _NumberField("first_contact_min", "first_contact", _of_kind(CONTACT, 1 / 60), "{:g} min"),
    ),
}


def _as_number(field: _NumberField, typed: str) -> float | None:
    """The number that typed text means, or nothing if it cannot be read: then only the text is kept."""
    try:
        return round(field.read(typed), 6)
    except (InputError, ValueError):
        return None


def _plainly(field: _NumberField, number: float | None) -> str:
    return "" if number is None else field.typed.format(number)


def _numbers(part: str, said: object, path: str, kept: dict[str, str]) -> dict[str, float | None]:
    """The numbers of one part; words that say more than the number are added to ``kept``."""
    found: dict[str, float | None] = {}
    for field in _NUMBERS[part]:
        typed = getattr(said, field.said)
        found[field.name] = _as_number(field, typed) if typed else None
        if typed and typed != _plainly(field, found[field.name]):
            kept[f"{path}.{field.name}"] = typed
    return found


def _texts(part: str, document: BaseModel, path: str, kept: dict[str, str]) -> dict[str, str]:
    """What the cook's fields show: the typed words if they still mean the number, else the number."""
    found: dict[str, str] = {}
    for field in _NUMBERS[part]:
        number, words = getattr(document, field.name), kept.get(f"{path}.{field.name}", "")
        same = words != "" and (number is None or _as_number(field, words) == round(number, 6))
        found[field.said] = words if same else _plainly(field, number)
    return found


_HOLD_WORDS = ("goal", "vacuum_school", "turned", "metal", "open_air", "readings")
_WORDS = ("kind", "shape", "bone", "cover", "cover_on", "evenness")


def write(draft: Draft) -> str:
    """A draft as the text of a batch file."""
    kept: dict[str, str] = {}
    steps = [
        {
            "kind": step.kind,
            **_numbers("step", step, f"cut.steps.{number}", kept),
            "crosswise": step.crosswise == YES,
            "through_skin": step.through_skin == YES,
            "stuffed_with": step.stuffed_with,
        }
        for number, step in enumerate(draft.cut.steps)
    ]
    words = {name: getattr(draft.cut, name) for name in _WORDS}
    hold, meal, occasion, making = draft.hold, draft.meal, draft.occasion, draft.making
    document = BatchFile.model_validate({
        "format": FORMAT,
        "version": VERSION,
        "name": draft.name,
        "cut": {**words, **_numbers("cut", draft.cut, "cut", kept), "steps": steps},
        "mix": [_line_out(line) for line in draft.mix],
        "hold": {**{name: getattr(hold, name) for name in _HOLD_WORDS}, **_numbers("hold", hold, "hold", kept)},
        "meal": {"at": meal.at, "time_zone": meal.time_zone, **_numbers("meal", meal, "meal", kept)},
        "occasion": {"appetite": occasion.appetite, **_numbers("occasion", occasion, "occasion", kept)},
        "aims": {
            "school": draft.aims.school,
            "spoon_salt": draft.aims.spoon_salt,
            **_numbers("aims", draft.aims, "aims", kept),
        },
        "quantity": asdict(draft.quantity),
        "making": {
            "method": making.method,
            "reduce_to": making.reduce_to,
            "cooling": making.cooling,
            "texture": making.texture,
            **_numbers("making", making, "making", kept),
        },
        "as_typed": kept,
    })  # fmt: skip
    return document.model_dump_json(indent=2) + "\n"


def read(text: str) -> Draft:
    """The draft in the text of a batch file; raises FormatError or BadInput saying what would do."""
    document = _document(text)
    kept, cut = document.as_typed, document.cut
    return Draft(
        name=document.name,
        cut=CutSaid(
            **{name: getattr(cut, name) for name in _WORDS},
            **_texts("cut", cut, "cut", kept),
            steps=tuple(_step(step, number, kept) for number, step in enumerate(cut.steps)),
        ),
        mix=tuple(_line(line, number) for number, line in enumerate(document.mix, start=1)),
        hold=HoldSaid(
            **{name: getattr(document.hold, name) for name in _HOLD_WORDS},
            **_texts("hold", document.hold, "hold", kept),
        ),
        meal=MealSaid(
            at=document.meal.at, time_zone=document.meal.time_zone, **_texts("meal", document.meal, "meal", kept)
        ),
        occasion=OccasionSaid(
            appetite=document.occasion.appetite, **_texts("occasion", document.occasion, "occasion", kept)
        ),
        aims=AimsSaid(
            school=document.aims.school,
            spoon_salt=document.aims.spoon_salt,
            **_texts("aims", document.aims, "aims", kept),
        ),
        quantity=QuantitySaid(**document.quantity.model_dump()),
        making=MakingSaid(
            method=document.making.method,
            reduce_to=document.making.reduce_to,
            cooling=document.making.cooling,
            texture=document.making.texture,
            **_texts("making", document.making, "making", kept),
        ),
    )


def _line_out(line: LineSaid) -> str | dict[str, str | bool]:
    marks = {name: True for name in ("locked", "lifted", "first") if getattr(line, name) == YES}
    return {"text": line.text, **marks} if marks else line.text


def _line(part: str | LinePart, number: int) -> LineSaid:
    if isinstance(part, str):
        return LineSaid(str(number), part)
    marks = {name: YES if getattr(part, name) else "" for name in ("locked", "lifted", "first")}
    return LineSaid(str(number), part.text, **marks)


def _step(step: StepPart, number: int, kept: dict[str, str]) -> StepSaid:
    return StepSaid(
        id=str(number + 1),
        kind=step.kind,
        crosswise=YES if step.crosswise else "",
        through_skin=YES if step.through_skin else "",
        stuffed_with=step.stuffed_with,
        **_texts("step", step, f"cut.steps.{number}", kept),
    )


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
