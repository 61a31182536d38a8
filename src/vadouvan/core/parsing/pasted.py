"""A pasted list or recipe: its name, its meat, its mix, the mixes beside it, and what is no line of any."""

from __future__ import annotations

import re
from collections.abc import Callable, Sequence
from dataclasses import replace

from vadouvan.core.measures.numbers import leading_number
from vadouvan.core.parsing.bare_headings import MOST_WORDS_OF_A_PART, headings_marked
from vadouvan.core.parsing.curing import names_curing_salt
from vadouvan.core.parsing.cut_up_later import with_pieces_of
from vadouvan.core.parsing.directions import MOST_SENTENCES, from_the_hold, parted_by, with_amounts_of, with_meat_of
from vadouvan.core.parsing.headings import (
    AT_THE_TABLE,
    MIXES,
    OTHER_PARTS,
    heading_of,
    is_deed,
    is_told_of_all,
    is_told_of_times,
    kind_of_part,
    words_of,
)
from vadouvan.core.parsing.parts import (
    PastedMix,
    PastedRecipe,
    bath_first,
    by_heading,
    coatings_apart,
    meat_apart,
    others_apart,
)
from vadouvan.core.parsing.pasted_lines import (
    plain_lines,
    without_step_number,
)
from vadouvan.core.parsing.prose import MOST_IN_A_TEXT, amounts_in_prose, begun_in
from vadouvan.core.parsing.tidy import without_bullet
from vadouvan.core.patterns import lazily

LEAST_LINES = 2
FIRST_LISTED = "what stands under no heading"
MOST_LOOKED_AT = 400  # lines of a pasted text; what comes after them is left out, and told
LEAST_IN_PROSE = 2
LEAST_IN_A_DIRECTION = 3  # words of a line that says what to do


_WITH_IT = lazily(  # "4 flour tortillas, warmed"
    r"\b(?:wraps?|tortillas?|pitt?as?|pitt?a breads?|flat ?breads?|naans?|buns?|bread rolls?|baguettes?|ciabattas?"
    r"|(?:cooked|steamed|boiled|basmati|jasmine) rice|rice noodles|noodles|couscous)\b"
    r"(?! (?:crumbs?|flour|water|vinegar))",
    re.IGNORECASE,
)
# "Makes enough for 4 x 350 g bone-in pork chops": the meat is told, if that is one.
_ENOUGH_FOR = lazily(
    r"(?:^|\()(?:(?:this )?(?:makes |is )?(?:enough|sufficient)(?: \w+)? (?:for|to season|to marinate)|^for) (?:an? )?"
    r"(?P<meat>[^()]+?)(?P<long>, ?\d[\d -–]{0,5} ?(?:h|hrs?|hours?|days?))?\.?\)?$",
    re.IGNORECASE,
)
_RULE = lazily(r"^\s*([-=_*~])\1+\s*$")  # drawn between parts; it says nothing


