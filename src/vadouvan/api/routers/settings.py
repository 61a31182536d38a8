"""Settings of the kitchen: the cook's week, and what all batches share."""

from __future__ import annotations

from datetime import datetime, timedelta
from typing import Annotated

from fastapi import Query
from pydantic import BaseModel, ConfigDict, Field

from vadouvan.api.context import Here
from vadouvan.api.router import router_of
from vadouvan.api.schemas.text import Text
from vadouvan.core.clock.moment import time_zone
from vadouvan.core.clock.routine import later
from vadouvan.core.draft.merging import Side
from vadouvan.core.interpretation.household import IS_SALT, MOST_ALLERGENS, HouseholdInput, read_household
from vadouvan.core.interpretation.mix import SCHOOLS
from vadouvan.core.interpretation.routine import RoutineInput, read_routine
from vadouvan.core.interpretation.shared import SharedInput, read_shared
from vadouvan.core.parsing.label import ALLERGENS
from vadouvan.store.beside import MadeFrom
from vadouvan.unchanging import unchanging

router = router_of("/api/settings", "settings")


class RoutineBody(BaseModel):
    """The cook's week as typed."""

    model_config = ConfigDict(extra="forbid", from_attributes=True)

    sleep_from: Text = ""
    sleep_to: Text = ""
    work_from: Text = ""
    work_to: Text = ""
    work_days: Annotated[list[Text], Field(max_length=7)] = []
    away: Text = ""


class RoutineChange(RoutineBody):
    """The same, with what it was changed from, and which side stands where both changed one answer."""

    since: RoutineBody | None = None
    prefer: Side | None = None


@router.get("/routine")
def get_routine(here: Here) -> RoutineBody:
    """Sleep and work."""
    return RoutineBody.model_validate(here.settings.routine(), from_attributes=True)


@router.put("/routine")
def keep_routine(body: RoutineChange, here: Here) -> RoutineBody:
    """Keep sleep and work beside what was changed elsewhere; every plan is made anew around them."""
    said = _routine(body)
    read_routine(said)
    since = None if body.since is None else _routine(body.since)
    return RoutineBody.model_validate(here.settings.keep_routine(said, MadeFrom(since, body.prefer)))


def _routine(body: RoutineBody) -> RoutineInput:
    said = body.model_dump(exclude={"since", "prefer"})
    return RoutineInput(**{**said, "work_days": tuple(body.work_days)})


class SharedBody(BaseModel):
    """Litres free in the fridge and the tubs, as typed."""

    model_config = ConfigDict(extra="forbid", from_attributes=True)

    fridge: Text = ""
    tubs: Text = ""


class SharedChange(SharedBody):
    """The same, with what it was changed from, and which side stands where both changed one answer."""

    since: SharedBody | None = None
    prefer: Side | None = None


@router.get("/shared")
def get_shared(here: Here) -> SharedBody:
    """Fridge and tubs."""
    return SharedBody.model_validate(here.settings.shared())


@router.put("/shared")
def keep_shared(body: SharedChange, here: Here) -> SharedBody:
    """Keep fridge and tubs beside what was changed elsewhere."""
    said = SharedInput(body.fridge, body.tubs)
    read_shared(said)
    since = None if body.since is None else SharedInput(body.since.fridge, body.since.tubs)
    return SharedBody.model_validate(here.settings.keep_shared(said, MadeFrom(since, body.prefer)))


class HouseholdBody(BaseModel):
    """The household as typed."""

    model_config = ConfigDict(extra="forbid", from_attributes=True)

    salt: Text = ""
    school: Text = ""
    allergens: Annotated[list[Text], Field(max_length=MOST_ALLERGENS)] = []
    low_salt: Text = ""


class HouseholdChange(HouseholdBody):
    """The same, with what it was changed from, and which side stands where both changed one answer."""

    since: HouseholdBody | None = None
    prefer: Side | None = None


@unchanging(kw_only=True)
class SaltOut:
    """A salt that may stand on the shelf."""

    id: str
    name: str


@unchanging(kw_only=True)
class HouseholdOut:
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
def keep_household(body: HouseholdChange, here: Here) -> HouseholdOut:
    """Keep the household beside what was changed elsewhere; every mix is judged for it."""
    said = _household(body)
    read_household(said, here.tables.pantry)
    since = None if body.since is None else _household(body.since)
    here.settings.keep_household(said, MadeFrom(since, body.prefer))
    return get_household(here)


def _household(body: HouseholdBody) -> HouseholdInput:
    said = body.model_dump(exclude={"since", "prefer"})
    return HouseholdInput(**{**said, "allergens": tuple(dict.fromkeys(body.allergens))})


@unchanging(kw_only=True)
class BusyOut:
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
