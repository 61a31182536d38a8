"""The controls of the page by themselves, each in all its states: in both lights, on a phone, in forced colours."""

from __future__ import annotations

import functools
import subprocess
import tempfile
import threading
import unittest
from http.server import SimpleHTTPRequestHandler, ThreadingHTTPServer
from pathlib import Path
from typing import Any, ClassVar

from axe_playwright_python.sync_playwright import Axe
from playwright.sync_api import Page

from tests.browser.support import LAPTOP, PHONE, ROOT, the_browser

WEB = ROOT / "web"


class Quiet(SimpleHTTPRequestHandler):
    """Files of a folder, without a word."""

    def log_message(self, format: str, *args: Any) -> None:
        """Nothing."""


class Kit(unittest.TestCase):
    """Built for this test alone: no cook loads it."""

    address: ClassVar[str]

    @classmethod
    def setUpClass(cls) -> None:
        """The built page behind a server of its own."""
        folder = tempfile.TemporaryDirectory()
        cls.addClassCleanup(folder.cleanup)
        vite = [str(WEB / "node_modules/.bin/vite"), "build", "--config", "vite.kit.config.ts", "--outDir", folder.name]
        done = subprocess.run(vite, cwd=WEB, capture_output=True, text=True, check=False)
        if done.returncode:
            raise AssertionError(done.stderr)
        handler = functools.partial(Quiet, directory=str(Path(folder.name)))
        server = ThreadingHTTPServer(("127.0.0.1", 0), handler)
        threading.Thread(target=server.serve_forever, daemon=True).start()
        cls.addClassCleanup(server.server_close)
        cls.addClassCleanup(server.shutdown)
        cls.address = f"http://127.0.0.1:{server.server_port}/kit.html"

    def opened(self, **options: Any) -> Page:
        """The page in a browser with these preferences."""
        context = the_browser().new_context(**{"viewport": LAPTOP, "locale": "en-GB", **options})
        self.addCleanup(context.close)
        page = context.new_page()
        page.goto(self.address)
        page.get_by_role("heading", name="substances").wait_for()
        return page

    def test_axe_finds_nothing(self) -> None:
        """By day and in the evening, on a laptop and a phone."""
        for viewport in (LAPTOP, PHONE):
            page = self.opened(viewport=viewport)
            page.evaluate(Axe().axe_script)
            for theme in ("light", "evening"):
                page.evaluate("theme => { document.documentElement.dataset.theme = theme }", theme)
                found = page.evaluate("axe.run(document, { resultTypes: ['violations'] })")
                told = [f"{one['id']}: {one['nodes'][0]['html'][:120]}" for one in found["violations"]]
                with self.subTest(theme=theme, wide=viewport["width"]):
                    self.assertEqual(told, [])
            self.assertLessEqual(page.evaluate("document.documentElement.scrollWidth - innerWidth"), 0)

    def test_every_state_looks_another(self) -> None:
        """In one's own colours and in forced ones: chosen, not chosen, at fault, not to be pressed."""
        for colours in ("none", "active"):
            page = self.opened(forced_colors=colours)
            acts = page.get_by_role("region", name="acts").get_by_role("button")
            radios = page.get_by_role("radiogroup", name="Side by side").locator("label")
            tabs = page.get_by_role("tab")
            ground = (
                "e => getComputedStyle(e).backgroundColor + getComputedStyle(e).color + getComputedStyle(e).opacity"
            )
            with self.subTest(colours=colours):
                self.assertNotEqual(acts.nth(1).evaluate(ground), acts.nth(2).evaluate(ground))
                self.assertNotEqual(radios.nth(1).evaluate(ground), radios.nth(0).evaluate(ground))
                self.assertNotEqual(tabs.nth(1).evaluate(ground), tabs.nth(0).evaluate(ground))
                faulty = page.get_by_role("textbox", name="How wide?")
                line = "e => getComputedStyle(e).borderBottomColor + e.getAttribute('aria-invalid')"
                self.assertNotEqual(
                    faulty.evaluate(line), page.get_by_role("textbox", name="How heavy?").evaluate(line)
                )
