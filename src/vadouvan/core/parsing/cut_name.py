"""A cut in the words of a shopping list: "1.2 kg lamb shoulder, cubed", "4 chicken breasts, about 800 g", or as our own
recipes write it.

First the figures are taken out (weight, count, size of a piece), then every word that is left has to be accounted for:
part of the name of one cut, or a word that changes nothing. What is not, or may be two cuts, is no cut: it is asked.
"""

from __future__ import annotations

import math
import re
import unicodedata
from collections.abc import Mapping, Sequence
from dataclasses import dataclass, replace
from functools import lru_cache
from typing import Literal

from rapidfuzz import fuzz, process

from vadouvan.core.cut.cover import Cover
from vadouvan.core.cut.kind import CutKind
from vadouvan.core.cut.shape import Bone
from vadouvan.core.measures.numbers import leading_number
from vadouvan.core.measures.quantity import MASS, SIDE, quantity
from vadouvan.core.measures.units import VOLUME_M3
from vadouvan.errors import InputError

_THICK = re.compile(r"^(?P<name>.*), (?P<thickness>[^,]{1,40}) thick$", re.DOTALL)
_NUMBER = r"(?:\d+\s+\d+/\d+|\d+/\d+|\d+(?:[.,]\d+)?\s*[½¼¾⅓⅔]?|[½¼¾⅓⅔])"
_WEIGHT = re.compile(
    rf"(?P<low>{_NUMBER})(?:\s*(?:-\s*to|-|–|to)\s*(?P<high>{_NUMBER}))?\s*-?\s*"
    r"(?P<unit>kilograms?|kilos?|kgs?|grams?|gr|g|pounds?|lbs?|ounces?|oz)\b\.?"
    rf"(?:\s*(?P<more>{_NUMBER})\s*(?:ounces?|oz)\b\.?)?(?P<each>\s*(?:each|apiece|a piece))?",
    re.IGNORECASE,
)
# "4 6-oz fillets", "2 (1-pound) loins", "two 1 1/2-pound racks": so many of so much each.
_UNIT = r"(?:kilograms?|kilos?|kgs?|grams?|gr|g|pounds?|lbs?|ounces?|oz)\b"
_COUNTED_EACH = re.compile(
    r"(?<![\w.,/½¼¾⅓⅔-])(?<!\d )(?P<count>\d{1,3})\s+"
    r"(?:(?P<open>\()\s*(?:about|approx\w*\.?|around)?\s*|(?!\d+/|[½¼¾⅓⅔]))"
    rf"(?={_NUMBER}(?:\s*(?:-|–|to)\s*{_NUMBER})?-?\s*-?\s*{_UNIT}\.?"
    r"(?![^()]*\b(?:total|in all|altogether)\b)[^()]*\)?\s*[a-z])",
    re.IGNORECASE,
)
_TIMES = re.compile(r"(?<![\w.,/])(\d{1,3})\s*[x×]\s*(?=\d[\d.,]*\s*(?:kg|g|lb|oz|pound|ounce)s?\b)", re.IGNORECASE)
_IN_OTHER_UNITS = re.compile(
    r"(?<=[a-z])\s*/\s*\d[\d.,/ ½¼¾⅓⅔]*\s*(?:kg|g|lbs?|oz|pounds?|ounces?)\b\.?"
    r"(?:\s*\d[\d.,½¼¾]*\s*(?:oz|ounces?)\b\.?)?",
    re.IGNORECASE,
)
_SIZE = re.compile(rf'(?P<size>{_NUMBER}\s*-?\s*(?:cm|mm|inch(?:es)?|in\b|"))', re.IGNORECASE)
_OR = re.compile(
    r"(?P<one>\b(?!(?:grams?|pounds?|ounces?|kilos?)\b)[a-z]{3,}(?: [a-z]+)?) or (?P<other>[a-z]+(?: [a-z]+)?)\b",
    re.IGNORECASE,
)
_INTO_SO_MANY = re.compile(
    r"\b(?:cut|chopped|hacked|divided|jointed|separated) (?:in|into) (?:about )?(\d{1,2})"
    r"(?: (?:(?!cm|mm|in\b|inch)\w+ )?(?:pieces|portions|parts|joints)\b|(?=$|[,;)]|\.(?!\d)))",
    re.IGNORECASE,
)
_IN_ALL = re.compile(r"\b(?:total|in all|altogether|combined)\b", re.IGNORECASE)
_NO_SKIN = re.compile(r"\b(?:skin|rind)(?:less|ned|[- ]off| (?:\w+ )?removed)\b|\b(?:without|no) skin\b", re.IGNORECASE)
_HAS_SKIN = re.compile(r"\bskin[- ]on\b|\bwith (?:the )?skin\b", re.IGNORECASE)
_NO_MEMBRANE = re.compile(r"\bmembranes? (?:off|removed)\b|\bremove (?:the )?membrane\b", re.IGNORECASE)
_REMARK = re.compile(r"\([^()]*\)")
_COUNT = re.compile(r"(?<![\w.,/])(\d{1,3})(?![\w/%]|[.,]\d)")
_TOLD_AGAIN = re.compile(rf"\(\s*(?:about|approx\.?|ca\.?|around|~)?\s*{_NUMBER}\s*{_UNIT}\.?\s*\)", re.IGNORECASE)
_SERVES = re.compile(r"\(?\b(?:serves|feeds|for)\s+\d+(?:\s*(?:-|–|to)\s*\d+)?(?:\s+people)?\s*(?:\)|$)", re.IGNORECASE)
_SHORT = {"k": "kg", "g": "g", "p": "lb", "l": "lb", "o": "oz"}
_KG = {"k": 1.0, "g": 1e-3, "p": 0.45359237, "l": 0.45359237, "o": 0.0283495}
_SPOKEN = (
    (r"\btwo and a half\b", "2.5"), (r"\bone and a half\b", "1.5"),
    (r"\bhalf an?(?=\s+(?:kilo|kg|pound|lb|dozen)s?\b)", "0.5"),
    (r"\ba quarter of an?\b", "0.25"),
    (r"\ban?\s+(?=(?:kilo|kg|pound|lb)s?\b)", "1 "), (r"\bone\b", "1"), (r"\btwo\b", "2"), (r"\bthree\b", "3"),
    (r"\bfour\b", "4"), (r"\bsix\b", "6"), (r"\beight\b", "8"), (r"\ba dozen\b", "12"), (r"\btwelve\b", "12"),
)  # fmt: skip
_BONE = (
    (r"\b(?:bone[- ]?less|boned|bones? (?:out|removed)|off the bone|without bones?|no bones?)\b", " boneless "),
    (r"\b(?:bone[- ]in|on the bone|with (?:the )?bones?|bones? in)\b", " bonein "),
    (r"\b(?:in (?:their|the|its) shells?|shells? on|shell-on|unpeeled)\b", " shell "), (r"\bshelled\b", " peeled "),
    (r"\bcross[- ]cut\b", " crosscut "), (r"\bstir[- ]fr(?:y|ied)\b", " stir fry "),
    (r"\bextra[- ]firm\b", " extra firm "),
    (r"\bskin(?:less|ned|[- ]on|[- ]off| scored| removed)?\b", " "), (r"\bwithout\b", " "),
    (r"\broe (?:on|off)\b|\b(?:no|without) roe\b", " "),
    (r"\b(prawns?|shrimps?)\b(.*?)\bheads?[- ]on\b", r" \1 shell \2"), (r"\btri-tip\b", " tri tip "),
    (r"\bt-?\s?bone\b", " strip bonein "), (r"\brind (?:off|removed)\b", " "),
    (r"\b(?:tomahawk|cowboy|c[ôo]te de b(?:oe|œ)uf)\b", " ribeye bonein "),
    (r"\(\s*\d+\s*[-–/]\s*\d+\s*(?:count|per (?:lb|pound|kg|kilo))\s*\)", " "),
    (r"\bcurry cut\b", " bonein piece "), (r"\bmembranes? (?:off|removed)\b", " "),
    (r"\b(?:cut\s+)?(?:in|into)(?:\s+(?:small|even|large))*\s+bite[- ]?sized?\s+(?:pieces|bits)\b", " cube "),
    (r"\bcut up\b|\bquartered\b", " cutup "),
    (r"\bbones? (?:cleaned|scraped|trimmed|frenched)(?: clean)?\b", " "),
    (r"\b\d+\s*bones?\b", " "), (r"\(\s*\d+\s*(?:ribs?|bones?)(?: each)?\s*\)", " "),
)  # fmt: skip
_SAME = {
    "cubed": "cube", "diced": "cube", "dice": "cube", "chunk": "cube", "kebab": "cube", "skewer": "cube",
    "sliced": "slice",
    "mince": "ground", "minced": "ground", "butterflied": "butterfly", "spatchcocked": "spatchcock", "filet": "fillet",
    "shrimp": "prawn", "eggplant": "aubergine", "zucchini": "courgette", "sparerib": "spare rib", "calamari": "squid",
    "calamare": "squid", "ox": "beef", "oxen": "beef", "stewing": "stew", "boar": "boar", "rolled": "roll",
    "shelled": "peeled",
    "thinly": "thin", "topside": "topside", "shoulders": "shoulder", "beefsteak": "beef steak", "hogget": "lamb",
    "halves": "half", "racks": "rack", "jumbo": "king", "langoustine": "prawn shell", "deboned": "boneless",
    "drumlet": "drumette", "chopped": "cube", "kid": "goat", "darne": "steak", "capon": "chicken whole",
    "cornfed": "fed", "grassfed": "fed",
}  # fmt: skip
_FLATTENED = re.compile(r"\b(?:flattened|pounded|bashed|beaten)(?: out)?\b", re.IGNORECASE)  # to a told thickness
_IN_JOINTS = re.compile(
    r"\b(?:cut|chopped|hacked|divided|separated) (?:in|into)(?:\s+(?:\d+|serving|even|equal|small|large))*\s+"
    r"(?:pieces|portions|parts|joints)\b",
    re.IGNORECASE,
)
# What changes nothing of which cut it is.
_FILLERS = frozenset(
    """
    a an the of in into on off and for with from at to each about approx approximately around roughly ca circa
    total all its weighing weight large small medium big thick lean fresh raw free range organic trimmed tied
    untrimmed sinew out removed tip split cut drained pressed patted dry washed rinsed cleaned gutted scaled
    deveined pin boned across grain piece one good nice quality thawed defrosted frozen room temperature scored
    fat cap excess meat wild farmed young baby tin block brine their head tail left some well prepared even size
    bite sized finger wide long thin way square half halved whole portion frenched french silverskin attached
    pc pcs pce frying roasting broiler fryer serving weigh rose style american centre center sashimi sushi
    barbary muscovy pekin very super really line caught sustainable against
    corn grass grain fed milk dry aged hung halal kosher pastured pasture reared outdoor farmhouse heritage prime choice
    select marbled higher welfare british scottish irish local butcher oven ready cook plump meaty generous
    x grade green intact discarded stalk stem roe package pack packet pkg lengthway lengthwise crosswise evenly rindless
    """.split()  # noqa: SIM905 - a list of words to read
)
_OPTIONAL = frozenset((
    "bonein", "boneless", "joint", "roast", "whole", "half", "piece", "thin", "peeled", "block", "portion", "roll",
    "stir", "fry", "young", "baby", "rack", "slab", "tail", "head", "tip",
))  # fmt: skip
_INTO = r"(?:,?\s*(?:thinly |thickly )?(?:cut|sliced)?\s*(?:up\s+)?(?:in|into)?\s*(?:thin|thick|long|even|wide)?\s*)"
_CUT_INTO = (
    (re.compile(rf"{_INTO}\b(?:strips?|batons?|ribbons?)\b", re.IGNORECASE), "strip"),
    (
        re.compile(
            rf"{_INTO}\b(?:medallions?|slices?|sliced|slabs?|steaks?|escalopes?|rounds?|discs?|planks?)\b",
            re.IGNORECASE,
        ),
        "slab",
    ),
    (re.compile(rf"{_INTO}\b(?:cubes?|chunks?|dice|diced|cubed|cutup)\b", re.IGNORECASE), "cube"),
)
_PIECES = re.compile(r"\bpieces\b", re.IGNORECASE)
JOINT_KG = 0.8  # a whole piece of so much is a joint
LEAST_KG, MOST_KG = 0.1, 30.0  # less of it is seasoning, more is no kitchen's
CUBED_UP_TO_M = 0.045  # a cut no thicker than this is cubed about as thick as it is, where nothing is told
EACH_UP_TO, TOO_LITTLE, TOO_MUCH = 2.0, 0.4, 3.0  # of a usual piece: a weight that is one of several, not all of them
LEAST_GUESSED, SURE = 5, 84.0
LONGEST_LINE, MOST_MEANT = 200, 8


