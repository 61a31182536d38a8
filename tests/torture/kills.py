"""A server that is killed in the middle of it."""

from __future__ import annotations

import json
import random
import tempfile
import threading
import time
import urllib.error
import urllib.request
from http.client import HTTPException
from pathlib import Path
from typing import Any

from tests.browser.support import KitchenOfItsOwn
from tests.drafts import NOW
from tests.torture.tally import Tally, asked
from vadouvan.core.draft.typed import Draft
from vadouvan.data.tables import shipped_kitchen
from vadouvan.main import context_over


def kills(count: int, seed: int) -> Tally:
    """The server killed while names are changed as fast as it answers: every acknowledged name is there again."""
    chance, tally = random.Random(seed), Tally("kills")
    with tempfile.TemporaryDirectory() as folder:
        kitchen = KitchenOfItsOwn(data_dir=Path(folder))
        made = context_over(Path(folder) / "kitchen.sqlite", shipped_kitchen(), lambda: NOW)
        made.batches.add("a", Draft("n"), now=NOW)
        made.file.close()
        acknowledged = ""
        for _ in range(count):
            kitchen.start()
            first = asked(f"{kitchen.address}/api/batches")[0]
            if acknowledged and first["draft"]["name"] < acknowledged:
                tally.broken.append(f"{acknowledged} was acknowledged, {first['draft']['name']} is there")
            killer = threading.Timer(chance.uniform(0.05, 1.0), kitchen.kill)
            killer.start()
            acknowledged = _renamed_until_gone(kitchen.address, first) or acknowledged
            killer.join()
            tally.tried += 1
        kitchen.start()
        checked = asked(f"{kitchen.address}/api/kitchen/check")
        if checked["findings"]:
            tally.broken.append(f"check: {checked['findings'][:3]}")
        kitchen.kill()
    return tally


def _renamed_until_gone(address: str, batch: dict[str, Any]) -> str:
    acknowledged = ""
    began = time.monotonic_ns()
    draft, revision = batch["draft"], batch["revision"]
    while True:
        draft = {**draft, "name": f"n{began + (time.monotonic_ns() - began):020d}"}
        body = json.dumps({"revision": revision, "draft": draft}).encode()
        request = urllib.request.Request(
            f"{address}/api/batches/{batch['id']}", body, {"Content-Type": "application/json"}, method="PUT"
        )
        try:
            with urllib.request.urlopen(request, timeout=10) as answer:
                revision = json.load(answer)["revision"]
        except (urllib.error.URLError, HTTPException, OSError, ValueError):
            return acknowledged
        acknowledged = draft["name"]
