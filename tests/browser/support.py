"""A running kitchen and a headless Chromium for tests of the real interface."""

from __future__ import annotations

import atexit
import json
import os
import re
import shutil
import subprocess
import sys
import tempfile
import threading
import unittest
import urllib.request
from collections.abc import Callable
from datetime import datetime
from functools import cache
from pathlib import Path
from typing import Any, Protocol

import uvicorn
from fastapi import FastAPI
from playwright.sync_api import Browser, BrowserContext, Page, Request, Route, ViewportSize, expect, sync_playwright

from tests.browser.hindered import LateAnswers, slowed
from tests.drafts import NOW
from tests.filling import fill
from vadouvan.cli.serving import listener_on
from vadouvan.core.snapshot.kitchen import KitchenSnapshot
from vadouvan.main import build
from vadouvan.settings import Settings

ROOT = Path(__file__).resolve().parent.parent.parent
ARGUMENTS = [
    "--no-sandbox", "--disable-background-networking", "--disable-component-update", "--disable-sync", "--no-first-run",
    "--disable-gpu",
    # Nothing runs long enough to be worth optimising; garbage is looked for seldom, and on the core that made it.
    "--js-flags=--no-opt --no-maglev --single-threaded-gc --min-semi-space-size=32 --max-semi-space-size=64",
]  # fmt: skip
PATIENCE_MS = 20_000  # what holds is told at once; on busy cores it may take longer to hold
LOOK_AGAIN_MS = 20
LAPTOP, PHONE = ViewportSize(width=1280, height=800), ViewportSize(width=390, height=844)
INSTALL = ["apt-get", "install", "-y", "--no-install-recommends", "chromium-headless-shell"]
# The shell draws the same pages as the whole browser for a quarter less work.
NAMES = ("chromium-headless-shell", "chromium")


def chromium() -> str:
    """Path of a headless Chromium: ``CHROMIUM``, an installed one, or Debian's package installed now."""
    named = os.environ.get("CHROMIUM")
    if named:
        return named
    found = _installed()
    if found is None:
        _install()
        found = _installed()
    if found is None:
        raise RuntimeError(
            "Browser tests need Chromium. Install it (apt-get install chromium-headless-shell), "
            "or set CHROMIUM=/path/to/it."
        )
    return found


def _installed() -> str | None:
    return next(filter(None, map(shutil.which, NAMES)), None)


def _install() -> None:
    """Debian's Chromium, as root or through sudo without a password; says what to do if neither may."""
    may = [] if os.geteuid() == 0 else ["sudo", "-n"]
    for command in (["apt-get", "update"], INSTALL):
        done = subprocess.run([*may, *command], capture_output=True, text=True, check=False)
        if done.returncode:
            raise RuntimeError(
                f"Chromium is missing and may not be installed here ({done.stderr.strip()[-200:]}). "
                "Run: sudo apt-get install chromium-headless-shell, or set CHROMIUM=/path/to/it."
            )


class Kitchen(Protocol):
    """A served kitchen."""

    address: str

    @property
    def port(self) -> int:
        """The port it serves on."""

    def start(self, port: int = 0) -> None:
        """Serve."""

    def kill(self) -> None:
        """Stop it as a power cut would."""


class KitchenInThisProcess:
    """The application behind a server of this process: what it costs to start one is its tables, read once."""

    def __init__(self, *, data_dir: Path, at: datetime) -> None:
        self.settings = Settings(data_dir=data_dir, clock=at)
        self.address, self.port = "", 0
        self._app: FastAPI | None = None
        self._server: uvicorn.Server | None = None
        self._thread: threading.Thread | None = None

    def start(self, port: int = 0) -> None:
        """Serve on a free port."""
        listener = listener_on(port)
        self.port = listener.getsockname()[1]
        self.address = f"http://127.0.0.1:{self.port}"
        self._app = build(self.settings)
        config = uvicorn.Config(LateAnswers(self._app), log_level="error", lifespan="off", timeout_graceful_shutdown=2)
        self._server = uvicorn.Server(config)
        self._thread = threading.Thread(target=self._server.run, kwargs={"sockets": [listener]}, daemon=True)
        self._thread.start()

    def kill(self) -> None:
        """End it, and the streams first, as the command does."""
        assert self._app is not None
        assert self._server is not None
        assert self._thread is not None
        self._app.state.context.stopping.set()
        self._server.should_exit = True
        self._thread.join(5)


