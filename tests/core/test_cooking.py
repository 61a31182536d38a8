"""At the heat: guidance, surface, sugar, enzyme, brushing, sauce, probe."""

from __future__ import annotations

import json
import math
import re
import unittest
from dataclasses import replace
from datetime import UTC, datetime, timedelta
from typing import Any

from hypothesis import given
from hypothesis import strategies as st

from tests.drafts import NOW, SATURDAY, judged, of_kind
from vadouvan.core.cooking.browning import hardest, sugar_limit
from vadouvan.core.cooking.doneness import CORE_ACCEPTED
from vadouvan.core.cooking.probe import carry_over_c, forecast
from vadouvan.core.cooking.sauce import dilution_kg, reduced_salt, sauce_of
from vadouvan.core.cooking.stages import CookStage
from vadouvan.core.cooking.surface import is_slow
from vadouvan.core.draft.typed import Draft, FireInput, QuantityInput, StageInput, StepInput
from vadouvan.core.judgement.fire import FireJudgement
from vadouvan.core.judgement.judgement import Judgement
from vadouvan.formats import batch_file

SALTED = ("12 g salt", "60 g yoghurt")
START = datetime(2026, 11, 28, 17, 0, tzinfo=UTC)


def cooked(draft: Draft, *stages: StageInput, **fire: Any) -> Judgement:
    """The judgement of a draft for Saturday with stages of cooking."""
    return judged(replace(draft, meal=SATURDAY, fire=FireInput(stages=stages, **fire)))


def fire_of(judgement: Judgement) -> FireJudgement:
    """Its fire."""
    assert judgement.fire is not None, judgement.sentence
    return judgement.fire


def told(judgement: Judgement) -> dict[str, str]:
    """What is told at the fire, by id."""
    return {one.id: one.says for one in fire_of(judgement).told}


class Guidance(unittest.TestCase):
    """Core and rest by species (US FSIS, US FDA Food Code, UK FSA; from memory)."""

    def test_by_species(self) -> None:
        """Poultry 74 C; whole red meat 63 C and 3 min of rest; minced meat 71 C; fish 63 C; plants nothing."""
        for kind, core, rest in (
            ("chicken_breast", 74, 0), ("turkey_breast", 74, 0), ("beef_sirloin", 63, 3), ("lamb_leg_butterfly", 63, 3),
            ("pork_loin_roast", 63, 3), ("beef_ground", 71, 0), ("chicken_ground", 74, 0), ("cod_fillet", 63, 0),
            ("prawn_peeled", 63, 0),
        ):  # fmt: skip
            draft = of_kind(kind, "1 kg", "slab", "24 mm", "8 g salt", "200 g yoghurt")
            guidance = fire_of(cooked(draft)).doneness.guidance
            assert guidance is not None
            with self.subTest(kind=kind):
                self.assertEqual((guidance.core_c, guidance.rest_min), (core, rest))
        tofu = of_kind("tofu_firm", "800 g", "slab", "25 mm", "8 g salt", "60 g soy sauce")
        self.assertIsNone(fire_of(cooked(tofu)).doneness.guidance)

    def test_pricked_whole_meat_is_non_intact(self) -> None:
        """68 C for 17 s instead of 63 C."""
        pricked = of_kind("beef_sirloin", "1 kg", "slab", "24 mm", *SALTED, steps=(StepInput("1", "pricked"),))
        guidance = fire_of(cooked(pricked)).doneness.guidance
        assert guidance is not None
        self.assertEqual(guidance.core_c, 68)
        self.assertIn("17 seconds", guidance.says)

    def test_a_core_of_ones_own_below_guidance_is_labelled(self) -> None:
        """58 C for beef: taken, and told as below; above it is not; a core without a number that can be is refused."""
        beef = of_kind("beef_sirloin", "1 kg", "slab", "24 mm", *SALTED)
        below = cooked(beef, doneness="own", core="58 C")
        self.assertTrue(fire_of(below).doneness.is_below)
        self.assertEqual(fire_of(below).told[0].kind, "warn")
        self.assertFalse(fire_of(cooked(beef, doneness="own", core="70 C")).doneness.is_below)
        (problem,) = cooked(beef, core="200 C").reading.problems
        self.assertEqual((problem.field, problem.accepted), ("fire.core_c", CORE_ACCEPTED))

    def test_a_core_by_its_word_or_in_fahrenheit(self) -> None:
        """Steakhouse words (common practice, no source); a bare 145 is no Celsius. The file keeps what was typed."""
        beef = of_kind("beef_sirloin", "1 kg", "slab", "24 mm", *SALTED)
        for typed, core_c, in_file in (("medium-rare", 57.0, 57.0), ("145", 62.8, 62.8), ("60 to 62", 61.0, 61.0)):
            with self.subTest(typed):
                said = cooked(beef, doneness="own", core=typed)
                self.assertEqual(fire_of(said).doneness.core_c, core_c)
                draft = replace(beef, fire=FireInput(doneness="own", core=typed))
                text = batch_file.write(draft)
                self.assertEqual(json.loads(text)["fire"]["core_c"], in_file)
                self.assertEqual(batch_file.read(text).fire.core, typed)
        (problem,) = cooked(beef, core="pink").reading.problems
        self.assertIn("medium rare", problem.accepted)


