"""A cut in the words of a shopping list: "1.2 kg lamb shoulder, cubed", "4 chicken breasts, about 800 g", or as our own
recipes write it.

First the figures are taken out (``cut_figures``), then every word that is left has to be accounted for: part of the
name of one cut, or a word that changes nothing (``cut_words``). What is not, or may be two cuts, is no cut: it is
asked.
"""

from __future__ import annotations

import math
import re
from collections.abc import Mapping, Sequence
from dataclasses import replace

from vadouvan.core.cut.kind import CutKind
from vadouvan.core.measures.units import VOLUME_M3
from vadouvan.core.parsing.cut_figures import (
    LONGEST_LINE,
    WEIGHT,
    CutNamed,
    Figures,
    figures_of,
    is_readable,
    length_m,
    may_be_meat,
)
from vadouvan.core.parsing.cut_thin import made_thin
from vadouvan.core.parsing.cut_wholes import of_wholes
from vadouvan.core.parsing.cut_words import FILLERS, OPTIONAL, names_in, spelt, tokens_of, unaccounted
from vadouvan.core.patterns import lazily

_THICK = lazily(r"^(?P<name>.*), (?P<thickness>[^,]{1,40}) thick$", re.DOTALL)
_OR = lazily(
    r"(?P<one>\b(?!(?:grams?|pounds?|ounces?|kilos?)\b)[a-z]{3,}(?: [a-z]+)?) or (?P<other>[a-z]+(?: [a-z]+)?)\b",
    re.IGNORECASE,
)
_LABEL = lazily(r"^\s*(?:the )?(?:fish|meat|protein|main(?: ingredient)?|bird|poultry|seafood)\s*:\s+", re.IGNORECASE)
_REMARK = lazily(r"\([^()]*\)")
_INTO = r"(?:,? ?(?:thinly |thickly )?(?:cut|sliced)? ?(?:up )?(?:in|into)? ?(?:thin|thick|long|even|wide)? ?)"
_CUT_INTO = (
    (lazily(rf"{_INTO}\b(?:strips?|batons?|ribbons?)\b", re.IGNORECASE), "strip"),
    (
        lazily(
            rf"{_INTO}\b(?:medallions?|slices?|sliced|slabs?|steaks?|escalopes?|rounds?|discs?|planks?)\b",
            re.IGNORECASE,
        ),
        "slab",
    ),
    (lazily(rf"{_INTO}\b(?:cubes?|chunks?|dice|diced|cubed|cutup)\b", re.IGNORECASE), "cube"),
)
_PIECES = lazily(r"\bpieces\b", re.IGNORECASE)
JOINT_KG = 0.8  # a whole piece of so much is a joint
MOST_MEANT = 8


def line_of(mass: str, kind: CutKind, thickness: str) -> str:
    """A cut as a line of a recipe, which :func:`cut_named` reads back."""
    thick = f", {thickness.strip()} thick" if thickness.strip() and "," not in thickness else ""
    return f"{mass.strip()} {kind.name}{thick}".strip()


def cut_named(text: str, cuts: Mapping[str, CutKind]) -> CutNamed | None:
    """The cut that a line names with its weight or its count; nothing if it names none, or may mean several."""
    as_written = _as_our_recipes_write(text, cuts) if may_be_meat(text) else None
    if as_written is not None:
        return as_written
    figures = figures_of(text)
    if figures is None:
        return None
    named = _named(figures, cuts) or _named(_without_remarks(figures, cuts), cuts)
    if named is None:
        if (unlabelled := _LABEL.sub("", text)) != text:  # "Fish: 2 whole sea bream"
            return cut_named(unlabelled, cuts)
        either = {one for one in (cut_named(way, cuts) for way in _either_way(text)) if one is not None}
        return either.pop() if len(either) == 1 else made_thin(text, cuts, lambda said: cut_named(said, cuts))
    named = named if not figures.is_into else _in_pieces(named, cuts[named.kind])
    return of_wholes(named, figures, cuts, lambda said: cut_named(said, cuts))


def _without_remarks(figures: Figures, cuts: Mapping[str, CutKind]) -> Figures:
    """The same without brackets that tell again what was said, in known words: "(2 x 250 g)", "(osso buco)"."""
    known = names_in(cuts).known
    words = figures.words
    for remark in _REMARK.findall(words):
        if all(spelt(token, known) is not None for token in tokens_of(WEIGHT.sub(" ", remark))):
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


