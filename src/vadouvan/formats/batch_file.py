"""The batch file: one JSON document, our own open format (``docs/formats.md``).

Numbers stand in the unit that their name ends in. What a cook typed in other words, or what
could not be read, is kept beside in ``as_typed``, so that nothing typed is lost on the way.
"""

from __future__ import annotations

import json
from dataclasses import asdict
from typing import Any, NoReturn

from pydantic import ValidationError

from vadouvan.core.draft import (
    YES,
    AimsSaid,
    CutSaid,
    Draft,
    FireSaid,
    HoldSaid,
    LineSaid,
    MakingSaid,
    MealSaid,
    OccasionSaid,
    QuantitySaid,
    StageSaid,
    StepSaid,
)
from vadouvan.errors import BadInput, FormatError, InputError
from vadouvan.formats.batch_numbers import numbers_of, texts_of
from vadouvan.formats.batch_parts import BatchFile, LinePart, StagePart, StepPart

FORMAT = "vadouvan-batch"
VERSION = 1
LARGEST_BYTES = 1_000_000
ACCEPTED = 'A batch file is a JSON object that starts with "format": "vadouvan-batch" and "version": 1.'

_HOLD_WORDS = ("goal", "vacuum_school", "turned", "metal", "open_air", "readings")
_MEAL_WORDS = ("at", "time_zone", "start", "contact", "pulled", "thaw_for")
_MAKING_WORDS = ("method", "reduce_to", "cooling", "texture")
_FIRE_WORDS = ("surface", "doneness", "sauce", "reduce_to", "freeze")
_WORDS = ("kind", "state", "shape", "bone", "cover", "cover_on", "evenness")


def write(draft: Draft) -> str:
    """A draft as the text of a batch file."""
    kept: dict[str, str] = {}
    steps = [
        {
            "kind": step.kind,
            **numbers_of("step", step, f"cut.steps.{number}", kept),
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
        "cut": {**words, **numbers_of("cut", draft.cut, "cut", kept), "steps": steps},
        "mix": [_line_out(line) for line in draft.mix],
        "hold": {**{name: getattr(hold, name) for name in _HOLD_WORDS}, **numbers_of("hold", hold, "hold", kept)},
        "meal": {**{name: getattr(meal, name) for name in _MEAL_WORDS}, **numbers_of("meal", meal, "meal", kept)},
        "occasion": {"appetite": occasion.appetite, **numbers_of("occasion", occasion, "occasion", kept)},
        "aims": {
            "school": draft.aims.school,
            "spoon_salt": draft.aims.spoon_salt,
            **numbers_of("aims", draft.aims, "aims", kept),
        },
        "quantity": asdict(draft.quantity),
        "making": {
            **{name: getattr(making, name) for name in _MAKING_WORDS},
            **numbers_of("making", making, "making", kept),
        },
        "fire": {
            **{name: getattr(draft.fire, name) for name in _FIRE_WORDS},
            **numbers_of("fire", draft.fire, "fire", kept),
            "stages": [_stage_out(stage, number, kept) for number, stage in enumerate(draft.fire.stages)],
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
            **texts_of("cut", cut, "cut", kept),
            steps=tuple(_step(step, number, kept) for number, step in enumerate(cut.steps)),
        ),
        mix=tuple(_line(line, number) for number, line in enumerate(document.mix, start=1)),
        hold=HoldSaid(
            **{name: getattr(document.hold, name) for name in _HOLD_WORDS},
            **texts_of("hold", document.hold, "hold", kept),
        ),
        meal=MealSaid(
            **{name: getattr(document.meal, name) for name in _MEAL_WORDS},
            **texts_of("meal", document.meal, "meal", kept),
        ),
        occasion=OccasionSaid(
            appetite=document.occasion.appetite, **texts_of("occasion", document.occasion, "occasion", kept)
        ),
        aims=AimsSaid(
            school=document.aims.school,
            spoon_salt=document.aims.spoon_salt,
            **texts_of("aims", document.aims, "aims", kept),
        ),
        quantity=QuantitySaid(**document.quantity.model_dump()),
        making=MakingSaid(
            **{name: getattr(document.making, name) for name in _MAKING_WORDS},
            **texts_of("making", document.making, "making", kept),
        ),
        fire=FireSaid(
            **{name: getattr(document.fire, name) for name in _FIRE_WORDS},
            **texts_of("fire", document.fire, "fire", kept),
            stages=tuple(_stage(stage, number, kept) for number, stage in enumerate(document.fire.stages)),
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
        **texts_of("step", step, f"cut.steps.{number}", kept),
    )


def _stage_out(stage: StageSaid, number: int, kept: dict[str, str]) -> dict[str, str | bool | float | None]:
    words = {"place": stage.place, "air": stage.air, "brush": stage.brush}
    return {**words, "turn": stage.turn == YES, **numbers_of("stage", stage, f"fire.stages.{number}", kept)}


def _stage(part: StagePart, number: int, kept: dict[str, str]) -> StageSaid:
    return StageSaid(
        id=str(number + 1),
        place=part.place,
        air=part.air,
        turn=YES if part.turn else "",
        brush=part.brush,
        **texts_of("stage", part, f"fire.stages.{number}", kept),
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
