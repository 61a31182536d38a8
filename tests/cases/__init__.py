"""Case files: cited values as CSV, each row with its source and tolerance."""

from __future__ import annotations

import csv
from pathlib import Path


def rows(name: str) -> list[dict[str, str]]:
    """All rows of a case file."""
    with (Path(__file__).parent / f"{name}.csv").open(encoding="utf-8", newline="") as file:
        return list(csv.DictReader(file))
