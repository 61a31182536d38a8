"""Taking one kitchen into another: by identity, saying first what it will do, and never losing what is there.

What has the same identity and the same content stays. What has gone on (more presses, verdicts of more eaters) is
added to. What differs is taken in beside, under an identity of its own that is the same each time, so that a second
import adds nothing.
"""

from __future__ import annotations

import uuid
from collections.abc import Iterator, Sequence
from dataclasses import replace
from typing import Literal, TypeVar

from vadouvan.core.cut.kind import CutKind
from vadouvan.core.snapshot.kitchen import BatchSnapshot, KitchenSettings, KitchenSnapshot, OwnLabel, VerdictSnapshot
from vadouvan.core.weighing.event import LoggedEvent
from vadouvan.unchanging import unchanging

ThingKind = Literal["batch", "ingredient", "cut", "settings"]
Fate = Literal["new", "same", "added_to", "beside", "kept", "replaced"]
BESIDE = " (taken in)"
NAMESPACE = uuid.UUID("4f7c1a52-6c1e-4f0b-9d1c-2f6f5e0f7a11")
LONGEST_NAME = 60
T = TypeVar("T")

FATES: dict[Fate, str] = {
    "new": "is new here and comes in",
    "same": "is here already, the same",
    "added_to": "is here; what is new in it is added",
    "beside": "is here in another state; this one comes in beside it",
    "kept": "differs; yours stays",
    "replaced": "is taken over",
}


@unchanging
class Taken:
    """Fate of one thing of the other kitchen."""

    kind: ThingKind
    name: str
    fate: Fate


@unchanging
class Merge:
    """Writes into this kitchen, whole by identity, and each thing told."""

    batches: tuple[BatchSnapshot, ...]
    labels: tuple[OwnLabel, ...]
    cuts: tuple[CutKind, ...]
    settings: KitchenSettings
    told: tuple[Taken, ...]

    def count(self, fate: Fate, kind: ThingKind | None = None) -> int:
        """How many things, of a kind or of all, come to this."""
        return sum(one.fate == fate and kind in (None, one.kind) for one in self.told)


def merged(here: KitchenSnapshot, there: KitchenSnapshot, *, with_settings: bool = False) -> Merge:
    """Result of taking ``there`` into ``here``; settings are taken over where nothing was set, or if asked for."""
    told: list[Taken] = []
    cuts, cut_ids = _cuts(here, there, told)
    labels = _labels(here, there, told)
    batches = tuple(_batches(here, there, cut_ids, told))
    settings = _settings(here.settings, there.settings, told, with_settings=with_settings)
    return Merge(batches, labels, cuts, settings, tuple(told))


def beside_id(identity: str, content: object) -> str:
    """An identity for another state of something, the same for the same state."""
    return str(uuid.uuid5(NAMESPACE, f"{identity} {content!r}"))


def _cuts(
    here: KitchenSnapshot, there: KitchenSnapshot, told: list[Taken]
) -> tuple[tuple[CutKind, ...], dict[str, str]]:
    known = {kind.id: kind for kind in here.cuts}
    taken, moved = [], {}
    for kind in there.cuts:
        mine = known.get(kind.id)
        fate: Fate = "new" if mine is None else "same"
        if mine is None:
            taken.append(kind)
        elif mine != kind:
            other = replace(kind, id=beside_id(kind.id, kind), cut=_named_beside(kind.cut))
            moved[kind.id] = other.id
            if other.id not in known:
                fate = "beside"
                taken.append(other)
        told.append(Taken("cut", kind.name, fate))
    return tuple(taken), moved


def _labels(here: KitchenSnapshot, there: KitchenSnapshot, told: list[Taken]) -> tuple[OwnLabel, ...]:
    known = {label.id: label.said for label in here.labels}
    taken = []
    for label in there.labels:
        mine = known.get(label.id)
        fate: Fate = "new" if mine is None else "same"
        if mine is None:
            taken.append(label)
        elif mine != label.said:
            other = OwnLabel(beside_id(label.id, label.said), replace(label.said, name=_named_beside(label.said.name)))
            if other.id not in known:
                fate = "beside"
                taken.append(other)
        told.append(Taken("ingredient", label.said.name, fate))
    return tuple(taken)


