"""Questions about a hold."""

from __future__ import annotations

from typing import Annotated

from pydantic import BaseModel, Field

from vadouvan.api.schemas.text import Text
from vadouvan.core.advice.comparing import Change
from vadouvan.core.draft.typed import Draft


class ComparisonQuestion(BaseModel):
    """The same batch with one thing changed, looked at after so many hours."""

    draft: Draft
    change: Change
    value: Text = ""
    at_h: Annotated[float, Field(gt=0, le=2000, allow_inf_nan=False)] = 12.0
