"""How a batch is held: fridge, goal, salt target, vessel and what it is made of, turns, cover."""

from __future__ import annotations

from collections.abc import Mapping
from dataclasses import field, replace
from typing import Literal

from vadouvan.core.constants import OPEN_AIR_PACE, ROOM_C, UNTURNED_SHARE, VACUUM_CLAIM
from vadouvan.core.mix.left_on import Left
from vadouvan.unchanging import unchanging

Goal = Literal["surface", "through"]
HoldAim = Literal["season", "tenderise", "both", "cure", "sour"]
Metal = Literal["none", "stainless", "aluminium", "copper", "iron", "galvanised"]
REACTIVE: tuple[Metal, ...] = ("aluminium", "copper", "iron", "galvanised")


@unchanging
class Hold:
    """Fridge temperature [C], what the cook is after, salt target [kg per kg meat].

    ``readings`` are temperatures from an hour on [(h, C)], if they were recorded; ``vacuum_claim`` takes
    the school that says a vacuum bag is faster; ``turned`` that pieces are turned so that all faces meet
    the mix; ``open_air`` that nothing covers them; ``learned_pace`` is the cook's own factor on the pace of salt;
    ``room_c`` is how warm the kitchen is [C]. ``goal_said``: the cook said what to season, it was not assumed.
    ``aim`` is what the hold is for, none where the cook did not say;
    ``left`` what is done to the surface before the heat.
    """

    fridge_c: float
    goal: Goal
    salt_target: float
    readings: tuple[tuple[float, float], ...] = ()
    vacuum: bool = False
    vacuum_claim: bool = False
    turned: bool = True
    metal: Metal = "none"
    open_air: bool = False
    learned_pace: float = 1.0
    learned_softening: Mapping[str, float] = field(default_factory=dict)
    room_c: float = ROOM_C.value
    cooked_in_mix: bool = False
    left: Left = "patted"
    goal_said: bool = False
    aim: HoldAim | None = None

    def __hash__(self) -> int:
        """By its numbers: few are alike in these and not in the rest."""
        return hash((self.fridge_c, self.salt_target, self.readings, self.room_c))

    @property
    def course(self) -> tuple[tuple[float, float], ...]:
        """Temperatures from hour 0 on [(h, C)]."""
        return self.readings or ((0.0, self.fridge_c),)

    @property
    def pace_factor(self) -> float:
        """How much vacuum (if claimed), unturned pieces and drying in the open change the pace of salt [1]."""
        factor = VACUUM_CLAIM.value if self.vacuum and self.vacuum_claim else 1.0
        if not self.turned and not self.vacuum:
            factor *= UNTURNED_SHARE.value**2
        factor *= self.learned_pace
        return factor * OPEN_AIR_PACE.value if self.open_air else factor

    def without_learning(self) -> Hold:
        """The same hold at the model's own pace."""
        return replace(self, learned_pace=1.0, learned_softening={})
