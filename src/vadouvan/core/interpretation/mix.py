"""Reading the answers about the mix: its lines, aims, quantity, and how it is made."""

from __future__ import annotations

import math
import re
from collections.abc import Mapping
from dataclasses import replace
from typing import TypeVar, get_args

from vadouvan.core.constants import LIQUID_DENSITY
from vadouvan.core.draft.typed import (
    MOST_LINES,
    YES,
    AimsInput,
    Draft,
    LineInput,
    MakingInput,
    QuantityInput,
)
from vadouvan.core.figure import number_told
from vadouvan.core.interpretation.line import portion_of, seasons_nothing
from vadouvan.core.interpretation.notes import Notes
from vadouvan.core.interpretation.reduced import reduced_to
from vadouvan.core.measures.numbers import leading_number
from vadouvan.core.measures.quantity import (
    CONTACT,
    MIX_MASS,
    SIMMER,
    VESSEL_SIDE,
    VESSEL_VOLUME,
    QuantityKind,
    decimal,
    quantity,
)
from vadouvan.core.measures.units import VOLUME_M3, unit_word
from vadouvan.core.mix.consistency import OF_FORM, Form, consistency_of
from vadouvan.core.mix.leaving import least_left_kg
from vadouvan.core.mix.making import Cooling, Making, Method, Texture
from vadouvan.core.mix.need import Coat, Container, SetAside, Vessel
from vadouvan.core.mix.salting_method import Salting, SaltingMethod
from vadouvan.core.mix.solver import Aim
from vadouvan.core.pantry.ingredient import Ingredient
from vadouvan.core.pantry.pantry import Pantry
from vadouvan.core.parsing.amount import Portion
from vadouvan.errors import InputError
from vadouvan.unchanging import unchanging

T = TypeVar("T")
SCHOOLS: dict[str, SaltingMethod] = {name: name for name in get_args(SaltingMethod)}
METHODS: dict[str, Method] = {name: name for name in get_args(Method)}
COOLINGS: dict[str, Cooling] = {name: name for name in get_args(Cooling)}
TEXTURES: dict[str, Texture] = {name: name for name in get_args(Texture)}
FORMS: dict[str, Form] = {name: name for name in get_args(Form)}
CONTAINERS: dict[str, Container] = {name: name for name in get_args(Container)}
COATS: dict[str, Coat] = {name: name for name in get_args(Coat)}
DEFAULT_BATH_H = 12.0


@unchanging
class MixInterpretation:
    """The mix as read: weighed lines, which are locked, fished out or first, school, aims, vessel, making.

    ``aims`` are in kg per kg of meat, but for heat in Scoville units.
    """

    portions: tuple[Portion, ...]
    locked: frozenset[str]
    lifted: frozenset[str]
    first: frozenset[str]
    salting: Salting
    aims: Mapping[Aim, float]
    vessel: Vessel
    set_aside: SetAside
    making: Making


def read_mix(draft: Draft, pantry: Pantry, notes: Notes, meat_kg: float | None = None) -> MixInterpretation:
    """Every answer about the mix, with problems and assumptions noted; ``meat_kg`` for lines that name no amount."""
    portions = _lines(draft.mix, pantry, notes, meat_kg)
    salting = _salting(draft.aims, pantry, notes)
    return MixInterpretation(
        portions=portions,
        locked=frozenset(line.id for line in draft.mix if line.locked == YES),
        lifted=frozenset(line.id for line in draft.mix if line.lifted == YES),
        first=frozenset(line.id for line in draft.mix if line.first == YES),
        salting=salting,
        aims=_aims(draft.aims, notes),
        vessel=_vessel(draft.quantity, portions, salting, notes),
        set_aside=_set_aside(draft.quantity, notes),
        making=_making(draft.making, portions, notes),
    )


# --- lines ---------------------------------------------------------------------------------


def _lines(lines: tuple[LineInput, ...], pantry: Pantry, notes: Notes, meat_kg: float | None) -> tuple[Portion, ...]:
    written = [line for line in lines if line.text.strip()]
    if not written:
        notes.waiting.append("at least one ingredient in the mix")
    if len(written) > MOST_LINES:
        wrong = f"{len(written)} lines are more than one mix has."
        accepted = f"Keep up to {MOST_LINES} lines; put the rest in another batch."
        notes.problems.append(InputError(field="mix", given=f"{len(written)} lines", wrong=wrong, accepted=accepted))
    portions: list[Portion] = []
    for line in written[:MOST_LINES]:
        try:
            portions.append(portion_of(line, pantry, meat_kg))
        except InputError as error:
            (notes.unweighed if seasons_nothing(line.text, pantry) else notes.problems).append(error)
    if not portions:
        notes.problems += notes.unweighed
        notes.unweighed.clear()
    return tuple(portions)


# --- school and aims -----------------------------------------------------------------------


