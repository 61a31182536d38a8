"""Cautions: each known trigger fires where it applies and nowhere else; texts, sources and dates are complete."""

from __future__ import annotations

import re
import unittest
from typing import get_args

from tests.drafts import NOW, judged
from tests.limits import CAUTIONS, KITCHEN, STOPS, TOFU
from vadouvan.core.draft.typed import Draft
from vadouvan.core.judgement.caution_triggers import TRIGGERS, cautions_called_for
from vadouvan.core.judgement.judge import judge
from vadouvan.core.judgement.stops import StopId
from vadouvan.data.tables import shipped_kitchen

TEXTS = shipped_kitchen().cautions


class Triggers(unittest.TestCase):
    """Computed from the batch."""

    def test_each_fires_inside_and_not_outside(self) -> None:
        """Two batches for each, close on either side of what decides."""
        self.assertEqual(set(CAUTIONS), set(TRIGGERS))
        for name, (inside, outside) in CAUTIONS.items():
            with self.subTest(caution=name):
                self.assertIn(name, cautions_called_for(judge(inside, KITCHEN, now=NOW)))
                self.assertNotIn(name, cautions_called_for(judged(outside)))

    def test_each_stop_inside_and_not_outside(self) -> None:
        """The same for all that is unsafe."""
        self.assertEqual(set(STOPS), set(get_args(StopId)))
        for name, (inside, outside) in STOPS.items():
            with self.subTest(stop=name):
                self.assertIn(name, [stop.id for stop in judged(inside).stops])
                self.assertEqual([], [stop.id for stop in judged(outside).stops])

    def test_and_not_on_plain_tofu(self) -> None:
        """Tofu in salt water calls for the fridge: nothing of the mix."""
        self.assertEqual(cautions_called_for(judged(TOFU)), ("fridge",))

    def test_nothing_before_a_cut_and_a_mix(self) -> None:
        """An empty draft."""
        self.assertEqual(cautions_called_for(judged(Draft())), ())


class Table(unittest.TestCase):
    """The texts as data."""

    def test_every_trigger_has_its_text(self) -> None:
        """And a text that no trigger has yet stands on the page alone."""
        self.assertLessEqual(set(TRIGGERS), set(TEXTS))

    def test_lengths(self) -> None:
        """Read in five minutes at 200 words a minute, all of them together."""
        words = 0
        for caution in TEXTS.values():
            words += len(re.findall(r"\w+", caution.says))
        self.assertLessEqual(words, 1000)
