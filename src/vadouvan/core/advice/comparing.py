"""The same batch held another way: one thing changed, and what that does."""

from __future__ import annotations

from dataclasses import replace
from datetime import datetime
from typing import Literal

from vadouvan.core.advice.amounts import amounts_for
from vadouvan.core.draft.typed import Draft, LineInput, StepInput
from vadouvan.core.hold.telling import between_hours, differences
from vadouvan.core.judgement.judge import judge
from vadouvan.core.judgement.judgement import Judgement
from vadouvan.core.kitchen.kitchen import Kitchen
from vadouvan.core.measures.quantity import CONTACT, quantity
from vadouvan.errors import InputError
from vadouvan.unchanging import unchanging

Change = Literal[
    "hour", "thickness", "salt_target", "scored", "heat_treated", "fridge", "turned", "vacuum", "vacuum_faster"
]
SCORE_DEPTH_SHARE, SCORE_SPACING = 4, "20 mm"


@unchanging
class Comparison:
    """The other hold as a draft and judged, the hour at which it is looked at, and how it differs from this one."""

    draft: Draft
    judgement: Judgement
    at_h: float
    says: tuple[str, ...]


def compared(draft: Draft, kitchen: Kitchen, *, now: datetime, change: Change, value: str, at_h: float) -> Comparison:
    """A draft with one thing changed; ``value`` is what was typed for a thickness, a target or a fridge.

    Raises InputError when either cannot be judged.
    """
    this = judge(draft, kitchen, now=now)
    other_draft = changed(draft, kitchen, now=now, change=change, value=value, this=this)
    other = judge(other_draft, kitchen, now=now)
    if this.window is None or this.course is None:
        raise InputError(field="draft", given="", wrong=this.sentence, accepted="Finish the cut and the mix first.")
    if other.window is None or other.course is None:
        problem = other.reading.problems[0] if other.reading.problems else None
        raise InputError(
            field=problem.field if problem else change,
            given=value,
            wrong=problem.wrong if problem else other.sentence,
            accepted=problem.accepted if problem else "Write another value.",
        )
    if change == "hour":
        other_h = quantity(value, CONTACT, field="hour") / 3600
        return Comparison(draft, this, other_h, tuple(between_hours(this.course, at_h, other_h)))
    says = differences((this.window, this.course), (other.window, other.course), at_h)
    return Comparison(other_draft, other, at_h, tuple(says))


def changed(draft: Draft, kitchen: Kitchen, *, now: datetime, change: Change, value: str, this: Judgement) -> Draft:
    """The draft with one thing changed."""
    if change == "hour":
        return draft
    if change == "thickness":
        return replace(draft, cut=replace(draft.cut, thickness=value, pieces="", width="", length=""))
    if change == "fridge":
        return replace(draft, hold=replace(draft.hold, fridge=value, readings=""))
    if change == "turned":
        turned = "left" if draft.hold.turned in ("", "turned") else "turned"
        return replace(draft, hold=replace(draft.hold, turned=turned))
    if change in ("vacuum", "vacuum_faster"):
        school = "faster" if change == "vacuum_faster" else "contact"
        quantity = replace(draft.quantity, container="vacuum")
        return replace(draft, quantity=quantity, hold=replace(draft.hold, vacuum_school=school))
    if change == "heat_treated":
        return replace(draft, making=replace(draft.making, method="cooked", reduce_to=""))
    if change == "scored":
        return replace(draft, cut=replace(draft.cut, steps=_scored_or_not(draft, this)))
    aimed = replace(draft, hold=replace(draft.hold, salt_target=value))
    words = {line.line_id: line.text for line in amounts_for(aimed, kitchen, now=now).lines}
    mix = tuple(LineInput(line.id, words.get(line.id, line.text), line.locked, line.lifted, line.first)
                for line in draft.mix)  # fmt: skip
    return replace(aimed, mix=mix)


def _scored_or_not(draft: Draft, this: Judgement) -> tuple[StepInput, ...]:
    """Scoring added to a quarter of the thickness, or taken away where there is some."""
    kept = tuple(step for step in draft.cut.steps if step.kind != "scored")
    if len(kept) < len(draft.cut.steps) or this.reading.cut is None:
        return kept
    depth_mm = max(2, round(this.reading.cut.thickness_m * 1000 / SCORE_DEPTH_SHARE))
    return (*kept, StepInput("scored", "scored", depth=f"{depth_mm} mm", spacing=SCORE_SPACING, crosswise="yes"))
