"""The plan step by step, around a week; what happened against what was planned; offers that work."""

from __future__ import annotations

import unittest
from collections.abc import Sequence
from dataclasses import replace
from datetime import UTC, datetime, time, timedelta
from zoneinfo import ZoneInfo

from hypothesis import given, settings
from hypothesis import strategies as st

from tests import drawn
from tests.drafts import NOW, SATURDAY, judged, of_kind, steak
from tests.mixes import KITCHEN
from tests.saturday import saturday_drafts
from vadouvan.core.advice.offers import plan_offers
from vadouvan.core.clock.chain import PlanStep
from vadouvan.core.clock.routine import DaySpan, Routine, hours_between, later
from vadouvan.core.draft.typed import AimsInput, Draft, LineInput, MakingInput, MealInput, QuantityInput
from vadouvan.core.judgement.judge import judge
from vadouvan.core.judgement.judgement import Judgement

LISBON = ZoneInfo("Europe/Lisbon")
WEEK = Routine(work=DaySpan(time(8, 0), time(16, 30), frozenset(range(5))))
SKEWERS = of_kind("lamb_shoulder_cubes", "1 kg", "cube", "30 mm", "12 g salt", "50 g lemon juice", "40 g olive oil")


def planned(draft: Draft, meal: MealInput = SATURDAY, routine: Routine = WEEK, now: datetime = NOW) -> Judgement:
    """The judgement of a draft for a meal in a week."""
    return judge(replace(draft, meal=meal), KITCHEN.with_routine(routine), now=now)


def busy_steps(steps: Sequence[PlanStep], routine: Routine) -> list[PlanStep]:
    """Hands-on steps that fall into sleep or work."""
    return [step for step in steps if step.hands_on and not routine.free_for(step.at, timedelta(minutes=step.minutes))]


class Steps(unittest.TestCase):
    """From preparing to serving."""

    def test_they_follow_one_another_and_end_with_the_meal(self) -> None:
        """Each step after the one it waits for; the last is on the table at the hour said."""
        judgement = planned(replace(SKEWERS, quantity=QuantityInput(set_aside="30 g")))
        steps = {step.id: step for step in judgement.steps}
        begins = [step.at.timestamp() for step in judgement.steps]
        self.assertEqual(begins, sorted(begins))
        for step in judgement.steps:
            if step.waits_for:
                self.assertGreaterEqual(step.at, steps[step.waits_for].at, step.id)
        self.assertEqual(steps["serve"].at, datetime(2026, 11, 28, 19, 0, tzinfo=LISBON))
        self.assertLess(steps["set-aside"].at, steps["contact"].at)
        assert judgement.plan is not None
        self.assertEqual(steps["pull"].at, judgement.plan.meal.pull_at)

    def test_no_hand_is_asked_for_in_sleep_or_at_work(self) -> None:
        """The demo Saturday, and every hour of meals from Thursday to Sunday."""
        for draft in saturday_drafts(NOW):
            judgement = judge(draft, KITCHEN.with_routine(WEEK), now=NOW)
            before_pull = [step for step in judgement.steps if judgement.plan and step.at < judgement.plan.meal.pull_at]
            self.assertEqual([step.id for step in busy_steps(before_pull, WEEK)], [], draft.name)
        for hour in range(96):
            at = datetime(2026, 11, 27, 12, 0, tzinfo=LISBON) + timedelta(hours=hour)
            judgement = planned(SKEWERS, MealInput(f"{at:%Y-%m-%dT%H:%M}", "60 min", "Europe/Lisbon"))
            if judgement.plan is None or judgement.plan.trouble:
                continue
            early = [step for step in judgement.steps if step.at < judgement.plan.meal.pull_at]
            self.assertEqual([step.id for step in busy_steps(early, WEEK)], [], at)

    def test_turns(self) -> None:
        """Once or twice in a hold, or halfway (common practice, no source); never in a vacuum bag."""
        ids = [step.id for step in planned(SKEWERS).steps]
        self.assertIn("turn-1", ids)
        vacuum = replace(SKEWERS, quantity=QuantityInput(container="vacuum"))
        self.assertFalse([step for step in planned(vacuum).steps if step.id.startswith("turn")])

    def test_rest_temper_and_brine_rest(self) -> None:
        """Small pieces 5 min, a joint 10 to 20; temper 15 to 30; a brined piece 3 h at least (common practice)."""
        steps = {step.id: step for step in planned(SKEWERS).steps}
        self.assertEqual(steps["rest"].minutes, 5)
        self.assertTrue(15 <= steps["temper"].minutes <= 30)
        self.assertNotIn("brine-rest", steps)
        bath = replace(steak("40 g salt", "1 l water"), aims=AimsInput(school="equilibrium"))
        long = {step.id: step for step in planned(bath, replace(SATURDAY, lead="5 h")).steps}
        self.assertGreaterEqual(long["brine-rest"].minutes, 180)

    def test_a_short_lead_has_no_tempering(self) -> None:
        """25 minutes from the mix to the table: out, cook, rest."""
        short = planned(SKEWERS, replace(SATURDAY, lead="25 min")).steps
        after = [step.id for step in short if step.at >= next(one.at for one in short if one.id == "pull")]
        self.assertEqual(after, ["pull", "cook", "rest", "serve"])

    def test_a_cooked_mix_is_cold_before_contact(self) -> None:
        """Simmering and cooling stand before it, one after the other."""
        cooked = replace(steak("100 g soy sauce", "50 g water"), making=MakingInput(method="cooked"))
        steps = {step.id: step for step in planned(cooked).steps}
        self.assertLessEqual(steps["simmer"].ends, steps["cool"].at)
        self.assertLessEqual(steps["cool"].ends, steps["contact"].at)


