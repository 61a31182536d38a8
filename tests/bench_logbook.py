"""Speed of a long logbook, as part of ``make bench``."""

from __future__ import annotations

import statistics
import tempfile
import time
from collections.abc import Callable
from dataclasses import replace
from datetime import UTC, datetime, timedelta
from functools import partial
from pathlib import Path

from tests.saturday import eaten_logbook
from vadouvan.core.snapshot.kitchen import BatchSnapshot, KitchenSettings, KitchenSnapshot
from vadouvan.core.snapshot.merging import Merge
from vadouvan.core.tasting.logbook import Asked, Entry, found
from vadouvan.data.tables import shipped_kitchen
from vadouvan.store.batches import Batches
from vadouvan.store.database import open_database
from vadouvan.store.snapshots import Snapshots
from vadouvan.store.verdicts import Verdicts
from vadouvan.use_cases.logbook_cache import LogbookCache

EATEN_BY = datetime(2026, 11, 25, tzinfo=UTC)
RUNS = 9
CUTS = shipped_kitchen().cuts


def _whatever_is_there(merge: Merge, _: KitchenSnapshot) -> Merge:
    return merge


def print_logbook() -> None:
    """A long logbook against a short one: the first look after a start, later ones, and searches."""
    questions = (
        Asked(),
        Asked(search="quail milder 77"),
        Asked(verdict="salt: a little too much", ingredient="mustard"),
    )
    short, long = 100, 10_000
    times: dict[int, list[float]] = {}
    for count in (short, long):
        with tempfile.TemporaryDirectory() as folder:
            engine = open_database(Path(folder) / "kitchen.sqlite")
            merge = Merge(_eaten(count), (), (), KitchenSettings(), ())
            Snapshots(engine).take_in(partial(_whatever_is_there, merge), now=EATEN_BY)
            logbook_cache = LogbookCache(Batches(engine), Verdicts(engine))
            start = time.perf_counter()
            logbook_cache.entries()
            first = (time.perf_counter() - start) * 1000
            later = [_median_ms(partial(_look, logbook_cache, one)) for one in questions]
            times[count] = [first, *later]
            engine.dispose()
    for name, *(few, many) in zip(("first look after a start", "all", "by words", "by verdict and ingredient"),
                                  times[short], times[long], strict=True):  # fmt: skip
        print(f"logbook of {long}, {name}: {many:.0f} ms, {many / few:.0f} times a logbook of {short}")


def _look(logbook_cache: LogbookCache, asked: Asked) -> list[Entry]:
    return found(logbook_cache.entries(), asked, CUTS)


def _eaten(count: int) -> tuple[BatchSnapshot, ...]:
    eaten = eaten_logbook(EATEN_BY)
    return tuple(
        BatchSnapshot(
            f"batch-{number}",
            replace(one.draft, name=f"{one.draft.name} {number}"),
            EATEN_BY - timedelta(hours=number),
            verdicts=one.verdicts,
        )
        for number, one in ((number, eaten[number % len(eaten)]) for number in range(count))
    )


def _median_ms(work: Callable[[], object]) -> float:
    times = []
    for _ in range(RUNS):
        start = time.perf_counter()
        work()
        times.append((time.perf_counter() - start) * 1000)
    return statistics.median(times)
