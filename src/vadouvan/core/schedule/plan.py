"""When the meat goes in and comes out, worked back from the meal, around the cook's week and what has happened."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import replace
from datetime import datetime, timedelta
from functools import cached_property

from vadouvan.core.clock.chain import Task, in_steps, laid_before, last_block
from vadouvan.core.clock.meal import Meal
from vadouvan.core.clock.routine import A_STEP, Routine, hours_between, later, on_a_step
from vadouvan.core.clock.telling import moment_told
from vadouvan.core.figure import hours_told
from vadouvan.core.hold.window import Window
from vadouvan.unchanging import unchanging

DRYING = A_STEP  # hands are wanted at the pull for so long


@unchanging
class Plan:
    """Contact and pull around one meal.

    ``trouble`` says what does not fit, if anything; ``after_sleep`` that contact was moved out of sleep or work;
    ``overdue`` that the pull was missed and is planned for now. ``ready_at`` is the earliest meal that would work
    from now on, where this one does not; ``asked_at`` is the moment as of which it was made. ``costs`` says what the
    cook's own hours cost; ``keeps_from`` is the earliest contact that raw food keeps from until the pull.
    """

    meal: Meal
    contact_at: datetime
    contact_from: datetime
    contact_until: datetime
    pull_at: datetime
    pull_from: datetime
    pull_until: datetime
    trouble: str | None
    after_sleep: bool
    overdue: bool = False
    ready_at: datetime | None = None
    asked_at: datetime | None = None
    costs: str = ""
    keeps_from: datetime | None = None

    def told(self, moment: datetime) -> str:
        """A moment of this plan in words, in the zone of its meal."""
        local = moment.astimezone(self.meal.at.tzinfo)
        return moment_told(local, self.asked_at or local)

    @property
    def hold_h(self) -> float:
        """Hours between contact and pull."""
        return hours_between(self.contact_at, self.pull_at)

    @property
    def lead(self) -> timedelta:
        """From the pull until it is done: on the table, or kept warm for it."""
        return timedelta(hours=hours_between(self.pull_at, self.meal.at)) - self.meal.early


@unchanging
class Work:
    """Steps before contact, in order, the least time from the pull to the table, and how long it waits
    raw between the two.
    """

    tasks: Sequence[Task]
    least_lead: timedelta = timedelta(0)
    waits: timedelta = timedelta(0)

    @property
    def length(self) -> timedelta:
        """All tasks before contact one after another."""
        return timedelta(minutes=sum(in_steps(task.minutes) for task in self.tasks))

    @cached_property
    def _hands(self) -> timedelta:
        """Hands-on work that ends at the contact."""
        return last_block(self.tasks)

    def fits(self, contact: datetime, now: datetime, routine: Routine) -> bool:
        """Whether all of it can be done before a contact, from now on, with hands free."""
        if not routine.free_for(later(contact, -self._hands), self._hands):
            return False
        return self._is_in_time(contact, now, routine)

    def nearest_contact(
        self, wanted: datetime, *, first: datetime, last: datetime, now: datetime, routine: Routine
    ) -> datetime | None:
        """The contact nearest to ``wanted``, within the two ends, that fits so; or none."""
        return routine.nearest_free(
            wanted,
            first=first,
            last=last,
            hands=self._hands,
            before=self._hands,
            fits=lambda contact: self._is_in_time(contact, now, routine),
        )

    def _is_in_time(self, contact: datetime, now: datetime, routine: Routine) -> bool:
        steps = laid_before(contact, self.tasks, routine)
        return not steps or hours_between(now, steps[0].at) >= -1e-6


def plan_for(window: Window, meal: Meal, now: datetime, routine: Routine, work: Work) -> Plan:
    """The plan whose pull fits the meal: contact as near to best as the present and the cook's week allow.

    A contact and a pull that have been are taken as they were; a pull that was missed is planned for now.
    """
    zone = meal.at.tzinfo
    overdue = meal.contact_at is not None and meal.pulled_at is None and hours_between(meal.pull_at, now) > 0
    pull_at = on_a_step(now.astimezone(zone)) if overdue else meal.pull_at
    closes_h = closing_hours(window, work)
    contact_from = later(pull_at, -timedelta(hours=closes_h))
    contact_until = later(pull_at, -timedelta(hours=window.safe_earliest_h))
    earliest = later(now, work.length).astimezone(zone)
    best = later(pull_at, -timedelta(hours=window.best.hours))
    # The cook's own hour is taken as it is: only what is unsafe refuses, and the plan says what it costs.
    asked = meal.start_at if meal.contact_at is None else None
    keeps_from = later(pull_at, -timedelta(hours=window.keeps_h - work.waits / timedelta(hours=1)))
    first = max(contact_from if asked is None else keeps_from, earliest)
    last = contact_until if asked is None else later(pull_at, -A_STEP)
    wanted = max(asked or best, first)
    free = None
    if wanted <= last:
        free = work.nearest_contact(wanted, first=first, last=last, now=now, routine=routine)
    contact_at = meal.contact_at or on_a_step(free or wanted)
    costs = "" if asked is None or free != asked else _costs(window, hours_between(asked, pull_at))
    return _told(
        window,
        Plan(
            meal=meal,
            contact_at=contact_at,
            contact_from=on_a_step(contact_from),
            contact_until=on_a_step(contact_until),
            pull_at=pull_at,
            pull_from=on_a_step(later(contact_at, timedelta(hours=window.safe_earliest_h))),
            pull_until=on_a_step(later(contact_at, timedelta(hours=closes_h))),
            trouble=None,
            after_sleep=meal.contact_at is None and meal.start_at is None and free is not None and free != wanted,
            overdue=overdue,
            asked_at=now,
            costs=costs,
            keeps_from=on_a_step(keeps_from),
        ),
        now,
        routine,
        work,
        free,
    )


def _costs(window: Window, hold_h: float) -> str:
    """Cost of a hold of the cook's own hours, in words; nothing inside the window."""
    if hold_h < window.safe_earliest_h:
        return f"{hours_told(hold_h)} is short of {window.earliest_told}, when {window.earliest.limit.says}."
    if hold_h > window.safe_latest_h:
        return f"{hours_told(hold_h)} is past {window.latest_told}, after which {window.latest.limit.says}."
    return ""


