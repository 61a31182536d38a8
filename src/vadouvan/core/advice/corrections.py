"""After tasting: what could be added, in grams, and what each addition does to everything else.

Dilution is exact mass balance. Masking (sweet over salt, sour or hot; sour over sweet) is a rule of
thumb, offered only while the excess is small. Acid makes a salty mix seem brighter but takes no salt
away, so it is not offered against salt.
"""

from __future__ import annotations

from collections.abc import Callable, Iterator, Sequence
from typing import Literal

from vadouvan.core.constants import (
    PAN_BOILS_OFF_KG_PER_S,
    SODA_KG_PER_MOL,
    SOUR_HIDES_SWEET,
    SOUR_REFERENCE_KG_PER_KG,
    SWEET_HIDES_HEAT,
    SWEET_HIDES_SALT,
    SWEET_HIDES_SOUR,
    SWEET_REFERENCE_KG_PER_KG,
    Constant,
)
from vadouvan.core.figure import hours_told, number_told
from vadouvan.core.measures.numbers import Interval
from vadouvan.core.mix.balance import SUBSTANCES, Film, balance_of
from vadouvan.core.mix.measure import weighed_text
from vadouvan.core.pantry.ingredient import Ingredient
from vadouvan.core.pantry.pantry import Pantry
from vadouvan.core.parsing.amount import MOST_KG, Portion
from vadouvan.unchanging import unchanging

Taste = Literal["too_salty", "too_sweet", "too_sour", "too_hot", "too_thick", "too_thin"]
Degree = Literal["a_little", "clearly", "far"]

TIMES_TOO_MUCH: dict[Degree, float] = {"a_little": 1.1, "clearly": 1.25, "far": 1.5}
WATER_STEP: dict[Degree, float] = {"a_little": 0.05, "clearly": 0.12, "far": 0.25}
DILUTERS = ("water", "oil_neutral", "yoghurt", "coconut_milk", "stock_unsalted", "onion", "orange_juice", "apple_juice")
LOOSENERS = ("water", "oil_neutral", "stock_unsalted", "lemon_juice", "vinegar_cider", "milk_whole")
THICKENERS = ("yoghurt_strained", "tomato_paste", "onion", "tahini", "cornflour")
SWEETENERS = ("sugar_white", "honey")
SOURS = ("lemon_juice", "vinegar_cider")
MOST_OF_A_MASK = {"too_salty": 0.10, "too_sour": 0.25, "too_sweet": 0.15, "too_hot": 0.20}
MOST_TIMES_THE_MIX = 1.0
MOST_STARCH = 0.04
STARCH_TO_WATER = 0.2
LESS_WATER = 0.6
_TASTED: dict[Taste, Callable[[Ingredient], float]] = {
    "too_salty": lambda item: item.salt.value,
    "too_sweet": lambda item: item.sugar.value,
    "too_sour": lambda item: item.acid.value,
    "too_hot": lambda item: item.heat_shu.value,
}


@unchanging
class CorrectionEffect:
    """Change of a substance (or of ``heat``, ``mass``): before and after, in the unit told."""

    what: str
    before: float
    after: float
    unit: str

    @property
    def shows(self) -> bool:
        """Whether the change is large enough to be seen in the words."""
        return number_told(self.before) != number_told(self.after)

    @property
    def says(self) -> str:
        """In words: "salt 15 to 12 g/kg"."""
        return f"{self.what} {number_told(self.before)} to {number_told(self.after)} {self.unit}"


@unchanging
class Correction:
    """One addition: its line, what it is for in words, what it does to each substance and the quantity.

    ``text`` is empty when nothing is added (more meat, boiling off). ``basis`` is ``exact`` or ``thumb``.
    """

    id: str
    text: str
    says: str
    basis: Literal["exact", "thumb"]
    effects: tuple[CorrectionEffect, ...]


