"""Opening the kitchen's file: write-ahead log, full synchronous commits, foreign keys, migrations."""

from __future__ import annotations

import sqlite3
from collections.abc import Mapping
from contextlib import closing
from pathlib import Path
from typing import Any

from sqlalchemy import ClauseElement, Connection, Engine, create_engine, event
from sqlalchemy.dialects import sqlite
from sqlalchemy.engine import ExceptionContext
from sqlalchemy.exc import DatabaseError

from vadouvan.errors import Busy, NoKitchen, NotWritten
from vadouvan.store.states import NewerState, migrate

OWNER_ONLY, EVERYBODY = 0o600, 0o077
LOG_PAGES = 32  # of the write-ahead log, from which a commit takes it into the file
WAITS_MS = 5000  # for another change to end
UNWRITABLE = ("full", "readonly", "disk I/O")
ONLY_READS = "vadouvan_only_reads"


def open_database(path: Path) -> Engine:
    """An engine on the kitchen's file, made (for its owner alone) and brought up to date if need be.

    Raises NoKitchen, saying what would do, for a file that cannot be opened, written or read, or that holds no kitchen.
    """
    try:
        _made_private(path)
        engine = create_engine(f"sqlite:///{path}")
        event.listen(engine, "connect", _careful)
        event.listen(engine, "begin", _begin)
        event.listen(engine, "handle_error", _told)
        migrate(engine)
        tidy(engine)
    except OSError as error:
        accepted = "Choose a folder that you may write to and that has room, with --data-dir."
        raise NoKitchen(f"The kitchen in {path} cannot be opened ({error.strerror}).", accepted) from None
    except NewerState:
        accepted = "Use that one, or a newer one."
        raise NoKitchen(f"The kitchen in {path} was written by a newer Vadouvan.", accepted) from None
    except (DatabaseError, sqlite3.DatabaseError, NotWritten, UnicodeDecodeError) as error:
        raise _not_opened(path, error) from None
    return engine


def tidy(engine: Engine) -> None:
    """Take the write-ahead log into the file, so that the file alone is the kitchen as it is."""
    with closing(engine.raw_connection()) as connection:
        connection.execute("PRAGMA wal_checkpoint(TRUNCATE)")


def _made_private(path: Path) -> None:
    path.parent.mkdir(parents=True, exist_ok=True)
    if not path.exists():
        path.touch(mode=OWNER_ONLY)
        return
    if path.stat().st_size and not _holds_a_kitchen(path):
        wrong = f"{path} holds no kitchen: what was in it is lost with the -wal file beside it, or it is another's."
        raise NoKitchen(wrong, "Put the -wal file back beside it, or move the file away and restore a backup.")
    if path.stat().st_mode & EVERYBODY:
        path.chmod(OWNER_ONLY)


def _holds_a_kitchen(path: Path) -> bool:
    """Whether it, with its log, has our tables; a file that cannot be read is told when it is opened."""
    with closing(sqlite3.connect(path)) as connection:
        found = connection.execute("SELECT name FROM sqlite_master WHERE name = 'alembic_version'").fetchone()
    return found is not None


def _not_opened(path: Path, error: Exception) -> NoKitchen:
    says = error.says if isinstance(error, NotWritten) else str(getattr(error, "orig", None) or error)
    if "full" in says:
        return NoKitchen(f"There is no room on the disk for the kitchen in {path}.", "Make room, then start again.")
    if "readonly" in says or "unable to open" in says:
        accepted = "Choose a folder that you may write to, with --data-dir."
        return NoKitchen(f"The kitchen in {path} may not be written to.", accepted)
    wrong = f"The kitchen in {path} is damaged ({says})."
    return NoKitchen(wrong, "Move it away and put a backup back: vadouvan restore.")


def _told(context: ExceptionContext) -> None:
    """A file that another change holds, or that cannot be written to, is told as an error of ours."""
    original = context.original_exception
    if isinstance(original, sqlite3.OperationalError):
        _raise_ours(original)


def _raise_ours(original: sqlite3.OperationalError) -> None:
    says = str(original)
    if "locked" in says:
        raise Busy from original
    if any(word in says for word in UNWRITABLE):
        raise NotWritten(says) from original


def _letters(raw: bytes) -> str:
    """A text with a mark where a letter is damaged: one bad byte takes no list away. The check tells of it."""
    return raw.decode("utf-8", "replace")


def reading(engine: Engine) -> Connection:
    """A connection that only reads: a snapshot of the write-ahead log, which waits for no writer and blocks none."""
    return engine.connect().execution_options(**{ONLY_READS: True})


def in_words(statement: ClauseElement) -> str:
    """A statement as it is told to the driver, for :func:`asked` and :func:`done`; what is filled in later by name."""
    return str(statement.compile(dialect=sqlite.dialect(paramstyle="named")))


def asked(engine: Engine, words: str) -> list[tuple[Any, ...]]:
    """Rows of one question by itself: what is asked at every request begins no transaction for it."""
    with closing(engine.raw_connection()) as connection:
        try:
            return list(connection.execute(words))
        except sqlite3.OperationalError as error:
            _raise_ours(error)
            raise


def done(connection: Connection, words: str, values: Mapping[str, object]) -> sqlite3.Cursor:
    """One statement of a change, told to the driver itself: a quarter of what a change costs stands between."""
    driver = connection.connection.driver_connection
    if not isinstance(driver, sqlite3.Connection):
        raise TypeError("a kitchen is kept in a file of SQLite")
    try:
        return driver.execute(words, values)
    except sqlite3.OperationalError as error:
        _raise_ours(error)
        raise


def _begin(connection: Connection) -> None:
    """Take the write lock at the start of a change, so that two devices cannot both read and then both write."""
    only_reads = connection.get_execution_options().get(ONLY_READS, False)
    connection.exec_driver_sql("BEGIN" if only_reads else "BEGIN IMMEDIATE")


def _careful(connection: Any, _record: Any) -> None:
    """A power cut may cost the change being written, never an earlier one."""
    connection.isolation_level = None  # transactions are begun by us, not by the driver
    connection.text_factory = _letters
    cursor = connection.cursor()
    for pragma in (
        "journal_mode=WAL",
        "synchronous=FULL",
        "foreign_keys=ON",
        f"busy_timeout={WAITS_MS}",
        f"wal_autocheckpoint={LOG_PAGES}",
    ):
        cursor.execute(f"PRAGMA {pragma}")
    cursor.close()