@dataclass(frozen=True)
class CutNamed:
    """The id of a cut; weight, thickness, count and shape as they were written, or worked out from what was."""

    kind: str
    mass: str
    thickness: str = ""
    pieces: str = ""
    shape: str = ""
    side: str = ""  # length and width of pieces that are no thicker than the whole cut
    bone: Bone | Literal[""] = ""
    cover: Cover | Literal[""] = ""


def line_of(mass: str, kind: CutKind, thickness: str) -> str:
    """A cut as a line of a recipe, which :func:`cut_named` reads back."""
    thick = f", {thickness.strip()} thick" if thickness.strip() and "," not in thickness else ""
    return f"{mass.strip()} {kind.name}{thick}".strip()


def cut_named(text: str, cuts: Mapping[str, CutKind]) -> CutNamed | None:
    """The cut that a line names with its weight or its count; nothing if it names none, or may mean several."""
    as_written = _as_our_recipes_write(text, cuts) if _may_be_meat(text) else None
    if as_written is not None:
        return as_written
    figures = _figures(text)
    if figures is None:
        return None
    named = _named(figures, cuts) or _named(_without_remarks(figures, cuts), cuts)
    if named is None:
        either = {one for one in (cut_named(way, cuts) for way in _either_way(text)) if one is not None}
        return either.pop() if len(either) == 1 else None
    return named if not figures.is_into else _in_pieces(named, cuts[named.kind])


