"""The demo kitchen: the Slipway House at work, whatever the day and hour at which it is first opened.

One dish in its bag since yesterday with a turn due, one being weighed in, one on the heat, two for a later table that
want the one oven at different heats, and a logbook behind them. All made up.
"""

from __future__ import annotations

from collections.abc import Callable, Iterator, Sequence
from dataclasses import replace
from datetime import datetime, time, timedelta
from zoneinfo import ZoneInfo

from vadouvan.core.clock.meal import Meal
from vadouvan.core.clock.routine import Routine, later, on_a_step
from vadouvan.core.draft.examples import lines
from vadouvan.core.draft.typed import (
    CompanionInput,
    CutInput,
    Draft,
    FireInput,
    HoldInput,
    MealInput,
    OccasionInput,
    QuantityInput,
    StageInput,
    StepInput,
)
from vadouvan.core.interpretation.routine import RoutineInput, read_routine
from vadouvan.core.interpretation.shared import SharedInput
from vadouvan.core.judgement.judge import judge
from vadouvan.core.kitchen.kitchen import Kitchen
from vadouvan.core.schedule.plan import plan_for
from vadouvan.core.schedule.steps import work_of
from vadouvan.core.snapshot.kitchen import BatchSnapshot, KitchenSettings, KitchenSnapshot
from vadouvan.core.weighing.as_weighed import after_press
from vadouvan.core.weighing.event import CounterEvent, LoggedEvent
from vadouvan.core.weighing.lines import LineToWeigh, lines_to_weigh
from vadouvan.core.weighing.state import state_of
from vadouvan.demo_logbook import eaten_batches

ZONE = "Europe/Lisbon"
SATURDAY = 5
DEMO_SHARED = SharedInput("38 l", "2.5 l, 5 l")
DEMO_WEEK = RoutineInput("23:00", "06:30", "08:00", "16:30")
TOO_SOON = timedelta(hours=30)
NEAR_BEST = 0.8
QUARTER = timedelta(minutes=15)
MINUTE = timedelta(minutes=1)
AtTheCounter = tuple[timedelta, CounterEvent]


def demo_kitchen(now: datetime, tables: Kitchen, new_id: Callable[[], str]) -> KitchenSnapshot:
    """The whole demo as of a moment."""
    local = on_a_step(now.astimezone(ZoneInfo(ZONE)))
    kitchen = tables.with_routine(read_routine(DEMO_WEEK))
    made = [
        _in_its_bag(local, kitchen),
        _being_weighed(local, kitchen),
        _on_the_heat(local, kitchen),
        *((draft, ()) for draft in for_a_later_table(local)),
    ]
    batches = tuple(
        BatchSnapshot(new_id(), draft, later(now, -timedelta(days=2) + number * MINUTE), logged)
        for number, (draft, logged) in enumerate(made)
    )
    return KitchenSnapshot(
        (*batches, *eaten_batches(now, new_id)), settings=KitchenSettings(routine=DEMO_WEEK, shared=DEMO_SHARED)
    )


def _noted(
    draft: Draft, weighed: Sequence[LineToWeigh], events: Sequence[AtTheCounter], local: datetime
) -> tuple[Draft, tuple[LoggedEvent, ...]]:
    """The draft and its record after presses at the counter, each so long before now."""
    logged: list[LoggedEvent] = []
    for number, (ago, event) in enumerate(events, start=1):
        before = state_of(logged)
        logged.append(LoggedEvent(number, later(local, -ago), event))
        draft = after_press(draft, tuple(weighed), before, state_of(logged))
    return draft, tuple(logged)


def _lines_of(draft: Draft, local: datetime, kitchen: Kitchen) -> tuple[LineToWeigh, ...]:
    return lines_to_weigh(judge(draft, kitchen, now=local))


def _all_weighed(weighed: Sequence[LineToWeigh], ago: timedelta) -> Iterator[AtTheCounter]:
    """Every line as planned, tasted, nothing set aside: the last of it so long ago."""
    for number, line in enumerate(weighed):
        before = ago + (len(weighed) - number + 2) * MINUTE
        yield before, CounterEvent("weighed", line.id, line.mass_kg, how="typed")
    yield ago + 2 * MINUTE, CounterEvent("tasted", words="good as it is")
    yield ago + MINUTE, CounterEvent("set_aside", mass_kg=0.0)


# --- in its bag since yesterday ----------------------------------------------------------------


