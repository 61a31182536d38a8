"""Verdicts kept and learned from; the same dish once more, as it is or as the verdicts ask."""

from __future__ import annotations

from collections.abc import Sequence

from vadouvan.core.draft.typed import CutInput, Draft
from vadouvan.core.tasting.again import made_again
from vadouvan.core.tasting.next_time import all_taken
from vadouvan.core.tasting.verdict import VerdictInput, read_verdict, readable_verdicts
from vadouvan.store.beside import MadeFrom
from vadouvan.store.standing import KeptBatch
from vadouvan.store.verdicts import Descent
from vadouvan.use_cases.learning import learn
from vadouvan.use_cases.running_kitchen import RunningKitchen


def keep_verdict(identity: str, said: VerdictInput, made_from: MadeFrom[VerdictInput], here: RunningKitchen) -> None:
    """Keep what one eater said; the cook's own correction follows. Raises InputError, NotKept, or Collision."""
    read_verdict(said)
    here.verdicts.keep(identity, said, now=here.now(), made_from=made_from)
    learn(here)


def next_batch(identity: str, here: RunningKitchen) -> KeptBatch:
    """The next batch of the same dish, with every change that the verdicts ask for."""
    kept = here.batches.get(identity)
    verdicts = list(readable_verdicts(one.said for one in here.verdicts.of(identity)))
    draft, says = all_taken(kept.draft, verdicts, here.kitchen, now=here.now())
    return _following(identity, draft, says, here)


def again(identity: str, cut: CutInput, here: RunningKitchen) -> KeptBatch:
    """A batch made again, on another cut if one is said: its amounts are worked out anew."""
    kept = here.batches.get(identity)
    draft, says = made_again(kept.draft, here.kitchen, now=here.now(), cut=cut)
    return _following(identity, draft, says, here)


def _following(identity: str, draft: Draft, says: Sequence[str], here: RunningKitchen) -> KeptBatch:
    made = here.batches.add(here.new_id(), draft, now=here.now())
    here.verdicts.note_descent(Descent(made.id, identity, tuple(says)))
    return made
