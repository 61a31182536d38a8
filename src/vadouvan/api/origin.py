"""A page of another site may not act on the kitchen, though the browser of the cook can reach both."""

from __future__ import annotations

from urllib.parse import urlsplit

from fastapi.responses import JSONResponse
from starlette.datastructures import Headers
from starlette.types import ASGIApp, Receive, Scope, Send

READS = {"GET", "HEAD", "OPTIONS"}
REFUSED = {"sentence": "Another page asked for this. Do it from the kitchen's own page.", "problems": []}


class OwnPagesOnly:
    """Refuses a change that the browser says was asked for by a page of another origin; programs send no origin."""

    def __init__(self, app: ASGIApp) -> None:
        self._app = app

    async def __call__(self, scope: Scope, receive: Receive, send: Send) -> None:
        """Pass a request on, or answer 403."""
        if scope["type"] == "http" and scope["method"] not in READS:
            headers = Headers(scope=scope)
            origin = headers.get("origin")
            if origin is not None and urlsplit(origin).netloc != headers.get("host"):
                await JSONResponse(REFUSED, status_code=403)(scope, receive, send)
                return
        await self._app(scope, receive, send)