class KitchenOfItsOwn:
    """``vadouvan serve`` on a free port with a data folder of its own, its clock started at a told moment."""

    def __init__(self, *, data_dir: Path, at: datetime = NOW, demo: bool = False) -> None:
        self.demo, self.data_dir, self.at = demo, data_dir, at
        self.address = ""
        self._process: subprocess.Popen[str] | None = None

    def start(self, port: int = 0, stderr: int | None = None) -> None:
        """Start, and wait until the address is printed; ``stderr`` as for a process."""
        command = [sys.executable, "-m", "vadouvan.cli", "serve", "--port", str(port), "--data-dir", str(self.data_dir)]
        env = {
            **os.environ,
            "PYTHONPATH": str(ROOT / "src"),
            "PYTHONUNBUFFERED": "1",
            "VADOUVAN_CLOCK": self.at.isoformat(),
        }
        env.pop("PYTHONDONTWRITEBYTECODE", None)
        self._process = subprocess.Popen(
            [*command, "--demo"] if self.demo else command,
            stdout=subprocess.PIPE,
            stderr=stderr,
            text=True,
            env=env,
            cwd=ROOT,
        )
        assert self._process.stdout is not None
        line = self._process.stdout.readline()
        found = re.search(r"http://127\.0\.0\.1:\d+", line)
        if found is None:
            raise RuntimeError(f"The kitchen did not start: {line!r}")
        self.address = found.group()

    @property
    def port(self) -> int:
        """The port it serves on."""
        return int(self.address.rsplit(":", 1)[1])

    @property
    def process(self) -> subprocess.Popen[str]:
        """The server."""
        assert self._process is not None
        return self._process

    def kill(self) -> None:
        """Stop it as a power cut would."""
        if self._process is not None:
            self._process.kill()
            self._process.wait()
            for printed in (self._process.stdout, self._process.stderr):
                if printed is not None:
                    printed.close()


@cache
def the_browser() -> Browser:
    """One headless Chromium for all classes that run in this process."""
    playwright = sync_playwright().start()
    expect.set_options(timeout=PATIENCE_MS)
    browser = playwright.chromium.launch(executable_path=chromium(), args=ARGUMENTS)
    atexit.register(playwright.stop)
    atexit.register(browser.close)
    return browser


# Once all that was waiting has had its turns: something is drawn, and no room is still being fetched.
OPENED = """async () => {
    for (let turn = 0; turn < 3; turn++)
        await new Promise(done => {
            const channel = new MessageChannel()
            channel.port1.onmessage = done
            channel.port2.postMessage(0)
        })
    return document.getElementById('root')?.childElementCount > 0 && !document.querySelector('[data-opening]')
}"""


QUIET_MS, MOST_LOOKS = 45, 700
LONGEST_TOLD = 4000


class Traffic:
    """The requests of a page that are under way, but for streams, which never end."""

    def __init__(self, page: Page) -> None:
        self._page = page
        self._under_way: set[Request] = set()
        self._asked = 0
        page.on("request", self._begun)
        page.on("requestfinished", self._ended)
        page.on("requestfailed", self._ended)

    def _begun(self, request: Request) -> None:
        if "/stream" not in request.url:
            self._under_way.add(request)
            self._asked += 1

    def _ended(self, request: Request) -> None:
        self._under_way.discard(request)

    def settle(self) -> None:
        """Wait until the page has asked for nothing for a moment."""
        for _ in range(MOST_LOOKS):
            asked = self._asked
            self._page.wait_for_timeout(QUIET_MS)
            if self._under_way or self._asked != asked:
                continue
            if self._page.evaluate(OPENED) and self._asked == asked:
                return
        raise AssertionError(f"{self._page.url} is still opening: {[one.url for one in self._under_way]}")


class Held:
    """Requests of a page to an address, with a method if one is told, that leave when the test says so.

    With ``answers`` they leave at once, and it is what the kitchen says to them that waits.
    """

    def __init__(self, page: Page, address: str, method: str = "", *, answers: bool = False) -> None:
        self._page, self._address, self._method, self._answers = page, address, method, answers
        self._waiting: list[Callable[[], None]] = []
        page.route(address, self._hold)

    def _hold(self, route: Route) -> None:
        if self._method not in ("", route.request.method):
            route.continue_()
        elif self._answers:
            answer = route.fetch()
            self._waiting.append(lambda: route.fulfill(response=answer))
        else:
            self._waiting.append(route.continue_)

    def wait(self) -> None:
        """Until one is held: a press is done with before its request has left the page."""
        for _ in range(0, PATIENCE_MS, LOOK_AGAIN_MS):
            if self._waiting:
                break
            self._page.wait_for_timeout(LOOK_AGAIN_MS)
        else:
            raise AssertionError(f"No {self._method or 'request'} to {self._address} within {PATIENCE_MS / 1000:g} s")

    def let_go(self) -> None:
        """Those that are held, at least one, leave now; later ones are held in their turn."""
        self.wait()
        held, self._waiting = self._waiting, []
        for leave in held:
            leave()


