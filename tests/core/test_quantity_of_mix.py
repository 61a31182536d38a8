"""How much mix: coats, films, tubs, what is set aside, another size; schools of salting."""

from __future__ import annotations

import unittest
from dataclasses import replace
from typing import Any

from hypothesis import given
from hypothesis import strategies as st

from tests.drafts import NOW, cut_of, judged, of_kind, steak
from tests.mixes import ITEMS, KITCHEN, salty
from vadouvan.core.advice.scaling import scaled_to
from vadouvan.core.contact.mix_at_contact import MixAtContact
from vadouvan.core.draft.typed import AimsInput, Draft, HoldInput, QuantityInput
from vadouvan.core.judgement.judgement import Judgement
from vadouvan.core.mix.consistency import OF_FORM
from vadouvan.core.mix.need import SetAside, Vessel, need_of
from vadouvan.core.mix.salting_method import spoon_target


def cubes(mass: str, edge: str = "25 mm") -> Draft:
    """Bare cubes with a plain mix."""
    return of_kind("lamb_shoulder_cubes", mass, "cube", edge, "12 g salt", "200 g olive oil")


def at_contact(draft: Draft, **said: Any) -> MixAtContact:
    """The bowl of a draft with answers on its quantity."""
    mix = judged(replace(draft, quantity=QuantityInput(**said))).mix
    assert mix is not None
    return mix.at_contact


class Needed(unittest.TestCase):
    """Coat times surface, film in a bag, space in a tub (geometry; layers are our calibration)."""

    def test_a_millimetre_of_paste_on_25_mm_cubes(self) -> None:
        """249 g a kilogram of density 1060: 6 M / (rho a) times 1 mm times 1100 kg/m3 (arithmetic)."""
        needed = need_of(cut_of(cubes("1 kg")), Vessel("paste", OF_FORM["paste"])).mass_kg.value
        self.assertAlmostEqual(needed * 1000, 249.1, delta=2.5)

    def test_coats_and_containers_in_order(self) -> None:
        """Thin, usual, thick; vacuum takes a third of what a bag takes."""
        cut = cut_of(cubes("1 kg"))
        thin, usual, thick = (
            need_of(cut, Vessel("paste", OF_FORM["paste"], coat=name)).mass_kg.value
            for name in ("thin", "usual", "thick")
        )
        self.assertAlmostEqual(usual / thin, 2.0)
        self.assertAlmostEqual(thick / usual, 2.5)
        bag, vacuum = (
            need_of(cut, Vessel("liquid", OF_FORM["liquid"], name)).mass_kg.value for name in ("bag", "vacuum")
        )
        self.assertAlmostEqual(bag / vacuum, 3.0)

    def test_a_tub_of_cubes_is_not_twice_the_liquid_for_twice_the_meat(self) -> None:
        """1, 2 and 4 kg in a 22 x 16 cm tub: 1.04, 1.72, 3.08 l (design note, arithmetic)."""
        for mass, litres in (("1 kg", 1.04), ("2 kg", 1.72), ("4 kg", 3.08)):
            with self.subTest(mass=mass):
                needed = need_of(
                    cut_of(cubes(mass)), Vessel("liquid", OF_FORM["liquid"], "tub", footprint_m2=0.22 * 0.16)
                ).mass_kg.value
                self.assertAlmostEqual(needed / 1.030, litres, delta=0.035)

    def test_one_joint_in_a_pot_is_floor_times_level_less_the_meat(self) -> None:
        """24 cm pot, joint 13 cm high, 2 kg: about 4 l of liquid over it (arithmetic)."""
        joint = of_kind("pork_shoulder", "2 kg", "irregular", "120 mm", "12 g salt", pieces="1")
        needed = need_of(
            cut_of(joint), Vessel("liquid", OF_FORM["liquid"], "tub", footprint_m2=3.14159 / 4 * 0.24**2)
        ).mass_kg.value
        self.assertAlmostEqual(needed / 1.030, 0.04524 * 130 - 2 / 1.06, delta=0.15)

    def test_displacement_that_does_not_fit_is_told(self) -> None:
        """4 kg of cubes and their liquid in a 2.5 l tub."""
        self.assertIn(
            "the vessel holds 2.5 l",
            at_contact(cubes("4 kg"), form="liquid", container="tub", size="2.5 l").need.remark,
        )
        self.assertEqual(at_contact(cubes("1 kg"), form="liquid", container="tub", size="5 l").need.remark, "")

    def test_made_against_needed_with_the_set_aside_on_top(self) -> None:
        """212 g made, 353 usual, and cooks make do with 163: thin; with a baste of 120 g too little."""
        draft = cubes("1 kg")
        self.assertEqual(at_contact(draft).need_says, "covers thinly; 141 g more is usual")
        self.assertEqual(at_contact(draft, set_aside="120 g").need_says, "261 g too little")


