"""Backup, restore and check of the kitchen's file; demo kitchens of every earlier state of the store."""

from __future__ import annotations

import shutil
import sqlite3
import tempfile
import threading
import unittest
from contextlib import closing
from pathlib import Path

from alembic.config import Config
from alembic.script import ScriptDirectory
from sqlalchemy import Engine

from tests.drafts import NOW, steak
from vadouvan.core.judgement.judge import judge
from vadouvan.core.tasting.verdict import VerdictInput
from vadouvan.data.tables import shipped_kitchen
from vadouvan.errors import FormatError, NoKitchen, Overtaken
from vadouvan.formats.archive.kitchen_archive import read_archive
from vadouvan.store.batches import Batches, Origin
from vadouvan.store.database import open_database
from vadouvan.store.keeping import KitchenFile
from vadouvan.store.readers import READERS
from vadouvan.store.snapshots import Snapshots
from vadouvan.store.standing import KeptBatch
from vadouvan.store.states import MIGRATIONS, known_states, newest_state
from vadouvan.store.table import METADATA
from vadouvan.store.verdicts import Verdicts
from vadouvan.use_cases.cards import write_archive

OLDER = Path(__file__).parents[1] / "cases" / "kitchens"


class Kept(unittest.TestCase):
    """A kitchen in a folder of its own."""

    def setUp(self) -> None:
        """Two batches, one tasted."""
        folder = tempfile.TemporaryDirectory()
        self.addCleanup(folder.cleanup)
        self.folder = Path(folder.name)
        self.engine = self.opened("kitchen.sqlite")
        self.batches = Batches(self.engine)
        for name in ("a", "b"):
            self.batches.add(name, steak("10 g salt"), now=NOW)
        Verdicts(self.engine).keep("a", VerdictInput("Odile", {"salt": "just right"}), now=NOW)
        self.file = KitchenFile(self.engine)

    def opened(self, name: str) -> Engine:
        """A kitchen's file of this name, closed after the case."""
        engine = open_database(self.folder / name)
        self.addCleanup(engine.dispose)
        return engine

    def changed(self, statement: str, path: Path | None = None) -> None:
        """The file with a statement run on it by somebody else."""
        with closing(sqlite3.connect(path or self.folder / "kitchen.sqlite")) as other:
            other.execute(statement)
            other.commit()


class Opened(unittest.TestCase):
    """The kitchen's file itself: its owner's alone, whole, and told in one sentence where it cannot be used."""

    def setUp(self) -> None:
        """A kitchen with one batch."""
        folder = tempfile.TemporaryDirectory()
        self.addCleanup(folder.cleanup)
        self.path = Path(folder.name) / "kitchen.sqlite"
        engine = open_database(self.path)
        Batches(engine).add("a", steak("9 g salt"), now=NOW)
        self.engine = engine

    def test_the_file_alone_is_the_kitchen(self) -> None:
        """Closed, it has no log beside it; copied by itself it holds everything; nobody else may read it."""
        KitchenFile(self.engine).close()
        self.assertEqual([path.name for path in self.path.parent.iterdir()], ["kitchen.sqlite"])
        self.assertEqual(self.path.stat().st_mode & 0o777, 0o600)
        copy = self.path.with_name("copy.sqlite")
        shutil.copyfile(self.path, copy)
        copy.chmod(0o644)
        engine = open_database(copy)
        self.addCleanup(engine.dispose)
        self.assertEqual([kept.id for kept in Batches(engine).in_hand()], ["a"])
        self.assertEqual(copy.stat().st_mode & 0o777, 0o600)

    def test_the_log_stays_small(self) -> None:
        """After a hundred changes the file holds nearly all; it was 4 kB beside a log of 1.7 MB."""
        for number in range(100):
            Batches(self.engine).add(f"b{number}", steak(f"{number + 1} g salt"), now=NOW)
        self.assertLess(self.path.with_name("kitchen.sqlite-wal").stat().st_size, 400_000)
        copy = self.path.with_name("copy.sqlite")
        shutil.copyfile(self.path, copy)
        engine = open_database(copy)
        self.addCleanup(engine.dispose)
        self.assertGreater(len(Batches(engine).in_hand()), 80)

    def test_what_cannot_be_used_is_one_sentence(self) -> None:
        """Lost with its log, no database, newer, a folder in its place: which file, and what would do."""
        KitchenFile(self.engine).close()

        def refused(name: str, says: str) -> None:
            with self.subTest(name), self.assertRaisesRegex(NoKitchen, says) as caught:
                open_database(self.path.with_name(name))
            self.assertTrue(caught.exception.accepted)

        with closing(sqlite3.connect(self.path.with_name("lost"))) as other:
            other.execute("CREATE TABLE x (id)")
        refused("lost", "holds no kitchen")
        self.path.with_name("text").write_bytes(b"no kitchen" * 1000)
        refused("text", "is damaged")
        shutil.copyfile(self.path, self.path.with_name("newer"))
        with closing(sqlite3.connect(self.path.with_name("newer"))) as newer:
            newer.execute("UPDATE alembic_version SET version_num = '9999'")
            newer.commit()
        refused("newer", "newer Vadouvan")
        self.path.with_name("folder").mkdir()
        refused("folder", "may not be written|cannot be opened|is damaged")


