"""What goes to the table beside the marinade, and a serving of it all."""

from __future__ import annotations

import unittest
from dataclasses import replace

from hypothesis import given, settings
from hypothesis import strategies as st

from tests import drawn
from tests.drafts import NOW, judged, steak
from vadouvan.core.advice.scaling import scaled_to
from vadouvan.core.constants import SODIUM_SHARE_OF_SALT
from vadouvan.core.contact.allergens import allergens_of
from vadouvan.core.draft.examples import lines
from vadouvan.core.draft.typed import CompanionInput, Draft, FireInput, OccasionInput, StageInput
from vadouvan.core.judgement.judgement import Judgement
from vadouvan.core.judgement.plate import Plate
from vadouvan.data.tables import shipped_kitchen

OVEN = FireInput(stages=(StageInput("1", "oven", "220 C", minutes="90"),))


def beside(kind: str, title: str, *texts: str, eaten: str = "", draft: Draft | None = None) -> Judgement:
    """A batch with one mix beside its marinade."""
    said = CompanionInput("1", kind, title, "\n".join(texts), eaten)
    return judged(replace(draft or replace(steak("12 g salt"), fire=OVEN), companions=(said,)))


def plate_of(judgement: Judgement) -> Plate:
    """Its plate."""
    assert judgement.plate is not None
    return judgement.plate


class Companions(unittest.TestCase):
    """Each kind is told as what it is."""

    def test_a_glaze_is_a_film_with_sugar_at_a_heat(self) -> None:
        """Millimetres and rounds; honey burns at 220 C and bears a pot; never "too salty"."""
        told = plate_of(beside("glaze", "late glaze", "80 g honey", "20 g soy sauce")).companions[0]
        self.assertRegex(told.says[0], r"^100 g over the surface: [\d.]+ mm, in \d+ thin rounds\.$")
        self.assertIn("burns if it stays long at about 220 °C", told.says[1])
        self.assertNotIn("salty", " ".join(told.says))
        in_pot = replace(steak("12 g salt"), fire=FireInput(stages=(StageInput("1", "pot", minutes="90"),)))
        says = plate_of(beside("glaze", "", "80 g honey", draft=in_pot)).companions[0].says
        self.assertFalse([one for one in says if "burns" in one])

    def test_a_sauce_is_told_by_its_salt(self) -> None:
        """One gram in a hundred is how a sauce is salted (common practice, no source)."""
        for salt_g, words in ((0.2, "hardly salted"), (4, "salted as a sauce is"), (8, "salty"), (40, "strong")):
            said = plate_of(beside("sauce", "gravy", "400 g water", f"{salt_g} g salt")).companions[0].says[0]
            self.assertIn(words, said)

    def test_a_pot_counts_the_meat_in(self) -> None:
        """1 kg of meat with 10.8 g eaten of its 12 g of salt, 989 g water and 11 g salt: 1.1 % over all."""
        said = plate_of(beside("pot", "", "989 g water", "11 g salt")).companions[0].says[0]
        self.assertIn("1.1 % salt over all", said)

    def test_what_it_is_follows_from_its_name(self) -> None:
        """And is noted as assumed; a choice goes before it."""
        for title, kind in (
            ("For the gravy", "sauce"),
            ("dipping sauce", "dip"),
            ("to serve", "finish"),
            ("", "sauce"),
        ):
            found = beside("", title, "20 g honey").reading
            self.assertEqual(found.companions[0].kind, kind)
            self.assertEqual(found.assumed["companions.1.kind"], kind)
        self.assertEqual(beside("glaze", "gravy", "20 g honey").reading.companions[0].kind, "glaze")

    def test_what_cannot_be_read_is_told_there_and_stops_nothing(self) -> None:
        """The line as typed, why and what would do; the batch is judged as without it."""
        found = beside("sauce", "gravy", "400 g stock", "some magic dust", "2 g salt")
        (bad,) = found.reading.companions[0].unread
        self.assertEqual((bad.given, bad.field), ("some magic dust", "companions.1"))
        self.assertIn("no amount", bad.wrong)
        self.assertEqual((found.reading.problems, len(found.reading.companions[0].portions)), ([], 2))
        self.assertEqual(found.sentence, judged(replace(steak("12 g salt"), fire=OVEN)).sentence)

    def test_a_curing_salt_stops_wherever_it_stands(self) -> None:
        """Also in a sauce."""
        self.assertEqual([one.id for one in beside("sauce", "", "2 g pink curing salt").stops], ["curing"])

    def test_its_allergens_are_the_dishs(self) -> None:
        """Milk in the dip."""
        reading = beside("dip", "", "150 g yoghurt").reading
        self.assertIn("milk", {one.name for one in allergens_of(reading.all_portions, None) if one.sure})

    def test_it_goes_with_the_size(self) -> None:
        """Twice the meat, twice the sauce; what could not be weighed stays as it was typed."""
        sauce = CompanionInput("1", "sauce", "", "2 tbsp honey\nmagic\n33 g oil")
        draft = replace(steak("12 g salt"), companions=(sauce,))
        cut = replace(draft.cut, mass="2 kg")
        twice = scaled_to(draft, shipped_kitchen(), now=NOW, cut=cut).draft.companions[0].text.splitlines()
        self.assertEqual(twice[:2], ["4 tbsp honey", "magic"])
        self.assertTrue(twice[2].startswith("66 g "), twice)

    def test_how_much_is_eaten(self) -> None:
        """A share in words, per cent, or what is usual; anything else is told."""
        for said, share in (
            ("", 0.5),
            ("half", 0.5),
            ("a third", 1 / 3),
            ("80 %", 0.8),
            ("all of it", 1.0),
            ("1/4", 0.25),
        ):
            found = beside("dip", "", "100 g yoghurt", eaten=said).reading.companions[0]
            self.assertAlmostEqual(found.eaten_share, share, msg=said)
        self.assertEqual(
            beside("dip", "", "1 g salt", eaten="lots").reading.problems[0].field, "companions.1.eaten_pct"
        )


