"""States of the kitchen's file: which ones are known, which one a file is in, and the way from one to another.

Alembic does the way; it is loaded only where there is one to go, since most starts find the file as it should be.
"""

from __future__ import annotations

from functools import cache
from pathlib import Path

from sqlalchemy import Connection, Engine, text

MIGRATIONS = Path(__file__).parent / "migrations"
VERSIONS = "[0-9][0-9][0-9][0-9]_*.py"


class NewerState(Exception):
    """The file was written by a newer Vadouvan."""


@cache
def known_states() -> tuple[str, ...]:
    """Every state, the oldest first: each migration's file begins with the one it leads to."""
    return tuple(sorted(path.name[:4] for path in (MIGRATIONS / "versions").glob(VERSIONS)))


def newest_state() -> str:
    """The state that this Vadouvan reads and writes."""
    return known_states()[-1]


def present_state(connection: Connection) -> str | None:
    """The state a file is in; nothing for one that has none of our tables yet."""
    named = "SELECT name FROM sqlite_master WHERE name = 'alembic_version'"
    if connection.execute(text(named)).first() is None:
        return None
    found = connection.execute(text("SELECT version_num FROM alembic_version")).scalar()
    return None if found is None else str(found)


def migrate(engine: Engine, to: str = "head") -> None:
    """Bring the schema to a state, forwards or (for ``base`` or an older one) backwards; raises NewerState."""
    wanted = newest_state() if to == "head" else to
    with engine.begin() as connection:
        present = present_state(connection)
        if present == wanted:
            return
        if present is not None and present not in known_states():
            raise NewerState(present)
        from alembic import command  # noqa: PLC0415 - an eighth of a start
        from alembic.config import Config  # noqa: PLC0415

        config = Config()
        config.set_main_option("script_location", str(MIGRATIONS))
        config.attributes["connection"] = connection
        back = wanted == "base" or (present is not None and wanted < present)
        (command.downgrade if back else command.upgrade)(config, wanted)
