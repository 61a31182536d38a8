"""Problems to mend, as data."""

from __future__ import annotations

from vadouvan.errors import InputError
from vadouvan.unchanging import unchanging


@unchanging(kw_only=True)
class ChoiceOut:
    """A text that would do, and what it comes to."""

    text: str
    shown: str


@unchanging(kw_only=True)
class ProblemOut:
    """Something to mend: where, what was given, what is wrong, what would do; texts to choose from."""

    field: str
    given: str
    wrong: str
    accepted: str
    choices: list[ChoiceOut]


def problem_out(error: InputError) -> ProblemOut:
    """An input error as data."""
    choices = [ChoiceOut(text=one.text, shown=one.shown) for one in error.choices]
    return ProblemOut(field=error.field, given=error.given, wrong=error.wrong, accepted=error.accepted, choices=choices)
