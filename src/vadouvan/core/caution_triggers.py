"""Which cautions a batch calls for, worked out from what is known of it. Their texts are data."""

from __future__ import annotations

from collections.abc import Callable, Mapping
from dataclasses import dataclass

from vadouvan.core.cautions import Caution
from vadouvan.core.constants import (
    FRIDGE_ADVISED_C,
    FRIDGE_STOP_C,
    METAL_ACID_PH,
    SALTY_SERVING_KG,
    SODIUM_SHARE_OF_SALT,
    TWO_HOUR_RULE,
)
from vadouvan.core.cut.cut import Cut
from vadouvan.core.hold.hold import REACTIVE
from vadouvan.core.judge import Judgement
from vadouvan.core.mix.balance import Balance
from vadouvan.core.mix.curing import names_curing_salt
from vadouvan.core.mix.ingredient import Ingredient
from vadouvan.core.stops import is_curing

ENZYME_SKIN = ("papaya", "pineapple", "fig", "kiwi")
HOT_SHU = 1000.0
MANY_SERVINGS = 40
SMALL_PIECE_KG = 0.1
TWO_DAYS_H = 48.0


@dataclass(frozen=True)
class Known:
    """What triggers look at."""

    judgement: Judgement
    cut: Cut
    balance: Balance
    items: tuple[Ingredient, ...]

    def has(self, *groups: str) -> bool:
        """Whether an ingredient is of one of these groups."""
        return any(item.group in groups for item in self.items)

    @property
    def held_h(self) -> float:
        """Hours that it is held: as planned, or until best."""
        plan, window = self.judgement.plan, self.judgement.window
        if plan is not None:
            return plan.hold_h
        return window.best.hours if window else 0.0

    @property
    def warm_min(self) -> float:
        """Minutes out of the cold before cooking, as planned."""
        return self.judgement.warm_min


GRAVEST_FIRST = {"stop": 0, "warn": 1, "note": 2}


def cautions_of(judgement: Judgement, cautions: Mapping[str, Caution]) -> list[Caution]:
    """The cautions that a batch calls for, the gravest first."""
    found = [cautions[name] for name in cautions_called_for(judgement)]
    return sorted(found, key=lambda one: GRAVEST_FIRST[one.kind])


def cautions_called_for(judgement: Judgement) -> tuple[str, ...]:
    """Ids of the cautions that a batch calls for, in the order of the triggers; none before a cut and a mix."""
    cut, balance = judgement.reading.cut, judgement.balance
    if cut is None or balance is None:
        return ()
    known = Known(judgement, cut, balance, tuple(portion.ingredient for portion in judgement.reading.portions))
    return tuple(name for name, called in TRIGGERS.items() if called(known))


def _family(*families: str) -> Callable[[Known], bool]:
    return lambda known: known.cut.kind.family in families


def _steps(*kinds: str) -> Callable[[Known], bool]:
    return lambda known: any(step.kind in kinds for step in known.cut.steps)


def _raw(known: Known) -> bool:
    return known.cut.kind.family != "plant"


def _sour(known: Known) -> bool:
    return known.balance.ph is not None and known.balance.ph < METAL_ACID_PH.value


def _warmest(known: Known) -> float:
    hold = known.judgement.reading.hold
    return max(degrees for _, degrees in hold.course) if hold else 0.0


def _salty(known: Known) -> bool:
    figures = {figure.name: figure.value for figure in known.judgement.all_figures}
    return figures.get("sodium_mg_per_serving", 0.0) / 1e6 / SODIUM_SHARE_OF_SALT.value > SALTY_SERVING_KG.value


def _cubed(known: Known) -> bool:
    small = known.cut.meat_kg / known.cut.pieces <= SMALL_PIECE_KG
    return known.cut.kind.family == "red" and small and known.held_h > TWO_DAYS_H


def _too_long(known: Known, *families: str) -> bool:
    kind = known.cut.kind
    return kind.family in families and known.held_h > kind.hold_max_s / 3600


