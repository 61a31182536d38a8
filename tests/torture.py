"""A kitchen badly treated: ``make torture`` for long, a little of it in ``make test``.

Hostile text in every field, files cut and torn, edits of two pages with a counter, a planner and a backup between them,
kills in the middle of it, a clock that jumps, a full disk, streams that come and go. Each part counts what it did and
lists what broke a promise of docs/reliability.md.
"""

from __future__ import annotations

import argparse
import json
import random
import sys
import tempfile
import threading
import time
import urllib.error
import urllib.request
from collections.abc import Callable, Iterator
from contextlib import contextmanager
from dataclasses import dataclass, field, fields, is_dataclass, replace
from datetime import UTC, datetime, timedelta
from http.client import HTTPException
from pathlib import Path
from typing import Any, cast

from fastapi import FastAPI
from fastapi.testclient import TestClient
from sqlalchemy import Connection, event

from tests.browser.support import KitchenOfItsOwn
from tests.drafts import NOW
from tests.formats.test_archive import demo_archive
from vadouvan.api.app import make_app
from vadouvan.core.draft.typed import Draft
from vadouvan.core.judgement.judge import UNJUDGED, judge
from vadouvan.data.tables import shipped_kitchen
from vadouvan.demo import demo_kitchen
from vadouvan.formats.judgement import judgement_out
from vadouvan.main import build, context_over, fill_kitchen, new_id
from vadouvan.settings import Settings
from vadouvan.shapes import draft_to_json

KITCHEN = shipped_kitchen()
HOSTILE = (
    "9" * 309 + ".5", "9" * 400 + " kg", "1e999", "-1 g", "0", "nan", "inf", "1/0", "½½½", "12 g", "half",
    "a third of it",
    "9999-12-31T23:59", "0001-01-01T00:00+14:00", "2026-02-30T10:00", "2026-11-28T19:00", "Moon/Crater", "A" * 1980,
    " " * 1990 + "x", "degrees " * 240, "-" * 2000, "(" * 2000, "١٢ كغ", "十二公斤", "\u202e\u0000\ufeff", "🧂" * 300,
    "\n" * 900,
    "'; DROP TABLE batch; --", "<script>alert(1)</script>", "=1+1", "{{7*7}}", "%s%n", "../../etc/passwd",
    "1 tbsp fish sauce, 1 tbsp oyster sauce; and a tablespoon each of A, B and C", "pink curing salt 2 g", "200 C",
    "74 F",
)  # fmt: skip


@dataclass
class Tally:
    """How many were tried, and what broke."""

    name: str
    tried: int = 0
    broken: list[str] = field(default_factory=list)


# --- hostile drafts --------------------------------------------------------------------------


def hostile_drafts(count: int, seed: int) -> Tally:
    """Drafts with hostile text in some fields: each is judged, and its answer can be written."""
    chance, tally = random.Random(seed), Tally("hostile drafts")
    bases = [batch.draft for batch in demo_kitchen(NOW, KITCHEN, new_id).batches]
    for _ in range(count):
        draft = _spoilt(chance.choice(bases), chance, chance.choice((0.02, 0.1, 0.5)))
        tally.tried += 1
        try:
            judgement = judge(draft, KITCHEN, now=NOW)
            judgement_out(judgement, KITCHEN).model_dump_json()
            if judgement.sentence.startswith(UNJUDGED):
                tally.broken.append(f"{judgement.reading.problems[0].wrong}: {draft_to_json(draft)[:2000]}")
        except Exception as fault:
            tally.broken.append(f"{type(fault).__name__}: {fault}: {draft_to_json(draft)[:2000]}")
    return tally


