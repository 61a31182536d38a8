"""Shapes of the fire as they leave the core."""

from __future__ import annotations

from dataclasses import replace
from datetime import datetime

from vadouvan.core.cooking.doneness import guidance_for
from vadouvan.core.cooking.sauce import Sauce, SauceFate
from vadouvan.core.cooking.stages import CookStage
from vadouvan.core.cooking.surface import ToldKind
from vadouvan.core.figure import degrees_told
from vadouvan.core.judgement.beside import of_the_fire
from vadouvan.core.judgement.fire import FireJudgement
from vadouvan.core.judgement.judgement import Judgement
from vadouvan.formats.drawn import Drawn
from vadouvan.unchanging import unchanging


@unchanging(kw_only=True)
class StageOut:
    """A stage of cooking in words; ``plain_heat_c`` is its heat without moving air."""

    says: str
    plain_heat_c: float | None


@unchanging(kw_only=True)
class ToldOut:
    """Something to mind at the fire."""

    id: str
    kind: ToldKind
    says: str


@unchanging(kw_only=True)
class SauceOut:
    """The used mix as a sauce: ``verdict`` is serve, dilute or discard, or along with the meat."""

    left_g: Drawn
    boiled_g: Drawn
    salt_pct: Drawn
    dilution_g: Drawn
    yield_g: Drawn
    verdict: SauceFate
    says: str


@unchanging(kw_only=True)
class FireOut:
    """The fire of a batch; what needs a judged hold is null until there is one. ``on_the_clock`` are ids of
    steps of the plan, from the pull to the table.
    """

    in_short: str
    stages: list[StageOut]
    guidance_c: float | None
    target_c: float | None
    target_says: str
    is_below: bool
    told: list[ToldOut]
    clings_g: Drawn | None
    sugar_g_per_m2: Drawn | None
    sugar_limit_g_per_m2: Drawn | None
    last_brush_at: datetime | None
    last_brush_says: str
    sauce: SauceOut | None
    on_the_clock: list[str]


def fire_out(judgement: Judgement) -> FireOut:
    """Stages as read, what to mind, and all of it in a few words."""
    stages = judgement.reading.stages
    cut = judgement.reading.cut
    guidance = guidance_for(cut) if cut else None
    out = FireOut(
        in_short=_in_short(stages),
        stages=[StageOut(says=stage.says, plain_heat_c=stage.plain_heat_c) for stage in stages],
        guidance_c=guidance.core_c if guidance else None,
        target_c=None,
        target_says="",
        is_below=False,
        told=[],
        clings_g=None,
        sugar_g_per_m2=None,
        sugar_limit_g_per_m2=None,
        last_brush_at=None,
        last_brush_says="",
        sauce=None,
        on_the_clock=[step.id for step in of_the_fire(judgement.steps)],
    )
    return out if judgement.fire is None else _with_judgement(out, judgement.fire)


def _with_judgement(out: FireOut, fire: FireJudgement) -> FireOut:
    limit = fire.surface.sugar_limit
    return replace(
        out,
        target_c=fire.target_c,
        target_says="" if fire.target_c is None else f"{degrees_told(fire.target_c)} °C",
        is_below=fire.doneness.is_below,
        told=[ToldOut(id=one.id, kind=one.kind, says=one.says) for one in fire.told],
        clings_g=fire.surface.clings_kg * 1000,
        sugar_g_per_m2=fire.surface.sugar_kg_per_m2 * 1000,
        sugar_limit_g_per_m2=None if limit is None else limit * 1000,
        last_brush_at=fire.last_brush.at if fire.last_brush else None,
        last_brush_says=fire.last_brush.says if fire.last_brush else "",
        sauce=_sauce(fire.sauce),
    )


def _sauce(sauce: Sauce) -> SauceOut:
    return SauceOut(
        left_g=sauce.left_kg * 1000,
        boiled_g=sauce.boiled_kg * 1000,
        salt_pct=sauce.salt_share * 100,
        dilution_g=sauce.dilution_kg * 1000,
        yield_g=sauce.yield_kg * 1000,
        verdict=sauce.verdict,
        says=sauce.says,
    )


def _in_short(stages: tuple[CookStage, ...]) -> str:
    if not stages:
        return "not said"
    known = [stage.minutes for stage in stages if stage.minutes is not None]
    minutes = f", {sum(known):.0f} min" if known else ""
    return f"{' and '.join(dict.fromkeys(stage.place.split('_')[0] for stage in stages))}{minutes}"
