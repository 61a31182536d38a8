"""Three example starts, made up, one for each way of seasoning: paste, fruit, bath."""

from __future__ import annotations

from vadouvan.core.draft.typed import CutInput, Draft, HoldInput, LineInput
from vadouvan.unchanging import unchanging


@unchanging
class Example:
    """A draft to start from, and a line on what it shows."""

    about: str
    draft: Draft


def lines(*texts: str) -> tuple[LineInput, ...]:
    """Typed lines with identities of their own."""
    return tuple(LineInput(str(number), text) for number, text in enumerate(texts, start=1))


EXAMPLES = {
    "skewers": Example(
        "Cubes in lemon, oregano and oil: what a bigger cube does to the time.",
        Draft(
            name="Skewers",
            cut=CutInput(kind="lamb_shoulder_cubes", mass="1 kg", thickness="30 mm"),
            mix=lines("juice of 1 lemon", "2 tsp dried oregano", "50 ml olive oil", "3 bay leaves", "12 g salt"),
        ),
    ),
    "flank": Example(
        "Strips with fresh kiwi: the fruit ends it within hours.",
        Draft(
            name="Quick strips",
            cut=CutInput(kind="beef_flank_strips", mass="600 g", thickness="12 mm"),
            mix=lines("50 g kiwi", "4 tsp mustard", "2 tbsp rapeseed oil", "2 tsp honey", "6 g salt"),
        ),
    ),
    "bath": Example(
        "A chicken breast in salted buttermilk: salt that settles, and what stays in the mix.",
        Draft(
            name="Buttermilk breasts",
            cut=CutInput(kind="chicken_breast", mass="900 g", thickness="28 mm"),
            mix=lines("500 ml buttermilk", "16 g salt", "1 tsp black pepper", "4 sprigs thyme"),
            hold=HoldInput(goal="through"),
        ),
    ),
}