class Forms(unittest.TestCase):
    """Rub, paste, wet mix and bath: a name, and figures that go by what pours and what holds it."""

    def form_of(self, *lines: str) -> str:
        """The form assumed for lines on a kilogram of thighs."""
        return judged(of_kind("chicken_thigh", "1 kg", "", "", *lines)).reading.assumed["quantity.form"]

    def test_named_as_a_cook_would(self) -> None:
        """Common practice, no source."""
        self.assertEqual(self.form_of("12 g salt", "5 g paprika", "4 g cumin"), "rub")
        self.assertEqual(self.form_of("1 onion", "1 tsp oil", "12 g salt", "3 cloves garlic"), "paste")
        self.assertEqual(self.form_of("250 g yoghurt", "30 g lemon juice", "12 g salt"), "paste")
        self.assertEqual(self.form_of("100 ml soy sauce", "100 ml beer", "20 ml oil"), "liquid")
        brine = of_kind("chicken_thigh", "1 kg", "", "", "1 l water", "40 g salt")
        school = replace(brine, aims=replace(brine.aims, school="equilibrium"))
        self.assertEqual(judged(school).reading.assumed["quantity.form"], "bath")

    def test_a_teaspoon_of_oil_moves_an_onion_paste_by_little(self) -> None:
        """It was 126 g without and 931 g with it."""
        plain, oiled = (
            at_contact(of_kind("lamb_leg_bone", "1.5 kg", "", "", *lines)).need.mass_kg.value
            for lines in (("1 onion", "12 g salt"), ("1 onion", "12 g salt", "1 tsp oil"))
        )
        self.assertAlmostEqual(plain, oiled, delta=0.02 * plain)

    @given(st.floats(1.0, 300.0), st.sampled_from(("oil", "soy sauce", "lemon juice", "water")))
    def test_no_step_from_rub_to_liquid(self, grams: float, pours: str) -> None:
        """Three and a half per cent more of what pours moves the need by less than 12 %."""
        one, more = (
            at_contact(
                of_kind(
                    "chicken_thigh", "1 kg", "", "", "12 g salt", "10 g paprika", "30 g garlic", f"{g:.2f} g {pours}"
                )
            ).need.mass_kg.value
            for g in (grams, grams * 1.035)
        )
        self.assertLess(abs(more / one - 1), 0.12)

    def test_ribs_are_coated_on_both_sides(self) -> None:
        """24 g cannot coat a kilogram; a rack of one has 0.12 to 0.13 m2 (common practice, no source): some 130 g."""
        need = at_contact(of_kind("pork_back_ribs", "1 kg", "", "", "60 g onion", "12 g salt")).need
        self.assertTrue(0.09 < need.mass_kg.value < 0.17)

    def test_a_rub_is_measured_by_its_salt(self) -> None:
        """However little covers, it is told so and never too little."""
        rub = at_contact(of_kind("pork_shoulder", "3 kg", "", "", "36 g salt"))
        self.assertEqual((rub.sufficiency, rub.need_says), ("enough", "a rub: its measure is its salt"))

    def test_the_cook_decides(self) -> None:
        """What was said stands, and its figure with it."""
        draft = of_kind("chicken_thigh", "1 kg", "", "", "1 onion", "12 g salt")
        self.assertGreater(
            at_contact(draft, form="liquid").need.mass_kg.value,
            1.3 * at_contact(draft, form="paste").need.mass_kg.value,
        )


