"""How far a liquid is boiled down, as typed: a weight, or a share of what there is."""

from __future__ import annotations

from vadouvan.core.interpretation.notes import Notes
from vadouvan.core.measures.numbers import leading_number
from vadouvan.core.measures.quantity import MIX_MASS, decimal, quantity
from vadouvan.core.mix.reduction import Reduction


def reduced_to(text: str, field: str, notes: Notes) -> Reduction:
    """A weight, a percentage, or "half"."""
    said = text.strip()
    if not said:
        return Reduction()
    part = leading_number(said.removeprefix("by ").removeprefix("to "))
    if part is not None and not part.rest.strip(" ofit") and 0 < part.number.value < 1:
        return Reduction(share=part.number.value)
    if said.endswith("%"):
        accepted = 'Write 20 to 100 %, "half", or a weight such as "150 g".'
        share = notes.attempt(lambda: decimal(said, field=field, low=20, high=100, units=("%",), accepted=accepted))
        return Reduction(share=None if share is None else share / 100)
    return Reduction(kg=notes.attempt(lambda: quantity(said, MIX_MASS, field=field)))
