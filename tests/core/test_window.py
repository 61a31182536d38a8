"""The window: orderings that cooks know, limits that bind, bands that hold."""

from __future__ import annotations

import unittest
from dataclasses import replace
from itertools import pairwise

from hypothesis import given, settings
from hypothesis import strategies as st

from tests import drawn
from tests.drafts import NOW, hours, judged, limits, of_kind, steak
from tests.levels import level_names
from vadouvan.core.draft.examples import lines
from vadouvan.core.draft.typed import CutInput, Draft, FireInput, HoldInput, MealInput
from vadouvan.core.hold import levels
from vadouvan.core.judgement.judge import judge
from vadouvan.core.judgement.sentences import straight_says
from vadouvan.data.tables import shipped_kitchen

KITCHEN = shipped_kitchen()


class CommonPractice(unittest.TestCase):
    """Facts of the trade. Source: common practice, no source."""

    def test_fresh_pineapple_on_thin_steak(self) -> None:
        """cp06, cp07: pleasant to very soft within 1 to 3.5 h, ended by the fruit, mush well before 24 h."""
        draft = of_kind("beef_skirt", "600 g", "slab", "12 mm", "200 g fresh pineapple juice", "6 g salt")
        self.assertEqual(limits(draft)[2], "soft")
        earliest, best, latest = hours(draft)
        self.assertTrue(1 <= best <= 4, best)
        self.assertLess(latest, 6)
        self.assertLess(earliest, best)

    def test_canned_pineapple_softens_nothing(self) -> None:
        """cp08: heat has switched the enzyme off."""
        fresh = of_kind("beef_skirt", "600 g", "slab", "12 mm", "200 g fresh pineapple juice", "6 g salt")
        canned = of_kind("beef_skirt", "600 g", "slab", "12 mm", "200 g canned pineapple juice", "6 g salt")
        self.assertGreater(hours(canned)[2], 4 * hours(fresh)[2])
        window = judged(canned).window
        assert window is not None
        self.assertFalse([one for one in (window.latest.limit, *window.latest.others) if one.basis == "enzyme"])

    def test_pear_on_thin_cuts_is_safe_overnight(self) -> None:
        """cp09: overnight to 24 h."""
        draft = of_kind("beef_strips", "500 g", "slab", "4 mm", "100 g pear", "60 g soy sauce", "100 g water")
        self.assertGreaterEqual(hours(draft)[2], 12)

    def test_cubes_two_hours_better_overnight(self) -> None:
        """cp18: may go to the heat at once, what lies on it seasons it; better overnight."""
        draft = of_kind(
            "lamb_shoulder_cubes", "1 kg", "cube", "30 mm", "12 g salt", "50 g lemon juice", "40 g olive oil"
        )
        earliest, best, _ = hours(draft)
        self.assertLess(earliest, 1)
        self.assertTrue(6 <= best <= 16, best)

    def test_a_little_kiwi_on_thin_strips(self) -> None:
        """cp: no more than an evening; strips keep no longer than a steak of four times their thickness by twice."""
        thin = hours(of_kind("beef_strips", "600 g", "strip", "5 mm", "20 g kiwi", "9 g salt"))[2]
        thick = hours(of_kind("beef_flank", "600 g", "slab", "20 mm", "20 g kiwi", "9 g salt"))[2]
        self.assertLess(thin, 8)
        self.assertLess(thin, 2 * thick)

    def test_what_is_wiped_or_rinsed_off_seasons_nothing_outside(self) -> None:
        """cp: a rub cooked on the meat may go straight on; the same rinsed off has to have gone in, and is milder."""
        rub = of_kind(
            "beef_ribeye", "700 g", "slab", "30 mm", "9 g fine sea salt", "3 g black pepper", "10 g olive oil"
        )
        opens, marks = [], []
        for left in ("as_is", "patted", "wiped", "rinsed"):
            window = judged(replace(rub, fire=FireInput(surface=left))).window
            assert window is not None
            opens.append(window.safe_earliest_h)
            self.assertEqual(window.straight, left in ("as_is", "patted"), left)
            salted = replace(rub, mix=lines("24 g fine sea salt", "10 g olive oil"), fire=FireInput(surface=left))
            too_salty = judged(salted).window
            assert too_salty is not None
            marks.append(too_salty.mark)
        self.assertEqual(opens, sorted(opens))
        self.assertGreater(opens[3], 10 * opens[1])
        self.assertGreater(min(marks[2:]), 5 * marks[1])
        rinsed = judged(replace(rub, fire=FireInput(surface="rinsed"), meal=MealInput(at="2026-11-28T19:00")))
        assert rinsed.window is not None
        self.assertRegex(straight_says(rinsed.window, "rinsed"), "^Not yet: .*; rinsed off, little of the mix goes")
        self.assertIn("Out of the mix; rinse it in a basin, and pat it dry.", [step.says for step in rinsed.steps])
        yoghurt = of_kind("chicken_leg", "2.6 kg", "", "45 mm", "600 g yoghurt", "29 g salt", bone="core")
        ends = [hours(replace(yoghurt, fire=FireInput(surface=left)))[2] for left in ("patted", "wiped", "rinsed")]
        self.assertEqual(ends, sorted(ends))

    def test_a_whole_duck_in_a_bath(self) -> None:
        """cp: some hours to a day in six per cent, for the cavity lets in what the fat keeps out."""
        opens, best, latest = hours(
            of_kind("duck_whole", "2.2 kg", "irregular", "80 mm", "3000 g water", "192 g salt", "60 g sugar")
        )
        self.assertLess(opens, 8)
        self.assertTrue(8 <= best <= 18, best)
        self.assertTrue(16 <= latest <= 36, latest)


