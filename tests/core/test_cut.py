"""The cut as it really is: agreement, preparation, occasion, covers, cube series."""

from __future__ import annotations

import unittest
from dataclasses import replace
from itertools import pairwise
from typing import Any

import numpy as np
from hypothesis import given, settings
from hypothesis import strategies as st

from tests import drawn
from tests.drafts import NOW, cut_of, hours, judged, of_kind
from vadouvan.core.cut.cut import Cut
from vadouvan.core.cut.occasion import Occasion, raw_mass_kg, servings_from
from vadouvan.core.cut.own import own_kind
from vadouvan.core.cut.shape import Openness, Path, Piece, ShapeName, Size, piece_of
from vadouvan.core.draft.examples import lines
from vadouvan.core.draft.typed import CutInput, Draft, StepInput
from vadouvan.core.hold.cube_series import cube_series, paste_needed_kg
from vadouvan.core.hold.eigenmodes import modes_of
from vadouvan.core.hold.salt import SaltContact, salt_course
from vadouvan.core.hold.temperature import salt_diffusivity
from vadouvan.core.interpretation.draft import read_draft
from vadouvan.data.tables import shipped_kitchen
from vadouvan.errors import InputError

SHAPES: tuple[ShapeName, ...] = ("slab", "strip", "cylinder", "cube", "cuboid", "ball", "irregular")

KITCHEN = shipped_kitchen()


def mean_at(piece: Piece, hours_in: float, contact: SaltContact | None = None) -> float:
    """Mean salt of a piece after some hours at 4 C in the same bath [kg/kg water]."""
    course = salt_course(piece, contact or SaltContact(0.02, 0.5, 0.73, 0.1))
    return float(np.interp(salt_diffusivity(4.0, "red") * hours_in * 3600, course.tau_m2, course.average))


def piece(shape: ShapeName, thick: float = 0.03, **openness: Any) -> Piece:
    """A piece half again as wide as thick and three times as long."""
    size = Size(thick, 1.5 * thick, 3 * thick, 4.5 * thick**3)
    return piece_of(shape, size, Openness(**openness))


def with_steps(*steps: StepInput, kind: str = "pork_loin_roast", **cut: Any) -> Cut:
    """A cut with things done to it."""
    return cut_of(Draft(cut=CutInput(kind=kind, **{"mass": "1.5 kg", "cover": "none", **cut}, steps=steps)))


class WhatOpensAndBlocks(unittest.TestCase):
    """Orderings that cooks know."""

    @settings(max_examples=drawn(30))
    @given(st.sampled_from(SHAPES), st.floats(0.01, 0.08), st.floats(1, 48))
    def test_bone_along_a_face_never_speeds_it_up(self, shape: ShapeName, thick: float, time_h: float) -> None:
        """For any shape, thickness and time."""
        bare, boned = piece(shape, thick), piece(shape, thick, bone="face", bone_share=0.2)
        self.assertGreaterEqual(mean_at(bare, time_h), mean_at(boned, time_h) * (1 - 1e-6))

    @settings(max_examples=drawn(30))
    @given(st.sampled_from(SHAPES), st.sampled_from([0.001, 0.005, 0.025, 0.1]), st.booleans())
    def test_a_cover_never_speeds_it_up(self, shape: ShapeName, cover_m: float, all_round: bool) -> None:
        """Membrane, skin, rind or fat, on one side or all round."""
        covered = piece(shape, cover_m=cover_m, cover_all_round=all_round)
        self.assertGreaterEqual(mean_at(piece(shape), 10), mean_at(covered, 10) * (1 - 1e-6))

    def test_skin_all_round_holds_back_more_than_on_one_side(self) -> None:
        """And fat more than skin."""
        one, both = (mean_at(piece("slab", cover_m=0.005, cover_all_round=side), 10) for side in (False, True))
        fat = mean_at(piece("slab", cover_m=0.1, cover_all_round=True), 10)
        self.assertTrue(one > both > fat)

    def test_thick_fat_on_one_side_is_like_a_blocked_face(self) -> None:
        """A slab under a fat cap takes up nearly as one with bone along that face."""
        cap, bone = mean_at(piece("slab", cover_m=0.1), 20), mean_at(piece("slab", bone="face"), 20)
        self.assertAlmostEqual(cap / bone, 1.0, delta=0.12)
        self.assertGreater(cap, bone)

    def test_bone_in_and_boneless_of_the_same_size(self) -> None:
        """A boneless round of the same thickness is later seasoned to its middle than meat round a bone."""
        ring, solid = piece("cylinder", bone="core", bone_share=0.3), piece("cylinder")
        self.assertLess(ring.far_m, solid.far_m)

    def test_ring_against_the_cross_product_series(self) -> None:
        """Bone radius a fifth of the radius: uptake 0.471 at 0.05 and 0.811 at 0.2.

        Source: cross-product Bessel series of an annulus with a closed inside, recomputed.
        """
        ring = piece("cylinder", bone="core", bone_share=0.04 / 0.35)
        modes = modes_of(ring.path, np.inf)
        states = 1 + modes.states(np.full(60, -1.0), np.array([0.05, 0.2]))
        for mine, expected in zip(states @ modes.grid.volumes, (0.47096, 0.81103), strict=True):
            self.assertAlmostEqual(float(mine), expected, delta=5e-4)

    def test_resistance_against_the_biot_series(self) -> None:
        """Slab with Bi = 1 at Fo 0.5: 0.3189; with Bi = 5 at 0.2: 0.35098 (Crank 1975, from memory)."""
        for biot, fo, expected in ((1.0, 0.5, 0.3189), (5.0, 0.2, 0.35098)):
            modes = modes_of(Path(0.0, 1.0, resistance_m=1 / biot), np.inf)
            filled = 1 + modes.states(np.full(60, -1.0), np.array([fo]))[0]
            self.assertAlmostEqual(float(filled @ modes.grid.volumes), expected, delta=5e-4)


