"""Changes that a batch still takes: none of what was weighed once the meat is in its mix, no moment that was noted."""

from __future__ import annotations

from collections.abc import Sequence

from vadouvan.core.draft.typed import Draft
from vadouvan.core.weighing.event import LoggedEvent
from vadouvan.core.weighing.state import state_of
from vadouvan.errors import InputError

LOCKED = ("mix", "making", "quantity", "cut", "aims")


def refuse_what_is_locked(before: Draft, after: Draft, logged: Sequence[LoggedEvent]) -> None:
    """Raise InputError for a change that the presses of a batch no longer allow; before contact everything may."""
    if not any(one.event.kind == "contact" for one in logged):
        return
    record = state_of(logged)
    changed = [name for name in LOCKED if record.is_locked and getattr(before, name) != getattr(after, name)]
    if changed:
        wrong = "The meat is in the mix: cut and mix stay as they were weighed."
        accepted = "Note what you add under Weigh-in; plan, hold and fire may still change."
        raise InputError(field=changed[0], given=changed[0], wrong=wrong, accepted=accepted)
    noted_there = before.meal.contact != after.meal.contact or (
        before.meal.pulled != after.meal.pulled and record.pulled_at is not None
    )
    if noted_there:
        wrong = "When it went in and came out was noted at the counter."
        raise InputError(field="meal", given="", wrong=wrong, accepted="Take it back under Weigh-in.")
