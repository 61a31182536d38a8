"""A clock that jumps."""

from __future__ import annotations

import random
import tempfile
from datetime import UTC, datetime, timedelta
from pathlib import Path

from fastapi.testclient import TestClient

from tests.drafts import NOW
from tests.torture.tally import Tally
from vadouvan.api.app import make_app
from vadouvan.data.tables import shipped_kitchen
from vadouvan.demo import demo_kitchen
from vadouvan.main import context_over, fill_kitchen, new_id

JUMPS = (
    timedelta(hours=-1), timedelta(hours=-26), timedelta(days=1), timedelta(days=-400), timedelta(days=30),
    timedelta(minutes=7), timedelta(days=3650), timedelta(seconds=-1),
)  # fmt: skip
ODD_MOMENTS = (
    datetime(1970, 1, 1, tzinfo=UTC), datetime(2099, 12, 31, 23, 59, 59, tzinfo=UTC),
    datetime(2028, 2, 29, 12, tzinfo=UTC), datetime(1990, 1, 1, tzinfo=UTC),
)  # fmt: skip


def jumping_clock(count: int, seed: int) -> Tally:
    """The machine's clock set back and forth between edits and presses: all answers come, in the order of the deeds."""
    chance, tally = random.Random(seed), Tally("jumps of the clock")
    present = [NOW]
    with tempfile.TemporaryDirectory() as folder:
        context = context_over(Path(folder) / "kitchen.sqlite", shipped_kitchen(), lambda: present[0])
        fill_kitchen(context, demo_kitchen(NOW, shipped_kitchen(), new_id))
        client = TestClient(make_app(context), raise_server_exceptions=False, base_url="http://127.0.0.1")
        identities = [one["id"] for one in client.get("/api/batches").json()]
        for number in range(count):
            tally.tried += 1
            present[0] = chance.choice(ODD_MOMENTS) if chance.random() < 0.2 else _jumped(present[0], chance)
            identity = chance.choice(identities)
            weigh = client.get(f"/api/weigh/{identity}")
            press = {"after": weigh.json()["number"], "kind": "fridge", "celsius": 4}
            pressed = client.post(f"/api/weigh/{identity}", json=press)
            kept = client.get(f"/api/batches/{identity}").json()
            draft = {**kept["draft"], "name": f"jump {number}"}
            edit = {"revision": kept["revision"], "draft": draft}
            asked = [client.put(f"/api/batches/{identity}", json=edit)]
            asked += [client.get(path) for path in ("/api/batches", "/api/plan/today", "/api/logbook")]
            for answer in (weigh, pressed, *asked):
                if answer.status_code >= 500:
                    tally.broken.append(f"{present[0]}: {answer.request.url} {answer.status_code}")
            if context.batches.get(identity).draft.name != f"jump {number}":
                tally.broken.append(f"{present[0]}: the edit is not there")
            numbers = [one.number for one in context.events.of(identity)]
            if numbers != list(range(1, len(numbers) + 1)):
                tally.broken.append(f"{present[0]}: presses out of order: {numbers[-5:]}")
        context.file.close()
    return tally


def _jumped(present: datetime, chance: random.Random) -> datetime:
    wanted = present + chance.choice(JUMPS)
    return min(max(wanted, ODD_MOMENTS[0]), ODD_MOMENTS[1])
