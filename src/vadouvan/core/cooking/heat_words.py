"""How hot, as cooks say it: "medium", "a low flame", "gas 4", "moderate oven", beside degrees.

Words mean other degrees in a pan than in an oven. All from memory: common practice of kitchens and of oven makers.
"""

from __future__ import annotations

import re

from vadouvan.core.cooking.stages import CookPlace
from vadouvan.core.measures.quantity import degrees
from vadouvan.core.patterns import lazily
from vadouvan.errors import InputError

COOLEST_C, HOTTEST_C = 40.0, 400.0
HOTTEST_OVEN_C = 300.0  # of a home kitchen: a bare number over it is more likely in Fahrenheit, and is asked about
ACCEPTED = 'Write 40 to 400 C, such as "200 C" or "390 F", or "low", "medium", "hot", or "gas 4".'
# Gas marks in C.
GAS_MARK_C = {"1/4": 110, "1/2": 120, "1": 140, "2": 150, "3": 165, "4": 180, "5": 190, "6": 200, "7": 220, "8": 230,
              "9": 240, "¼": 110, "½": 120}  # fmt: skip
# Low, medium low, medium, medium high, high and very high heat of each place [C].
STEPS = ("low", "medium low", "medium", "medium high", "high", "very high")
OVEN_C = (140.0, 160.0, 180.0, 200.0, 220.0, 245.0)
HEAT_C: dict[CookPlace, tuple[float, ...]] = {
    "oven": OVEN_C,
    "parcel": OVEN_C,
    "grill": (150.0, 180.0, 205.0, 230.0, 260.0, 300.0),
    "grill_indirect": (120.0, 140.0, 165.0, 185.0, 205.0, 230.0),
    "broiler": (200.0, 220.0, 240.0, 260.0, 280.0, 300.0),
    "smoker": (95.0, 107.0, 120.0, 135.0, 150.0, 165.0),
    "pan": (120.0, 150.0, 175.0, 200.0, 225.0, 250.0),
    "wok": (140.0, 170.0, 200.0, 225.0, 250.0, 280.0),
    "pot": (85.0, 92.0, 97.0, 99.0, 100.0, 100.0),
    "steamer": (100.0, 100.0, 100.0, 100.0, 100.0, 100.0),
    "fryer": (140.0, 155.0, 170.0, 180.0, 190.0, 200.0),
}  # fmt: skip
SAME = {
    "slow": "low", "gentle": "low", "cool": "low", "warm": "low", "simmer": "low", "lowish": "medium low",
    "moderate": "medium", "moderately hot": "medium high", "fairly hot": "medium high", "hot": "high", "strong": "high",
    "full": "very high", "very hot": "very high", "fierce": "very high", "screaming hot": "very high",
    "max": "very high", "maximum": "very high", "as hot as it gets": "very high", "very low": "low",
    "mediumish": "medium", "smoking hot": "very high", "boil": "high", "rolling boil": "very high",
    "moderately low": "medium low",
}  # fmt: skip
_GAS = lazily(r"^(?:gas(?: mark)?|mark|regulo)\s*(1/4|1/2|¼|½|[1-9])$")
_AROUND = lazily(
    r"\b(?:an?|the|over|on|at|about|around|heat|flame|fire|oven|grill|coals|pan|setting|direct|indirect)\b"
)


_FAN = lazily(r"\(?\b(?:with )?(?:the )?(?:fan|convection)(?:[- ]assisted| oven)?\b\)?", re.IGNORECASE)
_BARE = lazily(r"(\d{3})\s*(?:°|deg(?:rees?)?\.?)?")


def without_fan(text: str) -> tuple[str, bool]:
    """A heat without the word that it is in moving air, "180 fan", and whether that word was there.

    >>> without_fan("fan 180 C"), without_fan("180 C")
    (('180 C', True), ('180 C', False))
    """
    plain = " ".join(_FAN.sub(" ", text).split())
    return (plain, True) if plain and plain != " ".join(text.split()) else (text, False)


def heat_said(text: str, place: CookPlace, *, field: str) -> tuple[float, bool]:
    """A heat as it was typed [C], and whether it was said in words, so that the degrees are ours.

    >>> heat_said("gas 4", "oven", field="h"), heat_said("a low flame", "pan", field="h")
    ((180.0, True), (120.0, True))
    >>> heat_said("390 F", "oven", field="h"), heat_said("medium-high", "grill", field="h")
    ((198.9, False), (230.0, True))
    """
    plain = " ".join(text.lower().replace("-", " ").split()).strip(" .")
    gas = _GAS.match(plain)
    if gas is not None:
        return float(GAS_MARK_C[gas[1]]), True
    words = " ".join(_AROUND.sub(" ", plain).split())
    words = SAME.get(words, words)
    if words in STEPS:
        return HEAT_C[place][STEPS.index(words)], True
    try:
        heat_c = degrees(text, field=field, low=COOLEST_C, high=HOTTEST_OVEN_C * 2, accepted=ACCEPTED)
    except InputError as error:
        raise InputError(field=field, given=text, wrong=error.wrong, accepted=ACCEPTED) from None
    bare = _BARE.fullmatch(text.strip())
    if place in ("oven", "parcel") and bare is not None and float(bare[1]) > HOTTEST_OVEN_C:
        wrong = f'"{text.strip()}" may be {bare[1]} °C or {bare[1]} °F.'
        raise InputError(field=field, given=text, wrong=wrong, accepted=f'Write "{bare[1]} F" or "{bare[1]} C".')
    if heat_c > HOTTEST_C:
        wrong = f'"{text.strip()}" is outside what can be used here.'
        raise InputError(field=field, given=text, wrong=wrong, accepted=ACCEPTED)
    return heat_c, False