class Conversions(unittest.TestCase):
    """The trade's own figures (common practice, no source)."""

    def test_conventional_to_fan_oven(self) -> None:
        """20 C lower, plus or minus 5 (cp14)."""
        fan, plain = CookStage("oven", 180.0, fan=True), CookStage("oven", 200.0)
        self.assertAlmostEqual(fan.plain_heat_c or 0, plain.plain_heat_c or 0, delta=5)
        self.assertIn("180 °C with the fan (200 °C without)", fan.says)
        self.assertIn("200 °C without fan (180 °C with)", plain.says)

    def test_used_mix_boils_for_one_to_three_minutes_at_least(self) -> None:
        """Nothing, and half a minute, are refused (cp15: 1 to 3 min at a rolling boil)."""
        lamb = of_kind("lamb_shoulder_cubes", "1 kg", "cube", "30 mm", *SALTED)
        for minutes in ("0 min", "0.5 min"):
            (problem,) = cooked(lamb, sauce="boil", boil=minutes).reading.problems
            self.assertEqual(problem.field, "fire.boil_min")
        self.assertEqual(cooked(lamb, sauce="boil", boil="1 min").reading.problems, [])


class Surface(unittest.TestCase):
    """What the hold left."""

    def test_patting_and_wiping_leave_less(self) -> None:
        """In order: as it is, patted, wiped; never more than there was of the mix."""
        lamb = of_kind("lamb_shoulder_cubes", "1 kg", "cube", "30 mm", *SALTED, "100 g yoghurt")
        left = [fire_of(cooked(lamb, surface=way)).surface.left_kg for way in ("as_is", "patted", "wiped", "rinsed")]
        self.assertEqual(left, sorted(left, reverse=True))
        self.assertLess(left[2], left[0] / 3)
        little = of_kind("lamb_shoulder_cubes", "1 kg", "cube", "30 mm", "12 g salt")
        self.assertLessEqual(fire_of(cooked(little, surface="as_is")).surface.left_kg, 0.012 + 1e-9)

    def test_sugar_burns_the_sooner_the_hotter(self) -> None:
        """The same honey: a warning on the grill, with a share for a late glaze; none in a gentle oven."""
        sweet = of_kind("lamb_shoulder_cubes", "1 kg", "cube", "30 mm", "12 g salt", "40 g honey", "60 g yoghurt")
        grill = cooked(sweet, StageInput("1", "grill", minutes="12 min"), surface="as_is")
        gentle = cooked(sweet, StageInput("1", "oven", "140 C", minutes="40 min"), surface="patted")
        self.assertRegex(told(grill)["sugar"], r"Keep about \d+ % of the sweet things for a glaze")
        self.assertNotEqual({one.kind for one in fire_of(gentle).told if one.id == "sugar"}, {"warn"})
        plain = of_kind("lamb_shoulder_cubes", "1 kg", "cube", "30 mm", "12 g salt", "60 g olive oil")
        self.assertNotIn("sugar", told(cooked(plain, StageInput("1", "grill", minutes="12 min"))))

    @given(st.floats(50, 350), st.floats(0, 50))
    def test_a_hotter_place_never_bears_more_sugar(self, heat_c: float, hotter_c: float) -> None:
        """The limit falls, and by no step: a degree more is a few per cent less."""
        self.assertLessEqual(sugar_limit(heat_c + hotter_c), sugar_limit(heat_c))
        self.assertGreater(sugar_limit(heat_c + 1.0), 0.95 * sugar_limit(heat_c))

    def test_a_pot_burns_nothing(self) -> None:
        """Water does not get hotter than it boils."""
        self.assertIsNone(hardest([CookStage("pot", 100.0)]))

    def test_a_dark_crust_that_is_meant_is_no_fault(self) -> None:
        """What would be warned of is told as meant; far more sugar burns whatever is meant."""
        for honey, kinds in (("12 g honey", ("warn", "note")), ("120 g honey", ("warn", "warn"))):
            sweet = of_kind("lamb_shoulder_cubes", "1 kg", "cube", "30 mm", "12 g salt", honey)
            for crust, kind in zip(("", "dark"), kinds, strict=True):
                with self.subTest(honey, crust=crust):
                    fire = fire_of(cooked(sweet, StageInput("1", "grill", minutes="12 min"), crust=crust))
                    told = next(one for one in fire.told if one.id == "sugar")
                    self.assertEqual(told.kind, kind)
                    self.assertEqual("as you mean it" in told.says, (crust, kind) == ("dark", "note"))

    def test_thinner_pieces_come_out_first(self) -> None:
        """Several chops to a core, with the minutes between; one joint, or a pot, says nothing of it."""
        chops = of_kind("lamb_chop", "1.2 kg", "", "30 mm", "12 g salt", "40 g olive oil")
        joint = of_kind("lamb_shoulder_rolled", "1.8 kg", "", "", "20 g salt", pieces="1")
        to_core = StageInput("1", "oven", "200 C", "plain", core="60 C")
        says = told(cooked(chops, to_core))["thinner"]
        found = re.search(r"about ([\d.]+) min before", says)
        assert found is not None
        self.assertTrue(1 <= float(found[1]) <= 10, says)
        self.assertNotIn("thinner", told(cooked(joint, to_core)))
        self.assertNotIn("thinner", told(cooked(chops, StageInput("1", "pot", minutes="2 h"))))

    def test_minutes_count_with_the_heat(self) -> None:
        """A minute at 230 C, five, forty: the same honey is fine, then dark, then burned; the line is named."""
        sweet = of_kind("lamb_shoulder_cubes", "1 kg", "cube", "30 mm", "12 g salt", "40 g honey", "60 g yoghurt")
        kinds = []
        for minutes in ("1 min", "5 min", "40 min"):
            found = fire_of(cooked(sweet, StageInput("1", "oven", "230 C", "plain", minutes), surface="patted"))
            kinds.append(next((one.kind for one in found.told if one.id == "sugar"), ""))
        self.assertNotIn("warn", kinds[:1])
        self.assertEqual(kinds[2], "warn")
        burned = told(cooked(sweet, StageInput("1", "oven", "230 C", "plain", "40 min"), surface="patted"))["sugar"]
        self.assertIn("honey", burned)
        self.assertNotIn("fruit", burned)

    def test_fruit_goes_on_in_a_slow_cook(self) -> None:
        """Fresh kiwi in a gentle oven for hours: wipe it off; on a hot grill it is no matter."""
        fruit = of_kind("beef_flank_strips", "900 g", "strip", "12 mm", "150 g kiwi", "9 g salt")
        slow = cooked(fruit, StageInput("1", "oven", "110 C", minutes="45 min"), surface="as_is")
        hot = cooked(fruit, StageInput("1", "grill", minutes="5 min"), surface="as_is")
        self.assertIn("goes on softening", told(slow).get("enzyme", ""))
        self.assertNotIn("enzyme", told(hot))
        self.assertTrue(is_slow([CookStage("oven", 180.0, minutes=120.0)]))
        self.assertFalse(is_slow([]))


