"""What is done beside the meat on the same clock, and the stages as cooks say them.

Heats in words, gas marks and minutes of heating up: common practice, no source.
"""

from __future__ import annotations

import unittest
from dataclasses import replace
from datetime import timedelta
from typing import Any

from tests.drafts import SATURDAY, judged, of_kind, steak
from vadouvan.core.clock.chain import PlanStep
from vadouvan.core.cooking.heat_words import HEAT_C, STEPS, heat_said
from vadouvan.core.cooking.stages import PLACE_WORDS
from vadouvan.core.draft.typed import (
    CompanionInput,
    Draft,
    FireInput,
    MealInput,
    OwnStepInput,
    QuantityInput,
    StageInput,
)
from vadouvan.core.judgement.judgement import Judgement
from vadouvan.errors import InputError

THIGHS = of_kind("chicken_thigh_bone", "1.2 kg", "", "", "12 g salt", "40 g yoghurt")
SLOW = replace(SATURDAY, lead="4 h")
SHANK = of_kind("lamb_shank", "1.6 kg", "", "", "18 g salt", "200 g red wine", "40 g olive oil")


def planned(
    draft: Draft,
    *stages: StageInput,
    companions: tuple[CompanionInput, ...] = (),
    meal: MealInput = SATURDAY,
    **fire: Any,
) -> Judgement:
    """The judgement of a draft for Saturday with stages of cooking and mixes beside the marinade."""
    found = judged(replace(draft, meal=meal, companions=companions, fire=FireInput(stages=stages, **fire)))
    assert found.plan is not None, found.sentence
    return found


def steps_of(judgement: Judgement) -> dict[str, PlanStep]:
    """Its steps by id."""
    return {step.id: step for step in judgement.steps}


class HeatWords(unittest.TestCase):
    """How hot, in words."""

    def test_words_and_marks(self) -> None:
        """By place; degrees stay degrees; what is neither is refused with what would be accepted."""
        for text, place, heat_c, in_words in (
            ("medium", "oven", 180.0, True),
            ("medium", "pan", 175.0, True),
            ("over a low flame", "pan", 120.0, True),
            ("medium-high heat", "grill", 230.0, True),
            ("very hot oven", "oven", 245.0, True),
            ("gas mark 6", "oven", 200.0, True),
            ("Gas 1/2", "oven", 120.0, True),
            ("165 C", "smoker", 165.0, False),
        ):
            with self.subTest(text):
                self.assertEqual(heat_said(text, place, field="heat"), (heat_c, in_words))  # type: ignore[arg-type]
        with self.assertRaisesRegex(InputError, "could not be read") as caught:
            heat_said("lukewarmish", "oven", field="heat")
        self.assertIn("gas 4", caught.exception.accepted)

    def test_every_place_has_its_heats_rising(self) -> None:
        """Six steps, none below the one before."""
        for place in PLACE_WORDS:
            self.assertEqual(len(HEAT_C[place]), len(STEPS))
            self.assertEqual(list(HEAT_C[place]), sorted(HEAT_C[place]))

    def test_the_degrees_that_a_word_stands_for_are_told(self) -> None:
        """As an assumption, beside the field."""
        reading = planned(THIGHS, StageInput("1", "oven", "medium", minutes="40 min")).reading
        self.assertEqual(reading.assumed["fire.stages.0.heat_c"], "about 180 °C")
        self.assertEqual(reading.stages[0].heat_c, 180.0)


