"""A file that a cook brings: a batch file, a recipe (JSON-LD, alone or in a page), or a plain list of ingredients."""

from __future__ import annotations

import json
import re

from vadouvan.core.interpretation.line import can_be_read
from vadouvan.core.kitchen.kitchen import Kitchen
from vadouvan.core.measures.numbers import leading_number
from vadouvan.core.parsing.cut_figures import has_weight
from vadouvan.core.parsing.cut_name import cut_named
from vadouvan.core.parsing.headings import (
    COMPANIONS,
    MIXES,
    OTHER_PARTS,
    begins_a_row,
    heading_of,
    is_deed,
    is_told_of_all,
    is_told_of_times,
    tells_a_part,
    words_of,
)
from vadouvan.core.parsing.pasted import enough_for, is_rule
from vadouvan.core.parsing.pasted_lines import gaps_shortened, in_lines, without_step_number
from vadouvan.core.parsing.pasted_tables import is_of_a_table
from vadouvan.core.parsing.said_of_meat import is_for_a_kilo_of_meat
from vadouvan.core.parsing.servings import servings_said
from vadouvan.core.parsing.tidy import as_a_name, without_bullet
from vadouvan.core.patterns import lazily
from vadouvan.errors import FormatError
from vadouvan.formats import batch_file
from vadouvan.formats.brought import LONGEST_NAME, Brought
from vadouvan.formats.ingredient_list import ACCEPTED, listed, which_meat
from vadouvan.formats.page_text import is_page, text_of_page
from vadouvan.formats.recipe import DATA, read_recipe

LONGEST_PASTED, MOST_PASTED_LINES = 100_000, 3_000
LONGEST_TITLE, LONGEST_ASKING = 100, 80
MOST_WORDS_OF_A_NAME, LINES_BELOW = 8, 3  # of a name that nothing else marks; lines after it, of which one is an amount
_MEASURED = lazily(r"(?<![\w.,/])\d[\d./½¼¾⅓⅔]* ?[a-z]{1,12}\.? [a-z]{3,}(?: [a-z]{3,})?", re.IGNORECASE)
_IN_STARS = lazily(r"^([*_]{0,2})([^*_]+)[*_]{1,2}$")  # bold or slanted
_OF_ONE_PART = frozenset(("for", "the", "first", "second", "dry", "wet"))
_JSON = lazily(r"\{|\[\s*[\]{\[\"\d]")  # "[Marinade]" is a heading
_HEADER = lazily(
    r"^---[ \t]*\r?\n(?P<head>(?:[A-Za-z_]{2,20}:[^\n]*\n|[ \t-][^\n]*\n){1,30}?)---[ \t]*\r?\n(?P<rest>.+)$", re.DOTALL
)
_ADDRESS = lazily(r"(?:https?://|www\.)\S+$", re.IGNORECASE)  # of where it was copied


def read_any(text: str, kitchen: Kitchen) -> Brought:
    """The draft in a file of any of these kinds; raises FormatError or BadInput saying what would do."""
    plain = text.lstrip("\ufeff \t\r\n")
    if len(plain.encode()) > batch_file.LARGEST_BYTES or _is_batch(plain):
        return Brought(batch_file.read(plain), is_ours=True)
    if is_json := _JSON.match(plain) is not None:
        _refuse_broken(plain)
    if is_json or (plain.startswith("<") and DATA in plain):
        return read_recipe(plain, kitchen)
    plain = text_of_page(plain) if is_page(plain) else plain
    return listed(*name_and_lines(plain, kitchen), kitchen)


def name_and_lines(text: str, kitchen: Kitchen) -> tuple[str, str]:
    """The name of a pasted text, and its lines; for how many it is, where the name says that, is a line.

    Raises FormatError for what is far longer than a recipe.
    """
    if len(text) > LONGEST_PASTED or text.count("\n") >= MOST_PASTED_LINES:
        wrong = f"This text has {len(text):,} letters in {text.count(chr(10)) + 1:,} lines."
        accepted = f"Take the recipe alone: up to {LONGEST_PASTED:,} letters in {MOST_PASTED_LINES:,} lines."
        raise FormatError(field="file", given=text[:40], wrong=wrong, accepted=accepted)
    name, lines = _name_and_rest(in_lines(_header_opened(gaps_shortened(text.strip()))), kitchen)
    said = servings_said(name)
    return (name, lines) if said is None else (said.rest, f"{lines}\n\nServes {said.count}")


def _header_opened(text: str) -> str:
    r"""A text whose head between two rules has its title first and the rest of the head last, as lines.

    >>> _header_opened("---\ntitle: Miso cod\nserves: 4\n---\n# Miso cod\n- 60 ml mirin")
    'Miso cod\n\n- 60 ml mirin\n\nserves: 4'
    """
    found = _HEADER.match(text)
    if found is None:
        return text
    said = [line.strip() for line in found["head"].splitlines() if line.strip()]
    title = next((line.partition(":")[2].strip(" \"'") for line in said if line.lower().startswith("title:")), "")
    rest = found["rest"].strip()
    first, _, after = rest.partition("\n")
    rest = after.strip("\n") if title and as_a_name(first.lstrip("# ")).lower() == title.lower() else rest
    others = [line for line in said if not line.lower().startswith("title:")]
    return "\n\n".join(filter(None, (title, rest, "\n".join(others))))


