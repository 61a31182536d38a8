"""What can set an end of the window: each limit with its hour and its words."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Literal

LimitId = Literal[
    "at_once", "seasoned", "aroma", "tenderised", "cured", "soured", "crossing", "salty", "sour", "soft", "texture",
    "storage",
]  # fmt: skip
Basis = Literal["salt", "acid", "enzyme", "quality", "safety", "aroma"]


@dataclass(frozen=True)
class Limit:
    """A limit at an hour. ``says`` completes "because ..." and "... ends it"; ``source`` is a key."""

    id: LimitId
    hours: float
    says: str
    basis: Basis
    source: str
