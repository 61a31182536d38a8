"""Minutes to a core: against closed forms, roasting tables, and the orders that must hold."""

from __future__ import annotations

import math
import unittest
from dataclasses import replace

from hypothesis import given
from hypothesis import strategies as st

from tests.drafts import NOW, cut_of, judged, of_kind
from tests.mixes import KITCHEN
from vadouvan.core.constants import MEAT_CONDUCTIVITY, MEAT_HEAT_DIFFUSIVITY
from vadouvan.core.cooking.roasting import minutes_to_core, seconds_to_core
from vadouvan.core.cooking.stages import CookStage
from vadouvan.core.cut.shape import Path
from vadouvan.core.draft.typed import FireInput, StageInput
from vadouvan.core.judgement.judge import judge

# Cut, kg, mm at the thickest, oven C, core C, minutes from and to. Roasting tables of food-safety authorities and cook
# books at those heats, from memory, not looked up; a whole piece's thickness follows from its weight.
TABLE = (
    ("chicken_whole", 1.8, 76, 177, 74, 75, 90),
    ("chicken_whole", 2.7, 88, 177, 74, 120, 135),
    ("turkey_whole", 4.5, 103, 163, 74, 165, 180),
    ("turkey_whole", 5.9, 113, 163, 74, 180, 225),
    ("turkey_whole", 7.3, 121, 163, 74, 225, 255),
    ("turkey_whole", 10.0, 134, 163, 74, 270, 300),
    ("turkey_breast", 2.5, 80, 163, 74, 90, 135),
    ("cornish_hen", 0.6, 55, 177, 74, 50, 60),
    ("beef_rib_roast", 2.3, 110, 163, 63, 115, 125),
    ("beef_round_roast", 1.5, 100, 163, 63, 99, 116),
    ("beef_tenderloin", 2.3, 62, 218, 63, 45, 60),
    ("beef_tenderloin", 1.1, 58, 218, 63, 35, 45),
    ("beef_tritip", 0.9, 50, 218, 57, 30, 40),
    ("pork_loin_roast", 1.6, 92, 177, 63, 70, 105),
    ("pork_loin_roast", 2.2, 102, 177, 63, 95, 145),
    ("pork_tenderloin", 0.5, 56, 225, 63, 20, 30),
    ("pork_chop_boneless", 0.2, 25, 220, 63, 10, 16),
    ("pork_shoulder", 2.2, 108, 177, 71, 150, 200),
    ("lamb_leg_bone", 2.7, 116, 163, 63, 120, 150),
    ("lamb_leg_bone", 3.6, 128, 163, 63, 120, 160),
    ("lamb_rack", 0.7, 56, 218, 63, 20, 30),
    ("chicken_breast_bone", 0.2, 36, 177, 74, 30, 40),
    ("chicken_breast", 0.113, 22, 177, 74, 20, 30),
    ("salmon_fillet", 0.2, 25, 230, 63, 9, 12),
    ("cod_fillet", 0.2, 25, 230, 63, 9, 12),
)


class ClosedForms(unittest.TestCase):
    """One-term solutions of heating a slab, a long cylinder and a sphere (Incropera and DeWitt, from memory)."""

    def test_at_a_biot_number_of_one(self) -> None:
        """First roots .8603, 1.2558, 1.5708 with factors 1.1191, 1.2071, 1.2732."""
        length_m = 0.03
        heating = MEAT_CONDUCTIVITY.value / length_m
        for exponent, root, factor in ((0.0, 0.8603, 1.1191), (1.0, 1.2558, 1.2071), (2.0, 1.5708, 1.2732)):
            fourier = 0.8
            left = factor * math.exp(-(root**2) * fourier)
            seconds = seconds_to_core(Path(exponent, length_m), heating, left)
            with self.subTest(exponent=exponent):
                self.assertAlmostEqual(seconds * MEAT_HEAT_DIFFUSIVITY.value / length_m**2, fourier, delta=0.008)


class Tables(unittest.TestCase):
    """The estimate lies within 20 % of what tables allow."""

    def test_each_row(self) -> None:
        """Twenty-five rows."""
        for kind, kg, thick_mm, oven_c, core_c, low, high in TABLE:
            draft = of_kind(kind, f"{kg * 1000:.0f} g", "", "", "12 g salt", pieces="1")
            cut = replace(cut_of(draft), thickness_m=thick_mm / 1000)
            takes = minutes_to_core(cut, CookStage("oven", float(oven_c)), float(core_c))
            assert takes is not None
            with self.subTest(f"{kind} {kg} kg"):
                self.assertTrue(0.8 * low <= takes.value <= 1.2 * high, (takes.value, low, high))


class Told(unittest.TestCase):
    """Where no minutes were said."""

    def test_a_bird_of_five_kilograms_is_not_told_twenty_minutes(self) -> None:
        """To 74 C at 180 C; it was told 20 minutes, the worst figure in the program."""
        bird = of_kind("turkey_whole", "5 kg", "", "", "60 g salt", pieces="1")
        stage = StageInput("1", place="oven", heat="180 C", core="74 C")
        judgement = judged(
            replace(bird, fire=FireInput(stages=(stage,)), meal=replace(bird.meal, at="2026-11-28T19:00"))
        )
        told = judgement.reading.assumed["fire.stages.0.time_min"]
        self.assertRegex(told, r"^about 1[5-9]\d min \(\d+ to \d+\)$")
        assert judgement.plan is not None
        cook = next(step for step in judgement.steps if step.id == "cook")
        self.assertGreaterEqual(cook.minutes, 150)
        self.assertIn("the core decides", cook.says)

    def test_what_was_said_stands(self) -> None:
        """Minutes as typed; a stew is left open, since tender is not a temperature."""
        thigh = of_kind("chicken_thigh", "1 kg", "", "", "12 g salt")
        said = replace(thigh, fire=FireInput(stages=(StageInput("1", place="pan", minutes="7 min"),)))
        self.assertEqual(judge(said, KITCHEN, now=NOW).reading.fire.stages[0].minutes, 7.0)
        stew = replace(thigh, fire=FireInput(stages=(StageInput("1", place="pot"),)))
        self.assertIsNone(judge(stew, KITCHEN, now=NOW).reading.fire.stages[0].minutes)

    @given(st.floats(12, 120), st.floats(140, 240), st.floats(50, 80))
    def test_thicker_colder_and_more_done_take_longer(self, thick_mm: float, oven_c: float, core_c: float) -> None:
        """Each by itself; and no step anywhere."""
        plain = cut_of(of_kind("pork_loin_roast", "1.5 kg", "", "", "18 g salt", pieces="1"))

        def minutes(thick: float, oven: float, core: float) -> float:
            takes = minutes_to_core(replace(plain, thickness_m=thick / 1000), CookStage("oven", oven), core)
            assert takes is not None
            return takes.value

        once = minutes(thick_mm, oven_c, core_c)
        for more in (
            minutes(thick_mm * 1.035, oven_c, core_c),
            minutes(thick_mm, oven_c / 1.035, core_c),
            minutes(thick_mm, oven_c, core_c * 1.02),
        ):
            self.assertTrue(once < more < 1.2 * once, (once, more))


if __name__ == "__main__":
    unittest.main()
