"""The running kitchen as a request gets it, handed over by the composition root."""

from __future__ import annotations

from typing import Annotated, cast

from fastapi import Depends, Request

from vadouvan.use_cases.running_kitchen import RunningKitchen


async def _context(request: Request) -> RunningKitchen:
    """A coroutine, though it waits for nothing: another one would be sent to a thread."""
    return cast(RunningKitchen, request.app.state.context)


Here = Annotated[RunningKitchen, Depends(_context)]
