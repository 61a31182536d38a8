"""How long a request that asks for nothing waits while much is worked out for others: ``make bench``."""

from __future__ import annotations

import json
import subprocess
import sys
import tempfile
import threading
import time
from collections.abc import Callable
from datetime import UTC, datetime
from pathlib import Path
from typing import Any

from tests.bench_http import another_amount, asked, sent
from tests.browser.support import ROOT, KitchenOfItsOwn

SECONDS, DISHES = 8.0, 8
FOR_NOTHING = "/api/nothing-here"


def print_beside_work() -> None:
    """Alone, then beside edits, a planner of eight and archives that are taken in, all of it without a pause."""
    with tempfile.TemporaryDirectory() as folder:
        kitchen = KitchenOfItsOwn(data_dir=Path(folder), demo=True, at=datetime(2026, 11, 28, 9, tzinfo=UTC))
        kitchen.start()
        address = kitchen.address
        batches = asked(f"{address}/api/batches")
        for number in range(DISHES - len(batches)):
            sent(f"{address}/api/batches", json.dumps(batches[number]["draft"]).encode(), "POST")
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
        sent(address + FOR_NOTHING)
        took.append((time.perf_counter() - began) * 1000)
    took.sort()
    middle, late = took[len(took) // 2], took[int(0.99 * len(took))]
    return f"p50 {middle:.1f} ms, p99 {late:.0f} ms"


def _edits(address: str) -> Callable[[int], None]:
    batch: dict[str, Any] = asked(f"{address}/api/batches")[3]
    path = f"{address}/api/batches/{batch['id']}"

    def edit(number: int) -> None:
        nonlocal batch
        draft, body = another_amount(batch, 300 + number % 2000)
        changed = json.loads(sent(path, body))
        if "revision" not in changed:  # an archive was quicker
            changed = asked(path)
        batch = {**changed, "draft": changed.get("draft") or draft}

    return edit


def main() -> None:
    """Work for the kitchen at an address, until it is stopped."""
    address = sys.argv[1]
    archive, edit = sent(f"{address}/api/kitchen/archive"), _edits(address)
    deeds: tuple[Callable[[int], object], ...] = (
        edit,
        lambda _: sent(f"{address}/api/plan/table", b"{}", "POST"),
        lambda _: sent(f"{address}/api/kitchen/archive", archive, "POST", "application/zip"),
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
