"""A pasted list or recipe: its name, its meat, its mix, the mixes beside it, and what is no line of any."""

from __future__ import annotations

import re
from collections.abc import Callable, Iterator
from dataclasses import dataclass, replace
from typing import Literal

from vadouvan.core.measures.numbers import leading_number
from vadouvan.core.parsing.tidy import without_bullet

_STARTS_LIKE_A_HEADING = re.compile(r"^\s*#|:\s*$")
_BOLD = re.compile(r"^\s*(\*\*|__)(?P<said>[^*_]+)\1\s*:?\s*$")
_MOST_WORDS, _LONGEST = 7, 60
MOST_WORDS_FOR_THE = 5  # "For the chicken" is a heading, marked or not
LEAST_LINES = 2
MOST_LOOKED_AT = 400  # lines of a pasted text; what comes after them is left out, and told
# Words by which a heading tells what stands under it. A glaze, a sauce, what is strewn over it: none is the mix.
_MIXES = frozenset((
    "bath", "brine", "cure", "dry", "marinade", "marinades", "marinating", "mix", "mixture", "overnight",
    "aromatics", "paste", "rub", "seasoning", "seasonings", "soak", "spice", "spices", "wet",
))  # fmt: skip
_COMPANIONS = frozenset((
    "accompaniment", "baste", "basting", "batter", "breading", "butter", "chutney", "coating", "crumb", "crust",
    "decorate", "dredge", "dip", "dressing", "drizzle",
    "filling", "finish", "finishing", "garnish", "glaze", "gravy", "mop", "relish", "salad", "salsa", "sauce", "serve",
    "serving", "side", "sides", "slaw", "spritz", "stuffing", "top", "topping",
))  # fmt: skip
_INGREDIENTS_TOO = frozenset(("butter", "chutney", "crumb", "relish", "salad", "salsa"))  # "Butter: 50 g" is a line
# Beside the mix only where a heading is marked as one: "Pot roast" is the name of a dish.
_POTS = frozenset(("braise", "braising", "pot"))
_NO_LINES = frozenset((
    "directions", "equipment", "how", "instructions", "method", "note", "notes", "nutrition", "preparation",
    "steps", "tools",
))  # fmt: skip
_OTHER_PARTS = frozenset(("ingredients", "meat"))
_STARTS = re.compile(r"^(?:for|to|top with|brush with|first|second|ingredients?|you will need|the)\b", re.IGNORECASE)
_LEFT = re.compile(
    r"(?:,|\b)\s*(?:to|for)\s+(?:serve|serving|garnish|finish|scatter|decorate|the side)\b|\bon the side\b"
    r"|^(?:directions|instructions|method|steps|notes?|preparation|equipment)\s*:"
    r"|^(?:marinate|rest|cook|grill|roast|preheat|serves?|makes|yields?|prep|bake|leave|chill|turn)\b|^\("
    r"|(?:,\s*|\()for (?:the (?:tin|pan|tray|pot|roasting tin|grill)|(?:deep[- ])?frying|greasing"
    r"|dusting|dredging|coating)\b\)?\s*$"
    r"|(?:,\s*|\()(?:to|for) (?:brown|braise|braising|browning|fry|frying|sear|searing|cook|cooking|baste|basting"
    r"|deglaze|poach|poaching|roast|roasting|simmer|grease|brush|brushing)\b[^,]*$"
    r"|^(?:servings|portions|total time|active time|time|difficulty)\s*:",
    re.IGNORECASE,
)

_TIMES = re.compile(
    r"^(?:serves?|feeds|makes|yields?|prep|servings|portions|(?:total |active |cook(?:ing)? |prep(?:aration)? )?time"
    r"|difficulty)\b[^a-z]*\d",
    re.IGNORECASE,
)
_ORDER = re.compile(
    r"^(?:marinate|rest|cook|grill|roast|preheat|serves?|makes|prep|bake|leave|chill|turn|mix|stir|heat)\b",
    re.IGNORECASE,
)

_DEED = re.compile(
    r"^(?:(?:then|next|now|finally|meanwhile),? )?(?:add|blend|blitz|boil|bring|brine|brush|chill|coat|combine|cook"
    r"|cover|cut|drain|drizzle|flip|fry|garnish|grill|leave|let|marinate|massage|mix|pat|place|pour|preheat|put|refrigerate"
    r"|remove|rest|rinse|roast|rub|score|sear|season|serve|set|simmer|slice|smoke|barbecue|broil|soak|steep|prick|truss|tie|flatten|discard|reserve|lift|hold|spread|sprinkle|stir|strain|thread|toss|turn"
    r"|whisk|wipe|wrap)\b",
    re.IGNORECASE,
)
_ASIDE = re.compile(r"(?<=\w)\s*\((?!(?:to|for|optional)\b)[^()]*\)")  # "(save the juice for serving)"
_WORDS_OF_A_DEED = 3

