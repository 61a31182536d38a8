"""Mince: the mix is worked in between its grains, so it seasons at once and goes where a marinade never would."""

from __future__ import annotations

import unittest
from dataclasses import replace

from tests.drafts import SATURDAY, hours, judged, limits, of_kind

KOFTA = ("10 g salt", "6 g cumin", "10 g garlic", "60 g onion")


class WorkedIn(unittest.TestCase):
    """Facts of the trade. Source: common practice, no source."""

    def test_seasoned_at_once_and_springy_in_days(self) -> None:
        """Koftas may be cooked as soon as they are shaped, are better rested, and firm up by the second day."""
        draft = of_kind("lamb_ground", "800 g", "irregular", "30 mm", *KOFTA)
        earliest, best, latest = hours(draft)
        self.assertLess(earliest, 0.2)
        self.assertTrue(0.5 <= best <= 4, best)
        self.assertTrue(20 <= latest <= 48, latest)
        self.assertIn("It may go straight to the heat", judged(draft).sentence)
        self.assertIn("cook it through", judged(draft).sentence)

    def test_the_size_of_the_patty_is_nothing_to_the_mix(self) -> None:
        """A kofta of 20 mm and a loaf of 60 mm have the same hours."""
        thin, thick = (of_kind("lamb_ground", "800 g", "irregular", size, *KOFTA) for size in ("20 mm", "60 mm"))
        for one, other in zip(hours(thin), hours(thick), strict=True):
            self.assertAlmostEqual(one / other, 1, delta=0.02)

    def test_green_papaya_makes_paste_of_it(self) -> None:
        """6 % for an hour or so, nowhere near overnight."""
        draft = of_kind("lamb_ground", "500 g", "irregular", "20 mm", "6 g salt", "30 g green papaya")
        self.assertEqual(limits(draft)[2], "soft")
        self.assertTrue(1.5 <= hours(draft)[2] <= 8, hours(draft))

    def test_too_much_salt_is_told(self) -> None:
        """30 g/kg is not mended by any hour."""
        said = judged(of_kind("pork_ground", "800 g", "irregular", "20 mm", "24 g salt", "8 g fennel seed"))
        self.assertTrue(said.sentence.startswith("Not recommended: it gets saltier than you aim for"), said.sentence)


class AllOfIt(unittest.TestCase):
    """Nothing runs off, nothing is wiped off, nothing stays behind, nothing is turned."""

    def test_in_words(self) -> None:
        """The salt, the making, the sauce, the plan."""
        draft = of_kind("lamb_ground", "800 g", "irregular", "30 mm", *KOFTA, "250 g yoghurt")
        said = judged(replace(draft, meal=SATURDAY))
        assert said.mix is not None
        assert said.mix.salt is not None
        assert said.fire is not None
        self.assertIn("none runs off", said.salt_line)
        self.assertEqual(said.mix.salt.school, "per_kg")
        self.assertAlmostEqual(said.mix.salt.settles_g_per_kg, 1000 * said.mix.at_contact.balance.total("salt").value)
        self.assertNotIn("burns", [step.id for step in said.mix.steps])
        self.assertEqual(said.mix.at_contact.need_says, "worked in: its measure is its salt")
        self.assertEqual(said.fire.sauce.left_kg, 0)
        self.assertEqual(said.scenario.average_at(0.1) if said.scenario else 0, said.mix.salt.settles_g_per_kg / 1000)
        self.assertNotIn("needed_mix_g", [figure.name for figure in said.figures + said.mix.figures])
        steps = {step.kind: step.says for step in said.steps}
        self.assertNotIn("turn", steps)
        self.assertIn("Work the mix in", steps["contact"])
        self.assertIn("Shape it", steps["pull"])
        self.assertFalse([one for one in said.remarks if one.id == "near-surface"])


if __name__ == "__main__":
    unittest.main()
