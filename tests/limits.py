"""Every caution and every stop with one batch just inside its trigger and one just outside.

Where a number decides, the two batches lie close on either side of it. Sources are those of ``cautions.csv``; all of
them from memory, not looked up.
"""

from __future__ import annotations

from dataclasses import replace
from typing import Any

from tests.drafts import SATURDAY, of_kind, steak
from vadouvan.core.draft.typed import (
    Draft,
    FireInput,
    MakingInput,
    MealInput,
    OccasionInput,
    QuantityInput,
    StageInput,
    StepInput,
)
from vadouvan.data.tables import shipped_kitchen

UNKNOWN = "emu_fillet"
_BEEF = shipped_kitchen().cuts["beef_sirloin"]
# A household's own cut, of a species that no rule here knows.
KITCHEN = replace(
    shipped_kitchen(), cuts={**shipped_kitchen().cuts, UNKNOWN: replace(_BEEF, id=UNKNOWN, species="emu")}
)
PLAIN = steak("12 g salt", "40 g olive oil")
COD = of_kind("cod_fillet", "500 g", "slab", "20 mm", "20 g olive oil", "5 g salt")
SOUR_COD = of_kind("cod_fillet", "500 g", "slab", "20 mm", "60 g lime juice", "5 g salt")
PORK_JAR = replace(
    of_kind("pork_shoulder", "1 kg", "cube", "30 mm", "300 g cider vinegar", "12 g salt"),
    quantity=QuantityInput(container="jar"),
)
CHICKEN = of_kind("chicken_breast", "1 kg", "slab", "25 mm", "10 g salt", "40 g olive oil")
TOFU = of_kind("tofu_firm", "500 g", "slab", "20 mm", "30 ml water", "5 g salt")
GRILL = (StageInput("1", "grill", minutes="12 min"),)


def with_step(kind: str, **said: str) -> Draft:
    """A steak with one thing done to it."""
    return replace(PLAIN, cut=replace(PLAIN.cut, steps=(StepInput("1", kind, **said),)))


def held(draft: Draft, **said: str) -> Draft:
    """The same, held otherwise."""
    return replace(draft, hold=replace(draft.hold, **said))


def aged(draft: Draft, age: str) -> Draft:
    """The same, bought so long before it goes in, and eaten on Saturday."""
    return replace(draft, cut=replace(draft.cut, age=age), meal=SATURDAY)


def since(draft: Draft, contact: str) -> Draft:
    """The same, in the mix since then, and to be eaten within the hour after the fixed moment of tests."""
    return replace(draft, meal=MealInput("2026-11-25T10:15", "60 min", "Europe/Lisbon", contact=contact))


def boxed(draft: Draft, container: str) -> Draft:
    """The same in another container."""
    return replace(draft, quantity=replace(draft.quantity, container=container))


def heated(draft: Draft, stage: StageInput, **said: Any) -> Draft:
    """The same with a stage of cooking."""
    return replace(draft, fire=replace(draft.fire, stages=(stage,), **said))


def stuffed(times: int) -> Draft:
    """Pork with slits to stuff by hand at the counter, three hundred at a time."""
    steps = tuple(StepInput(str(n), "slits", depth="10 mm", count="300", stuffed_with="garlic") for n in range(times))
    mix = ("60 g salt", "2 l buttermilk")
    draft = of_kind("pork_shoulder", "4 kg", "irregular", "110 mm", *mix, pieces="1", steps=steps)
    return replace(draft, meal=SATURDAY)


USED = StageInput("1", "grill", minutes="12 min", brush="used")

STOPS: dict[str, tuple[Draft, Draft]] = {
    "curing": (steak("12 g salt", "2 g pink salt #1"), steak("12 g salt", "2 g pink peppercorns")),
    "reactive": (held(SOUR_COD, metal="copper"), held(COD, metal="copper")),
    "cool-first": (
        replace(PLAIN, making=MakingInput(method="cooked", cooling="fridge")),
        replace(PLAIN, making=MakingInput(method="cooked", cooling="ice_bath")),
    ),
    "brush-used": (heated(PLAIN, USED), heated(PLAIN, replace(USED, brush="clean"))),
    "airless-warm": (held(boxed(PLAIN, "vacuum"), fridge="5.5"), held(boxed(PLAIN, "vacuum"), fridge="4.9")),
    "raw-too-long": (since(CHICKEN, "2026-11-23T08:30"), since(CHICKEN, "2026-11-23T10:30")),
    "two-hours": (stuffed(8), stuffed(1)),
}

