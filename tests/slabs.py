"""An endless slab, as the published closed forms have it: two wide faces and no edges."""

from __future__ import annotations

from vadouvan.core.cut.shape import Openness, Path, Piece, Size


def slab(thickness_m: float, *, open_faces: int, volume_m3: float) -> Piece:
    """It takes up through two faces, or through one."""
    face_m2, way_m = volume_m3 / thickness_m, thickness_m / open_faces
    side_m = face_m2**0.5
    return Piece(
        shape="slab",
        size=Size(thickness_m, side_m, side_m, volume_m3),
        openness=Openness(bone="face" if open_faces == 1 else "none"),
        surface_m2=2 * face_m2,
        open_area_m2=open_faces * face_m2,
        path=Path(0.0, way_m),
        far_m=way_m,
        deeper=lambda depths_m: 1 - depths_m / way_m,
    )
