"""A substance on its rule: how much there is, how much is wanted, which line brings what."""

from __future__ import annotations

import math
from dataclasses import dataclass

from vadouvan.core.figure import number_told
from vadouvan.core.mix.balance import Balance, Contribution, Substance

TARGET_MAY_MISS = 0.1
SALT_ON_TARGET = 0.05
A_BATH_FROM = 0.3  # mix water over meat water from which salt is judged by what it settles to
_ROOM = {"salt": 6.0, "sugar": 10.0, "acid": 4.0, "fat": 20.0, "aroma": 10.0}  # least length of a rule [g/kg]


@dataclass(frozen=True)
class Span:
    """A rule for one substance, all in g per kg of meat."""

    substance: Substance
    value: float
    low: float
    high: float
    target_low: float | None
    target_high: float | None
    rule_end: float
    parts: tuple[Contribution, ...]


@dataclass(frozen=True)
class SaltState:
    """Salt against its target: what the meat settles to, what the mix needs, grams short (over, if negative).

    ``settles``: the mix is a bath, judged by what it settles to.
    """

    settles_g_per_kg: float
    wanted_g_per_kg: float
    short_g: float
    settles: bool
    is_on_target: bool
    says: str


def span_of(balance: Balance, substance: Substance, target_kg_per_kg: float | None) -> Span:
    """The rule of one substance; its end is a round number with room for target and present.

    The target is what has to be in the mix, per kg of meat (:attr:`SaltState.wanted_g_per_kg`).
    """
    total = balance.total(substance)
    target = None if target_kg_per_kg is None else target_kg_per_kg * 1000
    widest = max(total.high * 1000, (target or 0.0) * 1.5, _ROOM[substance])
    return Span(
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


def salt_state(balance: Balance, meat_water_kg: float, target: float) -> SaltState:
    """Salt short or over: by the kilogram for a paste, by what it settles to for a bath [target in kg/kg].

    At rest salt is spread evenly over all water, in the meat and in the mix; what is in the mix
    then stays in the bag.
    """
    is_bath = balance.water_kg > A_BATH_FROM * meat_water_kg
    all_water_kg = meat_water_kg + balance.water_kg if is_bath else meat_water_kg
    settles = balance.salt_kg / all_water_kg * meat_water_kg / balance.meat_kg
    wanted_kg = target * balance.meat_kg / meat_water_kg * all_water_kg
    short_g = (wanted_kg - balance.salt_kg) * 1000
    return SaltState(
        settles_g_per_kg=settles * 1000,
        wanted_g_per_kg=wanted_kg / balance.meat_kg * 1000,
        short_g=short_g,
        settles=is_bath,
        is_on_target=abs(settles - target) <= SALT_ON_TARGET * target,
        says=_salt_says(short_g, settles, target),
    )


def _salt_says(short_g: float, settles: float, target: float) -> str:
    if abs(settles - target) <= SALT_ON_TARGET * target:
        return "salt as aimed"
    if short_g > 0:
        return f"{number_told(short_g)} g salt short"
    return f"{number_told(-short_g)} g salt over"