def _salting(said: AimsInput, pantry: Pantry, notes: Notes) -> Salting:
    school = _chosen(said.school, SCHOOLS, "aims.school", notes)
    bath_h = DEFAULT_BATH_H
    if school == "strong_bath":
        bath_s = _said(said.bath_time, CONTACT, "aims.bath_h", notes)
        bath_h = bath_s / 3600 if bath_s else notes.assume("aims.bath_h", DEFAULT_BATH_H, f"{DEFAULT_BATH_H:.0f} h")
    salt, spoons = None, 1.0
    if school == "spoon_per_pound":
        salt = _spoon_salt(said.spoon_salt, pantry, notes)
        spoons = _spoons(said.spoons, notes)
    return Salting(school, bath_h * 3600, salt, spoons)


def _spoon_salt(said: str, pantry: Pantry, notes: Notes) -> Ingredient:
    plain = pantry.plain_salt
    if not said:
        return notes.assume("aims.spoon_salt", plain, plain.also_called[0])
    item = pantry.by_id.get(said)
    if item is None or item.salt.value < 0.5:
        accepted = "Choose one of the salts in the pantry."
        notes.problems.append(
            InputError(field="aims.spoon_salt", given=said, wrong=f'"{said}" is no salt.', accepted=accepted)
        )
        return plain
    return item


def _spoons(said: str, notes: Notes) -> float:
    if not said:
        return notes.assume("aims.spoons", 1.0, "1 level teaspoon")
    accepted = "Write 0.25 to 4 level teaspoons a pound, such as 1 or 1.5."
    value = notes.attempt(
        lambda: decimal(said, field="aims.spoons", low=0.25, high=4, units=("tsp",), accepted=accepted)
    )
    return 1.0 if value is None else value


def _aims(said: AimsInput, notes: Notes) -> dict[Aim, float]:
    """Sugar and acid aims [kg/kg] and heat [SHU], as far as they were said."""
    limits: tuple[tuple[Aim, str, float, str], ...] = (
        ("sugar", said.sugar, 200.0, "0 to 200 grams of sugar a kilogram of meat; 5 to 20 is usual"),
        ("acid", said.acid, 60.0, "0 to 60 grams of acid a kilogram of meat; 2 to 8 is usual"),
        ("heat", said.heat, 20_000.0, "0 to 20000 Scoville units on average over the meat; 50 is mild, 500 is hot"),
    )
    found: dict[Aim, float] = {}
    for aim, text, most, words in limits:
        if text:
            unit = "shu_per_kg" if aim == "heat" else "g_per_kg"
            value = notes.attempt(
                lambda text=text, aim=aim, most=most, words=words, unit=unit: decimal(  # type: ignore[misc]
                    text, field=f"aims.{aim}_{unit}", low=0, high=most, units=("g", "g/kg"), accepted=f"Write {words}."
                )
            )
            if value is not None:
                found[aim] = value if aim == "heat" else value / 1000
    return found


# --- quantity ------------------------------------------------------------------------------


def _vessel(said: QuantityInput, portions: tuple[Portion, ...], salting: Salting, notes: Notes) -> Vessel:
    found = consistency_of(portions)
    thick = any(portion.ingredient.group.startswith("dairy") for portion in portions)
    bath = salting.school in ("equilibrium", "strong_bath")
    form: Form = "bath" if bath else found.form
    coat: Coat = "thick" if thick else "usual"
    footprint, volume = _size(said.size, notes)
    chosen = notes.choice(said.form, FORMS, (form, form), "quantity.form")
    return Vessel(
        form=chosen,
        consistency=OF_FORM[chosen] if said.form or bath else found,
        container=notes.choice(said.container, CONTAINERS, ("bag", "bag"), "quantity.container"),
        coat=notes.choice(said.coat, COATS, (coat, coat), "quantity.coat"),
        footprint_m2=footprint,
        volume_m3=volume,
    )


def _size(said: str, notes: Notes) -> tuple[float | None, float | None]:
    """Floor [m2] and volume [m3] of a vessel: "22 x 16 cm" or "2.5 l"."""
    if not said:
        return None, None
    plain = " ".join(said.split())
    sides = re.fullmatch(r"([\d.,]+ ?(?:[a-z]+)?) ?(?:x|×|by) ?([\d.,]+) ?([a-z]+)", plain, re.IGNORECASE)
    if sides:
        unit = sides[3]
        first = sides[1] if re.search(r"[a-z]", sides[1], re.IGNORECASE) else f"{sides[1]} {unit}"
        lengths = [
            notes.attempt(lambda text=text: quantity(text, VESSEL_SIDE, field="quantity.size"))  # type: ignore[misc]
            for text in (first, f"{sides[2]} {unit}")
        ]
        return (lengths[0] * lengths[1], None) if lengths[0] and lengths[1] else (None, None)
    return None, _said(said, VESSEL_VOLUME, "quantity.size", notes)


