"""Every table with what reads its rows and what they are called: for the check, and for what stands aside unread."""

from __future__ import annotations

import json
from collections.abc import Callable
from datetime import datetime
from typing import Any

from sqlalchemy import Connection

from vadouvan.shapes import draft_from_json
from vadouvan.store.cut_faces import cut_face_in
from vadouvan.store.own_cuts import own_cut_in
from vadouvan.store.own_ingredients import own_label_in
from vadouvan.store.presses import logged_in, press_in
from vadouvan.store.rows import (
    BATCH,
    CUT_FACE,
    DESCENT,
    HISTORY,
    OWN_CUT,
    OWN_INGREDIENT,
    PRESS,
    SETTING,
    VERDICT,
    BatchRow,
    SettingRow,
)
from vadouvan.store.settings_kept import READ_BY_NAME
from vadouvan.store.table import TableOf, is_identity, sound
from vadouvan.store.unread import UnreadRow, moment_in, unread
from vadouvan.store.verdicts import changes_in, verdict_in


def unread_rows(connection: Connection) -> list[UnreadRow]:
    """Rows that cannot be read and stand aside, but for drafts, each of which says so itself, and for states of undo.

    Of a press the draft that it changed is looked at only as JSON: there may be a hundred thousand.
    """
    found: list[UnreadRow] = []
    for table, read, name in READERS:
        if table is not HISTORY:
            quick = _QUICK.get(table, read)
            found += unread(table, table.rows(connection, table.all), quick, name)
    return found


def _moments(row: BatchRow) -> tuple[datetime, datetime]:
    return moment_in(row.made_at), moment_in(row.changed_at)


def _named(row: BatchRow) -> BatchRow:
    """A batch's row, which has a name that files can have; raises ValueError for another."""
    if not is_identity(sound(row).id):
        raise ValueError("its identity names no batch")
    return row


def _setting(row: SettingRow) -> object:
    """A setting as the application reads it."""
    read = READ_BY_NAME.get(sound(row).name)
    return json.loads(row.value) if read is None else read(row.value)


READERS: tuple[tuple[TableOf[Any], Callable[..., object], Callable[..., str]], ...] = (
    (BATCH, lambda row: (draft_from_json(_named(row).draft), _moments(row)), lambda row: f"batch {row.id}"),
    (
        HISTORY,
        lambda row: draft_from_json(sound(row).draft),
        lambda row: f"batch {row.batch_id}, earlier state {row.number}",
    ),
    (PRESS, logged_in, lambda row: f"batch {row.batch_id}, press {row.number}"),
    (VERDICT, verdict_in, lambda row: f"batch {row.batch_id}, verdict of {row.eater or 'somebody'}"),
    (CUT_FACE, cut_face_in, lambda row: f"batch {row.batch_id}, photograph"),
    (DESCENT, changes_in, lambda row: f"batch {row.batch_id}, the batch it goes on from"),
    (OWN_CUT, own_cut_in, lambda row: f"own cut {row.id}"),
    (OWN_INGREDIENT, own_label_in, lambda row: f"own ingredient {row.id}"),
    (SETTING, _setting, lambda row: f"setting {row.name}"),
)
# Where the whole is told elsewhere, or is too much to look at: there may be a hundred thousand presses
_QUICK: dict[TableOf[Any], Callable[..., object]] = {BATCH: _named, PRESS: press_in}
