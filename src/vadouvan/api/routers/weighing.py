"""The counter: what is weighed, tasted, set aside, put in, turned, noted and pulled, press by press."""

from __future__ import annotations

from typing import Annotated

from fastapi import APIRouter, Path
from pydantic import BaseModel, ConfigDict, Field

from vadouvan.api.context import Context, Here
from vadouvan.api.schemas.text import Text
from vadouvan.core.draft.typed import Draft
from vadouvan.core.figure import number_told
from vadouvan.core.weighing.advice import advice_on
from vadouvan.core.weighing.event import CounterEvent, EventKind, How
from vadouvan.core.weighing.session import Session, carry_out, session_of
from vadouvan.core.weighing.telling import typed_celsius, typed_mass_kg
from vadouvan.errors import Busy, Overtaken
from vadouvan.formats.weighing_out import WeighOut, weigh_out
from vadouvan.store.event_log import DraftMoved

TRIES = 5  # of an event whose draft is being typed in at the same moment
router = APIRouter(prefix="/api/weigh", tags=["weigh"])

Identity = Annotated[str, Path(max_length=64)]
Number = Annotated[float, Field(allow_inf_nan=False, ge=-1e9, le=1e9)]


class EventBody(BaseModel):
    """A press; ``after`` is the number of the last one that the page knew.

    ``mass_g`` and ``celsius`` are what a device showed; ``mass`` and ``degrees`` what a cook typed, read here.
    """

    model_config = ConfigDict(extra="forbid")

    after: int = Field(ge=0, le=2**31)
    kind: EventKind
    line_id: Annotated[Text, Field(max_length=64)] = ""
    mass_g: Number | None = None
    celsius: Number | None = None
    mass: Annotated[Text, Field(max_length=64)] = ""
    degrees: Annotated[Text, Field(max_length=64)] = ""
    words: Text = ""
    how: How = ""
    sure: bool = False

    def to_core(self) -> CounterEvent:
        """The press, with what was typed read; raises InputError for what is unclear."""
        mass_kg = None if self.mass_g is None else round(self.mass_g / 1000, 9)
        return CounterEvent(
            kind=self.kind,
            line_id=self.line_id,
            mass_kg=typed_mass_kg(self.mass, self.kind) if self.mass.strip() else mass_kg,
            celsius=typed_celsius(self.degrees) if self.degrees.strip() else self.celsius,
            words=self.words,
            how=self.how,
            sure=self.sure,
        )


class TypedBody(BaseModel):
    """A weight as it is being typed, for the beam to follow."""

    model_config = ConfigDict(extra="forbid")

    mass: Annotated[Text, Field(max_length=64)]
    kind: EventKind = "weighed"


class TypedAnswer(BaseModel):
    """How it is understood, in grams and in words."""

    grams: float
    told: str


class WeighAnswer(WeighOut):
    """Where a weigh-in stands, with the draft as it was weighed so far, for questions about it."""

    draft: Draft


@router.post("/typed")
def typed(body: TypedBody) -> TypedAnswer:
    """A weight as it is typed, read; 422 for what is none."""
    grams = typed_mass_kg(body.mass, body.kind) * 1000
    return TypedAnswer(grams=grams, told=f"{number_told(grams)} g")


@router.get("/{identity}")
def look(identity: Identity, here: Here) -> WeighAnswer:
    """Where the weigh-in stands."""
    return _answer(_session(identity, here), here)


@router.post("/{identity}")
def event(identity: Identity, body: EventBody, here: Here) -> WeighAnswer:
    """Carry a press out; 422 if it cannot be now, 409 if another came first."""
    said = body.to_core()
    for left in reversed(range(TRIES)):
        session, now = _session(identity, here), here.now()
        if body.after != session.record.number:
            raise Overtaken(identity, expected=body.after, stored=session.record.number)
        carried = carry_out(session, said, here.kitchen, now=now)
        try:
            here.events.note(identity, carried.logged, draft=carried.draft, made_from=session.draft, now=now)
        except DraftMoved:
            if left == 0:
                raise Busy from None
        else:
            break
    return _answer(_session(identity, here), here)


def _session(identity: str, here: Context) -> Session:
    kept = here.batches.get(identity)
    return session_of(kept.draft, here.events.of(identity), here.kitchen, now=here.now())


def _answer(session: Session, here: Context) -> WeighAnswer:
    now = here.now()
    advice = advice_on(session.draft, session.lines, session.record, here.kitchen, now=now)
    out = weigh_out(session, advice, now)
    return WeighAnswer(**dict(out), draft=session.present)
