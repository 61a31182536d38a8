"""Judgements for a program: a batch file a line in, a judgement a line out, in order."""

from __future__ import annotations

import json
from collections.abc import Callable, Iterable
from datetime import datetime

from vadouvan.core.judgement.judge import judge
from vadouvan.core.kitchen.kitchen import Kitchen
from vadouvan.data.tables import shipped_kitchen
from vadouvan.errors import VadouvanError
from vadouvan.formats import batch_file
from vadouvan.formats.judgement import judgement_out
from vadouvan.formats.judgement_text import judgement_text
from vadouvan.shapes import json_of


def judge_stream(lines: Iterable[str], write: Callable[[str], object], *, now: datetime, as_json: bool) -> None:
    """Judge line by line; a line that cannot be judged gets an error object in its place, and the next one is read.

    Empty lines are passed over. What is drawn as a course is left out: it is long, and nobody looks at it here.
    """
    kitchen = shipped_kitchen()
    for line in lines:
        if line.strip():
            write(_answer(line, kitchen, now=now, as_json=as_json))


def _answer(line: str, kitchen: Kitchen, *, now: datetime, as_json: bool) -> str:
    try:
        judgement = judge(batch_file.read(line), kitchen, now=now)
        answer = judgement_out(judgement, kitchen, with_course=False)
        return json_of(answer) if as_json else judgement_text(answer).replace("\n", "  ")
    except VadouvanError as error:
        sentence, kind = str(error), "input"
    except Exception as error:  # a fault of ours in one batch: told in its place, and the stream goes on
        sentence, kind = f"This batch could not be judged ({type(error).__name__}: {error}).", "fault"
    if not as_json:
        return sentence.replace("\n", "  ")
    return json.dumps({"sentence": sentence, "error": {"kind": kind, "says": sentence}}, ensure_ascii=False)
