"""An ingredient from its printed nutrition label: per 100 g, per 100 ml or per serving; sodium or salt.

Energy is passed over. What a label does not say (water, acids, pH, density, enzyme) is taken from the
ingredient of the pantry that it is most like, or assumed plainly; every assumption is told.
"""

from __future__ import annotations

import re
from collections.abc import Iterable, Mapping
from dataclasses import replace
from typing import Literal, get_args

from vadouvan.core.constants import SODIUM_SHARE_OF_SALT
from vadouvan.core.draft.typed import Text
from vadouvan.core.figure import number_told
from vadouvan.core.measures.numbers import Interval
from vadouvan.core.measures.quantity import SERVING, SERVING_VOLUME, quantity
from vadouvan.core.pantry.ingredient import NO_HEAT, PROTONS, Acids, Ingredient
from vadouvan.core.patterns import lazily
from vadouvan.errors import InputError
from vadouvan.unchanging import unchanging

Basis = Literal["per_100g", "per_100ml", "per_serving"]
NOTHING = "nothing"  # instead of a basis: it weighs nothing that matters, such as a colour
BASES: tuple[Basis, ...] = get_args(Basis)
OWN_INGREDIENT = "own-"
LONGEST_NAME, LONGEST_LABEL = 80, 2000
LABEL_MAY_DIFFER = 0.10  # what a jar may differ from its label, either way (our calibration)
PARTS_MAY_MISS = 0.015
ALLERGENS = (
    "gluten", "crustacean", "egg", "fish", "peanut", "soy", "milk", "nuts", "celery", "mustard", "sesame",
    "sulphites", "lupin", "mollusc",
)  # fmt: skip

_AMOUNT = r"[^\d<\n]{0,40}?(?:<|less than)?\s*(\d+(?:[.,]\d+)?)\s*(mg|g|grams?)\b"
_WORDS: Mapping[str, str] = {
    "salt": r"\bsalt\b(?!\s*equivalent\s*of)",
    "sodium": r"\bsodium\b",
    "sugar": r"\bsugars?\b",
    "fat": r"(?<!saturated )(?<!trans )(?<!unsaturated )\bfat\b",
    "protein": r"\bprotein\b",
    "carbohydrate": r"\bcarbohydrates?\b|\bcarbs?\b",
    "fibre": r"\bfib(?:re|er)\b",
    "acid": r"\bacid(?:ity)?\b",
    "alcohol": r"\balcohol\b",
}
_SERVING = lazily(r"serving([^\n]{0,60})", re.IGNORECASE)
_SIZE = lazily(r"\d+(?:[.,]\d+)?\s*(?:g|ml|tbsp|tsp)\b", re.IGNORECASE)
ACCEPTED = (
    'Copy the lines of the label, such as "Fat 0.2 g, Sugars 3 g, Protein 8 g, Salt 14 g" or "Sodium 920 mg"; without '
    "a label say what it is like, or that it weighs nothing that matters."
)


@unchanging
class LabelInput:
    """A label as typed: name, what it is like in the pantry, what the figures are for, the label's own lines."""

    name: Text = ""
    like: Text = ""
    basis: Text = ""
    serving: Text = ""
    label: Text = ""
    allergens: Text = ""


@unchanging
class LabelInterpretation:
    """The ingredient that a label gives, and what had to be assumed, in words."""

    ingredient: Ingredient
    assumed: tuple[str, ...]


def read_label(said: LabelInput, identity: str, items: Mapping[str, Ingredient]) -> LabelInterpretation:
    """The ingredient of a label; raises InputError with the field and what would be accepted."""
    name = said.name.strip()
    if not name or len(name) > LONGEST_NAME:
        wrong = "It needs a name." if not name else f"A name of {len(name)} letters is too long."
        raise InputError(
            field="name", given=name[:60], wrong=wrong, accepted=f"Write a name of up to {LONGEST_NAME} letters."
        )
    like = _like(said.like, items)
    assumed: list[str] = []
    if not said.label.strip() and (like is not None or said.basis == NOTHING):
        return _without_label(name, identity, like, said)
    printed = _printed(said.label)
    serving_kg = _reference_kg(said, like, assumed)
    shares = {what: mass / serving_kg for what, mass in printed.items()}
    shares["salt"] = _salt_share(shares, assumed)
    _refuse_too_much(said.label, shares, serving_kg)
    return LabelInterpretation(_ingredient(name, identity, shares, like, said, assumed), tuple(assumed))


