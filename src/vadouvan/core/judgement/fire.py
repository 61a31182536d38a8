"""The fire of a batch, all told: doneness, surface, brushing, the used mix."""

from __future__ import annotations

from collections.abc import Sequence

from vadouvan.core.clock.chain import PlanStep
from vadouvan.core.constants import DONE_TO_WITHIN_K
from vadouvan.core.contact.mix_judgement import MixJudgement
from vadouvan.core.cooking.brushing import LastBrush, brushing_told, last_brush
from vadouvan.core.cooking.doneness import Doneness, doneness_of
from vadouvan.core.cooking.fire import FireInterpretation
from vadouvan.core.cooking.roasting import thinner_sooner_min
from vadouvan.core.cooking.sauce import Sauce, cooked_along, sauce_of, worked_in
from vadouvan.core.cooking.stages import CookStage
from vadouvan.core.cooking.surface import Exposed, SurfaceLeft, Told, surface_left
from vadouvan.core.cut.cut import Cut
from vadouvan.core.figure import number_told
from vadouvan.core.hold.scenario import HoldScenario
from vadouvan.core.mix.consistency import Consistency
from vadouvan.unchanging import unchanging


@unchanging
class FireJudgement:
    """Facts of the fire; ``told`` is what to mind, gravest first."""

    doneness: Doneness
    surface: SurfaceLeft
    sauce: Sauce
    last_brush: LastBrush | None
    told: tuple[Told, ...]

    @property
    def target_c(self) -> float | None:
        """The core to reach [C]."""
        return self.doneness.core_c


def fire_judgement(
    fire: FireInterpretation,
    scenario: HoldScenario,
    mix: MixJudgement,
    consistency: Consistency,
    held_h: float,
    steps: Sequence[PlanStep],
) -> FireJudgement:
    """The fire of a batch after a hold of so many hours."""
    cut, at_contact = scenario.cut, mix.at_contact
    on_meat = at_contact.ready.portions
    surface = surface_left(cut, on_meat, consistency, fire.surface, Exposed(fire.stages, fire.dark_is_meant))
    doneness = doneness_of(cut, fire.school, fire.own_core_c)
    sauce = _sauce(fire, scenario, at_contact.balance.mass_kg.value, surface, held_h)
    told = [*surface.told, *_doneness_told(doneness, fire.stages), *_thinner_told(cut, fire.stages, doneness)]
    if cut.kind.is_animal:
        told += brushing_told(fire.stages, at_contact.set_aside_kg, fire.boils)
    order = ("stop", "warn", "note")
    return FireJudgement(
        doneness=doneness,
        surface=surface,
        sauce=sauce,
        last_brush=last_brush(fire.stages, steps),
        told=tuple(sorted(told, key=lambda one: order.index(one.kind))),
    )


def _sauce(
    fire: FireInterpretation, scenario: HoldScenario, mix_kg: float, surface: SurfaceLeft, held_h: float
) -> Sauce:
    """Remainder in the bag: the mix less what clings, the salt less what went in and clings; in a pot all of it."""
    if scenario.hold.cooked_in_mix:
        return cooked_along(mix_kg, scenario.balance.salt_kg, scenario.cut.meat_kg)
    if scenario.cut.kind.is_minced:
        return worked_in()
    left_kg = max(0.0, mix_kg - surface.clings_kg)
    in_meat_kg = scenario.average_at(held_h) * scenario.cut.meat_kg
    outside_kg = max(0.0, scenario.balance.salt_kg - in_meat_kg)
    salt_kg = outside_kg * left_kg / mix_kg if mix_kg > 0 else 0.0
    wanted_kg = fire.reduce_to.of(left_kg)
    return sauce_of(left_kg, salt_kg, fire.boil_s, None if wanted_kg is None else min(wanted_kg, left_kg))


def _thinner_told(cut: Cut, stages: Sequence[CookStage], doneness: Doneness) -> list[Told]:
    """Several pieces are never of one thickness: the thinner come out first."""
    last = stages[-1] if stages else None
    core_c = None if last is None else last.core_c or doneness.core_c
    if last is None or core_c is None:
        return []
    sooner_min = thinner_sooner_min(cut, last, core_c)
    if sooner_min is None:
        return []
    minutes = number_told(sooner_min)
    says = f"Thinner pieces out first: one a fifth thinner is at {core_c:g} °C about {minutes} min before the others."
    return [Told("thinner", "note", says)]


def _doneness_told(doneness: Doneness, stages: Sequence[CookStage]) -> list[Told]:
    told = [Told("doneness", "warn" if doneness.is_below else "note", doneness.says)] if doneness.says else []
    guidance = doneness.guidance
    last = stages[-1].core_c if stages else None
    if (
        guidance is not None
        and last is not None
        and not doneness.is_below
        and last < guidance.core_c - DONE_TO_WITHIN_K.value
    ):
        asks = f"the {guidance.core_c:g} °C of guidance"
        says = f"The last stage ends at {last:g} °C, below {asks}: it counts on the rest to rise."
        told.append(Told("stage-core", "warn", says))
    return told
