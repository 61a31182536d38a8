"""Deeds before the mix that a line of meat tells: scored, pricked, rinsed, patted dry, cut into ribs."""

from __future__ import annotations

import re

from vadouvan.core.cut.preparation import StepKind
from vadouvan.core.patterns import lazily
from vadouvan.unchanging import unchanging

_APART_BY = r"singly|individually|apart|between (?:the |each )?(?:bones?|ribs?)"
_PATTERNS: tuple[tuple[str, StepKind], ...] = (
    (
        rf"\b(?:cut|separated|divided|sliced)(?: up)? (?:{_APART_BY}"
        r"|(?:in|into) (?:single|individual|separate) (?:bones?|ribs?))(?! chops)\b",
        "divided",
    ),
    (r"\b(?:scored|slashed|cross-?hatched)\b|\b(?:slashes|cuts)(?= (?:in|into|on|across|through) )", "scored"),
    (r"\bslits?\b|\bstabbed\b", "slits"),
    (r"\b(?:pricked|pierced|poked|docked)\b", "pricked"),
    (r"\b(?:rinsed|washed)\b", "rinsed"),
    (r"\bpat(?:ted)? (?:very |well |thoroughly )?dry\b|\bpatted\b|\bblotted(?: dry)?\b", "patted"),
    (r"\bpressed\b", "pressed"),
)
_WORDS = tuple((lazily(pattern, re.IGNORECASE), kind) for pattern, kind in _PATTERNS)
# With one of the words above and figures, a part of a line that says no more than that.
_BESIDE = frozenset(
    """
    a an the and in into on of to with all over both each either every side sides skin fat flesh rind meat bone
    bones piece pieces lightly deeply well finely thoroughly evenly closely few several small deep shallow apart
    cm mm inch inches diamond diamonds criss cross crosshatch crosswise hatch pattern shape times time fork knife
    skewer point tip sharp made cut down through thickest part kitchen paper paper towel towels cold water under
    running tap then scored slashed slash slashes hatched slit slits stabbed pricked pierced poked docked rinsed
    washed patted pat blotted dry very pressed cuts three two four its their at interval intervals square squares
    lines dried inside outside out for about min mins minute minutes hour hours overnight first opened open flat
    """.split()  # noqa: SIM905 - a list of words to read
)
_PART = lazily(r"[^,;()]+")
_CROSSWISE = lazily(r"\b(?:diamonds?|criss|cross-?hatch\w*|cross)\b", re.IGNORECASE)
_SKIN = lazily(r"\b(?:skin|rind)\b", re.IGNORECASE)
_LENGTH = r"(\d+(?:[.,]\d+)?\s*(?:mm|cm|inch(?:es)?|in))"
_DEPTH = lazily(rf"\b{_LENGTH}\.? deep\b", re.IGNORECASE)
_APART = lazily(
    rf"\b{_LENGTH}\.? (?:apart|diamonds?|intervals?|squares?|cross-?hatch)\b|\bevery {_LENGTH}\b", re.IGNORECASE
)
_TO_THE_BONE = lazily(r"\bto the bone\b", re.IGNORECASE)
_SLITS = lazily(r"\b(\d{1,3}) (?:\w+ ){0,2}slits\b", re.IGNORECASE)
_BEFORE_IT = lazily(r"(?:\b(?:the )?(?:skin|fat|rind)(?: side)?\s+)?(?:\b(?:well|\w{3,12}ly)\s+)?$", re.IGNORECASE)


@unchanging
class DoneToCut:
    """One thing that was done, with the figures that were told of it, and the words that said so."""

    kind: StepKind
    said: str
    depth: str = ""
    spacing: str = ""
    count: str = ""
    crosswise: bool = False
    through_skin: bool = False


def done_in(text: str) -> tuple[tuple[DoneToCut, ...], str]:
    """Each deed that a line tells, in its order, and the line without them.

    >>> [(one.kind, one.depth) for one in done_in("1 kg duck breasts, skin scored 4 mm deep")[0]]
    [('scored', '4 mm')]
    >>> done_in("6 slashed chicken legs, patted dry")[1]
    '6 chicken legs'
    """
    done: list[DoneToCut] = []
    left = _PART.sub(lambda part: _without(part.group(), done), text)
    if not done:
        return (), text
    left = re.sub(r"\(\s*\)", " ", left)
    left = re.sub(r"(?:\s*[,;])+\s*(?=[,;]|$)", "", left)
    return tuple(done), " ".join(left.split()).strip(" ,;")


def _without(part: str, done: list[DoneToCut]) -> str:
    """A part of a line between its commas, without what it says was done, which is added to the list."""
    found = sorted(
        ((word, kind) for pattern, kind in _WORDS if (word := pattern.search(part)) is not None),
        key=lambda one: one[0].start(),
    )
    if not found:
        return _more_of_it(part, done)
    says_no_more = all(word in _BESIDE for word in re.findall(r"[a-z]+", part.lower())) or found[0][1] == "divided"
    for word, kind in found:
        done.append(_done(kind, part if says_no_more and kind != "divided" else word.group()))
    if says_no_more and found[0][1] != "divided":
        return " bonein " if _TO_THE_BONE.search(part) else " "
    for word, _ in sorted(found, key=lambda one: -one[0].start()):
        before = _BEFORE_IT.sub("", part[: word.start()])
        part = f"{before} {part[word.end() :]}"
    return re.sub(r"(?:\s+and)+\s*$", "", part)


def _more_of_it(part: str, done: list[DoneToCut]) -> str:
    """A part that only tells how deep or how far apart the cuts are that were told of before it, taken with them."""
    if not done or done[-1].kind not in ("scored", "slits") or not (_DEPTH.search(part) or _APART.search(part)):
        return part
    if any(word not in _BESIDE for word in re.findall(r"[a-z]+", part.lower())):
        return part
    done[-1] = _done(done[-1].kind, f"{done[-1].said}, {part.strip()}")
    return " "


def _done(kind: StepKind, said: str) -> DoneToCut:
    depth, apart, slits = _DEPTH.search(said), _APART.search(said), _SLITS.search(said)
    cuts = kind in ("scored", "slits")
    return DoneToCut(
        kind,
        " ".join(said.split()),
        depth=depth[1] if depth and cuts else "",
        spacing=(apart[1] or apart[2]) if apart and kind == "scored" else "",
        count=slits[1] if slits and kind == "slits" else "",
        crosswise=kind == "scored" and _CROSSWISE.search(said) is not None,
        through_skin=kind == "scored" and _SKIN.search(said) is not None,
    )
