"""The demo kitchen's logbook: made-up batches that were eaten, with what was said of them."""

from __future__ import annotations

from collections.abc import Callable
from datetime import datetime, timedelta
from zoneinfo import ZoneInfo

from vadouvan.core.draft.examples import lines
from vadouvan.core.draft.typed import CutInput, Draft, FireInput, HoldInput, MealInput, StageInput, StepInput
from vadouvan.core.snapshot.kitchen import BatchSnapshot, VerdictSnapshot
from vadouvan.core.tasting.verdict import VerdictInput
from vadouvan.unchanging import unchanging

ZONE = ZoneInfo("Europe/Lisbon")
A_MEAL = timedelta(hours=3)  # from the pull to the words said over it


@unchanging
class Eaten:
    """A batch that was eaten, its verdicts, and the one it goes on from with what was changed."""

    draft: Draft
    verdicts: tuple[VerdictInput, ...]
    goes_on_from: str = ""
    changed: tuple[str, ...] = ()


def eaten_batches(now: datetime, new_id: Callable[[], str]) -> tuple[BatchSnapshot, ...]:
    """The logbook's batches with their verdicts, each with the one it goes on from."""
    ids: dict[str, str] = {}
    found = []
    for eaten in _eaten_of_late(now):
        ids[eaten.draft.name] = new_id()
        out = datetime.fromisoformat(eaten.draft.meal.pulled)
        verdicts = tuple(VerdictSnapshot(said, out + A_MEAL) for said in eaten.verdicts)
        found.append(
            BatchSnapshot(
                ids[eaten.draft.name],
                eaten.draft,
                datetime.fromisoformat(eaten.draft.meal.contact),
                verdicts=verdicts,
                from_id=ids.get(eaten.goes_on_from, ""),
                changed=eaten.changed,
            )
        )
    return tuple(found)


def _eaten_of_late(now: datetime) -> list[Eaten]:
    """Eight batches of the last months, the oldest first."""
    right = "just right"
    return [
        Eaten(
            Draft(
                "Miso cod",
                CutInput(kind="cod_fillet", mass="800 g", thickness="25 mm", pieces="4"),
                lines("120 g white miso", "30 g mirin", "20 g sugar"),
                HoldInput("4"),
                _eaten(now, 96, 20.0),
                fire=FireInput("wiped", (StageInput("1", "grill", minutes="8 min"),)),
            ),
            (
                VerdictInput("Odile", {"salt": right, "sweet": right, "surface": "a little dark"}, "9 mm"),
                VerdictInput("Tobiah", {"salt": "a little too much", "sweet": right}),
            ),
        ),
        Eaten(
            Draft(
                "Chermoula monkfish",
                CutInput(kind="monkfish_tail", mass="900 g", thickness="40 mm", pieces="2"),
                lines(
                    "40 g coriander leaves", "20 g parsley", "60 g olive oil", "30 g lemon juice", "9 g fine salt",
                    "6 g cumin",
                ),
                HoldInput("4", "surface"),
                _eaten(now, 82, 3.0),
            ),
            (VerdictInput("Odile", {"salt": "a little too little", "sour": right}, "4 mm", "more salt"),),
        ),
        Eaten(
            Draft(
                "Sherry-vinegar quail",
                CutInput(kind="quail_whole", mass="1.2 kg", thickness="30 mm", pieces="6"),
                lines("120 g sherry vinegar", "60 g olive oil", "14 g fine salt", "4 g thyme", "15 g garlic"),
                HoldInput("4", "surface"),
                _eaten(now, 68, 9.0),
            ),
            (
                VerdictInput("Odile", {"sour": "far too much", "salt": right, "tenderness": "a little firm"}),
                VerdictInput("Ines", {"sour": "a little too much", "salt": "a little too much"}),
            ),
        ),
        Eaten(
            Draft(
                "Sherry-vinegar quail, milder",
                CutInput(kind="quail_whole", mass="1.2 kg", thickness="30 mm", pieces="6"),
                lines(
                    "80 g sherry vinegar", "60 g olive oil", "13 g fine salt", "4 g thyme", "15 g garlic", "20 g honey",
                ),
                HoldInput("4", "surface"),
                _eaten(now, 54, 9.0),
            ),
            (VerdictInput("Odile", {"sour": right, "salt": right, "tenderness": right}, "", "the one to keep"),),
            "Sherry-vinegar quail",
            ("Acid: 33 % less: 80 g sherry vinegar instead of 120 g.", "20 g honey added."),
        ),
        Eaten(
            Draft(
                "Papaya-ginger beef skewers",
                CutInput(kind="beef_chuck_cubes", mass="1.5 kg", thickness="28 mm"),
                lines("180 g papaya", "30 g ginger", "40 g soy sauce", "12 g fine salt", "30 g rapeseed oil"),
                HoldInput("4", "through"),
                _eaten(now, 40, 16.0),
            ),
            (VerdictInput("Odile", {"tenderness": "mushy", "salt": right}, "", "gone soft"),),
        ),
        Eaten(
            Draft(
                "Pork collar, mustard and cider",
                CutInput(kind="pork_collar_steak", mass="1.6 kg", thickness="30 mm", pieces="6"),
                lines("80 g mustard", "150 g cider", "20 g fine salt", "15 g honey", "10 g garlic"),
                HoldInput("4", "through"),
                _eaten(now, 26, 12.0),
            ),
            (VerdictInput("Odile", {"salt": "a little too much", "juice": right}, "8 mm"),),
        ),
        Eaten(
            Draft(
                "Pork collar, mustard and cider, longer",
                CutInput(
                    kind="pork_collar_steak", mass="1.6 kg", thickness="30 mm", pieces="6",
                    steps=(StepInput("1", "scored", depth="5 mm", spacing="20 mm"),),
                ),
                lines("80 g mustard", "150 g cider", "17 g fine salt", "15 g honey", "10 g garlic"),
                HoldInput("4", "through"),
                _eaten(now, 12, 20.0),
            ),
            (VerdictInput("Odile", {"salt": right, "juice": right, "tenderness": right}, "12 mm"),),
            "Pork collar, mustard and cider",
            ("Salt: 16 % less: 17 g salt instead of 20 g.", "20 h instead of 12 h."),
        ),
    ]  # fmt: skip


def _eaten(now: datetime, days_ago: int, hours: float) -> MealInput:
    """A meal at seven in the evening so many days ago, after so many hours in the mix."""
    day = (now.astimezone(ZONE) - timedelta(days=days_ago)).date()
    at = datetime(day.year, day.month, day.day, 19, 0, tzinfo=ZONE)
    pulled = at - timedelta(hours=1)
    contact = pulled - timedelta(hours=hours)
    return MealInput(
        at.strftime("%Y-%m-%dT%H:%M"), "60 min", str(ZONE), contact=contact.isoformat(), pulled=pulled.isoformat()
    )