def corrections(
    portions: Sequence[Portion], meat_kg: float, film: Film, taste: Taste, degree: Degree, pantry: Pantry
) -> list[Correction]:
    """Possible additions against a fault, those already in the mix first; none for an empty mix."""
    if not portions:
        return []
    asked = _Asked(tuple(portions), meat_kg, film, pantry)
    if taste == "too_thick":
        return list(_looser(asked, WATER_STEP[degree]))
    if taste == "too_thin":
        return list(_thicker(asked, WATER_STEP[degree]))
    return list(_milder(asked, taste, TIMES_TOO_MUCH[degree]))


@unchanging
class _Asked:
    portions: tuple[Portion, ...]
    meat_kg: float
    film: Film
    pantry: Pantry

    @property
    def mass_kg(self) -> float:
        """Weight of the mix [kg]."""
        return sum(portion.mass_kg.value for portion in self.portions)

    def items(self, names: Sequence[str]) -> list[Ingredient]:
        """Ingredients of the pantry by id, those in the mix first."""
        present = {portion.ingredient.id for portion in self.portions}
        known = [self.pantry.by_id[name] for name in names if name in self.pantry.by_id]
        return sorted(known, key=lambda item: item.id not in present)

    def concentration(self, share: Callable[[Ingredient], float]) -> float:
        """Of something, per kg of mix."""
        return sum(share(portion.ingredient) * portion.mass_kg.value for portion in self.portions) / self.mass_kg

    def adding(self, item: Ingredient, mass_kg: float, words: str, basis: Literal["exact", "thumb"]) -> Correction:
        """A correction that adds so much of an ingredient."""
        added = Portion("added", "", item, Interval.exactly(mass_kg), guessed=False)
        text = weighed_text(item, mass_kg)
        return Correction(item.id, text, f"{text}{words}", basis, self.effects((*self.portions, added), self.meat_kg))

    def effects(self, after: Sequence[Portion], meat_kg: float) -> tuple[CorrectionEffect, ...]:
        """All that changes by enough to matter, per kg of meat; then heat and the weight of the mix."""
        old = balance_of(self.portions, self.meat_kg, self.film)
        new = balance_of(after, meat_kg, self.film)
        changed = [
            CorrectionEffect(name, old.total(name).value * 1000, new.total(name).value * 1000, "g/kg")
            for name in SUBSTANCES
        ]
        changed.append(CorrectionEffect("mix", old.mass_kg.value * 1000, new.mass_kg.value * 1000, "g"))
        changed.append(CorrectionEffect("salt in the mix", _in_mix(self.portions), _in_mix(after), "g/kg of mix"))
        return tuple(effect for effect in changed if effect.shows)


def _in_mix(portions: Sequence[Portion]) -> float:
    mass = sum(portion.mass_kg.value for portion in portions)
    return sum(portion.ingredient.salt.value * portion.mass_kg.value for portion in portions) / mass * 1000


def _milder(asked: _Asked, taste: Taste, times: float) -> Iterator[Correction]:
    share = _TASTED[taste]
    now = asked.concentration(share)
    if now <= 0:
        return
    wanted = now / times
    diluted = asked.items(DILUTERS)
    for item in diluted:
        own = share(item)
        if own >= 0.5 * wanted:
            continue
        mass_kg = asked.mass_kg * (now - wanted) / (wanted - own)
        if mass_kg <= min(MOST_TIMES_THE_MIX * asked.mass_kg, MOST_KG):
            yield asked.adding(item, mass_kg, "", "exact")
    yield from _masked(asked, taste, times)
    if taste == "too_sour":
        yield from _neutralised(asked, times)
    yield _more_meat(asked, times)


