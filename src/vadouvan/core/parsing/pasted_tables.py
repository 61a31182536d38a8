"""Tables in a pasted text: rows between bars, with tabs or below a head with commas, as lines."""

from __future__ import annotations

import re

from vadouvan.core.measures.numbers import leading_number
from vadouvan.core.parsing.said_units import unit_said
from vadouvan.core.patterns import lazily

_WITH_UNIT = lazily(r"^[\d½¼¾⅓⅔][\d .,/½¼¾⅓⅔]* ?[a-z]{1,12}\.?$", re.IGNORECASE)
_IN_TWO_COLUMNS = lazily(  # "1 medium onion            150 g"
    r"^(\s*[\d½¼¾⅓⅔][^\t|]{2,60}?[a-z)])\s{3,20}([\d½¼¾⅓⅔][\d./½¼¾⅓⅔ ]{0,8}(?:k?g|m?l|oz|lbs?|cups?|tsp|tbsp))\s*$",
    re.IGNORECASE,
)
_AMOUNT_AND_UNIT = lazily(r"(?<![^\s|])([\d½¼¾⅓⅔][\d./½¼¾⅓⅔ ]*?)\s*\|\s*([a-z]{1,12})(?=\s*(?:\||$))", re.IGNORECASE)
COLUMNS_OF_TWO_UNITS = 3
LEAST_ROWS = 3  # so many lines with bars in them are a table, framed or not
_TABLE_HEADS = frozenset(("ingredient", "ingredients", "item", "items", "amount", "quantity", "qty", "weight"))
_OTHER_HEADS = frozenset(
    ("unit", "units", "g", "gram", "grams", "note", "notes", "name", "comment", "prep", "preparation")
)


def framed(lines: list[str]) -> list[str]:
    """Lines, where rows with bars between their cells, "Salt | 2 tsp", have one at either end, too; commas below a head
    of a table, "ingredient,amount,unit", are such bars. An amount in a second column stands in brackets.
    """
    lines = [_IN_TWO_COLUMNS.sub(r"\1 (\2)", line) for line in lines]
    head = next((place for place, line in enumerate(lines) if _is_head_of_columns(line)), None)
    if head is not None:
        columns = lines[head].count(",")
        rows = [line.replace(",", " | ", columns) if "," in line else line for line in lines[head + 1 :]]
        lines = [*lines[:head], *(_units_beside(row) for row in rows)]
    rows = [line for line in lines if "|" in line]
    if len(rows) < LEAST_ROWS:
        return lines
    return [f"| {line.strip().strip('|').strip()} |" if "|" in line else line for line in lines]


def _is_head_of_columns(line: str) -> bool:
    """Whether a line is the head of a table with commas between its cells."""
    cells = [cell.strip().lower() for cell in line.split(",")]
    return len(cells) > 1 and bool(set(cells) & _TABLE_HEADS) and set(cells) <= _TABLE_HEADS | _OTHER_HEADS


def _units_beside(row: str) -> str:
    """A row of a table whose unit has a cell of its own, with the unit in that of its amount.

    >>> _units_beside("soy sauce | 60 | ml"), _units_beside("60 | ml | soy sauce")
    ('soy sauce | 60 ml', '60 ml | soy sauce')
    """
    return _AMOUNT_AND_UNIT.sub(lambda found: f"{found[1]} {found[2]}" if unit_said(found[2]) else found.group(), row)


def out_of_a_table(line: str) -> str:
    """A row of a table, "| salt | 1 tsp |" or with tabs between, as a line; its head and its rules as an empty one.

    Where the amount stands there in two units, they are written side by side.

    >>> out_of_a_table("| lamb leg steaks | 4 (800 g) |"), out_of_a_table("|---|---|")
    ('lamb leg steaks, 4 (800 g)', '')
    >>> out_of_a_table("| salt | 300 g | 1 cup |")
    '300 g / 1 cup salt'
    """
    cells = _cells(line)
    if cells is None:
        return line
    if not cells or all(re.fullmatch(r":?-+:?", cell) for cell in cells) or set(map(str.lower, cells)) & _TABLE_HEADS:
        return ""
    if len(cells) == COLUMNS_OF_TWO_UNITS and all(_WITH_UNIT.match(cell) for cell in cells[1:]):
        return f"{cells[1]} / {cells[2]} {cells[0]}"
    if len(cells) == COLUMNS_OF_TWO_UNITS and cells[1] == cells[2]:
        cells.pop()
    return (" " if leading_number(cells[0]) is not None else ", ").join(cells)


def _cells(line: str) -> list[str] | None:
    """Cells of a row between bars or with tabs; nothing if it is none."""
    bare = line.strip()
    if not (bare.startswith("|") and bare.endswith("|") and len(bare) > 1) and "\t" not in bare:
        return None
    return [cell.strip() for cell in re.split(r"[|\t]", bare.strip("|")) if cell.strip()]


def is_of_a_table(line: str) -> bool:
    r"""Whether a line is a row of a table, its head too, with more than one cell.

    >>> is_of_a_table("Ingredient\tAmount"), is_of_a_table("Wings | Sunday")
    (True, False)
    """
    return len(_cells(line) or ()) > 1
