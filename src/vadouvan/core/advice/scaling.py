"""Another size of the same batch: every amount goes with the mass of meat, so that each figure for a kilogram stays.

What the coat or the bath of the new shape needs is told beside it, with ways to get there: more of everything, or more
of what is neutral. Ratios of lines never change unasked.
"""

from __future__ import annotations

import re
from dataclasses import replace
from datetime import datetime
from typing import Literal

from vadouvan.core.advice.amounts import CHANGED_FROM_KG, Asked, NewLine, board_of
from vadouvan.core.draft.typed import CompanionInput, CutInput, Draft, LineInput
from vadouvan.core.figure import number_told
from vadouvan.core.interpretation.companions import Companion
from vadouvan.core.interpretation.draft import read_draft
from vadouvan.core.kitchen.kitchen import Kitchen
from vadouvan.core.measures.numbers import leading_number
from vadouvan.core.measures.units import VOLUME_M3, unit_word
from vadouvan.core.mix.measure import weighed_text
from vadouvan.core.pantry.ingredient import Ingredient
from vadouvan.core.parsing.amount import Portion
from vadouvan.core.parsing.rate import rate_in
from vadouvan.unchanging import unchanging

MoreId = Literal["everything", "neutral"]
# A line that seasons nothing may be made more without making it saltier, sourer or hotter.
NEUTRAL_GROUPS = frozenset({"fat", "dairy", "liquid"})
MOST_SALT_NEUTRAL, MOST_ACID_NEUTRAL = 0.005, 0.015
SENSIBLE_STEPS = (1.0, 0.5, 0.25)  # whole measures and halves read well; of spoons and cups quarters too
SAME_WITHIN = 0.01  # a count is kept as a count only if it loses no more than this
WORTH_TELLING = 0.1  # of what is needed


@unchanging
class More:
    """A way to have as much mix as the new shape needs, in words, with the texts of its lines."""

    id: MoreId
    says: str
    lines: tuple[NewLine, ...]


@unchanging
class Scaled:
    """The draft for the new cut, its lines, the factor in words, and ways to have more of the mix."""

    draft: Draft
    lines: tuple[NewLine, ...]
    meat_factor: float
    mix_factor: float
    says: str
    more: tuple[More, ...] = ()


def scaled_to(draft: Draft, kitchen: Kitchen, *, now: datetime, cut: CutInput) -> Scaled:
    """A draft with another cut and every amount times the meat; raises InputError when either cannot be judged."""
    old, new = board_of(draft, kitchen, now=now), board_of(replace(draft, cut=cut), kitchen, now=now)
    factor = new.cut.meat_kg / old.cut.meat_kg
    whole = old.at_contact.whole
    lines = tuple(_line(portion, factor) for portion in whole)
    made_kg, needed_kg = _on_the_meat_kg(old, factor), new.at_contact.need.mass_kg.value
    bath = " A bath keeps its strength: its salt goes with its water." if old.salt.settles else ""
    says = (
        f"Meat times {number_told(factor)}, every amount times {number_told(factor)}: each figure for a kilogram stays."
        f"{bath} {_coverage(made_kg, needed_kg)}"
    )
    beside = read_draft(draft, kitchen, now=now).companions
    changed = replace(draft, cut=cut, mix=_texts(draft, lines), companions=_beside(draft, beside, factor))
    return Scaled(changed, lines, factor, factor, says, _ways_to_more(whole, factor, made_kg, needed_kg))


def _on_the_meat_kg(old: Asked, factor: float) -> float:
    """Mix that meets the meat in the new size [kg]; a part set aside by weight stays what it was."""
    was = old.at_contact
    aside_kg = was.set_aside_kg * (1.0 if old.mix.set_aside.mass_kg is not None else factor)
    return max(0.0, was.ready.mass_kg.value * factor - aside_kg)


def _coverage(made_kg: float, needed_kg: float) -> str:
    made, needed = number_told(made_kg * 1000), number_told(needed_kg * 1000)
    if made_kg < (1 - WORTH_TELLING) * needed_kg:
        return f"It covers thinly: this shape takes about {needed} g, and {made} g are there."
    return f"This shape takes about {needed} g, and {made} g are there."


