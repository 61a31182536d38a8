"""Ways out of an overshoot, each carried out in the model before it is told, and told only if it helps.

A paste is eaten whole, so thinning it takes no salt out of a mouthful; more meat does, and so does a larger mix of
which part stays clean. Every way says the figure before and after.
"""

from __future__ import annotations

from collections.abc import Iterator
from dataclasses import replace
from datetime import datetime
from functools import cached_property

from vadouvan.core.advice.corrections import Taste
from vadouvan.core.advice.tasted import corrections_for
from vadouvan.core.constants import RINSED_LEAVES
from vadouvan.core.contact.mix_at_contact import mix_at_contact
from vadouvan.core.contact.mix_judgement import salt_of
from vadouvan.core.draft.typed import Draft, LineInput
from vadouvan.core.figure import number_told
from vadouvan.core.hold.scenario import hold_scenario
from vadouvan.core.interpretation.draft import read_draft
from vadouvan.core.judgement.judge import judge
from vadouvan.core.judgement.judgement import Judgement
from vadouvan.core.kitchen.kitchen import Kitchen
from vadouvan.core.mix.balance import Balance
from vadouvan.core.mix.measure import weighed_parts
from vadouvan.core.mix.span import SaltState
from vadouvan.core.weighing.as_weighed import as_weighed, grams_of
from vadouvan.core.weighing.lines import LineToWeigh
from vadouvan.core.weighing.state import WeighState
from vadouvan.errors import InputError
from vadouvan.unchanging import unchanging

TASTE_OF: dict[str, Taste] = {"salt": "too_salty", "sugar": "too_sweet", "acid": "too_sour", "heat": "too_hot"}
UNITS = {"salt": "g/kg", "sugar": "g/kg", "acid": "g/kg", "heat": "SHU"}
HELPS_FROM = 0.25  # of the excess: what moves less is not worth doing at the counter
MOST_TIMES = 2.0  # nobody makes more than twice the mix, or buys more than twice the meat, for a slip
MOST_ADDITIONS = 2


@unchanging
class Way:
    """One way out, in words; with an addition's text where something is weighed in."""

    id: str
    says: str
    text: str = ""


@unchanging
class Overshoot:
    """A line that is over, with all that is needed to try what would help."""

    line: LineToWeigh
    draft: Draft
    lines: tuple[LineToWeigh, ...]
    record: WeighState
    kitchen: Kitchen
    now: datetime

    @cached_property
    def present(self) -> Draft:
        """The draft as it lies in the bowl."""
        return as_weighed(self.draft, self.lines, self.record)

    @property
    def over_kg(self) -> float:
        """How far it is over [kg]."""
        return self.record.weighed_kg(self.line.id) - self.line.mass_kg

    @cached_property
    def judgement(self) -> Judgement:
        """Of the bowl as it is."""
        return judge(self.present, self.kitchen, now=self.now)

    def figure(self, draft: Draft) -> float | None:
        """Figure that the line guards, for a draft: salt as it comes to in the meat, else per kg of meat.

        The mix on its cut is enough for it; a whole judgement for each way would keep the scale waiting.
        """
        reading = read_draft(draft, self.kitchen, now=self.now)
        if reading.cut is None or reading.hold is None or not reading.portions:
            return None
        at_contact = mix_at_contact(reading.mix, reading.cut)
        strong = reading.mix.salting.school == "strong_bath"
        scenario = hold_scenario(reading.cut, at_contact.balance, reading.hold) if strong else None
        salt = salt_of(reading, at_contact, scenario)
        return guarded(at_contact.balance, salt, self.line.guards)

    def with_line(self, mass_kg: float) -> Draft:
        """The bowl with the line at another weight."""
        text = grams_of(self.line.name, mass_kg)
        mix = tuple(replace(one, text=text) if one.id == self.line.id else one for one in self.present.mix)
        return replace(self.present, mix=mix)


def guarded(balance: Balance, salt: SaltState | None, guards: str) -> float | None:
    """The figure that a line's tolerance guards, in the unit told; nothing where there is none."""
    match guards:
        case "salt":
            return salt.settles_g_per_kg if salt is not None else None
        case "sugar":
            return balance.total("sugar").value * 1000
        case "acid":
            return balance.total("acid").value * 1000
        case "heat":
            return balance.heat_shu.value
        case _:
            return None


def ways_out(slip: Overshoot) -> tuple[Way, ...]:
    """Ways that help, the least trouble first; nothing where the figure is still as planned."""
    before, wanted = slip.figure(slip.present), slip.figure(slip.with_line(slip.line.mass_kg))
    if before is None or wanted is None or before <= wanted:
        return ()
    tried = (
        *_taken_out(slip),
        *_more_water(slip, before / wanted),
        *_additions(slip),
        *_more_meat(slip, before / wanted),
        *_jar(slip),
    )
    found = []
    for way, draft in tried:
        after = slip.figure(draft)
        if after is not None and before - after >= HELPS_FROM * (before - wanted):
            found.append(replace(way, says=f"{way.says}: {_moved(slip.line.guards, before, after)}"))
    return (*found, *_going_on(slip, before))


def _moved(guards: str, before: float, after: float) -> str:
    return f"{guards} {number_told(before)} to {number_told(after)} {UNITS[guards]}"