class Preparation(unittest.TestCase):
    """What each step does."""

    def test_trimming_takes_weight_and_tells_the_yield(self) -> None:
        """150 g off 1.5 kg leaves 90 %."""
        cut = with_steps(StepInput("1", "trimmed", amount="150 g"))
        self.assertAlmostEqual(cut.meat_kg, 1.35)
        self.assertIn("90 % of the meat left", cut.prepared.effects[0].says)

    def test_membrane_is_a_barrier_until_it_is_off(self) -> None:
        """Taking it off opens the face."""
        on = with_steps(kind="pork_spare_ribs", cover="membrane", cover_on="one")
        off = with_steps(StepInput("1", "membrane_off"), kind="pork_spare_ribs", cover="membrane", cover_on="one")
        self.assertGreater(mean_at(off.piece, 3), mean_at(on.piece, 3))

    def test_a_joint_in_steaks(self) -> None:
        """Worked out: 1.5 kg of loin 90 mm across is some 225 mm long, nine steaks of 25 mm, open on both faces."""
        steaks = with_steps(StepInput("1", "divided", spacing="25 mm"), cover="")
        self.assertEqual((steaks.shape, steaks.pieces, steaks.cover), ("slab", 9, "none"))
        self.assertAlmostEqual(steaks.thickness_m, 0.025, delta=0.001)
        self.assertAlmostEqual(steaks.meat_kg, 1.5)
        self.assertIn("9 pieces", steaks.prepared.effects[0].says)

    def test_a_rack_in_ribs(self) -> None:
        """Both sides of each rib are open then, and its bone stays along one face; patted after, it stays patted."""
        rack = with_steps(kind="pork_back_ribs", pieces="2", cover="")
        ribs = with_steps(
            StepInput("1", "divided", spacing="30 mm"),
            StepInput("2", "patted"),
            kind="pork_back_ribs",
            pieces="2",
            cover="",
        )
        self.assertEqual((ribs.bone, ribs.pieces % 2), ("ribs", 0))
        self.assertGreater(ribs.pieces, 12)
        self.assertGreater(ribs.open_area_m2, 1.5 * rack.open_area_m2)
        self.assertLess(ribs.piece.far_m, rack.piece.far_m)
        self.assertEqual([effect.kind for effect in ribs.prepared.effects], ["divided", "patted"])

    def test_what_is_too_short_is_not_cut_apart(self) -> None:
        """It says how long it is, and what would do."""
        steak = of_kind("beef_ribeye", "300 g", "", "30 mm", "4 g salt")
        draft = replace(steak, cut=replace(steak.cut, pieces="1", steps=(StepInput("1", "divided", spacing="90 mm"),)))
        problem = judged(draft).reading.problems[0]
        self.assertEqual(problem.field, "cut.steps.0")
        self.assertIn("make no pieces", problem.wrong)

    @settings(max_examples=drawn(25))
    @given(st.sampled_from(SHAPES), st.integers(20, 60))
    def test_cutting_apart_loses_no_meat(self, shape: ShapeName, apart: int) -> None:
        """Any shape: as much meat, and nothing lies deeper than before."""
        sizes = {"cube": "40 mm", "strip": "30 mm", "ball": "138 mm"}
        whole = with_steps(shape=shape, thickness=sizes.get(shape, "60 mm"))
        draft = Draft(
            cut=CutInput(
                kind="pork_loin_roast",
                mass="1.5 kg",
                cover="none",
                shape=shape,
                thickness=sizes.get(shape, "60 mm"),
                steps=(StepInput("1", "divided", spacing=f"{apart} mm"),),
            )
        )
        cut = read_draft(draft, shipped_kitchen(), now=NOW).cut
        if cut is not None:
            self.assertAlmostEqual(cut.meat_kg, whole.meat_kg)
            self.assertLessEqual(cut.piece.far_m, whole.piece.far_m * 1.02)

    @settings(max_examples=drawn(25))
    @given(st.sampled_from(SHAPES), st.integers(1, 12), st.integers(8, 40), st.booleans())
    def test_scoring_never_slows_it_down(self, shape: ShapeName, depth: int, spacing: int, cross: bool) -> None:
        """Any depth and spacing; crosswise at least as much."""
        step = StepInput("1", "scored", depth=f"{depth} mm", spacing=f"{spacing} mm", crosswise="yes" if cross else "")
        sizes = {"cube": "40 mm", "strip": "30 mm", "ball": "138 mm"}
        thickness = sizes.get(shape, "60 mm")
        plain = with_steps(shape=shape, thickness=thickness)
        scored = with_steps(step, shape=shape, thickness=thickness)
        self.assertGreaterEqual(mean_at(scored.piece, 8), mean_at(plain.piece, 8))

    def test_scoring_through_skin_opens_it(self) -> None:
        """Cut through, the skin holds back less."""
        said = {"kind": "duck_breast", "mass": "500 g", "cover": "fat", "cover_on": "one"}
        shallow = with_steps(StepInput("1", "scored", depth="4 mm", spacing="10 mm"), **said)
        through = with_steps(StepInput("1", "scored", depth="4 mm", spacing="10 mm", through_skin="yes"), **said)
        self.assertLess(through.prepared.surface.cover_m, shallow.prepared.surface.cover_m)

    def test_stuffed_slits_stay_open(self) -> None:
        """Garlic in the slits opens more than slits that close."""
        shut, held = (
            with_steps(
                StepInput("1", "slits", count="20", depth="25 mm", stuffed_with=stuffing)
            ).prepared.surface.path_length_factor
            for stuffing in ("", "garlic")
        )
        self.assertGreater(held, shut)

    def test_water_left_on_it_is_counted_and_dried_off(self) -> None:
        """Rinsed: tens of grams; patted: a sixth of that; pressed: half of that again."""
        films = [
            with_steps(*(StepInput(str(n), kind) for n, kind in enumerate(kinds))).prepared.surface.film_kg
            for kinds in (("rinsed",), ("rinsed", "patted"), ("rinsed", "pressed"), ())
        ]
        self.assertAlmostEqual(films[0] / films[1], 6.0)
        self.assertAlmostEqual(films[1] / films[2], 2.0)
        self.assertEqual(films[3], 0.0)

    def test_water_on_the_surface_thins_the_mix(self) -> None:
        """It is in the mix's water, and an acid rinse's acid in its acid."""
        dry = judged(of_kind("chicken_breast", "1 kg", "slab", "25 mm", "12 g salt", "30 g lemon juice")).balance
        wet = judged(
            of_kind(
                "chicken_breast",
                "1 kg",
                "slab",
                "25 mm",
                "12 g salt",
                "30 g lemon juice",
                steps=(StepInput("1", "acid_rinsed"),),
            )
        ).balance
        assert dry is not None
        assert wet is not None
        self.assertGreater(wet.water_kg, dry.water_kg)
        self.assertGreater(wet.total("acid").value, dry.total("acid").value)

    def test_cautions_show_where_they_apply(self) -> None:
        """Washing, piercing and deep scores name their caution; patting has none."""
        expected = {
            "rinsed": "wash",
            "pricked": "non-intact",
            "patted": None,
            "cold_soak": "purge-water",
            "slits": "non-intact",
        }
        for kind, caution in expected.items():
            self.assertEqual(with_steps(StepInput("1", kind)).prepared.effects[0].caution, caution, kind)
        deep = with_steps(StepInput("1", "scored", depth="15 mm", spacing="20 mm"))
        self.assertEqual(deep.prepared.effects[0].caution, "non-intact")

    def test_times_of_common_practice(self) -> None:
        """cp22, cp23, cp24: hot dip 30 s at most, cold soak an hour, salted skin an hour.

        Source: common practice, no source.
        """
        says = {
            kind: with_steps(StepInput("1", kind)).prepared.effects[0]
            for kind in ("hot_dip", "cold_soak", "skin_salted")
        }
        self.assertIn("30 s", says["hot_dip"].says)
        self.assertEqual(says["cold_soak"].minutes, 60)
        self.assertTrue(60 <= says["skin_salted"].minutes <= 70)


