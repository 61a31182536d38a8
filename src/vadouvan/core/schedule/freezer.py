"""A part of a batch frozen in its mix at contact, and thawed for another meal.

Frozen, nothing moves in or out: days in the mix count from the hour it is thawed.
"""

from __future__ import annotations

from collections.abc import Sequence
from datetime import datetime, timedelta

from vadouvan.core.clock.chain import PlanStep
from vadouvan.core.clock.routine import Routine, hours_between, later, on_a_step
from vadouvan.core.clock.telling import dated
from vadouvan.core.constants import DRY_MIN, FREEZER_QUALITY_S, FROM_FREEZER_MIN, PACK_MIN
from vadouvan.core.cut.cut import Cut
from vadouvan.core.hold.window import Window
from vadouvan.core.schedule.plan import Plan
from vadouvan.core.schedule.steps import thaw_minutes
from vadouvan.unchanging import unchanging

LEAST_PACK_KG = 0.5
COOLED_BY = timedelta(minutes=90)  # half an hour inside the two hours


@unchanging
class FrozenPart:
    """Steps of the frozen part, or why the other meal does not work."""

    steps: tuple[PlanStep, ...]
    trouble: str = ""


def frozen_part(plan: Plan, cut: Cut, mix_kg: float, window: Window, share: float, routine: Routine) -> FrozenPart:
    """The part on the clock: packed right after contact, thawed so that it is held as long as is best.

    ``share`` of the meat and of its mix goes to the freezer (0 to 1).
    """
    meat_kg = share * cut.meat_kg
    packed_at = plan.contact_at
    grams = f"{meat_kg * 1000:.0f} g of the meat with {share * mix_kg * 1000:.0f} g of its mix"
    says = f"For the freezer: {grams}, flat in a bag of its own, air out, labelled."
    packing = PlanStep("freeze", says, packed_at, PACK_MIN.value, True, "freezer", "contact", "frozen")
    eaten_at = plan.meal.thaw_for
    if eaten_at is None:
        return FrozenPart((packing,))
    pull_at = later(eaten_at, -plan.meal.lead)
    thaw = timedelta(minutes=thaw_minutes(max(meat_kg, LEAST_PACK_KG)))
    first = later(pull_at, -timedelta(hours=window.safe_latest_h) - thaw)
    last = later(pull_at, -timedelta(hours=window.safe_earliest_h) - thaw)
    if hours_between(packing.ends, last) < 0:
        soonest = later(packing.ends, thaw + timedelta(hours=window.safe_earliest_h) + plan.meal.lead)
        return FrozenPart((packing,), f"Frozen, thawed and held, it is ready from {_told(soonest, eaten_at)}.")
    if hours_between(packed_at, eaten_at) * 3600 > FREEZER_QUALITY_S.value:
        months = round(FREEZER_QUALITY_S.value / 2_629_800)
        return FrozenPart(
            (packing,), f"That is more than {months} months in the freezer: it would have lost its taste."
        )
    wanted = max(on_a_step(later(pull_at, -timedelta(hours=window.best.hours) - thaw)), packing.ends)
    hands = timedelta(minutes=FROM_FREEZER_MIN.value)
    out_at = routine.nearest_free(wanted, first=max(first, packing.ends), last=last, hands=hands)
    if out_at is None:
        return FrozenPart((packing,), "It has to come out of the freezer when your hands are not free.")
    return FrozenPart((packing, *_later_steps(out_at, thaw, pull_at, eaten_at, plan)))


def cooked_portion(plan: Plan, cut: Cut, share: float) -> PlanStep:
    """The part that goes to the freezer cooked: cooled within two hours after the meal (``fsis``)."""
    grams = share * cut.meat_kg * 1000
    says = f"For the freezer: about {grams:.0f} g cooked, shallow, cold within two hours, then frozen and labelled."
    return PlanStep(
        "freeze-cooked", says, later(plan.meal.at, COOLED_BY), PACK_MIN.value, True, "freezer", "serve", "none"
    )


def _later_steps(
    out_at: datetime, thaw: timedelta, pull_at: datetime, eaten_at: datetime, plan: Plan
) -> Sequence[PlanStep]:
    thawed_at = later(out_at, thaw)
    held = round(hours_between(thawed_at, pull_at))
    cook_at = later(pull_at, timedelta(minutes=DRY_MIN.value))
    minutes = plan.meal.lead / timedelta(minutes=1) - DRY_MIN.value
    waits = f"Thawed; it takes the mix for {held} h from here."
    return (
        PlanStep("frozen-out", "The frozen part into the fridge, on a tray.", out_at, FROM_FREEZER_MIN.value,
                 True, "freezer", "freeze", "frozen"),
        PlanStep("frozen-thawed", waits, thawed_at, 0.0, False, "fridge", "frozen-out", "cold"),
        PlanStep("frozen-pull", "The frozen part out of the mix; drain, and pat it dry.", pull_at, DRY_MIN.value,
                 True, "counter", "frozen-thawed", "none"),
        PlanStep("cook", "Cook the frozen part, and rest it.", cook_at, max(0.0, minutes), True, "stove",
                 "frozen-pull", "hot", of="frozen"),
        PlanStep("frozen-serve", "The frozen part on the table.", eaten_at, 0.0, True, "table", "cook-frozen"),
    )  # fmt: skip


def _told(moment: datetime, like: datetime) -> str:
    return dated(moment.astimezone(like.tzinfo))
