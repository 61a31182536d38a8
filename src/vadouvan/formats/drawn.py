"""Numbers that the page draws or sets in words: six digits are more than it can show, and ten fewer to send."""

from __future__ import annotations

from typing import Annotated

from pydantic import PlainSerializer


def six_digits(value: float) -> float:
    """A number to six digits that count.

    >>> six_digits(35.8333333333333), six_digits(0.000123456789)
    (35.8333, 0.000123457)
    """
    return float(f"{value:.6g}")


Drawn = Annotated[float, PlainSerializer(six_digits, return_type=float, when_used="json")]
