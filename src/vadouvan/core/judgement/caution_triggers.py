"""Which cautions a batch calls for, worked out from what is known of it. Their texts are data."""

from __future__ import annotations

from collections.abc import Callable, Mapping

from vadouvan.core.constants import (
    AIRLESS_WARMEST_C,
    CROWD_SERVINGS,
    FLARES_FROM_KG,
    FRIDGE_ADVISED_C,
    HOT_ON_HANDS_SHU,
    LIES_UNDER_OIL,
    METAL_ACID_PH,
    SALT_SET_KG_PER_KG,
    SALTY_SERVING_KG,
    SMALL_CUT_KEEPS_H,
    SMALL_CUT_KG,
    SODIUM_SHARE_OF_SALT,
    SOUR_THROUGHOUT_OIL,
    SOUR_THROUGHOUT_PH,
    SPIRIT_SHARE,
)
from vadouvan.core.cut.cut import Cut
from vadouvan.core.hold.storage import room_minutes, used_share
from vadouvan.core.judgement.judgement import Judgement
from vadouvan.core.judgement.stops import is_curing
from vadouvan.core.kitchen.caution import Caution
from vadouvan.core.mix.balance import Balance
from vadouvan.core.pantry.ingredient import Ingredient
from vadouvan.core.parsing.curing import names_curing_salt
from vadouvan.unchanging import unchanging

ENZYME_SKIN = ("papaya", "pineapple", "fig", "kiwi")
FRESH_AROMATICS = ("aromatic_fresh", "herb_fresh", "chilli_fresh")


@unchanging
class Known:
    """Ground that triggers look at."""

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
    return known.cut.kind.is_animal


def _cold(known: Known) -> bool:
    return known.cut.kind.needs_cold


def _stopped(*ids: str) -> Callable[[Known], bool]:
    """The one list of stops, told as a caution too."""
    return lambda known: any(stop.id in ids for stop in known.judgement.stops)


def _sour(known: Known) -> bool:
    return known.balance.ph is not None and known.balance.ph < METAL_ACID_PH.value


def _warmest(known: Known) -> float:
    hold = known.judgement.reading.hold
    return max(degrees for _, degrees in hold.course) if hold else 0.0


def _salty(known: Known) -> bool:
    figures = {figure.name: figure.value for figure in known.judgement.figures_at_once}
    return figures.get("sodium_mg_per_serving", 0.0) / 1e6 / SODIUM_SHARE_OF_SALT.value > SALTY_SERVING_KG.value


def _cubed(known: Known) -> bool:
    small = known.cut.meat_kg / known.cut.pieces <= SMALL_CUT_KG.value
    return known.cut.kind.family == "red" and small and known.held_h > SMALL_CUT_KEEPS_H.value


def _too_long(known: Known, *families: str) -> bool:
    """Raw past its days by the clock of raw food, as planned or as it was held."""
    kind, hold = known.cut.kind, known.judgement.reading.hold
    if kind.family not in families or not kind.needs_cold or hold is None:
        return False
    used = used_share(kind.keeps_s / 3600, hold.course, known.held_h, known.cut.age_s / 3600)
    return used > 1 or _stopped("raw-too-long")(known)


def _aside(known: Known) -> bool:
    mix = known.judgement.mix
    return _raw(known) and (mix is None or mix.at_contact.set_aside_kg <= 0)


def _garlic_in_oil(known: Known) -> bool:
    """Raw aromatics under oil, the more of them the worse; not where the mix is sour throughout and oil is the less."""
    reading = known.judgement.reading
    raw = reading.mix.making.method != "cooked" and any(item.group in FRESH_AROMATICS for item in known.items)
    oil_kg = sum(one.mass_kg.value for one in reading.portions if one.ingredient.group == "fat")
    ph = known.balance.ph
    sour_throughout = (
        ph is not None and ph < SOUR_THROUGHOUT_PH.value and oil_kg < SOUR_THROUGHOUT_OIL.value * known.balance.water_kg
    )
    return raw and oil_kg >= LIES_UNDER_OIL.value * known.balance.mass_kg.value and not sour_throughout


def _eaten_raw(known: Known) -> bool:
    """Fish, squid, octopus or shellfish that acid or salt sets, or that no heat is said to reach through."""
    if known.cut.kind.family not in ("fish", "shellfish"):
        return False
    fire = known.judgement.fire
    raw = fire is not None and (fire.doneness.is_below or not known.judgement.reading.stages)
    return raw or _sour(known) or known.balance.total("salt").value >= SALT_SET_KG_PER_KG.value


