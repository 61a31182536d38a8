"""The server as a process: it starts, stands alone on its folder, and stops soon though a stream is open."""

from __future__ import annotations

import gc
import signal
import subprocess
import sys
import tempfile
import unittest
import urllib.error
import urllib.request
from pathlib import Path
from socket import socket
from unittest.mock import patch

import uvicorn
from typer.testing import CliRunner

from tests.browser.support import ROOT, KitchenOfItsOwn
from vadouvan.cli import app
from vadouvan.cli.serving import HANDS_OVER_S

SOON_S = 10  # far more than it takes, far less than a stream would hold it


class Serving(unittest.TestCase):
    """``vadouvan serve``."""

    def setUp(self) -> None:
        """A served kitchen in a folder of its own."""
        folder = tempfile.TemporaryDirectory()
        self.addCleanup(folder.cleanup)
        self.folder = Path(folder.name)
        self.kitchen = KitchenOfItsOwn(data_dir=self.folder)
        self.kitchen.start(stderr=subprocess.PIPE)
        self.addCleanup(self.kitchen.kill)

    def test_a_second_one_on_the_same_folder_says_so_and_ends(self) -> None:
        """Exit code 1 and a sentence; the first one goes on."""
        command = [sys.executable, "-m", "vadouvan.cli", "serve", "--port", "0", "--data-dir", str(self.folder)]
        second = subprocess.run(
            command, capture_output=True, text=True, check=False, cwd=ROOT, env={"PYTHONPATH": "src"}, timeout=60
        )
        self.assertEqual(second.returncode, 1)
        self.assertIn("serves the kitchen in", second.stderr)
        with urllib.request.urlopen(f"{self.kitchen.address}/api/batches") as answer:
            self.assertEqual(answer.status, 200)

    def test_it_stops_though_a_stream_is_open(self) -> None:
        """A device stream ends when it is told so, and nothing but sentences is printed."""
        with urllib.request.urlopen(f"{self.kitchen.address}/api/devices/stream") as stream:
            stream.read(1)
            process = self.kitchen.process
            process.send_signal(signal.SIGTERM)
            self.assertIsNotNone(process.wait(timeout=SOON_S))
        assert process.stderr is not None
        self.assertEqual(process.stderr.read(), "")

    def test_every_answer_has_the_safe_headers(self) -> None:
        """Also what is not there, which is no page."""
        with urllib.request.urlopen(f"{self.kitchen.address}/api/batches") as answer:
            self.assertIn("frame-ancestors 'none'", answer.headers["Content-Security-Policy"])
        with self.assertRaises(urllib.error.HTTPError) as caught:
            urllib.request.urlopen(f"{self.kitchen.address}/api/nowhere")
        self.assertEqual(caught.exception.code, 404)
        self.assertIn("sentence", caught.exception.read().decode())


if __name__ == "__main__":
    unittest.main()


class Loaded(unittest.TestCase):
    """What a kitchen is before it serves."""

    def test_memory_is_collected_and_threads_hand_over_soon(self) -> None:
        """Collecting stands still while it loads, and only then; nobody waits five milliseconds for a turn."""
        seen: list[tuple[bool, float]] = []
        self.addCleanup(sys.setswitchinterval, sys.getswitchinterval())

        def run(_: uvicorn.Server, sockets: list[socket]) -> None:
            seen.append((gc.isenabled(), sys.getswitchinterval()))
            sockets[0].close()

        with tempfile.TemporaryDirectory() as folder, patch.object(uvicorn.Server, "run", run):
            done = CliRunner().invoke(app, ["serve", "--port", "0", "--data-dir", folder])
        self.assertEqual(done.exit_code, 0, done.output)
        self.assertEqual([is_on for is_on, _ in seen], [True])
        self.assertAlmostEqual(seen[0][1], HANDS_OVER_S)
