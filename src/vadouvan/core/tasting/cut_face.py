"""A photograph of the cut face: three points marked on it, and the depth that they tell."""

from __future__ import annotations

import math

from vadouvan.errors import InputError
from vadouvan.unchanging import unchanging

LEAST_APART = 0.05  # of the picture's longer side: nearer points would make the depth a matter of pixels
ACCEPTED = "Mark the face that the mix lay on, the face opposite, and between them where the seasoning ends."


@unchanging
class Point:
    """A place on a picture, as shares of its width and height from the upper left (0 to 1)."""

    x: float
    y: float


@unchanging
class FaceMarks:
    """The face that the mix lay on, the face opposite, and where seasoning ends."""

    face: Point
    opposite: Point
    reached: Point


@unchanging
class CutFace:
    """A small JPEG of the cut face with its size in pixels, and what was marked on it."""

    jpeg: bytes
    width: int
    height: int
    marks: FaceMarks | None = None


def depth_on(face: CutFace, thickness_m: float) -> float | None:
    """Depth that the marks tell [m], along the way from face to face, which is ``thickness_m``; none unmarked.

    >>> marks = FaceMarks(Point(0.5, 0.1), Point(0.5, 0.9), Point(0.2, 0.3))
    >>> round(depth_on(CutFace(b"", 400, 300, marks), 0.024), 4)
    0.006
    """
    if face.marks is None:
        return None
    across, reached = (_between(face, face.marks.face, other) for other in (face.marks.opposite, face.marks.reached))
    share = (across[0] * reached[0] + across[1] * reached[1]) / (across[0] ** 2 + across[1] ** 2)
    return min(max(share, 0.0), 1.0) * thickness_m


def checked_marks(face: CutFace, marks: FaceMarks) -> FaceMarks:
    """The marks; raises InputError for faces that lie too near each other, or for a point off the picture."""
    if not all(
        0 <= value <= 1 for point in (marks.face, marks.opposite, marks.reached) for value in (point.x, point.y)
    ):
        raise InputError(field="marks", given="", wrong="A point lies off the picture.", accepted=ACCEPTED)
    if math.hypot(*_between(face, marks.face, marks.opposite)) < LEAST_APART * max(face.width, face.height):
        raise InputError(field="marks", given="", wrong="The two faces are marked in one place.", accepted=ACCEPTED)
    return marks


def _between(face: CutFace, start: Point, end: Point) -> tuple[float, float]:
    """The way from one point to another [pixels]."""
    return (end.x - start.x) * face.width, (end.y - start.y) * face.height
