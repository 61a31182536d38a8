"""The shape of a batch file, made from the draft and the table of its numbers; its JSON Schema ships beside."""

from __future__ import annotations

import json
from dataclasses import MISSING, fields
from dataclasses import Field as Part
from functools import cache
from typing import Annotated, Any, Literal, get_args, get_type_hints

from pydantic import BaseModel, ConfigDict, Field, StringConstraints, create_model

from vadouvan.core.draft.typed import LONGEST_KEPT, Draft, LineInput
from vadouvan.formats.batch_fields import COUNTS, NUMBERS, TICKS

Text = Annotated[str, StringConstraints(max_length=LONGEST_KEPT)]
Count = Annotated[int, Field(ge=-(10**9), le=10**9)]
Number = Annotated[float, Field(allow_inf_nan=False, ge=-1e9, le=1e9)]
MOST_OF_A_KIND = 100
MOST_LINES_KEPT = 1000


class _Strict(BaseModel):
    """A part of the file; unknown fields are refused."""

    model_config = ConfigDict(extra="forbid")


@cache
def part_model(said: type) -> type[BaseModel]:
    """The file's part for a part of the draft: numbers and ticks by their table, identities left out."""
    numbers = {field.said: field for field in NUMBERS.get(said, ())}
    hints = get_type_hints(said)
    shape: dict[str, Any] = {}
    for one in fields(said):
        if one.name == "id":
            continue
        if one.name in numbers:
            kind = Count if one.name in COUNTS else Number
            shape[numbers[one.name].name] = (kind | None, None)
        elif one.name in TICKS.get(said, ()):
            shape[one.name] = (bool, False)
        else:
            shape[one.name] = _part_or_text(one, hints[one.name])
    name = f"{said.__name__.removesuffix('Said')}Part"
    return create_model(name, __base__=_Strict, __doc__=said.__doc__, **shape)


def _part_or_text(one: Part[Any], hint: Any) -> tuple[Any, Any]:
    """A part within a part, a list of them, or a text."""
    if get_args(hint):  # a tuple of parts
        inner = part_model(get_args(hint)[0])
        kind: Any = str | inner if inner is part_model(LineInput) else inner  # a line without marks is its text alone
        most = MOST_LINES_KEPT if inner is part_model(LineInput) else MOST_OF_A_KIND
        return (Annotated[list[kind], Field(max_length=most)], [])
    if hint is not str:
        return (part_model(hint), part_model(hint)())
    return (Text, ... if one.default is MISSING else "")


_HEAD: dict[str, Any] = {
    "format": (Literal["vadouvan-batch"], ...),
    "version": (Literal[1], ...),
    "as_typed": (dict[str, str], Field(default={}, description="Field path to the words a cook typed there.")),
}


@cache
def file_model() -> type[BaseModel]:
    """The whole file; made when the first one is read or written."""
    return create_model("BatchFile", __base__=part_model(Draft), __doc__="A batch of Vadouvan as a file.", **_HEAD)


def json_schema() -> str:
    """The JSON Schema of the format, as shipped beside this module."""
    return json.dumps(file_model().model_json_schema(), indent=2, sort_keys=True) + "\n"
