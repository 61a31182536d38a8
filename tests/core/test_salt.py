"""Salt in the meat: what cooks see at the cut face, dry rubs, and what must hold always."""

from __future__ import annotations

import math
import unittest

import numpy as np
from hypothesis import given, settings
from hypothesis import strategies as st

from tests import drawn
from tests.slabs import slab
from vadouvan.core.constants import SATURATION_KG_PER_KG_WATER, VISIBLE_SALT_KG_PER_KG_WATER
from vadouvan.core.cut.shape import Path, Piece, cube
from vadouvan.core.hold.eigenmodes import Modes, modes_of
from vadouvan.core.hold.salt import EarlierContact, SaltContact, SaltCourse, salt_course
from vadouvan.core.hold.temperature import enzyme_pace, salt_diffusivity

WATER = 0.75
DENSITY = 1060.0


def rubbed(thickness_m: float, dose: float, mix_water_kg: float = 0.0) -> tuple[Piece, SaltContact]:
    """One kilogram as a two-faced slab with a dose of salt [kg per kg]."""
    piece = slab(thickness_m, open_faces=2, volume_m3=1 / DENSITY)
    return piece, SaltContact(dose, mix_water_kg, WATER, piece.open_area_m2)


def at_hour(course: SaltCourse, series: np.ndarray, hours: float) -> float:
    """A series at an hour in a 4 C fridge."""
    return float(np.interp(salt_diffusivity(4.0, "red") * hours * 3600, course.tau_m2, series))


def visible_depth_mm(course: SaltCourse, hours: float) -> float:
    """Depth to which salt shows on a cut face."""
    depths = np.linspace(0, course.piece.far_m, 300)
    salty = [at_hour(course, course.at_depth(d), hours) >= VISIBLE_SALT_KG_PER_KG_WATER.value for d in depths]
    return float(depths[np.flatnonzero(salty)[-1]] * 1000)


class WhatCooksSee(unittest.TestCase):
    """Depths at the cut face. Source: common practice, no source."""

    def test_salty_rub_on_a_25_mm_steak_at_10_h(self) -> None:
        """cp01: about 6.4 mm, give or take 2. Source: common practice, no source."""
        course = salt_course(*rubbed(0.0254, 0.0125))
        self.assertAlmostEqual(visible_depth_mm(course, 10), 6.4, delta=2)

    def test_brined_tenderloin_at_10_h(self) -> None:
        """cp03: 6.4 to 8 mm in a 6 % brine, -1/+2. Source: common practice, no source."""
        modes_radius_m, salt = 0.029, 0.06 / 0.94
        fo = salt_diffusivity(4.0, "red") * 36_000 / modes_radius_m**2
        modes = modes_of_cylinder()
        cells = salt * (1 + modes.states(np.full(60, -1.0), np.array([fo]))[0])
        shown = modes.grid.centres[cells >= VISIBLE_SALT_KG_PER_KG_WATER.value].min()
        self.assertTrue(5.4 <= (1 - shown) * modes_radius_m * 1000 <= 10.0)

    def test_cubes_are_seasoned_outside_within_two_hours(self) -> None:
        """cp18: bite-sized cubes in a salty paste, earliest useful 2 h. Source: common practice, no source."""
        piece = cube(0.028, blocked_faces=0)
        area_m2 = piece.open_area_m2 / (DENSITY * piece.volume_m3)
        course = salt_course(piece, SaltContact(0.012, 0.1, WATER, area_m2))
        self.assertGreater(at_hour(course, course.at_depth(0.0028), 3), 0.0053)


def modes_of_cylinder() -> Modes:
    """Modes of a long cylinder at constant surface."""
    return modes_of(Path(1.0, 1.0), math.inf)


class DryRub(unittest.TestCase):
    """A rub that has to dissolve first, against brute-force stepping of the same law."""

    def test_share_taken_up(self) -> None:
        """2 % on 25.4 mm with 0.5 kg/m2 of film water: 67 %, 88 %, 92 % at 1, 10, 20 h (stepped)."""
        course = salt_course(*rubbed(0.0254, 0.02))
        for hours, share in ((1, 0.673), (10, 0.882), (20, 0.916)):
            with self.subTest(hours=hours):
                taken = at_hour(course, course.average, hours) * WATER / 0.02
                self.assertAlmostEqual(taken, share, delta=0.003)

    def test_surface_never_passes_saturation(self) -> None:
        """26.4 % by weight is the most that water holds. Source: handbook solubility, from memory."""
        course = salt_course(*rubbed(0.02, 0.2))
        self.assertLessEqual(course.surface.max(), SATURATION_KG_PER_KG_WATER.value + 1e-12)

    def test_salt_in_piece_and_film_stays_the_same_after_dissolving(self) -> None:
        """Once dissolved, salt in the meat and in the film add up to the dose, to 1e-9."""
        piece, contact = rubbed(0.0254, 0.02)
        course = salt_course(piece, contact)
        dissolved = course.surface < SATURATION_KG_PER_KG_WATER.value - 1e-9
        total = course.average * contact.meat_water_kg + course.surface * contact.outer_water_kg
        self.assertTrue(np.allclose(total[dissolved], contact.salt_kg, atol=1e-9))
        self.assertTrue(np.all(total <= contact.salt_kg + 1e-9), "more salt than was rubbed in")


