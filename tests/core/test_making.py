"""Making a mix: boiling down, cooling, ice, pounding, fishing out, two contacts."""

from __future__ import annotations

import math
import unittest
from dataclasses import replace
from typing import Any

from hypothesis import given
from hypothesis import strategies as st

from tests.drafts import judged, of_kind, steak
from tests.mixes import marked, portions
from vadouvan.core.draft.typed import Draft, MakingInput, QuantityInput
from vadouvan.core.judgement.judgement import Judgement
from vadouvan.core.mix.leaving import simmered_off, water_of
from vadouvan.core.mix.making import Making, cooling_s, cools_in_time, ice_share, make, water_to_add_kg

COOKED = ("200 g soy sauce", "100 g water", "40 g sugar", "3 bay leaves")


def making(draft: Draft, **said: Any) -> Judgement:
    """The judgement of a draft that is made in some way."""
    return judged(replace(draft, making=MakingInput(**said)))


def steps(judgement: Judgement) -> dict[str, str]:
    """What each step says."""
    assert judgement.mix is not None
    return {step.id: step.says for step in judgement.mix.steps}


class WhatLeaves(unittest.TestCase):
    """Steam by the minutes, water fried off, what is strained or lifted out, and what that leaves behind."""

    def test_half_an_hour_of_simmering_evaporates(self) -> None:
        """It changed nothing; an open pot loses some 5 g a minute (common practice, no source): 80 to 150 g."""
        draft = steak("300 g water", "40 g salt", "200 g apple juice")
        short, long = (making(draft, method="cooked", simmer=text).balance for text in ("1 min", "30 min"))
        assert short is not None
        assert long is not None
        lost = short.mass_kg.value - long.mass_kg.value
        self.assertTrue(0.08 < lost < 0.15, lost)
        self.assertAlmostEqual(short.salt_kg, long.salt_kg)
        self.assertGreater(long.salt_per_water, 1.15 * short.salt_per_water)

    @given(st.floats(1, 300), st.floats(0.1, 3.0))
    def test_never_more_than_there_is(self, minutes: float, water_kg: float) -> None:
        """Longer is more, and some is always left."""
        pot = portions(f"{water_kg * 1000:.0f} g water")
        lost, more = (simmered_off(pot, m * 60).value for m in (minutes, minutes * 1.1))
        self.assertTrue(0 < lost < more < water_of(pot))

    def test_boiled_below_its_solids_is_refused(self) -> None:
        """84 g with 25 g of sugar in it down to 17 g: refused, and what would do is told; the text stays."""
        draft = steak("25 g sugar", "59 g water")
        told = making(draft, method="cooked", reduce_to="17 g")
        problem = next(one for one in told.reading.problems if one.field == "making.reduce_to")
        self.assertEqual((problem.given, problem.wrong[:14]), ("17 g", "17 g is less t"))
        self.assertIn("Write 30 g or more", problem.accepted)
        self.assertEqual(making(draft, method="cooked", reduce_to="31 g").reading.problems, [])

    def test_no_brine_is_stronger_than_full(self) -> None:
        """26.4 % by weight is as much salt as water holds (handbook solubility, from memory); 72 % was told."""
        draft = steak("25 g salt", "100 g water")
        self.assertTrue(making(draft, method="cooked", reduce_to="35 g").reading.problems)
        brine = making(draft, method="cooked", reduce_to="96 g").balance
        assert brine is not None
        self.assertLess(brine.salt_kg / brine.mass_kg.value, 0.264)

    def test_a_halved_chilli_leaves_heat_behind(self) -> None:
        """Fished out of a simmer it left none; cut open it leaves more than whole, and less than if it stayed."""
        heats = []
        for line in ("20 g bird's eye chilli, halved", "20 g bird's eye chilli"):
            draft = marked(steak("200 g water", "12 g salt", line), "lifted", "3")
            balance = making(draft, method="cooked").balance
            assert balance is not None
            heats.append(balance.heat_shu.value)
        stays = making(steak("200 g water", "12 g salt", "20 g bird's eye chilli"), method="cooked").balance
        assert stays is not None
        self.assertTrue(0 < heats[1] < heats[0] < stays.heat_shu.value, heats)
        self.assertAlmostEqual(heats[0] / stays.heat_shu.value, 0.6, delta=0.01)

    def test_what_is_strained_off_takes_its_share_along(self) -> None:
        """Dried spices soak up their weight: salt and liquid go with them, at the same strength."""
        draft = steak("300 g water", "30 g salt", "30 g coriander seed", "60 g onion")
        whole, strained = (making(draft, method="cooked", strained=said) for said in ("", "yes"))
        assert whole.balance is not None
        assert strained.balance is not None
        self.assertTrue(0.8 < strained.balance.salt_kg / whole.balance.salt_kg < 0.95)
        self.assertIn("Strain off before cooling: ground coriander, onion", steps(strained)["lift"])

    def test_frying_the_aromatics(self) -> None:
        """They lose about half their water and every enzyme; oil and salt stay."""
        draft = steak("100 g onion", "20 g ginger", "40 g oil", "12 g salt")
        raw, fried = judged(draft), making(draft, method="fried")
        assert raw.balance is not None
        assert fried.balance is not None
        self.assertAlmostEqual(raw.balance.mass_kg.value - fried.balance.mass_kg.value, 0.052, delta=0.006)
        self.assertGreater(raw.balance.enzyme_units.value, 0)
        self.assertEqual(fried.balance.enzyme_units.value, 0)
        self.assertIn("Fry onion, ginger soft", steps(fried)["fry"])
        self.assertIn("cool", steps(fried))

    def test_ice_is_water_and_the_ice_of_a_concentrate(self) -> None:
        """200 g of ice weigh as water in the balance; what was written as ice is the ice that is stirred in."""
        draft = steak("500 g water", "400 g ice", "50 g salt")
        balance = judged(draft).balance
        assert balance is not None
        self.assertAlmostEqual(balance.water_kg, 0.9, delta=0.01)
        self.assertIn("400 g of ice", steps(making(draft, method="concentrate"))["ice"])
        little = steak("800 g water", "100 g ice", "50 g salt")
        self.assertIn("too little for 4 C", steps(making(little, method="concentrate"))["ice"])


