"""Headings of a pasted recipe that nothing marks as such: "Peri-peri" after a gap, "Tzatziki" over its amounts."""

from __future__ import annotations

from collections.abc import Callable

from vadouvan.core.measures.numbers import leading_number
from vadouvan.core.parsing.headings import MIXES, SIDES, heading_of, is_deed, words_of
from vadouvan.core.parsing.tidy import without_bullet
from vadouvan.core.patterns import lazily
from vadouvan.unchanging import unchanging

MOST_WORDS_OF_A_PART = 4
_NAME = lazily(r"[^\W\d_][^\d,:;.()]*")
_JOINED = lazily(r"\s+(?:and|or|&)\s+")


@unchanging
class _Between:
    """A line of a list with its neighbours."""

    above: str
    line: str
    below: str

    @property
    def name(self) -> str:
        """Its words without blanks around them."""
        return self.line.strip()

    @property
    def after(self) -> str:
        """The line below without its mark."""
        return without_bullet(self.below)

    @property
    def is_over_an_amount(self) -> bool:
        """Whether an amount stands below."""
        return leading_number(self.after) is not None

    @property
    def is_a_name(self) -> bool:
        """Whether it is a few words, no amount, no marked heading and nothing to do."""
        few = 0 < len(self.name.split()) <= MOST_WORDS_OF_A_PART and _NAME.fullmatch(self.name) is not None
        return few and leading_number(self.name) is None and heading_of(self.name) is None and not is_deed(self.name)

    @property
    def is_a_side(self) -> bool:
        """Whether it is the name of what goes with a dish, over its amounts: it needs no gap."""
        return self.name.rpartition(" ")[2].lower() in SIDES and self.is_over_an_amount

    @property
    def is_over_lines_set_in(self) -> bool:
        """Whether the lines below have more blanks before them."""
        return _set_in(self.below) > _set_in(self.line)

    @property
    def is_unmarked_among_marked(self) -> bool:
        """Whether its neighbours have marks of a list before them, and it has none."""
        return _has_mark(self.above) and _has_mark(self.below) and not _has_mark(self.line)

    @property
    def is_a_title(self) -> bool:
        """Whether all its words have a capital: not "Cooking spray"."""
        return all(word[0].isupper() for word in self.name.split())

    @property
    def is_after_a_gap(self) -> bool:
        """Whether the line above is empty."""
        return not self.above.strip()


def headings_marked(lines: list[str], is_line: Callable[[str], bool], is_meat: Callable[[str], bool]) -> list[str]:
    """Lines with a colon after each that can only be a heading: a few words before an amount, of which none is an
    ingredient, after a gap below the first lines of a list, or set apart otherwise.

    Where another heading tells a mix, so that the text is in parts, it may be the first; no gap is needed where that
    other heading has none.
    """
    told = [place for place, line in enumerate(lines) if words_of(heading_of(without_bullet(line)) or "") & MIXES]
    is_without_gaps = bool(told) and all(line.strip() for line in lines)
    needs_no_gap = is_without_gaps or any(place > 0 and lines[place - 1].strip() for place in told)
    marked = lines[:1]
    is_begun = bool(told)
    for place, line in enumerate(lines[1:], start=1):
        plain = without_bullet(lines[place - 1])
        is_begun = is_begun or is_line(plain) or is_meat(plain)
        here = _Between(lines[place - 1], line, lines[place + 1] if place + 1 < len(lines) else "")
        is_apart = (
            here.is_a_side
            or (needs_no_gap and here.is_a_title)
            or here.is_over_lines_set_in
            or here.is_unmarked_among_marked
            or here.is_after_a_gap
        )
        is_heading = is_begun and here.is_a_name and is_apart and _heads_what_is_below(here, is_line, is_meat)
        marked.append(f"{here.name}:" if is_heading else line)
    return marked


def _heads_what_is_below(here: _Between, is_line: Callable[[str], bool], is_meat: Callable[[str], bool]) -> bool:
    """Whether an amount or an ingredient stands below, and the name is neither of meat nor of an ingredient itself."""
    if not (here.is_over_an_amount or is_line(here.after)) or is_meat(here.name):
        return False
    if here.is_a_side or (here.is_over_lines_set_in and is_line(here.after)):
        return True
    parts = [part for part in _JOINED.split(here.name) if part]
    return not any(is_line(f"10 g {part}") for part in (here.name, *parts))


def _has_mark(line: str) -> bool:
    """Whether a line of a list has a mark or a number before it."""
    return without_bullet(line) != line.strip()


def _set_in(line: str) -> int:
    """Blanks before a line."""
    return len(line.expandtabs(4)) - len(line.expandtabs(4).lstrip())
