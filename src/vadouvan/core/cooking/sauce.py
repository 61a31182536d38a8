"""The used mix as a sauce: what is left of it, what boiling and reducing make of it, or why not."""

from __future__ import annotations

from typing import Literal

from vadouvan.core.constants import (
    MOST_BOILED_OFF,
    PAN_BOILS_OFF_KG_PER_S,
    SAUCE_MOST_DILUTION,
    SAUCE_SALT,
    SAUCE_TOO_SALTY,
    SAUCE_WORTH_KG,
)
from vadouvan.core.figure import number_told
from vadouvan.unchanging import unchanging

SauceFate = Literal["serve", "dilute", "discard", "along"]


@unchanging
class Sauce:
    """The used mix boiled down: what is left to boil [kg], what comes of it [kg], its salt [kg/kg], and what to add.

    ``dilution_kg`` of something unsalted brings it to a sauce's usual salt.
    """

    left_kg: float
    boiled_kg: float
    salt_share: float
    dilution_kg: float
    verdict: SauceFate
    says: str

    @property
    def yield_kg(self) -> float:
        """Mass that reaches the table [kg]."""
        return self.boiled_kg + self.dilution_kg


def reduced_salt(salt_share: float, before_kg: float, after_kg: float) -> float:
    """Salt after boiling down, as a share: salt stays, water goes.

    >>> round(reduced_salt(0.032, 0.300, 0.150), 3)
    0.064
    """
    return salt_share * before_kg / after_kg


def dilution_kg(mass_kg: float, salt_share: float, wanted_share: float) -> float:
    """Unsalted base that brings a salty one to a share of salt [kg]; nothing if it is not saltier.

    >>> round(dilution_kg(0.150, 0.064, 0.010), 3)
    0.81
    """
    return max(0.0, mass_kg * (salt_share / wanted_share - 1))


def cooked_along(mix_kg: float, salt_kg: float, meat_kg: float) -> Sauce:
    """A mix that is cooked with the meat: it is all eaten, its salt over everything that is in the pot."""
    share = salt_kg / (mix_kg + meat_kg)
    says = (
        f"It cooks with the meat: {number_told(mix_kg * 1000)} g of it, and {number_told(share * 100)} % salt over all "
        "that is in there. What boils away makes the rest saltier: taste before it is boiled down."
    )
    return Sauce(mix_kg, mix_kg, share, 0.0, "along", says)


def worked_in() -> Sauce:
    """A mix that was worked into mince: nothing of it is left over."""
    return Sauce(0.0, 0.0, 0.0, 0.0, "along", "It is in the meat: nothing stays behind.")


def sauce_of(left_kg: float, salt_kg: float, boil_s: float, reduce_to_kg: float | None) -> Sauce:
    """The used mix after a boil of so long, or boiled down to so much."""
    if left_kg < SAUCE_WORTH_KG.value:
        says = f"Only about {number_told(left_kg * 1000)} g stay behind: not worth a sauce. Throw it away."
        return Sauce(left_kg, 0.0, 0.0, 0.0, "discard", says)
    by_time_kg = left_kg - PAN_BOILS_OFF_KG_PER_S.value * boil_s
    boiled_kg = max(reduce_to_kg if reduce_to_kg is not None else by_time_kg, (1 - MOST_BOILED_OFF.value) * left_kg)
    boiled_kg = min(boiled_kg, left_kg)
    share = reduced_salt(salt_kg / left_kg, left_kg, boiled_kg)
    grams = f"{number_told(left_kg * 1000)} g boil down to {number_told(boiled_kg * 1000)} g"
    came = f"{grams} with {number_told(share * 100)} % salt"
    if share <= SAUCE_TOO_SALTY.value:
        return Sauce(left_kg, boiled_kg, share, 0.0, "serve", f"{came}: a sauce as it is.")
    base_kg = dilution_kg(boiled_kg, share, SAUCE_SALT.value)
    if base_kg > SAUCE_MOST_DILUTION.value * boiled_kg:
        says = f"{came}: too salty. {number_told(base_kg * 1000)} g of unsalted stock would be needed: throw it away."
        return Sauce(left_kg, boiled_kg, share, base_kg, "discard", says)
    base = f"{number_told(base_kg * 1000)} g of unsalted stock, cream or water"
    says = f"{came}: too salty as it is; with {base} it is {number_told((boiled_kg + base_kg) * 1000)} g of sauce."
    return Sauce(left_kg, boiled_kg, share, base_kg, "dilute", says)
