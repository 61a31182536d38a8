"""Which press may follow which: nothing can be skipped by accident, and nothing is locked without a record."""

from __future__ import annotations

from collections.abc import Sequence
from datetime import datetime
from typing import Literal

from vadouvan.core.clock.telling import dated
from vadouvan.core.parsing.curing import curing_refused, names_curing_salt
from vadouvan.core.weighing.event import KINDS, CounterEvent
from vadouvan.core.weighing.lines import LineBeside, LineToWeigh
from vadouvan.core.weighing.state import WeighState
from vadouvan.errors import InputError
from vadouvan.unchanging import unchanging

Phase = Literal["weigh", "taste", "set_aside", "contact", "hold", "out"]

MOST_LINE_KG, MOST_MEAT_KG = 10.0, 25.0
COLDEST_C, WARMEST_C = -25.0, 130.0
WARMEST_MEAT_C = 30.0
AT_THE_SCALE = ("weighed", "taken_back", "skipped", "left_out", "added")


@unchanging
class Counter:
    """Ground that a press is checked on: the lines, the record, and how much meat the vessel holds [kg], if known."""

    lines: Sequence[LineToWeigh]
    record: WeighState
    vessel_meat_kg: float | None = None
    beside: Sequence[LineBeside] = ()

    @property
    def phase(self) -> Phase:
        """The next phase."""
        record = self.record
        if record.pulled_at is not None:
            return "out"
        if record.contact is not None:
            return "hold"
        if self.undecided:
            return "weigh"
        if record.verdict is None:
            return "taste"
        return "set_aside" if record.set_aside_kg is None else "contact"

    @property
    def undecided(self) -> list[str]:
        """Names of lines neither weighed nor left out."""
        return [line.name for line in self.lines if not self.record.is_decided(line.id)]


def check(event: CounterEvent, counter: Counter) -> None:
    """Raises InputError for a press that cannot be now, saying what would have to come first."""
    if event.kind not in KINDS:
        raise _refused(event, f'"{event.kind}" is no step here.', "Press one that is shown.")
    _check_numbers(event)
    if event.kind == "undone":
        if counter.record.last is None:
            raise _refused(event, "Nothing has been pressed yet.", "Go on.")
    elif event.kind in AT_THE_SCALE:
        _check_at_the_scale(event, counter)
    elif event.kind in ("beside", "beside_back"):
        _check_beside(event, counter)
    elif event.kind in ("tasted", "set_aside", "tipped_back", "contact"):
        _check_order(event, counter)
    elif event.kind != "tare":
        _check_after_contact(event, counter)


def _check_numbers(event: CounterEvent) -> None:
    wants_mass = event.kind in ("weighed", "added", "later", "set_aside", "tare")
    if wants_mass and event.mass_kg is None:
        raise _refused(event, "No weight was given.", 'Write grams, such as "37".')
    mass_kg = event.mass_kg
    if mass_kg is not None:
        may_be_nothing = event.kind in ("set_aside", "tare")
        if mass_kg < 0 or (mass_kg == 0 and not may_be_nothing):
            wrong = f"{mass_kg * 1000:g} g cannot be weighed in."
            raise _refused(event, wrong, "Write what went in, in grams; take the last one back if it was wrong.")
        most = MOST_MEAT_KG if event.kind in ("contact", "tare") else MOST_LINE_KG
        if mass_kg > most:
            raise _refused(event, f"{mass_kg:g} kg is more than can be here.", f"Write up to {most:g} kg.")
    if event.kind in ("fridge", "probe") and event.celsius is None:
        raise _refused(event, "No temperature was given.", 'Write degrees, such as "4".')
    if event.celsius is not None:
        most_c = WARMEST_MEAT_C if event.kind in ("contact", "fridge") else WARMEST_C
        if not COLDEST_C <= event.celsius <= most_c:
            wrong = f"{event.celsius:g} °C cannot be right."
            accepted = f"Write {COLDEST_C:g} to {most_c:g} °C; check that the probe sits in the meat."
            raise _refused(event, wrong, accepted)


def _check_at_the_scale(event: CounterEvent, counter: Counter) -> None:
    record = counter.record
    if record.contact is not None:
        wrong = f"The mix met the meat at {_hour(record.contact.at)} and is locked."
        raise _refused(event, wrong, "Note it as a later addition.")
    if event.kind == "added":
        if names_curing_salt(event.words):
            raise curing_refused(event.words, "weigh")
        if not event.words.strip():
            raise _refused(event, "It has no name.", 'Write what it is, such as "lemon juice".')
    if record.set_aside_kg is not None:
        wrong = "The clean part is poured off already: the two would not be the same mix."
        raise _refused(event, wrong, "Tip it back first, or add it after contact as a later addition.")
    if event.kind != "added":
        _check_line(event, counter)


