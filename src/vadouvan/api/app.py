"""The application: routers, error answers, and the built page for everything else."""

from __future__ import annotations

from collections.abc import AsyncIterator
from contextlib import asynccontextmanager
from pathlib import Path
from threading import Thread

from fastapi import FastAPI
from fastapi.responses import FileResponse
from fastapi.staticfiles import StaticFiles

from vadouvan import __version__
from vadouvan.api.answers import with_answers
from vadouvan.api.body_limit import BodiesLimited
from vadouvan.api.errors import add_error_handlers
from vadouvan.api.origin import OwnNamesOnly, OwnPagesOnly
from vadouvan.api.router import addresses_of_files
from vadouvan.api.routers import (
    batches,
    cautions,
    devices,
    examples,
    hold,
    kitchen,
    lessons,
    mix,
    own_cuts,
    own_ingredients,
    plan,
    settings,
    tables,
    tasting,
    weighing,
)
from vadouvan.api.safe_headers import WithSafeHeaders
from vadouvan.api.schemas.batch import BatchOut
from vadouvan.api.told_in import ToldAsRead
from vadouvan.errors import NotKept
from vadouvan.shapes import shape_of
from vadouvan.use_cases.running_kitchen import RunningKitchen

ROOMS = (
    batches, mix, hold, plan, weighing, tasting, devices, kitchen, cautions, settings, lessons, tables, examples,
    own_cuts, own_ingredients,
)  # fmt: skip


def make_app(context: RunningKitchen, web_dir: Path | None = None) -> FastAPI:
    """The application over a kitchen; with ``web_dir`` it serves the built page too."""

    @asynccontextmanager
    async def lifespan(_app: FastAPI) -> AsyncIterator[None]:
        """The first look is worked out while the page is fetched, and how it is written."""

        def get_ready() -> None:
            shape_of(list[BatchOut])
            context.get_ready()

        Thread(target=get_ready, daemon=True).start()
        yield
        context.file.close()

    # The routes as they are: included as routers they would all be made once more, each at the first request to it.
    routes = [route for room in ROOMS for route in room.router.routes]
    app = FastAPI(
        title="Vadouvan",
        version=__version__,
        docs_url=None,
        redoc_url=None,
        openapi_url="/api/openapi.json",
        routes=routes,
        lifespan=lifespan,
    )
    app.state.context = context
    told = app.openapi
    app.openapi = lambda: app.openapi_schema or with_answers(told(), routes)  # type: ignore[method-assign]
    app.add_middleware(ToldAsRead)
    app.add_middleware(BodiesLimited, files=addresses_of_files(routes))
    app.add_middleware(OwnPagesOnly)
    app.add_middleware(OwnNamesOnly)
    app.add_middleware(WithSafeHeaders)
    add_error_handlers(app)

    @app.api_route("/api/{path:path}", methods=["GET", "POST", "PUT", "DELETE", "PATCH"], include_in_schema=False)
    def nothing_there(path: str) -> None:
        """An address that the interface does not have is told as one, and is never the page."""
        raise NotKept("address", f"/api/{path[:80]}")

    if web_dir is not None:
        _serve_page(app, web_dir)
    return app


def _serve_page(app: FastAPI, web_dir: Path) -> None:
    app.mount("/assets", StaticFiles(directory=web_dir / "assets"), name="assets")

    @app.get("/{path:path}", include_in_schema=False)
    def page(path: str) -> FileResponse:
        """The one page, whatever the address: it finds its own view."""
        wanted = web_dir / path
        known = path in ("favicon.svg",) and wanted.is_file()
        return FileResponse(wanted if known else web_dir / "index.html")
