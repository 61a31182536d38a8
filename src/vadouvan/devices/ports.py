"""Ports of a scale, a thermometer, a probe and a printer. Nothing here raises: a device says its
state, and the cook types the figure where it has none.
"""

from __future__ import annotations

from datetime import datetime
from typing import Literal, Protocol

from vadouvan.unchanging import unchanging

State = Literal["ok", "settling", "overload", "unplugged"]
PrintState = Literal["printed", "no paper", "unplugged"]


@unchanging
class Interpretation:
    """Reading of a device: a value in its unit [g or C], or none; and its state."""

    value: float | None
    state: State


class Scale(Protocol):
    """A kitchen scale. The application keeps a tare of its own, so that none is lost when a device is."""

    def read(self, now: datetime) -> Interpretation:
        """Grams since its tare, to its own step. ``settling`` while they move; none when overloaded or unplugged."""
        ...

    def tare(self, now: datetime) -> None:
        """Its own tare button: from now on it shows nothing."""
        ...


class Thermometer(Protocol):
    """A thermometer, in the fridge or in the meat."""

    def read(self, now: datetime) -> Interpretation:
        """Degrees; none when unplugged."""
        ...


class LabelPrinter(Protocol):
    """A printer of labels."""

    def print(self, paper: bytes, now: datetime) -> PrintState:
        """Print a PDF, or say why not."""
        ...
