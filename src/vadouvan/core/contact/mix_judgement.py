"""All answers about the mix of one batch: balance, spans, salt by its school, need against made, the making."""

from __future__ import annotations

from collections.abc import Iterator, Mapping
from collections.abc import Set as AbstractSet
from dataclasses import replace
from functools import cached_property

from vadouvan.core.constants import PASTE_RUN_OFF, SERVING_NORMAL_KG
from vadouvan.core.contact.for_household import household_words
from vadouvan.core.contact.mix_at_contact import MixAtContact
from vadouvan.core.cut.cut import Cut
from vadouvan.core.cut.occasion import servings_from
from vadouvan.core.figure import Figure, Given, Working
from vadouvan.core.hold.hold import Hold
from vadouvan.core.hold.scenario import HoldScenario
from vadouvan.core.interpretation.draft import Interpretation
from vadouvan.core.interpretation.mix import MixInterpretation
from vadouvan.core.kitchen.household import ANYBODY, Household
from vadouvan.core.mix.balance import SUBSTANCES, Substance
from vadouvan.core.mix.figures import (
    enzyme_figure,
    heat_figure,
    heat_words,
    per_kg_figure,
    per_mix_figure,
    ph_figure,
    sodium_figure,
    sodium_words,
)
from vadouvan.core.mix.making import MakingStep
from vadouvan.core.mix.need import need_figure
from vadouvan.core.mix.salting_method import spoon_words
from vadouvan.core.mix.solver import Aim, Aims
from vadouvan.core.mix.span import BathCourse, SaltSpan, SaltState, enzyme_span, salt_state, span_in_mix, span_of
from vadouvan.core.parsing.amount import Portion
from vadouvan.unchanging import unchanging


@unchanging
class BalanceInMix:
    """A balance told per kilogram of mix: a rule for each substance, and the figures that tell them."""

    spans: tuple[SaltSpan, ...]
    figures: tuple[Figure, ...]


@unchanging
class MixJudgement:
    """Facts of a mix; ``salt`` is missing while the hold cannot be read.

    ``heat_says`` and ``sodium_says`` are heat and sodium in words.
    """

    at_contact: MixAtContact
    figures: tuple[Figure, ...]
    spans: tuple[SaltSpan, ...]
    salt: SaltState | None
    steps: tuple[MakingStep, ...]
    heat_says: str
    sodium_says: str
    school_says: str
    vacuum: bool = False
    household: tuple[str, ...] = ()

    @cached_property
    def in_mix(self) -> BalanceInMix:
        """The balance per kilogram of mix, worked out when it is first looked at."""
        balance = self.at_contact.balance
        return BalanceInMix(
            spans=(*(span_in_mix(balance, name) for name in SUBSTANCES), enzyme_span(balance)),
            figures=tuple(per_mix_figure(balance, name) for name in SUBSTANCES),
        )

    @property
    def minutes(self) -> float:
        """From the first step until all of the mix may go on the meat [min]."""
        return sum(step.minutes for step in self.steps)


def mix_judgement(
    reading: Interpretation, at_contact: MixAtContact, scenario: HoldScenario | None, household: Household = ANYBODY
) -> MixJudgement:
    """The answers for a mix in its bowl, for a household; ``case`` is its hold, once that can be read."""
    salt = salt_of(reading, at_contact, scenario)
    balance = at_contact.balance
    sodium = _sodium(reading, at_contact, salt)
    ph = ph_figure(balance)
    figures = (
        *_quantity_figures(at_contact),
        *(per_kg_figure(balance, name) for name in SUBSTANCES),
        enzyme_figure(balance),
        heat_figure(balance),
        sodium,
        *((ph,) if ph else ()),
    )
    return MixJudgement(
        at_contact=at_contact,
        figures=figures,
        spans=_spans(reading.mix, at_contact, salt),
        salt=salt,
        steps=(*_making_steps(at_contact), *_quantity_steps(reading.mix, at_contact), *_two_steps(reading.mix)),
        heat_says=heat_words(balance),
        sodium_says=sodium_words(sodium.value),
        school_says=_school_says(reading.mix, salt),
        vacuum=reading.mix.vessel.container == "vacuum",
        household=household_words(household, at_contact.whole, reading.cut.kind, sodium.value) if reading.cut else (),
    )


