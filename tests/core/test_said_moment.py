"""Dates and times as cooks say them."""

from __future__ import annotations

import unittest
from datetime import UTC, datetime
from zoneinfo import ZoneInfo

from hypothesis import given
from hypothesis import strategies as st

from vadouvan.core.clock.said_moment import MONTHS, WEEKDAYS, said_moment
from vadouvan.errors import InputError

LISBON = ZoneInfo("Europe/Lisbon")
NOW = datetime(2026, 11, 28, 9, 12, tzinfo=UTC)  # a Saturday


def read(text: str, now: datetime = NOW, zone: ZoneInfo = LISBON) -> str:
    """The moment as a draft keeps it."""
    return f"{said_moment(text, zone, now, field='meal.at'):%Y-%m-%dT%H:%M}"


class Said(unittest.TestCase):
    """What is understood."""

    def test_days_and_hours(self) -> None:
        """Words, weekdays, dates, hours in either clock."""
        for text, moment in (
            ("tomorrow 19:00", "2026-11-29T19:00"),
            ("tomorrow at 7 pm", "2026-11-29T19:00"),
            ("19:00 tomorrow", "2026-11-29T19:00"),
            ("tonight at 8", "2026-11-28T20:00"),
            ("tomorrow evening at half past", ""),
            ("tomorrow evening at half past seven", "2026-11-29T19:30"),
            ("a quarter to eight tonight", "2026-11-28T19:45"),
            ("tonight 8", "2026-11-28T20:00"),
            ("Sunday lunch at 1", "2026-11-29T13:00"),
            ("tomorrow morning at nine", "2026-11-29T09:00"),
            ("next Friday at 8", ""),
            ("tomorrow at seven", ""),
            ("tonight at 12", ""),
            ("today 18.30", "2026-11-28T18:30"),
            ("19:00", "2026-11-28T19:00"),
            ("8:00", "2026-11-29T08:00"),
            ("noon", "2026-11-28T12:00"),
            ("Sunday noon", "2026-11-29T12:00"),
            ("Sat 19:00", "2026-11-28T19:00"),
            ("next Sat 19:00", "2026-12-05T19:00"),
            ("sat 08:00", "2026-12-05T08:00"),
            ("Wed. 7:30 p.m.", "2026-12-02T19:30"),
            ("on Thursday at 1 pm", "2026-12-03T13:00"),
            ("5 Dec 18:30", "2026-12-05T18:30"),
            ("Dec 5th, 6:30pm", "2026-12-05T18:30"),
            ("Sat 5 Dec 19:00", "2026-12-05T19:00"),
            ("24.12. 19:00", "2026-12-24T19:00"),
            ("12/24 19:00", "2026-12-24T19:00"),
            ("1 Jan 13:00", "2027-01-01T13:00"),
            ("20 Nov 19:00", "2026-11-20T19:00"),
            ("5 Dec 2027 19:00", "2027-12-05T19:00"),
            ("in 3 h", "2026-11-28T12:12"),
            ("in 90 minutes", "2026-11-28T10:42"),
            ("in 2 days", "2026-11-30T09:12"),
            ("day after tomorrow 20:00", "2026-11-30T20:00"),
            ("tomorrow 1900", "2026-11-29T19:00"),
            ("2026-12-05T19:00", "2026-12-05T19:00"),
            ("2026-12-05 19:00", "2026-12-05T19:00"),
        ):
            with self.subTest(text):
                if moment:
                    self.assertEqual(read(text), moment)
                else:
                    self.assertRaises(InputError, read, text)

    def test_what_is_not_clear_is_asked(self) -> None:
        """No hour, no day, two days, no such day or hour: told with what would do."""
        for text, why in (
            ("tomorrow", "no hour"),
            ("", "no hour"),
            ("soon", "no hour"),
            ("5/6 19:00", "two days"),
            ("31 Feb 19:00", "no"),
            ("tomorrow 25:00", "no hour"),
            ("Flurbsday 19:00", "is no day"),
            ("Dec 19:00", "names no day"),
            ("13 pm", "is no hour"),
            ("x" * 500, "too long"),
        ):
            with self.subTest(text[:20]), self.assertRaises(InputError) as asked:
                read(text)
            self.assertIn(why, asked.exception.wrong)
            self.assertIn("tomorrow 19:00", asked.exception.accepted)

    def test_in_the_zone_that_is_meant(self) -> None:
        """Late in Lisbon it is tomorrow in Tokyo; three hours on across a change of the clock are three hours."""
        late = datetime(2026, 11, 28, 20, 0, tzinfo=UTC)
        self.assertEqual(read("today 19:00", late, ZoneInfo("Asia/Tokyo")), "2026-11-29T19:00")
        before = datetime(2026, 3, 29, 0, 30, tzinfo=UTC)
        self.assertEqual(read("in 3 h", before), "2026-03-29T04:30")
        with self.assertRaises(InputError):
            read("29 March 2026 1:30")

    @given(
        st.sampled_from([*WEEKDAYS, *(name[:3] for name in WEEKDAYS), "today", "tomorrow"]),
        st.integers(0, 23),
        st.integers(0, 59),
        st.datetimes(datetime(2026, 1, 1), datetime(2027, 12, 31)),
    )
    def test_a_weekday_is_the_coming_one(self, day: str, hour: int, minute: int, now: datetime) -> None:
        """Within a week, on that weekday, at that hour."""
        present = now.replace(tzinfo=UTC)
        found = said_moment(f"{day} {hour}:{minute:02d}", ZoneInfo("UTC"), present, field="meal.at")
        self.assertEqual((found.hour, found.minute), (hour, minute))
        days = (found.date() - present.date()).days
        if day not in ("today", "tomorrow"):
            self.assertEqual(WEEKDAYS[found.weekday()][:3], day[:3])
            self.assertTrue(0 <= days <= 7 and found > present)
        else:
            self.assertEqual(days, ("today", "tomorrow").index(day))

    @given(st.text(max_size=60) | st.sampled_from(MONTHS).map(lambda name: f"{name} {name} 99:99"))
    def test_any_text_is_read_or_asked(self, text: str) -> None:
        """Never another error."""
        try:
            read(text)
        except InputError as asked:
            self.assertTrue(asked.accepted)
