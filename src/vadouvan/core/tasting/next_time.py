"""Changes for next time, in grams and hours, with what each change costs elsewhere."""

from __future__ import annotations

import math
from collections.abc import Iterator
from dataclasses import replace
from datetime import datetime

from vadouvan.core.constants import SALT_STEP
from vadouvan.core.draft.typed import Draft, LineInput
from vadouvan.core.figure import hours_told, number_told
from vadouvan.core.judgement.judge import judge
from vadouvan.core.judgement.judgement import Judgement
from vadouvan.core.kitchen.kitchen import Kitchen
from vadouvan.core.mix.measure import weighed_text
from vadouvan.core.parsing.amount import Portion
from vadouvan.core.tasting.hold_history import AsHeld, as_held
from vadouvan.core.tasting.in_hours import bath_hours, depth_advice
from vadouvan.core.tasting.verdict import Aspect, Verdict, mean_step
from vadouvan.unchanging import unchanging

MATTERS = 0.34  # of a step: one of three eaters, a little
A_STEP = 0.15  # of sweet, sour and hot things, for a step
SOFTER = 0.25  # of the hours that fruit works, for a step
WITHIN_LIMIT = 0.8  # of the hour at which the surface turns too soft: mushy asks for less than that, whatever was held
COOLER_C, BURNED_FROM = 20.0, 1.5
TASTED_IN: dict[Aspect, str] = {"salt": "salt", "sweet": "sugar", "sour": "acid", "heat": "heat"}
NAMES = {"salt": "salt", "sugar": "sugar", "acid": "acid", "heat": "heat"}
MATTERING_SHARE = 0.05


@unchanging
class NextTimeAdvice:
    """One change: what it answers, in words with grams or hours, what it costs elsewhere, and the draft with it."""

    id: str
    says: str
    costs: tuple[str, ...]
    draft: Draft


def next_time(draft: Draft, verdicts: list[Verdict], kitchen: Kitchen, *, now: datetime) -> list[NextTimeAdvice]:
    """Changes that the verdicts ask for; none where all is just right."""
    plain = fresh(draft)
    judgement = judge(plain, kitchen, now=now)
    if judgement.mix is None:
        return []
    found = []
    for change in _changes(draft, plain, verdicts, judgement, kitchen, now):
        other = judge(change.draft, kitchen, now=now)
        found.append(replace(change, costs=_costs(judgement, other)))
    return found


def fresh(draft: Draft) -> Draft:
    """The same batch to be made again: nothing has happened to it yet, and no meal is said."""
    meal = replace(draft.meal, at="", start="", contact="", pulled="", early="", thaw_for="")
    mix = tuple(replace(line, locked="") for line in draft.mix)
    return replace(draft, meal=meal, mix=mix, hold=replace(draft.hold, readings=""))


def all_taken(draft: Draft, verdicts: list[Verdict], kitchen: Kitchen, *, now: datetime) -> tuple[Draft, list[str]]:
    """The next batch with every change in it, one after the other, and each in words."""
    plain, says = fresh(draft), []
    for aspect in (*TASTED_IN, "tenderness", "surface", "depth"):
        judgement = judge(plain, kitchen, now=now)
        if judgement.mix is None:
            break
        for change in _changes(draft, plain, verdicts, judgement, kitchen, now):
            if change.id == aspect:
                plain = change.draft
                says.append(change.says)
    return plain, says


