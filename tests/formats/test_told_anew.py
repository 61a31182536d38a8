"""What is told in ounces, inches, Fahrenheit and on a 12-hour clock; what was typed stays.

Exact customary units: NIST Handbook 44, from memory; 63, 71 and 74 C are 145, 160 and 165 F: common practice.
"""

from __future__ import annotations

import json
import re
import unittest

from fastapi.testclient import TestClient
from hypothesis import given
from hypothesis import strategies as st

from tests.api.kitchen import kitchen_app
from tests.drafts import NOW, judged
from tests.saturday import saturday_drafts
from vadouvan.core.measures.retelling import ToldIn, retold
from vadouvan.core.snapshot.kitchen import BatchSnapshot
from vadouvan.data.tables import shipped_kitchen
from vadouvan.formats.card import card_told_anew, markdown_of
from vadouvan.formats.judgement import judgement_out
from vadouvan.formats.told_anew import answer_told_anew, json_told_anew, told_in_of
from vadouvan.use_cases.cards import card_of_batch

OURS = ToldIn("customary", "12")
KITCHEN = shipped_kitchen()
METRIC = re.compile(r"(?<![\w.,/])(?:\d{2,}|[89])(?:\.\d+)? ?(?:g|kg|mm|cm|°C)(?![\w/²])(?! a kilogram)")
BARE_HOUR = re.compile(r"\d:[0-5]\d(?! [ap]m)")


class Retold(unittest.TestCase):
    """Single sentences."""

    def test_each_unit(self) -> None:
        """Alone, as a range, beside shares that stay."""
        for told, anew in (
            ("To a core of 74 °C (165 °F).", "To a core of 165 °F."),
            ("fastest at 40 to 70 °C", "fastest at 104 to 158 °F"),
            ("3 to 5 mm deep", "1/8 to 3/16 in deep"),
            ("2.4 g of salt", "2.4 g of salt"),
            ("Salt: aimed 12 g/kg; 14 g a kilogram", "Salt: aimed 12 g/kg; 14 g a kilogram"),
            ("Heat the oven to 200 °C.", "Heat the oven to 390 °F."),
            ("About 250 ml, or 30 ml", "About 1 cup, or 2 tbsp"),
            ("1,100 g and 454 g", "2 lb 7 oz and 1 lb"),
            ("12 g of browning sugar to the square metre", "12 g of browning sugar to the square metre"),
            ("Sat 00:05 and 12:00, 23:59", "Sat 12:05 am and 12:00 pm, 11:59 pm"),
            ("2 h 10, 1:1.4", "2 h 10, 1:1.4"),
            ("4 x 200 g, 30 mm x 40 mm", "4 x 7.1 oz, 1 1/8 in x 1 5/8 in"),
            ('"250 g" comes to 250 g', '"250 g" comes to 8.8 oz'),
        ):
            with self.subTest(told):
                self.assertEqual(retold(told, OURS), anew)

    @given(st.text(max_size=60))
    def test_nothing_is_told_anew_for_who_reads_as_the_core_tells(self, text: str) -> None:
        """The same text; and whatever it is, no error in the other units."""
        self.assertEqual(retold(text, ToldIn()), text)
        self.assertIsInstance(retold(text, OURS), str)

    @given(st.floats(0.008, 20))
    def test_a_weight_keeps_its_size(self, mass_kg: float) -> None:
        """Within the step that it is told in: half an ounce from a pound on, 5 % below."""
        told = retold(f"{mass_kg * 1000:.0f} g", OURS)
        ounces = sum(float(n) * {"lb": 16, "oz": 1}[unit] for n, unit in re.findall(r"([\d.]+) (lb|oz)", told))
        self.assertAlmostEqual(ounces, mass_kg / 0.028349523125, delta=max(0.52, 0.05 * ounces))

    def test_what_a_device_says(self) -> None:
        """Anything else is as the core tells."""
        self.assertEqual(told_in_of("customary-12"), OURS)
        for said in ("", "furlongs-13", "metric-24", "x" * 500):
            self.assertTrue(told_in_of(said).is_as_the_core_tells)


class Answers(unittest.TestCase):
    """Whole answers."""

    def test_no_sentence_is_left_behind(self) -> None:
        """In every judgement and card of the Saturday kitchen no gram, millimetre, Celsius or 24-hour time is told."""
        for draft in saturday_drafts(NOW):
            judgement = judged(draft)
            anew = answer_told_anew(judgement_out(judgement, KITCHEN), OURS)
            card = card_told_anew(card_of_batch(BatchSnapshot("b", draft, NOW), KITCHEN, now=NOW), OURS)
            told = [anew.sentence, anew.plan_says, *(one.says for one in anew.remarks), *card.steps]
            told += [figure.shown for figure in anew.figures.values()]
            for text in told:
                with self.subTest(draft=draft.name, text=text):
                    self.assertIsNone(METRIC.search(text))
                    self.assertIsNone(BARE_HOUR.search(text))
            self.assertEqual([line.text for line in card.lines], [line.text for line in draft.mix])
            self.assertIsNone(re.search(r"\| \d{2,} g \|", markdown_of(card)))

    def test_a_draft_is_all_typed(self) -> None:
        """Nothing in it changes, at any depth."""
        typed = {"draft": {"says": "33 g", "mix": [{"text": "33 g salt", "shown": "33 g"}]}, "id": "33 g"}
        self.assertEqual(json_told_anew(typed, OURS), typed)

    def test_over_http(self) -> None:
        """A device says how it reads in a cookie; the batch file is the same for all."""
        client = TestClient(kitchen_app(self), base_url="http://127.0.0.1")
        draft = {"cut": {"kind": "pork_chop_bone", "mass": "1.2 kg"}, "mix": [{"id": "1", "text": "30 g salt"}]}
        made = client.post("/api/batches", json=draft).json()
        plain = client.get(f"/api/batches/{made['id']}").json()
        file = client.get(f"/api/batches/{made['id']}/file").text
        client.cookies.set("vadouvan_told_in", "customary-12")
        ours = client.get(f"/api/batches/{made['id']}").json()
        self.assertEqual(plain["draft"], ours["draft"])
        self.assertEqual(plain["judgement"]["ingredients"][0]["grams_shown"], "30 g")
        self.assertEqual(ours["judgement"]["ingredients"][0]["grams_shown"], "1.1 oz")
        self.assertEqual(client.get(f"/api/batches/{made['id']}/file").text, file)
        self.assertIn("| 1.1 oz |", client.get(f"/api/batches/{made['id']}/card").text)
        self.assertEqual(client.get("/api/batches/none").status_code, 404)
        self.assertTrue(json.loads(client.get("/api/plan/today").text)["steps"] is not None)
