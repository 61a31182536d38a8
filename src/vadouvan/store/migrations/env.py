"""Alembic's environment: runs on the connection that ``store.database`` hands over."""

from alembic import context

from vadouvan.store.rows import Base

context.configure(
    connection=context.config.attributes["connection"], target_metadata=Base.metadata, render_as_batch=True
)
with context.begin_transaction():
    context.run_migrations()