def _changes(
    draft: Draft, plain: Draft, verdicts: list[Verdict], judgement: Judgement, kitchen: Kitchen, now: datetime
) -> Iterator[NextTimeAdvice]:
    for aspect, what in TASTED_IN.items():
        step = mean_step(verdicts, aspect)
        if step is None or abs(step) < MATTERS:
            continue
        if aspect == "salt" and judgement.reading.mix.salting.school == "strong_bath":
            yield _shorter_bath(plain, judgement, step)
            continue
        factor = math.exp(-SALT_STEP.value * step) if aspect == "salt" else 1 - A_STEP * step
        lines, told = _scaled(plain, judgement, what, factor)
        if told:
            way = "less" if factor < 1 else "more"
            words = f"{_capital(NAMES[what])}: {number_told(abs(factor - 1) * 100)} % {way}: {', '.join(told)}."
            yield NextTimeAdvice(aspect, words, (), replace(plain, mix=lines))
    held = as_held(judge(draft, kitchen, now=now))
    yield from _tenderness(plain, verdicts, judgement, held)
    yield from _surface(plain, verdicts, judgement)
    if held is not None and judgement.window is not None:
        for says in depth_advice(held, verdicts, judgement.window):
            yield NextTimeAdvice("depth", says, (), plain)


def _shorter_bath(plain: Draft, judgement: Judgement, step: float) -> NextTimeAdvice:
    """Salt of a bath that is left early, by its hours: its amounts stay."""
    was = judgement.reading.mix.salting.bath_s / 3600
    hours = bath_hours(was, math.exp(-SALT_STEP.value * step))
    words = f"Salt: {hours_told(hours)} in the bath instead of {hours_told(was)}."
    return NextTimeAdvice("salt", words, (), replace(plain, aims=replace(plain.aims, bath_time=f"{hours:g} h")))


def _surface(plain: Draft, verdicts: list[Verdict], judgement: Judgement) -> Iterator[NextTimeAdvice]:
    """Too dark: less of what browns, or less heat; too pale: drier before it meets the heat."""
    step = mean_step(verdicts, "surface")
    if step is None or abs(step) < MATTERS:
        return
    if step > 0:
        yield from _too_dark(plain, judgement, step)
        return
    drier = {"as_is": ("patted", "pat it dry"), "patted": ("wiped", "wipe it clean")}
    left = judgement.reading.fire.surface
    if left in drier:
        chosen, words = drier[left]
        fire = replace(plain.fire, surface=chosen)
        yield NextTimeAdvice(
            "surface", f"Paler than you like: {words} before it meets the heat.", (), replace(plain, fire=fire)
        )


def _too_dark(plain: Draft, judgement: Judgement, step: float) -> Iterator[NextTimeAdvice]:
    """Heat, distance, minutes or a later glaze first; only then less of what is sweet."""
    word = "Burned" if step >= BURNED_FROM else "Darker than you like"
    stages = judgement.reading.fire.stages
    hottest = max((stage for stage in stages if stage.heat_c is not None), key=lambda s: s.heat_c or 0.0, default=None)
    glaze = "or brush the sweet part on for the last minutes"
    if hottest is not None and hottest.heat_c is not None and len(stages) == len(plain.fire.stages):
        place = list(stages).index(hottest)
        cooler = f"{hottest.heat_c - COOLER_C * step:.0f} C"
        typed = tuple(
            replace(stage, heat=cooler) if number == place else stage for number, stage in enumerate(plain.fire.stages)
        )
        words = f"{word}: {cooler} instead of {hottest.heat_c:.0f} C, or further from the heat and shorter; {glaze}."
        yield NextTimeAdvice("surface", words, (), replace(plain, fire=replace(plain.fire, stages=typed)))
    else:
        words = f"{word}: less heat, further from it, or fewer minutes; {glaze}."
        yield NextTimeAdvice("surface", words, (), plain)
    lines, told = _scaled(plain, judgement, "sugar", 1 - A_STEP * step)
    if told:
        yield NextTimeAdvice("less-sugar", f"If that is not enough: {', '.join(told)}.", (), replace(plain, mix=lines))


