"""Reading a draft: what is assumed, what is refused and with which words."""

from __future__ import annotations

import unittest
from dataclasses import replace

from hypothesis import given, settings
from hypothesis import strategies as st

from tests import drawn
from tests.drafts import NOW, judged, of_kind, steak
from tests.saturday import saturday_drafts
from vadouvan.core.draft.examples import EXAMPLES, lines
from vadouvan.core.draft.typed import (
    CompanionInput,
    CutInput,
    Draft,
    FireInput,
    HoldInput,
    LineInput,
    MealInput,
    OccasionInput,
    StageInput,
)
from vadouvan.core.interpretation.draft import Interpretation, read_draft
from vadouvan.core.measures.quantity import COOK, MASS, quantity
from vadouvan.data.tables import shipped_kitchen
from vadouvan.errors import InputError


def reading(draft: Draft) -> Interpretation:
    """What could be read."""
    return read_draft(draft, shipped_kitchen(), now=NOW)


def complaint(draft: Draft, field: str) -> str:
    """The sentence about a field."""
    found = [str(problem) for problem in reading(draft).problems if problem.field == field]
    return found[0] if found else ""


class Assumed(unittest.TestCase):
    """Anything can be left unknown."""

    def test_only_the_kind(self) -> None:
        """Weight, thickness, pieces, bone and hold are assumed, and each is told."""
        found = reading(Draft(cut=CutInput(kind="pork_chop_bone"), mix=lines("5 g salt")))
        self.assertIsNotNone(found.cut)
        self.assertLessEqual(
            {"cut.mass_g", "cut.thickness_mm", "cut.pieces", "hold.fridge_c", "hold.goal"}, set(found.assumed)
        )
        self.assertIn("280 g", found.assumed["cut.mass_g"])

    def test_what_is_too_thin_for_a_round_piece_is_slices(self) -> None:
        """Strips and slices of a round cut, told by their thickness alone, are judged as such, and it is said."""
        for kind in ("pork_tenderloin", "beef_round_roast", "pork_loin_roast", "lamb_rack"):
            thin = CutInput(kind=kind, mass="600 g", thickness="6 mm")
            found = reading(Draft(cut=thin, mix=lines("5 g salt")))
            with self.subTest(kind=kind):
                self.assertEqual(found.problems, [])
                assert found.cut is not None
                self.assertEqual((found.cut.shape, found.cut.cover), ("slab", "none"))
                self.assertIn("slices", found.assumed["cut.shape"])
                whole = reading(Draft(cut=replace(thin, thickness=""), mix=lines("5 g salt"))).cut
                assert whole is not None
                self.assertEqual(whole.shape, "cylinder")
        said = CutInput(kind="pork_tenderloin", mass="600 g", thickness="6 mm", shape="cylinder")
        self.assertIn("m long", complaint(Draft(cut=said, mix=lines("5 g salt")), "cut.pieces"))

    def test_cheese_that_is_salted_itself_is_given_no_salt(self) -> None:
        """Halloumi has 2 to 3 % (labels, from memory): a mix without salt is as aimed, soy is over; paneer has none."""
        oiled = of_kind("halloumi", "450 g", "", "", "30 g olive oil", "2 g dried oregano")
        self.assertIn("brings its own", reading(oiled).assumed["hold.salt_target_g_per_kg"])
        without, soy = judged(oiled).salt, judged(of_kind("halloumi", "450 g", "", "", "50 g soy sauce")).salt
        paneer = judged(of_kind("paneer", "450 g", "", "", "30 g olive oil")).salt
        assert without is not None
        assert soy is not None
        assert paneer is not None
        self.assertEqual(without.says, "salt as aimed")
        self.assertIn("over", soy.says)
        self.assertIn("short", paneer.says)

    def test_nothing_said_waits(self) -> None:
        """An empty draft is no error; it says what is still to say."""
        judgement = judged(Draft())
        self.assertEqual(judgement.reading.problems, [])
        self.assertEqual(judgement.sentence, "Still to say: what the cut is and at least one ingredient in the mix.")

    def test_every_cut_of_the_table_is_judged(self) -> None:
        """Each kind alone, with 1 % salt, gives a window."""
        for kind in shipped_kitchen().cuts.values():
            with self.subTest(kind=kind.id):
                judgement = judged(Draft(cut=CutInput(kind=kind.id), mix=lines("5 g salt", "10 g olive oil")))
                self.assertEqual(judgement.reading.problems, [])
                self.assertIsNotNone(judgement.window)

    def test_demo_and_examples_are_clean(self) -> None:
        """Nothing to mend in what we ship."""
        for draft in (*saturday_drafts(NOW), *(example.draft for example in EXAMPLES.values())):
            with self.subTest(draft=draft.name):
                judgement = judged(draft)
                self.assertEqual(judgement.reading.problems, [])
                self.assertIsNotNone(judgement.window)


