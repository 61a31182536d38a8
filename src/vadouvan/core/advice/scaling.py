"""Another size of the same batch: salt goes by weight of meat, the coat by its surface, a bath by the space.

So a mix is not multiplied: what the new cut needs is worked out anew, and the salt is brought to the
same target with that weight.
"""

from __future__ import annotations

from dataclasses import dataclass, replace
from datetime import datetime

from vadouvan.core.advice.amounts import CHANGED_FROM_KG, Asked, NewLine, board_of, bounds_kg
from vadouvan.core.draft.typed import CutInput, Draft
from vadouvan.core.figure import number_told
from vadouvan.core.kitchen.kitchen import Kitchen
from vadouvan.core.measures.numbers import Interval
from vadouvan.core.mix.measure import weighed_text
from vadouvan.core.mix.solver import Aim, Aims, solve
from vadouvan.core.parsing.amount import Portion

LEAST_OVER_NEED, MOST_OVER_NEED = 1.0, 1.25


@dataclass(frozen=True)
class Scaled:
    """The draft for the new cut, its changed lines, and the two factors in words."""

    draft: Draft
    lines: tuple[NewLine, ...]
    meat_factor: float
    mix_factor: float
    says: str


def scaled_to(draft: Draft, kitchen: Kitchen, *, now: datetime, cut: CutInput) -> Scaled:
    """A draft with another cut and the amounts that go with it; raises InputError when either cannot be judged.

    Aromatics, fat and the rest keep their proportion to the mix; salt, sugar and acid keep theirs
    to the meat as far as the ingredients allow.
    """
    old, new = board_of(draft, kitchen, now=now), board_of(replace(draft, cut=cut), kitchen, now=now)
    total_kg, aside_kg = _mix_wanted_kg(old, new)
    mix_factor = total_kg / old.at_contact.ready.mass_kg.value
    whole = [replace(portion, mass_kg=_times(portion.mass_kg, mix_factor)) for portion in old.at_contact.whole]
    bounds = {portion.line_id: bounds_kg(portion, new.cut.meat_kg) for portion in whole}
    solution = solve(whole, _aims(old, new, total_kg, aside_kg, mix_factor), bounds_kg=bounds)
    lines = tuple(_line(portion, solution.amounts_kg[portion.line_id]) for portion in old.at_contact.whole)
    words = {line.line_id: line.text for line in lines}
    mix = tuple(replace(line, text=words.get(line.id, line.text)) for line in draft.mix)
    meat_factor = new.cut.meat_kg / old.cut.meat_kg
    before, after = (number_told(board.at_contact.need.mass_kg.value * 1000) for board in (old, new))
    says = (
        f"Meat times {number_told(meat_factor)}, mix times {number_told(mix_factor)}: salt goes by weight, "
        f"the mix by what it takes to cover ({before} g before, {after} g now)."
    )
    return Scaled(replace(draft, cut=cut, mix=mix), lines, meat_factor, mix_factor, says)


def _mix_wanted_kg(old: Asked, new: Asked) -> tuple[float, float]:
    """Ready mix for the new cut, as much over its need as before within reason, and the part of it set aside [kg]."""
    was = old.at_contact
    over = (was.ready.mass_kg.value - was.set_aside_kg) / was.need.mass_kg.value
    kept = min(max(over, LEAST_OVER_NEED), MOST_OVER_NEED)
    by_weight = old.mix.set_aside.mass_kg is not None
    aside_kg = was.set_aside_kg * (1.0 if by_weight else new.cut.meat_kg / old.cut.meat_kg)
    return new.at_contact.need.mass_kg.value * kept + aside_kg, aside_kg


def _aims(old: Asked, new: Asked, total_kg: float, aside_kg: float, mix_factor: float) -> Aims:
    """Salt, sugar and acid for a kilogram of meat as before, in so much mix."""
    balance, share = old.at_contact.balance, 1 - aside_kg / total_kg
    settled = old.salt.settles_g_per_kg / 1000
    lost_kg = old.at_contact.ready.boiled_off_kg + sum(portion.mass_kg.value for portion in old.at_contact.ready.lifted)
    values: dict[Aim, float] = {
        "salt": settled if new.salt.settles else balance.total("salt").value,
        "sugar": balance.total("sugar").value,
        "acid": balance.total("acid").value,
        "total": total_kg + lost_kg * mix_factor,
    }
    return Aims(
        meat_kg=new.cut.meat_kg / share,
        meat_water_kg=new.cut.water_kg / share,
        settles=new.salt.settles,
        values=values,
        boiled_off_kg=old.at_contact.ready.boiled_off_kg * mix_factor,
    )


def _line(portion: Portion, after_kg: float) -> NewLine:
    same = abs(after_kg - portion.mass_kg.value) < CHANGED_FROM_KG
    text = portion.text if same else weighed_text(portion.ingredient, after_kg)
    return NewLine(portion.line_id, text, portion.mass_kg.value, after_kg)


def _times(mass: Interval, factor: float) -> Interval:
    return Interval(mass.value * factor, mass.low * factor, mass.high * factor)
