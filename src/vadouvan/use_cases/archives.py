"""A kitchen put back from a backup or removed: never without a copy beside it."""

from __future__ import annotations

from datetime import datetime
from pathlib import Path

from vadouvan.store.keeping import Checked, KitchenFile


def put_back(file: KitchenFile, source: Path, *, now: datetime) -> tuple[Checked, Path]:
    """A backup in the place of the kitchen; its rows, and where the kitchen as it was is kept."""
    aside = beside(file, "before-restore", now=now)
    return file.restore(source, aside=aside), aside


def beside(file: KitchenFile, why: str, *, now: datetime) -> Path:
    """A name beside the kitchen for a copy of it."""
    return file.folder / f"kitchen-{why}-{now:%Y-%m-%d-%H%M%S-%f}.sqlite"
