"""When something goes in or on while it cooks, as typed: "after 1 h", "30 min before the end", "at the start"."""

from __future__ import annotations

import re
from typing import Literal

from vadouvan.core.interpretation.notes import Notes
from vadouvan.core.measures.quantity import COOK, quantity
from vadouvan.core.patterns import lazily
from vadouvan.errors import InputError
from vadouvan.unchanging import unchanging

ACCEPTED = 'Write "after 1 h", "30 min before the end", "at the start" or "at the end".'
_FROM_END = lazily(r"\b(?:before|last|left|final|to go|from the end)\b", re.IGNORECASE)
_FROM_START = lazily(r"\b(?:after|in|into|from|once|later|minutes? in)\b", re.IGNORECASE)
_END = lazily(r"^(?:at\s+)?(?:the\s+)?(?:very\s+)?(?:end|last)$", re.IGNORECASE)
_START = lazily(r"^(?:at|from|with)?\s*(?:the\s+)?(?:start|beginning|outset|first|meat)$", re.IGNORECASE)
_WORDS = lazily(
    r"\b(?:after|in|into|from|once|later|before|last|left|final|to go"
    r"|the|end|start|serving|it is done|for|with|cooking)\b",
    re.IGNORECASE,
)


@unchanging
class CookMoment:
    """A moment of the cooking [min]: after its start, or before its end."""

    minutes: float
    of: Literal["start", "end"]


def moment_typed(text: str, field: str, notes: Notes) -> CookMoment | None:
    """The moment that was typed; nothing where nothing was, or where it cannot be read, which is noted."""
    said = text.strip()
    if not said:
        return None
    if _END.match(said):
        return CookMoment(0.0, "end")
    if _START.match(said):
        return CookMoment(0.0, "start")
    from_end, from_start = _FROM_END.search(said), _FROM_START.search(said)
    if not from_end and not from_start:
        notes.problems.append(
            InputError(field=field, given=text, wrong="From when it counts is not said.", accepted=ACCEPTED)
        )
        return None
    much = _WORDS.sub(" ", said).strip(" ,.")
    seconds = notes.attempt(lambda: quantity(much, COOK, field=field))
    return None if seconds is None else CookMoment(seconds / 60, "end" if from_end else "start")
