"""Long answers written where they are made: models would be sent to another thread to be checked once more."""

from __future__ import annotations

from typing import TypeVar

from fastapi import Response
from pydantic import TypeAdapter

T = TypeVar("T")


def written(answer: T, shape: TypeAdapter[T]) -> Response:
    """An answer of a shape as JSON."""
    return Response(shape.dump_json(answer), media_type="application/json")
