"""Work beside the meat on the same clock: heating up, coating, brushing on, boiling down, the gravy, and the
cook's own steps.

None of it holds the meat up: each stands where the meat's own steps leave it room.
"""

from __future__ import annotations

from collections.abc import Iterator, Sequence
from datetime import timedelta

from vadouvan.core.clock.chain import DeedKind, Place, PlanStep, step_id
from vadouvan.core.clock.routine import later
from vadouvan.core.constants import (
    BOIL_UP_MIN,
    COAT_MIN,
    HEATS_UP_MIN,
    PAN_BOILS_OFF_KG_PER_S,
    ROUND_EVERY_MIN,
    ROUND_MIN,
    SAUCE_MIN,
    SMALL_MIN,
)
from vadouvan.core.contact.mix_judgement import MixJudgement
from vadouvan.core.cooking.stages import MOIST, CookPlace, CookStage, as_given, of_stage
from vadouvan.core.cut.cut import Cut
from vadouvan.core.figure import number_told
from vadouvan.core.interpretation.companions import Companion, CompanionKind, glaze_rounds
from vadouvan.core.interpretation.draft import Interpretation
from vadouvan.core.schedule.steps import COOKED_AT

HEATS_UP: dict[CookPlace, str] = {
    "oven": "Heat the oven{at}.",
    "parcel": "Heat the oven{at}.",
    "broiler": "Heat the broiler.",
    "grill": "Light the coals, or heat the grill{at}.",
    "grill_indirect": "Light the coals to one side, or heat half the grill{at}.",
    "smoker": "Light the smoker{at}: wood on, smoke thin and blue.",
    "fryer": "Heat the oil{at}: no more than half of the pot full, nothing wet near it.",
    "steamer": "Bring the water to the boil.",
}
DEEDS: dict[CompanionKind, str] = {
    "glaze": "Brush on {title}, thinly.",
    "sauce": "Stir in {title}.",
    "dip": "Set out {title}.",
    "finish": "Season with {title}.",
    "pot": "In with it: {title}.",
    "coating": "Coat it with {title}.",
}
MOST_ROUNDS = 4
MAY_BEGIN_BEFORE: frozenset[DeedKind] = frozenset({"heat-up", "own", "reduce-clean", "sauce"})


def beside(reading: Interpretation, mix: MixJudgement, cut: Cut, steps: Sequence[PlanStep]) -> list[PlanStep]:
    """The plan's steps with all that is done beside them, in the order of the clock."""
    by_id = {step.id: step for step in steps}
    if "serve" not in by_id or "pull" not in by_id:
        return list(steps)
    usual = [one for one in reading.companions if one.moment is None]
    found = [
        *_heating_up(reading.stages, by_id),
        *_coating(usual, by_id),
        *_brushed_on(reading, usual, cut, by_id),
        *_into_the_pot(reading, usual, by_id),
        *_at_its_moment(reading, by_id),
        *_boiled(reading, by_id),
        *_clean_part(reading, mix, by_id),
        *_to_the_table(usual, by_id),
        *_own(reading, by_id),
    ]
    return sorted([*steps, *found], key=lambda step: step.at.timestamp())


def of_the_fire(steps: Sequence[PlanStep]) -> list[PlanStep]:
    """The steps from the pull on, and those of the fire that begin before it."""
    out = next((step.at for step in steps if step.kind == "pull"), None)
    return [step for step in steps if out is not None and (step.at >= out or step.kind in MAY_BEGIN_BEFORE)]


def _minutes(length_min: float) -> timedelta:
    return timedelta(minutes=length_min)


def _heating_up(stages: Sequence[CookStage], by_id: dict[str, PlanStep]) -> Iterator[PlanStep]:
    """Each place before its first stage."""
    seen: set[Place] = set()
    for number, stage in enumerate(stages, start=1):
        step, place = by_id.get(step_id("cook", of_stage(number))), COOKED_AT[stage.place]
        heats_up = HEATS_UP_MIN.get(stage.place)
        if step is None or heats_up is None or (place in seen and place != "stove"):
            continue
        seen.add(place)
        at = f" to {number_told(stage.heat_c)} °C" if stage.heat_c is not None else ""
        says = HEATS_UP[stage.place].format(at=at)
        yield PlanStep(
            "heat-up",
            says,
            later(step.at, -_minutes(heats_up.value)),
            heats_up.value,
            False,
            place,
            step.id,
            of=str(number),
        )


def _coating(companions: Sequence[Companion], by_id: dict[str, PlanStep]) -> Iterator[PlanStep]:
    first = by_id.get("cook")
    for one in companions:
        if one.kind == "coating" and first is not None:
            says = f"Coat it, and shake off what is loose: {one.title}."
            at = later(first.at, -_minutes(COAT_MIN.value))
            yield PlanStep("coat", says, at, COAT_MIN.value, True, "counter", "pull", of=one.id)