class Aims(unittest.TestCase):
    """What the hold is for: as said, or as the mix tells."""

    def test_fruit_delays_only_what_is_to_be_tender(self) -> None:
        """More pear makes it wetter and no more than that, unless tenderising is the aim."""
        plain = of_kind("beef_flank", "800 g", "slab", "20 mm", "10 g salt", "30 g pear", "20 g oil")
        more = of_kind("beef_flank", "800 g", "slab", "20 mm", "10 g salt", "90 g pear", "20 g oil")
        tender = replace(plain, hold=HoldInput(aim="tenderise"))
        self.assertLess(hours(more)[0], 1)
        self.assertEqual(limits(tender)[0], "tenderised")
        self.assertGreater(hours(tender)[0], hours(plain)[0])

    def test_a_bed_of_paste_cures(self) -> None:
        """cp: miso-like beds half a day to two; a spoonful seasons; said otherwise it is as said."""
        bed = of_kind("cod_fillet", "500 g", "slab", "25 mm", "200 g white miso", "50 g mirin")
        spoonful = of_kind("cod_fillet", "500 g", "slab", "25 mm", "30 g white miso", "50 g mirin")
        self.assertEqual(judged(bed).reading.assumed["hold.aim"], "cure")
        self.assertEqual(judged(spoonful).reading.assumed["hold.aim"], "season")
        self.assertTrue(9 <= hours(bed)[1] <= 24, hours(bed))
        self.assertLess(hours(spoonful)[1], 5)
        self.assertLess(hours(replace(bed, hold=HoldInput(aim="season")))[1], 4)

    def test_a_sauce_is_no_paste_that_cures(self) -> None:
        """cp: strips with oyster sauce or hoisin go straight to the wok; anchovies cure nothing."""
        for sauce in (
            "20 g oyster sauce",
            "30 g hoisin",
            "15 g anchovy paste",
            "20 g black bean sauce",
            "40 g gochujang",
        ):
            with self.subTest(sauce):
                window = judged(of_kind("beef_strips", "500 g", "strip", "4 mm", sauce, "20 g soy sauce")).window
                assert window is not None
                self.assertTrue(window.straight)
                self.assertNotEqual(window.earliest.limit.id, "cured")

    def test_sour_through_waits_for_the_core(self) -> None:
        """It opens with the core's pH, and the sour outside does not end it."""
        sour = of_kind("pork_loin_roast", "600 g", "slab", "20 mm", "600 g white vinegar", "12 g salt")
        through = replace(sour, hold=HoldInput(aim="sour"))
        self.assertEqual(limits(through)[0], "soured")
        self.assertGreater(hours(through)[2], hours(sour)[2])


class Safety(unittest.TestCase):
    """Storage limits. Source: US FSIS storage guidance, as recalled."""

    def test_nothing_is_held_longer_than_guidance(self) -> None:
        """Poultry two days, red meat five, fish one, whatever the mix."""
        for kind, most_h in (
            ("chicken_breast", 48),
            ("pork_loin_roast", 120),
            ("cod_fillet", 24),
            ("turkey_ground", 48),
        ):
            for mix in (("100 g olive oil",), ("12 g salt",), ("60 g salt", "1 l water")):
                with self.subTest(kind=kind, mix=mix):
                    self.assertLessEqual(hours(of_kind(kind, "500 g", "slab", "30 mm", *mix))[2], most_h)

    def test_strong_bath_is_ended_by_salt(self) -> None:
        """A 6 % brine over-salts 20 mm steaks before any other limit."""
        draft = steak("60 g salt", "1 l water", thickness="20 mm")
        self.assertTrue(limits(draft)[2] == "salty")
        self.assertLess(hours(draft)[2], 72)

    def test_strong_acid_ends_poultry(self) -> None:
        """Neat vinegar is ended by acid."""
        draft = of_kind("chicken_breast", "600 g", "slab", "24 mm", "300 g white wine vinegar", "8 g salt")
        self.assertEqual(limits(draft)[2], "sour")

    def test_mince_is_told_to_be_cooked_through(self) -> None:
        """The sentence says so."""
        self.assertIn("cook it through", judged(of_kind("pork_ground", "500 g", "slab", "20 mm", "7 g salt")).sentence)