class BackupAndRestore(Kept):
    """A copy out, and back."""

    def test_a_backup_is_a_kitchen(self) -> None:
        """One file without a log beside it, with all that was there."""
        self.file.backup(self.folder / "copy.sqlite")
        self.assertEqual([path.name for path in self.folder.glob("copy*")], ["copy.sqlite"])
        self.assertEqual(Snapshots(self.opened("copy.sqlite")).read(), Snapshots(self.engine).read())

    def test_taken_while_others_write(self) -> None:
        """Batches go on being added; each backup is whole, and holds no half of anything."""
        stop = threading.Event()

        def work() -> None:
            number = 0
            while not stop.is_set():
                number += 1
                self.batches.add(f"w{number}", steak(f"{number} g salt"), now=NOW)

        writer = threading.Thread(target=work)
        writer.start()
        try:
            for number in range(5):
                self.file.backup(self.folder / f"copy{number}.sqlite")
        finally:
            stop.set()
            writer.join()
        for number in range(5):
            self.assertEqual(KitchenFile(self.opened(f"copy{number}.sqlite")).check().findings, ())

    def test_put_back_with_what_was_kept_aside(self) -> None:
        """The kitchen is that of the backup, open connections see it, and the one before is kept."""
        self.file.backup(self.folder / "copy.sqlite")
        before = Snapshots(self.engine).read()
        self.batches.add("c", steak("9 g salt"), now=NOW)
        after = Snapshots(self.engine).read()
        checked = self.file.restore(self.folder / "copy.sqlite", aside=self.folder / "aside.sqlite")
        self.assertEqual((Snapshots(self.engine).read(), checked.findings), (before, ()))
        self.assertEqual(Snapshots(self.opened("aside.sqlite")).read(), after)
        self.batches.add("d", steak("8 g salt"), now=NOW)
        self.assertEqual([kept.id for kept in self.batches.in_hand()], ["b", "d"])

    def test_revisions_stay_small_however_often_it_is_put_back(self) -> None:
        """Each grows by one and is none that was seen: they once doubled, and no number held the sixtieth."""
        self.changed("UPDATE batch SET revision = 1000", self.folder / "kitchen.sqlite")
        seen: set[int] = set()
        for number in range(4):
            copy = self.folder / f"copy-{number}.sqlite"
            self.file.backup(copy)
            self.file.restore(copy, aside=self.folder / f"aside-{number}.sqlite")
            revision = self.batches.get("b").revision
            self.assertNotIn(revision, seen)
            self.assertLess(revision, 1100)
            seen.add(revision)
        self.assertTrue(Verdicts(self.engine).fingerprint())

    def test_an_edit_during_a_restore_is_in_one_of_the_two(self) -> None:
        """What was acknowledged before is in the copy kept aside; what comes after stands in the kitchen put back."""
        self.file.backup(self.folder / "copy.sqlite")
        first = self.batches.get("b")
        kept: list[KeptBatch] = []
        stop = threading.Event()

        def work() -> None:
            number = 0
            while not stop.is_set():
                number += 1
                kept.append(self.batches.add(f"w{number}", steak(f"{number} g salt"), now=NOW))

        writer = threading.Thread(target=work)
        writer.start()
        try:
            self.file.restore(self.folder / "copy.sqlite", aside=self.folder / "aside.sqlite")
        finally:
            stop.set()
            writer.join()
        there = {one.id for one in self.batches.in_hand()}
        there |= {one.id for one in Snapshots(self.opened("aside.sqlite")).read().batches}
        self.assertLessEqual({one.id for one in kept}, there)
        with self.assertRaises(Overtaken):  # the number of then never means the draft of now
            self.batches.change("b", steak("1 g salt"), Origin(first.revision), now=NOW)

    def test_what_is_no_backup_is_refused_and_nothing_moves(self) -> None:
        """Text, another program's database, an empty file, a newer kitchen, a damaged one."""
        before = Snapshots(self.engine).read()

        def refused(name: str, words: str) -> None:
            with self.subTest(name), self.assertRaisesRegex(FormatError, words):
                self.file.restore(self.folder / name, aside=self.folder / f"aside-{name}")
            self.assertFalse((self.folder / f"aside-{name}").exists())
            self.assertEqual(Snapshots(self.engine).read(), before)

        (self.folder / "text").write_text("not a kitchen " * 1000)
        (self.folder / "empty").write_bytes(b"")
        self.file.backup(self.folder / "whole")
        torn = (self.folder / "whole").read_bytes().replace(b"CREATE TABLE batch (", b"CREATE \xb6ABLE batch (")
        (self.folder / "torn").write_bytes(torn)  # what the database says of it is no text
        refused("torn", "tables cannot be read")
        self.changed("CREATE TABLE other (id)", self.folder / "other")
        for name in ("newer", "broken", "torn"):
            self.file.backup(self.folder / name)
        self.changed("UPDATE alembic_version SET version_num = '9999'", self.folder / "newer")
        self.changed("UPDATE batch SET draft = '{}' WHERE id = 'a'", self.folder / "broken")
        data = (self.folder / "torn").read_bytes()
        (self.folder / "torn").write_bytes(data[: len(data) // 2])
        refused("text", "no backup")
        refused("empty", "no backup")
        refused("other", "no backup")
        refused("newer", "newer Vadouvan")
        refused("broken", "damaged: batch a")
        refused("torn", "no backup|damaged")


class Check(Kept):
    """The check finds what is wrong, row by row."""

    def test_all_well(self) -> None:
        """Two batches, their first states, one verdict."""
        checked = self.file.check()
        self.assertEqual((checked.rows, checked.findings), (5, ()))

    def test_every_table_is_read(self) -> None:
        """A table that is added is checked from then on."""
        self.assertEqual({table.name for table, _, _ in READERS}, set(METADATA.tables))

    def test_each_fault_is_found(self) -> None:
        """A draft that is none, a verdict that is none, a row without its batch, a schema of another state."""
        cases = (
            ("UPDATE batch SET draft = 'x' WHERE id = 'b'", "batch b", "cannot be read"),
            ("UPDATE batch SET draft = '[]' WHERE id = 'b'", "batch b", "cannot be read"),
            ("UPDATE verdict SET said = '{\"tongue\": 1}'", "verdict of Odile", "cannot be read"),
            (
                "INSERT INTO press (batch_id, number, at, press) "
                "VALUES ('gone', 1, '2026-11-25', '{\"kind\": \"turned\"}')",
                "press",
                "not there",
            ),
            (
                'INSERT INTO setting VALUES (\'routine\', \'{"sleep_from": "late", "work_days": []}\')',
                "routine",
                "late",
            ),
            ("UPDATE alembic_version SET version_num = '0004'", "the file", "0004"),
            ("INSERT INTO descent VALUES ('b', 'a', '{}')", "batch b", "no list"),
            ("UPDATE batch SET draft = replace(draft, 'n', CAST(x'ff' AS TEXT))", "batch, row", "letters"),
            ("INSERT INTO descent VALUES ('b', 'a', '[\"' || CAST(x'c3' AS TEXT) || '\"]')", "descent, row", "letters"),
        )
        for statement, where, says in cases:
            copy = self.folder / f"{abs(hash(statement))}.sqlite"
            KitchenFile(self.engine).backup(copy)
            engine = self.opened(copy.name)
            self.changed(statement, copy)
            told = [f"{one.where}: {one.says}" for one in KitchenFile(engine).check().findings]
            with self.subTest(statement):
                self.assertTrue(any(where in one and says in one for one in told), told)


class OlderKitchens(unittest.TestCase):
    """Demo kitchens as every earlier state of the store wrote them."""

    def test_there_is_one_of_each_state(self) -> None:
        """A new migration needs a fixture of the state before it, and of its own once it is released."""
        config = Config()
        config.set_main_option("script_location", str(MIGRATIONS))
        scripts = ScriptDirectory.from_config(config)
        known = {script.revision for script in scripts.walk_revisions()}
        self.assertEqual((known, scripts.get_current_head()), (set(known_states()), newest_state()))
        self.assertEqual({path.stem.removeprefix("demo_") for path in OLDER.glob("demo_*.sql")}, known)

    def test_each_is_opened_checked_judged_and_archived(self) -> None:
        """Brought up to date, all rows read, every batch judged without a problem, and out and in as an archive."""
        kitchen = shipped_kitchen()
        for fixture in sorted(OLDER.glob("demo_*.sql")):
            with self.subTest(fixture.name), tempfile.TemporaryDirectory() as folder:
                path = Path(folder) / "kitchen.sqlite"
                with closing(sqlite3.connect(path)) as made:
                    made.executescript(fixture.read_text(encoding="utf-8"))
                engine = open_database(path)
                try:
                    self.assertEqual(KitchenFile(engine).check().findings, ())
                    snapshot = Snapshots(engine).read()
                    self.assertGreaterEqual(len(snapshot.batches), 5)
                    for batch in snapshot.batches:
                        known = [batch.made_at, *(one.at for one in batch.verdicts), *(one.at for one in batch.events)]
                        judgement = judge(batch.draft, kitchen, now=max(known))
                        self.assertIsNotNone(judgement.window, batch.draft.name)
                        self.assertEqual(judgement.reading.problems, [], batch.draft.name)
                    back, _ = read_archive(write_archive(snapshot, kitchen, now=NOW))
                    self.assertEqual(len(back.batches), len(snapshot.batches))
                    self.assertEqual(back.settings, snapshot.settings)
                finally:
                    engine.dispose()


if __name__ == "__main__":
    unittest.main()
