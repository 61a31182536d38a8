"""Cautions: each known trigger fires where it applies and nowhere else; texts, sources and dates are complete."""

from __future__ import annotations

import re
import unittest
from dataclasses import replace

from tests.drafts import NOW, SATURDAY, judged, of_kind, steak
from vadouvan.core.caution_triggers import TRIGGERS, cautions_called_for
from vadouvan.core.draft import Draft, HoldSaid, MakingSaid, OccasionSaid, QuantitySaid, StepSaid
from vadouvan.data.tables import shipped_kitchen

CAUTIONS = shipped_kitchen().cautions
PLAIN = steak("12 g salt", "40 g olive oil")
SOUR = of_kind("cod_fillet", "500 g", "slab", "20 mm", "60 g lime juice", "5 g salt")


def with_step(kind: str, **said: str) -> Draft:
    """A steak with one thing done to it."""
    return replace(PLAIN, cut=replace(PLAIN.cut, steps=(StepSaid("1", kind, **said),)))


FIRES: dict[str, Draft] = {
    "reactive": replace(SOUR, hold=HoldSaid(metal="copper")),
    "fridge-warm": replace(PLAIN, hold=HoldSaid(readings="0 h 4 C, 1 h 7 C")),
    "hold-mince": of_kind("beef_ground", "500 g", "slab", "20 mm", "6 g salt"),
    "wash": with_step("rinsed"),
    "non-intact": with_step("pricked"),
    "purge-water": with_step("cold_soak"),
    "raw-contact": PLAIN,
    "taste-raw": PLAIN,
    "cool-first": replace(PLAIN, making=MakingSaid(method="cooked")),
    "garlic-oil": steak("12 g salt", "20 g garlic", "200 g olive oil"),
    "parasite": SOUR,
    "fridge": PLAIN,
    "jar": replace(SOUR, quantity=QuantitySaid(container="jar")),
    "vacuum": replace(PLAIN, quantity=QuantitySaid(container="vacuum")),
    "enzyme-skin": steak("12 g salt", "50 g kiwi"),
    "chilli": steak("12 g salt", "5 g cayenne"),
    "honey-infant": steak("12 g salt", "20 g honey"),
    "allergens": steak("60 g soy sauce"),
    "sodium": steak("40 g salt"),
    "alcohol": steak("12 g salt", "100 ml dry white wine"),
    "doneness": PLAIN,
    "sell": replace(PLAIN, occasion=OccasionSaid("60", "normal")),
}
TOFU = of_kind("tofu_firm", "500 g", "slab", "20 mm", "30 ml water", "5 g salt")


class Triggers(unittest.TestCase):
    """Computed from the batch."""

    def test_each_fires_where_it_applies(self) -> None:
        """One batch for each."""
        for name, draft in FIRES.items():
            with self.subTest(caution=name):
                self.assertEqual(judged(draft).reading.problems, [])
                self.assertIn(name, cautions_called_for(judged(draft)))

    def test_and_not_on_plain_tofu(self) -> None:
        """Tofu in salt water calls for its allergen alone, which it has itself: nothing of the mix."""
        self.assertEqual(cautions_called_for(judged(TOFU)), ())

    def test_held_too_long(self) -> None:
        """Three days for chicken, once the meat has gone in: a stop (US FSIS, as recalled)."""
        draft = of_kind("chicken_breast", "1 kg", "slab", "25 mm", "10 g salt", "40 g olive oil")
        meal = replace(SATURDAY, contact="2026-11-25T08:30")
        found = cautions_called_for(judged(replace(draft, meal=meal), NOW))
        self.assertIn("hold-poultry", found)

    def test_nothing_before_a_cut_and_a_mix(self) -> None:
        """An empty draft."""
        self.assertEqual(cautions_called_for(judged(Draft())), ())


class Table(unittest.TestCase):
    """The texts as data."""

    def test_every_trigger_has_its_text(self) -> None:
        """And a text that no trigger has yet stands on the page alone."""
        self.assertLessEqual(set(TRIGGERS), set(CAUTIONS))

    def test_lengths(self) -> None:
        """Read in four minutes at 200 words a minute, all of them together."""
        words = 0
        for caution in CAUTIONS.values():
            words += len(re.findall(r"\w+", caution.says))
        self.assertLessEqual(words, 800)
