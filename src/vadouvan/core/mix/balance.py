"""The balance of a mix: salt, sugar, acid, fat, enzyme and aroma, in all and by ingredient."""

from __future__ import annotations

import math
from collections.abc import Callable, Sequence
from dataclasses import dataclass
from typing import Literal

from vadouvan.core.figure import Figure, Given, Working
from vadouvan.core.mix.acidity import PH_BAND, mixed, solution_ph
from vadouvan.core.mix.amount import Portion
from vadouvan.core.mix.ingredient import Ingredient
from vadouvan.core.said.numbers import Spread

Substance = Literal["salt", "sugar", "acid", "fat", "aroma"]
SUBSTANCES: tuple[Substance, ...] = ("salt", "sugar", "acid", "fat", "aroma")

_SHARE: dict[Substance, Callable[[Ingredient], Spread]] = {
    "salt": lambda item: item.salt,
    "sugar": lambda item: item.sugar,
    "acid": lambda item: item.acid,
    "fat": lambda item: Spread.exactly(item.fat),
    "aroma": lambda item: Spread.exactly(1.0 if item.is_aroma else 0.0),
}


@dataclass(frozen=True)
class Contribution:
    """What one line adds of a substance, per kilogram of meat [kg/kg]."""

    line_id: str
    ingredient: str
    amount: Spread


@dataclass(frozen=True)
class Film:
    """Water and acid that a rinse or soak left on the surface [kg]."""

    water_kg: float = 0.0
    acid_kg: float = 0.0

    def parts(self, substance: Substance, meat_kg: float) -> tuple[Contribution, ...]:
        """What the film adds of a substance, per kg of meat."""
        if substance != "acid" or self.acid_kg <= 0:
            return ()
        return (Contribution("rinse", "Acid rinse", Spread.exactly(self.acid_kg / meat_kg)),)


NO_FILM = Film()


@dataclass(frozen=True)
class Tenderiser:
    """The ingredient that brings most of the live enzyme."""

    name: str
    is_fruit: bool


@dataclass(frozen=True)
class Balance:
    """A mix against its meat. Masses in kg; ``parts`` in kg per kg of meat."""

    meat_kg: float
    mass_kg: Spread
    water_kg: float
    parts: dict[Substance, tuple[Contribution, ...]]
    ph: float | None
    enzyme_units: Spread
    tenderiser: Tenderiser | None

    def total(self, substance: Substance) -> Spread:
        """All of a substance per kg of meat; ends combined as independent errors."""
        return _summed([part.amount for part in self.parts[substance]])

    @property
    def salt_kg(self) -> float:
        """Salt in the mix [kg]."""
        return self.total("salt").value * self.meat_kg

    @property
    def salt_per_water(self) -> float:
        """Strength of the mix's own water [kg salt per kg water]; infinite for a dry rub."""
        return self.salt_kg / self.water_kg if self.water_kg > 0 else math.inf


def balance_of(portions: Sequence[Portion], meat_kg: float, film: Film = NO_FILM) -> Balance:
    """The balance of these portions on so much meat [kg], with what rinsing left on it."""
    pairs = [(portion.ingredient, portion.mass_kg.value) for portion in portions]
    solution = mixed(pairs)
    mass_kg = _summed([portion.mass_kg for portion in portions])
    sour = any(item.acid.value > 0 for item, _ in pairs)
    return Balance(
        meat_kg=meat_kg,
        mass_kg=mass_kg,
        water_kg=sum(item.water * kg for item, kg in pairs) + film.water_kg,
        parts={name: _parts(portions, _SHARE[name], meat_kg) + film.parts(name, meat_kg) for name in SUBSTANCES},
        ph=solution_ph(solution) if solution and sour else None,
        enzyme_units=_enzyme_units(portions, mass_kg.value),
        tenderiser=_tenderiser(portions),
    )


def _parts(
    portions: Sequence[Portion], share: Callable[[Ingredient], Spread], meat_kg: float
) -> tuple[Contribution, ...]:
    return tuple(
        Contribution(
            portion.line_id, portion.ingredient.name, _product(portion.mass_kg, share(portion.ingredient), 1 / meat_kg)
        )
        for portion in portions
        if share(portion.ingredient).value > 0
    )


def _product(mass_kg: Spread, share: Spread, factor: float) -> Spread:
    """Product of two uncertain numbers; their relative errors add as independent ones."""
    value = mass_kg.value * share.value * factor
    down = math.hypot(1 - mass_kg.low / mass_kg.value, 1 - share.low / share.value)
    up = math.hypot(mass_kg.high / mass_kg.value - 1, share.high / share.value - 1)
    return Spread(value, max(0.0, value * (1 - down)), value * (1 + up))


def _summed(amounts: Sequence[Spread]) -> Spread:
    """Sum of independent uncertain amounts."""
    value = sum(amount.value for amount in amounts)
    down = math.hypot(*(amount.value - amount.low for amount in amounts)) if amounts else 0.0
    up = math.hypot(*(amount.high - amount.value for amount in amounts)) if amounts else 0.0
    return Spread(value, max(0.0, value - down), value + up)


def _enzyme_units(portions: Sequence[Portion], mix_kg: float) -> Spread:
    """Enzyme strength of the mix (neat fresh pineapple juice = 1)."""
    live = [portion for portion in portions if portion.ingredient.enzyme]
    if not live or mix_kg <= 0:
        return Spread.exactly(0.0)
    units = [_product(p.mass_kg, p.ingredient.enzyme.strength, 1 / mix_kg) for p in live if p.ingredient.enzyme]
    return _summed(units)


def _tenderiser(portions: Sequence[Portion]) -> Tenderiser | None:
    work = [
        (p.mass_kg.value * p.ingredient.enzyme.strength.value, p.ingredient) for p in portions if p.ingredient.enzyme
    ]
    if not work:
        return None
    _, item = max(work, key=lambda pair: pair[0])
    return Tenderiser(item.also_called[0], item.group == "enzyme_fruit")


def per_kg_figure(balance: Balance, substance: Substance) -> Figure:
    """A substance per kg of meat [g/kg], with its working."""
    total = balance.total(substance)
    inputs = tuple(Given(part.ingredient, part.amount.value * 1000, "g/kg") for part in balance.parts[substance])
    rule = (
        f"Grams of each ingredient times its share of {substance}, added up, over the kilograms of meat without bone."
    )
    return Figure(
        name=f"{substance}_g_per_kg",
        value=total.value * 1000,
        unit="g/kg",
        working=Working(
            rule, (*inputs, Given("meat without bone", balance.meat_kg * 1000, "g")), ("fdc", "label", "memory")
        ),
        low=total.low * 1000,
        high=total.high * 1000,
    )


def ph_figure(balance: Balance) -> Figure | None:
    """Estimated pH of the mix's water, with a band; nothing for a mix without acid or water."""
    if balance.ph is None:
        return None
    rule = "pH at which all acids, and the minerals that each ingredient's own pH implies, balance in the mix's water."
    inputs = (
        Given("acid", balance.total("acid").value * 1000, "g/kg"),
        Given("water in the mix", balance.water_kg * 1000, "g"),
    )
    return Figure(
        "ph",
        balance.ph,
        "pH",
        Working(rule, inputs, ("handbook_pka", "citrus", "memory")),
        balance.ph - PH_BAND,
        balance.ph + PH_BAND,
    )
