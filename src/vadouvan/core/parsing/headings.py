"""Headings of a pasted recipe, and lines that are none of its ingredients: times, servings, what to do."""

from __future__ import annotations

import re
from typing import Literal

from vadouvan.core.measures.numbers import leading_number
from vadouvan.core.parsing.spoken import MORE_OF_IT
from vadouvan.core.parsing.tidy import without_bullet
from vadouvan.core.patterns import lazily

_STARTS_LIKE_A_HEADING = lazily(r"^\s*#|:\s*$")
MOST_WORDS, LONGEST_HEADING = 7, 60
MOST_WORDS_FOR_THE = 5  # "For the chicken" is a heading, marked or not
# Words by which a heading tells what stands under it. A glaze, a sauce, what is strewn over it: none is the mix.
MIXES = frozenset((
    "bath", "brine", "cure", "dry", "marinade", "marinades", "marinating", "mix", "mixture", "overnight",
    "aromatics", "paste", "rub", "seasoning", "seasonings", "soak", "spice", "spices", "wet",
))  # fmt: skip
COMPANIONS = frozenset((
    "accompaniment", "baste", "basting", "batter", "breading", "butter", "chutney", "coating", "crumb", "crust",
    "decorate", "dredge", "dip", "dressing", "drizzle", "flour", "filling",
    "finish", "finishing", "garnish", "glaze", "gravy", "injection", "mop", "relish", "salad", "salsa", "sauce",
    "serve", "serving", "side", "sides", "slaw", "spritz", "stuffing", "top", "topping", "veg", "vegetables",
))  # fmt: skip
# Names of what is made to go with a dish: as a line of their own over amounts they are a heading.
SIDES = frozenset((
    "aioli", "chimichurri", "coleslaw", "gremolata", "guacamole", "hummus", "muhammara", "pesto", "raita", "remoulade",
    "romesco", "skordalia", "slaw", "tapenade", "toum", "tzatziki", "zhoug",
))  # fmt: skip
# What is put beside the meat on the plate, and never what it lies in
AT_THE_TABLE = frozenset((
    "accompaniment", "decorate", "garnish", "salad", "serve", "serving", "side", "sides", "slaw", "top", "topping",
    "veg", "vegetables",
))  # fmt: skip
# Beside the mix only where a heading is marked as one: "Pot roast" is the name of a dish.
_POTS = frozenset(("basting", "braise", "braising", "cook", "cooking", "frying", "grilling", "pot", "roasting"))
_NO_LINES = frozenset((
    "directions", "equipment", "how", "instructions", "method", "note", "notes", "nutrition", "preparation",
    "steps", "tools",
))  # fmt: skip
OTHER_PARTS = frozenset(("ingredients", "meat"))
_FOR = lazily(r"^for (?:the |your |(?:deep[- ])?(?:frying|cooking|roasting|grilling|basting)$)", re.IGNORECASE)
_STARTS = lazily(r"^(?:for|to|top with|brush with|first|second|ingredients?|you will need|the)\b", re.IGNORECASE)
DATE = (
    r"(?:\d{1,2}(?:st|nd|rd|th)? (?:jan|feb|mar|apr|may|jun|jul|aug|sept?|oct|nov|dec)[a-z]{0,6}\.?(?: \d{2,4})?"
    r"|\d{1,4}[./-]\d{1,2}[./-]\d{1,4})"
)
_LEFT = lazily(
    r"(?:,|\b)\s*(?:to|for)\s+(?:serve|serving|garnish|finish|scatter|decorate|the side)\b|\bon the side\b"
    r"|^(?:directions|instructions|method|steps|notes?|preparation|(?:special |kitchen )?(?:equipment|tools))\s*:"
    r"|^(?:https?://|www\.)\S+$|^(?:recipe |words |photos? |posted |written |submitted )?by [^\W\d_]"
    rf"|^{DATE}:?$|^(?:this )?(?:is |makes )?(?:enough|sufficient) (?:for|to)\b"
    r"|^(?:adapted |recipe |taken )?from (?:the kitchen of |my |the book )?[A-Z]|^\d{3} ?°? ?[cf]\b"
    r"|^(?:serves?|feeds|makes|yields?|prep|takes|ready in)\b"
    r"|^\(|^for \d+(?: ?(?:-|–|to) ?\d+)? (?:people|persons|servings|eaters|guests)\b"
    r"|^(?:marinade|marinating|brine|soak|rub|rest)\b[^\d:,;]{0,15}\d+ ?(?:-|–|to)? ?\d* ?"
    r"(?:h|hours?|hrs?|mins?|minutes?|days?)\b"
    r"|^cure (?:for |overnight|the |in the fridge|\d+ ?(?:-|–|to)? ?\d* ?(?:h|hours?|days?)\b)"
    r"|^(?:min(?:imum)?|max(?:imum)?|at least|up to)\.? \d[^,;]{0,12}?(?:h|hours?|hrs?|mins?|minutes?|days?)\b"
    r"|^air[- ]?fry(?:er)?\b"
    r"|^(?:total|active|hands[- ]on|inactive|cook(?:ing)?|chill(?:ing)?|rest(?:ing)?)(?: time)?\s*:?\s*\d[^,;]{0,20}?"
    r"(?:h|hours?|hrs?|mins?|minutes?|days?)\b"
    r"|^\d+(?: ?(?:-|–|to) ?\d+)? ?(?:h|hours?|hrs?|minutes?(?! steaks?\b)|mins?|days?)\b"
    r"|^[^,(]+ for the (?:tin|pan|tray|roasting tin|grill)\s*$"
    r"|\bto (?:squeeze|drizzle|scatter|sprinkle|spoon|pour|strew)(?: over)?\)?\s*$"
    r"|\bfor (?:threading|skewering|the skewers)\)?\s*$"
    r"|(?:,\s*|\(|\s[-–—]\s)for (?:the (?:tin|pan|tray|pot|roasting tin|grill)|(?:deep[- ])?frying|greasing"
    r"|dusting|dredging|coating)\b\)?\s*$"
    r"|(?:,\s*|\(|\s[-–—]\s)(?:to|for) (?:brown|braise|braising|browning|fry|frying|sear|searing|cook|cooking|baste"
    r"|basting|deglaze|poach|poaching|roast|roasting|simmer|grease|brush|brushing)\b[^,]*$"
    r"|[(,]\s*(?:to be )?(?:add(?:ed)?|squeezed?|stir(?:red)?|poured?|drizzled?)(?: \w+){0,2} (?:just |right )?"
    r"(?:before|after|at the end|when|once)\b"
    r"|^(?:servings|portions|difficulty|(?:[a-z]+(?:ing|al|ive|ation)? )?time)\s*:",
    re.IGNORECASE,
)
_RATED = lazily(  # "4.8 (120)", "4.5 stars from 31 votes"
    r"^[0-5](?:\.\d{1,2})?(?:\s*/\s*5| stars?)?\s*(?:\(|from )\d+(?: (?:reviews?|ratings?|votes?))?\)?$", re.IGNORECASE
)
_TIMES = lazily(
    r"^(?:serves?|feeds|makes|yields?|prep|takes|ready in|servings|portions"
    r"|(?:total |active |cook(?:ing)? |prep(?:aration)? )?time"
    r"|difficulty)\b[^a-z]*\d|^\d{3} ?°? ?[cf]\b"
    r"|^for \d+(?: ?(?:-|–|to) ?\d+)? (?:people|persons|servings|eaters|guests)\b",
    re.IGNORECASE,
)
_ORDER = lazily(
    r"^(?:marinate|rest|cook|grill|roast|preheat|serves?|makes|prep|bake|leave|chill|turn|mix(?!:)|stir(?![- ]?fr)"
    r"|heat)\b",
    re.IGNORECASE,
)
_DEED = lazily(
    r"^(?:(?:then|next|now|finally|meanwhile),? )?(?:"
    r"add|allow|bake|barbecue|baste|bbq|blend|blitz|boil|brine(?! from)|bring|broil|brush|chill|chop|coat|combine"
    r"|cook|cover|crush|cut|dice|discard|dissolve|drain|dredge|drizzle|dunk|finish|flatten|flip|form|fry"
    r"|garnish|give|griddle|grill|grind|heat|hold|keep|kept|knead|lay|leave|left|let|lift|lower|make|marinate|mash"
    r"|massage|melt|mix(?!:)|pat|pierce|place|poach|poke|pound(?! of)|pour|preheat|prepare|prick|process|pulse"
    r"|puree|put|reduce|refrigerate|remove|reserve|rest|return|rinse|roast|rub"
    r"|salt(?= (?:it|them|the|all|well|both|generously)\b)|scatter|score|sear|season|serve"
    r"|set|shape|simmer|skewer|slather|slice|smear|smoke|soak|spoon(?! of)|spread|sprinkle|squeeze(?! of)|stab"
    r"|steam|steep|stir(?![- ]?fr)|strain|stuff|submerge|take|thread|tie|tip|toast|top(?= with| it| each)|toss"
    r"|transfer|trim|truss|tuck|turn|use|warm|weigh|whisk|whiz+|wipe|work|wrap"
    r")\b",
    re.IGNORECASE,
)
# "In a large bowl whisk together the oil and the juice."
_IN_A_BOWL = lazily(
    r"^(?:in|into|using) (?:an?|the|another) (?:[a-z-]{2,14} ){0,3}"
    r"(?:bowl|jug|blender|processor|bag|dish|mortar|pan|pot|saucepan|skillet|tray|container|tub|jar)\b",
    re.IGNORECASE,
)
_ASIDE = lazily(
    r"(?<=\w)\s*\((?!(?:to|for|optional|add(?:ed)?|squeezed?|stir(?:red)?|poured?|drizzled?)\b)[^()]*\)"
)  # "(save the juice for serving)"
_WORDS_OF_A_DEED = 3
_WORDS_OF_A_STORY = 10  # in several sentences, however they begin
_NEXT_SENTENCE = lazily(
    r"[a-z)]{2}\.\s+(?:[A-Z]|(?:then|leave|cook|bake|roast|grill|rest|take|turn|serve|put|mix|add)\b)"
)
_SO_LONG = lazily(r"\d\s*(?:h|hrs?|hours?|mins?|minutes?|days?)\b", re.IGNORECASE)  # "Brine 4h"
# "Marinade for 1 kg beef:", "Brine for a 5 kg turkey": a heading with its meat in it.
FOR_SO_MUCH = lazily(
    r"^(?P<head>[^\d,:(]{3,40}?) \(?for (?P<meat>(?:an? |about |approx(?:\.|imately)? )*"
    r"\d[\d.,]*(?:\s*[-–]\s*\d[\d.,]*)?\s*(?:kg|g|lbs?|pounds?|oz)\b[^:()]*)\)?:?$",
    re.IGNORECASE,
)
# "For every kilo of turkey:", "Rub (per kg of meat)": a heading over amounts for so much meat.
FOR_EACH = lazily(
    r"^(?P<head>[^\d,:(]{0,40}?)\(?\b(?:for (?:each|every)|per|(?:amounts )?for each|to each) (?:1 |one )?"
    r"(?P<unit>kg|kilo(?:gram)?|lb|pound|rack|piece|steak|chop|breast|thigh|leg|bird|fillet|chicken)\b"
    r"(?: (?:of )?(?:the )?(?:raw )?(?!rub|marinade|brine|mix)[a-z]{3,12}(?: \w{3,12})?)?"
    r"(?: (?:use|you need|take|mix))?\)?\s*:?$",
    re.IGNORECASE,
)
_NUMBERED = r"\b(marinade|mix|rub|brine|paste|bath) (?:#|no\.? ?)?"
_ORDINALS = (
    (lazily(r"\b1st\b", re.IGNORECASE), "first"),
    (lazily(r"\b2nd\b", re.IGNORECASE), "second"),
    (lazily(rf"{_NUMBERED}1\b", re.IGNORECASE), r"first \1"),
    (lazily(rf"{_NUMBERED}2\b", re.IGNORECASE), r"second \1"),
)
_FOR_SO_MANY = lazily(r"(?<=ingredients) (?:for|to serve) \d{1,3}\b[^:]{0,20}", re.IGNORECASE)
_REMARK = lazily(r"\s*\([^()]*\)(?=\s*:?\s*$)")
_SO_MUCH_BEHIND = lazily(r"\((?:about |approx\.? )?[\d½¼¾⅓⅔][\d./½¼¾⅓⅔ x×]*(?:[a-z]{1,12}\.?)?\)\s*$", re.IGNORECASE)
# "Spice mix (sprinkle while grilling):" is none of what the meat lies in.
_COMES_LAST = lazily(
    r"\b(?:sprinkle|dust|baste|brush|(?:while|before|after|when) (?:grilling|cooking|roasting|serving|frying|smoking)"
    r"|at the (?:end|table)|to (?:serve|finish)|for (?:serving|dusting|basting)|just before)\b",
    re.IGNORECASE,
)
Kind = Literal["mix", "companion", "none"]


