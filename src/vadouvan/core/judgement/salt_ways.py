"""Ways to bring the salt of a batch to its target, none of which makes the hold a worse one."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import replace

from vadouvan.core.contact.mix_at_contact import mix_at_contact
from vadouvan.core.contact.mix_judgement import MixJudgement, aims_of, salt_of
from vadouvan.core.hold.levels import COMPROMISE
from vadouvan.core.hold.scenario import TRACE_KG_PER_KG, HoldScenario, hold_scenario
from vadouvan.core.hold.window import tried
from vadouvan.core.interpretation.draft import Interpretation
from vadouvan.core.mix.salt_offers import MixToSalt, SaltOffer, salt_offers
from vadouvan.core.pantry.pantry import Pantry
from vadouvan.core.parsing.amount import Portion

SAME_ACID = 0.01  # of the acid: with so little more or less, its course is the same
NO_WORSE_BY = 0.02  # of the mark: less is rounding of what is weighed


def salt_ways(
    reading: Interpretation, mix: MixJudgement, scenario: HoldScenario, mark_share: float, pantry: Pantry
) -> tuple[SaltOffer, ...]:
    """Offers for a mix whose salt is off its target, each judged on the cut; none where it is on it.

    ``mark_share`` is how good the hold gets as it is [0..1].
    """
    salt, at_contact, cut, hold = mix.salt, mix.at_contact, scenario.cut, scenario.hold
    if salt is None or salt.is_on_target:
        return ()
    aims = aims_of(reading.mix, at_contact, cut, hold, salt, {"salt"})
    acid = scenario.balance.total("acid").value
    good_enough = min(mark_share - NO_WORSE_BY, COMPROMISE)

    def is_without_fault(portions: Sequence[Portion]) -> bool:
        """Whether other lines on this cut are as aimed, and some hour of theirs is as good or good enough."""
        other = mix_at_contact(replace(reading.mix, portions=tuple(portions)), cut)
        as_sour = abs(other.balance.total("acid").value - acid) <= SAME_ACID * max(acid, TRACE_KG_PER_KG)
        held = hold_scenario(cut, other.balance, hold, scenario.acid if as_sour else None)
        state = salt_of(reading, other, held)
        return state is not None and state.is_on_target and tried(held).mark >= good_enough

    whole = MixToSalt(at_contact.whole, aims, reading.mix.locked, at_contact.film, pantry, is_without_fault)
    return tuple(salt_offers(whole))
