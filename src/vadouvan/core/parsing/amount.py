"""A typed line of a mix: "2 tbsp cider vinegar", "juice of 2 lemons", "a good splash of oil".

Two steps: :func:`read_line` splits a line into quantity, unit, name and preparation without
knowing any ingredient; :func:`weigh` turns that into kilograms for a given ingredient.
"""

from __future__ import annotations

import re
from dataclasses import replace
from functools import lru_cache

from vadouvan.core.measures.numbers import Interval, leading_number
from vadouvan.core.measures.units import LENGTH_M, MASS_KG, VOLUME_M3
from vadouvan.core.pantry.ingredient import Ingredient
from vadouvan.core.parsing.amount_behind import amount_first
from vadouvan.core.parsing.foreign import foreign_measure
from vadouvan.core.parsing.said_units import NAMES_TOO, PARTS_OF, PIECE_UNITS, SPOONS, VAGUE_M3, unit_said
from vadouvan.core.parsing.spoken import plainly_said
from vadouvan.core.parsing.tidy import tidied
from vadouvan.core.patterns import lazily
from vadouvan.errors import InputError
from vadouvan.unchanging import unchanging

READ_LINES = 1024  # kept as read: of an edit only one line is another

_SIZES = {"small": 0.7, "medium": 1.0, "large": 1.35, "big": 1.35}
_MANNER = {
    "heaped": 1.4,
    "heaping": 1.4,
    "scant": 0.9,
    "level": 1.0,
    "rounded": 1.25,
    "good": 1.3,
    "generous": 1.3,
    "big": 1.5,
    "little": 0.6,
    "small": 0.7,
    "large": 1.35,
    "tiny": 0.5,
    "fat": 1.25,
    "plump": 1.2,
    "thin": 0.7,
    "thick": 1.3,
    "whole": 1.0,
    "medium": 1.0,
    "decent": 1.2,
    "healthy": 1.3,
}

# Words that make another ingredient of what they stand beside; those that decide are asked about if it is unknown.
STATES = {
    "fresh": "fresh", "dried": "dried", "dry": "dry", "ground": "ground", "smoked": "smoked", "canned": "canned",
    "tinned": "canned", "can": "canned", "tin": "canned", "bottled": "bottled", "kosher": "kosher", "light": "light",
    "dark": "dark", "brown": "brown", "cayenne": "cayenne", "unsalted": "unsalted", "frozen": "frozen",
    "sodium": "low sodium",
}  # fmt: skip
DECIDES = frozenset({"dried", "smoked", "canned", "bottled", "kosher", "cayenne", "low sodium"})
DECIDES_FOR: dict[str, tuple[str, ...]] = {
    "canned": ("vegetable", "enzyme_fruit", "fruit", "aromatic_fresh", "chilli_fresh"),
    "bottled": ("acid",),
}

_IN_BRACKETS = lazily(r"\(((?:[^()]|\([^()]*\))*)\)")  # one within another is part of it
_MORE = lazily(r"^\s*(?:plus|and|\+|with)\s+(?!.*\bfor\b)", re.IGNORECASE)  # "(plus 1 cup ice)"
_SOME_OF_ANOTHER = lazily(  # "2 tbsp yoghurt, a little salt"
    r"^\s*(?:(?:and|plus|with|\+|&)\s+)?(?:an?\s+)?(?:little|some|splash|pinch|dash|handful|bunch|knob|squeeze|drizzle|glug|touch)"
    r"\s+(?:of\s+)?(?!more|extra|less|for\b|to\b|left|over|kept|water\b|leaves|reserved|[a-z]+ed\b)[a-z]{3,}",
    re.IGNORECASE,
)
_DRAINED = lazily(r"\b(?:hung|strained|drained)\b", re.IGNORECASE)
_TREATED_SO = lazily(r"^(?:(?:finely|roughly|thinly|left) )?(?:[a-z]{3,}ed|whole)\s*$", re.IGNORECASE)
_STRENGTH = lazily(r"\bper (?:l|lit(?:re|er)s?|quarts?|gallons?|pints?|cups?)\b|\d\s*% brine\b", re.IGNORECASE)
MOST_KG = 10.0
MOST_QUALIFYING = 3  # words beside a name that can make another ingredient of it
PER_CENT = "%"  # of what is not said: such a unit has no weight
ABOUT = 0.15  # "about" widens an amount by so much either way
ACCEPTED = 'Write an amount and an ingredient, such as "12 g salt", "2 tbsp cider vinegar" or "8 cloves garlic".'


