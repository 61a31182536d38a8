"""Meat and mix as buffers: how much acid brings each to a pH, swept over pH without any root finding.

Buffer sites of meat are set to published capacities (Puolanne and Kivikari 2000, recalled: 40 to 60 mmol a
kg and pH from 5.5 to 7); plus or minus 30 %.
"""

from __future__ import annotations

from collections.abc import Mapping
from functools import cache

import numpy as np

from vadouvan.core.constants import WATER_PK
from vadouvan.core.cut.kind import Family
from vadouvan.core.hold.eigenmodes import Array
from vadouvan.core.mix.acidity import PK, Solution
from vadouvan.unchanging import unchanging

# Sites [mol/kg meat] by dissociation constant, and the pH of the raw meat.
_RED = {3.9: 0.060, 4.4: 0.055, 4.9: 0.030, 3.86: 0.090, 6.1: 0.030, 6.6: 0.040, 7.1: 0.030}
_POULTRY = {3.9: 0.065, 4.4: 0.060, 4.9: 0.030, 3.86: 0.100, 6.1: 0.030, 6.6: 0.055, 7.1: 0.045}
_FISH = {3.9: 0.055, 4.4: 0.050, 4.9: 0.028, 3.86: 0.050, 6.1: 0.028, 6.6: 0.045, 7.1: 0.030}
SITES: Mapping[Family, Mapping[float, float]] = {
    "red": _RED, "mince": _RED, "poultry": _POULTRY, "fish": _FISH, "shellfish": _FISH, "plant": _FISH,
    "other": _RED,
}  # fmt: skip
RAW_PH: Mapping[Family, float] = {
    "red": 5.6, "mince": 5.6, "poultry": 5.9, "fish": 6.5, "shellfish": 6.9, "plant": 6.5,
    "other": 5.6,
}  # fmt: skip
MOST_ACID_PH, STEPS = 1.2, 500


@unchanging
class AcidKind:
    """The acids of a mix as one: share of each by moles; charges given up and share still whole, at any pH."""

    shares: Mapping[str, float]

    @classmethod
    def of(cls, solution: Solution) -> AcidKind | None:
        """The kind of acid in a solution; nothing if there is none."""
        total = sum(solution.acids.values())
        if total <= 0:
            return None
        return cls({name: amount / total for name, amount in solution.acids.items() if amount > 0})

    def charges_and_whole(self, sweep: Sweep) -> tuple[Array, Array]:
        """Mean protons that a molecule has given up, and share of molecules that have given up none and move freely."""
        charges, whole = np.sum(
            [share * _charges_and_whole(name, sweep) for name, share in self.shares.items()], axis=0
        )
        return charges, whole


@unchanging
class Sweep:
    """Values of pH that are swept over, from the first to the last."""

    first: float
    last: float

    @property
    def ph(self) -> Array:
        """The values."""
        return _swept(self.first, self.last)


@cache
def _swept(first: float, last: float) -> Array:
    return np.linspace(first, last, STEPS)


@cache
def _charges_and_whole(name: str, sweep: Sweep) -> Array:
    ph = sweep.ph
    terms = [np.ones_like(ph)]
    for constant in PK[name]:
        terms.append(terms[-1] * 10.0 ** (ph - constant))
    total = np.sum(terms, axis=0)
    return np.array([sum(count * term for count, term in enumerate(terms)) / total, terms[0] / total])


@unchanging
class Titration:
    """Acid against pH: ``acid`` rising [mol/kg water] as ``ph`` falls, and the mobile share there."""

    acid: Array
    ph: Array
    whole: Array

    def ph_at(self, acid: Array) -> Array:
        """The pH with so much acid."""
        return np.asarray(np.interp(acid, self.acid, self.ph))

    def mobile(self, ions_share: float) -> Array:
        """Share that moves at each point of the sweep, where ions move as ``ions_share`` of whole molecules do [1]."""
        return self.whole + ions_share * (1 - self.whole)

    def whole_at(self, acid: Array) -> Array:
        """Share of undissociated molecules with so much acid."""
        return np.asarray(np.interp(acid, self.acid, self.whole))


def meat_titration(family: Family, water_share: float, kind: AcidKind) -> Titration:
    """Acid per kg of the meat's water that brings raw meat of a family to each pH."""
    held, water = _held_by_meat(family)
    sweep = Sweep(RAW_PH[family], MOST_ACID_PH)
    charges, whole = kind.charges_and_whole(sweep)
    return Titration((held / water_share + water) / np.maximum(charges, 1e-12), sweep.ph, whole)


@cache
def _held_by_meat(family: Family) -> tuple[Array, Array]:
    """Protons that the sites of meat take up [mol/kg meat], and its water [mol/kg water], over the sweep."""
    raw = np.array([RAW_PH[family]])
    ph = Sweep(RAW_PH[family], MOST_ACID_PH).ph
    held = _dissociated(SITES[family], raw)[0] - _dissociated(SITES[family], ph)
    return held, _water_ions(ph) - _water_ions(raw)[0]


def mix_titration(solution: Solution, kind: AcidKind) -> Titration:
    """Acid per kg of the mix's water against pH, its minerals staying: as acid leaves, the pH rises."""
    given = np.maximum(solution.strong_ions + _WATER_OF_MIX, 0.0)
    charges, whole = kind.charges_and_whole(MIX_SWEEP)
    rising = np.maximum.accumulate(given / np.maximum(charges, 1e-12)) + _RISING
    return Titration(rising, MIX_SWEEP.ph, whole)


def _dissociated(sites: Mapping[float, float], ph: Array) -> Array:
    return np.asarray(sum(amount / (1 + 10.0 ** (constant - ph)) for constant, amount in sites.items()))


def _water_ions(ph: Array) -> Array:
    return np.asarray(10.0**-ph - 10.0 ** (ph - WATER_PK.value))


MIX_SWEEP = Sweep(7.0, 0.3)
_WATER_OF_MIX = _water_ions(MIX_SWEEP.ph)
_RISING: Array = np.arange(float(STEPS)) * 1e-12  # where minerals alone give all, the acid is level: it has to rise
