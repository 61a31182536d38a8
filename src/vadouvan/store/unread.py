"""Rows that cannot be read any more: each stands aside, takes no other away, and is told by ``KitchenFile.unread``."""

from __future__ import annotations

from collections.abc import Callable, Iterable, Iterator
from datetime import MAXYEAR, MINYEAR, datetime
from typing import Any, TypeVar

from vadouvan.errors import BadInput, InputError
from vadouvan.store.table import TableOf
from vadouvan.unchanging import unchanging

Row = TypeVar("Row")
Value = TypeVar("Value")
UNREADABLE = (ValueError, TypeError, KeyError, AttributeError, BadInput, InputError)


@unchanging
class UnreadRow:
    """A row that cannot be read: which, why, and all of its text as it is kept."""

    where: str
    says: str
    text: str
    batch_id: str = ""


def moment_in(text: str) -> datetime:
    """A moment as rows hold it; raises ValueError for one without a zone, or at the ends of the calendar."""
    moment = datetime.fromisoformat(text)
    if moment.tzinfo is None or not MINYEAR < moment.year < MAXYEAR:
        raise ValueError(f"{text[:40]} is no moment of a kitchen")
    return moment


def readable(rows: Iterable[Row], read: Callable[[Row], Value]) -> Iterator[tuple[Row, Value]]:
    """Rows with what is in them; one that cannot be read stands aside, and is told when the rows are looked through."""
    for row in rows:
        value = read_or_none(row, read)
        if value is not None:
            yield row, value


def read_or_none(row: Row, read: Callable[[Row], Value]) -> Value | None:
    """The value in a row, or nothing where it cannot be read."""
    try:
        return read(row)
    except UNREADABLE:
        return None  # told by KitchenFile.unread, with its text


def unread(
    table: TableOf[Any], rows: Iterable[Any], read: Callable[..., object], name: Callable[..., str]
) -> Iterator[UnreadRow]:
    """Those of a table's rows that cannot be read."""
    for row in rows:
        try:
            read(row)
        except UNREADABLE as error:
            why = f"cannot be read ({type(error).__name__}: {error})"
            yield UnreadRow(name(row), why, table.texts(row), getattr(row, "batch_id", ""))
