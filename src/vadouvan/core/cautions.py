"""A caution: what it says, how strongly, and what it rests on. The texts are data."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Literal

CautionKind = Literal["note", "warn", "stop"]


@dataclass(frozen=True)
class Caution:
    """One caution. All end in the same place: local rules and licensed practice come first."""

    id: str
    kind: CautionKind
    says: str
    source: str
    looked_at: str
