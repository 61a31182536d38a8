"""Who eats with the cook, and what salt means on their shelf."""

from __future__ import annotations

from dataclasses import field

from vadouvan.unchanging import unchanging


@unchanging
class Household:
    """As read: what "salt" means in a mix (an id, empty for table salt), allergens to tell of, low-salt eaters."""

    salt: str = ""
    allergens: frozenset[str] = field(default_factory=frozenset)
    low_salt_eaters: int = 0


ANYBODY = Household()