class Orderings(unittest.TestCase):
    """What any cook knows, for any piece."""

    @settings(max_examples=drawn(25))
    @given(st.floats(0.006, 0.06), st.floats(0.004, 0.03), st.floats(0.05, 1.5))
    def test_thicker_is_slower(self, thickness_m: float, dose: float, water_kg: float) -> None:
        """At any time a thicker slab of the same weight has no more of its final salt."""
        cases = [rubbed(t, dose, water_kg) for t in (thickness_m, 1.3 * thickness_m)]
        courses = [salt_course(*scenario) for scenario in cases]
        means = [at_hour(course, course.average, 6) for course in courses]
        shares = [mean / contact.settled for mean, (_, contact) in zip(means, cases, strict=True)]
        self.assertGreaterEqual(shares[0], shares[1] - 1e-6)

    @settings(max_examples=drawn(25))
    @given(st.floats(0.008, 0.06))
    def test_blocking_a_face_never_speeds_it_up(self, thickness_m: float) -> None:
        """One open face lags two, for slab and cube."""
        volume = thickness_m**3
        for open_, blocked in (
            (slab(thickness_m, open_faces=2, volume_m3=volume), slab(thickness_m, open_faces=1, volume_m3=volume)),
            (cube(thickness_m, blocked_faces=0), cube(thickness_m, blocked_faces=1)),
        ):
            contact = SaltContact(0.012, 0.5, WATER, 0.1)
            means = [at_hour(c, c.average, 8) for c in (salt_course(open_, contact), salt_course(blocked, contact))]
            self.assertGreaterEqual(means[0], means[1] - 1e-9)

    def test_salt_falls_from_the_surface_inward(self) -> None:
        """Every profile of an uptake falls inward."""
        course = salt_course(*rubbed(0.03, 0.012, 0.4))
        profile = np.column_stack([course.at_depth(d) for d in np.linspace(0, 0.015, 30)])
        self.assertTrue(np.all(np.diff(profile, axis=1) <= 1e-12))


class Temperature(unittest.TestCase):
    """Pace against temperature."""

    def test_salt_at_20_c(self) -> None:
        """21 kJ/mol makes 20 C faster than 4 C by 1.645: the ratio of T over water's viscosity.

        Source: viscosity of water 1.567 and 1.002 mPa s at 4 and 20 C, handbook, from memory.
        """
        ratio = salt_diffusivity(20, "red") / salt_diffusivity(4, "red")
        self.assertAlmostEqual(ratio, 1.6446, delta=0.001)
        self.assertAlmostEqual(ratio, 293.15 / 277.15 * 1.567 / 1.002, delta=0.03)

    def test_enzyme_doubles_about_every_ten_degrees(self) -> None:
        """Q10 about 2: common practice, no source."""
        self.assertAlmostEqual(enzyme_pace(14) / enzyme_pace(4), 2.0, delta=0.15)


class TwoContacts(unittest.TestCase):
    """Salt first, the rest of the mix later."""

    def test_nothing_is_lost_between_them(self) -> None:
        """In the meat and outside add up to all of the salt, from the second contact on."""
        piece = slab(0.025, open_faces=2, volume_m3=1e-3)
        first = SaltContact(0.012, 0.0, 0.73, piece.open_area_m2)
        both = SaltContact(0.016, 0.3, 0.73, piece.open_area_m2)
        course = salt_course(piece, both, EarlierContact(first, 2.4e-10 * 8 * 3600))
        total = course.average * 0.73 + course.bath * both.outer_water_kg
        self.assertLess(float(np.abs(total - 0.016).max()), 1e-9)

    def test_it_begins_where_the_first_left_off(self) -> None:
        """At the first instant the meat holds what eight hours of the rub alone had put in."""
        piece = slab(0.025, open_faces=2, volume_m3=1e-3)
        first = SaltContact(0.012, 0.1, 0.73, piece.open_area_m2)
        tau = 2.4e-10 * 8 * 3600
        alone = salt_course(piece, first)
        after = salt_course(piece, SaltContact(0.012, 0.4, 0.73, piece.open_area_m2), EarlierContact(first, tau))
        self.assertAlmostEqual(float(after.average[0]), float(np.interp(tau, alone.tau_m2, alone.average)), delta=2e-4)

    def test_the_same_mix_twice_is_one_longer_contact(self) -> None:
        """Four hours and then the same mix on: what eight hours in one go would do."""
        piece = cube(0.03, blocked_faces=0)
        contact = SaltContact(0.010, 0.3, 0.73, piece.open_area_m2 * 35)
        tau = 2.4e-10 * 4 * 3600
        snapshot, parts = salt_course(piece, contact), salt_course(piece, contact, EarlierContact(contact, tau))
        at = float(np.interp(2 * tau, snapshot.tau_m2, snapshot.average))
        self.assertAlmostEqual(float(np.interp(tau, parts.tau_m2, parts.average)), at, delta=2e-4 * at + 1e-6)