def _without_remarks(figures: _Figures, cuts: Mapping[str, CutKind]) -> _Figures:
    """The same without brackets that tell again what was said, in known words: "(2 x 250 g)", "(osso buco)"."""
    known = _vocabulary(tuple(kind.also_called for kind in cuts.values()))
    words = figures.words
    for remark in _REMARK.findall(words):
        if all(_spelt(token, known) is not None for token in _tokens(_WEIGHT.sub(" ", remark))):
            words = words.replace(remark, " ")
    return replace(figures, words=words)


def _either_way(text: str) -> list[str]:
    """The same line with the one, and with the other, of two that it names with "or".

    >>> _either_way("1 kg flank steak or skirt steak")
    ['1 kg flank steak', '1 kg skirt steak']
    """
    plain = re.sub(r"[()]", ", ", text) if len(text) <= LONGEST_LINE else ""
    found = _OR.search(plain)
    if (
        found is None or len(re.findall(r"\bor\b", plain, re.IGNORECASE)) > 1
    ):  # of more, the ways would double each time
        return []
    before, after = plain[: found.start()], plain[found.end() :]
    return [f"{before}{name}{after}".strip() for name in (found["one"], found["other"])]


def _named(figures: _Figures, cuts: Mapping[str, CutKind]) -> CutNamed | None:
    """The cut that these words name, whole or cut up at home."""
    ways = (figures.words, *(figures.words.replace(" cutup ", f" {way} ") for way in ("cube", "piece")))
    kind = next((kind for way in ways if (kind := _meant(way, cuts, figures.each_kg)) is not None), None)
    if kind is not None and cuts[kind].mass_kg >= JOINT_KG:  # "lamb shoulder pieces" are no shoulder
        in_pieces = _PIECES.sub(" cube ", figures.words)
        kind = _meant(in_pieces, cuts) or kind if in_pieces != figures.words else kind
    return figures.of(cuts[kind]) if kind is not None else _cut_up(figures, cuts)


