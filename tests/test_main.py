"""The composition root: a demo kitchen is filled once, and stays as the cook leaves it."""

from __future__ import annotations

import tempfile
import unittest
from pathlib import Path

from fastapi.testclient import TestClient

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
