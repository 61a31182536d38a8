"""What an attack came to, and the kitchen that it is made on."""

from __future__ import annotations

import json
import tempfile
import urllib.request
from collections.abc import Iterator
from contextlib import contextmanager
from dataclasses import dataclass, field
from datetime import datetime, timedelta
from pathlib import Path
from typing import Any

from fastapi.testclient import TestClient

from tests.drafts import NOW
from vadouvan.main import build
from vadouvan.settings import Settings


@dataclass
class Tally:
    """How many were tried, and what broke."""

    name: str
    tried: int = 0
    broken: list[str] = field(default_factory=list)


def below_500(status: int, what: str, tally: Tally) -> None:
    """A broken promise, if it is a fault of ours."""
    if status >= 500:
        tally.broken.append(f"{what}: {status}")


@contextmanager
def demo_client(at: datetime = NOW + timedelta(minutes=1)) -> Iterator[TestClient]:
    """The demo kitchen in a folder of its own, asked without a server."""
    with tempfile.TemporaryDirectory() as folder:
        app = build(Settings(data_dir=Path(folder), demo=True, clock=at))
        yield TestClient(app, raise_server_exceptions=False, base_url="http://127.0.0.1")
        app.state.context.file.close()


def asked(address: str) -> Any:
    """What a served kitchen answers."""
    with urllib.request.urlopen(address, timeout=30) as answer:
        return json.load(answer)
