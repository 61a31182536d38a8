"""Photographs of cut faces, one to a batch."""

from __future__ import annotations

import json
from dataclasses import asdict, replace

from sqlalchemy import Engine

from vadouvan.core.tasting.cut_face import CutFace, FaceMarks, checked_marks
from vadouvan.errors import NotKept
from vadouvan.shapes import value_in
from vadouvan.store.database import reading
from vadouvan.store.rows import BATCH, CUT_FACE, CutFaceRow
from vadouvan.store.table import sound
from vadouvan.store.unread import read_or_none


class CutFaces:
    """Photographs of the cut face, one a batch."""

    def __init__(self, engine: Engine) -> None:
        self._engine = engine

    def of(self, batch_id: str) -> CutFace | None:
        """The photograph of a batch; nothing if there is none."""
        with reading(self._engine) as connection:
            row = CUT_FACE.one(connection, batch_id)
            return None if row is None else with_or_without_marks(row)

    def keep(self, batch_id: str, face: CutFace) -> None:
        """Keep a photograph in the place of an earlier one; raises NotKept without the batch."""
        with self._engine.begin() as connection:
            if not BATCH.holds(connection, batch_id):
                raise NotKept("batch", batch_id)
            CUT_FACE.put(connection, cut_face_row(batch_id, face))

    def mark(self, batch_id: str, marks: FaceMarks) -> None:
        """Keep what was marked on it; raises NotKept without a photograph, InputError for points of no use."""
        with self._engine.begin() as connection:
            row = CUT_FACE.one(connection, batch_id)
            if row is None:
                raise NotKept("photograph", batch_id)
            face = with_or_without_marks(row)
            if face is None:
                raise NotKept("photograph", batch_id)
            said = json.dumps(asdict(checked_marks(face, marks)))
            CUT_FACE.put(connection, row._replace(marks=said))

    def remove(self, batch_id: str) -> None:
        """Remove it; raises NotKept."""
        with self._engine.begin() as connection:
            if not CUT_FACE.remove(connection, batch_id):
                raise NotKept("photograph", batch_id)


def cut_face_row(batch_id: str, face: CutFace) -> CutFaceRow:
    """A photograph as a row."""
    marks = "" if face.marks is None else json.dumps(asdict(face.marks))
    return CutFaceRow(batch_id=batch_id, jpeg=face.jpeg, width=face.width, height=face.height, marks=marks)


def with_or_without_marks(row: CutFaceRow) -> CutFace | None:
    """The photograph in a row, without its marks where they cannot be read; nothing where that is none."""
    return read_or_none(row, cut_face_in) or read_or_none(row._replace(marks=""), cut_face_in)


def cut_face_in(row: CutFaceRow) -> CutFace:
    """The photograph in a row; raises ValueError or InputError for one without a size, or marks of no use."""
    if sound(row).width < 1 or row.height < 1:
        raise ValueError("a photograph has a size")
    face = CutFace(row.jpeg, row.width, row.height, None)
    return replace(face, marks=checked_marks(face, value_in(FaceMarks, row.marks))) if row.marks else face