def _spoilt(value: Any, chance: random.Random, share: float) -> Any:
    """The same with hostile text in a share of its fields; lists grow and shrink."""
    if isinstance(value, str):
        return chance.choice(HOSTILE)[:2000] if chance.random() < share else value
    if isinstance(value, tuple):
        kept = tuple(_spoilt(one, chance, share) for one in value if chance.random() > share / 4)
        return kept * (20 if kept and chance.random() < share / 20 else 1)
    if is_dataclass(value) and not isinstance(value, type):
        names = [one.name for one in fields(value) if one.name != "id"]
        return replace(value, **{name: _spoilt(getattr(value, name), chance, share) for name in names})
    return value


# --- mutated files ---------------------------------------------------------------------------


def mutated_files(count: int, seed: int) -> Tally:
    """Archives, backups, calendars and texts, torn: below 500, nothing written when refused, and the list answers."""
    chance, tally = random.Random(seed), Tally("mutated files")
    with _kitchen() as client:
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


# --- edits, presses, plans, imports and backups between each other ---------------------------

EDITED = ("name", "cut.age", "hold.room", "fire.sauce", "quantity.size", "occasion.servings")


@dataclass
class Page:
    """A page that looks at one batch: what it was opened with."""

    identity: str
    since: dict[str, Any]


def interleaved(count: int, seed: int) -> Tally:
    """Two stale pages, a counter, a planner, imports and restores: what was acknowledged stands."""
    chance, tally = random.Random(seed), Tally("interleaved changes")
    with _kitchen() as client:
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
                _below_500(client.post(f"/api/weigh/{page.identity}", json=press).status_code, "press", tally)
            elif what < 0.92:
                _below_500(client.post("/api/plan/table").status_code, "planner", tally)
            elif what < 0.95:
                _below_500(client.post("/api/kitchen/archive", content=demo_archive()).status_code, "import", tally)
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
    _below_500(answer.status_code, "edit", tally)
    if answer.status_code != 200:
        return
    if change.get("prefer") != "theirs":
        known[page.identity, path] = f"edit {number}"
    if chance.random() < 0.6:  # else it goes on from what it had: it slept
        page.since = answer.json()["draft"] or draft
    else:
        page.since = draft


def _below_500(status: int, what: str, tally: Tally) -> None:
    if status >= 500:
        tally.broken.append(f"{what}: {status}")


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


# --- kills -----------------------------------------------------------------------------------


def kills(count: int, seed: int) -> Tally:
    """The server killed while names are changed as fast as it answers: every acknowledged name is there again."""
    chance, tally = random.Random(seed), Tally("kills")
    with tempfile.TemporaryDirectory() as folder:
        kitchen = KitchenOfItsOwn(data_dir=Path(folder))
        made = context_over(Path(folder) / "kitchen.sqlite", KITCHEN, lambda: NOW)
        made.batches.add("a", Draft("n"), now=NOW)
        made.file.close()
        acknowledged = ""
        for _ in range(count):
            kitchen.start()
            first = _asked(f"{kitchen.address}/api/batches")[0]
            if acknowledged and first["draft"]["name"] < acknowledged:
                tally.broken.append(f"{acknowledged} was acknowledged, {first['draft']['name']} is there")
            killer = threading.Timer(chance.uniform(0.05, 1.0), kitchen.kill)
            killer.start()
            acknowledged = _renamed_until_gone(kitchen.address, first) or acknowledged
            killer.join()
            tally.tried += 1
        kitchen.start()
        checked = _asked(f"{kitchen.address}/api/kitchen/check")
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


def _asked(address: str) -> Any:
    with urllib.request.urlopen(address, timeout=30) as answer:
        return json.load(answer)


# --- a clock that jumps ----------------------------------------------------------------------

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
        context = context_over(Path(folder) / "kitchen.sqlite", KITCHEN, lambda: present[0])
        fill_kitchen(context, demo_kitchen(NOW, KITCHEN, new_id))
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


# --- a disk without room ---------------------------------------------------------------------


def full_disk(count: int, seed: int) -> Tally:
    """Room that runs out and comes back: a batch is told as not kept or is there, and everything can be looked at."""
    chance, tally = random.Random(seed), Tally("changes on a full disk")
    refused = 0
    with tempfile.TemporaryDirectory() as folder:
        context = context_over(Path(folder) / "kitchen.sqlite", KITCHEN, lambda: NOW)
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


