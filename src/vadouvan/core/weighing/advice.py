"""After an overshoot: what to change elsewhere, in grams, so that the mix still comes out as aimed."""

from __future__ import annotations

from datetime import datetime

from vadouvan.core.advice.amounts import NewLine, amounts_for
from vadouvan.core.draft.typed import Draft
from vadouvan.core.figure import number_told
from vadouvan.core.kitchen.kitchen import Kitchen
from vadouvan.core.weighing.lines import LineToWeigh
from vadouvan.core.weighing.state import WeighState
from vadouvan.core.weighing.ways import UNITS, Overshoot, Way, ways_out
from vadouvan.errors import InputError
from vadouvan.unchanging import unchanging


@unchanging
class ScaleAdvice:
    """An overshoot: how far it is over [kg], in words; other lines with new amounts, or ways out."""

    line_id: str
    over_kg: float
    says: str
    changes: tuple[NewLine, ...] = ()
    ways: tuple[Way, ...] = ()


def advice_on(
    draft: Draft, lines: tuple[LineToWeigh, ...], record: WeighState, kitchen: Kitchen, *, now: datetime
) -> list[ScaleAdvice]:
    """Advice for each line that is over its tolerance; empty if none is, or once the mix is locked."""
    if record.is_locked:
        return []
    return [
        _advice(Overshoot(line, draft, lines, record, kitchen, now)) for line in lines if line.state(record) == "over"
    ]


def _advice(slip: Overshoot) -> ScaleAdvice:
    line, present = slip.line, slip.present
    over = f"{number_told(slip.over_kg * 1000)} g too much {line.name}."
    changes = _elsewhere(present, slip.record, slip.kitchen, slip.now)
    if changes:
        words = " and ".join(f"{change.text} instead of {number_told(change.before_kg * 1000)} g" for change in changes)
        return ScaleAdvice(line.id, slip.over_kg, f"{over} The rest can make up for it: {words}.", changes)
    if line.guards not in UNITS:
        return ScaleAdvice(line.id, slip.over_kg, f"{over} Take some out again, or go on with it.")
    ways = ways_out(slip)
    if not ways:
        return ScaleAdvice(line.id, slip.over_kg, f"{over} {line.guards.capitalize()} is still as planned.")
    helped = "This helps:" if len(ways) > 1 else "Nothing that is still to come makes up for it."
    return ScaleAdvice(line.id, slip.over_kg, f"{over} {helped}", (), ways)


def _elsewhere(present: Draft, record: WeighState, kitchen: Kitchen, now: datetime) -> tuple[NewLine, ...]:
    """New amounts for lines not weighed yet that bring the aims back; none if they cannot."""
    open_ids = {line.id for line in present.mix if not record.is_decided(line.id) and line.text.strip()}
    if not open_ids:
        return ()
    try:
        amounts = amounts_for(present, kitchen, now=now)
    except InputError:
        return ()
    if not all(reached.is_met for reached in amounts.reached):
        return ()
    return tuple(
        line for line in amounts.lines if line.line_id in open_ids and abs(line.after_kg - line.before_kg) >= 0.0005
    )