def _named(figures: Figures, cuts: Mapping[str, CutKind]) -> CutNamed | None:
    """The cut that these words name, whole or cut up at home."""
    ways = (figures.words, *(figures.words.replace(" cutup ", f" {way} ") for way in ("cube", "piece")))
    meant = (_meant(way, cuts, figures.each_kg, figures.size_m) for way in ways)
    kind = next((kind for kind in meant if kind is not None), None)
    if kind is not None and cuts[kind].mass_kg >= JOINT_KG:  # "lamb shoulder pieces" are no shoulder
        in_pieces = _PIECES.sub(" cube ", figures.words)
        kind = _meant(in_pieces, cuts) or kind if in_pieces != figures.words else kind
    return figures.of(cuts[kind]) if kind is not None else _cut_up(figures, cuts)


def _in_pieces(named: CutNamed, kind: CutKind) -> CutNamed:
    """A cut in pieces of a told edge: cubes, or flat pieces of a cut that is thinner than their edge."""
    if kind.shape == "cube" or named.shape or not named.thickness:
        return named
    edge_m = length_m(named.thickness)
    if edge_m is None:
        return named
    if edge_m <= kind.thickness_high_m:
        return replace(named, shape="cube", pieces="")
    return replace(named, thickness="", side=named.thickness, pieces="")


def _cut_up(figures: Figures, cuts: Mapping[str, CutKind]) -> CutNamed | None:
    """A cut that was cut up at home, where no name of the table holds that: strips, or slices of a told thickness."""
    words = " ".join(figures.words.split())
    for word, shape in _CUT_INTO:
        found = word.search(words)
        kind = _meant(word.sub(" ", words), cuts, is_cut_up=True) if found is not None else None
        if kind is None or not (figures.size or _is_usual(shape, figures.words, cuts[kind])):
            continue
        if cuts[kind].is_whole_animal:  # nobody cuts a whole bird into strips
            continue
        named = figures.of(cuts[kind])
        if named is not None:
            if figures.is_in_joints and shape == "strip":  # of so few each is a piece of its own
                return named
            if shape == "cube":  # nobody dices a bone, or skin that is not told
                named = replace(
                    named,
                    bone="none" if cuts[kind].bone != "none" else named.bone,
                    cover="none" if cuts[kind].cover != "none" and figures.skin != "on" else named.cover,
                )
            if shape == "cube":
                return _in_pieces(named, cuts[kind]) if named.thickness else replace(named, shape="cube", pieces="")
            return replace(named, shape=shape if shape != cuts[kind].shape else "")
    return None


def cuts_meant(text: str, cuts: Mapping[str, CutKind]) -> tuple[CutNamed, ...]:
    """The few cuts that a line may mean, which names too little to tell them apart: "3 lb ribs", "4 chops"."""
    figures = figures_of(text)
    if figures is None or cut_named(text, cuts) is not None:
        return ()
    either = dict.fromkeys(one for one in (cut_named(way, cuts) for way in _either_way(text)) if one is not None)
    if either:
        return tuple(either)
    known = names_in(cuts).known
    words = {spelt(token, known) for token in tokens_of(figures.words)}
    said = frozenset(word for word in words if word is not None and word not in FILLERS and word not in OPTIONAL)
    if None in words or "or" in words or not said:
        return ()
    fit = [kind for kind in cuts.values() if _bone_fits(kind, words)]
    ending = [kind for kind in cuts.values() if any(_ends_in(name, said) for name in kind.also_called)]
    fitting = {kind.species for kind in ending if kind in fit}
    found = [kind for kind in ending if kind in fit or not (kind.is_whole_animal or kind.species in fitting)]
    if len(found) < 2 and len(said) == 1:  # a species, with no word of which part
        found = [kind for kind in fit if said <= frozenset(tokens_of(kind.species))]
    named = [one for one in map(figures.of, found) if one is not None]
    return tuple(named) if 1 < len(named) <= MOST_MEANT else ()


def cuts_near(text: str, cuts: Mapping[str, CutKind]) -> tuple[CutNamed, ...]:
    """Cuts whose whole name is in a line beside words that are not understood: to be asked, never taken.

    >>> from vadouvan.data.tables import shipped_kitchen
    >>> [one.kind for one in cuts_near("500 g salmon belly", shipped_kitchen().cuts)]
    ['salmon_fillet']
    """
    figures = figures_of(text)
    tokens = tokens_of(figures.words) if figures is not None else []
    if figures is None or (figures.weight is None and any(token in VOLUME_M3 for token in tokens)):
        return ()
    known = names_in(cuts).known
    said = {spelt(token, known) for token in tokens}
    held: dict[str, int] = {}
    for name in names_in(cuts).names:
        kind, count = name.kind, len(name.words)
        least = 2 if kind.mass_kg >= JOINT_KG and None in said else 1  # "chicken livers" are no whole chicken
        if not name.words <= said or count < least:
            continue
        if kind.is_animal and said & set(tokens_of(kind.species)) and _bone_fits(kind, said):
            held[kind.id] = max(held.get(kind.id, 0), count)
    found = [figures.of(cuts[kind]) for kind, count in held.items() if count == max(held.values())]
    named = tuple(one for one in found if one is not None)
    return named if len(named) <= MOST_MEANT else ()


