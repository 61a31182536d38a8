"""Salt in the meat over time: from a bath, a paste, or a rub that first has to dissolve.

A mix is a bath of finite strength: ``bath_ratio`` is its water over the meat's. A mix with too
little water for its salt starts saturated; the surface stays at saturation until what is left
fits the water there is, then weakens as a finite bath does. Water drawn out of the meat by a
dry rub is counted as a film (``calibration``). Swelling and water movement are left out: depth
stays reasonable for strong baths, weight change is not told.
"""

from __future__ import annotations

from functools import lru_cache

import numpy as np

from vadouvan.core.constants import FILM_WATER_KG_PER_M2, SATURATION_KG_PER_KG_WATER
from vadouvan.core.cut.shape import Piece
from vadouvan.core.hold.eigenmodes import Array, Grid, Modes, modes_of
from vadouvan.unchanging import unchanging

FIRST_FO, LAST_FO, STEPS = 2e-5, 30.0, 160
FO: Array = np.geomspace(FIRST_FO, LAST_FO, STEPS)
LOG_FO: Array = np.log(FO)


@unchanging
class SaltContact:
    """A mix on its meat: salt and water outside, water inside [kg]; open surface [m2]."""

    salt_kg: float
    mix_water_kg: float
    meat_water_kg: float
    area_m2: float

    @property
    def outer_water_kg(self) -> float:
        """Water that carries the salt outside: the mix's own, or a film drawn from the meat."""
        return max(self.mix_water_kg, FILM_WATER_KG_PER_M2.value * self.area_m2)

    @property
    def masses_kg(self) -> tuple[float, float, float]:
        """Salt, and the water outside and inside [kg]."""
        return self.salt_kg, self.outer_water_kg, self.meat_water_kg

    @property
    def settled(self) -> float:
        """Concentration that everything settles to [kg salt per kg water]."""
        return self.salt_kg / (self.meat_water_kg + self.outer_water_kg)


@unchanging
class SaltCourse:
    """Salt over time in one piece.

    ``tau_m2`` (times); ``cells`` (times, cells) in kg salt per kg meat water; ``surface`` of the
    meat, ``bath`` and ``average`` (times); ``grid`` is that of the cells.
    """

    piece: Piece
    tau_m2: Array
    cells: Array
    surface: Array
    bath: Array
    average: Array
    grid: Grid

    def at_depth(self, depth_m: float) -> Array:
        """Concentration at a depth below the open faces, over time [kg/kg water]."""
        return np.asarray(self.at_depths(np.array([depth_m]))[0])

    def at_depths(self, depths_m: Array) -> Array:
        """Concentration at each depth below the open faces (rows), over time [kg/kg water]."""
        shares = np.append(self.grid.centre_shares, 1.0)
        values = np.column_stack((self.cells, self.surface))
        return _interpolated_rows(self.piece.shares_deeper_than(depths_m), shares, values)

    def reached_by(self, volume_share: float) -> Array:
        """Concentration that this share of the volume (0 to 1) has or exceeds, over time [kg/kg water]."""
        order = np.argsort(-self.cells, axis=1)
        saltiest_first = np.take_along_axis(self.cells, order, axis=1)
        volumes = self.grid.volumes[order]
        filled = np.cumsum(volumes, axis=1) - volumes / 2
        right = np.clip(np.argmax(filled >= volume_share, axis=1), 1, None)
        rows = np.arange(len(filled))
        below, above = filled[rows, right - 1], filled[rows, right]
        part = np.clip((volume_share - below) / (above - below), 0.0, 1.0)
        return np.asarray(saltiest_first[rows, right - 1] * (1 - part) + saltiest_first[rows, right] * part)


@unchanging
class EarlierContact:
    """The earlier bath, on its own, for so long on salt's clock."""

    contact: SaltContact
    tau_m2: float