class StagesAsGiven(unittest.TestCase):
    """Minutes stay what they were said to be."""

    def test_to_the_minute_on_the_heat(self) -> None:
        """Two minutes of searing stay two, seven stay seven, thirty seconds half a minute; one follows the other."""
        found = planned(
            steak("12 g salt"), StageInput("1", "pan", "high", minutes="2 min"),
            StageInput("2", "oven", "120 C", "plain", "7 min"), StageInput("3", "pan", "high", minutes="30 s"),
        )  # fmt: skip
        steps = steps_of(found)
        self.assertEqual([steps[name].minutes for name in ("cook", "cook-2", "cook-3")], [2, 7, 0.5])
        self.assertEqual(steps["cook-2"].at, steps["cook"].ends)
        self.assertEqual(steps["rest"].at, steps["cook-3"].ends)
        self.assertEqual(steps["rest"].ends, steps["serve"].at)
        self.assertIn("30 s", steps["cook-3"].says)
        self.assertIn("2 min", steps["cook"].says)

    def test_one_unreadable_field_leaves_the_other_stages(self) -> None:
        """It is a problem of its own."""
        draft = replace(
            THIGHS,
            fire=FireInput(
                stages=(StageInput("1", "pan", "purple", minutes="5 min"), StageInput("2", minutes="30 min"))
            ),
        )
        reading = judged(draft).reading
        self.assertEqual([problem.field for problem in reading.problems], ["fire.stages.0.heat_c"])
        self.assertEqual([stage.minutes for stage in reading.stages], [5.0, 30.0])

    def test_until_tender(self) -> None:
        """A shank in a covered pot: hours, not minutes to a safe core, and a fork decides."""
        pot = FireInput(stages=(StageInput("1", "pot", tender="yes"),))
        (stage,) = judged(replace(SHANK, fire=pot)).reading.stages
        assert stage.minutes is not None
        assert stage.estimate is not None
        self.assertGreater(stage.minutes, 90)
        self.assertLess(stage.minutes, 240)
        self.assertIn("a fork turns in it easily", stage.says)
        self.assertIn("the fork decides", stage.says)

    def test_turned_every_so_often(self) -> None:
        """In the words of the stage."""
        found = planned(THIGHS, StageInput("1", "grill", "medium", minutes="30 min", every="5 min"))
        self.assertIn("turned every 5 min", steps_of(found)["cook"].says)


class Around(unittest.TestCase):
    """Before the heat and after it."""

    def test_each_place_is_heated_first(self) -> None:
        """The oven a quarter of an hour, coals half an hour; a pan at once."""
        steps = steps_of(planned(
            THIGHS, StageInput("1", "pan", minutes="5 min"), StageInput("2", "oven", "180 C", "plain", "25 min")
        ))  # fmt: skip
        self.assertNotIn("heat-up-1", steps)
        self.assertEqual(steps["heat-up-2"].ends, steps["cook-2"].at)
        self.assertEqual(steps["heat-up-2"].says, "Heat the oven to 180 °C.")

    def test_drying_travel_and_rest_are_the_cooks(self) -> None:
        """Five hours uncovered, ninety minutes in a cold box, twenty minutes of rest: all on the plan, all cold."""
        steps = steps_of(planned(
            THIGHS, StageInput("1", "oven", "200 C", "plain", "35 min"), dries="5 h", travels="90 min", rest="20 min",
            meal=replace(SATURDAY, at="2026-11-30T19:00", lead=""),
        ))  # fmt: skip
        self.assertEqual((steps["dries"].minutes, steps["dries"].zone, steps["dries"].place), (300, "cold", "fridge"))
        self.assertEqual((steps["travels"].minutes, steps["travels"].place), (90, "cold box"))
        self.assertGreaterEqual(steps["rest"].minutes, 20)
        self.assertLess(steps["dries"].at, steps["travels"].at)

    def test_steps_of_the_cooks_own(self) -> None:
        """Rice on for forty minutes, done ten before the meal; one without a time is asked."""
        own = (OwnStepInput("1", "rice on", "40 min", "10 min"), OwnStepInput("2", "salad", ""))
        judgement = judged(replace(THIGHS, meal=SATURDAY, fire=FireInput(own_steps=own)))
        step, serve = steps_of(judgement)["own-1"], steps_of(judgement)["serve"]
        self.assertEqual(step.ends, serve.at - timedelta(minutes=10))
        self.assertEqual((step.says, step.minutes), ("rice on.", 40))
        self.assertEqual([one.field for one in judgement.reading.problems], ["fire.own_steps.1.time_min"])


