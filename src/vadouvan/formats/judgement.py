"""The judgement for programs and for the page: one shape, described in ``docs/formats.md``.

Numbers stand in the unit that their name ends in; times are ISO 8601 with an offset.
"""

from __future__ import annotations

from collections.abc import Callable, Mapping, Sequence
from datetime import datetime, timedelta
from typing import Any

from vadouvan.core.clock.chain import DeedKind, Place, PlanStep, Zone
from vadouvan.core.figure import Figure, hours_told
from vadouvan.core.hold.limits import Basis, Limit
from vadouvan.core.hold.telling import why_not_longer, why_not_now
from vadouvan.core.hold.window import Edge, Window
from vadouvan.core.judgement.judgement import Judgement
from vadouvan.core.judgement.sentences import straight_says, window_in_short
from vadouvan.core.judgement.stops import StopId
from vadouvan.core.kitchen.kitchen import Kitchen
from vadouvan.core.mix.balance import SUBSTANCES
from vadouvan.core.mix.left_on import Left
from vadouvan.core.schedule.due import Due, Soon
from vadouvan.core.schedule.plan import Plan
from vadouvan.formats.cooking_out import FireOut, fire_out
from vadouvan.formats.course_out import CourseOut, RemarkOut, course_out
from vadouvan.formats.cut_out import EffectOut, OccasionOut, PieceOut, effects_out, occasion_out, piece_out
from vadouvan.formats.drawn import six_digits
from vadouvan.formats.mix_out import (
    IngredientOut,
    MixOut,
    MixShown,
    SaltOfferOut,
    SpanOut,
    ingredients_out,
    mix_out,
    mix_shown,
    salt_offers_out,
    spans_in_mix_out,
    spans_out,
)
from vadouvan.formats.plate_out import CompanionOut, PlateOut, companions_out, plate_out
from vadouvan.formats.problem_out import ProblemOut, problem_out
from vadouvan.unchanging import unchanging


@unchanging(kw_only=True)
class GivenOut:
    """One input of a working."""

    name: str
    value: float
    unit: str


@unchanging(kw_only=True)
class SourceOut:
    """Source of a figure: key of docs/references.md, and its title."""

    key: str
    title: str


@unchanging(kw_only=True)
class FigureShown:
    """A figure as told, with its band."""

    name: str
    value: float
    unit: str
    shown: str
    low: float | None
    high: float | None
    band_shown: str | None


@unchanging(kw_only=True)
class WorkingOut:
    """How a figure was worked out."""

    rule: str
    inputs: list[GivenOut]
    sources: list[SourceOut]


@unchanging(kw_only=True)
class FigureOut(FigureShown, WorkingOut):
    """A figure as told, with its band and its working."""


@unchanging(kw_only=True)
class LimitOut:
    """A limit, its hour and its words."""

    limit: str
    hours: float
    says: str
    basis: Basis


@unchanging(kw_only=True)
class EdgeOut:
    """One end of the window, or its best hour."""

    hours: float
    low_hours: float
    high_hours: float
    limit: str
    says: str
    shown: str
    others: list[LimitOut]


@unchanging(kw_only=True)
class GoodOut:
    """The hours that are nearly as good as the best."""

    from_hours: float
    until_hours: float
    shown: str


@unchanging(kw_only=True)
class StraightOut:
    """Whether it may go straight to the heat, and what that costs, in words."""

    acceptable: bool
    says: str


@unchanging(kw_only=True)
class WindowOut:
    """Earliest, best, latest; the hours to act on lie between the two safe ends."""

    earliest: EdgeOut
    best: EdgeOut
    latest: EdgeOut
    safe_earliest_hours: float
    safe_latest_hours: float
    closed: bool
    good: GoodOut
    mark: float
    straight_to_heat: StraightOut
    in_short: str


@unchanging(kw_only=True)
class StopOut:
    """Something unsafe: why, and what would do."""

    id: StopId
    says: str
    accepted: str


@unchanging(kw_only=True)
class PlanStepOut:
    """One step on the clock; ``kind`` is what it is, ``waits_for`` the id of the step before it."""

    id: str
    kind: DeedKind
    says: str
    at: datetime
    minutes: float
    hands_on: bool
    place: Place
    zone: Zone
    waits_for: str


@unchanging(kw_only=True)
class DueOut:
    """The next deed, the group it stands in, and the time that is left until it begins."""

    deed: str
    at: datetime
    soon: Soon
    left: str


@unchanging(kw_only=True)
class PlanOut:
    """When to put the meat in and take it out for the meal."""

    meal_at: datetime
    pull_at: datetime
    contact_at: datetime
    contact_from: datetime
    contact_until: datetime
    pull_from: datetime
    pull_until: datetime
    hold_hours: float
    lead_minutes: float
    overdue: bool
    has_gone_in: bool
    has_come_out: bool
    trouble: str | None
    ready_at: datetime | None
    steps: list[PlanStepOut]
    next_step: PlanStepOut | None
    due: DueOut