class Disagreements(unittest.TestCase):
    """Weight, size and number that cannot be."""

    def complaint(self, **cut: Any) -> str:
        """All sentences about a cut."""
        return " ".join(str(problem) for problem in judged(Draft(cut=CutInput(**cut))).reading.problems)

    def test_each_is_told_with_what_would_do(self) -> None:
        """Ball, cylinder, strip, block, steps."""
        joint = {"kind": "lamb_leg_joint", "mass": "1.2 kg", "shape": "ball", "thickness": "60 mm"}
        medallion = {"kind": "pork_tenderloin", "mass": "400 g", "shape": "cylinder", "thickness": "120 mm"}
        strip = {"kind": "beef_flank_strips", "mass": "30 g", "pieces": "1", "thickness": "12 mm", "width": "80 mm"}
        sides = {"thickness": "20 mm", "width": "40 mm", "length": "60 mm"}
        block = {"kind": "tofu_firm", "shape": "cuboid", "mass": "800 g", "pieces": "1", **sides}
        for cut, part in (
            (joint, "weighs about 119 g, not 1200 g"),
            (medallion, "Call it a slab"),
            (strip, "wider than long"),
            (block, "A block of 20 mm x 40 mm x 60 mm weighs about 49 g"),
            ({"kind": "beef_flank", "thickness": "0"}, "too little for a thickness"),
        ):
            with self.subTest(part=part):
                self.assertIn(part, self.complaint(**cut))

    def test_steps_that_cannot_be(self) -> None:
        """Too deep, too much, unknown, uncountable, too many."""
        for steps, part in (
            ((StepInput("1", "scored", depth="30 mm"),), "right through a piece 20 mm thick"),
            ((StepInput("1", "trimmed", amount="700 g"),), "leaves too little"),
            ((StepInput("1", "polished"),), "is no step"),
            ((StepInput("1", "slits", count="many"),), "not a number of slits"),
            (tuple(StepInput(str(n), "patted") for n in range(30)), "more than one cut takes"),
        ):
            with self.subTest(part=part):
                self.assertIn(part, self.complaint(kind="beef_flank", steps=steps))


