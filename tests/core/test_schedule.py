"""The plan on the clock, across sleep, midnight, zones and changes of the clock."""

from __future__ import annotations

import unittest
from dataclasses import replace
from datetime import UTC, datetime, time, timedelta
from zoneinfo import ZoneInfo

from tests.drafts import NOW, SATURDAY, judged, of_kind
from vadouvan.core.clock.moment import local_moment, time_zone
from vadouvan.core.clock.routine import DaySpan, Routine, hours_between
from vadouvan.core.draft.typed import Draft, LineInput, MealInput
from vadouvan.core.schedule.plan import Plan
from vadouvan.errors import InputError

SKEWERS = of_kind("lamb_shoulder_cubes", "1 kg", "cube", "30 mm", "12 g salt", "50 g lemon juice", "40 g olive oil")
LISBON = ZoneInfo("Europe/Lisbon")
# A wet mix, which stays in the bowl: it needs an hour before it opens.
WET = replace(SKEWERS, mix=(*SKEWERS.mix, LineInput("y", "600 g yoghurt")))


def plan_of(draft: Draft, meal: MealInput, now: datetime = NOW) -> Plan:
    """The plan of a draft for a meal."""
    plan = judged(replace(draft, meal=meal), now).plan
    assert plan is not None
    return plan


class FromTheMealBack(unittest.TestCase):
    """Contact, pull and meal."""

    def test_pull_is_the_lead_before_the_meal(self) -> None:
        """60 minutes before 19:00 is 18:00."""
        plan = plan_of(SKEWERS, SATURDAY)
        self.assertEqual(plan.meal.pull_at, datetime(2026, 11, 28, 18, 0, tzinfo=LISBON))

    def test_pull_lies_in_the_window_of_the_contact(self) -> None:
        """What the plan asks for is inside what it allows."""
        plan = plan_of(SKEWERS, SATURDAY)
        self.assertTrue(plan.pull_from <= plan.meal.pull_at <= plan.pull_until)
        self.assertTrue(plan.contact_from <= plan.contact_at <= plan.contact_until)

    def test_nobody_is_woken(self) -> None:
        """Best would be at 6:00 or in the night; contact is moved out of sleep."""
        for hour in range(12, 24):
            plan = plan_of(SKEWERS, MealInput(f"2026-11-28T{hour}:00", "60 min", "Europe/Lisbon"))
            self.assertFalse(Routine().busy(plan.contact_at), plan.contact_at)
        moved = judged(replace(WET, meal=MealInput("2026-11-28T16:00", "60 min", "Europe/Lisbon")))
        self.assertIn("(kept out of sleep and work)", moved.plan_says)

    def test_a_missing_time_zone_is_told_as_assumed(self) -> None:
        """Without one, UTC is assumed, and said so."""
        found = judged(replace(SKEWERS, meal=MealInput("2026-11-28T15:00", "60 min", "")))
        self.assertEqual(found.reading.assumed["meal.time_zone"], "UTC")

    def test_too_late_says_when_it_would_work(self) -> None:
        """An hour before the meal the plan says what is possible."""
        now = datetime(2026, 11, 28, 17, 30, tzinfo=UTC)
        plan = plan_of(WET, SATURDAY, now)
        assert plan.trouble is not None
        self.assertIn("should have gone in by", plan.trouble)
        assert plan.ready_at is not None
        self.assertGreater(plan.ready_at, plan.meal.at)
        says = judged(replace(WET, meal=SATURDAY), now).plan_says
        self.assertIn("at the earliest", says)

    def test_contact_is_never_in_the_past(self) -> None:
        """With less time than best, contact is now."""
        now = datetime(2026, 11, 28, 12, 0, tzinfo=UTC)
        self.assertGreaterEqual(plan_of(SKEWERS, SATURDAY, now).contact_at, now)


class TheClock(unittest.TestCase):
    """Daylight saving and zones."""

    def test_elapsed_hours_across_both_changes(self) -> None:
        """The pull is one elapsed hour before the meal on the nights the clock changes (EU 2026)."""
        for day in ("2026-03-29", "2026-10-25"):
            now = datetime.fromisoformat(f"{day}T00:00+00:00") - timedelta(days=3)
            plan = plan_of(SKEWERS, MealInput(f"{day}T12:00", "12 h", "Europe/Lisbon"), now)
            self.assertAlmostEqual(hours_between(plan.meal.pull_at, plan.meal.at), 12.0)

    def test_hour_that_does_not_exist(self) -> None:
        """01:30 on 29 March 2026 is skipped in Lisbon."""
        with self.assertRaisesRegex(InputError, "does not exist"):
            local_moment("2026-03-29T01:30", LISBON, field="meal.at")

    def test_offset_in_the_text_wins(self) -> None:
        """A time with an offset is that instant."""
        moment = local_moment("2026-11-28T19:00+02:00", LISBON, field="meal.at")
        self.assertEqual(moment.astimezone(UTC).hour, 17)

    def test_bad_times_and_zones(self) -> None:
        """A sentence for each."""
        for text in ("", "Saturday", "2026-13-01T10:00", "28.11.2026"):
            with self.assertRaisesRegex(InputError, "is not a date and time"):
                local_moment(text, LISBON, field="meal.at")
        for name in ("Middle/Earth", "../etc/passwd", ""):
            with self.assertRaisesRegex(InputError, "is not a time zone"):
                time_zone(name, field="meal.time_zone")


class Asleep(unittest.TestCase):
    """Hours of sleep."""

    def test_over_midnight_and_within_a_day(self) -> None:
        """Both kinds of night."""
        night, nap = Routine(), Routine(sleep=DaySpan(time(13), time(15)))
        for hour, in_night, in_nap in ((2, True, False), (12, False, False), (14, False, True), (23, False, False)):
            moment = datetime(2026, 11, 28, hour, tzinfo=LISBON)
            self.assertEqual((night.busy(moment), nap.busy(moment)), (in_night, in_nap))
