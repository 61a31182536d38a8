"""The counter: what is weighed, tasted, set aside, put in, turned, noted and pulled, press by press."""

from __future__ import annotations

from typing import Annotated

from fastapi import Path
from pydantic import BaseModel, ConfigDict, Field

from vadouvan.api.context import Here
from vadouvan.api.router import router_of
from vadouvan.api.schemas.text import Text
from vadouvan.core.draft.typed import Draft
from vadouvan.core.figure import number_told
from vadouvan.core.weighing.event import CounterEvent, EventKind, How
from vadouvan.core.weighing.telling import typed_celsius, typed_mass_kg
from vadouvan.formats.weighing_out import WeighOut, weigh_out
from vadouvan.unchanging import unchanging
from vadouvan.use_cases.counter import CounterStand, press, stand_of
from vadouvan.use_cases.running_kitchen import RunningKitchen

router = router_of("/api/weigh", "weigh")

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


@unchanging(kw_only=True)
class TypedAnswer:
    """How it is understood, in grams and in words."""

    grams: float
    told: str


@unchanging(kw_only=True)
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
    return _answer(stand_of(identity, here), here)


@router.post("/{identity}")
def event(identity: Identity, body: EventBody, here: Here) -> WeighAnswer:
    """Carry a press out; 422 if it cannot be now, 409 if another came first."""
    return _answer(press(identity, body.to_core(), body.after, here), here)


def _answer(stand: CounterStand, here: RunningKitchen) -> WeighAnswer:
    out = weigh_out(stand.session, stand.advice, here.now())
    return WeighAnswer(**vars(out), draft=stand.session.present)
