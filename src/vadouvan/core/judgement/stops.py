"""The one list of what is unsafe: a stop refuses sentence, plan, rail, label, counter, calendar, card and commands.

Everything else is the cook's choice, with what it costs.
"""

from __future__ import annotations

from collections.abc import Iterator
from datetime import datetime
from typing import Literal

from vadouvan.core.clock.routine import hours_between
from vadouvan.core.constants import AIRLESS_WARMEST_C, METAL_ACID_PH, ROOM_C
from vadouvan.core.contact.mix_judgement import MixJudgement
from vadouvan.core.cooking.brushing import used_raw
from vadouvan.core.cut.cut import Cut
from vadouvan.core.figure import degrees_told, hours_told, number_told
from vadouvan.core.hold.hold import REACTIVE, Hold
from vadouvan.core.hold.storage import room_minutes, used_share
from vadouvan.core.interpretation.draft import Interpretation
from vadouvan.core.parsing.amount import Portion
from vadouvan.core.parsing.curing import names_curing_salt
from vadouvan.unchanging import unchanging

StopId = Literal[
    "curing", "reactive", "cool-first", "brush-used", "airless-warm", "raw-too-long", "two-hours",
]  # fmt: skip
ALMOST = 1e-6


@unchanging
class Stop:
    """Something unsafe: which, why in a sentence, and what would do."""

    id: StopId
    says: str
    accepted: str


@unchanging
class StopFacts:
    """Ground that stops are looked for on: the draft as read, its cut, its hold and its mix."""

    reading: Interpretation
    cut: Cut
    hold: Hold
    mix: MixJudgement


def curing_stops(reading: Interpretation) -> tuple[Stop, ...]:
    """A curing salt in the mix, whether or not the line that names it could be read."""
    named = [one.ingredient.name for one in reading.all_portions if is_curing(one)]
    named += [one.given.strip() for one in reading.problems if names_curing_salt(one.given)]
    if not named:
        return ()
    says = f"{named[0]} is for curing: that needs a tested recipe and exact dosing, and is not planned here."
    return (Stop("curing", says, "Season with plain salt, and hold the meat in the fridge."),)


def stops_of(facts: StopFacts, now: datetime) -> tuple[Stop, ...]:
    """All that is known before there is a plan; empty if nothing refuses it."""
    return (*_vessel(facts), *_making(facts), *_brushing(facts), *_too_long(facts, now))


def warm_stop(warm_min: float, room_c: float) -> Stop | None:
    """The two hours out of the cold, one in a hot room, against the minutes that a plan takes of them."""
    most = room_minutes(room_c)
    if warm_min <= most + ALMOST:
        return None
    room = f" in a room of {degrees_told(room_c)} °C" if room_c > ROOM_C.value else ""
    return Stop(
        "two-hours",
        f"The meat would be out of the cold for {warm_min:.0f} minutes in all, and {most:.0f} are the limit{room}.",
        "Prepare it in parts, or leave out tempering.",
    )


def waiting_stop(facts: StopFacts, raw_h: float) -> Stop | None:
    """Raw from contact to the heat for so many hours, as planned, against what it keeps."""
    used = _used(facts, raw_h)
    if used is None or used <= 1 + ALMOST:
        return None
    days_h = facts.cut.kind.keeps_s / 3600
    return Stop(
        "raw-too-long",
        f"It would be raw for {hours_told(raw_h + facts.cut.age_s / 3600)} until the heat; {hours_told(days_h)} are "
        f"the most for {facts.cut.kind.species}.",
        "Put it in later, take it out later, or cook it sooner.",
    )


def is_curing(portion: Portion) -> bool:
    """Whether a line is a curing salt."""
    return names_curing_salt(portion.ingredient.name)


def _vessel(facts: StopFacts) -> Iterator[Stop]:
    hold, vessel, ph = facts.hold, facts.reading.mix.vessel, facts.mix.at_contact.balance.ph
    if hold.metal in REACTIVE and ph is not None and ph < METAL_ACID_PH.value:
        yield Stop(
            "reactive",
            f"Acid takes up {hold.metal}.",
            "Use glass, stainless steel, food-grade plastic, or enamel without chips.",
        )
    warmest = max(celsius for _, celsius in hold.course)
    if facts.cut.kind.needs_cold and vessel.container in ("vacuum", "jar") and warmest > AIRLESS_WARMEST_C.value:
        what = "vacuum bag" if vessel.container == "vacuum" else "jar"
        yield Stop(
            "airless-warm",
            f"A {what} at {number_told(warmest)} °C: without air, bacteria that make no smell can grow.",
            f"Keep it at {AIRLESS_WARMEST_C.value:.0f} °C or colder, or take a bag or a tub.",
        )


def _making(facts: StopFacts) -> Iterator[Stop]:
    for step in facts.mix.steps:
        if step.kind == "stop":
            yield Stop("cool-first", step.says, "Cool it in ice water.")


def _brushing(facts: StopFacts) -> Iterator[Stop]:
    raw = used_raw(facts.reading.stages) if facts.cut.kind.is_animal else ""
    if raw:
        yield Stop("brush-used", raw, "Brush with the part set aside clean, or boil it first.")


def _too_long(facts: StopFacts, now: datetime) -> Iterator[Stop]:
    """Raw for longer than it keeps, by what is known to have been: contact until now, and temperatures as noted."""
    meal, hold = facts.reading.meal, facts.hold
    held_h = max((hour for hour, _ in hold.readings), default=0.0)
    if meal is not None and meal.contact_at is not None:
        held_h = hours_between(meal.contact_at, meal.pulled_at or now)
    used = _used(facts, held_h)
    if used is None or used <= 1 + ALMOST:
        return
    kind, warmest = facts.cut.kind, max(celsius for _, celsius in hold.course)
    days_h = kind.keeps_s / 3600
    warm = f", at up to {number_told(warmest)} °C" if hold.readings else ""
    raw_h = held_h + facts.cut.age_s / 3600
    yield Stop(
        "raw-too-long",
        f"It has been raw for {hours_told(raw_h)}{warm}: past the {hours_told(days_h)} in the cold that {kind.species} "
        "keeps, or as much in warmth. Cooking does not mend that.",
        "Throw it away; local rules and licensed practice come first.",
    )


def _used(facts: StopFacts, hours: float) -> float | None:
    """Share of what it keeps that is used up after so many hours in the mix [1]; none where cold is no matter."""
    if not facts.cut.kind.needs_cold:
        return None
    return used_share(facts.cut.kind.keeps_s / 3600, facts.hold.course, max(0.0, hours), facts.cut.age_s / 3600)
