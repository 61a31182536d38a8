"""Cuts by what somebody calls them, without a weight: "lamb cubes", "ribs". To be asked, never taken."""

from __future__ import annotations

from collections.abc import Mapping

from vadouvan.core.cut.kind import CutKind
from vadouvan.core.parsing.cut_figures import LONGEST_LINE, WEIGHT
from vadouvan.core.parsing.cut_name import MOST_MEANT, cut_named, cuts_meant, cuts_near
from vadouvan.core.parsing.cut_words import tokens_of


def cuts_called(words: str, cuts: Mapping[str, CutKind]) -> tuple[CutKind, ...]:
    """The few kinds of cut that words may mean, the likeliest first; none if it may be any of many.

    >>> from vadouvan.data.tables import shipped_kitchen
    >>> cuts = shipped_kitchen().cuts
    >>> [kind.id for kind in cuts_called("lamb cubes", cuts)]
    ['lamb_shoulder_cubes']
    >>> [kind.id for kind in cuts_called("chops", cuts)]
    ['pork_chop_boneless', 'pork_chop_bone', 'veal_chop', 'lamb_chop']
    """
    if not words.strip() or len(words) > LONGEST_LINE:
        return ()
    line = words if WEIGHT.search(words) else f"1 kg {words}"  # a line of a recipe has a weight
    named = cut_named(line, cuts)
    found = (named,) if named is not None else cuts_meant(line, cuts) or cuts_near(line, cuts)
    return tuple(dict.fromkeys(cuts[one.kind] for one in found)) or _holding(words, cuts)


def _holding(words: str, cuts: Mapping[str, CutKind]) -> tuple[CutKind, ...]:
    """Kinds with a name that holds each of the words, if they are few."""
    said = set(tokens_of(words))
    names = {kind: (kind.name, kind.species, *kind.also_called) for kind in cuts.values()}
    found = tuple(kind for kind, ways in names.items() if said and any(said <= set(tokens_of(way)) for way in ways))
    return found if len(found) <= MOST_MEANT else ()
