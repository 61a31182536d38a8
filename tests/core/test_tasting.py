"""Verdicts, what they teach, what to change next time, and the logbook."""

from __future__ import annotations

import math
import unittest
from dataclasses import replace
from datetime import datetime, timedelta

import numpy as np
from hypothesis import given, settings
from hypothesis import strategies as st
from scipy.integrate import quad
from scipy.stats import norm

from tests import drawn
from tests.drafts import NOW, judged, of_kind
from tests.mixes import KITCHEN
from vadouvan.core.draft.typed import AimsInput, CutInput, Draft, FireInput, MealInput, StageInput
from vadouvan.core.figure import hours_told
from vadouvan.core.judgement.judge import judge
from vadouvan.core.kitchen.kitchen import OwnCorrection
from vadouvan.core.tasting.again import made_again
from vadouvan.core.tasting.hold_history import AsHeld, as_held
from vadouvan.core.tasting.in_hours import hours_to_depth
from vadouvan.core.tasting.learn import (
    DepthSeen,
    SaltJudged,
    SoftnessJudged,
    learned_pace,
    learned_salt,
    learned_softening,
    pace_says,
    salt_says,
)
from vadouvan.core.tasting.logbook import Asked, entry_of, found, side_by_side, thread_of
from vadouvan.core.tasting.next_time import all_taken, fresh, next_time
from vadouvan.core.tasting.teaching import Tasted, taught
from vadouvan.core.tasting.verdict import WORDS, Verdict, VerdictInput, read_verdict
from vadouvan.errors import BadInput, InputError

HELD = MealInput("2026-11-24T19:00", "60 min", "UTC", contact="2026-11-24T08:00+00:00", pulled="2026-11-24T18:00+00:00")
BRINED = replace(
    of_kind("pork_tenderloin", "500 g", "cylinder", "58 mm", "60 g salt", "940 g water", pieces="1"), meal=HELD
)
SKEWERS = replace(
    of_kind("lamb_shoulder_cubes", "1 kg", "cube", "30 mm", "14 g salt", "50 g lemon juice", "40 g honey"), meal=HELD
)


def held(draft: Draft) -> AsHeld:
    """A batch as it was held."""
    found_out = as_held(judged(draft))
    assert found_out is not None
    return found_out


