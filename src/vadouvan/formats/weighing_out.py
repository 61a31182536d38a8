"""Shapes of a weigh-in as they leave the core."""

from __future__ import annotations

from collections.abc import Sequence
from datetime import datetime

from vadouvan.core.clock.routine import hours_between
from vadouvan.core.mix.measure import weighed_parts
from vadouvan.core.weighing.advice import ScaleAdvice
from vadouvan.core.weighing.event import EventKind
from vadouvan.core.weighing.lines import LineToWeigh, State, WhichBowl, next_line
from vadouvan.core.weighing.rules import Phase
from vadouvan.core.weighing.session import Session, probe_forecast, questions_of
from vadouvan.core.weighing.state import AddedLine, WeighState
from vadouvan.core.weighing.telling import told_of
from vadouvan.core.weighing.ways import Way
from vadouvan.unchanging import unchanging


@unchanging(kw_only=True)
class WeighLineOut:
    """A line at the scale; ``left_g`` counts down to nothing and below.

    What goes on now is enough from ``enough_from_g`` and too much over ``enough_to_g``, both since the last tare.
    """

    id: str
    name: str
    words: str
    target_g: float
    tolerance_g: float
    guards: str
    bowl: WhichBowl
    spoon: str
    weighed_g: float
    tares_g: list[float]
    left_g: float
    enough_from_g: float
    enough_to_g: float
    state: State
    by_spoon: bool


@unchanging(kw_only=True)
class LineChangeOut:
    """A line that is not weighed yet, with new words."""

    line_id: str
    text: str
    before_g: float
    after_g: float


@unchanging(kw_only=True)
class WayOut:
    """A way out of an overshoot, with what it does; one that adds something has its text, grams and name."""

    id: str
    says: str
    text: str = ""
    mass_g: float | None = None
    words: str = ""


@unchanging(kw_only=True)
class OvershootOut:
    """Meaning of an overshoot: lines to change elsewhere, or ways out."""

    line_id: str
    over_g: float
    says: str
    changes: list[LineChangeOut]
    ways: list[WayOut]


@unchanging(kw_only=True)
class AddedOut:
    """Addition besides the plan, and when."""

    words: str
    mass_g: float
    at: datetime
    hours_after_contact: float | None


@unchanging(kw_only=True)
class DegreesOut:
    """A temperature that was noted."""

    at: datetime
    celsius: float


@unchanging(kw_only=True)
class WeighOut:
    """A batch at the counter; ``number`` is that of the last press, which the next one has to name."""

    number: int
    phase: Phase
    lines: list[WeighLineOut]
    current: str | None
    undecided: list[str]
    tare_g: float
    total_g: float
    advice: list[OvershootOut]
    salt_says: str
    sentence: str
    planned_aside_g: float
    aside_for: str
    planned_meat_g: float
    verdict: str | None
    set_aside_g: float | None
    contact_at: datetime | None
    meat_g: float | None
    meat_c: float | None
    added: list[AddedOut]
    later: list[AddedOut]
    turned_at: list[datetime]
    fridge: list[DegreesOut]
    pulled_at: datetime | None
    probe: list[DegreesOut]
    probe_says: str
    boiled_at: datetime | None
    beside_g: dict[str, float]
    clock_went_back: bool
    questions: dict[EventKind, str]
    last_says: str


def weigh_out(session: Session, advice: Sequence[ScaleAdvice], now: datetime) -> WeighOut:
    """A session in the shape that leaves the core."""
    record, reading = session.record, session.judgement.reading
    mix, cut = session.judgement.mix, reading.cut
    lines = () if record.is_locked else session.lines
    current = next_line(lines, record)
    contact = record.contact
    return WeighOut(
        number=record.number,
        phase=session.counter.phase,
        lines=[_line(line, record) for line in lines],
        current=current.id if current else None,
        undecided=session.counter.undecided,
        tare_g=record.tare_kg * 1000,
        total_g=round(record.total_kg * 1000, 2),
        advice=[_advice(one) for one in advice],
        salt_says=session.judgement.salt.says if session.judgement.salt else "",
        sentence=session.judgement.sentence,
        planned_aside_g=round(mix.at_contact.set_aside_kg * 1000) if mix else 0.0,
        aside_for=reading.mix.set_aside.use,
        planned_meat_g=cut.mass_kg * 1000 if cut else 0.0,
        verdict=record.verdict,
        set_aside_g=None if record.set_aside_kg is None else record.set_aside_kg * 1000,
        contact_at=contact.at if contact else None,
        meat_g=contact.meat_kg * 1000 if contact and contact.meat_kg is not None else None,
        meat_c=contact.celsius if contact else None,
        added=[_added(one, record) for one in record.added],
        later=[_added(one, record) for one in record.later],
        turned_at=list(record.turned_at),
        fridge=[DegreesOut(at=at, celsius=celsius) for at, celsius in record.fridge],
        pulled_at=record.pulled_at,
        probe=[DegreesOut(at=at, celsius=celsius) for at, celsius in record.probe],
        probe_says=told.says if (told := probe_forecast(session)) else "",
        boiled_at=record.boiled_at,
        beside_g={name: round(mass_kg * 1000, 2) for name, mass_kg in record.beside.items()},
        clock_went_back=record.last_at is not None and hours_between(now, record.last_at) > 0,
        questions=questions_of(session, now),
        last_says=told_of(record.last, (*session.lines, *session.counter.beside)) if record.last else "",
    )


def _line(line: LineToWeigh, record: WeighState) -> WeighLineOut:
    weighed_g = record.weighed_kg(line.id) * 1000
    enough_kg, too_much_kg = line.enough_kg
    return WeighLineOut(
        id=line.id,
        name=line.name,
        words=line.words,
        target_g=line.mass_kg * 1000,
        tolerance_g=line.tolerance_kg * 1000,
        guards=line.guards,
        bowl=line.bowl,
        spoon=line.spoon,
        weighed_g=round(weighed_g, 2),
        tares_g=[round(mass_kg * 1000, 2) for mass_kg in record.tares.get(line.id, ())],
        left_g=round(line.mass_kg * 1000 - weighed_g, 2),
        enough_from_g=round(enough_kg * 1000 - weighed_g, 2),
        enough_to_g=round(too_much_kg * 1000 - weighed_g, 2),
        state=line.state(record),
        by_spoon=line.id in record.by_spoon,
    )


def _advice(one: ScaleAdvice) -> OvershootOut:
    changes = [
        LineChangeOut(line_id=c.line_id, text=c.text, before_g=c.before_kg * 1000, after_g=c.after_kg * 1000)
        for c in one.changes
    ]
    return OvershootOut(
        line_id=one.line_id,
        over_g=one.over_kg * 1000,
        says=one.says,
        changes=changes,
        ways=[_way(way) for way in one.ways],
    )


def _way(way: Way) -> WayOut:
    grams, name = weighed_parts(way.text) or (None, "")
    return WayOut(id=way.id, says=way.says, text=way.text, mass_g=grams, words=name)


def _added(one: AddedLine, record: WeighState) -> AddedOut:
    after = hours_between(record.contact.at, one.at) if record.contact else None
    return AddedOut(words=one.words, mass_g=one.mass_kg * 1000, at=one.at, hours_after_contact=after)