class Cooked(unittest.TestCase):
    """Boiled down and cooled."""

    def test_only_water_leaves(self) -> None:
        """340 g boiled down to 240 g: the salt stays, the water loses 100 g, the strength rises."""
        before, after = judged(steak(*COOKED)), making(steak(*COOKED), method="cooked", reduce_to="240 g")
        assert before.balance is not None
        assert after.balance is not None
        self.assertAlmostEqual(after.balance.salt_kg, before.balance.salt_kg)
        self.assertAlmostEqual(before.balance.water_kg - after.balance.water_kg, 0.1006, delta=0.001)
        self.assertAlmostEqual(after.balance.mass_kg.value, 0.240, delta=1e-6)

    def test_a_share_means_the_same_as_its_weight(self) -> None:
        """60 % of 200 g is 120 g."""
        draft = steak("100 g soy sauce", "100 g water")
        balances = [making(draft, method="cooked", reduce_to=text).balance for text in ("60 %", "120 g")]
        assert balances[0] is not None
        assert balances[1] is not None
        self.assertAlmostEqual(balances[0].mass_kg.value, balances[1].mass_kg.value)

    def test_a_part_set_aside_is_as_strong_as_the_rest(self) -> None:
        """Boiled down, then half of it kept clean: what meets the meat has the same pH, and half the water."""
        draft = steak("100 g lemon juice", "100 g water", "12 g salt")
        snapshot = making(draft, method="cooked", reduce_to="120 g").balance
        half = making(
            replace(draft, quantity=QuantityInput(set_aside="50 %")), method="cooked", reduce_to="120 g"
        ).balance
        assert snapshot is not None
        assert half is not None
        self.assertAlmostEqual(half.water_kg, snapshot.water_kg / 2)
        self.assertAlmostEqual(half.ph or 0, snapshot.ph or 1, delta=1e-6)

    def test_water_does_not_all_boil_off(self) -> None:
        """Asked for less than its solids weigh, the water of a syrup stays: a fifth of the sugar."""
        ready = make(portions("100 g water", "50 g sugar"), Making("cooked", reduce_to_kg=0.010))
        self.assertAlmostEqual(ready.mass_kg.value, 0.060, delta=1e-3)

    def test_heat_ends_enzymes(self) -> None:
        """Cooked kiwi softens nothing, so the window stays open."""
        draft = steak("100 g kiwi", "12 g salt", thickness="20 mm")
        raw, cooked = judged(draft), making(draft, method="cooked")
        assert raw.window is not None
        assert cooked.window is not None
        assert cooked.balance is not None
        self.assertEqual(raw.window.latest.limit.id, "soft")
        self.assertNotEqual(cooked.window.latest.limit.id, "soft")
        self.assertEqual(cooked.balance.enzyme_units.value, 0)

    def test_it_is_cooled_before_contact_and_the_plan_waits(self) -> None:
        """The steps say how long; a slow way is refused."""
        told = steps(making(steak(*COOKED), method="cooked", cooling="ice_bath"))
        self.assertIn("Cool to 5 C before it meets meat", told["cool"])
        self.assertNotIn("cool-first", told)
        slow = making(steak(*COOKED), method="cooked", cooling="fridge")
        assert slow.mix is not None
        self.assertIn("stop", [step.kind for step in slow.mix.steps if step.id == "cool-first"])

    def test_cooling_is_newtons_law(self) -> None:
        """Time to halve the difference is ln 2 of the time constant; ice water is at least five times as quick."""
        halved, snapshot = cooling_s("fridge", 84.0, 44.0), cooling_s("fridge", 84.0, 24.0)
        self.assertAlmostEqual(snapshot, 2 * halved, delta=1e-6)
        self.assertGreater(cooling_s("fridge", 98.0, 5.0), 5 * cooling_s("ice_bath", 98.0, 5.0))
        self.assertTrue(cools_in_time("ice_bath"))
        self.assertFalse(cools_in_time("fridge"))

    def test_a_sauce_in_ice_water_takes_about_half_an_hour(self) -> None:
        """A pot stirred in an ice bath is cold in 20 to 45 min (common practice, no source)."""
        self.assertTrue(20 <= cooling_s("ice_bath", 98.0, 5.0) / 60 <= 45)


