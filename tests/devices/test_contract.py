"""One contract for every device, and what each of the simulated ones does besides."""

from __future__ import annotations

import unittest
from collections.abc import Callable
from datetime import UTC, datetime, timedelta

from hypothesis import given, settings
from hypothesis import strategies as st

from tests import drawn
from vadouvan.devices.counter import Devices
from vadouvan.devices.ports import Interpretation, LabelPrinter, Scale, Thermometer
from vadouvan.devices.scripted import ScriptedPrinter, ScriptedReadings
from vadouvan.devices.simulated import (
    SCALE_STEP_G,
    SimulatedPrinter,
    SimulatedScale,
    SimulatedThermometer,
    simulated_probe,
)
from vadouvan.errors import InputError

START = datetime(2026, 11, 27, 18, 0, tzinfo=UTC)
SCRIPT = ((0.0, Interpretation(0.0, "ok")), (2.0, Interpretation(36.5, "settling")), (3.0, Interpretation(37.0, "ok")),
          (5.0, Interpretation(None, "unplugged")))  # fmt: skip

SCALES: dict[str, Callable[[], Scale]] = {"simulated": SimulatedScale, "scripted": lambda: ScriptedReadings(SCRIPT)}
THERMOMETERS: dict[str, Callable[[], Thermometer]] = {
    "fridge": SimulatedThermometer,
    "probe": simulated_probe,
    "scripted": lambda: ScriptedReadings([(0.0, Interpretation(4.1, "ok")), (60.0, Interpretation(None, "unplugged"))]),
}
PRINTERS: dict[str, Callable[[], LabelPrinter]] = {
    "simulated": lambda: SimulatedPrinter(paper_left=1),
    "scripted": lambda: ScriptedPrinter(["printed", "no paper"]),
}


def after(seconds: float) -> datetime:
    """A moment after the start."""
    return START + timedelta(seconds=seconds)


class Contract(unittest.TestCase):
    """What holds for all implementations of a port."""

    def test_a_reading_has_a_value_or_says_why_not(self) -> None:
        """A value with ``ok`` or ``settling``, none with ``overload`` or ``unplugged``; never negative grams."""
        for name, make in {**SCALES, **THERMOMETERS}.items():
            device = make()
            for tenth in range(0, 1200, 7):
                reading = device.read(after(tenth / 10))
                with self.subTest(device=name, tenth=tenth):
                    self.assertEqual(reading.value is None, reading.state in ("overload", "unplugged"))
                    if name in SCALES and reading.value is not None:
                        self.assertGreaterEqual(reading.value, 0.0)

    def test_a_tared_scale_shows_nothing(self) -> None:
        """Whatever stands on it: after its tare it shows nothing, within a step; taken off, less than nothing."""
        for name, make in SCALES.items():
            scale = make()
            if isinstance(scale, SimulatedScale):
                scale.put(37.0, after(0))
            scale.read(after(0))
            scale.tare(after(4.0))
            with self.subTest(device=name):
                self.assertAlmostEqual(scale.read(after(4.5)).value or 0.0, 0.0, delta=SCALE_STEP_G)
            if isinstance(scale, SimulatedScale):
                scale.clear(after(5))
                self.assertAlmostEqual(scale.read(after(9)).value or 0.0, -37.0, delta=2 * SCALE_STEP_G)

    def test_the_same_calls_give_the_same_readings(self) -> None:
        """Seeded: two of a kind, asked at the same times, agree."""
        for name, make in {**SCALES, **THERMOMETERS}.items():
            one, other = make(), make()
            moments = [after(0.3 * step) for step in range(40)]
            with self.subTest(device=name):
                self.assertEqual([one.read(at) for at in moments], [other.read(at) for at in moments])

    def test_a_printer_prints_or_says_why_not(self) -> None:
        """The first page comes out; without paper it says so, and nothing is lost or printed twice."""
        for name, make in PRINTERS.items():
            printer = make()
            with self.subTest(device=name):
                self.assertEqual(printer.print(b"one", after(0)), "printed")
                self.assertEqual(printer.print(b"two", after(1)), "no paper")
                self.assertEqual(getattr(printer, "printed"), [b"one"])  # noqa: B009 - not part of the port


class Simulated(unittest.TestCase):
    """The bench."""

    @settings(max_examples=drawn(60))
    @given(st.lists(st.floats(1, 400), min_size=1, max_size=8), st.integers(0, 1000))
    def test_it_comes_to_rest_at_what_is_on_it(self, parts: list[float], seed: int) -> None:
        """Whatever is put on it one after another: settled, it shows the sum within two of its steps."""
        scale, at = SimulatedScale(seed), 0.0
        for grams in parts:
            scale.put(grams, after(at))
            self.assertEqual(scale.read(after(at)).state == "settling", grams > 0.5)
            at += 5
        reading = scale.read(after(at))
        assert reading.value is not None
        self.assertEqual(reading.state, "ok")
        self.assertAlmostEqual(reading.value, sum(parts), delta=2 * SCALE_STEP_G)
        self.assertAlmostEqual(reading.value / SCALE_STEP_G, round(reading.value / SCALE_STEP_G))

    def test_it_settles_over_a_second_or_two(self) -> None:
        """On the way it says so; an hour later it has drifted by no more than a step."""
        scale = SimulatedScale()
        scale.put(100.0, after(0))
        self.assertEqual(scale.read(after(0.5)).state, "settling")
        values = [scale.read(after(3600 + second)).value or 0.0 for second in range(60)]
        self.assertTrue(all(abs(value - 100) <= 1.5 for value in values), values)
        self.assertGreater(len(set(values)), 1, "it is not a toy that never moves")

    def test_overload_and_unplugged_in_the_middle(self) -> None:
        """More than it bears; pulled at 37 g, and plugged in again with the same on it."""
        scale = SimulatedScale()
        scale.put(37.0, after(0))
        scale.plugged = False
        self.assertEqual(scale.read(after(5)), Interpretation(None, "unplugged"))
        scale.plugged = True
        self.assertAlmostEqual(scale.read(after(6)).value or 0.0, 37.0, delta=1.0)
        scale.put(6000.0, after(7))
        self.assertEqual(scale.read(after(12)).state, "overload")

    def test_the_door(self) -> None:
        """Open for a quarter of an hour it is warm; shut, it comes back to 4 C within two hours."""
        fridge = SimulatedThermometer()
        fridge.open_door(after(0))
        warm = fridge.read(after(900)).value or 0.0
        self.assertTrue(12 < warm < 17, warm)
        fridge.shut_door(after(900))
        self.assertAlmostEqual(fridge.read(after(900 + 7200)).value or 0.0, 4.0, delta=0.3)

    def test_the_bench_only_handles_what_is_simulated(self) -> None:
        """A scripted scale cannot be loaded; too much is refused; both say what would do."""
        devices = Devices(scale=ScriptedReadings(SCRIPT))
        for action, amount in (("put", 10.0), ("open_door", 1e6)):
            with self.assertRaises(InputError) as caught:
                devices.handle(action, amount, START)  # type: ignore[arg-type]
            self.assertTrue(caught.exception.accepted)
        devices.handle("heat_probe", 200.0, START)
        self.assertGreater(devices.probe.read(after(1800)).value or 0.0, 60)
        devices.handle("paper_out", 0.0, START)
        self.assertEqual(devices.printer.print(b"x", START), "no paper")