def _texts(draft: Draft, lines: tuple[NewLine, ...]) -> tuple[LineInput, ...]:
    words = {line.line_id: line.text for line in lines}
    return tuple(replace(line, text=words.get(line.id, line.text)) for line in draft.mix)


def _beside(draft: Draft, read: tuple[Companion, ...], factor: float) -> tuple[CompanionInput, ...]:
    """Scales what stands beside the marinade with the meat too; a line that could not be weighed stays as typed."""
    texts = {
        one.id: "\n".join(_line(line, factor).text if isinstance(line, Portion) else line.given for line in one.lines)
        for one in read
    }
    return tuple(replace(said, text=texts.get(said.id, said.text)) for said in draft.companions)


def _ways_to_more(whole: tuple[Portion, ...], factor: float, made_kg: float, needed_kg: float) -> tuple[More, ...]:
    """More of everything, or of what is neutral, where the new shape takes more than there is."""
    if made_kg <= 0 or made_kg >= (1 - WORTH_TELLING) * needed_kg:
        return ()
    times = needed_kg / made_kg
    everything = tuple(_line(portion, factor * times) for portion in whole)
    found = [More("everything", f"More of everything: times {number_told(times)}.", everything)]
    neutral = [portion for portion in whole if is_neutral(portion)]
    there_kg = sum(portion.mass_kg.value for portion in neutral) * factor
    if there_kg > 0:
        more = (there_kg + needed_kg - made_kg) / there_kg
        names = " and ".join(dict.fromkeys(portion.ingredient.also_called[0] for portion in neutral))
        lines = tuple(_line(portion, factor * (more if portion in neutral else 1.0)) for portion in whole)
        found.append(More("neutral", f"More {names} alone: times {number_told(more)}; the rest stays.", lines))
    return tuple(found)


def is_neutral(portion: Portion) -> bool:
    """Whether more of it makes a mix neither saltier nor sourer."""
    item = portion.ingredient
    return (
        item.group in NEUTRAL_GROUPS
        and item.salt.value <= MOST_SALT_NEUTRAL
        and item.acid.value <= MOST_ACID_NEUTRAL
        and item.enzyme is None
    )


def _line(portion: Portion, factor: float) -> NewLine:
    after_kg = portion.mass_kg.value * factor
    if abs(after_kg - portion.mass_kg.value) < CHANGED_FROM_KG:
        return NewLine(portion.line_id, portion.text, portion.mass_kg.value, after_kg)
    counted = _counted_text(portion.text, factor)
    return NewLine(
        portion.line_id, counted or _finely_weighed(portion.ingredient, after_kg), portion.mass_kg.value, after_kg
    )


def _finely_weighed(ingredient: Ingredient, mass_kg: float) -> str:
    """A line in grams to three figures: a spice scaled down keeps its ratio."""
    grams = mass_kg * 1000
    if grams >= 100:
        return weighed_text(ingredient, mass_kg)
    return f"{float(f'{grams:.3g}'):g} g {ingredient.also_called[0]}"


def _counted_text(text: str, factor: float) -> str:
    """A plain line with its number times the factor, where that is a whole measure, a half or a quarter.

    >>> _counted_text("3 cloves garlic", 2.0), _counted_text("1 tbsp soy sauce", 1.5), _counted_text("2 limes", 1.37)
    ('6 cloves garlic', '1.5 tbsp soy sauce', '')
    """
    found = leading_number(text)
    if (
        rate_in(text) is not None
        or found is None
        or found.number.low != found.number.high
        or re.search(r"[\d½¼¾⅓⅔]", found.rest)
    ):
        return ""
    wanted = found.number.value * factor
    word = re.match(r"[A-Za-z]+", found.rest)
    in_spoons = word is not None and unit_word(word.group()) in VOLUME_M3
    for step in SENSIBLE_STEPS if in_spoons else SENSIBLE_STEPS[:2]:
        nearest = round(wanted / step) * step
        if nearest > 0 and abs(nearest / wanted - 1) <= SAME_WITHIN:
            return f"{nearest:g} {found.rest.strip()}"
    return ""