class Learning(unittest.TestCase):
    """The cook's own correction (worked example of the design notes; grid posterior by scipy)."""

    def test_worked_example_of_a_depth(self) -> None:
        """10 h in a 6 % brine, 6.85 mm told, 9 mm seen: ln m is 0.276, sd 0.205; a second of 8.5 mm: 1.38, sd 0.17."""
        model = held(BRINED).model()
        self.assertAlmostEqual(model(1.0) * 1000, 6.85, delta=0.15)
        one = learned_pace([DepthSeen("a", 0.009, model)])
        self.assertAlmostEqual(one.log_mean, 0.276, delta=0.01)
        self.assertAlmostEqual(one.log_sd, 0.205, delta=0.01)
        two = learned_pace([DepthSeen("a", 0.009, model), DepthSeen("b", 0.0085, model)])
        self.assertAlmostEqual(two.factor, 1.38, delta=0.02)
        self.assertLess(two.log_sd, one.log_sd)

    def test_worked_example_of_salt(self) -> None:
        """1.4 % judged a little too much, aimed at 1.25 %: 0.953 times the target."""
        self.assertAlmostEqual(learned_salt([SaltJudged("a", 0.014, 0.0125, 1)]).factor, 0.953, delta=0.002)

    @settings(max_examples=drawn(15))
    @given(st.floats(0.004, 0.02), st.booleans())
    def test_against_quadrature(self, depth_m: float, through: bool) -> None:
        """Mean and sd of the posterior, integrated by scipy, for a square-root law and both kinds of reading."""
        seen = DepthSeen("a", depth_m, lambda factor: 0.008 * math.sqrt(factor), through)
        spread = math.hypot(0.001 / depth_m, 0.10)

        def density(x: float) -> float:
            off = (math.log(depth_m) - math.log(0.008) - x / 2) / spread
            return float(np.exp(-0.5 * (x / 0.30) ** 2) * (norm.cdf(-off) if through else np.exp(-0.5 * off**2)))

        total = quad(density, -1, 1, limit=200)[0]
        mean = quad(lambda x: x * density(x), -1, 1, limit=200)[0] / total
        sd = math.sqrt(quad(lambda x: (x - mean) ** 2 * density(x), -1, 1, limit=200)[0] / total)
        found_out = learned_pace([seen])
        self.assertAlmostEqual(found_out.log_mean, mean, delta=2e-3)
        self.assertAlmostEqual(found_out.log_sd, sd, delta=2e-3)

    def test_right_through_is_only_a_lower_bound(self) -> None:
        """Shallower than told it teaches little; deeper it teaches that salt is faster, and never slower."""
        model = held(BRINED).model()
        deep = learned_pace([DepthSeen("a", 0.029, model, is_through=True)])
        self.assertGreater(deep.factor, 1.0)
        shallow = learned_pace([DepthSeen("a", 0.003, model, is_through=True)])
        self.assertAlmostEqual(shallow.factor, 1.0, delta=0.05)

    def test_nothing_learned_says_so_and_is_the_prior(self) -> None:
        """Factor 1 with the spread from piece to piece; a sentence for each state."""
        none = learned_pace([])
        self.assertAlmostEqual(none.factor, 1.0)
        self.assertAlmostEqual(none.log_sd, 0.30, delta=0.005)
        self.assertIn("Nothing is learned", pace_says(none, "poultry"))
        self.assertIn("Nothing is learned", salt_says(learned_salt([])))
        self.assertIn("% less salt", salt_says(learned_salt([SaltJudged("a", 0.014, 0.0125, 2)])))

    def test_one_outlier_cannot_cut_the_households_salt(self) -> None:
        """It cut it from 12 to 4.45 g/kg: three batches were right, one was far too salty at a third of the aim."""
        right = [SaltJudged(name, 0.012, 0.012, 0) for name in "abc"]
        stray = SaltJudged("stray", 0.004, 0.012, 2)
        found, without = learned_salt([*right, stray]), learned_salt(right)
        self.assertEqual((found.count, found.strays), (3, frozenset({"stray"})))
        self.assertAlmostEqual(found.factor, without.factor, delta=0.01)
        counted = learned_salt([*right, replace(stray, insisted=True)])
        self.assertEqual((counted.count, counted.strays), (4, frozenset()))
        self.assertTrue(0.8 < counted.factor < without.factor - 0.02)
        alone = learned_salt([stray])
        self.assertGreater(alone.factor, 0.9)

    @given(st.integers(0, 4), st.floats(0.002, 0.06), st.sampled_from((-2, -1, 0, 1, 2)), st.booleans())
    def test_no_batch_moves_the_aim_by_much_alone(self, right: int, eaten: float, step: int, insisted: bool) -> None:
        """One batch beside those that were right, whatever it says, moves the factor by at most three tenths."""
        judged = [SaltJudged(str(number), 0.012, 0.012, 0) for number in range(right)]
        one = SaltJudged("one", eaten, 0.012, step, insisted)
        before, after = (learned_salt(known).factor for known in (judged, [*judged, one]))
        self.assertTrue(0.70 <= after / before <= 1.42, (before, after))

    def test_tenderness_teaches_the_pace_of_the_fruit(self) -> None:
        """Worked example of docs/references.md: softened .35 is just right; told a little soft, the fruit is faster."""
        one = learned_softening([SoftnessJudged("a", 0.35, 1)])
        # ln m = .5, prior sd .60, verdict sd .45: mean .5 x .36 / (.36 + .2025) = .32, sd .36 (conjugate normal)
        self.assertAlmostEqual(one.log_mean, 0.32, delta=0.02)
        self.assertAlmostEqual(one.log_sd, 0.36, delta=0.03)
        fruit = replace(of_kind("beef_flank_strips", "900 g", "strip", "12 mm", "8 g kiwi", "9 g salt"), meal=HELD)
        latest = {}
        for step in (-1, 1):
            found = taught([Tasted("a", fruit, (Verdict("", {"tenderness": step}),))], KITCHEN, now=NOW)
            self.assertEqual(list(found.softening), [("red", "actinidin")])
            window = judge(fresh(fruit), KITCHEN.with_correction(found.correction), now=NOW).window
            assert window is not None
            latest[step] = window.safe_latest_h
        self.assertLess(latest[1], 0.8 * latest[-1])
        plain = Tasted("b", SKEWERS, (Verdict("", {"tenderness": 2}),))
        self.assertEqual(taught([plain], KITCHEN, now=NOW).softening, {})

    def test_who_aims_at_no_salt_is_judged_and_teaches_none(self) -> None:
        """Of an aim of nothing no share can be taken: neither the window nor the lessons fall over it."""
        draft = replace(BRINED, hold=replace(BRINED.hold, salt_target="0 g"))
        self.assertNotIn("cannot be judged", judge(draft, KITCHEN, now=NOW).sentence)
        found = taught([Tasted("a", draft, (Verdict("", {"salt": 1}),))], KITCHEN, now=NOW)
        self.assertEqual(found.correction.salt, 1.0)

    def test_a_forgotten_batch_teaches_nothing(self) -> None:
        """With it and without it; and the correction reaches the judgement."""
        tasted = Tasted("a", BRINED, (Verdict("", {"salt": 1}, depth_m=0.011),))
        found_out = taught([tasted], KITCHEN, now=NOW)
        self.assertGreater(found_out.pace["red"].factor, 1.1)
        self.assertEqual(taught([replace(tasted, counts=False)], KITCHEN, now=NOW).pace, {})
        faster = KITCHEN.with_correction(OwnCorrection({"red": 1.5}, 0.9))
        plain, own = judge(SKEWERS, KITCHEN, now=NOW), judge(SKEWERS, faster, now=NOW)
        assert plain.window is not None
        assert own.window is not None
        self.assertLess(own.window.best.hours, plain.window.best.hours)
        self.assertIn("as your verdicts say", own.reading.assumed["hold.salt_target_g_per_kg"])


