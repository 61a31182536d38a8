"""Units of the kitchen and their words: mass in kg, volume in m3, length in m.

Level measures: teaspoon 5 ml, tablespoon 15 ml, cup 240 ml (US nutrition labelling sizes,
which the spoon weights of the pantry rest on). Ounce, pound, fluid ounce and inch are the
exact customary units (``nist44``).
"""

from __future__ import annotations

MASS_KG = {
    "mg": 1e-6, "milligram": 1e-6, "g": 1e-3, "gr": 1e-3, "gm": 1e-3, "grm": 1e-3, "gram": 1e-3, "gramme": 1e-3,
    "kg": 1.0, "kilo": 1.0, "kilogram": 1.0, "oz": 0.028349523125, "ounce": 0.028349523125,
    "lb": 0.45359237, "pound": 0.45359237,
}  # fmt: skip
VOLUME_M3 = {
    "ml": 1e-6, "millilitre": 1e-6, "milliliter": 1e-6, "cc": 1e-6, "cl": 1e-5, "dl": 1e-4, "l": 1e-3,
    "lt": 1e-3, "ltr": 1e-3, "litre": 1e-3, "liter": 1e-3, "tsp": 5e-6, "teaspoon": 5e-6, "tbsp": 15e-6,
    "tb": 15e-6, "tbs": 15e-6, "tablespoon": 15e-6, "dessertspoon": 10e-6, "cup": 240e-6,
    "quart": 946.352946e-6, "qt": 946.352946e-6, "floz": 29.5735295625e-6,
}  # fmt: skip
LENGTH_M = {
    "mm": 1e-3, "millimetre": 1e-3, "millimeter": 1e-3, "cm": 1e-2, "centimetre": 1e-2,
    "centimeter": 1e-2, "in": 0.0254, "inch": 0.0254, '"': 0.0254,
}  # fmt: skip
DURATION_S = {
    "s": 1.0, "sec": 1.0, "second": 1.0, "m": 60.0, "min": 60.0, "minute": 60.0,
    "h": 3600.0, "hr": 3600.0, "hour": 3600.0, "d": 86_400.0, "day": 86_400.0,
}  # fmt: skip
CASED = {"T": "tbsp", "t": "tsp", "Tbsp": "tbsp", "C": "cup", "c": "cup"}


def unit_word(word: str) -> str:
    """A unit word brought to the form of the tables: lower case, singular, no full stop.

    >>> unit_word("Tablespoons"), unit_word("lbs."), unit_word("T"), unit_word("inches")
    ('tablespoon', 'lb', 'tbsp', 'inch')
    """
    word = word.rstrip(".")
    if word in CASED:
        return CASED[word]
    word = word.lower()
    if word.endswith("inches"):
        return "inch"
    if word.endswith("s") and len(word) > 2:
        return word[:-1]
    return word
