"""pH of a mix from its acids by charge balance (``handbook_pka``).

Each ingredient with a known pH gets the strong-ion difference (mostly potassium) that its own
pH implies; strong ions and acids then add by mass. Work is per kilogram of water: oil carries
no acid. The result stands within about 0.2.
"""

from __future__ import annotations

import math
from collections.abc import Sequence
from functools import lru_cache

from vadouvan.core.constants import WATER_PK
from vadouvan.core.pantry.ingredient import KEPT_INGREDIENTS, MOLAR_KG, Ingredient
from vadouvan.unchanging import unchanging

# Acid constants at 25 C; acids of unknown kind count as citric.
PK: dict[str, tuple[float, ...]] = {
    "acetic": (4.756,),
    "citric": (3.13, 4.76, 6.40),
    "lactic": (3.86,),
    "malic": (3.40, 5.20),
    "tartaric": (2.98, 4.34),
    "other": (3.13, 4.76, 6.40),
}
PH_BAND = 0.2
CLOSE_PH = 1e-13  # Newton's steps end there


@unchanging
class Solution:
    """Molalities of acids [mol/kg water] and the strong-ion difference [mol/kg water]."""

    acids: dict[str, float]
    strong_ions: float


def charges_lost(ph: float, constants: Sequence[float]) -> float:
    """Mean number of protons that an acid has given up at ``ph`` [1].

    >>> round(charges_lost(4.756, (4.756,)), 3)
    0.5
    """
    term, whole, lost = 1.0, 1.0, 0.0
    for count, constant in enumerate(constants, 1):
        term *= 10.0 ** (ph - constant)
        whole += term
        lost += count * term
    return lost / whole


def acid_charge(solution: Solution, ph: float) -> float:
    """Charge carried by acid anions [mol/kg water]."""
    return sum(amount * charges_lost(ph, PK[name]) for name, amount in solution.acids.items() if amount)


def solution_ph(solution: Solution) -> float:
    """PH at which charges balance, by Newton's steps between two ends (the balance falls steadily with pH).

    >>> round(solution_ph(Solution({"acetic": 0.8764}, 0.0)), 3)
    2.408
    """
    acids = [(amount, PK[name]) for name, amount in solution.acids.items() if amount]
    low, high, ph = -1.0, 15.0, 4.0
    for _ in range(60):
        surplus, slope = _surplus(solution.strong_ions, acids, ph)
        low, high = (ph, high) if surplus > 0 else (low, ph)
        step = ph - surplus / slope
        wanted = step if low < step < high else (low + high) / 2
        if abs(wanted - ph) < CLOSE_PH:
            return wanted
        ph = wanted
    return ph


def _surplus(strong_ions: float, acids: Sequence[tuple[float, tuple[float, ...]]], ph: float) -> tuple[float, float]:
    """Positive charge over negative [mol/kg water], and how it changes with pH."""
    hydronium, hydroxide = 10.0**-ph, 10.0 ** (ph - WATER_PK.value)
    surplus, slope = strong_ions + hydronium - hydroxide, -hydronium - hydroxide
    for amount, constants in acids:
        term, whole, lost, squared = 1.0, 1.0, 0.0, 0.0
        for count, constant in enumerate(constants, 1):
            term *= 10.0 ** (ph - constant)
            whole += term
            lost += count * term
            squared += count * count * term
        mean = lost / whole
        surplus -= amount * mean
        slope -= amount * (squared / whole - mean * mean)
    return surplus, slope * math.log(10.0)


def mixed(portions: Sequence[tuple[Ingredient, float]], boiled_off_kg: float = 0.0) -> Solution | None:
    """Acids and strong ions of ingredients [kg each] per kg of the water left; nothing without water."""
    water_kg = sum(item.water * mass_kg for item, mass_kg in portions) - boiled_off_kg
    if water_kg <= 0:
        return None
    acids = dict.fromkeys(PK, 0.0)
    strong_ions = 0.0
    for item, mass_kg in portions:
        moles, ions = _brought_by(item)
        for name, amount in moles.items():
            acids[name] += amount * mass_kg / water_kg
        strong_ions += ions * mass_kg / water_kg
    return Solution(acids, strong_ions)


@lru_cache(maxsize=KEPT_INGREDIENTS)
def _brought_by(item: Ingredient) -> tuple[dict[str, float], float]:
    """Moles of each acid in a kilogram of an ingredient, and its strong-ion difference by its own pH [mol]."""
    moles = {name: getattr(item.acids, name) / MOLAR_KG[name] for name in PK}
    brought = {name: amount for name, amount in moles.items() if amount}
    if item.ph is None or item.water <= 0 or item.acids.total <= 0:
        return brought, 0.0
    return brought, max(0.0, acid_charge(Solution(moles, 0.0), item.ph) - item.water * 10.0**-item.ph)
