"""A plan around what happens: frozen starts, a part for the freezer, missed pulls, late guests, nights, stops."""

from __future__ import annotations

import unittest
from dataclasses import replace
from datetime import UTC, datetime, time, timedelta
from zoneinfo import ZoneInfo

from tests.drafts import NOW, SATURDAY, judged, of_kind, steak
from tests.mixes import KITCHEN
from vadouvan.core.advice.offers import plan_offers
from vadouvan.core.clock.chain import PlanStep, Task, laid_before
from vadouvan.core.clock.routine import DaySpan, Routine, hours_between
from vadouvan.core.draft.typed import (
    CutInput,
    Draft,
    FireInput,
    LineInput,
    MakingInput,
    MealInput,
    OccasionInput,
    StageInput,
    StepInput,
)
from vadouvan.core.judgement.caution_triggers import cautions_called_for
from vadouvan.core.judgement.judge import judge
from vadouvan.core.judgement.judgement import Judgement
from vadouvan.core.schedule.moving import moved
from vadouvan.errors import InputError

LISBON = ZoneInfo("Europe/Lisbon")
WEEK = Routine(work=DaySpan(time(8, 0), time(16, 30), frozenset(range(5))))
JOINT = of_kind("pork_shoulder", "4 kg", "irregular", "110 mm", "60 g salt", "2 l buttermilk", pieces="1")
SKEWERS = of_kind("lamb_shoulder_cubes", "1 kg", "cube", "30 mm", "12 g salt", "50 g lemon juice", "40 g olive oil")


def at(text: str) -> datetime:
    """A local moment of the last days of November 2026."""
    return datetime.fromisoformat(f"2026-11-{text}").replace(tzinfo=LISBON)


def planned(draft: Draft = SKEWERS, now: datetime = NOW, routine: Routine = WEEK, **meal: str) -> Judgement:
    """The judgement of a draft for Saturday, with other answers about the meal."""
    return judge(replace(draft, meal=replace(SATURDAY, **meal)), KITCHEN.with_routine(routine), now=now)


def steps(judgement: Judgement) -> dict[str, PlanStep]:
    """Steps by their id."""
    return {step.id: step for step in judgement.steps}


class Before(unittest.TestCase):
    """Work on the cut before the mix."""

    def test_each_step_is_told_as_it_is_to_be_done(self) -> None:
        """Hands-on work together in one step, soaking by itself; shopping by the whole name of the cut."""
        cut = CutInput(
            kind="pork_back_ribs",
            mass="1.6 kg",
            steps=(StepInput("1", "cold_soak"), StepInput("2", "divided", spacing="30 mm"), StepInput("3", "patted")),
        )
        found = steps(planned(replace(SKEWERS, cut=cut)))
        self.assertEqual(found["prepare-0"].says, "Soak it cold, an hour.")
        self.assertEqual(found["prepare"].says, "The cut: cut it apart every 30 mm; pat it dry.")
        self.assertIn("pork, back ribs, 1600 g", found["shop"].says)


