"""Runs of one hold side by side, and holds that are kept: each is as if it were worked out alone."""

from __future__ import annotations

import unittest
from dataclasses import replace

import numpy as np

from tests.drafts import NOW, judged, of_kind
from tests.mixes import KITCHEN
from vadouvan.core.draft.typed import Draft, HoldInput
from vadouvan.core.hold.concerns import concerns_of
from vadouvan.core.hold.curves import curves_of, edges_of
from vadouvan.core.hold.scenario import HoldScenario, hold_scenario
from vadouvan.core.hold.window import held, tried, window_of
from vadouvan.core.judgement.judge import judge

SOUR = of_kind("chicken_thigh_bone", "1 kg", "", "30 mm", "14 g salt", "300 g buttermilk", "20 g lemon juice")
SOFT = of_kind("beef_flank", "1 kg", "", "18 mm", "60 g soy sauce", "80 g fresh pineapple juice", "20 g ginger")
BATH = replace(of_kind("pork_chop_bone", "1 kg", "", "30 mm", "1 kg water", "60 g salt"), hold=HoldInput(fridge="6 C"))
BED = of_kind("cod_fillet", "600 g", "", "25 mm", "200 g white miso", "40 g mirin")
PLANT = of_kind("tofu_firm", "500 g", "", "20 mm", "60 g soy sauce", "20 g honey")
MIXES = (SOUR, SOFT, BATH, BED, PLANT)


def scenario_of(draft: Draft) -> HoldScenario:
    """The hold of a draft."""
    scenario = judged(draft).scenario
    assert scenario is not None
    return scenario


class SideBySide(unittest.TestCase):
    """``concerns_of`` and ``edges_of`` of several runs."""

    def test_each_row_is_that_run_alone(self) -> None:
        """Pace, thickness and salt either way, over all kinds of mixes: no run sees another."""
        hours = np.geomspace(0.01, 300.0, 60)
        for draft in MIXES:
            one = scenario_of(draft)
            runs = [one, one.with_pace(1.4), hold_scenario(one.cut.scaled(0.8), one.balance, one.hold, one.acid)]
            runs.append(hold_scenario(one.cut, one.balance.salted(1.5), one.hold, one.acid))
            together = concerns_of(runs, hours)
            for row, run in enumerate(runs):
                alone = concerns_of([run], hours)
                self.assertEqual([c.name for c in together], [c.name for c in alone])
                for both, single in zip(together, alone, strict=True):
                    with self.subTest(kind=draft.cut.kind, run=row, concern=both.name):
                        np.testing.assert_allclose(both.values[row], single.values[0], rtol=1e-12)
            edges, first = edges_of(curves_of(runs, 200.0)), edges_of(curves_of(runs[:1], 200.0))
            self.assertAlmostEqual(edges.best[0], first.best[0], delta=1e-9)
            self.assertAlmostEqual(edges.latest[0], first.latest[0], delta=1e-9)
            self.assertNotAlmostEqual(edges.best[0] * edges.latest[0], edges.best[1] * edges.latest[1], delta=1e-3)

    def test_what_is_tried_is_what_is_told(self) -> None:
        """The hours without their band are those with it."""
        for draft in MIXES:
            scenario = scenario_of(draft)
            window, quick = window_of(scenario), tried(scenario)
            told = (window.earliest.hours, window.best.hours, window.safe_latest_h, window.mark)
            with self.subTest(kind=draft.cut.kind):
                np.testing.assert_allclose((quick.earliest_h, quick.best_h, quick.latest_h, quick.mark), told)


class Kept(unittest.TestCase):
    """``held``: the last holds are kept."""

    def test_the_same_hold_is_the_same_value(self) -> None:
        """A name and a meal move nothing of it; a moment later it is there again."""
        first = judge(SOFT, KITCHEN, now=NOW)
        moved = replace(SOFT, name="Another", meal=replace(SOFT.meal, at="2026-11-28T19:00", time_zone="Europe/Lisbon"))
        self.assertIs(judge(moved, KITCHEN, now=NOW).window, first.window)

    def test_whatever_differs_is_another_hold(self) -> None:
        """Also what its hash does not look at: turns, cover, what was learned of an enzyme, the first step of a mix."""
        one = scenario_of(SOFT)
        cut, balance, hold = one.cut, one.balance, one.hold
        _, window = held(cut, balance, hold)
        for other in (
            replace(hold, turned=False),
            replace(hold, open_air=True),
            replace(hold, learned_softening={"bromelain": 3.0}),
            replace(hold, aim="tenderise"),
            replace(hold, goal="through", goal_said=True),
        ):
            with self.subTest(other):
                self.assertNotEqual(held(cut, balance, other)[1], window)
        self.assertNotEqual(held(cut, balance.salted(2.0), hold)[1], window)
        self.assertNotEqual(held(replace(cut, cover="skin"), balance, hold)[1], window)