class Bounded(unittest.TestCase):
    """No lesson moves the household's aim by more than its evidence, and none silently."""

    def test_a_batch_pulled_after_seconds_teaches_nothing(self) -> None:
        """It is left out and said to be."""
        pulled = replace(BRINED, meal=replace(HELD, pulled="2026-11-24T08:00:30+00:00"))
        salty = Verdict("", {"salt": 2}, None, False, "")
        found_out = taught([Tasted("short", pulled, (salty,))], KITCHEN, now=NOW)
        self.assertEqual((found_out.salt.count, found_out.salt.factor), (0, learned_salt([]).factor))
        self.assertIn("left out", found_out.left_out["short"])

    def test_one_verdict_moves_the_aim_by_no_more_than_its_two_steps(self) -> None:
        """Whatever was eaten against whatever was aimed at."""
        for eaten in (0.0001, 0.004, 0.012, 0.1):
            for step in (-2, 0, 2):
                factor = learned_salt([SaltJudged("a", eaten, 0.012, step)]).factor
                self.assertLess(abs(math.log(factor)), 0.36 + 0.36)


class Verdicts(unittest.TestCase):
    """As they are said."""

    def test_five_words_for_each(self) -> None:
        """Read as steps from -2 to 2."""
        for aspect, words in WORDS.items():
            for step, word in zip((-2, -1, 0, 1, 2), words, strict=True):
                self.assertEqual(read_verdict(VerdictInput(words={aspect: word})).steps, {aspect: step})

    def test_depths(self) -> None:
        """In millimetres, or right through."""
        self.assertAlmostEqual(read_verdict(VerdictInput(depth="9 mm")).depth_m or 0, 0.009)
        self.assertTrue(read_verdict(VerdictInput(depth="through")).is_through)

    def test_what_cannot_be_is_told_all_at_once(self) -> None:
        """No such thing, no such word, a depth of words, a note of 20,000 letters; nothing at all."""
        with self.assertRaises(BadInput) as caught:
            read_verdict(VerdictInput("x" * 100, {"umami": "much", "salt": "lots"}, "deep", "n" * 20_000))
        fields = [error.field for error in caught.exception.errors]
        self.assertEqual(fields, ["words.umami", "words.salt", "depth", "note", "eater"])
        self.assertTrue(all(error.accepted for error in caught.exception.errors))
        with self.assertRaises(BadInput):
            read_verdict(VerdictInput("Odile"))