def _in_pieces(named: CutNamed, kind: CutKind) -> CutNamed:
    """A cut in pieces of a told edge: cubes, or flat pieces of a cut that is thinner than their edge."""
    if kind.shape == "cube" or named.shape or not named.thickness:
        return named
    try:
        edge_m = quantity(named.thickness, SIDE, field="cut.width_mm")
    except InputError:
        return named
    if edge_m <= kind.thickness_high_m:
        return replace(named, shape="cube", pieces="")
    return replace(named, thickness="", side=named.thickness, pieces="")


def _cut_up(figures: _Figures, cuts: Mapping[str, CutKind]) -> CutNamed | None:
    """A cut that was cut up at home, where no name of the table holds that: strips, or slices of a told thickness."""
    for word, shape in _CUT_INTO:
        found = word.search(figures.words)
        kind = _meant(word.sub(" ", figures.words), cuts) if found is not None else None
        if kind is None or not (figures.size or _is_usual(shape, figures.words, cuts[kind])):
            continue
        named = figures.of(cuts[kind])
        if named is not None:
            if shape == "cube":
                return _in_pieces(named, cuts[kind]) if named.thickness else replace(named, shape="cube", pieces="")
            return replace(named, shape=shape if shape != cuts[kind].shape else "")
    return None


def cuts_meant(text: str, cuts: Mapping[str, CutKind]) -> tuple[CutNamed, ...]:
    """The few cuts that a line may mean, which names too little to tell them apart: "3 lb ribs", "4 chops"."""
    figures = _figures(text)
    if figures is None or cut_named(text, cuts) is not None:
        return ()
    either = dict.fromkeys(one for one in (cut_named(way, cuts) for way in _either_way(text)) if one is not None)
    if either:
        return tuple(either)
    known = _vocabulary(tuple(kind.also_called for kind in cuts.values()))
    words = {_spelt(token, known) for token in _tokens(figures.words)}
    said = frozenset(word for word in words if word is not None and word not in _FILLERS and word not in _OPTIONAL)
    if None in words or "or" in words or not said:
        return ()
    fit = [kind for kind in cuts.values() if _bone_fits(kind, words)]
    found = [kind for kind in fit if any(_ends_in(name, said) for name in kind.also_called)]
    if len(found) < 2 and len(said) == 1:  # a species, with no word of which part
        found = [kind for kind in fit if any(said <= frozenset(_tokens(name)) for name in kind.also_called)]
    named = [one for one in map(figures.of, found) if one is not None]
    return tuple(named) if 1 < len(named) <= MOST_MEANT else ()