def _bone_fits(kind: CutKind, words: set[str | None]) -> bool:
    """Whether a cut may be what is told to be with a bone, or without."""
    return not ("boneless" in words and kind.bone != "none") and not ("bonein" in words and kind.bone == "none")


def _ends_in(name: str, said: frozenset[str]) -> bool:
    """Whether a name holds all that was said, its last word too: ribs are short ribs, no rib chops."""
    words = tokens_of(name)
    last = next((word for word in reversed(words) if word not in ("bonein", "boneless")), "")
    return said <= frozenset(words) and last in said


def _is_usual(shape: str, words: str, kind: CutKind) -> bool:
    """Whether pieces of a size that is not told are as thick as the table has this cut, or as strips are."""
    if shape == "cube":
        return kind.bone != "ribs" and " bonein " not in words
    as_a_slab = shape == kind.shape == "slab" and re.search(r"\bthin", words, re.IGNORECASE) is None
    return shape == "strip" or as_a_slab


def meat_among(lines: Sequence[str], cuts: Mapping[str, CutKind]) -> tuple[int | None, CutNamed | None]:
    """The line that names the cut, by its place, and what it names: meat and fish before plants, then the first."""
    found = [(place, named) for place, line in enumerate(lines) if (named := cut_named(line, cuts)) is not None]
    if not found:
        return None, None
    place, meat = next(((place, named) for place, named in found if cuts[named.kind].is_animal), found[0])
    if meat.mass:
        return place, meat
    # "Brine for 2 pork tenderloins", and further down what they weigh
    again = ((other, named) for other, named in found if named.kind == meat.kind and named.mass)
    return next(((other, named) for other, named in again if named.pieces == meat.pieces), (place, meat))


def _as_our_recipes_write(text: str, cuts: Mapping[str, CutKind]) -> CutNamed | None:
    """A line of :func:`line_of`: the weight as typed, then a whole name of our table."""
    found = WEIGHT.match(text.strip())
    if found is None:
        return None
    rest = text.strip()[found.end() :].strip()
    thick = _THICK.match(rest)
    name, thickness = (thick["name"], thick["thickness"].strip()) if thick else (rest, "")
    kind = next((kind for kind in cuts.values() if kind.name == name), None)
    mass = found.group().strip()
    return CutNamed(kind.id, mass, thickness) if kind is not None and is_readable(mass) else None


def _meant(
    text: str,
    cuts: Mapping[str, CutKind],
    each_kg: float | None = None,
    thickness_m: float | None = None,
    *,
    is_cut_up: bool = False,
) -> str | None:
    """The cut whose name accounts for every word that counts; nothing if none does, or two do as well.

    Of two with the same name, a steak and its joint, the weight [kg] of one piece tells which, or else the thickness
    [m] that only one of them may have; what is cut up at home is the same meat, of either.
    """
    table = names_in(cuts)
    words = {spelt(token, table.known) for token in tokens_of(text)}
    if None in words or "or" in words:
        return None
    said = frozenset(word for word in words if word is not None)
    best: dict[str, int] = {}
    for name in table.names:
        if not name.words <= said or unaccounted(said - name.words, is_whole=name.is_of_a_whole):
            continue
        if len(name.words) == 1 and "boneless" in said and name.kind.bone != "none":  # "boneless chicken"
            continue
        best[name.kind.id] = max(best.get(name.kind.id, 0), len(name.words))
    found = [kind for kind, score in best.items() if score == max(best.values())]
    if len(found) > 1 and each_kg is not None:
        return min(found, key=lambda kind: abs(math.log(each_kg / cuts[kind].mass_kg)))
    if len(found) > 1 and thickness_m is not None:
        found = [id_ for id_ in found if cuts[id_].thickness_low_m <= thickness_m <= cuts[id_].thickness_high_m]
    is_one_meat = is_cut_up and len({(cuts[id_].species, cuts[id_].toughness) for id_ in found}) == 1
    return found[0] if len(found) == 1 or is_one_meat else None