_IN_A_ROW = re.compile(
    r"(?:[,;]|\s\+)\s+(?:and\s+)?(?=(?:\d|[½¼¾⅓⅔]|(?:an?|one|two|three|half|some|the|pinch|dash|splash) "
    r"|(?:juice|zest)(?: and (?:juice|zest))? of |(?:salt|pepper|oil)\b))"
)
_OF_FRUIT = re.compile(r"^(?:juice|zest)\b", re.IGNORECASE)
LEAST_IN_A_ROW = 3
_DASHED = re.compile(r"^([^\d:;,]{3,40}?) [-–—] (?=\d)")  # "Skewers - 800 g lamb, ..."
_BY_SEMICOLON = re.compile(r"\s*;\s*")
_TABLE_HEADS = frozenset(("ingredient", "ingredients", "item", "items", "amount", "quantity", "qty", "weight"))
# "Marinade for 1 kg beef:", "Brine for a 5 kg turkey": a heading with its meat in it.
_FOR_SO_MUCH = re.compile(
    r"^(?P<head>[^\d,:]{3,40}?) for (?P<meat>(?:an? |about )?\d[\d.,]*\s*(?:kg|g|lbs?|pounds?|oz)\b[^:]*):?$",
    re.IGNORECASE,
)
# "Makes enough for 4 x 350 g bone-in pork chops": the meat is told, if that is one.
_ENOUGH_FOR = re.compile(
    r"^(?:this )?(?:makes |is )?(?:enough|sufficient)(?: \w+)? (?:for|to season|to marinate) (?P<meat>.+?)\.?$",
    re.IGNORECASE,
)
_RULE = re.compile(r"^\s*([-=_*~])\1{2,}\s*$")  # drawn between parts; it says nothing
_NEXT_PART = re.compile(r"[.;]\s+(?=[A-Z][A-Za-z' -]{2,40}:\s+\S)")  # "... 2 bay leaves. Glaze: 2 tbsp honey, ..."
_ORDINALS = ((re.compile(r"\b1st\b", re.IGNORECASE), "first"), (re.compile(r"\b2nd\b", re.IGNORECASE), "second"))
_REMARK = re.compile(r"\s*\([^()]*\)(?=\s*:?\s*$)")
# A brine is a bath with its own water: what is rubbed on afterwards is no part of it.
_BATHS = frozenset(("bath", "brine", "soak"))

Kind = Literal["mix", "companion", "none"]


@dataclass(frozen=True)
class PastedMix:
    """One mix of a pasted text: its heading, if any, its lines, and whether it is the mix or goes beside it."""

    title: str
    lines: tuple[str, ...]
    kind: Kind = "mix"


def mixes_in(text: str, is_meat: Callable[[str], bool] | None = None) -> list[PastedMix]:
    r"""The mixes of a pasted text: usually one; two or more when headings or gaps part them.

    A gap parts mixes only when both sides have an ingredient in common, as two full lists have. What holds nothing but
    meat, by ``is_meat``, is no mix; what is rubbed on after a brine goes beside it.

    >>> [mix.title for mix in mixes_in("For the paste:\n2 tbsp miso\nFor the glaze:\n1 tbsp honey")]
    ['paste', 'glaze']
    """
    blocks = [block for block in _blocks(text) if block.kind != "none" and not _is_meat(block, is_meat)]
    own, after_the_bath = _bath_first([block for block in blocks if block.kind == "mix"])
    if own and after_the_bath:
        blocks = [replace(block, kind="companion") if block in after_the_bath else block for block in blocks]
    if len(blocks) > 1 and not any(block.title for block in blocks) and not _repeat_one_another(blocks):
        return [PastedMix("", tuple(line for block in blocks for line in block.lines))]
    return blocks


