"""Amounts in whole practical measures: quarter teaspoons, pieces, grams, as near the aims as they allow.

Starts from the nearest measures and moves one line, or two against each other, by a step as
long as that comes nearer: quick, and as good as an exact integer search on the mixes of a kitchen
(compared in tests).
"""

from __future__ import annotations

from collections.abc import Sequence
from itertools import combinations, product

import numpy as np

from vadouvan.core.mix.measure import measured, step_kg
from vadouvan.core.mix.solver import PULL, Aims, SolvedAmounts, aim_rows
from vadouvan.core.parsing.amount import Portion

MOST_ROUNDS = 60


def in_measures(
    portions: Sequence[Portion], solution: SolvedAmounts, aims: Aims, *, locked: frozenset[str] = frozenset()
) -> list[Portion]:
    """The portions of a solution in whole measures; locked ones as they were."""
    free = [portion for portion in portions if portion.line_id not in locked]
    if not free or not aims.values:
        return list(portions)
    fixed = [portion for portion in portions if portion.line_id in locked]
    rows, wanted = aim_rows(free, fixed, aims)
    steps = np.array([step_kg(portion) for portion in free])
    exact = np.array([solution.amounts_kg[portion.line_id] for portion in free])
    counts = _nearest(rows * steps, wanted, exact / steps)
    done = {
        portion.line_id: measured(portion, int(count)) for portion, count in zip(free, counts, strict=True) if count > 0
    }
    return [done.get(portion.line_id, portion) for portion in portions]


def misses(rows: np.ndarray, wanted: np.ndarray, counts: np.ndarray, exact: np.ndarray) -> float:
    """Cost that rounding lowers: relative misses of the aims, and a little for leaving the exact amounts."""
    away = (counts - exact) / np.maximum(exact, 1.0)
    return float(np.sum((rows @ counts - wanted) ** 2) + PULL**2 * np.sum(away**2))


def _nearest(rows: np.ndarray, wanted: np.ndarray, exact: np.ndarray) -> np.ndarray:
    counts = np.maximum(1.0, np.round(exact))
    moves = _moves(len(exact))
    best = misses(rows, wanted, counts, exact)
    for _ in range(MOST_ROUNDS):
        tried = counts + moves
        away = (tried - exact) / np.maximum(exact, 1.0)
        costs = np.sum((tried @ rows.T - wanted) ** 2, axis=1) + PULL**2 * np.sum(away**2, axis=1)
        costs[np.any(tried < 1, axis=1)] = np.inf
        choice = int(np.argmin(costs))
        if costs[choice] >= best - 1e-15:
            break
        counts, best = tried[choice], float(costs[choice])
    return counts


def _moves(count: int) -> np.ndarray:
    """One line up or down a step, or two lines at once."""
    single = [sign * row for row in np.eye(count) for sign in (1, -1)]
    pairs = [
        one * np.eye(count)[i] + other * np.eye(count)[j]
        for i, j in combinations(range(count), 2)
        for one, other in product((1, -1), repeat=2)
    ]
    return np.array(single + pairs)
