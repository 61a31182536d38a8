"""The pantry as the page gets it."""

from __future__ import annotations

from collections.abc import Mapping

from vadouvan.core.figure import number_told
from vadouvan.core.measures.units import VOLUME_M3
from vadouvan.core.pantry.ingredient import Ingredient
from vadouvan.core.parsing.label import OWN_INGREDIENT
from vadouvan.unchanging import unchanging


@unchanging(kw_only=True)
class PartOfIngredientOut:
    """One substance of an ingredient, in g per 100 g, with its range."""

    substance: str
    g_per_100g: float
    shown: str


@unchanging(kw_only=True)
class PantryItemOut:
    """One ingredient with its make-up and where the figures come from."""

    id: str
    name: str
    also_called: list[str]
    group: str
    parts: list[PartOfIngredientOut]
    water_g_per_100g: float
    ph: float | None
    teaspoon: str
    pieces: list[str]
    enzyme: str | None
    allergens: list[str]
    allergens_to_check: list[str]
    heat: str | None
    dose: str | None
    remarks: list[str]
    own: bool
    sources: list[str]
    confidence: str


def pantry_item_out(item: Ingredient, titles: Mapping[str, str]) -> PantryItemOut:
    """An ingredient as data; ``titles`` of sources by key."""
    return PantryItemOut(
        id=item.id,
        name=item.name,
        also_called=list(item.also_called),
        group=item.group.replace("_", " "),
        parts=_parts(item),
        water_g_per_100g=item.water * 100,
        ph=item.ph,
        teaspoon=f"{number_told(item.spoon_density_kg_per_m3.value * VOLUME_M3['tsp'] * 1000)} g",
        pieces=[f"{unit} {number_told(mass.value * 1000)} g" for unit, mass in item.piece_kg.items()],
        enzyme=_enzyme_words(item),
        allergens=list(item.allergens),
        allergens_to_check=list(item.allergens_to_check),
        heat=_heat_words(item),
        dose=_dose_words(item),
        remarks=_remarks(item),
        own=item.id.startswith(OWN_INGREDIENT),
        sources=[titles[key] for key in item.source.split(";")],
        confidence=item.confidence,
    )


def _parts(item: Ingredient) -> list[PartOfIngredientOut]:
    """Salt, sugar, acid and fat by weight; what is here for its smell counts whole as aroma."""
    spreads = (("salt", item.salt), ("sugar", item.sugar), ("acid", item.acid))
    found = []
    for name, spread in spreads:
        if spread.value >= 0.0005:
            low, high = number_told(spread.low * 100), number_told(spread.high * 100)
            shown = f"{number_told(spread.value * 100)} % ({low} to {high})" if low != high else f"{low} %"
            found.append(PartOfIngredientOut(substance=name, g_per_100g=spread.value * 100, shown=shown))
    if item.fat >= 0.0005:
        shown = f"{number_told(item.fat * 100)} %"
        found.append(PartOfIngredientOut(substance="fat", g_per_100g=item.fat * 100, shown=shown))
    return found


def _heat_words(item: Ingredient) -> str | None:
    heat = item.heat_shu
    if heat.value <= 0:
        return None
    return f"{number_told(heat.value)} ({number_told(heat.low)} to {number_told(heat.high)}) Scoville units"


def _dose_words(item: Ingredient) -> str | None:
    dose = item.dose_kg_per_kg
    if dose is None:
        return None
    low, high = number_told(dose.low * 1000), number_told(dose.high * 1000)
    return f"{number_told(dose.value * 1000)} ({low} to {high}) g a kilogram of meat"


def _remarks(item: Ingredient) -> list[str]:
    said = (
        (item.burns, "burns early on the heat"),
        (item.lifts_out, "goes in whole and is fished out"),
        (item.stains, "stains"),
    )
    return [words for holds, words in said if holds]


def _enzyme_words(item: Ingredient) -> str | None:
    if item.enzyme is None:
        return None
    enzyme = item.enzyme
    low, high = number_told(enzyme.strength.low), number_told(enzyme.strength.high)
    ended = f"; ended {enzyme.ended_by}" if enzyme.ended_by else ""
    return f"{enzyme.name}, {number_told(enzyme.strength.value)} ({low} to {high}) of fresh pineapple juice{ended}"
