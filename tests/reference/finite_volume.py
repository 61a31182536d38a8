"""Diffusion into boxes and round pieces on a grid of two or three dimensions, beside a well-stirred finite bath.

Independent of the model under test, which runs each piece as one radial path: here every cell of the piece has its
neighbours, every face its own opening or cover, and time is stepped implicitly. Only the grid's regularity is used:
its directions are decomposed one by one, so that a step costs one division a cell.
"""

from __future__ import annotations

import math
from collections.abc import Sequence
from dataclasses import dataclass

import numpy as np
from numpy.typing import NDArray
from scipy.linalg import eigh

Array = NDArray[np.float64]
CLOSED = math.inf
CELLS = 20
# Two-stage diagonally implicit steps of second order that damp what is fast ("SDIRK2"; Alexander 1977, from memory).
GAMMA = 1 - 1 / math.sqrt(2)


@dataclass(frozen=True)
class Direction:
    """One direction of the grid, from ``start_m`` to ``end_m``, planar or (``radial``) round an axis.

    What lies before each end: 0 for open, ``CLOSED``, or a length of meat [m] that resists as much as the cover there.
    """

    start_m: float
    end_m: float
    before_start_m: float = CLOSED
    before_end_m: float = 0.0
    radial: bool = False

    def parts(self) -> tuple[Array, Array, Array]:
        """Volumes (cells), conductances (cells, cells) and openings to the bath (cells), for a diffusivity of one."""
        edges = self.start_m + (self.end_m - self.start_m) * self._spread()
        centres = (edges[1:] + edges[:-1]) / 2
        power = 2 if self.radial else 1
        volumes = np.diff(edges**power) / power
        areas = edges ** (power - 1)
        between = areas[1:-1] / np.diff(centres)
        matrix = -np.diag(between, 1) - np.diag(between, -1)
        openings = np.zeros(len(volumes))
        openings[0] = areas[0] / (centres[0] - edges[0] + self.before_start_m)
        openings[-1] += areas[-1] / (edges[-1] - centres[-1] + self.before_end_m)
        return volumes, matrix + np.diag(-matrix.sum(axis=1) + openings), openings

    def _spread(self) -> Array:
        """Edges from 0 to 1, finer towards the ends that let something in."""
        ends = (self.before_start_m < CLOSED, self.before_end_m < CLOSED)
        steps = np.linspace(0.0, 1.0, CELLS + 1)
        if ends == (True, True):
            return np.asarray(steps - np.sin(2 * math.pi * steps) * 0.9 / (2 * math.pi))
        even = np.asarray(1 - (1 - steps) ** 1.8)
        return even if ends[1] else np.asarray(1 - even[::-1]) if ends[0] else steps


def uptake(directions: Sequence[Direction], bath_ratio: float, taus_m2: Array) -> Array:
    """Mean concentration in the piece over the one it settles to, at diffusivity times time [m2] (rising).

    ``bath_ratio`` is the capacity of the bath over that of the piece.
    """
    parts = [direction.parts() for direction in directions]
    bases = [eigh(matrix, np.diag(volumes)) for volumes, matrix, _ in parts]
    means = [vectors.T @ volumes for (volumes, _, _), (_, vectors) in zip(parts, bases, strict=True)]
    opened = [vectors.T @ openings for (_, _, openings), (_, vectors) in zip(parts, bases, strict=True)]
    rates = _over_grid(np.add, [values for values, _ in bases])
    weight = _over_grid(np.multiply, means)
    into = sum(
        _over_grid(np.multiply, [opened[i] if i == way else means[i] for i in range(len(parts))])
        for way in range(len(parts))
    )
    whole = float(np.prod([volumes.sum() for volumes, _, _ in parts]))
    out = whole * sum(float(openings.sum() / volumes.sum()) for volumes, _, openings in parts)
    coupled = _Coupled(rates, np.asarray(into), out, bath_ratio * whole)
    return _means(coupled, weight / whole, taus_m2) * (1 + bath_ratio) / bath_ratio


def _over_grid(join: np.ufunc, along: Sequence[Array]) -> Array:
    grid = along[0]
    for one in along[1:]:
        grid = join.outer(grid, one).ravel()
    return grid


@dataclass(frozen=True)
class _Coupled:
    """Decay rates of the grid's modes, how strongly each meets the bath, and the bath's own opening and capacity."""

    rates: Array
    into: Array
    out: float
    bath: float

    def stepped(self, step: float, inside: Array, outside: float) -> tuple[Array, float]:
        """Modes and bath a step later."""
        first, first_out = self._slope(step, inside, outside)
        rest, last = (1 - GAMMA) * step, GAMMA * step
        second, second_out = self._slope(step, inside + rest * first, outside + rest * first_out)
        return inside + rest * first + last * second, outside + rest * first_out + last * second_out

    def _slope(self, step: float, inside: Array, outside: float) -> tuple[Array, float]:
        """Slopes at the end of an implicit stage that begins at these values."""
        part = GAMMA * step
        held = 1 / (1 + part * self.rates)
        kept, led = held * inside, held * self.into * part
        then = (outside + part / self.bath * float(self.into @ kept)) / (
            1 + part / self.bath * (self.out - float(self.into @ led))
        )
        return (kept + led * then - inside) / part, (then - outside) / part


def _means(coupled: _Coupled, mean: Array, taus_m2: Array) -> Array:
    """Means of a piece that begins empty in a bath of one."""
    inside, outside, now = np.zeros(len(mean)), 1.0, 0.0
    told = []
    for until in taus_m2:
        # As many steps as the time since the last moment needs at a fiftieth of what has passed.
        count = max(1, math.ceil((until - now) / (0.02 * until)))
        step = (until - now) / count
        for _ in range(count):
            inside, outside = coupled.stepped(step, inside, outside)
        now = until
        told.append(float(mean @ inside))
    return np.array(told)
