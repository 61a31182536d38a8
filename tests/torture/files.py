"""Files cut and torn."""

from __future__ import annotations

import random
from collections.abc import Callable
from typing import Any, cast

from fastapi import FastAPI

from tests.formats.test_archive import demo_archive
from tests.torture.tally import Tally, demo_client


def mutated_files(count: int, seed: int) -> Tally:
    """Archives, backups, calendars and texts, torn: below 500, nothing written when refused, and the list answers."""
    chance, tally = random.Random(seed), Tally("mutated files")
    with demo_client() as client:
        context = cast("FastAPI", client.app).state.context
        identity = client.get("/api/batches").json()[0]["id"]
        whole = {
            "/api/kitchen/archive/preview": demo_archive(),
            "/api/kitchen/archive": demo_archive(),
            "/api/kitchen/restore": client.get("/api/kitchen/backup").content,
            "/api/batches/from-file": client.get(f"/api/batches/{identity}/file").content,
            "/api/batches/from-file?": client.get(f"/api/batches/{identity}/recipe").content,
            f"/api/plan/{identity}/from-calendar": client.get("/api/plan/calendar.ics").content,
        }
        for _ in range(count):
            address, data = chance.choice(list(whole.items()))
            torn = _torn(data, chance)
            is_text = "from-" in address
            body: dict[str, Any] = (
                {"json": {"text": torn.decode("utf-8", errors="replace")}} if is_text else {"content": torn}
            )
            before = context.snapshots.read()
            status = client.post(address, **body).status_code
            tally.tried += 1
            if status >= 400 and context.snapshots.read() != before:
                tally.broken.append(f"{address}: refused with {status}, and something was written")
            if status >= 500:
                tally.broken.append(f"{address}: {status} for {torn[:60]!r}, {len(torn)} bytes")
            if status == 200 and address.endswith("restore"):
                listed = client.get("/api/batches").status_code
                if listed != 200:
                    tally.broken.append(f"{address}: taken, and then the list answers {listed}")
                client.post(address, content=data)
            elif tally.tried % 50 == 0 and client.get("/api/batches").status_code != 200:
                tally.broken.append(f"the list does not answer after {address}")
    return tally


def _torn(data: bytes, chance: random.Random) -> bytes:
    at, other = sorted((chance.randrange(len(data)), chance.randrange(len(data))))
    piece = bytes(chance.randrange(256) for _ in range(chance.randint(1, 12)))
    ways: tuple[Callable[[], bytes], ...] = (
        lambda: data[:at],
        lambda: data[:at] + data[other:],
        lambda: data[:at] + piece + data[at:],
        lambda: data[:at] + piece + data[at + len(piece) :],
        lambda: data[:at] + data[at:other] * 2 + data[other:],
        lambda: data[:at] + bytes(other - at) + data[other:],
        lambda: data.replace(data[at : at + 4], piece),
        lambda: data.replace(b"2026", b"1" + bytes([chance.randrange(48, 58)]) * 3).replace(b":00", b":60", 1),
    )
    return chance.choice(ways)()
