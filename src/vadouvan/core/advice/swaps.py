"""One ingredient for another at equal salt, acid, sugar, heat, fat, alcohol or enzyme, or by known weight.

The table says what can stand in for what and keeps which quantity; the amounts are worked out
here from the make-up of both, so that a swap keeps exactly what it says it keeps.
"""

from __future__ import annotations

from collections.abc import Callable, Iterable, Iterator, Mapping, Sequence

from vadouvan.core.advice.corrections import CorrectionEffect
from vadouvan.core.figure import number_told
from vadouvan.core.measures.numbers import Interval
from vadouvan.core.mix.balance import SUBSTANCES, Film, balance_of
from vadouvan.core.mix.measure import weighed_text
from vadouvan.core.pantry.ingredient import Ingredient
from vadouvan.core.pantry.swap import Rule, Swap
from vadouvan.core.parsing.amount import MOST_KG, Portion
from vadouvan.unchanging import unchanging

KEPT: Mapping[Rule, Callable[[Ingredient], float]] = {
    "equal_salt": lambda item: item.salt.value,
    "equal_acid": lambda item: item.titratable,
    "equal_sugar": lambda item: item.sugar.value,
    "equal_heat": lambda item: item.heat_shu.value,
    "equal_fat": lambda item: item.fat,
    "equal_alcohol": lambda item: item.alcohol,
    "equal_enzyme": lambda item: item.enzyme.strength.value if item.enzyme else 0.0,
    "by_weight": lambda _item: 1.0,
}
_CARRIES: Mapping[Rule, float] = {"equal_salt": 0.02, "equal_acid": 0.03, "equal_sugar": 0.15, "equal_heat": 300.0}
MOST_TIMES_THE_WEIGHT = 4.0  # of one that nobody has tried, worked out from make-up alone


@unchanging
class SwapOffer:
    """A swap worked out for one line: the lines that replace it, and what that brings with it.

    ``gains`` and ``loses`` are allergens by name, ``check`` those to read the label for.
    """

    id: str
    rule: Rule
    texts: tuple[str, ...]
    says: str
    effects: tuple[CorrectionEffect, ...]
    gains: tuple[str, ...]
    loses: tuple[str, ...]
    check: tuple[str, ...]
    enzyme_says: str
    note: str
    confidence: str


@unchanging
class MixToSwapIn:
    """The mix that a line stands in, and the meat it is for."""

    portions: tuple[Portion, ...]
    meat_kg: float
    film: Film


def swaps_for(
    portion: Portion,
    at_contact: MixToSwapIn,
    table: Sequence[Swap],
    items: Mapping[str, Ingredient],
    without: frozenset[str] = frozenset(),
) -> list[SwapOffer]:
    """Stand-ins for a line, known swaps first, then others of its kind; none that holds an allergen of
    ``without``, named or possible.
    """
    known = [_worked_out(portion, swap, at_contact, items) for swap in table if swap.swap_from == portion.ingredient.id]
    named = {offer.id for offer in known if offer}
    others = (
        _worked_out(portion, swap, at_contact, items) for swap in _of_its_kind(portion.ingredient, items.values())
    )
    found = [*known, *(offer for offer in others if offer and offer.id not in named)]
    return [offer for offer in found if offer and not _holds(offer, portion, without)]


def equalised(
    item: Ingredient, parts: Sequence[tuple[Ingredient, float]], rule: Rule
) -> list[tuple[Ingredient, float]]:
    """Parts scaled to keep the rule's quantity of one kg of ``item``; empty if they hold none of it."""
    kept = KEPT[rule]
    held = sum(kept(part) * ratio for part, ratio in parts)
    if rule == "by_weight":
        return list(parts)
    return [(part, ratio * kept(item) / held) for part, ratio in parts] if held > 0 and kept(item) > 0 else []


