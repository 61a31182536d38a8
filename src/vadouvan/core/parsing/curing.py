"""Curing salts, known by what they are called: never weighed into a mix here."""

from __future__ import annotations

import re
from functools import lru_cache

from vadouvan.core.patterns import lazily
from vadouvan.errors import InputError

# A number after a cure or a pink salt is what tells a curing salt from a rock salt that is only pink.
_NUMBERED = r"(?:#|no\.?|nr\.?|number|n°)?\s*[12]\b"
_CURING = lazily(
    rf"nitrit|nitrat|salt\s*pet(?:er|re)|\bcuring\b|\bcures?\s+(?:salt|mix)|\bpink\s+cur|\bcure\s*{_NUMBERED}"
    rf"|\bpink\s+salt\s*{_NUMBERED}|\btinted\s+cur|\bprague\b|\bpr[aä]g(?:er)?\s+(?:powder|salt)|\bpökel"
    r"|\be\s*(?:249|250|251|252)\b",
    re.IGNORECASE,
)
LONGEST, READ_WORDS = 2000, 1024


@lru_cache(maxsize=READ_WORDS)
def names_curing_salt(words: str) -> bool:
    """Whether words name a salt for curing.

    >>> [names_curing_salt(words) for words in ("2 g curing salt", "5 g pink salt #1", "cure #1", "pink salt")]
    [True, True, True, False]
    """
    return _CURING.search(words[:LONGEST]) is not None


def curing_refused(words: str, field: str) -> InputError:
    """The error for a line that names one."""
    return InputError(
        field=field,
        given=words,
        wrong=f'"{words.strip()}" is for curing: that needs a tested recipe and exact dosing, and is not offered here.',
        accepted="Season with plain salt, and hold the meat in the fridge.",
    )
