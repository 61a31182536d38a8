"""Lines of a pasted text made plain: rows opened, tables read, marks and numbers of steps taken away."""

from __future__ import annotations

import re
from collections.abc import Callable, Iterable, Iterator

from vadouvan.core.measures.numbers import leading_number
from vadouvan.core.parsing.amount_behind import amount_first
from vadouvan.core.parsing.headings import (
    COMPANIONS,
    DATE,
    FOR_EACH,
    FOR_SO_MUCH,
    LONGEST_HEADING,
    MIXES,
    heading_of,
    is_deed,
    is_told_of_all,
    kind_of_part,
    tells_a_part,
    words_of,
)
from vadouvan.core.parsing.pasted_tables import framed, out_of_a_table
from vadouvan.core.parsing.said_of_meat import all_in_grams, meat_of_a_kilo, shares_of_the_meat
from vadouvan.core.parsing.said_of_water import shares_of_the_water
from vadouvan.core.parsing.said_units import unit_said
from vadouvan.core.parsing.sentences import recipe_of_a_sentence
from vadouvan.core.parsing.tidy import without_bullet
from vadouvan.core.patterns import lazily

_BOLD = lazily(r"^\s*(\*\*|__)(?P<said>[^*_]+)\1\s*:?\s*$")
_BRACKETED = lazily(r"^\s*\[([^\[\]\d]{3,40})\]\s*:?\s*$")  # "[Marinade]"
_LETTER = lazily(r"^\s*\(?([A-E])[.):]?\s*$")
_MIXES_ALONE = frozenset(("bath", "brine", "cure", "marinade", "rub", "soak"))  # of one thing: "Dry brine: 6 g salt"
_INGREDIENTS_TOO = frozenset(("butter", "chutney", "crumb", "relish", "salad", "salsa"))  # "Butter: 50 g" is a line
_IN_A_ROW = lazily(
    r"(?:[,;]|\s\+)\s+(?:and\s+)?(?!\d+(?:[.,]\d+)?\s?(?:cm|mm)\b)"
    r"(?=(?:\d|[½¼¾⅓⅔]|(?:an?|one|two|three|half|some|the|pinch|dash|splash|thumb|knob|handful|squeeze"
    r"|glug|bunch|sprig) "
    r"|(?:juice|zest)(?: and (?:juice|zest))? (?:of |[\d½¼¾⅓⅔]|half )|(?:salt|pepper|oil)\b))"
)
# "Turkey legs, 1.6 kg. Make a paste of 40 g butter ..."
_IN_SENTENCES = lazily(r"[a-z)]\.\s+[A-Z](?![A-Za-z' -]{0,40}:)")
_INGREDIENTS = lazily(r"^(?:ingredients|ingred|ingr)\b", re.IGNORECASE)
_OF_FRUIT = lazily(r"^(?:juice|zest)\b", re.IGNORECASE)
LEAST_IN_A_ROW, MOST_OF, MOST_WORDS_OF_A_NAME = 3, 0.6, 3
_DONE_TO_ALL = lazily(  # "blend 3 stalks lemongrass, 2 shallots, ..."
    r"^(?P<deed>blend|blitz|combine|crush|grind|mix|pound|stir|whisk|whizz)(?: together| up)? (?=\d|[½¼¾⅓⅔]|an? )",
    re.IGNORECASE,
)
WORDS_OF_AN_AMOUNT = 2
_DATED = lazily(rf"^(?P<date>{DATE}):\s+(?=\S)", re.IGNORECASE)
_DASHED = lazily(r"^([^\d:;,]{3,40}?) [-–—] (?=\d)")  # "Skewers - 800 g lamb, ..."
_STROKES = lazily(r"\s+[/·•]\s+")
_BY_SEMICOLON = lazily(r"\s*;\s*")
_IN_BRACKETS = lazily(r"\([^()]*\)")
LEAST_ALONE = 2
_OF_ANY_MEAT = frozenset(("about", "each", "large", "medium", "small", "total", "weight", "whole"))
_AMOUNT_BEHIND = lazily(
    r"^[^\W\d_][^\d,;:]{2,40} (?:[\d½¼¾⅓⅔][\d./½¼¾⅓⅔ ]*|an? |half )? ?"
    r"(?:k?g|ml|cl|l|lbs?|oz|tsps?|tbsps?|tea ?spoons?|table ?spoons?|cups?|[tc]|cloves?|sprigs?|pinch)\b\.?"
    r"(?: [a-z]{3,10}ed)?$"
    r"|^[^\W\d_][^\d,;:]{2,40} \d{1,2}$",  # "chilli 4"
    re.IGNORECASE,
)
_STEP = lazily(r"^\s*(?:step|part|day|stage|phase)\s*\d+\s*[:.)–-]*(?P<rest>.*)$", re.IGNORECASE)
_NEXT_PART = lazily(r"[.;]\s+(?=[A-Z][A-Za-z' -]{2,40}:\s+\S)")  # "... 2 bay leaves. Glaze: 2 tbsp honey, ..."