@unchanging
class SaidLine:
    """A line split up: how many of what unit, of what, prepared how; ``manner`` scales the unit.

    ``names`` are to be tried in turn: "curry leaves" may be an ingredient, or leaves of curry. ``states`` are words
    that make another ingredient of it: dried, smoked, canned. ``qualified`` are names with what stands after a comma
    or in brackets put before them, "butter, salted" as "salted butter": where one is known, it is what was meant.
    """

    text: str
    number: Interval
    unit: str | None
    names: tuple[str, ...]
    preparation: str
    manner: float
    guessed: bool
    states: tuple[str, ...] = ()
    qualified: tuple[str, ...] = ()


@unchanging
class Portion:
    """So much of an ingredient, in a unit of ``unit_kg``. ``guessed`` when the words did not fix the weight."""

    line_id: str
    text: str
    ingredient: Ingredient
    mass_kg: Interval
    guessed: bool
    preparation: str = ""
    unit: str = "g"
    unit_kg: float = 1e-3

    def part(self, share: float) -> Portion:
        """So much of it [1], with its spread."""
        return self if share == 1.0 else replace(self, mass_kg=self.mass_kg.times(Interval.exactly(share)))

    def __hash__(self) -> int:
        """By its line and weight: few are alike in these and not in the rest."""
        return hash((self.line_id, self.mass_kg.value))


@lru_cache(maxsize=READ_LINES)
def read_line(text: str, *, field: str) -> SaidLine:
    """A line split into quantity, unit, name and preparation.

    >>> read_line("a third of a cup of yoghurt, beaten", field="mix.0").names
    ('yoghurt',)
    """
    if re.match(r"^\s*(?:-|−\s*)[\d½¼¾⅓⅔.]", text):
        raise _bad(
            field,
            text,
            f'"{text.strip()}" takes something away.',
            "Write an amount above zero; to take an ingredient out, remove its line.",
        )
    _refuse_what_is_no_amount(text, field)
    plain = tidied(text)
    body, _, preparation = _at_comma(plainly_said(amount_first(plain.text))[0])
    beside = " ".join(_IN_BRACKETS.findall(body))
    body = _IN_BRACKETS.sub(" ", body).strip()
    parts = _juice_or_zest(body) or _plain(body)
    by_weight = _weighed_beside(preparation, parts)
    said_after = () if by_weight != parts else tuple(preparation.split(","))
    parts = _weighed_beside(beside, by_weight)
    more = beside if parts is None or _MORE.match(beside) else ""
    _refuse_a_second_amount(text, (*said_after, more), field)
    if parts is None:
        raise _bad(field, text, f'"{text.strip()}" has no amount.' if body else "This line is empty.", ACCEPTED)
    number, unit, manner, guessed, raw_names = parts
    if number.value <= 0:
        raise _bad(field, text, f'"{text.strip()}" adds nothing.', "Write an amount above zero, or remove the line.")
    names = tuple(filter(None, (_bare_name(name) for name in raw_names)))
    if not names:
        raise _bad(field, text, f'"{text.strip()}" of what?', "Write the ingredient after the amount.")
    qualified = _qualified(names, f"{preparation},{beside}")
    states = states_in(f"{preparation} {beside}")
    bare = (" ".join(word for word in name.split() if word.lower() not in STATES) for name in names)
    packed = {"can": ("canned",), "head": ("bulb",)}.get(unit or "", ())
    tried = (*(f"{state} {name}" for state in (*states, *packed) for name in names), *names, *filter(None, bare))
    names = tuple(dict.fromkeys(tried))
    guessed = guessed or bool(re.search(r"\bor\b", text, re.IGNORECASE))
    if plain.about:
        number, guessed = Interval(number.value, number.low * (1 - ABOUT), number.high * (1 + ABOUT)), True
    rough = guessed or number.low != number.high
    return SaidLine(
        text, number, unit, names, preparation.strip(), manner, rough, tuple(states_in(plain.text)), qualified
    )


def _qualified(names: tuple[str, ...], beside: str) -> tuple[str, ...]:
    """Names with each part that stands beside them put in front, whole and by its first word."""
    found = []
    for part in beside.split(","):
        words = part.strip().split()
        if 0 < len(words) <= MOST_QUALIFYING:
            found += [f"{said} {name}" for said in dict.fromkeys((" ".join(words), words[0])) for name in names]
    return tuple(dict.fromkeys(found))


def states_in(words: str) -> list[str]:
    """Words that make another ingredient of what they stand beside, in their order."""
    found = re.findall(r"[^\W\d_]+", words.lower())
    return [STATES[word] for word in found if word in STATES]


