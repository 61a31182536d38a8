"""Wholes that are cut up at home: in "2 chicken breasts, diced" breasts are counted, and not dice."""

from __future__ import annotations

import re
from collections.abc import Callable, Mapping
from dataclasses import replace

from vadouvan.core.cut.kind import CutKind
from vadouvan.core.parsing.cut_figures import HALVED, CutNamed, Figures
from vadouvan.core.patterns import lazily

_CUT_UP = lazily(
    r",?\s*\b(?:\w+ly\s+)?(?:"
    r"(?:cut|sliced|chopped|carved|divided|portioned|separated)\s+(?:up\s+)?(?:\w+wise\s+)?(?:in|into)\s+[^,;()]{1,60}"
    r"|(?:diced|cubed|sliced|chopped|halved)\b"
    r"|in\s+(?:\w+\s+){0,2}?(?:cubes|chunks|strips|slices|medallions|pieces)\b)",
    re.IGNORECASE,
)
ROUNDED_G = 10


def of_wholes(
    named: CutNamed,
    figures: Figures,
    cuts: Mapping[str, CutKind],
    name: Callable[[str], CutNamed | None],
) -> CutNamed | None:
    """The cut of a line, weighing what the wholes that were counted usually do; nothing if these are not known.

    A told weight stands, and so does a count of what a whole gives by its table, such as florets of a cauliflower.
    ``name`` names the wholes from the line without how they are cut.
    """
    plain = _CUT_UP.sub(" ", figures.said)
    kind = cuts[named.kind]
    if figures.count is None or plain == figures.said or kind.is_whole_animal:
        return named
    whole = name(" ".join(plain.split()))
    if figures.weight is not None:
        return _uncounted(named, kind, figures, whole)
    if whole is None or not whole.pieces:
        return None if named.pieces and not named.wholes and not figures.is_in_joints else named
    if kind.pieces_in_one and (whole.kind != named.kind if figures.is_in_joints else named.pieces):
        return named  # the table has what one of them gives
    if cuts[whole.kind].is_whole_animal and not figures.is_in_joints and kind.bone == "none":
        return None  # its weight is with its bones
    if figures.is_in_joints:
        kind = cuts[whole.kind] if kind.shape == "cube" else kind  # so few pieces of a joint are no dice
        return _weighing(replace(named, kind=kind.id), whole, named.pieces, cuts)
    if HALVED.search(figures.said) and whole.kind == named.kind:
        return _weighing(named, whole, str(2 * int(whole.pieces)), cuts)
    is_as_it_was = whole.kind == named.kind and not named.shape and not named.side  # slices of a steak
    return named if is_as_it_was else _weighing(named, whole, "", cuts)


def _weighing(named: CutNamed, whole: CutNamed, pieces: str, cuts: Mapping[str, CutKind]) -> CutNamed:
    """A cut in so many pieces that weighs what its wholes usually do."""
    grams = ROUNDED_G * round(int(whole.pieces) * cuts[whole.kind].mass_kg * 1000 / ROUNDED_G)
    counted = whole.wholes or int(whole.pieces)
    return replace(named, mass=f"{grams} g", pieces=pieces, wholes=counted, whole=whole.kind)


def _uncounted(named: CutNamed, kind: CutKind, figures: Figures, whole: CutNamed | None) -> CutNamed:
    """Dice or strips of a told weight, without the number of the wholes that they were cut from."""
    is_small = bool({"cube", "strip"} & {named.shape, kind.shape}) and not figures.is_in_joints
    are_wholes = is_small and whole is not None and whole.pieces == named.pieces
    return replace(named, pieces="") if are_wholes else named