def _without_label(name: str, identity: str, like: Ingredient | None, said: LabelInput) -> LabelInterpretation:
    """An ingredient with the figures of another, or with none that matter; its allergens are asked, never borrowed."""
    if not said.allergens.strip():
        wrong = "Without its label its allergens are not known."
        accepted = f"Write which of {', '.join(ALLERGENS)} it holds, or none."
        raise InputError(field="allergens", given="", wrong=wrong, accepted=accepted)
    weightless = said.basis == NOTHING
    base = _PLAIN if like is None or weightless else like
    found = replace(
        base,
        id=f"{OWN_INGREDIENT}{identity}",
        name=name,
        also_called=(name,),
        allergens=_allergens(said.allergens, base, None, []),
        allergens_us=(),
        source="memory",
        confidence="low",
    )
    if weightless or like is None:
        return LabelInterpretation(found, ("it weighs nothing that matters: no salt, sugar, acid or enzyme",))
    return LabelInterpretation(found, (f"every figure like {like.also_called[0]}, as nothing else is known",))


def readable_labels(labels: Iterable[tuple[str, LabelInput]], items: Mapping[str, Ingredient]) -> list[Ingredient]:
    """Ingredients of all labels that can be read; the others are listed with what is wrong where they are kept."""
    found = []
    for identity, said in labels:
        try:
            found.append(read_label(said, identity, items).ingredient)
        except InputError:
            continue  # told on the label itself, which stays as typed
    return found


def _like(said: str, items: Mapping[str, Ingredient]) -> Ingredient | None:
    if not said:
        return None
    if said not in items:
        accepted = "Choose an ingredient of the pantry, or leave it empty."
        raise InputError(field="like", given=said, wrong=f'"{said}" is not in the pantry.', accepted=accepted)
    return items[said]


def _printed(label: str) -> dict[str, float]:
    """Masses that the label prints [kg for its reference amount]; energy and percentages are passed over."""
    if len(label) > LONGEST_LABEL:
        wrong = f"A label of {len(label)} letters is too long."
        raise InputError(field="label", given=label[:60], wrong=wrong, accepted=ACCEPTED)
    found = {}
    for what, word in _WORDS.items():
        match = re.search(f"(?:{word}){_AMOUNT}", label, re.IGNORECASE)
        if match:
            factor = 1e-6 if match[2].lower() == "mg" else 1e-3
            found[what] = float(match[1].replace(",", ".")) * factor
    if not found:
        raise InputError(
            field="label", given=label[:60], wrong="No figure of the label could be read.", accepted=ACCEPTED
        )
    if "salt" not in found and "sodium" not in found:
        wrong = "The label says neither salt nor sodium."
        raise InputError(field="label", given=label[:60], wrong=wrong, accepted=f"{ACCEPTED} Write 0 g if it has none.")
    return found


def _reference_kg(said: LabelInput, like: Ingredient | None, assumed: list[str]) -> float:
    """Mass that the label's figures are for [kg]."""
    basis = said.basis or ("per_serving" if _SERVING.search(said.label) else "per_100g")
    if basis not in BASES:
        accepted = "Choose per 100 g, per 100 ml or per serving."
        raise InputError(field="basis", given=said.basis, wrong=f'"{said.basis}" is no basis.', accepted=accepted)
    if not said.basis:
        assumed.append("figures are for one serving" if basis == "per_serving" else "figures are for 100 g")
    if basis == "per_100g":
        return 0.1
    if basis == "per_100ml":
        return 1e-4 * _density(like, assumed)
    return _serving_kg(said, like, assumed)