def not_in_that_state(said: SaidLine, ingredient: Ingredient) -> str:
    """A state of the line that the ingredient found for it is not in, such as dried; empty if it is as was said."""
    own = " ".join((*ingredient.also_called, ingredient.name, ingredient.id.replace("_", " "))).lower()
    dry = {"spice", "spice_dried", "spice_blend", "herb_dried"}
    for state in said.states:
        known = state in own or (state in ("dried", "ground") and ingredient.group in dry)
        matters = state in DECIDES and ingredient.group in DECIDES_FOR.get(state, (ingredient.group,))
        if matters and not known:
            return state
    return ""


def _weighed_beside(beside: str, parts: _Parts | None) -> _Parts | None:
    """A weight or a volume in brackets counts for more than pieces: "4 cloves (12 g) garlic"."""
    if parts is None or parts[1] in MASS_KG:
        return parts
    inner = re.fullmatch(r"\s*(?:about|ca\.?|approx\.?|roughly)?\s*(.*?)\s*(?:juice|total|in all)?\s*", beside)
    found = leading_number(inner[1]) if inner and inner[1] else None
    unit = unit_said(found.rest.strip()) if found and found.rest.strip() else None
    if found is None or unit not in {**MASS_KG, **VOLUME_M3}:
        return parts
    names = parts[4]
    if unit in VOLUME_M3 and "juice" in beside:
        names = tuple(f"{name.removesuffix('s')} juice" for name in names)
    return found.number, unit, 1.0, parts[3] and "about" in beside, names


def _refuse_a_second_amount(text: str, parts: tuple[str, ...], field: str) -> None:
    """Tells that what follows is another ingredient, not a preparation: nothing of a line is dropped."""
    for part in parts:
        plain = re.sub(r"^(?:and|plus|with|\+|&)\s+", "", part.strip())
        found = leading_number(plain)
        is_treated = found is not None and _TREATED_SO.match(found.rest) is not None  # "4 cloves, 2 crushed, 2 whole"
        another = found is not None and not is_treated and not re.match(r"^an?\b", plain, re.IGNORECASE)
        within = re.search(r"[\d½¼¾⅓⅔]\s*([a-zA-Z]+)\s+[^\W\d_]", part)
        after = re.search(r"[^\W\d_]\s+[\d½¼¾⅓⅔][\d½¼¾⅓⅔./]*\s*([a-zA-Z]+)\.?\s*$", part)
        amount = any(one is not None and unit_said(one[1]) in {**MASS_KG, **VOLUME_M3} for one in (within, after))
        length = found is not None and re.match(r"^(?:cm|mm|in|inch)", found.rest)
        juice_and_zest = bool(re.search(r"\b(?:zest|juice)\b.*\b(?:zest|juice)\b", part, re.IGNORECASE))
        if (another and not length) or amount or juice_and_zest or _SOME_OF_ANOTHER.match(part):
            wrong = f'"{text.strip()}" says more than one thing.'
            raise _bad(field, text, wrong, "Write one ingredient a line.")


def _at_comma(text: str) -> tuple[str, str, str]:
    """A line cut at its first comma that is not part of a number and stands in no brackets."""
    head, comma, tail = text, "", ""
    bare = _IN_BRACKETS.sub(lambda found: "." * len(found.group()), text)
    match = re.search(r",(?!\d)", bare)
    if match:
        head, comma, tail = text[: match.start()], ",", text[match.end() :]
    return head, comma, tail


def _refuse_what_is_no_amount(text: str, field: str) -> None:
    """Raises InputError for words that leave the amount to the cook or to the bottle."""
    if re.search(r"\bto taste\b", text, re.IGNORECASE) and leading_number(tidied(text).text) is None:
        wrong = f'"{text.strip()}" leaves the amount open.'
        raise _bad(
            field,
            text,
            wrong,
            "Write a first amount; for salt 10 to 12 g a kilogram of meat, then taste before contact.",
        )
    open_ended = re.search(r"\bas needed\b", text, re.IGNORECASE) and leading_number(tidied(text).text) is None
    if open_ended or re.search(r"\b(?:rest|remainder) of the\b", text, re.IGNORECASE):
        raise _bad(field, text, f'"{text.strip()}" cannot be weighed.', "Weigh it, or read what is left off the label.")
    if _STRENGTH.search(text):
        wrong = f'"{text.strip()}" tells how strong it is, not how much.'
        raise _bad(field, text, wrong, 'Write both, each on its line: "2 l water" and "120 g salt".')
    foreign = foreign_measure(text)
    if foreign:
        wrong = f'"{foreign[0]}" is a measure of another language.'
        raise _bad(field, text, wrong, f'Write it as "{foreign[1]}", or in grams.')
    if re.search(r"\beach\b.*\band\b", text, re.IGNORECASE):
        wrong = f'"{text.strip()}" names several ingredients at once.'
        raise _bad(field, text, wrong, "Write one ingredient a line.")


