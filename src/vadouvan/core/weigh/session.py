"""One press from the counter carried out: checked, noted, and what it does to the draft."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from datetime import datetime

from vadouvan.core.draft import Draft, LineSaid
from vadouvan.core.fire.probe import Forecast, forecast
from vadouvan.core.fire.stages import CookStage
from vadouvan.core.fire.surface import USUAL_HEAT_C
from vadouvan.core.judge import Judgement, judge
from vadouvan.core.kitchen import Kitchen
from vadouvan.core.reading.mix import portion_of
from vadouvan.core.weigh.as_weighed import after_press, as_weighed, grams_of
from vadouvan.core.weigh.plan import LineToWeigh, lines_to_weigh
from vadouvan.core.weigh.press import Noted, Press
from vadouvan.core.weigh.record import Record, record_of
from vadouvan.core.weigh.rules import Counter, check, not_before
from vadouvan.errors import InputError


@dataclass(frozen=True)
class Session:
    """A batch at the counter: its draft, what was pressed, and what follows from both.

    ``present`` is the draft as it was weighed so far.
    """

    draft: Draft
    present: Draft
    noted: tuple[Noted, ...]
    record: Record
    lines: tuple[LineToWeigh, ...]
    counter: Counter
    judgement: Judgement


@dataclass(frozen=True)
class Carried:
    """A press as it is noted, and the draft that it leads to, if that is another."""

    noted: Noted
    draft: Draft | None


def session_of(draft: Draft, noted: Sequence[Noted], kitchen: Kitchen, *, now: datetime) -> Session:
    """The session of a batch; its judgement is of what was weighed so far, and of the plan for the rest."""
    record = record_of(noted)
    planned = judge(draft, kitchen, now=now)
    lines = lines_to_weigh(planned)
    present = draft if record.is_locked else as_weighed(draft, lines, record)
    judgement = planned if present == draft else judge(present, kitchen, now=now)
    counter = Counter(() if record.is_locked else lines, record, _vessel_meat_kg(planned))
    return Session(draft, present, tuple(noted), record, lines, counter, judgement)


def probe_forecast(session: Session) -> Forecast | None:
    """When the core will be where it has to be, from what the probe showed; none before the first reading."""
    fire, cut, stages = session.judgement.fire, session.judgement.reading.cut, session.judgement.reading.stages
    if fire is None or cut is None or fire.target_c is None:
        return None
    last = stages[-1] if stages else CookStage("oven")
    heat_c = last.plain_heat_c or USUAL_HEAT_C[last.place]
    rests_up = cut.kind.family == "red"  # the others have to reach their core on the heat
    return forecast(session.record.probe, last.core_c or fire.target_c, heat_c, cut.piece.far_m if rests_up else 0.0)


def carry_out(session: Session, press: Press, kitchen: Kitchen, *, now: datetime) -> Carried:
    """What a press does; raises InputError for one that cannot be now."""
    check(press, session.counter)
    if press.kind in ("added", "later"):
        line = LineSaid("weigh", grams_of(press.words.strip(), press.mass_kg or 0.0))
        portion_of(line, kitchen.pantry)
    _check_ready(session, press)
    at = not_before(now, session.record)
    noted = Noted(session.record.number + 1, at, press)
    record = record_of((*session.noted, noted))
    draft = after_press(session.draft, session.lines, session.record, record)
    return Carried(noted, draft if draft != session.draft else None)


def _check_ready(session: Session, press: Press) -> None:
    """Nothing is weighed, and nothing goes in, while the batch itself stops it."""
    problems = session.judgement.reading.problems
    if press.kind == "weighed" and not session.lines:
        raise InputError(
            field="weigh",
            given=press.line_id,
            wrong="There is nothing to weigh yet.",
            accepted="Describe the cut and write the mix first.",
        )
    if press.kind != "contact":
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
