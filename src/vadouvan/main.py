"""The composition root: settings, store, tables, clock and application put together."""

from __future__ import annotations

import uuid
from datetime import UTC, datetime

from fastapi import FastAPI

from vadouvan.api.app import make_app
from vadouvan.api.context import Context
from vadouvan.api.routers.taste import learn
from vadouvan.data.tables import shipped_kitchen
from vadouvan.demo import DEMO_SHARED, DEMO_WEEK, demo_batches
from vadouvan.demo_logbook import demo_logbook
from vadouvan.devices.counter import Devices
from vadouvan.settings import Settings
from vadouvan.store.batches import Batches
from vadouvan.store.database import open_database
from vadouvan.store.keeping import KitchenFile
from vadouvan.store.own_cuts import OwnCuts
from vadouvan.store.own_ingredients import OwnIngredients
from vadouvan.store.presses import Presses
from vadouvan.store.settings_kept import KeptSettings
from vadouvan.store.verdicts import Descent, Verdicts
from vadouvan.store.whole import Whole


def utc_now() -> datetime:
    """The present."""
    return datetime.now(UTC)


def new_id() -> str:
    """An identity that no other kitchen will give out."""
    return str(uuid.uuid4())


def fill_logbook(batches: Batches, verdicts: Verdicts) -> None:
    """The demo's eaten batches, with what was said of them."""
    ids: dict[str, str] = {}
    for eaten in demo_logbook(utc_now()):
        made = batches.add(new_id(), eaten.draft, now=utc_now())
        ids[eaten.draft.name] = made.id
        for said in eaten.verdicts:
            verdicts.keep(made.id, said, now=utc_now())
        if eaten.goes_on_from:
            verdicts.note_descent(Descent(made.id, ids[eaten.goes_on_from], eaten.changed))


def build(settings: Settings) -> FastAPI:
    """The application for these settings; a demo kitchen is filled on its first start only."""
    is_new = not settings.database.exists()
    engine = open_database(settings.database)
    batches, kept_settings, verdicts = Batches(engine), KeptSettings(engine), Verdicts(engine)
    if settings.demo and is_new:
        kept_settings.keep_routine(DEMO_WEEK)
        kept_settings.keep_shared(DEMO_SHARED)
        for draft in demo_batches(utc_now()):
            batches.add(new_id(), draft, now=utc_now())
        fill_logbook(batches, verdicts)
    context = Context(
        shipped_kitchen(),
        batches,
        OwnCuts(engine),
        OwnIngredients(engine),
        kept_settings,
        Presses(engine),
        verdicts,
        Whole(engine),
        KitchenFile(engine),
        Devices(),
        now=utc_now,
        new_id=new_id,
    )
    if settings.demo and is_new:
        learn(context)
    return make_app(context, settings.web_dir if settings.web_dir.is_dir() else None)