def _set_aside(said: QuantityInput, notes: Notes) -> SetAside:
    """The part kept clean, as a weight, a share, spoons or a volume, and what becomes of it."""
    text = said.set_aside.strip()
    plain = SetAside(
        use=said.set_aside_for.strip(), reduction=reduced_to(said.set_aside_to, "quantity.set_aside_to", notes)
    )
    if not text:
        return plain
    if text.endswith("%"):
        accepted = 'Write a weight such as "120 g", or a share of the mix from 0 to 90 %.'
        share = notes.attempt(
            lambda: decimal(text, field="quantity.set_aside", low=0, high=90, units=("%",), accepted=accepted)
        )
        return replace(plain, share=(share or 0.0) / 100)
    share_said = _share_of_it(text)
    if share_said is not None:
        return replace(plain, share=share_said)
    volume_m3 = _volume_of_it(text)
    if volume_m3 is not None:
        grams = notes.assume("quantity.set_aside", volume_m3 * LIQUID_DENSITY.value * 1000, "")
        notes.assumed["quantity.set_aside"] = f"about {grams:.0f} g"
        return replace(plain, mass_kg=grams / 1000)
    return replace(plain, mass_kg=_said(text, MIX_MASS, "quantity.set_aside", notes))


MOST_SHARE_ASIDE = 0.9


def _share_of_it(text: str) -> float | None:
    """A part in words or as a fraction: "a third", "half of it", "1/4"; nothing for any other text."""
    found = leading_number(re.sub(r"\s+(?:of (?:it|the mix|the marinade))$", "", text.strip(), flags=re.IGNORECASE))
    is_part = found is not None and not found.rest.strip() and 0 < found.number.value <= MOST_SHARE_ASIDE
    return found.number.value if found is not None and is_part and not re.match(r"^0?[.,]", text) else None


def _volume_of_it(text: str) -> float | None:
    """Spoons, cups or millilitres [m3]: "3 tbsp", "1/4 cup", "45 ml"; nothing for any other text."""
    found = leading_number(text)
    unit = unit_word(found.rest.strip()) if found is not None else ""
    return found.number.value * VOLUME_M3[unit] if found is not None and unit in VOLUME_M3 else None


# --- making --------------------------------------------------------------------------------


def _making(said: MakingInput, portions: tuple[Portion, ...], notes: Notes) -> Making:
    method = notes.choice(said.method, METHODS, ("raw", "raw"), "making.method")
    simmer_s = _said(said.simmer, SIMMER, "making.simmer_min", notes)
    texture = _chosen(said.texture, TEXTURES, "making.texture", notes)
    cooling: Cooling = "ice_bath"
    if method in ("cooked", "fried"):
        cooling = notes.choice(said.cooling, COOLINGS, (cooling, cooling), "making.cooling")
        if simmer_s is None and method == "cooked":
            notes.assumed["making.simmer_min"] = "10 min"
    usual = Making()
    return Making(
        method=method,
        simmer_s=usual.simmer_s if simmer_s is None else simmer_s,
        reduce_to_kg=_reduce_to(said.reduce_to.strip(), portions, notes),
        cooling=cooling,
        texture=texture,
        first_contact_s=_said(said.first_contact, CONTACT, "making.first_contact_min", notes),
        strained=said.strained == YES,
    )


def _reduce_to(text: str, portions: tuple[Portion, ...], notes: Notes) -> float | None:
    """Weight after boiling down [kg], said as a weight or as a share of what goes in; never below its own solids."""
    if not text:
        return None
    field, total_kg = "making.reduce_to", sum(portion.mass_kg.value for portion in portions)
    if text.endswith("%"):
        accepted = 'Write a share from 20 to 100 %, or a weight such as "400 g".'
        share = notes.attempt(lambda: decimal(text, field=field, low=20, high=100, units=("%",), accepted=accepted))
        wanted_kg = None if share is None else share / 100 * total_kg
    else:
        wanted_kg = _said(text, MIX_MASS, field, notes)
    least_kg = least_left_kg(portions)
    if wanted_kg is not None and portions and wanted_kg < 0.999 * least_kg:
        least = number_told(math.ceil(least_kg * 1000))
        wanted, total = number_told(wanted_kg * 1000), number_told(total_kg * 1000)
        wrong = f"{wanted} g is less than what does not boil away of {total} g."
        accepted = f"Write {least} g or more: solids, salt and sugar stay, with the water that holds them."
        notes.problems.append(InputError(field=field, given=text, wrong=wrong, accepted=accepted))
        return None
    return wanted_kg


def _said(text: str, kind: QuantityKind, field: str, notes: Notes) -> float | None:
    """A quantity if one was typed and can be read [SI]."""
    return notes.attempt(lambda: quantity(text, kind, field=field)) if text.strip() else None


def _chosen(said: str, choices: dict[str, T], path: str, notes: Notes) -> T | None:
    """A choice that may be left open."""
    return notes.choice(said, choices, (next(iter(choices.values())), ""), path) if said else None
