"""The batch file: one JSON document, our own open format (``docs/formats.md``).

Numbers stand in the unit that their name ends in. What a cook typed in other words, or what
could not be read, is kept beside in ``as_typed``, so that nothing typed is lost on the way.
"""

from __future__ import annotations

import json
from dataclasses import fields
from functools import cache
from typing import Any, NoReturn, cast, get_args, get_type_hints

from pydantic import BaseModel, ValidationError

from vadouvan.core.draft.typed import YES, Draft, LineInput
from vadouvan.errors import BadInput, FormatError, InputError
from vadouvan.formats.batch_fields import NUMBERS, TICKS
from vadouvan.formats.batch_shape import file_model

FORMAT = "vadouvan-batch"
VERSION = 1
LARGEST_BYTES = 1_000_000
ACCEPTED = 'A batch file is a JSON object that starts with "format": "vadouvan-batch" and "version": 1.'


def write(draft: Draft) -> str:
    """A draft as the text of a batch file."""
    kept: dict[str, str] = {}
    parts = _written(draft, "", kept)
    document = file_model().model_validate({"format": FORMAT, "version": VERSION, **parts, "as_typed": kept})
    return document.model_dump_json(indent=2) + "\n"


def read(text: str) -> Draft:
    """The draft in the text of a batch file; raises FormatError or BadInput saying what would do."""
    document = _document(text)
    kept = cast("dict[str, str]", getattr(document, "as_typed"))  # noqa: B009 - the model is made from the draft
    return cast("Draft", _read(Draft, document, "", kept))


def _written(said: Any, path: str, kept: dict[str, str]) -> dict[str, Any]:
    """A part of the draft as a part of the file; words that say more than a number are added to ``kept``."""
    kind, out = type(said), dict[str, Any]()
    for field in NUMBERS.get(kind, ()):
        typed = getattr(said, field.said)
        number = field.number(typed) if typed else None
        out[field.name] = number
        if typed and typed != field.plainly(number):
            kept[f"{path}{field.name}"] = typed
    counted = {field.said for field in NUMBERS.get(kind, ())}
    for one in fields(kind):
        value = getattr(said, one.name)
        if one.name == "id" or one.name in counted:
            continue
        if one.name in TICKS.get(kind, ()):
            out[one.name] = value == YES
        elif isinstance(value, tuple):
            out[one.name] = [_member(part, f"{path}{one.name}.{n}.", kept) for n, part in enumerate(value)]
        else:
            out[one.name] = value if isinstance(value, str) else _written(value, f"{path}{one.name}.", kept)
    return out


def _member(part: Any, path: str, kept: dict[str, str]) -> Any:
    """One of a list; a line without marks is written as its text alone."""
    written = _written(part, path, kept)
    plain = isinstance(part, LineInput) and not any(written[tick] for tick in TICKS[LineInput])
    return written["text"] if plain else written


def _read(kind: type, document: BaseModel, path: str, kept: dict[str, str], identity: str = "") -> Any:
    """The part of a draft that a part of the file holds."""
    found: dict[str, Any] = {"id": identity} if identity else {}
    for field in NUMBERS.get(kind, ()):
        number, words = getattr(document, field.name), kept.get(f"{path}{field.name}", "")
        same = words != "" and (number is None or field.number(words) == round(number, 6))
        found[field.said] = words if same else field.plainly(number)
    hints = _hints(kind)
    for one in fields(kind):
        if one.name == "id" or one.name in found:
            continue
        value = getattr(document, one.name)
        if one.name in TICKS.get(kind, ()):
            found[one.name] = YES if value else ""
        elif isinstance(value, list):
            inner = get_args(hints[one.name])[0]
            found[one.name] = tuple(
                _numbered(inner, part, f"{path}{one.name}.", n, kept) for n, part in enumerate(value)
            )
        elif isinstance(value, BaseModel):
            found[one.name] = _read(hints[one.name], value, f"{path}{one.name}.", kept)
        else:
            found[one.name] = value
    return kind(**found)


@cache
def _hints(kind: type) -> dict[str, Any]:
    """Types of the parts of a part, worked out once: what is declared does not change."""
    return get_type_hints(kind)


def _numbered(kind: type, part: Any, path: str, number: int, kept: dict[str, str]) -> Any:
    """One of a list, with its place as its identity."""
    if isinstance(part, str):
        return LineInput(str(number + 1), part)
    return _read(kind, part, f"{path}{number}.", kept, str(number + 1))


def _document(text: str) -> BaseModel:
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
        return file_model().model_validate(raw)
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