class Brushing(unittest.TestCase):
    """With what, and until when."""

    LAMB = replace(
        of_kind("lamb_shoulder_cubes", "1 kg", "cube", "30 mm", *SALTED), quantity=QuantityInput(set_aside="30 g")
    )

    def test_used_mix_as_it_is_stops_the_plan(self) -> None:
        """Raw contact: refused with what would do; tofu has none."""
        used = cooked(self.LAMB, StageInput("1", "grill", minutes="12 min", brush="used"))
        self.assertIsNone(used.plan)
        self.assertIn("brush-used", [stop.id for stop in used.stops])
        self.assertIn("boil it first", used.sentence)
        tofu = of_kind("tofu_firm", "800 g", "slab", "25 mm", "60 g soy sauce")
        self.assertIsNotNone(cooked(tofu, StageInput("1", "grill", minutes="12 min", brush="used")).plan)

    def test_the_last_brush_leaves_time_on_the_heat(self) -> None:
        """Five minutes before the end of the stage."""
        judgement = cooked(self.LAMB, StageInput("1", "grill", minutes="15 min", brush="clean"))
        brush = fire_of(judgement).last_brush
        assert brush is not None
        cook = next(step for step in judgement.steps if step.id == "cook")
        self.assertEqual(brush.at, cook.ends - timedelta(minutes=5))

    def test_brushing_with_what_is_not_there(self) -> None:
        """Clean, with none set aside; boiled, with no boil planned: warned."""
        bare = replace(self.LAMB, quantity=QuantityInput())
        self.assertIn("brush-clean", told(cooked(bare, StageInput("1", "grill", minutes="15 min", brush="clean"))))
        boiled = StageInput("1", "grill", minutes="15 min", brush="boiled")
        self.assertIn("brush-boiled", told(cooked(self.LAMB, boiled)))
        self.assertNotIn("brush-boiled", told(cooked(self.LAMB, boiled, sauce="boil")))


