"""Guided examples: guess first, then see what the model works out."""

from __future__ import annotations

from typing import Annotated

from fastapi import Path

from vadouvan.api.context import Here
from vadouvan.api.router import router_of
from vadouvan.core.draft.typed import Draft
from vadouvan.core.interpretation.draft import read_draft
from vadouvan.core.lessons.guided import LESSONS, Held, outcome
from vadouvan.errors import NotKept
from vadouvan.formats.course_out import CourseOut, course_out
from vadouvan.formats.cut_out import PieceOut, piece_out
from vadouvan.unchanging import unchanging
from vadouvan.use_cases.running_kitchen import RunningKitchen

router = router_of("/api/lessons", "lessons")


@unchanging(kw_only=True)
class SideAskedOut:
    """One of the two holds of a question, before anything is worked out: its mix and its piece."""

    name: str
    mix: list[str]
    piece: PieceOut


@unchanging(kw_only=True)
class LessonOut:
    """A question with its options, and the two pieces that it is about."""

    id: str
    title: str
    asks: str
    options: list[str]
    sides: list[SideAskedOut]


@unchanging(kw_only=True)
class SideOut(SideAskedOut):
    """One of the two holds of a lesson, worked out."""

    course: CourseOut
    sentence: str


@unchanging(kw_only=True)
class OutcomeOut:
    """Which option is right and why, with both holds to look at from an hour on."""

    right: int
    says: str
    hour: float
    this: SideOut
    other: SideOut


@router.get("")
def list_lessons(here: Here) -> list[LessonOut]:
    """All guided examples, without their answers."""
    return [
        LessonOut(
            id=lesson.id,
            title=lesson.title,
            asks=lesson.asks,
            options=list(lesson.options),
            sides=[_asked(name, draft, here) for name, draft in lesson.sides],
        )
        for lesson in LESSONS.values()
    ]


@router.get("/{identity}")
def see_outcome(identity: Annotated[str, Path(max_length=64)], here: Here) -> OutcomeOut:
    """Results of the model for a guided example."""
    lesson = LESSONS.get(identity)
    if lesson is None:
        raise NotKept("lesson", identity)
    found = outcome(lesson, here.tables, now=here.now())
    return OutcomeOut(
        right=found.right, says=found.says, hour=lesson.hour, this=_side(found.this), other=_side(found.other)
    )


def _asked(name: str, draft: Draft, here: RunningKitchen) -> SideAskedOut:
    cut = read_draft(draft, here.tables, now=here.now()).cut
    if cut is None:
        raise ValueError(f"the lesson's {name} has no cut")
    return SideAskedOut(name=name, mix=[line.text for line in draft.mix], piece=piece_out(cut))


def _side(held: Held) -> SideOut:
    cut = held.judgement.reading.cut
    if cut is None:
        raise ValueError(f"the lesson's {held.name} has no cut")
    return SideOut(
        name=held.name,
        mix=[line.text for line in held.draft.mix],
        piece=piece_out(cut),
        course=course_out(held.course),
        sentence=held.judgement.sentence,
    )
