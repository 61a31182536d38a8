"""Tables as SQLAlchemy maps them."""

from __future__ import annotations

from sqlalchemy import ForeignKey, Index
from sqlalchemy.orm import DeclarativeBase, Mapped, mapped_column


class Base(DeclarativeBase):
    """Root of the mapped tables."""


class BatchRow(Base):
    """One batch: its draft as JSON, a revision that grows with each change, its place in the history."""

    __tablename__ = "batch"
    __table_args__ = (Index("ix_batch_changed", "changed_at", "revision"),)

    id: Mapped[str] = mapped_column(primary_key=True)
    draft: Mapped[str]
    revision: Mapped[int]
    made_at: Mapped[str]
    changed_at: Mapped[str]
    at_number: Mapped[int] = mapped_column(default=1)


class HistoryRow(Base):
    """One state of a batch. ``touched`` is the field that led to it, so that typing makes one step."""

    __tablename__ = "history"

    batch_id: Mapped[str] = mapped_column(ForeignKey("batch.id", ondelete="CASCADE"), primary_key=True)
    number: Mapped[int] = mapped_column(primary_key=True)
    draft: Mapped[str]
    touched: Mapped[str]
    made_at: Mapped[str]


class EventRow(Base):
    """One event at the counter, as JSON, with its number in the batch, its kind and when it was.

    ``undoes`` is the number of the event it takes back; ``before`` the draft it changed, as JSON.
    """

    __tablename__ = "press"

    batch_id: Mapped[str] = mapped_column(ForeignKey("batch.id", ondelete="CASCADE"), primary_key=True)
    number: Mapped[int] = mapped_column(primary_key=True)
    at: Mapped[str]
    event: Mapped[str] = mapped_column("press")
    kind: Mapped[str]
    undoes: Mapped[int | None] = mapped_column(default=None)
    before: Mapped[str | None] = mapped_column(default=None)


class VerdictRow(Base):
    """Verdict of one eater on a batch, as JSON; ``forgotten`` if nothing is learned from it, ``insisted`` if always."""

    __tablename__ = "verdict"

    batch_id: Mapped[str] = mapped_column(ForeignKey("batch.id", ondelete="CASCADE"), primary_key=True)
    eater: Mapped[str] = mapped_column(primary_key=True)
    said: Mapped[str]
    forgotten: Mapped[bool]
    insisted: Mapped[bool] = mapped_column(default=False)
    at: Mapped[str]


class CutFaceRow(Base):
    """A photograph of a batch's cut face: a small JPEG, and the points marked on it, as JSON."""

    __tablename__ = "cut_face"

    batch_id: Mapped[str] = mapped_column(ForeignKey("batch.id", ondelete="CASCADE"), primary_key=True)
    jpeg: Mapped[bytes]
    width: Mapped[int]
    height: Mapped[int]
    marks: Mapped[str] = mapped_column(default="")


class DescentRow(Base):
    """The batch that a batch goes on from, and what was changed, as JSON."""

    __tablename__ = "descent"
    __table_args__ = (Index("ix_descent_from_id", "from_id"),)

    batch_id: Mapped[str] = mapped_column(ForeignKey("batch.id", ondelete="CASCADE"), primary_key=True)
    from_id: Mapped[str]
    says: Mapped[str]


class OwnCutRow(Base):
    """A cut of the cook's own, as JSON."""

    __tablename__ = "own_cut"

    id: Mapped[str] = mapped_column(primary_key=True)
    kind: Mapped[str]
    made_at: Mapped[str]


class OwnIngredientRow(Base):
    """An ingredient of the cook's own: its label as typed, as JSON."""

    __tablename__ = "own_ingredient"

    id: Mapped[str] = mapped_column(primary_key=True)
    label: Mapped[str]
    made_at: Mapped[str]


class SettingRow(Base):
    """One setting of the kitchen, as JSON."""

    __tablename__ = "setting"

    name: Mapped[str] = mapped_column(primary_key=True)
    value: Mapped[str]
