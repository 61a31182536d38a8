"""A substance on its rule: how much there is, how much is wanted, which line brings what."""

from __future__ import annotations

import math
from typing import Literal

from vadouvan.core.figure import number_told
from vadouvan.core.measures.numbers import Interval
from vadouvan.core.mix.balance import Balance, Contribution, Substance
from vadouvan.core.mix.salting_method import (
    BY_WEIGHT,
    WORKED_IN,
    Salting,
    SaltingMethod,
    run_off_words,
    settled_words,
    strong_bath_words,
)
from vadouvan.unchanging import unchanging

TARGET_MAY_MISS = 0.1
SALT_ON_TARGET = 0.05
UNTASTED = 0.001  # kg/kg that nobody tastes
A_BATH_FROM = 0.3  # mix water over meat water from which salt is judged by what it settles to
_ROOM = {"salt": 6.0, "sugar": 10.0, "acid": 4.0, "fat": 20.0, "aroma": 10.0}  # least length of a rule [g/kg]


@unchanging
class SaltSpan:
    """A rule for one substance, in g per kg of meat or of mix; enzyme in per cent of fresh pineapple juice."""

    substance: Substance | Literal["enzyme"]
    value: float
    low: float
    high: float
    target_low: float | None
    target_high: float | None
    rule_end: float
    parts: tuple[Contribution, ...]


@unchanging
class SaltState:
    """Salt against its target: what the meat comes to, what the mix needs, grams short (over, if negative).

    ``school`` is how it was judged; ``stays`` says what stays behind in the mix.
    """

    settles_g_per_kg: float
    wanted_g_per_kg: float
    short_g: float
    school: SaltingMethod
    is_on_target: bool
    says: str
    stays: str

    @property
    def settles(self) -> bool:
        """Whether it is a bath judged by what it settles to."""
        return self.school == "equilibrium"


@unchanging
class BathCourse:
    """Uptake from a strong bath until it is stopped: share of its salt taken up [1], gain then [kg/kg per h]."""

    uptake: float
    gain_per_h: float


def enzyme_span(balance: Balance) -> SaltSpan:
    """The rule of the live enzyme, in per cent of the strength of fresh pineapple juice."""
    units = balance.enzyme_units
    parts = tuple(
        Contribution(p.line_id, p.ingredient, p.amount.times(Interval.exactly(0.1))) for p in balance.enzyme_parts
    )
    return SaltSpan(
        substance="enzyme",
        value=units.value * 100,
        low=units.low * 100,
        high=units.high * 100,
        target_low=None,
        target_high=None,
        rule_end=round_end(max(units.high * 105, 20.0)),
        parts=parts,
    )


def span_in_mix(balance: Balance, substance: Substance) -> SaltSpan:
    """The rule of one substance per kilogram of mix."""
    factor = balance.meat_kg / balance.mass_kg.value if balance.mass_kg.value > 0 else 0.0
    total = balance.total(substance)
    widest = max(total.high * factor * 1000, _ROOM[substance])
    parts = tuple(
        Contribution(part.line_id, part.ingredient, part.amount.times(Interval.exactly(factor)))
        for part in balance.parts[substance]
    )
    return SaltSpan(
        substance=substance,
        value=total.value * factor * 1000,
        low=total.low * factor * 1000,
        high=total.high * factor * 1000,
        target_low=None,
        target_high=None,
        rule_end=round_end(widest * 1.05),
        parts=parts,
    )


def span_of(balance: Balance, substance: Substance, target_kg_per_kg: float | None) -> SaltSpan:
    """The rule of one substance; its end is a round number with room for target and present.

    The target is what has to be in the mix, per kg of meat (:attr:`SaltState.wanted_g_per_kg`).
    """
    total = balance.total(substance)
    target = None if target_kg_per_kg is None else target_kg_per_kg * 1000
    widest = max(total.high * 1000, (target or 0.0) * 1.5, _ROOM[substance])
    return SaltSpan(
        substance=substance,
        value=total.value * 1000,
        low=total.low * 1000,
        high=total.high * 1000,
        target_low=None if target is None else target * (1 - TARGET_MAY_MISS),
        target_high=None if target is None else target * (1 + TARGET_MAY_MISS),
        rule_end=round_end(widest * 1.05),
        parts=balance.parts[substance],
    )


def round_end(value: float) -> float:
    """The next round number (1, 1.5, 2, 3, 4, 5, 6, 8 times a power of ten).

    >>> round_end(17.2), round_end(41.0)
    (20.0, 50.0)
    """
    power: float = 10.0 ** math.floor(math.log10(value))
    return next(step * power for step in (1, 1.5, 2, 3, 4, 5, 6, 8, 10) if step * power >= value)


def salt_state(
    balance: Balance,
    meat_water_kg: float,
    target: float,
    salting: Salting = BY_WEIGHT,
    course: BathCourse | None = None,
    share: float = 1.0,
) -> SaltState:
    """Salt short or over, by the school chosen [target in kg/kg].

    With none chosen: by the kilogram for a paste, by what it settles to for a bath. At rest salt is
    spread evenly over all water, in the meat and in the mix; a strong bath needs its ``course``.
    Grams short are those for the whole mix, of which ``share`` meets the meat.
    """
    salt_kg, meat_kg = balance.salt_kg, balance.meat_kg
    school = salting.school or ("equilibrium" if balance.water_kg > A_BATH_FROM * meat_water_kg else "per_kg")
    if salting.worked_in and school != "spoon_per_pound":
        school = "per_kg"
    if school == "strong_bath" and course is not None:
        uptake = course.uptake
        stays = strong_bath_words((1 - uptake) * salt_kg, salting.bath_s, course.gain_per_h)
    elif school == "equilibrium":
        uptake = meat_water_kg / (meat_water_kg + balance.water_kg)
        stays = settled_words((1 - uptake) * salt_kg)
    else:
        uptake, stays = 1.0, WORKED_IN if salting.worked_in else run_off_words(salt_kg)
    comes_to = salt_kg * uptake / meat_kg
    wanted_kg = target * meat_kg / uptake
    short_g = (wanted_kg - salt_kg) / share * 1000
    return SaltState(
        settles_g_per_kg=comes_to * 1000,
        wanted_g_per_kg=wanted_kg / meat_kg * 1000,
        short_g=short_g,
        school=school,
        is_on_target=_is_on_target(comes_to, target),
        says=_salt_says(short_g, comes_to, target, school),
        stays=stays if salt_kg > 0 else "",
    )


def _is_on_target(comes_to: float, target: float) -> bool:
    """Whether salt is as aimed [both kg/kg]; of an aim of next to none, while nobody tastes it."""
    return abs(comes_to - target) <= max(SALT_ON_TARGET * target, UNTASTED - target)


def _salt_says(short_g: float, settles: float, target: float, school: SaltingMethod) -> str:
    if _is_on_target(settles, target):
        return "salt as aimed once it has settled" if school == "equilibrium" else "salt as aimed"
    if short_g > 0:
        return f"{number_told(short_g)} g salt short"
    return f"{number_told(-short_g)} g salt over"
