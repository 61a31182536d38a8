"""Amounts as people say them, and the names that go with them."""

from __future__ import annotations

import unittest

import pint
from hypothesis import given
from hypothesis import strategies as st

from tests.cases import rows
from vadouvan.core.draft.typed import LineInput
from vadouvan.core.interpretation.line import portion_of
from vadouvan.core.measures.numbers import leading_number
from vadouvan.core.measures.quantity import MASS, THICKNESS, quantity
from vadouvan.core.measures.units import LENGTH_M, MASS_KG, VOLUME_M3
from vadouvan.core.parsing.amount import Portion
from vadouvan.data.tables import shipped_kitchen
from vadouvan.errors import InputError

PANTRY = shipped_kitchen().pantry


def portion(text: str) -> Portion:
    """The portion that a line means."""
    return portion_of(LineInput("1", text), PANTRY)


class SaidLines(unittest.TestCase):
    """Lines of our own making."""

    def test_lines_come_to_the_grams_worked_out_beside_them(self) -> None:
        """Ingredient, grams and range of every line of cases/amounts.csv."""
        for row in rows("amounts"):
            with self.subTest(line=row["line"]):
                found = portion(row["line"])
                self.assertEqual(found.ingredient.id, row["ingredient"])
                typical = float(row["grams"])
                self.assertAlmostEqual(found.mass_kg.value * 1000, typical, delta=0.02 * typical + 0.01)
                if found.guessed:
                    self.assertLessEqual(found.mass_kg.low, found.mass_kg.value)
                    self.assertGreaterEqual(found.mass_kg.high, found.mass_kg.value)

    def test_the_corpus_is_large_and_every_miss_is_listed(self) -> None:
        """At least 150 lines of our own making; those not read as written beside them."""
        misses = []
        for row in rows("amounts"):
            found = portion(row["line"])
            typical = float(row["grams"])
            if (
                found.ingredient.id != row["ingredient"]
                or abs(found.mass_kg.value * 1000 - typical) > 0.02 * typical + 0.01
            ):
                misses.append(f"{row['line']}: {found.ingredient.id}, {found.mass_kg.value * 1000:.2f} g")
        self.assertGreaterEqual(len(rows("amounts")), 150)
        self.assertEqual(misses, [])

    def test_guesses_are_marked_and_grams_are_not(self) -> None:
        """Grams are said; a splash, a clove and a range are guessed."""
        self.assertFalse(portion("12 g salt").guessed)
        for text in ("a splash of water", "2 cloves garlic", "6-7 g honey", "1 heaped tsp turmeric"):
            self.assertTrue(portion(text).guessed, text)

    def test_preparation_is_kept(self) -> None:
        """What follows the comma is not lost."""
        self.assertEqual(portion("4 cloves garlic, finely chopped").preparation, "finely chopped")

    def test_spelling_is_forgiven(self) -> None:
        """A slip of a letter finds the ingredient."""
        for text, identity in (
            ("2 tbsp buttermlk", "buttermilk"),
            ("1 tsp tumeric", "turmeric"),
            ("3 g vadovan", "vadouvan_style"),
        ):
            self.assertEqual(portion(text).ingredient.id, identity)


class BadLines(unittest.TestCase):
    """Lines that cannot be used say what is wrong and what would do."""

    def test_sentences(self) -> None:
        """Each bad line is told apart."""
        for text, part, accepted in (
            ("2 tbsp unobtainium", "is not in the pantry", "plainer name"),
            ("3 handfuls", "of what?", "ingredient after the amount"),
            ("-2 tbsp oil", "takes something away", "above zero"),
            ("0 g salt", "adds nothing", "above zero"),
            ("salt", "has no amount", "12 g salt"),
            ("3 handfuls of salt", "handful of fine table salt has no known weight", "grams or spoons"),
            ("1000000000 g salt", "comes to 1,000,000 kg", "at most 10 kg"),
            ("2 yoghurt", "number but no unit", "grams or spoons"),
            ("2 tbsp oregno seed powder", "is not in the pantry", ""),
            ("1/0 cup water", "has no amount", ""),
            ("🙂", "has no amount", ""),
            ("salt to taste", "leaves the amount open", "taste before contact"),
            ("the rest of the bottle of soy", "cannot be weighed", "Weigh it"),
            ("1 tsp each salt and pepper", "several ingredients", "1 tsp salt; 1 tsp pepper"),
            ("2 sticks cinnamon bark powder", "is not in the pantry", ""),
            ("5 Esslöffel Honig", "measure of another language", "5 tbsp"),
            ("2 c. à s. moutarde", "measure of another language", "2 tbsp"),
            ("½ cucharadita sal", "measure of another language", "½ tsp"),
            ("3 gousses ail", "measure of another language", "3 cloves"),
            ("🍋🍋 2", "of what", "ingredient"),
        ):
            with self.subTest(text=text), self.assertRaises(InputError) as caught:
                portion(text)
            self.assertIn(part, str(caught.exception))
            self.assertIn(accepted, caught.exception.accepted)
            self.assertEqual(caught.exception.field, "mix.1")

    @given(st.text(max_size=60))
    def test_any_text_is_read_or_refused(self, text: str) -> None:
        """No text at all ends in anything but a portion or an InputError."""
        try:
            found = portion(text)
        except InputError as error:
            self.assertTrue(error.wrong)
        else:
            self.assertGreater(found.mass_kg.value, 0)


