"""The judgement in plain words."""

from __future__ import annotations

from collections.abc import Sequence

from vadouvan.core.clock.routine import hours_between
from vadouvan.core.cut.cut import Cut
from vadouvan.core.hold.levels import COMPROMISE, NOT_RECOMMENDED, STRAIGHT_H
from vadouvan.core.hold.window import Window
from vadouvan.core.interpretation.draft import Interpretation
from vadouvan.core.judgement.stops import Stop
from vadouvan.core.mix.left_on import Left
from vadouvan.core.schedule.plan import Plan


def judgement_sentence(window: Window, cut: Cut) -> str:
    """When to pull, and what ends it.

    "Pull between 19 h and 27 h; best about 23 h. The kiwi turns the surface too soft."
    """
    ends = _capital(window.latest.limit.says)
    if window.is_closed:
        return f"No hours are left: {window.latest.limit.says}."
    opens, best, latest = window.earliest_told, window.best_told, window.latest_told
    span = (
        f"at about {latest}"
        if opens == latest or window.is_narrow
        else f"between {opens} and {latest}; best about {best}"
    )
    sentence = f"Pull {span}. {ends}."
    if window.straight:
        sentence = f"It may go straight to the heat. Pull by {latest}; best about {best}. {ends}."
    sentence = f"{_mark_words(window)}{sentence}"
    if cut.kind.family == "mince":
        sentence += " Minced meat: cook it through."
    return sentence


def _mark_words(window: Window) -> str:
    """Opinion of the best hour there is; nothing where it is good."""
    if window.mark >= COMPROMISE:
        return ""
    words = "Not recommended" if window.mark < NOT_RECOMMENDED else "A compromise"
    why = window.spoiled_by or window.latest.limit
    return f"{words}: {why.says}{' at any hour' if window.spoiled_by else ''}. "


def straight_says(window: Window, left: Left) -> str:
    """Going straight to the heat, with what waiting would bring."""
    if window.is_closed:
        return f"No: {window.latest.limit.says}."
    if not window.straight:
        off = f"; {left} off, little of the mix goes to the heat" if left in ("wiped", "rinsed") else ""
        return f"Not yet: it opens after {window.earliest_told}, when {window.earliest.limit.says}{off}."
    better = f" It is better after about {window.best_told}." if window.best.hours > STRAIGHT_H * 2 else ""
    return f"It may go straight to the heat.{better}"


def window_in_short(window: Window) -> str:
    """The window in a few words: "best about 23 h, from 19 h to 27 h"."""
    if window.is_closed:
        return "no good time"
    if window.straight:
        return f"best about {window.best_told}, straight away or until {window.latest_told}"
    if window.is_narrow:
        return f"at about {window.latest_told}"
    return f"best about {window.best_told}, from {window.earliest_told} to {window.latest_told}"


def plan_sentence(plan: Plan) -> str:
    """When to put it in and take it out, on the clock."""
    pull = plan.told(plan.pull_at)
    if plan.trouble:
        ready = f" From now, it is on the table at {plan.told(plan.ready_at)} at the earliest." if plan.ready_at else ""
        return f"{plan.trouble}{ready}"
    span = f"from {plan.told(plan.pull_from)} until {plan.told(plan.pull_until)}"
    if plan.meal.contact_at is not None:
        went = f"It went in at {plan.told(plan.contact_at)}"
        if plan.overdue:
            return f"{went}. It was to come out at {plan.told(plan.meal.pull_at)}: take it out now."
        if plan.meal.pulled_at is not None:
            early = hours_between(plan.pull_at, plan.pull_from) > 0
            late = hours_between(plan.pull_until, plan.pull_at) > 0
            said = " That was before it had opened." if early else " That was past its latest." if late else ""
            return f"{went} and came out at {pull}.{said}"
        return f"{went}; out {pull}. It may come out {span}."
    night = " (kept out of sleep and work)" if plan.after_sleep else ""
    costs = f" {plan.costs}" if plan.costs else ""
    return f"In {plan.told(plan.contact_at)}{night}, out {pull}. It may come out {span}.{costs}"


def stop_sentence(stops: Sequence[Stop]) -> str:
    """Why nothing is planned and what would do, if something stops it."""
    return "Stop. " + " ".join(f"{stop.says} {stop.accepted}" for stop in stops) if stops else ""


def without_words(reading: Interpretation) -> str:
    """Lines that it was judged without; nothing where every line counts."""
    lines = ", ".join(f'"{one.given.strip()[:60]}"' for one in reading.unweighed)
    return f" Judged without {lines}: not weighed, and it seasons little." if lines else ""


def trouble_sentence(reading: Interpretation) -> str:
    """Why there is no judgement yet."""
    if reading.problems:
        count = len(reading.problems)
        return (
            "One thing to mend before this can be judged."
            if count == 1
            else f"{count} things to mend before this can be judged."
        )
    return "Still to say: " + " and ".join(reading.waiting) + "."


def _capital(text: str) -> str:
    return text[:1].upper() + text[1:]