def _worked_out(
    portion: Portion, swap: Swap, at_contact: MixToSwapIn, items: Mapping[str, Ingredient]
) -> SwapOffer | None:
    parts = [(items[name], ratio) for name, ratio in swap.parts if name in items]
    if len(parts) != len(swap.parts):
        return None
    ratios = equalised(portion.ingredient, parts, swap.rule)
    new = tuple(
        Portion(f"{portion.line_id}.{index}", "", item, _scaled(portion.mass_kg, ratio), guessed=portion.guessed)
        for index, (item, ratio) in enumerate(ratios)
    )
    if not new or any(part.mass_kg.value > MOST_KG or part.mass_kg.value < 1e-5 for part in new):
        return None
    texts = tuple(weighed_text(part.ingredient, part.mass_kg.value) for part in new)
    old_names, new_names = set(portion.ingredient.allergens), {n for part in new for n in part.ingredient.allergens}
    check = {n for part in new for n in part.ingredient.allergens_to_check} - new_names
    return SwapOffer(
        id=swap.id,
        rule=swap.rule,
        texts=texts,
        says=" and ".join(texts),
        effects=_effects(portion, new, at_contact),
        gains=tuple(sorted(new_names - old_names)),
        loses=tuple(sorted(old_names - new_names - check)),
        check=tuple(sorted(check)),
        enzyme_says=_enzyme_says(portion, new),
        note="; ".join(filter(None, (swap.note, swap.also))),
        confidence=swap.confidence,
    )


def _scaled(mass: Interval, ratio: float) -> Interval:
    return Interval(mass.value * ratio, mass.low * ratio, mass.high * ratio)


def _of_its_kind(item: Ingredient, items: Iterable[Ingredient]) -> Iterator[Swap]:
    """Others of the same group that carry what this one carries most of."""
    rule = next((rule for rule, least in _CARRIES.items() if KEPT[rule](item) >= least), None)
    if rule is None:
        return
    for other in items:
        alike = other.id != item.id and other.group == item.group
        if alike and KEPT[rule](other) * MOST_TIMES_THE_WEIGHT >= KEPT[rule](item):
            note = "worked out from make-up alone: taste it"
            yield Swap(f"{item.id}__{other.id}", item.id, ((other.id, 1.0),), rule, note, "", "arithmetic", "low")


def _holds(offer: SwapOffer, portion: Portion, without: frozenset[str]) -> bool:
    kept = set(portion.ingredient.allergens) - set(offer.loses)
    return bool(without & (kept | set(offer.gains) | set(offer.check)))


def _effects(portion: Portion, new: Sequence[Portion], at_contact: MixToSwapIn) -> tuple[CorrectionEffect, ...]:
    after = [other for other in at_contact.portions if other.line_id != portion.line_id] + list(new)
    old, now = (balance_of(portions, at_contact.meat_kg, at_contact.film) for portions in (at_contact.portions, after))
    moved = [CorrectionEffect(n, old.total(n).value * 1000, now.total(n).value * 1000, "g/kg") for n in SUBSTANCES]
    moved.append(CorrectionEffect("mix", old.mass_kg.value * 1000, now.mass_kg.value * 1000, "g"))
    return tuple(effect for effect in moved if effect.shows)


def _enzyme_says(portion: Portion, new: Sequence[Portion]) -> str:
    """Fate of a live enzyme."""
    had = _units(portion)
    has = sum(_units(part) for part in new)
    if had == has == 0:
        return ""
    if has == 0:
        return "No live enzyme left: nothing softens, and it may stay longer."
    if had == 0:
        names = ", ".join(part.ingredient.also_called[0] for part in new if part.ingredient.enzyme)
        return f"Brings a live enzyme ({names}): it softens the surface, so the hold gets shorter."
    return f"{number_told(has / had)} times the enzyme: the hold changes with it."


def _units(portion: Portion) -> float:
    enzyme = portion.ingredient.enzyme
    return enzyme.strength.value * portion.mass_kg.value if enzyme else 0.0