def plain_lines(text: str, is_meat: Callable[[str], bool] | None) -> Iterator[str]:
    """The lines of a text, one thing each, headings with a colon; ``is_meat`` tells whether a line names the cut."""
    whole = in_whole_lines(text).splitlines()
    lines = _meat_told_first(_each_told(meat_of_a_kilo(whole, is_meat) if is_meat is not None else whole, is_meat))
    return _rows_opened([_unmarked(out_of_a_table(line)) for line in lines])


# No table has its columns so far apart, and a row of thousands of blanks would be gone through from each of them.
_GAP = lazily(r"([^\S\r\n]{12})[^\S\r\n]+")


def in_whole_lines(text: str) -> str:
    """A text whose tables have a frame, and whose amounts stand on the lines of their names and tell of what."""
    lines = gaps_shortened(text).splitlines()
    return "\n".join(shares_of_the_water(shares_of_the_meat(all_in_grams(amounts_joined(framed(lines))))))


def gaps_shortened(text: str) -> str:
    """A text without blanks beyond a dozen in a row, of which the first dozen stay as they are."""
    return _GAP.sub(r"\1", text)


def in_lines(text: str) -> str:
    r"""A recipe in one row of amounts, "Skewers: 1 kg pork, 80 ml oil, 2 tsp salt", a line for each; a table framed.

    >>> in_lines("Skewers: 1 kg pork shoulder in 3 cm cubes, 80 ml olive oil, 2 tsp salt")
    'Skewers\n\n1 kg pork shoulder in 3 cm cubes\n80 ml olive oil\n2 tsp salt'
    """
    if "\n" in text.strip():
        return in_whole_lines(text)
    row = " ".join(text.split())
    dated = _DATED.match(row)
    if dated is not None:  # of a diary
        return f"{in_lines(row[dated.end() :])}\n\n{dated['date']}"
    if told := recipe_of_a_sentence(row):
        return "\n".join(told)
    first, *others = _NEXT_PART.split(row)
    if others and all(tells_a_part(part.partition(":")[0] + ":") for part in others):
        title, colon, rest = first.partition(": ")
        amounts = _IN_A_ROW.split(rest)
        is_headed = bool(colon) and leading_number(title) is None and _names_something(rest)
        opened = [title, "", *amounts] if is_headed else [in_lines(first)]
        return "\n".join([*opened, "", *(part.rstrip(". ") for part in others)])
    head, colon, after = _DASHED.sub(r"\1: ", row).partition(": ")
    named = bool(colon) and leading_number(head) is None and len(head) <= LONGEST_HEADING
    listed = after if named else row
    if (diary := _amounts_then_words(listed)) is not None:
        return "\n".join([head, "", *diary] if named else diary)
    parts = _parts_of_a_row(listed)
    if len(parts) < LEAST_IN_A_ROW:
        return text
    last, stop, deed = parts[-1].partition(". ")
    is_told_after = is_deed(deed) or (not is_only_an_amount(last) and re.match(r"[A-Z\d]", deed) is not None)
    if stop and is_told_after:
        parts[-1:] = [last, deed]
    if any(_IN_SENTENCES.search(part) for part in parts[: -1 if stop else None]):
        return text  # sentences with amounts in them, and no row of amounts
    if (done := _DONE_TO_ALL.match(parts[0])) is not None:
        parts = [parts[0][done.end() :], *parts[1:], f"{done['deed'].capitalize()} all of it."]
    return "\n".join([head, "", *parts] if named else parts)


