"""Cuts made thin at home, "chicken breast, thinly sliced", of which the table has only the whole."""

from __future__ import annotations

import re
from collections.abc import Callable, Mapping
from dataclasses import replace

from vadouvan.core.cut.kind import CutKind
from vadouvan.core.parsing.cut_figures import CutNamed
from vadouvan.core.patterns import lazily

# How a whole cut is made thin: the words, those that name it without, how it is told, share of its thickness [1]
_WAYS = (
    (
        lazily(
            r",?\s*\b(?:(?:cut|sliced) (?:very )?(?:thin(?:ly)?|into (?:very )?thin slices)"
            r"|(?:very )?thin(?:ly)?[ -](?:sliced|slices)|thin slices)\b"
            r"(?: (?:of|for (?:a )?stir[- ]?fry(?:ing)?))?",
            re.IGNORECASE,
        ),
        " ",
        "Thinly sliced",
        0.0,
    ),
    (lazily(r",?\s*\bbutterflied\b", re.IGNORECASE), " ", "Opened out", 0.5),
    (
        lazily(r"\bchicken (?:breast )?(?:cutlet|escalope|schnitzel)s?\b", re.IGNORECASE),
        "chicken breast",
        "A cutlet",
        0.4,
    ),
)
THIN_SLICE_MM = 5  # common practice, no source


def made_thin(text: str, cuts: Mapping[str, CutKind], name: Callable[[str], CutNamed | None]) -> CutNamed | None:
    """The cut without bones that is sliced thin or opened out; how thick it is then, if not told, is assumed and said.

    ``name`` names the whole cut from the line without those words.
    """
    text = " ".join(text.split())  # in a row of blanks a pattern would look for ever
    for way, plainly, told, share in _WAYS:
        plain = way.sub(plainly, text)
        found = name(plain) if plain != text else None
        kind = cuts[found.kind] if found is not None else None
        if found is None or kind is None or kind.bone != "none" or kind.is_whole_animal:
            continue
        thick = f"{kind.thickness_m * 1000 * share or THIN_SLICE_MM:.0f} mm"
        flat = replace(found, shape="" if kind.shape == "slab" else "slab", pieces=found.pieces if share else "")
        says = f"{told} is taken as {thick} thick: measure it, and say so under Cut."
        return flat if found.thickness else replace(flat, thickness=thick, assumed=says)
    return None
