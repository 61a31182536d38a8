"""A line that holds several ingredients, taken apart: "1 tsp each cumin and coriander", "2 tbsp soy sauce + 1 tsp oil",
"juice and zest of 2 limes".

What comes out are lines as they could have been written one by one. Whether each can be read is for the reader to say;
if one cannot, the line stays whole and is asked about.
"""

from __future__ import annotations

import re

from vadouvan.core.measures.numbers import leading_number
from vadouvan.core.parsing.said_units import SPOONS, unit_said
from vadouvan.core.patterns import lazily

_EACH = lazily(r"^(?P<amount>[^,:]{1,30}?)\s+each\s*(?::|\bof\b)?\s*(?P<names>.+)$", re.IGNORECASE)
_EACH_LAST = lazily(
    r"^(?P<names>[^\d½¼¾⅓⅔(]+?)(?:[,:]|\s[-–—])? \(?(?P<amount>[\d½¼¾⅓⅔./ ]+(?: ?[a-z]+)?|an? [a-z]+) (?:of )?each\)?"
    r"(?P<done>,[^,\d]+)?\.?$",
    re.IGNORECASE,
)
_TOTAL = r"(?P<amount>[\d½¼¾⅓⅔./ ]+ ?[a-z]+)(?: in all| in total| total| together)?$"
_EQUAL = lazily(rf"^equal (?:parts|amounts)(?: of)? (?P<names>[^,]+), {_TOTAL}", re.IGNORECASE)
_EQUAL_EACH = lazily(  # "equal parts soy, mirin and sake (100 ml each), plus 2 tbsp sugar"
    r"^equal (?:parts|amounts)(?: of)? (?P<names>[^()]+?)\s*\(\s*(?P<amount>[\d½¼¾⅓⅔./ ]+ ?[a-z]+) each\s*\)"
    r"(?:,? (?:plus|and|\+) (?P<more>\d.+))?$",
    re.IGNORECASE,
)
_HALVES = lazily(rf"^half (?P<one>[^,]+), half (?P<two>[^,]+), {_TOTAL}", re.IGNORECASE)
_GRATED = r"(?:finely grated |grated )?"
_BOTH = lazily(
    rf"^(?:the )?{_GRATED}(juice|zest) ?(?:and|&|\+|/) ?(?:the )?{_GRATED}(zest|juice) (?:of )?(?P<fruit>.+)$",
    re.IGNORECASE,
)
_BOTH_AFTER = lazily(
    rf"^(?P<fruit>[^,(]+?)\s*(?:[,(]|\s[-–])\s*{_GRATED}(juice|zest) (?:and|&|\+) {_GRATED}(zest|juice)\)?$",
    re.IGNORECASE,
)
_AND_HALF = lazily(  # "1 lemon (zest + half the juice)"
    r"^(?:1|one|an?) (?P<fruit>[a-z]+)\s*[,(]\s*zest\s*(?:,|\+|&|and\b|plus\b)+\s*(?:the )?(?:juice of half"
    r"|half (?:of )?(?:the |its )?juice)(?: of it)?\)?$",
    re.IGNORECASE,
)
_ZESTED = lazily(r"^(?P<fruit>[^,]+?),? (?:finely )?(?:zested and juiced|juiced and zested)$", re.IGNORECASE)
_AMOUNT_LAST = lazily(r"^[^\W\d_][^,\d]*?[\s:]+[\d½¼¾⅓⅔][\d½¼¾⅓⅔./ ]*\s?[a-z]{1,12}\.?$", re.IGNORECASE)
_FRUITS = lazily(
    r"^(?:the )?(juice|zest) of (?P<first>[^,]+?) and (?P<second>(?:\d|an?\b|one\b|half\b).+)$", re.IGNORECASE
)
_ZEST_AND_SO_MUCH = lazily(  # "zest 1 lemon + 1 tbsp juice"
    r"^(?:finely |freshly )?(?:grated )?zest (?:of )?(?P<count>\d|an?|one|two|half an?) (?P<fruit>[a-z]+?)(?P<s>s?)"
    r"\s*(?:,|\+|&|and\b|plus\b)+\s*(?P<amount>[\d½¼¾⅓⅔][\d½¼¾⅓⅔./ ]*[a-z]+) (?:of )?(?:its |the |their )?juice$",
    re.IGNORECASE,
)
_AND, _SO_MANY = r"\s*(?:,|\+|&|and\b|plus\b)+\s*(?:the )?", r"[\d½¼¾⅓⅔/.]+|an?|one|two|three|both|half(?: an?| of it)?"
# "juice of 2 lemons + zest of 1", "zest of 1 and juice of 2 lemons"
_NAMED = r"(?P<fruit>[a-z]+(?: [a-z]+)?)"
_OF_EACH = rf"(juice|zest) of ({_SO_MANY})"
_OF_AS_MANY = tuple(
    lazily(pattern, re.IGNORECASE)
    for pattern in (
        rf"^{_OF_EACH} {_NAMED}{_AND}{_OF_EACH}$",
        rf"^{_OF_EACH}{_AND}{_OF_EACH} {_NAMED}$",
        rf"^(?:\d|an?|one|two|three) {_NAMED}\s*[,(:]\s*{_OF_EACH}{_AND}{_OF_EACH}\)?$",  # "2 lemons, juice of 1, ..."
    )
)
_PUT_IN = r"(?:steeped|dissolved|soaked|bloomed|infused|stirred) in(?:to)?"
_AMOUNT_AHEAD = (
    r"(?=\d|[½¼¾⅓⅔]|an?\s(?!little\b)|one\s|two\s|half\s|(?:pinch|dash|splash|squeeze)\s|the (?:juice|zest)|juice of"
    r"|zest of|(?:juice|zest) (?=[\d½¼¾⅓⅔]|half\b|an?\b)"
    r"|(?:juice|zest) (?:and|&) (?:juice|zest) of|(?:tsp|tbsp|teaspoon|tablespoon)s? each\b"
    r"|(?:like|about|maybe|roughly|around|say) \d|some\s|freshly ground\s"
    r"|(?:handful|bunch|sprig|drizzle|glug|knob)s?\s)"
)
_NEXT = lazily(
    rf"(?:,\s*(?:and\s+|{_PUT_IN}\s+|mixed with\s+|plus\s+)?|\s*;\s*"
    rf"|\s+(?:and|&|\+|plus|with|mixed with|mixed into|{_PUT_IN}|in)\s+){_AMOUNT_AHEAD}",
    re.IGNORECASE,
)
_COUNT_BEHIND = lazily(
    r"^([^\W\d_][^,(\d]*?)(?:,|:|\s[-–]) (\d+|half an?|an?)(,?) (?=\(|juice\b|zest\b)", re.IGNORECASE
)  # "lemon, 1 (zest and juice)", "lemon - 1, zest + juice"
_ANOTHER = lazily(r"\b(?:and|plus|with)\s+(?:\d(?!/)|an?\s(?!half|quarter))", re.IGNORECASE)
_LIST = lazily(r"\s*,\s*(?:and\s+)?|\s+(?:and|&|\+)\s+", re.IGNORECASE)
_TREATED = (
    r"(?:lightly |freshly |finely |coarsely |roughly |thinly |dry[- ])?"
    r"(?:[a-z]{3,}ed|ground|cut in(?:to)? [a-z -]{3,30})"
)
_EACH_TREATED = lazily(rf",\s*{_TREATED}(?:\s*(?:,|,?\s*and|,?\s*then|&)\s*(?:then )?{_TREATED})*$", re.IGNORECASE)
_PINCH = lazily(r"^(?:a )?(?:large |good |generous |small )?pinch", re.IGNORECASE)
_LATE_STATE = lazily(r"(?:,|\s[-–—])\s*(?:both|all)\s+(?P<state>[a-z ]+)$", re.IGNORECASE)
_MORE_IN_BRACKETS = lazily(r"\s*\((?:plus|and|\+|with) (?=[\d½¼¾⅓⅔]|an? )([^()]+)\)", re.IGNORECASE)
MOST = 8
MOST_WORDS = 3  # of a name without an amount


