"""Simulated devices: seeded noise, settling, drift, overload, unplugging; time is told, never taken.

The same seed and the same calls at the same times give the same readings.
"""

from __future__ import annotations

import math
import random
from dataclasses import dataclass, field
from datetime import datetime

from vadouvan.devices.ports import Interpretation, PrintState

SCALE_STEP_G, SCALE_LARGEST_G = 0.5, 5000.0
SETTLING_S, SETTLED_WITHIN_G = 0.4, 0.5
NOISE_G, DRIFT_G_PER_H = 0.15, 0.6
FRIDGE_C, ROOM_C = 4.0, 21.0
DOOR_OPEN_S, DOOR_SHUT_S = 900.0, 1500.0
PROBE_LAG_S = 2400.0
NOISE_C = 0.05


def noise(seed: int, now: datetime, size: float) -> float:
    """Seeded noise that only depends on the tenth of a second."""
    chance = random.Random(f"{seed} {round(now.timestamp() * 10)}")
    return chance.gauss(0.0, size)


@dataclass
class SimulatedScale:
    """A scale with something on it; what is put on it comes to rest within a second or two."""

    seed: int = 1
    largest_g: float = SCALE_LARGEST_G
    on_it_g: float = 0.0
    plugged: bool = True
    tared_g: float = 0.0
    _was_g: float = 0.0
    _since: datetime | None = None
    _started: datetime | None = None

    def put(self, grams: float, now: datetime) -> None:
        """Put so many grams more on it; less if negative, but never less than nothing."""
        self._was_g = self._at_rest_g(now)
        self.on_it_g = max(0.0, self.on_it_g + grams)
        self._since = now

    def clear(self, now: datetime) -> None:
        """Take everything off."""
        self.put(-self.on_it_g, now)

    def tare(self, now: datetime) -> None:
        """Its own tare: what stands on it now counts as nothing."""
        self.tared_g = self._at_rest_g(now)

    def read(self, now: datetime) -> Interpretation:
        """Reading."""
        if not self.plugged:
            return Interpretation(None, "unplugged")
        if self._started is None:
            self._started = now
        shown = self._at_rest_g(now)
        if self.on_it_g > self.largest_g:
            return Interpretation(None, "overload")
        drift = DRIFT_G_PER_H * max(0.0, (now - self._started).total_seconds()) / 3600 if self.on_it_g > 0 else 0.0
        drift = min(drift, SCALE_STEP_G)
        noisy = shown - self.tared_g + drift + noise(self.seed, now, NOISE_G)
        value = round(noisy / SCALE_STEP_G) * SCALE_STEP_G + 0.0
        if self.tared_g == 0:
            value = max(0.0, value)
        settling = abs(shown - self.on_it_g) > SETTLED_WITHIN_G
        return Interpretation(value, "settling" if settling else "ok")

    def _at_rest_g(self, now: datetime) -> float:
        """Between what was on it and what is, on the way to rest."""
        if self._since is None:
            return self.on_it_g
        seconds = max(0.0, (now - self._since).total_seconds())
        return self.on_it_g + (self._was_g - self.on_it_g) * math.exp(-seconds / SETTLING_S)


@dataclass
class SimulatedThermometer:
    """A thermometer in air or meat that follows what surrounds it: the fridge, or the room while its door is open."""

    seed: int = 2
    resting_c: float = FRIDGE_C
    plugged: bool = True
    _from_c: float = FRIDGE_C
    _to_c: float = FRIDGE_C
    _lag_s: float = DOOR_SHUT_S
    _since: datetime | None = None

    def open_door(self, now: datetime) -> None:
        """The room comes in."""
        self.follow(ROOM_C, DOOR_OPEN_S, now)

    def shut_door(self, now: datetime) -> None:
        """It cools down again."""
        self.follow(self.resting_c, DOOR_SHUT_S, now)

    def follow(self, celsius: float, lag_s: float, now: datetime) -> None:
        """Go towards a temperature, with so much lag."""
        self._from_c, self._to_c, self._lag_s, self._since = self._true_c(now), celsius, lag_s, now

    def read(self, now: datetime) -> Interpretation:
        """Reading to the tenth."""
        if not self.plugged:
            return Interpretation(None, "unplugged")
        return Interpretation(round(self._true_c(now) + noise(self.seed, now, NOISE_C), 1), "ok")

    def _true_c(self, now: datetime) -> float:
        if self._since is None:
            return self._to_c
        seconds = max(0.0, (now - self._since).total_seconds())
        return self._to_c + (self._from_c - self._to_c) * math.exp(-seconds / self._lag_s)


def simulated_probe(seed: int = 3) -> SimulatedThermometer:
    """A probe in cold meat; put over heat it follows slowly."""
    return SimulatedThermometer(seed, FRIDGE_C, _lag_s=PROBE_LAG_S)


@dataclass
class SimulatedPrinter:
    """A printer that keeps what it printed."""

    paper_left: int = 20
    plugged: bool = True
    printed: list[bytes] = field(default_factory=list)

    def print(self, paper: bytes, now: datetime) -> PrintState:  # noqa: ARG002 - a real one stamps its queue
        """Print, or say why not."""
        if not self.plugged:
            return "unplugged"
        if self.paper_left <= 0:
            return "no paper"
        self.paper_left -= 1
        self.printed.append(paper)
        return "printed"
