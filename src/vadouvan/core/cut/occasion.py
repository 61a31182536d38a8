"""How much to buy for how many, and back (``common_practice``)."""

from __future__ import annotations

from typing import Literal

from vadouvan.core.constants import SERVING_HEARTY_KG, SERVING_LIGHT_KG, SERVING_NORMAL_KG
from vadouvan.core.figure import Figure, Given, Working
from vadouvan.unchanging import unchanging

Appetite = Literal["light", "normal", "hearty"]
SERVING_KG = {"light": SERVING_LIGHT_KG, "normal": SERVING_NORMAL_KG, "hearty": SERVING_HEARTY_KG}


@unchanging
class Occasion:
    """Who eats: servings, appetite, and the share of the whole that goes to the freezer (0 to 1)."""

    servings: int
    appetite: Appetite
    frozen_share: float


def raw_mass_kg(occasion: Occasion, *, bone_share: float, trim_share: float) -> float:
    """Weight to buy, bone and trimmings included, with the part for the freezer on top [kg].

    >>> round(raw_mass_kg(Occasion(9, "normal", 0.5), bone_share=0.24, trim_share=0.0), 2)
    3.79
    """
    table_kg = occasion.servings * SERVING_KG[occasion.appetite].value
    return table_kg / (1 - bone_share) / (1 - trim_share) / (1 - occasion.frozen_share)


def servings_from(meat_kg: float, occasion: Occasion) -> float:
    """How many servings the meat on the board gives, after the freezer has had its share [1]."""
    return meat_kg * (1 - occasion.frozen_share) / SERVING_KG[occasion.appetite].value


def needed_figure(occasion: Occasion, *, bone_share: float, trim_share: float) -> Figure:
    """Weight to buy, with its working [g]."""
    serving = SERVING_KG[occasion.appetite]
    grams = raw_mass_kg(occasion, bone_share=bone_share, trim_share=trim_share) * 1000

    def worked() -> Working:
        rule = (
            "Servings times raw meat a serving, over what is left without bone and trimmings, and without the frozen "
            "part."
        )
        inputs = (
            Given("servings", float(occasion.servings), ""),
            Given("raw meat a serving", serving.value * 1000, "g"),
            Given("bone", bone_share * 100, "%"),
            Given("trimmings", trim_share * 100, "%"),
            Given("for the freezer", occasion.frozen_share * 100, "%"),
        )
        return Working(rule, inputs, (serving.source,))

    spread = (serving.low / serving.value, serving.high / serving.value)
    return Figure("needed_g", grams, "g", worked, grams * spread[0], grams * spread[1])