def in_lines(text: str) -> str:
    r"""A recipe in one row of amounts, "Skewers: 1 kg pork, 80 ml oil, 2 tsp salt", with a line for each.

    >>> in_lines("Skewers: 1 kg pork shoulder in 3 cm cubes, 80 ml olive oil, 2 tsp salt")
    'Skewers\n\n1 kg pork shoulder in 3 cm cubes\n80 ml olive oil\n2 tsp salt'
    """
    row = text.strip()
    if "\n" in row:
        return text
    first, *others = _NEXT_PART.split(row)
    if others and all(tells_a_part(part.partition(":")[0] + ":") for part in others):
        title, colon, rest = first.partition(": ")
        opened = [title, "", *_IN_A_ROW.split(rest)] if colon and leading_number(title) is None else [in_lines(first)]
        return "\n".join([*opened, "", *(part.rstrip(". ") for part in others)])
    head, colon, after = _DASHED.sub(r"\1: ", row).partition(": ")
    named = bool(colon) and leading_number(head) is None and len(head) <= _LONGEST
    listed = after if named else row
    parts = _BY_SEMICOLON.split(listed) if listed.count(";") >= LEAST_IN_A_ROW - 1 else _IN_A_ROW.split(listed)
    if len(parts) < LEAST_IN_A_ROW:
        return text
    return "\n".join([head, "", *parts] if named else parts)


def _is_meat(block: PastedMix, is_meat: Callable[[str], bool] | None) -> bool:
    return is_meat is not None and all(map(is_meat, block.lines))


@dataclass(frozen=True)
class PastedRecipe:
    """A pasted recipe: lines that may be of the mix, mixes beside it, and lines that are of none."""

    lines: tuple[str, ...]
    companions: tuple[PastedMix, ...]
    left_out: tuple[str, ...]


def recipe_in(text: str, is_line: Callable[[str], bool], is_meat: Callable[[str], bool]) -> PastedRecipe:
    """The parts of a recipe; ``is_line`` tells whether a line can be read, so that a garnish is none of the mix,
    ``is_meat`` whether it names the cut.

    Where all of it stands under a heading that is usually beside a mix, that is the mix.
    """
    blocks = _blocks("\n".join(_enough_for(line, is_meat) for line in text.splitlines()[:MOST_LOOKED_AT]))
    own = [block for block in blocks if block.kind == "mix"]
    beside = [block for block in blocks if block.kind == "companion"]
    own, after_the_bath = _bath_first(own)
    own, with_the_meat = _meat_apart(own, is_meat)
    own, others = _others_apart(own, is_meat)
    beside = [*after_the_bath, *with_the_meat, *others, *beside]
    if not any(is_line(line) for block in own for line in block.lines) and len(beside) == 1:
        own, beside = [*own, beside[0]], []
    if not own and not beside:  # all of it under "Notes:"
        own = [block for block in blocks if any(is_line(line) or is_meat(line) for line in block.lines)]
        blocks = [block for block in blocks if block not in own]
    lines = [line for block in own for line in block.lines]
    left = [
        line
        for line in lines
        if is_told_of_all(line) or ((_is_garnish(line) or _is_deed(line)) and not (is_line(line) or is_meat(line)))
    ]
    companions = []
    for block in beside:
        said = tuple(line for line in block.lines if leading_number(line) is not None or is_line(line))
        left += [line for line in block.lines if line not in said]
        companions.append(PastedMix(block.title, said, "companion"))
    left += [line for block in blocks if block.kind == "none" for line in block.lines]
    left += [line.strip() for line in text.splitlines()[MOST_LOOKED_AT:] if line.strip()]
    return PastedRecipe(
        tuple(line for line in lines if line not in left), tuple(one for one in companions if one.lines), tuple(left)
    )


def _bath_first(own: list[PastedMix]) -> tuple[list[PastedMix], list[PastedMix]]:
    """Where one mix is a brine and another is none, the first of these alone is the mix; the others go beside it."""
    baths = [bool(_BATHS & _words(block.title)) for block in own if block.title and _words(block.title) & _MIXES]
    if len(set(baths)) < 2:
        return own, []
    kinds = {id(block): bool(_BATHS & _words(block.title)) for block in own if _words(block.title) & _MIXES}
    first = next(iter(kinds.values()))
    beside = [block for block in own if kinds.get(id(block), first) != first]
    return [block for block in own if block not in beside], beside


def _meat_apart(own: list[PastedMix], is_meat: Callable[[str], bool]) -> tuple[list[PastedMix], list[PastedMix]]:
    """Where a heading tells a brine and another the meat, what stands with the meat is no part of that brine."""
    if not any(_words(block.title) & _BATHS for block in own):
        return own, []
    kept: list[PastedMix] = []
    beside: list[PastedMix] = []
    for block in own:
        told_as_other = block.title and not _words(block.title) & (_MIXES | _OTHER_PARTS)
        meat = tuple(line for line in block.lines if is_meat(line)) if told_as_other else ()
        rest = tuple(line for line in block.lines if line not in meat)
        if meat and rest:
            beside.append(PastedMix(block.title, rest, "companion"))
        kept.append(replace(block, lines=meat) if meat else block)
    return kept, beside


