"""Photographs of cut faces, one to a batch."""

from __future__ import annotations

import json
from dataclasses import asdict

from sqlalchemy import Engine
from sqlalchemy.orm import Session

from vadouvan.core.tasting.cut_face import CutFace, FaceMarks, Point, checked_marks
from vadouvan.errors import NotKept
from vadouvan.store.database import reading
from vadouvan.store.rows import BatchRow, CutFaceRow
from vadouvan.store.unread import read_or_none


class CutFaces:
    """Photographs of the cut face, one a batch."""

    def __init__(self, engine: Engine) -> None:
        self._engine = engine

    def of(self, batch_id: str) -> CutFace | None:
        """The photograph of a batch; nothing if there is none."""
        with reading(self._engine) as session:
            row = session.get(CutFaceRow, batch_id)
            return None if row is None else with_or_without_marks(row)

    def keep(self, batch_id: str, face: CutFace) -> None:
        """Keep a photograph in the place of an earlier one; raises NotKept without the batch."""
        with Session(self._engine) as session, session.begin():
            if session.get(BatchRow, batch_id) is None:
                raise NotKept("batch", batch_id)
            session.merge(cut_face_row(batch_id, face))

    def mark(self, batch_id: str, marks: FaceMarks) -> None:
        """Keep what was marked on it; raises NotKept without a photograph, InputError for points of no use."""
        with Session(self._engine) as session, session.begin():
            row = session.get(CutFaceRow, batch_id)
            if row is None:
                raise NotKept("photograph", batch_id)
            row.marks = json.dumps(asdict(checked_marks(with_or_without_marks(row), marks)))

    def remove(self, batch_id: str) -> None:
        """Remove it; raises NotKept."""
        with Session(self._engine) as session, session.begin():
            row = session.get(CutFaceRow, batch_id)
            if row is None:
                raise NotKept("photograph", batch_id)
            session.delete(row)


def cut_face_row(batch_id: str, face: CutFace) -> CutFaceRow:
    """A photograph as a row."""
    marks = "" if face.marks is None else json.dumps(asdict(face.marks))
    return CutFaceRow(batch_id=batch_id, jpeg=face.jpeg, width=face.width, height=face.height, marks=marks)


def with_or_without_marks(row: CutFaceRow) -> CutFace:
    """The photograph in a row, without its marks where they cannot be read."""
    return read_or_none(row, cut_face_in) or CutFace(row.jpeg, row.width, row.height, None)


def cut_face_in(row: CutFaceRow) -> CutFace:
    """The photograph in a row."""
    said = json.loads(row.marks) if row.marks else None
    marks = None if said is None else FaceMarks(**{name: Point(**point) for name, point in said.items()})
    return CutFace(row.jpeg, row.width, row.height, marks)
