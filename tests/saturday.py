"""A made-up kitchen before a Saturday's table: five dishes of which the oven cannot hold all, and a logbook."""

from __future__ import annotations

import itertools
from datetime import datetime, timedelta

from vadouvan.core.draft.examples import lines
from vadouvan.core.draft.typed import (
    CutInput,
    Draft,
    FireInput,
    HoldInput,
    MealInput,
    StageInput,
)
from vadouvan.core.snapshot.kitchen import BatchSnapshot, KitchenSettings, KitchenSnapshot
from vadouvan.demo import DEMO_SHARED, DEMO_WEEK, ZONE, coming_saturday, for_a_later_table
from vadouvan.demo_logbook import eaten_batches


def saturday_kitchen(now: datetime) -> KitchenSnapshot:
    """All of it, hung on the coming Saturday."""
    made = [BatchSnapshot(f"dish-{number}", draft, now) for number, draft in enumerate(saturday_drafts(now), start=1)]
    return KitchenSnapshot((*made, *eaten_logbook(now)), settings=KitchenSettings(DEMO_WEEK, DEMO_SHARED))


def eaten_logbook(now: datetime) -> tuple[BatchSnapshot, ...]:
    """The dishes that were eaten, the oldest first."""
    numbers = itertools.count(1)
    return eaten_batches(now, lambda: f"eaten-{next(numbers)}")


def saturday_drafts(now: datetime) -> list[Draft]:
    """The dishes, hung on the coming Saturday (or the one after, if it is too near)."""
    saturday = coming_saturday(now)
    sunday = saturday + timedelta(days=1)
    legs, tofu = for_a_later_table(now)
    return [
        legs,
        Draft(
            "Slip skewers",
            CutInput(kind="lamb_shoulder_cubes", mass="1.8 kg", thickness="30 mm"),
            lines(
                "juice of 2 lemons", "1 1/2 tbsp dried oregano", "90 ml olive oil",
                "6 bay leaves", "22 g fine sea salt",
            ),
            HoldInput("4", "through", "12"),
            _meal(saturday, ""),
            fire=FireInput("patted", (StageInput("1", "grill", "", "", "12 min", "63 C", "yes"),)),
        ),
        Draft(
            "Quick flank",
            CutInput(kind="beef_flank_strips", mass="900 g", thickness="12 mm"),
            lines("80 g kiwi", "2 tbsp mustard", "3 tbsp rapeseed oil", "1 tbsp honey", "1 1/2 tsp fine sea salt"),
            HoldInput("4", "", "12"),
            _meal(saturday, ""),
            fire=FireInput("wiped", (StageInput("1", "grill", "", "", "6 min", "", "yes"),)),
        ),
        tofu,
        Draft(
            "Crown for Sunday",
            CutInput(kind="turkey_crown", mass="2.9 kg", thickness="80 mm", pieces="1"),
            lines("1 l buttermilk", "45 g fine salt", "6 sprigs thyme", "1 tbsp black pepper"),
            HoldInput("4", "surface", "12"),
            _meal(sunday, "3 h"),
            fire=FireInput("patted", (StageInput("1", "oven", "170 C", "plain", "", "74 C"),)),
        ),
    ]  # fmt: skip


def _meal(at: datetime, lead: str) -> MealInput:
    return MealInput(at.strftime("%Y-%m-%dT%H:%M"), lead, ZONE)
