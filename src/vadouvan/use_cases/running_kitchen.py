"""The running kitchen: its tables, its store, what is on its counter, its clock."""

from __future__ import annotations

from collections.abc import Callable, Iterable
from dataclasses import dataclass, field, replace
from datetime import datetime
from functools import cached_property
from threading import Event, Lock

from vadouvan.core.draft.typed import Draft
from vadouvan.core.interpretation.household import read_household
from vadouvan.core.interpretation.routine import read_routine
from vadouvan.core.judgement.judgement import Judgement
from vadouvan.core.kitchen.household import Household
from vadouvan.core.kitchen.kitchen import Kitchen
from vadouvan.core.parsing.label import readable_labels
from vadouvan.devices.counter import Devices
from vadouvan.formats.judgement import JudgementShown
from vadouvan.store.batches import Batches
from vadouvan.store.cut_faces import CutFaces
from vadouvan.store.event_log import EventLog
from vadouvan.store.keeping import KitchenFile
from vadouvan.store.own_cuts import OwnCuts
from vadouvan.store.own_ingredients import OwnIngredients
from vadouvan.store.settings_kept import KeptSettings
from vadouvan.store.snapshots import Snapshots
from vadouvan.store.standing import KeptBatch
from vadouvan.store.unread import UnreadRow
from vadouvan.store.verdicts import Verdicts
from vadouvan.unchanging import unchanging
from vadouvan.use_cases.judged import Judged
from vadouvan.use_cases.logbook_cache import LogbookCache
from vadouvan.use_cases.long_work import LongWork


@dataclass
class _LastKitchen:
    """The kitchen last put together, with what it was put together from: one value, since requests run side by side."""

    known: tuple[object, Kitchen] | None = None


@dataclass
class _Unread:
    """Rows that could not be read when they were last looked for; nothing while they were not."""

    rows: list[UnreadRow] | None = None
    lock: Lock = field(default_factory=Lock)


@unchanging
class RunningKitchen:
    """The kitchen's tables, its batches, what is on its counter, and its clock and identity source."""

    tables: Kitchen
    batches: Batches
    own_cuts: OwnCuts
    own_ingredients: OwnIngredients
    settings: KeptSettings
    events: EventLog
    verdicts: Verdicts
    cut_faces: CutFaces
    snapshots: Snapshots
    file: KitchenFile
    devices: Devices
    now: Callable[[], datetime]
    new_id: Callable[[], str]
    stopping: Event = field(default_factory=Event)  # set when the server is told to stop: streams end

    @property
    def kitchen(self) -> Kitchen:
        """The shipped tables with the cook's own cuts, ingredients, week and what verdicts have taught.

        The same value until one of them changes.
        """
        state, known = self.settings.state(), self._last.known
        if known is not None and known[0] == state:
            return known[1]
        labels = [(kept.id, kept.said) for kept in self.own_ingredients.all()]
        kitchen = (
            self.tables.with_cuts(self.own_cuts.all())
            .with_ingredients(readable_labels(labels, self.tables.pantry.by_id))
            .with_routine(read_routine(self.settings.routine()))
            .with_household(self.household())
            .with_correction(self.settings.correction())
        )
        self._last.known = (state, kitchen)
        return kitchen

    def judged(self, draft: Draft) -> Judgement:
        """A draft judged in this kitchen as of now."""
        return self._judged.of(draft, self.kitchen, now=self.now())

    def judged_shown(self, draft: Draft) -> JudgementShown:
        """The same as a page shows it."""
        return self.all_shown([draft])[0]

    def all_shown(self, drafts: Iterable[Draft]) -> list[JudgementShown]:
        """Several as a page shows them, in one and the same kitchen."""
        kitchen, now = self.kitchen, self.now()
        return [self._judged.shown_of(draft, kitchen, now=now) for draft in drafts]

    def unread(self) -> list[UnreadRow]:
        """Rows that cannot be read any more. Where there are none it is looked once: a file in use gets no worse; where
        there are some, each time: a batch that is removed takes its rows along.
        """
        with self._unread.lock:
            if self._unread.rows != []:
                self._unread.rows = self.file.unread()
            return self._unread.rows

    def look_again(self) -> None:
        """Forget what could not be read: the file was exchanged, or emptied."""
        with self._unread.lock:
            self._unread.rows = None

    @cached_property
    def _last(self) -> _LastKitchen:
        return _LastKitchen()

    @cached_property
    def _unread(self) -> _Unread:
        return _Unread()

    @cached_property
    def long_work(self) -> LongWork:
        """Work that takes long, while it goes on."""
        return LongWork()

    @cached_property
    def _judged(self) -> Judged:
        return Judged()

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

    def get_ready(self) -> None:
        """Work out what the first look asks for while the page is fetched: the Counter, then a long logbook."""
        self.all_shown(kept.draft for kept in self.in_hand())
        self.logbook_cache.entries()

    @cached_property
    def logbook_cache(self) -> LogbookCache:
        """The logbook in memory."""
        return LogbookCache(self.batches, self.verdicts)
