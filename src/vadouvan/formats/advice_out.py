"""Answers to questions about a mix, for programs and for the page: amounts, corrections, swaps, another size."""

from __future__ import annotations

from vadouvan.core.advice.amounts import Amounts, NewLine
from vadouvan.core.advice.corrections import Correction, CorrectionEffect
from vadouvan.core.advice.scaling import MoreId, Scaled
from vadouvan.core.advice.swaps import SwapOffer
from vadouvan.core.draft.typed import CompanionInput
from vadouvan.core.figure import number_told
from vadouvan.core.mix.measure import weighed_parts
from vadouvan.core.mix.solver import Aim
from vadouvan.unchanging import unchanging


@unchanging(kw_only=True)
class NewLineOut:
    """A line with its new words; unchanged ones keep theirs."""

    line_id: str
    text: str
    grams_before: float
    grams_after: float
    changed: bool


@unchanging(kw_only=True)
class AimReachedOut:
    """One aim, and what these amounts bring of it."""

    aim: Aim
    wanted: float
    got: float
    unit: str
    met: bool
    says: str


@unchanging(kw_only=True)
class AmountsOut:
    """Amounts that reach the aims, or come as near as they can."""

    lines: list[NewLineOut]
    reached: list[AimReachedOut]


@unchanging(kw_only=True)
class ChangeOut:
    """Change of a substance, the mix or its saltiness."""

    what: str
    before: float
    after: float
    unit: str
    says: str


@unchanging(kw_only=True)
class CorrectionOut:
    """A possible addition; ``text`` is its line, empty when nothing is added, with its grams and its name.

    ``basis``: exact or thumb.
    """

    id: str
    text: str
    mass_g: float | None
    words: str
    says: str
    basis: str
    effects: list[ChangeOut]


@unchanging(kw_only=True)
class SwapOut:
    """Stand-in for a line, with what it brings."""

    id: str
    keeps: str
    texts: list[str]
    says: str
    effects: list[ChangeOut]
    gains: list[str]
    loses: list[str]
    check: list[str]
    enzyme_says: str
    note: str
    confidence: str


@unchanging(kw_only=True)
class MoreOut:
    """A way to have as much mix as the new shape takes."""

    id: MoreId
    says: str
    lines: list[NewLineOut]


@unchanging(kw_only=True)
class ScaledOut:
    """The amounts for another cut, beside the mix too, the factor in words, and ways to have more of the mix."""

    lines: list[NewLineOut]
    companions: list[CompanionInput]
    meat_factor: float
    mix_factor: float
    says: str
    more: list[MoreOut]


def amounts_out(amounts: Amounts) -> AmountsOut:
    """Amounts as data."""
    reached = [
        AimReachedOut(aim=one.aim, wanted=one.wanted, got=one.got, unit=one.unit, met=one.is_met, says=one.says)
        for one in amounts.reached
    ]
    return AmountsOut(lines=[_line(line) for line in amounts.lines], reached=reached)


def correction_out(correction: Correction) -> CorrectionOut:
    """A correction as data."""
    parts = weighed_parts(correction.text)
    return CorrectionOut(
        id=correction.id,
        text=correction.text,
        mass_g=parts[0] if parts else None,
        words=parts[1] if parts else "",
        says=correction.says,
        basis=correction.basis,
        effects=[_effect(effect) for effect in correction.effects],
    )


def swap_out(offer: SwapOffer) -> SwapOut:
    """A swap as data."""
    return SwapOut(
        id=offer.id,
        keeps=offer.rule.removeprefix("equal_").replace("by_weight", "weight"),
        texts=list(offer.texts),
        says=offer.says,
        effects=[_effect(effect) for effect in offer.effects],
        gains=list(offer.gains),
        loses=list(offer.loses),
        check=list(offer.check),
        enzyme_says=offer.enzyme_says,
        note=offer.note,
        confidence=offer.confidence,
    )


def scaled_out(scaled: Scaled) -> ScaledOut:
    """Another size as data."""
    return ScaledOut(
        lines=[_line(line) for line in scaled.lines],
        companions=list(scaled.draft.companions),
        meat_factor=scaled.meat_factor,
        mix_factor=scaled.mix_factor,
        says=scaled.says,
        more=[MoreOut(id=one.id, says=one.says, lines=[_line(line) for line in one.lines]) for one in scaled.more],
    )


def _line(line: NewLine) -> NewLineOut:
    before, after = line.before_kg * 1000, line.after_kg * 1000
    return NewLineOut(
        line_id=line.line_id,
        text=line.text,
        grams_before=before,
        grams_after=after,
        changed=number_told(before) != number_told(after),
    )


def _effect(effect: CorrectionEffect) -> ChangeOut:
    return ChangeOut(what=effect.what, before=effect.before, after=effect.after, unit=effect.unit, says=effect.says)
