"""Readings of the devices as a stream, and the bench that handles the simulated ones."""

from __future__ import annotations

import asyncio
from collections.abc import AsyncIterator
from datetime import timedelta
from typing import Annotated, Literal

from fastapi import Path, Query, Request
from fastapi.responses import StreamingResponse
from pydantic import BaseModel, Field

from vadouvan.api.context import Here
from vadouvan.api.router import router_of
from vadouvan.devices.counter import BenchAction
from vadouvan.devices.ports import Interpretation
from vadouvan.formats.today import today_out
from vadouvan.shapes import json_of
from vadouvan.unchanging import unchanging
from vadouvan.use_cases.running_kitchen import RunningKitchen

router = router_of("/api/devices", "devices")

EVERY_S = 0.25


@unchanging(kw_only=True)
class ReadingOut:
    """Reading of one device."""

    value: float | None
    state: str


@unchanging(kw_only=True)
class ReadingsOut:
    """Readings of all devices: grams, and degrees in the fridge and at the probe."""

    scale: ReadingOut
    fridge: ReadingOut
    probe: ReadingOut


class BenchBody(BaseModel):
    """Something done on the bench; ``amount`` in grams or degrees."""

    action: BenchAction
    amount: float = Field(default=0.0, allow_inf_nan=False)


@unchanging(kw_only=True)
class PrintedOut:
    """Answer of the printer."""

    state: Literal["printed", "no paper", "unplugged"]
    says: str


@router.get("")
def read_devices(here: Here) -> ReadingsOut:
    """Readings of the devices now."""
    return _readings(here)


@router.get("/stream")
async def stream_readings(here: Here, most: Annotated[int | None, Query(ge=1, le=100_000)] = None) -> StreamingResponse:
    """The same a few times a second, as server-sent events; ``most`` ends the stream after so many."""
    return StreamingResponse(_events(here, most), media_type="text/event-stream", headers={"Cache-Control": "no-store"})


async def _events(here: RunningKitchen, most: int | None) -> AsyncIterator[str]:
    sent = 0
    while (most is None or sent < most) and not here.stopping.is_set():
        yield f"data: {json_of(_readings(here))}\n\n"
        sent += 1
        if sent != most:
            await asyncio.sleep(EVERY_S)


@router.post("/bench")
def handle_bench(body: BenchBody, here: Here) -> ReadingsOut:
    """Put something on the simulated scale, open the fridge door, pull a plug."""
    here.devices.handle(body.action, body.amount, here.now())
    return _readings(here)


@router.post("/print/{identity}")
def print_label(identity: Annotated[str, Path(max_length=64)], request: Request, here: Here) -> PrintedOut:
    """Print the label of a bag; says why not, if it cannot."""
    from vadouvan.formats.paper import labels_pdf  # noqa: PLC0415 - loaded when something is printed

    kept, now = here.batches.get(identity), here.now()
    found = today_out([(kept.id, kept.draft.name, here.judged(kept.draft))], now, timedelta(0))
    state = here.devices.printer.print(labels_pdf(found.labels, address=str(request.base_url), now=now), now)
    return PrintedOut(state=state, says=PRINT_SAYS[state])


PRINT_SAYS = {
    "printed": "Printed.",
    "no paper": "The printer has no paper. The label can be opened as PDF and printed elsewhere.",
    "unplugged": "The printer does not answer. The label can be opened as PDF and printed elsewhere.",
}


def _readings(here: RunningKitchen) -> ReadingsOut:
    found = here.devices.read(here.now())
    return ReadingsOut(scale=_reading(found.scale), fridge=_reading(found.fridge), probe=_reading(found.probe))


def _reading(one: Interpretation) -> ReadingOut:
    return ReadingOut(value=one.value, state=one.state)
