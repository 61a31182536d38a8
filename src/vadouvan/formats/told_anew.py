"""An answer told in the units and on the clock of the one who reads it: sentences and shown figures, nothing else.

Names say which texts are told: ``says``, ``told``, ``shown`` and what ends in them, and the few of ``TOLD``. What was
typed, what is an id and what is a number for a program stays; a draft is all typed.
"""

from __future__ import annotations

from typing import Any, TypeVar, get_args

from vadouvan.core.measures.retelling import Clock, ToldIn, retold
from vadouvan.core.measures.telling import System
from vadouvan.shapes import shape_of

TOLD = frozenset((
    "about", "accepted", "asks", "assumed", "brought_by", "caution", "changed", "clashes", "comes_out", "costs", "dose",
    "gains", "hour", "in_short", "keeps", "loses", "moved", "not_after", "options", "pull_now", "questions", "remarks",
    "rule", "salt_line", "sentence", "table", "teaspoon", "trouble", "turns", "undecided", "waiting", "went_in",
    "why_not_longer", "why_not_now", "wrong",
))  # fmt: skip
ENDINGS = ("says", "told", "shown")
TYPED = frozenset(("draft", "drafts", "typed", "given", "events", "event"))

Answer = TypeVar("Answer")


def told_in_of(text: str) -> ToldIn:
    """Units and clock as a device keeps them, "customary-12"; as the core tells where it is anything else."""
    system, _, clock = text.partition("-")
    systems: dict[str, System] = {name: name for name in get_args(System)}
    clocks: dict[str, Clock] = {name: name for name in get_args(Clock)}
    return ToldIn(systems.get(system, "metric"), clocks.get(clock, "24"))


def json_told_anew(answer: Any, told_in: ToldIn) -> Any:
    """Decoded JSON with everything that is told, told anew.

    >>> ours = ToldIn("customary", "12")
    >>> json_told_anew({"says": "33 g", "grams": 33, "draft": {"says": "33 g"}, "best": {"shown": "3 mm"}}, ours)
    {'says': '1.2 oz', 'grams': 33, 'draft': {'says': '33 g'}, 'best': {'shown': '1/8 in'}}
    """
    return answer if told_in.is_as_the_core_tells else _anew(answer, told_in, is_told=False)


def answer_told_anew(answer: Answer, told_in: ToldIn) -> Answer:
    """The same of an answer before it becomes JSON."""
    if told_in.is_as_the_core_tells:
        return answer
    shape = shape_of(type(answer))
    return shape.validate_python(json_told_anew(shape.dump_python(answer, mode="json"), told_in))


def _anew(value: Any, told_in: ToldIn, *, is_told: bool) -> Any:
    if isinstance(value, str):
        return retold(value, told_in) if is_told else value
    if isinstance(value, list):
        return [_anew(one, told_in, is_told=is_told) for one in value]
    if isinstance(value, dict):
        return {
            key: one if key in TYPED else _anew(one, told_in, is_told=is_told or _tells(key))
            for key, one in value.items()
        }
    return value


def _tells(key: str) -> bool:
    return key in TOLD or key in ENDINGS or key.rpartition("_")[2] in ENDINGS
