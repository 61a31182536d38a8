"""How much mix a cut needs: a coat on its surface, or liquid round it; and what is set aside clean.

Salt goes by weight of meat, a coat by its surface, a bath by the space round the pieces: three
different laws, so a double batch is not twice the mix.
"""

from __future__ import annotations

import math
from collections.abc import Callable
from typing import Literal

from vadouvan.core.constants import (
    BAG_LAYER_M,
    COAT_M,
    LIQUID_DENSITY,
    OVER_THE_MEAT_M,
    PACKED_CUBES,
    PACKED_LEGS,
    PACKED_SLABS,
    PACKED_STRIPS,
    PASTE_DENSITY,
    RUB_KG_PER_M2,
    THICK_COAT_M,
    THIN_COAT_M,
    TUB_HEIGHT_M,
    VACUUM_LAYER_M,
    Constant,
)
from vadouvan.core.cut.cut import Cut
from vadouvan.core.figure import Figure, Given, Working, number_told
from vadouvan.core.measures.numbers import Interval
from vadouvan.core.mix.consistency import Consistency, Form
from vadouvan.core.mix.reduction import AS_IT_IS, Reduction
from vadouvan.unchanging import unchanging

Container = Literal["bag", "tub", "jar", "vacuum", "tray"]
Coat = Literal["thin", "usual", "thick"]

COATS: dict[Coat, Constant] = {"thin": THIN_COAT_M, "usual": COAT_M, "thick": THICK_COAT_M}
USUAL_TUB_M2 = 0.22 * 0.16
USUAL_JAR_M2 = math.pi / 4 * 0.10**2
MAY_MISS = 0.05


@unchanging
class Vessel:
    """How the mix meets the meat; ``footprint_m2`` and ``volume_m3`` of a tub or jar, where said.

    ``form`` is its name, ``consistency`` what figures go by: between the names where none was said.
    """

    form: Form
    consistency: Consistency
    container: Container = "bag"
    coat: Coat = "usual"
    footprint_m2: float | None = None
    volume_m3: float | None = None


@unchanging
class SetAside:
    """Part kept clean before contact: a weight or a share of the ready mix; ``use`` in words; its boiling."""

    mass_kg: float | None = None
    share: float | None = None
    use: str = ""
    reduction: Reduction = AS_IT_IS

    def of(self, ready_kg: float) -> float:
        """Kilograms of a mix of that weight; never more than there is."""
        wanted = self.mass_kg if self.mass_kg is not None else (self.share or 0.0) * ready_kg
        return min(wanted, ready_kg)


@unchanging
class Need:
    """Mix that the cut needs [kg], how that is worked out when it is asked, and a remark on the vessel, if any."""

    mass_kg: Interval
    worked: Callable[[], Working]
    remark: str = ""


def need_of(cut: Cut, vessel: Vessel) -> Need:
    """The mix that covers a cut: a dusting, a coat, a film in a bag or the space in a tub, and what lies between."""
    runny, dry = vessel.consistency.runny, vessel.consistency.dry
    needed = _coat(cut, vessel.coat)
    if runny > 0:
        needed = _between(needed, _liquid(cut, vessel), runny)
    return _between(needed, _dusting(cut), dry) if dry > 0 else needed


def _liquid(cut: Cut, vessel: Vessel) -> Need:
    if vessel.container in ("bag", "vacuum", "tray"):
        return _film(cut, VACUUM_LAYER_M if vessel.container == "vacuum" else BAG_LAYER_M)
    return _bed(cut, vessel)


def _between(one: Need, other: Need, share: float) -> Need:
    """The one at a share of 0, the other at 1, and between them in proportion."""
    if share >= 1:
        return other
    ends = ((a, b) for a, b in zip(_ends(one), _ends(other), strict=True))
    mass = Interval(*(math.exp((1 - share) * math.log(a) + share * math.log(b)) if a * b > 0 else 0.0 for a, b in ends))

    def worked() -> Working:
        first, then = one.worked(), other.worked()
        inputs = (
            *first.inputs,
            *(given for given in then.inputs if given not in first.inputs),
            Given("how far towards the second", share * 100, "%"),
        )
        rule = f"Between two rules, for a mix that is something of both. {first.rule} {then.rule}"
        return Working(rule, inputs, tuple(dict.fromkeys((*first.sources, *then.sources))))

    return Need(mass, worked, other.remark)


def _ends(need: Need) -> tuple[float, float, float]:
    return need.mass_kg.value, need.mass_kg.low, need.mass_kg.high


def _dusting(cut: Cut) -> Need:
    area = cut.outer_area_m2

    def worked() -> Working:
        inputs = (
            Given("all of the surface", area * 1e4, "cm2"),
            Given("a dusting", RUB_KG_PER_M2.value * 1000, "g/m2"),
        )
        rule = "All of the surface times a dusting. A rub is measured by its salt, not by what covers."
        return Working(rule, inputs, ("common_practice",))

    return Need(_times(RUB_KG_PER_M2, area), worked)