class Occasions(unittest.TestCase):
    """How much for how many."""

    def test_nine_at_the_table(self) -> None:
        """9 x 160 g over 24 % bone is 1.9 kg; double with half frozen is twice that."""
        single = raw_mass_kg(Occasion(9, "normal", 0.0), bone_share=0.24, trim_share=0.0)
        self.assertAlmostEqual(single, 1.895, delta=0.001)
        self.assertAlmostEqual(raw_mass_kg(Occasion(9, "normal", 0.5), bone_share=0.24, trim_share=0.0), 2 * single)

    @given(st.integers(1, 40), st.sampled_from(["light", "normal", "hearty"]), st.floats(0, 0.6), st.floats(0, 0.8))
    def test_back_again(self, servings: int, appetite: Any, bone: float, frozen: float) -> None:
        """What is bought for so many serves so many."""
        occasion = Occasion(servings, appetite, frozen)
        meat_kg = raw_mass_kg(occasion, bone_share=bone, trim_share=0.1) * (1 - bone) * 0.9
        self.assertAlmostEqual(servings_from(meat_kg, occasion), servings, delta=1e-9 * servings)


class ByWeight(unittest.TestCase):
    """A thickness that is not told, of pieces whose weight is. Source: common practice, no source."""

    def test_a_thin_chop_is_a_light_one(self) -> None:
        """Cut across, half the weight is half as thick, within what is usual; a whole muscle is smaller all round."""
        for kind, mass, pieces, low, high in (
            ("pork_chop_bone", "1.12 kg", "4", 28, 28),
            ("pork_chop_bone", "820 g", "4", 20, 21),
            ("pork_chop_bone", "200 g", "4", 18, 18),
            ("beef_flank", "1.5 kg", "1", 24, 27),
            ("beef_flank", "750 g", "1", 20, 20),
        ):
            with self.subTest(kind=kind, mass=mass):
                draft = Draft("x", CutInput(kind=kind, mass=mass, pieces=pieces), lines("8 g salt"))
                self.assertTrue(low - 0.1 <= 1000 * cut_of(draft).thickness_m <= high + 0.1)

    def test_a_small_joint_of_any_cut(self) -> None:
        """Half of what a cut usually weighs, or a fifth, needs no thickness to be typed: it is small all round."""
        for kind in KITCHEN.cuts.values():
            for share in (0.2, 0.35, 0.5, 0.9):
                if kind.mass_kg * share < 0.1:
                    continue
                found = judged(Draft(cut=CutInput(kind=kind.id, mass=f"{kind.mass_kg * share * 1000:.0f} g"))).reading
                with self.subTest(kind.id, share=share):
                    self.assertFalse(found.problems)

    def test_without_a_cliff(self) -> None:
        """A few grams more make a little more thickness, also at the ends of what is usual."""
        found = [
            cut_of(Draft("x", CutInput(kind="lamb_chop", mass=f"{grams} g", pieces="6"), lines("8 g salt"))).thickness_m
            for grams in range(300, 1200, 25)
        ]
        self.assertTrue(all(0 <= b - a < 0.0012 for a, b in pairwise(found)), found)


