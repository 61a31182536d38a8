"""The draft as it was weighed and as it went on: what the hold is judged from."""

from __future__ import annotations

from dataclasses import replace
from datetime import datetime

from vadouvan.core.clock.routine import hours_between
from vadouvan.core.draft.typed import Draft, LineInput
from vadouvan.core.weighing.event import LoggedEvent
from vadouvan.core.weighing.lines import LineToWeigh
from vadouvan.core.weighing.state import AddedLine, WeighState


def as_weighed(draft: Draft, lines: tuple[LineToWeigh, ...], record: WeighState) -> Draft:
    """The draft with grams as weighed instead of planned, what was left out gone, what was added in.

    Lines not decided yet keep their plan. The part set aside and the weight of the meat are as measured.
    """
    names = {line.id: line.name for line in lines}
    mix = []
    for line in draft.mix:
        if line.id in record.left_out:
            continue
        if record.tares.get(line.id):
            mix.append(replace(line, text=grams_of(names[line.id], record.weighed_kg(line.id)), locked="yes"))
        else:
            mix.append(line)
    mix += [_new_line(one) for one in (*record.added, *record.later)]
    quantity = draft.quantity
    if record.set_aside_kg is not None:
        quantity = replace(quantity, set_aside=f"{record.set_aside_kg * 1000:g} g" if record.set_aside_kg > 0 else "")
    cut = draft.cut
    if record.contact is not None and record.contact.meat_kg is not None:
        cut = replace(cut, mass=f"{record.contact.meat_kg * 1000:g} g")
    return replace(draft, mix=tuple(mix), quantity=quantity, cut=cut)


def after_press(draft: Draft, lines: tuple[LineToWeigh, ...], before: WeighState, record: WeighState) -> Draft:
    """The draft after a press: contact puts what was weighed in the place of the plan, later presses go on from it."""
    if record.contact is not None and before.contact is None:
        draft = as_weighed(draft, lines, record)
        return replace(draft, meal=replace(draft.meal, contact=_local(record.contact.at)))
    if len(record.later) > len(before.later):
        return replace(draft, mix=(*draft.mix, _new_line(record.later[-1])))
    if record.pulled_at is not None and before.pulled_at is None:
        return replace(draft, meal=replace(draft.meal, pulled=_local(record.pulled_at)))
    if len(record.fridge) > len(before.fridge) and record.contact is not None:
        at, celsius = record.fridge[-1]
        return with_fridge_reading(draft, hours_between(record.contact.at, at), celsius)
    return draft


def taken_back(draft: Draft, logged: LoggedEvent) -> Draft:
    """The draft without what its last standing press did to it; all else stays as it is now.

    A press of an older kitchen did not keep the draft that it changed: the mix then stays as it was weighed.
    """
    kind, before = logged.event.kind, logged.before
    if kind == "pulled":
        return replace(draft, meal=replace(draft.meal, pulled=""))
    if kind == "contact":
        draft = replace(draft, meal=replace(draft.meal, contact="", pulled=""))
        return draft if before is None else replace(draft, mix=before.mix, cut=before.cut, quantity=before.quantity)
    if kind == "later":
        return replace(draft, mix=draft.mix[:-1])
    if kind == "fridge":
        kept = draft.hold.readings.rpartition(", ")[0]
        readings = kept if before is None else before.hold.readings
        return replace(draft, hold=replace(draft.hold, readings=readings))
    return draft


def with_fridge_reading(draft: Draft, after_h: float, reading_c: float) -> Draft:
    """The draft with one more temperature, so many hours after contact; the first one counts from contact on."""
    after = f"{max(0.0, round(after_h, 2)):g} h"
    logged = [reading for reading in draft.hold.readings.split(", ") if reading.strip()]
    if not logged and after != "0 h":
        logged = [f"0 h {draft.hold.fridge or '4'} C"]
    earlier = [reading for reading in logged if not reading.startswith(f"{after} ")]  # the last of a moment counts
    readings = ", ".join([*earlier, f"{after} {reading_c:g} C"])
    return replace(draft, hold=replace(draft.hold, readings=readings))


def grams_of(name: str, mass_kg: float) -> str:
    """A line in grams as weighed."""
    return f"{round(mass_kg * 1000, 2):g} g {name}"


def _new_line(one: AddedLine) -> LineInput:
    return LineInput(one.id, grams_of(one.words.strip(), one.mass_kg), locked="yes")


def _local(moment: datetime) -> str:
    """A moment with its offset, so that it is the same in every zone."""
    return moment.isoformat(timespec="minutes")
