"""The cut on the board: a kind, a weight, a thickness, a number of pieces that agree."""

from __future__ import annotations

from dataclasses import dataclass, replace

from vadouvan.core.cut.kind import CutKind, ShapeName
from vadouvan.core.cut.shape import Piece, cube, slab
from vadouvan.core.figure import number_told
from vadouvan.errors import InputError

SLAB_MAY_BE_THICKER_THAN_WIDE = 1.15  # a slab this much thicker than wide is still called one
COUNT_MAY_BE_OFF = 1.6  # pieces are cut by eye: counted against computed may differ by this factor
THINNEST_CUBE_M, THICKEST_CUBE_M = 0.005, 0.080


@dataclass(frozen=True)
class Cut:
    """A described cut in SI. ``mass_kg`` is as weighed, bone included."""

    kind: CutKind
    mass_kg: float
    shape: ShapeName
    thickness_m: float
    pieces: int
    blocked_faces: int
    bone_share: float

    @property
    def meat_kg(self) -> float:
        """Weight without bone [kg]."""
        return self.mass_kg * (1 - self.bone_share)

    @property
    def water_kg(self) -> float:
        """Water in the meat, which is where salt and acid go [kg]."""
        return self.meat_kg * self.kind.water_share

    @property
    def piece(self) -> Piece:
        """Geometry of one piece."""
        if self.shape == "cube":
            return cube(self.thickness_m, blocked_faces=self.blocked_faces)
        volume_m3 = self.meat_kg / self.kind.density_kg_per_m3 / self.pieces
        return slab(self.thickness_m, open_faces=2 - self.blocked_faces, volume_m3=volume_m3)

    @property
    def open_area_m2(self) -> float:
        """Open surface of all pieces [m2]."""
        return self.piece.open_area_m2 * self.meat_kg / (self.kind.density_kg_per_m3 * self.piece.volume_m3)

    def scaled(self, factor: float) -> Cut:
        """The same cut with its thickness multiplied by ``factor``, weight unchanged."""
        return replace(self, thickness_m=self.thickness_m * factor)


def cubes_in(mass_kg: float, edge_m: float, density_kg_per_m3: float) -> int:
    """How many cubes of that edge a weight gives [1]."""
    return max(1, round(mass_kg / (density_kg_per_m3 * edge_m**3)))


def check_agreement(cut: Cut) -> list[InputError]:
    """What does not agree between weight, thickness and pieces, and which one is doubted."""
    if cut.shape == "cube":
        return [*_cube_edge(cut), *_cube_count(cut)]
    return _slab_thickness(cut)


def _cube_edge(cut: Cut) -> list[InputError]:
    edge_mm = cut.thickness_m * 1000
    wrong = ""
    if cut.meat_kg / cut.kind.density_kg_per_m3 < cut.thickness_m**3 / 1.15:
        wrong = f"One cube of {edge_mm:.0f} mm weighs more than the {cut.meat_kg * 1000:.0f} g of meat you have."
    elif not THINNEST_CUBE_M <= cut.thickness_m <= THICKEST_CUBE_M:
        wrong = f"{number_told(edge_mm)} mm is not the edge of a cube for a marinade."
    if not wrong:
        return []
    most_mm = min(THICKEST_CUBE_M, (cut.meat_kg / cut.kind.density_kg_per_m3) ** (1 / 3)) * 1000
    accepted = f"Write an edge from 5 mm to {most_mm:.0f} mm, or call the piece a slab."
    return [InputError(field="cut.thickness_mm", given=f"{edge_mm:g} mm", wrong=wrong, accepted=accepted)]


def _cube_count(cut: Cut) -> list[InputError]:
    expected = cubes_in(cut.meat_kg, cut.thickness_m, cut.kind.density_kg_per_m3)
    if 1 / COUNT_MAY_BE_OFF <= cut.pieces / expected <= COUNT_MAY_BE_OFF or abs(cut.pieces - expected) <= 1:
        return []
    told = f"{cut.meat_kg * 1000:.0f} g in {cut.thickness_m * 1000:.0f} mm cubes"
    return [
        InputError(
            field="cut.pieces",
            given=str(cut.pieces),
            wrong=f"{cut.pieces} cubes do not fit: {told} makes about {expected}.",
            accepted=f"Leave the number empty, write about {expected}, or measure an edge again.",
        )
    ]


def _slab_thickness(cut: Cut) -> list[InputError]:
    volume_m3 = cut.meat_kg / cut.kind.density_kg_per_m3 / cut.pieces
    thickest_m = volume_m3 ** (1 / 3) * SLAB_MAY_BE_THICKER_THAN_WIDE
    if cut.thickness_m <= thickest_m:
        return []
    each_g, thick_mm = cut.meat_kg / cut.pieces * 1000, cut.thickness_m * 1000
    return [
        InputError(
            field="cut.thickness_mm",
            given=f"{cut.thickness_m * 1000:g} mm",
            wrong=f"A piece of {each_g:.0f} g cannot be {thick_mm:.0f} mm thick: it would be thicker than wide.",
            accepted=f"At this weight write at most {thickest_m * 1000:.0f} mm, fewer pieces, or more weight.",
        )
    ]