class Companions(unittest.TestCase):
    """Mixes beside the marinade have their moment."""

    def test_each_at_its_moment(self) -> None:
        """Coat before the oil, glaze in the last minutes, gravy ready at the table, salt at the last."""
        beside = (
            CompanionInput("a", "coating", "flour and cornflour", "120 g flour\n60 g cornflour"),
            CompanionInput("b", "glaze", "honey glaze", "60 g honey\n20 g soy sauce"),
            CompanionInput("c", "sauce", "gravy", "300 ml chicken stock\n15 g cornflour", reduce_to="200 g"),
            CompanionInput("d", "finish", "flaky salt", "2 g flaky salt"),
        )
        found = planned(THIGHS, StageInput("1", "oven", "200 C", "plain", "40 min"), companions=beside)
        steps = steps_of(found)
        cook, serve = steps["cook"], steps["serve"]
        self.assertEqual(steps["coat-a"].ends, cook.at)
        rounds = [step for name, step in steps.items() if name.startswith("glaze-b")]
        self.assertGreaterEqual(len(rounds), 1)
        self.assertTrue(all(cook.at < step.at < cook.ends for step in rounds))
        self.assertEqual(steps["sauce-c"].ends, serve.at)
        self.assertIn("boiled down to 200 g", steps["sauce-c"].says)
        self.assertEqual(steps["finish-d"].ends, serve.at)
        plate = found.plate
        assert plate is not None
        gravy = next(one for one in plate.companions if one.companion.id == "c")
        self.assertIn("Boiled down from 315 g to 200 g", gravy.says[0])
        self.assertIn("thick", gravy.says[1])
        self.assertIn(
            "the surface holds about", next(one for one in plate.companions if one.companion.id == "a").says[0]
        )

    def test_what_is_boiled_keeps_its_salt(self) -> None:
        """The gravy's salt on the plate is the same, its weight is not."""
        plates = []
        for reduce_to in ("", "half"):
            one = CompanionInput("c", "sauce", "gravy", "300 ml water\n6 g salt", reduce_to=reduce_to)
            plate = judged(replace(THIGHS, companions=(one,))).plate
            assert plate is not None
            plates.append(next(part for part in plate.parts if part.id == "companion-c"))
        self.assertAlmostEqual(plates[0].salt_kg, plates[1].salt_kg)
        self.assertAlmostEqual(plates[0].mass_kg, 2 * plates[1].mass_kg)

    def test_the_clean_part_boiled_down_for_the_table(self) -> None:
        """A step that ends with the rest, and less of it on the plate."""
        draft = replace(
            of_kind("chicken_thigh_bone", "1.2 kg", "", "", "20 g salt", "300 g yoghurt", "100 g water"),
            quantity=QuantityInput(set_aside="120 g", set_aside_for="the table", set_aside_to="80 g"),
        )
        found = planned(draft, StageInput("1", "oven", "200 C", "plain", "40 min"))
        step = steps_of(found)["reduce-clean"]
        self.assertEqual(step.says, "Boil the clean part down to 80 g, for the table.")
        self.assertEqual(step.ends, steps_of(found)["rest"].ends)

    def test_the_clean_part_thinned(self) -> None:
        """Water stirred in, its salt the same in more of it."""
        parts = {}
        for to in ("", "with 60 g water", "180 g", "thinned to 150 %"):
            draft = replace(
                of_kind("chicken_thigh_bone", "1.2 kg", "", "", "20 g salt", "300 g yoghurt", "100 g water"),
                quantity=QuantityInput(set_aside="120 g", set_aside_for="the table", set_aside_to=to),
            )
            found = planned(draft, StageInput("1", "oven", "200 C", "plain", "40 min"))
            assert found.plate is not None
            parts[to] = next(part for part in found.plate.parts if part.id == "set-aside")
            if to:
                self.assertEqual(
                    steps_of(found)["reduce-clean"].says, "Stir 60 g water into the clean part, for the table."
                )
        for part in parts.values():
            self.assertAlmostEqual(part.salt_kg, parts[""].salt_kg)
        self.assertAlmostEqual(parts["180 g"].mass_kg, 1.5 * parts[""].mass_kg)
        self.assertEqual(len({part.mass_kg for name, part in parts.items() if name}), 1)

    def test_a_second_seasoning_by_the_hour(self) -> None:
        """After so long, so long before the end, at the start; what has its moment does not stand twice."""
        for when, of, minutes in (
            ("after 1 h", "start", 60),
            ("30 min before the end", "end", 30),
            ("in the last 10 minutes", "end", 10),
            ("45 min in", "start", 45),
            ("at the start", "start", 0),
            ("at the end", "end", 0),
        ):
            with self.subTest(when):
                pot = CompanionInput("p", "pot", "second salt", "4 g salt", when=when)
                found = planned(SHANK, StageInput("1", "pot", minutes="3 h"), companions=(pot,), meal=SLOW)
                steps = steps_of(found)
                self.assertEqual(found.reading.problems, [])
                cook, second = steps["cook"], steps["moment-p"]
                apart = second.at - cook.at if of == "start" else cook.ends - second.at
                self.assertEqual((apart, "pot-p" in steps), (timedelta(minutes=minutes), False))
                self.assertEqual(second.says, "In with it: second salt.")

    def test_a_moment_that_cannot_be_read_is_asked(self) -> None:
        """Without a word for from where it counts, or without a time, it says so and keeps its usual moment."""
        for when in ("1 h", "after a while"):
            with self.subTest(when):
                pot = CompanionInput("p", "pot", "carrots", "300 g carrot", when=when)
                found = planned(SHANK, StageInput("1", "pot", minutes="3 h"), companions=(pot,), meal=SLOW)
                self.assertEqual([one.field for one in found.reading.problems], ["companions.p.when"])
                self.assertIn("pot-p", steps_of(found))

    def test_each_tells_its_own_balance(self) -> None:
        """Salt, sugar, acid and fat over what comes to the table, pH, heat, and what it contains."""
        glaze = CompanionInput("b", "glaze", "", "60 g honey\n20 g soy sauce\n20 g lemon juice\n5 g chilli flakes")
        plate = judged(replace(THIGHS, companions=(glaze,))).plate
        assert plate is not None
        told = plate.companions[0].says[-1]
        self.assertRegex(told, r"By itself: salt 2\.\d+ %, sugar \d+ %, acid 1\.?\d* %.*pH about [34]\.\d, chilli heat")
        self.assertIn("Contains gluten, soy.", told)
        self.assertIn("Contains", plate.says[0])

    def test_the_used_mix_is_boiled_once_the_meat_is_out(self) -> None:
        """Before anything is brushed with it."""
        stages = (StageInput("1", "grill", minutes="20 min", brush="boiled"),)
        steps = steps_of(planned(THIGHS, *stages, sauce="boil", boil="3 min"))
        self.assertEqual(steps["boil-mix"].at, steps["pull"].ends)
        self.assertLess(steps["boil-mix"].ends, steps["brush-last"].at)


class Along(unittest.TestCase):
    """A mix that is cooked with the meat."""

    def test_it_is_never_thrown_away(self) -> None:
        """However salty: it is eaten with the meat, its salt over all that is in the pot."""
        draft = of_kind("chicken_thigh_bone", "1.2 kg", "", "", "120 g soy sauce", "90 g cane vinegar", "30 g garlic")
        fire = judged(replace(draft, fire=FireInput(stages=(StageInput("1", "pot", minutes="50 min"),)))).fire
        assert fire is not None
        self.assertEqual(fire.sauce.verdict, "along")
        self.assertNotIn("hrow it away", fire.sauce.says)
        self.assertIn("% salt over all that is in there", fire.sauce.says)
