"""Whole kitchens and their parts, drawn by hypothesis: readable or not, as cooks type."""

from __future__ import annotations

from dataclasses import replace
from datetime import UTC, datetime

from hypothesis import strategies as st

from tests.drafts import NOW
from vadouvan.core.draft.typed import (
    AimsSaid,
    CutSaid,
    Draft,
    FireSaid,
    HoldSaid,
    LineSaid,
    MakingSaid,
    MealSaid,
    OccasionSaid,
    QuantitySaid,
    StageSaid,
    StepSaid,
)
from vadouvan.core.interpretation.household import HouseholdSaid
from vadouvan.core.interpretation.routine import RoutineSaid
from vadouvan.core.interpretation.shared import SharedSaid
from vadouvan.core.parsing.label import LabelSaid
from vadouvan.core.snapshot.kitchen import KitchenSettings, OwnLabel, WholeBatch, WholeKitchen, WholeVerdict
from vadouvan.core.tasting.verdict import ASPECTS, VerdictSaid
from vadouvan.core.weighing.event import KINDS, Noted, Press
from vadouvan.data.tables import shipped_kitchen

amounts = st.sampled_from(["", "2.6 kg", "900 g", "900", "a lot", "1 lb 3 oz", "-3", "1e99"])
counts = st.sampled_from(["", "9", "nine", "0", "1.5"])
lengths = st.sampled_from(["", "30 mm", "1 1/4 in", "thick"])
words = st.text(st.characters(codec="utf-8"), max_size=30)
ticks = st.sampled_from(["", "yes"])
steps = st.lists(
    st.builds(StepSaid, st.just(""), words, amounts, lengths, lengths, ticks, ticks, counts, words), max_size=3
).map(lambda found: tuple(replace(step, id=str(number)) for number, step in enumerate(found, start=1)))
times = st.sampled_from(["", "45 min", "12 h", "soon"])
lines = st.lists(st.builds(LineSaid, st.just(""), words, ticks, ticks, ticks), max_size=5).map(
    lambda found: tuple(replace(line, id=str(number)) for number, line in enumerate(found, start=1))
)
stages = st.lists(st.builds(StageSaid, st.just(""), words, counts, words, times, counts, ticks, words), max_size=3).map(
    lambda found: tuple(replace(stage, id=str(number)) for number, stage in enumerate(found, start=1))
)
drafts = st.builds(
    Draft,
    words,
    st.builds(CutSaid, words, amounts, words, *[lengths] * 3, counts, words, counts, words, words, words, steps),
    lines,
    st.builds(HoldSaid, counts, words, counts, *[words] * 6),
    st.builds(MealSaid, words, st.sampled_from(["", "75 min", "1 h 30 min", "soon"]), words, words),
    st.builds(OccasionSaid, counts, words, counts),
    st.builds(AimsSaid, words, words, counts, times, counts, counts, counts),
    st.builds(QuantitySaid, *[words] * 6),
    st.builds(MakingSaid, words, times, words, words, words, times),
    st.builds(FireSaid, words, stages, words, counts, words, times, words, words),
)

identities = st.uuids().map(str)
moments = st.datetimes(datetime(2020, 1, 1), datetime(2030, 1, 1), timezones=st.just(UTC))
numbers = st.none() | st.floats(-100, 100)
presses = st.lists(
    st.tuples(
        st.builds(
            Press,
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
).map(lambda found: tuple(Noted(number, NOW, *pair) for number, pair in enumerate(found, start=1)))
verdicts = st.lists(
    st.builds(
        WholeVerdict,
        st.builds(VerdictSaid, words.map(str.strip), st.dictionaries(st.sampled_from(ASPECTS), words), lengths, words),
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
batches = st.builds(
    WholeBatch, identities, renamed, moments, presses, verdicts, st.just("") | identities, st.lists(words).map(tuple)
).map(lambda batch: batch if batch.from_id else replace(batch, changed=()))
labels = st.builds(OwnLabel, identities, st.builds(LabelSaid, *[words] * 6))
cuts = st.builds(
    lambda kind, name: replace(kind, id=name), st.sampled_from(list(shipped_kitchen().cuts.values())), identities
)
kitchen_settings = st.builds(
    KitchenSettings,
    st.none() | st.builds(RoutineSaid, words, words, words, words, st.lists(words, max_size=3).map(tuple), words),
    st.none() | st.builds(SharedSaid, words, words),
    st.none() | st.builds(HouseholdSaid, words, words, st.lists(words, max_size=3).map(tuple), words),
)


whole_kitchens = st.builds(
    WholeKitchen,
    st.lists(batches, max_size=3, unique_by=lambda one: one.id).map(tuple),
    st.lists(labels, max_size=3, unique_by=lambda one: one.id).map(tuple),
    st.lists(cuts, max_size=2, unique_by=lambda one: one.id).map(tuple),
    kitchen_settings,
)
