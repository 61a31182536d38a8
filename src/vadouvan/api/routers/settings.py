"""Settings of the kitchen: the cook's week, and what all batches share."""

from __future__ import annotations

from datetime import datetime, timedelta
from typing import Annotated

from fastapi import APIRouter, Query
from pydantic import BaseModel, ConfigDict, Field

from vadouvan.api.context import Here
from vadouvan.api.schemas.text import Text
from vadouvan.core.clock.moment import time_zone
from vadouvan.core.clock.routine import later
from vadouvan.core.interpretation.household import IS_SALT, HouseholdInput, read_household
from vadouvan.core.interpretation.mix import SCHOOLS
from vadouvan.core.interpretation.routine import RoutineInput, read_routine
from vadouvan.core.interpretation.shared import SharedInput, read_shared
from vadouvan.core.parsing.label import ALLERGENS

router = APIRouter(prefix="/api/settings", tags=["settings"])


class RoutineBody(BaseModel):
    """The cook's week as typed."""

    model_config = ConfigDict(extra="forbid", from_attributes=True)

    sleep_from: Text = ""
    sleep_to: Text = ""
    work_from: Text = ""
    work_to: Text = ""
    work_days: Annotated[list[Text], Field(max_length=7)] = []
    away: Text = ""


@router.get("/routine")
def get_routine(here: Here) -> RoutineBody:
    """Sleep and work."""
    return RoutineBody.model_validate(here.settings.routine(), from_attributes=True)


@router.put("/routine")
def keep_routine(body: RoutineBody, here: Here) -> RoutineBody:
    """Keep sleep and work; every plan is made anew around them."""
    said = RoutineInput(**{**body.model_dump(), "work_days": tuple(body.work_days)})
    read_routine(said)
    here.settings.keep_routine(said)
    return body


class SharedBody(BaseModel):
    """Litres free in the fridge and the tubs, as typed."""

    model_config = ConfigDict(extra="forbid", from_attributes=True)

    fridge: Text = ""
    tubs: Text = ""


@router.get("/shared")
def get_shared(here: Here) -> SharedBody:
    """Fridge and tubs."""
    return SharedBody.model_validate(here.settings.shared())


@router.put("/shared")
def keep_shared(body: SharedBody, here: Here) -> SharedBody:
    """Keep fridge and tubs."""
    said = SharedInput(**body.model_dump())
    read_shared(said)
    here.settings.keep_shared(said)
    return body


class HouseholdBody(BaseModel):
    """The household as typed."""

    model_config = ConfigDict(extra="forbid", from_attributes=True)

    salt: Text = ""
    school: Text = ""
    allergens: Annotated[list[Text], Field(max_length=20)] = []
    low_salt: Text = ""


class SaltOut(BaseModel):
    """A salt that may stand on the shelf."""

    id: str
    name: str


class HouseholdOut(BaseModel):
    """The household, and what can be chosen for it."""

    said: HouseholdBody
    salts: list[SaltOut]
    schools: list[str]
    allergens: list[str]


@router.get("/household")
def get_household(here: Here) -> HouseholdOut:
    """Salt on the shelf, way of salting, allergens, low-salt eaters."""
    salts = [item for item in here.tables.pantry.by_id.values() if item.salt.value >= IS_SALT]
    return HouseholdOut(
        said=HouseholdBody.model_validate(here.settings.household()),
        salts=[SaltOut(id=item.id, name=item.name) for item in salts],
        schools=list(SCHOOLS),
        allergens=list(ALLERGENS),
    )


@router.put("/household")
def keep_household(body: HouseholdBody, here: Here) -> HouseholdOut:
    """Keep the household; every mix is judged for it."""
    said = HouseholdInput(**{**body.model_dump(), "allergens": tuple(dict.fromkeys(body.allergens))})
    read_household(said, here.tables.pantry)
    here.settings.keep_household(said)
    return get_household(here)


class BusyOut(BaseModel):
    """A stretch in which hands are not free: ``sleep``, ``work`` or ``away``."""

    what: str
    begins: datetime
    ends: datetime


@router.get("/busy")
def list_busy(here: Here, zone: Annotated[str, Query(max_length=64)] = "UTC") -> list[BusyOut]:
    """Sleep and work from yesterday to two weeks ahead, in a time zone, for drawing."""
    now = here.now().astimezone(time_zone(zone, field="zone"))
    stretches = here.kitchen.routine.between(later(now, -timedelta(days=1)), later(now, timedelta(days=14)))
    return [BusyOut(what=what, begins=begins, ends=ends) for what, begins, ends in stretches]