class Concentrate(unittest.TestCase):
    """Hot concentrate plus ice."""

    def test_heat_lost_is_heat_gained(self) -> None:
        """Half a degree of arithmetic: ice at 0 C into water at 80 C, latent heat 334 kJ/kg, c 4.19 (from memory)."""
        share = ice_share(80.0, 40.0, 0.0)
        self.assertAlmostEqual(share, 4.186 * 40 / (4.186 * 40 + 333.6 + 4.186 * 40), delta=1e-9)
        self.assertAlmostEqual(share, 0.25, delta=0.01)

    def test_both_amounts_are_told(self) -> None:
        """A litre of brine water: a little under half of it ice."""
        told = steps(making(steak("1 l water", "40 g salt"), method="concentrate"))["ice"]
        self.assertIn("450 g of ice", told)
        self.assertIn("548 g of water at 80 C", told)

    def test_without_water_there_is_nothing_to_freeze(self) -> None:
        """Said, as a warning."""
        judgement = making(steak("300 g buttermilk", "12 g salt"), method="concentrate")
        assert judgement.mix is not None
        self.assertEqual([step.kind for step in judgement.mix.steps if step.id == "ice"], ["warn"])

    def test_salt_that_does_not_dissolve_is_told(self) -> None:
        """Saturated at 26.4 % by weight (handbook, from memory)."""
        judgement = making(steak("500 g water", "150 g salt"), method="concentrate")
        assert judgement.mix is not None
        self.assertTrue(any("does not dissolve" in step.says for step in judgement.mix.steps))