def _taken_out(slip: Overshoot) -> Iterator[tuple[Way, Draft]]:
    """Lifted or poured off again, while it is the last that went in."""
    if list(slip.record.tares)[-1:] != [slip.line.id]:
        return
    alone = len(slip.record.tares) == 1
    how = "Take" if alone else "If it still lies on top, take"
    says = f"{how} {number_told(slip.over_kg * 1000)} g out again"
    yield Way("take-out", says), slip.with_line(slip.line.mass_kg)


def _additions(slip: Overshoot) -> Iterator[tuple[Way, Draft]]:
    """Ways that thin a bath; a paste is eaten whole, so there it will be found not to help."""
    unlocked = replace(slip.present, mix=tuple(replace(one, locked="") for one in slip.present.mix))
    try:
        found = corrections_for(
            unlocked, slip.kitchen, now=slip.now, taste=TASTE_OF[slip.line.guards], degree="a_little"
        )
    except InputError:  # the bowl cannot be judged as it stands: the page says why
        return
    exact = [one for one in found if weighed_parts(one.text) is not None and one.basis == "exact"]
    for one in exact[:MOST_ADDITIONS]:
        draft = replace(slip.present, mix=(*slip.present.mix, LineInput("way", one.text)))
        yield Way(f"add-{one.id}", f"{one.text} more", one.text), draft


def _more_water(slip: Overshoot, times: float) -> Iterator[tuple[Way, Draft]]:
    """Water that brings a bath back to what it was to settle at."""
    judgement = slip.judgement
    cut, salt, balance = judgement.reading.cut, judgement.salt, judgement.balance
    if cut is None or balance is None or salt is None or not salt.settles or slip.line.guards != "salt":
        return
    more_kg = (cut.water_kg + balance.water_kg) * (times - 1)
    text = f"{more_kg * 1000:.0f} g water"
    draft = replace(slip.present, mix=(*slip.present.mix, LineInput("way", text)))
    yield Way("more-water", f"{text} more", text), draft


def _more_meat(slip: Overshoot, times: float) -> Iterator[tuple[Way, Draft]]:
    judgement = slip.judgement
    cut = judgement.reading.cut
    if cut is None or times > MOST_TIMES:
        return
    more_g = number_told(cut.mass_kg * (times - 1) * 1000)
    larger = replace(slip.present.cut, mass=f"{cut.mass_kg * times * 1000:.0f} g", pieces="")
    yield Way("meat", f"{more_g} g more meat"), replace(slip.present, cut=larger)


def _jar(slip: Overshoot) -> Iterator[tuple[Way, Draft]]:
    """All other lines larger by as much, and the part that is too much kept clean in a jar."""
    times = slip.record.weighed_kg(slip.line.id) / slip.line.mass_kg
    if times > MOST_TIMES or slip.record.set_aside_kg is not None:
        return
    targets = {line.id: line for line in slip.lines if line.id != slip.line.id}
    more, mix = [], []
    for one in slip.present.mix:
        target = targets.get(one.id)
        if target is None:
            mix.append(one)
            continue
        mass_kg = max(target.mass_kg * times, slip.record.weighed_kg(one.id))
        mix.append(replace(one, text=grams_of(target.name, mass_kg)))
        further_g = (mass_kg - (slip.record.weighed_kg(one.id) or target.mass_kg)) * 1000
        if further_g >= 1:
            more.append(f"{number_told(further_g)} g more {target.name}")
    larger = replace(slip.present, mix=tuple(mix))
    reading = read_draft(larger, slip.kitchen, now=slip.now)
    if not more or reading.cut is None:
        return
    contact = mix_at_contact(reading.mix, reading.cut)
    spare_kg = (1 - 1 / times) * contact.ready.mass_kg.value + contact.set_aside_kg
    says = (
        f"Make the rest larger ({', '.join(more)}) and keep {number_told(spare_kg * 1000)} g of the mix clean in a jar"
    )
    quantity = replace(larger.quantity, set_aside=f"{spare_kg * 1000:.0f} g")
    yield Way("jar", says), replace(larger, quantity=quantity)


def _going_on(slip: Overshoot, before: float) -> Iterator[Way]:
    """Result if nothing is done; of salt outside, most can be rinsed off before the heat."""
    unit = UNITS[slip.line.guards]
    judgement = slip.judgement
    if slip.line.guards != "salt" or judgement.scenario is None or judgement.salt is None or judgement.window is None:
        yield Way("go-on", f"Or go on: {slip.line.guards} stays at {number_told(before)} {unit}")
        return
    if judgement.salt.school in ("equilibrium", "strong_bath"):
        yield Way("go-on", f"Or go on and pull earlier: it settles at {number_told(before)} {unit}")
        return
    hours = judgement.plan.hold_h if judgement.plan else judgement.window.best.hours
    inside = judgement.scenario.average_at(hours) * 1000
    rinsed = inside + max(0.0, before - inside) * RINSED_LEAVES.value
    yield Way(
        "go-on",
        f"Or go on: it will be salty at {number_told(before)} {unit}; rinse and pat before the heat brings it to "
        f"about {number_told(rinsed)}",
    )
