"""An application over an empty kitchen, for tests over HTTP."""

from __future__ import annotations

import itertools
import tempfile
import unittest
from dataclasses import replace
from pathlib import Path

from fastapi import FastAPI

from tests.drafts import NOW
from vadouvan.api.app import make_app
from vadouvan.data.tables import shipped_kitchen
from vadouvan.main import context_over


def kitchen_app(scenario: unittest.TestCase) -> FastAPI:
    """An application over an empty kitchen that is removed after the case."""
    folder = tempfile.TemporaryDirectory()
    scenario.addCleanup(folder.cleanup)
    context = context_over(Path(folder.name) / "kitchen.sqlite", shipped_kitchen(), lambda: NOW)
    scenario.addCleanup(context.file.close)
    numbers = itertools.count(1)
    return make_app(replace(context, new_id=lambda: f"batch-{next(numbers)}"))
