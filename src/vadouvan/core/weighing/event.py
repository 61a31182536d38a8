"""Events at the counter, as the cook presses them: each is kept, and all that is known of a batch follows from them."""

from __future__ import annotations

from datetime import datetime
from typing import Literal, get_args

from vadouvan.core.draft.typed import Draft, Number, Text
from vadouvan.unchanging import unchanging

EventKind = Literal[
    "tare", "weighed", "taken_back", "skipped", "left_out", "added", "tasted", "set_aside", "tipped_back", "contact",
    "later", "turned", "fridge", "pulled", "probe", "boiled", "beside", "beside_back", "undone",
]  # fmt: skip
How = Literal["", "scale", "typed", "spoon"]
MOST_EVENTS = 1_000_000  # of one batch
KINDS: tuple[EventKind, ...] = get_args(EventKind)


def beside_id(companion_id: str, number: int) -> str:
    """Identity of a line beside the mix at the counter: its companion, and which of the lines that can be weighed.

    >>> beside_id("1", 0)
    '1/0'
    """
    return f"{companion_id}/{number}"


@unchanging
class CounterEvent:
    """One event. What belongs to it depends on its kind; the rest is empty.

    ``line_id`` of what stands beside the mix is that of :func:`beside_id`.
    ``mass_kg`` of what was weighed, set aside, added or of the meat; for ``tare`` what stood on the scale then.
    ``words`` are a line as typed, or a verdict; ``celsius`` of meat, fridge or core. ``sure``: the question that
    goes with it was answered. ``undoes`` is the number of the event that an ``undone`` takes back.
    """

    kind: EventKind
    line_id: Text = ""
    mass_kg: Number | None = None
    celsius: Number | None = None
    words: Text = ""
    how: How = ""
    sure: bool = False
    undoes: int | None = None


@unchanging
class LoggedEvent:
    """An event with its number in the batch, from 1, and when it was.

    ``before`` is the draft that it changed, for the day that it is taken back; older kitchens kept none.
    """

    number: int
    at: datetime
    event: CounterEvent
    before: Draft | None = None
