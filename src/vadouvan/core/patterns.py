"""Patterns that are compiled when they are first asked: there are hundreds, a sixth of a start."""

from __future__ import annotations

import re
from typing import Any, cast

_ASKED = ("match", "fullmatch", "search", "sub", "subn", "finditer", "findall", "split")


def lazily(pattern: str, flags: int = 0) -> re.Pattern[str]:
    r"""A pattern with the methods of a compiled one.

    >>> lazily(r"\d+").sub("n", "2 of 3")
    'n of n'
    """
    return cast("re.Pattern[str]", _Lazy(pattern, flags))


class _Lazy:
    """Stands for a pattern; once asked it holds the methods of the compiled one and is in nobody's way."""

    def __init__(self, pattern: str, flags: int) -> None:
        self.pattern, self.flags = pattern, flags

    def __getattr__(self, name: str) -> Any:
        if name not in _ASKED:
            raise AttributeError(name)
        compiled = re.compile(self.pattern, self.flags)
        self.__dict__.update({one: getattr(compiled, one) for one in _ASKED})
        return self.__dict__[name]
