"""The draft as it travels: texts as typed, bounded in length."""

from __future__ import annotations

from typing import Annotated

from pydantic import AfterValidator, BaseModel, ConfigDict, Field, StringConstraints

from vadouvan.core.draft import (
    LONGEST_KEPT,
    AimsSaid,
    CutSaid,
    Draft,
    FireSaid,
    HoldSaid,
    LineSaid,
    MakingSaid,
    MealSaid,
    OccasionSaid,
    QuantitySaid,
    StageSaid,
    StepSaid,
)


def _writable(text: str) -> str:
    """Refuses half of a surrogate pair: it is no character and cannot be stored."""
    text.encode("utf-8")
    return text


Text = Annotated[str, StringConstraints(max_length=LONGEST_KEPT), AfterValidator(_writable)]


class _Body(BaseModel):
    model_config = ConfigDict(extra="forbid", from_attributes=True)


class StepBody(_Body):
    """One thing done to the cut, as typed."""

    id: Annotated[Text, Field(min_length=1, max_length=64)]
    kind: Text
    amount: Text = ""
    depth: Text = ""
    spacing: Text = ""
    crosswise: Text = ""
    through_skin: Text = ""
    count: Text = ""
    stuffed_with: Text = ""


class OccasionBody(_Body):
    """For how many, as typed."""

    servings: Text = ""
    appetite: Text = ""
    frozen: Text = ""


class CutBody(_Body):
    """Answers about the cut, as typed."""

    kind: Text = ""
    state: Text = ""
    age: Text = ""
    mass: Text = ""
    shape: Text = ""
    thickness: Text = ""
    width: Text = ""
    length: Text = ""
    pieces: Text = ""
    bone: Text = ""
    bone_share: Text = ""
    cover: Text = ""
    cover_on: Text = ""
    evenness: Text = ""
    steps: Annotated[list[StepBody], Field(max_length=100)] = []

    def to_core(self) -> CutSaid:
        """The same as a core value."""
        steps = tuple(StepSaid(**step.model_dump()) for step in self.steps)
        return CutSaid(**self.model_dump(exclude={"steps"}), steps=steps)


class LineBody(_Body):
    """One line of the mix, as typed."""

    id: Annotated[Text, Field(min_length=1, max_length=64)]
    text: Text
    locked: Text = ""
    lifted: Text = ""
    first: Text = ""


class AimsBody(_Body):
    """What the mix should come to, as typed."""

    school: Text = ""
    spoon_salt: Text = ""
    spoons: Text = ""
    bath_time: Text = ""
    sugar: Text = ""
    acid: Text = ""
    heat: Text = ""


class QuantityBody(_Body):
    """How the mix meets the meat and what is set aside, as typed."""

    form: Text = ""
    container: Text = ""
    size: Text = ""
    coat: Text = ""
    set_aside: Text = ""
    set_aside_for: Text = ""


class MakingBody(_Body):
    """How the mix is made, as typed."""

    method: Text = ""
    simmer: Text = ""
    reduce_to: Text = ""
    cooling: Text = ""
    texture: Text = ""
    first_contact: Text = ""


class HoldBody(_Body):
    """Answers about the hold, as typed."""

    fridge: Text = ""
    goal: Text = ""
    salt_target: Text = ""
    vacuum_school: Text = ""
    turned: Text = ""
    metal: Text = ""
    open_air: Text = ""
    readings: Text = ""
    room: Text = ""


class MealBody(_Body):
    """Answers about the meal, as typed."""

    at: Text = ""
    lead: Text = ""
    time_zone: Text = ""
    start: Text = ""
    contact: Text = ""
    pulled: Text = ""
    early: Text = ""
    thaw_for: Text = ""


class StageBody(_Body):
    """One stage of cooking, as typed."""

    id: Annotated[Text, Field(min_length=1, max_length=64)]
    place: Text = ""
    heat: Text = ""
    air: Text = ""
    minutes: Text = ""
    core: Text = ""
    turn: Text = ""
    brush: Text = ""


class FireBody(_Body):
    """How it is cooked, as typed."""

    surface: Text = ""
    stages: Annotated[list[StageBody], Field(max_length=100)] = []
    doneness: Text = ""
    core: Text = ""
    sauce: Text = ""
    boil: Text = ""
    reduce_to: Text = ""
    freeze: Text = ""

    def to_core(self) -> FireSaid:
        """The same as a core value."""
        stages = tuple(StageSaid(**stage.model_dump()) for stage in self.stages)
        return FireSaid(**self.model_dump(exclude={"stages"}), stages=stages)


class DraftBody(_Body):
    """A whole batch, as typed."""

    name: Text = ""
    cut: CutBody = CutBody()
    mix: Annotated[list[LineBody], Field(max_length=1000)] = []
    hold: HoldBody = HoldBody()
    meal: MealBody = MealBody()
    occasion: OccasionBody = OccasionBody()
    aims: AimsBody = AimsBody()
    quantity: QuantityBody = QuantityBody()
    making: MakingBody = MakingBody()
    fire: FireBody = FireBody()

    def to_core(self) -> Draft:
        """The same as a core value."""
        return Draft(
            name=self.name,
            cut=self.cut.to_core(),
            mix=tuple(LineSaid(**line.model_dump()) for line in self.mix),
            hold=HoldSaid(**self.hold.model_dump()),
            meal=MealSaid(**self.meal.model_dump()),
            occasion=OccasionSaid(**self.occasion.model_dump()),
            aims=AimsSaid(**self.aims.model_dump()),
            quantity=QuantitySaid(**self.quantity.model_dump()),
            making=MakingSaid(**self.making.model_dump()),
            fire=self.fire.to_core(),
        )
