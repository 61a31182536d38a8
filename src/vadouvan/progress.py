"""How far a long piece of work is: whoever does it tells, whoever waits is shown, and may stop it."""

from __future__ import annotations

from collections.abc import Callable

Tell = Callable[[str, int, int], None]
"""Takes what is being done, how many things are done, and of how many; raises Stopped if it is to stop."""

EVERY = 50  # things between two tellings


def silently(_what: str, _done: int, _total: int) -> None:
    """Nobody waits."""
