"""Plans moved, and batches planned around each other."""

from __future__ import annotations

from collections.abc import Callable, Iterable
from datetime import datetime

from vadouvan.core.draft.typed import Draft
from vadouvan.core.interpretation.shared import read_shared
from vadouvan.core.joint_schedule.gather import Batch, Clock
from vadouvan.core.joint_schedule.together import LeftOut, Together, clashes_as_planned, plan_together
from vadouvan.core.judgement.judgement import Judgement
from vadouvan.core.kitchen.shared import SharedKitchen
from vadouvan.core.schedule.moving import Mark, moved
from vadouvan.errors import InputError, NotKept
from vadouvan.store.batches import Origin
from vadouvan.unchanging import unchanging
from vadouvan.use_cases.running_kitchen import RunningKitchen

Judging = Callable[[Draft], Judgement]


@unchanging
class MovedPlan:
    """A draft with a mark of its plan moved, and the plan that it then has, in words."""

    draft: Draft
    says: str


@unchanging
class PlannedTogether:
    """Moves that were kept, in words, what found no place, and whether it is the best of all plans."""

    says: tuple[str, ...]
    left_out: tuple[LeftOut, ...]
    proven: bool


def move_mark(draft: Draft, mark: Mark, to: datetime, judging: Judging) -> MovedPlan:
    """The draft with its meal, its pull or its start at another moment, in the meal's zone if it names none.

    Raises InputError where there is no plan, or the mark cannot be there.
    """
    plan = judging(draft).plan
    if plan is None:
        accepted = "Say the meal, and mend what stops the plan."
        raise InputError(field="plan", given=mark, wrong="This batch has no plan to move.", accepted=accepted)
    moment = to if to.tzinfo is not None else to.replace(tzinfo=plan.meal.at.tzinfo)
    after = moved(draft, plan, mark, moment)
    judgement = judging(after)
    return MovedPlan(after, judgement.sentence if judgement.stops else judgement.plan_says)


def at_the_table(drafts: Iterable[tuple[str, Draft]], judging: Judging) -> list[Batch]:
    """Batches by their names, judged, to be planned around each other."""
    return [Batch(name, draft, judging(draft)) for name, draft in drafts]


def clashes_told(batches: list[Batch], shared: SharedKitchen, clock: Clock) -> list[str]:
    """Clashes while each is planned on its own: a sentence each, none twice."""
    return list(dict.fromkeys(clash.says for clash in clashes_as_planned(batches, shared, clock)))


def table_in_hand(here: RunningKitchen) -> tuple[list[Batch], SharedKitchen, Clock]:
    """The batches in hand, what they share, and the cook's week."""
    batches = at_the_table(((one.id, one.draft) for one in here.in_hand()), here.judged)
    return batches, read_shared(here.settings.shared()), Clock(here.now(), here.kitchen.routine)


def plan_and_keep_together(here: RunningKitchen) -> PlannedTogether:
    """All batches in hand planned around each other and kept.

    What was typed while the plan was worked out stands, also where the plan would move it.
    """
    batches, shared, clock = table_in_hand(here)
    plan = plan_together(batches, shared, here.kitchen, clock)
    return PlannedTogether(tuple(_kept(plan, here)), plan.left_out, plan.proven)


def _kept(plan: Together, here: RunningKitchen) -> Iterable[str]:
    for one in plan.moved:
        origin = Origin(since=one.batch.draft, prefer="theirs")
        try:
            kept = here.batches.change(one.batch.id, one.draft, origin, now=here.now())
        except NotKept:
            yield f"{one.batch.name}: removed meanwhile."
            continue
        yield f"{one.batch.name}: {here.judged(kept.draft).plan_says}"
