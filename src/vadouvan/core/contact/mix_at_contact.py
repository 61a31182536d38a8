"""The mix as it meets the meat: made, fished out, set aside in part, against what the cut needs."""

from __future__ import annotations

from collections.abc import Sequence
from dataclasses import replace

from vadouvan.core.cut.cut import Cut
from vadouvan.core.interpretation.mix import MixInterpretation
from vadouvan.core.mix.balance import Balance, Film, FirstStep, balance_of
from vadouvan.core.mix.consistency import Form
from vadouvan.core.mix.making import Ready, make
from vadouvan.core.mix.need import Need, Sufficiency, need_of, need_says, sufficiency
from vadouvan.core.parsing.amount import Portion
from vadouvan.unchanging import unchanging

MOST_ASIDE = 0.95  # something has to meet the meat


@unchanging
class MixAtContact:
    """All of the mix, what is ready of it, what is set aside [kg], what the cut needs, and the balance on the meat.

    ``share`` of the ready mix meets the meat; the film is what rinsing left there. What is ``worked_in``, into mince,
    covers nothing: like a rub's, its measure is its salt.
    """

    whole: tuple[Portion, ...]
    ready: Ready
    set_aside_kg: float
    share: float
    form: Form
    need: Need
    film: Film
    balance: Balance
    worked_in: bool = False

    @property
    def served_kg(self) -> float:
        """Meat that the whole mix would serve, set-aside part included [kg]: for balances of the whole."""
        return self.balance.meat_kg / self.share

    @property
    def sufficiency(self) -> Sufficiency:
        """Whether what was made covers the cut; a rub or what is worked in always does."""
        if self.form == "rub" or self.worked_in:
            return "enough"
        return sufficiency(self.ready.mass_kg.value, self.need.mass_kg, self.set_aside_kg)

    @property
    def need_says(self) -> str:
        """Made against needed, in words."""
        if self.worked_in:
            return "worked in: its measure is its salt"
        return need_says(self.ready.mass_kg.value, self.need.mass_kg, self.set_aside_kg, self.form)


def mix_at_contact(mix: MixInterpretation, cut: Cut) -> MixAtContact:
    """The bowl for a cut; the mix has at least one line."""
    ready = make(mix.portions, mix.making, mix.lifted)
    made_kg = ready.mass_kg.value
    aside_kg = min(mix.set_aside.of(made_kg), MOST_ASIDE * made_kg)
    share = 1 - aside_kg / made_kg if made_kg > 0 else 1.0
    surface = cut.prepared.surface
    film = Film(surface.film_kg, surface.acid_kg)
    on_meat = [portion.part(share) for portion in ready.portions]
    balance = balance_of(on_meat, cut.meat_kg, film, ready.boiled_off_kg * share)
    first = _first_step(mix, on_meat, cut.meat_kg)
    return MixAtContact(
        whole=mix.portions,
        ready=ready,
        set_aside_kg=aside_kg,
        share=share,
        form=mix.vessel.form,
        need=need_of(cut, mix.vessel),
        film=film,
        balance=balance if first is None else replace(balance, first=first),
        worked_in=cut.kind.is_minced,
    )


def _first_step(mix: MixInterpretation, on_meat: Sequence[Portion], meat_kg: float) -> FirstStep | None:
    """The first contact of a mix in two steps, if both its lines and its time were said."""
    lines = [portion for portion in on_meat if portion.line_id in mix.first]
    if not lines or mix.making.first_contact_s is None:
        return None
    alone = balance_of(lines, meat_kg)
    return FirstStep(
        salt_kg=alone.salt_kg,
        water_kg=alone.water_kg,
        enzyme_units=alone.enzyme_units.value,
        ph=alone.ph,
        salt_per_water=alone.salt_per_water,
        mass_kg=alone.mass_kg.value,
        contact_s=mix.making.first_contact_s,
    )