@unchanging(kw_only=True)
class JudgementShown:
    """All answers about a batch that a page shows at once; what could not be answered is null."""

    sentence: str
    salt_g_per_kg: float | None = None
    sugar_g_per_kg: float | None = None
    acid_g_per_kg: float | None = None
    fat_g_per_kg: float | None = None
    aroma_g_per_kg: float | None = None
    ph: float | None = None
    made_g: float | None = None
    needed_mix_g: float | None = None
    set_aside_g: float | None = None
    enzyme_pct: float | None = None
    heat_shu: float | None = None
    sodium_mg_per_serving: float | None = None
    salt_in_meat_g_per_kg: float | None = None
    salt_left_g: float | None = None
    salt_says: str | None = None
    salt_on_target: bool = True
    salt_line: str = ""
    held_told: str = ""
    ingredients: list[IngredientOut]
    spans: list[SpanOut]
    mix: MixShown | None = None
    window: WindowOut | None = None
    plan: PlanOut | None = None
    plan_says: str
    pull_now: str
    fire: FireOut
    companions: list[CompanionOut]
    plate: PlateOut | None = None
    piece: PieceOut | None = None
    preparation: list[EffectOut]
    occasion: OccasionOut | None = None
    remarks: list[RemarkOut]
    stops: list[StopOut]
    why_not_longer: str = ""
    why_not_now: str = ""
    figures: Mapping[str, FigureShown]
    assumed: dict[str, str]
    problems: list[ProblemOut]
    unweighed: list[ProblemOut]
    waiting: list[str]


@unchanging(kw_only=True)
class JudgementOut(JudgementShown):
    """The same with all that lies behind it: the working of each figure, the balance per kilogram of mix, ways to the
    salt target, and the course of the hold.
    """

    figures: Mapping[str, FigureOut]
    mix: MixOut | None = None
    salt_offers: list[SaltOfferOut]
    course: CourseOut | None = None


@unchanging(kw_only=True)
class BalanceInMixOut:
    """The balance per kilogram of mix, and the figures that tell it."""

    spans: list[SpanOut]
    figures: Mapping[str, FigureShown]


def judgement_out(judgement: Judgement, kitchen: Kitchen, *, with_course: bool = True) -> JudgementOut:
    """A judgement in the shape that leaves the core; the kitchen gives the words of cautions and sources."""
    mix, reading, cut = judgement.mix, judgement.reading, judgement.reading.cut
    return JudgementOut(
        **_shown(judgement, kitchen),
        mix=mix_out(mix, reading, cut.kind if cut else None) if mix else None,
        salt_offers=salt_offers_out(judgement),
        figures={figure.name: figure_out(figure, kitchen.sources) for figure in judgement.all_figures},
        course=course_out(judgement.course) if with_course and judgement.course else None,
    )


def judgement_shown(judgement: Judgement, kitchen: Kitchen) -> JudgementShown:
    """The part of it that a page shows at once."""
    mix, reading, cut = judgement.mix, judgement.reading, judgement.reading.cut
    return JudgementShown(
        **_shown(judgement, kitchen),
        mix=mix_shown(mix, reading, cut.kind if cut else None) if mix else None,
        figures=_figures_shown(judgement.figures_at_once),
    )


def balance_in_mix_out(judgement: Judgement) -> BalanceInMixOut:
    """The balance per kilogram of mix; empty while there is no mix."""
    if judgement.mix is None:
        return BalanceInMixOut(spans=[], figures={})
    figures = _figures_shown(judgement.mix.in_mix.figures)
    return BalanceInMixOut(spans=spans_in_mix_out(judgement.mix), figures=figures)


def _figures_shown(figures: Sequence[Figure]) -> dict[str, FigureShown]:
    """Figures for the page, which draws them: six digits are more than it can show."""
    return {figure.name: FigureShown(**_figure(figure, six_digits)) for figure in figures}


def working_out(figure: Figure, titles: Mapping[str, str]) -> WorkingOut:
    """The working of a figure as data; ``titles`` of sources by key."""
    return WorkingOut(**_worked(figure, titles))


def figure_out(figure: Figure, titles: Mapping[str, str]) -> FigureOut:
    """A figure as data; ``titles`` of sources by key."""
    return FigureOut(**_figure(figure), **_worked(figure, titles))


def _worked(figure: Figure, titles: Mapping[str, str]) -> dict[str, Any]:
    working = figure.working
    return {
        "rule": working.rule,
        "inputs": [GivenOut(name=given.name, value=given.value, unit=given.unit) for given in working.inputs],
        "sources": [SourceOut(key=key, title=titles[key]) for key in working.sources],
    }


def _figure(figure: Figure, as_drawn: Callable[[float], float] = float) -> dict[str, Any]:
    return {
        "name": figure.name,
        "value": as_drawn(figure.value),
        "unit": figure.unit,
        "shown": figure.shown,
        "low": None if figure.low is None else as_drawn(figure.low),
        "high": None if figure.high is None else as_drawn(figure.high),
        "band_shown": figure.band_shown,
    }


