"""After tasting, or at the shelf: corrections of a whole mix, and swaps for one of its lines."""

from __future__ import annotations

from datetime import datetime

from vadouvan.core.advice.amounts import Asked, board_of
from vadouvan.core.advice.corrections import Correction, Degree, Taste, corrections
from vadouvan.core.advice.swaps import MixToSwapIn, SwapOffer, swaps_for
from vadouvan.core.draft.typed import Draft
from vadouvan.core.kitchen.kitchen import Kitchen
from vadouvan.errors import InputError


def corrections_for(draft: Draft, kitchen: Kitchen, *, now: datetime, taste: Taste, degree: Degree) -> list[Correction]:
    """Additions against a fault; raises InputError when the draft cannot be judged."""
    at_contact = board_of(draft, kitchen, now=now).at_contact
    return corrections(at_contact.whole, at_contact.served_kg, at_contact.film, taste, degree, kitchen.pantry)


def swaps_of_line(
    draft: Draft, kitchen: Kitchen, *, now: datetime, line_id: str, without: frozenset[str] = frozenset()
) -> list[SwapOffer]:
    """Stand-ins for a line, leaving out what holds an allergen of ``without``.

    Raises InputError when the draft cannot be judged or has no such line.
    """
    board = board_of(draft, kitchen, now=now)
    portion = next((portion for portion in board.at_contact.whole if portion.line_id == line_id), None)
    if portion is None:
        raise InputError(
            field=f"mix.{line_id}", given=line_id, wrong="There is no such line.", accepted="Choose a line of the mix."
        )
    return swaps_for(portion, _bowl(board), kitchen.swaps, kitchen.pantry.by_id, without)


def _bowl(board: Asked) -> MixToSwapIn:
    return MixToSwapIn(board.at_contact.whole, board.at_contact.served_kg, board.at_contact.film)
