"""An ingredient and its make-up, as one row of the pantry gives it. Shares are 0 to 1 by mass."""

from __future__ import annotations

from vadouvan.core.measures.numbers import Interval
from vadouvan.unchanging import unchanging

KEPT_INGREDIENTS = 4096  # what is worked out of one alone is kept for so many


@unchanging
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


NO_HEAT = Interval.exactly(0.0)
# Acids of the kitchen: molar mass [kg/mol] and protons to give (``handbook_pka``); others count as citric.
MOLAR_KG = {
    "acetic": 0.060052, "citric": 0.192124, "lactic": 0.090078, "malic": 0.134087, "tartaric": 0.150087,
    "other": 0.192124,
}  # fmt: skip
PROTONS = {"acetic": 1, "citric": 3, "lactic": 1, "malic": 2, "tartaric": 2, "other": 3}


@unchanging
class Enzyme:
    """A live enzyme: name, strength a gram (neat fresh pineapple juice = 1), what ends it."""

    name: str
    strength: Interval
    ended_by: str


@unchanging
class Ingredient:
    """One row of the pantry, in shares by mass and SI.

    ``heat_shu`` is Scoville units as used, ``dose_kg_per_kg`` a usual dose per kg of meat,
    ``burns`` that its solids scorch, ``lifts_out`` that it goes in whole and can be fished out.
    """

    id: str
    name: str
    also_called: tuple[str, ...]
    group: str
    density_kg_per_m3: float
    spoon_density_kg_per_m3: Interval
    piece_kg: dict[str, Interval]
    water: float
    salt: Interval
    sugar: Interval
    acid: Interval
    acids: Acids
    ph: float | None
    fat: float
    alcohol: float
    protein: float
    enzyme: Enzyme | None
    allergens: tuple[str, ...]
    source: str
    confidence: str
    sodium: float = 0.0
    heat_shu: Interval = NO_HEAT
    allergens_us: tuple[str, ...] = ()
    allergens_to_check: tuple[str, ...] = ()
    dose_kg_per_kg: Interval | None = None
    burns: bool = False
    lifts_out: bool = False
    stains: bool = False
    form: str = ""

    def __hash__(self) -> int:
        """By what it is called: few are alike in that and not in the rest."""
        return hash(self.id)

    @property
    def titratable(self) -> float:
        """Protons that its acids can give up [mol/kg]: equal sourness by titration, whatever the acid."""
        return float(sum(getattr(self.acids, name) / MOLAR_KG[name] * PROTONS[name] for name in PROTONS))

    @property
    def is_aroma(self) -> bool:
        """Whether it is here for its smell: herbs, spices, alliums, zest, chillies."""
        return self.group.startswith(("aromatic", "herb", "spice", "chilli"))
