"""One typed line of a mix: the ingredient that it means and how much of it, or what has to be asked."""

from __future__ import annotations

import re
from dataclasses import replace
from functools import lru_cache

from vadouvan.core.draft.typed import LONGEST_TEXT, LineInput
from vadouvan.core.measures.numbers import Interval
from vadouvan.core.measures.units import VOLUME_M3
from vadouvan.core.pantry.ingredient import Ingredient
from vadouvan.core.pantry.pantry import Pantry
from vadouvan.core.pantry.strength import as_strong
from vadouvan.core.parsing.amount import MOST_KG, READ_LINES, Portion, SaidLine, not_in_that_state, read_line, weigh
from vadouvan.core.parsing.amount_behind import amount_first
from vadouvan.core.parsing.curing import curing_refused, names_curing_salt
from vadouvan.core.parsing.rate import rate_in, told_for_each
from vadouvan.core.parsing.several import taken_apart
from vadouvan.core.parsing.strength import strength_said
from vadouvan.core.parsing.tidy import without_bullet
from vadouvan.core.patterns import lazily
from vadouvan.errors import InputError

USUAL_MEAT_KG = 1.0  # for usual doses while no meat is said


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
    return _times_one(line, pantry) or _as_written(line, pantry, meat_kg)


# An amount and its ingredient in plain words: of such a line nothing hangs on the number but the weight.
_SO_MUCH = lazily(
    r"(?P<number>\d{1,4}(?:\.\d{1,2})?) (?P<of>(?:g|kg|ml|l|oz|lb|tsp|tbsp|teaspoons?|tablespoons?|cups?|cloves?"
    r"|sprigs?|sticks?|leaves|cm) [a-z]+(?:,? [a-z]+)*)"
)


def _times_one(line: LineInput, pantry: Pantry) -> Portion | None:
    """So many of what is read once for every number, as while an amount is typed; none if there is more to be read."""
    said = _SO_MUCH.fullmatch(line.text)
    one = _one(said["of"], pantry) if said else None
    if said is None or one is None:
        return None
    mass_kg = Interval.exactly(float(said["number"])).times(one.mass_kg)
    return replace(one, line_id=line.id, text=line.text, mass_kg=mass_kg) if 0 < mass_kg.value <= MOST_KG else None


@lru_cache(maxsize=READ_LINES)
def _one(said: str, pantry: Pantry) -> Portion | None:
    """One gram, spoon or clove of something; none where that is asked about, which is done with the line as written."""
    try:
        return _as_written(LineInput("one", f"1 {said}"), pantry, None)
    except InputError:
        return None


def _as_written(line: LineInput, pantry: Pantry, meat_kg: float | None) -> Portion:
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
    as_told = _by_the_meat(line, pantry, meat_kg) or _at_its_strength(line, pantry)
    if as_told is not None:
        return as_told
    said = read_line(line.text, field=path)
    grown = tuple(f"fresh {name}" for name in said.names) if said.unit in FRESH_UNITS else ()
    ingredient = pantry.qualified(said.qualified) or pantry.find(said.names, field=path, given=said.text)
    _refuse_another_beside(said, ingredient, pantry, path)
    _refuse_what_may_be_another(said, ingredient, path)
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
        return _of_either_flake(weigh(said, ingredient, line_id=line.id, field=path), said, pantry)
    except InputError:
        # "a stick of cinnamon": the measure is part of another ingredient's name
        of_that = [f"{name} {word}" for name in said.names for word in PIECES_NAMED.get(said.unit or "", ())]
        known = next((pantry.by_name[name.lower()] for name in of_that if name.lower() in pantry.by_name), None)
        if known is None:
            raise
        return weigh(said, pantry.by_id[known], line_id=line.id, field=path)


def _of_either_flake(portion: Portion, said: SaidLine, pantry: Pantry) -> Portion:
    """Kosher salt by the spoon, of a flake that is not said, as a guess: of a light one it weighs little over half."""
    if portion.ingredient.id != DENSE_FLAKE or said.unit not in VOLUME_M3 or _FLAKE_SAID.search(said.text):
        return portion
    dense, light = (pantry.by_id[name].spoon_density_kg_per_m3.value for name in (DENSE_FLAKE, LIGHT_FLAKE))
    mass = portion.mass_kg
    return replace(portion, mass_kg=Interval(mass.value, mass.low * light / dense, mass.high), guessed=True)