def _in_its_bag(local: datetime, kitchen: Kitchen) -> tuple[Draft, tuple[LoggedEvent, ...]]:
    """A turkey crown since yesterday; its second turn is due, or is the first thing after sleep or work."""
    held, hold, lead = _crown_times(local, kitchen.routine)
    pull = later(local, hold - held)
    draft = Draft(
        "Harbour crown",
        CutInput(kind="turkey_crown", mass="2.9 kg", thickness="80 mm", pieces="1"),
        lines("1 l buttermilk", "36 g fine salt", "6 sprigs thyme", "1 tbsp black pepper"),
        HoldInput("4", "surface", "12"),
        _meal(later(pull, lead), f"{lead / MINUTE:.0f} min"),
        OccasionInput("9", "normal"),
        quantity=QuantityInput(container="tub", size="5 l"),
        fire=FireInput("patted", (StageInput("1", "oven", "170 C", "plain", "110 min", "74 C"),)),
    )
    contact = (held, CounterEvent("contact", mass_kg=2.9, celsius=4.0))
    fridge = (held - timedelta(hours=1), CounterEvent("fridge", celsius=4.2))
    weighed = _lines_of(draft, local, kitchen)
    return _noted(draft, weighed, [*_all_weighed(weighed, held), contact, fridge], local)


def _crown_times(local: datetime, routine: Routine) -> tuple[timedelta, timedelta, timedelta]:
    """Hours since contact, hours of the whole hold, and from the pull to the table.

    Of all that the bird allows: the turn at two thirds nearest to half an hour from now, with hands free at each end.
    """
    quarters = [QUARTER * number for number in range(13 * 4, 27 * 4)]
    leads = [QUARTER * number for number in range(11, 15)]
    ways = [(held, hold, lead) for held in quarters for hold in _holds(held) for lead in leads]

    def cost(way: tuple[timedelta, timedelta, timedelta]) -> float:
        """How far from what one would like to see [h]."""
        held, hold, lead = way
        contact, pull, turn = later(local, -held), later(local, hold - held), hold * 2 / 3 - held
        table = later(pull, lead)
        wrong = routine.busy(contact) + 4 * (not routine.free_for(pull, QUARTER)) + 2 * (not 12 <= table.hour <= 21)
        return 100.0 * wrong + abs(turn / timedelta(hours=1) - 0.5)

    return min(ways, key=cost)


def _holds(held: timedelta) -> Iterator[timedelta]:
    """Whole holds of up to 40 h with their second turn within two hours and a half."""
    for number in range(1, 11):
        hold = round((held + QUARTER * number) * 1.5 / QUARTER) * QUARTER
        if timedelta(hours=20) <= hold <= timedelta(hours=40):
            yield hold


# --- being weighed in --------------------------------------------------------------------------


def _being_weighed(local: datetime, kitchen: Kitchen) -> tuple[Draft, tuple[LoggedEvent, ...]]:
    """Flank strips with kiwi for the next table that the hands allow; two of five ingredients are in the bowl."""
    draft = Draft(
        "Quick flank",
        CutInput(kind="beef_flank_strips", mass="900 g", thickness="12 mm"),
        lines("80 g kiwi", "2 tbsp mustard", "3 tbsp rapeseed oil", "1 tbsp honey", "1 1/2 tsp fine sea salt"),
        HoldInput("4", "", "12"),
        fire=FireInput("wiped", (StageInput("1", "grill", "", "", "6 min", "", "yes"),)),
    )
    draft = replace(draft, meal=_meal(_soonest_table(draft, local, kitchen), "45 min"))
    weighed = _lines_of(draft, local, kitchen)
    events = [
        (ago, CounterEvent("weighed", line.id, line.mass_kg, how="typed"))
        for ago, line in zip((6 * MINUTE, 3 * MINUTE), weighed, strict=False)
    ]
    return _noted(draft, weighed, events, local)


def _soonest_table(draft: Draft, local: datetime, kitchen: Kitchen) -> datetime:
    """The next quarter of an hour at which the dish can be on the table, held about as long as is best for it."""
    judgement = judge(draft, kitchen, now=local)
    window, cut, mix = judgement.window, judgement.reading.cut, judgement.mix
    if window is None or cut is None or mix is None:
        raise ValueError(f"the demo's {draft.name} cannot be judged: {judgement.sentence}")
    work = work_of(cut, mix, judgement.reading.fire, timedelta(minutes=45))
    lead = timedelta(minutes=45)
    first = later(local, timedelta(hours=window.best.hours) + lead + work.length)
    for quarters in range(4 * 36):
        at = on_a_step(later(first, QUARTER * quarters))
        plan = plan_for(window, Meal(at, lead), local, kitchen.routine, work)
        if plan.trouble is None and plan.hold_h >= NEAR_BEST * window.best.hours:
            return at
    raise ValueError(f"the demo's {draft.name} finds no table within a day and a half")


