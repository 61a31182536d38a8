"""A whole kitchen as one value: everything of the cook's that must not be lost on the way to a file and back."""

from __future__ import annotations

from dataclasses import dataclass
from datetime import datetime

from vadouvan.core.cut.kind import CutKind
from vadouvan.core.draft import Draft
from vadouvan.core.mix.label import LabelSaid
from vadouvan.core.reading.household import HouseholdSaid
from vadouvan.core.reading.routine import RoutineSaid
from vadouvan.core.reading.shared import SharedSaid
from vadouvan.core.taste.verdict import VerdictSaid
from vadouvan.core.weigh.press import Noted


@dataclass(frozen=True)
class WholeVerdict:
    """What one eater said, when, and whether nothing is learned from it."""

    said: VerdictSaid
    at: datetime
    is_forgotten: bool = False


@dataclass(frozen=True)
class WholeBatch:
    """A batch with everything that happened to it: presses, verdicts, the batch it goes on from and what was changed.

    The states for undo are not part of it.
    """

    id: str
    draft: Draft
    made_at: datetime
    presses: tuple[Noted, ...] = ()
    verdicts: tuple[WholeVerdict, ...] = ()
    from_id: str = ""
    changed: tuple[str, ...] = ()


@dataclass(frozen=True)
class OwnLabel:
    """An ingredient of the cook's own: its label as typed."""

    id: str
    said: LabelSaid


@dataclass(frozen=True)
class KitchenSettings:
    """What was set once for all batches; none where nothing was."""

    routine: RoutineSaid | None = None
    shared: SharedSaid | None = None
    household: HouseholdSaid | None = None


@dataclass(frozen=True)
class WholeKitchen:
    """All batches, own ingredients, own cuts and settings."""

    batches: tuple[WholeBatch, ...] = ()
    labels: tuple[OwnLabel, ...] = ()
    cuts: tuple[CutKind, ...] = ()
    settings: KitchenSettings = KitchenSettings()
