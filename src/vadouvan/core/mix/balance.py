"""The balance of a mix: salt, sugar, acid, fat, enzyme and aroma, in all and by ingredient."""

from __future__ import annotations

import math
from collections.abc import Callable, Sequence
from dataclasses import replace
from functools import cached_property, lru_cache
from typing import Literal

from vadouvan.core.measures.numbers import Interval
from vadouvan.core.mix.acidity import Solution, mixed, solution_ph
from vadouvan.core.mix.consistency import consistency_of
from vadouvan.core.pantry.ingredient import Ingredient
from vadouvan.core.parsing.amount import Portion
from vadouvan.unchanging import unchanging

Substance = Literal["salt", "sugar", "acid", "fat", "aroma"]
SUBSTANCES: tuple[Substance, ...] = ("salt", "sugar", "acid", "fat", "aroma")

_SHARE: dict[Substance, Callable[[Ingredient], Interval]] = {
    "salt": lambda item: item.salt,
    "sugar": lambda item: item.sugar,
    "acid": lambda item: item.acid,
    "fat": lambda item: Interval.exactly(item.fat),
    "aroma": lambda item: Interval.exactly(1.0 if item.is_aroma else 0.0),
}


@unchanging
class Contribution:
    """Share of one line in a substance, per kilogram of meat [kg/kg]."""

    line_id: str
    ingredient: str
    amount: Interval


@unchanging
class Film:
    """Water and acid that a rinse or soak left on the surface [kg]."""

    water_kg: float = 0.0
    acid_kg: float = 0.0

    def parts(self, substance: Substance, meat_kg: float) -> tuple[Contribution, ...]:
        """Share of the film in a substance, per kg of meat."""
        if substance != "acid" or self.acid_kg <= 0:
            return ()
        return (Contribution("rinse", "Acid rinse", Interval.exactly(self.acid_kg / meat_kg)),)


NO_FILM = Film()


@unchanging
class Tenderiser:
    """The ingredient that brings most of the live enzyme, and the enzyme."""

    name: str
    is_fruit: bool
    enzyme: str


@unchanging
class FirstStep:
    """The first contact, before the rest, on its own for so long [s]: its salt, water [kg] and enzyme."""

    salt_kg: float
    water_kg: float
    enzyme_units: float
    ph: float | None
    salt_per_water: float
    mass_kg: float
    contact_s: float


@unchanging
class Balance:
    """A mix against its meat. Masses in kg; ``parts`` in kg per kg of meat.

    ``enzyme_parts`` are strengths of the mix (neat fresh pineapple juice = 1), ``heat_parts`` Scoville
    units averaged over the weight of the meat; ``sodium_kg`` counts all sodium, not only salt;
    ``solution`` are the acids per kg of water outside the meat; ``paste_kg`` is what of it is fermented paste,
    ``runny`` how far it runs off by itself, from 0, a paste, to 1, a liquid.
    """

    meat_kg: float
    mass_kg: Interval
    water_kg: float
    parts: dict[Substance, tuple[Contribution, ...]]
    is_sour: bool
    enzyme_parts: tuple[Contribution, ...]
    tenderiser: Tenderiser | None
    heat_parts: tuple[Contribution, ...] = ()
    sodium_kg: float = 0.0
    undiluted: Solution | None = None
    solution: Solution | None = None
    first: FirstStep | None = None
    paste_kg: float = 0.0
    runny: float = 1.0

    def __hash__(self) -> int:
        """By its weights: few are alike in these and not in the rest."""
        return hash((self.meat_kg, self.mass_kg, self.water_kg))

    @cached_property
    def ph(self) -> float | None:
        """The pH of the mix's own water; nothing where nothing in it is sour."""
        return solution_ph(self.undiluted) if self.undiluted and self.is_sour else None

    def total(self, substance: Substance) -> Interval:
        """All of a substance per kg of meat; ends combined as independent errors."""
        return self._totals[substance]

    @cached_property
    def _totals(self) -> dict[Substance, Interval]:
        return {name: _summed([part.amount for part in parts]) for name, parts in self.parts.items()}

    @cached_property
    def enzyme_units(self) -> Interval:
        """Enzyme strength of the mix (neat fresh pineapple juice = 1)."""
        return _summed([part.amount for part in self.enzyme_parts])

    @cached_property
    def heat_shu(self) -> Interval:
        """Scoville units averaged over the weight of the meat."""
        return _summed([part.amount for part in self.heat_parts])

    @property
    def salt_kg(self) -> float:
        """Salt in the mix [kg]."""
        return self.total("salt").value * self.meat_kg

    def salted(self, factor: float) -> Balance:
        """The same mix with its salt multiplied."""
        parts = tuple(replace(part, amount=part.amount.times(Interval.exactly(factor))) for part in self.parts["salt"])
        return replace(self, parts={**self.parts, "salt": parts})

    @property
    def salt_per_water(self) -> float:
        """Strength of the mix's own water [kg salt per kg water]; infinite for a dry rub."""
        return self.salt_kg / self.water_kg if self.water_kg > 0 else math.inf


