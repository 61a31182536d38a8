"""The logbook: batches that were eaten, found again, and side by side."""

from __future__ import annotations

from collections.abc import Callable, Iterable, Iterator, Mapping, Sequence
from dataclasses import field
from datetime import datetime
from functools import cached_property, partial

from vadouvan.core.cut.kind import CutKind
from vadouvan.core.draft.typed import Draft
from vadouvan.core.figure import hours_told
from vadouvan.core.mix.measure import weighed_parts
from vadouvan.core.tasting.verdict import ASPECTS, STEPS, WORDS, Aspect, Verdict, mean_step
from vadouvan.unchanging import unchanging

MOST_BESIDE = 4


@unchanging
class Spine:
    """Marks of a batch that stand on its spine: it is found by them, and stays on the shelf meanwhile.

    ``eaten_on`` is when it came out, or its meal: a local moment as typed; ``lines`` are those of its mix.
    """

    name: str
    cut_kind: str
    school: str
    eaten_on: str
    lines: tuple[str, ...]

    @cached_property
    def mix(self) -> str:
        """Its lines, one under the other, in small letters."""
        return "\n".join(self.lines).lower()


def spine_of(draft: Draft) -> Spine:
    """The spine of a batch."""
    lines = tuple(line.text for line in draft.mix)
    return Spine(draft.name, draft.cut.kind, draft.aims.school, draft.meal.pulled or draft.meal.at, lines)


@unchanging
class Entry:
    """A batch that was eaten, with what was said of it; ``take`` takes it off the shelf."""

    id: str
    spine: Spine
    verdicts: tuple[Verdict, ...]
    from_id: str = ""
    changed: tuple[str, ...] = ()
    take: Callable[[], Draft] = field(kw_only=True, compare=False, repr=False)

    @cached_property
    def draft(self) -> Draft:
        """All of it."""
        return self.take()

    @property
    def eaten_on(self) -> str:
        """When it came out, or its meal."""
        return self.spine.eaten_on

    @cached_property
    def words(self) -> str:
        """Everything in it that can be searched, in small letters."""
        notes = " ".join(f"{verdict.eater} {verdict.note}" for verdict in self.verdicts)
        return f"{self.spine.name} {self.spine.cut_kind} {self.spine.mix} {notes}".lower()

    @cached_property
    def steps(self) -> dict[Aspect, int]:
        """Where all eaters together put it, from -2 to 2, for each thing that was tasted."""
        means = {aspect: mean_step(list(self.verdicts), aspect) for aspect in ASPECTS}
        return {aspect: round(mean) for aspect, mean in means.items() if mean is not None}

    @cached_property
    def verdict_words(self) -> dict[Aspect, str]:
        """Word of all eaters together, for each thing that was tasted."""
        return {aspect: WORDS[aspect][STEPS.index(step)] for aspect, step in self.steps.items()}


def entry_of(
    identity: str, draft: Draft, verdicts: tuple[Verdict, ...], from_id: str = "", changed: tuple[str, ...] = ()
) -> Entry:
    """The entry of a batch that is at hand."""
    return Entry(identity, spine_of(draft), verdicts, from_id, changed, take=lambda: draft)


def latest_first(entries: Iterable[Entry]) -> list[Entry]:
    """Entries in the order of a shelf."""
    return sorted(entries, key=lambda entry: (entry.eaten_on, entry.id), reverse=True)


@unchanging
class Asked:
    """Query of the logbook; empty is anything. ``verdict`` is an aspect with its word: "salt: a little too much"."""

    search: str = ""
    cut: str = ""
    species: str = ""
    school: str = ""
    verdict: str = ""
    ingredient: str = ""


def found(entries: Sequence[Entry], asked: Asked, cuts: Mapping[str, CutKind]) -> list[Entry]:
    """Entries that fit, in their order."""
    conditions = list(_conditions(asked, cuts))
    return [entry for entry in entries if all(fits(entry) for fits in conditions)] if conditions else list(entries)


def _conditions(asked: Asked, cuts: Mapping[str, CutKind]) -> Iterator[Callable[[Entry], bool]]:
    """Only of what is asked, so that a long logbook is not asked for the rest."""
    if asked.cut:
        yield lambda entry: entry.spine.cut_kind == asked.cut
    if asked.school:
        yield lambda entry: (entry.spine.school or "per_kg") == asked.school
    if asked.species:
        kinds = {name for name, kind in cuts.items() if kind.species == asked.species}
        yield lambda entry: entry.spine.cut_kind in kinds
    if asked.ingredient:
        wanted = asked.ingredient.lower()
        yield lambda entry: wanted in entry.spine.mix
    if asked.verdict:
        yield _said(asked.verdict)
    for word in asked.search.lower().split():
        yield partial(_has_word, word)


def _has_word(word: str, entry: Entry) -> bool:
    return word in entry.words


def _said(verdict: str) -> Callable[[Entry], bool]:
    """A verdict such as "salt: a little too much"; one that cannot be said is nobody's."""
    name, _, words = verdict.partition(": ")
    aspect = next((one for one in ASPECTS if one == name), None)
    if aspect is None or words not in WORDS[aspect]:
        return lambda _: False
    step = STEPS[WORDS[aspect].index(words)]
    return lambda entry: entry.steps.get(aspect) == step


@unchanging
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
