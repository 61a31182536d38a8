"""What a cook reads: rounded figures, sentences, plain forms of pasted lines."""

from __future__ import annotations

import unittest
from dataclasses import replace

from hypothesis import given
from hypothesis import strategies as st

from tests.drafts import SATURDAY, judged, of_kind, steak
from vadouvan.core.figure import Figure, Given, Working, hours_told, number_told, told
from vadouvan.core.measures.quantity import MASS, THICKNESS, quantity
from vadouvan.core.measures.telling import length_told, mass_told
from vadouvan.core.pantry.pantry import Pantry
from vadouvan.core.parsing.tidy import tidied
from vadouvan.data.tables import shipped_kitchen

PANTRY: Pantry = shipped_kitchen().pantry


class Figures(unittest.TestCase):
    """Rounding to what can be acted on."""

    def test_values_as_told(self) -> None:
        """Two figures below ten, whole numbers above, the unit behind."""
        for value, unit, words in (
            (612.3, "g", "612 g"), (9.96, "g", "10 g"), (0.0, "g", "0 g"), (1.25, "%", "1.2 %"), (4.26, "pH", "4.3"),
            (14.96, "g/kg", "15 g/kg"), (0.034, "g", "0.03 g"), (-3.2, "g", "-3.2 g"),
        ):  # fmt: skip
            self.assertEqual(told(value, unit), words)  # type: ignore[arg-type]

    @given(st.floats(0.02, 400))
    def test_acting_on_the_words_never_oversteps(self, hours: float) -> None:
        """A latest time is told no later than it is, an earliest no earlier."""
        self.assertLessEqual(in_hours(hours_told(hours, "down")), max(hours, 5 / 60) + 1e-9)
        self.assertGreaterEqual(in_hours(hours_told(hours, "up")), hours - 1e-6)

    def test_a_band_is_told_only_where_it_says_something(self) -> None:
        """Ends that round to the value are left out."""

        def worked() -> Working:
            return Working("rule", (Given("a", 1.0, "g"),), ())

        self.assertIsNone(Figure("x", 600.0, "g", worked, 599.9, 600.2).band_shown)
        self.assertIsNone(Figure("x", 600.0, "g", worked).band_shown)
        self.assertEqual(Figure("x", 60.0, "g", worked, 50.0, 70.0).band_shown, "50 to 70 g")
        self.assertEqual(Figure("x", 3.0, "h", worked, 2.0, 4.0).band_shown, "2 h to 4 h")

    @given(st.floats(0.05, 20))
    def test_a_told_mass_is_read_back(self, mass_kg: float) -> None:
        """What is told in grams and kilograms, or pounds and ounces, means the same when typed."""
        for system in ("metric", "customary"):
            again = quantity(mass_told(mass_kg, system), MASS, field="cut.mass_g")
            self.assertAlmostEqual(again / mass_kg, 1.0, delta=0.06)

    @given(st.floats(0.004, 0.2))
    def test_a_told_length_is_read_back(self, length_m: float) -> None:
        """Millimetres, or inches in eighths."""
        for system in ("metric", "customary"):
            again = quantity(length_told(length_m, system), THICKNESS, field="cut.thickness_mm")
            self.assertAlmostEqual(again, length_m, delta=0.0254 / 16 + 1e-6)


def in_hours(words: str) -> float:
    """Hours that a told duration means."""
    if words.endswith("days"):
        return float(words.removesuffix(" days")) * 24
    if words.endswith("min"):
        return float(words.removesuffix(" min")) / 60
    snapshot, _, minutes = words.partition(" h")
    return float(snapshot) + (float(minutes) if minutes.strip() else 0.0) / 60


class Sentences(unittest.TestCase):
    """The judgement in plain words."""

    def test_each_kind_of_judgement(self) -> None:
        """Open, cut off before the aim, to mend."""
        open_ = judged(of_kind("lamb_shoulder_cubes", "1 kg", "cube", "30 mm", "12 g salt"))
        self.assertRegex(
            open_.sentence, r"^It may go straight to the heat\. Pull by 48 h; best about .*\. 48 h is the most for lamb"
        )
        bath = judged(of_kind("chicken_breast", "1 kg", "slab", "28 mm", "60 g salt", "1 l water"))
        self.assertRegex(bath.sentence, r"Pull between .* and .*; best about .*\. The outside gets saltier")
        strong = judged(of_kind("chicken_breast", "1 kg", "slab", "28 mm", "70 g salt"))
        self.assertRegex(strong.sentence, r"^(?:A compromise|Not recommended): the outside gets saltier .* at any hour")
        self.assertEqual(judged(steak("12 g slat peter")).sentence, "One thing to mend before this can be judged.")

    def test_no_mix_takes_the_hours_away(self) -> None:
        """Fruit by the kilogram: an hour, and said to be a compromise at best; only safety leaves none."""
        judgement = judged(replace(steak("12 g salt", "5 kg green papaya", thickness="4 mm"), meal=SATURDAY))
        window = judgement.window
        assert window is not None
        self.assertFalse(window.is_closed)
        self.assertLess(window.latest.hours, 1.5)
        self.assertIsNotNone(judgement.plan)
        old = judged(of_kind("cod_fillet", "1 kg", "slab", "20 mm", "10 g salt", age="24 h"))
        self.assertIn("No hours are left", old.sentence)

    def test_numbers_are_never_told_with_needless_decimals(self) -> None:
        """Nobody acts on 37.4 h."""
        for grams in range(2, 40, 3):
            sentence = judged(steak(f"{grams} g salt", "100 g yoghurt")).sentence
            self.assertNotRegex(sentence, r"\d\.\d+ h")

    def test_numbers(self) -> None:
        """One place for rounding."""
        self.assertEqual([number_told(v) for v in (0.004, 0.2, 1.0, 9.94, 9.96)], ["0", "0.2", "1", "9.9", "10"])


class PastedLines(unittest.TestCase):
    """Lists as they are pasted."""

    def test_plain_forms(self) -> None:
        """Each is rewritten without changing what is meant."""
        for line, plain in (
            ("• 2 tbsp oil", "2 tbsp oil"),
            ("3) 200 g yoghurt", "200 g yoghurt"),
            ("1 can (400 g) coconut milk", "400 g canned coconut milk"),
            ("200 g / 7 oz yoghurt", "200 g yoghurt"),
            ("1 cup + 2 tbsp water", "1.125 cup water"),
            ("2 cups and a half", "2 cups and a half"),
            ("1-inch piece of ginger", "1 inch ginger"),
            ("2 tbsp white and black pepper", "2 tbsp white and black pepper"),
        ):
            with self.subTest(line=line):
                self.assertEqual(tidied(line).text, plain)

    @given(st.text(max_size=60))
    def test_any_text_is_tidied(self, text: str) -> None:
        """Never an error, and what is tidy stays so."""
        once = tidied(text).text
        self.assertIsInstance(tidied(once).text, str)


class Search(unittest.TestCase):
    """Looking into the pantry."""

    def test_search(self) -> None:
        """Every typed word counts, spelling is forgiven, nothing is found twice."""
        self.assertEqual(PANTRY.search("cider vin")[0].id, "vinegar_cider")
        self.assertIn("turmeric", [item.id for item in PANTRY.search("tumeric")])
        found = [item.id for item in PANTRY.search("salt")]
        self.assertEqual(len(found), len(set(found)))
        self.assertEqual(PANTRY.search("qqqq"), [])