def words_of(title: str) -> set[str]:
    """Words of a heading in small letters."""
    return set(re.findall(r"[a-z]+", title.lower()))


def kind_of_part(title: str) -> Kind:
    """Kind of part under a heading: the mix, a mix beside it, or no lines at all."""
    words = words_of(title)
    if words & _NO_LINES:
        return "none"
    if words & (COMPANIONS | _POTS | SIDES) and not words & (MIXES - {"wet", "dry", "mix", "spice", "seasoning"}):
        return "companion"
    return "mix"


def tells_a_part(line: str) -> bool:
    """Whether a line is a heading of a part: a marinade, a glaze, the method; "# Grilled swordfish" is none."""
    with_meat = FOR_SO_MUCH.match(line)
    if (with_meat is not None and words_of(with_meat["head"]) & MIXES) or FOR_EACH.match(line):
        return True
    return heading_of(line) is not None and (
        not line.lstrip().startswith("#") or bool(words_of(line) & (MIXES | COMPANIONS | _NO_LINES | OTHER_PARTS))
    )


def is_told_of_all(line: str) -> bool:
    """Whether a line says for how many it is, how long it takes, or what to do: no line of a mix."""
    return _RATED.match(line) is not None or _LEFT.search(MORE_OF_IT.sub("", _ASIDE.sub("", line))) is not None