def _shown(judgement: Judgement, kitchen: Kitchen) -> dict[str, Any]:
    values = {figure.name: figure.value for figure in judgement.figures_at_once}
    cut = judgement.reading.cut
    return dict(
        sentence=judgement.sentence,
        **{name: values.get(name) for name in _TOLD_AS_NUMBERS},
        salt_says=judgement.salt.says if judgement.salt else None,
        salt_on_target=judgement.salt is None or judgement.salt.is_on_target,
        salt_line=judgement.salt_line,
        held_told=judgement.held_told,
        ingredients=ingredients_out(judgement),
        spans=spans_out(judgement.mix.spans) if judgement.mix else [],
        window=_window(judgement.window, judgement.reading.fire.surface)
        if judgement.window and not judgement.stops
        else None,
        plan=_plan(judgement.plan, judgement.due, judgement) if judgement.plan and judgement.due else None,
        plan_says=judgement.plan_says,
        pull_now=judgement.pull_now,
        fire=fire_out(judgement),
        companions=companions_out(judgement.reading.companions, judgement.plate),
        plate=plate_out(judgement.plate) if judgement.plate else None,
        piece=piece_out(cut) if cut else None,
        preparation=effects_out(cut, kitchen.cautions) if cut else [],
        occasion=occasion_out(judgement),
        stops=[StopOut(id=one.id, says=one.says, accepted=one.accepted) for one in judgement.stops],
        remarks=[RemarkOut(id=one.id, kind=one.kind, says=one.says) for one in judgement.remarks],
        why_not_longer=why_not_longer(judgement.window) if judgement.window and not judgement.stops else "",
        why_not_now=why_not_now(judgement.window) if judgement.window and not judgement.stops else "",
        assumed=judgement.reading.assumed,
        problems=[problem_out(problem) for problem in judgement.reading.problems],
        unweighed=[problem_out(problem) for problem in judgement.reading.unweighed],
        waiting=judgement.reading.waiting,
    )


_TOLD_AS_NUMBERS = (
    *(f"{substance}_g_per_kg" for substance in SUBSTANCES),
    "ph",
    "made_g",
    "needed_mix_g",
    "set_aside_g",
    "enzyme_pct",
    "heat_shu",
    "sodium_mg_per_serving",
    "salt_in_meat_g_per_kg",
    "salt_left_g",
)


def _limit(limit: Limit) -> LimitOut:
    return LimitOut(limit=limit.id, hours=limit.hours, says=limit.says, basis=limit.basis)


def _edge(edge: Edge, shown: str) -> EdgeOut:
    return EdgeOut(
        hours=edge.hours,
        low_hours=edge.low_hours,
        high_hours=edge.high_hours,
        limit=edge.limit.id,
        says=edge.limit.says,
        shown=shown,
        others=[_limit(limit) for limit in edge.others],
    )


def _window(window: Window, left: Left) -> WindowOut:
    from_h, until_h = window.good_h
    return WindowOut(
        earliest=_edge(window.earliest, window.earliest_told),
        best=_edge(window.best, window.best_told),
        latest=_edge(window.latest, window.latest_told),
        safe_earliest_hours=window.safe_earliest_h,
        safe_latest_hours=window.safe_latest_h,
        closed=window.is_closed,
        good=GoodOut(
            from_hours=from_h, until_hours=until_h, shown=f"{hours_told(from_h, 'up')} to {hours_told(until_h, 'down')}"
        ),
        mark=window.mark,
        straight_to_heat=StraightOut(acceptable=window.straight, says=straight_says(window, left)),
        in_short=window_in_short(window),
    )


def _plan(plan: Plan, due: Due, judgement: Judgement) -> PlanOut:
    return PlanOut(
        meal_at=plan.meal.at,
        pull_at=plan.pull_at,
        contact_at=plan.contact_at,
        contact_from=plan.contact_from,
        contact_until=plan.contact_until,
        pull_from=plan.pull_from,
        pull_until=plan.pull_until,
        hold_hours=plan.hold_h,
        lead_minutes=round(plan.lead / timedelta(minutes=1)),
        overdue=plan.overdue,
        has_gone_in=plan.meal.contact_at is not None,
        has_come_out=plan.meal.pulled_at is not None,
        trouble=plan.trouble,
        ready_at=plan.ready_at,
        steps=[_plan_step(step) for step in judgement.steps],
        next_step=_plan_step(judgement.next_step) if judgement.next_step else None,
        due=DueOut(deed=due.deed, at=due.at, soon=due.soon, left=due.left),
    )


def _plan_step(step: PlanStep) -> PlanStepOut:
    return PlanStepOut(
        id=step.id,
        kind=step.kind,
        says=step.says,
        at=step.at,
        minutes=step.minutes,
        hands_on=step.hands_on,
        place=step.place,
        zone=step.zone,
        waits_for=step.waits_for,
    )
