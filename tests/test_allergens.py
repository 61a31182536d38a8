"""Allergens come from one list to page, label, card, recipe, day's list and terminal."""

from __future__ import annotations

import json
import unittest
from dataclasses import replace
from datetime import timedelta

from tests.drafts import NOW, SATURDAY, judged, of_kind
from vadouvan.core.contact.allergens import allergens_of, contains, may_contain
from vadouvan.core.snapshot.kitchen import BatchSnapshot
from vadouvan.data.tables import shipped_kitchen
from vadouvan.formats.card import card_of, markdown_of
from vadouvan.formats.judgement import judgement_out
from vadouvan.formats.judgement_text import judgement_text
from vadouvan.formats.recipe import write_recipe
from vadouvan.formats.today import today_out

# A cut that is an allergen itself, one that is sure in the mix, and one that only the packet knows.
DRAFT = replace(
    of_kind("cod_fillet", "800 g", "slab", "25 mm", "200 g yoghurt", "10 g vadouvan", "8 g salt"), meal=SATURDAY
)


class OneOwner(unittest.TestCase):
    """The same names at every outlet, what is possible included."""

    def test_every_outlet(self) -> None:
        """Milk, fish, and what the spice mix may hold."""
        kitchen, judgement = shipped_kitchen(), judged(DRAFT)
        cut = judgement.reading.cut
        assert cut is not None
        found = allergens_of(judgement.reading.portions, cut.kind)
        sure, possible = contains(found), may_contain(found)
        self.assertEqual(sure, "fish, milk")
        self.assertTrue(possible)
        card = card_of(BatchSnapshot("1", DRAFT, NOW), kitchen, judgement.reading, judgement)
        label = today_out([("1", "Cod", judgement)], NOW, timedelta(days=7)).labels[0]
        out = judgement_out(judgement, kitchen)
        assert out.mix is not None
        self.assertEqual((label.contains, label.check_label), (sure, possible))
        for told in (
            markdown_of(card),
            json.loads(write_recipe(BatchSnapshot("1", DRAFT, NOW), card))["description"],
            judgement_text(out),
            out.mix.allergens_told,
        ):
            self.assertIn(f"Contains {sure}.", told)
            self.assertIn(f"May contain {possible}", told)
