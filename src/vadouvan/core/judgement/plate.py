"""The plate as it is eaten: the meat with what stays on it, and every mix beside it, over the servings."""

from __future__ import annotations

from collections.abc import Iterator, Sequence
from functools import partial

from vadouvan.core.constants import (
    COATING_HOLDS,
    GLAZE_TOO_HOT,
    PLATE_SALTY_ENOUGH,
    SAUCE_SALT,
    SERVING_NORMAL_KG,
    SODIUM_SHARE_OF_SALT,
    STARCH_COATS,
    STARCH_THICK,
    STARCH_THIN,
)
from vadouvan.core.contact.allergens import allergens_of, allergens_told
from vadouvan.core.contact.mix_judgement import MixJudgement, eaten_share
from vadouvan.core.cooking.browning import browns, hardest
from vadouvan.core.cooking.surface import SurfaceLeft
from vadouvan.core.cut.cut import Cut
from vadouvan.core.cut.occasion import servings_from
from vadouvan.core.figure import Figure, Given, Working, number_told
from vadouvan.core.interpretation.companions import Companion, glaze_film_m, glaze_rounds
from vadouvan.core.interpretation.draft import Interpretation
from vadouvan.core.mix.balance import Substance, balance_of
from vadouvan.core.mix.figures import heat_words, sodium_words
from vadouvan.core.parsing.amount import Portion
from vadouvan.unchanging import unchanging

BALANCE_WORDS: dict[Substance, str] = {"salt": "salt", "sugar": "sugar", "acid": "acid", "fat": "fat"}
TOLD_FROM = 0.001
# Up to these times a sauce's usual salt
SALTED = ((0.3, "hardly salted"), (0.7, "mild"), (1.5, "salted as a sauce is"), (3.0, "salty, for little of it"))


@unchanging
class OnPlate:
    """Share of one part in a serving [kg]; salt is all its sodium told as salt."""

    id: str
    title: str
    mass_kg: float
    salt_kg: float
    sugar_kg: float


@unchanging
class CompanionTold:
    """A companion and what is to know of it, in words."""

    companion: Companion
    says: tuple[str, ...]


@unchanging
class Plate:
    """A serving as eaten, part by part, with what is to be said of it; companions each by itself."""

    servings: float
    parts: tuple[OnPlate, ...]
    companions: tuple[CompanionTold, ...]
    says: tuple[str, ...]
    figures: tuple[Figure, ...]

    @property
    def salt_kg(self) -> float:
        """Salt of a serving [kg]."""
        return sum(part.salt_kg for part in self.parts)


def plate_of(reading: Interpretation, mix: MixJudgement, surface: SurfaceLeft, cut: Cut, aim_kg_per_kg: float) -> Plate:
    """A serving of this batch; what is aimed at is salt in the meat [kg/kg]. The meat's own salt is not counted."""
    occasion = reading.occasion
    servings = servings_from(cut.meat_kg, occasion) if occasion else cut.meat_kg / SERVING_NORMAL_KG.value
    parts = (
        _meat(mix, surface, cut, servings),
        *_set_aside(reading, mix, servings),
        *(_beside(one, servings) for one in reading.companions if one.portions),
    )
    return Plate(
        servings,
        parts,
        tuple(CompanionTold(one, tuple(_told(one, reading, mix, cut, servings))) for one in reading.companions),
        tuple(_plate_says(parts, aim_kg_per_kg, allergens_told(allergens_of(reading.all_portions, cut.kind)))),
        tuple(_figures(parts, servings)),
    )


def _meat(mix: MixJudgement, surface: SurfaceLeft, cut: Cut, servings: float) -> OnPlate:
    """Salt as it is eaten by its method; sugar only with what clings."""
    balance = mix.at_contact.balance
    clings = surface.left_kg / balance.mass_kg.value if balance.mass_kg.value > 0 else 0.0
    salt_kg = balance.sodium_kg / SODIUM_SHARE_OF_SALT.value * eaten_share(mix.at_contact, mix.salt)
    sugar_kg = balance.total("sugar").value * balance.meat_kg * min(1.0, clings)
    mass_kg = cut.meat_kg + surface.left_kg
    return OnPlate("meat", cut.kind.name, mass_kg / servings, salt_kg / servings, sugar_kg / servings)


