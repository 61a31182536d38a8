"""How a batch is held: fridge, goal, salt target."""

from __future__ import annotations

from dataclasses import dataclass
from typing import Literal

Goal = Literal["surface", "through"]


@dataclass(frozen=True)
class Hold:
    """Fridge temperature [C], what the cook is after, salt target [kg per kg meat]."""

    fridge_c: float
    goal: Goal
    salt_target: float
