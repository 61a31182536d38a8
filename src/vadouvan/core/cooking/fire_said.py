"""How a recipe cooks, as its directions say: "Roast at 200 C for 45 minutes, then 10 minutes under a hot broiler".

Only what is said of the meat, in words that each tell a place and a heat, a time or a core. The words of heat, time and
core stay as they were written: they are read where a cook types them.
"""

from __future__ import annotations

import re
from collections.abc import Iterable, Sequence, Set
from dataclasses import replace

from vadouvan.core.cooking.doneness import HOTTEST_CORE_C
from vadouvan.core.cooking.stages import CookPlace
from vadouvan.core.measures.numbers import leading_number
from vadouvan.core.parsing.headings import words_of
from vadouvan.core.patterns import lazily
from vadouvan.unchanging import unchanging

MOST_STAGES_SAID = 3
HOTTEST_CORE_F = HOTTEST_CORE_C * 1.8 + 32  # a temperature up to it is of the meat, over it of the fire
DEEP_FROM_C, DEEP_FROM_F = 140, 285  # oil as hot as that is deep
_PLACES: tuple[tuple[str, CookPlace], ...] = (
    (r"air[- ]?fry(?:er)?", "oven"),
    (r"deep[- ]fry", "fryer"),
    (r"stir[- ]fry", "wok"),
    (r"(?:pan[- ]?)?(?:fry|sear)|saut[ée]|griddle|pan[- ]roast", "pan"),
    (r"roast|bake", "oven"),
    (r"broil", "broiler"),
    (r"(?:char[- ]?)?grill|barbecue|bbq", "grill"),
    (r"smoke", "smoker"),
    (r"simmer|braise|stew|poach", "pot"),
    (r"steam", "steamer"),
)
_MAY_BE_LOW: frozenset[CookPlace] = frozenset(("oven", "parcel", "pot", "smoker", "steamer"))  # no hotter than a core
# "Cook" says no place: its heat or what it is done on does
_COOK = lazily(r"\b(?:cook|finish)\b(?!-)", re.IGNORECASE)
_ON: tuple[tuple[re.Pattern[str], CookPlace], ...] = (
    (lazily(r"\b(?:grill|barbecue|bbq|coals)\b", re.IGNORECASE), "grill"),
    (lazily(r"\b(?:pan|griddle|skillet)\b", re.IGNORECASE), "pan"),
    (
        lazily(r"\boven\b|\b(?:1[2-9]|2\d)\d ?°? ?C\b|\b[2-5]\d\d ?°? ?F\b|\bgas(?: mark)? ?[1-9]\b", re.IGNORECASE),
        "oven",
    ),
)
_VERB = lazily(
    r"\b(?:" + "|".join(rf"(?P<p{number}>{words})" for number, (words, _) in enumerate(_PLACES)) + r")\b(?!-)",
    re.IGNORECASE,
)
_DEGREES = r"(?:\d{2,3} ?°? ?[CF]\b|\d{3} ?°)"
_UP_TO = r"(?:to|until|reach(?:es)?|hits?|registers?|reads?|core(?: of)?|internal(?: temperature)?(?: of)?)"
_CORE = lazily(
    rf"\b{_UP_TO}\b[^\d.;]{{0,40}}?(?P<core>{_DEGREES})"
    r"|\b(?:for|until|to) (?:a )?(?P<word>medium[- ](?:rare|well)|well[- ]done|rare)\b"
    rf"|(?P<behind>{_DEGREES})(?: internal| core|(?= in the (?:middle|centre|center)))",
    re.IGNORECASE,
)
_HOW_HOT = r"(?:(?:very |medium[- ]|moderately )?(?:high|hot|medium|low|gentle|moderate))"
_HEAT = lazily(
    rf"(?P<degrees>{_DEGREES})|\b(?P<gas>gas(?: mark)? ?[1-9])\b"
    r"|(?:@|\bat|^) ?(?P<bare>\d{3})(?!\d| ?(?:°|[CF]\b|min|h|g\b|ml))"
    rf"|\b(?:over|on|at|under) (?:an? |the )?(?P<words>{_HOW_HOT})\b"
    rf"|\bin (?:an? |the )?(?P<pan>{_HOW_HOT}) (?:griddle |frying )?(?:pan|wok|oven)\b",
    re.IGNORECASE,
)
_HOURS, _MINUTES = r"(?:hours?|hrs?|h)", r"(?:minutes?|mins?|min|seconds?|secs?|sec)"
_FIGURE = r"(?:\d+(?:\.\d+)?[½¼¾]?|[½¼¾])"
_SO_MANY = rf"(?:{_FIGURE}|half an|an?|one|two|three)(?: ?(?:-|–|to) ?{_FIGURE})?"
_TIME = lazily(
    rf"(?P<time>{_SO_MANY} ?(?:{_HOURS}(?: ?(?:and )?\d{{1,2}}(?: ?{_MINUTES}\b|(?![\d°%])))?|{_MINUTES})(?![a-z]))"
    r"(?P<each>,? ?(?:per|a|each|on each|on the first|/) ?side)?"
    r"(?P<by>\.? ?(?:per|for each|an?|/|each) ?(?:lb|pound|kg|kilo|500 ?g))?",
    re.IGNORECASE,
)
_ANOTHER_DEED = lazily(  # what it takes is no time of this one
    r"\b(?:leave|rest|stand|chill|cool|marinate|set aside|serve|pour|brush(?:ing)?|glaz(?:e|ing)|bast(?:e|ing)|reduce"
    r"|toss|(?:in |for )?the (?:last|final)|every)\b",
    re.IGNORECASE,
)
_MORE_TIME = lazily(
    rf"^(?:and |for |about |another |a further |give (?:it|them) |flip |turn ){{0,3}}"
    rf"{_SO_MANY} ?(?:{_HOURS}|{_MINUTES})\b",
    re.IGNORECASE,
)
_PREHEAT = lazily(
    rf"\b(?:pre-?heat|heat)\b[^.;]{{0,40}}\boven\b[^\d.;]{{0,20}}(?P<heat>{_DEGREES}|gas(?: mark)? ?[1-9])",
    re.IGNORECASE,
)
_TURNED_TO = lazily(
    rf"\b(?:turn|reduce|lower|drop|increase|raise|crank)\b[^.;]{{0,40}}?\bto (?P<heat>{_DEGREES}|gas(?: mark)? ?[1-9])",
    re.IGNORECASE,
)
_MADE_HOT = lazily(r"^(?:meanwhile,? )?(?:pre-?heat|heat|light)\b", re.IGNORECASE)
_EVERY = lazily(
    rf",? ?\b(?:turn(?:ing)?|flip(?:ping)?)(?: it| them)? every (?P<time>{_SO_MANY} ?{_MINUTES})\b,?", re.IGNORECASE
)
_WRAPPED = lazily(
    r"\bwrap\w*\b.*\b(?:parchment|foil|paper|lea(?:f|ves))\b|\bin (?:a )?(?:foil |paper )?parcels?\b|\bpapillote\b",
    re.IGNORECASE,
)
_THEN = lazily(
    r"[;.](?=\s|$)|\n|,? (?:and )?then\b|, uncover(?:ed)?,?"
    r"|, (?=(?:and )?(?:roast|bake|grill|sear|fry|broil|simmer|smoke|finish)\b)",
    re.IGNORECASE,
)
_OF_THE_MEAT = frozenset(
    """
    it them the meat fish bird pieces piece skewers kebabs chops steaks ribs wings legs thighs fillets cubes joint each
    side sides skin down up first directly whole over on in at for to about until turning once marinated drained batches
    a an and everything really very hot medium high low until cook cooked all
    """.split()  # noqa: SIM905 - a list of words to read
)
_OF_ANOTHER = frozenset((
    "dressing", "glaze", "gravy", "marinade", "onions", "potatoes", "rice", "sauce", "seeds", "spices", "stock",
    "vegetables", "veg",
))  # fmt: skip
_SO_MUCH = lazily(r"^\s*(?:the )?\d[\d.]* ?(?:k?g|ml|l|tbsp|tsp|cups?|oz|lbs?)\b", re.IGNORECASE)
_OBJECT_ENDS = lazily(
    r"\b(?:in|on|over|at|for|until|to|about|with|under|or|per|turning|covered|uncovered|each)\b|[\d,(½–-]",
    re.IGNORECASE,
)