class Cubes(unittest.TestCase):
    """What another edge would do."""

    def test_series(self) -> None:
        """Smaller cubes: more surface, more paste, never more time."""
        judgement = judged(of_kind("lamb_shoulder_cubes", "1.8 kg", "cube", "30 mm", "22 g salt", "90 g lemon juice"))
        cut, hold, balance = judgement.reading.cut, judgement.reading.hold, judgement.balance
        assert cut is not None
        assert hold is not None
        assert balance is not None
        series = cube_series(cut, balance, hold)
        self.assertEqual([round(choice.edge_m * 1000) for choice in series], [15, 20, 25, 30, 40, 50])
        times = [choice.window.best.hours for choice in series]
        self.assertEqual(times, sorted(times))
        pastes = [choice.paste_kg for choice in series]
        self.assertEqual(pastes, sorted(pastes, reverse=True))

    def test_paste_for_a_kilogram_of_25_mm_cubes(self) -> None:
        """0.226 m2 under 1 mm at 1100 kg/m3 is 249 g."""
        self.assertAlmostEqual(paste_needed_kg(6 / 1060 / 0.025), 0.2491, delta=2e-4)


class OwnCuts(unittest.TestCase):
    """Cuts of the cook's own."""

    def test_answers_become_defaults(self) -> None:
        """A described cut kept under a name gives the same geometry when chosen with nothing else said."""
        cut = cut_of(of_kind("pork_shoulder", "2 kg", "cylinder", "90 mm", bone="core", bone_share="10", pieces="2"))
        kind = own_kind(cut, " Our collar ", "7")
        self.assertEqual((kind.id, kind.cut, kind.mass_kg), ("own-7", "Our collar", 1.0))
        kitchen = shipped_kitchen().with_cuts({kind.id: kind})
        again = read_draft(Draft(cut=CutInput(kind="own-7")), kitchen, now=NOW).cut
        assert again is not None
        self.assertAlmostEqual(again.piece.far_m, cut.piece.far_m)
        self.assertEqual((again.bone, again.shape), ("core", "cylinder"))

    def test_names(self) -> None:
        """Empty and endless names are refused."""
        cut = cut_of(of_kind("beef_flank", "700 g", "slab", "20 mm"))
        for name in ("", "  ", "x" * 81):
            with self.assertRaises(InputError):
                own_kind(cut, name, "1")


class Unevenness(unittest.TestCase):
    """The spread of an uneven piece is carried on."""

    def test_an_uneven_piece_has_a_wider_band(self) -> None:
        """Same middle, wider band."""
        widths = []
        for evenness in ("even", "very uneven"):
            window = judged(of_kind("chicken_breast", "900 g", "slab", "28 mm", "10 g salt", evenness=evenness)).window
            assert window is not None
            widths.append(window.best.high_hours / window.best.low_hours)
        self.assertGreater(widths[1], widths[0])

    def test_finer_cubes_never_take_longer(self) -> None:
        """From 50 down to 15 mm."""
        best = [
            hours(of_kind("beef_chuck_cubes", "1 kg", "cube", f"{mm} mm", "12 g salt"))[1] for mm in (50, 35, 25, 15)
        ]
        self.assertEqual(best, sorted(best, reverse=True))
