"""A whole kitchen as one value: everything of the cook's that must not be lost on the way to a file and back."""

from __future__ import annotations

from datetime import datetime

from vadouvan.core.cut.kind import CutKind
from vadouvan.core.draft.typed import Draft
from vadouvan.core.interpretation.household import HouseholdInput, read_household
from vadouvan.core.interpretation.routine import RoutineInput, read_routine
from vadouvan.core.interpretation.shared import SharedInput, read_shared
from vadouvan.core.kitchen.kitchen import Kitchen
from vadouvan.core.pantry.pantry import Pantry
from vadouvan.core.parsing.label import LabelInput, readable_labels
from vadouvan.core.tasting.cut_face import CutFace
from vadouvan.core.tasting.verdict import VerdictInput
from vadouvan.core.weighing.event import LoggedEvent
from vadouvan.unchanging import unchanging

IDENTITY = r"^[A-Za-z0-9_-]{1,64}$"  # of a batch or an ingredient: it names files in an archive


@unchanging
class VerdictSnapshot:
    """Verdict of one eater, when, and whether nothing is learned from it, or something come what may."""

    said: VerdictInput
    at: datetime
    is_forgotten: bool = False
    is_insisted: bool = False


@unchanging
class BatchSnapshot:
    """A batch with everything that happened to it: presses, verdicts, a photograph, the batch it goes on from
    and what was changed.

    The states for undo are not part of it. ``damaged`` is the text of a batch that cannot be read any more.
    """

    id: str
    draft: Draft
    made_at: datetime
    events: tuple[LoggedEvent, ...] = ()
    verdicts: tuple[VerdictSnapshot, ...] = ()
    from_id: str = ""
    changed: tuple[str, ...] = ()
    damaged: str = ""
    cut_face: CutFace | None = None


@unchanging
class OwnLabel:
    """An ingredient of the cook's own: its label as typed."""

    id: str
    said: LabelInput


@unchanging
class KitchenSettings:
    """Settings made once for all batches; none where nothing was."""

    routine: RoutineInput | None = None
    shared: SharedInput | None = None
    household: HouseholdInput | None = None


@unchanging
class KitchenSnapshot:
    """All batches, own ingredients, own cuts and settings.

    ``unread`` is the text of whatever else cannot be read any more, each under what it is.
    """

    batches: tuple[BatchSnapshot, ...] = ()
    labels: tuple[OwnLabel, ...] = ()
    cuts: tuple[CutKind, ...] = ()
    settings: KitchenSettings = KitchenSettings()
    unread: tuple[tuple[str, str], ...] = ()


def check_settings(settings: KitchenSettings, pantry: Pantry) -> None:
    """Read every setting as the application will; raises BadInput for the first part that cannot be used."""
    if settings.routine is not None:
        read_routine(settings.routine)
    if settings.shared is not None:
        read_shared(settings.shared)
    if settings.household is not None:
        read_household(settings.household, pantry)


def kitchen_of(snapshot: KitchenSnapshot, tables: Kitchen) -> Kitchen:
    """The shipped tables with the cook's own cuts and ingredients in them, for the cook's household and week."""
    labels = ((label.id, label.said) for label in snapshot.labels)
    own = readable_labels(labels, tables.pantry.by_id)
    kitchen = tables.with_cuts({kind.id: kind for kind in snapshot.cuts}).with_ingredients(own)
    settings = snapshot.settings
    if settings.routine is not None:
        kitchen = kitchen.with_routine(read_routine(settings.routine))
    if settings.household is not None:
        kitchen = kitchen.with_household(read_household(settings.household, tables.pantry))
    return kitchen
