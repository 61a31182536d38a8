"""Words of which cut it is: in one spelling, those that name a cut, and those that change nothing of it."""

from __future__ import annotations

import re
import unicodedata
from collections.abc import Iterable, Mapping
from functools import lru_cache

from rapidfuzz import fuzz, process

from vadouvan.core.cut.kind import CutKind
from vadouvan.unchanging import unchanging

_SAME = {
    "cubed": "cube", "diced": "cube", "dice": "cube", "chunk": "cube", "kebab": "cube", "skewer": "cube",
    "sliced": "slice", "chx": "chicken", "chix": "chicken", "bnls": "boneless", "brst": "breast", "thgh": "thigh",
    "keema": "ground", "kheema": "ground",
    "mince": "ground", "minced": "ground", "butterflied": "butterfly", "spatchcocked": "spatchcock", "filet": "fillet",
    "shrimp": "prawn", "eggplant": "aubergine", "zucchini": "courgette", "sparerib": "spare rib", "calamari": "squid",
    "calamare": "squid", "ox": "beef", "oxen": "beef", "stewing": "stew", "boar": "boar", "rolled": "roll",
    "shelled": "peeled",
    "thinly": "thin", "topside": "topside", "shoulders": "shoulder", "beefsteak": "beef steak", "hogget": "lamb",
    "halves": "half", "racks": "rack", "jumbo": "king", "langoustine": "prawn shell", "deboned": "boneless",
    "drumlet": "drumette", "chopped": "cube", "kid": "goat", "darne": "steak", "capon": "chicken whole",
    "cornfed": "fed", "grassfed": "fed",
}  # fmt: skip
# What changes nothing of which cut it is.
FILLERS = frozenset(
    """
    a an any the of in into on off and for with from at to each about approx approximately around roughly ca circa
    total all its weighing weight large small medium big thick lean fresh raw free range organic trimmed tied
    untrimmed sinew out removed tip split cut drained dry cleaned gutted scaled
    deveined pin boned across grain piece one good nice quality thawed defrosted frozen room temperature
    fat cap excess meat wild farmed young baby tin block brine their head tail left some well prepared even size
    bite sized finger wide long thin way square half halved whole portion frenched french silverskin attached
    pc pcs pce frying roasting broiler fryer serving weigh rose style american centre center sashimi sushi
    barbary muscovy pekin nos abt full very super really line caught sustainable against
    corn grass grain fed milk dry aged hung halal kosher pastured pasture reared outdoor farmhouse heritage prime choice
    party select marbled higher welfare british scottish irish local butcher oven ready cook plump meaty generous
    x ea grade green intact discarded stalk stem roe package pack packet pkg lengthway lengthwise crosswise evenly
    coarsely finely roughly freshly individual separate single rainbow     rindless giblet wishbone english
    """.split()  # noqa: SIM905 - a list of words to read
)
OPTIONAL = frozenset((
    "bonein", "boneless", "joint", "roast", "whole", "half", "piece", "thin", "peeled", "block", "portion", "roll",
    "stir", "fry", "young", "baby", "rack", "slab", "tail", "head", "tip",
))  # fmt: skip
# None of a whole one's.
OF_AN_ANIMAL = frozenset(("joint", "portion", "piece", "half", "halved", "rack", "slab", "slice", "cutup"))
LEAST_GUESSED, SURE = 5, 84.0


def unaccounted(words: frozenset[str], *, is_whole: bool = False) -> set[str]:
    """Words that neither change nothing nor may be left out of a name; of a whole animal, also those of its parts."""
    return {
        word for word in words if (word not in FILLERS and word not in OPTIONAL) or (is_whole and word in OF_AN_ANIMAL)
    }


@lru_cache(maxsize=4096)
def spelt(token: str, known: frozenset[str]) -> str | None:
    """A word as the tables have it, a slip of the hand forgiven; nothing for one that is not known."""
    if token in known or token in FILLERS or token in OPTIONAL or token == "or":
        return token
    if len(token) < LEAST_GUESSED:
        return None
    near = process.extractOne(token, sorted(known), scorer=fuzz.ratio, score_cutoff=SURE)
    return near[0] if near else None


@unchanging
class NameOfCut:
    """One of the names of a cut as the set of its words."""

    kind: CutKind
    words: frozenset[str]
    is_of_a_whole: bool  # animal, of which no part is meant


@unchanging
class NamesOfCuts:
    """Every name of every cut of a table, and every word in them."""

    names: tuple[NameOfCut, ...]
    known: frozenset[str]


class _Last:
    """The table asked for last and its names: it is known by being the same, since a line asks for it many times."""

    known: tuple[Mapping[str, CutKind], NamesOfCuts] | None = None


def names_in(cuts: Mapping[str, CutKind]) -> NamesOfCuts:
    """The names of a table of cuts, worked out once."""
    known = _Last.known
    if known is None or known[0] is not cuts:
        known = _Last.known = cuts, _names_of(cuts.values())
    return known[1]


def _names_of(kinds: Iterable[CutKind]) -> NamesOfCuts:
    names = tuple(
        NameOfCut(kind, frozenset(tokens_of(name)), kind.is_whole_animal) for kind in kinds for name in kind.also_called
    )
    return NamesOfCuts(names, frozenset(word for name in names for word in name.words))


def tokens_of(text: str) -> list[str]:
    """Its words in small letters, in one spelling and in the singular."""
    plain = unicodedata.normalize("NFKD", text).encode("ascii", "ignore").decode().lower().replace("'s", " ")
    found: list[str] = []
    for word in re.findall(r"[a-z]+", plain):
        one = _SAME.get(word) or _SAME.get(_singular(word)) or _singular(word)
        found.extend(one.split())
    return found


def _singular(word: str) -> str:
    if word.endswith("ves") and word not in ("olives",):
        return word[:-3] + "f"
    if word.endswith("s") and not word.endswith(("ss", "us")) and len(word) > 3:
        return word[:-1]
    return word
