"""Alembic's environment: runs on the connection that ``store.database`` hands over."""

from alembic import context

from vadouvan.store import rows  # noqa: F401 - makes the tables
from vadouvan.store.table import METADATA

context.configure(connection=context.config.attributes["connection"], target_metadata=METADATA, render_as_batch=True)
with context.begin_transaction():
    context.run_migrations()