@unchanging
class StageSaid:
    """One stage on the heat in the words of a recipe; ``turned`` where it is for each side, the time for both."""

    place: CookPlace
    heat: str = ""
    minutes: str = ""
    core: str = ""
    turned: bool = False
    every: str = ""
    said: str = ""


def stages_said(sentences: Iterable[str], meat: str) -> tuple[StageSaid, ...]:
    """The stages that sentences tell of the meat; none where they tell no heat, no time and no core.

    >>> [(one.place, one.heat, one.minutes) for one in stages_said(["Roast at 200C for 45 minutes."], "1 kg leg")]
    [('oven', '200C', '45 minutes')]
    >>> stages_said(["Simmer the sauce for 10 minutes."], "1 kg pork chops")
    ()
    """
    known = _OF_THE_MEAT | words_of(meat) | {word.removesuffix("s") for word in words_of(meat)}
    oven, ready = "", None
    found: list[StageSaid] = []
    for clause in (part.strip() for sentence in sentences for part in _THEN.split(sentence) if part.strip()):
        set_to = _PREHEAT.search(clause) or _TURNED_TO.search(clause)
        oven = set_to["heat"] if set_to is not None else oven
        ready = _on_what(clause) if _MADE_HOT.match(clause) else ready
        told = _place_in(clause, known, ready) or _goes_on(clause, found)
        stage = _stage_of(clause, *told) if told is not None else None
        if stage is not None:
            heat = stage.heat or (oven if stage.place in ("oven", "parcel") else "")
            found.append(replace(stage, heat=heat))
    timed = [one for one in found if one.minutes or one.core]
    kept = timed or found[:1]
    return tuple(kept[:MOST_STAGES_SAID])


