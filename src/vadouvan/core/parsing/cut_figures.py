"""Figures in a line of meat: its weight, its count, the size of a piece, and what is told of bone and skin."""

from __future__ import annotations

import re
from dataclasses import replace
from typing import Literal

from vadouvan.core.cut.cover import Cover
from vadouvan.core.cut.kind import CutKind
from vadouvan.core.cut.shape import Bone
from vadouvan.core.measures.numbers import leading_number
from vadouvan.core.measures.quantity import MASS, SIDE, quantity
from vadouvan.core.measures.units import MASS_KG
from vadouvan.core.parsing.cut_done import DoneToCut, done_in
from vadouvan.core.parsing.cut_words import tokens_of
from vadouvan.core.patterns import lazily
from vadouvan.errors import InputError
from vadouvan.unchanging import unchanging

_NUMBER = r"(?:(?<!\d)(?:\d+\s+\d+/\d+|\d+/\d+|\d+(?:[.,]\d+)?\s*[½¼¾⅓⅔]?|[½¼¾⅓⅔]))"  # never the end of another
_TO = r"\s*(?:-\s*to\s*-?|-|–|to)\s*"
_UNITS = r"(?:kilograms?|kilos?|kgs?|grams?|gms?|grms?|gr|g|pounds?|lbs?|ounces?|oz)\b"
WEIGHT = lazily(
    rf"(?P<low>{_NUMBER})(?:{_TO}(?P<high>{_NUMBER}))?\s*-?\s*(?P<unit>{_UNITS})\.?"
    rf"(?:\s*(?P<more>{_NUMBER})\s*(?:ounces?|oz)\b\.?)?(?P<each>\s*(?:each|ea\b\.?|apiece|a piece))?",
    re.IGNORECASE,
)
# "4 6-oz fillets", "2 (1-pound) loins", "two 1 1/2-pound racks": so many of so much each.
_COUNTED_EACH = lazily(
    r"(?<![\w.,/½¼¾⅓⅔-])(?<!\d )(?P<count>\d{1,3})\s+"
    r"(?:(?P<open>\()\s*(?:about|approx\w*\.?|around)?\s*|(?!\d+/|[½¼¾⅓⅔]))"
    rf"(?={_NUMBER}(?:{_TO}{_NUMBER})?-?\s*-?\s*{_UNITS}\.?"
    r"(?![^()]*\b(?:total|in all|altogether)\b)[^()]*\)?\s*[a-z])",
    re.IGNORECASE,
)
_TIMES = lazily(rf"(?<![\w.,/])(\d{{1,3}})\s*[x×]\s*(?=\d[\d.,]*\s*{_UNITS})", re.IGNORECASE)
# "200 g x 2": the same with the count behind.
_TIMES_BEHIND = lazily(
    rf"(?<![\w.,/])(\d[\d.,]*\s*{_UNITS})\s*[x×]\s*(\d{{1,2}})(?![\w/]|[.,]\d|\s*{_UNITS}\b)", re.IGNORECASE
)
# "pork loin, bone-in, 4 ribs": how many bones a joint has is no cut of its own.
_BONES_COUNTED = lazily(r"(?<=[a-z,)])[ ,(]+(?:with )?\d{1,2}[ -](?:ribs?|bones?)\b\)?(?=\s*(?:,|\(|$))", re.IGNORECASE)
_IN_OTHER_UNITS = lazily(
    rf"(?<=[a-z])\s*/\s*[\d½¼¾⅓⅔][\d.,/ ½¼¾⅓⅔]*\s*{_UNITS}\.?(?:\s*\d[\d.,½¼¾]*\s*(?:oz|ounces?)\b\.?)?", re.IGNORECASE
)
_CIRCA = lazily(r"\bc\.? ?(?=\d)", re.IGNORECASE)
_SIZE = lazily(rf'(?P<size>{_NUMBER}\s*-?\s*(?:cm|mm|inch(?:es)?|in\b|"))', re.IGNORECASE)
_INTO_SO_MANY = lazily(
    r"\b(?:cut|chopped|hacked|divided|jointed|separated) (?:in|into) (?:about )?(\d{1,2})"
    r"(?: (?:(?!cm|mm|in\b|inch)\w+ )?(?:pieces|portions|parts|joints|slices|steaks|medallions|strips|chops)\b"
    r"|(?=$|[,;)]|\.(?!\d)))",
    re.IGNORECASE,
)
_EACH_OF_THEM = lazily(r"\beach(?: one)?\s*$", re.IGNORECASE)  # "4 breasts, each cut into 3 strips"
# "1 chicken, 8 pieces", "1 pack chicken thighs (6 thighs)": one of them, and how many are in it.
_IN_ONE = lazily(
    rf"^\s*(?:1|one|an?)\s+(?:(?:pack|packet|package|pkg)\b[^,(]{{0,60}}[,(]\s*(\d{{1,2}})\s+"
    rf"(?!{_UNITS}|[cm]m\b|in)[a-z]"
    r"|[^,(]{0,60}[,(]\s*(\d{1,2}) (?:pieces|portions|parts|joints)\b)",
    re.IGNORECASE,
)
_PACKS = lazily(r"^\s*(?:\d{1,2}|one|two|an?)\s+(?:packs?|packets?|packages?|pkgs?)\b", re.IGNORECASE)
_IN_ALL = lazily(r"\b(?:total|in all|altogether|combined)\b", re.IGNORECASE)
_NO_SKIN = lazily(
    r"\bsknls\b|\b(?:skin|rind)(?:less|ned|[- ]off| (?:\w+ )?removed)\b|\b(?:without|no) skin\b"
    r"|\bskin(?: was| is)? taken off\b|\b(?:took|take|taken|pulled) (?:off the skin|the skin off)\b",
    re.IGNORECASE,
)
_HAS_SKIN = lazily(r"\bskin[- ]on\b|\bwith (?:the )?skin\b", re.IGNORECASE)
_NO_MEMBRANE = lazily(r"\bmembranes? (?:off|removed)\b|\bremove (?:the )?membrane\b", re.IGNORECASE)
_COUNT = lazily(r"(?<![\w.,/])(\d{1,3})(?![\w/%]|[.,]\d)")
_TOLD_AGAIN = lazily(rf"\(\s*(?:about|approx\.?|ca\.?|around|~)?\s*{_NUMBER}\s*{_UNITS}\.?\s*\)", re.IGNORECASE)
_SERVES = lazily(r"\(?\b(?:serves|feeds|for)\s+\d+(?:\s*(?:-|–|to)\s*\d+)?(?:\s+people)?\s*(?:\)|$)", re.IGNORECASE)
_ONE = lazily(  # "a duck", but not "a kilo of wings"
    r"^(?:an? (?!(?:kilo(?:gram)?s?|kg|pounds?|lbs?|half|quarter|dozen|few|couple)\b)|(?:whole|rack|side)\b"
    r"|(?:\d+|two|three|four|six|seven|eight)(?:-(?:rib|bone)| (?:rib|bone)(?= [a-z ]{0,20}\brack\b))\b)",
    re.IGNORECASE,
)
_OF_AN_ANIMAL = lazily(
    r"\b(?:chicken|duck|goose|turkey|beef|pork|lamb|veal|salmon|trout|cod|fish|prawn) "
    r"(?:fat|skins?|roe|dripping|bones?|heads?|shells?|carcass(?:es)?|eggs?)\s*(?:$|[,(])",
    re.IGNORECASE,
)
_FROM_A_TIN = r"\b(?:tins?|cans?|tinned|canned|jars?)\b"
_OF_THE_SEA = r"\b(?:tuna|sardines?|mackerel|salmon|trout|prawns?|shrimps?|octopus)\b"
_TINNED = lazily(rf"{_FROM_A_TIN}.*{_OF_THE_SEA}|{_OF_THE_SEA}.*{_FROM_A_TIN}", re.IGNORECASE)
_SHORT = {"k": "kg", "g": "g", "p": "lb", "l": "lb", "o": "oz"}
_SPOKEN = (
    (r"(?<=\d) ?#(?![\w#])", " lb "),
    (r"(?<=[a-z]) [x×] ?(?=\d{1,2}(?![\w/]|[.,]\d))", " "),  # "lamb shanks x4"
    (r"\btwo and a half\b", "2.5"), (r"\bone and a half\b", "1.5"),
    (r"\bhalf an?(?=\s+(?:kilo|kg|pound|lb|dozen)s?\b)", "0.5"),
    (r"\ba quarter of an?\b", "0.25"),
    (r"\ban?\s+(?=(?:kilo|kg|pound|lb)s?\b)", "1 "), (r"\bone\b", "1"), (r"\btwo\b", "2"), (r"\bthree\b", "3"),
    (r"\bfour\b", "4"), (r"\bsix\b", "6"), (r"\beight\b", "8"), (r"\ba dozen\b", "12"), (r"\btwelve\b", "12"),
)  # fmt: skip
_BONE = (
    (r"\b(?:bone[- ]?less|boned|bones? (?:out|removed)|off the bone|without bones?|no bones?)\b", " boneless "),
    (r"\b(?:necks?|giblets?)(?:(?: and|,) (?:the )?(?:necks?|giblets?))? (?:removed|reserved|discarded|saved)\b", " "),
    (r"\b(?:bone[- ]in|on the bone|with (?:the )?bones?|bones? in)\b", " bonein "),
    (r"\b(?:in (?:their|the|its) shells?|shells? on|shell-on|unpeeled)\b", " shell "), (r"\bshelled\b", " peeled "),
    (r"\bback[- ]?bones? (?:removed|out|cut out|taken out)\b", " spatchcock "),
    (r"\bcross[- ]cut\b", " crosscut "), (r"\bstir[- ]fr(?:y|ied)\b", " stir fry "),
    (r"\bextra[- ]firm\b", " extra firm "),
    (r"\b(?:thawed|defrosted) if (?:frozen|necessary|needed)\b", " "),
    (r"\bsilver[- ]?skin(?: removed| off| on)?\b", " "),
    (r"\b(?:took|take|taken|pulled) (?:off the skin|the skin off)\b|\bskin(?: was| is)? taken off\b", " "),
    (r"\bsknls\b|\bskin(?:less|ned|[- ]on|[- ]off| scored| removed)?\b", " "), (r"\bwithout\b", " "),
    (r"\broe (?:on|off)\b|\b(?:no|without) roe\b", " "),
    (r"\b(prawns?|shrimps?)\b(.*?)\bheads?[- ]on\b", r" \1 shell \2"), (r"\btri-tip\b", " tri tip "),
    (r"\bt-?\s?bone\b", " strip bonein "), (r"\brind (?:off|removed)\b", " "),
    (r"\b(?:tomahawk|cowboy|c[ôo]te de b(?:oe|œ)uf)\b", " ribeye bonein "),
    (r"\(\s*\d+\s*[-–/]\s*\d+\s*(?:count|ct|per (?:lb|pound|kg|kilo))\s*\)", " "),
    (r"\bcurry cut\b", " bonein piece "), (r"\bmembranes? (?:off|removed)\b", " "),
    (r"\b(?:cut\s+)?(?:in|into)(?:\s+(?:small|even|large))*\s+bite[- ]?sized?\s+(?:pieces|bits)\b", " cube "),
    (r"\b(?:cut\s+)?(?:(?:in|into)\s+)?tikka[- ](?:sized?|cut|pieces|cubes)(?:\s+pieces)?\b", " cube "),
    (r"\bcut up\b|\bquartered\b|\b(?:cut )?(?:in|into) quarters\b", " cutup "),
    (r"\bbones? (?:cleaned|scraped|trimmed|frenched)(?: clean)?\b", " "),
    (r"\b\d+[- ](?:ribs?|bones?) (?=[a-z ]{0,20}\bracks?\b)|(?<=rack) (?:with|of) \d+ (?:ribs|bones)\b", " "),
    (r"\b\d+(?:-rib\b| rib(?= (?:roast|joint)))", " rib "), (r"\b\d+(?:\s*|-)bones?\b", " "),
    (r"\(\s*\d+\s*(?:ribs?|bones?)(?: each)?\s*\)", " "),
    (r"(\bracks?\b[^(\d]{0,60}?)[,(]\s*\d+\s*(?:ribs?|bones?|chops?|cutlets?)(?: each)?\s*\)?", r"\1 "),
)  # fmt: skip
_PARTS = lazily(
    r"\b(?:pieces?|portions?|parts?|joints?|slices?|slabs?|steaks?|fillets?|arms?|tentacles?|florets?|rings?|legs?|cubes?)\b",
    re.IGNORECASE,
)
_INTO_PARTS = lazily(r"\b(?:in|into)(?: \w+){0,2} \w+", re.IGNORECASE)
_AT_THICKEST = lazily(
    r"\b(?:(?:at|in) (?:its|the|their) )?thickest(?: point| part| place| spot| end)?\b|\b(?:in )?diameter\b",
    re.IGNORECASE,
)
_FLATTENED = lazily(r"\b(?:flattened|pounded|bashed|beaten)(?: out)?\b", re.IGNORECASE)  # to a told thickness
_IN_JOINTS = lazily(
    r"\b(?:cut|chopped|hacked|divided|separated) (?:in|into)(?:\s+(?:\d+|serving|even|equal|small|large))*\s+"
    r"(?:(?:pieces|portions|parts|joints)\b|(?<=\d )(?=$|[,;)]))"
    r"|\b(?:cut|chopped|hacked|divided|jointed|separated) (?:in|into) (?:about )?\d{1,2}(?=\s*(?:$|[,;)]))",
    re.IGNORECASE,
)
HALVED = lazily(r"\bhal(?:ved|ves)\b", re.IGNORECASE)
_FROZEN = lazily(r"\b(?:deep[- ]?)?frozen\b", re.IGNORECASE)
_THAWED = lazily(r"\b(?:thaw\w*|defrost\w*|(?:previously|never|not|un)[- ]?frozen|if frozen)\b", re.IGNORECASE)
_BLOCKS = lazily(r"\b(?:blocks?|packs?|packets?|packages?|pkgs?|tubs?)\b", re.IGNORECASE)  # that dice are cut from
_THREADED = lazily(r"\b(?:skewers?|kebabs?|brochettes?)\b", re.IGNORECASE)  # several pieces on each
_RACKS = lazily(r"\b(?:racks?|slabs?|sides?)\b", re.IGNORECASE)
RIBS_FROM = 4  # nobody buys so many racks without calling them so
LONGEST_LINE = 200
LEAST_KG, MOST_KG = 0.1, 30.0  # less of it is seasoning, more is no kitchen's
EACH_UP_TO, TOO_LITTLE, TOO_MUCH = 2.0, 0.4, 3.0  # of a usual piece: a weight that is one of several, not all of them


