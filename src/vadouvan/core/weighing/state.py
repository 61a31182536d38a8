"""The state of a weigh-in and of what came after, folded from the presses in their order."""

from __future__ import annotations

from collections.abc import Iterable
from dataclasses import field, replace
from datetime import datetime

from vadouvan.core.weighing.event import CounterEvent, LoggedEvent
from vadouvan.unchanging import unchanging

ADDED = "added-"  # ids of lines that came in while tasting


@unchanging
class AddedLine:
    """A line that was not in the plan: its words, weight [kg] and when it came in."""

    id: str
    words: str
    mass_kg: float
    at: datetime


@unchanging
class MeatContact:
    """Meat met mix: when, what the meat weighed [kg] and how warm it was [C], where that was measured."""

    at: datetime
    meat_kg: float | None
    celsius: float | None


@unchanging
class WeighState:
    """All that has happened to a batch. ``number`` is that of the last press, 0 before any.

    ``standing`` are the presses that were not taken back; taring is none that could be.
    """

    number: int = 0
    last_at: datetime | None = None
    tare_kg: float = 0.0
    tares: dict[str, tuple[float, ...]] = field(default_factory=dict)
    by_spoon: frozenset[str] = frozenset()
    skipped: frozenset[str] = frozenset()
    left_out: frozenset[str] = frozenset()
    added: tuple[AddedLine, ...] = ()
    verdict: str | None = None
    set_aside_kg: float | None = None
    contact: MeatContact | None = None
    later: tuple[AddedLine, ...] = ()
    turned_at: tuple[datetime, ...] = ()
    fridge: tuple[tuple[datetime, float], ...] = ()
    pulled_at: datetime | None = None
    probe: tuple[tuple[datetime, float], ...] = ()
    boiled_at: datetime | None = None
    beside: dict[str, float] = field(default_factory=dict)
    standing: tuple[LoggedEvent, ...] = ()

    @property
    def last(self) -> LoggedEvent | None:
        """The last press that was not taken back, if any."""
        return self.standing[-1] if self.standing else None

    @property
    def is_locked(self) -> bool:
        """Whether the mix has met the meat: from then on it can only be added to."""
        return self.contact is not None

    def weighed_kg(self, line_id: str) -> float:
        """Mass of a line, all its tares together [kg]."""
        return sum(self.tares.get(line_id, ()))

    @property
    def total_kg(self) -> float:
        """Everything weighed into the bowls [kg]."""
        return sum(sum(parts) for parts in self.tares.values()) + sum(line.mass_kg for line in self.added)

    def is_decided(self, line_id: str) -> bool:
        """Whether a line was weighed, or left out on purpose."""
        return line_id in self.left_out or bool(self.tares.get(line_id))


def state_of(logged: Iterable[LoggedEvent]) -> WeighState:
    """The record that presses lead to."""
    events = tuple(logged)
    undone = {one.event.undoes for one in events if one.event.kind == "undone"}
    record, standing = WeighState(), list[LoggedEvent]()
    for one in events:
        if one.event.kind != "undone" and one.number not in undone:
            record = _after(record, one.event, one.at)
            if one.event.kind != "tare":
                standing.append(one)
        record = replace(record, number=one.number, last_at=one.at)
    return replace(record, standing=tuple(standing))


def _after(record: WeighState, event: CounterEvent, at: datetime) -> WeighState:
    mass_kg = event.mass_kg or 0.0
    if event.kind == "beside":
        return replace(record, beside={**record.beside, event.line_id: mass_kg})
    if event.kind == "beside_back":
        return replace(record, beside={name: kg for name, kg in record.beside.items() if name != event.line_id})
    if event.kind in ("tare", "weighed", "taken_back", "skipped", "left_out", "added"):
        return _at_the_scale(record, event, mass_kg, at)
    if event.kind in ("tasted", "set_aside", "tipped_back", "contact"):
        return _before_contact(record, event, mass_kg, at)
    return _in_the_mix(record, event, mass_kg, at)


def _before_contact(record: WeighState, event: CounterEvent, mass_kg: float, at: datetime) -> WeighState:
    if event.kind == "tasted":
        return replace(record, verdict=event.words)
    if event.kind == "contact":
        return replace(record, contact=MeatContact(at, event.mass_kg, event.celsius))
    return replace(record, set_aside_kg=mass_kg if event.kind == "set_aside" else None)


def _in_the_mix(record: WeighState, event: CounterEvent, mass_kg: float, at: datetime) -> WeighState:
    degrees = (at, event.celsius or 0.0)
    if event.kind == "later":
        line = AddedLine(f"later-{len(record.later) + 1}", event.words, mass_kg, at)
        return replace(record, later=(*record.later, line))
    if event.kind == "turned":
        return replace(record, turned_at=(*record.turned_at, at))
    if event.kind == "fridge":
        return replace(record, fridge=(*record.fridge, degrees))
    if event.kind == "probe":
        return replace(record, probe=(*record.probe, degrees))
    return replace(record, pulled_at=at) if event.kind == "pulled" else replace(record, boiled_at=at)


def _at_the_scale(record: WeighState, event: CounterEvent, mass_kg: float, at: datetime) -> WeighState:
    line = event.line_id
    if event.kind == "tare":
        return replace(record, tare_kg=mass_kg)
    if event.kind == "weighed":
        tares = {**record.tares, line: (*record.tares.get(line, ()), mass_kg)}
        spoons = record.by_spoon | {line} if event.how == "spoon" else record.by_spoon - {line}
        waiting = record.skipped - {line}
        tare_kg = record.tare_kg + mass_kg if event.how == "scale" else record.tare_kg
        weighed = replace(record, tares=tares, by_spoon=spoons, skipped=waiting, left_out=record.left_out - {line})
        return replace(weighed, tare_kg=tare_kg)
    if event.kind == "taken_back":
        tares = {**record.tares, line: record.tares.get(line, ())[:-1]}
        return replace(record, tares=tares, left_out=record.left_out - {line})
    if event.kind == "skipped":
        return replace(record, skipped=record.skipped | {line})
    if event.kind == "left_out":
        return replace(record, left_out=record.left_out | {line}, skipped=record.skipped - {line})
    added = AddedLine(f"{ADDED}{len(record.added) + 1}", event.words, mass_kg, at)
    return replace(record, added=(*record.added, added))
