"""From the pull to the table: drying, tempering, the heat, rest (``common_practice``)."""

from __future__ import annotations

from collections.abc import Sequence
from datetime import timedelta

from vadouvan.core.clock.chain import in_steps
from vadouvan.core.constants import JOINT_REST, SMALL_REST, TEMPER
from vadouvan.core.cooking.stages import CookStage
from vadouvan.core.cut.cut import Cut

DRY_MIN, LEAST_COOK_MIN = 5.0, 5.0
JOINT_KG = 1.0
TEMPERED = ("red", "poultry")  # never fish, nor mince


def least_lead(cut: Cut, stages: Sequence[CookStage]) -> timedelta:
    """The least time from the pull to the table."""
    return timedelta(minutes=DRY_MIN + least_on_heat(stages) + in_steps(rest_minutes(cut)))


def usual_lead(cut: Cut, stages: Sequence[CookStage]) -> timedelta:
    """The same with tempering, where it is usual."""
    temper = TEMPER.value if cut.kind.family in TEMPERED else 0.0
    return least_lead(cut, stages) + timedelta(minutes=temper)


def least_on_heat(stages: Sequence[CookStage]) -> float:
    """Minutes on the heat in steps of five, the open-ended stage (or cooking that was not planned) at its shortest."""
    if not stages:
        return LEAST_COOK_MIN
    return sum(LEAST_COOK_MIN if stage.minutes is None else in_steps(stage.minutes) for stage in stages)


def rest_minutes(cut: Cut) -> float:
    """A joint rests longer than small pieces [min]."""
    joint = cut.meat_kg / cut.pieces >= JOINT_KG
    return JOINT_REST.value if joint else SMALL_REST.value
