"""How far each level of the judgement of an hour may move before the trade's tables disagree: minutes of work, so it is
no test but a command, ``python -m tests.levels``. What it prints is what ``levels.MAY_MOVE`` holds.
"""

from __future__ import annotations

from collections.abc import Mapping
from functools import cache

from tests.core.test_trade_windows import UNSEEN, judged, not_as_cooks_say
from vadouvan.core.hold import levels
from vadouvan.core.hold.scenario import HoldScenario
from vadouvan.core.hold.window import tried

MORE_MAY_DISAGREE = 3
DOWN, UP = (1 / 1.1, 1 / 1.25, 1 / 1.5, 1 / 2), (1.1, 1.25, 1.5, 2.0)
Level = float | Mapping[str, float]


def level_names() -> list[str]:
    """Every level that is a number above zero, or one by family."""
    found = {name: value for name, value in vars(levels).items() if name.isupper() and name != "MAY_MOVE"}
    return [
        name for name, value in found.items() if isinstance(value, Mapping) or (isinstance(value, float) and value > 0)
    ]


@cache
def _scenarios() -> list[tuple[dict[str, str], HoldScenario]]:
    """Every case of the three tables with the physics of its hold, which no level touches."""
    cases = (case for table in ("trade", *UNSEEN) for case in judged(table))
    return [(row, one.scenario) for row, one in cases if one.scenario is not None]


def cases_that_disagree() -> int:
    """Cases whose hours are not ours, with the levels as they stand."""
    hours = ((row, tried(scenario)) for row, scenario in _scenarios())
    return sum(bool(not_as_cooks_say(row, one.earliest_h, one.best_h, one.latest_h)) for row, one in hours)


def may_move(name: str, most: int) -> tuple[float, float]:
    """The shares of a level, down and up, up to which no more than so many cases disagree."""
    kept: Level = getattr(levels, name)

    def furthest(shares: tuple[float, ...]) -> float:
        """The last of these shares before too many disagree."""
        reached = 1.0
        for share in shares:
            moved = {key: one * share for key, one in kept.items()} if isinstance(kept, Mapping) else kept * share
            setattr(levels, name, moved)
            try:
                if cases_that_disagree() > most:
                    break
            except (ArithmeticError, ValueError):
                break  # no judgement at all is further than may be
            reached = round(share, 2)
        return reached

    try:
        return furthest(DOWN), furthest(UP)
    finally:
        setattr(levels, name, kept)


def main() -> None:
    """Print each level with how far it may move."""
    most = cases_that_disagree() + MORE_MAY_DISAGREE
    for name in level_names():
        down, up = may_move(name, most)
        print(f'    "{name}": ({down:g}, {up:g}),', flush=True)


if __name__ == "__main__":
    main()