@unchanging
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
    wholes: int = 0  # so many were counted, of which each gives several pieces
    whole: str = ""  # the id of what was counted, where it is another cut that tells the weight
    done: tuple[DoneToCut, ...] = ()
    is_frozen: bool = False
    assumed: str = ""  # a sentence on a figure that was not said


@unchanging
class Figures:
    """A line's weight, count and size of a piece, and the words that are left."""

    words: str
    weight: Weight | None
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
    done: tuple[DoneToCut, ...]
    said: str  # the line as it was written

    def of(self, kind: CutKind) -> CutNamed | None:
        """So much of a cut, with what was done to it; nothing if no kitchen has so little or so much of it."""
        named = self._counted(kind)
        if named is None or (kind.bone != "ribs" and any(one.kind == "divided" for one in self.done)):
            return None
        is_frozen = _FROZEN.search(self.said) is not None and _THAWED.search(self.said) is None
        return replace(named, done=self.done, is_frozen=is_frozen)

    def _counted(self, kind: CutKind) -> CutNamed | None:
        weight, count = self.weight, self.count
        if weight is None and count is None and not kind.is_animal:  # "2 cm ginger" is no cut, "chops 2 cm" are
            return None
        if kind.is_whole_animal and (self.is_in_joints or self.joints != 1):
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
        bone, cover = self._bone(kind), self._cover(kind)
        if count is None or self._counts_others(kind, count):
            return CutNamed(kind.id, mass, self.size, bone=bone, cover=cover)
        is_flat = kind.shape == "slab"  # it is as thick in one piece as in several
        if not self._counts_wholes(kind) or (weight is not None and is_flat):
            return CutNamed(kind.id, mass, self.size, str(count * self.joints), bone=bone, cover=cover)
        # Where the weight is told, it tells the number of pieces better than what one usually gives.
        pieces = str(count * (2 if HALVED.search(self.said) else kind.pieces_in_one)) if weight is None else ""
        return CutNamed(kind.id, mass, self.size, pieces, bone=bone, cover=cover, wholes=count)

    def _counts_others(self, kind: CutKind, count: int) -> bool:
        """Whether what is counted is no piece of this cut: a pack of it, skewers of cubes, ribs of a rack."""
        if kind.is_animal and _PACKS.match(self.said) and _IN_ONE.match(self.said) is None:
            return True
        if kind.shape == "cube":
            return count == 1 or _THREADED.search(self.said) is not None or _BLOCKS.search(self.said) is not None
        return kind.bone == "ribs" and count >= RIBS_FROM and _RACKS.search(self.said) is None

    def _counts_wholes(self, kind: CutKind) -> bool:
        """Whether what is counted is the whole that pieces are of: "2 octopus", but not "2 octopus arms"."""
        if not kind.pieces_in_one or self.is_in_joints or self.joints != 1:
            return False
        return _PARTS.search(_INTO_PARTS.sub(" ", self.said)) is None

    @property
    def each_kg(self) -> float | None:
        """Weight of one piece [kg], where both are told."""
        if self.weight is None or not self.weight.grams or not self.count:
            return None
        is_each = self.weight.is_each or self.is_each or self.is_counted_each
        return self.weight.grams / 1000 / (1 if is_each else self.count)

    @property
    def size_m(self) -> float | None:
        """Size of a piece [m], where it is told and can be read."""
        return length_m(self.size)

    def _is_one_of_several(self, kind: CutKind) -> bool:
        """Whether a weight is of one piece though nothing says so: of all of them, each would be a scrap."""
        if self.weight is None or self.count is None or self.count < 2 or self.is_in_all or self.is_in_joints:
            return False  # what is cut into so many pieces was weighed before
        kg = self.weight.grams / 1000
        return kg / self.count < TOO_LITTLE * kind.mass_kg and kg <= EACH_UP_TO * kind.mass_kg

    def _bone(self, kind: CutKind) -> Bone | Literal[""]:
        """Where the bone is, if that is told and other than usual."""
        words = set(tokens_of(self.words))
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