class Refused(unittest.TestCase):
    """Each bad answer gets a sentence that says what would do."""

    def test_masses(self) -> None:
        """Negative, absurd and unreadable weights."""
        for text, part in (
            ("-3 kg", "less than nothing"),
            ("50 kg", "too much"),
            ("0 g", "too little"),
            ("a lot", "could not be read as a mass"),
            ("3 stone", "could not be read"),
            ("3 kg 2", "could not be read"),
        ):
            with self.subTest(text=text):
                self.assertIn(part, complaint(of_kind("beef_flank", text, "slab", "15 mm", "5 g salt"), "cut.mass_g"))
                self.assertIn(
                    "from 5 g to 25 kg", complaint(of_kind("beef_flank", text, "slab", "15 mm"), "cut.mass_g")
                )

    def test_thickness_larger_than_the_mass_allows(self) -> None:
        """200 g cannot be 80 mm thick; a 60 mm cube does not come out of 100 g."""
        self.assertIn(
            "thicker than wide", complaint(of_kind("beef_sirloin", "200 g", "slab", "80 mm"), "cut.thickness_mm")
        )
        self.assertIn("at most", complaint(of_kind("beef_sirloin", "200 g", "slab", "80 mm"), "cut.thickness_mm"))
        self.assertIn(
            "weighs more", complaint(of_kind("lamb_shoulder_cubes", "100 g", "cube", "60 mm"), "cut.thickness_mm")
        )

    def test_a_huge_cube(self) -> None:
        """20 kg as one cube is no cube for a marinade."""
        self.assertIn(
            "not the edge", complaint(of_kind("lamb_shoulder_cubes", "20 kg", "cube", "240 mm"), "cut.thickness_mm")
        )

    def test_cubes_that_do_not_fit(self) -> None:
        """400 cubes of 30 mm from 200 g: about 7 would be."""
        cut = CutInput(kind="lamb_shoulder_cubes", mass="200 g", shape="cube", thickness="30 mm", pieces="400")
        self.assertIn("makes about 7", complaint(Draft(cut=cut), "cut.pieces"))

    def test_choices_and_kinds(self) -> None:
        """Unknown kind, shape and goal name what there is."""
        self.assertIn("list of cuts", complaint(of_kind("unicorn", "1 kg", "slab", "20 mm"), "cut.kind"))
        self.assertIn("slab or strip", complaint(of_kind("beef_flank", "1 kg", "blob", "20 mm"), "cut.shape"))
        self.assertIn("surface or through", complaint(steak(hold=HoldInput(goal="deep")), "hold.goal"))

    def test_what_a_cut_is_called(self) -> None:
        """Words that name no kind are said again, with the kinds that may be meant: one, several, or none."""
        for said, meant, says in (
            ("lamb cubes", ["lamb_shoulder_cubes"], 'There is no cut "lamb cubes" in the list.'),
            ("chiken thigh", ["chicken_thigh"], 'Choose "chicken, thigh'),
            ("veal", ["veal_cutlet", "veal_chop", "veal_shin", "veal_liver"], "may be one of several cuts."),
            ("half a moon", [], "Choose the most like it"),
            ("lamb cubes " * 40, [], "Choose the most like it"),
        ):
            with self.subTest(said=said):
                (problem,) = (
                    one for one in reading(Draft(cut=CutInput(kind=said))).problems if one.field == "cut.kind"
                )
                self.assertEqual([choice.text for choice in problem.choices], meant)
                self.assertIn(says, str(problem))
                self.assertEqual(problem.given, said)

    def test_hold(self) -> None:
        """A warm fridge is not judged; salt aims have a range."""
        self.assertIn("0 to 15 C", complaint(steak(hold=HoldInput(fridge="30")), "hold.fridge_c"))
        self.assertIn("0 to 30 grams", complaint(steak(hold=HoldInput(salt_target="90")), "hold.salt_target_g_per_kg"))

    def test_meal_in_the_past(self) -> None:
        """1995 is past; 1970 is no year of ours."""
        draft = replace(steak("5 g salt"), meal=MealInput("1995-01-01T12:00", "", "UTC"))
        self.assertIn("already past", complaint(draft, "meal.at"))

    def test_bone(self) -> None:
        """90 % bone is refused."""
        cut = CutInput(kind="pork_chop_bone", mass="1 kg", bone="face", bone_share="90")
        self.assertIn("0 to 60 %", complaint(Draft(cut=cut), "cut.bone_share_pct"))

    def test_three_hundred_lines(self) -> None:
        """Too many lines are told, and the judgement waits."""
        judgement = judged(steak(*["1 g salt"] * 300))
        self.assertIsNone(judgement.window)
        self.assertIn("300 lines", complaint(steak(*["1 g salt"] * 300), "mix"))

    def test_one_unread_line_withholds_the_window_not_the_ledger(self) -> None:
        """The rest is weighed and balanced, but time is not told from half a mix."""
        judgement = judged(steak("12 g salt", "3 handfuls"))
        self.assertIsNone(judgement.window)
        self.assertEqual(len(judgement.grams), 1)
        self.assertEqual(judgement.sentence, "One thing to mend before this can be judged.")

    @settings(max_examples=drawn(60))
    @given(
        st.builds(CutInput, st.sampled_from(["", "beef_flank", "cod_fillet"]), *[st.text(max_size=12)] * 11),
        st.text(max_size=20),
    )
    def test_any_texts_are_answered(self, cut: CutInput, line: str) -> None:
        """Whatever is typed, there is an answer."""
        self.assertTrue(judged(Draft("x", cut, (LineInput("1", line),))).sentence)


