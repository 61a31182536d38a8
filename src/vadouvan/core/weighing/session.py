"""One press from the counter carried out: checked, noted, and what it does to the draft."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import replace
from datetime import datetime

from vadouvan.core.clock.routine import hours_between
from vadouvan.core.cooking.probe import Forecast, forecast
from vadouvan.core.cooking.stages import USUAL_HEAT_C, CookStage
from vadouvan.core.draft.typed import Draft, LineInput
from vadouvan.core.figure import hours_told, number_told
from vadouvan.core.interpretation.line import portion_of
from vadouvan.core.judgement.judge import judge
from vadouvan.core.judgement.judgement import Judgement
from vadouvan.core.kitchen.kitchen import Kitchen
from vadouvan.core.weighing.as_weighed import after_press, as_weighed, grams_of, taken_back
from vadouvan.core.weighing.event import CounterEvent, EventKind, LoggedEvent
from vadouvan.core.weighing.lines import LineToWeigh, lines_beside, lines_to_weigh
from vadouvan.core.weighing.rules import Counter, check, not_before
from vadouvan.core.weighing.state import WeighState, state_of
from vadouvan.errors import InputError
from vadouvan.unchanging import unchanging


@unchanging
class Session:
    """A batch at the counter: its draft, what was pressed, and what follows from both.

    ``present`` is the draft as it was weighed so far.
    """

    draft: Draft
    present: Draft
    logged: tuple[LoggedEvent, ...]
    record: WeighState
    lines: tuple[LineToWeigh, ...]
    counter: Counter
    judgement: Judgement


@unchanging
class Carried:
    """A press as it is noted, and the draft that it leads to, if that is another."""

    logged: LoggedEvent
    draft: Draft | None


def session_of(draft: Draft, logged: Sequence[LoggedEvent], kitchen: Kitchen, *, now: datetime) -> Session:
    """The session of a batch; its judgement is of what was weighed so far, and of the plan for the rest."""
    record = state_of(logged)
    planned = judge(draft, kitchen, now=now)
    lines = lines_to_weigh(planned)
    present = draft if record.is_locked else as_weighed(draft, lines, record)
    judgement = planned if present == draft else judge(present, kitchen, now=now)
    shown = () if record.is_locked else lines
    counter = Counter(shown, record, _vessel_meat_kg(planned), lines_beside(planned))
    return Session(draft, present, tuple(logged), record, lines, counter, judgement)


def probe_forecast(session: Session) -> Forecast | None:
    """When the core will be where it has to be, from what the probe showed; none before the first reading."""
    fire, cut, stages = session.judgement.fire, session.judgement.reading.cut, session.judgement.reading.stages
    if fire is None or cut is None or fire.target_c is None:
        return None
    last = stages[-1] if stages else CookStage("oven")
    heat_c = last.plain_heat_c or USUAL_HEAT_C[last.place]
    rests_up = cut.kind.family == "red"  # the others have to reach their core on the heat
    return forecast(session.record.probe, last.core_c or fire.target_c, heat_c, cut.piece.far_m if rests_up else 0.0)


def carry_out(session: Session, event: CounterEvent, kitchen: Kitchen, *, now: datetime) -> Carried:
    """State after a press; raises InputError for one that cannot be now."""
    if event.kind == "beside" and event.mass_kg is None:  # ticked off: weighed as planned
        planned = {line.id: line.mass_kg for line in session.counter.beside}
        event = replace(event, mass_kg=planned.get(event.line_id))
    check(event, session.counter)
    if event.kind in ("added", "later"):
        line = LineInput("weigh", grams_of(event.words.strip(), event.mass_kg or 0.0))
        portion_of(line, kitchen.pantry)
    _check_ready(session, event)
    question = "" if event.sure else questions_of(session, now).get(event.kind, "")
    if question:
        raise InputError(field="weigh", given=event.kind, wrong=question, accepted="Say that you are sure, or go on.")
    at = not_before(now, session.record)
    if event.kind == "undone" and session.record.last is not None:
        last = session.record.last
        logged = LoggedEvent(session.record.number + 1, at, replace(event, undoes=last.number))
        draft = taken_back(session.draft, last)
    else:
        logged = LoggedEvent(session.record.number + 1, at, event)
        draft = after_press(session.draft, session.lines, session.record, state_of((*session.logged, logged)))
    if draft == session.draft:
        return Carried(logged, None)
    if event.kind == "contact":
        _check_can_be_judged(judge(draft, kitchen, now=now))
    return Carried(replace(logged, before=session.draft), draft)


def _check_can_be_judged(after: Judgement) -> None:
    """Checks what goes in before it is locked: a weight that the cut cannot have would lock what nobody could mend."""
    for problem in after.reading.problems:
        raise problem.anew()
    for stop in after.stops:
        raise InputError(field="weigh", given="contact", wrong=stop.says, accepted=stop.accepted)


def questions_of(session: Session, now: datetime) -> dict[EventKind, str]:
    """Question before a press that would be hard to mend: lines far off or missing, a pull before its time."""
    asked: dict[EventKind, str] = {}
    off = [words for line in session.lines if (words := _off(line, session.record))]
    if off and not session.record.is_locked:
        asked["tasted"] = asked["contact"] = f"Not as planned: {'; '.join(off)}. Go on as it is?"
    window, meal = session.judgement.window, session.judgement.reading.meal
    in_it = window is not None and meal is not None and meal.contact_at is not None and meal.pulled_at is None
    if in_it and window is not None and meal is not None and meal.contact_at is not None:
        held_h = hours_between(meal.contact_at, now)
        if held_h < window.safe_earliest_h and not window.straight:
            opens = hours_told(max(0.0, window.safe_earliest_h - held_h), "up")
            asked["pulled"] = f"It is early: not yet for {opens}, when {window.earliest.limit.says}. Is it out?"
    return asked


def _off(line: LineToWeigh, record: WeighState) -> str:
    """A line that is not as planned, in words; nothing for one that is, or that is still to come."""
    state, planned = line.state(record), f"{number_told(line.mass_kg * 1000)} g {line.name}"
    if state == "left out":
        return f"{planned} left out"
    return f"{number_told(record.weighed_kg(line.id) * 1000)} of {planned}" if state in ("short", "over") else ""


def _check_ready(session: Session, event: CounterEvent) -> None:
    """Nothing is weighed, and nothing goes in, while the batch itself stops it."""
    problems = session.judgement.reading.problems
    if event.kind == "weighed" and not session.lines:
        raise InputError(
            field="weigh",
            given=event.line_id,
            wrong="There is nothing to weigh yet.",
            accepted="Describe the cut and write the mix first.",
        )
    if event.kind != "contact":
        return
    if problems:
        raise InputError(field="weigh", given="contact", wrong=problems[0].wrong, accepted=problems[0].accepted)
    for stop in session.judgement.stops:
        raise InputError(field="weigh", given="contact", wrong=stop.says, accepted=stop.accepted)


def _vessel_meat_kg(judgement: Judgement) -> float | None:
    """Meat that a vessel of known size could hold at all [kg]."""
    cut, volume_m3 = judgement.reading.cut, judgement.reading.mix.vessel.volume_m3
    if cut is None or volume_m3 is None:
        return None
    return volume_m3 * cut.kind.density_kg_per_m3
