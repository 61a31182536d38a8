"""Tasks one after another that end at a moment: laid on the clock backwards, hands kept out of sleep and work.

What goes on by itself may take longer than it has to (a cooled mix waits in the fridge), so hands-on work before
it moves to the nearest earlier hour at which hands are free.
"""

from __future__ import annotations

import math
from collections.abc import Sequence
from datetime import datetime, timedelta
from typing import Literal

from vadouvan.core.clock.routine import A_STEP, Routine, later, on_a_step
from vadouvan.core.mix.making import MakingId
from vadouvan.unchanging import unchanging

Place = Literal["shop", "counter", "fridge", "freezer", "cold box", "stove", "oven", "grill", "table"]
Zone = Literal["none", "frozen", "cold", "warm", "hot"]
DeedKind = Literal[
    MakingId,
    "shop", "thaw-out", "thaw", "prepare", "weigh", "contact", "turn", "freeze",
    "pull", "dries", "brine-rest", "travels", "temper", "wait", "heat-up", "cook", "brush", "rest", "keep-warm",
    "serve", "coat", "glaze", "pot", "moment", "boil-mix", "reduce-clean", "sauce", "dip", "finish", "own",
    "frozen-out", "frozen-thawed", "frozen-pull", "frozen-serve", "freeze-cooked",
]  # fmt: skip
"""What a step on the clock is, whatever it says: rules ask for this, never for its id or its words."""

FIVE = 5.0
LONGEST_WAIT = timedelta(days=2)  # hands have to be free at some time within it
LEAST_MIN = 5.0  # shorter ones follow each other without harm
LEAVES_ROOM: frozenset[DeedKind] = frozenset({"cook", "shop"})


def step_id(kind: DeedKind, of: str = "") -> str:
    """The id of a step within its plan: its kind, and which of several it is.

    >>> step_id("pull"), step_id("turn", "2")
    ('pull', 'turn-2')
    """
    return f"{kind}-{of}" if of else kind


@unchanging
class Task:
    """A step before it has its place on the clock; ``zone`` is where the meat is meanwhile, if it is about meat.

    ``of`` tells several of one kind apart.
    """

    kind: DeedKind
    says: str
    minutes: float
    hands_on: bool
    place: Place
    zone: Zone = "none"
    of: str = ""

    @property
    def id(self) -> str:
        """Its id within the plan."""
        return step_id(self.kind, self.of)

    def laid_at(self, moment: datetime, length_min: float, waits_for: str) -> PlanStep:
        """The step when it has its place on the clock, its length there, and the id of the step before it."""
        return PlanStep(
            self.kind, self.says, moment, length_min, self.hands_on, self.place, waits_for, self.zone, self.of
        )


@unchanging
class PlanStep:
    """One step on the clock; ``zone`` is how warm the meat is meanwhile, ``waits_for`` the id of the step before it."""

    kind: DeedKind
    says: str
    at: datetime
    minutes: float
    hands_on: bool
    place: Place
    waits_for: str = ""
    zone: Zone = "none"
    of: str = ""

    @property
    def id(self) -> str:
        """Its id within the plan."""
        return step_id(self.kind, self.of)

    @property
    def ends(self) -> datetime:
        """When it is done."""
        return later(self.at, timedelta(minutes=self.minutes))

    @property
    def wants_all_of_you(self) -> bool:
        """Whether nothing else can be done beside it.

        Cooking is hands-on from end to end but leaves room for more; a bag is turned in passing; one trip shops for
        every batch.
        """
        return self.hands_on and self.minutes >= LEAST_MIN and self.kind not in LEAVES_ROOM


def in_steps(length_min: float) -> float:
    """Minutes that a cook can act on, never fewer than it takes.

    >>> in_steps(12.0), in_steps(15.0)
    (15.0, 15.0)
    """
    return math.ceil(length_min / FIVE - 1e-9) * FIVE


def last_block(tasks: Sequence[Task]) -> timedelta:
    """Hands-on time that ends with the last task, without a break."""
    minutes = 0.0
    for task in reversed(tasks):
        if not task.hands_on:
            break
        minutes += in_steps(task.minutes)
    return timedelta(minutes=minutes)


def laid_before(end: datetime, tasks: Sequence[Task], routine: Routine | None = None) -> list[PlanStep]:
    """Tasks one after another, the last done at ``end``: in steps of five minutes, on the heat to the minute.

    With a ``routine``, hands-on work that is followed by a task that goes on by itself is moved to an earlier free
    time where it would fall into sleep or work; the last block stays where it ends.
    """
    steps: list[_Laid] = []
    block: list[Task] = []
    on_heat: list[Task] = []
    until = end
    for task in reversed(tasks):
        if task.zone == "hot":
            until = _lay(block, until, routine if steps else None, steps)
            block = []
            on_heat.insert(0, task)
            continue
        until = _lay_exactly(on_heat, until, steps)
        on_heat = []
        if task.hands_on:
            block.insert(0, task)
            continue
        until = _lay(block, until, routine if steps else None, steps)
        block = []
        until = _lay([task], until, None, steps)
    until = _lay_exactly(on_heat, until, steps)
    _lay(block, until, routine if steps else None, steps)
    before = ["", *(task.id for task, _, _ in steps[:-1])]
    return [task.laid_at(at, minutes, waits_for) for (task, at, minutes), waits_for in zip(steps, before, strict=True)]


_Laid = tuple[Task, datetime, float]  # a task, its start and its minutes


def _lay(block: Sequence[Task], until: datetime, routine: Routine | None, steps: list[_Laid]) -> datetime:
    """Put a block in front of the steps, ending at ``until`` or at the nearest earlier free time; gives its start."""
    length = timedelta(minutes=sum(in_steps(task.minutes) for task in block))
    start = later(until, -length)
    if routine is not None and block and not routine.free_for(start, length):
        start = _earlier_free(start, length, routine)
    at = start
    laid = []
    for task in block:
        minutes = in_steps(task.minutes)
        laid.append((task, at, minutes))
        at = later(at, timedelta(minutes=minutes))
    steps[:0] = laid
    return start


def _lay_exactly(run: Sequence[Task], until: datetime, steps: list[_Laid]) -> datetime:
    """Blocks on the heat, one after another to the minute from a round start; the last takes what is left over."""
    total = sum(task.minutes for task in run)
    start = at = later(until, -timedelta(minutes=in_steps(total)))
    laid = []
    for task in run:
        minutes = task.minutes + (in_steps(total) - total if task is run[-1] else 0.0)
        laid.append((task, at, minutes))
        at = later(at, timedelta(minutes=minutes))
    steps[:0] = laid
    return start


def _earlier_free(start: datetime, length: timedelta, routine: Routine) -> datetime:
    """The nearest earlier start with free hands; the start itself if there is none within two days."""
    moment = on_a_step(start)
    for _ in range(int(LONGEST_WAIT / A_STEP)):
        moment = later(moment, -A_STEP)
        if routine.free_for(moment, length):
            return moment
    return start