def _serving_kg(said: LabelInput, like: Ingredient | None, assumed: list[str]) -> float:
    text = said.serving.strip()
    printed = _SERVING.search(said.label)
    if not text and printed:
        sizes = _SIZE.findall(printed[1])
        text = next((size for size in sizes if re.search(r"\d\s*g\b", size)), sizes[0] if sizes else "")
    if text and not said.serving.strip():
        assumed.append(f"a serving is {text}, as printed")
    if not text:
        accepted = 'Write the serving that the label is for, such as "15 ml" or "18 g".'
        raise InputError(field="serving", given="", wrong="How much is one serving?", accepted=accepted)
    if re.search(r"\d\s*(?:ml|tsp|tbsp|cup|fl)", text, re.IGNORECASE):
        return quantity(text, SERVING_VOLUME, field="serving") * _density(like, assumed)
    return quantity(text, SERVING, field="serving")


def _density(like: Ingredient | None, assumed: list[str]) -> float:
    if like is None:
        assumed.append("a millilitre weighs 1 g")
        return 1000.0
    density = like.density_kg_per_m3
    assumed.append(f"a millilitre weighs {density / 1000:.2f} g, like {like.also_called[0]}")
    return density


def _salt_share(shares: Mapping[str, float], assumed: list[str]) -> float:
    if "salt" in shares:
        return shares["salt"]
    salt = shares["sodium"] / SODIUM_SHARE_OF_SALT.value
    assumed.append(f"all sodium is salt: times 2.54 that is {number_told(salt * 100)} %")
    return salt


def _refuse_too_much(label: str, shares: Mapping[str, float], serving_kg: float) -> None:
    """Raises InputError for parts that are heavier than what they are part of."""
    grams = number_told(serving_kg * 1000)
    if shares["salt"] > 1:
        wrong = f"{number_told(shares['salt'] * serving_kg * 1000)} g of salt do not fit into {grams} g."
        accepted = "Check mg against g, and that the figures are for the amount chosen."
        raise InputError(field="label", given=label[:60], wrong=wrong, accepted=accepted)
    if shares.get("sugar", 0.0) > shares.get("carbohydrate", 1.0) + PARTS_MAY_MISS:
        wrong = "There is more sugar than carbohydrate."
        raise InputError(field="label", given=label[:60], wrong=wrong, accepted="Sugars are part of carbohydrate.")
    total = _solids(shares)
    if total > 1 + PARTS_MAY_MISS:
        wrong = f"The parts add up to {number_told(total * 100)} % of {grams} g."
        accepted = "Parts of 100 g come to at most 100 g; check the basis and the units."
        raise InputError(field="label", given=label[:60], wrong=wrong, accepted=accepted)


def _solids(shares: Mapping[str, float]) -> float:
    """All that is not water: carbohydrate holds the sugars."""
    sweet = max(shares.get("carbohydrate", 0.0), shares.get("sugar", 0.0))
    others = ("salt", "fat", "protein", "fibre", "alcohol", "acid")
    return sweet + sum(shares.get(name, 0.0) for name in others)


