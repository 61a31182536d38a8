"""Deeds that a line of meat tells are kept: among the steps under Cut, told as read, never dropped.

Source: common practice, no source; the phrases were written for this product.
"""

from __future__ import annotations

import unittest

from tests.drafts import judged
from vadouvan.core.draft.typed import YES, Draft
from vadouvan.data.tables import shipped_kitchen
from vadouvan.formats.any_file import read_any

KITCHEN = shipped_kitchen()
DONE: tuple[tuple[str, str, list[str]], ...] = (
    ("1 kg spare ribs, cut into single ribs", "pork_spare_ribs", ["divided"]),
    ("2 racks baby back ribs, cut between the bones", "pork_back_ribs", ["divided"]),
    ("6 chicken drumsticks, slashed", "chicken_drumstick", ["scored"]),
    ("6 slashed drumsticks", "chicken_drumstick", ["scored"]),
    ("6 chicken thighs, slashed to the bone 3 times", "chicken_thigh_bone", ["scored"]),
    ("2 whole sea bream, 3 slashes in each side", "whole_fish", ["scored"]),
    ("1 chicken, 1.6 kg, washed and patted dry", "chicken_whole", ["rinsed", "patted"]),
    ("1 kg chicken thighs, rinsed under cold water and patted dry with paper towels", "chicken_thigh",
     ["rinsed", "patted"]),
    ("4 pork chops, pricked all over with a fork", "pork_chop_bone", ["pricked"]),
    ("400 g pressed tofu, cubed", "tofu_cubes", ["pressed"]),
    ("500 g firm tofu, pressed for 30 minutes, cubed", "tofu_cubes", ["pressed"]),
    ("1 kg chicken wings, rinsed and dried", "chicken_wing", ["rinsed"]),
    ("1 whole chicken, 1.5 kg, patted dry inside and out", "chicken_whole", ["patted"]),
    ("1 kg squid, cleaned and scored", "squid_tube", ["scored"]),
    ("1 kg lamb leg, fat lightly scored", "lamb_leg_bone", ["scored"]),
    ("600 g cod loin, skin on", "cod_fillet", []),
)  # fmt: skip


def brought(line: str) -> tuple[Draft, str]:
    """The draft that a cut and a mix make, and what is told of it."""
    found = read_any(f"{line}\n2 tbsp soy sauce", KITCHEN)
    return found.draft, " ".join(found.notes)


class Done(unittest.TestCase):
    """Steps of the cut, from its line."""

    def test_each_stands_among_the_steps(self) -> None:
        """In the order that was said, with nothing wrong about them; and it is told that they were read."""
        for line, kind, steps in DONE:
            with self.subTest(line):
                draft, told = brought(line)
                self.assertEqual((draft.cut.kind, [one.kind for one in draft.cut.steps]), (kind, steps))
                self.assertEqual("Done to it" in told, bool(steps))
                self.assertFalse(judged(draft).reading.problems)

    def test_what_is_said_once_is_told_once(self) -> None:
        """Two deeds in one part of the line."""
        _, told = brought("1 chicken, 1.6 kg, washed and patted dry")
        self.assertEqual(told.count("washed and patted dry"), 1)

    def test_figures_are_kept_and_are_no_thickness(self) -> None:
        """How deep, how far apart, how many, through the skin; what they say is not how thick the meat is."""
        draft, _ = brought("1 kg pork belly, skin scored 5 mm deep in a diamond pattern, 1 cm apart")
        step = draft.cut.steps[0]
        self.assertEqual((step.depth, step.spacing, step.crosswise, step.through_skin), ("5 mm", "1 cm", YES, YES))
        self.assertEqual(draft.cut.thickness, "")
        for line, apart in (
            ("2 duck breasts (350 g each), skin scored in 1 cm diamonds", "1 cm"),
            ("1 pork loin, 2 kg, rind scored at 15 mm intervals", "15 mm"),
            ("600 g salmon fillet, scored every 2 cm", "2 cm"),
        ):
            self.assertEqual(brought(line)[0].cut.steps[0].spacing, apart, line)
        draft, _ = brought("leg of lamb, 2 kg, with 12 slits")
        self.assertEqual((draft.cut.steps[0].count, draft.cut.pieces), ("12", ""))

    def test_nothing_but_ribs_is_cut_into_ribs(self) -> None:
        """Of anything else it is asked what is meant."""
        draft, _ = brought("1 kg chicken thighs, cut into individual ribs")
        self.assertEqual(draft.cut.kind, "")

    def test_frozen_unless_it_is_thawed(self) -> None:
        """What is frozen starts so, and the plan has its thawing."""
        for line, state in (
            ("500 g frozen prawns, peeled", "frozen"),
            ("500 g frozen peeled prawns, thawed", ""),
            ("500 g peeled prawns, thawed if frozen", ""),
        ):
            with self.subTest(line):
                draft, told = brought(line)
                self.assertEqual((draft.cut.kind, draft.cut.state), ("prawn_peeled", state))
                self.assertEqual("thawing is in the plan" in told, bool(state))

    def test_a_bird_cut_into_so_many(self) -> None:
        """Joints, with or without a word for them."""
        for line in ("1 whole chicken (4 lb), cut into 8", "1 whole chicken, cut into 8"):
            with self.subTest(line):
                draft, _ = brought(line)
                self.assertEqual((draft.cut.kind, draft.cut.pieces), ("chicken_jointed", "8"))


if __name__ == "__main__":
    unittest.main()
