"""The draft as it travels: texts as typed, bounded in length."""

from __future__ import annotations

from typing import Annotated

from pydantic import AfterValidator, BaseModel, ConfigDict, Field, StringConstraints

from vadouvan.core.draft import CutSaid, Draft, HoldSaid, LineSaid, MealSaid


def _writable(text: str) -> str:
    """Refuses half of a surrogate pair: it is no character and cannot be stored."""
    text.encode("utf-8")
    return text


Text = Annotated[str, StringConstraints(max_length=2000), AfterValidator(_writable)]


class _Body(BaseModel):
    model_config = ConfigDict(extra="forbid", from_attributes=True)


class CutBody(_Body):
    """Answers about the cut, as typed."""

    kind: Text = ""
    mass: Text = ""
    shape: Text = ""
    thickness: Text = ""
    pieces: Text = ""
    blocked_faces: Text = ""
    bone_share: Text = ""


class LineBody(_Body):
    """One line of the mix, as typed."""

    id: Annotated[Text, Field(min_length=1, max_length=64)]
    text: Text


class HoldBody(_Body):
    """Answers about the hold, as typed."""

    fridge: Text = ""
    goal: Text = ""
    salt_target: Text = ""


class MealBody(_Body):
    """Answers about the meal, as typed."""

    at: Text = ""
    lead: Text = ""
    time_zone: Text = ""


class DraftBody(_Body):
    """A whole batch, as typed."""

    name: Text = ""
    cut: CutBody = CutBody()
    mix: Annotated[list[LineBody], Field(max_length=1000)] = []
    hold: HoldBody = HoldBody()
    meal: MealBody = MealBody()

    def to_core(self) -> Draft:
        """The same as a core value."""
        return Draft(
            name=self.name,
            cut=CutSaid(**self.cut.model_dump()),
            mix=tuple(LineSaid(line.id, line.text) for line in self.mix),
            hold=HoldSaid(**self.hold.model_dump()),
            meal=MealSaid(**self.meal.model_dump()),
        )
