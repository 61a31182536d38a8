"""Amounts that bring a mix to its aims, with the locked lines left alone."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import replace
from datetime import datetime

from vadouvan.core.contact.mix_at_contact import MixAtContact
from vadouvan.core.contact.mix_judgement import aims_of
from vadouvan.core.cut.cut import Cut
from vadouvan.core.draft.typed import Draft
from vadouvan.core.figure import number_told
from vadouvan.core.hold.hold import Hold
from vadouvan.core.interpretation.mix import MixInterpretation
from vadouvan.core.judgement.judge import judge
from vadouvan.core.kitchen.kitchen import Kitchen
from vadouvan.core.measures.numbers import Interval
from vadouvan.core.mix.measure import Measures, as_weighed_g, weighed_text
from vadouvan.core.mix.rounding import in_measures
from vadouvan.core.mix.solver import Aim, Aims, Reached, SolvedAmounts, reached_by, solve
from vadouvan.core.mix.span import SaltState
from vadouvan.core.parsing.amount import MOST_KG, Portion
from vadouvan.errors import InputError
from vadouvan.unchanging import unchanging

CHANGED_FROM_KG = 0.00005
LEAST_SHARE_LEFT, LEAST_LEFT_KG = 0.05, 0.0001
_UNITS: Mapping[Aim, str] = {
    "salt": "g/kg", "sugar": "g/kg", "acid": "g/kg", "heat": "SHU", "total": "g"
}  # fmt: skip


@unchanging
class NewLine:
    """A line with its new words and grams; unchanged ones keep their words."""

    line_id: str
    text: str
    before_kg: float
    after_kg: float


@unchanging
class AimReached:
    """One aim in the unit a cook reads: what was wanted, what these amounts bring, whether that is near enough."""

    aim: Aim
    wanted: float
    got: float
    unit: str
    is_met: bool

    @property
    def says(self) -> str:
        """In words, with the nearest that can be reached when it cannot be met."""
        got, wanted = number_told(self.got), number_told(self.wanted)
        if self.is_met:
            return f"{self.aim} {got} {self.unit}, as aimed"
        return f"{self.aim} {wanted} {self.unit} cannot be reached: {got} {self.unit} is the nearest"


@unchanging
class Amounts:
    """The answer: every line, and how each aim was met."""

    lines: tuple[NewLine, ...]
    reached: tuple[AimReached, ...]


@unchanging
class Asked:
    """Ground to ask about amounts: cut, hold, bowl and salt of a draft that can be judged."""

    cut: Cut
    hold: Hold
    at_contact: MixAtContact
    mix: MixInterpretation
    salt: SaltState


def board_of(draft: Draft, kitchen: Kitchen, *, now: datetime) -> Asked:
    """The board of a draft; raises InputError saying what to mend first."""
    judgement = judge(draft, kitchen, now=now)
    reading, mix = judgement.reading, judgement.mix
    if reading.cut is None or reading.hold is None or mix is None or mix.salt is None:
        if reading.problems:
            raise reading.problems[0].anew()
        accepted = "Describe the cut and write at least one ingredient first."
        raise InputError(field="draft", given="", wrong=judgement.sentence, accepted=accepted)
    for problem in reading.problems:
        if problem.field.startswith("mix"):
            raise problem.anew()
    return Asked(reading.cut, reading.hold, mix.at_contact, reading.mix, mix.salt)


def amounts_for(
    draft: Draft,
    kitchen: Kitchen,
    *,
    now: datetime,
    in_mix: Mapping[Aim, float] | None = None,
    cover: bool = False,
    measures: Measures = "scale",
) -> Amounts:
    """Amounts for the aims of a draft: its salt target, and sugar, acid and heat where they were said.

    ``in_mix`` asks for other contents per kg of meat instead [kg/kg], keeping the salt where it is
    unless it is named; ``cover`` also brings the mix to the weight the cut needs.
    Raises InputError when the draft cannot be judged or everything is locked.
    """
    board = board_of(draft, kitchen, now=now)
    if not any(portion.line_id not in board.mix.locked for portion in board.at_contact.whole):
        raise InputError(
            field="mix", given="", wrong="Every line is locked.", accepted="Unlock a line that may change."
        )
    aims = _aims(board, in_mix, cover)
    bounds = {portion.line_id: bounds_kg(portion, board.cut.meat_kg) for portion in board.at_contact.whole}
    solution = _solved(board, aims, bounds)
    portions = _portions(board, solution, aims, measures)
    amounts = {portion.line_id: portion.mass_kg.value for portion in portions}
    return Amounts(_lines(board, portions), _told(reached_by(portions, amounts, aims)))


def _aims(board: Asked, in_mix: Mapping[Aim, float] | None, cover: bool) -> Aims:
    which: set[Aim] = {"salt", "sugar", "acid", "heat", *(("total",) if cover else ())}
    aims = aims_of(board.mix, board.at_contact, board.cut, board.hold, board.salt, which)
    if not in_mix:
        return aims
    values: dict[Aim, float] = {"salt": board.at_contact.balance.total("salt").value, **in_mix}
    return replace(aims, settles=False, values=values)


def bounds_kg(portion: Portion, meat_kg: float) -> tuple[float, float]:
    """Least and most of a line [kg]: none vanishes; what is here for its smell stays within its usual dose.

    More than that stays only where there is more already.
    """
    now_kg = portion.mass_kg.value
    least = min(now_kg, max(LEAST_SHARE_LEFT * now_kg, LEAST_LEFT_KG))
    dose = portion.ingredient.dose_kg_per_kg
    if dose is None or not portion.ingredient.is_aroma:
        return least, MOST_KG
    return least, max(now_kg, dose.high * meat_kg)


def _solved(board: Asked, aims: Aims, bounds: Mapping[str, tuple[float, float]]) -> SolvedAmounts:
    """The solution; a weight set aside is a smaller share of a bigger mix, so the share is settled by repeating."""
    portions, fixed_aside = board.at_contact.whole, board.mix.set_aside.mass_kg is not None
    solution = solve(portions, aims, locked=board.mix.locked, bounds_kg=bounds)
    for _ in range(4 if fixed_aside and "total" not in aims.values else 0):
        made_kg = sum(solution.amounts_kg.values()) - board.at_contact.ready.boiled_off_kg
        share = max(0.05, 1 - board.at_contact.set_aside_kg / made_kg) if made_kg > 0 else board.at_contact.share
        served = replace(aims, meat_kg=board.cut.meat_kg / share, meat_water_kg=board.cut.water_kg / share)
        solution = solve(portions, served, locked=board.mix.locked, bounds_kg=bounds)
        aims = served
    return solution


def _portions(board: Asked, solution: SolvedAmounts, aims: Aims, measures: Measures) -> list[Portion]:
    if measures == "kitchen":
        return in_measures(board.at_contact.whole, solution, aims, locked=board.mix.locked)
    found = []
    for portion in board.at_contact.whole:
        mass_kg = solution.amounts_kg[portion.line_id]
        if abs(mass_kg - portion.mass_kg.value) < CHANGED_FROM_KG:
            found.append(portion)
        else:
            rounded = as_weighed_g(mass_kg) / 1000
            text = weighed_text(portion.ingredient, rounded)
            found.append(replace(portion, mass_kg=Interval.exactly(rounded), text=text))
    return found


def _lines(board: Asked, portions: list[Portion]) -> tuple[NewLine, ...]:
    return tuple(
        NewLine(new.line_id, new.text, old.mass_kg.value, new.mass_kg.value)
        for old, new in zip(board.at_contact.whole, portions, strict=True)
    )


def _told(reached: tuple[Reached, ...]) -> tuple[AimReached, ...]:
    factor = {"heat": 1.0}
    return tuple(
        AimReached(one.aim, one.wanted * factor.get(one.aim, 1000.0), one.got * factor.get(one.aim, 1000.0),
                   _UNITS[one.aim], one.is_met)
        for one in reached
    )  # fmt: skip
