"""How every router is made: its address, its name in the document, and what all of them may answer instead."""

from __future__ import annotations

import re
from collections.abc import Sequence
from typing import Any

from fastapi import APIRouter
from fastapi.routing import APIRoute
from starlette.routing import BaseRoute

from vadouvan.api.schemas.batch import TroubleOut

TROUBLES = (404, 409, 422)


def router_of(prefix: str, tag: str) -> APIRouter:
    """An empty router below an address, whose routes may answer with what went wrong."""
    return APIRouter(prefix=prefix, tags=[tag], responses=dict.fromkeys(TROUBLES, _TROUBLE))


# Told by name: a model here would be worked out anew for each route and each of its troubles, a twentieth of a start.
_TROUBLE: dict[str, Any] = {
    "content": {"application/json": {"schema": {"$ref": f"#/components/schemas/{TroubleOut.__name__}"}}}
}


def with_troubles(document: dict[str, Any]) -> dict[str, Any]:
    """The document of the interface with the shape of what went wrong, which routes tell by its name alone."""
    shape = TroubleOut.model_json_schema(ref_template="#/components/schemas/{model}")
    parts = shape.pop("$defs", {})
    schemas = {**document["components"]["schemas"], **parts, TroubleOut.__name__: shape}
    document["components"]["schemas"] = dict(sorted(schemas.items()))
    return document


def body_of_a_file(kind: str) -> dict[str, Any]:
    """The part of the document that tells that a route reads a file of this media type as it comes in."""
    return {"requestBody": {"content": {kind: {"schema": {"type": "string", "format": "binary"}}}}}


def addresses_of_files(routes: Sequence[BaseRoute]) -> list[re.Pattern[str]]:
    """Addresses of the routes that read a file, as :func:`body_of_a_file` marks them."""
    return [route.path_regex for route in routes if isinstance(route, APIRoute) and route.openapi_extra]
