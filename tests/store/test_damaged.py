"""What does not belong in a column, in each of them: all that can be read is read, and the rest is told."""

from __future__ import annotations

import itertools
import json
import sqlite3
import unittest
from contextlib import closing
from dataclasses import replace
from zoneinfo import ZoneInfo

from tests.drafts import NOW, steak
from tests.store.one_file import OneFile
from vadouvan.core.interpretation.household import HouseholdInput
from vadouvan.core.interpretation.routine import RoutineInput
from vadouvan.core.interpretation.shared import SharedInput
from vadouvan.core.kitchen.kitchen import OwnCorrection
from vadouvan.core.parsing.label import LabelInput
from vadouvan.core.tasting.cut_face import CutFace, FaceMarks, Point
from vadouvan.core.tasting.verdict import VerdictInput
from vadouvan.core.weighing.event import CounterEvent, LoggedEvent
from vadouvan.data.tables import shipped_kitchen
from vadouvan.formats.archive.records import write_record
from vadouvan.shapes import json_of, shape_of
from vadouvan.store.batches import Origin
from vadouvan.store.cut_faces import CutFaces
from vadouvan.store.event_log import EventLog
from vadouvan.store.keeping import KitchenFile
from vadouvan.store.own_cuts import OwnCuts
from vadouvan.store.own_ingredients import OwnIngredients
from vadouvan.store.settings_kept import HOUSEHOLD, KeptSettings
from vadouvan.store.snapshots import Snapshots
from vadouvan.store.table import METADATA
from vadouvan.store.verdicts import Descent, Verdicts

JAR = LabelInput(name="Jar", basis="per_100g", label="salt 14 g")
MARKS = FaceMarks(Point(0.5, 0.1), Point(0.5, 0.9), Point(0.2, 0.3))
ODD = ("weird \ufffd", -5, 2**62, b"\x00\xff", "2026-11-28T09:00", "0001-01-01T00:00+00:00", "x" * 70)


