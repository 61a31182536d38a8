"""How far a liquid is boiled down or thinned: water goes or comes, everything else stays."""

from __future__ import annotations

from vadouvan.unchanging import unchanging


@unchanging
class Reduction:
    """End that was asked for: a weight [kg], a share, or so much water more [kg]; none if it stays as it is."""

    kg: float | None = None
    share: float | None = None
    water_kg: float | None = None

    def of(self, mass_kg: float) -> float | None:
        """Mass in the end of so much [kg]; nothing if it stays as it is."""
        if self.water_kg is not None:
            return mass_kg + self.water_kg
        return self.kg if self.share is None else self.share * mass_kg


AS_IT_IS = Reduction()
