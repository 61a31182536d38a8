"""The counter: what is weighed, tasted, set aside, put in, turned, noted and pulled, press by press."""

from __future__ import annotations

from typing import Annotated

from fastapi import APIRouter, Path
from pydantic import BaseModel, ConfigDict, Field

from vadouvan.api.context import Context, Here
from vadouvan.api.schemas.draft import DraftBody, Text
from vadouvan.core.weigh.advice import advice_on
from vadouvan.core.weigh.press import How, Kind, Press
from vadouvan.core.weigh.session import Session, carry_out, session_of
from vadouvan.errors import Overtaken
from vadouvan.formats.weigh_out import WeighOut, weigh_out

router = APIRouter(prefix="/api/weigh", tags=["weigh"])

Identity = Annotated[str, Path(max_length=64)]
Number = Annotated[float, Field(allow_inf_nan=False, ge=-1e9, le=1e9)]


class PressBody(BaseModel):
    """A press; ``after`` is the number of the last one that the page knew."""

    model_config = ConfigDict(extra="forbid")

    after: int = Field(ge=0, le=2**31)
    kind: Kind
    line_id: Annotated[Text, Field(max_length=64)] = ""
    mass_g: Number | None = None
    celsius: Number | None = None
    words: Text = ""
    how: How = ""


class WeighAnswer(WeighOut):
    """Where a weigh-in stands, with the draft as it was weighed so far, for questions about it."""

    draft: DraftBody


@router.get("/{identity}")
def look(identity: Identity, here: Here) -> WeighAnswer:
    """Where the weigh-in stands."""
    return _answer(_session(identity, here), here)


@router.post("/{identity}")
def press(identity: Identity, body: PressBody, here: Here) -> WeighAnswer:
    """Carry a press out; 422 if it cannot be now, 409 if another came first."""
    session, now = _session(identity, here), here.now()
    said = Press(
        kind=body.kind,
        line_id=body.line_id,
        mass_kg=None if body.mass_g is None else round(body.mass_g / 1000, 9),
        celsius=body.celsius,
        words=body.words,
        how=body.how,
    )
    if body.after != session.record.number:
        raise Overtaken(identity, expected=body.after, stored=session.record.number)
    carried = carry_out(session, said, here.kitchen, now=now)
    here.presses.note(identity, carried.noted, draft=carried.draft, now=now)
    return _answer(_session(identity, here), here)


def _session(identity: str, here: Context) -> Session:
    kept = here.batches.get(identity)
    return session_of(kept.draft, here.presses.of(identity), here.kitchen, now=here.now())


def _answer(session: Session, here: Context) -> WeighAnswer:
    now = here.now()
    advice = advice_on(session.draft, session.lines, session.record, here.kitchen, now=now)
    out = weigh_out(session, advice, now)
    return WeighAnswer(**dict(out), draft=DraftBody.model_validate(session.present))
