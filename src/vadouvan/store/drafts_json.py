"""A draft as the JSON that a row holds, and back. Unknown keys of a newer version are refused."""

from __future__ import annotations

import json
from dataclasses import asdict

from vadouvan.core.draft import CutSaid, Draft, HoldSaid, LineSaid, MealSaid


def to_json(draft: Draft) -> str:
    """A draft as compact JSON."""
    return json.dumps(asdict(draft), separators=(",", ":"))


def from_json(text: str) -> Draft:
    """The draft in a row."""
    raw = json.loads(text)
    return Draft(
        name=raw["name"],
        cut=CutSaid(**raw["cut"]),
        mix=tuple(LineSaid(**line) for line in raw["mix"]),
        hold=HoldSaid(**raw["hold"]),
        meal=MealSaid(**raw["meal"]),
    )