def _refuse_broken(text: str) -> None:
    try:
        json.loads(text)
    except (ValueError, RecursionError) as error:
        wrong = f"The file is broken or not JSON: {str(error)[:200]}."
        raise FormatError(field="file", given=text[:40], wrong=wrong, accepted=ACCEPTED) from None


def _is_batch(text: str) -> bool:
    """Whether it says that it is a batch file, whole or cut short."""
    try:
        raw = json.loads(text)
    except (ValueError, RecursionError):
        return text.startswith("{") and f'"{batch_file.FORMAT}"' in text
    return isinstance(raw, dict) and "@type" not in raw and "@graph" not in raw and text.startswith("{")


def _name_and_rest(text: str, kitchen: Kitchen) -> tuple[str, str]:
    """The name, if the first line is one: it holds no amount and names neither meat nor an ingredient.

    After it comes a gap, an amount, a heading, or what is said of the whole recipe.
    """
    first, _, rest = text.partition("\n")
    if _ADDRESS.match(first.strip()) and rest.strip():
        name, rest = _name_and_rest(rest.strip(), kitchen)
        return name, f"{rest}\n\n{first.strip()}"
    said = _IN_STARS.sub(r"\2", as_a_name(first.strip().lstrip("# ")))
    if said.endswith(":") and heading_of(said) is None and leading_number(said) is None:  # "Cod, 4 servings:"
        said = first = said.rstrip(" :")
    after = without_bullet(rest.strip().partition("\n")[0])
    below = without_step_number(after)  # "Butter chicken" over "Step 1: marinate" is the dish
    says_more = words_of(said) - MIXES - COMPANIONS - OTHER_PARTS - _OF_ONE_PART  # than "Ingredients" does
    is_over_a_part = bool(says_more) and (below != after or tells_a_part(below))
    in_use = (
        leading_number(said) is not None
        or is_of_a_table(first)
        or _holds_an_ingredient(said, kitchen)
        or first.rstrip().endswith(":")
        or (tells_a_part(without_step_number(first)) and not is_over_a_part)
    )
    ingredient = can_be_read(said, kitchen.pantry) or said.lower() in kitchen.pantry.by_name
    if _names_the_dish(first, rest):
        return said[:LONGEST_NAME], text
    asks_which = has_weight(said) and not is_of_a_table(first) and which_meat((said,), kitchen) is not None
    is_named = len(said) <= LONGEST_ASKING and not is_deed(said) and leading_number(said) is None
    if asks_which and is_named:  # "Mojo for pork (enough for a 3 kg shoulder)"
        return said[:LONGEST_NAME], text
    if (
        in_use
        or ingredient
        or cut_named(said, kitchen.cuts) is not None
        or asks_which
        or is_told_of_times(said)
        or is_told_of_all(said)
        or len(said) > LONGEST_TITLE
        or not rest.strip()
    ):
        return "", text
    follows = rest.startswith(("\n", "\r")) or leading_number(after) is not None or heading_of(after) is not None
    is_line = can_be_read(after, kitchen.pantry) or cut_named(after, kitchen.cuts) is not None
    goes_on = (
        follows
        or is_line
        or is_rule(after)
        or has_weight(after)
        or begins_a_row(after)
        or is_for_a_kilo_of_meat(after)
        or _is_over_a_list(said, rest, kitchen)
        or is_told_of_all(after)
        or is_deed(after)
    )
    meat = enough_for(said, lambda line: cut_named(line, kitchen.cuts) is not None)
    return (said[:LONGEST_NAME], f"{meat}\n{rest}".lstrip("\n") if meat else rest) if goes_on else ("", text)


def _is_over_a_list(said: str, rest: str, kitchen: Kitchen) -> bool:
    """Whether a few words stand over a list: an amount or the meat begins one of the next lines."""
    below = [without_bullet(line.strip()) for line in rest.strip().splitlines() if line.strip()][:LINES_BELOW]
    is_list = any(
        leading_number(line) is not None
        or can_be_read(line, kitchen.pantry)
        or cut_named(line, kitchen.cuts) is not None
        for line in below
    )
    return is_list and len(said.split()) <= MOST_WORDS_OF_A_NAME and not is_deed(said) and not said.endswith(".")


def _holds_an_ingredient(said: str, kitchen: Kitchen) -> bool:
    """Whether an ingredient with its amount stands in what may be a name: that is asked, not left there."""
    return any(can_be_read(found.group(), kitchen.pantry) for found in _MEASURED.finditer(said))


def _names_the_dish(first: str, rest: str) -> bool:
    """Whether a first line that is a heading of the mix is also what the whole is called: "Turkey brine"."""
    words = words_of(heading_of(first) or first)
    is_heading = heading_of(first) is not None and not first.rstrip().endswith(":")
    is_named = len(words) > 1 and bool(words & MIXES) and not words & (OTHER_PARTS | _OF_ONE_PART)
    return is_heading and is_named and bool(words - MIXES) and rest.strip() != ""
