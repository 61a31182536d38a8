"""The cut part of the judgement: one piece to scale, what was done to it, for how many."""

from __future__ import annotations

from collections.abc import Mapping
from functools import lru_cache

from vadouvan.core.cut.cover import Cover
from vadouvan.core.cut.cut import Cut
from vadouvan.core.cut.shape import Bone, Face, ShapeName, bone_radius_m, open_faces
from vadouvan.core.hold.cube_series import cube_series
from vadouvan.core.judgement.judgement import Judgement
from vadouvan.core.kitchen.caution import Caution
from vadouvan.core.measures.telling import SYSTEMS, System, area_told, length_told, mass_told
from vadouvan.formats.drawn import Drawn
from vadouvan.unchanging import unchanging

KEPT_PIECES = 256


@unchanging(kw_only=True)
class ScoreOut:
    """A scoring or a row of slits, as drawn."""

    depth_mm: float
    spacing_mm: float
    crosswise: bool
    through_skin: bool


@unchanging(kw_only=True)
class FactsOut:
    """The cut in words of one system of units."""

    mass: str
    meat: str
    thickness: str
    open_surface: str
    deepest: str


@unchanging(kw_only=True)
class PieceOut:
    """One piece to scale, and all of them. ``cover`` is what is left after preparation."""

    shape: ShapeName
    thickness_mm: Drawn
    thickness_low_mm: Drawn
    thickness_high_mm: Drawn
    width_mm: Drawn
    length_mm: Drawn
    bone: Bone
    bone_share_pct: Drawn
    bone_radius_mm: Drawn
    cover: Cover
    cover_all_round: bool
    open_faces: list[Face]
    pieces: int
    meat_g: Drawn
    open_area_cm2: Drawn
    surface_cm2: Drawn
    volume_cm3: Drawn
    volume_over_open_area_mm: Drawn
    deepest_mm: Drawn
    film_g: Drawn
    scores: list[ScoreOut]
    facts: dict[System, FactsOut]


@unchanging(kw_only=True)
class EffectOut:
    """Effect of one step, how long it takes, and its caution."""

    kind: str
    says: str
    minutes: float
    caution: str | None
    caution_kind: str | None


@unchanging(kw_only=True)
class OccasionOut:
    """Weight to buy, and servings that the meat on the board gives."""

    servings: int
    needed_g: float
    needed_told: dict[System, str]
    board_servings: float
    says: str


@lru_cache(maxsize=KEPT_PIECES)
def piece_out(cut: Cut) -> PieceOut:
    """One piece of a cut as data, kept: most edits are of the mix."""
    piece, surface = cut.piece, cut.prepared.surface
    spread = 1.28 * cut.thickness_log_sd
    return PieceOut(
        shape=cut.shape,
        thickness_mm=cut.thickness_m * 1000,
        thickness_low_mm=cut.thickness_m * (1 - spread) * 1000,
        thickness_high_mm=cut.thickness_m * (1 + spread) * 1000,
        width_mm=piece.size.width_m * 1000,
        length_mm=piece.size.length_m * 1000,
        bone=cut.bone,
        bone_share_pct=cut.bone_share * 100,
        bone_radius_mm=bone_radius_m(cut.thickness_m, cut.bone_share) * 1000 if cut.bone == "core" else 0.0,
        cover=surface.cover,
        cover_all_round=cut.cover_all_round,
        open_faces=list(open_faces(piece)),
        pieces=cut.pieces,
        meat_g=cut.meat_kg * 1000,
        open_area_cm2=cut.open_area_m2 * 1e4,
        surface_cm2=piece.surface_m2 * cut.open_area_m2 / piece.open_area_m2 * 1e4,
        volume_cm3=piece.volume_m3 * cut.pieces * 1e6,
        volume_over_open_area_mm=piece.volume_m3 / piece.open_area_m2 * 1000,
        deepest_mm=piece.far_m * 1000,
        film_g=surface.film_kg * 1000,
        scores=_scores(cut),
        facts={system: _facts(cut, system) for system in SYSTEMS},
    )


def _facts(cut: Cut, system: System) -> FactsOut:
    return FactsOut(
        mass=mass_told(cut.mass_kg, system),
        meat=mass_told(cut.meat_kg, system),
        thickness=length_told(cut.thickness_m, system),
        open_surface=area_told(cut.open_area_m2, system),
        deepest="" if cut.kind.is_minced else length_told(cut.piece.far_m, system),  # the mix is worked in
    )


def _scores(cut: Cut) -> list[ScoreOut]:
    scored = [step for step in cut.steps if step.kind == "scored"]
    slits = [step for step in cut.steps if step.kind == "slits"]
    lines = [
        ScoreOut(
            depth_mm=step.depth_m * 1000,
            spacing_mm=step.spacing_m * 1000,
            crosswise=step.crosswise,
            through_skin=step.through_skin,
        )
        for step in scored
    ]
    for step in slits:
        spacing_m = (cut.open_area_m2 / step.count) ** 0.5
        lines.append(
            ScoreOut(depth_mm=step.depth_m * 1000, spacing_mm=spacing_m * 1000, crosswise=False, through_skin=True)
        )
    return lines


def effects_out(cut: Cut, cautions: Mapping[str, Caution]) -> list[EffectOut]:
    """The steps of a cut with their cautions in words."""
    told = []
    for effect in cut.prepared.effects:
        caution = cautions[effect.caution] if effect.caution else None
        told.append(
            EffectOut(
                kind=effect.kind,
                says=effect.says,
                minutes=effect.minutes,
                caution=caution.says if caution else None,
                caution_kind=caution.kind if caution else None,
            )
        )
    return told


def occasion_out(judgement: Judgement) -> OccasionOut | None:
    """For how many the meat is, against what was asked for."""
    occasion, needed, servings = judgement.reading.occasion, judgement.needed, judgement.servings
    if occasion is None or needed is None or servings is None:
        return None
    return OccasionOut(
        servings=occasion.servings,
        needed_g=needed.value,
        needed_told={system: mass_told(needed.value / 1000, system) for system in SYSTEMS},
        board_servings=servings,
        says=f"enough for {servings:.0f} of {occasion.servings}"
        if servings < occasion.servings - 0.5
        else "enough for all",
    )


@unchanging(kw_only=True)
class CubeChoiceOut:
    """The same meat and mix in cubes of one edge."""

    edge_mm: float
    edge_told: dict[System, str]
    pieces: int
    open_area_cm2: float
    paste_g: float
    paste_told: dict[System, str]
    best: str
    span: str
    current: bool


def cube_choices_out(judgement: Judgement) -> list[CubeChoiceOut]:
    """The cube series of a judged batch; empty if it has no window."""
    cut, hold = judgement.reading.cut, judgement.reading.hold
    if cut is None or hold is None or judgement.balance is None or judgement.window is None or judgement.stops:
        return []
    return [
        CubeChoiceOut(
            edge_mm=choice.edge_m * 1000,
            edge_told={system: length_told(choice.edge_m, system) for system in SYSTEMS},
            pieces=choice.pieces,
            open_area_cm2=choice.open_area_m2 * 1e4,
            paste_g=choice.paste_kg * 1000,
            paste_told={system: mass_told(choice.paste_kg, system) for system in SYSTEMS},
            best=choice.window.best_told,
            span=f"{choice.window.earliest_told} to {choice.window.latest_told}",
            current=cut.shape == "cube" and abs(choice.edge_m - cut.thickness_m) < 0.0005,
        )
        for choice in cube_series(cut, judgement.balance, hold)
    ]
