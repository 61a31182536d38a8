"""Tables as SQLAlchemy maps them."""

from __future__ import annotations

from sqlalchemy import Index
from sqlalchemy.orm import DeclarativeBase, Mapped, mapped_column


class Base(DeclarativeBase):
    """Root of the mapped tables."""


class BatchRow(Base):
    """One batch: its draft as JSON, and a revision that grows with each change."""

    __tablename__ = "batch"
    __table_args__ = (Index("ix_batch_changed_at", "changed_at"),)

    id: Mapped[str] = mapped_column(primary_key=True)
    draft: Mapped[str]
    revision: Mapped[int]
    made_at: Mapped[str]
    changed_at: Mapped[str]