# --- streams that come and go ----------------------------------------------------------------

STREAMS, EVENTS, MOST_GROWTH = 12, 3, 1.25


def soak(count: int, seed: int) -> Tally:
    """Pages that open streams and leave in the middle of them, with edits between: neither memory nor threads grow."""
    chance, tally = random.Random(seed), Tally("rounds of streams")
    with tempfile.TemporaryDirectory() as folder:
        kitchen = KitchenOfItsOwn(data_dir=Path(folder), demo=True)
        kitchen.start()
        first = _asked(f"{kitchen.address}/api/batches")[0]
        grown = []
        for number in range(count + 1):  # the first round warms up
            streams = [urllib.request.urlopen(f"{kitchen.address}/api/devices/stream") for _ in range(STREAMS)]
            for stream in streams:
                for _ in range(chance.randint(1, EVENTS)):
                    stream.readline()
            draft = {**first["draft"], "name": f"round {number}"}
            first = _changed(kitchen.address, first, draft)
            for stream in streams:
                stream.close()
            _asked(f"{kitchen.address}/api/batches")
            tally.tried += number > 0
            grown.append(_resident_kb(kitchen.process.pid))
        if grown[-1] > MOST_GROWTH * grown[0]:
            tally.broken.append(f"from {grown[0]} to {grown[-1]} kB")
        kitchen.kill()
    return tally


def _resident_kb(process: int) -> int:
    """Memory that a process has [kB]."""
    status = Path(f"/proc/{process}/status").read_text(encoding="ascii", errors="replace")
    return int(next(line for line in status.splitlines() if line.startswith("VmRSS:")).split()[1])


def _changed(address: str, batch: dict[str, Any], draft: dict[str, Any]) -> Any:
    body = json.dumps({"revision": batch["revision"], "draft": draft}).encode()
    headers = {"Content-Type": "application/json"}
    request = urllib.request.Request(f"{address}/api/batches/{batch['id']}", body, headers, method="PUT")
    with urllib.request.urlopen(request, timeout=30) as answer:
        kept = json.load(answer)
    return {**kept, "draft": kept["draft"] or draft}


# --- all of it -------------------------------------------------------------------------------


@contextmanager
def _kitchen(at: datetime = NOW + timedelta(minutes=1)) -> Iterator[TestClient]:
    with tempfile.TemporaryDirectory() as folder:
        app = build(Settings(data_dir=Path(folder), demo=True, clock=at))
        yield TestClient(app, raise_server_exceptions=False, base_url="http://127.0.0.1")
        app.state.context.file.close()


PARTS: dict[str, tuple[Callable[[int, int], Tally], int]] = {
    "drafts": (hostile_drafts, 20_000),
    "files": (mutated_files, 6_000),
    "edits": (interleaved, 4_000),
    "kills": (kills, 100),
    "clock": (jumping_clock, 1_000),
    "full": (full_disk, 600),
    "soak": (soak, 100),
}


def main() -> int:
    """All parts, or those named; the exit code is 1 if a promise was broken."""
    ask = argparse.ArgumentParser(description=__doc__)
    ask.add_argument("parts", nargs="*", choices=[*PARTS, []])
    ask.add_argument("--times", type=float, default=1.0, help="so many times the usual count")
    ask.add_argument("--seed", type=int, default=1)
    said = ask.parse_args()
    broken = 0
    for name in said.parts or PARTS:
        part, count = PARTS[name]
        tally = part(max(1, int(count * said.times)), said.seed)
        broken += len(tally.broken)
        sys.stdout.write(f"{tally.name}: {tally.tried} tried, {len(tally.broken)} broke a promise\n")
        sys.stdout.writelines(f"  {one[:600]}\n" for one in tally.broken[:10])
        sys.stdout.flush()
    return 1 if broken else 0


if __name__ == "__main__":
    sys.exit(main())
