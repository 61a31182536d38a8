"""Allergens of a batch, from its ingredients and its cut: one list for page, label, card, recipe and terminal."""

from __future__ import annotations

from collections.abc import Iterable

from vadouvan.core.cut.kind import CutKind
from vadouvan.core.parsing.amount import Portion
from vadouvan.unchanging import unchanging


@unchanging
class Allergen:
    """An allergen, what brings it, and whether it is sure or for the packet to say."""

    name: str
    brought_by: tuple[str, ...]
    sure: bool


def allergens_of(portions: Iterable[Portion], kind: CutKind | None) -> tuple[Allergen, ...]:
    """Every allergen with what brings it, sure ones first; one that is sure is not told again as possible."""
    sure: dict[str, list[str]] = {name: [kind.name] for name in kind.allergens} if kind else {}
    possible: dict[str, list[str]] = {}
    for portion in portions:
        item = portion.ingredient
        for names, found in ((item.allergens, sure), (item.allergens_to_check, possible)):
            for name in names:
                by = found.setdefault(name, [])
                if item.also_called[0] not in by:
                    by.append(item.also_called[0])
    known = [Allergen(name, tuple(by), True) for name, by in sorted(sure.items())]
    return (*known, *(Allergen(name, tuple(by), False) for name, by in sorted(possible.items()) if name not in sure))


def contains(found: Iterable[Allergen]) -> str:
    """Names of those that are sure, in words; empty if none is."""
    return ", ".join(one.name for one in found if one.sure)


def may_contain(found: Iterable[Allergen]) -> str:
    """Names of those that the packet has to say, in words; empty if there are none."""
    return ", ".join(one.name for one in found if not one.sure)


def allergens_told(found: tuple[Allergen, ...]) -> str:
    """All of them in a sentence, as on the card.

    >>> allergens_told((Allergen("milk", ("yoghurt",), True), Allergen("celery", ("curry powder",), False)))
    'Contains milk. May contain celery: read the packets.'
    """
    sure, possible = contains(found), may_contain(found)
    parts = (f"Contains {sure}." if sure else "", f"May contain {possible}: read the packets." if possible else "")
    return " ".join(part for part in parts if part)
