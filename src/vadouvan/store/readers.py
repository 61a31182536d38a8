"""Every table with what reads its rows and what they are called: for the check, and for what stands aside unread."""

from __future__ import annotations

import json
from collections.abc import Callable
from datetime import datetime
from typing import Any

from sqlalchemy import select
from sqlalchemy.orm import Session

from vadouvan.core.interpretation.routine import read_routine
from vadouvan.core.interpretation.shared import read_shared
from vadouvan.shapes import draft_from_json
from vadouvan.store.cut_faces import cut_face_in
from vadouvan.store.own_cuts import kind_in
from vadouvan.store.own_ingredients import label_in
from vadouvan.store.presses import logged_in, press_in
from vadouvan.store.rows import (
    BatchRow,
    CutFaceRow,
    DescentRow,
    EventRow,
    HistoryRow,
    OwnCutRow,
    OwnIngredientRow,
    SettingRow,
    VerdictRow,
)
from vadouvan.store.settings_kept import HOUSEHOLD, ROUTINE, SHARED, household_in, routine_in, shared_in
from vadouvan.store.unread import UnreadRow, unread
from vadouvan.store.verdicts import changes_in, verdict_in


def unread_rows(session: Session) -> list[UnreadRow]:
    """Rows that cannot be read and stand aside, but for batches, each of which says so itself, and for states of undo.

    Of a press the draft that it changed is looked at only as JSON: there may be a hundred thousand.
    """
    found: list[UnreadRow] = []
    for table, read, name in READERS:
        if table not in (BatchRow, HistoryRow):
            quick = press_in if table is EventRow else read
            found += unread(session.scalars(select(table)), quick, name)
    return found


def _moments(row: BatchRow) -> tuple[datetime, datetime]:
    return datetime.fromisoformat(row.made_at), datetime.fromisoformat(row.changed_at)


def _setting(row: SettingRow) -> object:
    """A setting as the application reads it."""
    raw = json.loads(row.value)
    readers: dict[str, Callable[[Any], object]] = {
        ROUTINE: lambda said: read_routine(routine_in(said)),
        SHARED: lambda said: read_shared(shared_in(said)),
        HOUSEHOLD: household_in,
    }
    return readers.get(row.name, dict)(raw)


READERS: tuple[tuple[type[Any], Callable[..., object], Callable[..., str]], ...] = (
    (BatchRow, lambda row: (draft_from_json(row.draft), _moments(row)), lambda row: f"batch {row.id}"),
    (
        HistoryRow,
        lambda row: draft_from_json(row.draft),
        lambda row: f"batch {row.batch_id}, earlier state {row.number}",
    ),
    (EventRow, logged_in, lambda row: f"batch {row.batch_id}, press {row.number}"),
    (VerdictRow, verdict_in, lambda row: f"batch {row.batch_id}, verdict of {row.eater or 'somebody'}"),
    (CutFaceRow, cut_face_in, lambda row: f"batch {row.batch_id}, photograph"),
    (DescentRow, changes_in, lambda row: f"batch {row.batch_id}, the batch it goes on from"),
    (OwnCutRow, lambda row: kind_in(row.kind), lambda row: f"own cut {row.id}"),
    (OwnIngredientRow, lambda row: label_in(row.label), lambda row: f"own ingredient {row.id}"),
    (SettingRow, _setting, lambda row: f"setting {row.name}"),
)
