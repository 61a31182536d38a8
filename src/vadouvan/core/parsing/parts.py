"""Parts of a pasted recipe that are none of its mix: what comes after a brine, other dishes, coatings."""

from __future__ import annotations

import re
from collections.abc import Callable, Sequence
from dataclasses import replace

from vadouvan.core.parsing.headings import MIXES, OTHER_PARTS, Kind, words_of
from vadouvan.core.parsing.pasted_lines import LEAST_IN_A_ROW
from vadouvan.core.parsing.said_units import unit_said
from vadouvan.core.patterns import lazily
from vadouvan.unchanging import unchanging

# A brine is a bath with its own water: what is rubbed on afterwards is no part of it.
_BATHS = frozenset(("bath", "brine", "soak"))
_COATS = lazily(r"\b(?:flour|bread ?crumbs|panko)\b", re.IGNORECASE)
WITH_THE_MEAT = "with the meat"
_ALONG = lazily(
    r"\b(?:potato(?:es)?|parsnips?|carrots?|swedes?|turnips?|squash|pumpkin|courgettes?|zucchinis?|aubergines?"
    r"|(?:(?:sweet|bell|red|green|yellow|orange|romano) )+peppers?|(?:cherry |plum |vine )?tomato(?:es)?|mushrooms?"
    r"|(?:red |white |yellow |brown )?onions?|leeks?|fennel bulbs?|cabbage|broccoli|cauliflower|asparagus"
    r"|(?:green |runner |broad |butter |cannellini )?beans|chickpeas|lentils|corn)\s*(?:$|[,(])",
    re.IGNORECASE,
)
_BY_THE_SPOON = lazily(r"\b(?:tsps?|tbsps?|tea ?spoons?|table ?spoons?|pinch)\b", re.IGNORECASE)  # binds a paste


@unchanging
class PastedMix:
    """One mix of a pasted text: its heading, if any, its lines, and whether it is the mix or goes beside it."""

    title: str
    lines: tuple[str, ...]
    kind: Kind = "mix"


@unchanging
class PastedRecipe:
    """A pasted recipe: lines that may be of the mix, mixes beside it, and lines that are of none.

    ``mixes`` are the same lines by the headings that they stand under, two or more where one may go on after the other;
    ``taken_together`` are such headings as they are told, where these lines are one mix; ``told`` says what was taken
    from its directions, ``afterwards`` are their sentences from the hold on.
    """

    lines: tuple[str, ...]
    companions: tuple[PastedMix, ...]
    left_out: tuple[str, ...]
    taken_together: tuple[str, ...] = ()
    told: tuple[str, ...] = ()
    mixes: tuple[PastedMix, ...] = ()
    afterwards: tuple[str, ...] = ()


def by_heading(lines: Sequence[str], own: Sequence[PastedMix]) -> tuple[PastedMix, ...]:
    """Lines as the parts of a recipe hold them; what stands in none is of the first.

    They are one where fewer than two have a name of their own, unless they have an ingredient in common, as two full
    lists do.
    """
    left = list(lines)
    found: list[PastedMix] = []
    for block in own:
        held = []
        for line in block.lines:
            if line in left:
                left.remove(line)
                held.append(line)
        found += [replace(block, lines=tuple(held))] if held else []
    if left:
        found[:1] = [replace(found[0], lines=(*found[0].lines, *left)) if found else PastedMix("", tuple(left))]
    named = [block.title for block in found if block.title and not words_of(block.title) & OTHER_PARTS]
    if len(found) < 2 or len(named) > 1 or _repeat_one_another(found):
        return tuple(found)
    return (PastedMix(named[0] if named else "", tuple(line for block in found for line in block.lines)),)


def _repeat_one_another(blocks: Sequence[PastedMix]) -> bool:
    names = [{_name_in(line) for line in block.lines} for block in blocks]
    return any(names[one] & names[other] for one in range(len(names)) for other in range(one))


def _name_in(line: str) -> str:
    """The last word of a line that is no measure: of "4 garlic cloves" the garlic."""
    words = re.findall(r"[^\W\d_]+", line.split(",", maxsplit=1)[0].lower())
    return next((word for word in reversed(words) if unit_said(word) is None), words[-1] if words else line)