class Frozen(unittest.TestCase):
    """A frozen start, and a part that is frozen in its mix."""

    def test_a_frozen_start_thaws_first(self) -> None:
        """A day for small packs (FSIS, from memory), hands free at its beginning, and no earlier than now."""
        frozen = planned(replace(SKEWERS, cut=replace(SKEWERS.cut, state="frozen")))
        found = steps(frozen)
        self.assertEqual(found["thaw"].minutes, 24 * 60)
        self.assertEqual((found["thaw"].zone, found["thaw-out"].place), ("cold", "freezer"))
        self.assertLessEqual(found["thaw"].ends, found["weigh"].at)
        self.assertFalse(WEEK.busy(found["thaw-out"].at))
        self.assertNotIn("shop", found)
        self.assertIn("thaw", cautions_called_for(frozen))

    def test_a_joint_thaws_by_weight(self) -> None:
        """24 h for each 4 to 5 lb (FSIS, from memory): 4 kg take 43 to 53 h."""
        joint = of_kind(
            "pork_shoulder", "4 kg", "irregular", "110 mm", "60 g salt", "2 l buttermilk", pieces="1", state="frozen"
        )
        self.assertTrue(43 <= steps(planned(joint))["thaw"].minutes / 60 <= 53)

    def test_too_late_to_thaw_says_when_it_would_work(self) -> None:
        """Ten hours before the meal it is still frozen."""
        frozen = replace(SKEWERS, cut=replace(SKEWERS.cut, state="frozen"))
        plan = planned(frozen, now=at("28T09:00")).plan
        assert plan is not None
        self.assertIn("should have gone in", plan.trouble or "")
        assert plan.ready_at is not None
        self.assertGreater(hours_between(at("28T09:00"), plan.ready_at), 24)

    def test_a_part_for_another_date(self) -> None:
        """Packed at contact; out of the freezer a day before its best hold begins; on the table at the hour said."""
        half = replace(SKEWERS, occasion=OccasionInput(frozen="50"))
        judgement = planned(half, thaw_for="2026-12-12T19:00")
        found, window = steps(judgement), judgement.window
        assert window is not None
        self.assertIn("500 g of the meat", found["freeze"].says)
        self.assertEqual(found["freeze"].at, found["contact"].ends)
        self.assertEqual(found["frozen-serve"].at, datetime(2026, 12, 12, 19, 0, tzinfo=LISBON))
        held = hours_between(found["frozen-thawed"].at, found["frozen-pull"].at)
        self.assertTrue(window.safe_earliest_h <= held <= window.safe_latest_h)
        self.assertFalse(WEEK.busy(found["frozen-out"].at))
        begins = [step.at.timestamp() for step in judgement.steps]
        self.assertEqual(begins, sorted(begins))

    def test_without_a_date_it_is_only_packed(self) -> None:
        """No meal, no thawing."""
        found = steps(planned(replace(SKEWERS, occasion=OccasionInput(frozen="50"))))
        self.assertIn("freeze", found)
        self.assertNotIn("frozen-out", found)

    def test_dates_that_cannot_be(self) -> None:
        """Before the first meal: refused; the next morning, and next summer: said."""
        half = replace(SKEWERS, occasion=OccasionInput(frozen="50"))
        early = planned(half, thaw_for="2026-11-28T12:00").reading.problems
        self.assertEqual([problem.field for problem in early], ["meal.thaw_for"])
        self.assertIn("ready from", planned(half, thaw_for="2026-11-29T09:00").plan_says)
        self.assertIn("months in the freezer", planned(half, thaw_for="2027-07-01T19:00").plan_says)


class Happened(unittest.TestCase):
    """The pull as it was, or was not."""

    def test_a_missed_pull_is_planned_for_now(self) -> None:
        """Due at 18:00, and it is 18:20: out now, the hold judged as it is, the meal still kept."""
        judgement = planned(now=at("28T18:20"), contact="2026-11-28T07:00")
        plan = judgement.plan
        assert plan is not None
        self.assertTrue(plan.overdue)
        self.assertEqual(plan.pull_at, at("28T18:20"))
        self.assertAlmostEqual(plan.hold_h, 11 + 1 / 3, places=6)
        self.assertIn("take it out now", judgement.plan_says)
        self.assertEqual(steps(judgement)["pull"].at, at("28T18:20"))

    def test_missed_for_too_long(self) -> None:
        """Past the latest hour of its window: said, with no plan."""
        softened = replace(SKEWERS, mix=(*SKEWERS.mix, LineInput("k", "250 g kiwi")))
        plan = planned(softened, now=at("28T18:20"), contact="2026-11-27T02:00").plan
        assert plan is not None
        self.assertIn("should have come out by", plan.trouble or "")

    def test_too_little_time_left_to_cook(self) -> None:
        """A stage of 40 minutes and a pull missed by half an hour: what it takes, what there is, and a later meal."""
        grill = replace(SKEWERS, fire=FireInput(stages=(StageInput("1", "grill", minutes="40 min"),)))
        judgement = planned(grill, now=at("28T18:30"), contact="2026-11-28T07:00")
        plan = judgement.plan
        assert plan is not None
        self.assertIn("it takes 50 minutes to dry, cook and rest, and there are 30", plan.trouble or "")
        self.assertEqual(plan.ready_at, at("28T19:25"))

    def test_it_came_out_early(self) -> None:
        """An hour before: the rest is planned from there, and the hold ends there."""
        judgement = planned(now=at("28T17:05"), contact="2026-11-28T07:00", pulled="2026-11-28T17:00")
        plan = judgement.plan
        assert plan is not None
        self.assertEqual((plan.hold_h, plan.lead), (10.0, timedelta(hours=2)))
        self.assertIn("came out at Sat 17:00", judgement.plan_says)

    def test_out_before_in_is_refused(self) -> None:
        """And out without in."""
        for contact in ("2026-11-28T07:00", ""):
            problems = planned(now=at("28T09:00"), contact=contact, pulled="2026-11-28T06:00").reading.problems
            self.assertEqual([problem.field for problem in problems], ["meal.pulled"])

    def test_a_warm_hour_in_the_fridge_moves_the_window(self) -> None:
        """Noted at 8 C for an hour: the window of everything after is another (and the caution shows)."""
        cold = planned(now=at("28T12:00"), contact="2026-11-28T07:00")
        warm_draft = replace(SKEWERS, hold=replace(SKEWERS.hold, readings="0 h 4 C, 1 h 8 C, 2 h 4 C"))
        warm = planned(warm_draft, now=at("28T12:00"), contact="2026-11-28T07:00")
        assert cold.window is not None
        assert warm.window is not None
        self.assertLess(warm.window.best.hours, cold.window.best.hours - 0.05)
        self.assertIn("fridge-warm", cautions_called_for(warm))