class SetAsideClean(unittest.TestCase):
    """A share of the mix never meets the meat."""

    def test_balance_counts_only_what_meets_the_meat(self) -> None:
        """A quarter set aside takes a quarter of salt, acid and all else."""
        whole, rest = at_contact(salty()), at_contact(salty(), set_aside="25 %")
        for name in ("salt", "acid", "sugar"):
            self.assertAlmostEqual(rest.balance.total(name).value, 0.75 * whole.balance.total(name).value)
        self.assertAlmostEqual(rest.balance.mass_kg.value, 0.75 * whole.balance.mass_kg.value)
        self.assertEqual(rest.balance.ph, whole.balance.ph)

    @given(st.floats(0, 1), st.floats(0, 5))
    def test_nothing_is_lost(self, share: float, ready_kg: float) -> None:
        """What is set aside is between nothing and all of it."""
        self.assertTrue(0 <= SetAside(share=share).of(ready_kg) <= ready_kg + 1e-12)

    def test_in_the_language_of_lines(self) -> None:
        """Spoons, cups, millilitres and parts; a volume is told in grams as assumed."""
        volumes = (("3 tbsp", 46.35, None), ("45 ml", 46.35, None), ("1/4 cup", 61.8, None))
        for text, grams, share in (*volumes, ("a third", None, 1 / 3), ("half of it", None, 0.5), ("1/4", None, 0.25)):
            reading = judged(replace(salty(), quantity=QuantityInput(set_aside=text))).reading
            with self.subTest(text):
                self.assertEqual(reading.problems, [])
                aside = reading.mix.set_aside
                if grams is not None:
                    self.assertAlmostEqual((aside.mass_kg or 0) * 1000, grams, delta=0.1)
                    self.assertIn("about", reading.assumed["quantity.set_aside"])
                else:
                    self.assertAlmostEqual(aside.share or 0, share or 0, delta=1e-6)

    def test_it_is_a_step_before_contact(self) -> None:
        """Poured off, named for its use."""
        mix = judged(replace(salty(), quantity=QuantityInput(set_aside="60 g", set_aside_for="the baste"))).mix
        assert mix is not None
        says = next(step.says for step in mix.steps if step.id == "set-aside")
        self.assertIn("Pour 60 g off clean for the baste", says)

    def test_bad_amounts_are_told(self) -> None:
        """Asked for in a weight or a share."""
        for text in ("a bit", "-20 g", "120 %", "1e9 g"):
            problems = judged(replace(salty(), quantity=QuantityInput(set_aside=text))).reading.problems
            self.assertEqual([problem.field for problem in problems], ["quantity.set_aside"], text)


SIX = (
    ("pork_back_ribs", "1.5 kg", ("94 g soy sauce", "70 g mirin", "14 g garlic", "71 g gochujang", "20 g honey")),
    ("lamb_leg_bone", "2.2 kg", ("26 g salt", "250 g yoghurt", "20 g garlic", "30 g lemon juice", "6 g cumin")),
    ("chicken_thigh", "900 g", ("2 tbsp fish sauce", "3 cloves garlic", "1 tbsp palm sugar", "juice of 2 limes")),
    ("pork_belly", "1.2 kg", ("14 g salt", "3 g white pepper", "2 g five spice")),
    ("salmon_fillet", "700 g", ("120 g white miso", "40 g mirin", "15 g sugar")),
    ("chicken_whole", "1.8 kg", ("2 l water", "120 g salt", "60 g sugar", "4 bay leaves")),
)