class Orderings(unittest.TestCase):
    """What must hold for any amounts."""

    @settings(max_examples=drawn(20))
    @given(st.integers(15, 38))
    def test_bigger_cubes_never_take_less_time(self, edge_mm: int) -> None:
        """Best time grows with the edge, as long as salt sets it."""
        best = []
        for edge in (edge_mm, edge_mm + 2):
            mix = ("12 g salt", "60 g lemon juice")
            best.append(hours(of_kind("pork_shoulder_cubes", "1 kg", "cube", f"{edge} mm", *mix))[1])
        self.assertGreaterEqual(best[1], best[0] * 0.98)

    @settings(max_examples=drawn(20))
    @given(st.integers(2, 40), st.integers(10, 50), st.integers(0, 600))
    def test_window_is_in_order(self, salt_g: int, thickness_mm: int, water_g: int) -> None:
        """Earliest <= best <= latest, each inside its band, for any salt, thickness and water."""
        window = judged(steak(f"{salt_g} g salt", f"{water_g + 1} g water", thickness=f"{thickness_mm} mm")).window
        assert window is not None
        for edge in (window.earliest, window.best, window.latest):
            self.assertLessEqual(edge.low_hours, edge.hours + 1e-9)
            self.assertGreaterEqual(edge.high_hours, edge.hours - 1e-9)
        if not window.is_closed:
            self.assertLessEqual(window.safe_earliest_h, window.best.hours + 1e-6)
            self.assertLessEqual(window.best.hours, window.safe_latest_h + 1e-6)

    def test_colder_is_slower(self) -> None:
        """At 1 C the best hour comes later than at 6 C."""
        cold, warm = (hours(steak("12 g salt", hold=HoldInput(fridge=c, goal="through")))[1] for c in ("1", "6"))
        self.assertGreater(cold, warm)

    def test_one_face_is_slower_than_two(self) -> None:
        """Bone along one face lengthens it."""
        two, one = (
            hours(of_kind("pork_chop_boneless", "800 g", "slab", "20 mm", "10 g salt", bone=bone))[1]
            for bone in ("none", "face")
        )
        self.assertGreater(one, two)

    def test_what_the_cook_asks_to_season_is_felt(self) -> None:
        """The outside alone is ready sooner, all through later, than what is assumed of a joint."""
        joint = of_kind("pork_shoulder", "2 kg", "irregular", "90 mm", "30 g salt", "2 l buttermilk", pieces="1")
        outside, usual, through = (
            hours(replace(joint, hold=HoldInput(goal=goal)))[0] for goal in ("surface", "", "through")
        )
        self.assertLess(outside, 0.9 * usual)
        self.assertGreater(through, 1.1 * usual)

    def test_fruit_dose_is_felt(self) -> None:
        """Twice the kiwi, an earlier end."""
        weak, strong = (
            hours(of_kind("beef_flank", "600 g", "slab", "15 mm", f"{dose} g kiwi", "200 g water", "7 g salt"))[2]
            for dose in (30, 90)
        )
        self.assertGreater(weak, strong)


class Walks(unittest.TestCase):
    """A little more meat moves an hour a little, also where a concern lies flat near the level."""

    def test_steps_of_a_thirtieth(self) -> None:
        """A tenderloin in wine was told 1.7 times the hours for 3.5 % more meat, a sirloin in oil 3.5 times."""
        for kind, grams, thickness, most, mix in (
            ("pork_tenderloin", 260, "55.4 mm", 1.25, ("208 g red wine", "60 g onion", "2.75 g salt")),
            ("beef_sirloin", 560, "33.5 mm", 1.5, ("118 g olive oil", "23 g garlic", "12 g cumin", "25.6 g salt")),
        ):
            walked = [hours(of_kind(kind, f"{grams * 1.035**step:.1f} g", "", thickness, *mix)) for step in range(41)]
            for before, after in pairwise(walked):
                for was, now in zip(before, after, strict=True):
                    if abs(was - now) > 0.1:
                        self.assertLess(max(was, now) / min(was, now), most, (kind, before, after))


