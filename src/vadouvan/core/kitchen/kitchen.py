"""The reference tables that a reading needs, as one value handed in from outside."""

from __future__ import annotations

from collections.abc import Iterable, Mapping
from dataclasses import field, replace

from vadouvan.core.clock.routine import USUAL_WEEK, Routine
from vadouvan.core.cut.kind import CutKind
from vadouvan.core.kitchen.caution import Caution
from vadouvan.core.kitchen.household import ANYBODY, Household
from vadouvan.core.pantry.ingredient import Ingredient
from vadouvan.core.pantry.pantry import Pantry
from vadouvan.core.pantry.swap import Swap
from vadouvan.unchanging import unchanging


@unchanging
class OwnCorrection:
    """The cook's own factors: on the pace of salt by family of meat, and on the usual salt target [1].

    ``softening`` are those on live enzymes, by family of meat and the enzyme's name.
    """

    pace: Mapping[str, float] = field(default_factory=dict)
    salt: float = 1.0
    softening: Mapping[str, Mapping[str, float]] = field(default_factory=dict)


NOTHING_LEARNED = OwnCorrection()


@unchanging
class Kitchen:
    """Kinds of cut by id, the pantry, cautions by id, titles of sources by key and how far each was looked into, known
    swaps, the cook's week, the correction that verdicts have taught, and the household.
    """

    cuts: Mapping[str, CutKind]
    pantry: Pantry
    cautions: Mapping[str, Caution]
    sources: Mapping[str, str]
    swaps: tuple[Swap, ...] = ()
    routine: Routine = USUAL_WEEK
    own: OwnCorrection = NOTHING_LEARNED
    household: Household = ANYBODY
    standings: Mapping[str, str] = field(default_factory=dict)

    def with_cuts(self, own: Mapping[str, CutKind]) -> Kitchen:
        """The same kitchen with the cook's own cuts before the shipped ones."""
        return replace(self, cuts={**own, **self.cuts})

    def with_correction(self, own: OwnCorrection) -> Kitchen:
        """The same kitchen with what its cook's verdicts have taught."""
        return replace(self, own=own)

    def with_household(self, household: Household) -> Kitchen:
        """The same kitchen for a household: "salt" is what stands on its shelf."""
        pantry = self.pantry.with_plain_salt(household.salt) if household.salt in self.pantry.by_id else self.pantry
        return replace(self, household=household, pantry=pantry)

    def with_routine(self, routine: Routine) -> Kitchen:
        """The same kitchen with another week of its cook."""
        return replace(self, routine=routine)

    def with_ingredients(self, own: Iterable[Ingredient]) -> Kitchen:
        """The same kitchen with the cook's own ingredients, whose names come before the shipped ones."""
        return replace(self, pantry=self.pantry.with_own(own))
