"""The reference tables that a reading needs, as one value handed in from outside."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass

from vadouvan.core.cut.kind import CutKind
from vadouvan.core.mix.pantry import Pantry


@dataclass(frozen=True)
class Kitchen:
    """Kinds of cut by id, and the pantry."""

    cuts: Mapping[str, CutKind]
    pantry: Pantry
