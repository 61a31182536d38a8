"""The composition root: a demo kitchen is filled once, and stays as the cook leaves it."""

from __future__ import annotations

import subprocess
import sys
import tempfile
import unittest
from datetime import UTC, datetime
from pathlib import Path
from typing import cast
from unittest import mock

from fastapi import FastAPI
from fastapi.testclient import TestClient

from tests.browser.support import ROOT
from vadouvan.main import build
from vadouvan.settings import Settings


class Demo(unittest.TestCase):
    """First and second starts."""

    def test_second_start_keeps_the_cooks_changes(self) -> None:
        """Even when every demo batch was thrown away."""
        with tempfile.TemporaryDirectory() as folder:
            settings = Settings(data_dir=Path(folder), web_dir=Path(folder) / "none", demo=True)
            client = TestClient(build(settings), base_url="http://127.0.0.1")
            names = [batch["draft"]["name"] for batch in client.get("/api/batches").json()]
            self.assertEqual(len(names), 5)
            self.assertIn("Saturday legs", names)
            for batch in client.get("/api/batches").json():
                client.delete(f"/api/batches/{batch['id']}")
            self.assertEqual(TestClient(build(settings), base_url="http://127.0.0.1").get("/api/batches").json(), [])

    def test_run_starts_empty(self) -> None:
        """Without the demo there is nothing on the counter."""
        with tempfile.TemporaryDirectory() as folder:
            settings = Settings(data_dir=Path(folder), web_dir=Path(folder) / "none")
            self.assertEqual(TestClient(build(settings), base_url="http://127.0.0.1").get("/api/batches").json(), [])


class Start(unittest.TestCase):
    """A start waits for nothing that it does not need."""

    def test_what_is_not_loaded(self) -> None:
        """Statistics, the way between states, the printer and the planner wait for the first who asks; no mapper."""
        seldom = ("scipy", "alembic", "mako", "fpdf", "fontTools", "PIL", "segno", "sqlalchemy.orm")
        code = f"import sys, vadouvan.cli, vadouvan.main; print([name for name in {seldom} if name in sys.modules])"
        run = [sys.executable, "-c", code]
        told = subprocess.run(run, capture_output=True, text=True, check=True, env={"PYTHONPATH": "src"}, cwd=ROOT)
        self.assertEqual(told.stdout.strip(), "[]")

    def test_the_counter_is_ready_before_it_is_asked_for(self) -> None:
        """What the thread of a start works out is what the first look gets."""
        with tempfile.TemporaryDirectory() as folder:
            settings = Settings(
                data_dir=Path(folder),
                web_dir=Path(folder) / "none",
                demo=True,
                clock=datetime(2026, 11, 28, tzinfo=UTC),
            )
            client = TestClient(build(settings), base_url="http://127.0.0.1")
            here = cast("FastAPI", client.app).state.context
            here.get_ready()
            with mock.patch("vadouvan.use_cases.judged.judge", side_effect=AssertionError("judged again")):
                self.assertEqual(len(client.get("/api/batches").json()), 5)