def _making_steps(at_contact: MixAtContact) -> Iterator[MakingStep]:
    """Steps of the making; what is worked in cannot be wiped off."""
    return (step for step in at_contact.ready.steps if not (at_contact.worked_in and step.id == "burns"))


def aims_of(
    mix: MixInterpretation, at_contact: MixAtContact, cut: Cut, hold: Hold, salt: SaltState, which: AbstractSet[Aim]
) -> Aims:
    """The aims that were asked for, over the whole bowl with what is set aside.

    Salt of a settling bath is aimed at what it settles to, of any other mix at what it has to hold.
    """
    values: dict[Aim, float] = {aim: value for aim, value in mix.aims.items() if aim in which}
    if "salt" in which:
        values["salt"] = hold.salt_target if salt.settles else salt.wanted_g_per_kg / 1000
    if "total" in which:
        lifted_kg = sum(portion.mass_kg.value for portion in at_contact.ready.lifted)
        values["total"] = (
            at_contact.need.mass_kg.value + at_contact.set_aside_kg + at_contact.ready.boiled_off_kg + lifted_kg
        )
    return Aims(
        cut.meat_kg / at_contact.share,
        cut.water_kg / at_contact.share,
        salt.settles,
        values,
        at_contact.ready.boiled_off_kg,
    )


def salt_of(reading: Interpretation, at_contact: MixAtContact, scenario: HoldScenario | None) -> SaltState | None:
    """The salt of a mix on its cut, by the method chosen; nothing while cut or hold cannot be read."""
    cut, hold, salting = reading.cut, reading.hold, reading.mix.salting
    if cut is None or hold is None:
        return None
    if salting.school == "strong_bath" and scenario is None:
        return None
    course = None
    if scenario is not None and salting.school == "strong_bath" and at_contact.balance.salt_kg > 0:
        hours = salting.bath_s / 3600
        uptake = scenario.average_at(hours) * cut.meat_kg / at_contact.balance.salt_kg
        course = BathCourse(uptake, scenario.average_at(hours + 1) - scenario.average_at(hours))
    salting = replace(salting, worked_in=at_contact.worked_in)
    return salt_state(at_contact.balance, cut.water_kg, hold.salt_target, salting, course, at_contact.share)


def _sodium(reading: Interpretation, at_contact: MixAtContact, salt: SaltState | None) -> Figure:
    """Sodium a serving: by the occasion where it was said, else by servings of the usual weight."""
    meat_kg = at_contact.balance.meat_kg
    occasion = reading.occasion
    servings = servings_from(meat_kg, occasion) if occasion else meat_kg / SERVING_NORMAL_KG.value
    return sodium_figure(at_contact.balance, eaten_share(at_contact, salt), servings)


def eaten_share(at_contact: MixAtContact, salt: SaltState | None) -> float:
    """Share of the mix's salt that is eaten [1]: of a paste what does not run off, of a bath what goes in."""
    if at_contact.worked_in:
        return 1.0
    if salt is None or salt.school in ("per_kg", "spoon_per_pound"):
        return 1 - PASTE_RUN_OFF.value
    salt_kg = at_contact.balance.salt_kg
    return salt.settles_g_per_kg / 1000 * at_contact.balance.meat_kg / salt_kg if salt_kg > 0 else 0.0