class Asked(unittest.TestCase):
    """Starts and pulls that the cook asks for, and moves."""

    def test_a_start_is_taken(self) -> None:
        """Where it fits, contact is then."""
        judgement = planned(start="2026-11-28T10:00")
        assert judgement.plan is not None
        self.assertEqual((judgement.plan.contact_at, judgement.plan.trouble), (at("28T10:00"), None))

    def test_starts_that_cannot_be(self) -> None:
        """In the night, and after the meal: what collides, and an offer that works."""
        after = "for this meal it comes out at Sat 18:00"
        for start, says in (("2026-11-28T03:00", "hands are not free"), ("2026-11-28T20:00", after)):
            draft = replace(SKEWERS, meal=replace(SATURDAY, start=start))
            plan = judge(draft, KITCHEN, now=NOW).plan
            assert plan is not None
            self.assertIn(says, plan.trouble or "")
            self.assertIn("other-start", [offer.id for offer in plan_offers(draft, KITCHEN, now=NOW)])

    def test_the_cooks_own_hours_are_planned_with_what_they_cost(self) -> None:
        """Short of the window and past it: planned as asked, told; past what raw food keeps: refused."""
        bath = of_kind("chicken_breast", "900 g", "slab", "28 mm", "900 g water", "36 g salt")
        for start, costs in (("2026-11-28T17:00", "is short of"), ("2026-11-27T07:00", "is past"), ("", None)):
            plan = judge(replace(bath, meal=replace(SATURDAY, start=start)), KITCHEN, now=NOW).plan
            assert plan is not None
            with self.subTest(start=start):
                self.assertIsNone(plan.trouble)
                self.assertIn(costs or "", plan.costs)
                self.assertEqual(bool(plan.costs), costs is not None)
        long = judge(replace(bath, meal=replace(SATURDAY, start="2026-11-26T08:00")), KITCHEN, now=NOW).plan
        assert long is not None
        self.assertIn("it keeps raw from", long.trouble or "")

    def test_a_pull_in_the_night(self) -> None:
        """Named, and offered before and after."""
        draft = replace(SKEWERS, meal=MealInput("2026-11-28T12:00", "9 h", "Europe/Lisbon"))
        self.assertIn("It has to come out at Sat 03:00", judge(draft, KITCHEN, now=NOW).plan_says)
        offers = {offer.id: offer for offer in plan_offers(draft, KITCHEN, now=NOW)}
        self.assertEqual([name for name in offers if name.startswith("pull")], ["pull-22:55", "pull-06:30"])
        self.assertEqual(offers["pull-06:30"].draft.meal.lead, "330 min")

    def test_salt_first_where_the_fruit_ends_it(self) -> None:
        """The meal is so soon that only salt ahead, or a later meal, would do: what is offered works."""
        mix = ("300 g kiwi", "100 g pineapple juice", "12 g salt")
        fruit = replace(of_kind("pork_shoulder", "1 kg", "slab", "30 mm", *mix), meal=SATURDAY)
        self.assertIn("turns the surface too soft", judge(fruit, KITCHEN, now=NOW).sentence)
        soon = replace(fruit, meal=replace(SATURDAY, at="2026-11-25T10:05"))
        offers = {offer.id: offer for offer in plan_offers(soon, KITCHEN, now=NOW)}
        self.assertTrue(offers)
        for offer in offers.values():
            plan = judge(offer.draft, KITCHEN, now=NOW).plan
            assert plan is not None
            self.assertIsNone(plan.trouble, offer.says)

    def test_days_before_the_mix_cut_the_window(self) -> None:
        """Bought days ago: the hours that are left are told, and that they are too few."""
        old = of_kind("pork_shoulder", "4 kg", "irregular", "110 mm", "60 g salt", "2 l water", pieces="1", age="118 h")
        self.assertRegex(judged(old).sentence, r"^Not recommended: 5 days is the most for pork .* Pull by 2 h;")

    def test_moving(self) -> None:
        """The meal takes its pull along and frees the start; the pull changes the lead; the start is asked for."""
        draft = replace(SKEWERS, meal=replace(SATURDAY, start="2026-11-28T10:00"))
        plan = judge(draft, KITCHEN, now=NOW).plan
        assert plan is not None
        later_meal = moved(draft, plan, "meal", at("28T20:03"))
        self.assertEqual(
            (later_meal.meal.at, later_meal.meal.lead, later_meal.meal.start), ("2026-11-28T20:05", "60 min", "")
        )
        self.assertEqual(moved(draft, plan, "pull", at("28T17:30")).meal.lead, "90 min")
        self.assertEqual(moved(draft, plan, "start", at("28T11:00")).meal.start, "2026-11-28T11:00")
        for mark, to in (("pull", at("28T19:30")), ("pull", at("27T12:00")), ("meal", NOW + timedelta(days=90))):
            with self.assertRaises(InputError) as caught:
                moved(draft, plan, mark, to)  # type: ignore[arg-type]
            self.assertTrue(caught.exception.accepted)

    def test_what_has_been_cannot_be_moved(self) -> None:
        """A start and a pull that have happened are told with their hour."""
        judgement = planned(now=at("28T17:05"), contact="2026-11-28T07:00", pulled="2026-11-28T17:00")
        assert judgement.plan is not None
        for mark, says in (("start", "went in at Sat 07:00"), ("pull", "came out at Sat 17:00")):
            with self.assertRaisesRegex(InputError, says):
                moved(SKEWERS, judgement.plan, mark, at("28T17:30"))  # type: ignore[arg-type]


