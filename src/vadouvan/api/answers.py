"""Answers written where they are made, each by the shape of its kind, and that shape told in the document.

Handed to the framework they would be sent to another thread and checked once more, and the shape of every answer would
be worked out at each start, anew for each route: here it is worked out when the first of its kind is written.
"""

from __future__ import annotations

import inspect
from collections.abc import Callable, Mapping, Sequence
from functools import wraps
from types import NoneType
from typing import Any

from fastapi import Response
from fastapi.routing import APIRoute
from pydantic import TypeAdapter
from pydantic.json_schema import JsonSchemaMode
from starlette.routing import BaseRoute

from vadouvan.api.schemas.batch import TroubleOut
from vadouvan.shapes import shape_of

TROUBLES = (404, 409, 422)
OK = 200
TROUBLE = "trouble"
_WRITTEN: JsonSchemaMode = "serialization"


class AnsweringRoute(APIRoute):
    """A route whose answer is of the kind that its function says it gives; a response of its own is left as it is."""

    def __init__(self, path: str, endpoint: Callable[..., Any], *, status_code: int | None = None, **more: Any) -> None:
        self.answers = _kind_of(endpoint)
        carried = endpoint if self.answers is None else _written(endpoint, self.answers, status_code or OK)
        more["response_model"] = None
        super().__init__(path, carried, status_code=status_code, **more)


def _kind_of(endpoint: Callable[..., Any]) -> Any:
    """The kind of answer that a function gives; nothing where it gives none, or a response of its own."""
    said = inspect.get_annotations(endpoint, eval_str=True).get("return")
    is_a_response = isinstance(said, type) and issubclass(said, Response)
    return None if said in (None, NoneType) or is_a_response else said


def _written(endpoint: Callable[..., Any], kind: Any, status: int) -> Callable[..., Any]:
    """The function, whose answer is JSON by then."""

    def written(answer: Any) -> Response:
        return Response(shape_of(kind).dump_json(answer), status_code=status, media_type="application/json")

    if inspect.iscoroutinefunction(endpoint):

        @wraps(endpoint)
        async def awaited(*given: Any, **named: Any) -> Response:
            return written(await endpoint(*given, **named))

        return awaited

    @wraps(endpoint)
    def carried(*given: Any, **named: Any) -> Response:
        return written(endpoint(*given, **named))

    return carried


def with_answers(document: dict[str, Any], routes: Sequence[BaseRoute]) -> dict[str, Any]:
    """The document of the interface with the shapes of all answers, and of what may be told instead of one."""
    answering = [route for route in routes if isinstance(route, AnsweringRoute) and route.include_in_schema]
    kinds = {str(place): route.answers for place, route in enumerate(answering) if route.answers is not None}
    shapes, parts = _schemas({**kinds, TROUBLE: TroubleOut})
    for place, route in enumerate(answering):
        for method in route.methods or ():
            responses = document["paths"][route.path_format][method.lower()]["responses"]
            for status in TROUBLES:
                responses[str(status)]["content"] = _json(shapes[TROUBLE])
            if route.answers is not None:
                responses[str(route.status_code or OK)]["content"] = _json(shapes[str(place)])
    known = document["components"]["schemas"]
    twice = [name for name, shape in parts.items() if known.get(name, shape) != shape]
    if twice:
        raise ValueError(f"one name, two shapes: {', '.join(twice)}")
    document["components"]["schemas"] = dict(sorted({**known, **parts}.items()))
    return document


def _schemas(kinds: Mapping[str, Any]) -> tuple[dict[str, Any], dict[str, Any]]:
    """Schemas of these kinds by name, and of all that they are made of."""
    asked = [(name, _WRITTEN, shape_of(kind)) for name, kind in kinds.items()]
    found, told = TypeAdapter.json_schemas(asked, ref_template="#/components/schemas/{model}")
    return {name: schema for (name, _), schema in found.items()}, told.get("$defs", {})


def _json(schema: object) -> dict[str, Any]:
    return {"application/json": {"schema": schema}}
