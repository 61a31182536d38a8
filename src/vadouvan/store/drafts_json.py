"""A draft as the JSON that a row holds, and back."""

from __future__ import annotations

import json
from dataclasses import asdict

from vadouvan.core.draft import (
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


def to_json(draft: Draft) -> str:
    """A draft as compact JSON."""
    return json.dumps(asdict(draft), separators=(",", ":"))


def from_json(text: str) -> Draft:
    """The draft in a row; parts that an older version did not know are empty."""
    raw = json.loads(text)
    fire = raw.get("fire", {})
    stages = tuple(StageSaid(**stage) for stage in fire.pop("stages", ()))
    steps = tuple(StepSaid(**step) for step in raw["cut"].pop("steps", ()))
    return Draft(
        name=raw["name"],
        cut=CutSaid(**raw["cut"], steps=steps),
        mix=tuple(LineSaid(**line) for line in raw["mix"]),
        hold=HoldSaid(**raw["hold"]),
        meal=MealSaid(**raw["meal"]),
        occasion=OccasionSaid(**raw.get("occasion", {})),
        aims=AimsSaid(**raw.get("aims", {})),
        quantity=QuantitySaid(**raw.get("quantity", {})),
        making=MakingSaid(**raw.get("making", {})),
        fire=FireSaid(**fire, stages=stages),
    )
