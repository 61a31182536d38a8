"""An application over an empty kitchen, for tests over HTTP."""

from __future__ import annotations

import itertools
import tempfile
import unittest
from dataclasses import replace
from functools import cache
from pathlib import Path

from fastapi import FastAPI

from tests.drafts import NOW
from vadouvan.api.app import make_app
from vadouvan.data.tables import shipped_kitchen
from vadouvan.main import context_over
from vadouvan.store.database import open_database


def kitchen_app(scenario: unittest.TestCase) -> FastAPI:
    """An application over an empty kitchen that is removed after the case."""
    folder = tempfile.TemporaryDirectory()
    scenario.addCleanup(folder.cleanup)
    database = Path(folder.name) / "kitchen.sqlite"
    database.write_bytes(_new_kitchen())
    context = context_over(database, shipped_kitchen(), lambda: NOW)
    scenario.addCleanup(context.file.close)
    numbers = itertools.count(1)
    return make_app(replace(context, new_id=lambda: f"batch-{next(numbers)}"))


@cache
def _new_kitchen() -> bytes:
    """A kitchen's file as it is made, made once."""
    with tempfile.TemporaryDirectory() as folder:
        database = Path(folder) / "kitchen.sqlite"
        open_database(database).dispose()
        return database.read_bytes()
