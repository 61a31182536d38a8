"""Devices that replay a recorded list: at each moment the last reading that was recorded until then."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass, field
from datetime import datetime

from vadouvan.devices.ports import Interpretation, PrintState


@dataclass
class ScriptedReadings:
    """A scale or a thermometer: (seconds since the first reading, what it showed)."""

    script: Sequence[tuple[float, Interpretation]]
    _tared: float = 0.0
    _started: datetime | None = None

    def tare(self, now: datetime) -> None:
        """From now on what it shows counts from what it shows now."""
        self._tared += self.read(now).value or 0.0

    def read(self, now: datetime) -> Interpretation:
        """Reading recorded last until now, less the tare; before the first, and for an empty script: unplugged."""
        if self._started is None:
            self._started = now
        seconds = (now - self._started).total_seconds()
        shown = [reading for at, reading in self.script if at <= seconds]
        last = shown[-1] if shown else Interpretation(None, "unplugged")
        return last if last.value is None or self._tared == 0 else Interpretation(last.value - self._tared, last.state)


@dataclass
class ScriptedPrinter:
    """A printer that answers with what was recorded, one after another; then with ``printed``."""

    script: Sequence[PrintState] = ()
    printed: list[bytes] = field(default_factory=list)
    _at: int = 0

    def print(self, paper: bytes, now: datetime) -> PrintState:  # noqa: ARG002 - the script decides
        """The next recorded answer."""
        state = self.script[self._at] if self._at < len(self.script) else "printed"
        self._at += 1
        if state == "printed":
            self.printed.append(paper)
        return state
