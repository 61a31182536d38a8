"""Moving the meal, the pull or the start of a plan: what depends on it moves along."""

from __future__ import annotations

from dataclasses import replace
from datetime import datetime, timedelta
from typing import Literal

from vadouvan.core.clock.routine import hours_between, on_a_step
from vadouvan.core.draft.typed import Draft
from vadouvan.core.schedule.plan import Plan
from vadouvan.errors import InputError

Mark = Literal["meal", "pull", "start"]
LONGEST_LEAD_H = 24.0
LATEST_MOVE = timedelta(days=60)


def moved(draft: Draft, plan: Plan, mark: Mark, to: datetime) -> Draft:
    """The draft with one mark of its plan at another moment, rounded to five minutes.

    The meal takes its pull along, and a start that was asked for is chosen anew; the pull changes the time from the
    mix to the table; the start is what the cook asks for. Raises InputError for a moment that the mark cannot have.
    """
    if abs(hours_between(plan.meal.at, to)) > LATEST_MOVE / timedelta(hours=1):
        raise _refused(mark, to, f"{to:%-d %B %Y} is too far from the meal as it is.", "Move it by up to two months.")
    local = on_a_step(to).astimezone(plan.meal.at.tzinfo)
    if mark == "meal":
        return replace(draft, meal=replace(draft.meal, at=_typed(local), start=""))
    if mark == "start":
        if plan.meal.contact_at is not None:
            raise _refused(
                mark, to, f"It went in at {plan.told(plan.contact_at)}.", "Correct that hour, if it was another."
            )
        return replace(draft, meal=replace(draft.meal, start=_typed(local)))
    if plan.meal.pulled_at is not None:
        raise _refused(mark, to, f"It came out at {plan.told(plan.pull_at)}.", "Correct that hour, if it was another.")
    lead_h = hours_between(local, plan.meal.at) - plan.meal.early / timedelta(hours=1)
    if not 0 <= lead_h <= LONGEST_LEAD_H:
        wrong = f"The pull would be {round(abs(lead_h) * 60)} minutes {'after' if lead_h < 0 else 'before'} the meal."
        raise _refused(mark, to, wrong, "Move the pull to within a day before the meal.")
    return replace(draft, meal=replace(draft.meal, lead=f"{round(lead_h * 60)} min"))


def _typed(local: datetime) -> str:
    return f"{local:%Y-%m-%dT%H:%M}"


def _refused(mark: Mark, to: datetime, wrong: str, accepted: str) -> InputError:
    return InputError(field=f"plan.{mark}", given=to.isoformat(), wrong=wrong, accepted=accepted)
