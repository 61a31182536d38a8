"""What leaves the core about the fire."""

from __future__ import annotations

from pydantic import BaseModel

from vadouvan.core.fire.stages import CookStage
from vadouvan.core.judge import Judgement


class StageOut(BaseModel):
    """A stage of cooking in words; ``plain_heat_c`` is its heat without moving air."""

    says: str
    plain_heat_c: float | None


class FireOut(BaseModel):
    """The fire of a batch."""

    in_short: str
    stages: list[StageOut]


def fire_out(judgement: Judgement) -> FireOut:
    """Stages as read, and all of it in a few words."""
    stages = judgement.reading.stages
    return FireOut(
        in_short=_in_short(stages),
        stages=[StageOut(says=stage.says, plain_heat_c=stage.plain_heat_c) for stage in stages],
    )


def _in_short(stages: tuple[CookStage, ...]) -> str:
    if not stages:
        return "not said"
    known = [stage.minutes for stage in stages if stage.minutes is not None]
    minutes = f", {sum(known):.0f} min" if known else ""
    return f"{' and '.join(dict.fromkeys(stage.place for stage in stages))}{minutes}"
