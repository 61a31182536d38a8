"""Rows of the kitchen's file; each table is made from the row that it holds."""

from __future__ import annotations

from typing import NamedTuple

from sqlalchemy import Index

from vadouvan.store.table import TableOf


class BatchRow(NamedTuple):
    """One batch: its draft as JSON, a revision that grows with each change, its place in the history."""

    id: str
    draft: str
    revision: int
    made_at: str
    changed_at: str
    at_number: int = 1


class HistoryRow(NamedTuple):
    """One state of a batch. ``touched`` is the field that led to it, so that typing makes one step."""

    batch_id: str
    number: int
    draft: str
    touched: str
    made_at: str


class PressRow(NamedTuple):
    """One event at the counter, as JSON, with its number in the batch, its kind and when it was.

    ``undoes`` is the number of the event it takes back; ``before`` the draft it changed, as JSON.
    """

    batch_id: str
    number: int
    at: str
    press: str
    kind: str
    undoes: int | None = None
    before: str | None = None


class VerdictRow(NamedTuple):
    """Verdict of one eater on a batch, as JSON; ``forgotten`` if nothing is learned from it, ``insisted`` if always."""

    batch_id: str
    eater: str
    said: str
    forgotten: bool
    insisted: bool
    at: str


class CutFaceRow(NamedTuple):
    """A photograph of a batch's cut face: a small JPEG, and the points marked on it, as JSON."""

    batch_id: str
    jpeg: bytes
    width: int
    height: int
    marks: str = ""


class DescentRow(NamedTuple):
    """The batch that a batch goes on from, and what was changed, as JSON."""

    batch_id: str
    from_id: str
    says: str


class OwnCutRow(NamedTuple):
    """A cut of the cook's own, as JSON."""

    id: str
    kind: str
    made_at: str


class OwnIngredientRow(NamedTuple):
    """An ingredient of the cook's own: its label as typed, as JSON."""

    id: str
    label: str
    made_at: str


class SettingRow(NamedTuple):
    """One setting of the kitchen, as JSON."""

    name: str
    value: str


BATCH = TableOf(BatchRow, "batch", Index("ix_batch_changed", "changed_at", "revision"))
HISTORY = TableOf(HistoryRow, "history", keys=2)
PRESS = TableOf(PressRow, "press", keys=2)
VERDICT = TableOf(VerdictRow, "verdict", keys=2)
CUT_FACE = TableOf(CutFaceRow, "cut_face")
DESCENT = TableOf(DescentRow, "descent", Index("ix_descent_from_id", "from_id"))
OWN_CUT = TableOf(OwnCutRow, "own_cut")
OWN_INGREDIENT = TableOf(OwnIngredientRow, "own_ingredient")
SETTING = TableOf(SettingRow, "setting")