def cuts_near(text: str, cuts: Mapping[str, CutKind]) -> tuple[CutNamed, ...]:
    """Cuts whose whole name is in a line beside words that are not understood: to be asked, never taken.

    >>> from vadouvan.data.tables import shipped_kitchen
    >>> [one.kind for one in cuts_near("500 g salmon belly", shipped_kitchen().cuts)]
    ['salmon_fillet']
    """
    figures = _figures(text)
    tokens = _tokens(figures.words) if figures is not None else []
    if figures is None or (figures.weight is None and any(token in VOLUME_M3 for token in tokens)):
        return ()
    known = _vocabulary(tuple(kind.also_called for kind in cuts.values()))
    said = {_spelt(token, known) for token in tokens}
    held: dict[str, int] = {}
    for kind in cuts.values():
        least = 2 if kind.mass_kg >= JOINT_KG and None in said else 1  # "chicken livers" are no whole chicken
        needs = [len(name) for name in _names(kind.also_called) if name <= said and len(name) >= least]
        if needs and kind.is_animal and said & set(_tokens(kind.species)) and _bone_fits(kind, said):
            held[kind.id] = max(needs)
    found = [figures.of(cuts[kind]) for kind, count in held.items() if count == max(held.values())]
    named = tuple(one for one in found if one is not None)
    return named if len(named) <= MOST_MEANT else ()


