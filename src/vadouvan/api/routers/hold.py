"""Questions about the hold of a draft."""

from __future__ import annotations

from vadouvan.api.context import Here
from vadouvan.api.router import router_of
from vadouvan.api.schemas.hold import ComparisonQuestion
from vadouvan.core.advice.comparing import compared
from vadouvan.formats.judgement import JudgementOut, judgement_out
from vadouvan.unchanging import unchanging

router = router_of("/api/hold", "hold")


@unchanging(kw_only=True)
class ComparisonOut:
    """The other hold, judged, the hour at which to look at it, and how it differs."""

    judgement: JudgementOut
    at_h: float
    says: list[str]


@router.post("/comparison")
def compare_holds(question: ComparisonQuestion, here: Here) -> ComparisonOut:
    """The same batch with one thing changed."""
    kitchen = here.kitchen
    found = compared(
        question.draft,
        kitchen,
        now=here.now(),
        change=question.change,
        value=question.value,
        at_h=question.at_h,
    )
    return ComparisonOut(judgement=judgement_out(found.judgement, kitchen), at_h=found.at_h, says=list(found.says))
