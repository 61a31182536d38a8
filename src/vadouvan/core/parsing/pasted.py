"""A pasted list or recipe: its name, its meat, its mix, the mixes beside it, and what is no line of any."""

from __future__ import annotations

import re
from collections.abc import Callable, Sequence
from dataclasses import replace

from vadouvan.core.measures.numbers import leading_number
from vadouvan.core.parsing.curing import names_curing_salt
from vadouvan.core.parsing.directions import parted_by, with_amounts_of, with_meat_of
from vadouvan.core.parsing.headings import (
    AT_THE_TABLE,
    MIXES,
    OTHER_PARTS,
    SIDES,
    heading_of,
    is_deed,
    is_told_of_all,
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

LEAST_LINES = 2
FIRST_LISTED = "what stands under no heading"
MOST_LOOKED_AT = 400  # lines of a pasted text; what comes after them is left out, and told
LEAST_IN_PROSE = 2
LEAST_IN_A_DIRECTION = 3  # words of a line that says what to do


MOST_WORDS_OF_A_PART = 4
_WITH_IT = re.compile(  # "4 flour tortillas, warmed"
    r"\b(?:wraps?|tortillas?|pitt?as?|pitt?a breads?|flat ?breads?|naans?|buns?|bread rolls?|baguettes?|ciabattas?"
    r"|(?:cooked|steamed|boiled|basmati|jasmine) rice|rice noodles|noodles|couscous)\b"
    r"(?! (?:crumbs?|flour|water|vinegar))",
    re.IGNORECASE,
)
# "Makes enough for 4 x 350 g bone-in pork chops": the meat is told, if that is one.
_ENOUGH_FOR = re.compile(
    r"(?:^|\()(?:this )?(?:makes |is )?(?:enough|sufficient)(?: \w+)? (?:for|to season|to marinate) (?:an? )?"
    r"(?P<meat>[^()]+?)\.?\)?$",
    re.IGNORECASE,
)
_RULE = re.compile(r"^\s*([-=_*~])\1+\s*$")  # drawn between parts; it says nothing


def recipe_in(
    text: str, is_line: Callable[[str], bool], is_meat: Callable[[str], bool], directions: Sequence[str] = ()
) -> PastedRecipe:
    """The parts of a recipe; ``is_line`` tells whether a line can be read, so that a garnish is none of the mix,
    ``is_meat`` whether it names the cut; ``directions`` are those that stand outside the text.

    Where all of it stands under a heading that is usually beside a mix, that is the mix.
    """
    looked_at, told = _sentences_opened(text.splitlines()[:MOST_LOOKED_AT], is_line, is_meat)
    looked_at = _headings_marked(looked_at, is_line, is_meat)
    plain = (without_step_number(line) for line in looked_at)
    blocks = _blocks("\n".join(enough_for(line, is_meat) or line for line in plain), is_meat)
    blocks = coatings_apart(blocks)
    own = [block for block in blocks if block.kind == "mix"]
    beside = [block for block in blocks if block.kind == "companion"]
    own, after_the_bath = bath_first(own)
    own = [*own, *(PastedMix("", (line,)) for block in after_the_bath for line in block.lines if is_meat(line))]
    after_the_bath = [
        replace(block, lines=tuple(line for line in block.lines if not is_meat(line))) for block in after_the_bath
    ]
    own, with_the_meat = meat_apart(own, is_meat)
    own, others = others_apart(own, is_meat)
    beside = [*after_the_bath, *with_the_meat, *others, *beside]
    amounts = (line for block in own for line in block.lines if not is_meat(line))
    if not any(is_line(line) or leading_number(line) is not None for line in amounts):
        likely = [block for block in beside if not words_of(block.title) & AT_THE_TABLE] or beside[: len(beside) == 1]
        own, beside = [*own, *likely[:1]], [block for block in beside if block not in likely[:1]]
    if not own and not beside:  # all of it under "Notes:"
        own = [block for block in blocks if any(is_line(line) or is_meat(line) for line in block.lines)]
        blocks = [block for block in blocks if block not in own]
    lines = [line for block in own for line in block.lines]
    left = [
        line
        for line in lines
        if not names_curing_salt(line)  # it stops, wherever and however it stands
        and (is_told_of_all(line) or (_is_beside_all(line) and not (is_line(line) or is_meat(line))))
    ]
    companions = []
    for block in beside:
        said = tuple(
            line for line in block.lines if leading_number(line) is not None or is_line(line) or names_curing_salt(line)
        )
        left += [line for line in block.lines if line not in said]
        companions.append(PastedMix(block.title, said, "companion"))
    left += [line for block in blocks if block.kind == "none" for line in block.lines]
    left += told
    left += [line.strip() for line in text.splitlines()[MOST_LOOKED_AT:] if line.strip()]
    named = [
        block.title
        for block in own
        if any(line not in left and not is_meat(line) and (block.title or is_line(line)) for line in block.lines)
    ]
    unnamed = {"", *(title for title in named if words_of(title) & OTHER_PARTS)}
    titles = dict.fromkeys(FIRST_LISTED if title in unnamed else f"“{title}”" for title in named)
    recipe = PastedRecipe(
        tuple(line for line in lines if line not in left),
        tuple(one for one in companions if one.lines),
        tuple(left),
        tuple(titles) if len(titles) > 1 else (),
    )
    sentences = [*(line for line in left if len(line.split()) >= LEAST_IN_A_DIRECTION), *directions]
    recipe = with_meat_of(sentences, with_amounts_of(sentences, recipe, is_line, is_meat), is_line, is_meat)
    if not any(words_of(block.title) & MIXES for block in own):
        recipe = parted_by(sentences, recipe, is_line, is_meat)
    return replace(recipe, mixes=by_heading(recipe.lines, own))


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


def _headings_marked(lines: list[str], is_line: Callable[[str], bool], is_meat: Callable[[str], bool]) -> list[str]:
    """Lines with a colon after each that can only be a heading: a few words before an amount, of which none is an
    ingredient, after a gap below the first lines of a list, or above lines that are set in. Where another heading tells
    a mix, so that the text is in parts, it may be the first; no gap is needed where that other heading has none, nor
    by the name of what goes with a dish, "Tzatziki".
    """
    told = [place for place, line in enumerate(lines) if words_of(heading_of(without_bullet(line)) or "") & MIXES]
    needs_no_gap = any(place > 0 and lines[place - 1].strip() for place in told)
    marked: list[str] = []
    is_begun = False
    for place, line in enumerate(lines):
        bare = line.strip()
        words = bare.split()
        below = lines[place + 1] if place + 1 < len(lines) else ""
        after = without_bullet(below)
        is_side = bool(words) and words[-1].lower() in SIDES and leading_number(after) is not None
        is_over = _set_in(below) > _set_in(line)
        is_named = needs_no_gap and all(word[0].isupper() for word in words)  # not "Cooking spray"
        stands_apart = is_side or is_named or is_over or not lines[place - 1].strip()
        stands_alone = place > 0 and stands_apart and (leading_number(after) is not None or is_line(after))
        stands_alone = stands_alone and bool(told or is_begun)
        is_name = 0 < len(words) <= MOST_WORDS_OF_A_PART and re.fullmatch(r"[^\W\d_][^\d,:;.()]*", bare) is not None
        is_name = is_name and leading_number(bare) is None
        is_heading = stands_alone and is_name and heading_of(bare) is None and not is_deed(bare)
        parts = [part for part in re.split(r"\s+(?:and|or|&)\s+", bare) if part] if is_heading else []
        names_one = not (is_side or (is_over and is_line(after))) and any(
            is_line(f"10 g {part}") for part in (bare, *parts)
        )
        is_heading = is_heading and not is_meat(bare) and not names_one
        marked.append(f"{bare}:" if is_heading else line)
        is_begun = is_begun or is_line(without_bullet(line)) or is_meat(without_bullet(line))
    return marked


def _set_in(line: str) -> int:
    """Blanks before a line."""
    return len(line.expandtabs(4)) - len(line.expandtabs(4).lstrip())


def enough_for(line: str, is_meat: Callable[[str], bool]) -> str:
    """The meat in "Makes enough for 2 kg pork shoulder", or in brackets behind a name; empty in any other line."""
    found = _ENOUGH_FOR.search(without_bullet(line))
    return found["meat"] if found is not None and is_meat(found["meat"]) else ""


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