def _parts_of_a_row(row: str) -> list[str]:
    """Amounts of a row, by its semicolons, or by its commas where these hold most of them."""
    if row.count(";") < LEAST_IN_A_ROW - 1:
        return _IN_A_ROW.split(row)
    parts = _BY_SEMICOLON.split(row)
    by_commas = [_IN_A_ROW.split(part) for part in parts]
    return [one for part in by_commas for one in part] if max(map(len, by_commas)) > len(parts) else parts


def _names_something(rest: str) -> bool:
    """Whether it says of what it is: not the "2 whole (350 g each)" behind "Trout:"."""
    words = re.findall(r"[a-z]{3,}", _IN_BRACKETS.sub("", rest).lower())
    return any(word not in _OF_ANY_MEAT and unit_said(word) is None for word in words)


def _amounts_then_words(row: str) -> list[str] | None:
    """Amounts behind their names with commas between, and what is said after them; none in any other row.

    >>> _amounts_then_words("pork belly strips 1 kg, soy 80 ml, garlic 5 cloves, left 5 h. Bit salty.")
    ['pork belly strips 1 kg', 'soy 80 ml', 'garlic 5 cloves', 'left 5 h. Bit salty.']
    """
    parts = [part.strip() for part in row.split(",")]
    count = next((place for place, part in enumerate(parts) if not _AMOUNT_BEHIND.match(part)), len(parts))
    if not LEAST_IN_A_ROW <= count < len(parts) or leading_number(parts[count]) is not None:
        return None
    return [*parts[:count], ", ".join(parts[count:])]


def amounts_joined(lines: list[str]) -> list[str]:
    """Lines, where amounts stand on lines of their own, each before or behind the line with its name.

    >>> amounts_joined(["60 ml", "olive oil", "", "2 cloves", "garlic, crushed"])
    ['60 ml olive oil', '', '2 cloves garlic, crushed']
    >>> amounts_joined(["Soy sauce", "60 ml", "Salt", "1 tsp"])
    ['60 ml Soy sauce', '1 tsp Salt']
    """
    alone = [place for place, line in enumerate(lines) if is_only_an_amount(line)]
    if len(alone) < LEAST_ALONE:
        return lines
    before = sum(_is_name(lines, place + 1) for place in alone)
    behind = sum(_is_name(lines, place - 1) for place in alone)
    last = next(place for place in reversed(range(len(lines))) if lines[place].strip())
    step = 1 if before > behind or (before == behind and last not in alone) else -1
    named = {place: place + step for place in alone if _is_name(lines, place + step)}
    taken = set(named.values())
    return [
        f"{line.strip()} {without_bullet(lines[named[place]]).strip()}" if place in named else line
        for place, line in enumerate(lines)
        if place not in taken
    ]


def is_only_an_amount(line: str) -> bool:
    """Whether a line holds a number, with its unit or without, and no name: "60 ml", "2", "½ tsp"."""
    found = leading_number(_IN_BRACKETS.sub("", without_bullet(line)).strip())
    rest = found.rest.strip(" .") if found is not None else "-"
    return not rest or unit_said(rest) is not None


def _is_name(lines: list[str], place: int) -> bool:
    """Whether a line is there, begins with no number, has a letter in it and is no heading."""
    line = without_bullet(lines[place]).strip() if 0 <= place < len(lines) else ""
    return any(map(str.isalpha, line)) and leading_number(line) is None and not line.endswith(":")


