"""How every router is made: its address, its name in the document, and what all of them may answer instead."""

from __future__ import annotations

import re
from collections.abc import Sequence
from typing import Any

from fastapi import APIRouter
from fastapi.routing import APIRoute
from starlette.routing import BaseRoute

from vadouvan.api.answers import TROUBLES, AnsweringRoute


def router_of(prefix: str, tag: str) -> APIRouter:
    """An empty router below an address, whose routes may answer with what went wrong."""
    troubles: dict[int | str, dict[str, Any]] = {status: {} for status in TROUBLES}
    return APIRouter(prefix=prefix, tags=[tag], responses=troubles, route_class=AnsweringRoute)


def body_of_a_file(kind: str) -> dict[str, Any]:
    """The part of the document that tells that a route reads a file of this media type as it comes in."""
    return {"requestBody": {"content": {kind: {"schema": {"type": "string", "format": "binary"}}}}}


def addresses_of_files(routes: Sequence[BaseRoute]) -> list[re.Pattern[str]]:
    """Addresses of the routes that read a file, as :func:`body_of_a_file` marks them."""
    return [route.path_regex for route in routes if isinstance(route, APIRoute) and route.openapi_extra]
