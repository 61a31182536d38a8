"""Limits of the window: each limit with its hour and its words."""

from __future__ import annotations

from typing import Literal

from vadouvan.core.hold.concerns import ConcernName
from vadouvan.unchanging import unchanging

# A concern that binds, or what is none: nothing has to be waited for, two concerns cross, it keeps no longer.
LimitId = ConcernName | Literal["at_once", "crossing", "storage"]
Basis = Literal["salt", "acid", "enzyme", "quality", "safety", "aroma"]


@unchanging
class Limit:
    """A limit at an hour. ``says`` completes "because ..." and "... ends it"; ``source`` is a key."""

    id: LimitId
    hours: float
    says: str
    basis: Basis
    source: str
