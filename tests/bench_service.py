"""How quickly a kitchen that is served answers, as ratios to a request that it refuses, and what a start costs."""

from __future__ import annotations

import gzip
import json
import re
import statistics
import subprocess
import sys
import tempfile
import time
from collections.abc import Callable
from datetime import UTC, datetime
from pathlib import Path
from typing import TypeVar

from tests.bench_http import another_amount, asked, sent
from tests.browser.support import ROOT, KitchenOfItsOwn
from tests.drafts import of_kind
from vadouvan.formats import batch_file

T = TypeVar("T")
EDITS, ASKED, STREAMED, WARM = 80, 40, 200, 5
ONE_PACKET = b'{"revision": 1}'
DIST = ROOT / "web/dist/assets"


def print_service() -> None:
    """A served demo kitchen: start, memory, an edit, the Counter; the page's size; the stream of judgements."""
    with tempfile.TemporaryDirectory() as folder:
        first = KitchenOfItsOwn(data_dir=Path(folder), demo=True, at=datetime(2026, 11, 28, 9, tzinfo=UTC))
        first.start()
        asked(f"{first.address}/api/batches")
        first.kill()
        kitchen = KitchenOfItsOwn(data_dir=Path(folder), at=datetime(2026, 11, 28, 9, tzinfo=UTC))
        began = time.perf_counter()
        kitchen.start()
        asked(f"{kitchen.address}/api/pantry?search=salt")
        start_s = time.perf_counter() - began
        status = Path(f"/proc/{kitchen.process.pid}/status").read_text(encoding="ascii", errors="replace")
        resident = next(int(line.split()[1]) for line in status.splitlines() if line.startswith("VmRSS:")) / 1000
        print(f"start to first answer {start_s:.2f} s; memory then {resident:.0f} MB")
        _print_requests(kitchen.address)
        kitchen.kill()
    _print_page()
    _print_stream()


def _print_requests(address: str) -> None:
    """Each request beside one that is refused: a machine's pace may change within a run."""
    batch = asked(f"{address}/api/batches")[3]
    path = f"{address}/api/batches/{batch['id']}"
    sizes = []

    def edit(number: int) -> float:
        """Another amount of one line: from the request to its answer."""
        nonlocal batch
        draft, body = another_amount(batch, 500 + number)
        answer, took_ms = _timed(lambda: sent(path, body))
        sizes.append(len(answer))
        batch = {**json.loads(answer), "draft": draft}
        return took_ms

    def counter(_: int) -> float:
        return _timed(lambda: sent(f"{address}/api/batches"))[1]

    def refused() -> float:
        """The least that a request costs."""
        return _timed(lambda: sent(path, ONE_PACKET))[1]

    told = _beside(edit, refused, EDITS)
    print(f"an edit of one amount: {told}; {statistics.median(sizes) / 1000:.1f} kB of answer")
    print(f"the Counter's list of five: {_beside(counter, refused, ASKED)}")


def _beside(work: Callable[[int], float], floor: Callable[[], float], count: int) -> str:
    """Times of a request, each as so many times one that is refused right before it."""
    pairs = [(floor(), work(number)) for number in range(count + WARM)][WARM:]
    floors, times = zip(*pairs, strict=True)
    ratio = statistics.median(time_ms / floor_ms for floor_ms, time_ms in pairs)
    middle, late = statistics.median(floors), sorted(times)[int(0.95 * len(times))]
    return (
        f"p50 {statistics.median(times):.0f} ms, {ratio:.1f} times a refused request ({middle:.1f} ms); "
        f"p95 {late:.0f} ms, {late / middle:.1f} times"
    )


def _timed(work: Callable[[], T]) -> tuple[T, float]:
    """What work gives, and how long it took [ms]."""
    began = time.perf_counter()
    done = work()
    return done, (time.perf_counter() - began) * 1000


def _print_page() -> None:
    sizes = {path.name: len(gzip.compress(path.read_bytes())) / 1000 for path in DIST.glob("*.js")}
    named = re.findall(r"assets/([^\"]+\.js)", (DIST.parent / "index.html").read_text())
    first = sum(sizes[name] for name in named)
    print(f"page: {sum(sizes.values()):.0f} kB of JavaScript gzipped in all, {first:.0f} kB for the first screen")


def _print_stream() -> None:
    lines = [
        json.dumps(
            json.loads(batch_file.write(of_kind("lamb_chop", f"{mass_g} g", "", "30 mm", "12 g salt", "40 g oil")))
        )
        for mass_g in range(1000, 1001 + STREAMED)  # each another: what was judged last is kept
    ]
    command = [sys.executable, "-m", "vadouvan.cli", "judge", "--stream", "--json", "--now", "2026-11-28T09:00+00:00"]
    took = []
    for count in (1, STREAMED + 1):
        began = time.perf_counter()
        subprocess.run(command, input="\n".join(lines[:count]), text=True, capture_output=True, check=True, cwd=ROOT)
        took.append(time.perf_counter() - began)
    print(f"stream of judgements: {STREAMED / (took[1] - took[0]):.0f} a second, with bands; its start {took[0]:.1f} s")
