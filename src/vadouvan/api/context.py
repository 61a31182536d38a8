"""What a request needs from the running kitchen, handed over by the composition root."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass
from datetime import datetime
from typing import Annotated, cast

from fastapi import Depends, Request

from vadouvan.core.kitchen import Kitchen
from vadouvan.store.batches import Batches


@dataclass(frozen=True)
class Context:
    """The kitchen's tables, its batches, and its clock and identity source."""

    kitchen: Kitchen
    batches: Batches
    now: Callable[[], datetime]
    new_id: Callable[[], str]


def _context(request: Request) -> Context:
    return cast(Context, request.app.state.context)


Here = Annotated[Context, Depends(_context)]