def may_be_meat(text: str) -> bool:
    """Whether a line is short enough for a cut, takes nothing away, and names no fat, skin or tin of it."""
    if _OF_AN_ANIMAL.search(text) or _TINNED.search(text):
        return False
    return len(text) <= LONGEST_LINE and re.match(r"^\s*[-−–]\s*\d", text) is None


def figures_of(text: str) -> Figures | None:
    """The figures of a line; nothing if it has neither a weight nor a count."""
    if not may_be_meat(text):
        return None
    text = " ".join(text.split())
    plain = _SERVES.sub("", re.sub(r"^\s*(?:[•*·▪☐□–]|-(?=\s))\s*", "", text))
    plain = _CIRCA.sub("", _IN_OTHER_UNITS.sub("", plain))
    plain = _BONES_COUNTED.sub("", _TIMES_BEHIND.sub(r"\2 x \1", plain))
    done, plain = done_in(plain)
    for said, means in _SPOKEN:
        plain = re.sub(said, means, plain, flags=re.IGNORECASE)
    each_of, counted_each = _TIMES.search(plain), _COUNTED_EACH.search(plain) is not None
    plain = _COUNTED_EACH.sub(lambda found: f"{found['count']} × {found['open'] or ''}", _TIMES.sub(r"\1 × ", plain))
    first = WEIGHT.search(plain)
    is_each = each_of is not None and (first is None or "×" in plain[: first.start()])  # "500 g steaks (2 x 250 g)"
    weight, plain = weight_in(plain)
    plain = _TOLD_AGAIN.sub(" ", plain) if weight is not None else plain
    size = _SIZE.search(plain)
    plain = _AT_THICKEST.sub(" ", plain) if size else plain
    plain = _FLATTENED.sub(" ", plain.replace(size.group(), " ")) if size else _IN_JOINTS.sub(" cutup ", plain)
    for said, means in _BONE:
        plain = re.sub(said, means, plain, flags=re.IGNORECASE)
    skin: Literal["", "on", "off"] = "off" if _NO_SKIN.search(text) else "on" if _HAS_SKIN.search(text) else ""
    into, in_one = _INTO_SO_MANY.search(text), _IN_ONE.match(text)
    counted = into or in_one or _COUNT.search(plain)
    of_each = _COUNT.search(plain) if into is not None and _EACH_OF_THEM.search(text[: into.start()]) else None
    plain = _COUNT.sub(" ", plain)
    is_one = _ONE.match(text) is not None
    if weight is None and counted is None and size is None and not is_one:
        return None
    count = int(counted.group(counted.lastindex or 1)) if counted else 1 if is_one else None
    count = count * int(of_each[1]) if count is not None and of_each is not None else count
    return Figures(
        f" {' '.join(plain.split())} ",  # in a row of blanks a pattern would look for ever
        weight,
        count,
        _size_said(size),
        is_each,
        counted_each,
        _is_into(text),
        _IN_ALL.search(text) is not None,
        into is not None,
        4 if re.search(r"\bquartered\b|\b(?:in|into) quarters\b", text, re.IGNORECASE) else 1,
        skin,
        _NO_MEMBRANE.search(text) is not None,
        done,
        text,
    )


