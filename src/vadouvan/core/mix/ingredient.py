"""An ingredient and its make-up, as one row of the pantry gives it. Shares are 0 to 1 by mass."""

from __future__ import annotations

from dataclasses import dataclass

from vadouvan.core.said.numbers import Spread


@dataclass(frozen=True)
class Acids:
    """Shares of each acid by mass (0 to 1); ``other`` is counted as citric."""

    acetic: float = 0.0
    citric: float = 0.0
    lactic: float = 0.0
    malic: float = 0.0
    tartaric: float = 0.0
    other: float = 0.0

    @property
    def total(self) -> float:
        """All acids together."""
        return self.acetic + self.citric + self.lactic + self.malic + self.tartaric + self.other


@dataclass(frozen=True)
class Enzyme:
    """A live enzyme: name, strength a gram (neat fresh pineapple juice = 1), what ends it."""

    name: str
    strength: Spread
    ended_by: str


@dataclass(frozen=True)
class Ingredient:
    """One row of the pantry, in shares by mass and SI."""

    id: str
    name: str
    also_called: tuple[str, ...]
    group: str
    density_kg_per_m3: float
    spoon_density_kg_per_m3: Spread
    piece_kg: dict[str, Spread]
    water: float
    salt: Spread
    sugar: Spread
    acid: Spread
    acids: Acids
    ph: float | None
    fat: float
    alcohol: float
    protein: float
    enzyme: Enzyme | None
    allergens: tuple[str, ...]
    source: str
    confidence: str

    @property
    def is_aroma(self) -> bool:
        """Whether it is here for its smell: herbs, spices, alliums, zest, chillies."""
        return self.group.startswith(("aromatic", "herb", "spice", "chilli"))
