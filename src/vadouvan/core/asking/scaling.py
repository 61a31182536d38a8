"""Another size of the same batch: salt goes by weight of meat, the coat by its surface, a bath by the space.

So a mix is not multiplied: what the new cut needs is worked out anew, and the salt is brought to the
same target with that weight.
"""

from __future__ import annotations

from dataclasses import dataclass, replace
from datetime import datetime

from vadouvan.core.asking.amounts import CHANGED_FROM_KG, NewLine, board_of
from vadouvan.core.draft import CutSaid, Draft, LineSaid
from vadouvan.core.figure import number_told
from vadouvan.core.kitchen import Kitchen
from vadouvan.core.mix.measure import weighed_text
from vadouvan.core.mix.solver import Aim, solve
from vadouvan.core.mix_judgement import aims_of
from vadouvan.core.said.numbers import Spread

LEAST_OVER_NEED, MOST_OVER_NEED = 1.0, 1.25


@dataclass(frozen=True)
class Scaled:
    """The draft for the new cut, its changed lines, and the two factors in words."""

    draft: Draft
    lines: tuple[NewLine, ...]
    meat_factor: float
    mix_factor: float
    says: str


def scaled_to(draft: Draft, kitchen: Kitchen, *, now: datetime, cut: CutSaid) -> Scaled:
    """A draft with another cut and the amounts that go with it; raises InputError when either cannot be judged.

    Aromatics, fat and the rest keep their proportion to the mix; salt, sugar and acid keep theirs
    to the meat as far as the ingredients allow.
    """
    old = board_of(draft, kitchen, now=now)
    moved = replace(draft, cut=cut)
    new = board_of(moved, kitchen, now=now)
    made_kg, needed_kg = old.bowl.ready.mass_kg.value, old.bowl.need.mass_kg.value
    over = min(max((made_kg - old.bowl.set_aside_kg) / needed_kg, LEAST_OVER_NEED), MOST_OVER_NEED)
    meat_factor = new.cut.meat_kg / old.cut.meat_kg
    aside_kg = old.bowl.set_aside_kg * (1.0 if old.mix.set_aside.mass_kg is not None else meat_factor)
    total_kg = new.bowl.need.mass_kg.value * over + aside_kg
    mix_factor = total_kg / made_kg
    whole = [replace(portion, mass_kg=_times(portion.mass_kg, mix_factor)) for portion in old.bowl.whole]
    balance = old.bowl.balance
    aims = aims_of(new.mix, new.bowl, new.cut, new.hold, new.salt, {"salt"})
    share = 1 - aside_kg / total_kg
    values: dict[Aim, float] = {
        "salt": old.salt.settles_g_per_kg / 1000 if new.salt.settles else balance.total("salt").value,
        "total": total_kg + old.bowl.ready.boiled_off_kg * mix_factor,
    }
    values.update({"sugar": balance.total("sugar").value, "acid": balance.total("acid").value})
    served = replace(
        aims, meat_kg=new.cut.meat_kg / share, meat_water_kg=new.cut.water_kg / share, values=values,
        boiled_off_kg=old.bowl.ready.boiled_off_kg * mix_factor,
    )  # fmt: skip
    solution = solve(whole, served)
    lines = []
    for portion in old.bowl.whole:
        after = solution.amounts_kg[portion.line_id]
        same = abs(after - portion.mass_kg.value) < CHANGED_FROM_KG
        text = portion.text if same else weighed_text(portion.ingredient, after)
        lines.append(NewLine(portion.line_id, text, portion.mass_kg.value, after))
    words = {line.line_id: line.text for line in lines}
    mix = tuple(LineSaid(line.id, words.get(line.id, line.text), line.locked, line.lifted, line.first)
                for line in moved.mix)  # fmt: skip
    says = (
        f"Meat times {number_told(meat_factor)}, mix times {number_told(mix_factor)}: salt goes by weight, "
        f"the mix by what it takes to cover ({number_told(needed_kg * 1000)} g before, "
        f"{number_told(new.bowl.need.mass_kg.value * 1000)} g now)."
    )
    return Scaled(replace(moved, mix=mix), tuple(lines), meat_factor, mix_factor, says)


def _times(mass: Spread, factor: float) -> Spread:
    return Spread(mass.value * factor, mass.low * factor, mass.high * factor)
