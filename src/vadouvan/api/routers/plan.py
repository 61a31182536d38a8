"""Plans: offers where one collides; the calendar out and in."""

from __future__ import annotations

from datetime import timedelta
from typing import Annotated

from fastapi import APIRouter, Path, Query, Response
from pydantic import BaseModel, Field

from vadouvan.api.context import Here
from vadouvan.api.schemas.draft import DraftBody
from vadouvan.core.asking.offers import plan_offers
from vadouvan.core.judge import judge
from vadouvan.formats.calendar_file import calendar_text, moved_draft
from vadouvan.formats.today import TodayOut, today_out

router = APIRouter(prefix="/api/plan", tags=["plan"])


Identity = Annotated[str, Path(max_length=64)]


class OffersQuestion(BaseModel):
    """A draft whose plan does not work."""

    draft: DraftBody


class PlanOfferOut(BaseModel):
    """A change that makes the plan work."""

    id: str
    says: str
    draft: DraftBody


@router.post("/offers")
def ask_offers(question: OffersQuestion, here: Here) -> list[PlanOfferOut]:
    """Nearest plans that work."""
    found = plan_offers(question.draft.to_core(), here.kitchen, now=here.now())
    return [PlanOfferOut(id=offer.id, says=offer.says, draft=DraftBody.model_validate(offer.draft)) for offer in found]


class CalendarBody(BaseModel):
    """The text of a calendar file."""

    text: str = Field(max_length=4_000_000)


class MovedOut(BaseModel):
    """What a calendar moved, in words, and the draft with it; nothing is kept yet."""

    says: list[str]
    draft: DraftBody


@router.get("/today")
def what_is_next(here: Here, hours: Annotated[float, Query(gt=0, le=24 * 31)] = 24.0) -> TodayOut:
    """Steps of all plans that begin within so many hours, and the labels of the bags."""
    kitchen, now = here.kitchen, here.now()
    kept = [(one.id, one.draft.name, judge(one.draft, kitchen, now=now)) for one in here.batches.all()]
    return today_out(kept, now, timedelta(hours=hours))


@router.get("/calendar.ics")
def all_as_calendar(here: Here) -> Response:
    """Every hands-on step of every plan as one calendar."""
    kitchen, now = here.kitchen, here.now()
    kept = [(one.id, one.draft.name, judge(one.draft, kitchen, now=now).steps) for one in here.batches.all()]
    return _file(calendar_text(kept, now=now), "vadouvan")


@router.get("/{identity}/calendar.ics")
def batch_as_calendar(identity: Identity, here: Here) -> Response:
    """The hands-on steps of one plan as a calendar."""
    kept, now = here.batches.get(identity), here.now()
    steps = judge(kept.draft, here.kitchen, now=now).steps
    return _file(calendar_text([(kept.id, kept.draft.name, steps)], now=now), identity)


@router.post("/{identity}/from-calendar")
def read_calendar(identity: Identity, body: CalendarBody, here: Here) -> MovedOut:
    """What was moved in a calendar that was written here."""
    kept = here.batches.get(identity)
    plan = judge(kept.draft, here.kitchen, now=here.now()).plan
    draft, says = moved_draft(body.text, identity, kept.draft, plan)
    return MovedOut(says=says, draft=DraftBody.model_validate(draft))


def _file(text: str, name: str) -> Response:
    headers = {"Content-Disposition": f'attachment; filename="{name}.ics"'}
    return Response(text, media_type="text/calendar; charset=utf-8", headers=headers)
