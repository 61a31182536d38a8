"""No request is read further than a kitchen could have typed: counted while it comes in, whatever it claims."""

from __future__ import annotations

import re
from collections.abc import Sequence

from starlette.exceptions import HTTPException
from starlette.types import ASGIApp, Message, Receive, Scope, Send

MOST_TYPED_BYTES = 2_000_000


class BodiesLimited:
    """Ends a request with 413 and a sentence once its body passes 2 MB, the most that is typed.

    Addresses of ``files`` count for themselves as they read: a backup, an archive and a photograph have each their own
    most, and a browser may not know what kind of file it sends.
    """

    def __init__(self, app: ASGIApp, files: Sequence[re.Pattern[str]]) -> None:
        self._app, self._files = app, tuple(files)

    async def __call__(self, scope: Scope, receive: Receive, send: Send) -> None:
        """Pass a request on, counting what it sends."""
        if scope["type"] != "http" or any(address.match(scope["path"]) for address in self._files):
            await self._app(scope, receive, send)
            return
        come_in = 0

        async def counted() -> Message:
            nonlocal come_in
            message = await receive()
            come_in += len(message.get("body", b""))
            if come_in > MOST_TYPED_BYTES:
                most = f"{MOST_TYPED_BYTES // 1_000_000} MB"
                raise HTTPException(
                    413, f"This is larger than {most}, the most that is read at once. Send it in parts."
                )
            return message

        await self._app(scope, counted, send)
