"""The plan as a calendar: read by another parser, moved, and taken back."""

from __future__ import annotations

import re
import unittest
from dataclasses import replace
from datetime import UTC, datetime, timedelta

import vobject  # type: ignore[import-untyped]
from hypothesis import given, settings
from hypothesis import strategies as st

from tests import drawn
from tests.drafts import NOW, SATURDAY, judged, of_kind
from vadouvan.core.clock.routine import later
from vadouvan.core.draft.typed import Draft
from vadouvan.core.interpretation.routine import RoutineInput, read_routine
from vadouvan.core.judgement.judge import judge
from vadouvan.data.tables import shipped_kitchen
from vadouvan.errors import FormatError
from vadouvan.formats.calendar_file import calendar_text, moved_draft

SKEWERS = replace(
    of_kind("lamb_shoulder_cubes", "1 kg", "cube", "30 mm", "12 g salt", "50 g lemon juice", "40 g olive oil"),
    meal=SATURDAY,
    name="Skewers; with, commas",
)

AWAKE_AT_NIGHT = read_routine(RoutineInput("14:00", "18:00"))


def written(draft: Draft = SKEWERS, identity: str = "b1") -> str:
    """The calendar of one batch."""
    return calendar_text([(identity, draft.name, judged(draft).steps)], now=NOW)


def moved(text: str, step: str, by: timedelta) -> str:
    """The calendar with one event moved, as a calendar program would write it."""
    calendar = vobject.readOne(text)
    for event in calendar.vevent_list:
        if event.uid.value.startswith(f"{step}."):
            event.dtstart.value = later(event.dtstart.value, by)
            event.dtend.value = later(event.dtend.value, by)
    return str(calendar.serialize())


class Out(unittest.TestCase):
    """As another parser (vobject) reads it."""

    def test_every_hands_on_step_with_an_alarm(self) -> None:
        """Same starts, same names, one alarm each, identities of their own."""
        steps = [step for step in judged(SKEWERS).steps if step.hands_on]
        events = vobject.readOne(written()).vevent_list
        self.assertEqual(len(events), len(steps))
        self.assertEqual(
            {event.dtstart.value.astimezone(UTC) for event in events}, {s.at.astimezone(UTC) for s in steps}
        )
        self.assertEqual(len({event.uid.value for event in events}), len(events))
        for event in events:
            self.assertTrue(event.summary.value.startswith("Skewers; with, commas: "))
            self.assertEqual(event.valarm.trigger.value, timedelta(minutes=-10))

    def test_a_second_import_updates(self) -> None:
        """Another hour for the meal keeps every identity."""
        other = replace(SKEWERS, meal=replace(SATURDAY, at="2026-11-28T20:00"))
        uids = [re.findall(r"UID:(\S+)", written(draft)) for draft in (SKEWERS, other)]
        self.assertEqual(set(uids[0]), set(uids[1]))

    def test_a_batch_without_a_plan_is_an_empty_calendar(self) -> None:
        """Still a calendar."""
        self.assertNotIn("VEVENT", calendar_text([("b1", "x", ())], now=NOW))


class In(unittest.TestCase):
    """Moved times taken over."""

    def take(self, text: str) -> tuple[Draft, list[str]]:
        """What a calendar moves in the skewers."""
        return moved_draft(text, "b1", SKEWERS, judged(SKEWERS).plan)

    def test_nothing_moved(self) -> None:
        """The same draft, nothing said."""
        self.assertEqual(self.take(written()), (SKEWERS, []))

    def test_nothing_is_moved_by_a_change_of_the_clock(self) -> None:
        """Steps in the hour that comes twice, before and after it, in zones of whole and half hours."""
        for zone, night in (
            ("Europe/Lisbon", "2026-10-25"),
            ("America/New_York", "2026-11-01"),
            ("Australia/Lord_Howe", "2027-04-04"),
        ):
            for hour in (1, 2, 4, 8, 13):
                at = f"{night}T{hour:02d}:30"
                meal = replace(SATURDAY, at=at, time_zone=zone, lead="45 min")
                draft = replace(SKEWERS, meal=meal)
                day_before = datetime.fromisoformat(f"{night}T00:00Z") - timedelta(hours=20)
                judgement = judge(draft, replace(shipped_kitchen(), routine=AWAKE_AT_NIGHT), now=day_before)
                self.assertTrue(judgement.steps, judgement.sentence)
                with self.subTest(zone=zone, at=at):
                    text = calendar_text([("b1", "x", judgement.steps)], now=NOW)
                    self.assertNotIn("TZID", text)
                    self.assertEqual(moved_draft(text, "b1", draft, judgement.plan), (draft, []))
                    read = {event.dtstart.value for event in vobject.readOne(text).vevent_list}
                    self.assertEqual(read, {s.at.astimezone(UTC) for s in judgement.steps if s.hands_on})

    @settings(max_examples=drawn(20))
    @given(st.integers(1, 20))
    def test_a_moved_meal(self, quarters: int) -> None:
        """Goes with its pull; the time between them stays."""
        draft, says = self.take(moved(written(), "serve", timedelta(minutes=15 * quarters)))
        at = datetime(2026, 11, 28, 19, 0) + timedelta(minutes=15 * quarters)
        self.assertEqual(draft.meal.at, f"{at:%Y-%m-%dT%H:%M}")
        self.assertEqual(draft.meal.lead, SATURDAY.lead)
        self.assertEqual(len(says), 1)

    def test_a_moved_pull(self) -> None:
        """Half an hour earlier: half an hour more to the table."""
        draft, says = self.take(moved(written(), "pull", timedelta(minutes=-30)))
        self.assertEqual((draft.meal.at, draft.meal.lead), (SATURDAY.at, "90 min"))
        self.assertIn("the pull", says[0])

    def test_files_from_elsewhere_are_refused_with_what_would_do(self) -> None:
        """No calendar, another batch's, a pull after the meal, no zone, too large."""
        floating = re.sub(r"(DTSTART:\w+)Z", r"\1", written())
        for text, wrong in (
            ("hello", "no calendar file"),
            (written(identity="other"), "nothing of this batch"),
            ("BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:x\r\nEND:VCALENDAR\r\n", "nothing of this batch"),
            (moved(written(), "pull", timedelta(hours=3)), "minutes after the meal"),
            (floating, "no zone"),
            ("x" * 2_000_001, "larger than 2 MB"),
        ):
            with self.subTest(wrong=wrong), self.assertRaises(FormatError) as caught:
                self.take(text)
            self.assertIn(wrong, str(caught.exception))
            self.assertTrue(caught.exception.accepted)
