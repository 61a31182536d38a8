"""Steps of several batches in one list, and where two of them want the same hands."""

from __future__ import annotations

import unittest
from datetime import datetime, timedelta
from zoneinfo import ZoneInfo

from vadouvan.core.clock.chain import DeedKind, PlanStep
from vadouvan.core.schedule.today import coming_steps

LISBON = ZoneInfo("Europe/Lisbon")
NOW = datetime(2026, 11, 25, 9, 0, tzinfo=LISBON)
DAY = timedelta(hours=24)


def step(kind: DeedKind, after_min: float, minutes: float, *, hands: bool = True, of: str = "") -> PlanStep:
    """A step so many minutes from now."""
    return PlanStep(kind, kind, NOW + timedelta(minutes=after_min), minutes, hands, "counter", of=of)


class ComingSteps(unittest.TestCase):
    """In the order of the clock."""

    def test_order_and_ends_of_the_list(self) -> None:
        """What is over and what is later than asked for is left out; what is under way stays."""
        one = ("1", "Legs", [step("weigh", -30, 10), step("simmer", -5, 10), step("pull", 60 * 25, 5)])
        two = ("2", "", [step("pound", 20, 5), step("serve", 60 * 24, 5)])
        found = coming_steps([one, two], NOW, DAY)
        self.assertEqual([entry.step.id for entry in found], ["simmer", "pound", "serve"])
        self.assertEqual(found[1].batch, "Unnamed batch")

    def test_two_batches_want_the_same_hands(self) -> None:
        """Each names the other; one that only touches it, or goes by itself, is no trouble."""
        one = ("1", "Legs", [step("weigh", 60, 15)])
        two = ("2", "Skewers", [step("weigh", 70, 10), step("rest", 60, 15, hands=False)])
        three = ("3", "Flank", [step("weigh", 80, 10)])
        beside = {entry.batch: entry.beside for entry in coming_steps([one, two, three], NOW, DAY) if entry.beside}
        self.assertEqual(beside, {"Legs": ("Skewers",), "Skewers": ("Legs",)})

    def test_cooking_and_turning_leave_room(self) -> None:
        """Two pans at once and two bags in passing are no collision; nor are two steps of one batch."""
        one = (
            "1",
            "Legs",
            [step("cook", 60, 40), step("turn", 10, 2, of="1"), step("pull", 60, 5), step("weigh", 60, 5)],
        )
        two = ("2", "Skewers", [step("cook", 60, 15), step("turn", 10, 2, of="1")])
        self.assertFalse([entry for entry in coming_steps([one, two], NOW, DAY) if entry.beside])

    def test_the_hour_that_comes_twice(self) -> None:
        """01:40 of summer time is before 01:10 of winter time, and does not meet it."""
        first = PlanStep("weigh", "first", datetime(2026, 10, 25, 1, 40, tzinfo=LISBON), 10.0, True, "counter")
        second = PlanStep("pull", "second", datetime(2026, 10, 25, 1, 10, fold=1, tzinfo=LISBON), 40.0, True, "counter")
        now = datetime(2026, 10, 24, 12, 0, tzinfo=LISBON)
        found = coming_steps([("1", "Legs", [second]), ("2", "Skewers", [first])], now, DAY)
        self.assertEqual([entry.step.id for entry in found], ["weigh", "pull"])
        self.assertEqual([entry.beside for entry in found], [(), ()])

    def test_across_a_change_of_the_clock(self) -> None:
        """Twenty-four hours over the change in October: elapsed ones, so an hour less by the clock on the wall."""
        now = datetime(2026, 10, 24, 12, 0, tzinfo=LISBON)
        late = PlanStep("serve", "late", datetime(2026, 10, 25, 11, 30, tzinfo=LISBON), 5.0, True, "counter")
        self.assertEqual(coming_steps([("1", "Legs", [late])], now, DAY), [])
        self.assertEqual(len(coming_steps([("1", "Legs", [late])], now, timedelta(hours=24.5))), 1)