CAUTIONS: dict[str, tuple[Draft, Draft]] = {
    "curing": STOPS["curing"],
    "unknown-species": (replace(PLAIN, cut=replace(PLAIN.cut, kind=UNKNOWN)), PLAIN),
    "reactive": STOPS["reactive"],
    "vacuum-warm": STOPS["airless-warm"],
    "raw-too-long": STOPS["raw-too-long"],
    "fridge-warm": (held(PLAIN, readings="0 h 4 C, 1 h 5.5 C"), held(PLAIN, readings="0 h 4 C, 1 h 4.9 C")),
    "two-hours": STOPS["two-hours"],
    "hold-cubed": (
        since(steak("4 g salt", mass="400 g"), "2026-11-23T08:30"),
        since(steak("4 g salt", mass="420 g"), "2026-11-23T08:30"),
    ),
    "hold-mince": (of_kind("beef_ground", "500 g", "slab", "20 mm", "6 g salt"), PLAIN),
    "wash": (replace(PLAIN, fire=FireInput(surface="rinsed")), replace(PLAIN, fire=FireInput(surface="wiped"))),
    "non-intact": (with_step("pricked"), with_step("patted")),
    "purge-water": (with_step("cold_soak"), PLAIN),
    "raw-contact": (PLAIN, replace(PLAIN, quantity=QuantityInput(set_aside="10 g"))),
    "taste-raw": (PLAIN, TOFU),
    "cool-first": (
        replace(PLAIN, making=MakingInput(method="cooked")),
        replace(PLAIN, making=MakingInput(method="blended")),
    ),
    "garlic-oil": (steak("12 g salt", "60 g garlic", "10 g olive oil"), steak("12 g salt", "60 g garlic", "5 g oil")),
    "parasite": (SOUR_COD, heated(COD, StageInput("1", "oven", minutes="15 min", core="63 C"))),
    "hold-poultry": STOPS["raw-too-long"],
    "hold-red": (since(PLAIN, "2026-11-20T08:30"), since(PLAIN, "2026-11-20T09:35")),
    "hold-fish": (since(COD, "2026-11-24T08:30"), since(aged(COD, "1 h"), "2026-11-24T10:30")),
    "hold-curd": (since(TOFU, "2026-11-20T08:30"), since(TOFU, "2026-11-20T09:35")),
    "fridge": (PLAIN, of_kind("aubergine", "500 g", "slab", "20 mm", "5 g salt")),
    "thaw": (replace(PLAIN, cut=replace(PLAIN.cut, state="frozen")), PLAIN),
    "counter-pickle": (held(PORK_JAR, fridge="5.5"), held(PORK_JAR, fridge="4.9")),
    "hot-fat": (
        heated(replace(PLAIN, quantity=QuantityInput(form="liquid")), StageInput("1", "pan", minutes="8 min")),
        heated(replace(PLAIN, quantity=QuantityInput(form="paste")), StageInput("1", "pan", minutes="8 min")),
    ),
    "jar": (PORK_JAR, boxed(PORK_JAR, "tub")),
    "gas": (boxed(steak("100 g yoghurt"), "vacuum"), boxed(steak("100 g yoghurt"), "tub")),
    "vacuum": (boxed(PLAIN, "vacuum"), boxed(PLAIN, "bag")),
    "enzyme-skin": (steak("12 g salt", "50 g kiwi"), steak("12 g salt", "50 g ginger")),
    "chilli": (steak("12 g salt", "5 g cayenne"), steak("12 g salt", "5 g sweet paprika")),
    "honey-infant": (steak("12 g salt", "20 g honey"), steak("12 g salt", "20 g sugar")),
    "allergens": (steak("60 g soy sauce"), PLAIN),
    "sodium": (steak("40 g salt"), steak("5 g salt")),
    "alcohol": (steak("12 g salt", "100 ml dry white wine"), steak("12 g salt", "100 ml water")),
    "alcohol-flame": (
        heated(steak("12 g salt", "33 g brandy"), GRILL[0]),
        heated(steak("12 g salt", "28 g brandy"), GRILL[0]),
    ),
    "doneness": (PLAIN, TOFU),
    "below-guidance": (
        heated(PLAIN, GRILL[0], doneness="own", core="62.7 C"),
        heated(PLAIN, GRILL[0], doneness="own", core="63 C"),
    ),
    "baste-late": (heated(PLAIN, replace(USED, brush="clean")), heated(PLAIN, GRILL[0])),
    "sell": (replace(PLAIN, occasion=OccasionInput("40", "normal")), replace(PLAIN, occasion=OccasionInput("39"))),
}
