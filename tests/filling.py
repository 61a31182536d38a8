"""A kitchen's file filled for tests before a server opens it."""

from __future__ import annotations

from datetime import datetime
from pathlib import Path

from vadouvan.core.snapshot.kitchen import KitchenSnapshot
from vadouvan.data.tables import shipped_kitchen
from vadouvan.main import context_over, fill_kitchen


def fill(folder: Path, snapshot: KitchenSnapshot, now: datetime) -> None:
    """Write a whole kitchen into an empty folder, with what its verdicts teach."""
    fill_kitchen(context_over(folder / "kitchen.sqlite", shipped_kitchen(), lambda: now), snapshot)