# --- on the heat -------------------------------------------------------------------------------


def _on_the_heat(local: datetime, kitchen: Kitchen) -> tuple[Draft, tuple[LoggedEvent, ...]]:
    """Lamb on the grill since some minutes, on the table in a quarter of an hour."""
    out, held = timedelta(minutes=30), timedelta(hours=7)
    draft = Draft(
        "Slip skewers",
        CutInput(kind="lamb_shoulder_cubes", mass="1.8 kg", thickness="30 mm"),
        lines(
            "juice of 2 lemons", "1 1/2 tbsp dried oregano", "90 ml olive oil", "6 bay leaves", "22 g fine sea salt"
        ),
        HoldInput("4", "through", "12"),
        _meal(later(local, QUARTER), "45 min"),
        fire=FireInput("patted", (StageInput("1", "grill", "", "", "12 min", "63 C", "yes"),)),
    )  # fmt: skip
    weighed = _lines_of(draft, local, kitchen)
    events = [
        *_all_weighed(weighed, out + held),
        (out + held, CounterEvent("contact", mass_kg=1.8, celsius=4.0)),
        (out + held / 2, CounterEvent("turned")),
        (out, CounterEvent("pulled")),
        (4 * MINUTE, CounterEvent("probe", celsius=21.0)),
        (MINUTE, CounterEvent("probe", celsius=29.0)),
    ]
    return _noted(draft, weighed, events, local)


# --- for a later table -------------------------------------------------------------------------


def for_a_later_table(local: datetime) -> list[Draft]:
    """Legs and tofu for the coming Saturday: both want the oven, at 200 and at 220 degrees."""
    saturday = coming_saturday(local)
    return [
        Draft(
            "Saturday legs",
            CutInput(
                kind="chicken_leg", mass="2.6 kg", thickness="45 mm", pieces="9", cover="none",
                steps=(StepInput("1", "scored", depth="8 mm", spacing="25 mm"), StepInput("2", "patted")),
            ),
            lines(
                "600 g yoghurt", "4 tbsp vadouvan", "juice of half a lemon", "8 cloves garlic", "3 cm ginger",
                "29 g fine salt", "a good splash of rapeseed oil",
            ),
            HoldInput("4", "through", "12"),
            _meal(saturday, ""),
            OccasionInput("9", "normal"),
            quantity=QuantityInput(container="tub"),
            fire=FireInput("patted", (StageInput("1", "oven", "200 C", "plain", "50 min", "74 C"),)),
            companions=(
                CompanionInput("1", "glaze", "Late honey glaze", "40 g honey\n1 tbsp lemon juice\n1 tsp vadouvan"),
                CompanionInput("2", "dip", "Mint yoghurt", "250 g yoghurt\n10 g fresh mint\n3 g fine salt"),
            ),
        ),
        Draft(
            "Harbour tofu",
            CutInput(kind="tofu_firm", mass="800 g", thickness="25 mm", pieces="4", steps=(StepInput("1", "pressed"),)),
            lines("2 tbsp tamarind paste", "1 tsp turmeric", "150 ml coconut milk", "60 ml soy sauce"),
            HoldInput("4", "", "12"),
            _meal(saturday, ""),
            fire=FireInput("as_is", (StageInput("1", "oven", "220 C", "plain", "25 min"),)),
        ),
    ]  # fmt: skip


def coming_saturday(now: datetime) -> datetime:
    """Saturday at 19:00 local time, at least 30 hours ahead."""
    local = now.astimezone(ZoneInfo(ZONE))
    day = local.date() + timedelta(days=(SATURDAY - local.weekday()) % 7)
    meal = datetime.combine(day, time(19, 0), ZoneInfo(ZONE))
    return meal if meal - local >= TOO_SOON else meal + timedelta(days=7)


def _meal(at: datetime, lead: str) -> MealInput:
    return MealInput(at.strftime("%Y-%m-%dT%H:%M"), lead, ZONE)
