"""Analytic uptake and profiles of slab, cylinder and sphere (``crank1975``), summed term by term.

Independent of the model under test: roots by bracketing, no grid, no matrix.
"""

from __future__ import annotations

import math
from collections.abc import Callable

from scipy.optimize import brentq
from scipy.special import j0, j1, jn_zeros

TERMS = 200


def roots(shape: str, ratio: float, count: int = TERMS) -> list[float]:
    """The first positive roots for a finite bath of that ratio (``inf``: constant surface)."""
    if math.isinf(ratio):
        if shape == "cylinder":
            return [float(root) for root in jn_zeros(0, count)]
        return [(n - 0.5) * math.pi if shape == "slab" else n * math.pi for n in range(1, count + 1)]
    tiny = 1e-9
    brackets: dict[str, Callable[[int], tuple[float, float]]] = {
        "slab": lambda n: ((n - 0.5) * math.pi + tiny, n * math.pi - tiny),
        "sphere": lambda n: (n * math.pi + tiny, (n + 0.5) * math.pi - tiny),
    }
    if shape == "cylinder":
        zeros0, zeros1 = jn_zeros(0, count), jn_zeros(1, count)
        return [brentq(lambda q: ratio * q * j0(q) + 2 * j1(q), zeros0[n], zeros1[n]) for n in range(count)]
    equation: dict[str, Callable[[float], float]] = {
        "slab": lambda q: math.sin(q) + ratio * q * math.cos(q),
        "sphere": lambda q: math.sin(q) * (3 + ratio * q * q) - 3 * q * math.cos(q),
    }
    return [brentq(equation[shape], *brackets[shape](n)) for n in range(1, count + 1)]


def uptake(shape: str, ratio: float, fo: float) -> float:
    """Uptake over final uptake at dimensionless time ``fo``."""
    p = {"slab": 0, "cylinder": 1, "sphere": 2}[shape]
    order = (p + 1) ** 2

    def weight(q: float) -> float:
        if math.isinf(ratio):
            return 2 * (p + 1) / q**2
        return 2 * (p + 1) * ratio * (1 + ratio) / (order * (1 + ratio) + ratio**2 * q**2)

    return 1 - sum(weight(q) * math.exp(-q * q * fo) for q in roots(shape, ratio))


def cube_uptake(fo: float) -> float:
    """Uptake of a cube at constant surface, by the product of three slabs; ``fo`` on the half edge."""
    left = 1 - uptake("slab", math.inf, fo)
    return 1 - left**3
