"""The counter: where a weigh-in stands, and a press carried out, though the draft is typed in at the same moment."""

from __future__ import annotations

from collections.abc import Sequence
from datetime import datetime

from vadouvan.core.draft.typed import Draft
from vadouvan.core.kitchen.kitchen import Kitchen
from vadouvan.core.weighing.advice import ScaleAdvice, advice_on
from vadouvan.core.weighing.event import CounterEvent, LoggedEvent
from vadouvan.core.weighing.session import Session, carry_out, session_of
from vadouvan.errors import Busy, Overtaken
from vadouvan.store.event_log import DraftMoved
from vadouvan.unchanging import unchanging
from vadouvan.use_cases.running_kitchen import RunningKitchen

TRIES = 5  # of a press whose draft is being typed in at the same moment


@unchanging
class CounterStand:
    """A weigh-in after its presses, and what to do about each overshoot."""

    session: Session
    advice: tuple[ScaleAdvice, ...]


def counter_stand(draft: Draft, logged: Sequence[LoggedEvent], kitchen: Kitchen, *, now: datetime) -> CounterStand:
    """Where a weigh-in stands."""
    session = session_of(draft, logged, kitchen, now=now)
    return CounterStand(session, tuple(advice_on(session.draft, session.lines, session.record, kitchen, now=now)))


def stand_of(identity: str, here: RunningKitchen) -> CounterStand:
    """Where the weigh-in of a kept batch stands; raises NotKept."""
    kept = here.batches.get(identity)
    return counter_stand(kept.draft, here.events.of(identity), here.kitchen, now=here.now())


def press(identity: str, said: CounterEvent, after: int, here: RunningKitchen) -> CounterStand:
    """Carry a press out that was made after so many others.

    Raises InputError if it cannot be now, Overtaken if another came first, Busy if the draft never stands still.
    """
    for left in reversed(range(TRIES)):
        kept, now = here.batches.get(identity), here.now()
        session = session_of(kept.draft, here.events.of(identity), here.kitchen, now=now)
        if after != session.record.number:
            raise Overtaken(identity, expected=after, stored=session.record.number)
        carried = carry_out(session, said, here.kitchen, now=now)
        try:
            here.events.note(identity, carried.logged, draft=carried.draft, made_from=session.draft, now=now)
        except DraftMoved:
            if left == 0:
                raise Busy from None
        else:
            break
    return stand_of(identity, here)
