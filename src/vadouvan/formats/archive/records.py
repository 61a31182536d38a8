"""Record of a batch, as a file beside the batch file: presses, verdicts, and what it goes on from."""

from __future__ import annotations

from collections import Counter
from collections.abc import Sequence
from dataclasses import asdict, replace
from datetime import datetime
from typing import Annotated, Literal

from pydantic import BaseModel, ConfigDict, Field, ValidationError

from vadouvan.core.draft.typed import LONGEST_KEPT, Draft, Number
from vadouvan.core.snapshot.kitchen import IDENTITY, BatchSnapshot, VerdictSnapshot
from vadouvan.core.tasting.cut_face import CutFace, FaceMarks, Point
from vadouvan.core.tasting.verdict import LONGEST_NOTE_KEPT, VerdictInput
from vadouvan.core.weighing.event import MOST_EVENTS, CounterEvent, EventKind, How, LoggedEvent
from vadouvan.formats import batch_file
from vadouvan.formats.archive.container import refused

FORMAT, VERSION = "vadouvan-record", 1

Identity = Annotated[str, Field(pattern=IDENTITY)]
Text = Annotated[str, Field(max_length=LONGEST_KEPT)]
Share = Annotated[float, Field(ge=0, le=1)]


class Part(BaseModel):
    """A part of the file; unknown fields are refused."""

    model_config = ConfigDict(extra="forbid", allow_inf_nan=False)


class EventPart(Part):
    """One press at the counter; ``before`` is the draft that it changed, in the shape of the HTTP interface."""

    number: Annotated[int, Field(ge=1, le=MOST_EVENTS)]
    at: datetime
    kind: EventKind
    line: Text = ""
    mass_kg: Number | None = None
    celsius: Number | None = None
    words: Text = ""
    how: How = ""
    sure: bool = False
    undoes: int | None = None
    before: Draft | None = None


class VerdictPart(Part):
    """Verdict of one eater; ``teaches`` is false if nothing is learned from it, ``insisted`` if it always counts."""

    eater: Text = ""
    words: dict[Text, Text] = {}
    depth: Text = ""
    note: Annotated[str, Field(max_length=LONGEST_NOTE_KEPT)] = ""
    at: datetime
    teaches: bool = True
    insisted: bool = False


class MarksPart(Part):
    """Points on the photograph of the cut face, as shares of its width and height from the upper left."""

    face: tuple[Share, Share]
    opposite: tuple[Share, Share]
    reached: tuple[Share, Share]


class RecordFile(Part):
    """A record file. ``line_ids``, ``step_ids`` and ``stage_ids`` name the parts of the batch file in its order."""

    format: Literal["vadouvan-record"]
    version: Literal[1]
    id: Identity
    made_at: datetime
    line_ids: Annotated[list[Text], Field(max_length=1000)] = []
    step_ids: Annotated[list[Text], Field(max_length=1000)] = []
    stage_ids: Annotated[list[Text], Field(max_length=1000)] = []
    goes_on_from: Annotated[str, Field(max_length=64)] = ""
    changed: Annotated[list[Text], Field(max_length=100)] = []
    presses: Annotated[list[EventPart], Field(max_length=MOST_EVENTS)] = []
    verdicts: Annotated[list[VerdictPart], Field(max_length=1000)] = []
    photograph_marks: MarksPart | None = None


def write_record(batch: BatchSnapshot) -> str:
    """The record of a batch as the text of its file."""
    draft = batch.draft
    record = RecordFile(
        format="vadouvan-record",
        version=1,
        id=batch.id,
        made_at=batch.made_at,
        line_ids=[line.id for line in draft.mix],
        step_ids=[step.id for step in draft.cut.steps],
        stage_ids=[stage.id for stage in draft.fire.stages],
        goes_on_from=batch.from_id,
        changed=list(batch.changed),
        presses=[_event_part(logged) for logged in batch.events],
        verdicts=[
            VerdictPart(**asdict(one.said), at=one.at, teaches=not one.is_forgotten, insisted=one.is_insisted)
            for one in batch.verdicts
        ],
        photograph_marks=_marks_part(batch.cut_face),
    )
    return record.model_dump_json(indent=2) + "\n"


