"""How it is cooked, as the cook said it."""

from __future__ import annotations

from vadouvan.core.constants import USUAL_BOIL
from vadouvan.core.cooking.doneness import DonenessRule
from vadouvan.core.cooking.stages import CookStage
from vadouvan.core.mix.left_on import Left
from vadouvan.core.mix.reduction import AS_IT_IS, Reduction
from vadouvan.unchanging import unchanging


@unchanging
class OwnStep:
    """A step of the cook's own: what, minutes, and minutes before the meal by which it is done."""

    id: str
    what: str
    minutes: float
    before_min: float = 0.0


@unchanging
class FireInterpretation:
    """How it is cooked, as read: stages, what is done to the surface, doneness, the used mix, and what else is done.

    ``dries_min`` uncovered in the fridge before the heat, ``travels_min`` in a cold box, ``rest_min`` after the heat if
    the cook says so.
    """

    stages: tuple[CookStage, ...] = ()
    surface: Left = "patted"
    school: DonenessRule = "guidance"
    own_core_c: float | None = None
    boils: bool = False
    boil_s: float = USUAL_BOIL.value * 60
    reduce_to: Reduction = AS_IT_IS
    freezes_cooked: bool = False
    dries_min: float = 0.0
    travels_min: float = 0.0
    rest_min: float | None = None
    own_steps: tuple[OwnStep, ...] = ()
    dark_is_meant: bool = False
