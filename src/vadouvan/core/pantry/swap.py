"""A row of the table of swaps."""

from __future__ import annotations

from typing import Literal, get_args

from vadouvan.unchanging import unchanging

Rule = Literal[
    "equal_salt", "equal_acid", "equal_sugar", "equal_heat", "equal_fat", "equal_alcohol", "equal_enzyme", "by_weight"
]


RULES: tuple[Rule, ...] = get_args(Rule)


@unchanging
class Swap:
    """A row of the table: what stands in for ``swap_from``, in kg per kg of it, and which quantity it keeps."""

    id: str
    swap_from: str
    parts: tuple[tuple[str, float], ...]
    rule: Rule
    note: str
    also: str
    source: str
    confidence: str