class KeptAsRead(unittest.TestCase):
    """What stays as it was is not read anew, and nothing that was noted of it is lost."""

    def test_the_second_reading_notes_what_the_first_did(self) -> None:
        """Problems and assumptions of a cut, a fire and what stands beside the mix, in a draft that has them again."""
        cut = CutInput(kind="beef_sirloin", mass="heavy", thickness="25 mm")
        beside = (
            CompanionInput("1", title="A dip", text="a glug of curing salt"),
            CompanionInput("2", title="Gravy", text="1 l stock"),
        )
        fire = replace(steak("12 g salt"), fire=FireInput(rest="for ever"))
        for draft in (Draft(cut=cut), replace(steak("12 g salt"), companions=beside), fire):
            first = reading(draft)
            second = reading(replace(draft, name="Another"))
            self.assertTrue(first.problems)
            self.assertEqual([str(one) for one in second.problems], [str(one) for one in first.problems])
            self.assertEqual(second.notes.assumed, first.notes.assumed)
            self.assertEqual(len(reading(draft).problems), len(first.problems))


class Quantities(unittest.TestCase):
    """Weights in words."""

    def test_weights(self) -> None:
        """Metric, customary, compound."""
        for text, kg in (
            ("2.6 kg", 2.6),
            ("900", 0.9),
            ("2 lb 4 oz", 1.0206),
            ("1 1/2 lbs", 0.6804),
            ("half a kilo", 0.5),
            ("1 kg and 200 g", 1.2),
            ("1kg 200", 1.2),
            ("2 lb 4", 1.0206),
            ("4 at 200g", 0.8),
            ("a kilo and a half", 1.5),
        ):
            with self.subTest(text=text):
                self.assertAlmostEqual(quantity(text, MASS, field="cut.mass_g"), kg, delta=1e-4)
        for text in ("1 kg 2", "1 kg 1200", "200 5", "and a half"):
            with self.subTest(text), self.assertRaises(InputError):
                quantity(text, MASS, field="cut.mass_g")

    def test_times(self) -> None:
        """As recipes have them."""
        for text, minutes in (
            ("1 h 30", 90), ("1h30", 90), ("an hour and a half", 90), ("45m", 45), ("1h 15m", 75), ("half an hour", 30),
        ):  # fmt: skip
            with self.subTest(text):
                self.assertAlmostEqual(quantity(text, COOK, field="time"), minutes * 60)
        with self.assertRaises(InputError):
            quantity("1 h 90", COOK, field="time")

    def test_servings_and_ovens_in_words(self) -> None:
        """With "for" or "people" they are numbers; "180 fan" is moving air; 350 in an oven may be Fahrenheit."""
        for said, servings in (("for 6", 6), ("4 people", 4), ("6-8 guests", 7), ("  for   4  people ", 4)):
            occasion = reading(replace(steak(), occasion=OccasionInput(servings=said))).occasion
            assert occasion is not None
            self.assertEqual(occasion.servings, servings)
        fan = FireInput(stages=(StageInput("1", heat="180 C fan", minutes="20"),))
        stage = reading(replace(steak(), fire=fan)).stages[0]
        self.assertEqual((stage.heat_c, stage.fan), (180.0, True))
        self.assertEqual(reading(replace(steak(), fire=fan)).assumed["fire.stages.0.air"], "fan")
        still = FireInput(stages=(StageInput("1", heat="180 C fan", air="plain", minutes="20"),))
        self.assertIn("still air is chosen", complaint(replace(steak(), fire=still), "fire.stages.0.air"))
        asked = replace(steak(), fire=FireInput(stages=(StageInput("1", heat="350", minutes="20"),)))
        self.assertIn('Write "350 F" or "350 C"', complaint(asked, "fire.stages.0.heat_c"))
        grilled = FireInput(stages=(StageInput("1", place="grill", heat="350", minutes="20"),))
        self.assertEqual(reading(replace(steak(), fire=grilled)).stages[0].heat_c, 350.0)