class AnotherSize(unittest.TestCase):
    """Every amount goes with the meat."""

    def test_six_recipes_keep_their_ratios(self) -> None:
        """To twice and to two thirds of the meat each line for a kilogram stays within 1 %, and back again."""
        for kind, mass, mix in SIX:
            draft = of_kind(kind, mass, "", "", *mix)
            grams = float(mass.split()[0]) * (1000 if mass.endswith("kg") else 1)
            for factor in (2.0, 2 / 3):
                there = scaled_to(draft, KITCHEN, now=NOW, cut=replace(draft.cut, mass=f"{grams * factor:.6g} g"))
                back = scaled_to(there.draft, KITCHEN, now=NOW, cut=draft.cut)
                with self.subTest(kind=kind, factor=round(factor, 2)):
                    before, after = judged(draft), judged(there.draft)
                    for old, new in zip(before.reading.portions, after.reading.portions, strict=True):
                        ratio = new.mass_kg.value / old.mass_kg.value / there.meat_factor
                        self.assertAlmostEqual(ratio, 1.0, delta=0.011, msg=new.text)
                    for old, new in zip(before.reading.portions, judged(back.draft).reading.portions, strict=True):
                        self.assertAlmostEqual(new.mass_kg.value / old.mass_kg.value, 1.0, delta=0.02, msg=new.text)

    def test_another_shape_changes_only_coverage(self) -> None:
        """From a steak to cubes: the same mix for a kilogram; more is offered, of everything or of the oil alone."""
        draft = steak("12 g salt", "60 g olive oil", thickness="60 mm")
        scaled = scaled_to(draft, KITCHEN, now=NOW, cut=cubes("1 kg", "20 mm").cut)
        self.assertAlmostEqual(scaled.mix_factor, scaled.meat_factor)
        self.assertIn("It covers thinly", scaled.says)
        self.assertEqual([way.id for way in scaled.more], ["everything", "neutral"])
        oil = {line.line_id: line.after_kg / line.before_kg for line in scaled.more[1].lines}
        self.assertAlmostEqual(oil["1"], scaled.meat_factor)
        self.assertGreater(oil["2"], 1.2)

    def test_counts_stay_counts(self) -> None:
        """Twice the meat is six cloves for three; a third of a lime is told in grams."""
        draft = steak("12 g salt", "3 cloves garlic", "2 limes")
        twice = scaled_to(draft, KITCHEN, now=NOW, cut=replace(draft.cut, mass="2 kg"))
        self.assertEqual([line.text for line in twice.lines], ["24 g salt", "6 cloves garlic", "4 limes"])
        odd = scaled_to(draft, KITCHEN, now=NOW, cut=replace(draft.cut, mass="1.3 kg"))
        self.assertIn(" g ", odd.lines[2].text)

    def test_twice_the_chops_is_twice_the_mix(self) -> None:
        """Same pieces, more of them: everything doubles."""
        draft = steak("24 g salt", "300 g olive oil")
        twice = replace(draft.cut, mass="2 kg", pieces="8")
        scaled = scaled_to(draft, KITCHEN, now=NOW, cut=twice)
        self.assertAlmostEqual(scaled.lines[0].after_kg / scaled.lines[0].before_kg, 2.0, delta=0.02)

    def test_no_line_vanishes_and_every_text_reads(self) -> None:
        """Down to a tenth of the meat, with a whole aromatic in it."""
        draft = steak("12 g salt", "300 g olive oil", "3 bay leaves", "2 tbsp soy sauce")
        scaled = scaled_to(draft, KITCHEN, now=NOW, cut=replace(draft.cut, mass="100 g", pieces="1"))
        self.assertEqual(judged(scaled.draft).reading.problems, [])
        self.assertTrue(all(line.after_kg > 0 for line in scaled.lines))

    def test_a_set_aside_weight_stays_what_it_was(self) -> None:
        """120 g of baste for a bigger batch are still 120 g on top."""
        draft = replace(steak("20 g salt", "100 g olive oil"), quantity=QuantityInput(set_aside="40 g"))
        scaled = scaled_to(draft, KITCHEN, now=NOW, cut=replace(draft.cut, mass="3 kg", pieces="12"))
        mix = judged(scaled.draft).mix
        assert mix is not None
        self.assertAlmostEqual(mix.at_contact.set_aside_kg, 0.040, delta=1e-6)
        self.assertEqual(mix.at_contact.sufficiency, "thin")