def _brushed_on(
    reading: Interpretation, companions: Sequence[Companion], cut: Cut, by_id: dict[str, PlanStep]
) -> Iterator[PlanStep]:
    """A glaze in thin rounds over the last minutes of the last dry heat."""
    dry = [number for number, stage in enumerate(reading.stages, start=1) if stage.place not in MOIST]
    last = by_id.get(step_id("cook", of_stage(dry[-1]))) if dry else None
    for one in companions:
        if one.kind != "glaze" or last is None or not one.portions:
            continue
        rounds = max(
            1, min(glaze_rounds(one, cut.open_area_m2), MOST_ROUNDS, int(last.minutes / ROUND_EVERY_MIN.value))
        )
        for number in range(1, rounds + 1):
            left = ROUND_EVERY_MIN.value * (rounds - number + 1)
            at = later(last.ends, -_minutes(min(left, last.minutes)))
            which = f", round {number} of {rounds}" if rounds > 1 else ""
            yield PlanStep(
                "glaze",
                f"Brush on {one.title}{which}, thinly.",
                at,
                ROUND_MIN.value,
                True,
                last.place,
                last.id,
                of=f"{one.id}-{number}",
            )


def _into_the_pot(
    reading: Interpretation, companions: Sequence[Companion], by_id: dict[str, PlanStep]
) -> Iterator[PlanStep]:
    """Companions that cook with it, when the first covered stage begins, or the first of all."""
    moist = next((number for number, stage in enumerate(reading.stages, start=1) if stage.place in MOIST), 1)
    step = by_id.get(step_id("cook", of_stage(moist)))
    for one in companions:
        if one.kind == "pot" and step is not None:
            says = DEEDS["pot"].format(title=one.title)
            yield PlanStep("pot", says, step.at, SMALL_MIN.value, True, step.place, step.id, of=one.id)


def _at_its_moment(reading: Interpretation, by_id: dict[str, PlanStep]) -> Iterator[PlanStep]:
    """Companions that have a moment of their own, counted from the first heat or to the end of the last."""
    first, last = by_id.get("cook"), by_id.get(step_id("cook", of_stage(max(1, len(reading.stages)))))
    for one in reading.companions:
        if one.moment is None or first is None or last is None:
            continue
        by = _minutes(one.moment.minutes)
        at = later(first.at, by) if one.moment.of == "start" else later(last.ends, -by)
        during = first if at < first.ends else last
        says = DEEDS[one.kind].format(title=one.title)
        yield PlanStep("moment", says, at, SMALL_MIN.value, True, during.place, during.id, of=one.id)


def _boiled(reading: Interpretation, by_id: dict[str, PlanStep]) -> Iterator[PlanStep]:
    """The used mix, as soon as the meat is out of it: before anything is brushed with it."""
    if not reading.fire.boils:
        return
    pull, boil_min = by_id["pull"], reading.fire.boil_s / 60
    says = f"Boil the used mix, {as_given(boil_min)} at a rolling boil, with its spoon in it."
    yield PlanStep("boil-mix", says, pull.ends, boil_min + BOIL_UP_MIN.value, True, "stove", "pull")


def _clean_part(reading: Interpretation, mix: MixJudgement, by_id: dict[str, PlanStep]) -> Iterator[PlanStep]:
    """The part that was set aside clean and is boiled down for the table."""
    aside_kg = mix.at_contact.set_aside_kg
    to_kg = reading.mix.set_aside.reduction.of(aside_kg)
    if aside_kg <= 0 or to_kg is None:
        return
    use = reading.mix.set_aside.use or "the table"
    length = BOIL_UP_MIN.value + max(0.0, aside_kg - to_kg) / PAN_BOILS_OFF_KG_PER_S.value / 60
    if to_kg > aside_kg:
        says = f"Stir {number_told((to_kg - aside_kg) * 1000)} g water into the clean part, for {use}."
    else:
        says = f"Boil the clean part down to {number_told(to_kg * 1000)} g, for {use}."
    ends = by_id["rest"].ends if "rest" in by_id else by_id["serve"].at
    yield PlanStep("reduce-clean", says, later(ends, -_minutes(length)), length, True, "stove", "set-aside")


def _to_the_table(companions: Sequence[Companion], by_id: dict[str, PlanStep]) -> Iterator[PlanStep]:
    """Sauces while it rests, dips and what is strewn at the last."""
    serve = by_id["serve"]
    for one in companions:
        if one.kind == "sauce":
            length = SAUCE_MIN.value + one.boils_off_kg / PAN_BOILS_OFF_KG_PER_S.value / 60
            down = f", boiled down to {number_told(one.table_kg * 1000)} g" if one.boils_off_kg > 0 else ""
            if one.thinned_by_kg > 0:
                down = f", thinned with {number_told(one.thinned_by_kg * 1000)} g water"
            says = f"Make {one.title}{down}."
            yield PlanStep("sauce", says, later(serve.at, -_minutes(length)), length, True, "stove", of=one.id)
        elif one.kind in ("dip", "finish"):
            says = f"Set out {one.title}." if one.kind == "dip" else f"Over it at the last: {one.title}."
            at = later(serve.at, -_minutes(SMALL_MIN.value))
            yield PlanStep(one.kind, says, at, SMALL_MIN.value, True, "table", "rest", of=one.id)


def _own(reading: Interpretation, by_id: dict[str, PlanStep]) -> Iterator[PlanStep]:
    """The cook's own, each done so long before the meal."""
    serve = by_id["serve"]
    for one in reading.fire.own_steps:
        at = later(serve.at, -_minutes(one.before_min + one.minutes))
        says = one.what if one.what.endswith((".", "!", "?")) else f"{one.what}."
        yield PlanStep("own", says, at, one.minutes, False, "stove", of=one.id)
