"""Reading a whole draft."""

from __future__ import annotations

from dataclasses import dataclass, field
from datetime import datetime, timedelta

from vadouvan.core.clock.moment import local_moment, time_zone
from vadouvan.core.clock.plan import Meal
from vadouvan.core.cut.cut import Cut
from vadouvan.core.cut.occasion import Appetite, Occasion
from vadouvan.core.draft import Draft, MealSaid, OccasionSaid
from vadouvan.core.hold.hold import Goal, Hold
from vadouvan.core.kitchen import Kitchen
from vadouvan.core.mix.amount import Portion
from vadouvan.core.reading.cut import read_cut
from vadouvan.core.reading.hold import read_hold
from vadouvan.core.reading.mix import MixReading, read_mix
from vadouvan.core.reading.notes import Notes
from vadouvan.core.said.quantity import LEAD, decimal, quantity, whole_number
from vadouvan.errors import InputError

DEFAULT_FRIDGE_C = 4.0
DEFAULT_LEAD = timedelta(minutes=60)
SOON = timedelta(minutes=10)
THROUGH_UP_TO_M = 0.020  # in joints a point further in than this is not the default aim
GOALS: dict[str, Goal] = {"surface": "surface", "through": "through"}
APPETITES: dict[str, Appetite] = {"light": "light", "normal": "normal", "hearty": "hearty"}


@dataclass(frozen=True)
class Reading:
    """What could be read of a draft, with the notes made on the way."""

    cut: Cut | None
    mix: MixReading
    hold: Hold | None
    meal: Meal | None
    occasion: Occasion | None
    notes: Notes = field(default_factory=Notes)

    @property
    def portions(self) -> tuple[Portion, ...]:
        """The lines of the mix that could be weighed."""
        return self.mix.portions

    @property
    def problems(self) -> list[InputError]:
        """What has to be mended."""
        return self.notes.problems

    @property
    def assumed(self) -> dict[str, str]:
        """What was assumed, by field path."""
        return self.notes.assumed

    @property
    def waiting(self) -> list[str]:
        """Questions not yet answered."""
        return self.notes.waiting


def read_draft(draft: Draft, kitchen: Kitchen, *, now: datetime) -> Reading:
    """Read every answer of a draft; never raises for what a cook typed."""
    notes = Notes()
    cut = read_cut(draft.cut, kitchen, notes)
    mix = read_mix(draft, kitchen.pantry, notes)
    return Reading(
        cut=cut,
        mix=mix,
        hold=read_hold(draft.hold, cut, mix, notes),
        meal=_meal(draft.meal, notes, now),
        occasion=_occasion(draft.occasion, notes),
        notes=notes,
    )


def _occasion(said: OccasionSaid, notes: Notes) -> Occasion | None:
    appetite = notes.choice(said.appetite, APPETITES, ("normal", "normal"), "occasion.appetite")
    frozen = _frozen_share(said, notes)
    if not said.servings:
        return None
    servings = notes.attempt(
        lambda: whole_number(said.servings, field="occasion.servings", low=1, high=100, what="servings")
    )
    return None if servings is None else Occasion(servings, appetite, frozen)


def _frozen_share(said: OccasionSaid, notes: Notes) -> float:
    if not said.frozen:
        return notes.assume("occasion.frozen_pct", 0.0, "nothing")
    accepted = "Write 0 to 80 % of the whole; 50 is a double batch with half of it frozen."
    share = notes.attempt(
        lambda: decimal(said.frozen, field="occasion.frozen_pct", low=0, high=80, units=("%",), accepted=accepted)
    )
    return (share or 0.0) / 100


# --- meal ----------------------------------------------------------------------------------


def _meal(said: MealSaid, notes: Notes, now: datetime) -> Meal | None:
    name = said.time_zone or (notes.assume("meal.time_zone", "UTC", "UTC") if said.at else "UTC")
    zone = notes.attempt(lambda: time_zone(name, field="meal.time_zone"))
    lead_s = notes.attempt(lambda: quantity(said.lead, LEAD, field="meal.lead_min")) if said.lead else None
    if not said.lead:
        lead_s = notes.assume("meal.lead_min", DEFAULT_LEAD.total_seconds(), "60 min from the mix to the table")
    if not said.at or zone is None:
        return None
    at = notes.attempt(lambda: local_moment(said.at, zone, field="meal.at"))
    if at is None or lead_s is None:
        return None
    contact = notes.attempt(lambda: local_moment(said.contact, zone, field="meal.contact")) if said.contact else None
    if contact is not None and contact > now + SOON:
        wrong = f"{contact:%a %-d %b, %H:%M} is still to come."
        accepted = "Write when the meat went in, or leave it empty until it has."
        notes.problems.append(InputError(field="meal.contact", given=said.contact, wrong=wrong, accepted=accepted))
        contact = None
    if at <= now:
        wrong = f"{at:%a %-d %b %Y, %H:%M} is already past."
        notes.problems.append(
            InputError(
                field="meal.at", given=said.at, wrong=wrong, accepted="Write a time still to come, or leave it empty."
            )
        )
        return None
    return Meal(at, timedelta(seconds=lead_s), contact)