def _bare_name(name: str) -> str:
    return re.sub(r"^(?:of|the)\s+", "", name.strip(), flags=re.IGNORECASE).strip(" .;")


_Parts = tuple[Interval, str | None, float, bool, tuple[str, ...]]


def _juice_or_zest(body: str) -> _Parts | None:
    """Fruit by its juice or zest: "juice of 2 lemons", "the zest of half an orange"."""
    match = re.match(r"^(?:the\s+)?(juice|zest)\s+of\s+(.*)$", body, re.IGNORECASE)
    if not match:
        return None
    found = leading_number(match[2])
    number, fruit = (found.number, found.rest) if found else (Interval.exactly(1), match[2])
    return number, match[1].lower(), 1.0, True, (re.sub(r"s$", "", fruit.strip()) + f" {match[1].lower()}",)


def _plain(body: str) -> _Parts | None:
    found = leading_number(body)
    number, rest = (found.number, found.rest) if found else (None, body)
    manner, rest = _manner(rest)
    word = re.match(r"^(fl\.?\s*oz\.?|[a-zA-Z]+\.?|\")(?=[\s\d]|$)\s*", rest)
    unit = unit_said(word[1]) if word else None
    if unit is None:
        return None if number is None else _counted(number, manner, rest)
    is_one = number is None and unit in SPOONS  # "tsp salt"
    if number is None and not is_one and unit not in VAGUE_M3 and unit not in PIECE_UNITS:
        return None
    after = rest[word.end() :] if word else rest
    names = (rest, after) if unit in NAMES_TOO else (after,)
    guessed = unit == "each" or any(unit in vague for vague in (VAGUE_M3, PIECE_UNITS, LENGTH_M)) or manner != 1.0
    guessed = guessed or is_one
    if found is not None and unit is not None:
        number = found.read_for(MASS_KG.get(unit, VOLUME_M3.get(unit, 1.0) * 1000))
    return number or Interval.exactly(1), unit, manner, guessed, names


def _counted(number: Interval, manner: float, rest: str) -> _Parts:
    """Things counted without a unit: "2 limes", "8 garlic cloves", "3 large onions"; "0.3 % pepper" is no count."""
    if rest.startswith(PER_CENT):
        return number, PER_CENT, manner, True, (rest.removeprefix(PER_CENT).strip(),)
    size = re.match(r"^(\w+)\s+(.*)$", rest)
    if size and size[1].lower() in _SIZES:
        manner, rest = manner * _SIZES[size[1].lower()], size[2]
        word = re.match(r"^([a-zA-Z]+)\s+(.*)$", rest)
        if word and unit_said(word[1]) in PIECE_UNITS:  # 2 large cloves garlic
            return number, unit_said(word[1]), manner, True, (word[2],)
    last = re.match(r"^(.*\S)\s+(\w+)$", rest)
    if last and (unit := unit_said(last[2])) in PIECE_UNITS and unit not in ("juice", "zest"):
        return number, unit, manner, True, (rest, last[1])
    return number, "each", manner, True, (rest,)


def _manner(rest: str) -> tuple[float, str]:
    word = re.match(r"^(\w+)\s+(.*)$", rest)
    if word and word[1].lower() in _MANNER and re.match(r"^[a-z]+", word[2], re.IGNORECASE):
        following = re.match(r"^(\w+)", word[2])
        if following and unit_said(following[1]) is not None:
            return _MANNER[word[1].lower()], word[2]
    return 1.0, rest


def weigh(said: SaidLine, ingredient: Ingredient, *, line_id: str, field: str) -> Portion:
    """Kilograms of an ingredient that a line means, with the range where the words leave one."""
    if ingredient.id == "yoghurt" and _DRAINED.search(said.preparation):
        wrong = f'"{said.text.strip()}" weighs about half when it has drained.'
        raise _bad(field, said.text, wrong, 'Write what is left of it, such as "500 g strained yoghurt".')
    unit = said.unit or "each"
    each_kg = _unit_kg(unit, ingredient)
    if each_kg is not None and unit in VOLUME_M3:
        each_kg = each_kg.times(Interval.exactly(_as_filled(said, ingredient)))
    if each_kg is None:
        raise _bad(field, said.text, *_no_weight(said, unit, ingredient))
    scaled = Interval(each_kg.value * said.manner, each_kg.low * said.manner, each_kg.high * said.manner)
    mass_kg = said.number.times(scaled)
    if mass_kg.value > MOST_KG:
        raise _bad(
            field,
            said.text,
            f'"{said.text.strip()}" comes to {mass_kg.value:,.0f} kg.',
            f"Write at most {MOST_KG:.0f} kg of one ingredient.",
        )
    return Portion(line_id, said.text, ingredient, mass_kg, said.guessed, said.preparation, unit, scaled.value)