class Stages(unittest.TestCase):
    """Cooking as it is planned."""

    def test_the_lead_follows_from_them(self) -> None:
        """5 to dry, 20 to temper, 40 and 10 on the heat, 5 of rest: 80 minutes, told as assumed."""
        stages = (StageInput("1", "oven", "160 C", "fan", "40 min"), StageInput("2", "grill", minutes="10 min"))
        judgement = planned(replace(SKEWERS, fire=FireInput(stages=stages)), lead="")
        self.assertIn("80 min", judgement.reading.assumed["meal.lead_min"])
        found = steps(judgement)
        self.assertIn("160 °C with the fan (180 °C without)", found["cook"].says)
        self.assertEqual((found["cook"].place, found["cook-2"].place), ("oven", "grill"))
        self.assertEqual(found["cook"].ends, found["cook-2"].at)

    def test_an_open_stage_takes_what_is_left_and_a_long_lead_waits_in_the_fridge(self) -> None:
        """A stew: 60 minutes less 5, 20, 5 leave 30; all said and 3 h: the rest is waited."""
        open_ended = replace(SKEWERS, fire=FireInput(stages=(StageInput("1", "pot"),)))
        self.assertEqual(steps(planned(open_ended))["cook"].minutes, 30)
        said = replace(SKEWERS, fire=FireInput(stages=(StageInput("1", "oven", "200 C", minutes="30 min"),)))
        waits = steps(planned(said, lead="3 h"))["wait"]
        self.assertEqual((waits.minutes, waits.place, waits.zone), (120, "fridge", "cold"))

    def test_kept_warm(self) -> None:
        """Done 20 minutes early: everything from the pull on moves, and it waits covered."""
        found = steps(planned(early="20 min"))
        self.assertEqual(found["pull"].at, at("28T17:40"))
        self.assertEqual((found["keep-warm"].minutes, found["keep-warm"].ends), (20, at("28T19:00")))

    def test_bad_stages(self) -> None:
        """A word for a heat, two open ends, 900 C, a core of 300 C, nine stages: each by its field."""
        for stages, field in (
            ((StageInput("1", "oven", "lukewarmish"),), "fire.stages.0.heat_c"),
            ((StageInput("1", "oven"), StageInput("2", "grill")), "fire.stages.1.time_min"),
            ((StageInput("1", "oven", "900 C"),), "fire.stages.0.heat_c"),
            ((StageInput("1", "pan", core="300 C"),), "fire.stages.0.core_c"),
            ((StageInput("1", "moon"),), "fire.stages.0.place"),
            (tuple(StageInput(str(n), "pan", minutes="5 min") for n in range(9)), "fire.stages"),
        ):
            problems = planned(replace(SKEWERS, fire=FireInput(stages=stages))).reading.problems
            self.assertEqual([problem.field for problem in problems], [field])
            self.assertTrue(problems[0].accepted)