# A wet mix, which stays in the bowl: it needs an hour before it opens.
WET = replace(SKEWERS, mix=(*SKEWERS.mix, LineInput("y", "600 g yoghurt")))


class Happened(unittest.TestCase):
    """Contact as it was."""

    def test_everything_after_is_planned_from_it(self) -> None:
        """Two hours late: the pull window moves with it."""
        now = datetime(2026, 11, 28, 10, 0, tzinfo=LISBON)
        early = planned(SKEWERS, replace(SATURDAY, contact="2026-11-28T07:00"), now=now).plan
        late = planned(SKEWERS, replace(SATURDAY, contact="2026-11-28T09:00"), now=now).plan
        assert early is not None
        assert late is not None
        self.assertEqual(hours_between(early.pull_from, late.pull_from), 2)
        self.assertEqual(late.contact_at, datetime(2026, 11, 28, 9, 0, tzinfo=LISBON))

    def test_too_late_and_too_early_say_what_collides(self) -> None:
        """Half an hour before the pull; the night before last; five days before it is no more food."""
        now = datetime(2026, 11, 28, 17, 50, tzinfo=LISBON)
        late = planned(WET, replace(SATURDAY, contact="2026-11-28T17:30"), now=now)
        self.assertIn("should have by", late.plan_says)
        self.assertIn("at the earliest", late.plan_says)
        softened = replace(SKEWERS, mix=(*SKEWERS.mix, LineInput("k", "250 g kiwi")))
        early = planned(softened, replace(SATURDAY, contact="2026-11-27T02:00"), now=now)
        self.assertIn("has to come out by", early.plan_says)
        raw = planned(SKEWERS, replace(SATURDAY, contact="2026-11-23T09:00"), now=now)
        self.assertEqual([stop.id for stop in raw.stops], ["raw-too-long"])

    def test_what_is_still_to_come_is_refused(self) -> None:
        """A contact in the future has not happened."""
        problems = planned(SKEWERS, replace(SATURDAY, contact="2026-11-28T09:00")).reading.problems
        self.assertEqual([problem.field for problem in problems], ["meal.contact"])

    def test_a_late_guest(self) -> None:
        """An hour later: contact stays as it was, the pull moves, still inside the window."""
        now = datetime(2026, 11, 28, 12, 0, tzinfo=LISBON)
        meal = replace(SATURDAY, contact="2026-11-28T07:00", at="2026-11-28T20:00")
        plan = planned(SKEWERS, meal, now=now).plan
        assert plan is not None
        self.assertIsNone(plan.trouble)
        self.assertEqual(plan.meal.pull_at.hour, 19)


