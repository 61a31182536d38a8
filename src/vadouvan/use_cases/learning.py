"""Learning from what was tasted: the cook's own correction, worked out from all verdicts and kept."""

from __future__ import annotations

from collections.abc import Sequence

from vadouvan.core.tasting.teaching import Tasted, Taught, learned_from
from vadouvan.use_cases.running_kitchen import RunningKitchen


def taught_by(tasted: Sequence[Tasted], here: RunningKitchen) -> Taught:
    """Meaning of these verdicts in this kitchen; each batch is judged once for each state of it."""
    return learned_from(here.logbook_cache.lessons(tasted, here.kitchen, now=here.now()))


def learn(here: RunningKitchen) -> None:
    """Work the correction out anew from all verdicts, and keep it."""
    here.settings.keep_correction(taught_by(here.logbook_cache.tasted(), here).correction)