def taken_apart(text: str) -> tuple[str, ...]:
    """The single lines that a line may hold; none if it holds one.

    >>> taken_apart("1 tsp each cumin and coriander seeds")
    ('1 tsp cumin', '1 tsp coriander seeds')
    >>> taken_apart("2 tbsp soy sauce + 1 tbsp sesame oil"), taken_apart("juice and zest of 2 limes")
    (('2 tbsp soy sauce', '1 tbsp sesame oil'), ('juice of 2 limes', 'zest of 2 limes'))
    """
    if len(text) > 300:
        return ()
    line = _COUNT_BEHIND.sub(r"\2 \1\3 ", _MORE_IN_BRACKETS.sub(r" plus \1", " ".join(text.strip().split())))
    parts = _shared(line) or _fruit(line)
    parts = (
        parts
        or _only_names(line)
        or [one for part in _side_by_side(line) for one in _shared(part) or _fruit(part) or (part,)]
    )
    return tuple(parts) if 1 < len(parts) <= MOST else ()


def _only_names(line: str) -> list[str]:
    """Names with commas between and no amount, "thyme, bay, garlic": each may have a usual dose."""
    if re.search(r"[\d½¼¾⅓⅔():]", line):
        return []
    names = _names(line)
    return names if "," in line and len(names) > 1 and all(len(name.split()) <= MOST_WORDS for name in names) else []


