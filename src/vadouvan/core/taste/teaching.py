"""What all tasted batches together teach: the cook's own correction, and what it rests on."""

from __future__ import annotations

from collections import defaultdict
from collections.abc import Iterable
from dataclasses import dataclass
from datetime import datetime

from vadouvan.core.draft import Draft
from vadouvan.core.judge import judge
from vadouvan.core.kitchen import NOTHING_LEARNED, Kitchen, OwnCorrection
from vadouvan.core.taste.held import AsHeld, as_held
from vadouvan.core.taste.learn import DepthSeen, Learned, SaltJudged, learned_pace, learned_salt
from vadouvan.core.taste.verdict import Verdict, mean_step

LEAST_DEPTH_M = 0.0005
GROUPS = {
    "red": "red meat",
    "poultry": "poultry",
    "fish": "fish",
    "shellfish": "shellfish",
    "plant": "plants",
    "mince": "minced meat",
}


@dataclass(frozen=True)
class Tasted:
    """A batch with its verdicts; ``counts`` unless what it teaches was forgotten."""

    batch_id: str
    draft: Draft
    verdicts: tuple[Verdict, ...]
    counts: bool = True


@dataclass(frozen=True)
class Taught:
    """The factor on diffusion by family of meat, and the factor on the salt target."""

    pace: dict[str, Learned]
    salt: Learned

    @property
    def correction(self) -> OwnCorrection:
        """What the judgement takes over."""
        return OwnCorrection({family: learned.factor for family, learned in self.pace.items()}, self.salt.factor)


def taught(batches: Iterable[Tasted], kitchen: Kitchen, *, now: datetime) -> Taught:
    """What tasted batches teach; batches that cannot be judged, or whose lesson was forgotten, teach nothing."""
    plain = kitchen.with_correction(NOTHING_LEARNED)
    depths: dict[str, list[DepthSeen]] = defaultdict(list)
    salts: list[SaltJudged] = []
    for batch in batches:
        held = as_held(judge(batch.draft, plain, now=now)) if batch.counts else None
        if held is None:
            continue
        family = held.case.cut.kind.family
        depth = _depth(batch, held)
        if depth is not None:
            depths[family].append(depth)
        step = mean_step(list(batch.verdicts), "salt")
        if step is not None and held.eaten_salt > 0:
            salts.append(SaltJudged(batch.batch_id, held.eaten_salt, held.case.hold.salt_target, step))
    return Taught({family: learned_pace(seen) for family, seen in depths.items()}, learned_salt(salts))


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
