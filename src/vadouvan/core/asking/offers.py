"""Plans that work where the one asked for does not: each judged before it is offered."""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import dataclass, replace
from datetime import datetime

from vadouvan.core.draft import Draft
from vadouvan.core.figure import number_told
from vadouvan.core.judge import Judgement, judge
from vadouvan.core.kitchen import Kitchen

THINNER = (0.75, 0.5)


@dataclass(frozen=True)
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
    found = []
    for offer in _candidates(draft, judgement):
        if _works(judge(offer.draft, kitchen, now=now)):
            found.append(offer)
    return found


def _works(judgement: Judgement) -> bool:
    return judgement.plan is not None and judgement.plan.trouble is None


def _candidates(draft: Draft, judgement: Judgement) -> Iterator[PlanOffer]:
    plan, cut, window = judgement.plan, judgement.reading.cut, judgement.window
    if plan is not None and plan.ready_at is not None:
        at = plan.ready_at
        words = f"Eat at {at:%H:%M} on {at:%A} instead"
        yield PlanOffer("later-meal", words, replace(draft, meal=replace(draft.meal, at=f"{at:%Y-%m-%dT%H:%M}")))
    if cut is not None and not draft.meal.contact:
        for share in THINNER:
            thickness = f"{number_told(cut.thickness_m * share * 1000)} mm"
            thinner = replace(draft.cut, thickness=thickness, pieces="", width="", length="")
            yield PlanOffer(f"thinner-{thickness}", f"Cut it to {thickness}", replace(draft, cut=thinner))
    if window is not None and window.latest.limit.basis == "enzyme":
        heated = replace(draft, making=replace(draft.making, method="cooked", reduce_to=""))
        yield PlanOffer("heat-treated", "Boil the fruit first, so that it softens nothing", heated)
    if draft.hold.goal != "surface":
        outside = replace(draft, hold=replace(draft.hold, goal="surface"))
        yield PlanOffer("surface", "Season the outside only", outside)