def _near_flame(known: Known) -> bool:
    """Enough of a spirit with a flame or a hot pan after it."""
    spirit_kg = sum(
        one.mass_kg.value for one in known.judgement.reading.portions if one.ingredient.alcohol >= SPIRIT_SHARE.value
    )
    hot = any(stage.place in ("pan", "wok", "grill", "broiler", "fryer") for stage in known.judgement.reading.stages)
    return hot and spirit_kg >= FLARES_FROM_KG.value


def _vacuum(known: Known) -> bool:
    return known.judgement.reading.mix.vessel.container == "vacuum"


def _jar(known: Known) -> bool:
    return _raw(known) and _sour(known) and known.judgement.reading.mix.vessel.container == "jar"


def _gas(known: Known) -> bool:
    """Something live in a vessel that is shut tight, or any jar."""
    container = known.judgement.reading.mix.vessel.container
    return container == "jar" or (
        container == "vacuum" and known.has("fermented_paste", "fermented_seasoning", "dairy")
    )


def _many(known: Known) -> bool:
    occasion = known.judgement.reading.occasion
    return occasion is not None and occasion.servings >= CROWD_SERVINGS.value


def _wet_into_fat(known: Known) -> bool:
    """A wet surface into a pan or a fryer: anything held in a liquid is wet."""
    hot_fat = any(stage.place in ("pan", "wok", "fryer") for stage in known.judgement.reading.stages)
    return hot_fat and known.judgement.reading.mix.vessel.form in ("liquid", "bath")


def _curing(known: Known) -> bool:
    reading = known.judgement.reading
    refused = any(names_curing_salt(problem.given) for problem in reading.problems)
    return refused or any(is_curing(portion) for portion in reading.portions)


def _warm_jar(known: Known) -> bool:
    return _jar(known) and _warmest(known) > AIRLESS_WARMEST_C.value


def _too_warm(known: Known) -> bool:
    hold = known.judgement.reading.hold
    return hold is not None and _cold(known) and known.warm_min > room_minutes(hold.room_c)


TRIGGERS: Mapping[str, Callable[[Known], bool]] = {
    "curing": _curing,
    "unknown-species": _family("other"),
    "reactive": _stopped("reactive"),
    "vacuum-warm": _stopped("airless-warm"),
    "raw-too-long": _stopped("raw-too-long"),
    "fridge-warm": lambda known: _cold(known) and _warmest(known) > FRIDGE_ADVISED_C.value,
    "two-hours": _too_warm,
    "hold-cubed": _cubed,
    "hold-mince": _family("mince"),
    "wash": lambda known: _steps("rinsed", "acid_rinsed")(known) or known.judgement.reading.fire.surface == "rinsed",
    "non-intact": lambda known: not known.cut.prepared.surface.intact,
    "purge-water": _steps("cold_soak", "hot_dip"),
    "raw-contact": _aside,
    "taste-raw": _raw,
    "cool-first": lambda known: known.judgement.reading.mix.making.method in ("cooked", "concentrate"),
    "garlic-oil": _garlic_in_oil,
    "parasite": _eaten_raw,
    "hold-poultry": lambda known: _too_long(known, "poultry"),
    "hold-red": lambda known: _too_long(known, "red"),
    "hold-fish": lambda known: _too_long(known, "fish", "shellfish"),
    "hold-curd": lambda known: _too_long(known, "plant"),
    "fridge": _cold,
    "thaw": lambda known: known.cut.frozen or known.judgement.reading.frozen_share > 0,
    "counter-pickle": _warm_jar,
    "hot-fat": _wet_into_fat,
    "jar": _jar,
    "gas": _gas,
    "vacuum": _vacuum,
    "enzyme-skin": lambda known: any(
        item.enzyme is not None and any(name in item.id for name in ENZYME_SKIN) for item in known.items
    ),
    "chilli": lambda known: any(item.heat_shu.value >= HOT_ON_HANDS_SHU.value for item in known.items),
    "honey-infant": lambda known: any(item.id == "honey" for item in known.items),
    "allergens": lambda known: any(item.allergens or item.allergens_to_check for item in known.items),
    "sodium": _salty,
    "alcohol": lambda known: any(item.alcohol > 0 for item in known.items),
    "alcohol-flame": _near_flame,
    "doneness": _raw,
    "below-guidance": lambda known: known.judgement.fire is not None and known.judgement.fire.doneness.is_below,
    "baste-late": lambda known: _raw(known) and any(stage.brush for stage in known.judgement.reading.stages),
    "sell": _many,
}
