"""Streams that come and go."""

from __future__ import annotations

import json
import random
import tempfile
import urllib.request
from pathlib import Path
from typing import Any

from tests.browser.support import KitchenOfItsOwn
from tests.torture.tally import Tally, asked

STREAMS, EVENTS, MOST_GROWTH = 12, 3, 1.25


def soak(count: int, seed: int) -> Tally:
    """Pages that open streams and leave in the middle of them, with edits between: neither memory nor threads grow."""
    chance, tally = random.Random(seed), Tally("rounds of streams")
    with tempfile.TemporaryDirectory() as folder:
        kitchen = KitchenOfItsOwn(data_dir=Path(folder), demo=True)
        kitchen.start()
        first = asked(f"{kitchen.address}/api/batches")[0]
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
            asked(f"{kitchen.address}/api/batches")
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