def _place_in(clause: str, known: Set[str], ready: CookPlace | None) -> tuple[CookPlace, str] | None:
    """The place that a deed tells, where it is done to the meat, and what is said behind it.

    ``ready`` is what was made hot before: "Heat a griddle pan. Cook the chicken for 6 minutes."
    """
    verb, cooks = _VERB.search(clause), _COOK.search(clause)
    place: CookPlace | None = None
    if cooks is not None and (verb is None or cooks.start() < verb.start()):
        place, done = _on_what(clause) or ready, cooks
    elif verb is not None:
        place, done = next(place for number, (_, place) in enumerate(_PLACES) if verb[f"p{number}"]), verb
    if place is None:
        return None
    before, behind = clause[: done.start()], clause[done.end() :]
    if words_of(before) & _OF_ANOTHER or not _is_of_the_meat(behind, known):
        return None
    return "parcel" if place == "oven" and _WRAPPED.search(clause) else place, behind


def _on_what(clause: str) -> CookPlace | None:
    """The place that the words of a clause name, beside any deed."""
    return next((place for words, place in _ON if words.search(clause)), None)


def _goes_on(clause: str, found: Sequence[StageSaid]) -> tuple[CookPlace, str] | None:
    """The place of the stage before, where a time without a deed goes on: "then 5 minutes over a low heat"."""
    return (found[-1].place, clause) if found and _MORE_TIME.match(clause) is not None else None


def _stage_of(clause: str, place: CookPlace, behind: str) -> StageSaid | None:
    """The stage in what is said behind a deed; none without a heat, a time or a core."""
    every = _EVERY.search(behind)
    behind = _ANOTHER_DEED.split(_EVERY.sub(" ", behind), maxsplit=1)[0]
    core, core_said = _core_in(behind)
    heats = (one for one in _HEAT.finditer(behind) if core is None or not core.start() <= one.start() < core.end())
    hot = (one for one in heats if place in _MAY_BE_LOW or not (one["degrees"] and _is_core(one["degrees"])))
    heat = next((one["degrees"] or one["gas"] or one["bare"] or one["words"] or one["pan"] for one in hot), "")
    time = _TIME.search(behind)
    minutes = "" if time is None or time["by"] else time["time"]
    turned = time is not None and bool(time["each"])
    if not (heat or minutes or core_said):
        return None
    place = "fryer" if place == "pan" and _is_deep(heat) else place
    minutes = _doubled(minutes) if turned else minutes
    return StageSaid(place, heat.strip(), minutes, core_said, turned, "" if every is None else every["time"], clause)


def _core_in(behind: str) -> tuple[re.Match[str] | None, str]:
    """Where a core is told, in degrees or by its word, and how; 165 without a letter can only be of Fahrenheit."""
    core = _CORE.search(behind)
    said = core["core"] or core["behind"] or core["word"] if core is not None else ""
    is_one = bool(said) and (not said[0].isdigit() or _is_core(said) or float(said[:3].rstrip(" °")) <= HOTTEST_CORE_F)
    return (core, said) if is_one else (None, "")


def _is_of_the_meat(behind: str, known: Set[str]) -> bool:
    """Whether what a verb is followed by is the meat, or nothing: not "the sauce", not "the potatoes"."""
    if _SO_MUCH.match(behind):  # "simmer 200 ml coconut milk"
        return False
    end = _OBJECT_ENDS.search(behind)
    return words_of(behind[: end.start() if end else None]) <= known


def _is_core(degrees: str) -> bool:
    number = float(re.match(r"\d+", degrees).group())  # type: ignore[union-attr]
    return number <= (HOTTEST_CORE_F if degrees.strip().lower().endswith("f") else HOTTEST_CORE_C)


def _is_deep(heat: str) -> bool:
    number = re.match(r"\d+", heat)
    return number is not None and float(number.group()) >= (DEEP_FROM_F if heat.lower().endswith("f") else DEEP_FROM_C)


def _doubled(minutes: str) -> str:
    """A time for each side as that for both.

    >>> _doubled("4-5 minutes"), _doubled("3 min")
    ('8-10 minutes', '6 min')
    """
    found = leading_number(minutes)
    if found is None:
        return minutes
    ends: Sequence[float] = sorted({found.number.low * 2, found.number.high * 2})
    return f"{'-'.join(f'{end:g}' for end in ends)} {found.rest}"