def _others_apart(own: list[PastedMix], is_meat: Callable[[str], bool]) -> tuple[list[PastedMix], list[PastedMix]]:
    """Where a heading tells the mix, what stands under the name of something else, "Raita:", goes beside it."""
    told = [
        place
        for place, block in enumerate(own)
        if _words(block.title) & _MIXES or (block.title and _is_dressed_meat(block, is_meat))
    ]
    if not told:
        return own, []
    others = [
        block
        for block in own[told[0] :]
        if block.title and not _words(block.title) & (_MIXES | _OTHER_PARTS) and not any(map(is_meat, block.lines))
    ]
    return [block for block in own if block not in others], others


def _is_dressed_meat(block: PastedMix, is_meat: Callable[[str], bool]) -> bool:
    """Whether a part holds the meat with what goes on it: "For the pork: 1.5 kg pork, 2 tsp fennel, ..."."""
    return any(map(is_meat, block.lines)) and len(block.lines) > LEAST_IN_A_ROW


def _words(title: str) -> set[str]:
    return set(re.findall(r"[a-z]+", title.lower()))


def _enough_for(line: str, is_meat: Callable[[str], bool]) -> str:
    """The meat in "Makes enough for 2 kg pork shoulder", a line of its own; any other line as it is."""
    found = _ENOUGH_FOR.match(without_bullet(line))
    return found["meat"] if found is not None and is_meat(found["meat"]) else line


def _is_deed(line: str) -> bool:
    """Whether a line says what to do, "Coat the salmon. Chill 12 hours.", and not what goes in."""
    return _DEED.match(line) is not None and len(line.split()) >= _WORDS_OF_A_DEED


def _is_garnish(line: str) -> bool:
    """Nothing that is measured: no figure in it at all."""
    return leading_number(line) is None and not re.search(r"\d", line)


def _out_of_a_table(line: str) -> str:
    """A row of a table, "| salt | 1 tsp |" or with tabs between, as a line; its head and its rules as an empty one.

    >>> _out_of_a_table("| lamb leg steaks | 4 (800 g) |"), _out_of_a_table("|---|---|")
    ('lamb leg steaks, 4 (800 g)', '')
    """
    bare = line.strip()
    if not (bare.startswith("|") and bare.endswith("|") and len(bare) > 1) and "\t" not in bare:
        return line
    cells = [cell.strip() for cell in re.split(r"[|\t]", bare.strip("|")) if cell.strip()]
    if not cells or all(re.fullmatch(r":?-+:?", cell) for cell in cells) or set(map(str.lower, cells)) & _TABLE_HEADS:
        return ""
    return (" " if leading_number(cells[0]) is not None else ", ").join(cells)


def _unmarked(line: str) -> str:
    """A line in bold letters, which is how lists mark their headings, as a heading."""
    bold = _BOLD.match(line)
    return line if bold is None or leading_number(bold["said"]) is not None else f"{bold['said'].strip(' :')}:"


def _meat_told_first(lines: list[str]) -> Iterator[str]:
    """Lines, where a heading that holds its meat is a line of that meat, and the heading."""
    for line in lines:
        found = _FOR_SO_MUCH.match(without_bullet(line))
        if found is not None and _words(found["head"]) & _MIXES:
            yield from (re.sub(r"^(?:an?|about) ", "", found["meat"]), f"{found['head']}:")
        else:
            yield line


def _rows_opened(lines: list[str]) -> Iterator[str]:
    """Lines, where a row that a heading begins, "Sauce: 2 tbsp soy, 1 tsp sugar", is a heading with a line for each."""
    is_open = False
    for line in map(_dash_as_colon, lines):
        head, colon, after = without_bullet(line).partition(":")
        is_listed = leading_number(after.strip()) is not None or _OF_FRUIT.match(after.strip()) is not None
        parts = _IN_A_ROW.split(after.strip()) if colon and is_listed else []
        is_row = len(parts) > 1 or (len(parts) == 1 and bool(_words(head) & (_COMPANIONS - _INGREDIENTS_TOO)))
        if is_row and tells_a_part(f"{head}:") and kind_of_part(head) != "none":
            yield from (f"{head}:", *parts)
            is_open = True
            continue
        if is_open and line.strip():
            is_open = False
            if heading_of(without_bullet(line)) is None:
                yield "Ingredients:"
        yield line