class Concerns(unittest.TestCase):
    """What each hour is worth, as it is drawn."""

    def test_the_worst_is_the_one_that_is_told(self) -> None:
        """At the latest hour the limit binds; rising ones never fall, falling ones never rise."""
        judgement = judged(of_kind("chicken_breast", "1 kg", "slab", "30 mm", "12 g salt", "150 g lemon juice"))
        course, window = judgement.course, judgement.window
        assert course is not None
        assert window is not None
        at = min(range(len(course.hours)), key=lambda place: abs(course.hours[place] - window.latest.hours))
        self.assertEqual(course.concerns[course.worst[at]].name, window.latest.limit.id)
        for concern in course.concerns:
            steps = [after - before for before, after in pairwise(concern.values)]
            self.assertTrue(all(step >= -1e-9 if concern.rises else step <= 1e-9 for step in steps), concern.name)
        for place, worst in enumerate(course.worst):
            least = min(concern.values[place] for concern in course.concerns)
            self.assertEqual(course.concerns[worst].values[place], least)


class WithoutSalt(unittest.TestCase):
    """A mix with no salt is judged by aroma and storage."""

    def test_what_ends_it(self) -> None:
        """Storage ends it; aroma opens it."""
        self.assertEqual(
            limits(of_kind("chicken_breast", "600 g", "slab", "25 mm", "60 g olive oil", "2 g dried oregano")),
            ("at_once", "aroma", "storage"),
        )


class Guesses(unittest.TestCase):
    """What is not sure in the mix is not sure in the window."""

    def test_guessed_salt_widens_the_band(self) -> None:
        """Salt by heaped spoons of no named size against salt by the gram, at the same weight."""
        sure = judged(steak("60 g salt", "1 kg water")).window
        guessed = judged(steak("a splash of soy sauce", "5 to 12 tsp salt", "1 kg water")).window
        assert sure is not None
        assert guessed is not None
        spread = [one.latest.high_hours / one.latest.low_hours for one in (sure, guessed)]
        self.assertGreater(spread[1], spread[0] * 1.02)


class Chalky(unittest.TestCase):
    """Acid on lean land meat. Source: common practice, no source."""

    def latest(self, kind: str, *mix: str) -> float:
        """The latest hour of 900 g, 28 mm thick."""
        window = judged(Draft("x", CutInput(kind=kind, mass="900 g", thickness="28 mm"), lines(*mix))).window
        assert window is not None
        return window.safe_latest_h

    def test_lemon_ends_a_breast_within_the_day(self) -> None:
        """A skinless breast in lemon comes out by the evening; what has fat bears it longer."""
        mix = ("40 g lemon juice", "60 g olive oil", "9 g salt", "10 g garlic")
        breast = self.latest("chicken_breast", *mix)
        self.assertTrue(8 < breast < 18, breast)
        self.assertGreater(self.latest("chicken_thigh", *mix), 1.3 * breast)

    def test_buttermilk_may_stay_overnight_and_longer(self) -> None:
        """Its acid is too weak to whiten: lean meat bears it as any does."""
        mix = ("450 g buttermilk", "15 g salt")
        self.assertTrue(self.latest("chicken_breast", *mix) > 24)

    def test_a_little_more_fat_changes_little(self) -> None:
        """No cliff between lean and rich."""
        breast = KITCHEN.cuts["chicken_breast"]
        found = []
        for step in range(14):
            kind = replace(breast, id=f"own-{step}", fat_share=0.01 + 0.005 * step)
            kitchen = replace(KITCHEN, cuts={**KITCHEN.cuts, kind.id: kind})
            cut = CutInput(kind=kind.id, mass="900 g", thickness="28 mm")
            window = judge(Draft("x", cut, lines("40 g lime juice", "9 g salt")), kitchen, now=NOW).window
            assert window is not None
            found.append(window.safe_latest_h)
        self.assertTrue(all(1.0 <= b / a < 1.15 for a, b in pairwise(found)), found)


class Levels(unittest.TestCase):
    """The calibration says how firm it is."""

    def test_each_level_says_how_far_it_may_move(self) -> None:
        """Every one is measured (``python -m tests.levels``); none may move to where it was not tried."""
        self.assertEqual(set(levels.MAY_MOVE), set(level_names()))
        for name, (down, up) in levels.MAY_MOVE.items():
            with self.subTest(name):
                self.assertTrue(0.5 <= down <= 1.0 <= up <= 2.0)
