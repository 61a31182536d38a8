"""The logbook: batches that were eaten, found again, and side by side."""

from __future__ import annotations

from collections.abc import Mapping, Sequence
from dataclasses import dataclass
from datetime import datetime
from functools import cached_property

from vadouvan.core.cut.kind import CutKind
from vadouvan.core.draft.typed import Draft
from vadouvan.core.figure import hours_told
from vadouvan.core.mix.measure import weighed_parts
from vadouvan.core.tasting.verdict import ASPECTS, STEPS, WORDS, Aspect, Verdict, mean_step

MOST_BESIDE = 4


@dataclass(frozen=True)
class Entry:
    """A batch that was eaten, with what was said of it."""

    id: str
    draft: Draft
    verdicts: tuple[Verdict, ...]
    from_id: str = ""
    changed: tuple[str, ...] = ()

    @property
    def eaten_on(self) -> str:
        """When it came out, or its meal: a local moment as typed."""
        return self.draft.meal.pulled or self.draft.meal.at

    @cached_property
    def words(self) -> str:
        """Everything in it that can be searched, in small letters."""
        lines = " ".join(line.text for line in self.draft.mix)
        notes = " ".join(f"{verdict.eater} {verdict.note}" for verdict in self.verdicts)
        return f"{self.draft.name} {self.draft.cut.kind} {lines} {notes}".lower()

    @cached_property
    def steps(self) -> dict[Aspect, int]:
        """Where all eaters together put it, from -2 to 2, for each thing that was tasted."""
        means = {aspect: mean_step(list(self.verdicts), aspect) for aspect in ASPECTS}
        return {aspect: round(mean) for aspect, mean in means.items() if mean is not None}

    @cached_property
    def verdict_words(self) -> dict[Aspect, str]:
        """Word of all eaters together, for each thing that was tasted."""
        return {aspect: WORDS[aspect][STEPS.index(step)] for aspect, step in self.steps.items()}


@dataclass(frozen=True)
class Asked:
    """Query of the logbook; empty is anything. ``verdict`` is an aspect with its word: "salt: a little too much"."""

    search: str = ""
    cut: str = ""
    species: str = ""
    school: str = ""
    verdict: str = ""
    ingredient: str = ""


def found(entries: Sequence[Entry], asked: Asked, cuts: Mapping[str, CutKind]) -> list[Entry]:
    """Entries that fit, the latest first."""
    fit = [entry for entry in entries if _fits(entry, asked, cuts)]
    return sorted(fit, key=lambda entry: (entry.eaten_on, entry.id), reverse=True)


def _fits(entry: Entry, asked: Asked, cuts: Mapping[str, CutKind]) -> bool:
    draft = entry.draft
    if asked.cut and draft.cut.kind != asked.cut:
        return False
    if asked.school and (draft.aims.school or "per_kg") != asked.school:
        return False
    kind = cuts.get(draft.cut.kind)
    if asked.species and (kind is None or kind.species != asked.species):
        return False
    if asked.ingredient and not any(asked.ingredient.lower() in line.text.lower() for line in draft.mix):
        return False
    if asked.verdict and asked.verdict not in (f"{name}: {word}" for name, word in entry.verdict_words.items()):
        return False
    words = entry.words
    return all(word in words for word in asked.search.lower().split())


@dataclass(frozen=True)
class Row:
    """One thing in which batches differ, and what it is in each of them."""

    what: str
    values: tuple[str, ...]


def side_by_side(entries: Sequence[Entry], cuts: Mapping[str, CutKind]) -> list[Row]:
    """Only what differs between two to four batches: cut, mix line by line, hold, and verdicts."""
    told = [_told(entry, cuts) for entry in entries]
    names = dict.fromkeys(name for one in told for name in one)
    rows = [Row(name, tuple(one.get(name, "") for one in told)) for name in names]
    return [row for row in rows if len(set(row.values)) > 1]


def thread_of(entry_id: str, entries: Sequence[Entry]) -> list[Entry]:
    """All repeats of one dish, from the first: each with what was changed."""
    by_id = {entry.id: entry for entry in entries}
    root = entry_id
    seen = {root}
    while root in by_id and by_id[root].from_id in by_id and by_id[root].from_id not in seen:
        root = by_id[root].from_id
        seen.add(root)
    line, left = [], [root]
    while left:
        here = left.pop(0)
        if here in by_id and by_id[here] not in line:
            line.append(by_id[here])
            left += sorted((one.id for one in entries if one.from_id == here), key=lambda name: by_id[name].eaten_on)
    return line


def _told(entry: Entry, cuts: Mapping[str, CutKind]) -> dict[str, str]:
    draft = entry.draft
    kind = cuts.get(draft.cut.kind)
    told = {
        "cut": kind.name if kind else draft.cut.kind,
        "weight": draft.cut.mass,
        "thickness": draft.cut.thickness,
        "salting": draft.aims.school,
        "goal": draft.hold.goal,
        "fridge": draft.hold.fridge,
    }
    hours = held_hours(draft)
    told["in the mix"] = hours_told(hours) if hours is not None else ""
    for line in draft.mix:
        parts = weighed_parts(line.text)
        told[parts[1] if parts else line.text.strip()] = f"{parts[0]:g} g" if parts else "yes"
    depths = [f"{verdict.depth_m * 1000:g} mm" for verdict in entry.verdicts if verdict.depth_m is not None]
    told["depth seen"] = ", ".join(depths) or ("right through" if any(v.is_through for v in entry.verdicts) else "")
    told |= {f"{aspect}, as eaten": word for aspect, word in entry.verdict_words.items()}
    return told


def held_hours(draft: Draft) -> float | None:
    """Hours between contact and pull as they were noted; none where either is missing or cannot be read."""
    try:
        into, out = (datetime.fromisoformat(text) for text in (draft.meal.contact, draft.meal.pulled))
    except ValueError:
        return None
    if (into.tzinfo is None) != (out.tzinfo is None):
        return None
    return (out - into).total_seconds() / 3600
