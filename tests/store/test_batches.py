"""Keeping batches: nothing is lost, nothing is overwritten unseen, every migration goes both ways."""

from __future__ import annotations

import tempfile
import unittest
from pathlib import Path

from hypothesis import given, settings
from hypothesis import strategies as st
from sqlalchemy import inspect, text

from tests.drafts import NOW, steak
from vadouvan.core.draft import CutSaid, Draft, HoldSaid, LineSaid, MealSaid
from vadouvan.errors import NotKept, Overtaken
from vadouvan.store.batches import Batches
from vadouvan.store.database import migrate, open_database
from vadouvan.store.drafts_json import from_json, to_json

words = st.text(max_size=20)
drafts = st.builds(
    Draft,
    words,
    st.builds(CutSaid, *[words] * 7),
    st.lists(st.builds(LineSaid, words, words), max_size=5).map(tuple),
    st.builds(HoldSaid, *[words] * 3),
    st.builds(MealSaid, *[words] * 3),
)


class Kept(unittest.TestCase):
    """One file in a folder of its own."""

    def setUp(self) -> None:
        """Open an empty kitchen."""
        folder = tempfile.TemporaryDirectory()
        self.addCleanup(folder.cleanup)
        self.path = Path(folder.name) / "kitchen.sqlite"
        self.engine = open_database(self.path)
        self.addCleanup(self.engine.dispose)
        self.batches = Batches(self.engine)

    def test_what_is_kept_is_found_after_opening_again(self) -> None:
        """A second opening of the file finds the last state."""
        self.batches.add("a", steak("5 g salt"), now=NOW)
        self.batches.change("a", steak("6 g salt"), revision=1, now=NOW)
        self.engine.dispose()
        kept = Batches(open_database(self.path)).get("a")
        self.assertEqual((kept.revision, kept.draft.mix[0].text), (2, "6 g salt"))

    def test_older_change_is_refused(self) -> None:
        """A change from an older revision tells both numbers and changes nothing."""
        self.batches.add("a", steak("5 g salt"), now=NOW)
        self.batches.change("a", steak("6 g salt"), revision=1, now=NOW)
        with self.assertRaises(Overtaken) as caught:
            self.batches.change("a", steak("7 g salt"), revision=1, now=NOW)
        self.assertEqual((caught.exception.expected, caught.exception.stored), (1, 2))
        self.assertEqual(self.batches.get("a").draft.mix[0].text, "6 g salt")

    def test_missing_batches_are_told(self) -> None:
        """Get, change and remove name what is not there."""
        for call in (
            lambda: self.batches.get("x"),
            lambda: self.batches.remove("x"),
            lambda: self.batches.change("x", Draft(), revision=1, now=NOW),
        ):
            with self.assertRaisesRegex(NotKept, "no batch 'x'"):
                call()

    def test_removed_is_gone(self) -> None:
        """And the others stay, in the order they were made."""
        for name in ("a", "b", "c"):
            self.batches.add(name, Draft(name), now=NOW)
        self.batches.remove("b")
        self.assertEqual([kept.id for kept in self.batches.all()], ["a", "c"])
        self.assertEqual(self.batches.count(), 2)

    def test_a_power_cut_costs_nothing_committed(self) -> None:
        """Write-ahead log, full synchronous commits, foreign keys on, on every connection."""
        with self.engine.connect() as connection:
            found = [
                connection.execute(text(f"PRAGMA {name}")).scalar()
                for name in ("journal_mode", "synchronous", "foreign_keys")
            ]
        self.assertEqual(found, ["wal", 2, 1])

    def test_migrations_go_up_down_up(self) -> None:
        """Each way leaves the schema as it says."""
        self.assertIn("batch", inspect(self.engine).get_table_names())
        migrate(self.engine, "base")
        self.assertNotIn("batch", inspect(self.engine).get_table_names())
        migrate(self.engine)
        self.assertIn("batch", inspect(self.engine).get_table_names())

    @settings(max_examples=50, deadline=None)
    @given(drafts)
    def test_json_round_trip(self, draft: Draft) -> None:
        """Any draft comes back as it was."""
        self.assertEqual(from_json(to_json(draft)), draft)