def _refuse_what_may_be_another(said: SaidLine, ingredient: Ingredient, path: str) -> None:
    """Raises InputError for a lemon in slices, for peppers by number and for red pepper by the spoon."""
    if ingredient.group == "acid" and said.unit in (None, "each", "slice") and _IN_SLICES.search(said.text):
        wrong = f'"{said.text.strip()}" may be its juice, or slices that season little.'
        accepted = f'Write "juice of {said.number.value:g} {said.names[-1]}", or leave the slices out.'
        raise InputError(field=path, given=said.text, wrong=wrong, accepted=accepted)
    if ingredient.id == BY_THE_CORN and said.unit in (None, "each") and not _CORNS.search(said.text):
        wrong = f'"{said.text.strip()}" may be peppercorns, sweet peppers or chillies.'
        accepted = 'Write which, such as "10 peppercorns", "1 sweet pepper" or "1 red chilli".'
        raise InputError(field=path, given=said.text, wrong=wrong, accepted=accepted)
    if ingredient.id == SWEET_PEPPER and said.unit in _SPOONS and _BARE_RED.search(said.text):
        wrong = f'"{said.text.strip()}" may be ground hot red pepper, its flakes or the sweet one.'
        accepted = 'Write which: "cayenne", "chilli flakes" or "sweet red pepper".'
        raise InputError(field=path, given=said.text, wrong=wrong, accepted=accepted)


def _refuse_another_beside(said: SaidLine, ingredient: Ingredient, pantry: Pantry, path: str) -> None:
    """Raises InputError where another ingredient stands beside that of the line: "2 cloves garlic, ginger",
    "1 tsp salt (and pepper)"; in "1 tbsp oil, sesame" it is part of the name.
    """
    for part in map(str.strip, (*said.preparation.split(","), *_AND_IN_BRACKETS.findall(said.text))):
        other = pantry.named(part) if part else None
        if other is not None and part.split()[0].lower().removesuffix("s") in ingredient.piece_kg:
            continue  # "1 head garlic, cloves peeled"
        is_of_the_name = any(pantry.named(f"{part} {name}") == ingredient for name in said.names) if other else False
        is_zest = part.lower() in _OF_FRUIT and "zest" not in said.names[-1]
        fruit = _OF_ANOTHER_FRUIT.search(part)
        is_fruit = fruit is not None and (fruit["fruit"] or fruit["named"]).lower() not in said.names[-1].lower()
        if (other not in (None, ingredient) and not is_of_the_name) or is_zest or is_fruit:
            wrong = f'"{said.text.strip()}" says more than one thing.'
            called = part if other is None else other.also_called[0]
            accepted = f'Write "{called}" on a line of its own, with its amount.'
            raise InputError(field=path, given=said.text, wrong=wrong, accepted=accepted)


def _by_the_meat(line: LineInput, pantry: Pantry, meat_kg: float | None) -> Portion | None:
    """So much for each kilogram or pound of meat without its bone, or a usual dose; none if the amount is said."""
    if amount := told_for_each(amount_first(line.text)):
        wrong = f'"{line.text.strip()}" is an amount for each, and how many there are has not been said.'
        accepted = f'Write what all of them get together: for 2, twice "{amount}".'
        raise InputError(field=f"mix.{line.id}", given=line.text, wrong=wrong, accepted=accepted)
    rate = rate_in(line.text)
    if rate is None:
        return _usual_dose(line, pantry, meat_kg or USUAL_MEAT_KG)
    if meat_kg is None:
        wrong = f'"{line.text.strip()}" is an amount for so much meat, and how much there is has not been said.'
        accepted = f'Say the meat first, or write the amount for all of it, such as "{rate.line}".'
        raise InputError(field=f"mix.{line.id}", given=line.text, wrong=wrong, accepted=accepted)
    return replace(portion_of(LineInput(line.id, rate.line), pantry).part(meat_kg / rate.per_kg), text=line.text)


def _at_its_strength(line: LineInput, pantry: Pantry) -> Portion | None:
    """So much of what a bottle or a tub tells the strength of, "50 ml vinegar 9%"; none if no strength is said."""
    said = strength_said(line.text)
    if said is None:
        return None
    try:
        portion = portion_of(LineInput(line.id, said.line), pantry)
    except InputError:
        return None  # the line as it stands is asked about
    item = as_strong(portion.ingredient, said.share)
    return None if item is None else replace(portion, ingredient=item, text=line.text)


_VAGUE_START = lazily(r"^(?:some|a little|a bit of|a touch of|plenty of|fresh|freshly ground|chopped) ", re.IGNORECASE)
_LEFT_TO_THE_COOK = lazily(
    r"\b(?:to|for|as|if|enough|until|whatever|plenty|optional|no|of|few|drops?|pinch|dash|splash|spoon)\b",
    re.IGNORECASE,
)
MOST_SALT_GUESSED = 0.01  # share of salt from which an amount is asked, not guessed


