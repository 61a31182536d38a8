"""Figures of a balance: each substance per kilogram of meat or of mix, pH, heat, sodium a serving."""

from __future__ import annotations

from vadouvan.core.constants import SALTY_SERVING_KG, SODIUM_A_DAY_KG, SODIUM_SHARE_OF_SALT
from vadouvan.core.figure import Figure, Given, Working, number_told
from vadouvan.core.mix.acidity import PH_BAND
from vadouvan.core.mix.balance import Balance, Substance

# Heat averaged over the meat, in words (our calibration: most of it stays on the surface).
HEAT_WORDS = ((5.0, "none"), (30.0, "mild"), (120.0, "warm"), (500.0, "hot"), (1e9, "very hot"))


def per_kg_figure(balance: Balance, substance: Substance) -> Figure:
    """A substance per kg of meat [g/kg], with its working."""
    total = balance.total(substance)

    def worked() -> Working:
        inputs = [Given(part.ingredient, part.amount.value * 1000, "g/kg") for part in balance.parts[substance]]
        rule = (
            f"Grams of each ingredient times its share of {substance}, added up, over the kilograms of meat without "
            "bone."
        )
        meat = Given("meat without bone", balance.meat_kg * 1000, "g")
        return Working(rule, (*inputs, meat), ("fdc", "label", "memory"))

    return Figure(
        name=f"{substance}_g_per_kg",
        value=total.value * 1000,
        unit="g/kg",
        worked=worked,
        low=total.low * 1000,
        high=total.high * 1000,
    )


def ph_figure(balance: Balance) -> Figure | None:
    """Estimated pH of the mix's water, with a band; nothing for a mix without acid or water."""
    if balance.ph is None:
        return None

    def worked() -> Working:
        rule = (
            "pH at which all acids, and the minerals that each ingredient's own pH implies, balance in the mix's water."
        )
        inputs = (
            Given("acid", balance.total("acid").value * 1000, "g/kg"),
            Given("water in the mix", balance.water_kg * 1000, "g"),
        )
        return Working(rule, inputs, ("handbook_pka", "citrus", "memory"))

    return Figure("ph", balance.ph, "pH", worked, balance.ph - PH_BAND, balance.ph + PH_BAND)


def per_mix_figure(balance: Balance, substance: Substance) -> Figure:
    """A substance per kg of mix [g/kg]: what the tongue meets when the mix is tasted."""
    factor = balance.meat_kg / balance.mass_kg.value if balance.mass_kg.value > 0 else 0.0
    total = balance.total(substance)

    def worked() -> Working:
        inputs = (
            Given(f"{substance} in the mix", total.value * balance.meat_kg * 1000, "g"),
            Given("mix on the meat", balance.mass_kg.value * 1000, "g"),
        )
        return Working(f"All {substance} in the mix over its weight.", inputs, ("fdc", "label", "memory"))

    value, low, high = (end * factor * 1000 for end in (total.value, total.low, total.high))
    return Figure(f"{substance}_g_per_kg_mix", value, "g/kg", worked, low, high)


def enzyme_figure(balance: Balance) -> Figure:
    """Live enzyme of the mix in per cent of the strength of fresh pineapple juice."""
    units = balance.enzyme_units

    def worked() -> Working:
        inputs = tuple(Given(part.ingredient, part.amount.value * 100, "%") for part in balance.enzyme_parts)
        rule = (
            "Grams of each live ingredient times its strength, over the weight of the mix. Fresh pineapple juice is "
            "100."
        )
        return Working(rule, inputs, ("calibration", "memory"))

    return Figure("enzyme_pct", units.value * 100, "%", worked, units.low * 100, units.high * 100)


def heat_figure(balance: Balance) -> Figure:
    """Chilli heat averaged over the weight of the meat [Scoville units]."""
    heat = balance.heat_shu

    def worked() -> Working:
        inputs = tuple(Given(part.ingredient, part.amount.value, "SHU") for part in balance.heat_parts)
        rule = (
            "Grams of each hot ingredient times its Scoville units as used, over the grams of meat; most stays outside."
        )
        return Working(rule, inputs, ("memory",))

    return Figure("heat_shu", heat.value, "SHU", worked, heat.low, heat.high)


def heat_words(balance: Balance) -> str:
    """Heat in a word."""
    return next(word for below, word in HEAT_WORDS if balance.heat_shu.value < below)


def sodium_figure(balance: Balance, eaten_share: float, servings: float) -> Figure:
    """Sodium that one serving brings [mg], of which ``eaten_share`` of the mix's [1] reaches the plate."""
    sodium_mg = balance.sodium_kg * eaten_share / servings * 1e6

    def worked() -> Working:
        inputs = (
            Given("sodium in the mix", balance.sodium_kg * 1e6, "mg"),
            Given("share that is eaten", eaten_share, "1"),
            Given("servings", servings, "1"),
        )
        rule = (
            "All sodium of the mix that goes into or stays on the meat, over the servings; the meat's own is not "
            "counted."
        )
        return Working(rule, inputs, ("label", "who_sodium"))

    return Figure("sodium_mg_per_serving", sodium_mg, "mg", worked)


def sodium_words(sodium_mg: float) -> str:
    """A serving's sodium as salt, and against a day's limit; a caution from 2 g of salt on."""
    salt_g = sodium_mg / SODIUM_SHARE_OF_SALT.value / 1000
    share = sodium_mg / 1e6 / SODIUM_A_DAY_KG.value * 100
    words = f"{number_told(salt_g)} g of salt, {number_told(share)} % of a day's 5 g"
    if salt_g / 1000 > SALTY_SERVING_KG.value:
        return f"{words}; a diet under medical advice comes first"
    return words
