"""Whole kitchens and their parts, drawn by hypothesis: readable or not, as cooks type."""

from __future__ import annotations

from dataclasses import replace
from datetime import UTC, datetime

from hypothesis import strategies as st

from tests.drafts import NOW
from tests.photographs import photograph
from vadouvan.core.draft.typed import (
    AimsInput,
    CompanionInput,
    CutInput,
    Draft,
    FireInput,
    HoldInput,
    LineInput,
    MakingInput,
    MealInput,
    OccasionInput,
    QuantityInput,
    StageInput,
    StepInput,
)
from vadouvan.core.interpretation.household import HouseholdInput
from vadouvan.core.interpretation.routine import RoutineInput
from vadouvan.core.interpretation.shared import SharedInput
from vadouvan.core.parsing.label import LabelInput
from vadouvan.core.snapshot.kitchen import BatchSnapshot, KitchenSettings, KitchenSnapshot, OwnLabel, VerdictSnapshot
from vadouvan.core.tasting.cut_face import FaceMarks, Point
from vadouvan.core.tasting.verdict import ASPECTS, VerdictInput
from vadouvan.core.weighing.event import KINDS, CounterEvent, LoggedEvent
from vadouvan.data.tables import shipped_kitchen
from vadouvan.formats.photograph import made_small

amounts = st.sampled_from(["", "2.6 kg", "900 g", "900", "a lot", "1 lb 3 oz", "-3", "1e99"])
counts = st.sampled_from(["", "9", "nine", "0", "1.5"])
lengths = st.sampled_from(["", "30 mm", "1 1/4 in", "thick"])
words = st.text(st.characters(codec="utf-8"), max_size=30)
ticks = st.sampled_from(["", "yes"])
steps = st.lists(
    st.builds(StepInput, st.just(""), words, amounts, lengths, lengths, ticks, ticks, counts, words), max_size=3
).map(lambda found: tuple(replace(step, id=str(number)) for number, step in enumerate(found, start=1)))
times = st.sampled_from(["", "45 min", "12 h", "soon"])
lines = st.lists(st.builds(LineInput, st.just(""), words, ticks, ticks, ticks), max_size=5).map(
    lambda found: tuple(replace(line, id=str(number)) for number, line in enumerate(found, start=1))
)
stages = st.lists(
    st.builds(StageInput, st.just(""), words, counts, words, times, counts, ticks, words), max_size=3
).map(lambda found: tuple(replace(stage, id=str(number)) for number, stage in enumerate(found, start=1)))
companions = st.lists(st.builds(CompanionInput, st.just(""), words, words, words, words), max_size=2).map(
    lambda found: tuple(replace(one, id=str(number)) for number, one in enumerate(found, start=1))
)
drafts = st.builds(
    Draft,
    words,
    st.builds(CutInput, words, amounts, words, *[lengths] * 3, counts, words, counts, words, words, words, steps),
    lines,
    st.builds(HoldInput, counts, words, counts, *[words] * 6),
    st.builds(MealInput, words, st.sampled_from(["", "75 min", "1 h 30 min", "soon"]), words, words),
    st.builds(OccasionInput, counts, words, counts),
    st.builds(AimsInput, words, words, counts, times, counts, counts, counts),
    st.builds(QuantityInput, *[words] * 6),
    st.builds(MakingInput, words, times, words, words, words, times),
    st.builds(FireInput, words, stages, words, counts, words, times, words, words),
    companions,
)

identities = st.uuids().map(str)
moments = st.datetimes(datetime(2020, 1, 1), datetime(2030, 1, 1), timezones=st.just(UTC))
numbers = st.none() | st.floats(-100, 100)
events = st.lists(
    st.tuples(
        st.builds(
            CounterEvent,
            st.sampled_from(KINDS),
            words,
            numbers,
            numbers,
            words,
            st.sampled_from(["", "scale", "typed"]),
            st.booleans(),
            st.none() | st.integers(1, 3),
        ),
        st.none() | st.just(Draft()) | drafts,
    ),
    max_size=3,
).map(lambda found: tuple(LoggedEvent(number, NOW, *pair) for number, pair in enumerate(found, start=1)))
verdicts = st.lists(
    st.builds(
        VerdictSnapshot,
        st.builds(VerdictInput, words.map(str.strip), st.dictionaries(st.sampled_from(ASPECTS), words), lengths, words),
        moments,
        st.booleans(),
    ),
    max_size=3,
    unique_by=lambda one: one.said.eater.strip(),
).map(tuple)
renamed = st.tuples(drafts, st.lists(identities, min_size=5, max_size=5, unique=True)).map(
    lambda pair: replace(
        pair[0], mix=tuple(replace(line, id=name) for line, name in zip(pair[0].mix, pair[1], strict=False))
    )
)
shares = st.floats(0, 1).map(lambda share: round(share, 3))
points = st.builds(Point, shares, shares)
marks = st.builds(FaceMarks, st.builds(Point, shares, st.just(0.1)), st.builds(Point, shares, st.just(0.9)), points)
cut_faces = st.none() | st.builds(replace, st.just(made_small(photograph(size=(40, 30)))), marks=st.none() | marks)
batches = st.builds(
    BatchSnapshot,
    identities,
    renamed,
    moments,
    events,
    verdicts,
    st.just("") | identities,
    st.lists(words).map(tuple),
    cut_face=cut_faces,
).map(lambda batch: batch if batch.from_id else replace(batch, changed=()))
labels = st.builds(OwnLabel, identities, st.builds(LabelInput, *[words] * 6))
cuts = st.builds(
    lambda kind, name: replace(kind, id=name), st.sampled_from(list(shipped_kitchen().cuts.values())), identities
)
kitchen_settings = st.builds(
    KitchenSettings,
    st.none() | st.builds(RoutineInput, words, words, words, words, st.lists(words, max_size=3).map(tuple), words),
    st.none() | st.builds(SharedInput, words, words),
    st.none() | st.builds(HouseholdInput, words, words, st.lists(words, max_size=3).map(tuple), words),
)


whole_kitchens = st.builds(
    KitchenSnapshot,
    st.lists(batches, max_size=3, unique_by=lambda one: one.id).map(tuple),
    st.lists(labels, max_size=3, unique_by=lambda one: one.id).map(tuple),
    st.lists(cuts, max_size=2, unique_by=lambda one: one.id).map(tuple),
    kitchen_settings,
)
