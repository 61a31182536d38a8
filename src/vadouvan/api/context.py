"""What a request needs from the running kitchen, handed over by the composition root."""

from __future__ import annotations

from collections.abc import Callable
from dataclasses import dataclass, replace
from datetime import datetime
from functools import cached_property
from typing import Annotated, cast

from fastapi import Depends, Request

from vadouvan.api.shelf import Shelf
from vadouvan.core.draft import Draft
from vadouvan.core.kitchen import Kitchen
from vadouvan.core.mix.label import readable_labels
from vadouvan.core.reading.household import Household, read_household
from vadouvan.core.reading.routine import read_routine
from vadouvan.devices.counter import Devices
from vadouvan.store.batches import Batches, KeptBatch
from vadouvan.store.keeping import KitchenFile
from vadouvan.store.own_cuts import OwnCuts
from vadouvan.store.own_ingredients import OwnIngredients
from vadouvan.store.presses import Presses
from vadouvan.store.settings_kept import KeptSettings
from vadouvan.store.verdicts import Verdicts
from vadouvan.store.whole import Whole


@dataclass(frozen=True)
class Context:
    """The kitchen's tables, its batches, what is on its counter, and its clock and identity source."""

    tables: Kitchen
    batches: Batches
    own_cuts: OwnCuts
    own_ingredients: OwnIngredients
    settings: KeptSettings
    presses: Presses
    verdicts: Verdicts
    whole: Whole
    file: KitchenFile
    devices: Devices
    now: Callable[[], datetime]
    new_id: Callable[[], str]

    @property
    def kitchen(self) -> Kitchen:
        """The shipped tables with the cook's own cuts, ingredients, week and what verdicts have taught."""
        labels = ((kept.id, kept.said) for kept in self.own_ingredients.all())
        own = readable_labels(labels, self.tables.pantry.by_id)
        routine = read_routine(self.settings.routine())
        correction = self.settings.correction()
        return (
            self.tables.with_cuts(self.own_cuts.all())
            .with_ingredients(own)
            .with_routine(routine)
            .with_household(self.household())
            .with_correction(correction)
        )

    def household(self) -> Household:
        """The household; a salt that the pantry no longer has is passed over."""
        said = self.settings.household()
        known = said.salt in self.tables.pantry.by_id
        return read_household(said if known else replace(said, salt=""), self.tables.pantry)

    def started(self, draft: Draft) -> Draft:
        """A new batch with the household's way of salting, where it says none itself."""
        school = self.settings.household().school
        return draft if draft.aims.school or not school else replace(draft, aims=replace(draft.aims, school=school))

    def in_hand(self) -> list[KeptBatch]:
        """Batches that nobody has tasted yet."""
        return self.batches.in_hand()

    @cached_property
    def shelf(self) -> Shelf:
        """The logbook in memory."""
        return Shelf(self.batches, self.verdicts)


def _context(request: Request) -> Context:
    return cast(Context, request.app.state.context)


Here = Annotated[Context, Depends(_context)]
