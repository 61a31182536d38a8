"""Which press may follow which: nothing can be skipped by accident, and nothing is locked without a record."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import dataclass
from datetime import datetime
from typing import Literal

from vadouvan.core.clock.telling import dated
from vadouvan.core.parsing.curing import curing_refused, names_curing_salt
from vadouvan.core.weighing.event import KINDS, Press
from vadouvan.core.weighing.lines import LineToWeigh
from vadouvan.core.weighing.state import Record
from vadouvan.errors import InputError

Phase = Literal["weigh", "taste", "set_aside", "contact", "hold", "out"]

MOST_LINE_KG, MOST_MEAT_KG = 10.0, 25.0
COLDEST_C, WARMEST_C = -25.0, 130.0
WARMEST_MEAT_C = 30.0
AT_THE_SCALE = ("weighed", "taken_back", "skipped", "left_out", "added")


@dataclass(frozen=True)
class Counter:
    """What a press is checked against: the lines, the record, and how much meat the vessel holds [kg], if known."""

    lines: Sequence[LineToWeigh]
    record: Record
    vessel_meat_kg: float | None = None

    @property
    def phase(self) -> Phase:
        """What comes next."""
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


def check(press: Press, counter: Counter) -> None:
    """Raises InputError for a press that cannot be now, saying what would have to come first."""
    if press.kind not in KINDS:
        raise _refused(press, f'"{press.kind}" is no step here.', "Press one that is shown.")
    _check_numbers(press)
    if press.kind == "undone":
        if counter.record.last is None:
            raise _refused(press, "Nothing has been pressed yet.", "Go on.")
    elif press.kind in AT_THE_SCALE:
        _check_at_the_scale(press, counter)
    elif press.kind in ("tasted", "set_aside", "tipped_back", "contact"):
        _check_order(press, counter)
    elif press.kind != "tare":
        _check_after_contact(press, counter)


def _check_numbers(press: Press) -> None:
    wants_mass = press.kind in ("weighed", "added", "later", "set_aside", "tare")
    if wants_mass and press.mass_kg is None:
        raise _refused(press, "No weight was given.", 'Write grams, such as "37".')
    mass_kg = press.mass_kg
    if mass_kg is not None:
        may_be_nothing = press.kind in ("set_aside", "tare")
        if mass_kg < 0 or (mass_kg == 0 and not may_be_nothing):
            wrong = f"{mass_kg * 1000:g} g cannot be weighed in."
            raise _refused(press, wrong, "Write what went in, in grams; take the last one back if it was wrong.")
        most = MOST_MEAT_KG if press.kind in ("contact", "tare") else MOST_LINE_KG
        if mass_kg > most:
            raise _refused(press, f"{mass_kg:g} kg is more than can be here.", f"Write up to {most:g} kg.")
    if press.kind in ("fridge", "probe") and press.celsius is None:
        raise _refused(press, "No temperature was given.", 'Write degrees, such as "4".')
    if press.celsius is not None:
        most_c = WARMEST_MEAT_C if press.kind in ("contact", "fridge") else WARMEST_C
        if not COLDEST_C <= press.celsius <= most_c:
            wrong = f"{press.celsius:g} °C cannot be right."
            accepted = f"Write {COLDEST_C:g} to {most_c:g} °C; check that the probe sits in the meat."
            raise _refused(press, wrong, accepted)


def _check_at_the_scale(press: Press, counter: Counter) -> None:
    record = counter.record
    if record.contact is not None:
        wrong = f"The mix met the meat at {_hour(record.contact.at)} and is locked."
        raise _refused(press, wrong, "Note it as a later addition.")
    if press.kind == "added":
        if names_curing_salt(press.words):
            raise curing_refused(press.words, "weigh")
        if not press.words.strip():
            raise _refused(press, "It has no name.", 'Write what it is, such as "lemon juice".')
    if record.set_aside_kg is not None:
        wrong = "The clean part is poured off already: the two would not be the same mix."
        raise _refused(press, wrong, "Tip it back first, or add it after contact as a later addition.")
    if press.kind != "added":
        _check_line(press, counter)


def _check_line(press: Press, counter: Counter) -> None:
    record = counter.record
    line = next((line for line in counter.lines if line.id == press.line_id), None)
    if line is None:
        raise _refused(press, f"There is no line {press.line_id!r} in this mix.", "Choose one that is shown.")
    state = line.state(record)
    if press.kind == "taken_back" and not record.tares.get(line.id) and state != "left out":
        raise _refused(press, f"Nothing of the {line.name} was weighed.", "Weigh it, or go on.")
    if press.kind == "skipped" and state != "open":
        raise _refused(press, f"The {line.name} is not open.", "Skip a line that has not been weighed.")
    if press.kind == "left_out" and record.tares.get(line.id):
        raise _refused(press, f"Some of the {line.name} is in the bowl.", "Take it back first, or keep it.")


def _check_order(press: Press, counter: Counter) -> None:
    record, phase = counter.record, counter.phase
    if record.contact is not None:
        raise _refused(press, f"It went in at {_hour(record.contact.at)} already.", "Go on from there.")
    if counter.undecided:
        names = " and ".join(counter.undecided)
        raise _refused(press, f"Not weighed yet: {names}.", "Weigh it, or leave it out on purpose.")
    if press.kind == "tipped_back" and record.set_aside_kg is None:
        raise _refused(press, "Nothing was set aside.", "Go on.")
    if press.kind in ("set_aside", "contact") and phase == "taste":
        raise _refused(press, "It has not been tasted.", "Taste it now: after contact it cannot be.")
    if press.kind == "contact" and phase == "set_aside":
        wrong = "Nothing is said of a clean part."
        raise _refused(press, wrong, "Pour off what you want to brush or serve, or say that nothing is kept.")
    if press.kind == "set_aside" and (press.mass_kg or 0.0) > record.total_kg:
        wrong = f"Only {record.total_kg * 1000:.0f} g were weighed in."
        raise _refused(press, wrong, "Write what was poured off, in grams.")
    if press.kind == "contact":
        _check_vessel(press, counter)


def _check_vessel(press: Press, counter: Counter) -> None:
    holds = counter.vessel_meat_kg
    if holds is not None and press.mass_kg is not None and press.mass_kg > holds:
        wrong = f"{press.mass_kg:g} kg of meat does not fit: the vessel holds {holds:.1f} kg without any mix."
        raise _refused(press, wrong, "Take a larger one, or two bags, and say so under Quantity.")


def _check_after_contact(press: Press, counter: Counter) -> None:
    record = counter.record
    if record.contact is None:
        raise _refused(press, "The meat is not in the mix yet.", "Make contact first.")
    if press.kind == "later" and names_curing_salt(press.words):
        raise curing_refused(press.words, "weigh")
    if press.kind == "later" and not press.words.strip():
        raise _refused(press, "It has no name.", 'Write what was added, such as "lemon juice".')
    if record.pulled_at is not None and press.kind in ("turned", "pulled", "later", "fridge"):
        raise _refused(press, f"It came out at {_hour(record.pulled_at)}.", "Go on with the fire.")
    if press.kind in ("probe", "boiled") and record.pulled_at is None:
        raise _refused(press, "It is still in the mix.", "Take it out first.")


def _hour(moment: datetime) -> str:
    return dated(moment)


def _refused(press: Press, wrong: str, accepted: str) -> InputError:
    given = press.words or (f"{press.mass_kg * 1000:g} g" if press.mass_kg is not None else press.kind)
    return InputError(field="weigh", given=given, wrong=wrong, accepted=accepted)


def not_before(now: datetime, record: Record) -> datetime:
    """The moment of a press: now, or that of the last press where the clock was set back since."""
    if record.last_at is not None and record.last_at.timestamp() > now.timestamp():
        return record.last_at
    return now
