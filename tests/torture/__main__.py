"""A kitchen badly treated: ``make torture`` for long, a little of it in ``make test``.

Hostile text in every field, files cut and torn, damaged rows, edits of two pages with a counter, a planner and a backup
between them, kills in the middle of it, a clock that jumps, a full disk, streams that come and go. Each part counts
what it did and lists what broke a promise of docs/reliability.md.
"""

from __future__ import annotations

import argparse
import sys
from collections.abc import Callable

from tests.torture.clock import jumping_clock
from tests.torture.disk import full_disk
from tests.torture.drafts import hostile_drafts
from tests.torture.edits import interleaved
from tests.torture.files import mutated_files
from tests.torture.kills import kills
from tests.torture.rows import damaged_rows
from tests.torture.streams import soak
from tests.torture.tally import Tally

PARTS: dict[str, tuple[Callable[[int, int], Tally], int]] = {
    "drafts": (hostile_drafts, 20_000),
    "files": (mutated_files, 6_000),
    "rows": (damaged_rows, 2_000),
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
