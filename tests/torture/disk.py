"""A disk without room."""

from __future__ import annotations

import random
import tempfile
from pathlib import Path

from fastapi.testclient import TestClient
from sqlalchemy import Connection, event

from tests.drafts import NOW
from tests.torture.tally import Tally
from vadouvan.api.app import make_app
from vadouvan.data.tables import shipped_kitchen
from vadouvan.main import context_over


def full_disk(count: int, seed: int) -> Tally:
    """Room that runs out and comes back: a batch is told as not kept or is there, and everything can be looked at."""
    chance, tally = random.Random(seed), Tally("changes on a full disk")
    refused = 0
    with tempfile.TemporaryDirectory() as folder:
        context = context_over(Path(folder) / "kitchen.sqlite", shipped_kitchen(), lambda: NOW)
        room = _Room()
        event.listen(context.file.engine, "begin", room.measure)
        client = TestClient(make_app(context), raise_server_exceptions=False, base_url="http://127.0.0.1")
        kept: list[str] = []
        for number in range(count):
            tally.tried += 1
            room.is_full = chance.random() < 0.5
            wanted = f"{number} {'x' * chance.randint(0, 1900)}"
            answer = client.post("/api/batches", json={"name": wanted})
            if answer.status_code == 201:
                kept.append(wanted)
            elif answer.status_code == 507 and "no room" in answer.json()["sentence"]:
                refused += 1
            else:
                tally.broken.append(f"change {number}: {answer.status_code} {answer.text[:200]}")
            shown = {one.draft.name for one in context.batches.in_hand()}
            if shown != set(kept):
                tally.broken.append(f"change {number}: {len(kept)} were acknowledged, {len(shown)} are there")
        room.is_full = False
        if client.get("/api/batches").status_code != 200 or not refused:
            tally.broken.append(f"{refused} were refused for want of room, and the list must answer")
        if findings := context.file.check().findings:
            tally.broken.append(f"check: {findings[:3]}")
        context.file.close()
    return tally


class _Room:
    """Pages that the database may take: no more than it has, while the disk is full."""

    is_full = False

    def measure(self, connection: Connection) -> None:
        """Said anew for every transaction."""
        pages = 1 if self.is_full else 2**31 - 2  # the database raises what is too little to what it has
        connection.exec_driver_sql(f"PRAGMA max_page_count={pages}")