def _scaled(plain: Draft, judgement: Judgement, what: str, factor: float) -> tuple[tuple[LineInput, ...], list[str]]:
    """The lines that bring most of a substance, in other amounts; and each in words."""
    shares = {portion.line_id: _amount(portion, what) for portion in judgement.reading.portions}
    total = sum(shares.values())
    bring = {line for line, amount in shares.items() if total > 0 and amount >= MATTERING_SHARE * total}
    by_id = {portion.line_id: portion for portion in judgement.reading.portions}
    lines, told = [], []
    for line in plain.mix:
        if line.id not in bring:
            lines.append(line)
            continue
        portion = by_id[line.id]
        text = weighed_text(portion.ingredient, portion.mass_kg.value * factor)
        told.append(f"{text} instead of {number_told(portion.mass_kg.value * 1000)} g")
        lines.append(replace(line, text=text))
    return tuple(lines), told


def _amount(portion: Portion, what: str) -> float:
    item, mass_kg = portion.ingredient, portion.mass_kg.value
    shares = {"salt": item.salt.value, "sugar": item.sugar.value, "acid": item.acid.value, "heat": item.heat_shu.value}
    return shares[what] * mass_kg


def _tenderness(
    plain: Draft, verdicts: list[Verdict], judgement: Judgement, held: AsHeld | None
) -> Iterator[NextTimeAdvice]:
    """Too soft with live fruit: less time, and boiled fruit; too firm: a little more of it, or nothing to be done."""
    step = mean_step(verdicts, "tenderness")
    if step is None or abs(step) < MATTERS:
        return
    fruit = judgement.balance.tenderiser if judgement.balance else None
    if step > 0 and fruit is not None:
        lines, told = _less_fruit(plain, judgement, 1 - SOFTER * step)
        hours = f" Or take it out after {hours_told(_softer_h(held, judgement, step))}." if held is not None else ""
        yield NextTimeAdvice(
            "tenderness", f"Softer than you like: {', '.join(told)}.{hours}", (), replace(plain, mix=lines)
        )
    elif step < 0 and fruit is not None:
        lines, told = _less_fruit(plain, judgement, 1 - SOFTER * step)
        yield NextTimeAdvice("tenderness", f"Firmer than you like: {', '.join(told)}.", (), replace(plain, mix=lines))


def _softer_h(held: AsHeld, judgement: Judgement, step: float) -> float:
    """Hours for next time: less than were held, and well within the hour at which it turns too soft."""
    hours = held.hours * (1 - SOFTER * step)
    window = judgement.window
    if window is None or window.latest.limit.basis != "enzyme":
        return hours
    return min(hours, WITHIN_LIMIT * window.safe_latest_h)


def _less_fruit(plain: Draft, judgement: Judgement, factor: float) -> tuple[tuple[LineInput, ...], list[str]]:
    lines, told = [], []
    by_id = {portion.line_id: portion for portion in judgement.reading.portions}
    for line in plain.mix:
        portion = by_id.get(line.id)
        if portion is None or portion.ingredient.enzyme is None:
            lines.append(line)
            continue
        text = weighed_text(portion.ingredient, portion.mass_kg.value * factor)
        told.append(f"{text} instead of {number_told(portion.mass_kg.value * 1000)} g")
        lines.append(replace(line, text=text))
    return tuple(lines), told


def _costs(before: Judgement, after: Judgement) -> tuple[str, ...]:
    """Other moves: each substance per kilogram of meat, and the window."""
    costs = []
    if before.balance is not None and after.balance is not None:
        for substance in ("salt", "sugar", "acid"):
            was, now = (one.total(substance).value * 1000 for one in (before.balance, after.balance))
            if number_told(was) != number_told(now):
                costs.append(f"{substance} {number_told(was)} to {number_told(now)} g/kg")
    if before.window is not None and after.window is not None:
        was_h, now_h = before.window.best.hours, after.window.best.hours
        if hours_told(was_h) != hours_told(now_h):
            costs.append(f"best {hours_told(was_h)} to {hours_told(now_h)}")
    return tuple(costs)


def _capital(text: str) -> str:
    return text[:1].upper() + text[1:]
