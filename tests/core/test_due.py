"""What a batch wants next, the group that it stands in, and the time that is left."""

from __future__ import annotations

import unittest
from dataclasses import replace
from datetime import datetime, timedelta

from tests.drafts import judged, of_kind
from vadouvan.core.draft.typed import MealInput
from vadouvan.core.schedule.due import AFTER_IT, Due

NOON = datetime.fromisoformat("2026-11-28T12:00+00:00")
SATURDAY = MealInput(at="2026-11-28T19:00", time_zone="UTC")


def due_at(now: datetime, meal: MealInput = SATURDAY) -> Due:
    """What is next of a lamb chop's plan, as of a moment."""
    draft = of_kind("lamb_chop", "1 kg", "", "30 mm", "12 g salt", "40 g oil")
    found = judged(replace(draft, meal=meal), now).due
    if found is None:
        raise AssertionError("there is no plan")
    return found


class AsTheDayGoes(unittest.TestCase):
    """One plan, looked at again and again."""

    def test_from_another_day_to_the_table(self) -> None:
        """The group comes nearer with the hours, never farther; each moment has a deed and a time."""
        order = ["later", "today", "now"]
        gone_in = replace(SATURDAY, contact="2026-11-28T09:00")
        found = [due_at(NOON - timedelta(hours=40)), *(due_at(NOON + timedelta(hours=h), gone_in) for h in (0, 3, 6))]
        groups = [order.index(one.soon) for one in found]
        self.assertEqual(groups, sorted(groups))
        self.assertEqual({*groups}, {0, 1, 2})
        for due in found:
            self.assertTrue(due.deed)
            self.assertRegex(due.left, r"^(in .+|.+ ago|now)$")

    def test_within_half_an_hour_it_is_now(self) -> None:
        """The same step is for later in the day half an hour and a bit before it, and for now from then on."""
        step = due_at(NOON - timedelta(hours=6))
        before = due_at(step.at - timedelta(minutes=31))
        near = due_at(step.at - timedelta(minutes=29))
        self.assertEqual([before.at, near.at], [step.at, step.at])
        self.assertEqual([before.soon, near.soon], ["today", "now"])
        self.assertEqual(near.left, "in 30 min")

    def test_when_all_is_over_it_is_to_be_tasted(self) -> None:
        """An hour after a meal whose meat came out in time nothing is left but the verdict."""
        eaten = replace(SATURDAY, contact="2026-11-28T09:00", pulled="2026-11-28T18:00")
        due = due_at(NOON + timedelta(hours=8), eaten)
        self.assertEqual([due.deed, due.soon, due.left], [AFTER_IT, "now", "1 h ago"])

    def test_what_fails_is_told_first(self) -> None:
        """A meal in ten minutes is too late, and stands among what wants hands now."""
        due = due_at(datetime.fromisoformat("2026-11-28T18:50+00:00"))
        self.assertEqual([due.soon, due.left], ["now", "too late"])
