"""A copy of the kitchen's file while it is in use, a copy put back, and a check of everything in it."""

from __future__ import annotations

import shutil
import sqlite3
import tempfile
from collections.abc import Callable, Iterator
from contextlib import closing
from pathlib import Path
from typing import Any

from sqlalchemy import Engine, LargeBinary, create_engine, text
from sqlalchemy.exc import DatabaseError

from vadouvan.errors import Busy, FormatError, NoKitchen
from vadouvan.store.database import WAITS_MS, open_database, reading, tidy
from vadouvan.store.readers import READERS, unread_rows
from vadouvan.store.states import known_states, newest_state, present_state
from vadouvan.store.table import METADATA
from vadouvan.store.unread import UNREADABLE, UnreadRow
from vadouvan.unchanging import unchanging

ACCEPTED = "Choose a backup that Settings or `vadouvan backup` wrote."
MOST_TOLD = 50


@unchanging
class Finding:
    """Something in the kitchen's file that is not as it should be: where, and what."""

    where: str
    says: str


@unchanging
class Checked:
    """How many rows were read, and everything that is wrong; all is well if nothing is."""

    rows: int
    findings: tuple[Finding, ...]


class KitchenFile:
    """The file that holds the kitchen: to copy, to put back, to check."""

    def __init__(self, engine: Engine) -> None:
        self._engine = engine

    @property
    def engine(self) -> Engine:
        """Reader and writer of it."""
        return self._engine

    @property
    def folder(self) -> Path:
        """Where it is."""
        return Path(_path(self._engine)).parent

    def close(self) -> None:
        """Take the log into the file, and let go of it."""
        tidy(self._engine)
        self._engine.dispose()

    def backup(self, target: Path) -> None:
        """A copy of the file as it is at one moment, taken while others read and write."""
        with closing(sqlite3.connect(_path(self._engine))) as source, closing(sqlite3.connect(target)) as copy:
            source.backup(copy)
            copy.execute("PRAGMA journal_mode=DELETE")  # one file, without a log beside it

    def restore(self, source: Path, *, aside: Path) -> Checked:
        """Put a backup in the place of the kitchen, which is itself kept in ``aside`` first.

        A backup of an older Vadouvan is brought up to date in a copy. Raises FormatError, with the kitchen as it was,
        if the file is none of ours, is damaged, or comes from a newer Vadouvan.
        """
        with tempfile.TemporaryDirectory() as folder:
            copy = Path(folder) / "restored.sqlite"
            shutil.copyfile(source, copy)
            try:
                _refuse_foreign(copy)
                checked = _checked(copy)
            except UnicodeDecodeError:  # in the words with which the database tells what is wrong
                raise _refused("The backup is damaged: its tables cannot be read.") from None
            except (NoKitchen, Busy) as error:  # nobody else has the copy open: held, it is torn
                wrong = error.wrong if isinstance(error, NoKitchen) else "its pages do not fit together."
                raise _refused(f"The backup cannot be opened: {wrong}") from None
            if checked.findings:
                first = checked.findings[0]
                raise _refused(f"The backup is damaged: {first.where}: {first.says}")
            try:
                self._put_in_place(copy, aside)
            except sqlite3.DatabaseError as error:
                aside.unlink(missing_ok=True)
                raise _refused(f"The backup could not be put back ({error}); the kitchen is as it was.") from None
        return checked

    def _put_in_place(self, copy: Path, aside: Path) -> None:
        """All rows exchanged in one transaction, in which the kitchen as it was is kept: no edit falls between."""
        with closing(sqlite3.connect(_path(self._engine), isolation_level=None)) as kitchen:
            kitchen.execute(f"PRAGMA busy_timeout={WAITS_MS}")
            kitchen.execute("PRAGMA synchronous=FULL")
            kitchen.execute("ATTACH ? AS restored", (str(copy),))
            try:
                kitchen.execute("BEGIN IMMEDIATE")
            except sqlite3.OperationalError as error:
                raise Busy from error
            self.backup(aside)
            past = max(
                kitchen.execute(f"SELECT COALESCE(MAX(CAST(revision AS INTEGER)), 0) FROM {place}.batch").fetchone()[0]
                for place in ("main", "restored")
            )
            for table in METADATA.sorted_tables:
                names = ", ".join(column.name for column in table.columns)
                kitchen.execute(f"DELETE FROM main.{table.name}")
                kitchen.execute(f"INSERT INTO main.{table.name} ({names}) SELECT {names} FROM restored.{table.name}")
            # A revision that a page has seen before never comes to mean another draft; it grows by one, not twofold.
            kitchen.execute("UPDATE main.batch SET revision = ?", (past + 1,))
            kitchen.execute("COMMIT")

    def unread(self) -> list[UnreadRow]:
        """Rows that cannot be read and stand aside: a quick look, without the database's own checks."""
        with reading(self._engine) as connection:
            return unread_rows(connection)

    def check(self) -> Checked:
        """Read every row as the application would, after the database's own checks."""
        findings = [*_of_database(self._engine), *_of_letters(_path(self._engine))]
        rows = 0
        with reading(self._engine) as connection:
            for table, read, name in READERS:
                try:
                    for row in table.rows(connection, table.all):
                        rows += 1
                        findings += _of_row(row, read, name)
                except DatabaseError as error:
                    findings.append(Finding(table.name, f"cannot be read ({error.orig})"))
        return Checked(rows, tuple(findings[:MOST_TOLD]))


