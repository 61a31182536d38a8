"""Today's list and the labels of the bags, for a page to print."""

from __future__ import annotations

from collections.abc import Sequence
from datetime import datetime, timedelta

from vadouvan.core.clock.telling import dated
from vadouvan.core.contact.allergens import allergens_of, contains, may_contain
from vadouvan.core.cut.cut import Cut
from vadouvan.core.judgement.judgement import Judgement
from vadouvan.core.schedule.plan import Plan
from vadouvan.core.schedule.today import DayStep, coming_steps
from vadouvan.unchanging import unchanging


@unchanging(kw_only=True)
class TodayStepOut:
    """A step of a batch; day and hour are told in the batch's own zone."""

    batch_id: str
    batch: str
    step_id: str
    at: datetime
    day: str
    hour: str
    says: str
    minutes: float
    hands_on: bool
    beside: list[str]


@unchanging(kw_only=True)
class BagLabelOut:
    """Label of a bag in a fridge that others use as well."""

    batch_id: str
    batch: str
    meat_told: str
    went_in: str
    turns: str
    comes_out: str
    not_after: str
    table: str
    contains: str
    check_label: str


@unchanging(kw_only=True)
class TodayOut:
    """Steps in the order of the clock, and a label for each batch that has a plan."""

    steps: list[TodayStepOut]
    labels: list[BagLabelOut]


Judged = tuple[str, str, Judgement]


def today_out(batches: Sequence[Judged], now: datetime, span: timedelta) -> TodayOut:
    """The list and the labels of (identity, name, judgement)."""
    steps = coming_steps([(identity, name, judgement.steps) for identity, name, judgement in batches], now, span)
    labels = [
        _label(identity, name, judgement, judgement.plan)
        for identity, name, judgement in batches
        if judgement.plan is not None and judgement.plan.trouble is None
    ]
    return TodayOut(steps=[_step(one) for one in steps], labels=labels)


def _step(one: DayStep) -> TodayStepOut:
    step = one.step
    return TodayStepOut(
        batch_id=one.identity,
        batch=one.batch,
        step_id=step.id,
        at=step.at,
        day=f"{step.at:%A} {step.at.day} {step.at:%B}",
        hour=f"{step.at:%H:%M}",
        says=step.says,
        minutes=step.minutes,
        hands_on=step.hands_on,
        beside=list(one.beside),
    )


def _label(identity: str, name: str, judgement: Judgement, plan: Plan) -> BagLabelOut:
    cut = judgement.reading.cut
    found = allergens_of(judgement.reading.all_portions, cut.kind if cut else None)
    return BagLabelOut(
        batch_id=identity,
        batch=name or "Unnamed batch",
        meat_told=_meat(cut) if cut else "",
        went_in=_moment(plan.contact_at),
        turns=", ".join(_moment(step.at) for step in judgement.steps if step.kind == "turn"),
        comes_out=_moment(plan.pull_at),
        not_after=_moment(plan.pull_until),
        table=_moment(plan.meal.at),
        contains=contains(found),
        check_label=may_contain(found),
    )


def _meat(cut: Cut) -> str:
    raw = ", raw" if cut.kind.is_animal else ""
    return f"{cut.kind.name}, {cut.mass_kg * 1000:.0f} g{raw}"


def _moment(moment: datetime) -> str:
    return dated(moment)
