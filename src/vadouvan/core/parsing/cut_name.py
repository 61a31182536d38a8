"""A cut in the words of a shopping list: "1.2 kg lamb shoulder, cubed", or as our own recipes write it."""

from __future__ import annotations

import re
from collections.abc import Mapping
from dataclasses import dataclass

from vadouvan.core.cut.kind import CutKind
from vadouvan.core.measures.quantity import MASS, quantity
from vadouvan.errors import InputError

_LINE = re.compile(
    r"^\s*(?P<mass>\d[\d.,/½¼¾⅓⅔ ]*\s*(?:kilograms?|kilos?|kg|grams?|g|pounds?|lbs?|ounces?|oz)\b\.?"
    r"(?:\s+\d+\s*oz\b)?)\s+(?:of\s+)?(?P<rest>\S.*)$",
    re.IGNORECASE | re.DOTALL,
)
_THICK = re.compile(r"^(?P<name>.*), (?P<thickness>[^,]{1,40}) thick$", re.DOTALL)
_SIZED = re.compile(
    r"(?P<thickness>[\d½¼¾⅓⅔][\d½¼¾⅓⅔/., ]*\s*-?\s*(?:cm|mm|inch(?:es)?|in))\b\s*-?\s*(?:thick\s+)?"
    r"(?:cubes?|chunks?|dice|pieces?|slices?|strips?|steaks?|thick)?",
    re.IGNORECASE,
)
_WORD = re.compile(r"[^\W\d_]+")
# Words that name a part of the animal, and ways of cutting it that make another cut of it (as :func:`_words` has them)
_PARTS = frozenset((
    "shin", "shank", "rib", "rack", "shoulder", "leg", "loin", "belly", "breast", "thigh", "drumstick", "wing", "neck",
    "jowl", "cheek", "tail", "rump", "flank", "brisket", "chuck", "topside", "silverside", "fillet", "tenderloin",
    "chop", "cutlet", "steak", "knuckle", "hock", "trotter", "saddle", "collar", "butt", "skirt", "oxtail", "heart",
    "liver", "kidney", "tongue", "ground", "cube", "strip", "slice",
))  # fmt: skip
_WAYS = frozenset(("butterfly", "cube", "strip", "slice", "ground", "whole", "half", "chop"))
_SAME = {
    "cubed": "cube", "diced": "cube", "dice": "cube", "chunk": "cube", "sliced": "slice", "mince": "ground",
    "minced": "ground", "butterflied": "butterfly", "spatchcocked": "butterfly", "escalope": "cutlet",
}  # fmt: skip
_SAYS_LITTLE = frozenset(("bone", "in", "on", "the", "skin", "less", "boneless", "skinless", "piece", "cut", "with"))
LEAST_KG = 0.1  # less of it is seasoning


@dataclass(frozen=True)
class CutNamed:
    """The id of a cut, its weight and its thickness as they were written."""

    kind: str
    mass: str
    thickness: str = ""


def line_of(mass: str, kind: CutKind, thickness: str) -> str:
    """A cut as a line of a recipe, which :func:`cut_named` reads back."""
    thick = f", {thickness.strip()} thick" if thickness.strip() and "," not in thickness else ""
    return f"{mass.strip()} {kind.name}{thick}".strip()


def cut_named(text: str, cuts: Mapping[str, CutKind]) -> CutNamed | None:
    """The cut that a line names with its weight: by its whole name, or by its animal and a word of its cut."""
    line = _LINE.match(text)
    if line is None:
        return None
    mass, rest = line["mass"].strip(), line["rest"].strip()
    try:
        if quantity(mass, MASS, field="cut.mass_g") < LEAST_KG:
            return None
    except InputError:
        return None
    thick = _THICK.match(rest)
    name, thickness = (thick["name"], thick["thickness"].strip()) if thick else (rest, "")
    sized = _SIZED.search(rest)
    if not thickness and sized is not None:
        thickness = sized["thickness"].strip()
    whole = next((kind for kind in cuts.values() if kind.name == name), None)
    if whole is not None:
        return CutNamed(whole.id, mass, thickness)
    found = _nearest(name, cuts)
    return CutNamed(found, mass, thickness) if found else None


def _nearest(name: str, cuts: Mapping[str, CutKind]) -> str | None:
    """The cut with most of its words in the text; the animal and one word more have to be there.

    A word of another cut in the text ("shin", "rib"), a way of cutting that was not said ("butterflied"), or another
    animal makes it none: it is asked, never guessed.
    """
    words = _words(name)
    best, best_score = None, (0, 0.0)
    for kind in cuts.values():
        animal = _words(kind.species)
        own = _words(kind.cut) - animal
        shared = len((own & words) - _SAYS_LITTLE)
        score = (shared, shared / len(own) if own else 0.0)
        boned = "bone" in words and "boneless" not in words and kind.bone == "none"
        others = {other.species for other in cuts.values() if _words(other.species) <= words} - {kind.species}
        foreign = (words & _PARTS) - own
        unsaid = (own & _WAYS) - words if kind.is_animal else frozenset()
        if (
            animal <= words
            and shared
            and not foreign
            and not unsaid
            and not others
            and not boned
            and score > best_score
        ):
            best, best_score = kind.id, score
    return best


def _words(text: str) -> set[str]:
    """Its words in small letters, without the s of a plural."""
    found = (word.removesuffix("s") for word in _WORD.findall(text.lower()))
    return {_SAME.get(word, word) for word in found} - {"or", "of", "and"}
