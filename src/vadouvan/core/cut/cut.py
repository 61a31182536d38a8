"""The cut on the board: a kind, a weight, a size, a number of pieces, and what was done to it."""

from __future__ import annotations

import math
from dataclasses import replace
from functools import cached_property, lru_cache

from vadouvan.core.constants import EVEN_LOG_SD, MINCED_GRAIN_M, UNEVEN_LOG_SD, VERY_UNEVEN_LOG_SD
from vadouvan.core.cut.cover import Cover, cover_resistance_m
from vadouvan.core.cut.kind import CutKind
from vadouvan.core.cut.preparation import Prepared, Step, Surface, prepare
from vadouvan.core.cut.shape import IRREGULAR_WIDTH, Bone, Openness, Piece, ShapeName, Size, piece_of
from vadouvan.unchanging import unchanging

STRIP_LENGTH = 6.0  # a strip is about so many times longer than thick
EVENNESS = {"even": EVEN_LOG_SD, "uneven": UNEVEN_LOG_SD, "very uneven": VERY_UNEVEN_LOG_SD}


@unchanging
class Cut:
    """A described cut in SI. ``mass_kg`` is as weighed, bone included; widths left open are worked out.

    ``frozen`` if it starts so; ``age_s`` it has been raw in the fridge before it goes into the mix [s].
    """

    kind: CutKind
    mass_kg: float
    shape: ShapeName
    thickness_m: float
    pieces: int
    bone: Bone = "none"
    bone_share: float = 0.0
    cover: Cover = "none"
    cover_all_round: bool = False
    width_m: float | None = None
    length_m: float | None = None
    thickness_log_sd: float = UNEVEN_LOG_SD.value
    steps: tuple[Step, ...] = ()
    frozen: bool = False
    age_s: float = 0.0

    @property
    def untrimmed_kg(self) -> float:
        """Weight without bone, before trimming [kg]."""
        return self.mass_kg * (1 - self.bone_share)

    @cached_property
    def prepared(self) -> Prepared:
        """The surface after all steps, with each step's effect."""
        bare = self._piece(cover_resistance_m(self.cover, fish=self.kind.is_fish), 1.0, self.untrimmed_kg)
        area_m2 = bare.open_area_m2 * self.untrimmed_kg / (self.kind.density_kg_per_m3 * bare.volume_m3)
        cover_m = cover_resistance_m(self.cover, fish=self.kind.is_fish)
        surface = Surface(self.untrimmed_kg, self.thickness_m, area_m2, self.cover, cover_m)
        return prepare(surface, self.steps)

    @cached_property
    def meat_kg(self) -> float:
        """Weight of meat that meets the mix: no bone, no trimmings [kg]."""
        return self.prepared.surface.meat_kg

    @cached_property
    def water_kg(self) -> float:
        """Water in the meat, which is where salt and acid go [kg]."""
        return self.meat_kg * self.kind.water_share

    @cached_property
    def piece(self) -> Piece:
        """Geometry of one piece, as prepared."""
        surface = self.prepared.surface
        return self._piece(surface.cover_m, surface.path_length_factor, surface.meat_kg)

    @cached_property
    def way_in(self) -> Piece:
        """Piece that salt and acid have to cross: the cut as prepared, or a grain of mince, the mix all round it."""
        if not self.kind.is_minced:
            return self.piece
        grain_m = MINCED_GRAIN_M.value
        return piece_of("ball", Size(grain_m, grain_m, grain_m, math.pi / 6 * grain_m**3), Openness())

    @cached_property
    def open_area_m2(self) -> float:
        """Open surface of all pieces [m2]."""
        return self.piece.open_area_m2 * self.meat_kg / (self.kind.density_kg_per_m3 * self.piece.volume_m3)

    @property
    def outer_area_m2(self) -> float:
        """All that a coat is spread on [m2]: every side of every piece, bone, skin and edges included."""
        piece, size = self.piece, self.piece.size
        edges_m2 = 2 * (size.width_m + size.length_m) * size.thickness_m if piece.shape == "slab" else 0.0
        with_bone = 1 / (1 - self.bone_share) if self.bone in ("face", "ribs") else 1.0
        pieces = self.meat_kg / (self.kind.density_kg_per_m3 * piece.volume_m3)
        return (piece.surface_m2 + edges_m2) * with_bone * pieces

    def scaled(self, factor: float) -> Cut:
        """The same cut with its thickness multiplied by ``factor``, weight unchanged."""
        return _scaled(self, factor)

    def _piece(self, cover_m: float, path_length_factor: float, meat_kg: float) -> Piece:
        size = size_of(self, meat_kg)
        openness = Openness(self.bone, self.bone_share, cover_m, self.cover_all_round)
        piece = piece_of(self.shape, size, openness)
        return piece if path_length_factor == 1.0 else replace(piece, path=piece.path.quickened(path_length_factor))


@lru_cache(maxsize=512)
def _scaled(cut: Cut, factor: float) -> Cut:
    """Kept with the geometry that is worked out for it: a band asks for the same two at each edit of a mix."""
    return replace(cut, thickness_m=cut.thickness_m * factor)


def size_of(cut: Cut, meat_kg: float) -> Size:
    """Dimensions of one piece; what was not measured follows from the weight."""
    thick = cut.thickness_m
    if cut.shape == "cube":
        return Size(thick, thick, thick, thick**3)
    volume_m3 = meat_kg / cut.kind.density_kg_per_m3 / cut.pieces
    if cut.shape == "ball":
        return Size(thick, thick, thick, math.pi / 6 * thick**3)
    if cut.shape == "cylinder":
        return Size(thick, thick, volume_m3 / (math.pi / 4 * thick**2), volume_m3)
    width = cut.width_m or _usual_width(cut.shape, thick, volume_m3)
    return Size(thick, width, volume_m3 / (thick * width), volume_m3)


def _usual_width(shape: ShapeName, thick_m: float, volume_m3: float) -> float:
    if shape == "strip":
        return thick_m
    if shape == "irregular":
        return min(IRREGULAR_WIDTH * thick_m, math.sqrt(volume_m3 / thick_m))
    return math.sqrt(volume_m3 / thick_m)


def usual_piece_kg(kind: CutKind, shape: ShapeName, thickness_m: float, bone_share: float) -> float:
    """Meat in one piece of that shape and thickness [kg]: by geometry if small, else the kind's usual weight."""
    if shape == "cube":
        return kind.density_kg_per_m3 * thickness_m**3
    if shape == "strip":
        return kind.density_kg_per_m3 * thickness_m**3 * STRIP_LENGTH
    return kind.mass_kg * (1 - bone_share)
