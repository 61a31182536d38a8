"""Shapes of verdicts as they leave the core, what they teach, and the logbook."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import asdict
from typing import Literal, TypeVar

import numpy as np

from vadouvan.core.constants import DIFFUSIVITY_LOG_SD, ENZYME_LOG_SD, SALT_TASTE_LOG_SD
from vadouvan.core.cut.cover import Cover
from vadouvan.core.cut.kind import CutKind
from vadouvan.core.cut.shape import Bone, ShapeName
from vadouvan.core.draft.typed import CutInput
from vadouvan.core.figure import hours_told
from vadouvan.core.interpretation.cut import BONES, COVERS, SHAPES
from vadouvan.core.measures.quantity import THICKNESS, quantity
from vadouvan.core.tasting.cut_face import ACCEPTED, CutFace, depth_on
from vadouvan.core.tasting.hold_history import AsHeld
from vadouvan.core.tasting.learn import Learned, pace_says, salt_says, softening_says
from vadouvan.core.tasting.logbook import Entry, held_hours
from vadouvan.core.tasting.next_time import NextTimeAdvice
from vadouvan.core.tasting.teaching import GROUPS, Tasted, Taught
from vadouvan.core.tasting.verdict import VerdictInput
from vadouvan.errors import InputError
from vadouvan.formats.drawn import Drawn
from vadouvan.formats.judgement import JudgementShown
from vadouvan.unchanging import unchanging

PLOTTED = 61


@unchanging(kw_only=True)
class VerdictOut:
    """Verdict of one eater."""

    eater: str
    words: dict[str, str]
    depth: str
    note: str


@unchanging(kw_only=True)
class NextTimeOut:
    """Change for next time, and what it costs elsewhere."""

    id: str
    says: str
    costs: list[str]


@unchanging(kw_only=True)
class PointOut:
    """A place on the photograph, as shares of its width and height from the upper left."""

    x: float
    y: float


@unchanging(kw_only=True)
class CutFaceOut:
    """The photograph of the cut face: size in pixels, what is marked, and the depth that the marks tell, as is said."""

    width: int
    height: int
    face: PointOut | None
    opposite: PointOut | None
    reached: PointOut | None
    depth: str
    says: str


@unchanging(kw_only=True)
class TasteOut:
    """A tasted batch; depths are null for one that was not held."""

    verdicts: list[VerdictOut]
    advice: list[NextTimeOut]
    held_hours: float | None
    model_depth_mm: float | None
    middle_mm: float | None
    from_name: str
    changed: list[str]
    learned_says: str
    cut_face: CutFaceOut | None


@unchanging(kw_only=True)
class LearnedOut:
    """A factor that was learned, with its band; ``before`` and ``now`` are its distributions over ``factors``."""

    name: str
    says: str
    factor: float
    low: float
    high: float
    count: int
    factors: list[float]
    before: list[float]
    now: list[float]


@unchanging(kw_only=True)
class TeacherOut:
    """A batch that teaches, or whose lesson is forgotten."""

    batch_id: str
    batch: str
    forgotten: bool
    insisted: bool
    left_out: str


@unchanging(kw_only=True)
class OwnCorrectionOut:
    """The cook's own correction, and what it rests on."""

    pace: list[LearnedOut]
    softening: list[LearnedOut]
    salt: LearnedOut
    rests_on: list[TeacherOut]


@unchanging(kw_only=True)
class LevelOut:
    """So much of a substance for a kilogram of meat, in the unit of its rule, and as it is told."""

    value: Drawn
    shown: str


@unchanging(kw_only=True)
class LastGoodOut:
    """The last batch of a dish that was just right, and its balance by substance."""

    id: str
    name: str
    eaten_on: str
    balance: dict[str, LevelOut]


def last_good_out(entry: Entry, judged: JudgementShown) -> LastGoodOut:
    """The balance of that batch as it was judged."""
    levels = {
        span.substance: LevelOut(value=span.value, shown=judged.figures[span.figure].shown)
        for span in judged.spans
        if span.figure in judged.figures
    }
    return LastGoodOut(id=entry.id, name=entry.draft.name, eaten_on=entry.eaten_on[:10], balance=levels)


Word = TypeVar("Word", bound=str)


@unchanging(kw_only=True)
class EntryOut:
    """A batch in the logbook."""

    id: str
    name: str
    eaten_on: str
    cut: str
    kind: str
    mass: str
    thickness: str
    species: str
    school: str
    held: str
    verdicts: dict[str, str]
    steps: dict[str, int]
    shape: ShapeName | Literal[""]
    bone: Bone | Literal[""]
    cover: Cover | Literal[""]
    thickness_mm: float | None
    eaters: int
    note: str
    from_id: str
    changed: list[str]


@unchanging
class CameFrom:
    """The batch that one goes on from, and what was changed; empty for a first one."""

    name: str = ""
    changed: Sequence[str] = ()


