"""Schools of salting: each sets how much salt goes into the mix, and says what stays behind in the mix.

By the kilogram, by what a bath settles to, by a strong bath for a limited time, by the spoon for
a pound. The cook's own target overrides what a school would aim at.
"""

from __future__ import annotations

from typing import Literal

from vadouvan.core.constants import PASTE_RUN_OFF
from vadouvan.core.figure import hours_told, number_told
from vadouvan.core.measures.units import MASS_KG, VOLUME_M3
from vadouvan.core.pantry.ingredient import Ingredient
from vadouvan.unchanging import unchanging

SaltingMethod = Literal["per_kg", "equilibrium", "strong_bath", "spoon_per_pound"]


@unchanging
class Salting:
    """A school with what it needs: hours of a strong bath [s], the salt and spoons of a spoon per pound.

    ``school`` is nothing while the cook has not chosen: then a bath is judged by what it settles to. Of what is
    ``worked_in``, into mince, all is eaten, however wet it is.
    """

    school: SaltingMethod | None = None
    bath_s: float = 12 * 3600.0
    spoon_salt: Ingredient | None = None
    spoons: float = 1.0
    worked_in: bool = False


BY_WEIGHT = Salting()


def spoon_target(salt: Ingredient, spoons: float) -> float:
    """Salt per kg of meat for so many level teaspoons of this salt to the pound [kg/kg]."""
    spoon_kg = salt.spoon_density_kg_per_m3.value * VOLUME_M3["tsp"]
    return spoons * spoon_kg * salt.salt.value / MASS_KG["lb"]


def spoon_words(salt: Ingredient, spoons: float) -> str:
    """Salt of a spoon per pound with this salt; the same spoon of another is lean, right or strong."""
    grams = spoon_target(salt, spoons) * 1000
    strength = "lean" if grams < 8.5 else "well seasoned" if grams <= 13.5 else "strong"
    return (
        f"{number_told(spoons)} tsp of {salt.also_called[0]} a pound is {number_told(grams)} g a kilogram: {strength}."
    )


def run_off_words(salt_kg: float) -> str:
    """Loss of a paste to bag, tray and drip."""
    low, high = (number_told(salt_kg * share * 1000) for share in (PASTE_RUN_OFF.low, PASTE_RUN_OFF.high))
    return f"Of the salt {low} to {high} g stays on bag and tray; what is still on the meat is eaten."


WORKED_IN = "It is worked in, so all of it is eaten."


def settled_words(left_kg: float) -> str:
    """Salt that stays in a bath that has settled."""
    return f"When it has settled, {number_told(left_kg * 1000)} g of the salt stays in the mix."


def strong_bath_words(left_kg: float, bath_s: float, gain_per_h: float) -> str:
    """Salt that stays in a strong bath when it is stopped, and how fast the meat is still gaining [kg/kg per h]."""
    return (
        f"Out at {hours_told(bath_s / 3600)}: {number_told(left_kg * 1000)} g of the salt stays in the mix. "
        f"Each hour longer adds {number_told(gain_per_h * 1000)} g a kilogram."
    )