def bath_first(own: list[PastedMix]) -> tuple[list[PastedMix], list[PastedMix]]:
    """Where one mix is a brine and another is none, the first of these alone is the mix; the others go beside it."""
    baths = [bool(_BATHS & words_of(block.title)) for block in own if block.title and words_of(block.title) & MIXES]
    if len(set(baths)) < 2:
        return own, []
    kinds = {id(block): bool(_BATHS & words_of(block.title)) for block in own if words_of(block.title) & MIXES}
    first = next(iter(kinds.values()))
    beside = [block for block in own if kinds.get(id(block), first) != first]
    return [block for block in own if block not in beside], beside


def meat_apart(own: list[PastedMix], is_meat: Callable[[str], bool]) -> tuple[list[PastedMix], list[PastedMix]]:
    """Where a heading tells the mix and another the dish, "Fajitas", what stands with the meat there is no part of it.

    "For the lamb" with lamb under it names the meat, and no other dish, unless the mix is a brine.
    """
    told = {word for block in own for word in words_of(block.title) & MIXES}
    if not told:
        return own, []
    own, along = _cooked_along(own, is_meat)
    of_the_meat = {word for block in own for line in block.lines if is_meat(line) for word in words_of(line)}
    ours = MIXES | OTHER_PARTS | (set() if told & _BATHS else of_the_meat)
    kept: list[PastedMix] = []
    beside: list[PastedMix] = along
    for block in own:
        told_as_other = block.title and not words_of(block.title) & ours
        meat = tuple(line for line in block.lines if is_meat(line)) if told_as_other else ()
        rest = tuple(line for line in block.lines if line not in meat)
        if meat and rest:
            beside.append(PastedMix(block.title, rest, "companion"))
        kept.append(replace(block, lines=meat) if meat else block)
    return kept, beside


def _cooked_along(own: list[PastedMix], is_meat: Callable[[str], bool]) -> tuple[list[PastedMix], list[PastedMix]]:
    """Vegetables that stand with the meat under no heading or its own, where the mix has one: they lie in the tray."""
    found: list[str] = []
    kept: list[PastedMix] = []
    for block in own:
        meat = {word for line in block.lines if is_meat(line) for word in words_of(line)}
        is_with_meat = bool(meat) and words_of(block.title) <= meat
        along = [line for line in block.lines if _ALONG.search(line) and not is_meat(line)] if is_with_meat else []
        found += along
        kept += [replace(block, lines=tuple(line for line in block.lines if line not in along))]
    return kept, [PastedMix(WITH_THE_MEAT, tuple(found), "companion")] if found else []


def others_apart(own: list[PastedMix], is_meat: Callable[[str], bool]) -> tuple[list[PastedMix], list[PastedMix]]:
    """Where a heading tells the mix, what stands under the name of something else, "Raita:", goes beside it."""
    told = [
        place for place, block in enumerate(own) if words_of(block.title) & MIXES or _is_dressed_meat(block, is_meat)
    ]
    if not told:
        return own, []
    of_the_meat = {word for block in own for line in block.lines if is_meat(line) for word in words_of(line)}
    ours = MIXES | OTHER_PARTS | of_the_meat  # "For the lamb:" is no other dish than the lamb above it
    others = [
        block
        for block in own[told[0] :]
        if block.title and not words_of(block.title) & ours and not any(map(is_meat, block.lines))
    ]
    return [block for block in own if block not in others], others


def coatings_apart(blocks: list[PastedMix]) -> list[PastedMix]:
    """Parts of a recipe, where one with flour or crumbs by the cup, "Dry:", or after a gap, is a coating beside it."""
    if sum(block.kind == "mix" for block in blocks) < 2:
        return blocks
    return [
        replace(block, title=block.title or "Coating", kind="companion")
        if (block.title or place) and any(map(_is_coat, block.lines))
        else block
        for place, block in enumerate(blocks)
    ]


def _is_coat(line: str) -> bool:
    """Whether a line is of so much flour or crumbs as meat is turned in."""
    return _COATS.search(line) is not None and _BY_THE_SPOON.search(line) is None


def _is_dressed_meat(block: PastedMix, is_meat: Callable[[str], bool]) -> bool:
    """Whether a part holds the meat with what goes on it: "For the pork: 1.5 kg pork, 2 tsp fennel, ..."."""
    return any(map(is_meat, block.lines)) and len(block.lines) > LEAST_IN_A_ROW
