"""Amounts that reach targets: some lines locked, the rest as near to the present mix as they can stay.

Bounded least squares on the rows that matter (salt, sugar, acid, heat, total), with a small pull towards
the present amounts. Salt of a bath is aimed at what it settles to in the meat, so its row counts
water as well as salt.
"""

from __future__ import annotations

from collections.abc import Callable, Mapping, Sequence
from typing import Literal

import numpy as np

from vadouvan.core.pantry.ingredient import Ingredient
from vadouvan.core.parsing.amount import MOST_KG, Portion
from vadouvan.unchanging import unchanging

Aim = Literal["salt", "sugar", "acid", "heat", "total"]

PULL = 0.03  # weight of staying near the present mix, against reaching the aims
# When not all can be met, a miss in salt is felt most, then in acid.
WEIGHTS: Mapping[Aim, float] = {"salt": 4.0, "acid": 2.0, "sugar": 1.0, "heat": 1.0, "total": 1.0}
LEAST_SCALE_KG = 0.002  # a line of less than this may move as freely as one of this
REACHED_WITHIN = 0.02


@unchanging
class Aims:
    """Targets of the mix: ``salt``, ``sugar``, ``acid`` in kg per kg of meat, ``total`` in kg.

    ``heat`` is in Scoville units per kg of meat, averaged over its weight.

    ``settles`` counts salt by what a bath settles to; ``meat_water_kg`` and the water boiled off are needed for that.
    """

    meat_kg: float
    meat_water_kg: float
    settles: bool
    values: Mapping[Aim, float]
    boiled_off_kg: float = 0.0


@unchanging
class Reached:
    """One aim, what the solution brings of it, and whether that is near enough."""

    aim: Aim
    wanted: float
    got: float

    @property
    def is_met(self) -> bool:
        """Within two per cent, or a tenth of a gram per kilogram."""
        return abs(self.got - self.wanted) <= max(REACHED_WITHIN * self.wanted, 1e-4)


@unchanging
class SolvedAmounts:
    """Amounts by line [kg], and how each aim was met; unmet ones name the nearest that can be reached."""

    amounts_kg: dict[str, float]
    reached: tuple[Reached, ...]

    @property
    def unmet(self) -> tuple[Reached, ...]:
        """Aims that these ingredients and locks cannot reach."""
        return tuple(one for one in self.reached if not one.is_met)


_SHARE: dict[Aim, Callable[[Ingredient], float]] = {
    "salt": lambda item: item.salt.value,
    "sugar": lambda item: item.sugar.value,
    "acid": lambda item: item.acid.value,
    "heat": lambda item: item.heat_shu.value,
    "total": lambda _item: 1.0,
}


def solve(
    portions: Sequence[Portion],
    aims: Aims,
    *,
    locked: frozenset[str] = frozenset(),
    bounds_kg: Mapping[str, tuple[float, float]] | None = None,
) -> SolvedAmounts:
    """Amounts that meet the aims as well as can be, moving the unlocked lines as little as can be.

    Amounts stay in ``bounds_kg`` (by line; else between nothing and the most of one ingredient).
    Locked lines keep theirs.
    """
    free = [portion for portion in portions if portion.line_id not in locked]
    fixed = [portion for portion in portions if portion.line_id in locked]
    amounts = {portion.line_id: portion.mass_kg.value for portion in portions}
    if free and aims.values:
        rows, wanted = aim_rows(free, fixed, aims)
        ends = np.array([(bounds_kg or {}).get(portion.line_id, (0.0, MOST_KG)) for portion in free])
        start = np.clip([portion.mass_kg.value for portion in free], ends[:, 0], ends[:, 1])
        scale = np.maximum(start, LEAST_SCALE_KG)
        # Unknowns are relative changes, so that every line counts alike.
        pull = np.sqrt(PULL) * np.eye(len(free))
        matrix = np.vstack((rows * scale, pull))
        target = np.concatenate((wanted - rows @ start, np.zeros(len(free))))
        low, high = (ends[:, 0] - start) / scale, (ends[:, 1] - start) / scale
        high = np.maximum(high, low + 1e-9)
        from scipy.optimize import lsq_linear  # noqa: PLC0415 - a fifth of a start, and few answers need it

        found = lsq_linear(matrix, target, bounds=(low, high), method="bvls")
        polished = _polished(rows * scale, wanted - rows @ start, found.x, low, high)
        for portion, begun, change, unit in zip(free, start, polished, scale, strict=True):
            amounts[portion.line_id] = float(begun + change * unit)
    return SolvedAmounts(amounts, reached_by(portions, amounts, aims))


def aim_rows(free: Sequence[Portion], fixed: Sequence[Portion], aims: Aims) -> tuple[np.ndarray, np.ndarray]:
    """Scaled rows over the free lines and what they have to bring, the locked lines' part taken off."""
    rows, wanted = [], []
    for aim, value in aims.values.items():
        share = _row_share(aim, value, aims)
        target = _target(aim, value, aims)
        unit = max(abs(target), 1e-3) / WEIGHTS[aim]
        brought = sum(share(portion.ingredient) * portion.mass_kg.value for portion in fixed)
        rows.append([share(portion.ingredient) / unit for portion in free])
        wanted.append((target - brought) / unit)
    return np.array(rows), np.array(wanted)


def salt_share_and_target(aims: Aims) -> tuple[Callable[[Ingredient], float], float]:
    """Share of an ingredient in the salt aim, and what all lines together have to come to [kg]."""
    value = aims.values["salt"]
    return _row_share("salt", value, aims), _target("salt", value, aims)


def _row_share(aim: Aim, value: float, aims: Aims) -> Callable[[Ingredient], float]:
    if aim != "salt" or not aims.settles:
        return _SHARE[aim]
    strength = _strength(value, aims)
    return lambda item: item.salt.value - strength * item.water


def _target(aim: Aim, value: float, aims: Aims) -> float:
    if aim == "total":
        return value
    if aim == "salt" and aims.settles:
        return _strength(value, aims) * (aims.meat_water_kg - aims.boiled_off_kg)
    return value * aims.meat_kg


def _strength(salt: float, aims: Aims) -> float:
    """Salt per kg of water everywhere at rest, for so much salt in the meat [kg/kg]."""
    return salt * aims.meat_kg / aims.meat_water_kg


def _polished(
    rows: np.ndarray, wanted: np.ndarray, change: np.ndarray, low: np.ndarray, high: np.ndarray
) -> np.ndarray:
    """The small pull's error taken out: the least further change that meets the aims, if it keeps the bounds."""
    further, *_ = np.linalg.lstsq(rows, wanted - rows @ change, rcond=None)
    exact = change + further
    inside = bool(np.all(exact >= low - 1e-12) and np.all(exact <= high + 1e-12))
    return exact if inside and np.allclose(rows @ exact, wanted, atol=1e-6) else change


def reached_by(portions: Sequence[Portion], amounts: Mapping[str, float], aims: Aims) -> tuple[Reached, ...]:
    """Totals of each aim, of amounts by line [kg]."""
    brought = []
    for aim, value in aims.values.items():
        total = sum(_SHARE[aim](portion.ingredient) * amounts[portion.line_id] for portion in portions)
        if aim == "total":
            got = total
        elif aim == "salt" and aims.settles:
            water_kg = sum(portion.ingredient.water * amounts[portion.line_id] for portion in portions)
            got = total / (aims.meat_water_kg + water_kg - aims.boiled_off_kg) * aims.meat_water_kg / aims.meat_kg
        else:
            got = total / aims.meat_kg
        brought.append(Reached(aim, value, got))
    return tuple(brought)
