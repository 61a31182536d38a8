"""The server, and the documents that describe its interface and its files."""

from __future__ import annotations

import fcntl
import gc
import json
import socket
import sys
from collections.abc import Callable
from pathlib import Path
from types import FrameType
from typing import IO, Annotated, Literal

import typer
from pydantic import TypeAdapter

from vadouvan.cli.common import loaded
from vadouvan.core.draft.typed import CompanionInput, Draft, LineInput, OwnStepInput, StageInput, StepInput
from vadouvan.errors import NoKitchen
from vadouvan.formats import batch_shape
from vadouvan.formats.measures_for_page import measures_for_page, telling_cases
from vadouvan.settings import Settings


def add_to(app: typer.Typer) -> None:
    """The commands of this module."""
    for command in (serve, openapi, schema):
        app.command()(command)


def serve(
    port: Annotated[int | None, typer.Option(help="Port on 127.0.0.1; 0 takes a free one.")] = None,
    data_dir: Annotated[Path | None, typer.Option(help="Folder that keeps the kitchen.")] = None,
    demo: Annotated[bool, typer.Option(help="Fill an empty kitchen with the demo batches.")] = False,
) -> None:
    """Serve the kitchen on 127.0.0.1 and print its address."""
    gc.disable()  # until the rest is loaded, and the demo is filled
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
    listener = listener_on(settings.port)
    try:
        held = held_alone(settings.data_dir)  # noqa: F841 - the lock lives as long as its file is open
        application = build(settings)
    except NoKitchen as error:
        typer.echo(str(error), err=True)
        raise typer.Exit(1) from None
    typer.echo(f"Vadouvan is at http://127.0.0.1:{listener.getsockname()[1]}  (stop with Ctrl+C)")
    typer.echo(f"The kitchen is kept in {settings.database}")
    config = uvicorn.Config(application, log_level="warning", timeout_graceful_shutdown=LONGEST_STOP_S)

    class Serving(uvicorn.Server):
        """A server that says that it stops before it waits for what is still asked of it."""

        def handle_exit(self, sig: int, frame: FrameType | None) -> None:
            """Streams never end by themselves."""
            application.state.context.stopping.set()
            super().handle_exit(sig, frame)

    loaded()
    sys.setswitchinterval(HANDS_OVER_S)
    Serving(config).run(sockets=[listener])


HANDS_OVER_S = 1e-4  # a plan or a window that is worked out lets others ask after so long; 5 ms is usual
LONGEST_STOP_S = 2  # what is asked by then is answered or let go


def held_alone(folder: Path) -> IO[str]:
    """The kitchen's folder for this server alone; says so and ends if another one serves it already."""
    try:
        folder.mkdir(parents=True, exist_ok=True)
        lock = (folder / "serving.lock").open("a", encoding="utf-8")
    except OSError as error:
        accepted = "Name another folder with --data-dir."
        raise NoKitchen(f"The folder {folder} cannot be used ({error.strerror}).", accepted) from None
    try:
        fcntl.flock(lock, fcntl.LOCK_EX | fcntl.LOCK_NB)
    except OSError:
        typer.echo(
            f"Another Vadouvan serves the kitchen in {folder} already. Stop it, or name another folder.", err=True
        )
        raise typer.Exit(1) from None
    return lock


def openapi(page: Annotated[bool, typer.Option(help="As the page docs/http-api.md.")] = False) -> None:
    """Print the OpenAPI document of the HTTP interface."""
    from vadouvan.api.openapi import http_page, openapi_text

    typer.echo(http_page() if page else openapi_text(), nl=False)


Shape = Literal["batch", "blank", "measures", "told"]


def schema(
    of: Annotated[
        Shape,
        typer.Argument(
            help="The batch file; for the page: a blank draft, numbers of the units, measures as they are told."
        ),
    ] = "batch",
) -> None:
    """Print the JSON Schema of the batch file, or what the page takes from the core."""
    makers: dict[Shape, Callable[[], str]] = {
        "batch": batch_shape.json_schema,
        "blank": blank_draft,
        "measures": measures_for_page,
        "told": telling_cases,
    }
    typer.echo(makers[of](), nl=False)


def blank_draft() -> str:
    """A draft with nothing said, and one of each of its parts of which there may be several, as JSON."""
    said = {
        "draft": Draft(),
        "step": StepInput("", ""),
        "stage": StageInput(""),
        "own_step": OwnStepInput(""),
        "companion": CompanionInput(""),
        "line": LineInput("", ""),
    }
    parts = {name: TypeAdapter(type(part)).dump_python(part, mode="json") for name, part in said.items()}
    return json.dumps(parts, indent=2) + "\n"


def listener_on(port: int) -> socket.socket:
    """A socket that listens on a port of this machine; 0 takes a free one."""
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
