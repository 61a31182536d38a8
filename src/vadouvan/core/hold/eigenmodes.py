"""Diffusion into a radial piece beside a bath, solved exactly in time by its decay modes.

Cell-centred finite volumes on a grid that is finer towards the surface; the well-stirred bath
is one more cell. The scaled conductance matrix is symmetric, so one eigen-decomposition gives
the concentrations at any set of times without stepping (``crank1975`` for what it must equal).

All is dimensionless: lengths in path lengths, time as ``fo = tau / length**2``.
"""

from __future__ import annotations

import math
from collections.abc import Callable
from functools import cached_property, lru_cache

import numpy as np
from numpy.typing import NDArray

from vadouvan.core.cut.shape import Path
from vadouvan.unchanging import unchanging

Array = NDArray[np.float64]

CELLS = 60
GRADING = 2.2
TWO_FACE_GRADING = 1.8
DEAD = 100.0
KEPT_MODES = 128  # 30 kB each
KEPT_DIGITS = 12  # of exponent and capacity ratio, when decompositions are kept for reuse


@unchanging(eq=False)  # one is kept for each shape
class Grid:
    """Cell edges, centres and volumes (they add up to 1) for area ~ x**exponent on 0..1."""

    edges: Array
    centres: Array
    volumes: Array

    @cached_property
    def edge_shares(self) -> Array:
        """Shares of the volume inside the outer edge of each cell."""
        return np.cumsum(self.volumes)

    @cached_property
    def centre_shares(self) -> Array:
        """Shares of the volume inside the centre of each cell."""
        return np.asarray(self.edge_shares - self.volumes / 2)

    def outside(self, inner_share: float) -> Array:
        """Weights with which cells add up to the mean of all that lies outside a share of the volume (0 to 1)."""
        return _outside(self, inner_share)


@lru_cache(maxsize=KEPT_MODES)
def _outside(grid: Grid, inner_share: float) -> Array:
    part = np.clip((grid.edge_shares - inner_share) / grid.volumes, 0.0, 1.0) * grid.volumes
    return np.asarray(part / part.sum())


@unchanging(eq=False)  # known by being the same: one is kept for each shape and ratio
class Modes:
    """Decay modes of piece and bath; ``shape`` is what they were made for (exponent, inner share, resistances).

    ``surface_share`` places the meat's own surface between the last cell (0) and the bath (1):
    below 1 under a cover. ``rates`` [1/fo], ``shapes`` (cells[+1], modes), ``weights`` the square roots of capacities.
    With an endless bath there is no bath cell and states are differences from the surface value.
    """

    grid: Grid
    shape: tuple[float, float, float, float | None]
    bath_ratio: float
    surface_share: float
    rates: Array
    shapes: Array
    weights: Array

    def states(self, start: Array, fo: Array) -> Array:
        """States (times, cells[+1]) at dimensionless times ``fo`` from ``start`` (cells[+1])."""
        loads = self.shapes.T @ (self.weights * start)
        # Beyond DEAD nothing is left; numbers too small to be held in full would make the product three times as slow.
        decay = np.exp(-np.minimum(np.outer(fo, self.rates), DEAD))
        return (decay * loads) @ self.shapes.T / self.weights

    @property
    def beside_an_endless_bath(self) -> Modes:
        """The modes of the same piece whose surface is held."""
        return _modes(*self.shape, math.inf, len(self.grid.volumes))

    def mean_at(self, start: Array) -> Callable[[float], float]:
        """The mean over the piece at any dimensionless time, from ``start`` (cells) beside an endless bath."""
        loads = (self.shapes.T @ (self.weights * start)) * ((self.grid.volumes / self.weights) @ self.shapes)
        return lambda fo: float(loads @ np.exp(-np.minimum(fo * self.rates, DEAD)))

    def after(self, starts: Array, fo: float) -> Array:
        """States (starts, cells[+1]) at one dimensionless time ``fo`` from each of several (starts, cells[+1])."""
        decay = np.exp(-np.minimum(fo * self.rates, DEAD))
        return ((starts * self.weights) @ self.shapes * decay) @ self.shapes.T / self.weights