def taste_out(
    said: Sequence[VerdictInput],
    held: AsHeld | None,
    advice: Sequence[NextTimeAdvice],
    came_from: CameFrom,
    learned_says: str,
    cut_face: CutFaceOut | None,
) -> TasteOut:
    """A tasted batch in the shape that leaves the core."""
    return TasteOut(
        verdicts=[VerdictOut(eater=one.eater, words=one.words, depth=one.depth, note=one.note) for one in said],
        advice=[NextTimeOut(id=one.id, says=one.says, costs=list(one.costs)) for one in advice],
        held_hours=held.hours if held else None,
        model_depth_mm=held.seen_depth_m() * 1000 if held else None,
        middle_mm=held.depth_to_middle_m * 1000 if held else None,
        from_name=came_from.name,
        changed=list(came_from.changed),
        learned_says=learned_says,
        cut_face=cut_face,
    )


def cut_face_out(face: CutFace, thickness_m: float | None) -> CutFaceOut:
    """A photograph in the shape that leaves the core; its depth follows where the thickness of the cut is known."""
    points: dict[str, PointOut | None] = dict.fromkeys(("face", "opposite", "reached"))
    if face.marks is not None:
        points = {name: PointOut(**point) for name, point in asdict(face.marks).items()}
    depth_m = None if thickness_m is None else depth_on(face, thickness_m)
    depth = "" if depth_m is None else f"{round(depth_m * 2000) / 2:g} mm"
    if thickness_m is None:
        says = "The thickness of the cut is not known, so a depth cannot be told from the photograph."
    elif depth_m is None:
        says = f"{ACCEPTED} The faces are {thickness_m * 1000:.0f} mm apart."
    else:
        says = f"Seasoned {depth} deep, with {thickness_m * 1000:.0f} mm from face to face."
    return CutFaceOut(width=face.width, height=face.height, **points, depth=depth, says=says)


def correction_out(found: Taught, tasted: Sequence[Tasted]) -> OwnCorrectionOut:
    """Lessons in the shape that leaves the core."""
    pace = [
        _learned(family, pace_says(one, GROUPS[family]), one, DIFFUSIVITY_LOG_SD.value)
        for family, one in found.pace.items()
    ]
    softening = [
        _learned(
            f"{found.fruits[enzyme]} on {GROUPS[family]}",
            softening_says(one, found.fruits[enzyme], GROUPS[family]),
            one,
            ENZYME_LOG_SD.value,
        )
        for (family, enzyme), one in found.softening.items()
    ]
    rests_on = [
        TeacherOut(
            batch_id=one.batch_id,
            batch=one.draft.name or "Unnamed batch",
            forgotten=not one.counts,
            insisted=one.insisted,
            left_out=found.left_out.get(one.batch_id, ""),
        )
        for one in tasted
    ]
    return OwnCorrectionOut(
        pace=pace,
        softening=softening,
        salt=_learned("salt", salt_says(found.salt), found.salt, SALT_TASTE_LOG_SD.value),
        rests_on=rests_on,
    )


def _learned(name: str, says: str, one: Learned, prior_log_sd: float) -> LearnedOut:
    every = max(1, (len(one.grid) - 1) // (PLOTTED - 1))
    grid = np.array(one.grid)[::every]
    before = np.exp(-0.5 * (grid / prior_log_sd) ** 2)
    now = np.array(one.weights)[::every]
    return LearnedOut(
        name=name,
        says=says,
        factor=one.factor,
        low=one.low,
        high=one.high,
        count=one.count,
        factors=[float(value) for value in np.exp(grid)],
        before=[float(value) for value in before / before.sum()],
        now=[float(value) for value in now / now.sum()],
    )


def _as_typed(typed: str, words: Mapping[str, Word], usual: Word | Literal[""]) -> Word | Literal[""]:
    """The word that was typed, or the usual one; nothing where what was typed is none of them."""
    return words.get(typed, "") if typed else usual


def _thickness_mm(cut: CutInput, kind: CutKind | None) -> float | None:
    """As it was typed, or as is usual of the cut; nothing of a cut that is not known."""
    try:
        return quantity(cut.thickness, THICKNESS, field="cut.thickness_mm") * 1000
    except InputError:
        return kind.thickness_m * 1000 if kind else None


def entry_out(entry: Entry, cuts: Mapping[str, CutKind]) -> EntryOut:
    """A logbook entry in the shape that leaves the core."""
    kind = cuts.get(entry.draft.cut.kind)
    hours = held_hours(entry.draft)
    return EntryOut(
        id=entry.id,
        name=entry.draft.name or "Unnamed batch",
        eaten_on=entry.eaten_on[:10],
        cut=kind.name if kind else entry.draft.cut.kind,
        kind=entry.draft.cut.kind,
        mass=entry.draft.cut.mass,
        thickness=entry.draft.cut.thickness,
        species=kind.species if kind else "",
        school=entry.draft.aims.school or "per_kg",
        held=hours_told(hours) if hours is not None else "",
        verdicts={aspect: word for aspect, word in entry.verdict_words.items()},
        steps={aspect: step for aspect, step in entry.steps.items()},
        shape=_as_typed(entry.draft.cut.shape, SHAPES, kind.shape if kind else ""),
        bone=_as_typed(entry.draft.cut.bone, BONES, kind.bone if kind else ""),
        cover=_as_typed(entry.draft.cut.cover, COVERS, kind.cover if kind else ""),
        thickness_mm=_thickness_mm(entry.draft.cut, kind),
        eaters=len(entry.verdicts),
        note=" ".join(verdict.note for verdict in entry.verdicts if verdict.note),
        from_id=entry.from_id,
        changed=list(entry.changed),
    )
