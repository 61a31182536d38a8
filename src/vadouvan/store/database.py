"""Opening the kitchen's file: write-ahead log, full synchronous commits, foreign keys, migrations."""

from __future__ import annotations

import sqlite3
from pathlib import Path
from typing import Any

from alembic import command
from alembic.config import Config
from alembic.runtime.migration import MigrationContext
from sqlalchemy import Connection, Engine, create_engine, event
from sqlalchemy.engine import ExceptionContext
from sqlalchemy.orm import Session

from vadouvan.errors import Busy

MIGRATIONS = Path(__file__).parent / "migrations"
WAITS_MS = 5000  # for another change to end
ONLY_READS = "vadouvan_only_reads"


def open_database(path: Path) -> Engine:
    """An engine on the kitchen's file, made and brought up to date if need be."""
    path.parent.mkdir(parents=True, exist_ok=True)
    engine = create_engine(f"sqlite:///{path}")
    event.listen(engine, "connect", _careful)
    event.listen(engine, "begin", _begin)
    event.listen(engine, "handle_error", _told)
    migrate(engine)
    return engine


def migrate(engine: Engine, to: str = "head") -> None:
    """Bring the schema to a revision, forwards or (for ``base`` or an older one) backwards."""
    with engine.begin() as connection:
        config = migration_config()
        config.attributes["connection"] = connection
        present = MigrationContext.configure(connection).get_current_revision()
        back = to == "base" or (present is not None and to != "head" and to < present)
        (command.downgrade if back else command.upgrade)(config, to)


def migration_config() -> Config:
    """Alembic's settings, without a file of its own."""
    config = Config()
    config.set_main_option("script_location", str(MIGRATIONS))
    return config


def _told(context: ExceptionContext) -> None:
    """A file that another change holds is told as an error of ours."""
    original = context.original_exception
    if isinstance(original, sqlite3.OperationalError) and "locked" in str(original):
        raise Busy from original


def reading(engine: Engine) -> Session:
    """A session that only reads: a snapshot of the write-ahead log, which waits for no writer and blocks none."""
    return Session(engine.execution_options(**{ONLY_READS: True}))


def _begin(connection: Connection) -> None:
    """Take the write lock at the start of a change, so that two devices cannot both read and then both write."""
    only_reads = connection.get_execution_options().get(ONLY_READS, False)
    connection.exec_driver_sql("BEGIN" if only_reads else "BEGIN IMMEDIATE")


def _careful(connection: Any, _record: Any) -> None:
    """A power cut may cost the change being written, never an earlier one."""
    connection.isolation_level = None  # transactions are begun by us, not by the driver
    cursor = connection.cursor()
    for pragma in ("journal_mode=WAL", "synchronous=FULL", "foreign_keys=ON", f"busy_timeout={WAITS_MS}"):
        cursor.execute(f"PRAGMA {pragma}")
    cursor.close()
