"""Presses told back in words, as they were understood."""

from __future__ import annotations

from collections.abc import Sequence

from vadouvan.core.figure import number_told
from vadouvan.core.measures.quantity import MIX_MASS, degrees, quantity
from vadouvan.core.measures.quantity import QuantityKind as Quantity
from vadouvan.core.weighing.event import EventKind, LoggedEvent
from vadouvan.core.weighing.lines import LineBeside, LineToWeigh
from vadouvan.core.weighing.rules import COLDEST_C, MOST_LINE_KG, MOST_MEAT_KG, WARMEST_C

_MEAT = Quantity(
    "weight of meat",
    MIX_MASS.units,
    "g",
    0.005,
    MOST_MEAT_KG,
    'Write what the meat weighs, such as "2600 g" or "2.6 kg".',
)
_LINE = Quantity(
    "weight", MIX_MASS.units, "g", 0.0, MOST_LINE_KG, 'Write what was weighed, such as "37 g" or "1.2 kg".'
)
_DEGREES = 'Write degrees, such as "4", "4 C" or "38 F".'
_DEEDS: dict[EventKind, str] = {
    "skipped": "skipped",
    "left_out": "left out",
    "tasted": "tasted",
    "tipped_back": "tipped back",
    "turned": "turned",
    "pulled": "out of the mix",
    "boiled": "boiled",
    "taken_back": "taken back",
    "beside": "weighed beside it",
    "beside_back": "not weighed after all",
}


def typed_mass_kg(text: str, kind: EventKind) -> float:
    """Weight as typed at the counter [kg]; raises InputError for what is none, or may be two things."""
    return quantity(text, _MEAT if kind == "contact" else _LINE, field="weigh.mass")


def typed_celsius(text: str) -> float:
    """Temperature as typed at the counter [C]; raises InputError for what is none."""
    return degrees(text, field="weigh.celsius", low=COLDEST_C, high=WARMEST_C, accepted=_DEGREES)


def told_of(logged: LoggedEvent, lines: Sequence[LineToWeigh | LineBeside]) -> str:
    """A press in words, as it was understood.

    >>> from datetime import datetime
    >>> from vadouvan.core.weighing.event import CounterEvent, LoggedEvent
    >>> told_of(LoggedEvent(1, datetime(2026, 11, 28), CounterEvent("contact", mass_kg=2.6, celsius=4.0)), ())
    'contact: 2600 g, 4 °C'
    """
    event = logged.event
    name = next((line.name for line in lines if line.id == event.line_id), "") or event.words.strip()
    grams = "" if event.mass_kg is None else f"{number_told(event.mass_kg * 1000)} g"
    degrees_c = "" if event.celsius is None else f"{event.celsius:g} °C"
    figures = ", ".join(part for part in (grams, degrees_c) if part)
    deed = _DEEDS.get(event.kind, event.kind.replace("_", " "))
    what = f"{name} {deed}" if name and event.kind in _DEEDS else name or deed
    return f"{what}: {figures}" if figures else what
