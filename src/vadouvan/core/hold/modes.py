"""Diffusion into a radial piece beside a bath, solved exactly in time by its decay modes.

Cell-centred finite volumes on a grid that is finer towards the surface; the well-stirred bath
is one more cell. The scaled conductance matrix is symmetric, so one eigen-decomposition gives
the concentrations at any set of times without stepping (``crank1975`` for what it must equal).

All is dimensionless: lengths in path lengths, time as ``fo = tau / length**2``.
"""

from __future__ import annotations

import math
from dataclasses import dataclass
from functools import lru_cache

import numpy as np
from numpy.typing import NDArray
from scipy.linalg import eigh

from vadouvan.core.cut.shape import Path

Array = NDArray[np.float64]

CELLS = 60
GRADING = 2.2
KEPT_DIGITS = 12  # of exponent and capacity ratio, when decompositions are kept for reuse


@dataclass(frozen=True)
class Grid:
    """Cell edges, centres and volumes (they add up to 1) for area ~ x**exponent on 0..1."""

    edges: Array
    centres: Array
    volumes: Array


@dataclass(frozen=True)
class Modes:
    """Decay modes of piece and bath.

    ``rates`` [1/fo], ``shapes`` (cells[+1], modes), ``weights`` the square roots of capacities.
    With an endless bath there is no bath cell and states are differences from the surface value.
    """

    grid: Grid
    bath_ratio: float
    rates: Array
    shapes: Array
    weights: Array

    def states(self, start: Array, fo: Array) -> Array:
        """States (times, cells[+1]) at dimensionless times ``fo`` from ``start`` (cells[+1])."""
        loads = self.shapes.T @ (self.weights * start)
        decay = np.exp(-np.outer(fo, self.rates))
        return (decay * loads) @ self.shapes.T / self.weights


def graded_grid(exponent: float, cells: int = CELLS) -> Grid:
    """A grid on 0 (middle) to 1 (surface), finer towards the surface."""
    edges = np.tanh(GRADING * np.linspace(0.0, 1.0, cells + 1)) / math.tanh(GRADING)
    filled = edges ** (exponent + 1)
    return Grid(edges, (edges[1:] + edges[:-1]) / 2, np.diff(filled))


def modes_of(path: Path, bath_ratio: float) -> Modes:
    """Modes for a path and the capacity of its bath over that of the piece (``inf``: endless bath)."""
    return _modes(round(path.exponent, KEPT_DIGITS), float(f"{bath_ratio:.{KEPT_DIGITS}g}"), CELLS)


@lru_cache(maxsize=256)
def _modes(exponent: float, bath_ratio: float, cells: int) -> Modes:
    grid = graded_grid(exponent, cells)
    # Volumes are normalised to 1, so areas are (exponent + 1) x**exponent.
    areas = (exponent + 1) * grid.edges**exponent
    inner = areas[1:-1] / np.diff(grid.centres)
    surface = areas[-1] / (1.0 - grid.centres[-1])
    finite = math.isfinite(bath_ratio)
    size = cells + 1 if finite else cells
    flow = np.zeros((size, size))
    links = np.append(inner, surface) if finite else inner
    steps = np.arange(len(links))
    flow[steps, steps] += links
    flow[steps + 1, steps + 1] += links
    flow[steps, steps + 1] -= links
    flow[steps + 1, steps] -= links
    if not finite:
        flow[-1, -1] += surface
    weights = np.sqrt(np.append(grid.volumes, bath_ratio) if finite else grid.volumes)
    rates, shapes = eigh(flow / np.outer(weights, weights), driver="evd")
    return Modes(grid, bath_ratio, np.maximum(rates, 0.0), shapes, weights)
