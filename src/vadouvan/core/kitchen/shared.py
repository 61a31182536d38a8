"""Things that all batches share: room in the fridge, and tubs."""

from __future__ import annotations

from vadouvan.unchanging import unchanging


@unchanging
class SharedKitchen:
    """Litres free in the fridge and the tubs there are [l]; None or empty where nothing was said: no limit."""

    fridge_l: float | None = None
    tubs_l: tuple[float, ...] = ()