class Units(unittest.TestCase):
    """Unit factors through Pint, an independent library."""

    def test_masses_volumes_and_lengths(self) -> None:
        """Customary and metric factors. Source: Pint's definitions after NIST SP 811.

        Spoons and cup are the nutrition-labelling sizes of 5, 15 and 240 ml, not Pint's US customary ones.
        """
        registry: pint.UnitRegistry[float] = pint.UnitRegistry()
        pairs = [(MASS_KG[name], name, "kilogram") for name in ("mg", "g", "kg", "ounce", "pound")]
        pairs += [(VOLUME_M3[name], name, "meter**3") for name in ("ml", "cl", "dl", "litre")]
        pairs += [(VOLUME_M3["floz"], "fluid_ounce", "meter**3")]
        pairs += [(LENGTH_M[name], name, "meter") for name in ("mm", "cm", "inch")]
        for factor, name, unit in pairs:
            with self.subTest(unit=name):
                self.assertAlmostEqual(factor / registry.Quantity(1, name).to(unit).magnitude, 1, delta=1e-9)

    def test_a_weight_as_it_is_told(self) -> None:
        """Roughly, so many of so much, or in two units that agree; two that do not are asked about."""
        for text, kg in (("about 2kg", 2.0), ("2 kg approx", 2.0), ("4 x 200 g", 0.8), ("1.5 kg (3 lb)", 1.5)):
            with self.subTest(text):
                self.assertAlmostEqual(quantity(text, MASS, field="cut.mass_g"), kg)
        self.assertAlmostEqual(quantity("about an inch thick", THICKNESS, field="cut.thickness_mm"), 0.0254)
        for text in ("900 x 20 kg", "1x" * 900 + "1 kg", "1.5 kg (5 lb)", "about", "about -2 kg", "2 kg (trimmed)"):
            with self.subTest(text), self.assertRaises(InputError):
                quantity(text, MASS, field="cut.mass_g")

    def test_labelling_spoons_are_near_the_customary_ones(self) -> None:
        """5, 15, 240 ml are within 2 % of the US customary spoon and cup (Pint)."""
        registry: pint.UnitRegistry[float] = pint.UnitRegistry()
        for name in ("teaspoon", "tablespoon", "cup"):
            exact = registry.Quantity(1, name).to("meter**3").magnitude
            self.assertAlmostEqual(VOLUME_M3[name] / exact, 1, delta=0.02)


class TeaspoonsOfSalt(unittest.TestCase):
    """A teaspoon of salt weighs more or less."""

    def test_a_teaspoon_per_pound(self) -> None:
        """cp10: 0.6 % (light flake) to 1.1 % (dense kosher). Source: common practice, no source."""
        pound_g = 453.59237
        for text, expected in (("1 tsp light kosher salt", 0.617), ("1 tsp dense kosher salt", 1.058)):
            share = portion(text).mass_kg.value * 1000 / pound_g * 100
            self.assertAlmostEqual(share, expected, delta=0.03)
        bare = portion("1 tsp kosher salt")
        self.assertAlmostEqual(bare.mass_kg.low * 1000 / pound_g * 100, 0.617, delta=0.03)
        self.assertAlmostEqual(bare.mass_kg.value * 1000 / pound_g * 100, 1.058, delta=0.03)
        flags = [portion(text).guessed for text in ("1 tsp kosher salt", "1 tsp coarse kosher salt", "5 g kosher salt")]
        self.assertEqual(flags, [True, False, False])
        table = portion("1 tsp table salt").mass_kg.value * 1000 / pound_g * 100
        self.assertAlmostEqual(table, 1.323, delta=0.01)


class Numbers(unittest.TestCase):
    """Numbers in words and signs."""

    def test_numbers(self) -> None:
        """Value, low and high of each."""
        for text, expected in (
            ("1,5 l", (1.5, 1.5, 1.5)),
            ("three quarters of a cup", (0.75, 0.75, 0.75)),
            ("two thirds of a cup", (2 / 3, 2 / 3, 2 / 3)),
            ("3 to 4 g", (3.5, 3, 4)),
            ("2–3 tbsp", (2.5, 2, 3)),
            ("a few sprigs", (3, 2, 5)),
            ("twelve leaves", (12, 12, 12)),
            ("quarter teaspoon", (0.25, 0.25, 0.25)),
            ("2 dozen", (2, 2, 2)),
        ):
            with self.subTest(text=text):
                found = leading_number(text)
                assert found is not None
                for mine, wanted in zip(
                    (found.number.value, found.number.low, found.number.high), expected, strict=True
                ):
                    self.assertAlmostEqual(mine, wanted)

    def test_words_that_are_no_number(self) -> None:
        """A name is not mistaken for a number."""
        for text in ("salt", "", "fennel", "onion"):
            self.assertIsNone(leading_number(text))
