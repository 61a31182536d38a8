"""Settings of the kitchen: the cook's week."""

from __future__ import annotations

from typing import Annotated

from fastapi import APIRouter
from pydantic import BaseModel, ConfigDict, Field

from vadouvan.api.context import Here
from vadouvan.api.schemas.draft import Text
from vadouvan.core.reading.routine import RoutineSaid, read_routine

router = APIRouter(prefix="/api/settings", tags=["settings"])


class RoutineBody(BaseModel):
    """The cook's week as typed."""

    model_config = ConfigDict(extra="forbid", from_attributes=True)

    sleep_from: Text = ""
    sleep_to: Text = ""
    work_from: Text = ""
    work_to: Text = ""
    work_days: Annotated[list[Text], Field(max_length=7)] = []


@router.get("/routine")
def get_routine(here: Here) -> RoutineBody:
    """Sleep and work."""
    return RoutineBody.model_validate(here.settings.routine(), from_attributes=True)


@router.put("/routine")
def keep_routine(body: RoutineBody, here: Here) -> RoutineBody:
    """Keep sleep and work; every plan is made anew around them."""
    said = RoutineSaid(**{**body.model_dump(), "work_days": tuple(body.work_days)})
    read_routine(said)
    here.settings.keep_routine(said)
    return body
