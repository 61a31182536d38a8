"""A batch as a recipe in the vocabulary of schema.org (JSON-LD), and recipes from elsewhere read in."""

from __future__ import annotations

import html
import json
import re
from collections.abc import Iterator
from dataclasses import replace
from typing import Any

from vadouvan.core.draft.typed import (
    LONGEST_KEPT,
    MOST_COMPANIONS,
    MOST_LINES,
    CompanionInput,
    Draft,
    LineInput,
    OccasionInput,
)
from vadouvan.core.interpretation.companions import kind_named
from vadouvan.core.interpretation.line import single_lines
from vadouvan.core.kitchen.kitchen import Kitchen
from vadouvan.core.parsing.cut_name import meat_among
from vadouvan.core.parsing.headings import kind_of_part
from vadouvan.core.patterns import lazily
from vadouvan.core.snapshot.kitchen import BatchSnapshot
from vadouvan.errors import FormatError
from vadouvan.formats.brought import LONGEST_NAME, NO_MEAT, Brought, cut_input
from vadouvan.formats.card import BesideOnCard, Card
from vadouvan.formats.ingredient_list import listed
from vadouvan.formats.page_text import scripts_of_page

CONTEXT = "https://schema.org"
DATA = "ld+json"  # in the type of a script that holds it
CATEGORY = "Marinade"
ACCEPTED = 'A recipe is a JSON object with "@type": "Recipe" and a list "recipeIngredient".'


def write_recipe(batch: BatchSnapshot, card: Card, *, batch_path: str = "") -> str:
    """The batch as JSON-LD; ``batch_path`` is where its own file is, for programs that know it."""
    recipe: dict[str, Any] = {
        "@context": CONTEXT,
        "@type": "Recipe",
        "identifier": batch.id,
        "name": card.name,
        "recipeCategory": CATEGORY,
        "dateCreated": batch.made_at.isoformat(),
        "recipeIngredient": [
            *([card.meat] if card.meat else []),
            *(line.text for line in card.lines),
            *(line for one in card.beside for line in _written(one)),
        ],
    }
    if card.servings:
        recipe["recipeYield"] = f"{card.servings} servings"
    if card.allergens:
        recipe["description"] = card.allergens
    if card.steps:
        recipe["recipeInstructions"] = [{"@type": "HowToStep", "text": step} for step in card.steps]
    if batch.verdicts:
        recipe["review"] = [_review(batch, words) for words in range(len(batch.verdicts))]
    if batch_path:
        recipe["encoding"] = {"@type": "MediaObject", "encodingFormat": "application/json", "contentUrl": batch_path}
    return json.dumps(recipe, indent=2, ensure_ascii=False) + "\n"


NOT_TAKEN = "Its instructions were not taken over: times are worked out here, by the cut."
NO_HOURS_TAKEN = "Its hours in the mix were not taken over: they are worked out here, by the cut."


def read_recipe(text: str, kitchen: Kitchen) -> Brought:
    """The draft in a recipe: JSON-LD, alone or inside a web page; raises FormatError.

    One of ours comes back line by line; one from elsewhere is read as a list of ingredients is.
    """
    recipe = next((found for raw in _documents(text) for found in _recipes(raw)), None)
    if recipe is None:
        raise _refused("There is no recipe in it.")
    lines = _texts(recipe.get("recipeIngredient", recipe.get("ingredients")))
    if not lines:
        raise _refused("The recipe lists no ingredients.")
    name = _one_text(recipe.get("name"))
    is_ours = recipe.get("recipeCategory") == CATEGORY
    directions = [_unmarked(step) for step in _texts(recipe.get("recipeInstructions"))]
    brought = (
        _ours(name, lines, kitchen)
        if is_ours
        else listed(_unmarked(name), _unmarked("\n".join(lines)), kitchen, directions)
    )
    servings = _servings(recipe.get("recipeYield")) or brought.draft.occasion.servings
    draft = replace(brought.draft, occasion=OccasionInput(servings=servings))
    not_taken = NO_HOURS_TAKEN if draft.fire.stages else NOT_TAKEN
    notes = (not_taken,) if directions and not is_ours else ()
    return replace(brought, draft=draft, notes=(*brought.notes, *notes))


def _unmarked(text: str) -> str:
    """A text without the marks of the page that it stood in."""
    plain = html.unescape(_TAG.sub(" ", text))
    return "\n".join(" ".join(line.split()) for line in plain.splitlines())


