"""Answers in the units and on the clock that a device reads, which it says with every request."""

from __future__ import annotations

import json
from typing import Annotated

from fastapi import Cookie, Depends
from starlette.datastructures import Headers, MutableHeaders
from starlette.requests import cookie_parser
from starlette.types import ASGIApp, Message, Receive, Scope, Send

from vadouvan.core.measures.retelling import ToldIn
from vadouvan.formats.told_anew import json_told_anew, told_in_of

COOKIE = "vadouvan_told_in"


async def _told_in(vadouvan_told_in: Annotated[str, Cookie(include_in_schema=False)] = "") -> ToldIn:
    """A coroutine, so that it is not sent to a thread."""
    return told_in_of(vadouvan_told_in)


AsRead = Annotated[ToldIn, Depends(_told_in)]


class ToldAsRead:
    """Tells JSON answers anew on their way out; files that are kept or carried elsewhere leave as they are."""

    def __init__(self, app: ASGIApp) -> None:
        self._app = app

    async def __call__(self, scope: Scope, receive: Receive, send: Send) -> None:
        """Pass a request on, and its answer back."""
        told_in = told_in_of(cookie_parser(Headers(scope=scope).get("cookie", "")).get(COOKIE, ""))
        if scope["type"] != "http" or told_in.is_as_the_core_tells or not scope["path"].startswith("/api/"):
            await self._app(scope, receive, send)
            return
        await self._app(scope, receive, _Anew(send, told_in).send)


class _Anew:
    """One answer, held until it is whole if it is JSON that is told."""

    def __init__(self, send: Send, told_in: ToldIn) -> None:
        self._send, self._told_in = send, told_in
        self._start: Message | None = None
        self._body = b""

    async def send(self, message: Message) -> None:
        """Take what the application answers."""
        if message["type"] == "http.response.start":
            headers = Headers(raw=message["headers"])
            is_json = headers.get("content-type", "").startswith("application/json")
            if is_json and "content-disposition" not in headers:
                self._start = message
                return
        if self._start is None or message["type"] != "http.response.body":
            await self._send(message)
            return
        self._body += message.get("body", b"")
        if message.get("more_body", False):
            return
        body = self._body
        if body:
            anew = json_told_anew(json.loads(body), self._told_in)
            body = json.dumps(anew, ensure_ascii=False, separators=(",", ":")).encode()
        headers_out = MutableHeaders(raw=list(self._start["headers"]))
        headers_out["content-length"] = str(len(body))
        await self._send({**self._start, "headers": headers_out.raw})
        await self._send({"type": "http.response.body", "body": body})
