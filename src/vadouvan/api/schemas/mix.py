"""Questions about a mix, and pasted lists."""

from __future__ import annotations

from typing import Annotated, Literal

from pydantic import BaseModel, Field

from vadouvan.core.advice.corrections import Degree, Taste
from vadouvan.core.draft.typed import CutInput, Draft
from vadouvan.core.mix.measure import Measures
from vadouvan.formats.any_file import LONGEST_PASTED
from vadouvan.unchanging import unchanging

Asked = Annotated[float, Field(ge=0, le=20_000, allow_inf_nan=False)]


class AmountsQuestion(BaseModel):
    """Which amounts reach the aims of a draft; ``in_mix_g_per_kg`` asks for other contents per kg of meat instead."""

    draft: Draft
    in_mix_g_per_kg: dict[Literal["salt", "sugar", "acid"], Asked] = {}
    cover: bool = False
    measures: Measures = "scale"


class CorrectionsQuestion(BaseModel):
    """Additions that would mend a mix that tasted wrong."""

    draft: Draft
    taste: Taste
    degree: Degree


class SwapsQuestion(BaseModel):
    """Stand-ins for a line, without these allergens."""

    draft: Draft
    line_id: Annotated[str, Field(max_length=64)]
    without: Annotated[list[Annotated[str, Field(max_length=40)]], Field(max_length=20)] = []


class ScaledQuestion(BaseModel):
    """The amounts for another cut."""

    draft: Draft
    cut: CutInput


class PastedQuestion(BaseModel):
    """A pasted text."""

    text: Annotated[str, Field(max_length=LONGEST_PASTED)]


@unchanging(kw_only=True)
class PastedMixOut:
    """One mix of a pasted text: its heading, if any, and its lines."""

    title: str
    lines: list[str]


@unchanging(kw_only=True)
class PastedOut:
    """Contents of a pasted text: its name, the mix, or several to choose from, what stands beside it, as a glaze does,
    lines of nothing but meat, what was taken from its directions, in sentences, and what is no line of any.
    """

    name: str
    mixes: list[PastedMixOut]
    companions: list[PastedMixOut]
    meat: list[str]
    told: list[str]
    left_out: list[str]
