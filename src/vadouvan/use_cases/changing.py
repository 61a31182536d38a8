"""Changes that a batch still takes: none of what was weighed once the meat is in its mix, no moment that was noted."""

from __future__ import annotations

from dataclasses import dataclass

from vadouvan.core.draft.typed import Draft
from vadouvan.core.weighing.as_weighed import locked_parts_changed
from vadouvan.core.weighing.state import state_of
from vadouvan.errors import InputError
from vadouvan.store.batches import Check
from vadouvan.use_cases.running_kitchen import RunningKitchen


@dataclass(frozen=True)
class Changeable:
    """Whether the mix has met the meat, and what refuses changes: to what is locked, to moments that were noted."""

    is_locked: bool
    check: Check | None = None


def changeable(identity: str, here: RunningKitchen) -> Changeable:
    """Everything may change before contact."""
    logged = here.events.of(identity)
    record = state_of(logged)
    if not any(one.event.kind == "contact" for one in logged):
        return Changeable(record.is_locked)

    def check(before: Draft, after: Draft) -> None:
        changed = locked_parts_changed(before, after) if record.is_locked else []
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

    return Changeable(record.is_locked, check)
