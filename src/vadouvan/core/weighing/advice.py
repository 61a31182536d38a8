"""After an overshoot: what to change elsewhere, in grams, so that the mix still comes out as aimed."""

from __future__ import annotations

from dataclasses import dataclass, replace
from datetime import datetime

from vadouvan.core.advice.amounts import NewLine, amounts_for
from vadouvan.core.advice.corrections import Correction, Taste
from vadouvan.core.advice.tasted import corrections_for
from vadouvan.core.draft.typed import Draft
from vadouvan.core.figure import number_told
from vadouvan.core.judgement.judge import judge
from vadouvan.core.kitchen.kitchen import Kitchen
from vadouvan.core.weighing.as_weighed import as_weighed
from vadouvan.core.weighing.lines import LineToWeigh
from vadouvan.core.weighing.state import WeighState
from vadouvan.errors import InputError

TASTE_OF: dict[str, Taste] = {"salt": "too_salty", "sugar": "too_sweet", "acid": "too_sour", "heat": "too_hot"}


@dataclass(frozen=True)
class ScaleAdvice:
    """What an overshoot means: how far it is over [kg], in words; other lines with new amounts; what may be added."""

    line_id: str
    over_kg: float
    says: str
    changes: tuple[NewLine, ...] = ()
    additions: tuple[Correction, ...] = ()


def advice_on(
    draft: Draft, lines: tuple[LineToWeigh, ...], record: WeighState, kitchen: Kitchen, *, now: datetime
) -> list[ScaleAdvice]:
    """Advice for each line that is over its tolerance; empty if none is, or once the mix is locked."""
    if record.is_locked:
        return []
    return [_advice(line, draft, lines, record, kitchen, now) for line in lines if line.state(record) == "over"]


def _advice(
    line: LineToWeigh, draft: Draft, lines: tuple[LineToWeigh, ...], record: WeighState, kitchen: Kitchen, now: datetime
) -> ScaleAdvice:
    over_kg = record.weighed_kg(line.id) - line.mass_kg
    over = f"{number_told(over_kg * 1000)} g too much {line.name}"
    present = as_weighed(draft, lines, record)
    changes = _elsewhere(present, record, kitchen, now)
    if changes:
        words = " and ".join(f"{change.text} instead of {number_told(change.before_kg * 1000)} g" for change in changes)
        return ScaleAdvice(line.id, over_kg, f"{over}. The rest can make up for it: {words}.", changes)
    additions = _additions(line, present, kitchen, now)
    after = judge(present, kitchen, now=now)
    salt = f" That is {after.salt.says}." if after.salt is not None and line.guards == "salt" else ""
    if additions:
        return ScaleAdvice(line.id, over_kg, f"{over}.{salt} No open line can make up for it; this can:", (), additions)
    return ScaleAdvice(line.id, over_kg, f"{over}.{salt} Spoon some out, or go on with it.")


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


def _additions(line: LineToWeigh, present: Draft, kitchen: Kitchen, now: datetime) -> tuple[Correction, ...]:
    taste = TASTE_OF.get(line.guards)
    if taste is None:
        return ()
    weighed = replace(present, mix=tuple(replace(one, locked="") for one in present.mix))
    try:
        return tuple(corrections_for(weighed, kitchen, now=now, taste=taste, degree="a_little")[:3])
    except InputError:
        return ()
