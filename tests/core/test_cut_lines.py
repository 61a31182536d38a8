"""Lines of meat as cooks write them: counts behind weights, bones that are counted, sizes in words.

Source: common practice, no source; the lines were written for this product.
"""

from __future__ import annotations

import unittest

from vadouvan.core.interpretation.line import can_be_read
from vadouvan.core.parsing.cut_figures import CutNamed
from vadouvan.core.parsing.cut_name import cut_named
from vadouvan.core.parsing.tidy import tidied
from vadouvan.data.tables import shipped_kitchen
from vadouvan.formats.any_file import read_any

KITCHEN = shipped_kitchen()


def named(line: str) -> CutNamed:
    """The cut in a line."""
    found = cut_named(line, KITCHEN.cuts)
    if found is None:
        raise AssertionError(f"{line} names no cut")
    return found


class Lines(unittest.TestCase):
    """Each as it was meant."""

    def test_a_count_behind_the_weight(self) -> None:
        """Two of 200 g are 400 g, wherever the two stands."""
        for line in ("sirloin steaks 200g x 2", "2 x 200 g sirloin steaks", "2 sirloin steaks, 200 g each"):
            with self.subTest(line):
                found = named(line)
                self.assertEqual((found.kind, found.mass.replace(" ", ""), found.pieces), ("beef_sirloin", "400g", "2"))

    def test_bones_that_are_counted(self) -> None:
        """A joint with so many of them is no rack of ribs."""
        for line, kind in (
            ("1.5 kg pork loin roast, bone-in, 4 ribs", "pork_loin_roast"),
            ("forerib of beef, 3 ribs, 3 kg", "beef_rib_roast"),
            ("1 rack of lamb, 8 bones, 700 g", "lamb_rack"),
            ("2 racks baby back ribs, 900 g each", "pork_back_ribs"),
        ):
            with self.subTest(line):
                self.assertEqual(named(line).kind, kind)

    def test_made_thin_at_home(self) -> None:
        """Slices, breasts opened out and cutlets are thin, which is assumed and said, unless it was told."""
        for line, thickness, pieces in (
            ("400g chicken breast, sliced thinly for stir fry", "5 mm", ""),
            ("4 chicken breasts, butterflied (700 g)", "14 mm", "4"),
            ("chicken cutlets 500g", "11 mm", ""),
        ):
            with self.subTest(line):
                found = named(line)
                self.assertEqual((found.kind, found.thickness, found.pieces), ("chicken_breast", thickness, pieces))
                self.assertIn(thickness, " ".join(read_any(f"{line}\n1 tsp salt\n2 tbsp oil", KITCHEN).notes))
        told = named("500g chicken thighs, thinly sliced (3 mm)")
        self.assertEqual((told.thickness, told.shape, told.assumed), ("3 mm", "slab", ""))
        self.assertEqual(named("1 butterflied leg of lamb, 1.5 kg").kind, "lamb_leg_butterfly")
        self.assertEqual(named("rump cubes 500g").shape, "cube")

    def test_other_names(self) -> None:
        """Of cuts that were not known by them."""
        for line, kind in (
            ("1 turkey breast crown, about 2.5 kg", "turkey_crown"),
            ("600g skirt (onglet), one piece", "beef_skirt"),
            ("1 spatchcocked poussin, 450 g", "chicken_spatchcock"),
            ("2 lb eye of round, sliced 1/4 inch thick", "beef_strips"),
            ("4 pork escalopes, 5 mm", "pork_chop_boneless"),
            ("500 g boneless chicken, tikka size", "chicken_breast_cubes"),
        ):
            with self.subTest(line):
                self.assertEqual(named(line).kind, kind)

    def test_a_minute_steak_is_no_time(self) -> None:
        """It is asked about, not left out."""
        found = read_any("4 minute steaks (400 g)\n40 minutes in all\n12 g salt\n2 tbsp oil", KITCHEN)
        self.assertIn("4 minute steaks (400 g)", [line.text for line in found.draft.mix])
        self.assertIn("Left out: 40 minutes in all.", found.notes)

    def test_spoons_by_their_volume(self) -> None:
        """Fifteen millilitres are a tablespoon, five a teaspoon."""
        self.assertEqual(tidied("2 x 15 ml spoons honey").text, "2 tbsp honey")
        self.assertEqual(tidied("1 x 5ml teaspoon salt").text, "1 tsp salt")
        for line in ("2 tsp shichimi", "3 tbsp shaoxing rice wine", "2 tsp sweet smoked paprika", "1 capsicum"):
            self.assertTrue(can_be_read(line, KITCHEN.pantry), line)


if __name__ == "__main__":
    unittest.main()
