"""Reading the answers about the mix: its lines, aims, quantity, and how it is made."""

from __future__ import annotations

import math
import re
from collections.abc import Mapping
from dataclasses import dataclass, replace
from functools import lru_cache
from typing import TypeVar, get_args

from vadouvan.core.constants import LIQUID_DENSITY
from vadouvan.core.draft.typed import (
    LONGEST_TEXT,
    MOST_LINES,
    YES,
    AimsInput,
    Draft,
    LineInput,
    MakingInput,
    QuantityInput,
)
from vadouvan.core.figure import number_told
from vadouvan.core.interpretation.notes import Notes
from vadouvan.core.interpretation.reduced import reduced_to
from vadouvan.core.measures.numbers import Interval, leading_number
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
from vadouvan.core.parsing.amount import READ_LINES, Portion, SaidLine, not_in_that_state, read_line, weigh
from vadouvan.core.parsing.curing import curing_refused, names_curing_salt
from vadouvan.core.parsing.rate import rate_in
from vadouvan.core.parsing.several import taken_apart
from vadouvan.core.parsing.tidy import without_bullet
from vadouvan.errors import InputError

T = TypeVar("T")
SCHOOLS: dict[str, SaltingMethod] = {name: name for name in get_args(SaltingMethod)}
METHODS: dict[str, Method] = {name: name for name in get_args(Method)}
COOLINGS: dict[str, Cooling] = {name: name for name in get_args(Cooling)}
TEXTURES: dict[str, Texture] = {name: name for name in get_args(Texture)}
FORMS: dict[str, Form] = {name: name for name in get_args(Form)}
CONTAINERS: dict[str, Container] = {name: name for name in get_args(Container)}
COATS: dict[str, Coat] = {name: name for name in get_args(Coat)}
DEFAULT_BATH_H = 12.0
USUAL_MEAT_KG = 1.0  # for usual doses while no meat is said


@dataclass(frozen=True)
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


def seasons_nothing(text: str, pantry: Pantry) -> bool:
    """Whether a line that cannot be weighed is of something known that brings neither salt, sourness nor an enzyme."""
    try:
        said = read_line(text, field="mix")
    except InputError:
        return False
    item = pantry.qualified((*said.qualified, *said.names))
    return item is not None and item.enzyme is None and max(item.salt.value, item.acid.value) <= MOST_SALT_GUESSED


@lru_cache(maxsize=READ_LINES)
def portion_of(line: LineInput, pantry: Pantry, meat_kg: float | None = None) -> Portion:
    """The portion that a typed line means; raises InputError with the line's path ``mix.<id>``.

    An amount for each kilogram needs the meat. A line that names an ingredient and no amount is a usual dose for so
    much meat (a kilogram while none is said), as a guess with a wide band: never of what carries salt or a live enzyme.
    """
    path = f"mix.{line.id}"
    if len(line.text) > LONGEST_TEXT:
        wrong = f"A line of {len(line.text)} letters is too long for one ingredient."
        raise InputError(field=path, given=line.text[:60], wrong=wrong, accepted="Write one ingredient a line.")
    if names_curing_salt(line.text):
        raise curing_refused(line.text, path)
    parts = taken_apart(line.text)
    if parts and single_lines(line.text, pantry) == parts:
        wrong = f'"{line.text.strip()}" holds several ingredients.'
        raise InputError(field=path, given=line.text, wrong=wrong, accepted=f"Write one a line: {'; '.join(parts)}.")
    by_the_meat = _by_the_meat(line, pantry, meat_kg)
    if by_the_meat is not None:
        return by_the_meat
    said = read_line(line.text, field=path)
    grown = tuple(f"fresh {name}" for name in said.names) if said.unit in FRESH_UNITS else ()
    meant = pantry.qualified(said.qualified)
    ingredient = meant or _alone(said, pantry, path)
    if ingredient.group == "acid" and said.unit in (None, "each", "slice") and _IN_SLICES.search(line.text):
        wrong = f'"{line.text.strip()}" may be its juice, or slices that season little.'
        accepted = f'Write "juice of {said.number.value:g} {said.names[-1]}", or leave the slices out.'
        raise InputError(field=path, given=line.text, wrong=wrong, accepted=accepted)
    if ingredient.group in ("herb_dried", "spice_dried"):
        fresh = next((pantry.by_name[name] for name in grown if name in pantry.by_name), None)
        ingredient = pantry.by_id[fresh] if fresh else ingredient
    state = not_in_that_state(said, ingredient)
    if state:
        wrong = f'"{said.names[-1]}" is known here as {ingredient.also_called[0]}, not {state}.'
        near = ", ".join(f'"{item.also_called[0]}"' for item in pantry.search(state, 3))
        raise InputError(field=path, given=line.text, wrong=wrong, accepted=f"Write which you mean, such as {near}.")
    ingredient, said = _fresh_or_dried(said, ingredient, pantry)
    try:
        return weigh(said, ingredient, line_id=line.id, field=path)
    except InputError:
        # "a stick of cinnamon": the measure is part of another ingredient's name
        of_that = [f"{name} {word}" for name in said.names for word in PIECES_NAMED.get(said.unit or "", ())]
        known = next((pantry.by_name[name.lower()] for name in of_that if name.lower() in pantry.by_name), None)
        if known is None:
            raise
        return weigh(said, pantry.by_id[known], line_id=line.id, field=path)