def _bone_fits(kind: CutKind, words: set[str | None]) -> bool:
    """Whether a cut may be what is told to be with a bone, or without."""
    return not ("boneless" in words and kind.bone != "none") and not ("bonein" in words and kind.bone == "none")


def _ends_in(name: str, said: frozenset[str]) -> bool:
    """Whether a name holds all that was said, its last word too: ribs are short ribs, no rib chops."""
    words = _tokens(name)
    last = next((word for word in reversed(words) if word not in ("bonein", "boneless")), "")
    return said <= frozenset(words) and last in said


def _is_usual(shape: str, words: str, kind: CutKind) -> bool:
    """Whether pieces of a size that is not told are as thick as the table has this cut, or as strips are."""
    if shape == "cube":
        return kind.thickness_m <= CUBED_UP_TO_M and kind.bone == "none"
    as_a_slab = shape == kind.shape == "slab" and re.search(r"\bthin", words, re.IGNORECASE) is None
    return shape == "strip" or as_a_slab


@dataclass(frozen=True)
class _Figures:
    """A line's weight, count and size of a piece, and the words that are left."""

    words: str
    weight: _Weight | None
    count: int | None
    size: str
    is_each: bool
    is_counted_each: bool
    is_into: bool
    is_in_all: bool
    is_in_joints: bool
    joints: int
    skin: Literal["", "on", "off"]
    has_no_membrane: bool

    def of(self, kind: CutKind) -> CutNamed | None:
        """So much of a cut; nothing if no kitchen has so little or so much of it."""
        weight, count = self.weight, self.count
        if weight is None and count is None and not kind.is_animal:  # "2 cm ginger" is no cut, "chops 2 cm" are
            return None
        each = weight is not None and (
            weight.is_each
            or self.is_each
            or (self.is_counted_each and weight.grams / 1000 <= TOO_MUCH * kind.mass_kg)
            or self._is_one_of_several(kind)
        )
        times = count or 1 if each else 1
        grams = None if weight is None else weight.grams * times
        if grams is not None and not LEAST_KG <= grams / 1000 <= MOST_KG:
            return None
        mass = "" if weight is None else weight.told(times)
        is_loose = count == 1 and kind.id.endswith(("_cubes", "_florets"))
        pieces = "" if count is None or is_loose else str(count * self.joints)
        if kind.id.endswith("_jointed") and " cutup " in self.words and self.joints == 1 and not self.is_in_joints:
            pieces = ""  # the birds are counted, not their joints
        return CutNamed(kind.id, mass, self.size, pieces, bone=self._bone(kind), cover=self._cover(kind))

    @property
    def each_kg(self) -> float | None:
        """Weight of one piece [kg], where both are told."""
        if self.weight is None or not self.weight.grams or not self.count:
            return None
        is_each = self.weight.is_each or self.is_each or self.is_counted_each
        return self.weight.grams / 1000 / (1 if is_each else self.count)

    def _is_one_of_several(self, kind: CutKind) -> bool:
        """Whether a weight is of one piece though nothing says so: of all of them, each would be a scrap."""
        if self.weight is None or self.count is None or self.count < 2 or self.is_in_all:
            return False
        kg = self.weight.grams / 1000
        return kg / self.count < TOO_LITTLE * kind.mass_kg and kg <= EACH_UP_TO * kind.mass_kg

    def _bone(self, kind: CutKind) -> Bone | Literal[""]:
        """Where the bone is, if that is told and other than usual."""
        words = set(_tokens(self.words))
        if "boneless" in words and kind.bone != "none":
            return "none"
        if "bonein" in words and kind.bone == "none":
            return "edge" if kind.shape == "slab" else "face"
        return ""

    def _cover(self, kind: CutKind) -> Cover | Literal[""]:
        """Cover of the meat, if that is told and other than usual."""
        if (self.skin == "off" and kind.cover in ("skin", "rind")) or (
            self.has_no_membrane and kind.cover == "membrane"
        ):
            return "none"
        if self.skin == "on" and kind.cover == "none" and kind.is_animal:
            return "rind" if kind.species == "pork" else "skin"
        return ""


