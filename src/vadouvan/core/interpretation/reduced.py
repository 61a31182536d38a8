"""How far a liquid is boiled down or thinned, as typed: a weight, a share of what there is, or water that is added."""

from __future__ import annotations

import re

from vadouvan.core.interpretation.notes import Notes
from vadouvan.core.measures.numbers import leading_number
from vadouvan.core.measures.quantity import MIX_MASS, decimal, quantity
from vadouvan.core.mix.reduction import Reduction
from vadouvan.core.patterns import lazily

_FILLER = lazily(r"^(?:(?:reduced?|boiled?|cooked|thinned?|let|down|out|it|by|to|until)\b\s*)+", re.IGNORECASE)
_WATER = lazily(r"^(?:with|plus|\+|add)\s*(?P<much>.+?)\s*(?:of\s+)?(?:water|stock)?$", re.IGNORECASE)


def reduced_to(text: str, field: str, notes: Notes) -> Reduction:
    """A weight, a percentage, "half", or "with 50 g water"; more than there is means thinned."""
    said = _FILLER.sub("", text.strip())
    if not said:
        return Reduction()
    water = _WATER.match(said)
    if water:
        return Reduction(water_kg=notes.attempt(lambda: quantity(water["much"], MIX_MASS, field=field)))
    part = leading_number(said)
    if part is not None and not part.rest.strip(" ofit") and 0 < part.number.value < 1:
        return Reduction(share=part.number.value)
    if said.endswith("%"):
        accepted = 'Write 20 to 400 %, "half", a weight such as "150 g", or "with 50 g water".'
        share = notes.attempt(lambda: decimal(said, field=field, low=20, high=400, units=("%",), accepted=accepted))
        return Reduction(share=None if share is None else share / 100)
    return Reduction(kg=notes.attempt(lambda: quantity(said, MIX_MASS, field=field)))
