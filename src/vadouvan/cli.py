"""The command line: ``vadouvan serve``, ``vadouvan judge batch.json``."""

from __future__ import annotations

import json
import os
import socket
import sys
from datetime import datetime
from pathlib import Path
from typing import Annotated

os.environ.setdefault("OPENBLAS_NUM_THREADS", "1")  # small matrices: more threads only cost

import typer

from vadouvan.api.openapi import openapi_text
from vadouvan.core.draft import Draft
from vadouvan.core.judge import judge as judge_draft
from vadouvan.data.tables import shipped_kitchen
from vadouvan.errors import InputError, VadouvanError
from vadouvan.formats import batch_file, batch_parts
from vadouvan.formats.judgement import JudgementOut, judgement_out
from vadouvan.formats.judgement_text import judgement_text
from vadouvan.settings import Settings

app = typer.Typer(add_completion=False, no_args_is_help=True, help=__doc__)

BAD_INPUT = 2


@app.command()
def judge(
    file: Annotated[Path, typer.Argument(help="A batch file, or - for standard input.")],
    as_json: Annotated[bool, typer.Option("--json", help="For a program: field names of docs/formats.md.")] = False,
    now: Annotated[str, typer.Option(help="Judge as of this moment (ISO 8601) instead of the present.")] = "",
) -> None:
    """Print the judgement of a batch file. Exit code 2 if something has to be mended first."""
    try:
        kitchen = shipped_kitchen()
        answer = judgement_out(judge_draft(_draft(file), kitchen, now=_moment(now)), kitchen)
    except VadouvanError as error:
        _refuse(error, as_json)
    typer.echo(answer.model_dump_json(indent=2) if as_json else judgement_text(answer))
    if _unfit(answer):
        raise typer.Exit(BAD_INPUT)


@app.command()
def serve(
    port: Annotated[int | None, typer.Option(help="Port on 127.0.0.1; 0 takes a free one.")] = None,
    data_dir: Annotated[Path | None, typer.Option(help="Folder that keeps the kitchen.")] = None,
    demo: Annotated[bool, typer.Option(help="Fill an empty kitchen with the demo batches.")] = False,
) -> None:
    """Serve the kitchen on 127.0.0.1 and print its address."""
    import uvicorn

    from vadouvan.main import build

    settings = Settings()
    settings = settings.model_copy(
        update={
            "port": settings.port if port is None else port,
            "data_dir": data_dir or settings.data_dir,
            "demo": demo,
        }
    )
    listener = _listener(settings.port)
    application = build(settings)
    typer.echo(f"Vadouvan is at http://127.0.0.1:{listener.getsockname()[1]}  (stop with Ctrl+C)")
    typer.echo(f"The kitchen is kept in {settings.database}")
    uvicorn.Server(uvicorn.Config(application, log_level="warning")).run(sockets=[listener])


@app.command()
def openapi() -> None:
    """Print the OpenAPI document of the HTTP interface."""
    typer.echo(openapi_text(), nl=False)


@app.command()
def schema() -> None:
    """Print the JSON Schema of the batch file."""
    typer.echo(batch_parts.json_schema(), nl=False)


def _draft(file: Path) -> Draft:
    try:
        text = sys.stdin.read() if str(file) == "-" else file.read_text(encoding="utf-8")
    except OSError as error:
        wrong = f"{file} cannot be read: {error.strerror}."
        raise InputError(field="file", given=str(file), wrong=wrong, accepted="Name a batch file.") from None
    except UnicodeDecodeError:
        raise InputError(
            field="file", given=str(file), wrong=f"{file} is not text.", accepted="A batch file is JSON in UTF-8."
        ) from None
    return batch_file.read(text)


def _moment(text: str) -> datetime:
    if not text:
        return datetime.now().astimezone()
    try:
        return datetime.fromisoformat(text).astimezone()
    except ValueError:
        accepted = 'Write a moment such as "2026-11-25T18:00+00:00".'
        raise InputError(field="now", given=text, wrong=f'"{text}" is not a moment.', accepted=accepted) from None


def _unfit(answer: JudgementOut) -> bool:
    return bool(answer.problems or answer.waiting)


def _refuse(error: VadouvanError, as_json: bool) -> None:
    if as_json:
        typer.echo(json.dumps({"sentence": str(error)}, ensure_ascii=False))
    else:
        typer.echo(str(error), err=True)
    raise typer.Exit(BAD_INPUT)


def _listener(port: int) -> socket.socket:
    listener = socket.socket(socket.AF_INET, socket.SOCK_STREAM)
    listener.setsockopt(socket.SOL_SOCKET, socket.SO_REUSEADDR, 1)
    try:
        listener.bind(("127.0.0.1", port))
        listener.listen(128)  # from here on a request waits instead of being refused
    except OSError:
        typer.echo(
            f"Port {port} is taken. Stop what runs there, or choose another: vadouvan serve --port 8141", err=True
        )
        raise typer.Exit(1) from None
    return listener


if __name__ == "__main__":
    app()
