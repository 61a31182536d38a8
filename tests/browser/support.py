"""A running kitchen and a headless Chromium for tests of the real interface."""

from __future__ import annotations

import os
import re
import shutil
import subprocess
import sys
import tempfile
import unittest
from pathlib import Path

from playwright.sync_api import Browser, Page, Playwright, Request, ViewportSize, sync_playwright

ROOT = Path(__file__).resolve().parent.parent.parent
ARGUMENTS = [
    "--no-sandbox", "--disable-background-networking", "--disable-component-update", "--disable-sync", "--no-first-run",
    "--disable-gpu",
]  # fmt: skip
LAPTOP, PHONE = ViewportSize(width=1280, height=800), ViewportSize(width=390, height=844)
INSTALL = ["apt-get", "install", "-y", "--no-install-recommends", "chromium"]


def chromium() -> str:
    """Path of Chromium: ``CHROMIUM``, an installed one, or Debian's package installed now."""
    named = os.environ.get("CHROMIUM")
    if named:
        return named
    found = shutil.which("chromium")
    if found is None:
        _install()
        found = shutil.which("chromium")
    if found is None:
        raise RuntimeError(
            "Browser tests need Chromium. Install it (apt-get install chromium), or set CHROMIUM=/path/to/it."
        )
    return found


def _install() -> None:
    """Debian's Chromium, as root or through sudo without a password; says what to do if neither may."""
    may = [] if os.geteuid() == 0 else ["sudo", "-n"]
    for command in (["apt-get", "update"], INSTALL):
        done = subprocess.run([*may, *command], capture_output=True, text=True, check=False)
        if done.returncode:
            raise RuntimeError(
                f"Chromium is missing and may not be installed here ({done.stderr.strip()[-200:]}). "
                "Run: sudo apt-get install chromium, or set CHROMIUM=/path/to/it."
            )


class Kitchen:
    """``vadouvan serve`` on a free port, with a data folder of its own."""

    def __init__(self, *, demo: bool, data_dir: Path) -> None:
        self.demo, self.data_dir = demo, data_dir
        self.address = ""
        self._process: subprocess.Popen[str] | None = None

    def start(self, port: int = 0) -> None:
        """Start, and wait until the address is printed."""
        command = [sys.executable, "-m", "vadouvan.cli", "serve", "--port", str(port), "--data-dir", str(self.data_dir)]
        env = {**os.environ, "PYTHONPATH": str(ROOT / "src"), "PYTHONUNBUFFERED": "1"}
        self._process = subprocess.Popen(
            [*command, "--demo"] if self.demo else command, stdout=subprocess.PIPE, text=True, env=env, cwd=ROOT
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

    def kill(self) -> None:
        """Stop it as a power cut would."""
        if self._process is not None:
            self._process.kill()
            self._process.wait()
            if self._process.stdout is not None:
                self._process.stdout.close()


class BrowserCase(unittest.TestCase):
    """A kitchen and a browser for all tests of a class; fails on requests to other origins."""

    demo = False
    playwright: Playwright
    browser: Browser
    kitchen: Kitchen

    @classmethod
    def setUpClass(cls) -> None:
        """Start both."""
        folder = tempfile.TemporaryDirectory()
        cls.addClassCleanup(folder.cleanup)
        cls.kitchen = Kitchen(demo=cls.demo, data_dir=Path(folder.name))
        cls.kitchen.start()
        cls.addClassCleanup(cls.kitchen.kill)
        cls.playwright = sync_playwright().start()
        cls.addClassCleanup(cls.playwright.stop)
        cls.browser = cls.playwright.chromium.launch(executable_path=chromium(), args=ARGUMENTS)
        cls.addClassCleanup(cls.browser.close)

    def setUp(self) -> None:
        """Watch what a page asks for and complains about."""
        self.foreign: list[str] = []
        self.complaints: list[str] = []
        self.addCleanup(lambda: self.assertEqual(self.foreign, [], "requests to other origins"))
        self.addCleanup(lambda: self.assertEqual(self.complaints, [], "errors on the page"))

    def open(self, path: str, *, phone: bool = False, theme: str = "light") -> Page:
        """A page of the kitchen, in a size and a theme."""
        page = self.browser.new_page(viewport=PHONE if phone else LAPTOP, timezone_id="Europe/Lisbon", locale="en-GB")
        self.addCleanup(page.close)
        page.add_init_script(f"localStorage.setItem('vadouvan.theme', '{theme}')")
        page.on("request", self._watch)
        page.on("pageerror", lambda error: self.complaints.append(str(error)))
        # Someone listens from the start: a chooser asked for only just before it opens can be missed.
        page.on("filechooser", lambda _: None)
        page.goto(self.kitchen.address + path)
        page.wait_for_load_state("networkidle")
        return page

    def _watch(self, request: Request) -> None:
        if not request.url.startswith((self.kitchen.address, "data:", "blob:")):
            self.foreign.append(request.url)