def _unmarked(line: str) -> str:
    """A line in bold letters, which is how lists mark their headings, as a heading; "A" and "B" are marinades."""
    bracketed = _BRACKETED.match(line)
    if bracketed is not None:
        return f"{bracketed[1].strip(' :')}:"
    letter = _LETTER.match(line)
    if letter is not None:
        return f"Marinade {letter[1]}:"
    bold = _BOLD.match(line)
    return line if bold is None or leading_number(bold["said"]) is not None else f"{bold['said'].strip(' :')}:"


def without_step_number(line: str) -> str:
    """A line without "Step 2:" before it; what is left of a few words is a heading.

    >>> without_step_number("STEP 1: marinade"), without_step_number("Step 3"), without_step_number("2 tbsp soy")
    ('marinade:', '', '2 tbsp soy')
    """
    found = _STEP.match(line)
    if found is None:
        return line
    rest = found["rest"].strip()
    return f"{rest}:" if rest and tells_a_part(f"{rest}:") else rest


def _each_told(lines: list[str], is_meat: Callable[[str], bool] | None) -> Iterator[str]:
    """Lines, where what stands under "For every kilo of turkey:" is told for a kilo, each line by itself."""
    each = ""
    for line in lines:
        found = FOR_EACH.match(without_bullet(line))
        if found is not None:
            each = f" per {found['unit']}"
            yield f"{found['head'].strip(' :-–(') or 'Ingredients'}:"
            continue
        head, colon, row = without_bullet(line).partition(":")
        found = FOR_EACH.match(f"{head}:") if colon and row.strip() else None
        if found is not None:  # "Rub per rack: 2 tbsp sugar, 1 tsp salt"
            yield f"{found['head'].strip(' :-–(') or 'Ingredients'}:"
            yield from (f"{amount_first(part).rstrip(' .')} per {found['unit']}" for part in _amounts_of(row.strip()))
            yield "Ingredients:"
            continue
        each = "" if heading_of(without_bullet(line)) is not None else each
        said = amount_first(without_bullet(line)).rstrip(" .")
        is_amount = (
            bool(each)
            and leading_number(said) is not None
            and ". " not in said
            and not is_told_of_all(without_bullet(line))
            and not (is_meat is not None and is_meat(line))
        )
        yield f"{said}{each}" if is_amount else line


def _meat_told_first(lines: Iterable[str]) -> Iterator[str]:
    """Lines, where a heading that holds its meat is a line of that meat, and the heading."""
    for line in lines:
        found = FOR_SO_MUCH.match(without_bullet(line))
        if found is not None and words_of(found["head"]) & MIXES:
            yield from (re.sub(r"^(?:an?|about|approx(?:\.|imately)?) ", "", found["meat"]), f"{found['head']}:")
        else:
            yield line


def _rows_opened(lines: list[str]) -> Iterator[str]:
    """Lines, where a row that a heading begins, "Sauce: 2 tbsp soy, 1 tsp sugar", is a heading with a line for each."""
    is_open = False
    for line in (one for row in lines for one in _parts_of(_dash_as_colon(_unbracketed(row)))):
        head, colon, after = without_bullet(line).partition(":")
        is_listed = leading_number(after.strip()) is not None or _OF_FRUIT.match(after.strip()) is not None
        is_listed = is_listed or len(_parts_of(after.strip())) > 1
        is_listed = is_listed or (
            _INGREDIENTS.match(head) is not None and len(_IN_A_ROW.split(after)) >= LEAST_IN_A_ROW
        )
        parts = _amounts_of(after.strip()) if colon and is_listed else []
        is_named = len(parts) == 1 and (len(after.split()) > WORDS_OF_AN_AMOUNT or "%" in after)  # not "Soy: 3 tbsp"
        is_row = len(parts) > 1 or (is_named and bool(words_of(head) & (COMPANIONS - _INGREDIENTS_TOO | _MIXES_ALONE)))
        if is_row and tells_a_part(f"{head}:") and kind_of_part(head) != "none":
            last, stop, deed = parts[-1].partition(". ")
            parts[-1:] = [last, deed] if stop and is_deed(deed) else parts[-1:]
            yield from (f"{head}:", *parts)
            is_open = True
            continue
        if is_open and line.strip():
            is_open = False
            if heading_of(without_bullet(line)) is None:
                yield "Ingredients:"
        yield line


