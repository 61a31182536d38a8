"""Lessons of all tasted batches together: the cook's own correction, and what it rests on."""

from __future__ import annotations

from collections import defaultdict
from collections.abc import Iterable
from dataclasses import field
from datetime import datetime

from vadouvan.core.draft.typed import Draft
from vadouvan.core.figure import hours_told
from vadouvan.core.hold.concerns import softened_at
from vadouvan.core.hold.levels import LEAST_AIM
from vadouvan.core.judgement.judge import judge
from vadouvan.core.kitchen.kitchen import NOTHING_LEARNED, Kitchen, OwnCorrection
from vadouvan.core.tasting.hold_history import AsHeld, as_held
from vadouvan.core.tasting.learn import (
    DepthSeen,
    Learned,
    SaltJudged,
    SoftnessJudged,
    learned_pace,
    learned_salt,
    learned_softening,
    salt_says,
)
from vadouvan.core.tasting.verdict import Verdict, mean_step
from vadouvan.unchanging import unchanging

LEAST_DEPTH_M = 0.0005
LEAST_SOFTENED = 0.02  # less is nothing that a verdict could tell of
FAR_FROM_THE_REST = "left out: what was said of it lies far from all else"
LEAST_HELD = 0.5  # of the hour at which the window opens: a shorter hold was not the one that was aimed at (ours)
MOST_LESSONS = 60  # the latest: by then the band is a few per cent wide, and tastes and kitchens change
GROUPS = {
    "red": "red meat",
    "poultry": "poultry",
    "fish": "fish",
    "shellfish": "shellfish",
    "plant": "plants",
    "mince": "minced meat",
    "other": "other meat",
}


@unchanging
class Tasted:
    """A batch with its verdicts; ``counts`` unless its lesson was forgotten, ``insisted`` to count come what may."""

    batch_id: str
    draft: Draft
    verdicts: tuple[Verdict, ...]
    counts: bool = True
    insisted: bool = False


@unchanging
class Taught:
    """The factors on diffusion by family of meat and on softening by family and enzyme, the factor on the salt target.

    ``fruits`` names what brought each enzyme; ``left_out`` says why a batch was.
    """

    pace: dict[str, Learned]
    salt: Learned
    left_out: dict[str, str]
    softening: dict[tuple[str, str], Learned] = field(default_factory=dict)
    fruits: dict[str, str] = field(default_factory=dict)

    @property
    def correction(self) -> OwnCorrection:
        """Corrections that the judgement takes over."""
        softening: dict[str, dict[str, float]] = defaultdict(dict)
        for (family, enzyme), learned in self.softening.items():
            softening[family][enzyme] = learned.factor
        pace = {family: learned.factor for family, learned in self.pace.items()}
        return OwnCorrection(pace, self.salt.factor, softening)


@unchanging
class Lesson:
    """Lesson of one batch: of the pace in a family of meat, of salt, of its fruit; or why it teaches nothing."""

    batch_id: str
    family: str
    depth: DepthSeen | None
    salt: SaltJudged | None
    left_out: str = ""
    softness: SoftnessJudged | None = None
    enzyme: str = ""
    fruit: str = ""


def taught(batches: Iterable[Tasted], kitchen: Kitchen, *, now: datetime) -> Taught:
    """Lessons of tasted batches; batches that cannot be judged, or whose lesson was forgotten, teach nothing."""
    lessons = (lesson_of(batch, kitchen, now=now) for batch in batches)
    return learned_from([lesson for lesson in lessons if lesson is not None])


def lesson_of(batch: Tasted, kitchen: Kitchen, *, now: datetime) -> Lesson | None:
    """Lesson of one batch: it is judged at the model's own pace and the usual target, whatever was learned since."""
    held = as_held(judge(batch.draft, kitchen.with_correction(NOTHING_LEARNED), now=now)) if batch.counts else None
    if held is None:
        return None
    opens_h = held.opens_h
    if held.hours < LEAST_HELD * opens_h:
        says = f"left out: it was held for {hours_told(held.hours)}, and its window opens at {hours_told(opens_h)}"
        return Lesson(batch.batch_id, held.scenario.cut.kind.family, None, None, says)
    step = mean_step(list(batch.verdicts), "salt")
    salt = None
    aimed = held.scenario.hold.salt_target
    if step is not None and held.eaten_salt > 0 and aimed >= LEAST_AIM:  # who aimed at none says nothing of how much
        salt = SaltJudged(batch.batch_id, held.eaten_salt, aimed, step, batch.insisted)
    softness, fruit = _softness(batch, held), held.scenario.balance.tenderiser
    return Lesson(
        batch.batch_id,
        held.scenario.cut.kind.family,
        _depth(batch, held),
        salt,
        softness=softness,
        enzyme=fruit.enzyme if fruit else "",
        fruit=fruit.name if fruit else "",
    )


def _softness(batch: Tasted, held: AsHeld) -> SoftnessJudged | None:
    """How tender it was, where a live fruit had a hand in it."""
    step = mean_step(list(batch.verdicts), "tenderness")
    softened = softened_at(held.scenario, held.hours)
    if step is None or softened < LEAST_SOFTENED:
        return None
    return SoftnessJudged(batch.batch_id, softened, step, batch.insisted)


def learned_from(lessons: Iterable[Lesson]) -> Taught:
    """The factors that lessons come to together."""
    depths: dict[str, list[DepthSeen]] = defaultdict(list)
    salts: list[SaltJudged] = []
    softs: dict[tuple[str, str], list[SoftnessJudged]] = defaultdict(list)
    fruits: dict[str, str] = {}
    left_out: dict[str, str] = {}
    for lesson in lessons:
        if lesson.left_out:
            left_out[lesson.batch_id] = lesson.left_out
        if lesson.depth is not None:
            depths[lesson.family].append(lesson.depth)
        if lesson.salt is not None:
            salts.append(lesson.salt)
        if lesson.softness is not None:
            softs[lesson.family, lesson.enzyme].append(lesson.softness)
            fruits[lesson.enzyme] = lesson.fruit
    salt = learned_salt(salts)
    softening = {key: learned_softening(judged) for key, judged in softs.items()}
    for stray in salt.strays.union(*(learned.strays for learned in softening.values())):
        left_out.setdefault(stray, FAR_FROM_THE_REST)
    pace = {family: learned_pace(seen) for family, seen in depths.items()}
    return Taught(pace, salt, left_out, softening, fruits)


def learned_says(found: Taught, batch_id: str) -> str:
    """The household's salt as verdicts made it, and whether this batch had a part in it, in words."""
    left_out = found.left_out.get(batch_id)
    own = f" This batch is {left_out}." if left_out else ""
    return f"{salt_says(found.salt)}{own}"


def _depth(batch: Tasted, held: AsHeld) -> DepthSeen | None:
    """The depth on the knife: the mean of what was seen, or right through if all who looked say so."""
    seen = [one.depth_m for one in batch.verdicts if one.depth_m is not None]
    through = any(one.is_through for one in batch.verdicts)
    if not seen and not through:
        return None
    if not seen:
        return DepthSeen(batch.batch_id, held.depth_to_middle_m, held.model(), is_through=True)
    depth_m = min(max(sum(seen) / len(seen), LEAST_DEPTH_M), held.depth_to_middle_m)
    return DepthSeen(batch.batch_id, depth_m, held.model(), is_through=depth_m >= held.depth_to_middle_m)
