"""The batch file: round trips, schema, and files that are broken or foreign."""

from __future__ import annotations

import json
import unittest
from dataclasses import replace
from importlib.resources import files

import jsonschema
from hypothesis import given, settings
from hypothesis import strategies as st

from tests import drawn
from tests.drafts import NOW, of_kind
from tests.saturday import saturday_drafts
from tests.strategies import drafts
from vadouvan.core.draft.typed import Draft, HoldInput
from vadouvan.errors import BadInput, FormatError
from vadouvan.formats import batch_file, batch_shape


class RoundTrip(unittest.TestCase):
    """Nothing typed is lost."""

    @settings(max_examples=drawn(200))
    @given(drafts)
    def test_read_gives_back_what_was_written(self, draft: Draft) -> None:
        """Texts and numbers come back exactly as typed, readable or not."""
        self.assertEqual(batch_file.read(batch_file.write(draft)), draft)

    def test_numbers_stand_in_the_unit_of_their_name(self) -> None:
        """2 lb 4 oz is written as grams, and the words are kept beside it."""
        raw = json.loads(batch_file.write(of_kind("beef_flank", "2 lb 4 oz", "slab", "1 in", "5 g salt")))
        self.assertAlmostEqual(raw["cut"]["mass_g"], 1020.58, delta=0.01)
        self.assertEqual(raw["cut"]["thickness_mm"], 25.4)
        self.assertEqual(raw["as_typed"]["cut.mass_g"], "2 lb 4 oz")

    def test_celsius_of_the_file_is_never_fahrenheit(self) -> None:
        """A fridge of 39 in the file is 39 C, and refused; typed by a cook it is of Fahrenheit, and kept so."""
        plain = json.loads(batch_file.write(of_kind("beef_flank", "1 kg", "slab", "25 mm", "5 g salt")))
        by_hand = {**plain, "hold": {**plain["hold"], "fridge_c": 39}}
        self.assertEqual(batch_file.read(json.dumps(by_hand)).hold.fridge, "39 C")
        cool = {**plain, "hold": {**plain["hold"], "fridge_c": 4}}
        self.assertEqual(batch_file.read(json.dumps(cool)).hold.fridge, "4")
        typed = replace(of_kind("beef_flank", "1 kg", "slab", "25 mm", "5 g salt"), hold=HoldInput(fridge="39"))
        self.assertEqual(json.loads(batch_file.write(typed))["hold"]["fridge_c"], 3.9)
        self.assertEqual(batch_file.read(batch_file.write(typed)).hold.fridge, "39")

    def test_a_changed_number_wins_over_the_words(self) -> None:
        """A program that changes mass_g is believed."""
        raw = json.loads(batch_file.write(of_kind("beef_flank", "2 lb", "slab", "15 mm")))
        raw["cut"]["mass_g"] = 500
        self.assertEqual(batch_file.read(json.dumps(raw)).cut.mass, "500 g")


class Schema(unittest.TestCase):
    """The JSON Schema that ships."""

    def test_shipped_schema_is_current(self) -> None:
        """``make types`` writes it anew."""
        shipped = files("vadouvan.formats").joinpath("batch.schema.json").read_text()
        self.assertEqual(shipped, batch_shape.json_schema())

    def test_demo_batches_follow_it(self) -> None:
        """Checked by a general schema library."""
        schema = json.loads(batch_shape.json_schema())
        for draft in saturday_drafts(NOW):
            jsonschema.validate(json.loads(batch_file.write(draft)), schema)


class BadFiles(unittest.TestCase):
    """Each gets a sentence that says what is wrong and what would do."""

    def test_sentences(self) -> None:
        """Broken, foreign, newer, mistyped, too large, not a number."""
        good = json.loads(batch_file.write(Draft()))
        for text, part in (
            ("", "broken or not JSON"),
            ('{"format": "vadouvan-batch", ', "line 1"),
            ("[1, 2]", "not a batch of Vadouvan"),
            ('{"name": "something else"}', "not a batch of Vadouvan"),
            (json.dumps({**good, "version": 2}), "version 2"),
            (json.dumps({**good, "cut": {"mass_g": "heavy"}}), "cut.mass_g"),
            (json.dumps({**good, "colour": "red"}), "colour"),
            (json.dumps(good)[:-1] + ', "x": NaN}', "NaN"),
            ("[" * 100_000, "nested too deeply"),
            ('"' + "x" * 1_100_000 + '"', "larger than 1 MB"),
        ):
            with self.subTest(text=text[:40]), self.assertRaises((FormatError, BadInput)) as caught:
                batch_file.read(text)
            self.assertIn(part, str(caught.exception))

    def test_all_wrong_fields_are_told_at_once(self) -> None:
        """Two wrong fields, two errors."""
        raw = {"format": "vadouvan-batch", "version": 1, "cut": {"mass_g": "x", "thickness_mm": "y"}}
        with self.assertRaises(BadInput) as caught:
            batch_file.read(json.dumps(raw))
        self.assertEqual([error.field for error in caught.exception.errors], ["cut.mass_g", "cut.thickness_mm"])

    @given(st.text(max_size=80))
    def test_any_text_is_read_or_refused(self, text: str) -> None:
        """Never anything but a draft or one of our errors."""
        with self.assertRaises(FormatError):
            batch_file.read(text)
