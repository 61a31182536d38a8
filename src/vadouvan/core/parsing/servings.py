"""For how many a recipe is, as it says so: "Serves 6", "Servings: 4", "Feeds 8", "for 4 people", "Cod, 4 servings"."""

from __future__ import annotations

import re
from collections.abc import Iterable

from vadouvan.core.patterns import lazily
from vadouvan.unchanging import unchanging

_SO_MANY = r"(?P<{name}>\d{{1,3}}(?: ?(?:-|–|to) ?\d{{1,3}})?)(?![\d/]|[.,]\d)"
_EATERS = r"(?:people|persons|guests|eaters|servings?|portions?)"
_SAID = lazily(
    rf"(?:^|[\s.,;(|])(?:serves?|feeds|servings?|portions|(?:yields?|makes)(?=[^.;|]{{0,12}} {_EATERS}))"
    r"\s*:?\s*(?:about |up to )?"
    rf"{_SO_MANY.format(name='first')}(?: {_EATERS})?"
    r"|\(for (?P<bare>\d{1,2})\)"
    rf"|\b(?:for )?{_SO_MANY.format(name='last')} {_EATERS}\b",
    re.IGNORECASE,
)
_AROUND = " .,;:|()[]*_-–—"
MOST = 200  # of a feast; more is a slip


@unchanging
class ServingsSaid:
    """So many servings as they were written, "4" or "4-6", and what else the line says."""

    count: str
    rest: str


def servings_said(line: str) -> ServingsSaid | None:
    """Servings that a line tells; none if it tells none.

    >>> servings_said("Serves 4-6"), servings_said("Chicken shashlik ....... serves 6")
    (ServingsSaid(count='4-6', rest=''), ServingsSaid(count='6', rest='Chicken shashlik'))
    >>> servings_said("Serve with 2 lemons"), servings_said("makes 12 skewers")
    (None, None)
    """
    line = " ".join(line.split())
    found = _SAID.search(line)
    count = (found["first"] or found["bare"] or found["last"]) if found is not None else ""
    if found is None or not all(0 < int(end) <= MOST for end in re.findall(r"\d+", count)):
        return None
    return ServingsSaid(
        count, f"{line[: found.start()].rstrip(_AROUND)} {line[found.end() :].lstrip(_AROUND)}".strip(_AROUND)
    )


def servings_among(lines: Iterable[str]) -> ServingsSaid | None:
    """The first of these lines that tells servings, as ``rest``, and how many."""
    said = ((line, servings_said(line)) for line in lines)
    return next((ServingsSaid(one.count, line) for line, one in said if one is not None), None)