class Sauces(unittest.TestCase):
    """Mass balance."""

    def test_worked_example(self) -> None:
        """300 g at 3.2 % halved is 6.4 %; to 1.0 % takes 810 g: so do not."""
        self.assertAlmostEqual(reduced_salt(0.032, 0.300, 0.150), 0.064, places=12)
        self.assertAlmostEqual(dilution_kg(0.150, 0.064, 0.010), 0.810, places=9)
        sauce = sauce_of(0.300, 0.0096, 300, 0.150)
        self.assertEqual(sauce.verdict, "discard")
        self.assertIn("810 g", sauce.says)

    @given(st.floats(0.05, 3.0), st.floats(0.0, 0.2), st.floats(60, 1800), st.floats(0.2, 1.0))
    def test_salt_is_kept_and_diluting_hits_its_aim(
        self, left_kg: float, share: float, boil_s: float, keep: float
    ) -> None:
        """Salt before is salt after; with the dilution told, the sauce has 1.0 % (mass balance)."""
        sauce = sauce_of(left_kg, share * left_kg, boil_s, keep * left_kg)
        self.assertAlmostEqual(sauce.salt_share * sauce.boiled_kg, share * left_kg, places=9)
        if sauce.dilution_kg > 0:
            self.assertAlmostEqual(sauce.salt_share * sauce.boiled_kg / sauce.yield_kg, 0.010, places=9)

    def test_little_left_is_not_worth_it(self) -> None:
        """A paste that clings leaves nothing to boil."""
        paste = of_kind("lamb_shoulder_cubes", "1 kg", "cube", "30 mm", *SALTED)
        self.assertIn("not worth a sauce", fire_of(cooked(paste)).sauce.says)

    def test_what_went_into_the_meat_is_not_in_the_sauce(self) -> None:
        """Salt of the sauce and of the meat are not more than went in."""
        bath = of_kind("pork_shoulder", "1 kg", "slab", "25 mm", "40 g salt", "900 g water", "100 g cider vinegar")
        judgement = cooked(bath, sauce="boil")
        sauce = fire_of(judgement).sauce
        in_meat = next(f.value for f in judgement.figures if f.name == "salt_in_meat_g_per_kg") / 1000
        self.assertLess(sauce.salt_share * sauce.boiled_kg + 0.5 * in_meat, 0.040)


class Probe(unittest.TestCase):
    """The core on its way."""

    def rising(self, pace_per_h: float, heat_c: float, minutes: int) -> list[tuple[datetime, float]]:
        """Readings every five minutes of a core that nears the heat exponentially from 5 C."""
        return [
            (START + timedelta(minutes=m), heat_c - (heat_c - 5) * math.exp(-pace_per_h * m / 60))
            for m in range(0, minutes + 1, 5)
        ]

    def test_an_exponential_rise_is_foretold(self) -> None:
        """After twenty minutes of it, the moment is right to half a minute."""
        told_at = forecast(self.rising(0.6, 180, 20), 63, 180, 0.03)
        assert told_at is not None
        assert told_at.ready_at is not None
        off = 63 - carry_over_c(180, 63, 0.03)
        exact_h = math.log((180 - 5) / (180 - off)) / 0.6
        self.assertAlmostEqual((told_at.ready_at - START).total_seconds() / 3600, exact_h, delta=0.01)

    def test_words_on_the_way(self) -> None:
        """Too few readings, off the heat, done; nothing without a reading."""
        self.assertIsNone(forecast([], 63, 180, 0.03))
        first = forecast([(START, 5.0)], 63, 180, 0.03)
        assert first is not None
        self.assertIn("A few more readings", first.says)
        for celsius, says in ((61.0, "off the heat; it rises"), (63.0, "done")):
            at = forecast([(START, celsius)], 63, 180, 0.03)
            assert at is not None
            self.assertIn(says, at.says)

    def test_a_core_that_does_not_rise(self) -> None:
        """The oven is out: no moment is told."""
        flat = [(START + timedelta(minutes=5 * n), 20.0) for n in range(6)]
        told_at = forecast(flat, 63, 180, 0.03)
        assert told_at is not None
        self.assertIsNone(told_at.ready_at)

    def test_now_is_a_moment(self) -> None:
        """Judging without a plan still tells doneness."""
        self.assertIsNotNone(judged(of_kind("beef_sirloin", "1 kg", "slab", "24 mm", *SALTED), NOW).fire)
