"""Portions and mixes for tests, in a few words."""

from __future__ import annotations

from dataclasses import replace

from tests.drafts import steak
from vadouvan.core.draft.typed import Draft, LineInput
from vadouvan.core.interpretation.line import portion_of
from vadouvan.core.parsing.amount import Portion
from vadouvan.data.tables import shipped_kitchen

KITCHEN = shipped_kitchen()
PANTRY = KITCHEN.pantry
ITEMS = PANTRY.by_id
FIVE_SALTY = ("60 g soy sauce", "10 g fish sauce", "20 g mustard", "15 g white miso", "4 g salt", "30 g lemon juice")


def portions(*texts: str) -> list[Portion]:
    """Portions of typed lines, with their numbers as identities, from 1 on as in drafts."""
    return [portion_of(LineInput(str(number), text), PANTRY) for number, text in enumerate(texts, start=1)]


def marked(draft: Draft, mark: str, *ids: str) -> Draft:
    """The draft with a mark on some of its lines."""
    return replace(draft, mix=tuple(replace(line, **{mark: "yes"}) if line.id in ids else line for line in draft.mix))


def salty() -> Draft:
    """A kilogram of steak with five salty things and a lemon."""
    return steak(*FIVE_SALTY)