def _set_aside(reading: Interpretation, mix: MixJudgement, servings: float) -> Iterator[OnPlate]:
    """The clean part, where it was said what for."""
    aside_kg, whole = mix.at_contact.set_aside_kg, mix.at_contact.ready
    if aside_kg <= 0 or not reading.mix.set_aside.use:
        return
    share = aside_kg / whole.mass_kg.value
    salt_kg, sugar_kg = _salt_and_sugar(whole.portions)
    title = f"clean part for {reading.mix.set_aside.use}"
    boiled_kg = reading.mix.set_aside.reduction.of(aside_kg)
    table_kg = aside_kg if boiled_kg is None else boiled_kg
    yield OnPlate("set-aside", title, table_kg / servings, salt_kg * share / servings, sugar_kg * share / servings)


def _beside(one: Companion, servings: float) -> OnPlate:
    share = one.eaten_share / servings
    salt_kg, sugar_kg = _salt_and_sugar(one.portions)
    return OnPlate(f"companion-{one.id}", one.title, one.table_kg * share, salt_kg * share, sugar_kg * share)


def _salt_and_sugar(lines: Sequence[Portion]) -> tuple[float, float]:
    sodium_kg = sum(line.ingredient.sodium * line.mass_kg.value for line in lines)
    return (
        sodium_kg / SODIUM_SHARE_OF_SALT.value,
        sum(line.ingredient.sugar.value * line.mass_kg.value for line in lines),
    )


def _told(one: Companion, reading: Interpretation, mix: MixJudgement, cut: Cut, servings: float) -> Iterator[str]:
    """Judgement by the kind of mix: a glaze is no sauce, a dip no brine."""
    if not one.portions:
        yield "Nothing in it can be weighed yet."
        return
    salt_kg, _ = _salt_and_sugar(one.portions)
    grams = number_told(one.table_kg * 1000)
    share = salt_kg / one.table_kg
    a_serving = number_told(one.table_kg * one.eaten_share / servings * 1000)
    if one.kind == "glaze":
        yield from _glaze_told(one, reading, cut)
    elif one.kind == "pot":
        yield _pot_told(one, reading, mix, cut)
    elif one.kind == "coating":
        yield _coating_told(one, reading, cut)
    elif one.kind == "finish":
        yield f"{a_serving} g on a serving, with {number_told(salt_kg / servings * one.eaten_share * 1000)} g of salt."
    else:
        before = number_told(one.mass_kg * 1000)
        boiled = (
            f"Boiled down from {before} g to {grams} g"
            if one.boils_off_kg > 0
            else f"Thinned from {before} g to {grams} g"
            if one.thinned_by_kg > 0
            else f"{grams} g"
        )
        yield f"{boiled}, {a_serving} g of it eaten a serving, {_percent(share)} % salt: {_how_salty(share)}."
        yield from _how_thick(one)
    yield _balance_told(one)


def _balance_told(one: Companion) -> str:
    """Its own balance over what comes to the table, and what it contains."""
    balance = balance_of(one.portions, one.table_kg)
    parts = [
        f"{word} {_percent(balance.total(substance).value)} %"
        for substance, word in BALANCE_WORDS.items()
        if balance.total(substance).value >= TOLD_FROM
    ]
    if balance.ph is not None:
        parts.append(f"pH about {balance.ph:.1f}")
    if balance.heat_parts:
        parts.append(f"chilli heat {heat_words(balance)}")
    allergens = allergens_told(allergens_of(one.portions, None))
    return " ".join(part for part in (f"By itself: {', '.join(parts)}." if parts else "", allergens) if part)


def _pot_told(one: Companion, reading: Interpretation, mix: MixJudgement, cut: Cut) -> str:
    """All that is in the pot together: of the marinade what is in the meat, or all of it where it is cooked along."""
    balance, salt_kg = mix.at_contact.balance, _salt_and_sugar(one.portions)[0]
    along = reading.hold is not None and reading.hold.cooked_in_mix
    share = 1.0 if along else eaten_share(mix.at_contact, mix.salt)
    salt_kg += balance.sodium_kg / SODIUM_SHARE_OF_SALT.value * share
    all_kg = one.mass_kg + cut.meat_kg + (balance.mass_kg.value if along else 0.0)
    grams = number_told(one.mass_kg * 1000)
    return f"{grams} g into the pot: {_percent(salt_kg / all_kg)} % salt over all that is in it, before it boils down."


