"""Reading a whole draft."""

from __future__ import annotations

import re
from dataclasses import field, replace
from datetime import datetime, timedelta
from zoneinfo import ZoneInfo

from vadouvan.core.clock.chain import in_steps
from vadouvan.core.clock.meal import Meal
from vadouvan.core.clock.moment import local_moment, time_zone
from vadouvan.core.clock.routine import hours_between
from vadouvan.core.cooking.fire import FireInterpretation
from vadouvan.core.cooking.lead import usual_lead
from vadouvan.core.cooking.roasting import with_estimates
from vadouvan.core.cooking.stages import CookStage, minutes_told
from vadouvan.core.cut.cut import Cut
from vadouvan.core.cut.occasion import Appetite, Occasion
from vadouvan.core.draft.typed import Draft, MealInput, OccasionInput
from vadouvan.core.hold.hold import Hold
from vadouvan.core.interpretation.companions import Companion, read_companions
from vadouvan.core.interpretation.cut import read_cut
from vadouvan.core.interpretation.fire import read_fire
from vadouvan.core.interpretation.hold import read_hold
from vadouvan.core.interpretation.mix import MixInterpretation, read_mix
from vadouvan.core.interpretation.notes import Notes
from vadouvan.core.interpretation.other_readings import with_choices
from vadouvan.core.kitchen.kitchen import Kitchen
from vadouvan.core.measures.quantity import EARLY, LEAD, decimal, quantity, whole_number
from vadouvan.core.parsing.amount import Portion
from vadouvan.core.patterns import lazily
from vadouvan.errors import InputError
from vadouvan.unchanging import unchanging

DEFAULT_LEAD = timedelta(minutes=60)
SOON = timedelta(minutes=10)
FARTHEST_H = 366 * 24.0
APPETITES: dict[str, Appetite] = {"light": "light", "normal": "normal", "hearty": "hearty"}


@unchanging
class Interpretation:
    """Reading of a draft, with the notes made on the way."""

    cut: Cut | None
    mix: MixInterpretation
    hold: Hold | None
    meal: Meal | None
    occasion: Occasion | None
    frozen_share: float
    fire: FireInterpretation
    notes: Notes = field(default_factory=Notes)
    companions: tuple[Companion, ...] = ()

    @property
    def portions(self) -> tuple[Portion, ...]:
        """The lines of the mix that could be weighed."""
        return self.mix.portions

    @property
    def all_portions(self) -> tuple[Portion, ...]:
        """Every line that reaches the table: of the mix and of what stands beside it."""
        return (*self.portions, *(portion for one in self.companions for portion in one.portions))

    @property
    def stages(self) -> tuple[CookStage, ...]:
        """The stages of cooking."""
        return self.fire.stages

    @property
    def problems(self) -> list[InputError]:
        """Problems to mend."""
        return self.notes.problems

    @property
    def unweighed(self) -> list[InputError]:
        """Lines that it is judged without, since they could not be weighed and season nothing."""
        return self.notes.unweighed

    @property
    def assumed(self) -> dict[str, str]:
        """Assumptions, by field path."""
        return self.notes.assumed

    @property
    def waiting(self) -> list[str]:
        """Questions not yet answered."""
        return self.notes.waiting


def read_draft(draft: Draft, kitchen: Kitchen, *, now: datetime) -> Interpretation:
    """Read every answer of a draft; never raises for what a cook typed."""
    notes = Notes()
    cut = read_cut(draft.cut, kitchen, notes)
    meat_kg = cut.meat_kg if cut is not None else None
    mix = read_mix(draft, kitchen.pantry, notes, meat_kg)
    for problem in (*notes.problems, *notes.unweighed):
        if problem.field.startswith("mix."):
            with_choices(problem, problem.given, kitchen.pantry, meat_kg)
    fire = _with_minutes(read_fire(notes, draft.fire, cut is not None and cut.kind.is_minced), cut, notes)
    frozen_share = _frozen_share(draft.occasion, notes)
    hold = read_hold(draft.hold, cut, mix, kitchen.own, notes)
    return Interpretation(
        cut=cut,
        mix=mix,
        hold=_to_the_heat(hold, cut, mix, fire, notes) if hold else None,
        meal=_meal(draft.meal, notes, now, _usual_lead(cut, fire)),
        occasion=_occasion(draft.occasion, frozen_share, notes),
        frozen_share=frozen_share,
        fire=fire,
        notes=notes,
        companions=read_companions(draft.companions, kitchen.pantry, notes, meat_kg),
    )


def _to_the_heat(hold: Hold, cut: Cut | None, mix: MixInterpretation, fire: FireInterpretation, notes: Notes) -> Hold:
    """The hold with what of the mix goes to the heat on the meat, or with it."""
    return replace(hold, left=fire.surface, cooked_in_mix=_cooked_in_mix(cut, mix, fire.stages, notes))


def _cooked_in_mix(cut: Cut | None, mix: MixInterpretation, stages: tuple[CookStage, ...], notes: Notes) -> bool:
    """Whether the mix goes into the pot with the meat, so that nothing has to be in it before: as said, or assumed.

    A wet mix round a cut for the pot is assumed to, unless it is a bath of brine or another way of cooking was said.
    """
    if stages:
        return any(stage.place in ("pot", "parcel") for stage in stages)
    if cut is None or not cut.kind.is_for_the_pot or mix.vessel.form != "liquid" or mix.salting.school is not None:
        return False
    notes.assumed["fire.stages"] = "a pot, with its mix"
    return True