class BrowserCase(unittest.TestCase):
    """A kitchen and a browser for all tests of a class; fails on requests to other origins."""

    loses_power = False  # such a kitchen is a process of its own, that can be killed
    at = NOW
    browser: Browser
    context: BrowserContext
    kitchen: Kitchen

    @staticmethod
    def filled(now: datetime) -> KitchenSnapshot | None:
        """What the kitchen holds when it starts: nothing, unless a class says so."""
        return None

    @classmethod
    def setUpClass(cls) -> None:
        """Start the kitchen, filled if the class says with what; one context, so that the page is fetched once."""
        folder = tempfile.TemporaryDirectory()
        cls.addClassCleanup(folder.cleanup)
        if snapshot := cls.filled(cls.at):
            fill(Path(folder.name), snapshot, cls.at)
        served = KitchenOfItsOwn if cls.loses_power else KitchenInThisProcess
        cls.kitchen = served(data_dir=Path(folder.name), at=cls.at)
        cls.kitchen.start()
        cls.addClassCleanup(cls.kitchen.kill)
        cls.browser = the_browser()
        cls.context = cls.new_context()
        cls.addClassCleanup(cls.context.close)

    @classmethod
    def new_context(cls, **options: Any) -> BrowserContext:
        """A context in the kitchen's zone, at the kitchen's moment."""
        wanted = {
            "viewport": LAPTOP,
            "timezone_id": "Europe/Lisbon",
            "locale": "en-GB",
            "reduced_motion": "reduce",
            **options,
        }
        context = cls.browser.new_context(**wanted)
        context.clock.set_fixed_time(cls.at)
        context.on("page", slowed)
        return context

    def another_context(self, **options: Any) -> BrowserContext:
        """A context beside that of the class, gone with the test: a page that is left open goes on asking."""
        context = self.new_context(**options)
        self.addCleanup(context.close)
        return context

    def setUp(self) -> None:
        """Watch what a page asks for and complains about."""
        self.foreign: list[str] = []
        self.complaints: list[str] = []
        self.addCleanup(lambda: self.assertEqual(self.foreign, [], "requests to other origins"))
        self.addCleanup(lambda: self.assertEqual(self.complaints, [], "errors on the page"))

    def open(self, path: str, *, phone: bool = False, theme: str = "light") -> Page:
        """A page of the kitchen, in a size and a theme, on a device that holds nothing yet."""
        page = self.context.new_page()
        self.addCleanup(page.close)
        self.addCleanup(self._tell_how_it_stands, page)
        page.set_viewport_size(PHONE if phone else LAPTOP)
        page.add_init_script(
            "if (!sessionStorage.getItem('begun')) { localStorage.clear(); sessionStorage.setItem('begun', 'yes');"
            f" localStorage.setItem('vadouvan.theme', '{theme}') }}"
        )
        page.on("request", self._watch)
        page.on("pageerror", lambda error: self.complaints.append(str(error)))
        # Someone listens from the start: a chooser asked for only just before it opens can be missed.
        page.on("filechooser", lambda _: None)
        self.traffic = Traffic(page)
        page.goto(self.kitchen.address + path)
        self.traffic.settle()
        return page

    def ask(self, path: str, body: Any = None, method: str = "POST") -> Any:
        """A request to the kitchen; without a body it only looks."""
        data = None if body is None else json.dumps(body).encode()
        request = urllib.request.Request(
            self.kitchen.address + path,
            data,
            {"Content-Type": "application/json"},
            method="GET" if body is None else method,
        )
        with urllib.request.urlopen(request) as answer:
            return json.loads(answer.read() or "null")

    def _tell_how_it_stands(self, page: Page) -> None:
        """What a page showed when its test failed: it may not fail so again on another machine."""
        result: unittest.TestResult = self._outcome.result  # type: ignore[attr-defined]
        failed = [
            getattr(test, "test_case", test) for test, _ in [*result.errors, *result.failures]
        ]  # whole, or a part
        if any(test is self for test in failed) and not page.is_closed():
            print(f"{self.id()} at {page.url}:\n{page.locator('body').aria_snapshot()[:LONGEST_TOLD]}", flush=True)

    def _watch(self, request: Request) -> None:
        if not request.url.startswith((self.kitchen.address, "data:", "blob:")):
            self.foreign.append(request.url)
