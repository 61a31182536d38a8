"""The salt in one line: what is aimed at, what is in the meat at the hour of the pull, what stays out."""

from __future__ import annotations

from functools import partial

from vadouvan.core.constants import PASTE_RUN_OFF
from vadouvan.core.figure import Figure, Given, Working, hours_told, number_told
from vadouvan.core.hold.scenario import HoldScenario
from vadouvan.core.mix.span import SaltState


def salt_line(state: SaltState, scenario: HoldScenario, target: float, hours: float) -> str:
    """The line for a pull after so many hours, by the method the salt was judged by [target in kg/kg].

    A rub or paste is eaten where it is, so what has not moved in still counts; of a bath only what has.
    """
    balance, meat_kg = scenario.balance, scenario.cut.meat_kg
    if balance.salt_kg <= 0:
        return ""
    within = scenario.average_at(hours)
    aimed, inside, at = (number_told(target * 1000), number_told(within * 1000), hours_told(hours))
    if state.school in ("equilibrium", "strong_bath"):
        left_g = number_told((balance.salt_kg - within * meat_kg) * 1000)
        settled = f" ({number_told(state.settles_g_per_kg)} when it has settled)" if state.settles else ""
        return f"Salt: aimed {aimed} g/kg; {inside} in the meat at {at}{settled}; {left_g} g stays in the mix."
    if scenario.cut.kind.is_minced:
        return f"Salt: aimed {aimed} g/kg; {number_told(state.settles_g_per_kg)} in the meat, worked in; none runs off."
    low, high = (number_told(balance.salt_kg * share * 1000) for share in (PASTE_RUN_OFF.low, PASTE_RUN_OFF.high))
    on_it = number_told(state.settles_g_per_kg)
    return f"Salt: aimed {aimed} g/kg; {on_it} on the meat, {inside} of it inside at {at}; {low} to {high} g runs off."


def salt_figures(scenario: HoldScenario, hours: float) -> tuple[Figure, ...]:
    """Salt that is in the meat when it is pulled, and what stays behind; of what is worked in nothing does."""
    in_meat = scenario.average_at(hours)
    left_g = (scenario.balance.salt_kg - in_meat * scenario.cut.meat_kg) * 1000

    def worked(rule: str) -> Working:
        inputs = (
            Given("salt in the mix", scenario.balance.salt_kg * 1000, "g"),
            Given("meat without bone", scenario.cut.meat_kg * 1000, "g"),
            Given("hour of the pull", hours, "h"),
        )
        return Working(rule, inputs, ("calibration",))

    taken = partial(worked, "Salt that has moved into the meat by the pull, by diffusion.")
    stays = partial(worked, "Salt in the mix less what has moved into the meat by the pull.")
    found = Figure("salt_in_meat_g_per_kg", in_meat * 1000, "g/kg", taken)
    return (found,) if scenario.cut.kind.is_minced else (found, Figure("salt_left_g", left_g, "g", stays))