def _with_minutes(fire: FireInterpretation, cut: Cut | None, notes: Notes) -> FireInterpretation:
    """The fire with minutes worked out for a stage that ends by its core and says none; noted as assumed."""
    stages = with_estimates(cut, fire.stages, fire.school, fire.own_core_c)
    for number, stage in enumerate(stages):
        if stage.estimate is not None:
            notes.assumed[f"fire.stages.{number}.time_min"] = minutes_told(stage.estimate)
    return replace(fire, stages=stages)


def _usual_lead(cut: Cut | None, fire: FireInterpretation) -> timedelta:
    """From the pull to the table where it was not said: what the stages take, or an hour, beside drying and travel."""
    known = fire.stages and all(stage.minutes is not None for stage in fire.stages)
    if cut is not None and known:
        return usual_lead(cut, fire)
    return DEFAULT_LEAD + timedelta(minutes=in_steps(fire.dries_min) + in_steps(fire.travels_min))


_FOR_EATERS = lazily(
    r"^(?:for|serves) (?=\S)| (?:people|persons?|guests?|eaters?|servings?|portions?|adults?)$", re.IGNORECASE
)


def _occasion(said: OccasionInput, frozen: float, notes: Notes) -> Occasion | None:
    appetite = notes.choice(said.appetite, APPETITES, ("normal", "normal"), "occasion.appetite")
    if not said.servings:
        return None
    how_many = _FOR_EATERS.sub("", " ".join(said.servings.split()))
    servings = notes.attempt(
        lambda: whole_number(how_many, field="occasion.servings", low=1, high=100, what="servings", between=True)
    )
    return None if servings is None else Occasion(servings, appetite, frozen)


def _frozen_share(said: OccasionInput, notes: Notes) -> float:
    if not said.frozen:
        return notes.assume("occasion.frozen_pct", 0.0, "nothing")
    accepted = "Write 0 to 80 % of the whole; 50 is a double batch with half of it frozen."
    share = notes.attempt(
        lambda: decimal(said.frozen, field="occasion.frozen_pct", low=0, high=80, units=("%",), accepted=accepted)
    )
    return (share or 0.0) / 100


# --- meal ----------------------------------------------------------------------------------


def _meal(said: MealInput, notes: Notes, now: datetime, usual: timedelta) -> Meal | None:
    name = said.time_zone or (notes.assume("meal.time_zone", "UTC", "UTC") if said.at else "UTC")
    zone = notes.attempt(lambda: time_zone(name, field="meal.time_zone"))
    lead_s = notes.attempt(lambda: quantity(said.lead, LEAD, field="meal.lead_min")) if said.lead else None
    if not said.lead:
        minutes = usual / timedelta(minutes=1)
        lead_s = notes.assume("meal.lead_min", usual.total_seconds(), f"{minutes:.0f} min from the mix to the table")
    if not said.at or zone is None:
        return None
    at = notes.attempt(lambda: local_moment(said.at, zone, field="meal.at"))
    if at is None or lead_s is None:
        return None
    contact = _has_been(said.contact, zone, now, notes, field="meal.contact", what="went in")
    pulled = _has_been(said.pulled, zone, now, notes, field="meal.pulled", what="came out")
    if pulled is not None and (contact is None or hours_between(contact, pulled) < 0):
        wrong = "It cannot have come out before it went in."
        accepted = "Say when it went in as well, before that."
        notes.problems.append(InputError(field="meal.pulled", given=said.pulled, wrong=wrong, accepted=accepted))
        pulled = None
    start = notes.attempt(lambda: local_moment(said.start, zone, field="meal.start")) if said.start else None
    thaw_for = _thaw_for(said, zone, at, notes)
    if hours_between(at, now) >= 0 and pulled is None:
        wrong = f"{at:%a %-d %b %Y, %H:%M} is already past."
        accepted = "Write a time still to come, or leave it empty."
        notes.problems.append(InputError(field="meal.at", given=said.at, wrong=wrong, accepted=accepted))
        return None
    if hours_between(now, at) > FARTHEST_H:
        wrong = f"{at:%a %-d %b %Y} is more than a year away."
        notes.problems.append(
            InputError(field="meal.at", given=said.at, wrong=wrong, accepted="Write a time within a year.")
        )
        return None
    early_s = notes.attempt(lambda: quantity(said.early, EARLY, field="meal.early_min")) if said.early else None
    lead, early = timedelta(seconds=lead_s), timedelta(seconds=early_s or 0.0)
    return Meal(at, lead, contact, start_at=start, pulled_at=pulled, early=early, thaw_for=thaw_for)


def _has_been(text: str, zone: ZoneInfo, now: datetime, notes: Notes, *, field: str, what: str) -> datetime | None:
    """A moment that has been; one still to come is listed as wrong."""
    moment = notes.attempt(lambda: local_moment(text, zone, field=field)) if text else None
    if moment is None or hours_between(now, moment) <= SOON / timedelta(hours=1):
        return moment
    wrong = f"{moment:%a %-d %b, %H:%M} is still to come."
    accepted = f"Write when the meat {what}, or leave it empty until it has."
    notes.problems.append(InputError(field=field, given=text, wrong=wrong, accepted=accepted))
    return None


def _thaw_for(said: MealInput, zone: ZoneInfo, at: datetime, notes: Notes) -> datetime | None:
    """The other meal, for the frozen part; it comes after the first."""
    other = notes.attempt(lambda: local_moment(said.thaw_for, zone, field="meal.thaw_for")) if said.thaw_for else None
    if other is None or hours_between(at, other) > 0:
        return other
    wrong = f"{other:%a %-d %b, %H:%M} is not after the first meal."
    accepted = "Write a later meal for the frozen part, or leave it empty."
    notes.problems.append(InputError(field="meal.thaw_for", given=said.thaw_for, wrong=wrong, accepted=accepted))
    return None
