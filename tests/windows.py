"""Twelve varied batches of the Slipway House with the hours that cooks give them: ``python -m tests.windows`` writes
docs/windows.md, and a test holds every window against those hours.
"""

from __future__ import annotations

from dataclasses import dataclass, replace
from datetime import UTC, datetime
from pathlib import Path

from tests.drafts import judged, of_kind
from vadouvan.core.draft.examples import lines
from vadouvan.core.draft.typed import CutInput, Draft, HoldInput
from vadouvan.core.hold.window import Window

PAGE = Path(__file__).resolve().parent.parent / "docs" / "windows.md"
NOW = datetime(2026, 11, 25, 9, 0, tzinfo=UTC)


@dataclass(frozen=True)
class Usual:
    """A batch, and the hours that cooks give it from and to, at most (common practice, no source)."""

    name: str
    draft: Draft
    from_h: float
    to_h: float


def _batch(kind: str, mass: str, thickness: str, *mix: str) -> Draft:
    return Draft("", CutInput(kind=kind, mass=mass, thickness=thickness), lines(*mix))


TWELVE = (
    Usual(
        "Chicken legs, slashed, yoghurt and vadouvan",
        replace(
            of_kind(
                "chicken_leg", "2.6 kg", "", "45 mm", "600 g yoghurt", "4 tbsp vadouvan", "33 g fine salt", bone="core"
            ),
            hold=HoldInput(goal="surface"),
        ),
        4,
        48,
    ),
    Usual(
        "Lamb cubes, lemon, oregano, oil",
        _batch("lamb_shoulder_cubes", "1.8 kg", "30 mm", "juice of 2 lemons", "90 ml olive oil", "22 g fine sea salt"),
        2,
        24,
    ),
    Usual(
        "Flank strips, kiwi and mustard",
        _batch("beef_flank_strips", "900 g", "12 mm", "80 g kiwi", "2 tbsp mustard", "3 tbsp rapeseed oil", "8 g salt"),
        0.5,
        4,
    ),
    Usual(
        "Firm tofu, tamarind and soy",
        _batch("tofu_firm", "800 g", "25 mm", "2 tbsp tamarind paste", "150 ml coconut milk", "60 ml soy sauce"),
        1,
        48,
    ),
    Usual(
        "Turkey crown, salted buttermilk",
        _batch("turkey_crown", "2.9 kg", "80 mm", "1 l buttermilk", "60 g fine salt", "6 sprigs thyme"),
        8,
        36,
    ),
    Usual("Miso cod", _batch("cod_fillet", "600 g", "25 mm", "90 g white miso", "20 ml mirin"), 6, 24),
    Usual(
        "Monkfish, chermoula with lemon",
        _batch(
            "monkfish_tail", "800 g", "40 mm", "30 g coriander leaf", "60 ml olive oil", "30 ml lemon juice", "8 g salt"
        ),
        0.5,
        4,
    ),
    Usual(
        "Quail, sherry vinegar",
        _batch(
            "quail_whole", "800 g", "45 mm", "60 ml sherry vinegar", "60 ml olive oil", "8 g salt", "3 cloves garlic"
        ),
        2,
        24,
    ),
    Usual(
        "Beef cubes, papaya and ginger",
        _batch(
            "beef_chuck_cubes", "1 kg", "30 mm", "40 g green papaya", "30 g ginger", "60 ml rapeseed oil", "12 g salt"
        ),
        1,
        6,
    ),
    Usual(
        "Pork collar, mustard and cider",
        _batch(
            "pork_collar_steak",
            "1.2 kg",
            "25 mm",
            "60 g mustard",
            "100 ml dry cider",
            "10 g salt",
            "30 ml rapeseed oil",
        ),
        4,
        48,
    ),
    Usual(
        "Prawns, lime and garlic",
        _batch("prawn_peeled", "500 g", "12 mm", "40 ml lime juice", "3 cloves garlic", "3 g salt", "20 ml olive oil"),
        0.25,
        1,
    ),
    Usual(
        "Pork tenderloin in 6 % brine",
        _batch("pork_tenderloin", "500 g", "58 mm", "1 l water", "64 g salt", "30 g sugar"),
        4,
        20,
    ),
)


def window_of(usual: Usual) -> Window:
    """The window of one of the twelve."""
    window = judged(usual.draft, NOW).window
    assert window is not None, (usual.name, judged(usual.draft, NOW).reading.problems)
    return window


def page() -> str:
    """The table as a page of the documents."""
    rows = []
    for usual in TWELVE:
        window = window_of(usual)
        practice = f"{usual.from_h:g} to {usual.to_h:g} h"
        cells = (usual.name, practice, window.earliest_told, window.best_told, window.latest_told,
                 window.best.limit.says, window.latest.limit.says)  # fmt: skip
        rows.append("| " + " | ".join(cells) + " |")
    head = (
        "# Twelve windows\n\n"
        "Batches of our made-up scenario, judged by the model, beside the hours that cooks usually give them "
        "(common practice, no source).\nWritten by `python -m tests.windows`; a test fails when it is out of date, "
        "or when a window leaves those hours.\n\n"
        "| batch | cooks | earliest | best | latest | best, because | what ends it |\n|---|---|---|---|---|---|---|\n"
    )
    return head + "\n".join(rows) + "\n"


if __name__ == "__main__":
    PAGE.write_text(page())