@lru_cache(maxsize=512)
def graded_grid(exponent: float, cells: int = CELLS, *, inner_share: float = 0.0, two_faces: bool = False) -> Grid:
    """A grid from ``inner_share`` (0 to 1) to 1 (surface), finer towards each open face."""
    steps = np.linspace(-1.0 if two_faces else 0.0, 1.0, cells + 1)
    grading = TWO_FACE_GRADING if two_faces else GRADING
    spread = np.tanh(grading * steps) / math.tanh(grading)
    edges = inner_share + (1 - inner_share) * ((spread + 1) / 2 if two_faces else spread)
    filled = edges ** (exponent + 1)
    return Grid(edges, (edges[1:] + edges[:-1]) / 2, np.diff(filled) / (filled[-1] - filled[0]))


def modes_of(path: Path, bath_ratio: float, cells: int = CELLS) -> Modes:
    """Modes for a path and the capacity of its bath over that of the piece (``inf``: endless bath)."""
    far = path.far_resistance_m
    return _modes(
        _kept(path.exponent),
        _kept(path.inner_m / path.length_m),
        _kept(path.resistance_m / path.length_m),
        None if far is None else _kept(far / path.length_m),
        _kept(bath_ratio),
        cells,
    )


def _kept(value: float) -> float:
    return float(f"{value:.{KEPT_DIGITS}g}")


@lru_cache(maxsize=KEPT_MODES)
def _modes(
    exponent: float, inner: float, resistance: float, far_resistance: float | None, bath_ratio: float, cells: int
) -> Modes:
    grid = graded_grid(exponent, cells, inner_share=inner, two_faces=far_resistance is not None)
    areas, between = _faces(grid, exponent, inner)
    half_cell = 1.0 - grid.centres[-1]
    surface = areas[-1] / (half_cell + resistance)
    far = 0.0 if far_resistance is None else areas[0] / (grid.centres[0] - inner + far_resistance)
    finite = math.isfinite(bath_ratio)
    capacities, links, diagonal = np.empty(cells + finite), np.empty(cells - 1 + finite), np.zeros(cells + finite)
    capacities[:cells] = grid.volumes
    links[: cells - 1] = between
    diagonal[: cells - 1] += between
    diagonal[1:cells] += between
    diagonal[cells - 1] += surface
    diagonal[0] += far
    if finite:
        capacities[-1], links[-1], diagonal[-1] = bath_ratio, surface, surface + far
    weights = np.sqrt(capacities)
    rates, shapes = _decomposed(
        diagonal / weights**2,
        -links / (weights[1:] * weights[:-1]),
        -far / (weights[0] * weights[-1]) if finite else 0.0,
    )
    drop = half_cell / (half_cell + resistance)
    shape = exponent, inner, resistance, far_resistance
    return Modes(grid, shape, bath_ratio, float(drop), np.maximum(rates, 0.0), shapes, weights)


@lru_cache(maxsize=KEPT_MODES)
def _faces(grid: Grid, exponent: float, inner: float) -> tuple[Array, Array]:
    """Areas of the faces of cells, whose volumes add up to 1, and conductances between cells: one for every bath."""
    areas = (exponent + 1) * grid.edges**exponent / (1 - inner ** (exponent + 1))
    return areas, areas[1:-1] / np.diff(grid.centres)


def _decomposed(diagonal: Array, beside: Array, corner: float) -> tuple[Array, Array]:
    """Eigenvalues and vectors of a symmetric matrix; three times as quick where each cell meets only its neighbours.

    Only a bath that touches both faces of a piece links cells that are no neighbours: the first and the last.
    """
    if corner == 0.0:
        from scipy.linalg.lapack import dstevd  # noqa: PLC0415 - scipy is a tenth of a start

        rates, shapes, failed = dstevd(diagonal, beside)
        if failed:
            raise ArithmeticError("a piece has no modes")
    else:
        from scipy.linalg import eigh  # noqa: PLC0415

        scaled = np.diag(diagonal) + np.diag(beside, 1) + np.diag(beside, -1)
        scaled[0, -1] = scaled[-1, 0] = corner
        rates, shapes = eigh(scaled, driver="evd", check_finite=False)
    return np.asarray(rates), np.asarray(shapes)