def _coat(cut: Cut, coat: Coat) -> Need:
    layer, density = COATS[coat], PASTE_DENSITY.value
    area = cut.outer_area_m2

    def worked() -> Working:
        inputs = (
            Given("all of the surface", area * 1e4, "cm2"),
            Given("coat", layer.value * 1000, "mm"),
            Given("density of a paste", density, "g/l"),
        )
        rule = "All of the surface times the thickness of the coat times the density of a paste."
        return Working(rule, inputs, ("calibration",))

    return Need(_times(layer, area * density), worked)


def _film(cut: Cut, layer: Constant) -> Need:
    area = cut.outer_area_m2

    def worked() -> Working:
        inputs = (Given("all of the surface", area * 1e4, "cm2"), Given("layer of liquid", layer.value * 1000, "mm"))
        rule = "All of the surface times the layer of liquid that the bag holds against it."
        return Working(rule, inputs, ("calibration",))

    return Need(_times(layer, area * LIQUID_DENSITY.value), worked)


def _bed(cut: Cut, vessel: Vessel) -> Need:
    """Space between packed pieces plus a finger's breadth over them."""
    meat_m3 = cut.meat_kg / cut.kind.density_kg_per_m3
    footprint = _footprint_m2(vessel, meat_m3)
    packed = _packing(cut)
    over = OVER_THE_MEAT_M

    joint = cut.pieces == 1 and vessel.footprint_m2 is not None

    def liquid_kg(share: float, cover_m: float) -> float:
        """Liquid for pieces that fill a share of their space, so deep under it."""
        if joint:  # one joint in a vessel of known floor: up to its height, less the meat itself
            return max(0.0, footprint * (cut.thickness_m + cover_m) - meat_m3) * LIQUID_DENSITY.value
        between = meat_m3 * (1 / share - 1) if cut.pieces > 1 else 0.0
        return (between + cover_m * footprint) * LIQUID_DENSITY.value

    mass = Interval(
        liquid_kg(packed.value, over.value), liquid_kg(packed.high, over.low), liquid_kg(packed.low, over.high)
    )

    def worked() -> Working:
        inputs = (
            Given("meat", meat_m3 * 1e6, "ml"),
            Given("floor of the vessel", footprint * 1e4, "cm2"),
            Given("share of the space that packed pieces fill", packed.value, "1"),
            Given("liquid over the meat", over.value * 1000, "mm"),
        )
        rule = "The space between the pieces, plus one centimetre over them, in this vessel."
        return Working(rule, inputs, ("calibration", "common_practice"))

    return Need(mass, worked, _fits(vessel, meat_m3, mass.value))


def _footprint_m2(vessel: Vessel, meat_m3: float) -> float:
    if vessel.footprint_m2 is not None:
        return vessel.footprint_m2
    if vessel.volume_m3 is not None:
        return vessel.volume_m3 / TUB_HEIGHT_M.value
    usual = USUAL_JAR_M2 if vessel.container == "jar" else USUAL_TUB_M2
    return max(usual, meat_m3 / 0.12)


def _packing(cut: Cut) -> Constant:
    if cut.shape == "cube":
        return PACKED_CUBES
    if cut.shape == "strip":
        return PACKED_STRIPS
    return PACKED_LEGS if cut.bone in ("core", "face") and cut.pieces > 1 else PACKED_SLABS


def _fits(vessel: Vessel, meat_m3: float, liquid_kg: float) -> str:
    if vessel.volume_m3 is None:
        return ""
    total = meat_m3 + liquid_kg / LIQUID_DENSITY.value
    if total <= vessel.volume_m3:
        return ""
    return (
        f"Meat and mix come to {number_told(total * 1000)} l; "
        f"the vessel holds {number_told(vessel.volume_m3 * 1000)} l. Take two, or a bag."
    )


def _times(layer: Constant, factor: float) -> Interval:
    return Interval(layer.value * factor, layer.low * factor, layer.high * factor)


def need_figure(need: Need) -> Figure:
    """The need as a figure in grams with its band."""
    mass = need.mass_kg
    return Figure("needed_mix_g", mass.value * 1000, "g", need.worked, mass.low * 1000, mass.high * 1000)


Sufficiency = Literal["too_little", "thin", "enough", "more"]


def sufficiency(made_kg: float, needed_kg: Interval, aside_kg: float) -> Sufficiency:
    """Whether what was made covers the cut; the part set aside comes on top.

    Thin is less than usual, but within what cooks make do with: the band of the need.
    """
    on_meat_kg = made_kg - aside_kg
    if on_meat_kg < (1 - MAY_MISS) * needed_kg.low:
        return "too_little"
    if on_meat_kg < (1 - MAY_MISS) * needed_kg.value:
        return "thin"
    return "more" if on_meat_kg > 1.5 * max(needed_kg.value, needed_kg.high) else "enough"


def need_says(made_kg: float, needed_kg: Interval, aside_kg: float, form: Form) -> str:
    """Made against needed, in words; a rub is measured by its salt, whatever it covers."""
    if form == "rub":
        return "a rub: its measure is its salt"
    short_g = (needed_kg.value + aside_kg - made_kg) * 1000
    match sufficiency(made_kg, needed_kg, aside_kg):
        case "too_little":
            return f"{number_told(short_g)} g too little"
        case "thin":
            return f"covers thinly; {number_told(short_g)} g more is usual"
        case "more":
            return f"{number_told(-short_g)} g more than it needs"
        case _:
            return "enough"
