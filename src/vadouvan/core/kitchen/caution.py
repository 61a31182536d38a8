"""A caution: what it says, how strongly, and what it rests on. The texts are data."""

from __future__ import annotations

from typing import Literal

from vadouvan.unchanging import unchanging

CautionKind = Literal["note", "warn", "stop"]
Where = Literal["cut", "mix", "hold", "fire", "all"]


@unchanging
class Caution:
    """One caution and the step where it applies. All end in the same place: local rules and licensed practice first."""

    id: str
    kind: CautionKind
    where: Where
    says: str
    source: str