def _may_be_meat(text: str) -> bool:
    return len(text) <= LONGEST_LINE and re.match(r"^\s*[-−–]\s*\d", text) is None


def _figures(text: str) -> _Figures | None:
    """The figures of a line; nothing if it has neither a weight nor a count."""
    if not _may_be_meat(text):
        return None
    plain = _SERVES.sub("", re.sub(r"^\s*(?:[•*·▪☐□–]|-(?=\s))\s*", "", text))
    plain = _IN_OTHER_UNITS.sub("", plain)
    for said, means in _SPOKEN:
        plain = re.sub(said, means, plain, flags=re.IGNORECASE)
    each_of, counted_each = _TIMES.search(plain), _COUNTED_EACH.search(plain) is not None
    plain = _COUNTED_EACH.sub(lambda found: f"{found['count']} × {found['open'] or ''}", _TIMES.sub(r"\1 × ", plain))
    first = _WEIGHT.search(plain)
    is_each = each_of is not None and (first is None or "×" in plain[: first.start()])  # "500 g steaks (2 x 250 g)"
    weight, plain = _weight(plain)
    plain = _TOLD_AGAIN.sub(" ", plain) if weight is not None else plain
    size = _SIZE.search(plain)
    plain = _FLATTENED.sub(" ", plain.replace(size.group(), " ")) if size else _IN_JOINTS.sub(" cutup ", plain)
    for said, means in _BONE:
        plain = re.sub(said, means, plain, flags=re.IGNORECASE)
    skin: Literal["", "on", "off"] = "off" if _NO_SKIN.search(text) else "on" if _HAS_SKIN.search(text) else ""
    into = _INTO_SO_MANY.search(text)
    counted = into or _COUNT.search(plain)
    plain = _COUNT.sub(" ", plain)
    is_one = re.match(r"^\s*(?:an?|whole|rack|side)\b", text, re.IGNORECASE) is not None
    if weight is None and counted is None and size is None and not is_one:
        return None
    count = int(counted.group(1)) if counted else 1 if is_one else None
    return _Figures(
        plain,
        weight,
        count,
        _size_said(size),
        is_each,
        counted_each,
        _is_into(text),
        _IN_ALL.search(text) is not None,
        into is not None,
        4 if re.search(r"\bquartered\b", text, re.IGNORECASE) else 1,
        skin,
        _NO_MEMBRANE.search(text) is not None,
    )


def has_weight(text: str) -> bool:
    """Whether a line tells a weight."""
    return _WEIGHT.search(text) is not None


def meat_among(lines: Sequence[str], cuts: Mapping[str, CutKind]) -> tuple[int | None, CutNamed | None]:
    """The line that names the cut, by its place, and what it names: meat and fish before plants, then the first."""
    found = [(place, named) for place, line in enumerate(lines) if (named := cut_named(line, cuts)) is not None]
    if not found:
        return None, None
    return next(((place, named) for place, named in found if cuts[named.kind].is_animal), found[0])


def _size_said(size: re.Match[str] | None) -> str:
    """A size as it was written, "1½-inch" with a gap."""
    return "" if size is None else re.sub(r"\s*-\s*", " ", size["size"]).strip()


def _is_into(text: str) -> bool:
    """Whether the meat is cut into pieces whose edge is told, and not as thick as is told."""
    return re.search(r"\b(?:in|into)\b[^,;]*\b(?:pieces|chunks|cubes|dice)\b", text, re.IGNORECASE) is not None


@dataclass(frozen=True)
class _Weight:
    """A weight in grams and in its own unit, its text where that says it all, and whether it is of each piece."""

    grams: float
    amount: float
    unit: str
    text: str
    is_each: bool

    def told(self, times: int) -> str:
        """So many of it, in the unit that was written."""
        return self.text if self.text and times == 1 else f"{self.amount * times:.4g} {self.unit}"