class NextTime(unittest.TestCase):
    """What to change, in grams."""

    def test_mushy_asks_for_less_than_its_limit(self) -> None:
        """Held for 24 h with fruit that is too soft after a few: not three quarters of 24 h."""
        fruit = replace(
            of_kind("beef_flank_strips", "900 g", "strip", "12 mm", "150 g kiwi", "9 g salt"),
            meal=replace(HELD, pulled=(datetime.fromisoformat(HELD.contact) + timedelta(hours=24)).isoformat()),
        )
        window = judge(fresh(fruit), KITCHEN, now=NOW).window
        assert window is not None
        advice = next(
            one
            for one in next_time(fruit, [Verdict("", {"tenderness": 2})], KITCHEN, now=NOW)
            if one.id == "tenderness"
        )
        hours = hours_told(0.8 * window.safe_latest_h)
        self.assertIn(f"take it out after {hours}.", advice.says)
        self.assertLess(window.safe_latest_h, 12)

    def test_burned_asks_for_heat_before_it_asks_for_less_of_the_mix(self) -> None:
        """Heat, distance, minutes or a later glaze come first; less honey only if that is not enough."""
        grilled = replace(SKEWERS, fire=FireInput(stages=(StageInput("1", place="grill", heat="250 C", minutes="12"),)))
        first, *more = next_time(grilled, [Verdict("", {"surface": 2})], KITCHEN, now=NOW)
        self.assertIn("Burned: 210 C instead of 250 C, or further from the heat and shorter", first.says)
        self.assertEqual(first.draft.fire.stages[0].heat, "210 C")
        self.assertEqual(first.draft.mix, fresh(grilled).mix)
        self.assertEqual([one.id for one in more], ["less-sugar"])
        self.assertTrue(more[0].says.startswith("If that is not enough: "))

    def test_too_salty_is_less_salt_with_what_it_costs(self) -> None:
        """A little too much: exp(-0.18) of it, about a sixth less; salt per kilogram and the window are told."""
        (advice,) = next_time(SKEWERS, [Verdict("", {"salt": 1})], KITCHEN, now=NOW)
        self.assertIn("instead of 14 g", advice.says)
        salt = next(line for line in advice.draft.mix if "salt" in line.text)
        self.assertAlmostEqual(float(salt.text.split(" g ")[0]), 14 * math.exp(-0.18), delta=0.06)
        self.assertTrue(any(cost.startswith("salt 14 to") for cost in advice.costs))

    def test_just_right_changes_nothing(self) -> None:
        """Nor does one eater of three who found it a little sweet."""
        self.assertEqual(next_time(SKEWERS, [Verdict("", {"salt": 0, "sour": 0})], KITCHEN, now=NOW), [])
        three = [Verdict("a", {"sweet": 1}), Verdict("b", {"sweet": 0}), Verdict("c", {"sweet": 0})]
        self.assertEqual(next_time(SKEWERS, three, KITCHEN, now=NOW), [])

    def test_fruit_that_softened_too_much(self) -> None:
        """Less of it, or out sooner."""
        fruit = replace(of_kind("beef_flank_strips", "900 g", "strip", "12 mm", "80 g kiwi", "9 g salt"), meal=HELD)
        (advice,) = next_time(fruit, [Verdict("", {"tenderness": 2})], KITCHEN, now=NOW)
        self.assertIn("40 g kiwi instead of 80 g", advice.says)
        window = judge(fresh(fruit), KITCHEN, now=NOW).window
        assert window is not None
        self.assertIn(f"take it out after {hours_told(0.8 * window.safe_latest_h)}", advice.says)

    def test_hours_until_it_is_right_through(self) -> None:
        """Where what was seen is what the model told, the hours to a depth are those at which the model tells it."""
        short = held(BRINED)
        longer = replace(short, hours=30.0)
        found_out = hours_to_depth(short, short.seen_depth_m(), longer.seen_depth_m())
        assert found_out is not None
        self.assertAlmostEqual(found_out / 30.0, 1.0, delta=0.08)
        deeper = hours_to_depth(short, short.seen_depth_m() * 1.2, longer.seen_depth_m())
        assert deeper is not None
        self.assertLess(deeper, found_out)

    def test_not_right_through_is_answered_in_hours(self) -> None:
        """For a batch that was to be: how long it takes; thinner where it may not stay that long; else nothing."""
        through = replace(SKEWERS, hold=replace(SKEWERS.hold, goal="through"))
        (advice,) = next_time(through, [Verdict("", {}, depth_m=0.009)], KITCHEN, now=NOW)
        self.assertRegex(advice.says, r"Seasoned 9 of 15 mm in 10 h: right through takes about \d+ h")
        draft, says = all_taken(through, [Verdict("", {}, depth_m=0.009)], KITCHEN, now=NOW)
        self.assertEqual((says, draft), ([advice.says], fresh(through)))
        joint = replace(
            of_kind("pork_loin_roast", "2 kg", "cylinder", "110 mm", "30 g salt", "200 g cider"),
            meal=HELD, hold=replace(SKEWERS.hold, goal="through"),
        )  # fmt: skip
        (advice,) = next_time(joint, [Verdict("", {}, depth_m=0.008)], KITCHEN, now=NOW)
        self.assertRegex(advice.says, r"is the most: \d+ mm thick instead of 110 would do|gets no further")
        for verdict in (Verdict("", {}, depth_m=0.0145), Verdict("", {}, is_through=True), Verdict("", {"salt": 0})):
            self.assertEqual(next_time(through, [verdict], KITCHEN, now=NOW), [])
        surface = replace(SKEWERS, hold=replace(SKEWERS.hold, goal="surface"))
        self.assertEqual(next_time(surface, [Verdict("", {}, depth_m=0.004)], KITCHEN, now=NOW), [])

    def test_a_strong_bath_is_answered_in_hours(self) -> None:
        """Too salty: out sooner, its amounts stay."""
        bath = replace(BRINED, aims=AimsInput(school="strong_bath", bath_time="10 h"))
        (advice,) = next_time(bath, [Verdict("", {"salt": 1})], KITCHEN, now=NOW)
        self.assertEqual(advice.says, "Salt: 7 h in the bath instead of 10 h.")
        self.assertEqual((advice.draft.aims.bath_time, advice.draft.mix), ("7 h", fresh(bath).mix))

    def test_the_surface(self) -> None:
        """Too dark: less heat, then less of what browns; too pale: drier, until it cannot be drier."""
        heat, dark = next_time(SKEWERS, [Verdict("", {"surface": 2})], KITCHEN, now=NOW)
        self.assertTrue(heat.says.startswith("Burned: less heat, further from it, or fewer minutes"))
        self.assertIn("28 g honey instead of 40 g", dark.says)
        wet = replace(SKEWERS, fire=FireInput(surface="as_is"))
        for expected in ("patted", "wiped"):
            (pale,) = next_time(wet, [Verdict("", {"surface": -1})], KITCHEN, now=NOW)
            self.assertEqual(pale.draft.fire.surface, expected)
            wet = replace(wet, fire=pale.draft.fire)
        self.assertEqual(next_time(wet, [Verdict("", {"surface": -1})], KITCHEN, now=NOW), [])

    def test_made_again_on_another_cut(self) -> None:
        """As it was; half the weight; other cubes: salt by the kilogram stays, the coat follows the surface."""

        def salt_per_kg(draft: Draft) -> float:
            balance = judged(draft).balance
            assert balance is not None
            return balance.total("salt").value

        self.assertEqual(made_again(SKEWERS, KITCHEN, now=NOW, cut=CutInput()), (fresh(SKEWERS), ()))
        counted = replace(SKEWERS, cut=replace(SKEWERS.cut, pieces="35"))
        half, says = made_again(counted, KITCHEN, now=NOW, cut=CutInput(mass="500 g"))
        self.assertEqual(half.cut.pieces, "", "half the weight in the same cubes is not as many")
        self.assertEqual((half.cut.kind, half.cut.mass, half.cut.thickness), (SKEWERS.cut.kind, "500 g", "30 mm"))
        self.assertAlmostEqual(salt_per_kg(half), salt_per_kg(SKEWERS), delta=1e-4)
        self.assertIn("500 g instead of 1 kg.", says)
        oiled = replace(
            of_kind("lamb_shoulder_cubes", "1 kg", "cube", "30 mm", "14 g salt", "50 g lemon juice", "150 g olive oil"),
            meal=HELD,
        )
        small, says = made_again(oiled, KITCHEN, now=NOW, cut=CutInput(thickness="15 mm"))
        self.assertAlmostEqual(salt_per_kg(small), salt_per_kg(oiled), delta=1e-3)
        self.assertIn("15 mm thick instead of 30 mm.", says)
        grams = [sum(p.mass_kg.value for p in judged(one).reading.portions) for one in (small, fresh(oiled))]
        self.assertAlmostEqual(grams[0], grams[1], delta=0.01 * grams[1], msg="another shape changes no amount unasked")
        pork, says = made_again(
            SKEWERS, KITCHEN, now=NOW, cut=CutInput(kind="pork_tenderloin", mass="1.2 kg", thickness="55 mm")
        )
        self.assertEqual((pork.cut.kind, pork.cut.bone), ("pork_tenderloin", ""))
        self.assertIn("pork, tenderloin instead of lamb", " ".join(says))
        with self.assertRaises((InputError, BadInput)):
            made_again(SKEWERS, KITCHEN, now=NOW, cut=CutInput(mass="a lot"))

    def test_all_taken_is_a_fresh_batch_with_every_change(self) -> None:
        """Less salt and more acid in one draft; nothing has happened to it yet."""
        draft, says = all_taken(SKEWERS, [Verdict("", {"salt": 1, "sour": -1})], KITCHEN, now=NOW)
        self.assertEqual(len(says), 2)
        self.assertEqual((draft.meal.contact, draft.meal.pulled, draft.meal.at), ("", "", ""))
        texts = {
            line.text.split(" g ")[1]: float(line.text.split(" g ")[0]) for line in draft.mix if " g " in line.text
        }
        self.assertLess(texts["table salt"], 14)
        self.assertGreater(texts["lemon juice"], 50)
        self.assertEqual(fresh(draft), draft)


