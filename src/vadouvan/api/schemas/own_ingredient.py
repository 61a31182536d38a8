"""An ingredient of the cook's own, as typed from its label."""

from __future__ import annotations

from pydantic import BaseModel, ConfigDict

from vadouvan.api.schemas.pantry import PantryItemOut
from vadouvan.api.schemas.text import Text
from vadouvan.core.draft.merging import Side
from vadouvan.core.parsing.label import LabelInput
from vadouvan.formats.problem_out import ProblemOut
from vadouvan.unchanging import unchanging


class LabelBody(BaseModel):
    """A label as typed."""

    model_config = ConfigDict(extra="forbid", from_attributes=True)

    name: Text = ""
    like: Text = ""
    basis: Text = ""
    serving: Text = ""
    label: Text = ""
    allergens: Text = ""

    def to_core(self) -> LabelInput:
        """The same as a core value."""
        return LabelInput(**self.model_dump(include=set(LabelBody.model_fields)))


class LabelChange(LabelBody):
    """The same, with what it was changed from, and which side stands where both changed one answer."""

    since: LabelBody | None = None
    prefer: Side | None = None


@unchanging(kw_only=True)
class LabelAnswer:
    """Contents by a label, with what was assumed; or what is wrong with it."""

    item: PantryItemOut | None = None
    assumed: list[str]
    problem: ProblemOut | None = None


@unchanging(kw_only=True)
class OwnIngredientOut:
    """A kept label with its reading."""

    id: str
    said: LabelBody
    reading: LabelAnswer
