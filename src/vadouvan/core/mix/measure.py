"""Amounts written as a cook measures: grams to what the scale shows, quarter teaspoons, whole pieces.

The text of an amount reads back to the same amount (within the rounding that its measure has).
"""

from __future__ import annotations

from dataclasses import replace
from typing import Literal

from vadouvan.core.measures.numbers import Interval
from vadouvan.core.measures.units import VOLUME_M3
from vadouvan.core.pantry.ingredient import Ingredient
from vadouvan.core.parsing.amount import Portion
from vadouvan.core.parsing.said_units import PIECE_UNITS

Measures = Literal["scale", "kitchen"]
SPOONS = {"tsp", "teaspoon", "tbsp", "tablespoon", "dessertspoon", "tb", "tbs", "cup"}
_QUARTERS = ("", "1/4", "1/2", "3/4")
_QUARTERS_IN_A_TABLESPOON = 12
_FINE_BELOW_KG = 0.010
MOST_QUARTERS = 16 * 12  # sixteen tablespoons: more is measured by the cup or weighed


def weighed_text(ingredient: Ingredient, mass_kg: float) -> str:
    """A line in grams, to the tenth below 100 g.

    The name is the ingredient's first short one, which the pantry finds again.
    """
    return f"{as_weighed_g(mass_kg):.10g} g {ingredient.also_called[0]}"


def weighed_parts(text: str) -> tuple[float, str] | None:
    """Grams and name of a line in grams, as :func:`weighed_text` writes it; none for any other line.

    >>> weighed_parts("12.5 g table salt"), weighed_parts("juice of a lemon")
    ((12.5, 'table salt'), None)
    """
    grams, unit, name = text.strip().partition(" g ")
    try:
        return (float(grams), name) if unit else None
    except ValueError:
        return None


def as_weighed_g(mass_kg: float) -> float:
    """Grams as they are weighed out: whole from 100 g on, tenths below, hundredths of a pinch below half a gram.

    >>> as_weighed_g(0.1234), as_weighed_g(0.01234), as_weighed_g(0.0000312)
    (123.0, 12.3, 0.03)
    """
    grams = mass_kg * 1000
    digits = 0 if grams >= 99.95 else 1 if grams >= 0.5 else 2
    return round(grams, digits)


def step_kg(portion: Portion) -> float:
    """The step in which a cook measures this line [kg]: a quarter teaspoon, a whole piece, a gram or a tenth."""
    if portion.unit in SPOONS:
        return _quarter_teaspoon_kg(portion.ingredient)
    if portion.unit == "each" or portion.unit in PIECE_UNITS:
        return portion.unit_kg
    return 0.0005 if portion.mass_kg.value < _FINE_BELOW_KG else 0.001


def measured(portion: Portion, steps: int) -> Portion:
    """The portion at so many of its steps, with the text that says so; its spread shrinks with it."""
    mass_kg = steps * step_kg(portion)
    was = portion.mass_kg
    factor = mass_kg / was.value if was.value > 0 else 0.0
    spread = Interval(mass_kg, was.low * factor, was.high * factor) if factor else Interval.exactly(mass_kg)
    return replace(portion, mass_kg=spread, text=_text(portion, steps))


def _text(portion: Portion, steps: int) -> str:
    name = portion.ingredient.also_called[0]
    if portion.unit in SPOONS:
        return f"{_spoons(steps)} {'fresh ' if _may_be_dried(portion.ingredient) else ''}{name}"
    if portion.unit == "each":
        return f"{steps} {name}"
    if portion.unit in PIECE_UNITS:
        return f"{steps} {portion.unit}{'s' if steps > 1 and portion.unit != 'leaf' else ''} {name}".replace(
            f"{steps} leaf", f"{steps} leaves" if steps > 1 else "1 leaf"
        )
    return weighed_text(portion.ingredient, steps * step_kg(portion))


def _may_be_dried(ingredient: Ingredient) -> bool:
    """Whether a spoon of it would be read as of the dried one if nothing is said."""
    return ingredient.group == "herb_fresh" and "fresh" not in ingredient.also_called[0]


def in_spoons(ingredient: Ingredient, mass_kg: float) -> str:
    """A weight as level spoons, to the quarter teaspoon; empty for what no spoon measures."""
    quarters = round(mass_kg / _quarter_teaspoon_kg(ingredient))
    if not 1 <= quarters <= MOST_QUARTERS:
        return ""
    if quarters > _QUARTERS_IN_A_TABLESPOON:
        quarters = round(quarters / 6) * 6
    return _spoons(quarters)


def _spoons(quarters: int) -> str:
    """Quarter teaspoons as the largest spoons that say it exactly.

    >>> _spoons(3), _spoons(12), _spoons(18), _spoons(17)
    ('3/4 tsp', '1 tbsp', '1 1/2 tbsp', '4 1/4 tsp')
    """
    if quarters >= _QUARTERS_IN_A_TABLESPOON and quarters % 6 == 0:
        whole, half = divmod(quarters, _QUARTERS_IN_A_TABLESPOON)
        return f"{whole} 1/2 tbsp" if half else f"{whole} tbsp"
    whole, part = divmod(quarters, 4)
    return " ".join(filter(None, (str(whole) if whole else "", _QUARTERS[part]))) + " tsp"


def _quarter_teaspoon_kg(ingredient: Ingredient) -> float:
    return ingredient.spoon_density_kg_per_m3.value * VOLUME_M3["tsp"] / 4