def _glaze_told(one: Companion, reading: Interpretation, cut: Cut) -> Iterator[str]:
    """A film on the surface: how thick, in how many rounds, and whether its sugar bears the heat."""
    film_m, rounds = glaze_film_m(one, cut.open_area_m2), glaze_rounds(one, cut.open_area_m2)
    times = "one thin round" if rounds == 1 else f"{rounds} thin rounds"
    yield f"{number_told(one.mass_kg * 1000)} g over the surface: {number_told(film_m * 1000)} mm, in {times}."
    exposure = hardest(reading.stages, dark_is_meant=reading.fire.dark_is_meant)
    if exposure is None:
        return
    sugar = sum(line.ingredient.sugar.value * line.mass_kg.value * browns(line) for line in one.portions)
    sugar *= one.eaten_share / cut.open_area_m2
    heat = number_told(exposure.heat_c)
    if sugar > exposure.limit and exposure.heat_c >= GLAZE_TOO_HOT.value:
        yield f"Its sugar burns even late at about {heat} °C: brush it on further from the heat, or once it is off."
    elif sugar > exposure.limit:
        yield f"Its sugar burns if it stays long at about {heat} °C: brush it on in the last 5 to 10 minutes."
    elif sugar > 0:
        yield f"Its sugar bears about {heat} °C in such a film."


def _coating_told(one: Companion, reading: Interpretation, cut: Cut) -> str:
    """How much of it the surface holds, and what a wet one does to it."""
    holds_kg = COATING_HOLDS.value * cut.open_area_m2
    grams, holds = number_told(one.mass_kg * 1000), number_told(holds_kg * 1000)
    dry = (
        "Patted dry first, it stays crisp."
        if reading.fire.surface != "as_is"
        else "On a wet surface it turns to paste: pat it first."
    )
    if one.mass_kg < 0.8 * holds_kg:
        return f"{grams} g cover only part: the surface holds about {holds} g. {dry}"
    rest = "the rest is shaken off and thrown away, raw meat has touched it"
    return f"{grams} g: the surface holds about {holds} g, {rest}. {dry}"


def _how_thick(one: Companion) -> Iterator[str]:
    """Thickness by its starch once it has boiled: flour counts half."""
    starch_kg = sum(_thickens(line) * line.mass_kg.value for line in one.portions)
    share = starch_kg / one.table_kg
    if starch_kg <= 0:
        return
    words = (
        "thin still"
        if share < STARCH_THIN.value
        else "lightly bound"
        if share < STARCH_COATS.value
        else ("coats a spoon" if share < STARCH_THICK.value else "thick: it sets as it cools")
    )
    yield f"Bound with {_percent(share)} % starch, stirred in cold and boiled a minute: {words}."


def _thickens(line: Portion) -> float:
    """Starch of a line [1]: a pure one whole, a flour half."""
    item = line.ingredient
    if item.group != "coating" and not item.id.startswith("cornflour"):
        return 0.0
    return 1.0 if "starch" in item.id or item.id == "cornflour" else 0.5 if item.id.startswith("flour") else 0.0


def _how_salty(share: float) -> str:
    """A sauce's salt in words, against a sauce's usual salt."""
    return next((words for most, words in SALTED if share <= most * SAUCE_SALT.value), "strong, a few drops of it")


def _plate_says(parts: Sequence[OnPlate], aim: float, allergens: str) -> Iterator[str]:
    salt_kg, mass_kg = sum(part.salt_kg for part in parts), sum(part.mass_kg for part in parts)
    sodium_mg = salt_kg * SODIUM_SHARE_OF_SALT.value * 1e6
    yield f"A serving brings {sodium_words(sodium_mg)}. {allergens}".strip()
    meat, beside = parts[0], [part for part in parts[1:] if part.salt_kg > 0]
    if beside and salt_kg / mass_kg > PLATE_SALTY_ENOUGH.value * aim:
        most = max(beside, key=lambda part: part.salt_kg)
        yield (
            f"Salty enough already: {_percent(salt_kg / mass_kg)} % over all that is on the plate, and the meat brings "
            f"{number_told(meat.salt_kg * 1000)} g. Leave the salt of the {most.title} out "
            f"({number_told(most.salt_kg * 1000)} g a serving), and taste."
        )


def _figures(parts: Sequence[OnPlate], servings: float) -> Iterator[Figure]:
    for name, amounts in (
        ("plate.salt_g", [(part.title, part.salt_kg) for part in parts]),
        ("plate.sugar_g", [(part.title, part.sugar_kg) for part in parts]),
        ("plate.mass_g", [(part.title, part.mass_kg) for part in parts]),
    ):
        yield Figure(name, sum(kg for _, kg in amounts) * 1000, "g", partial(_worked, amounts, servings))


def _worked(amounts: Sequence[tuple[str, float]], servings: float) -> Working:
    rule = (
        "What of each part is eaten, over the servings. Salt is all sodium told as salt; the meat's own is not counted."
    )
    inputs = (*(Given(title, kg * 1000, "g") for title, kg in amounts), Given("servings", servings, "1"))
    return Working(rule, inputs, ("label", "who_sodium"))


def _percent(share: float) -> str:
    return number_told(share * 100)
