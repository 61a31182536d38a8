"""Edits, presses, plans, imports and backups between each other."""

from __future__ import annotations

import json
import random
from dataclasses import dataclass
from typing import Any, cast

from fastapi import FastAPI
from fastapi.testclient import TestClient

from tests.formats.test_archive import demo_archive
from tests.torture.tally import Tally, below_500, demo_client
from vadouvan.shapes import draft_to_json

EDITED = ("name", "cut.age", "hold.room", "fire.sauce", "quantity.size", "occasion.servings")


@dataclass
class Page:
    """A page that looks at one batch: what it was opened with."""

    identity: str
    since: dict[str, Any]


def interleaved(count: int, seed: int) -> Tally:
    """Two stale pages, a counter, a planner, imports and restores: what was acknowledged stands."""
    chance, tally = random.Random(seed), Tally("interleaved changes")
    with demo_client() as client:
        identities = [one["id"] for one in client.get("/api/batches").json()][:3]
        known: dict[tuple[str, str], str] = {}
        context = cast("FastAPI", client.app).state.context
        pages = [Page(one, client.get(f"/api/batches/{one}").json()["draft"]) for one in identities for _ in range(2)]
        backup, backed = client.get("/api/kitchen/backup").content, dict(known)
        for number in range(count):
            tally.tried += 1
            what = chance.random()
            page = chance.choice(pages)
            if what < 0.75:
                _edit(client, page, chance, number, known, tally)
            elif what < 0.87:
                after = client.get(f"/api/weigh/{page.identity}").json()["number"]
                press = {"after": after, "kind": "fridge", "celsius": 3 + number % 3}
                below_500(client.post(f"/api/weigh/{page.identity}", json=press).status_code, "press", tally)
            elif what < 0.92:
                below_500(client.post("/api/plan/table").status_code, "planner", tally)
            elif what < 0.95:
                below_500(client.post("/api/kitchen/archive", content=demo_archive()).status_code, "import", tally)
            elif what < 0.98:
                backup, backed = client.get("/api/kitchen/backup").content, dict(known)
            else:
                status = client.post("/api/kitchen/restore", content=backup).status_code
                if status != 200:  # a backup of ours is put back, however long the kitchen was in use
                    tally.broken.append(f"restore of {len(backup)} bytes: {status}")
                    continue
                known = dict(backed)
            kept = {one: json.loads(draft_to_json(context.batches.get(one).draft)) for one in identities}
            for (identity, path), value in known.items():
                found = _field(kept[identity], path)
                if found != value:
                    tally.broken.append(f"change {number}: {identity} {path} was acknowledged as {value}, is {found}")
                    return tally
    return tally


def _edit(
    client: TestClient, page: Page, chance: random.Random, number: int, known: dict[tuple[str, str], str], tally: Tally
) -> None:
    """An edit of a page that may be stale; asked about, the cook takes one side or the other."""
    path = chance.choice(EDITED)
    draft = json.loads(json.dumps(page.since))
    _put(draft, path, f"edit {number}")
    change = {"revision": 1, "draft": draft, "since": page.since}
    answer = client.put(f"/api/batches/{page.identity}", json=change)
    if answer.status_code == 409:
        change["prefer"] = chance.choice(("mine", "theirs"))
        answer = client.put(f"/api/batches/{page.identity}", json=change)
    below_500(answer.status_code, "edit", tally)
    if answer.status_code != 200:
        return
    if change.get("prefer") != "theirs":
        known[page.identity, path] = f"edit {number}"
    if chance.random() < 0.6:  # else it goes on from what it had: it slept
        page.since = answer.json()["draft"] or draft
    else:
        page.since = draft


def _field(draft: dict[str, Any], path: str) -> Any:
    found: Any = draft
    for name in path.split("."):
        found = found[name]
    return found


def _put(draft: dict[str, Any], path: str, value: str) -> None:
    *parts, last = path.split(".")
    place: Any = draft
    for name in parts:
        place = place[name]
    place[last] = value
