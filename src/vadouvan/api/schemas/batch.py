"""Batches and reference tables as the page gets them."""

from __future__ import annotations

from pydantic import BaseModel, Field

from vadouvan.core.cut.cover import Cover
from vadouvan.core.cut.shape import Bone, ShapeName
from vadouvan.core.draft.merging import Side
from vadouvan.core.draft.typed import Draft
from vadouvan.formats.judgement import JudgementShown
from vadouvan.formats.problem_out import ProblemOut
from vadouvan.unchanging import unchanging


@unchanging(kw_only=True)
class JudgedOut:
    """A judgement of a kept batch; ``locked`` once its mix has met the meat at the counter, ``tasted`` once somebody
    said how it was.
    """

    id: str
    revision: int
    judgement: JudgementShown
    can_undo: bool
    can_redo: bool
    locked: bool
    tasted: bool


@unchanging(kw_only=True)
class BatchOut(JudgedOut):
    """A kept batch with its judgement."""

    draft: Draft


@unchanging(kw_only=True)
class ChangedOut(JudgedOut):
    """A batch after a change; its draft only where that is another than was sent: changed elsewhere besides."""

    draft: Draft | None


class ChangeBody(BaseModel):
    """A change to a batch: the whole draft, and what it was made from.

    With ``since``, the draft that it was made from, what was changed elsewhere meanwhile stays beside it; where both
    changed one field, ``prefer`` says which stands.
    """

    revision: int = Field(ge=1, le=2**31)
    draft: Draft
    since: Draft | None = None
    prefer: Side | None = None


class AtBody(BaseModel):
    """The revision that a step back or forward starts from."""

    revision: int = Field(ge=1, le=2**31)


class OwnCutInput(BaseModel):
    """A name for the cut of a batch, to be kept as one of the cook's own."""

    batch: str = Field(max_length=64)
    name: str = Field(max_length=80)


class BatchFileBody(BaseModel):
    """The text of a batch file."""

    text: str = Field(max_length=2_000_000)


class LineQuestion(BaseModel):
    """A line being typed, and the meat that it is for, if that is known."""

    text: str = Field(max_length=2000)
    meat_g: float | None = Field(None, gt=0, le=1e6)


@unchanging(kw_only=True)
class LineItem:
    """One ingredient of a line that holds several: the line that it would be by itself."""

    text: str
    ingredient_id: str
    name: str
    grams: float
    shown: str
    guessed: bool


@unchanging(kw_only=True)
class LineAnswer:
    """Weight of a line being typed, or what is wrong with it; ``items`` where it holds several ingredients."""

    name: str | None = None
    shown: str | None = None
    band_shown: str | None = None
    guessed: bool = False
    salt_g: float | None = None
    items: list[LineItem]
    problem: ProblemOut | None = None


@unchanging(kw_only=True)
class CutOut:
    """A kind of cut to choose from."""

    id: str
    name: str
    species: str
    shape: ShapeName
    bone: Bone
    cover: Cover
    thickness_mm: float
    own: bool
    also_called: list[str]


@unchanging(kw_only=True)
class IngredientNameOut:
    """An ingredient to choose from."""

    id: str
    name: str
    also_called: list[str]
    group: str


@unchanging(kw_only=True)
class TablesOut:
    """Tables to choose from."""

    cuts: list[CutOut]
    ingredients: list[IngredientNameOut]


@unchanging(kw_only=True)
class ExampleOut:
    """An example start."""

    id: str
    name: str
    about: str


@unchanging(kw_only=True)
class TroubleOut:
    """Why a request was not carried out, in a sentence, and field by field."""

    sentence: str
    problems: list[ProblemOut]