def _shared(line: str) -> list[str]:
    """One amount for each, or between them."""
    told = (pattern.match(line) for pattern in (_EACH, _EACH_LAST))
    each = next((one for one in told if one is not None and _is_amount(one["amount"])), None)
    if each is not None:
        treated = _EACH_TREATED.search(each["names"])
        names = each["names"][: treated.start()] if treated else each["names"]
        done = (treated.group() if treated else "") + (each.groupdict().get("done") or "")
        amount = each["amount"].strip()
        amount = amount if leading_number(amount) or unit_said(amount) not in SPOONS else f"1 {amount}"
        # "1 tsp each paprika, oregano, salt 2 tsp"
        return [name if _AMOUNT_LAST.match(name) else f"{amount} {name}{done}" for name in _names(names)]
    said = _EQUAL_EACH.match(line)
    if said is not None:
        return [*(f"{said['amount'].strip()} {name}" for name in _names(said["names"])), *filter(None, (said["more"],))]
    halves = _HALVES.match(line)
    equal = _EQUAL.match(line)
    names = [halves["one"], halves["two"]] if halves else _names(equal["names"]) if equal else []
    amount = leading_number((halves or equal)["amount"]) if halves or equal else None  # type: ignore[index]
    if amount is None or len(names) < 2:
        return []
    return [f"{amount.number.value / len(names):g} {amount.rest.strip()} {name}" for name in names]


def _is_amount(words: str) -> bool:
    """Whether words are one amount: not "1 tsp salt and 1 tsp"."""
    if _ANOTHER.search(words) is not None:
        return False
    return leading_number(words) is not None or _PINCH.match(words) is not None or unit_said(words) in SPOONS


def _names(listed: str) -> list[str]:
    return [name.strip() for name in _LIST.split(listed) if name.strip()]


def _fruit(line: str) -> list[str]:
    """Juice and zest of one fruit; the juice of two kinds."""
    both = _BOTH.match(line) or _BOTH_AFTER.match(line)
    if both:
        first, second = [part.lower() for part in both.groups() if part and part.lower() in ("juice", "zest")][:2]
        return [] if first == second else [f"{first} of {both['fruit']}", f"{second} of {both['fruit']}"]
    measured = _ZEST_AND_SO_MUCH.match(line)
    if measured:
        fruit = f"{measured['fruit']}{measured['s']}"
        return [f"zest of {measured['count']} {fruit}", f"{measured['amount']} {measured['fruit']} juice"]
    for of_as_many in _OF_AS_MANY:
        found = of_as_many.match(line)
        if found:
            one, count, other, more = (part for part in found.groups() if part != found["fruit"])
            return [f"{one} of {_plain(count)} {found['fruit']}", f"{other} of {_plain(more)} {found['fruit']}"]
    half = _AND_HALF.match(line)
    if half:
        return [f"zest of 1 {half['fruit']}", f"juice of 1/2 {half['fruit']}"]
    zested = _ZESTED.match(line)
    if zested:
        return [f"zest of {zested['fruit']}", f"juice of {zested['fruit']}"]
    fruits = _FRUITS.match(line)
    return [f"{fruits[1]} of {fruits['first']}", f"{fruits[1]} of {fruits['second']}"] if fruits else []


def _plain(count: str) -> str:
    """So many of a fruit, "half of it" as a half."""
    return "1/2" if count.lower().startswith("half") else "2" if count.lower() == "both" else count


def _side_by_side(line: str) -> list[str]:
    """Amounts one after another."""
    late = _LATE_STATE.search(line)
    body = line[: late.start()] if late else line
    named = [part.strip() for part in re.split(r"\s*[,;]\s*(?:and\s+)?", line)]
    if len(named) > 1 and all(_AMOUNT_LAST.match(part) for part in named):
        return named
    found = [part.strip(" ,;") for part in _NEXT.split(body)]
    if len(found) < 2 or any(not part for part in found):
        return []
    if leading_number(found[0]) is None and _PINCH.match(found[0]) is None:
        return []
    return [f"{part}, {late['state']}" for part in found] if late else found
