"""Headers by which a browser is told what an answer may load, and that no page may frame it."""

from __future__ import annotations

from starlette.datastructures import MutableHeaders
from starlette.types import ASGIApp, Message, Receive, Scope, Send

# The page loads nothing from elsewhere, and says so to the browser.
SAFE_HEADERS = {
    "Content-Security-Policy": (
        "default-src 'self'; img-src 'self' data:; style-src 'self' 'unsafe-inline'; frame-ancestors 'none'"
    ),
    "X-Content-Type-Options": "nosniff",
    "Referrer-Policy": "no-referrer",
}


class WithSafeHeaders:
    """Every answer carries them, streams too."""

    def __init__(self, app: ASGIApp) -> None:
        self._app = app

    async def __call__(self, scope: Scope, receive: Receive, send: Send) -> None:
        """Hand the request on, and put the headers on its answer."""

        async def with_headers(message: Message) -> None:
            """The start of an answer holds its headers; what follows goes as it is."""
            if message["type"] == "http.response.start":
                headers = MutableHeaders(scope=message)
                for name, value in SAFE_HEADERS.items():
                    headers.setdefault(name, value)
            await send(message)

        await self._app(scope, receive, with_headers if scope["type"] == "http" else send)