def has_weight(text: str) -> bool:
    """Whether a line tells a weight."""
    return WEIGHT.search(text) is not None


def _size_said(size: re.Match[str] | None) -> str:
    """A size as it was written, "1½-inch" with a gap."""
    return "" if size is None else re.sub(r"\s*-\s*", " ", size["size"]).strip()


def _is_into(text: str) -> bool:
    """Whether the meat is cut into pieces whose edge is told, and not as thick as is told."""
    return re.search(r"\b(?:in|into)\b[^,;]*\b(?:pieces|chunks|cubes|dice)\b", text, re.IGNORECASE) is not None


@unchanging
class Weight:
    """A weight in grams and in its own unit, its text where that says it all, and whether it is of each piece."""

    grams: float
    amount: float
    unit: str
    text: str
    is_each: bool

    def told(self, times: int) -> str:
        """So many of it, in the unit that was written."""
        return self.text if self.text and times == 1 else f"{self.amount * times:.4g} {self.unit}"


def is_readable(mass: str) -> bool:
    """Whether a weight can be typed as it stands."""
    try:
        return quantity(mass, MASS, field="cut.mass_g") >= LEAST_KG
    except InputError:
        return False


def length_m(size: str) -> float | None:
    """A size as typed [m]; nothing where it cannot be read."""
    try:
        return quantity(size, SIDE, field="cut.width_mm") if size else None
    except InputError:
        return None


def weight_in(text: str) -> tuple[Weight | None, str]:
    """The weight in a line, and the line without it; the middle of a range."""
    found = WEIGHT.search(text)
    if found is None:
        return None, text
    unit = _SHORT[found["unit"][0].lower()]
    factor = MASS_KG[unit] * 1000
    low = leading_number(found["low"])
    high = leading_number(found["high"]) if found["high"] else low
    more = leading_number(found["more"]) if found["more"] else None
    if low is None or high is None:
        return None, text
    grams = sum(end.read_for(MASS_KG[unit]).value for end in (low, high)) / 2 * factor + (
        more.number.value * MASS_KG["oz"] * 1000 if more else 0.0
    )
    typed = found.group().strip()
    plain = found["high"] is None and found["each"] is None and typed[0].isdigit() and is_readable(typed)
    amount, unit = (grams, "g") if more else (grams / factor, unit)
    weight = Weight(round(grams, 1), amount, unit, typed if plain else "", bool(found["each"]))
    return weight, text.replace(found.group(), " ", 1)
