"""CSV that a spreadsheet opens without running anything, and that comes back as it was written.

A cell that would be taken for a formula gets an apostrophe in front, and so does one that begins with an apostrophe;
reading takes one away. A negative number stays bare, since a spreadsheet gives it back as it was; one with a plus sign
does not, since a spreadsheet would take the sign away.
"""

from __future__ import annotations

import csv
import io
from collections.abc import Iterable, Mapping, Sequence

from vadouvan.core.patterns import lazily
from vadouvan.errors import FormatError

_RISKY = ("=", "+", "-", "@", "\t", "\r", "\n", "'")
_NUMBER = lazily(r"[+-]?\d+(?:\.\d+)?(?:[eE][+-]?\d+)?")
LONGEST_CELL = 200_000


def write_csv(columns: Sequence[str], rows: Iterable[Mapping[str, str]]) -> str:
    """Rows under a head of these columns; what a row does not have is empty."""
    text = io.StringIO()
    writer = csv.writer(text, lineterminator="\r\n")
    writer.writerow(columns)
    writer.writerows([_guarded(row.get(column, "")) for column in columns] for row in rows)
    return text.getvalue()


def read_csv(text: str, *, name: str, columns: Sequence[str]) -> list[dict[str, str]]:
    """Rows of a table by column; raises FormatError with the row, the column, and what would do."""
    csv.field_size_limit(LONGEST_CELL)
    try:
        lines = list(csv.reader(io.StringIO(text, newline=""), strict=True))
    except csv.Error as error:
        raise _refused(
            name, f"{name} is no CSV: {error}.", "Use commas, and quotes around what holds commas."
        ) from None
    if not lines:
        raise _refused(name, f"{name} is empty.", "Its first line has the names of its columns.")
    head = lines[0]
    missing = [column for column in columns if column not in head]
    if missing:
        raise _refused(name, f"{name} lacks the column {missing[0]}.", "Its columns are " + ", ".join(columns) + ".")
    found = []
    for number, line in enumerate(lines[1:], start=2):
        if len(line) != len(head):
            wrong = f"{name}, line {number}: {len(line)} cells instead of {len(head)}."
            raise _refused(name, wrong, "Each line has as many cells as the first.")
        found.append({column: _plain(cell, name, number, column) for column, cell in zip(head, line, strict=True)})
    return found


def _guarded(cell: str) -> str:
    bare = cell.startswith("-") and _NUMBER.fullmatch(cell)
    return f"'{cell}" if cell.startswith(_RISKY) and not bare else cell


def _plain(cell: str, name: str, number: int, column: str) -> str:
    if cell.startswith("'"):
        return cell[1:]
    if cell.startswith(("=", "+", "-", "@")) and not _NUMBER.fullmatch(cell):
        wrong = f"{name}, line {number}, {column}: {cell[:40]!r} is a formula."
        raise _refused(name, wrong, "Write the value itself; words that begin so get an apostrophe in front.")
    return cell


def _refused(name: str, wrong: str, accepted: str) -> FormatError:
    return FormatError(field=name, given="", wrong=wrong, accepted=accepted)