def _ingredient(
    name: str,
    identity: str,
    shares: Mapping[str, float],
    like: Ingredient | None,
    said: LabelInput,
    assumed: list[str],
) -> Ingredient:
    base = like or _PLAIN
    most_sugar = shares.get("carbohydrate", 1.0)
    sugar = _said_or_like(shares, "sugar", min(base.sugar.value, most_sugar), like, assumed)
    fat = _said_or_like(shares, "fat", base.fat, like, assumed)
    protein = _said_or_like(shares, "protein", base.protein, like, assumed)
    alcohol = shares.get("alcohol", base.alcohol)
    acids, ph = _acids(shares.get("acid"), base, like, assumed)
    known = _solids({**shares, "sugar": sugar, "fat": fat, "protein": protein, "alcohol": alcohol, "acid": acids.total})
    water = max(0.0, 1 - known)
    if like is not None and like.water < 0.5:
        water = min(water, like.water)
    assumed.append(f"water {number_told(water * 100)} %, what is left")
    return replace(
        base,
        id=f"{OWN_INGREDIENT}{identity}",
        name=name,
        also_called=(name,),
        water=water,
        salt=_within(shares["salt"]),
        sugar=_within(sugar),
        acid=_within(acids.total),
        acids=acids,
        ph=ph,
        fat=min(1.0, fat),
        alcohol=alcohol,
        protein=min(1.0, protein),
        sodium=shares.get("sodium", shares["salt"] * SODIUM_SHARE_OF_SALT.value),
        allergens=_allergens(said.allergens, base, like, assumed),
        allergens_us=(),
        source="label",
        confidence="high" if like else "medium",
    )


def _said_or_like(
    shares: Mapping[str, float], what: str, other: float, like: Ingredient | None, assumed: list[str]
) -> float:
    if what in shares:
        return shares[what]
    words = f"like {like.also_called[0]}" if like else "none"
    assumed.append(f"{what} {number_told(other * 100)} %, {words}" if like else f"no {what}")
    return other


def _acids(
    said: float | None, base: Ingredient, like: Ingredient | None, assumed: list[str]
) -> tuple[Acids, float | None]:
    """Acids as said, shared out as in what it is like (else all citric), or as that has them."""
    if said is None:
        if like is not None and like.acids.total > 0:
            assumed.append(f"acids and pH like {like.also_called[0]}")
        elif like is None:
            assumed.append("no acid")
        return base.acids, base.ph
    if base.acids.total > 0:
        factor = said / base.acids.total
        return Acids(**{name: getattr(base.acids, name) * factor for name in PROTONS}), base.ph
    assumed.append("the acid counts as citric")
    return Acids(citric=said), None


def _within(share: float) -> Interval:
    return Interval(share, share * (1 - LABEL_MAY_DIFFER), min(1.0, share * (1 + LABEL_MAY_DIFFER)))


def _allergens(said: str, base: Ingredient, like: Ingredient | None, assumed: list[str]) -> tuple[str, ...]:
    if not said.strip():
        if like is not None:
            words = ", ".join(base.allergens) or "none"
            assumed.append(f"allergens like {like.also_called[0]}: {words}; read the label")
        else:
            assumed.append("no allergens; read the label")
        return base.allergens
    names = tuple(name.strip().lower() for name in re.split(r"[,;]", said) if name.strip())
    for name in names:
        if name not in ("none", *ALLERGENS):
            accepted = f"Choose from {', '.join(ALLERGENS)}; or write none."
            raise InputError(field="allergens", given=said, wrong=f'"{name}" is not one of the 14.', accepted=accepted)
    return tuple(name for name in names if name != "none")


_PLAIN = Ingredient(
    id="",
    name="",
    also_called=(),
    group="condiment",
    density_kg_per_m3=1000.0,
    spoon_density_kg_per_m3=Interval.exactly(1000.0),
    piece_kg={},
    water=1.0,
    salt=NO_HEAT,
    sugar=NO_HEAT,
    acid=NO_HEAT,
    acids=Acids(),
    ph=None,
    fat=0.0,
    alcohol=0.0,
    protein=0.0,
    enzyme=None,
    allergens=(),
    source="label",
    confidence="medium",
)


def as_label(item: Ingredient) -> LabelInput:
    """A shipped ingredient as a label to start an own copy from."""
    parts = (("Fat", item.fat), ("Sugars", item.sugar.value), ("Protein", item.protein), ("Salt", item.salt.value))
    lines = "\n".join(f"{word} {share * 100:.4g} g" for word, share in parts)
    return LabelInput(f"my {item.also_called[0]}", item.id, "per_100g", "", lines, "")
