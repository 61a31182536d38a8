"""What refuses a plan outright, in words: a stop is never only shown."""

from __future__ import annotations

from collections.abc import Sequence

from vadouvan.core.constants import TWO_HOUR_RULE
from vadouvan.core.fire.brushing import used_raw
from vadouvan.core.hold.remarks import Remark
from vadouvan.core.mix.amount import Portion
from vadouvan.core.mix.curing import names_curing_salt
from vadouvan.core.mix_judgement import MixJudgement
from vadouvan.core.reading.draft import Reading


def stops_before_planning(mix: MixJudgement, remarks: Sequence[Remark], reading: Reading) -> list[str]:
    """Sentences of all stops that are known before there is a plan; empty if nothing refuses it."""
    found = [step.says for step in mix.steps if step.kind == "stop"]
    found += [remark.says for remark in remarks if remark.kind == "stop"]
    cures = [portion.ingredient.name for portion in reading.portions if is_curing(portion)]
    if cures:
        found.append(f"{cures[0]} is for curing: that needs a tested recipe and exact dosing, and is not planned here.")
    raw = reading.cut is not None and reading.cut.kind.family != "plant"
    if raw and used_raw(reading.stages):
        found.append(used_raw(reading.stages))
    return found


def is_curing(portion: Portion) -> bool:
    """Whether a line is a curing salt."""
    return names_curing_salt(portion.ingredient.name)


def warm_stop(warm_min: float) -> str:
    """The two-hour rule against the minutes that a plan leaves raw meat out of the cold; empty if it holds."""
    if warm_min <= TWO_HOUR_RULE.value:
        return ""
    return (
        f"The meat would be out of the cold for {warm_min:.0f} minutes in all, and two hours are the limit "
        "(one above 32 °C). Prepare it in parts, or leave out tempering."
    )
