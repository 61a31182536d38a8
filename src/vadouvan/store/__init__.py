"""Keeping batches in SQLite: the only place that knows SQLAlchemy and Alembic."""