def _usual_dose(line: LineInput, pantry: Pantry, meat_kg: float) -> Portion | None:
    """A usual dose of what is named without an amount; none if anything else is said of it."""
    text = " ".join(without_bullet(line.text).split())
    if re.search(r"[\d½¼¾⅓⅔]", text) or _LEFT_TO_THE_COOK.search(text):
        return None
    body, *beside = text.split(",")
    if any(pantry.named(part.strip()) is not None for part in beside):  # "thyme, bay" is of two
        return None
    names = [body, _VAGUE_START.sub("", body), _VAGUE_START.sub("", _VAGUE_START.sub("", body))]
    known = next((pantry.by_name[name.lower()] for name in names if name.lower() in pantry.by_name), None)
    item = pantry.by_id[known] if known else None
    if item is None or item.dose_kg_per_kg is None or item.enzyme or item.salt.value > MOST_SALT_GUESSED:
        return None
    dose = item.dose_kg_per_kg.times(Interval.exactly(meat_kg))
    return Portion(line.id, line.text, item, dose, guessed=True)


_TEASPOONS = frozenset(("tsp", "teaspoon"))
_SPOONS = _TEASPOONS | {"tbsp", "tablespoon", "dessertspoon"}
_AS_IT_GROWS = lazily(
    r"\b(?:lea(?:f|ves)|stems?|stalks|fresh|grated|chopped|minced|torn|sliced|picked|crushed|pureed|puree|paste)\b",
    re.I,
)


def _fresh_or_dried(said: SaidLine, ingredient: Ingredient, pantry: Pantry) -> tuple[Ingredient, SaidLine]:
    """Marks as a guess what comes fresh and dried, by the spoon and without a word which.

    A teaspoon of a herb is of the dried one, a tablespoon of the fresh; where what is kept dry is another part of the
    plant, it is that: a spoon of coriander is ground seed, one of chilli is its flakes.
    """
    if said.unit not in _SPOONS:
        return ingredient, said
    # Bare "chilli" alone: "red chilli" is what our own amounts have called the fresh one.
    bare = [one.lower() for one in said.names] if all(" " not in one for one in said.names) else []
    flakes = next((f"{one} flakes" for one in bare if f"{one} flakes" in pantry.by_name), "")
    is_fresh_and_hot = ingredient.heat_shu.value > 0 and ingredient.water > 0.5
    if flakes and is_fresh_and_hot and not _AS_IT_GROWS.search(said.text):
        return pantry.by_id[pantry.by_name[flakes]], replace(said, guessed=True)
    if ingredient.group not in ("herb_fresh", "aromatic_fresh"):
        return ingredient, said
    kept = {"ground": _SPOONS, "dried": _TEASPOONS}
    dry = [f"{state} {name.lower()}" for state in kept for name in said.names]
    known = next((name for name in dry if name in pantry.by_name), "")
    if not known or _AS_IT_GROWS.search(said.text) or pantry.by_name[known] == ingredient.id:
        return ingredient, said
    is_dry = ingredient.group == "herb_fresh" and said.unit in kept[known.split()[0]]
    return pantry.by_id[pantry.by_name[known]] if is_dry else ingredient, replace(said, guessed=True)


_OF_FRUIT = ("zest", "rind")
_OF_ANOTHER_FRUIT = lazily(
    r"\b(?:juice|zest|rind)\b.*\b(?P<fruit>lemon|lime|orange|grapefruit)s?\b"
    r"|\b(?P<named>lemon|lime|orange|grapefruit) (?:juice|zest|rind)\b",
    re.IGNORECASE,
)
_AND_IN_BRACKETS = lazily(r"\(\s*(?:and|plus|with|\+|&)\s+([^()]+)\)", re.IGNORECASE)
DENSE_FLAKE, LIGHT_FLAKE = "salt_kosher_dense", "salt_kosher_light"
_FLAKE_SAID = lazily(r"\b(?:dense|coarse|rolled|flat|light)\b", re.IGNORECASE)
BY_THE_CORN, SWEET_PEPPER = "pepper_black", "pepper_sweet_red"
_BARE_RED = lazily(r"^(?!.*\b(?:sweet|bell|fresh|chopped|diced|roast(?:ed)?|minced|grated|pureed|puree)\b)", re.I)
_CORNS = lazily(r"\b(?:pepper ?)?(?:corns?|grains?|berries|berry)\b|\bpeppercorns?\b|\bblack\b", re.IGNORECASE)
_IN_SLICES = lazily(r"\b(?:sliced|slices?|wedges?|quartered|rounds)\b", re.IGNORECASE)
PIECES_NAMED = {"stick": ("stick",), "cm": ("stick",), "in": ("stick",), "inch": ("stick",), "leaf": ("leaf",)}
# Of a plant as it grows, never of one that is dried and ground
FRESH_UNITS = frozenset(("sprig", "bunch", "handful", "leaf", "knob", "cm", "in", "inch"))


@lru_cache(maxsize=READ_LINES)
def can_be_read(text: str, pantry: Pantry) -> bool:
    """Whether a line is one of a mix, or holds several."""
    try:
        portion_of(LineInput("asked", text), pantry, USUAL_MEAT_KG)
    except InputError:
        return len(single_lines(text, pantry)) > 1
    return True


@lru_cache(maxsize=READ_LINES)
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