def _alone(said: SaidLine, pantry: Pantry, path: str) -> Ingredient:
    """The ingredient of a line; raises InputError where another stands behind a comma: "1 bay leaf, thyme sprigs"."""
    ingredient = pantry.find(said.names, field=path, given=said.text)
    for part in filter(None, map(str.strip, said.preparation.split(","))):
        other = pantry.qualified((part,))
        if other is not None and other != ingredient and len(part.split()) > 1:
            wrong = f'"{said.text.strip()}" says more than one thing.'
            accepted = f'Write "{other.also_called[0]}" on a line of its own, with its amount.'
            raise InputError(field=path, given=said.text, wrong=wrong, accepted=accepted)
    return ingredient


def _by_the_meat(line: LineInput, pantry: Pantry, meat_kg: float | None) -> Portion | None:
    """So much for each kilogram or pound of meat without its bone, or a usual dose; none if the amount is said."""
    rate = rate_in(line.text)
    if rate is None:
        return _usual_dose(line, pantry, meat_kg or USUAL_MEAT_KG)
    if meat_kg is None:
        wrong = f'"{line.text.strip()}" is an amount for so much meat, and how much there is has not been said.'
        accepted = f'Say the meat first, or write the amount for all of it, such as "{rate.line}".'
        raise InputError(field=f"mix.{line.id}", given=line.text, wrong=wrong, accepted=accepted)
    return replace(portion_of(LineInput(line.id, rate.line), pantry).part(meat_kg / rate.per_kg), text=line.text)


_VAGUE_START = re.compile(
    r"^(?:some|a little|a bit of|a touch of|plenty of|fresh|freshly ground|chopped) ", re.IGNORECASE
)
_LEFT_TO_THE_COOK = re.compile(
    r"\b(?:to|for|as|if|enough|until|whatever|plenty|optional|no|of|few|drops?|pinch|dash|splash|spoon)\b",
    re.IGNORECASE,
)
MOST_SALT_GUESSED = 0.01  # share of salt from which an amount is asked, not guessed


def _usual_dose(line: LineInput, pantry: Pantry, meat_kg: float) -> Portion | None:
    """A usual dose of what is named without an amount; none if anything else is said of it."""
    text = " ".join(without_bullet(line.text).split())
    if re.search(r"[\d½¼¾⅓⅔]", text) or _LEFT_TO_THE_COOK.search(text):
        return None
    body, _, _ = text.partition(",")
    names = [body, _VAGUE_START.sub("", body), _VAGUE_START.sub("", _VAGUE_START.sub("", body))]
    known = next((pantry.by_name[name.lower()] for name in names if name.lower() in pantry.by_name), None)
    item = pantry.by_id[known] if known else None
    if item is None or item.dose_kg_per_kg is None or item.enzyme or item.salt.value > MOST_SALT_GUESSED:
        return None
    dose = item.dose_kg_per_kg.times(Interval.exactly(meat_kg))
    return Portion(line.id, line.text, item, dose, guessed=True)


_TEASPOONS = frozenset(("tsp", "teaspoon"))
_SPOONS = _TEASPOONS | {"tbsp", "tablespoon", "dessertspoon"}
_AS_IT_GROWS = re.compile(
    r"\b(?:lea(?:f|ves)|stems?|stalks|fresh|grated|chopped|minced|torn|sliced|picked|crushed|pureed|puree|paste)\b",
    re.I,
)


def _fresh_or_dried(said: SaidLine, ingredient: Ingredient, pantry: Pantry) -> tuple[Ingredient, SaidLine]:
    """Marks as a guess what comes fresh and dried, by the spoon and without a word which.

    A teaspoon of a herb is of the dried one, a tablespoon of the fresh; where what is kept dry is another part of the
    plant, it is that: a spoon of coriander is ground seed.
    """
    if said.unit not in _SPOONS or ingredient.group not in ("herb_fresh", "aromatic_fresh"):
        return ingredient, said
    kept = {"ground": _SPOONS, "dried": _TEASPOONS}
    dry = [f"{state} {name.lower()}" for state in kept for name in said.names]
    known = next((name for name in dry if name in pantry.by_name), "")
    if not known or _AS_IT_GROWS.search(said.text) or pantry.by_name[known] == ingredient.id:
        return ingredient, said
    is_dry = ingredient.group == "herb_fresh" and said.unit in kept[known.split()[0]]
    return pantry.by_id[pantry.by_name[known]] if is_dry else ingredient, replace(said, guessed=True)


_IN_SLICES = re.compile(r"\b(?:sliced|slices?|wedges?|quartered|rounds)\b", re.IGNORECASE)
PIECES_NAMED = {"stick": ("stick",), "cm": ("stick",), "in": ("stick",), "inch": ("stick",), "leaf": ("leaf",)}
FRESH_UNITS = frozenset(("sprig", "bunch", "handful", "leaf"))  # of a herb as it grows, never of a dried one


def can_be_read(text: str, pantry: Pantry) -> bool:
    """Whether a line is one of a mix, or holds several."""
    try:
        portion_of(LineInput("asked", text), pantry, USUAL_MEAT_KG)
    except InputError:
        return len(single_lines(text, pantry)) > 1
    return True


def single_lines(text: str, pantry: Pantry) -> tuple[str, ...]:
    """The lines of one ingredient each that a line means: itself, or its parts where every one of them can be read."""
    parts = taken_apart(text)
    if not parts or names_curing_salt(text):
        return (text,)
    try:
        for part in parts:
            portion_of(LineInput("part", part), pantry, USUAL_MEAT_KG)
    except InputError:
        return (text,)
    return parts


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