def _aside(known: Known) -> bool:
    mix = known.judgement.mix
    return _raw(known) and (mix is None or mix.bowl.set_aside_kg <= 0)


def _reactive(known: Known) -> bool:
    hold = known.judgement.reading.hold
    return hold is not None and hold.metal in REACTIVE and _sour(known)


def _garlic_in_oil(known: Known) -> bool:
    fresh, oil = known.has("aromatic_fresh", "herb_fresh"), known.has("fat")
    return fresh and oil and known.balance.water_kg < 0.3 * known.balance.mass_kg.value


def _jar(known: Known) -> bool:
    return _raw(known) and _sour(known) and known.judgement.reading.mix.vessel.container == "jar"


def _gas(known: Known) -> bool:
    """Something live in a vessel that is shut tight, or any jar."""
    container = known.judgement.reading.mix.vessel.container
    return container == "jar" or (container == "vacuum" and known.has("fermented_paste", "dairy"))


def _many(known: Known) -> bool:
    occasion = known.judgement.reading.occasion
    return occasion is not None and occasion.servings >= MANY_SERVINGS


def _wet_into_fat(known: Known) -> bool:
    """A wet surface into a pan or a fryer: anything held in a liquid is wet."""
    hot_fat = any(stage.place in ("pan", "fryer") for stage in known.judgement.reading.stages)
    return hot_fat and known.judgement.reading.mix.vessel.form == "liquid"


def _curing(known: Known) -> bool:
    reading = known.judgement.reading
    refused = any(names_curing_salt(problem.given) for problem in reading.problems)
    return refused or any(is_curing(portion) for portion in reading.portions)


TRIGGERS: Mapping[str, Callable[[Known], bool]] = {
    "curing": _curing,
    "reactive": _reactive,
    "fridge-warm": lambda known: _warmest(known) > FRIDGE_ADVISED_C.value,
    "two-hours": lambda known: known.warm_min > TWO_HOUR_RULE.value,
    "hold-cubed": _cubed,
    "hold-mince": _family("mince"),
    "wash": _steps("rinsed", "acid_rinsed"),
    "non-intact": lambda known: not known.cut.prepared.surface.intact,
    "purge-water": _steps("cold_soak", "hot_dip"),
    "raw-contact": _aside,
    "taste-raw": _raw,
    "cool-first": lambda known: known.judgement.reading.mix.making.method in ("cooked", "concentrate"),
    "garlic-oil": _garlic_in_oil,
    "parasite": lambda known: known.cut.kind.family == "fish" and _sour(known),
    "hold-poultry": lambda known: _too_long(known, "poultry"),
    "hold-red": lambda known: _too_long(known, "red"),
    "hold-fish": lambda known: _too_long(known, "fish", "shellfish"),
    "fridge": _raw,
    "thaw": lambda known: known.cut.frozen or known.judgement.reading.frozen_share > 0,
    "counter-pickle": lambda known: _jar(known) and _warmest(known) > FRIDGE_STOP_C.value,
    "hot-fat": _wet_into_fat,
    "jar": _jar,
    "gas": _gas,
    "vacuum": lambda known: known.judgement.reading.mix.vessel.container == "vacuum",
    "enzyme-skin": lambda known: any(
        item.enzyme is not None and any(name in item.id for name in ENZYME_SKIN) for item in known.items
    ),
    "chilli": lambda known: any(item.heat_shu.value >= HOT_SHU for item in known.items),
    "honey-infant": lambda known: any(item.id == "honey" for item in known.items),
    "allergens": lambda known: any(item.allergens or item.allergens_to_check for item in known.items),
    "sodium": _salty,
    "alcohol": lambda known: any(item.alcohol > 0 for item in known.items),
    "doneness": _raw,
    "below-guidance": lambda known: known.judgement.fire is not None and known.judgement.fire.doneness.is_below,
    "baste-late": lambda known: _raw(known) and any(stage.brush for stage in known.judgement.reading.stages),
    "sell": _many,
}