class Schools(unittest.TestCase):
    """Four ways to set the salt."""

    def judged_by(self, school: str, *mix: str, target: str = "", **said: Any) -> Judgement:
        """A kilogram of steak salted by a school."""
        draft = steak(*mix, hold=HoldInput(salt_target=target))
        return judged(replace(draft, aims=AimsInput(school=school, **said)))

    def test_spoon_per_pound_is_lean_right_or_strong(self) -> None:
        """One teaspoon a pound of three salts: .617, 1.058, 1.323 % (spoon weights from label serving sizes)."""
        for name, percent in (("salt_kosher_light", 0.617), ("salt_kosher_dense", 1.058), ("salt_table", 1.323)):
            target = spoon_target(ITEMS[name], 1.0) / ITEMS[name].salt.value
            self.assertAlmostEqual(target * 100, percent, delta=0.001)

    def test_the_spoon_sets_the_target_and_the_cook_overrides_it(self) -> None:
        """13 g a kilogram from table salt; 9 when the cook says 9."""
        spoon = self.judged_by("spoon_per_pound", "12 g salt", spoon_salt="salt_table")
        assert spoon.reading.hold is not None
        self.assertAlmostEqual(spoon.reading.hold.salt_target, 0.01303, delta=1e-5)
        own = self.judged_by("spoon_per_pound", "12 g salt", target="9", spoon_salt="salt_table")
        assert own.reading.hold is not None
        self.assertEqual(own.reading.hold.salt_target, 0.009)

    def test_a_strong_bath_is_aimed_at_the_hour_it_is_stopped(self) -> None:
        """With the salt that it asks for, the meat has its target after that time."""
        first = self.judged_by("strong_bath", "40 g salt", "600 g water", bath_time="8 h")
        assert first.salt is not None
        needed = 40 + first.salt.short_g / 0.985
        then = self.judged_by("strong_bath", f"{needed:.2f} g salt", "600 g water", bath_time="8 h")
        assert then.salt is not None
        self.assertTrue(then.salt.is_on_target, then.salt)
        self.assertAlmostEqual(then.salt.settles_g_per_kg, 12.0, delta=0.15)

    def test_a_shorter_bath_has_to_be_stronger(self) -> None:
        """Half the time asks for more salt."""
        wanted = []
        for time in ("4 h", "8 h", "16 h"):
            salt = self.judged_by("strong_bath", "40 g salt", "600 g water", bath_time=time).salt
            assert salt is not None
            wanted.append(salt.wanted_g_per_kg)
        self.assertEqual(wanted, sorted(wanted, reverse=True))

    def test_every_school_says_what_stays_behind(self) -> None:
        """In the bag, on the tray, in the bath."""
        for school, words in (
            ("per_kg", "on bag and tray"), ("equilibrium", "stays in the mix"), ("strong_bath", "Each hour longer"),
            ("spoon_per_pound", "a pound is"),
        ):  # fmt: skip
            mix = self.judged_by(school, "20 g salt", "500 g water").mix
            assert mix is not None
            self.assertIn(words, mix.school_says)

    def test_bad_answers_are_told(self) -> None:
        """A school, a spoon and a time that are none."""
        for field, said in (
            ("aims.school", {"school": "by eye"}),
            ("aims.spoons", {"school": "spoon_per_pound", "spoons": "9"}),
            ("aims.spoon_salt", {"school": "spoon_per_pound", "spoon_salt": "honey"}),
            ("aims.bath_h", {"school": "strong_bath", "bath_time": "20 days"}),
            ("aims.heat_shu_per_kg", {"heat": "hot"}),
        ):
            problems = judged(replace(steak("12 g salt"), aims=AimsInput(**said))).reading.problems
            self.assertEqual([problem.field for problem in problems], [field])