def closing_hours(window: Window, work: Work) -> float:
    """The latest hour to act on: what the window says, and no wait after it past what raw food keeps [h]."""
    return max(0.0, min(window.safe_latest_h, window.keeps_h - work.waits / timedelta(hours=1)))


def _told(window: Window, plan: Plan, now: datetime, routine: Routine, work: Work, free: datetime | None) -> Plan:
    """The plan with its trouble, if it has one, and the earliest meal that would work instead."""
    late = _contact_trouble(window, plan, free) or _lead_trouble(plan, work)
    trouble = _start_trouble(plan, free) or late or _pull_trouble(plan, now, routine)
    ready_at = _ready_at(window, plan, now, routine, work) if trouble == late and late else None
    return replace(plan, trouble=trouble, ready_at=ready_at)


def _ready_at(window: Window, plan: Plan, now: datetime, routine: Routine, work: Work) -> datetime:
    """The earliest meal from now on: contact as soon as hands are free (or as it was), out when it opens."""
    meal, earliest = plan.meal, later(now, work.length)
    contact = meal.contact_at
    if contact is None:
        last = later(earliest, timedelta(days=7))
        local = earliest.astimezone(meal.at.tzinfo)
        contact = work.nearest_contact(local, first=earliest, last=last, now=now, routine=routine) or earliest
    opens = later(contact, timedelta(hours=window.safe_earliest_h))
    out = meal.pulled_at or max(opens, now)
    at = later(out, max(meal.lead, work.least_lead)) if not plan.overdue else later(out, work.least_lead)
    return on_a_step(later(at, A_STEP)).astimezone(meal.at.tzinfo)


def _contact_trouble(window: Window, plan: Plan, free: datetime | None) -> str | None:
    """Contact too late or too early for the pull, or no free hands between."""
    meal, contact_at = plan.meal, plan.contact_at
    until = plan.told(plan.contact_until)
    if meal.pulled_at is not None:
        return None
    if meal.contact_at is not None:
        if contact_at > plan.contact_until:
            return f"It went in at {plan.told(contact_at)}; for this meal it should have by {until}."
        if contact_at < plan.contact_from:
            by = plan.told(on_a_step(later(contact_at, timedelta(hours=window.safe_latest_h))))
            if plan.overdue:
                return f"It went in at {plan.told(contact_at)} and should have come out by {by}."
            return f"It went in at {plan.told(contact_at)} and has to come out by {by}, before this meal."
        return None
    if meal.start_at is None and contact_at > plan.contact_until:
        return f"The meat should have gone in by {until} for this meal."
    if meal.start_at is None and free is None:
        since = plan.told(plan.contact_from)
        return f"It has to go in between {since} and {until}, and your hands are not free then."
    return None


def _start_trouble(plan: Plan, free: datetime | None) -> str | None:
    """A start that the cook asked for and that cannot be had."""
    meal = plan.meal
    if meal.start_at is None or meal.contact_at is not None or (free is not None and free == meal.start_at):
        return None
    asked = f"You want to put it in at {plan.told(meal.start_at)}"
    if plan.keeps_from is not None and meal.start_at < plan.keeps_from:
        return f"{asked}; it keeps raw from {plan.told(plan.keeps_from)} until it comes out for this meal, no longer."
    if meal.start_at >= plan.pull_at:
        return f"{asked}; for this meal it comes out at {plan.told(plan.pull_at)}."
    return f"{asked}, and your hands are not free to get it ready by then."


def _pull_trouble(plan: Plan, now: datetime, routine: Routine) -> str | None:
    """A pull, still to come, that would fall into sleep or work."""
    if plan.meal.pulled_at is not None or plan.overdue or hours_between(now, plan.pull_at) <= 0:
        return None
    if routine.free_for(plan.pull_at, DRYING):
        return None
    return f"It has to come out at {plan.told(plan.pull_at)}, and your hands are not free then."


def _lead_trouble(plan: Plan, work: Work) -> str | None:
    """Less time from the pull to the table than cooking takes."""
    if plan.lead >= work.least_lead:
        return None
    needed, left = (round(span / timedelta(minutes=1)) for span in (work.least_lead, plan.lead))
    out = f"Out at {plan.told(plan.pull_at)}, " if plan.overdue or plan.meal.pulled_at else ""
    return f"{out}it takes {needed} minutes to dry, cook and rest, and there are {max(0, left)} until the meal."