def recipe_in(
    text: str, is_line: Callable[[str], bool], is_meat: Callable[[str], bool], directions: Sequence[str] = ()
) -> PastedRecipe:
    """The parts of a recipe; ``is_line`` tells whether a line can be read, so that a garnish is none of the mix,
    ``is_meat`` whether it names the cut; ``directions`` are those that stand outside the text.

    Where all of it stands under a heading that is usually beside a mix, that is the mix.
    """
    all_lines = text.splitlines()
    looked_at, told = _sentences_opened(all_lines[:MOST_LOOKED_AT], is_line, is_meat)
    plain = (without_step_number(line) for line in headings_marked(looked_at, is_line, is_meat))
    blocks = coatings_apart(_blocks("\n".join(enough_for(line, is_meat) or line for line in plain), is_meat))
    own, beside = _own_and_beside(blocks, is_line, is_meat)
    unused = [block for block in blocks if block.kind == "none"]
    if not own and not beside:  # all of it under "Notes:"
        own = [block for block in unused if any(is_line(line) or is_meat(line) for line in block.lines)]
        unused = [block for block in unused if block not in own]
    lines = [line for block in own for line in block.lines]
    companions = [replace(block, lines=tuple(filter(_of_a_companion(is_line), block.lines))) for block in beside]
    left = [
        *(line for line in lines if _is_none_of_the_mix(line, is_line, is_meat)),
        *(
            line
            for block, kept in zip(beside, companions, strict=True)
            for line in block.lines
            if line not in kept.lines
        ),
        *(line for block in unused for line in block.lines),
        *told,
        *(line.strip() for line in all_lines[MOST_LOOKED_AT:] if line.strip()),
    ]
    recipe = PastedRecipe(
        tuple(line for line in lines if line not in left),
        tuple(one for one in companions if one.lines),
        tuple(left),
        _taken_together(own, left, is_line, is_meat),
    )
    sentences = [*(line for line in left if len(line.split()) >= LEAST_IN_A_DIRECTION), *directions]
    recipe = with_meat_of(sentences, with_amounts_of(sentences, recipe, is_line, is_meat), is_line, is_meat)
    recipe = with_pieces_of(sentences, recipe, is_meat)
    in_order = [*all_lines[:MOST_LOOKED_AT], *directions] if told else sentences  # of prose what is left has no order
    recipe = replace(recipe, afterwards=tuple(from_the_hold(in_order)[:MOST_SENTENCES]))
    if not any(words_of(block.title) & MIXES for block in own):
        recipe = parted_by(sentences, recipe, is_line, is_meat)
    return replace(recipe, mixes=by_heading(recipe.lines, own))


def _own_and_beside(
    blocks: Sequence[PastedMix], is_line: Callable[[str], bool], is_meat: Callable[[str], bool]
) -> tuple[list[PastedMix], list[PastedMix]]:
    """The parts that are of the mix, the meat among them, and those that go beside it."""
    own, after_the_bath = bath_first([block for block in blocks if block.kind == "mix"])
    own = [*own, *(PastedMix("", (line,)) for block in after_the_bath for line in block.lines if is_meat(line))]
    own, with_the_meat = meat_apart(own, is_meat)
    own, others = others_apart(own, is_meat)
    beside = [
        *(replace(block, lines=tuple(line for line in block.lines if not is_meat(line))) for block in after_the_bath),
        *with_the_meat,
        *others,
        *(block for block in blocks if block.kind == "companion"),
    ]
    amounts = (line for block in own for line in block.lines if not is_meat(line))
    if any(is_line(line) or leading_number(line) is not None for line in amounts):
        return own, beside
    # A sauce, where there is nothing else to lie in
    likely = [block for block in beside if not words_of(block.title) & AT_THE_TABLE] or beside[: len(beside) == 1]
    return [*own, *likely[:1]], [block for block in beside if block not in likely[:1]]


def _is_none_of_the_mix(line: str, is_line: Callable[[str], bool], is_meat: Callable[[str], bool]) -> bool:
    """Whether a line among those of the mix is told and left out. A curing salt stops, wherever it stands."""
    if names_curing_salt(line):
        return False
    return not is_meat(line) and (is_told_of_all(line) or (_is_beside_all(line) and not is_line(line)))


def _of_a_companion(is_line: Callable[[str], bool]) -> Callable[[str], bool]:
    """Whether a line of a part beside the mix is one of its ingredients."""

    def said(line: str) -> bool:
        """An amount, and no time or heat; what can be read; a curing salt, which stops."""
        is_amount = leading_number(line) is not None and not is_told_of_times(line)
        return is_amount or is_line(line) or names_curing_salt(line)

    return said