class Servings(unittest.TestCase):
    """What a serving brings."""

    def test_by_hand(self) -> None:
        """Of 12 g salt (98.5 % of it salt) nine tenths stay on: 10.6 g; of a sauce with 2 g all is eaten."""
        draft = replace(steak("12 g salt"), occasion=OccasionInput("4", "hearty"), fire=OVEN)
        plate = plate_of(beside("sauce", "gravy", "100 g water", "2 g salt", draft=draft))
        meat, gravy = plate.parts
        self.assertAlmostEqual(meat.salt_kg * plate.servings * 1000, 12 * 0.985 * 0.9, delta=0.05)
        self.assertAlmostEqual(gravy.salt_kg * plate.servings * 1000, 2.0, delta=0.03)
        (figure,) = [one for one in plate.figures if one.name == "plate.salt_g"]
        self.assertAlmostEqual(figure.value, plate.salt_kg * 1000)
        self.assertEqual([given.name for given in figure.working.inputs], [meat.title, "gravy", "servings"])

    def test_salty_enough_already(self) -> None:
        """Meat as aimed, a sauce of 3 %: leave its salt out, with what it brings; a mild one says nothing."""
        salty = plate_of(beside("sauce", "gravy", "400 g water", "13 g salt")).says
        self.assertRegex(" ".join(salty), r"Salty enough already: .* Leave the salt of the gravy out")
        mild = plate_of(beside("sauce", "gravy", "400 g water", "2 g salt")).says
        self.assertNotIn("Salty enough", " ".join(mild))

    def test_the_clean_part_that_was_kept_for_something_is_on_it(self) -> None:
        """Set aside for the baste: it is eaten too."""
        draft = steak("12 g salt", "100 g oil", "50 g lemon juice")
        aside = replace(draft, quantity=replace(draft.quantity, set_aside="30 g", set_aside_for="the baste"))
        self.assertEqual([part.id for part in plate_of(judged(aside)).parts], ["meat", "set-aside"])

    @settings(max_examples=drawn(25))
    @given(st.floats(1, 40), st.floats(0.5, 20), st.integers(0, 100))
    def test_its_salt_is_the_sodium_of_what_is_eaten(self, rub_g: float, sauce_g: float, eaten: int) -> None:
        """Part by part: nothing is counted twice, nothing is left out."""
        draft = replace(steak("1 g salt"), mix=lines(f"{rub_g:.2f} g salt"))
        found = beside("sauce", "", "200 g water", f"{sauce_g:.2f} g salt", eaten=f"{eaten} %", draft=draft)
        plate = plate_of(found)
        (sodium,) = [one.value for one in found.all_figures if one.name == "sodium_mg_per_serving"]
        of_sauce = round(sauce_g, 2) * 0.985 * eaten / 100 / plate.servings
        self.assertAlmostEqual(
            plate.salt_kg * 1000,
            sodium / 1000 / SODIUM_SHARE_OF_SALT.value + of_sauce,
            delta=0.05 * plate.salt_kg * 1000 + 0.01,
        )
