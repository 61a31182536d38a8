"""Units as cooks say them: spoons and weights in any spelling, vague measures, pieces."""

from __future__ import annotations

import re

from rapidfuzz import fuzz, process

from vadouvan.core.measures.numbers import Interval
from vadouvan.core.measures.units import LENGTH_M, MASS_KG, VOLUME_M3, unit_word

# Vague measures of volume [m3]: typical, low, high (common practice, no source).
VAGUE_M3 = {
    "pinch": Interval(0.31e-6, 0.2e-6, 0.6e-6), "dash": Interval(0.6e-6, 0.3e-6, 1.2e-6),
    "drop": Interval(0.05e-6, 0.03e-6, 0.08e-6), "splash": Interval(10e-6, 5e-6, 20e-6),
    "pint": Interval(520e-6, 473e-6, 568e-6), "drizzle": Interval(10e-6, 5e-6, 18e-6),
    "glug": Interval(20e-6, 12e-6, 35e-6), "dollop": Interval(22e-6, 14e-6, 40e-6),
    "gallon": Interval(3.785e-3, 3.75e-3, 4.546e-3),  # American, or imperial at most
    "grind": Interval(0.1e-6, 0.05e-6, 0.2e-6),
    "glass": Interval(150e-6, 110e-6, 200e-6), "shot": Interval(30e-6, 22e-6, 45e-6),
    "mug": Interval(300e-6, 240e-6, 360e-6), "ladle": Interval(100e-6, 60e-6, 150e-6),
    "teacup": Interval(180e-6, 140e-6, 240e-6), "pat": Interval(5.5e-6, 4e-6, 9e-6),
    "capful": Interval(6e-6, 4e-6, 10e-6), "spoon": Interval(10e-6, 5e-6, 18e-6),  # which spoon is not said
}  # fmt: skip
# Measures that only make sense for an ingredient that has a weight for them.
PIECE_UNITS = {
    "clove", "head", "leaf", "sprig", "bunch", "stick", "stalk", "slice", "ring", "cube", "quarter",
    "pod", "star", "knob", "handful", "juice", "zest", "bottle", "can", "glass", "shot", "dollop",
    "strip", "tube", "jar", "sachet", "packet", "tub", "carton", "envelope",
}  # fmt: skip
PARTS_OF = frozenset(
    {"slice", "ring", "quarter", "cube", "dollop", "bottle", "can", "glass", "shot", "handful", "strip", "knob"}
)  # a piece of it is no whole one
SPOONS = frozenset(("tsp", "teaspoon", "tbsp", "tablespoon"))
NAMES_TOO = ("clove", "star")  # measures that are also ingredients: cloves, star anise
_ALSO_SAID = {
    "leaves": "leaf",
    "bunches": "bunch",
    "dashes": "dash",
    "halves": "each",
    "bulb": "head",
    "bulbs": "head",
    "twig": "sprig",
    "twigs": "sprig",
    "splashes": "splash",
    "pinches": "pinch",
    "pieces": "each",
    "piece": "each", "pc": "each", "pcs": "each", "pce": "each",
    "no": "each", "nos": "each",
    "lump": "each", "lumps": "each", "nugget": "each", "nuggets": "each",
    "shake": "dash", "shakes": "dash", "sprinkle": "pinch", "sprinkling": "pinch", "dusting": "pinch", "nip": "shot",
    "spoonful": "spoon", "spoonfuls": "spoon", "spoons": "spoon", "capfuls": "capful", "mugs": "mug", "ladles": "ladle",
    "ladleful": "ladle", "mugful": "mug", "cupful": "cup", "cupfuls": "cup",
    "smidgen": "dash", "smidge": "dash", "smidgens": "dash", "fistful": "handful", "fistfuls": "handful",
    "handfuls": "handful", "squirt": "splash", "squeeze": "splash", "touch": "dash", "gloves": "clove",
    "glove": "clove", "tins": "can", "tin": "can", "cans": "can", "bottles": "bottle", "strips": "strip",
    "glasses": "glass", "glass": "glass", "shots": "shot", "tot": "shot", "dollops": "dollop", "blob": "dollop",
    "teaspoonful": "tsp", "teaspoonfuls": "tsp", "tablespoonful": "tbsp", "tablespoonfuls": "tbsp", "tspn": "tsp",
    "teaspon": "tsp", "tbls": "tbsp", "tbl": "tbsp", "tblsp": "tbsp", "tblspn": "tbsp",
    "tbspn": "tbsp", "dsp": "dessertspoon", "strands": "each",
    "stems": "sprig", "stem": "sprig", "fronds": "sprig", "slosh": "glug", "lug": "glug", "slug": "glug",
    "gallons": "gallon",
    "gal": "gallon", "gals": "gallon", "pt": "pint", "pts": "pint", "thread": "each", "threads": "each",
    "grinds": "grind", "twist": "grind", "twists": "grind", "turn": "grind", "turns": "grind", "crack": "grind",
    "cracks": "grind", "sheet": "each", "sheets": "each",
    "fillet": "each", "fillets": "each", "thumb": "knob", "thumbs": "knob",
    "tubes": "tube", "jars": "jar", "sachets": "sachet", "packets": "packet", "packs": "packet", "pack": "packet",
    "tubs": "tub", "pot": "tub", "pots": "tub", "cartons": "carton", "envelopes": "envelope", "rashers": "slice",
    "rasher": "slice", "pats": "pat", "teacups": "teacup", "teacupful": "teacup",
    "filament": "each", "filaments": "each", "strand": "each", "grating": "pinch", "gratings": "pinch",
}  # fmt: skip
LEAST_MISSPELT, MISSPELT = 7, 85.0  # letters of a word, and its likeness to the spoon that is meant


def unit_said(word: str) -> str | None:
    """The unit that a word means, in one spelling; nothing if it is none."""
    if re.match(r"^fl", word, re.IGNORECASE) and "oz" in word.lower():
        return "floz"
    bare = word.lower().rstrip(".")
    if bare in _ALSO_SAID:
        return _ALSO_SAID[bare]
    name = unit_word(word)
    if len(name) >= LEAST_MISSPELT:  # "teaspon", "tablspoon"
        spelt = process.extractOne(name, ("teaspoon", "tablespoon"), scorer=fuzz.ratio, score_cutoff=MISSPELT)
        name = spelt[0] if spelt else name
    known = name in MASS_KG or name in VOLUME_M3 or name in LENGTH_M or name in VAGUE_M3 or name in PIECE_UNITS
    return name if known else None
