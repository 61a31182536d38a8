"""Plans: offers where one collides; the calendar out and in."""

from __future__ import annotations

from datetime import datetime, timedelta
from typing import Annotated

from fastapi import Path, Query, Request, Response
from pydantic import BaseModel, Field

from vadouvan.api.context import Here
from vadouvan.api.router import router_of
from vadouvan.api.told_in import AsRead
from vadouvan.core.advice.offers import plan_offers
from vadouvan.core.clock.moment import time_zone
from vadouvan.core.clock.said_moment import said_moment
from vadouvan.core.draft.typed import Draft
from vadouvan.core.schedule.moving import Mark
from vadouvan.formats.today import TodayOut, today_out
from vadouvan.formats.told_anew import answer_told_anew
from vadouvan.unchanging import unchanging
from vadouvan.use_cases.planning import clashes_told, move_mark, plan_and_keep_together, table_in_hand

router = router_of("/api/plan", "plan")


Identity = Annotated[str, Path(max_length=64)]


class MomentQuestion(BaseModel):
    """A date and time in words, and the time zone that it is meant in."""

    text: Annotated[str, Field(max_length=200)]
    time_zone: Annotated[str, Field(max_length=80)] = "UTC"


@unchanging(kw_only=True)
class MomentAnswer:
    """The moment as a draft keeps it."""

    at: str


class OffersQuestion(BaseModel):
    """A draft whose plan does not work."""

    draft: Draft


@unchanging(kw_only=True)
class PlanOfferOut:
    """A change that makes the plan work."""

    id: str
    says: str
    draft: Draft


@router.post("/moment")
def read_moment(question: MomentQuestion, here: Here) -> MomentAnswer:
    """Meaning of "tomorrow 19:00" or "Sat 7 pm" now, in that zone."""
    zone = time_zone(question.time_zone, field="time_zone")
    moment = said_moment(question.text, zone, here.now(), field="moment")
    return MomentAnswer(at=f"{moment:%Y-%m-%dT%H:%M}")


@router.post("/offers")
def ask_offers(question: OffersQuestion, here: Here) -> list[PlanOfferOut]:
    """Nearest plans that work."""
    found = plan_offers(question.draft, here.kitchen, now=here.now())
    return [PlanOfferOut(id=offer.id, says=offer.says, draft=offer.draft) for offer in found]


class CalendarBody(BaseModel):
    """The text of a calendar file."""

    text: str = Field(max_length=4_000_000)


@unchanging(kw_only=True)
class MovedOut:
    """Moves made in a calendar, in words, and the draft with it; nothing is kept yet."""

    says: list[str]
    draft: Draft


class MoveBody(BaseModel):
    """A mark of a plan, and where it is moved to: a moment with its offset."""

    draft: Draft
    mark: Mark
    to: datetime


@unchanging(kw_only=True)
class MoveOut:
    """The draft with a mark moved, and the plan that it then has, in words."""

    draft: Draft
    says: str


@router.post("/move")
def move(body: MoveBody, here: Here) -> MoveOut:
    """The draft with its meal, its pull or its start at another moment; nothing is kept yet."""
    moved = move_mark(body.draft, body.mark, body.to, here.judged)
    return MoveOut(draft=moved.draft, says=moved.says)


@unchanging(kw_only=True)
class TableOut:
    """Clashes of the batches while each is planned on its own: a sentence each."""

    clashes: list[str]


@unchanging(kw_only=True)
class LeftOutOut:
    """A batch that found no place beside the others; ``draft`` is of a later meal at which it does."""

    batch_id: str
    batch: str
    says: str
    later_says: str
    draft: Draft | None
    since: Draft


@unchanging(kw_only=True)
class TogetherOut:
    """Moves, in words, and what found no place."""

    moved: list[str]
    left_out: list[LeftOutOut]
    proven: bool


@router.get("/table")
def look_at_table(here: Here) -> TableOut:
    """Whether all batches go together."""
    return TableOut(clashes=clashes_told(*table_in_hand(here)))