def _dash_as_colon(line: str) -> str:
    """A row such as "1st marinade — 1 tbsp ginger, 1 tsp salt" with the colon that its heading stands for.

    >>> _dash_as_colon("Glaze - 2 tbsp honey, 1 tsp salt"), _dash_as_colon("Soy sauce - 120 ml")
    ('Glaze: 2 tbsp honey, 1 tsp salt', 'Soy sauce - 120 ml')
    """
    parts = re.split(r"\s[-–—]\s", line, maxsplit=1)
    if len(parts) < 2 or leading_number(parts[1]) is None or len(_IN_A_ROW.split(parts[1])) < 2:
        return line
    if not _words(parts[0]) & (_MIXES | _COMPANIONS):
        return line
    return f"{parts[0]}: {parts[1]}" if heading_of(without_bullet(f"{parts[0]}:")) is not None else line


def _blocks(text: str) -> list[PastedMix]:
    blocks: list[PastedMix] = []
    title, kind = "", "mix"
    lines: list[str] = []

    def close() -> None:
        """End the block at hand."""
        nonlocal title, lines
        if lines:
            blocks.append(PastedMix(title, tuple(lines), kind))  # type: ignore[arg-type]
        title, lines = "", []

    for raw in _rows_opened([_unmarked(_out_of_a_table(line)) for line in _meat_told_first(text.splitlines())]):
        line = "" if _RULE.match(raw) else without_bullet(raw)
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


def kind_of_part(title: str) -> Kind:
    """Kind of part under a heading: the mix, a mix beside it, or no lines at all."""
    words = _words(title)
    if words & _NO_LINES:
        return "none"
    if words & (_COMPANIONS | _POTS) and not words & (_MIXES - {"wet", "dry", "mix", "spice", "seasoning"}):
        return "companion"
    return "mix"


def tells_a_part(line: str) -> bool:
    """Whether a line is a heading of a part: a marinade, a glaze, the method; "# Grilled swordfish" is none."""
    with_meat = _FOR_SO_MUCH.match(line)
    if with_meat is not None and _words(with_meat["head"]) & _MIXES:
        return True
    return heading_of(line) is not None and (
        not line.lstrip().startswith("#") or bool(_words(line) & (_MIXES | _COMPANIONS | _NO_LINES | _OTHER_PARTS))
    )


def is_told_of_all(line: str) -> bool:
    """Whether a line says for how many it is, how long it takes, or what to do: no line of a mix."""
    return _LEFT.search(_ASIDE.sub("", line)) is not None


def is_told_of_times(line: str) -> bool:
    """Whether a line says for how many it is or how long it takes, and is no name of a dish."""
    return _TIMES.match(line) is not None


def begins_a_row(line: str) -> bool:
    """Whether a line is a heading with what stands under it in one row: "Brine: 1 l water, 50 g salt"."""
    head, colon, after = without_bullet(line).partition(":")
    return bool(colon) and leading_number(after.strip()) is not None and tells_a_part(f"{head}:")


def heading_of(line: str) -> str | None:
    """Name in a heading, if a line is one: it ends in a colon, or holds no figure and only words of headings.

    >>> heading_of("Ingredients (serves 4):"), heading_of("2nd marinade:"), heading_of("2 tbsp honey")
    ('Ingredients', 'second marinade', None)
    """
    line = _REMARK.sub("", line)
    for ordinal, word in _ORDINALS:
        line = ordinal.sub(word, line)
    if (
        not line
        or len(line) > _LONGEST
        or _ORDER.search(line)
        or leading_number(line) is not None
        or re.search(r"[\d½¼¾⅓⅔,]", line)
    ):
        return None
    title = re.sub(r"^\s*#+\s*|\s*:\s*$", "", line).strip()
    words = re.findall(r"[a-z]+", title.lower())
    for_the = len(words) <= MOST_WORDS_FOR_THE and re.match(r"^for (?:the|your) ", title, re.IGNORECASE) is not None
    marked = for_the or _STARTS_LIKE_A_HEADING.search(line) is not None
    telling = set(words) & (_MIXES | _COMPANIONS | _NO_LINES | _OTHER_PARTS)
    starts = _STARTS.match(title) is not None or len(words) <= 2
    if not words or len(words) > _MOST_WORDS or not (marked or (telling and starts)):
        return None
    return re.sub(r"^for\s+(?:the\s+)?", "", title, flags=re.IGNORECASE).strip() or title


def _repeat_one_another(blocks: list[PastedMix]) -> bool:
    names = [{_last_word(line) for line in block.lines} for block in blocks]
    return any(names[one] & names[other] for one in range(len(names)) for other in range(one))


def _last_word(line: str) -> str:
    words = re.findall(r"[^\W\d_]+", line.split(",", maxsplit=1)[0].lower())
    return words[-1] if words else line
