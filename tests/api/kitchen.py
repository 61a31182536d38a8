"""An application over an empty kitchen, for tests over HTTP."""

from __future__ import annotations

import itertools
import tempfile
import unittest
from pathlib import Path

from fastapi import FastAPI

from tests.drafts import NOW
from vadouvan.api.app import make_app
from vadouvan.api.context import Context
from vadouvan.data.tables import shipped_kitchen
from vadouvan.devices.counter import Devices
from vadouvan.store.batches import Batches
from vadouvan.store.database import open_database
from vadouvan.store.event_log import EventLog
from vadouvan.store.keeping import KitchenFile
from vadouvan.store.own_cuts import OwnCuts
from vadouvan.store.own_ingredients import OwnIngredients
from vadouvan.store.settings_kept import KeptSettings
from vadouvan.store.snapshots import Snapshots
from vadouvan.store.verdicts import Verdicts


def kitchen_app(scenario: unittest.TestCase) -> FastAPI:
    """An application over an empty kitchen that is removed after the case."""
    folder = tempfile.TemporaryDirectory()
    scenario.addCleanup(folder.cleanup)
    engine = open_database(Path(folder.name) / "kitchen.sqlite")
    scenario.addCleanup(engine.dispose)
    numbers = itertools.count(1)
    context = Context(
        shipped_kitchen(),
        Batches(engine),
        OwnCuts(engine),
        OwnIngredients(engine),
        KeptSettings(engine),
        EventLog(engine),
        Verdicts(engine),
        Snapshots(engine),
        KitchenFile(engine),
        Devices(),
        now=lambda: NOW,
        new_id=lambda: f"batch-{next(numbers)}",
    )
    return make_app(context)
