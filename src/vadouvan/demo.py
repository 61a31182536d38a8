"""The demo kitchen: made-up batches for the coming Saturday at the Slipway House."""

from __future__ import annotations

from datetime import datetime, time, timedelta
from zoneinfo import ZoneInfo

from vadouvan.core.draft import (
    CutSaid,
    Draft,
    FireSaid,
    HoldSaid,
    MealSaid,
    OccasionSaid,
    QuantitySaid,
    StageSaid,
    StepSaid,
)
from vadouvan.core.examples import lines
from vadouvan.core.reading.routine import RoutineSaid
from vadouvan.core.reading.shared import SharedSaid

ZONE = "Europe/Lisbon"
SATURDAY = 5
DEMO_SHARED = SharedSaid("38 l", "2.5 l, 5 l")
DEMO_WEEK = RoutineSaid("23:00", "06:30", "08:00", "16:30")
TOO_SOON = timedelta(hours=30)


def demo_batches(now: datetime) -> list[Draft]:
    """The batches of the demo, hung on the coming Saturday (or the one after, if it is too near)."""
    saturday = coming_saturday(now)
    sunday = saturday + timedelta(days=1)
    return [
        Draft(
            "Saturday legs",
            CutSaid(
                kind="chicken_leg", mass="2.6 kg", thickness="45 mm", pieces="9", cover="none",
                steps=(StepSaid("1", "scored", depth="8 mm", spacing="25 mm"), StepSaid("2", "patted")),
            ),
            lines(
                "600 g yoghurt", "4 tbsp vadouvan", "juice of half a lemon", "8 cloves garlic", "3 cm ginger",
                "29 g fine salt", "a good splash of rapeseed oil",
            ),
            HoldSaid("4", "through", "12"),
            _meal(saturday, ""),
            OccasionSaid("9", "normal"),
            quantity=QuantitySaid(container="tub"),
            fire=FireSaid("patted", (StageSaid("1", "oven", "200 C", "plain", "50 min", "74 C"),)),
        ),
        Draft(
            "Slip skewers",
            CutSaid(kind="lamb_shoulder_cubes", mass="1.8 kg", thickness="30 mm"),
            lines(
                "juice of 2 lemons", "1 1/2 tbsp dried oregano", "90 ml olive oil",
                "6 bay leaves", "22 g fine sea salt",
            ),
            HoldSaid("4", "through", "12"),
            _meal(saturday, ""),
            fire=FireSaid("patted", (StageSaid("1", "grill", "", "", "12 min", "63 C", "yes"),)),
        ),
        Draft(
            "Quick flank",
            CutSaid(kind="beef_flank_strips", mass="900 g", thickness="12 mm"),
            lines("80 g kiwi", "2 tbsp mustard", "3 tbsp rapeseed oil", "1 tbsp honey", "1 1/2 tsp fine sea salt"),
            HoldSaid("4", "", "12"),
            _meal(saturday, ""),
            fire=FireSaid("wiped", (StageSaid("1", "grill", "", "", "6 min", "", "yes"),)),
        ),
        Draft(
            "Harbour tofu",
            CutSaid(kind="tofu_firm", mass="800 g", thickness="25 mm", pieces="4", steps=(StepSaid("1", "pressed"),)),
            lines("2 tbsp tamarind paste", "1 tsp turmeric", "150 ml coconut milk", "60 ml soy sauce"),
            HoldSaid("4", "", "12"),
            _meal(saturday, ""),
            fire=FireSaid("as_is", (StageSaid("1", "oven", "220 C", "plain", "25 min"),)),
        ),
        Draft(
            "Crown for Sunday",
            CutSaid(kind="turkey_crown", mass="2.9 kg", thickness="80 mm", pieces="1"),
            lines("1 l buttermilk", "45 g fine salt", "6 sprigs thyme", "1 tbsp black pepper"),
            HoldSaid("4", "surface", "12"),
            _meal(sunday, "3 h"),
            fire=FireSaid("patted", (StageSaid("1", "oven", "170 C", "plain", "", "74 C"),)),
        ),
    ]  # fmt: skip


def coming_saturday(now: datetime) -> datetime:
    """Saturday at 19:00 local time, at least 30 hours ahead."""
    local = now.astimezone(ZoneInfo(ZONE))
    day = local.date() + timedelta(days=(SATURDAY - local.weekday()) % 7)
    meal = datetime.combine(day, time(19, 0), ZoneInfo(ZONE))
    return meal if meal - local >= TOO_SOON else meal + timedelta(days=7)


def _meal(at: datetime, lead: str) -> MealSaid:
    return MealSaid(at.strftime("%Y-%m-%dT%H:%M"), lead, ZONE)
