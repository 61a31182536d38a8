"""From the pull to the table: drying, tempering, the heat, rest (``common_practice``)."""

from __future__ import annotations

from collections.abc import Sequence
from datetime import timedelta

from vadouvan.core.clock.chain import in_steps
from vadouvan.core.constants import DRY_MIN, JOINT_REST, LEAST_COOK_MIN, SMALL_REST, TEMPER
from vadouvan.core.cooking.fire import FireInterpretation
from vadouvan.core.cooking.stages import CookStage
from vadouvan.core.cut.cut import Cut

JOINT_KG = 1.0
TEMPERED = ("red", "poultry")  # never fish, nor mince


def least_lead(cut: Cut, fire: FireInterpretation) -> timedelta:
    """The least time from the pull to the table."""
    hot = in_steps(least_on_heat(fire.stages) + rest_minutes(cut, fire))
    return timedelta(minutes=DRY_MIN.value + in_steps(fire.dries_min) + in_steps(fire.travels_min) + hot)


def usual_lead(cut: Cut, fire: FireInterpretation) -> timedelta:
    """The same with tempering, where it is usual."""
    temper = TEMPER.value if cut.kind.family in TEMPERED else 0.0
    return least_lead(cut, fire) + timedelta(minutes=temper)


def least_on_heat(stages: Sequence[CookStage]) -> float:
    """Minutes on the heat, the open-ended stage (or cooking that was not planned) at its shortest."""
    if not stages:
        return LEAST_COOK_MIN.value
    return sum(LEAST_COOK_MIN.value if stage.minutes is None else stage.minutes for stage in stages)


def rest_minutes(cut: Cut, fire: FireInterpretation) -> float:
    """As the cook said; else a joint rests longer than small pieces [min]."""
    if fire.rest_min is not None:
        return fire.rest_min
    joint = cut.meat_kg / cut.pieces >= JOINT_KG
    return JOINT_REST.value if joint else SMALL_REST.value
