"""Rows of the kitchen's file in which something does not belong."""

from __future__ import annotations

import json
import random
import sqlite3
from contextlib import closing
from pathlib import Path
from typing import Any, cast

from fastapi import FastAPI
from fastapi.testclient import TestClient

from tests.torture.drafts import HOSTILE
from tests.torture.tally import Tally, demo_client
from vadouvan.store.table import METADATA

ODD = (-5, 0, 2**62, 1.5, b"\x00\xff", b"", "", "weird \ufffd", "2026-11-28T09:00", "0001-01-01T00:00+00:00")
OTHERS: tuple[object, ...] = (True, False, None, 7, -1e300, "x", ["a"], {"a": 1}, [], {})
LISTS = ("/api/plan/today", "/api/kitchen/check")
NEVER_ENDS, BESIDES = "/api/devices/stream", 4


def damaged_rows(count: int, seed: int) -> Tally:
    """One value or one part of a row is of another kind: all that is looked at answers, and all other batches stand."""
    chance, tally = random.Random(seed), Tally("damaged rows")
    with demo_client() as client:
        app = cast("FastAPI", client.app)
        path = Path(app.state.context.file.engine.url.database)
        _one_of_each(client)
        sound = _listed(client)
        pages = [page for page, does in app.openapi()["paths"].items() if "get" in does and page != NEVER_ENDS]
        for _ in range(count):
            table, column, number, kept = _chosen(path, chance)
            odd = _damaged(kept, chance)
            _write(path, table, column, number, odd)
            tally.tried += 1
            told = f"{table}.{column} of row {number} as {odd!r:.200}"
            identity = chance.choice(sorted(sound))
            for page in (*LISTS, *chance.sample(pages, BESIDES)):
                status = client.get(page.replace("{identity}", identity)).status_code
                if status >= 500 or (page in LISTS and status != 200):
                    tally.broken.append(f"{told}: {page} answers {status}")
            missing = sound - _listed(client)
            if len(missing) > 1:
                tally.broken.append(f"{told}: {len(missing)} batches are not there")
            _write(path, table, column, number, kept)
        if _listed(client) != sound:
            tally.broken.append("all was mended, and not all batches are there")
    return tally


def _one_of_each(client: TestClient) -> None:
    """What the demo kitchen has none of: settings that were said, a cut and an ingredient of the cook's own."""
    batch = client.get("/api/batches").json()[0]
    for setting in ("household", "routine", "shared"):
        said = client.get(f"/api/settings/{setting}").json()
        client.put(f"/api/settings/{setting}", json=said.get("said", said)).raise_for_status()
    client.post("/api/own-cuts", json={"batch": batch["id"], "name": "Slipway cut"}).raise_for_status()
    client.post("/api/own-ingredients", json={"name": "shelf soy", "label": "salt 14 g"}).raise_for_status()


def _listed(client: TestClient) -> set[str]:
    """Batches in hand and tasted ones, those that cannot be read among them; none if a list does not answer."""
    answers = [client.get(address) for address in ("/api/batches", "/api/logbook")]
    if any(answer.status_code != 200 for answer in answers):
        return set()
    in_hand, logbook = (answer.json() for answer in answers)
    return {one["id"] for one in (*in_hand, *logbook["entries"])}


def _chosen(path: Path, chance: random.Random) -> tuple[str, str, int, Any]:
    """A table with rows, a column of it, the number of a row, and what stands there."""
    with closing(sqlite3.connect(path)) as database:
        while True:
            table = chance.choice(METADATA.sorted_tables)
            column = chance.choice(list(table.columns)).name
            rows = database.execute(f"SELECT rowid, {column} FROM {table.name}").fetchall()
            if rows:
                return (table.name, column, *chance.choice(rows))


def _damaged(kept: Any, chance: random.Random) -> Any:
    """What is no such thing; of JSON mostly one part of it."""
    if isinstance(kept, str) and kept[:1] in ("{", "[") and chance.random() < 0.8:
        return json.dumps(_with_another_part(json.loads(kept), chance))
    return chance.choice((*ODD, *HOSTILE))


def _with_another_part(value: Any, chance: random.Random) -> Any:
    """The same with one part, however deep, of another kind, or gone."""
    if isinstance(value, dict) and value and chance.random() < 0.9:
        name = chance.choice(sorted(value))
        if chance.random() < 0.1:
            return {one: part for one, part in value.items() if one != name}
        return {**value, name: _with_another_part(value[name], chance)}
    if isinstance(value, list) and value and chance.random() < 0.9:
        place = chance.randrange(len(value))
        return [*value[:place], _with_another_part(value[place], chance), *value[place + 1 :]]
    return chance.choice((*OTHERS, *HOSTILE))


def _write(path: Path, table: str, column: str, number: int, value: Any) -> None:
    """Away from the program, as a disk or another program would."""
    with closing(sqlite3.connect(path)) as database, database:
        database.execute(f"UPDATE {table} SET {column} = ? WHERE rowid = ?", (value, number))