class Columns(OneFile):
    """A kitchen with a row in every table."""

    def setUp(self) -> None:
        """A batch in hand with a change and a press, a tasted one that goes on from it, and one of all else."""
        super().setUp()
        self.verdicts = Verdicts(self.engine)
        renamed = replace(steak(), name="Renamed")
        self.batches.add("in-hand", steak(), now=NOW)
        self.batches.change("in-hand", renamed, Origin(1), now=NOW)
        event = LoggedEvent(1, NOW, CounterEvent("turned"), None)
        EventLog(self.engine).note("in-hand", event, draft=None, made_from=renamed, now=NOW)
        self.batches.add("tasted", steak(), now=NOW)
        self.batches.add("other", steak(), now=NOW)
        self.verdicts.keep("tasted", VerdictInput(words={"salt": "just right"}), now=NOW)
        self.verdicts.note_descent(Descent("tasted", "in-hand", ("salt",)))
        CutFaces(self.engine).keep("tasted", CutFace(b"", 400, 300, MARKS))
        OwnCuts(self.engine).add(shipped_kitchen().cuts["lamb_chop"], now=NOW)
        OwnIngredients(self.engine).keep("own-jar", JAR, now=NOW)
        settings = KeptSettings(self.engine)
        settings.keep_household(settings.household())

    def read_all(self) -> None:
        """All that the listings, the files and the page rest on; what is in hand and not damaged is there."""
        self.assertIn("other", [one.id for one in self.batches.in_hand()])
        for one in self.batches.in_hand():
            self.assertEqual((type(one.revision), type(one.can_undo), type(one.can_redo)), (int, bool, bool))
            json_of(one)
        for name, state in self.verdicts.states().items():
            self.assertIsInstance((name + state.from_id), str)
            state.verdicts()
        for kept in (*OwnIngredients(self.engine).all(), *OwnCuts(self.engine).all().values()):
            json_of(kept)
        for batch in Snapshots(self.engine).read().batches:
            write_record(batch)
            batch.made_at.astimezone(ZoneInfo("Pacific/Kiritimati"))
            batch.made_at.astimezone(ZoneInfo("Pacific/Pago_Pago"))
            self.assertIsInstance(batch.cut_face.jpeg if batch.cut_face else b"", bytes)
        settings = KeptSettings(self.engine)
        for kept in (settings.household(), settings.routine(), settings.shared(), settings.correction()):
            json_of(kept)

    def test_each_column_with_each_odd_value(self) -> None:
        """Nothing raises; the check tells of each that is of another kind."""
        self.read_all()
        file = KitchenFile(self.engine)
        for table in METADATA.sorted_tables:
            for column in table.columns:
                for odd in ODD:
                    kept = self.write(table.name, column.name, odd)
                    with self.subTest(f"{table.name}.{column.name}", odd=odd):
                        self.read_all()
                        if isinstance(odd, bytes) and column.type.python_type is not bytes:
                            self.assertTrue(file.check().findings)
                    self.write(table.name, column.name, kept)
        self.read_all()
        self.assertEqual((file.unread(), file.check().findings), ([], ()))

    def test_each_part_of_what_is_kept_as_json(self) -> None:
        """Of another kind than it is, in turn of every kind: nothing raises, and it is told under its name."""
        file, lamb = KitchenFile(self.engine), shipped_kitchen().cuts["lamb_chop"]
        rows: tuple[tuple[str, str, str, object], ...] = (
            ("verdict", "said", "verdict", VerdictInput("Ines", {"salt": "just right"})),
            ("press", "press", "press 1", CounterEvent("turned")),
            ("own_cut", "kind", "own cut", lamb),
            ("own_ingredient", "label", "own ingredient", JAR),
            ("cut_face", "marks", "photograph", MARKS),
            ("setting", "value", "setting routine", RoutineInput()),
            ("setting", "value", "setting shared", SharedInput()),
            ("setting", "value", "setting household", HouseholdInput()),
            ("setting", "value", "setting correction", OwnCorrection(pace={"red": 1.1})),
        )
        others = itertools.cycle((True, None, ["a"], {"a": 1}, -1e300))
        for table, column, told, value in rows:
            if table == "setting":
                self.write(table, "name", told.removeprefix("setting "))
            plain = shape_of(type(value)).dump_python(value, mode="json")
            for part in plain:
                other = next(one for one in others if type(one) is not type(plain[part]) or one == -1e300)
                self.write(table, column, json.dumps({**plain, part: other}))
                with self.subTest(told, part=part, other=other):
                    self.read_all()
                    self.assertIn(told, " ".join(one.where for one in file.unread()))
            self.write(table, column, json.dumps(plain))
        self.assertEqual((file.unread(), file.check().findings), ([], ()))

    def write(self, table: str, column: str, value: object) -> object:
        """Write this into a column of the first row, away from the program; gives what was there."""
        with closing(sqlite3.connect(self.path)) as database, database:
            number, kept = database.execute(f"SELECT rowid, {column} FROM {table} ORDER BY rowid LIMIT 1").fetchone()
            database.execute(f"UPDATE {table} SET {column} = ? WHERE rowid = ?", (value, number))
            return kept

    def test_the_check_waits_for_no_writer(self) -> None:
        """It reads what stands, whoever is in the middle of a change."""
        with closing(sqlite3.connect(self.path, isolation_level=None)) as other:
            other.execute("BEGIN IMMEDIATE")
            self.assertEqual(KitchenFile(self.engine).check().findings, ())

    def test_a_setting_that_stands_aside_is_as_if_nothing_was_said(self) -> None:
        """Its text is told, and what is said anew takes its place."""
        settings, file = KeptSettings(self.engine), KitchenFile(self.engine)
        self.write("setting", "value", '{"salt": 5}')
        self.assertEqual(settings.household().salt, "")
        self.assertIn('{"salt": 5}', file.unread()[0].text)
        self.assertEqual(file.unread()[0].where, f"setting {HOUSEHOLD}")
        self.assertEqual(file.unread()[0].says, "cannot be read (ValueError: salt: Input should be a valid string)")
        settings.keep_household(replace(settings.household(), school="per_kg"))
        self.assertEqual((settings.household().school, file.unread()), ("per_kg", []))


if __name__ == "__main__":
    unittest.main()