def _check_line(event: CounterEvent, counter: Counter) -> None:
    record = counter.record
    line = next((line for line in counter.lines if line.id == event.line_id), None)
    if line is None:
        raise _refused(event, f"There is no line {event.line_id!r} in this mix.", "Choose one that is shown.")
    state = line.state(record)
    if event.kind == "taken_back" and not record.tares.get(line.id) and state != "left out":
        raise _refused(event, f"Nothing of the {line.name} was weighed.", "Weigh it, or go on.")
    if event.kind == "skipped" and state != "open":
        raise _refused(event, f"The {line.name} is not open.", "Skip a line that has not been weighed.")
    if event.kind == "left_out" and record.tares.get(line.id):
        raise _refused(event, f"Some of the {line.name} is in the bowl.", "Take it back first, or keep it.")


def _check_beside(event: CounterEvent, counter: Counter) -> None:
    line = next((line for line in counter.beside if line.id == event.line_id), None)
    if line is None:
        raise _refused(event, "This does not stand beside the mix.", "Choose a line that is shown, under Plate.")
    if event.kind == "beside_back" and line.id not in counter.record.beside:
        raise _refused(event, f"The {line.name} was not weighed.", "Weigh it, or go on.")


def _check_order(event: CounterEvent, counter: Counter) -> None:
    record, phase = counter.record, counter.phase
    if record.contact is not None:
        raise _refused(event, f"It went in at {_hour(record.contact.at)} already.", "Go on from there.")
    if counter.undecided:
        names = " and ".join(counter.undecided)
        raise _refused(event, f"Not weighed yet: {names}.", "Weigh it, or leave it out on purpose.")
    if event.kind == "tipped_back" and record.set_aside_kg is None:
        raise _refused(event, "Nothing was set aside.", "Go on.")
    if event.kind in ("set_aside", "contact") and phase == "taste":
        raise _refused(event, "It has not been tasted.", "Taste it now: after contact it cannot be.")
    if event.kind == "contact" and phase == "set_aside":
        wrong = "Nothing is said of a clean part."
        raise _refused(event, wrong, "Pour off what you want to brush or serve, or say that nothing is kept.")
    if event.kind == "set_aside" and (event.mass_kg or 0.0) > record.total_kg:
        wrong = f"Only {record.total_kg * 1000:.0f} g were weighed in."
        raise _refused(event, wrong, "Write what was poured off, in grams.")
    if event.kind == "contact":
        _check_vessel(event, counter)


def _check_vessel(event: CounterEvent, counter: Counter) -> None:
    holds = counter.vessel_meat_kg
    if holds is not None and event.mass_kg is not None and event.mass_kg > holds:
        wrong = f"{event.mass_kg:g} kg of meat does not fit: the vessel holds {holds:.1f} kg without any mix."
        raise _refused(event, wrong, "Take a larger one, or two bags, and say so under Quantity.")


def _check_after_contact(event: CounterEvent, counter: Counter) -> None:
    record = counter.record
    if record.contact is None:
        raise _refused(event, "The meat is not in the mix yet.", "Make contact first.")
    if event.kind == "later" and names_curing_salt(event.words):
        raise curing_refused(event.words, "weigh")
    if event.kind == "later" and not event.words.strip():
        raise _refused(event, "It has no name.", 'Write what was added, such as "lemon juice".')
    if record.pulled_at is not None and event.kind in ("turned", "pulled", "later", "fridge"):
        raise _refused(event, f"It came out at {_hour(record.pulled_at)}.", "Go on with the fire.")
    if event.kind in ("probe", "boiled") and record.pulled_at is None:
        raise _refused(event, "It is still in the mix.", "Take it out first.")


def _hour(moment: datetime) -> str:
    return dated(moment)


def _refused(event: CounterEvent, wrong: str, accepted: str) -> InputError:
    given = event.words or (f"{event.mass_kg * 1000:g} g" if event.mass_kg is not None else event.kind)
    return InputError(field="weigh", given=given, wrong=wrong, accepted=accepted)


def not_before(now: datetime, record: WeighState) -> datetime:
    """The moment of a press: now, or that of the last press where the clock was set back since."""
    if record.last_at is not None and record.last_at.timestamp() > now.timestamp():
        return record.last_at
    return now