def _taken_together(
    own: Sequence[PastedMix], left: Sequence[str], is_line: Callable[[str], bool], is_meat: Callable[[str], bool]
) -> tuple[str, ...]:
    """Headings of mixes that are one now, as they are told; none where there is only one."""
    named = [
        block.title
        for block in own
        if any(line not in left and not is_meat(line) and (block.title or is_line(line)) for line in block.lines)
    ]
    unnamed = {"", *(title for title in named if words_of(title) & OTHER_PARTS)}
    titles = dict.fromkeys(FIRST_LISTED if title in unnamed else f"“{title}”" for title in named)
    return tuple(titles) if len(titles) > 1 else ()


def _sentences_opened(
    lines: list[str], is_line: Callable[[str], bool], is_meat: Callable[[str], bool]
) -> tuple[list[str], list[str]]:
    """Lines, where all the amounts stand in sentences, "Whisk 60 ml soy, 30 g honey and 1 tsp salt. Pour it over 1 kg
    wings.": each of these on a line of its own; and what else the sentences say. Where a list has the amounts, what is
    to be done only says them again.
    """
    if any(is_line(without_bullet(line)) and not is_meat(without_bullet(line)) for line in lines):
        return lines, []
    opened: list[str] = []
    told: list[str] = []
    looked_at = 0
    for line in lines:
        looked_at += begun_in(line)
        is_plain = looked_at > MOST_IN_A_TEXT or is_line(line) or is_meat(line)
        amounts, rest = ([], line) if is_plain else amounts_in_prose(line.strip(), is_line, is_meat)
        opened += amounts or [line]
        told += [rest] if amounts else []
    some = sum(is_line(line) and not is_meat(line) for line in opened) >= LEAST_IN_PROSE
    return (opened, told) if some else (lines, [])


def enough_for(line: str, is_meat: Callable[[str], bool]) -> str:
    """The meat in "Makes enough for 2 kg pork shoulder", or in brackets behind a name; empty in any other line.

    Hours that stand behind it are a line of their own.
    """
    line = without_bullet(line)
    found = _ENOUGH_FOR.search(line)
    if found is None:
        return ""
    species = " ".join(word for word in line[: found.start()].split() if word.lower() not in MIXES)
    ways = (found["meat"], f"{found['meat']}, {species.lower()}")  # "Lamb marinade (enough for a butterflied leg)"
    meat = next(filter(is_meat, ways), "")
    return "\n".join(filter(None, (meat, (found["long"] or "").strip(", ") if meat else "")))


def _is_beside_all(line: str) -> bool:
    """Whether a line that cannot be read is none of an ingredient: a garnish, a deed, bread or rice to go with it."""
    return _is_garnish(line) or is_deed(line) or _WITH_IT.search(line) is not None


def _is_garnish(line: str) -> bool:
    """Nothing that is measured: no figure in it at all."""
    return leading_number(line) is None and not re.search(r"\d", line)


def _blocks(text: str, is_meat: Callable[[str], bool] | None) -> list[PastedMix]:
    blocks: list[PastedMix] = []
    title, kind = "", "mix"
    lines: list[str] = []

    def close() -> None:
        """End the block at hand; a heading of many words over nothing may be none, and is told."""
        nonlocal title, lines
        if lines:
            blocks.append(PastedMix(title, tuple(lines), kind))  # type: ignore[arg-type]
        elif len(title.split()) > MOST_WORDS_OF_A_PART - 1:
            blocks.append(PastedMix("", (title,), "none"))
        title, lines = "", []

    for raw in plain_lines(text, is_meat):
        line = "" if is_rule(raw) else without_bullet(raw)
        heading = heading_of(line)
        if not line:
            if len(lines) >= LEAST_LINES:
                close()
                kind = "mix" if kind == "mix" else kind
        elif heading is not None:
            close()
            title, kind = heading, kind_of_part(heading)
        else:
            lines.append(line)
    close()
    return blocks


def is_rule(line: str) -> bool:
    """Whether a line is only drawn: dashes, stars or waves between parts."""
    return _RULE.match(line) is not None