class Logbook(unittest.TestCase):
    """Found again, side by side, in a thread."""

    ENTRIES = (
        entry_of("1", replace(SKEWERS, name="Skewers"), (Verdict("", {"salt": 1}, note="good with bread"),)),
        entry_of(
            "2",
            replace(SKEWERS, name="Skewers again", mix=(replace(SKEWERS.mix[0], text="12 g salt"), *SKEWERS.mix[1:])),
            (Verdict("", {"salt": 0}),),
            "1",
            ("less salt",),
        ),
        entry_of("3", replace(BRINED, name="Pork"), (Verdict("", {"juice": 0}),)),
    )

    def test_found_by_each_filter(self) -> None:
        """Words in any order, notes included; cut, species, school, verdict, ingredient."""
        for asked, ids in (
            (Asked(), {"1", "2", "3"}),
            (Asked(search="bread good"), {"1"}),
            (Asked(species="pork"), {"3"}),
            (Asked(cut="lamb_shoulder_cubes"), {"1", "2"}),
            (Asked(verdict="salt: a little too much"), {"1"}),
            (Asked(ingredient="honey"), {"1", "2"}),
            (Asked(school="equilibrium"), set[str]()),
            (Asked(search="honey", verdict="salt: just right"), {"2"}),
        ):
            self.assertEqual({entry.id for entry in found(self.ENTRIES, asked, KITCHEN.cuts)}, ids, asked)

    def test_only_differences_are_shown(self) -> None:
        """Two runs of a dish: the salt, and what was said of it."""
        rows = {row.what: row.values for row in side_by_side(self.ENTRIES[:2], KITCHEN.cuts)}
        self.assertEqual(rows, {"salt": ("14 g", "12 g"), "salt, as eaten": ("a little too much", "just right")})

    def test_a_thread_runs_from_the_first(self) -> None:
        """From either end; a circle of descents ends."""
        self.assertEqual([entry.id for entry in thread_of("2", self.ENTRIES)], ["1", "2"])
        circle = [replace(self.ENTRIES[0], from_id="2"), self.ENTRIES[1]]
        self.assertEqual({entry.id for entry in thread_of("1", circle)}, {"1", "2"})