def salt_course(piece: Piece, contact: SaltContact, earlier: EarlierContact | None = None) -> SaltCourse:
    """How salt spreads into one piece from this contact, on a log-spaced axis of tau that starts with it.

    ``contact`` holds all of the salt and water, ``earlier`` the part of both that was on the meat before.
    """
    path = piece.path
    modes = modes_of(path, contact.outer_water_kg / contact.meat_water_kg)
    if earlier is None or earlier.contact.salt_kg <= 0:
        states = _states_from_nothing(*contact.masses_kg, modes)
    else:
        states = _states(*contact.masses_kg, FO, modes, _begun(piece, earlier))
    cells, bath = states[:, :-1], states[:, -1]
    return SaltCourse(
        piece=piece,
        tau_m2=FO * path.length_m**2,
        cells=cells,
        surface=cells[:, -1] + modes.surface_share * (bath - cells[:, -1]),
        bath=bath,
        average=np.asarray(cells @ modes.grid.volumes),
        grid=modes.grid,
    )


def _begun(piece: Piece, earlier: EarlierContact) -> Array:
    """Salt in the meat when the contact begins [kg/kg water, by cell]."""
    first = earlier.contact
    modes = modes_of(piece.path, first.outer_water_kg / first.meat_water_kg)
    at = np.array([earlier.tau_m2 / piece.path.length_m**2])
    return _states(*first.masses_kg, at, modes, np.zeros(len(modes.grid.volumes)))[0, :-1]


@lru_cache(maxsize=8)
def _states_from_nothing(salt_kg: float, outer_water_kg: float, meat_water_kg: float, bath: Modes) -> Array:
    """All of the course: a bare piece that is thinner or thicker has the same, on a clock of its own."""
    return _states(salt_kg, outer_water_kg, meat_water_kg, FO, bath, np.zeros(len(bath.grid.volumes)))


def _states(salt_kg: float, outer_water_kg: float, meat_water_kg: float, fo: Array, bath: Modes, begun: Array) -> Array:
    """Concentrations (times, cells and surface): a finite bath, after a saturated start if need be."""
    outside_kg = salt_kg - float(begun @ bath.grid.volumes) * meat_water_kg
    strength = outside_kg / outer_water_kg
    saturation = SATURATION_KG_PER_KG_WATER.value
    if strength <= saturation:
        return bath.states(np.append(begun, strength), fo)
    # Mean concentration in the meat at which the salt left just fits the water outside.
    used_up = (salt_kg - saturation * outer_water_kg) / meat_water_kg
    held = bath.beside_an_endless_bath
    switch = _first_reach(held, begun / saturation, used_up / saturation, LAST_FO)
    states = np.column_stack((saturation + held.states(begun - saturation, fo), np.full(len(fo), saturation)))
    if switch is not None:
        at_switch = saturation + held.states(begun - saturation, np.array([switch]))[0]
        later = fo > switch
        states[later] = bath.states(np.append(at_switch, saturation), fo[later] - switch)
    return states


def _first_reach(held: Modes, begun: Array, share: float, last_fo: float) -> float | None:
    """Dimensionless time at which a piece at constant surface is filled to ``share``; nothing if never."""
    missing = held.mean_at(begun - 1.0)
    low, high = 0.0, last_fo
    if 1.0 + missing(high) < share:
        return None
    for _ in range(45):
        middle = (low + high) / 2
        low, high = (middle, high) if 1.0 + missing(middle) < share else (low, middle)
    return high


def _interpolated_rows(at: Array, points: Array, rows: Array) -> Array:
    """Each row of values, known at rising ``points``, read off linearly at several places (places, rows)."""
    inside = np.maximum(at, points[0])
    right = np.clip(np.searchsorted(points, inside), 1, len(points) - 1)
    weight = ((inside - points[right - 1]) / (points[right] - points[right - 1]))[:, np.newaxis]
    return np.asarray((1 - weight) * rows.T[right - 1] + weight * rows.T[right])
