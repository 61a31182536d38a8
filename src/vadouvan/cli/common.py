"""Parts shared by the commands: files, moments, answers for a reader or a program, refusals with exit code 2."""

from __future__ import annotations

import gc
import json
import sys
from collections.abc import Callable, Iterable
from datetime import datetime
from functools import wraps
from pathlib import Path
from typing import Annotated, ParamSpec

import typer

from vadouvan.clock import clock_from
from vadouvan.core.draft.typed import Draft
from vadouvan.core.measures.retelling import Clock
from vadouvan.core.measures.telling import System
from vadouvan.errors import InputError, VadouvanError
from vadouvan.formats import batch_file
from vadouvan.settings import Settings
from vadouvan.shapes import json_of

BAD_INPUT = 2
P = ParamSpec("P")

BatchFile = Annotated[Path, typer.Argument(help="A batch file, or - for standard input.")]
AsJson = Annotated[bool, typer.Option("--json", help="For a program: field names of docs/formats.md.")]
Units = Annotated[System, typer.Option("--units", help="Tell in grams, mm and Celsius, or in ounces, inches and F.")]
ClockRead = Annotated[Clock, typer.Option("--clock", help="Tell hours of 24, or of 12 with am and pm.")]
Now = Annotated[str, typer.Option(help="As of this moment (ISO 8601) instead of the present.")]


def loaded() -> None:
    """Code and tables stay: from here on memory is collected, and what is loaded is not gone through for it."""
    gc.freeze()
    gc.enable()


def refusing(command: Callable[P, None]) -> Callable[P, None]:
    """A command whose refusals go to standard error, or with ``--json`` as ``{"sentence": ...}``; exit code 2."""

    @wraps(command)
    def careful(*args: P.args, **kwargs: P.kwargs) -> None:
        try:
            command(*args, **kwargs)
        except VadouvanError as error:
            if kwargs.get("as_json"):
                typer.echo(json.dumps({"sentence": str(error)}, ensure_ascii=False))
            else:
                typer.echo(str(error), err=True)
            raise typer.Exit(BAD_INPUT) from None

    return careful


def tell(answer: object, lines: Iterable[str], *, as_json: bool) -> None:
    """An answer as JSON, or as plain lines."""
    if as_json:
        typer.echo(json_of(answer, indent=2))
    else:
        for line in lines:
            typer.echo(line)


def draft_in(file: Path) -> Draft:
    """The draft in a batch file."""
    return batch_file.read(text_in(file, "A batch file is JSON in UTF-8."))


def text_in(file: Path, accepted: str) -> str:
    """The text of a file, or of standard input for ``-``."""
    try:
        return sys.stdin.read() if str(file) == "-" else file.read_text(encoding="utf-8")
    except OSError as error:
        wrong = f"{file} cannot be read: {error.strerror}."
        raise InputError(field="file", given=str(file), wrong=wrong, accepted="Name a file that is there.") from None
    except UnicodeDecodeError:
        raise InputError(field="file", given=str(file), wrong=f"{file} is not text.", accepted=accepted) from None


def bytes_in(file: Path) -> bytes:
    """Bytes of a file."""
    try:
        return file.read_bytes()
    except OSError as error:
        wrong = f"{file} cannot be read: {error.strerror}."
        raise InputError(field="file", given=str(file), wrong=wrong, accepted="Name a file that is there.") from None


def moment_in(text: str) -> datetime:
    """A moment as said, or the present."""
    if not text:
        return clock_from(Settings().clock)().astimezone()
    try:
        return datetime.fromisoformat(text).astimezone()
    except ValueError:
        accepted = 'Write a moment such as "2026-11-25T18:00+00:00".'
        raise InputError(field="now", given=text, wrong=f'"{text}" is not a moment.', accepted=accepted) from None