def _batches(
    here: KitchenSnapshot, there: KitchenSnapshot, cut_ids: dict[str, str], told: list[Taken]
) -> Iterator[BatchSnapshot]:
    known = {batch.id: batch for batch in here.batches}
    names: dict[str, str] = {}  # identities under which batches of the other kitchen come in
    for batch in _ancestors_first(there.batches):
        kind = cut_ids.get(batch.draft.cut.kind, batch.draft.cut.kind)
        cut = replace(batch.draft.cut, kind=kind)
        own = replace(batch, draft=replace(batch.draft, cut=cut), from_id=names.get(batch.from_id, batch.from_id))
        mine = known.get(batch.id)
        both = own if mine is None else _together(mine, own)
        fate: Fate = "new" if mine is None else "same" if both == mine else "added_to"
        if both is None:
            names[batch.id] = beside_id(batch.id, batch)
            fate = "same" if names[batch.id] in known else "beside"
            named = replace(own.draft, name=_named_beside(own.draft.name))
            both = replace(own, id=names[batch.id], draft=named)
        if fate != "same":
            yield both
        told.append(Taken("batch", batch.draft.name or "Unnamed batch", fate))


def _ancestors_first(batches: Sequence[BatchSnapshot]) -> list[BatchSnapshot]:
    """The same batches, each after the one it goes on from."""
    by_id = {batch.id: batch for batch in batches}
    found: dict[str, BatchSnapshot] = {}
    for batch in batches:
        line = [batch]
        while line[-1].from_id in by_id and by_id[line[-1].from_id] not in line:
            line.append(by_id[line[-1].from_id])
        found.update({one.id: one for one in reversed(line) if one.id not in found})
    return list(found.values())


def _together(mine: BatchSnapshot, other: BatchSnapshot) -> BatchSnapshot | None:
    """One batch that has all of both, or none if they contradict each other."""
    if mine.draft != other.draft or (mine.from_id and other.from_id and mine.from_id != other.from_id):
        return None
    shorter, longer = sorted((mine.events, other.events), key=lambda told: (len(told), sum(map(_can_go_back, told))))
    if [_bare(one) for one in longer[: len(shorter)]] != [_bare(one) for one in shorter]:
        return None
    verdicts: dict[str, VerdictSnapshot] = {one.said.eater.strip(): one for one in mine.verdicts}
    for one in other.verdicts:
        known = verdicts.setdefault(one.said.eater.strip(), one)
        if known.said != one.said:
            return None
    if mine.cut_face is not None and other.cut_face not in (None, mine.cut_face):
        return None
    from_id, changed = (mine.from_id, mine.changed) if mine.from_id else (other.from_id, other.changed)
    return replace(
        mine,
        events=longer,
        verdicts=tuple(verdicts.values()),
        from_id=from_id,
        changed=changed,
        cut_face=mine.cut_face or other.cut_face,
    )


def _can_go_back(logged: LoggedEvent) -> bool:
    return logged.before is not None


def _bare(logged: LoggedEvent) -> LoggedEvent:
    """A press without the draft it changed, which older archives do not have."""
    return replace(logged, before=None)


def _settings(
    mine: KitchenSettings, other: KitchenSettings, told: list[Taken], *, with_settings: bool
) -> KitchenSettings:
    """Those parts of the other's settings that are taken over."""
    return KitchenSettings(
        _part("Your week (sleep and work)", mine.routine, other.routine, told, wanted=with_settings),
        _part("Your room (fridge and tubs)", mine.shared, other.shared, told, wanted=with_settings),
        _part("Your household", mine.household, other.household, told, wanted=with_settings),
    )


def _part(name: str, mine: T | None, other: T | None, told: list[Taken], *, wanted: bool) -> T | None:
    if other is None:
        return None
    fate: Fate = "new" if mine is None else "same" if mine == other else "replaced" if wanted else "kept"
    told.append(Taken("settings", name, fate))
    return other if fate in ("new", "replaced") else None


def _named_beside(name: str) -> str:
    return f"{name[:LONGEST_NAME].strip() or 'Unnamed'}{BESIDE}"
