"""All devices of one kitchen together, and the bench that handles the simulated ones."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass, field
from datetime import datetime
from typing import Literal, get_args

from vadouvan.devices.ports import Interpretation, LabelPrinter, Scale, Thermometer
from vadouvan.devices.simulated import SimulatedPrinter, SimulatedScale, SimulatedThermometer, simulated_probe
from vadouvan.errors import InputError
from vadouvan.unchanging import unchanging

BenchAction = Literal[
    "put", "clear", "tare_scale", "unplug_scale", "plug_scale", "open_door", "shut_door", "unplug_fridge",
    "plug_fridge",
    "heat_probe", "cool_probe", "unplug_probe", "plug_probe", "paper_out", "paper_in",
]  # fmt: skip
PROBE_IN_OVEN_S = 2400.0
MOST_PUT_G = 20_000.0


@unchanging
class Readings:
    """Readings of all devices at one moment."""

    at: datetime
    scale: Interpretation
    fridge: Interpretation
    probe: Interpretation


@dataclass
class Devices:
    """A scale, a thermometer in the fridge, a probe and a label printer."""

    scale: Scale = field(default_factory=SimulatedScale)
    fridge: Thermometer = field(default_factory=SimulatedThermometer)
    probe: Thermometer = field(default_factory=simulated_probe)
    printer: LabelPrinter = field(default_factory=SimulatedPrinter)

    def read(self, now: datetime) -> Readings:
        """Readings."""
        return Readings(now, self.scale.read(now), self.fridge.read(now), self.probe.read(now))

    def handle(self, action: BenchAction, amount: float, now: datetime) -> None:
        """Do something on the bench; raises InputError where a device is not a simulated one."""
        if not -MOST_PUT_G <= amount <= MOST_PUT_G:
            accepted = f"Put up to {MOST_PUT_G / 1000:g} kg on it."
            raise InputError(field="amount", given=f"{amount:g}", wrong="That is too much.", accepted=accepted)
        handlers = {**_scale_actions(self.scale, amount, now), **_fridge_actions(self.fridge, now)}
        handlers |= _probe_actions(self.probe, amount, now) | _printer_actions(self.printer)
        if action not in handlers:
            known = ", ".join(name for name in get_args(BenchAction) if name in handlers)
            wrong = f'"{action}" is not possible: that device is not a simulated one.'
            raise InputError(field="action", given=action, wrong=wrong, accepted=f"Possible are: {known}.")
        handlers[action]()


Handlers = dict[str, Callable[[], None]]


def _scale_actions(scale: Scale, amount: float, now: datetime) -> Handlers:
    if not isinstance(scale, SimulatedScale):
        return {}
    return {
        "put": lambda: scale.put(amount, now),
        "clear": lambda: scale.clear(now),
        "tare_scale": lambda: scale.tare(now),
        "unplug_scale": lambda: setattr(scale, "plugged", False),
        "plug_scale": lambda: setattr(scale, "plugged", True),
    }


def _fridge_actions(fridge: Thermometer, now: datetime) -> Handlers:
    if not isinstance(fridge, SimulatedThermometer):
        return {}
    return {
        "open_door": lambda: fridge.open_door(now),
        "shut_door": lambda: fridge.shut_door(now),
        "unplug_fridge": lambda: setattr(fridge, "plugged", False),
        "plug_fridge": lambda: setattr(fridge, "plugged", True),
    }


def _probe_actions(probe: Thermometer, amount: float, now: datetime) -> Handlers:
    if not isinstance(probe, SimulatedThermometer):
        return {}
    return {
        "heat_probe": lambda: probe.follow(amount or 180.0, PROBE_IN_OVEN_S, now),
        "cool_probe": lambda: probe.follow(4.0, PROBE_IN_OVEN_S, now),
        "unplug_probe": lambda: setattr(probe, "plugged", False),
        "plug_probe": lambda: setattr(probe, "plugged", True),
    }


def _printer_actions(printer: LabelPrinter) -> Handlers:
    if not isinstance(printer, SimulatedPrinter):
        return {}
    return {
        "paper_out": lambda: setattr(printer, "paper_left", 0),
        "paper_in": lambda: setattr(printer, "paper_left", 20),
    }
