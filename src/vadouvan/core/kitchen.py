"""The reference tables that a reading needs, as one value handed in from outside."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import dataclass, replace

from vadouvan.core.cautions import Caution
from vadouvan.core.cut.kind import CutKind
from vadouvan.core.mix.pantry import Pantry


@dataclass(frozen=True)
class Kitchen:
    """Kinds of cut by id, the pantry, cautions by id, and titles of sources by key."""

    cuts: Mapping[str, CutKind]
    pantry: Pantry
    cautions: Mapping[str, Caution]
    sources: Mapping[str, str]

    def with_cuts(self, own: Mapping[str, CutKind]) -> Kitchen:
        """The same kitchen with the cook's own cuts before the shipped ones."""
        return replace(self, cuts={**own, **self.cuts})
