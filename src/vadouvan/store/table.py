"""A table of the kitchen's file, made from the row that it holds, and its rows read and written.

SQLAlchemy's tables and statements without its mapper, which is a thirteenth of a start: our rows do not change.
"""

from __future__ import annotations

import re
from collections.abc import Callable, Iterator, Mapping
from functools import cache, cached_property
from types import NoneType
from typing import Any, Generic, TypeVar, get_args, get_type_hints

from sqlalchemy import (
    Boolean,
    Column,
    ColumnElement,
    Connection,
    ForeignKey,
    Index,
    Integer,
    LargeBinary,
    MetaData,
    Select,
    String,
    Table,
    bindparam,
    delete,
    exists,
    select,
)
from sqlalchemy.dialects.sqlite import Insert, insert
from sqlalchemy.sql.base import ReadOnlyColumnCollection

from vadouvan.core.snapshot.kitchen import IDENTITY

Row = TypeVar("Row", bound=tuple[Any, ...])
METADATA = MetaData()
_KINDS = {str: String, int: Integer, bool: Boolean, bytes: LargeBinary}
_BATCH = "batch_id"  # names the batch that a row goes with
_BATCHES = (_BATCH, "from_id")


class TableOf(Generic[Row]):
    """The table of these rows: a column for each field, the first ``keys`` of which tell rows apart."""

    def __init__(self, row: Callable[..., Row], name: str, *indexes: Index, keys: int = 1) -> None:
        self._row, self.name = row, name
        columns = [_column(*field, is_key=place < keys) for place, field in enumerate(_kinds_of(row))]
        self.table = Table(name, METADATA, *columns, *indexes)

    @property
    def c(self) -> ReadOnlyColumnCollection[str, Column[Any]]:
        """Its columns, for statements."""
        return self.table.c

    @cached_property
    def all(self) -> Select[Any]:
        """The question for all rows, in no order."""
        return select(self.table)

    @cached_property
    def _with_key(self) -> tuple[ColumnElement[bool], ...]:
        return tuple(column == bindparam(f"key_{column.name}") for column in self.table.primary_key)

    @cached_property
    def _put(self) -> Insert:
        adding, keys = insert(self.table), self.table.primary_key.columns
        values = {name: adding.excluded[name] for name, column in self.c.items() if column.name not in keys}
        return adding.on_conflict_do_update(index_elements=list(keys), set_=values)

    def rows(
        self, connection: Connection, wanted: Select[Any], values: Mapping[str, object] | None = None
    ) -> Iterator[Row]:
        """Rows of a question that is made from :attr:`all`."""
        return (self._row(*row) for row in connection.execute(wanted, values))

    def one(self, connection: Connection, *key: object) -> Row | None:
        """The row with this key, if there is one."""
        found = connection.execute(self.all.where(*self._with_key), self._named(key)).first()
        return None if found is None else self._row(*found)

    def holds(self, connection: Connection, *key: object) -> bool:
        """Whether there is a row with this key."""
        return connection.scalar(select(exists().where(*self._with_key)), self._named(key)) is True

    def add(self, connection: Connection, *rows: Row) -> None:
        """Add rows that are not there yet."""
        if rows:
            connection.execute(insert(self.table), [self.values(row) for row in rows])

    def put(self, connection: Connection, row: Row) -> None:
        """Put a row in the place of the one with its key, or add it."""
        connection.execute(self._put, self.values(row))

    def remove(self, connection: Connection, *key: object) -> bool:
        """Remove the row with this key; false where there was none."""
        return connection.execute(delete(self.table).where(*self._with_key), self._named(key)).rowcount > 0

    def values(self, row: Row) -> dict[str, Any]:
        """Values of a row by the names of their columns."""
        return dict(zip(self.c.keys(), row, strict=True))

    def texts(self, row: Row) -> str:
        """A row as text, a line for each column, without what is no text."""
        said = self.values(row).items()
        return "\n".join(f"{name}: {value}" for name, value in said if not isinstance(self.c[name].type, LargeBinary))

    def _named(self, key: tuple[object, ...]) -> dict[str, object]:
        return {f"key_{column.name}": part for column, part in zip(self.table.primary_key, key, strict=True)}


def sound(row: Row) -> Row:
    """The row, every part of it of its kind; raises TypeError or ValueError that names the first that is not.

    SQLite keeps whatever it is given, in a column of any kind.
    """
    for (name, kinds), value in zip(_kinds_of(type(row)), row, strict=True):
        if not isinstance(value, kinds):
            raise TypeError(f"{name} is of another kind")
        if name in _BATCHES and not is_identity(value):
            raise ValueError(f"{name} names no batch")
    return row


def is_identity(value: object) -> bool:
    """Whether a batch can be called so."""
    return isinstance(value, str) and re.fullmatch(IDENTITY, value) is not None


@cache
def _kinds_of(row: Callable[..., tuple[Any, ...]]) -> tuple[tuple[str, tuple[type, ...]], ...]:
    """The kinds that each field of a row may be of."""
    return tuple((name, get_args(hint) or (hint,)) for name, hint in get_type_hints(row).items())


def _column(name: str, kinds: tuple[type, ...], *, is_key: bool) -> Column[Any]:
    """A column that holds what a field may be; a row about a batch goes with it."""
    kind = next(_KINDS[one] for one in kinds if one is not NoneType)
    batch = [ForeignKey("batch.id", ondelete="CASCADE")] if name == _BATCH else []
    return Column(name, kind, *batch, primary_key=is_key, nullable=NoneType in kinds)