class Pounded(unittest.TestCase):
    """Water to a consistency."""

    def test_water_brings_the_share(self) -> None:
        """What is said to be added gives the share asked for."""
        mix = portions("30 g coriander seed", "40 g garlic", "12 g salt")
        for share in (0.55, 0.68, 0.8):
            more = water_to_add_kg(mix, share)
            total = sum(p.mass_kg.value for p in mix) + more
            water = sum(p.mass_kg.value * p.ingredient.water for p in mix) + more
            self.assertAlmostEqual(water / total, share)

    def test_a_wet_paste_is_told_to_be_drained(self) -> None:
        """More water than a thick paste holds."""
        told = steps(making(steak("200 g yoghurt", "12 g salt"), method="pounded", texture="thick"))["pound"]
        self.assertIn("more water than a thick paste", told)


class FishedOut(unittest.TestCase):
    """Whole aromatics, stains, things that burn."""

    def test_they_are_named_and_their_weight_leaves(self) -> None:
        """Bay leaves do not coat meat, and take along what they soaked up: about their weight."""
        draft = marked(steak("90 g olive oil", "12 g salt", "10 bay leaves"), "lifted", "3")
        judgement = judged(draft)
        assert judgement.mix is not None
        self.assertIn("bay", steps(judgement)["lift"])
        self.assertAlmostEqual(judgement.mix.at_contact.ready.mass_kg.value, 0.0998, delta=2e-4)

    def test_stains_and_burns_are_minded(self) -> None:
        """Turmeric stains; honey and garlic scorch."""
        told = steps(judged(steak("5 g turmeric", "30 g honey", "10 g garlic", "12 g salt")))
        self.assertIn("turmeric", told["stains"])
        self.assertIn("honey", told["burns"])


class TwoSteps(unittest.TestCase):
    """An enzyme step first, then the seasoning: one batch with two contacts."""

    def hours(self, first_contact: str) -> float:
        """Latest hour after so long a first step with kiwi on thin strips."""
        draft = of_kind("beef_flank_strips", "1 kg", "strip", "12 mm", "60 g kiwi", "12 g salt", "60 g rapeseed oil")
        judgement = making(marked(draft, "first", "1"), first_contact=first_contact)
        assert judgement.window is not None
        return judgement.window.latest.hours

    def test_the_first_step_uses_up_the_softening(self) -> None:
        """Every minute of it, in stronger juice, takes more than a minute off the hold that follows."""
        short, long = self.hours("10 min"), self.hours("30 min")
        self.assertGreater(short - long, 20 / 60)

    def test_together_lasts_longest(self) -> None:
        """No first step: nothing used up."""
        self.assertGreater(self.hours(""), self.hours("10 min"))

    def test_it_is_a_step_and_the_plan_waits_for_it(self) -> None:
        """Named with its minutes; asked for when missing."""
        draft = marked(steak("100 g kiwi", "12 g salt"), "first", "1")
        told = making(draft, first_contact="45 min")
        assert told.mix is not None
        self.assertIn("kiwi on the meat for 45 min", steps(told)["first"])
        self.assertTrue(math.isclose(told.mix.minutes, 45))
        self.assertIn("how long", steps(judged(draft))["first"])


class Bad(unittest.TestCase):
    """Answers that cannot be read."""

    def test_each_is_told_with_what_would_do(self) -> None:
        """Nothing is guessed from them."""
        for field, said in (
            ("making.simmer_min", {"method": "cooked", "simmer": "a while"}),
            ("making.reduce_to", {"method": "cooked", "reduce_to": "5 %"}),
            ("making.first_contact_min", {"first_contact": "0"}),
            ("making.method", {"method": "roasted"}),
        ):
            with self.subTest(field=field):
                problems = making(steak("12 g salt"), **said).reading.problems
                self.assertEqual([problem.field for problem in problems], [field])
                self.assertTrue(problems[0].accepted)
