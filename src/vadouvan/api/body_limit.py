"""No request is read further than a kitchen could have typed: counted while it comes in, whatever it claims."""

from __future__ import annotations

from starlette.datastructures import Headers
from starlette.exceptions import HTTPException
from starlette.types import ASGIApp, Message, Receive, Scope, Send

MOST_TYPED_BYTES, MOST_FILE_BYTES = 2_000_000, 50_000_000
JSON = "application/json"


class BodiesLimited:
    """Ends a request with 413 and a sentence once its body passes what is read: 2 MB of text, 50 MB of a file."""

    def __init__(self, app: ASGIApp) -> None:
        self._app = app

    async def __call__(self, scope: Scope, receive: Receive, send: Send) -> None:
        """Pass a request on, counting what it sends."""
        if scope["type"] != "http":
            await self._app(scope, receive, send)
            return
        most = MOST_TYPED_BYTES if JSON in Headers(scope=scope).get("content-type", JSON) else MOST_FILE_BYTES
        come_in = 0

        async def counted() -> Message:
            nonlocal come_in
            message = await receive()
            come_in += len(message.get("body", b""))
            if come_in > most:
                told = f"This is larger than {most // 1_000_000} MB, the most that is read at once. Send it in parts."
                raise HTTPException(413, told)
            return message

        await self._app(scope, counted, send)