@router.post("/table")
def plan_table_together(here: Here) -> TogetherOut:
    """Plan all batches together and keep it: starts, and what is done early and kept warm."""
    plan = plan_and_keep_together(here)
    left = [
        LeftOutOut(
            batch_id=one.batch.id,
            batch=one.batch.name,
            says=one.says,
            later_says=one.later_says,
            draft=one.draft,
            since=one.batch.draft,
        )
        for one in plan.left_out
    ]
    return TogetherOut(moved=list(plan.says), left_out=left, proven=plan.proven)


@router.get("/today")
def what_is_next(here: Here, hours: Annotated[float, Query(gt=0, le=24 * 31)] = 24.0) -> TodayOut:
    """Steps of all plans that begin within so many hours, and the labels of the bags."""
    now = here.now()
    kept = [(one.id, one.draft.name, here.judged(one.draft)) for one in here.in_hand()]
    return today_out(kept, now, timedelta(hours=hours))


@router.get("/today.pdf")
def today_on_paper(
    request: Request, here: Here, as_read: AsRead, hours: Annotated[float, Query(gt=0, le=24 * 31)] = 24.0
) -> Response:
    """The same list with the labels, as PDF."""
    from vadouvan.formats.paper import today_pdf  # noqa: PLC0415 - loaded when something is printed

    days = f"{hours / 24:.0f} days" if hours > 24 else f"{hours:.0f} hours"
    today = answer_told_anew(what_is_next(here, hours), as_read)
    paper = today_pdf(today, title=f"The next {days}", address=str(request.base_url), now=here.now())
    return _pdf(paper, "today")


@router.get("/{identity}/label.pdf")
def label_on_paper(identity: Identity, request: Request, here: Here, as_read: AsRead) -> Response:
    """The label of one bag as PDF, with a code that opens the batch."""
    from vadouvan.formats.paper import labels_pdf  # noqa: PLC0415 - loaded when something is printed

    kept, now = here.batches.get(identity), here.now()
    told = today_out([(kept.id, kept.draft.name, here.judged(kept.draft))], now, timedelta(0))
    found = answer_told_anew(told, as_read)
    return _pdf(labels_pdf(found.labels, address=str(request.base_url), now=now), f"label-{identity[:8]}")


@router.get("/{identity}/code.svg")
def code_of_batch(identity: Identity, request: Request, here: Here) -> Response:
    """A code that opens the batch."""
    from vadouvan.formats.code import batch_address, code_svg  # noqa: PLC0415 - loaded when something is printed

    kept = here.batches.get(identity)
    return Response(code_svg(batch_address(str(request.base_url), kept.id)), media_type="image/svg+xml")


@router.get("/calendar.ics")
def all_as_calendar(here: Here) -> Response:
    """Every hands-on step of every plan as one calendar."""
    from vadouvan.formats.calendar_file import calendar_text  # noqa: PLC0415 - loaded when a calendar is written or read

    now = here.now()
    kept = [(one.id, one.draft.name, here.judged(one.draft).steps) for one in here.in_hand()]
    return _file(calendar_text(kept, now=now), "vadouvan")


@router.get("/{identity}/calendar.ics")
def batch_as_calendar(identity: Identity, here: Here) -> Response:
    """The hands-on steps of one plan as a calendar."""
    from vadouvan.formats.calendar_file import calendar_text  # noqa: PLC0415 - loaded when a calendar is written or read

    kept, now = here.batches.get(identity), here.now()
    steps = here.judged(kept.draft).steps
    return _file(calendar_text([(kept.id, kept.draft.name, steps)], now=now), identity)


@router.post("/{identity}/from-calendar")
def read_calendar(identity: Identity, body: CalendarBody, here: Here) -> MovedOut:
    """Moves made in a calendar that was written here."""
    from vadouvan.formats.calendar_file import moved_draft  # noqa: PLC0415 - loaded when a calendar is written or read

    kept = here.batches.get(identity)
    plan = here.judged(kept.draft).plan
    draft, says = moved_draft(body.text, identity, kept.draft, plan)
    return MovedOut(says=says, draft=draft)


def _pdf(paper: bytes, name: str) -> Response:
    headers = {"Content-Disposition": f'inline; filename="{name}.pdf"'}
    return Response(paper, media_type="application/pdf", headers=headers)


def _file(text: str, name: str) -> Response:
    headers = {"Content-Disposition": f'attachment; filename="{name}.ics"'}
    return Response(text, media_type="text/calendar; charset=utf-8", headers=headers)
