"""Lines to weigh: each line with its grams, how near is near enough, its bowl and its spoon."""

from __future__ import annotations

from collections.abc import Sequence
from typing import Literal

from vadouvan.core.constants import SALT_TARGET_KG_PER_KG
from vadouvan.core.judgement.judgement import Judgement
from vadouvan.core.mix.measure import in_spoons
from vadouvan.core.pantry.ingredient import Ingredient
from vadouvan.core.parsing.amount import Portion
from vadouvan.core.weighing.event import beside_id
from vadouvan.core.weighing.state import WeighState
from vadouvan.unchanging import unchanging

WhichBowl = Literal["main", "first"]
State = Literal["open", "short", "within", "over", "skipped", "left out"]

# What an error in one line may do, per kg of meat (our calibration; range half to double)
MAY_MOVE = {"salt": 0.02 * SALT_TARGET_KG_PER_KG.value, "acid": 0.0002, "sugar": 0.001}
MAY_MISS_HOT, MAY_MISS_SOFT, MAY_MISS = 0.05, 0.05, 0.15
LEAST_KG = 0.0005  # half a gram: what a kitchen scale can show


@unchanging
class LineToWeigh:
    """One line at the scale: target and tolerance [kg], what the tolerance guards, its bowl, the same by the spoon."""

    id: str
    name: str
    words: str
    mass_kg: float
    tolerance_kg: float
    guards: str
    bowl: WhichBowl
    spoon: str

    def state(self, record: WeighState) -> State:
        """Where it stands."""
        if self.id in record.left_out:
            return "left out"
        weighed = record.weighed_kg(self.id)
        if not record.tares.get(self.id):
            return "skipped" if self.id in record.skipped else "open"
        enough, too_much = self.enough_kg
        if weighed > too_much:
            return "over"
        return "short" if weighed < enough else "within"

    @property
    def enough_kg(self) -> tuple[float, float]:
        """From which weight it is enough, and up to which it is not too much [kg]."""
        return self.mass_kg - self.tolerance_kg, self.mass_kg + self.tolerance_kg


def lines_to_weigh(judgement: Judgement) -> tuple[LineToWeigh, ...]:
    """Every line of a mix, the first step's before the others; empty while the mix cannot be weighed."""
    cut, mix = judgement.reading.cut, judgement.reading.mix
    if cut is None:
        return ()
    lines = [_line(portion, cut.meat_kg, portion.line_id in mix.first) for portion in mix.portions]
    return tuple(sorted(lines, key=lambda line: line.bowl != "first"))


def _line(portion: Portion, meat_kg: float, first: bool) -> LineToWeigh:
    tolerance_kg, guards = tolerance(portion.ingredient, portion.mass_kg.value, meat_kg)
    return LineToWeigh(
        id=portion.line_id,
        name=portion.ingredient.also_called[0],
        words=portion.text.strip(),
        mass_kg=portion.mass_kg.value,
        tolerance_kg=tolerance_kg,
        guards=guards,
        bowl="first" if first else "main",
        spoon=in_spoons(portion.ingredient, portion.mass_kg.value),
    )


def tolerance(item: Ingredient, mass_kg: float, meat_kg: float) -> tuple[float, str]:
    """How far a line may be off [kg], and what that guards: what it does to the balance decides, not its weight.

    Two grams of salt matter, two grams of oil do not.
    """
    shares = {"salt": item.salt.value, "acid": item.acid.value, "sugar": item.sugar.value}
    limits = [(MAY_MOVE[name] * meat_kg / share, name) for name, share in shares.items() if share > 0]
    if item.heat_shu.value > 0:
        limits.append((MAY_MISS_HOT * mass_kg, "heat"))
    if item.enzyme is not None:
        limits.append((MAY_MISS_SOFT * mass_kg, "enzyme"))
    limits.append((MAY_MISS * mass_kg, "quantity"))
    least, guards = min(limits)
    return max(least, LEAST_KG), guards


@unchanging
class LineBeside:
    """A line of a glaze, a dip, a sauce, to be weighed as well: planned mass [kg]."""

    id: str
    name: str
    mass_kg: float


def lines_beside(judgement: Judgement) -> tuple[LineBeside, ...]:
    """All that stands beside the mix, line by line."""
    return tuple(
        LineBeside(beside_id(one.id, number), portion.ingredient.also_called[0], portion.mass_kg.value)
        for one in judgement.reading.companions
        for number, portion in enumerate(one.portions)
    )


def next_line(lines: Sequence[LineToWeigh], record: WeighState) -> LineToWeigh | None:
    """The line that is asked for: the first open one, then those that were skipped."""
    for wanted in ("open", "skipped"):
        found = next((line for line in lines if line.state(record) == wanted), None)
        if found is not None:
            return found
    return None