def _amounts_of(row: str) -> list[str]:
    """Amounts of a row, by any mark between them: commas, semicolons, strokes or dots."""
    parts = _parts_of(row)
    if len(parts) > 1:
        return parts
    return _IN_A_ROW.split(row)


def _is_a_bare_name(part: str) -> bool:
    """Whether it is a few words without a figure."""
    return re.search(r"[\d:]", part) is None and len(part.split()) <= MOST_WORDS_OF_A_NAME


def _begins_with_an_amount(part: str) -> bool:
    """Whether it begins with a number or with a fruit's juice, and something stands behind."""
    found = leading_number(part)
    return _OF_FRUIT.match(part) is not None if found is None else any(map(str.isalpha, found.rest))


def _unbracketed(line: str) -> str:
    """A row of amounts that stands in brackets as a whole, without them; any other line as it is.

    >>> _unbracketed("(soy 60 ml, sake 30 ml, sugar 15 g)"), _unbracketed("(serves 4)")
    ('soy 60 ml, sake 30 ml, sugar 15 g', '(serves 4)')
    """
    inner = line.strip()[1:-1]
    is_bracketed = line.strip().startswith("(") and line.strip().endswith(")") and not re.search(r"[()]", inner)
    return inner if is_bracketed and len(_amounts_of(inner)) >= LEAST_IN_A_ROW else line


def _parts_of(line: str) -> list[str]:
    """A row of things with their amounts behind them, "wings 2 kg; salt 24 g; oil 3 tbsp", or before them, with strokes
    or dots between, one each; else the line.

    >>> _parts_of("wings 2 kg; salt 24 g; oil 3 tbsp"), _parts_of("2 garlic cloves, sliced; dill")
    (['wings 2 kg', 'salt 24 g', 'oil 3 tbsp'], ['2 garlic cloves, sliced; dill'])
    >>> _parts_of("60 ml vinegar / 4 cloves garlic / 1 tsp salt"), _parts_of("200 g / 7 oz yoghurt")
    (['60 ml vinegar', '4 cloves garlic', '1 tsp salt'], ['200 g / 7 oz yoghurt'])
    """
    strokes = [part.strip() for part in _STROKES.split(without_bullet(line))]
    amounts = sum(map(_begins_with_an_amount, strokes))
    is_mostly = _begins_with_an_amount(strokes[0]) and amounts > MOST_OF * len(strokes)  # "... · handful mint"
    names = (part for part in strokes if not _begins_with_an_amount(part))
    if len(strokes) >= LEAST_IN_A_ROW and is_mostly and all(map(_is_a_bare_name, names)):
        return strokes
    for mark in (";", ",", " / "):
        parts = [part.strip() for part in without_bullet(line).rstrip(". ").split(mark)]
        if len(parts) >= LEAST_IN_A_ROW and all(map(_AMOUNT_BEHIND.match, parts)):
            return parts
    return [line]


def _dash_as_colon(line: str) -> str:
    """A row such as "1st marinade — 1 tbsp ginger, 1 tsp salt" with the colon that its heading stands for.

    >>> _dash_as_colon("Glaze - 2 tbsp honey, 1 tsp salt"), _dash_as_colon("Soy sauce - 120 ml")
    ('Glaze: 2 tbsp honey, 1 tsp salt', 'Soy sauce - 120 ml')
    """
    parts = re.split(r"\s[-–—=]\s", line, maxsplit=1)
    if len(parts) < 2 or leading_number(parts[1]) is None or len(_IN_A_ROW.split(parts[1])) < 2:
        return line
    if not words_of(parts[0]) & (MIXES | COMPANIONS):
        return line
    return f"{parts[0]}: {parts[1]}" if heading_of(without_bullet(f"{parts[0]}:")) is not None else line
