"""What is unsafe stops everywhere: each stop of the one list, at each of the outlets."""

from __future__ import annotations

import tempfile
import unittest
from dataclasses import asdict, replace
from datetime import timedelta
from pathlib import Path
from typing import Any

from fastapi.testclient import TestClient
from typer.testing import CliRunner

from tests.api.kitchen import kitchen_app
from tests.drafts import NOW, SATURDAY
from tests.limits import KITCHEN, STOPS
from vadouvan.cli import app as command_line
from vadouvan.core.draft.typed import Draft
from vadouvan.core.judgement.judge import judge
from vadouvan.core.snapshot.kitchen import BatchSnapshot
from vadouvan.core.weighing.event import CounterEvent, LoggedEvent
from vadouvan.core.weighing.session import carry_out, session_of
from vadouvan.errors import InputError
from vadouvan.formats import batch_file
from vadouvan.formats.calendar_file import calendar_text
from vadouvan.formats.card import card_of, markdown_of
from vadouvan.formats.judgement import judgement_out
from vadouvan.formats.today import today_out


def with_meal(draft: Draft) -> Draft:
    """The same with Saturday's meal, unless it has one."""
    return draft if draft.meal.at else replace(draft, meal=SATURDAY)


class Matrix(unittest.TestCase):
    """Every stop times every outlet."""

    def each(self) -> Any:
        """Every stop with a batch that it stops, and its judgement."""
        for name, (inside, _) in STOPS.items():
            draft = with_meal(inside)
            with self.subTest(stop=name):
                yield name, draft, judge(draft, KITCHEN, now=NOW)

    def test_sentence_plan_rail_and_pull(self) -> None:
        """The sentence begins with it; there is no plan, no step on the rail, no window to act on."""
        for name, _, judgement in self.each():
            out = judgement_out(judgement, KITCHEN)
            self.assertIn(name, [stop.id for stop in out.stops])
            self.assertTrue(out.sentence.startswith("Stop. "), out.sentence)
            self.assertEqual((out.plan, out.window, judgement.steps), (None, None, ()))
            self.assertNotIn("Pull between", f"{out.sentence} {out.pull_now} {out.plan_says}")
            self.assertTrue(all(stop.accepted for stop in out.stops))

    def test_label_list_and_calendar(self) -> None:
        """No label is printed, nothing stands on the day's list, nothing goes into the calendar."""
        for name, draft, judgement in self.each():
            today = today_out([("1", draft.name, judgement)], NOW, timedelta(days=7))
            self.assertEqual((today.labels, today.steps), ([], []), name)
            self.assertNotIn("VEVENT", calendar_text([("1", draft.name, judgement.steps)], now=NOW))

    def test_card(self) -> None:
        """The card says so instead of steps."""
        for _, draft, judgement in self.each():
            card = card_of(BatchSnapshot("1", draft, NOW), KITCHEN, judgement.reading, judgement)
            self.assertIn("Stop.", markdown_of(card))

    def test_counter(self) -> None:
        """Contact is refused with the words of the stop, where it has not been made."""
        for name, draft, judgement in self.each():
            if draft.meal.contact:
                continue  # it is in the mix already; the sentence says what to do
            logged: list[LoggedEvent] = []
            for event in self.up_to_contact(draft, judgement):
                with self.subTest(event=event.kind):
                    session = session_of(draft, logged, KITCHEN, now=NOW)
                    if event.kind == "contact":
                        with self.assertRaises(InputError):
                            carry_out(session, event, KITCHEN, now=NOW)
                    else:
                        logged.append(carry_out(session, event, KITCHEN, now=NOW).logged)
            self.assertIn(name, STOPS)

    def up_to_contact(self, draft: Draft, judgement: Any) -> list[CounterEvent]:
        """All presses of a weigh-in by the book."""
        lines = session_of(draft, [], KITCHEN, now=NOW).lines
        weighed = [CounterEvent("weighed", line.id, line.mass_kg) for line in lines]
        return [
            *weighed,
            CounterEvent("tasted", words="good", sure=True),
            CounterEvent("set_aside", mass_kg=0.0),
            CounterEvent("contact", mass_kg=judgement.reading.cut.mass_kg, celsius=4.0, sure=True),
        ]

    def test_page_and_programs(self) -> None:
        """What the HTTP answer holds, batch by batch and in the list."""
        client = TestClient(kitchen_app(self), base_url="http://127.0.0.1")
        for name, draft, _ in self.each():
            made = client.post("/api/batches", json=asdict(draft)).json()
            self.assertIn(name, [stop["id"] for stop in made["judgement"]["stops"]])
            listed = client.get("/api/batches").json()
            self.assertTrue(any(one["id"] == made["id"] for one in listed))

    def test_command_line(self) -> None:
        """The terminal tells the same sentence."""
        with tempfile.TemporaryDirectory() as folder:
            for _, draft, judgement in self.each():
                file = Path(folder) / "batch.json"
                file.write_text(batch_file.write(draft))
                told = CliRunner().invoke(command_line, ["judge", str(file), "--now", NOW.isoformat()])
                self.assertIn(judgement.sentence[:60], told.output)
                self.assertNotIn("Pull between", told.output)