class Nights(unittest.TestCase):
    """Nobody is woken, not even for what comes before something that goes on by itself."""

    def test_a_mix_is_cooked_in_the_evening_for_the_morning(self) -> None:
        """Simmered and cooled for hours, contact at half past six: the pot is not put on at three."""
        cooked = replace(
            steak("300 g soy sauce", "700 g water"), making=MakingInput(method="cooked", cooling="ice_bath")
        )
        looked_at = 0
        for hour in range(8, 22):
            judgement = planned(cooked, at=f"2026-11-28T{hour:02d}:00")
            if judgement.plan is None or judgement.plan.trouble:
                continue
            for step in judgement.steps:
                if step.hands_on and step.at < judgement.plan.pull_at:
                    looked_at += 1
                    self.assertTrue(WEEK.free_for(step.at, timedelta(minutes=step.minutes)), (hour, step.id, step.at))
        self.assertGreater(looked_at, 10)

    def test_a_block_before_something_slow_moves_to_free_hands(self) -> None:
        """Worked out: cooling from 02:00 would ask for hands at 01:30; they are free until 23:00."""
        tasks = [
            Task("simmer", "", 30, True, "stove"),
            Task("cool", "", 300, False, "fridge"),
            Task("contact", "", 5, True, "fridge"),
        ]
        laid = laid_before(at("28T07:05"), tasks, WEEK)
        self.assertEqual([step.at for step in laid], [at("27T22:30"), at("28T02:00"), at("28T07:00")])

    def test_shops_are_open(self) -> None:
        """Between 8 and 20, with free hands, before the first step; none if there is no such time any more."""
        shop = steps(planned())["shop"]
        self.assertTrue(time(8) <= shop.at.time() <= time(19, 15))
        self.assertNotIn("shop", steps(planned(now=at("28T12:00"))))

    def test_shopping_waits_for_no_closed_shop(self) -> None:
        """What begins before they open was shopped for the evening before, while they still were."""
        draft = replace(
            steak("12 g salt"), meal=replace(steak("").meal, at="2026-11-28T09:30", time_zone="Europe/Lisbon")
        )
        shop = steps(judge(draft, KITCHEN, now=at("27T10:00")))["shop"]
        self.assertEqual((shop.at.day, shop.ends.time()), (27, time(20, 0)))


class Stops(unittest.TestCase):
    """Stops really stop."""

    def test_two_hours_out_of_the_cold(self) -> None:
        """Many hands-on steps at the counter: refused with the minutes (two-hour rule, FSIS, from memory)."""
        slow = tuple(StepInput(str(n), "slits", depth="10 mm", count="300", stuffed_with="garlic") for n in range(8))
        long = of_kind(
            "pork_shoulder", "4 kg", "irregular", "110 mm", "60 g salt", "2 l buttermilk", pieces="1", steps=slow
        )
        judgement = planned(long)
        self.assertIsNone(judgement.plan)
        self.assertIn("out of the cold", judgement.sentence)
        self.assertIn("two-hours", cautions_called_for(judgement))

    def test_the_counter_is_not_a_place_for_a_jar(self) -> None:
        """A fridge of 20 C is refused with what would be judged."""
        jar = of_kind("pork_shoulder", "1 kg", "cube", "30 mm", "800 g cider vinegar", "12 g salt")
        problems = planned(replace(jar, hold=replace(jar.hold, fridge="20 C"))).reading.problems
        self.assertEqual([problem.field for problem in problems], ["hold.fridge_c"])


class BadMeals(unittest.TestCase):
    """Hours that no meal can have."""

    def test_each_is_told_with_what_would_do(self) -> None:
        """In 1995 and 1970, in an hour that the clock skips, in ten years; a plan in ten minutes says so."""
        for when, says in (
            ("1995-01-01T12:00", "already past"),
            ("1970-01-01T12:00", "Years from 1990 to 2100"),
            ("2027-03-28T01:30", "does not exist"),
            ("2036-11-28T19:00", "more than a year away"),
        ):
            problems = planned(at=when).reading.problems
            self.assertEqual([problem.field for problem in problems], ["meal.at"])
            self.assertIn(says, str(problems[0]))
            self.assertTrue(problems[0].accepted)
        soon = judged(
            replace(SKEWERS, meal=MealInput("2026-11-25T09:10", "60 min", "UTC")), datetime(2026, 11, 25, 9, tzinfo=UTC)
        )
        assert soon.plan is not None
        self.assertIn("should have gone in", soon.plan.trouble or "")
