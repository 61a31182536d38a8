"""Judging one batch: what is in the mix, when to put the meat in, when to take it out."""

from __future__ import annotations

from dataclasses import replace
from datetime import datetime
from functools import partial

from vadouvan.core.contact.mix_at_contact import mix_at_contact
from vadouvan.core.contact.mix_judgement import grams_figure, mix_judgement
from vadouvan.core.cut.occasion import needed_figure, servings_from
from vadouvan.core.draft.typed import Draft
from vadouvan.core.figure import Figure, Given, Towards, Working, hours_told
from vadouvan.core.hold.remarks import remarks_on
from vadouvan.core.hold.scenario import NEVER_H, HoldScenario
from vadouvan.core.hold.window import Edge, Window, held
from vadouvan.core.interpretation.draft import Interpretation, read_draft
from vadouvan.core.interpretation.notes import Notes
from vadouvan.core.judgement.fire import fire_judgement
from vadouvan.core.judgement.judgement import Judgement
from vadouvan.core.judgement.planned import planned_of
from vadouvan.core.judgement.plate import plate_of
from vadouvan.core.judgement.salt_told import salt_figures, salt_line
from vadouvan.core.judgement.sentences import judgement_sentence, stop_sentence, trouble_sentence, without_words
from vadouvan.core.judgement.stops import StopFacts, curing_stops, stops_of
from vadouvan.core.kitchen.kitchen import Kitchen
from vadouvan.core.schedule.due import due_of
from vadouvan.core.schedule.pull_now import pull_now
from vadouvan.core.schedule.steps import next_hands_on
from vadouvan.errors import InputError


def judge(draft: Draft, kitchen: Kitchen, *, now: datetime) -> Judgement:
    """Judge a draft at a given moment; never raises, whatever is in it: what cannot be worked out is told.

    One batch must never take the others away, so a fault of ours in one is a problem of that one.
    """
    try:
        return _judged(draft, kitchen, now=now)
    except (ArithmeticError, ValueError, LookupError, TypeError, AttributeError, RecursionError) as fault:
        return unjudged(f"{type(fault).__name__}: {str(fault)[:200]}", kitchen, now=now)


def unjudged(fault: str, kitchen: Kitchen, *, now: datetime) -> Judgement:
    """The judgement of what cannot be judged: a sentence that says so, and what can still be done."""
    blank = _judged(Draft(), kitchen, now=now)
    problem = InputError(field="batch", given="", wrong=f"{UNJUDGED} ({fault}).", accepted=CAN_STILL)
    reading = replace(blank.reading, notes=Notes(problems=[problem]))
    return replace(blank, reading=reading, sentence=f"{UNJUDGED}. {CAN_STILL}")


UNJUDGED = "This batch cannot be judged as it stands"
CAN_STILL = "Its text is kept: undo the last change, write it to a file, or remove it; all other batches stand."


def _judged(draft: Draft, kitchen: Kitchen, *, now: datetime) -> Judgement:
    reading = read_draft(draft, kitchen, now=now)
    grams = tuple(grams_figure(portion) for portion in reading.portions)
    needed, servings = _occasion(reading)
    cut, hold = reading.cut, reading.hold
    stops = curing_stops(reading)
    says = stop_sentence(stops) or trouble_sentence(reading)
    if cut is None or not reading.portions:
        return Judgement(reading, says, grams=grams, needed=needed, servings=servings, stops=stops)
    at_contact = mix_at_contact(reading.mix, cut)
    if hold is None or any(problem.field.startswith(("mix", "aims", "making")) for problem in reading.problems):
        mix = mix_judgement(reading, at_contact, None, kitchen.household)
        return Judgement(reading, says, mix=mix, grams=grams, needed=needed, servings=servings, stops=stops)
    scenario, window = held(cut, at_contact.balance, hold)
    mix = mix_judgement(reading, at_contact, scenario, kitchen.household)
    remarks = remarks_on(scenario, window.best.hours, window.safe_latest_h)
    board = StopFacts(reading, cut, hold, mix)
    planned = planned_of(board, window, kitchen.routine, now, (*stops, *stops_of(board, now)))
    hours = planned.plan.hold_h if planned.plan else window.best.hours
    coming = next_hands_on(planned.steps, now)
    fire = fire_judgement(reading.fire, scenario, mix, reading.mix.vessel.consistency, hours, planned.steps)
    return Judgement(
        reading=reading,
        held_told=hours_told(hours),
        salt_line=salt_line(mix.salt, scenario, hold.salt_target, hours) if mix.salt else "",
        sentence=stop_sentence(planned.stops) or judgement_sentence(window, cut) + without_words(reading),
        stops=planned.stops,
        mix=mix,
        figures=(*_window_figures(window, scenario), *salt_figures(scenario, hours)),
        grams=grams,
        pantry=kitchen.pantry,
        needed=needed,
        servings=servings,
        window=window,
        scenario=scenario,
        remarks=tuple(remarks),
        steps=planned.steps,
        warm_min=planned.warm_min,
        next_step=coming,
        due=due_of(planned.plan, coming, now) if planned.plan else None,
        plan=planned.plan,
        plan_says=planned.says,
        fire=fire,
        plate=plate_of(reading, mix, fire.surface, cut, hold.salt_target),
        pull_now=pull_now(window, planned.plan, now) if planned.plan else stop_sentence(planned.stops),
    )


def _occasion(reading: Interpretation) -> tuple[Figure | None, float | None]:
    """Needs of the occasion, and how many servings the meat on the board gives."""
    cut, occasion = reading.cut, reading.occasion
    if cut is None or occasion is None:
        return None, None
    trim_share = 1 - cut.meat_kg / cut.untrimmed_kg
    needed = needed_figure(occasion, bone_share=cut.bone_share, trim_share=trim_share)
    return needed, servings_from(cut.meat_kg, occasion)


def _window_figures(window: Window, scenario: HoldScenario) -> tuple[Figure, ...]:
    edges = (("earliest", window.earliest), ("best", window.best), ("latest", window.latest))
    return tuple(
        Figure(
            f"window.{name}",
            edge.hours,
            "h",
            partial(_edge_worked, name, edge, scenario),
            edge.low_hours,
            edge.high_hours,
            _SAFE_SIDES[name],
        )
        for name, edge in edges
    )


_SAFE_SIDES: dict[str, Towards] = {"earliest": "up", "best": "near", "latest": "down"}
_EDGE_RULES = {
    "earliest": "The last of these to be met, while salt spreads inward by diffusion from the mix.",
    "best": "When these aims are as good as met, or a little before what spoils it is as bad as what is still missing.",
    "latest": "The first of these to be passed.",
}


def _edge_worked(name: str, edge: Edge, scenario: HoldScenario) -> Working:
    cut = scenario.cut
    inputs = (
        Given("thickness", cut.thickness_m * 1000, "mm"),
        Given("deepest point", cut.way_in.far_m * 1000, "mm from the surface"),
        Given("salt in the mix", scenario.balance.total("salt").value * 1000, "g/kg meat"),
        Given("water outside the meat", scenario.contact.outer_water_kg * 1000, "g"),
        Given("water in the meat", cut.water_kg * 1000, "g"),
        Given("fridge", scenario.hold.fridge_c, "C"),
        Given("diffusivity of salt", scenario.pace.diffusivity * 1e10, "1e-10 m2/s"),
    )
    limits = (edge.limit, *edge.others)
    near = [Given(limit.says, limit.hours, "h") for limit in limits if limit.hours < NEVER_H]
    return Working(_EDGE_RULES[name], (*near, *inputs), tuple({edge.limit.source: None, "calibration": None}))
