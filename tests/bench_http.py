"""Requests of the bench to a kitchen that is served."""

from __future__ import annotations

import json
import urllib.error
import urllib.request
from typing import Any

TYPED = "application/json"


def sent(address: str, body: bytes | None = None, method: str = "PUT", kind: str = TYPED) -> bytes:
    """The answer, or the refusal; without a body it is asked for."""
    request = urllib.request.Request(address, body, {"Content-Type": kind}, method="GET" if body is None else method)
    try:
        with urllib.request.urlopen(request, timeout=60) as answer:
            return bytes(answer.read())
    except urllib.error.HTTPError as refused:
        return bytes(refused.read())


def asked(address: str) -> Any:
    """What is there, as data."""
    return json.loads(sent(address))


def another_amount(batch: dict[str, Any], grams: int) -> tuple[dict[str, Any], bytes]:
    """The draft of a batch with so much in its first line, and the request that says so."""
    first, *others = batch["draft"]["mix"]
    draft = {**batch["draft"], "mix": [{**first, "text": f"{grams} g yoghurt"}, *others]}
    return draft, json.dumps({"revision": batch["revision"], "draft": draft}).encode()