def _checked(copy: Path) -> Checked:
    """A copy brought up to date, and all that is in it."""
    mended = open_database(copy)
    try:
        return KitchenFile(mended).check()
    finally:
        mended.dispose()


def _of_row(row: Any, read: Callable[..., object], name: Callable[..., str]) -> Iterator[Finding]:
    if row[0] is None:
        yield Finding("the file", "holds a row without an identity")
        return
    try:
        read(row)
    except UNREADABLE as error:
        yield Finding(name(row), f"cannot be read ({type(error).__name__}: {error})")


def _of_database(engine: Engine) -> Iterator[Finding]:
    with reading(engine) as connection:
        try:
            told = [row[0] for row in connection.execute(text("PRAGMA integrity_check"))]
            orphans = list(connection.execute(text("PRAGMA foreign_key_check")))
        except DatabaseError as error:
            yield Finding("the file", str(error.orig))
            return
        yield from (Finding("the file", says) for says in told if says != "ok")
        for table, row, parent, _ in orphans:
            yield Finding(f"{table}, row {row}", f"belongs to a {parent} that is not there")
        present = present_state(connection)
        if present != newest_state():
            yield Finding("the file", f"is in state {present} instead of {newest_state()}")


def _of_letters(path: str) -> Iterator[Finding]:
    """Texts with bytes that are no letters, row by row of every table."""
    with closing(sqlite3.connect(path)) as connection:
        connection.text_factory = bytes
        for table in METADATA.sorted_tables:
            names = [column.name for column in table.columns if not isinstance(column.type, LargeBinary)]
            try:
                for number, *values in connection.execute(f"SELECT rowid, {', '.join(names)} FROM {table.name}"):
                    if not all(map(_is_readable, values)):
                        yield Finding(f"{table.name}, row {number}", "holds letters that cannot be read")
            except sqlite3.DatabaseError as error:
                yield Finding(table.name, f"cannot be read ({error})")


def _is_readable(value: object) -> bool:
    try:
        return not isinstance(value, bytes) or value.decode("utf-8") is not None
    except UnicodeDecodeError:
        return False


def _refuse_foreign(copy: Path) -> None:
    engine = create_engine(f"sqlite:///{copy}")
    try:
        with engine.connect() as connection:
            tables = {row[0] for row in connection.execute(text("SELECT name FROM sqlite_master WHERE type='table'"))}
            present = present_state(connection) if tables else None
    except DatabaseError:
        raise _refused("This is no backup of a kitchen, or it was cut short.") from None
    finally:
        engine.dispose()
    if "batch" not in tables or present is None:
        raise _refused("This is no backup of a kitchen.")
    if present not in known_states():
        raise FormatError(
            field="backup",
            given="",
            wrong="This backup was written by a newer Vadouvan.",
            accepted="Update this one, then put it back.",
        )


def _refused(wrong: str) -> FormatError:
    return FormatError(field="backup", given="", wrong=wrong, accepted=ACCEPTED)


def _path(engine: Engine) -> str:
    return str(engine.url.database)
