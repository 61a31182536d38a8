"""How long a request that asks for nothing waits while much is worked out for others: ``make bench``."""

from __future__ import annotations

import json
import subprocess
import sys
import tempfile
import threading
import time
import urllib.error
import urllib.request
from collections.abc import Callable
from datetime import UTC, datetime
from pathlib import Path
from typing import Any

from tests.browser.support import ROOT, KitchenOfItsOwn

SECONDS, DISHES = 8.0, 8
FOR_NOTHING = "/api/nothing-here"


def print_beside_work() -> None:
    """Alone, then beside edits, a planner of eight and archives that are taken in, all of it without a pause."""
    with tempfile.TemporaryDirectory() as folder:
        kitchen = KitchenOfItsOwn(data_dir=Path(folder), demo=True, at=datetime(2026, 11, 28, 9, tzinfo=UTC))
        kitchen.start()
        address = kitchen.address
        batches = json.loads(_sent(f"{address}/api/batches"))
        for number in range(DISHES - len(batches)):
            _sent(f"{address}/api/batches", json.dumps(batches[number]["draft"]).encode())
        alone = _waits(address)
        command = [sys.executable, "-m", "tests.bench_busy", address]
        with subprocess.Popen(command, cwd=ROOT, stdout=subprocess.PIPE) as work:
            assert work.stdout is not None
            work.stdout.readline()  # it is at work
            beside = _waits(address)
            work.kill()
        kitchen.kill()
    print(f"a request for nothing: {alone} alone; {beside} beside edits, a planner of {DISHES} and archives taken in")


def _waits(address: str) -> str:
    took, until = [], time.perf_counter() + SECONDS
    while time.perf_counter() < until:
        began = time.perf_counter()
        _sent(address + FOR_NOTHING)
        took.append((time.perf_counter() - began) * 1000)
    took.sort()
    middle, late = took[len(took) // 2], took[int(0.99 * len(took))]
    return f"p50 {middle:.1f} ms, p99 {late:.0f} ms"


def _sent(address: str, body: bytes | None = None, method: str = "", kind: str = "application/json") -> bytes:
    request = urllib.request.Request(
        address, body, {"Content-Type": kind}, method=method or ("POST" if body else "GET")
    )
    try:
        with urllib.request.urlopen(request, timeout=60) as answer:
            return bytes(answer.read())
    except urllib.error.HTTPError as refused:
        return bytes(refused.read())


def _edits(address: str) -> Callable[[int], None]:
    batch: dict[str, Any] = json.loads(_sent(f"{address}/api/batches"))[3]

    def edit(number: int) -> None:
        nonlocal batch
        first, *others = batch["draft"]["mix"]
        draft = {**batch["draft"], "mix": [{**first, "text": f"{300 + number % 2000} g yoghurt"}, *others]}
        body = json.dumps({"revision": batch["revision"], "draft": draft}).encode()
        changed = json.loads(_sent(f"{address}/api/batches/{batch['id']}", body, "PUT"))
        if "revision" not in changed:  # an archive was quicker
            changed = json.loads(_sent(f"{address}/api/batches/{batch['id']}"))
        batch = {**changed, "draft": changed.get("draft") or draft}

    return edit


def main() -> None:
    """Work for the kitchen at an address, until it is stopped."""
    address = sys.argv[1]
    archive, edit = _sent(f"{address}/api/kitchen/archive"), _edits(address)
    deeds: tuple[Callable[[int], object], ...] = (
        edit,
        lambda _: _sent(f"{address}/api/plan/table", b"{}"),
        lambda _: _sent(f"{address}/api/kitchen/archive", archive, kind="application/zip"),
    )

    def again(deed: Callable[[int], object]) -> None:
        number = 0
        while True:
            deed(number)
            number += 1

    for deed in deeds:
        threading.Thread(target=again, args=(deed,), daemon=True).start()
    print("at work", flush=True)
    threading.Event().wait()


if __name__ == "__main__":
    main()
