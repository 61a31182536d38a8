"""A kitchen that answers late by chance, and a page that is slow: ``make late``.

What a page does while an answer is on its way is hardly seen on a quick machine, and now and then on a busy one.
"""

from __future__ import annotations

import asyncio
import os
import random

from playwright.sync_api import Page
from starlette.types import ASGIApp, Message, Receive, Scope, Send

LATE_MS = int(os.environ.get("VADOUVAN_LATE_MS", "0"))  # at most so late, each way
SLOW_PAGE = float(os.environ.get("VADOUVAN_SLOW_PAGE", "1"))  # so many times as slow as the machine


class LateAnswers:
    """An application whose requests arrive late and whose answers leave late, so that they overtake each other."""

    def __init__(self, app: ASGIApp, late_ms: int = LATE_MS) -> None:
        self._app, self._late_ms = app, late_ms

    async def __call__(self, scope: Scope, receive: Receive, send: Send) -> None:
        """As the application, with a wait before and after; what a test asks for itself is not kept waiting."""
        if not self._late_ms or scope["type"] != "http" or not scope["path"].startswith("/api/") or _by_a_test(scope):
            await self._app(scope, receive, send)
            return

        async def sent(message: Message) -> None:
            if message["type"] == "http.response.start":
                await self._wait()
            await send(message)

        await self._wait()
        await self._app(scope, receive, sent)

    async def _wait(self) -> None:
        await asyncio.sleep(random.uniform(0, self._late_ms / 1000))


def _by_a_test(scope: Scope) -> bool:
    return any(name == b"user-agent" and value.startswith(b"Python") for name, value in scope["headers"])


def slowed(page: Page) -> None:
    """The page's processor at a part of its pace, if that is asked for."""
    if SLOW_PAGE > 1:
        page.context.new_cdp_session(page).send("Emulation.setCPUThrottlingRate", {"rate": SLOW_PAGE})
