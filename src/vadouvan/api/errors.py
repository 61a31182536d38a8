"""From an error to a response: the only such place."""

from __future__ import annotations

import json
from collections.abc import Sequence
from dataclasses import asdict

from fastapi import FastAPI, Request, Response
from fastapi.exceptions import RequestValidationError
from starlette.exceptions import HTTPException

from vadouvan.api.schemas.batch import TroubleOut
from vadouvan.errors import BadInput, Busy, InputError, NotKept, NotWritten, Overtaken, Stopped, VadouvanError
from vadouvan.formats.problem_out import ProblemOut, problem_out

STATUS: dict[type[VadouvanError], int] = {
    InputError: 422,
    BadInput: 422,
    NotKept: 404,
    Overtaken: 409,
    Stopped: 409,
    Busy: 503,
    NotWritten: 507,
}


MOST_TOLD = 3
SENTENCES = {
    400: "The request could not be read.",
    404: "There is nothing at this address.",
    405: "This address is not asked in that way.",
}


def add_error_handlers(app: FastAPI) -> None:
    """Answer every error of ours, and every malformed request, with a sentence."""
    app.add_exception_handler(VadouvanError, _ours)
    app.add_exception_handler(RequestValidationError, _malformed)
    app.add_exception_handler(HTTPException, _plain)


async def _ours(_request: Request, error: Exception) -> Response:
    found: Sequence[InputError] = ()
    if isinstance(error, BadInput):
        found = error.errors
    elif isinstance(error, Overtaken):
        found = error.clashes
    elif isinstance(error, InputError):
        found = (error,)
    status = next((code for kind, code in STATUS.items() if isinstance(error, kind)), 500)
    return _answer(status, str(error), [problem_out(item) for item in found])


async def _plain(_request: Request, error: Exception) -> Response:
    """Refusals of the framework itself, with a sentence of ours."""
    status, detail = (error.status_code, error.detail) if isinstance(error, HTTPException) else (500, "")
    return _answer(status, SENTENCES.get(status, str(detail)), [])


async def _malformed(_request: Request, error: Exception) -> Response:
    """Leaves what the request held out of the answer: it may not even be writable as JSON."""
    details = error.errors() if isinstance(error, RequestValidationError) else []
    errors = [
        InputError(field=".".join(str(step) for step in item["loc"]), given="", wrong=item["msg"], accepted="")
        for item in details
    ]
    problems = [problem_out(error) for error in errors]
    told = "; ".join(f"{problem.field.removeprefix('body.')}: {problem.wrong}" for problem in problems[:MOST_TOLD])
    return _answer(422, f"The request could not be read ({told}).", problems)


def _answer(status: int, sentence: str, problems: list[ProblemOut]) -> Response:
    body = json.dumps(asdict(TroubleOut(sentence=sentence, problems=problems)), ensure_ascii=False)
    clean = body.encode("utf-8", errors="replace")
    return Response(clean, status_code=status, media_type="application/json")