# What cures: miso, koji, lees. Chilli and bean pastes season, and so do sauces of them.
FERMENTED_PASTE = "fermented_paste"


def balance_of(
    portions: Sequence[Portion], meat_kg: float, film: Film = NO_FILM, boiled_off_kg: float = 0.0
) -> Balance:
    """The balance of these portions on so much meat [kg], with what rinsing left on it and boiling took away."""
    return _balance_of(tuple(portions), meat_kg, film, boiled_off_kg)


@lru_cache(maxsize=256)
def _balance_of(portions: tuple[Portion, ...], meat_kg: float, film: Film, boiled_off_kg: float) -> Balance:
    pairs = [(portion.ingredient, portion.mass_kg.value) for portion in portions]
    solution = mixed(pairs, boiled_off_kg)
    mass = _summed([portion.mass_kg for portion in portions])
    mass_kg = Interval(*(max(0.0, kg - boiled_off_kg) for kg in (mass.value, mass.low, mass.high)))
    sour = any(item.acid.value > 0 for item, _ in pairs)
    return Balance(
        meat_kg=meat_kg,
        mass_kg=mass_kg,
        water_kg=sum(item.water * kg for item, kg in pairs) + film.water_kg - boiled_off_kg,
        parts={name: _parts(portions, _SHARE[name], meat_kg) + film.parts(name, meat_kg) for name in SUBSTANCES},
        is_sour=sour,
        enzyme_parts=_enzyme_parts(portions, mass_kg.value),
        tenderiser=_tenderiser(portions),
        heat_parts=_parts(portions, lambda item: item.heat_shu, meat_kg),
        sodium_kg=sum(item.sodium * kg for item, kg in pairs),
        undiluted=solution,
        solution=_with_film(solution, portions, film, boiled_off_kg) if sour else None,
        paste_kg=sum(kg for item, kg in pairs if item.group == FERMENTED_PASTE),
        runny=consistency_of(portions).runny,
    )


def _with_film(
    solution: Solution | None, portions: Sequence[Portion], film: Film, boiled_off_kg: float
) -> Solution | None:
    """Acids per kg of all water outside the meat: what rinsing left there thins them."""
    if solution is None:
        return None
    mix_kg = sum(portion.ingredient.water * portion.mass_kg.value for portion in portions) - boiled_off_kg
    share = mix_kg / (mix_kg + film.water_kg)
    return Solution({name: amount * share for name, amount in solution.acids.items()}, solution.strong_ions * share)


def _parts(
    portions: Sequence[Portion], share: Callable[[Ingredient], Interval], meat_kg: float
) -> tuple[Contribution, ...]:
    shares = ((portion, share(portion.ingredient)) for portion in portions)
    return tuple(
        Contribution(portion.line_id, portion.ingredient.name, _product(portion.mass_kg, of_it, 1 / meat_kg))
        for portion, of_it in shares
        if of_it.value > 0
    )


def _product(mass_kg: Interval, share: Interval, factor: float) -> Interval:
    """Product of two uncertain numbers; their relative errors add as independent ones."""
    value = mass_kg.value * share.value * factor
    down = math.hypot(1 - mass_kg.low / mass_kg.value, 1 - share.low / share.value)
    up = math.hypot(mass_kg.high / mass_kg.value - 1, share.high / share.value - 1)
    return Interval(value, max(0.0, value * (1 - down)), value * (1 + up))


def _summed(amounts: Sequence[Interval]) -> Interval:
    """Sum of independent uncertain amounts."""
    value = sum(amount.value for amount in amounts)
    down = math.hypot(*(amount.value - amount.low for amount in amounts)) if amounts else 0.0
    up = math.hypot(*(amount.high - amount.value for amount in amounts)) if amounts else 0.0
    return Interval(value, max(0.0, value - down), value + up)


def _enzyme_parts(portions: Sequence[Portion], mix_kg: float) -> tuple[Contribution, ...]:
    """Enzyme strength of the mix by line (neat fresh pineapple juice = 1)."""
    if mix_kg <= 0:
        return ()
    return tuple(
        Contribution(p.line_id, p.ingredient.name, _product(p.mass_kg, p.ingredient.enzyme.strength, 1 / mix_kg))
        for p in portions
        if p.ingredient.enzyme
    )


def _tenderiser(portions: Sequence[Portion]) -> Tenderiser | None:
    work = [
        (p.mass_kg.value * p.ingredient.enzyme.strength.value, p.ingredient) for p in portions if p.ingredient.enzyme
    ]
    if not work:
        return None
    _, item = max(work, key=lambda pair: pair[0])
    return Tenderiser(item.also_called[0], item.group == "enzyme_fruit", item.enzyme.name if item.enzyme else "")