def is_told_of_times(line: str) -> bool:
    """Whether a line says for how many it is or how long it takes, and is no name of a dish."""
    return _TIMES.match(line) is not None


def begins_a_row(line: str) -> bool:
    """Whether a line is a heading with what stands under it in one row: "Brine: 1 l water, 50 g salt"."""
    head, colon, after = without_bullet(line).partition(":")
    return bool(colon) and leading_number(after.strip()) is not None and tells_a_part(f"{head}:")


def heading_of(line: str) -> str | None:
    """Name in a heading, if a line is one: it ends in a colon, or holds no figure and only words of headings.

    >>> heading_of("Ingredients (serves 4):"), heading_of("2nd marinade:"), heading_of("2 tbsp honey")
    ('Ingredients', 'second marinade', None)
    """
    if _SO_MUCH_BEHIND.search(line) is not None and not words_of(line) & (MIXES | OTHER_PARTS):  # "Soy sauce (45 ml)"
        return None
    line = _FOR_SO_MANY.sub("", _REMARK.sub(_last_remark, line))
    for ordinal, word in _ORDINALS:
        line = ordinal.sub(word, line)
    if (
        not line
        or len(line) > LONGEST_HEADING
        or _ORDER.search(line)
        or leading_number(line) is not None
        or re.search(r"[\d½¼¾⅓⅔,]", line)
    ):
        return None
    title = re.sub(r"^\s*(?:#+|[-–—]{2,})\s*|\s*[-–—]*\s*:?\s*$", "", line).strip()
    words = re.findall(r"[a-z]+", title.lower())
    for_the = len(words) <= MOST_WORDS_FOR_THE and _FOR.match(title) is not None
    marked = for_the or _STARTS_LIKE_A_HEADING.search(line) is not None
    telling = set(words) & (MIXES | COMPANIONS | _NO_LINES | OTHER_PARTS)
    starts = _STARTS.match(title) is not None or len(words) <= 2
    if words in ([], ["overnight"]) or len(words) > MOST_WORDS or not (marked or (telling and starts)):
        return None
    if line.rstrip().endswith(".") and len(words) >= _WORDS_OF_A_DEED:  # "Top with feta and parsley."
        return None
    return re.sub(r"^for\s+(?:the\s+)?", "", title, flags=re.IGNORECASE).strip() or title


def _last_remark(remark: re.Match[str]) -> str:
    """A remark in brackets behind a heading: nothing, or that what stands under it comes last."""
    return " to finish" if _COMES_LAST.search(remark.group()) is not None else ""


def is_deed(line: str) -> bool:
    """Whether a line says what to do, "Coat the salmon. Chill 12 hours.", and not what goes in."""
    words = len(line.split())
    is_long = words >= _WORDS_OF_A_DEED or _SO_LONG.search(line) is not None
    if (_DEED.match(line) is not None and is_long) or _IN_A_BOWL.match(line) is not None:
        return True
    return words >= _WORDS_OF_A_STORY and _NEXT_SENTENCE.search(line) is not None