class Offers(unittest.TestCase):
    """Nearest plans that work."""

    def test_each_offer_works(self) -> None:
        """Taken, its plan has no trouble."""
        for minutes in (20, 90):
            at = later(NOW, timedelta(minutes=minutes)).astimezone(LISBON)
            draft = replace(WET, meal=MealInput(f"{at:%Y-%m-%dT%H:%M}", "60 min", "Europe/Lisbon"))
            offers = plan_offers(draft, KITCHEN, now=NOW)
            self.assertTrue(offers, minutes)
            for offer in offers:
                plan = judged(offer.draft).plan
                assert plan is not None
                self.assertIsNone(plan.trouble, offer.says)

    def test_none_for_a_plan_that_works_or_no_meal(self) -> None:
        """Nothing to mend."""
        self.assertEqual(plan_offers(replace(SKEWERS, meal=SATURDAY), KITCHEN, now=NOW), [])
        self.assertEqual(plan_offers(SKEWERS, KITCHEN, now=NOW), [])

    def test_at_any_hour_a_later_meal_is_offered(self) -> None:
        """A meal in 70 minutes: later the same day, or, in the evening, at the same hour of another."""
        for hour in range(24):
            now = datetime(2026, 11, 25, hour, 5, tzinfo=UTC)
            meal = MealInput(f"{now + timedelta(minutes=70):%Y-%m-%dT%H:%M}", "45 min", "UTC")
            offers = plan_offers(replace(WET, meal=meal), KITCHEN, now=now)
            with self.subTest(hour=hour):
                (later,) = [offer for offer in offers if offer.id == "later-meal"]
                plan = judge(later.draft, KITCHEN, now=now).plan
                assert plan is not None
                self.assertIsNone(plan.trouble)

    def test_hands_that_are_never_free(self) -> None:
        """Sleep of all but five minutes: the two things that collide are named."""
        routine = Routine(sleep=DaySpan(time(0, 5), time(0, 0)))
        says = planned(SKEWERS, routine=routine).plan_says
        self.assertIn("your hands are not free", says)


class Week(unittest.TestCase):
    """Sleep, work, and changes of the clock."""

    @settings(max_examples=drawn(60))
    @given(st.integers(0, 24 * 400), st.integers(0, 90), st.integers(0, 90))
    def test_the_nearest_free_moment_is_free_and_nearest(self, hours: int, before_min: int, hands_min: int) -> None:
        """Against a search over every five minutes, walking over both changes of the clock."""
        wanted = later(datetime(2026, 3, 20, 0, 0, tzinfo=UTC), timedelta(hours=hours)).astimezone(LISBON)
        before, hands = timedelta(minutes=before_min), timedelta(minutes=hands_min)
        first, last = later(wanted, -timedelta(hours=14)), later(wanted, timedelta(hours=14))
        found = WEEK.nearest_free(wanted, first=first, last=last, hands=hands, before=before)
        grid = [later(wanted, timedelta(minutes=5 * step)) for step in range(-168, 169)]
        free = [one for one in grid if WEEK.free_for(later(one, -before), hands)]
        if not free:
            self.assertIsNone(found)
            return
        assert found is not None
        nearest = min(abs(hours_between(one, wanted)) for one in free)
        self.assertAlmostEqual(abs(hours_between(found, wanted)), nearest, delta=1e-9)

    def test_stretches_to_draw(self) -> None:
        """A week from Monday: nights and five days of work; each busy inside, free at its ends."""
        first = datetime(2026, 11, 23, 0, 0, tzinfo=LISBON)
        stretches = WEEK.between(first, later(first, timedelta(days=7)))
        self.assertEqual([what for what, _, _ in stretches].count("work"), 5)
        self.assertIn([what for what, _, _ in stretches].count("sleep"), (7, 8))
        for _, begins, ends in stretches:
            self.assertTrue(WEEK.busy(later(begins, timedelta(minutes=30))))
            self.assertFalse(WEEK.busy(ends))

    def test_work_holds_on_weekdays_only(self) -> None:
        """Friday at ten, not Saturday."""
        self.assertTrue(WEEK.busy(datetime(2026, 11, 27, 10, 0, tzinfo=LISBON)))
        self.assertFalse(WEEK.busy(datetime(2026, 11, 28, 10, 0, tzinfo=LISBON)))
