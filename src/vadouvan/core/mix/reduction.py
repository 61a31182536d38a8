"""How far a liquid is boiled down: water goes, everything else stays."""

from __future__ import annotations

from dataclasses import dataclass


@dataclass(frozen=True)
class Reduction:
    """What is left after boiling down: a weight [kg], or a share; neither if it is not boiled down."""

    kg: float | None = None
    share: float | None = None

    def of(self, mass_kg: float) -> float | None:
        """What is left of so much [kg]; nothing if it is not boiled down, never more than there was."""
        wanted = self.kg if self.share is None else self.share * mass_kg
        return None if wanted is None else min(wanted, mass_kg)


AS_IT_IS = Reduction()