def _ours(name: str, lines: list[str], kitchen: Kitchen) -> Brought:
    """A recipe that was written here: every line as it was."""
    lines, beside = _beside(lines)
    place, meat = meat_among(lines, kitchen.cuts)
    mix = [
        single for number, line in enumerate(lines) if number != place for single in single_lines(line, kitchen.pantry)
    ]
    notes = [] if meat else [NO_MEAT]
    if len(mix) > MOST_LINES:
        notes.append(f"It lists {len(mix)} ingredients; {MOST_LINES} are the most of one mix: the first are taken.")
        mix = mix[:MOST_LINES]
    draft = Draft(
        name=name[:LONGEST_NAME],
        cut=cut_input(meat),
        mix=tuple(LineInput(str(number), line[:LONGEST_KEPT]) for number, line in enumerate(mix, start=1)),
        companions=tuple(beside[:MOST_COMPANIONS]),
    )
    notes += [
        f'Not taken, under "{one.title}": {"; ".join(one.text.splitlines())}.' for one in beside[MOST_COMPANIONS:]
    ]
    return Brought(draft, tuple(notes))


def _written(one: BesideOnCard) -> Iterator[str]:
    """A mix beside the marinade under a heading that says what it is."""
    yield f"For the {one.title}:" if kind_named(one.title) == one.kind else f"For the {one.title} ({one.kind}):"
    yield from (line.text for line in one.lines)


_HEADING = lazily(r"^For the (?P<title>.+?)(?: \((?P<kind>glaze|sauce|dip|finish|pot|coating)\))?:$")


def _beside(lines: list[str]) -> tuple[list[str], list[CompanionInput]]:
    """The lines of the mix, and what stands under headings of what goes beside it."""
    mix: list[str] = []
    beside: list[CompanionInput] = []
    texts: list[list[str]] = []
    under = mix
    for line in lines:
        heading = _HEADING.match(line.strip())
        title = heading["title"] if heading else line.strip().removesuffix(":")
        is_part = heading is not None or (line.strip().endswith(":") and kind_of_part(title) == "companion")
        if not is_part:
            under.append(line)
            continue
        if (heading is None or not heading["kind"]) and kind_of_part(title) == "mix":
            under = mix
            continue
        under = []
        kind = (heading["kind"] if heading else None) or ""
        beside.append(CompanionInput(str(len(beside) + 1), kind, title[:LONGEST_NAME]))
        texts.append(under)
    return mix, [replace(one, text="\n".join(text)[:LONGEST_KEPT]) for one, text in zip(beside, texts, strict=True)]


def _review(batch: BatchSnapshot, number: int) -> dict[str, Any]:
    one = batch.verdicts[number]
    said = [f"{aspect}: {word}" for aspect, word in one.said.words.items() if word]
    body = ". ".join([*said, *([one.said.note.strip()] if one.said.note.strip() else [])])
    author = {"author": {"@type": "Person", "name": one.said.eater.strip()}} if one.said.eater.strip() else {}
    return {"@type": "Review", **author, "dateCreated": one.at.isoformat(), "reviewBody": body}


def _documents(text: str) -> Iterator[Any]:
    """Every JSON document: the text itself, or the scripts of a page."""
    parts = scripts_of_page(text, DATA) if text.lstrip().startswith("<") else [text]
    for part in parts:
        try:
            yield json.loads(part)
        except (ValueError, RecursionError):
            if len(parts) == 1:
                raise _refused("It is no JSON, or it was cut short.") from None


def _recipes(raw: Any, depth: int = 0) -> Iterator[dict[str, Any]]:
    """Every recipe in a document, alone, in a list or in a graph."""
    if depth > 6:
        return
    if isinstance(raw, list):
        for part in raw:
            yield from _recipes(part, depth + 1)
    elif isinstance(raw, dict):
        kinds = raw.get("@type", raw.get("type"))
        if any(str(kind).rsplit("/", 1)[-1] == "Recipe" for kind in (kinds if isinstance(kinds, list) else [kinds])):
            yield raw
        for name in ("@graph", "mainEntity", "mainEntityOfPage"):
            yield from _recipes(raw.get(name), depth + 1)


_TAG = lazily(r"</?[a-z][a-z0-9]{0,9}(?:\s[^<>]{0,200})?/?>", re.IGNORECASE)


def _texts(raw: Any) -> list[str]:
    """Texts of a value that may be one, a list, or objects with a text, with further ones, or with a name."""
    if isinstance(raw, str):
        return [" ".join(line.split()) for line in raw.splitlines() if line.strip()]
    if isinstance(raw, dict):
        return _texts(raw.get("text", raw.get("itemListElement", raw.get("name", raw.get("@unchanging")))))
    if isinstance(raw, list):
        return [text for part in raw for text in _texts(part)]
    return []


def _one_text(raw: Any) -> str:
    return next(iter(_texts(raw)), "")


def _servings(raw: Any) -> str:
    """The number of servings in a yield such as "9 servings"; nothing for "a jar"."""
    for text in [str(raw)] if isinstance(raw, int) and not isinstance(raw, bool) else _texts(raw):
        found = re.match(r"\s*(?:serves|for)?\s*(\d{1,3}(?: ?(?:-|–|to) ?\d{1,3})?)\b", text, re.IGNORECASE)
        if found:
            return found[1]
    return ""


def _refused(wrong: str) -> FormatError:
    return FormatError(field="file", given="", wrong=wrong, accepted=ACCEPTED)
