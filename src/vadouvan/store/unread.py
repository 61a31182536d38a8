"""Rows that cannot be read any more: each stands aside, takes no other away, and is told by ``KitchenFile.unread``."""

from __future__ import annotations

from collections.abc import Callable, Iterable, Iterator
from dataclasses import dataclass
from typing import Any, TypeVar

from sqlalchemy import LargeBinary, inspect

from vadouvan.errors import BadInput

Row = TypeVar("Row")
Value = TypeVar("Value")
UNREADABLE = (ValueError, TypeError, KeyError, AttributeError, BadInput)


@dataclass(frozen=True)
class UnreadRow:
    """A row that cannot be read: which, why, and all of its text as it is kept."""

    where: str
    says: str
    text: str
    batch_id: str = ""


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


def unread(rows: Iterable[Any], read: Callable[..., object], name: Callable[..., str]) -> Iterator[UnreadRow]:
    """Those of the rows that cannot be read."""
    for row in rows:
        try:
            read(row)
        except UNREADABLE as error:
            why = f"cannot be read ({type(error).__name__}: {error})"
            yield UnreadRow(name(row), why, _text_of(row), getattr(row, "batch_id", ""))


def _text_of(row: Any) -> str:
    columns = inspect(type(row)).column_attrs
    said = [one.key for one in columns if not isinstance(one.columns[0].type, LargeBinary)]
    return "\n".join(f"{name}: {getattr(row, name)}" for name in said)
