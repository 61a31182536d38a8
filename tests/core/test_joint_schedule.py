"""The planner of several dishes: against brute force, at its limits, and what it says of what is left out."""

from __future__ import annotations

import unittest
from dataclasses import replace

from hypothesis import given, settings
from hypothesis import strategies as st

from tests import drawn
from tests.kitchens import best_by_trying, random_kitchen, tight_kitchens
from vadouvan.core.joint_schedule.clash import clashes
from vadouvan.core.joint_schedule.dish import Choice, Dish, OvenUse, Stretch
from vadouvan.core.joint_schedule.in_turn import one_after_another
from vadouvan.core.joint_schedule.planner import MOST_DISHES, plan_table
from vadouvan.core.kitchen.shared import SharedKitchen

OPEN = SharedKitchen()


def dish(
    name: str,
    contacts: dict[int, float],
    pull: int = 100,
    oven: tuple[float, int] | None = None,
    **size: float,
) -> Dish:
    """A dish with contacts at slots and their costs, hands before each, and the oven (heat, slots) after its pull."""
    uses = (OvenUse(Stretch(pull + 1, pull + 1 + oven[1]), oven[0]),) if oven else ()
    made = Dish(
        name,
        name,
        tuple(Choice(slot, cost, (Stretch(slot - 3, slot),)) for slot, cost in contacts.items()),
        (Choice(pull, 0.0, (Stretch(pull, pull + 1),), uses),),
        1,
        100,
    )
    return replace(made, room_l=size.get("room_l", 3.0), tub_l=size.get("tub_l", 0.0))


class BruteForce(unittest.TestCase):
    """Every plan of a small kitchen tried, one by one."""

    def test_three_hundred_kitchens(self) -> None:
        """As many dishes, at the same cost, and nothing in it clashes; of the rest it says why."""
        left_out = 0
        for seed in range(300):
            dishes, kitchen = random_kitchen(seed, dishes=2 + seed % 2)
            plan = plan_table(dishes, kitchen)
            count, cost = best_by_trying(dishes, kitchen)
            with self.subTest(seed=seed):
                self.assertEqual(-len(plan.placed), count)
                self.assertAlmostEqual(plan.cost, cost, places=6)
                self.assertEqual(clashes(plan.placed, kitchen), [])
                self.assertEqual(len(plan.placed) + len(plan.left_out), len(dishes))
                self.assertTrue(all(plan.left_out.values()))
            left_out += len(plan.left_out)
        self.assertGreater(left_out, 50, "the kitchens are tight enough to try what happens then")

    def test_tight_kitchens_of_eight_are_proven_best(self) -> None:
        """Far too many plans to try; the search ends all the same, and nothing clashes."""
        expected = {"room for seven": 7, "seven tubs for eight": 7, "two heats in one oven": 6, "two evenings": 6}
        for name, (dishes, kitchen) in tight_kitchens().items():
            plan = plan_table(dishes, kitchen)
            with self.subTest(name):
                self.assertTrue(plan.proven)
                self.assertEqual(clashes(plan.placed, kitchen), [])
                if name in expected:
                    self.assertEqual(len(plan.placed), expected.pop(name))
                self.assertTrue(all(plan.left_out.values()))
        self.assertEqual(expected, {})

    @settings(max_examples=drawn(40))
    @given(st.integers(1000, 10**6))
    def test_one_after_another_is_a_plan_but_not_a_better_one(self, seed: int) -> None:
        """What narrows the search never clashes, and holds at most as many dishes."""
        dishes, kitchen = random_kitchen(seed, dishes=4, contacts=8)
        simple, best = one_after_another(dishes, kitchen), plan_table(dishes, kitchen)
        self.assertEqual(clashes(simple, kitchen), [])
        self.assertLessEqual(len(simple), len(best.placed))
        if len(simple) == len(best.placed):
            self.assertGreaterEqual(sum(one.cost for one in simple) + 1e-9, best.cost)


class Shared(unittest.TestCase):
    """One thing at a time, worked out in sight."""

    def test_hands_go_to_the_one_that_loses_more(self) -> None:
        """Both want slot 50; the second can only have 50 or one that costs 9: the first gives way."""
        plan = plan_table([dish("a", {50: 0, 40: 1}), dish("b", {50: 0, 40: 9}, pull=101)], OPEN)
        self.assertEqual({one.dish.name: one.contact.slot for one in plan.placed}, {"a": 40, "b": 50})

    def test_one_heat_at_a_time(self) -> None:
        """The same heat is shared; two heats in the same minutes are not, and the words name both."""
        same = [dish("a", {10: 0}, oven=(200, 8)), dish("b", {30: 0}, pull=102, oven=(200, 8))]
        self.assertEqual(len(plan_table(same, OPEN).placed), 2)
        two = [dish("a", {10: 0}, oven=(200, 8)), dish("b", {30: 0}, pull=102, oven=(160, 8))]
        plan = plan_table(two, OPEN)
        self.assertEqual(len(plan.placed), 1)
        (says,) = plan.left_out.values()
        self.assertRegex(says, "want the one oven at (200 °C and 160|160 °C and 200) °C")

    def test_litres(self) -> None:
        """Three of 4 l in 9: two; one that leaves before another comes makes room for it."""
        three = [dish(name, {slot: 0}, pull=100 + slot, room_l=4) for name, slot in (("a", 10), ("b", 20), ("c", 30))]
        plan = plan_table(three, SharedKitchen(9.0))
        self.assertEqual(len(plan.placed), 2)
        self.assertIn("9 l are free", next(iter(plan.left_out.values())))
        gone = [dish("early", {5: 0}, pull=25, room_l=6), *three[2:]]
        self.assertEqual(len(plan_table(gone, SharedKitchen(9.0)).placed), 2)

    def test_tubs(self) -> None:
        """The large one for the large batch; two small ones want one tub; one after the other share it."""
        both = [dish("small", {10: 0}, tub_l=2), dish("large", {30: 0}, pull=102, tub_l=4)]
        plan = plan_table(both, SharedKitchen(None, (5.0, 2.5)))
        self.assertEqual({one.dish.name: one.tub for one in plan.placed}, {"small": 1, "large": 0})
        self.assertEqual(len(plan_table(both, SharedKitchen(None, (5.0,))).placed), 1)
        after = [dish("first", {10: 0}, pull=20, tub_l=2), dish("second", {30: 0}, tub_l=2)]
        self.assertEqual(len(plan_table(after, SharedKitchen(None, (2.5,))).placed), 2)
        none_fits = plan_table([dish("huge", {10: 0}, tub_l=9)], SharedKitchen(None, (2.5, 5.0)))
        self.assertIn("needs a tub of 9 l; there are 2.5 l and 5 l", none_fits.left_out["huge"])

    def test_nothing_and_too_many(self) -> None:
        """No dishes is an empty plan; beyond a dozen the rest is told."""
        self.assertEqual(plan_table([], OPEN).placed, ())
        many = [dish(str(n), {10 + 4 * n: 0}, pull=100 + n) for n in range(MOST_DISHES + 1)]
        self.assertEqual(list(plan_table(many, OPEN).left_out), [str(MOST_DISHES)])
