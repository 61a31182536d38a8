"""Keeping batches: nothing is lost, nothing is overwritten unseen, every migration goes both ways."""

from __future__ import annotations

import json
from dataclasses import replace
from datetime import timedelta

from hypothesis import given, settings
from sqlalchemy import event, inspect, text

from tests import drawn
from tests.drafts import NOW, steak
from tests.store.one_file import OneFile
from tests.strategies import drafts
from vadouvan.core.draft.typed import CutInput, Draft, LineInput
from vadouvan.data.tables import shipped_kitchen
from vadouvan.errors import NotKept, NotWritten, Overtaken
from vadouvan.shapes import draft_from_json, draft_to_json
from vadouvan.store.batches import Batches, Origin
from vadouvan.store.database import open_database
from vadouvan.store.own_cuts import OwnCuts
from vadouvan.store.states import migrate


class Kept(OneFile):
    """Batches in a file, changed, removed and found again."""

    def test_what_is_kept_is_found_after_opening_again(self) -> None:
        """A second opening of the file finds the last state."""
        self.batches.add("a", steak("5 g salt"), now=NOW)
        self.batches.change("a", steak("6 g salt"), Origin(1), now=NOW)
        self.engine.dispose()
        kept = Batches(open_database(self.path)).get("a")
        self.assertEqual((kept.revision, kept.draft.mix[0].text), (2, "6 g salt"))

    def test_older_change_is_refused(self) -> None:
        """A change from an older revision tells both numbers and changes nothing."""
        self.batches.add("a", steak("5 g salt"), now=NOW)
        self.batches.change("a", steak("6 g salt"), Origin(1), now=NOW)
        with self.assertRaises(Overtaken) as caught:
            self.batches.change("a", steak("7 g salt"), Origin(1), now=NOW)
        self.assertEqual((caught.exception.expected, caught.exception.stored), (1, 2))
        self.assertEqual(self.batches.get("a").draft.mix[0].text, "6 g salt")

    def test_missing_batches_are_told(self) -> None:
        """Get, change and remove name what is not there."""
        for call in (
            lambda: self.batches.get("x"),
            lambda: self.batches.remove("x"),
            lambda: self.batches.change("x", Draft(), Origin(1), now=NOW),
        ):
            with self.assertRaisesRegex(NotKept, "no batch 'x'"):
                call()

    def test_removed_is_gone(self) -> None:
        """And the others stay, in the order they were made."""
        for name in ("a", "b", "c"):
            self.batches.add(name, Draft(name), now=NOW)
        self.batches.remove("b")
        self.assertEqual([kept.id for kept in self.batches.in_hand()], ["a", "c"])

    def test_a_disk_that_fills_up_is_told_and_nothing_is_lost(self) -> None:
        """Whatever statement of a change meets it first; with room again, the same change goes through."""
        self.batches.add("a", steak("5 g salt"), now=NOW)
        room = [1]  # the database raises what is too little to what it has
        event.listen(self.engine, "begin", lambda to: to.exec_driver_sql(f"PRAGMA max_page_count={room[0]}"))
        long = "A dish with a long name. " * 70
        with self.assertRaises(NotWritten) as told:
            for number in range(1, 60):
                stands = self.batches.get("a")
                said = replace(steak("6 g salt"), name=f"{long}{number}")
                self.batches.change("a", said, Origin(stands.revision), now=NOW + timedelta(minutes=number))
        self.assertIn("full", told.exception.says)
        self.assertEqual(self.batches.get("a"), stands)
        room[0] = 2**31 - 2
        self.assertEqual(self.batches.change("a", said, Origin(stands.revision), now=NOW).draft, said)

    def test_a_power_cut_costs_nothing_committed(self) -> None:
        """Write-ahead log, full synchronous commits, foreign keys on, on every connection."""
        with self.engine.connect() as connection:
            found = [
                connection.execute(text(f"PRAGMA {name}")).scalar()
                for name in ("journal_mode", "synchronous", "foreign_keys")
            ]
        self.assertEqual(found, ["wal", 2, 1])

    def test_every_way_to_a_batch_says_which_way_its_history_goes(self) -> None:
        """By itself, and in the list of those in hand: neither way at first, then back, then forth again."""

        def ways() -> list[tuple[bool, bool]]:
            """As the batch tells it, and as the list does."""
            return [(one.can_undo, one.can_redo) for one in (self.batches.get("a"), self.batches.in_hand()[0])]

        self.batches.add("a", steak("1 g salt"), now=NOW)
        self.assertEqual(ways(), [(False, False)] * 2)
        self.batches.change("a", steak("2 g salt"), Origin(1), now=NOW)
        self.assertEqual(ways(), [(True, False)] * 2)
        self.batches.step("a", "undo", revision=2, now=NOW)
        self.assertEqual(ways(), [(False, True)] * 2)

    def test_undo_and_redo_walk_the_history(self) -> None:
        """Each step back gives the state before; a new change forgets what was undone."""
        self.batches.add("a", steak("1 g salt"), now=NOW)
        for number, grams in enumerate((2, 3, 4), start=1):
            later = NOW + timedelta(minutes=number)
            kept = self.batches.change("a", steak(f"{grams} g salt"), Origin(number), now=later)
        self.assertEqual((kept.can_undo, kept.can_redo), (True, False))
        back = self.batches.step("a", "undo", revision=4, now=NOW)
        self.assertEqual((back.draft.mix[0].text, back.can_redo), ("3 g salt", True))
        back = self.batches.step("a", "undo", revision=5, now=NOW)
        self.assertEqual(back.draft.mix[0].text, "2 g salt")
        forth = self.batches.step("a", "redo", revision=6, now=NOW)
        self.assertEqual(forth.draft.mix[0].text, "3 g salt")
        changed = self.batches.change("a", steak("9 g salt"), Origin(7), now=NOW + timedelta(hours=1))
        self.assertFalse(changed.can_redo)
        self.assertEqual(self.batches.step("a", "undo", revision=8, now=NOW).draft.mix[0].text, "3 g salt")

    def test_nothing_to_undo_changes_nothing(self) -> None:
        """The first state stays, and so does its revision."""
        self.batches.add("a", steak("1 g salt"), now=NOW)
        self.assertEqual(self.batches.step("a", "undo", revision=1, now=NOW).revision, 1)
        with self.assertRaises(Overtaken):
            self.batches.step("a", "undo", revision=9, now=NOW)

    def test_typing_in_one_field_is_one_step(self) -> None:
        """Letters typed one after the other are undone together; another field is another step."""
        self.batches.add("a", Draft(), now=NOW)
        revision = 1
        for name in ("S", "St", "Ste", "Steak"):
            later = NOW + timedelta(seconds=revision)
            revision = self.batches.change("a", Draft(name), Origin(revision), now=later).revision
        weighed = Draft("Steak", CutInput(mass="1 kg"))
        revision = self.batches.change("a", weighed, Origin(revision), now=NOW + timedelta(seconds=7)).revision
        back = self.batches.step("a", "undo", revision=revision, now=NOW)
        self.assertEqual((back.draft.name, back.draft.cut.mass), ("Steak", ""))
        self.assertEqual(self.batches.step("a", "undo", revision=back.revision, now=NOW).draft.name, "")

    def test_two_fields_at_once_are_a_step_of_their_own(self) -> None:
        """However soon after one another; as are lines in another order, and one that comes in."""
        begun = steak("1 g salt", "2 g pepper")
        named = replace(begun, name="Steak", cut=CutInput(mass="1 kg"))
        turned = replace(named, mix=named.mix[::-1])
        longer = replace(turned, name="Flank", mix=(*turned.mix, LineInput("x", "3 g thyme")))
        last = replace(longer, name="Skirt", cut=CutInput(mass="2 kg"))
        self.batches.add("a", begun, now=NOW)
        for revision, draft in enumerate((named, turned, longer, last), start=1):
            self.batches.change("a", draft, Origin(revision), now=NOW + timedelta(seconds=revision))
        for revision, draft in enumerate((longer, turned, named, begun), start=5):
            self.assertEqual(self.batches.step("a", "undo", revision=revision, now=NOW).draft, draft)

    def test_history_goes_with_its_batch(self) -> None:
        """Removing a batch leaves no states behind."""
        self.batches.add("a", Draft(), now=NOW)
        self.batches.remove("a")
        with self.engine.connect() as connection:
            self.assertEqual(connection.execute(text("SELECT count(*) FROM history")).scalar(), 0)

    def test_own_cuts_are_kept(self) -> None:
        """A kind comes back as it was; removing one that is not there is told."""
        own = OwnCuts(self.engine)
        kind = replace(shipped_kitchen().cuts["prawn_peeled"], id="own-1", cut="harbour prawns")
        own.add(kind, now=NOW)
        self.assertEqual(OwnCuts(self.engine).all(), {"own-1": kind})
        own.remove("own-1")
        with self.assertRaisesRegex(NotKept, "no cut of your own"):
            own.remove("own-1")

    def test_a_kitchen_of_the_first_schema_is_read(self) -> None:
        """A batch kept before bone was told by its place keeps its meaning, and can be undone to."""
        migrate(self.engine, "0001")
        old = {
            "name": "Old legs",
            "cut": {"kind": "chicken_leg", "mass": "2 kg", "shape": "slab", "thickness": "16 mm", "pieces": "7",
                    "blocked_faces": "1", "bone_share": "24"},
            "mix": [{"id": "1", "text": "20 g salt"}],
            "hold": {"fridge": "4", "goal": "", "salt_target": ""},
            "meal": {"at": "", "lead": "", "time_zone": ""},
        }  # fmt: skip
        values = {"draft": json.dumps(old), "now": NOW.isoformat()}
        with self.engine.begin() as connection:
            connection.execute(text("INSERT INTO batch VALUES ('old', :draft, 5, :now, :now)"), values)
        migrate(self.engine)
        kept = self.batches.get("old")
        self.assertEqual((kept.revision, kept.draft.cut.bone, kept.draft.cut.bone_share), (5, "face", "24"))
        self.assertTrue(self.batches.change("old", Draft("New"), Origin(5), now=NOW).can_undo)
        migrate(self.engine, "0001")
        with self.engine.connect() as connection:
            text_now = connection.execute(text("SELECT draft FROM batch")).scalar()
        self.assertIsInstance(json.loads(str(text_now))["cut"]["blocked_faces"], str)

    def test_migrations_go_up_down_up(self) -> None:
        """Each way leaves the schema as it says."""
        self.assertIn("batch", inspect(self.engine).get_table_names())
        migrate(self.engine, "base")
        self.assertNotIn("batch", inspect(self.engine).get_table_names())
        migrate(self.engine)
        self.assertIn("batch", inspect(self.engine).get_table_names())

    @settings(max_examples=drawn(50))
    @given(drafts)
    def test_json_round_trip(self, draft: Draft) -> None:
        """Any draft comes back as it was."""
        self.assertEqual(draft_from_json(draft_to_json(draft)), draft)
