"""A kitchen that is being written to: reads go on, a change that cannot wait says so, nothing is read without end."""

from __future__ import annotations

import sqlite3
import tempfile
import unittest
from collections.abc import Iterator
from contextlib import closing
from pathlib import Path

from fastapi.testclient import TestClient

from tests.drafts import NOW
from vadouvan.main import build
from vadouvan.settings import Settings
from vadouvan.store import database


class Busy(unittest.TestCase):
    """Another process holds the write lock."""

    def setUp(self) -> None:
        """A demo kitchen, waited for a tenth of a second only."""
        folder = tempfile.TemporaryDirectory()
        self.addCleanup(folder.cleanup)
        was = database.WAITS_MS
        database.WAITS_MS = 100
        self.addCleanup(setattr, database, "WAITS_MS", was)
        settings = Settings(data_dir=Path(folder.name), demo=True, clock=NOW)
        self.client = TestClient(build(settings), base_url="http://127.0.0.1")
        self.file = settings.database

    def test_reads_wait_for_nobody_and_a_change_is_told_to_try_again(self) -> None:
        """With the lock held elsewhere every list answers; an edit gets 503 with a sentence, and is not half kept."""
        kept = self.client.get("/api/batches").json()[0]
        with closing(sqlite3.connect(self.file)) as other:
            other.execute("BEGIN IMMEDIATE")
            for path in ("/api/batches", f"/api/batches/{kept['id']}", "/api/logbook", "/api/plan/today"):
                self.assertEqual(self.client.get(path).status_code, 200, path)
            body = {"draft": {**kept["draft"], "name": "Renamed"}, "revision": kept["revision"]}
            refused = self.client.put(f"/api/batches/{kept['id']}", json=body)
            self.assertEqual(refused.status_code, 503)
            self.assertIn("busy with another change", refused.json()["sentence"])
            other.rollback()
        self.assertEqual(self.client.get(f"/api/batches/{kept['id']}").json()["draft"]["name"], kept["draft"]["name"])
        self.assertEqual(self.client.put(f"/api/batches/{kept['id']}", json=body).status_code, 200)


class Long(unittest.TestCase):
    """Bodies without end."""

    def test_a_body_is_not_read_past_its_limit(self) -> None:
        """Two megabytes of typed text are the most, whatever the request claims; chunks are counted as they come."""
        with tempfile.TemporaryDirectory() as folder:
            client = TestClient(build(Settings(data_dir=Path(folder), clock=NOW)), base_url="http://127.0.0.1")

            def chunks() -> Iterator[bytes]:
                yield from (b"x" * 500_000 for _ in range(100))

            answer = client.post("/api/batches", content=chunks(), headers={"Content-Type": "application/json"})
            self.assertEqual(answer.status_code, 413)
            self.assertIn("larger than 2 MB", answer.json()["sentence"])
            unnamed = client.post("/api/batches", content=chunks(), headers={"Content-Type": "text/plain"})
            self.assertEqual(unnamed.status_code, 413)
            self.assertEqual(client.patch("/api/tables").status_code, 404)
            refused = client.delete("/api/batches")
            self.assertTrue(refused.json()["sentence"])

    def test_a_file_has_its_own_limit(self) -> None:
        """A backup of more than what is typed is looked at, though a browser names no kind of file for it."""
        with tempfile.TemporaryDirectory() as folder:
            client = TestClient(build(Settings(data_dir=Path(folder), clock=NOW)), base_url="http://127.0.0.1")
            for address in ("/api/kitchen/restore", "/api/kitchen/archive", "/api/kitchen/archive/preview"):
                with self.subTest(address):
                    answer = client.post(address, content=b"x" * 3_000_000)
                    self.assertEqual(answer.status_code, 422)
                    self.assertNotIn("larger", answer.json()["sentence"])


if __name__ == "__main__":
    unittest.main()