_CHUNKS = lazily(r"\b(?:chunks?|cubes?|cubed|diced|slices?|sliced|pieces|wedges|chopped)\b", re.IGNORECASE)
_PULP = lazily(r"\b(?:grated|pureed|puréed|blended|pulped|minced|puree|purée)\b", re.IGNORECASE)
_PACKED = lazily(r"(?<!loosely )\bpacked\b", re.IGNORECASE)
_LOOSELY = lazily(r"\bloosely packed\b|\bloose(?:ly)?\b(?=.*\bleaves\b)", re.IGNORECASE)
PACKED_KG_PER_M3 = 110.0  # leaves pressed into a cup, at least; common practice, no source, as all of these
LOOSE_KG_PER_M3 = 80.0  # whole leaves that lie in it, at most
FILLED_CHUNKS, FILLED_PULP = 0.68, 1.4  # against the form of the table; common practice, no source


def _as_filled(said: SaidLine, ingredient: Ingredient) -> float:
    """How full a spoon or cup is of it in this form, against the form of the table [1]."""
    if ingredient.group in ("fruit", "enzyme_fruit") and _CHUNKS.search(said.text):
        return FILLED_CHUNKS
    if ingredient.group == "herb_fresh" and _LOOSELY.search(said.text):
        return min(1.0, LOOSE_KG_PER_M3 / ingredient.spoon_density_kg_per_m3.value)
    if ingredient.group == "herb_fresh" and _PACKED.search(said.text):
        return max(1.0, PACKED_KG_PER_M3 / ingredient.spoon_density_kg_per_m3.value)
    if ingredient.group == "aromatic_fresh" and ingredient.form.startswith("chopped") and _PULP.search(said.text):
        return FILLED_PULP
    return 1.0


def _unit_kg(unit: str, ingredient: Ingredient) -> Interval | None:
    """Weight of one unit of an ingredient [kg], or nothing if the two do not go together."""
    if unit in MASS_KG:
        return Interval.exactly(MASS_KG[unit])
    if unit in ingredient.piece_kg:
        return ingredient.piece_kg[unit]
    density = ingredient.spoon_density_kg_per_m3
    if unit in VOLUME_M3:
        return Interval.exactly(VOLUME_M3[unit]).times(density)
    if unit in VAGUE_M3:
        return VAGUE_M3[unit].times(density)
    if unit in LENGTH_M and "cm" in ingredient.piece_kg:
        return Interval.exactly(LENGTH_M[unit] * 100).times(ingredient.piece_kg["cm"])
    if unit in ("juice", "zest"):
        return ingredient.piece_kg.get("each")
    if unit == "each" and len(ingredient.piece_kg) == 1 and not PARTS_OF.intersection(ingredient.piece_kg):
        return next(iter(ingredient.piece_kg.values()))
    return None


def _no_weight(said: SaidLine, unit: str, ingredient: Ingredient) -> tuple[str, str]:
    name = re.split(r",| \(", ingredient.name)[0].lower()
    counted = " or ".join(f"a {piece}" for piece in ingredient.piece_kg if piece != "each")
    others = f", or count by {counted.removeprefix('a ')}" if counted else ""
    share = re.search(r"(\d[\d.,]*)\s*%", said.text)
    if share:
        return (
            f'"{said.text.strip()}" does not say of what.',
            f'Write "{share[1]} % {name} of the meat", or grams.',
        )
    if unit == "each":
        return (
            f'"{said.text.strip()}" has a number but no unit.',
            f'Write grams or spoons, such as "{said.number.value:g} g {name}"{others}.',
        )
    article = "An" if unit[0] in "aeio" else "A"
    return f"{article} {unit} of {name} has no known weight.", f'Write grams or spoons, such as "20 g {name}"{others}.'


def _bad(field: str, text: str, wrong: str, accepted: str) -> InputError:
    return InputError(field=field, given=text, wrong=wrong, accepted=accepted)
