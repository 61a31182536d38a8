"""Tables made from their rows: as the migrations make them, and rows read and written one by one."""

from __future__ import annotations

import sqlite3
import unittest
from contextlib import closing

from alembic.autogenerate import compare_metadata
from alembic.migration import MigrationContext

from tests.drafts import NOW, steak
from tests.store.one_file import OneFile
from vadouvan.store.database import reading
from vadouvan.store.keeping import KitchenFile
from vadouvan.store.rows import BATCH, CUT_FACE, HISTORY, PRESS, VERDICT, CutFaceRow, PressRow, VerdictRow
from vadouvan.store.table import METADATA

SAID = VerdictRow("a", "Ines", '{"eater": "Ines"}', forgotten=False, insisted=True, at=NOW.isoformat())


class Tables(OneFile):
    """A kitchen with one batch."""

    def setUp(self) -> None:
        """In a file of its own."""
        super().setUp()
        self.batches.add("a", steak(), now=NOW)

    def test_as_the_migrations_make_them(self) -> None:
        """Alembic compares tables, columns, their kinds, what may be empty, indexes and keys: no change."""
        with self.engine.connect() as connection:
            context = MigrationContext.configure(connection, opts={"compare_type": True})
            self.assertEqual(compare_metadata(context, METADATA), [])

    def test_what_is_put_is_found_and_what_is_removed_is_gone(self) -> None:
        """By its whole key; put again, it stands in the place of the first one."""
        with self.engine.begin() as connection:
            self.assertEqual(
                (VERDICT.one(connection, "a", "Ines"), VERDICT.holds(connection, "a", "Ines")), (None, False)
            )
            VERDICT.put(connection, SAID)
            VERDICT.put(connection, SAID._replace(eater="Odile"))
            VERDICT.put(connection, SAID._replace(forgotten=True))
        with reading(self.engine) as connection:
            self.assertEqual(VERDICT.one(connection, "a", "Ines"), SAID._replace(forgotten=True))
            self.assertEqual(len(list(VERDICT.rows(connection, VERDICT.all))), 2)
        with self.engine.begin() as connection:
            self.assertTrue(VERDICT.remove(connection, "a", "Ines"))
            self.assertFalse(VERDICT.remove(connection, "a", "Ines"))
            self.assertEqual(list(VERDICT.rows(connection, VERDICT.all)), [SAID._replace(eater="Odile")])

    def test_several_at_once_with_what_may_be_empty(self) -> None:
        """Empty, and with bytes that are no letters; a key that is there already adds none of them."""
        rows = [PressRow("a", number, NOW.isoformat(), "{}", "turned", undoes=number or None) for number in range(3)]
        face = CutFaceRow("a", b"\xff\xd8", 4, 3)
        with self.engine.begin() as connection:
            PRESS.add(connection)
            PRESS.add(connection, *rows)
            CUT_FACE.add(connection, face)
        with self.assertRaises(Exception) as refused, self.engine.begin() as connection:
            PRESS.add(connection, rows[0]._replace(number=7), rows[1])
        self.assertIn("UNIQUE", str(refused.exception))
        with reading(self.engine) as connection:
            self.assertEqual(list(PRESS.rows(connection, PRESS.all.order_by(PRESS.c.number))), rows)
            self.assertEqual(CUT_FACE.one(connection, "a"), face)
            self.assertNotIn("jpeg", CUT_FACE.texts(face))
            self.assertIn("undoes: 2", PRESS.texts(rows[2]))

    def test_a_row_put_in_its_place_takes_nothing_with_it(self) -> None:
        """What hangs on a batch stays when its row is put anew, and goes when it is removed."""
        with self.engine.begin() as connection:
            VERDICT.put(connection, SAID)
            row = BATCH.one(connection, "a")
            assert row is not None
            moved = row._replace(revision=2)
            BATCH.put(connection, moved)
            self.assertEqual(BATCH.one(connection, "a"), moved)
            self.assertEqual((VERDICT.one(connection, "a", "Ines"), HISTORY.holds(connection, "a", 1)), (SAID, True))
            BATCH.remove(connection, "a")
            self.assertEqual(
                (list(VERDICT.rows(connection, VERDICT.all)), HISTORY.holds(connection, "a", 1)), ([], False)
            )

    def test_a_row_without_an_identity_is_told(self) -> None:
        """Another's table of the same name may let one in; the check finds it, and what can be read stands."""
        with closing(sqlite3.connect(self.path)) as other:
            other.executescript(
                "DROP TABLE setting; CREATE TABLE setting (name TEXT PRIMARY KEY, value TEXT);"
                "INSERT INTO setting VALUES (NULL, '{}')"
            )
        checked = KitchenFile(self.engine).check()
        self.assertIn("holds a row without an identity", [one.says for one in checked.findings])
        self.assertEqual(checked.rows, 3)


if __name__ == "__main__":
    unittest.main()
