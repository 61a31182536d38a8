"""The composition root: settings, store, tables, clock and application put together."""

from __future__ import annotations

import uuid
from pathlib import Path

from fastapi import FastAPI

from vadouvan.api.app import make_app
from vadouvan.clock import Clock, clock_from
from vadouvan.core.kitchen.kitchen import Kitchen
from vadouvan.core.snapshot.kitchen import KitchenSnapshot
from vadouvan.core.snapshot.merging import merged
from vadouvan.data.tables import shipped_kitchen
from vadouvan.demo import demo_kitchen
from vadouvan.devices.counter import Devices
from vadouvan.settings import Settings
from vadouvan.store.batches import Batches
from vadouvan.store.cut_faces import CutFaces
from vadouvan.store.database import open_database
from vadouvan.store.event_log import EventLog
from vadouvan.store.keeping import KitchenFile
from vadouvan.store.own_cuts import OwnCuts
from vadouvan.store.own_ingredients import OwnIngredients
from vadouvan.store.settings_kept import KeptSettings
from vadouvan.store.snapshots import Snapshots
from vadouvan.store.verdicts import Verdicts
from vadouvan.use_cases.learning import learn
from vadouvan.use_cases.running_kitchen import RunningKitchen


def new_id() -> str:
    """An identity that no other kitchen will give out."""
    return str(uuid.uuid4())


def context_over(database: Path, tables: Kitchen, now: Clock) -> RunningKitchen:
    """Everything that requests need of the kitchen that is kept in a file."""
    engine = open_database(database)
    return RunningKitchen(
        tables,
        Batches(engine),
        OwnCuts(engine),
        OwnIngredients(engine),
        KeptSettings(engine),
        EventLog(engine),
        Verdicts(engine),
        CutFaces(engine),
        Snapshots(engine),
        KitchenFile(engine),
        Devices(),
        now=now,
        new_id=new_id,
    )


def fill_kitchen(context: RunningKitchen, snapshot: KitchenSnapshot) -> None:
    """Write a whole kitchen into an empty one, in one transaction, and learn from its verdicts."""
    context.snapshots.take_in(lambda own: merged(own, snapshot), now=context.now())
    learn(context)


def build(settings: Settings) -> FastAPI:
    """The application for these settings; a demo kitchen is filled on its first start only."""
    is_new = not settings.database.exists()
    now = clock_from(settings.clock)
    context = context_over(settings.database, shipped_kitchen(), now)
    if settings.demo and is_new:
        fill_kitchen(context, demo_kitchen(now(), context.tables, new_id))
    return make_app(context, settings.web_dir if settings.web_dir.is_dir() else None)
