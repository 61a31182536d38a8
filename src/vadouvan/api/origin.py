"""A page of another site may not act on the kitchen, though the browser of the cook can reach both.

Names that lead here are few: a page elsewhere whose name is turned to this machine gets no answer, reads included.
"""

from __future__ import annotations

from urllib.parse import urlsplit

from fastapi.responses import JSONResponse
from starlette.datastructures import Headers
from starlette.types import ASGIApp, Receive, Scope, Send

READS = {"GET", "HEAD", "OPTIONS"}
REFUSED = {"sentence": "Another page asked for this. Do it from the kitchen's own page.", "problems": []}


OWN_NAMES = frozenset({"127.0.0.1", "localhost", "::1"})
NOT_OURS = {
    "sentence": "This kitchen answers to 127.0.0.1, localhost and [::1] alone. Open it by one of these names.",
    "problems": [],
}


class OwnNamesOnly:
    """Refuses a request that was sent to another name than this machine's own."""

    def __init__(self, app: ASGIApp) -> None:
        self._app = app

    async def __call__(self, scope: Scope, receive: Receive, send: Send) -> None:
        """Pass a request on, or answer 400."""
        if scope["type"] in ("http", "websocket") and not _is_own(Headers(scope=scope).get("host", "")):
            await JSONResponse(NOT_OURS, status_code=400)(scope, receive, send)
            return
        await self._app(scope, receive, send)


def _is_own(host: str) -> bool:
    """Whether a Host header, with or without its port, is one of the kitchen's own names."""
    try:
        return urlsplit(f"//{host}").hostname in OWN_NAMES
    except ValueError:  # no host at all, such as "[::1"
        return False


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
