"""Values as they cross an edge: the JSON of answers and rows, and the draft of core for requests, answers and files.

Core says what a draft is and how long its texts may be; here only stands how strict an edge is with it.
"""

from __future__ import annotations

from dataclasses import is_dataclass
from threading import RLock
from typing import Any, TypeVar

from pydantic import ConfigDict, TypeAdapter, ValidationError
from pydantic_core import from_json

from vadouvan.core.cut.kind import CutKind
from vadouvan.core.draft.typed import PARTS, Draft
from vadouvan.core.interpretation.household import HouseholdInput
from vadouvan.core.interpretation.routine import RoutineInput
from vadouvan.core.interpretation.shared import SharedInput
from vadouvan.core.kitchen.kitchen import OwnCorrection
from vadouvan.core.parsing.label import LabelInput
from vadouvan.core.tasting.cut_face import FaceMarks, Point
from vadouvan.core.tasting.verdict import VerdictInput
from vadouvan.core.weighing.event import CounterEvent

T = TypeVar("T")
KEPT = (
    VerdictInput,
    CounterEvent,
    FaceMarks,
    Point,
    CutKind,
    LabelInput,
    RoutineInput,
    SharedInput,
    HouseholdInput,
    OwnCorrection,
)
_SHAPES: dict[Any, TypeAdapter[Any]] = {}
_MAKING = RLock()


def shape_of(kind: type[T]) -> TypeAdapter[T]:
    """The shape of a kind of value, worked out when it is first asked for, and once for all that holds one."""
    if kind not in _SHAPES:
        with _MAKING:
            if kind not in _SHAPES:  # another thread may have made it while this one waited
                shape = TypeAdapter(kind)
                if isinstance(kind, type) and is_dataclass(kind):
                    setattr(kind, "__pydantic_core_schema__", shape.core_schema)  # noqa: B010
                _SHAPES[kind] = shape
    return _SHAPES[kind]


def json_of(answer: object, *, indent: int | None = None) -> str:
    """An answer as JSON."""
    return shape_of(type(answer)).dump_json(answer, indent=indent).decode()


def value_in(kind: type[T], text: str) -> T:
    """The value of this kind in JSON, with every part as it should be; raises ValueError that says which is not."""
    try:
        return shape_of(kind).validate_json(text, strict=True)
    except ValidationError as error:
        first = error.errors(include_url=False, include_input=False)[0]
        where = ".".join(str(step) for step in first["loc"])
        raise ValueError(f"{where}: {first['msg']}" if where else first["msg"]) from None


_STRICT = ConfigDict(extra="forbid", allow_inf_nan=False)
for _part in (*PARTS, *KEPT):
    setattr(_part, "__pydantic_config__", _STRICT)  # noqa: B010 - core does not know the name

EVER_SINCE = ("name", "cut", "mix", "hold", "meal")  # parts that every version has written
DRAFT = shape_of(Draft)  # before any body that holds one: worked out for each of twenty, it was a twelfth of a start


def draft_to_json(draft: Draft) -> str:
    """A draft as compact JSON."""
    return json_of(draft)


def draft_from_json(text: str) -> Draft:
    """The draft in JSON; what an older version did not know is empty. Raises ValueError for what is no draft."""
    draft = value_in(Draft, text)
    said = from_json(text)
    lacking = [name for name in EVER_SINCE if name not in said]
    if lacking:
        raise ValueError(f"a draft without {', '.join(lacking)}")
    return draft
