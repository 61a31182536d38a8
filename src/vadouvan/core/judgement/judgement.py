"""All answers about one batch, as one value."""

from __future__ import annotations

from functools import cached_property

from vadouvan.core.clock.chain import PlanStep
from vadouvan.core.contact.mix_judgement import MixJudgement
from vadouvan.core.figure import Figure
from vadouvan.core.hold.remarks import Remark
from vadouvan.core.hold.scenario import HoldScenario
from vadouvan.core.hold.time_course import TimeCourse, hold_course
from vadouvan.core.hold.window import Window
from vadouvan.core.interpretation.draft import Interpretation
from vadouvan.core.judgement.fire import FireJudgement
from vadouvan.core.judgement.plate import Plate
from vadouvan.core.judgement.salt_ways import salt_ways
from vadouvan.core.judgement.stops import Stop
from vadouvan.core.mix.balance import Balance
from vadouvan.core.mix.salt_offers import SaltOffer
from vadouvan.core.mix.span import SaltState
from vadouvan.core.pantry.pantry import Pantry
from vadouvan.core.schedule.due import Due
from vadouvan.core.schedule.plan import Plan
from vadouvan.unchanging import unchanging


@unchanging
class Judgement:
    """All answers about a batch. What could not be answered is empty, and ``sentence`` says why.

    ``stops`` are what is unsafe: with one there is no plan, and no window to act on.
    """

    reading: Interpretation
    sentence: str
    mix: MixJudgement | None = None
    figures: tuple[Figure, ...] = ()
    grams: tuple[Figure, ...] = ()
    needed: Figure | None = None
    servings: float | None = None
    window: Window | None = None
    scenario: HoldScenario | None = None
    remarks: tuple[Remark, ...] = ()
    plan: Plan | None = None
    plan_says: str = ""
    pull_now: str = ""
    salt_line: str = ""
    held_told: str = ""
    fire: FireJudgement | None = None
    plate: Plate | None = None
    steps: tuple[PlanStep, ...] = ()
    warm_min: float = 0.0
    next_step: PlanStep | None = None
    due: Due | None = None
    stops: tuple[Stop, ...] = ()
    pantry: Pantry | None = None

    @cached_property
    def offers(self) -> tuple[SaltOffer, ...]:
        """Ways to bring the salt to its target; each is a judgement of its own, so only when looked at."""
        if self.mix is None or self.scenario is None or self.window is None or self.pantry is None:
            return ()
        return salt_ways(self.reading, self.mix, self.scenario, self.window.mark, self.pantry)

    @cached_property
    def course(self) -> TimeCourse | None:
        """Salt, acid and softening hour by hour, worked out when it is first looked at: most answers do without."""
        if self.scenario is None or self.window is None:
            return None
        return hold_course(self.scenario, self.window, self.reading.fire.dries_min / 60)

    @property
    def all_figures(self) -> tuple[Figure, ...]:
        """Every figure of the answer, those per kilogram of mix included."""
        return (*self.figures_at_once, *(self.mix.in_mix.figures if self.mix else ()))

    @property
    def figures_at_once(self) -> tuple[Figure, ...]:
        """Figures that a page shows at once."""
        needed = (self.needed,) if self.needed else ()
        plate = self.plate.figures if self.plate else ()
        return (*(self.mix.figures if self.mix else ()), *self.figures, *self.grams, *needed, *plate)

    @property
    def balance(self) -> Balance | None:
        """The balance of what meets the meat."""
        return self.mix.at_contact.balance if self.mix else None

    @property
    def salt(self) -> SaltState | None:
        """Salt against its target."""
        return self.mix.salt if self.mix else None
