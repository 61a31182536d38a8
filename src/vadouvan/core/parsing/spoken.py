"""Ways of saying an amount, rewritten to the plain form that the grammar reads: "a teaspoon and a half", "just under a
cup", "half a dozen", "a lime-sized ball of", "juice of one large lemon".

Each rewriting keeps what is meant; those that make an amount rough say so.
"""

from __future__ import annotations

import re
from functools import lru_cache

from vadouvan.core.patterns import lazily

_UNIT = (
    r"(?:teaspoons?|tablespoons?|dessertspoons?|tsps?|tbsps?|cups?|pinch(?:es)?|handfuls?|pints?|bunch(?:es)?|glass(?:es)?"
    r"|cloves?|sprigs?|sticks?|knobs?|dash(?:es)?|splash(?:es)?|glugs?|drops?|bottles?|cans?|tins?|heads?|bulbs?)"
)
_FIGURE = r"[\d½¼¾⅓⅔][\d./ ½¼¾⅓⅔–-]*?"
_BIG = r"(?:large|big|small|good|generous|heaped|heaping|scant|tiny|rounded|level|fat|decent|healthy)"
_PIECE = r"(?:knob|piece|length|stick|thumb|chunk|nub)"
_POURED = "water|stock|broth|milk|tea|coffee|espresso"
_CITRUS = "lemon|lime|orange|grapefruit|mandarin|tangerine|clementine"
_OF_IT = r"(?:zest|rind|peel|juice)"
_FINELY = r"(?:(?:finely )?grated |(?:finely )?chopped )?"
_HOW = r"(?:finely|roughly|coarsely|thinly|lightly|well)"
_TREATED = (
    r"(?:chopped|minced|crushed|grated|sliced|pounded|peeled|bashed|smashed|bruised|torn|shredded|halved|quartered|diced"
    r"|cubed|trimmed|deseeded|beaten|blitzed|whizzed|pureed|mashed|melted|softened|juiced|zested)"
)
_A_LITTLE = r"(?:a (?:little|splash of|bit of) )?"
_OF_FRUIT = r"(?:the )?(?:juice|zest) of"
# Grams of what cooks compare a lump with (common practice, no source).
LUMPS_G = {
    "pea": 1, "hazelnut": 4, "marble": 10, "cherry": 8, "walnut": 20, "lime": 30, "golf ball": 40, "egg": 50,
    "lemon": 60, "thumb": 15,
}  # fmt: skip
# Some of it, or of another, is kept for later: "juice of 1 lemon, plus wedges to serve".
MORE_OF_IT = lazily(
    r"(?<=[a-z]),? (?:plus|and|with) (?!\d)"
    r"(?:(?:an?|some|extra|more|the|few|little|others?|rest|half|another|lemon|lime|wedges?|slices?|stalks?|leaves|sprigs?"
    r"|handful|of|it|them) ){1,5}(?:to|for) (?:serve|serving|garnish|garnishing|finish|scatter|decorate)\b[^,]*$",
    re.IGNORECASE,
)
_PLAIN: tuple[tuple[re.Pattern[str], str], ...] = tuple(
    (lazily(pattern, re.IGNORECASE), by)
    for pattern, by in (
        (
            r"^([^,(]+?)\s*(,[^(]*?)\s*(\((?:about |around |approx\.? |roughly |ca\.? )?[\d½¼¾⅓⅔][^()]*\))(,.*)?$",
            r"\1 \3\2\4",
        ),
        (rf"^([^,(]*[a-z]) ((?:{_HOW} )?{_TREATED}(?: and (?:{_HOW} )?{_TREATED})?)$", r"\1, \2"),  # "cloves crushed"
        (rf",? (?:mixed|dissolved|slaked|bloomed|let down) (?:with|in) {_A_LITTLE}(?:\w+ )?water$", ""),
        (
            rf",? (?:cut )?(?:in|into) {_FIGURE}-?\s?(?:cm|mm|inch|in)\b[- ]?"
            r"(?:lengths|pieces|chunks|slices|rounds)\.?$",
            "",
        ),
        (r"^\.(?=\d)", "0."),
        (r"^(\d[\d./ ½¼¾]{0,6})\"", r"\1 inch"),
        (rf"^({_FIGURE}) cl\.? (?=garlic\b)", r"\1 cloves "),  # nobody pours garlic
        (r"^([2-9]|1\d|2\d) (?:fresh )?garlics?(?=$|,)", r"\1 cloves garlic"),  # one may be a head
        (rf"\(or ((?:about )?{_FIGURE} ?(?:g|grams?|kg|oz|ounces?|ml))\)", r"(\1)"),  # the same amount by weight
        (r"\s*\(or [^()]*\)", ""),  # another ingredient would do as well
        # the same, for a kilogram of meat
        (r"^(?=[^(]*\d)(.*?\S)\s*\([\d.,]{1,6} ?g ?(?:/|per) ?kg(?: [a-z]+)?\)", r"\1"),
        (rf"^(?:an? )?(heaping|heaped|rounded|level|generous|good) ({_FIGURE}) (?=[a-z])", r"\2 \1 "),
        (r"^(?=(?:couple|few|pair) of\b)", "a "),
        (r"^(?:1|one) half (?=\w)", "1/2 "),
        (r"^(\S+) sml?\.? (?=[a-z])", r"\1 small "),
        (r"^(\S+) med\.? (?=[a-z])", r"\1 medium "),
        (r"^(\S+) l(?:rg|ge?)\.? (?=[a-z])", r"\1 large "),
        (r"\bfluid (ounces?|oz)\b", "fl oz"),
        (r"^(?:one|an?|1) \(?(?=\d[\d./ ]*-? ?(?:inch|cm|in)\b)", ""),
        (rf"^(\d[\d./ ]*)-? ?(inch|cm|in)\) {_PIECE}s?(?: of)? ", r"\1 \2 "),
        (
            rf"\b(?!cold brew)(?:hot|cold|warm|boiling|strong|chilled|iced|lukewarm|tepid|cool) "
            rf"(?=(?:\w+ )?(?:{_POURED})\b)",
            "",
        ),
        (rf"^\d ({_CITRUS})s?,? (juice|zest) of (\d|half|one)\b(?:(?!\b(?:juice|zest)).)*$", r"\2 of \3 \1"),
        (r"^strips? of (?:rind|peel|zest) (?:from|of) ", "zest of "),
        (r"^((?:the )?(?:rind|peel|zest) of [^,]{2,40}?) in (?:\w+ )?strips$", r"\1"),
        (
            rf"^(?!.*\b(?:preserved|dried)\b)([^,(]*\b(?:{_CITRUS})(?:e?s)?)\s*(?:[,(]|[-–] )\s*"
            rf"(?:the )?{_FINELY}({_OF_IT})(?: only)?\)?$",
            r"\2 of \1",
        ),
        (r"^between ([\d½¼¾⅓⅔]\S*) and (?=[\d½¼¾⅓⅔])", r"\1-"),
        (r"^an? (?=\d)", ""),
        (r"^(\d+) ?(?:x|×) (?=[a-z])", r"\1 "),
        (r"^(\d+) and an? half (?=[a-z])", r"\1 1/2 "),
        (r"^(\d+) and an? quarter (?=[a-z])", r"\1 1/4 "),
        (r"((?:^|\bof )(?:\d/\d|[½¼¾⅓⅔])) (?:of )?an? (?=[a-z])", r"\1 "),
        (r"^(?:an? |the )?(?:tip of a knife|knife[- ](?:tip|point)|knifetip)(?:ful)?(?: of)? ", "1 pinch "),
        (r"^(\d+)\s*(?:and|&|\+)\s*(?=\d+/\d)", r"\1 "),
        (r"^(\d) thirds? (?:of an? )?(?=cup|pint|of\b)", r"\1/3 "),
        (r"^(juice|zest) (?=[½¼¾⅓⅔]|(?:\d|an?|one|half|two)\b)", r"\1 of "),
        (rf"^(juice|zest) (?=(?:{_CITRUS})\b)", r"\1 of a "),
        (rf"^(\d+|½|1/2|an?|one|two|half an?) ({_CITRUS})(?:'?s)? zest\b", r"zest of \1 \2"),
        (r"^([a-z][a-z ]*?)\s*(?:[,:(]|\s[-–]\s|\s)\s*(juice|zest) of (\d+|½|half|an?|one|two)\)?$", r"\2 of \3 \1"),
        (rf"^({_CITRUS})s? (juice|zest)\s*(?:[,:]|\s[-–—])?\s*from ({_FIGURE}|half|one|an?)(?: an?)?$", r"\2 of \3 \1"),
        (r"^(?:\w+ )?(juice|zest),? from ", r"\1 of "),
        (r"^([a-z][a-z ]*?)\s*(?::|\s[-–])\s*(\d+|half|½),\s*(juiced|zested|juice|zest)$", r"\2 \1, \3"),
        (r"^([^,]+), (?:finely )?zested$", r"zest of \1"),
        (r"^([^,]+), juiced$", r"juice of \1"),
        (rf"^({_CITRUS}) (juice|zest)\s*[:,]\s*({_FIGURE}|half|one|an?)(?: an?)? \1s?$", r"\2 of \3 \1"),
        (
            rf"^([a-z][a-z ]{{2,40}}?),? ((?:a few|a couple of|a|an|one|two|three|half a)"
            rf" (?:small |large |big |good |generous )?{_UNIT})$",
            r"\2 \1",
        ),
        (r"^(\d+)-(?=\d/\d)", r"\1 "),
        (r"^(\d+) (?:grinds?|turns?|twists?|cracks?) (?:of|from) the pepper ?mill$", r"\1 grinds black pepper"),
        (r"\b(grinds?|turns?|twists?|cracks?) (?:of|from) the (?:pepper )?mill\b", r"\1"),
        (r"^an? (?:(?:good|generous|few) )*grind(?:ing)?s? (?:of )?(?=\w)", "8 grinds "),
        (r" leaves and (?:tender |soft |fine )?(?:stems|stalks)\b", " leaves"),
        (rf"^(?:a )?couple (?:of )?(?={_UNIT}\b)", "a couple of "),
        (rf"^(?:an? )?squeeze of (half (?:an? )?|\d )({_CITRUS})s?$", r"juice of \1\2"),
        (r"\b(?:pwdr?|pdr|powdr)\b\.?", "powder"),
        (r"\bjc\b\.?", "juice"),
        (r",? \(?\d{1,2} ?(?:h|hrs?|hours?|mins?|minutes?|days?) (?:before|ahead|beforehand|in advance)\)?$", ""),
        (r"^(\D*\d.*?[a-z])\s*[/=]\s*\d[\d.,]*\s?%", r"\1"),  # of the meat, told again
        (r"^([a-z][a-z ]{2,30}),? a few$", r"a few \1"),
        (r"\bblk\b\.?", "black"),
        (r"\bbr\.? sugar\b", "brown sugar"),
        (r"\bg ?[&/+]? ?g paste\b", "ginger garlic paste"),
        (r"\btea[- ]spoons?\b", "tsp"),
        (r"\btable[- ]spoons?\b", "tbsp"),
        (r"\bwine ?glass(?:es)?\b", "glass"),
        (r"^(?:an? )?quarter of an? ", "1/4 "),
        (r"^half (?:an? )?dozen\b", "6"),
        (rf"^(?:an?|one) ({_UNIT}) and an? half (?:of )?", r"1.5 \1 "),
        (rf"^(?:an?|one) ({_UNIT}) or two (?:of )?", r"1-2 \1 "),
        (rf"^({_BIG} {_UNIT}\b)", r"a \1"),
        (rf"^({_UNIT}) of ", r"1 \1 "),
        (r"^(?:(?:freshly|finely|coarsely) )*(?:squeezed|grated|pared) (?=(?:juice|zest|rind|peel) (?:of|and)\b)", ""),
        (r"\b(?:rind|peel) of\b", "zest of"),
        (rf"^({_OF_FRUIT} (?:an?|one|two|half an?|\d+)) (?:large|big|small|medium|ripe|juicy|unwaxed) ", r"\1 "),
        (r"^(?:the )?(?:leaves|needles|seeds|flesh|pulp) (?:from|of) (?=an?\b|one\b|two\b|half\b|\d)", ""),
        (rf"^(\d[\d./]*(?: \d/\d)?)-? ?(inch|cm|in)\b(?: -)? ?{_PIECE}(?: of)? ", r"\1 \2 "),
        (rf"\b(inch|cm) {_PIECE}(?: of)? ", r"\1 "),
        (r"^(an?|\d+) ((?:thin |thick )?)(?:coins?|discs?|rounds?) of ", r"\1 \2slices of "),
        (r"\b(\d+|an?) ((?:\w+ )?)blades? of mace\b", r"\1 \2mace"),
        (r"\s*\((?:or|plus more|and more)? ?to taste\)", ""),
        (MORE_OF_IT.pattern, ""),
        (r",? (?:or|plus|and) (?:more |extra )?to taste\b|,? (?:plus|\+) (?:more|extra)\b.*$", ""),
        (r"\b((?:sunflower|vegetable|rapeseed|canola|groundnut|peanut|corn))/(?:[a-z]+) oil\b", r"\1 oil"),
        (rf"^(.*\b(?:{_CITRUS}))(?:'s|s'|’s|s’) (juice|zest)$", r"\2 of \1"),
    )
)  # fmt: skip
_ROUGH: tuple[tuple[re.Pattern[str], str], ...] = tuple(
    (lazily(pattern, re.IGNORECASE), by)
    for pattern, by in (
        (rf"^(an?|one|\d+) ({_UNIT}) or so (?:of )?", r"\1 \2 "),
        (r"\bevoo\b", "extra virgin olive oil"),  # short for what it may be
        (r"\byog\b", "yoghurt"),
        (r"^(?:just|a little|slightly|well) (?:under|over|less than|more than) ", ""),
        (r"^(?:nearly|almost|barely|scarcely|at least|up to|at most|not quite) ", ""),
        (r"^an? few (?=(?:thread|strand|filament|grating|sprig|lea|dash|drop|pinch|slice|clove|pod|stalk)\w* )", "3 "),
        (r",? \(?divided\)?$", ""),
        (rf" or {_FIGURE} {_UNIT} (?:of )?(?:chopped )?(?:fresh|dried)(?: [a-z]+)?$", ""),
        (rf"\s*\({_FIGURE} {_UNIT} (?:of )?(?:dried|dry|powdered|ground|fresh)\b[^()]*\)", ""),
        (
            rf"^([^\d,(]+?)(?:, ?| ?\()(?:about|around|approx\.?|roughly|say|ca\.?) ({_FIGURE} [^,()]*?)\.?\)?$",
            r"\2 \1",
        ),
        (r"^([^\d,(]+),? to taste,? \(?(?:about |around |say |roughly )?([\d½¼¾⅓⅔][^()]*?)\)?$", r"\2 \1"),
        (r"^(?:an? )?scant (?=[\d½¼¾⅓⅔]|half\b|quarter\b|third\b|three\b|two\b)", ""),
    )
)
_LUMP = lazily(
    rf"^(?:(an?|one|two|three|\d+) )?(?:small |large )?({'|'.join(LUMPS_G)})[- ]?sized? "
    r"(?:balls?|pieces?|knobs?|lumps?|chunks?) (?:of )?",
    re.IGNORECASE,
)
SAID_LINES = 4096  # kept as said plainly
_COUNT = {"a": 1, "an": 1, "one": 1, "two": 2, "three": 3}


@lru_cache(maxsize=SAID_LINES)
def plainly_said(text: str) -> tuple[str, bool]:
    """A line with its amount in plain words, and whether that made it rough.

    >>> plainly_said("a teaspoon and a half of soy sauce"), plainly_said("just under a cup of buttermilk")
    (('1.5 teaspoon soy sauce', False), ('a cup of buttermilk', True))
    >>> plainly_said("a lime-sized ball of tamarind")
    ('30 g tamarind block', True)
    """
    text = re.sub(r"^an? (walnut|hazelnut) of ", r"a \1-sized piece of ", " ".join(text.split()), flags=re.IGNORECASE)
    lump = _LUMP.match(text)
    if lump:
        said = (lump[1] or "a").lower()
        count = _COUNT.get(said) or int(said)
        name = re.sub(r"^tamarind$", "tamarind block", text[lump.end() :], flags=re.IGNORECASE)  # a paste makes no lump
        return f"{count * LUMPS_G[lump[2].lower()]:g} g {name}", True
    rough = False
    for pattern, by in _ROUGH:
        changed = pattern.sub(by, text)
        rough, text = rough or changed != text, changed
    for pattern, by in _PLAIN:
        text = pattern.sub(by, text)
    return text, rough
