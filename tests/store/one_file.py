"""A kitchen's file of its own, for tests of the store."""

from __future__ import annotations

import tempfile
import unittest
from pathlib import Path

from vadouvan.store.batches import Batches
from vadouvan.store.database import open_database


class OneFile(unittest.TestCase):
    """One file in a folder of its own."""

    def setUp(self) -> None:
        """Open an empty kitchen."""
        folder = tempfile.TemporaryDirectory()
        self.addCleanup(folder.cleanup)
        self.path = Path(folder.name) / "kitchen.sqlite"
        self.engine = open_database(self.path)
        self.addCleanup(self.engine.dispose)
        self.batches = Batches(self.engine)
