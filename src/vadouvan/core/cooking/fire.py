"""How it is cooked, as the cook said it."""

from __future__ import annotations

from dataclasses import dataclass

from vadouvan.core.constants import USUAL_BOIL
from vadouvan.core.cooking.doneness import DonenessRule
from vadouvan.core.cooking.stages import CookStage
from vadouvan.core.cooking.surface import Left


@dataclass(frozen=True)
class FireInterpretation:
    """How it is cooked, as read: stages, what is done to the surface, doneness, and the used mix."""

    stages: tuple[CookStage, ...] = ()
    surface: Left = "patted"
    school: DonenessRule = "guidance"
    own_core_c: float | None = None
    boils: bool = False
    boil_s: float = USUAL_BOIL.value * 60
    reduce_to_kg: float | None = None
    reduce_share: float | None = None
    freezes_cooked: bool = False