def read_batch(record_text: str, batch_text: str, *, name: str) -> BatchSnapshot:
    """A batch from its two files; raises FormatError or BadInput."""
    try:
        record = RecordFile.model_validate_json(record_text)
    except ValidationError as error:
        first = error.errors()[0]
        where = ".".join(str(step) for step in first["loc"]) or "the file"
        raise refused(f"{name}: {where}: {first['msg']}.", "See docs/formats.md for what a record holds.") from None
    if [event.number for event in record.presses] != list(range(1, len(record.presses) + 1)):
        raise refused(f"{name}: the presses are not numbered from 1 without gaps.")
    eaters = Counter(one.eater.strip() for one in record.verdicts)
    twice = next((eater for eater, times in eaters.items() if times > 1), None)
    if twice is not None:
        raise refused(f"{name}: {twice or 'somebody without a name'} has two verdicts.", "Each eater has one.")
    return BatchSnapshot(
        record.id,
        _with_ids(batch_file.read(batch_text), record),
        record.made_at,
        tuple(_logged(part) for part in record.presses),
        tuple(
            VerdictSnapshot(
                VerdictInput(one.eater, one.words, one.depth, one.note), one.at, not one.teaches, one.insisted
            )
            for one in record.verdicts
        ),
        record.goes_on_from,
        tuple(record.changed),
        # The picture itself lies beside the record.
        cut_face=None if record.photograph_marks is None else CutFace(b"", 1, 1, _marks(record.photograph_marks)),
    )


def _marks_part(face: CutFace | None) -> MarksPart | None:
    if face is None or face.marks is None:
        return None
    marks = face.marks
    return MarksPart(
        face=(marks.face.x, marks.face.y),
        opposite=(marks.opposite.x, marks.opposite.y),
        reached=(marks.reached.x, marks.reached.y),
    )


def _marks(part: MarksPart) -> FaceMarks:
    return FaceMarks(Point(*part.face), Point(*part.opposite), Point(*part.reached))


def _event_part(logged: LoggedEvent) -> EventPart:
    event = logged.event
    return EventPart(
        number=logged.number,
        at=logged.at,
        kind=event.kind,
        line=event.line_id,
        mass_kg=event.mass_kg,
        celsius=event.celsius,
        words=event.words,
        how=event.how,
        sure=event.sure,
        undoes=event.undoes,
        before=logged.before,
    )


def _logged(part: EventPart) -> LoggedEvent:
    event = CounterEvent(part.kind, part.line, part.mass_kg, part.celsius, part.words, part.how, part.sure, part.undoes)
    return LoggedEvent(part.number, part.at, event, part.before)


def _with_ids(draft: Draft, record: RecordFile) -> Draft:
    """The draft with the identities that its presses speak of; new ones where lines were added by hand."""
    return replace(
        draft,
        mix=tuple(
            replace(line, id=name) for line, name in zip(draft.mix, _ids(record.line_ids, len(draft.mix)), strict=True)
        ),
        cut=replace(
            draft.cut,
            steps=tuple(
                replace(step, id=name)
                for step, name in zip(draft.cut.steps, _ids(record.step_ids, len(draft.cut.steps)), strict=True)
            ),
        ),
        fire=replace(
            draft.fire,
            stages=tuple(
                replace(stage, id=name)
                for stage, name in zip(draft.fire.stages, _ids(record.stage_ids, len(draft.fire.stages)), strict=True)
            ),
        ),
    )


def _ids(kept: Sequence[str], count: int) -> list[str]:
    """So many different identities, those kept first."""
    found = list(dict.fromkeys(kept))[:count]
    number = 0
    while len(found) < count:
        number += 1
        if str(number) not in found:
            found.append(str(number))
    return found