def _masked(asked: _Asked, taste: Taste, times: float) -> Iterator[Correction]:
    """Sweet hides a little salt, sour and heat; sour hides a little sweet: rules of thumb."""
    excess = times - 1
    if excess > MOST_OF_A_MASK[taste] + 1e-9:
        return
    strength: dict[Taste, tuple[Constant, Constant, tuple[str, ...], str]] = {
        "too_salty": (SWEET_HIDES_SALT, SWEET_REFERENCE_KG_PER_KG, SWEETENERS, "salt"),
        "too_sour": (SWEET_HIDES_SOUR, SWEET_REFERENCE_KG_PER_KG, SWEETENERS, "sourness"),
        "too_hot": (SWEET_HIDES_HEAT, SWEET_REFERENCE_KG_PER_KG, SWEETENERS, "heat"),
        "too_sweet": (SOUR_HIDES_SWEET, SOUR_REFERENCE_KG_PER_KG, SOURS, "sweetness"),
    }
    hides, reference, names, what = strength[taste]
    needed_kg = reference.value * excess / hides.value * asked.mass_kg
    for item in asked.items(names):
        brings = item.acid.value if taste == "too_sweet" else item.sugar.value
        words = f" to hide the {what}; it takes none away"
        yield asked.adding(item, needed_kg / brings, words, "thumb")


def _neutralised(asked: _Asked, times: float) -> Iterator[Correction]:
    """Baking soda takes acid away: one mole of protons a mole, with its sodium."""
    item = asked.pantry.by_id.get("baking_soda")
    if item is None:
        return
    protons = sum(portion.ingredient.titratable * portion.mass_kg.value for portion in asked.portions)
    mass_kg = protons * (1 - 1 / times) * SODA_KG_PER_MOL.value
    if mass_kg <= 0:
        return
    text = weighed_text(item, mass_kg)
    sour = sum(portion.ingredient.acid.value * portion.mass_kg.value for portion in asked.portions) / asked.meat_kg
    effects = (
        CorrectionEffect("acid", sour * 1000, sour / times * 1000, "g/kg"),
        CorrectionEffect("sodium", 0.0, mass_kg * item.sodium / asked.meat_kg * 1000, "g/kg"),
    )
    yield Correction(
        item.id, text, f"{text}, stirred in until it stops foaming; tastes flat if overdone", "exact", effects
    )


def _more_meat(asked: _Asked, times: float) -> Correction:
    more_kg = asked.meat_kg * (times - 1)
    says = f"{number_told(more_kg * 1000)} g more meat in the same mix"
    return Correction("meat", "", says, "exact", asked.effects(asked.portions, asked.meat_kg + more_kg))


def _looser(asked: _Asked, step: float) -> Iterator[Correction]:
    for item in asked.items(LOOSENERS):
        yield asked.adding(item, step * asked.mass_kg, "", "thumb")


def _thicker(asked: _Asked, step: float) -> Iterator[Correction]:
    """Less water for its weight: boiled off, bound by starch, or soaked up by something drier."""
    water = sum(portion.ingredient.water * portion.mass_kg.value for portion in asked.portions)
    wanted = max(0.05, water / asked.mass_kg - LESS_WATER * step)
    boiled_kg = (water - wanted * asked.mass_kg) / (1 - wanted)
    if 0 < boiled_kg < water:
        time = hours_told(boiled_kg / PAN_BOILS_OFF_KG_PER_S.value / 3600)
        says = f"Boil {number_told(boiled_kg * 1000)} g off (about {time} in a wide pan), then cool it to 5 C"
        before = asked.mass_kg * 1000
        yield Correction("boil", "", says, "exact", (CorrectionEffect("mix", before, before - boiled_kg * 1000, "g"),))
    for item in asked.items(THICKENERS):
        if item.id == "cornflour":
            words = ", cooked in it until it thickens, then cooled to 5 C"
            yield asked.adding(item, min(step * STARCH_TO_WATER, MOST_STARCH) * asked.mass_kg, words, "thumb")
        elif item.water < wanted:
            mass_kg = (water - wanted * asked.mass_kg) / (wanted - item.water)
            if mass_kg <= MOST_TIMES_THE_MIX * asked.mass_kg:
                yield asked.adding(item, mass_kg, "", "thumb")