def _as_our_recipes_write(text: str, cuts: Mapping[str, CutKind]) -> CutNamed | None:
    """A line of :func:`line_of`: the weight as typed, then a whole name of our table."""
    found = _WEIGHT.match(text.strip())
    if found is None:
        return None
    rest = text.strip()[found.end() :].strip()
    thick = _THICK.match(rest)
    name, thickness = (thick["name"], thick["thickness"].strip()) if thick else (rest, "")
    kind = next((kind for kind in cuts.values() if kind.name == name), None)
    mass = found.group().strip()
    return CutNamed(kind.id, mass, thickness) if kind is not None and _readable(mass) else None


def _readable(mass: str) -> bool:
    try:
        return quantity(mass, MASS, field="cut.mass_g") >= LEAST_KG
    except InputError:
        return False


def _weight(text: str) -> tuple[_Weight | None, str]:
    """The weight in a line, and the line without it; the middle of a range."""
    found = _WEIGHT.search(text)
    if found is None:
        return None, text
    factor = _KG[found["unit"][0].lower()] * 1000
    low = leading_number(found["low"].replace(",", "."))
    high = leading_number(found["high"].replace(",", ".")) if found["high"] else low
    more = leading_number(found["more"]) if found["more"] else None
    if low is None or high is None:
        return None, text
    grams = (low.number.value + high.number.value) / 2 * factor + (more.number.value * 28.3495 if more else 0.0)
    typed = found.group().strip()
    plain = found["high"] is None and found["each"] is None and typed[0].isdigit() and _readable(typed)
    amount, unit = (grams, "g") if more else (grams / factor, _SHORT[found["unit"][0].lower()])
    weight = _Weight(round(grams, 1), amount, unit, typed if plain else "", bool(found["each"]))
    return weight, text.replace(found.group(), " ", 1)


def _meant(text: str, cuts: Mapping[str, CutKind], each_kg: float | None = None) -> str | None:
    """The cut whose name accounts for every word that counts; nothing if none does, or two do as well.

    Of two with the same name, a steak and its joint, the weight [kg] of one piece tells which, where it is known.
    """
    names = {kind.id: _names(kind.also_called) for kind in cuts.values()}
    known = _vocabulary(tuple(kind.also_called for kind in cuts.values()))
    words = {_spelt(token, known) for token in _tokens(text)}
    if None in words or "or" in words:
        return None
    said = frozenset(word for word in words if word is not None)
    best: dict[str, int] = {}
    for kind, alternatives in names.items():
        for needs in alternatives:
            is_bare = len(needs) == 1 and "boneless" in said and cuts[kind].bone != "none"  # "boneless chicken"
            if needs <= said and not is_bare and not _unaccounted(said - needs):
                best[kind] = max(best.get(kind, 0), len(needs))
    found = [kind for kind, score in best.items() if score == max(best.values())]
    if len(found) > 1 and each_kg is not None:
        return min(found, key=lambda kind: abs(math.log(each_kg / cuts[kind].mass_kg)))
    return found[0] if len(found) == 1 else None


def _unaccounted(words: frozenset[str]) -> set[str]:
    return {word for word in words if word not in _FILLERS and word not in _OPTIONAL}


def _spelt(token: str, known: frozenset[str]) -> str | None:
    """A word as the tables have it, a slip of the hand forgiven; nothing for one that is not known."""
    if token in known or token in _FILLERS or token in _OPTIONAL or token == "or":
        return token
    if len(token) < LEAST_GUESSED:
        return None
    near = process.extractOne(token, sorted(known), scorer=fuzz.ratio, score_cutoff=SURE)
    return near[0] if near else None


@lru_cache(maxsize=4096)
def _names(also_called: tuple[str, ...]) -> tuple[frozenset[str], ...]:
    """Each name as the set of its words."""
    return tuple(frozenset(_tokens(name)) for name in also_called)


@lru_cache(maxsize=8)
def _vocabulary(called: tuple[tuple[str, ...], ...]) -> frozenset[str]:
    """Every word that names a cut."""
    return frozenset(word for also_called in called for needs in _names(also_called) for word in needs)


def _tokens(text: str) -> list[str]:
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
