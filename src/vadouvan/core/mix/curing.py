"""Curing salts, known by what they are called: never weighed into a mix here."""

from __future__ import annotations

from vadouvan.errors import InputError

CURING_WORDS = ("nitrit", "nitrat", "saltpet", "curing salt", "cure salt", "pink cure", "curing mix")


def names_curing_salt(words: str) -> bool:
    """Whether words name a salt for curing.

    >>> names_curing_salt("2 g curing salt"), names_curing_salt("pink salt")
    (True, False)
    """
    lowered = words.lower()
    return any(word in lowered for word in CURING_WORDS)


def curing_refused(words: str, field: str) -> InputError:
    """The error for a line that names one."""
    return InputError(
        field=field,
        given=words,
        wrong=f'"{words.strip()}" is for curing: that needs a tested recipe and exact dosing, and is not offered here.',
        accepted="Season with plain salt, and hold the meat in the fridge.",
    )