def grams_figure(portion: Portion) -> Figure:
    """Grams of one line, with its range where the words leave one."""
    mass = portion.mass_kg

    def worked() -> Working:
        rule = "The amount as said, times the weight of one such measure of this ingredient."
        inputs = (Given(portion.text.strip(), mass.value * 1000, "g"),)
        return Working(rule, inputs, tuple(portion.ingredient.source.split(";")))

    low, high = (mass.low * 1000, mass.high * 1000) if mass.low != mass.high else (None, None)
    return Figure(f"mix.{portion.line_id}", mass.value * 1000, "g", worked, low, high)


def _quantity_figures(at_contact: MixAtContact) -> tuple[Figure, ...]:
    ready = at_contact.ready
    mass = ready.mass_kg

    def made_by() -> Working:
        inputs = (
            Given("all ingredients", sum(portion.mass_kg.value for portion in at_contact.whole) * 1000, "g"),
            Given("fished out", sum(portion.mass_kg.value for portion in ready.lifted) * 1000, "g"),
            Given("boiled off", ready.boiled_off_kg * 1000, "g"),
        )
        return Working("All ingredients added up, less what is fished out and what boils off.", inputs, ())

    def set_aside_by() -> Working:
        inputs = (Given("made", mass.value * 1000, "g"), Given("on the meat", at_contact.share * 100, "%"))
        rule = "As said, poured off before contact; salt, acid and window count only what meets the meat."
        return Working(rule, inputs, ())

    made = Figure("made_g", mass.value * 1000, "g", made_by, mass.low * 1000, mass.high * 1000)
    aside = Figure("set_aside_g", at_contact.set_aside_kg * 1000, "g", set_aside_by)
    return (made, aside) if at_contact.worked_in else (made, need_figure(at_contact.need), aside)


def _quantity_steps(mix: MixInterpretation, at_contact: MixAtContact) -> tuple[MakingStep, ...]:
    found = []
    if at_contact.set_aside_kg > 0:
        use = f" for {mix.set_aside.use}" if mix.set_aside.use else ""
        grams = round(at_contact.set_aside_kg * 1000)
        says = f"Pour {grams} g off clean{use} before the meat goes in; label it. Only this may be brushed on late."
        found.append(MakingStep("set-aside", says))
    if at_contact.need.remark:
        found.append(MakingStep("vessel", at_contact.need.remark, kind="warn"))
    return tuple(found)


def _two_steps(mix: MixInterpretation) -> tuple[MakingStep, ...]:
    if not mix.first:
        return ()
    if mix.making.first_contact_s is None:
        wrong = "Say how long the first step stays on before the rest goes in."
        return (MakingStep("first", wrong, kind="warn"),)
    names = ", ".join(p.ingredient.also_called[0] for p in mix.portions if p.line_id in mix.first)
    minutes = mix.making.first_contact_s / 60
    says = f"First step: {names} on the meat for {minutes:.0f} min, then the rest on top. The hours count from then."
    return (MakingStep("first", says, minutes, hands_on=False),)


def _spans(mix: MixInterpretation, at_contact: MixAtContact, salt: SaltState | None) -> tuple[SaltSpan, ...]:
    targets: dict[Aim, float] = dict(mix.aims)
    if salt:
        targets["salt"] = salt.wanted_g_per_kg / 1000
    spans = tuple(span_of(at_contact.balance, name, _target(targets, name)) for name in SUBSTANCES)
    return (*spans, enzyme_span(at_contact.balance))


def _target(targets: Mapping[Aim, float], substance: Substance) -> float | None:
    return next((value for aim, value in targets.items() if aim == substance), None)


def _school_says(mix: MixInterpretation, salt: SaltState | None) -> str:
    """Meaning of the chosen school here, and what stays in the mix."""
    salting = mix.salting
    words = []
    if salting.school == "spoon_per_pound" and salting.spoon_salt is not None:
        words.append(spoon_words(salting.spoon_salt, salting.spoons))
    if salt is not None and salt.stays:
        words.append(salt.stays)
    return " ".join(words)
