"""Plans that work where the one asked for does not: each judged before it is offered."""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import replace
from datetime import datetime, timedelta

from vadouvan.core.clock.routine import hours_between, later
from vadouvan.core.draft.typed import YES, Draft
from vadouvan.core.figure import number_told
from vadouvan.core.judgement.judge import judge
from vadouvan.core.judgement.judgement import Judgement
from vadouvan.core.kitchen.kitchen import Kitchen
from vadouvan.core.schedule.moving import LONGEST_LEAD_H
from vadouvan.core.schedule.plan import DRYING, Plan
from vadouvan.unchanging import unchanging

DAYS_AHEAD = 3
THINNER = (0.75, 0.5)
SALTY_SHARE, SALT_FIRST_H = 0.05, 12.0


@unchanging
class PlanOffer:
    """A changed draft whose plan works, and what is changed in words."""

    id: str
    says: str
    draft: Draft


def plan_offers(draft: Draft, kitchen: Kitchen, *, now: datetime) -> list[PlanOffer]:
    """Offers for a draft whose plan collides or whose window is closed; none for one that works, or has no meal."""
    judgement = judge(draft, kitchen, now=now)
    if judgement.reading.meal is None or _works(judgement):
        return []
    found: dict[str, PlanOffer] = {}
    for offer in _candidates(draft, judgement, kitchen, now):
        if offer.id not in found and _works(judge(offer.draft, kitchen, now=now)):
            found[offer.id] = offer
    return [*found.values()]


def _works(judgement: Judgement) -> bool:
    return judgement.plan is not None and judgement.plan.trouble is None


def _candidates(draft: Draft, judgement: Judgement, kitchen: Kitchen, now: datetime) -> Iterator[PlanOffer]:
    plan, cut, window = judgement.plan, judgement.reading.cut, judgement.window
    if draft.meal.start:
        free = replace(draft, meal=replace(draft.meal, start=""))
        yield PlanOffer("other-start", "Choose the start for me", free)
    if plan is not None and plan.meal.pulled_at is None:
        yield from _other_pulls(draft, plan, kitchen, now)
    if plan is not None and plan.ready_at is not None:
        yield from _later_meals(draft, plan, plan.ready_at)
    if cut is not None and not draft.meal.contact:
        for share in THINNER:
            thickness = f"{number_told(cut.thickness_m * share * 1000)} mm"
            thinner = replace(draft.cut, thickness=thickness, pieces="", width="", length="")
            yield PlanOffer(f"thinner-{thickness}", f"Cut it to {thickness}", replace(draft, cut=thinner))
    if draft.meal.contact:
        return
    if window is not None and window.latest.limit.basis == "enzyme":
        heated = replace(draft, making=replace(draft.making, method="cooked", reduce_to=""))
        yield PlanOffer("heat-treated", "Boil the fruit first, so that it softens nothing", heated)
    if window is not None and window.latest.limit.basis in ("acid", "enzyme"):
        yield from _salt_first(draft, judgement)
    if draft.hold.goal != "surface":
        outside = replace(draft, hold=replace(draft.hold, goal="surface"))
        yield PlanOffer("surface", "Season the outside only", outside)


def _later_meals(draft: Draft, plan: Plan, ready_at: datetime) -> Iterator[PlanOffer]:
    """The earliest meal that could be, or, where that falls into the night, the same hour of the next days."""
    hour = plan.meal.at
    for at in (ready_at, *(hour + timedelta(days=days) for days in range(1, DAYS_AHEAD + 1))):
        words = f"Eat at {plan.told(at)} instead"
        yield PlanOffer("later-meal", words, replace(draft, meal=replace(draft.meal, at=f"{at:%Y-%m-%dT%H:%M}")))


def _other_pulls(draft: Draft, plan: Plan, kitchen: Kitchen, now: datetime) -> Iterator[PlanOffer]:
    """Out of the mix at the nearest hours before and after at which hands are free; it waits in the fridge."""
    routine = kitchen.routine
    if routine.free_for(plan.pull_at, DRYING):
        return
    day = timedelta(days=1)
    for first, last in ((later(plan.pull_at, -day), plan.pull_at), (plan.pull_at, plan.meal.at)):
        wanted = last if last == plan.pull_at else first
        at = routine.nearest_free(wanted, first=first, last=last, hands=DRYING)
        lead_min = round(hours_between(at, plan.meal.at) * 60) if at is not None else 0
        if at is not None and at > now and 0 < lead_min <= LONGEST_LEAD_H * 60:
            moved = replace(draft, meal=replace(draft.meal, lead=f"{lead_min} min", early=""))
            yield PlanOffer(f"pull-{at:%H:%M}", f"Take it out at {plan.told(at)}", moved)


def _salt_first(draft: Draft, judgement: Judgement) -> Iterator[PlanOffer]:
    """The salt on its own the evening before; sour and softening things follow at contact."""
    salty = {
        portion.line_id
        for portion in judgement.reading.portions
        if portion.ingredient.salt.value >= SALTY_SHARE and portion.ingredient.enzyme is None
    }
    if not salty or len(salty) == len(draft.mix) or any(line.first for line in draft.mix):
        return
    mix = tuple(replace(line, first=YES if line.id in salty else "") for line in draft.mix)
    first = replace(draft, mix=mix, making=replace(draft.making, first_contact=f"{SALT_FIRST_H:g} h"))
    yield PlanOffer("salt-first", f"Salt it {SALT_FIRST_H:g} hours ahead, the rest later", first)
