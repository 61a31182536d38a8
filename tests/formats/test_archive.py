"""The archive: round trips, and archives that are broken, foreign, hostile or newer."""

from __future__ import annotations

import csv
import io
import json
import struct
import unittest
import zipfile
from collections.abc import Callable
from dataclasses import asdict, replace
from functools import cache
from unittest.mock import patch

import jsonschema
import openpyxl
from hypothesis import given, settings
from hypothesis import strategies as st
from icalendar import Calendar
from pypdf import PdfReader

from tests import drawn
from tests.drafts import NOW
from tests.saturday import eaten_logbook, saturday_drafts
from tests.strategies import whole_kitchens, words
from vadouvan.core.parsing.label import LabelInput
from vadouvan.core.snapshot.kitchen import BatchSnapshot, KitchenSnapshot, OwnLabel, VerdictSnapshot
from vadouvan.core.tasting.verdict import VerdictInput
from vadouvan.core.weighing.event import CounterEvent, LoggedEvent
from vadouvan.data.tables import shipped_kitchen
from vadouvan.demo import DEMO_SHARED
from vadouvan.errors import FormatError, VadouvanError
from vadouvan.formats.archive import container
from vadouvan.formats.archive.csv_text import read_csv, write_csv
from vadouvan.formats.archive.kitchen_archive import kitchen_to_take_in, read_archive
from vadouvan.formats.archive.tables import pantry_csv
from vadouvan.use_cases.cards import write_archive

KITCHEN = shipped_kitchen()
FORMULA = '=HYPERLINK("x","y")'


def demo_whole() -> KitchenSnapshot:
    """The demo kitchen as one value, with an own ingredient whose name would be a formula."""
    planned = [BatchSnapshot(f"plan-{number}", draft, NOW) for number, draft in enumerate(saturday_drafts(NOW))]
    eaten = [
        BatchSnapshot(f"eaten-{number}", one.draft, NOW, verdicts=one.verdicts)
        for number, one in enumerate(eaten_logbook(NOW))
    ]
    label = OwnLabel("own-1", LabelInput(FORMULA, label="Salt 10 g"))
    return replace(
        KitchenSnapshot((*planned, *eaten), (label,)), settings=replace(KitchenSnapshot().settings, shared=DEMO_SHARED)
    )


@cache
def demo_archive() -> bytes:
    """Its archive."""
    return write_archive(demo_whole(), KITCHEN, now=NOW)


def repacked(data: bytes, change: Callable[[dict[str, bytes]], object]) -> bytes:
    """The archive with its files changed, whatever its manifest says."""
    with zipfile.ZipFile(io.BytesIO(data)) as archive:
        files = {name: archive.read(name) for name in archive.namelist()}
    change(files)
    packed = io.BytesIO()
    with zipfile.ZipFile(packed, "w") as archive:
        for name, content in files.items():
            archive.writestr(name, content)
    return packed.getvalue()


class RoundTrip(unittest.TestCase):
    """Out and in again it is the same kitchen."""

    @settings(max_examples=drawn(25))
    @given(whole_kitchens)
    def test_any_kitchen_comes_back(self, snapshot: KitchenSnapshot) -> None:
        """Every text, press, verdict and setting, readable or not."""
        with (
            patch("vadouvan.formats.paper_card.cards_pdf", return_value=b""),
            patch("vadouvan.formats.archive.kitchen_archive.pantry_csv", _only_own),
        ):
            back, notes = read_archive(write_archive(snapshot, KITCHEN, now=NOW))
        self.assertEqual(notes, ())
        self.assertEqual(
            back, replace(snapshot, batches=tuple(sorted(snapshot.batches, key=lambda b: (b.made_at, b.id))))
        )

    def test_the_demo_kitchen_comes_back(self) -> None:
        """With the whole pantry and the cards."""
        back, notes = read_archive(demo_archive())
        snapshot = demo_whole()
        self.assertEqual(
            ({batch.id: batch for batch in back.batches}, notes), ({b.id: b for b in snapshot.batches}, ())
        )
        self.assertEqual((back.labels, back.settings), (snapshot.labels, snapshot.settings))


def _only_own(_items: object, labels: tuple[OwnLabel, ...]) -> str:
    return pantry_csv((), labels)


class OpenFiles(unittest.TestCase):
    """What other programs read of it."""

    files: dict[str, bytes]

    @classmethod
    def setUpClass(cls) -> None:
        """The archive, unpacked once."""
        with zipfile.ZipFile(io.BytesIO(demo_archive())) as archive:
            cls.files = {name: archive.read(name) for name in archive.namelist()}

    def test_tables_by_the_standard_reader(self) -> None:
        """``csv`` of the standard library: a head, rows of its length, the own ingredient in its row."""
        for name in ("pantry.csv", "logbook.csv"):
            head, *rows = csv.reader(io.StringIO(self.files[name].decode(), newline=""))
            with self.subTest(name):
                self.assertEqual({len(row) for row in rows}, {len(head)})
                self.assertEqual(head[0], "id")
        pantry = list(csv.DictReader(io.StringIO(self.files["pantry.csv"].decode(), newline="")))
        self.assertEqual([row["name"] for row in pantry if row["whose"] == "own"], [f"'{FORMULA}"])
        self.assertEqual(len([row for row in pantry if row["whose"] == "shipped"]), len(KITCHEN.pantry.by_id))
        logbook = list(csv.DictReader(io.StringIO(self.files["logbook.csv"].decode(), newline="")))
        self.assertEqual(len(logbook), len(eaten_logbook(NOW)))

    def test_no_cell_is_a_formula_to_a_spreadsheet(self) -> None:
        """Openpyxl takes what begins with "=" for a formula (data type "f"): no cell of ours is one."""
        sheet = openpyxl.Workbook().create_sheet()
        for name in ("pantry.csv", "logbook.csv"):
            for row in csv.reader(io.StringIO(self.files[name].decode(), newline="")):
                sheet.append(row)
        kinds = {cell.data_type for row in sheet.iter_rows() for cell in row}
        self.assertNotIn("f", kinds)
        sheet.append([FORMULA])
        self.assertEqual(sheet.cell(sheet.max_row, 1).data_type, "f", "unguarded it would be one")

    def test_plans_by_a_calendar_parser(self) -> None:
        """icalendar: an event for each hands-on step, of every planned batch."""
        events = Calendar.from_ical(self.files["plans.ics"].decode()).walk("VEVENT")
        batches = {str(event["UID"]).split("@")[0].split(".", 1)[1] for event in events}
        self.assertEqual(batches, {f"plan-{number}" for number in range(len(saturday_drafts(NOW)))})

    def test_cards(self) -> None:
        """Markdown with the name as its head and grams in a table; a PDF with a page or more each."""
        card = self.files["cards/plan-0.md"].decode()
        self.assertTrue(card.startswith("# Saturday legs\n"))
        self.assertIn("| 600 g | yoghurt |", card)
        self.assertIn("Contains milk.", card)
        self.assertIn("local rules", card)
        eaten = self.files["cards/eaten-0.md"].decode()
        self.assertIn("Odile: ", eaten)
        self.assertRegex(eaten, r"In the mix for 20 h, out \d{4}-\d\d-\d\d \d\d:\d\d\.")
        paper = PdfReader(io.BytesIO(self.files["cards/cards.pdf"]))
        text = "\n".join(page.extract_text() for page in paper.pages)
        self.assertGreaterEqual(len(paper.pages), len(demo_whole().batches))
        for batch in demo_whole().batches:
            self.assertIn(batch.draft.name, text)

    def test_the_schema_in_it_fits_its_batches(self) -> None:
        """jsonschema: every batch file by the schema that lies beside it."""
        schema = json.loads(self.files["batches/batch.schema.json"])
        for name, data in self.files.items():
            if name.startswith("batches/") and name != "batches/batch.schema.json":
                jsonschema.validate(json.loads(data), schema)


class Refused(unittest.TestCase):
    """Archives that are not taken, and those that are taken with a note."""

    def refused(self, data: bytes, *words: str) -> None:
        """It is refused with these words, and says what would do."""
        with self.assertRaises(VadouvanError) as caught:
            read_archive(data)
        for word in words:
            self.assertIn(word, str(caught.exception))
        assert isinstance(caught.exception, FormatError)
        self.assertTrue(caught.exception.accepted)

    def test_none_or_cut_short(self) -> None:
        """No zip, a zip cut short, a zip of something else."""
        self.refused(b"", "not an archive")
        self.refused(demo_archive()[:-200], "not an archive")
        self.refused(repacked(demo_archive(), lambda files: files.pop("manifest.json")), "no manifest.json")

    def test_a_missing_file(self) -> None:
        """A batch or its record: refused by name. A card: noted."""
        self.refused(
            repacked(demo_archive(), lambda f: f.pop("batches/plan-1.json")), "batches/plan-1.json", "it says it holds"
        )
        self.refused(repacked(demo_archive(), lambda f: f.pop("records/plan-1.json")), "records/plan-1.json")
        self.refused(repacked(demo_archive(), lambda f: f.pop("pantry.csv")), "pantry.csv")
        snapshot, notes = read_archive(repacked(demo_archive(), lambda f: f.pop("cards/plan-1.md")))
        self.assertEqual(len(snapshot.batches), len(demo_whole().batches))
        self.assertEqual(notes, ("cards/plan-1.md is missing; it can be done without.",))

    def test_names_that_climb_out(self) -> None:
        """Upwards, from the root, by backslash or drive: the whole archive is refused."""
        for name in ("../kitchen.sqlite", "batches/../../x.json", "/etc/x", "..\\x", "C:x", "a/..\\..\\b"):
            with self.subTest(name):
                self.refused(repacked(demo_archive(), lambda f, n=name: f.update({n: b"x"})), "leads out")  # type: ignore[misc]

    def test_too_large(self) -> None:
        """By its own size, unpacked, by one file, and one that lies about its size."""
        with patch.object(container, "LARGEST_ARCHIVE_BYTES", 1000):
            self.refused(demo_archive(), "MB")
        with patch.object(container, "LARGEST_UNPACKED_BYTES", 1000):
            self.refused(demo_archive(), "Unpacked")
        with patch.object(container, "LARGEST_FILE_BYTES", 1000):
            self.refused(demo_archive(), "larger than")
        with patch.object(container, "MOST_FILES", 3):
            self.refused(demo_archive(), "files")
        zeros = io.BytesIO()
        with zipfile.ZipFile(zeros, "w", zipfile.ZIP_DEFLATED) as archive:
            archive.writestr("manifest.json", b" " * 30_000_000)
        packed = bytearray(zeros.getvalue())
        at = packed.rfind(b"PK\x01\x02")
        packed[at + 24 : at + 28] = struct.pack("<I", 100)  # says that it unpacks to 100 bytes
        self.refused(bytes(packed))

    def test_newer(self) -> None:
        """A newer archive, and newer files in it, say so."""

        def newer(name: str) -> Callable[[dict[str, bytes]], object]:
            def change(files: dict[str, bytes]) -> None:
                raw = json.loads(files[name])
                raw["version"] = 7
                files[name] = json.dumps(raw).encode()

            return change

        self.refused(repacked(demo_archive(), newer("manifest.json")), "version 7", "newer Vadouvan")
        self.refused(repacked(demo_archive(), newer("batches/plan-0.json")), "batches/plan-0.json", "newer")
        self.refused(repacked(demo_archive(), newer("records/plan-0.json")), "records/plan-0.json", "version")
        self.refused(repacked(demo_archive(), newer("settings.json")), "settings.json", "version")

    def test_identities_twice(self) -> None:
        """Two records of one identity; one name twice in the zip; one path twice in the manifest; two eaters alike."""

        def record(change: Callable[[dict[str, object]], object]) -> Callable[[dict[str, bytes]], object]:
            def changed(files: dict[str, bytes]) -> None:
                raw = json.loads(files["records/eaten-0.json"])
                change(raw)
                files["records/eaten-0.json"] = json.dumps(raw).encode()

            return changed

        self.refused(repacked(demo_archive(), record(lambda raw: raw.update(id="plan-0"))), "identity plan-0")
        self.refused(repacked(demo_archive(), record(lambda raw: raw.update(id="../x"))), "records/eaten-0.json")

        def two_alike(raw: dict[str, object]) -> None:
            said = raw["verdicts"]
            assert isinstance(said, list)
            said.append(said[0])

        self.refused(repacked(demo_archive(), record(two_alike)), "two verdicts")
        doubled = io.BytesIO(demo_archive())
        with self.assertWarns(UserWarning), zipfile.ZipFile(doubled, "a") as archive:
            archive.writestr("pantry.csv", b"x")
        self.refused(doubled.getvalue(), "pantry.csv stands in it twice")

        def listed_twice(files: dict[str, bytes]) -> None:
            raw = json.loads(files["manifest.json"])
            raw["files"].append(raw["files"][0])
            files["manifest.json"] = json.dumps(raw).encode()

        self.refused(repacked(demo_archive(), listed_twice), "twice")

    def test_changed_by_hand_is_taken_with_a_note(self) -> None:
        """They are open files: a cook may mend a batch in an editor. What is none of it is passed over."""

        def by_hand(files: dict[str, bytes]) -> None:
            raw = json.loads(files["batches/plan-0.json"])
            raw["mix"].append("1 g black pepper")
            files["batches/plan-0.json"] = json.dumps(raw).encode()
            files["notes.txt"] = b"mine"

        snapshot, notes = read_archive(repacked(demo_archive(), by_hand))
        batch = next(batch for batch in snapshot.batches if batch.id == "plan-0")
        self.assertEqual(batch.draft.mix[-1].text, "1 g black pepper")
        self.assertEqual(len({line.id for line in batch.draft.mix}), len(batch.draft.mix))
        self.assertEqual(
            notes,
            (
                "batches/plan-0.json was changed since the archive was written.",
                "notes.txt is not part of the archive and was passed over.",
            ),
        )

    def test_settings_and_cuts_that_cannot_be(self) -> None:
        """What a hand has written into them is read as the application will, before anything is taken in."""

        def settings_with(**part: object) -> Callable[[dict[str, bytes]], object]:
            def change(files: dict[str, bytes]) -> None:
                files["settings.json"] = json.dumps({**json.loads(files["settings.json"]), **part}).encode()

            return change

        usable, _ = kitchen_to_take_in(demo_archive(), KITCHEN.pantry)
        self.assertEqual(usable.settings.shared, DEMO_SHARED)
        for part, told in (
            ({"routine": {"sleep_from": "late", "sleep_to": "early"}}, "late"),
            ({"shared": {"fridge": "roomy", "tubs": ""}}, "roomy"),
            ({"household": {"salt": "honey"}}, "no salt"),
        ):
            with self.subTest(told), self.assertRaisesRegex(FormatError, f"settings.json: .*{told}"):
                kitchen_to_take_in(repacked(demo_archive(), settings_with(**part)), KITCHEN.pantry)
        kind = next(iter(KITCHEN.cuts.values()))
        for change in ({"thickness_m": 0.0}, {"mass_kg": -1.0}, {"bone_share": 1.0}):
            cut = {**asdict(kind), "id": "own-1", **change}
            text = json.dumps({"format": "vadouvan-cuts", "version": 1, "cuts": [cut]}).encode()
            self.refused(repacked(demo_archive(), lambda f, t=text: f.update({"own_cuts.json": t})), "own_cuts.json")  # type: ignore[misc]

    def test_tables_that_are_none(self) -> None:
        """A formula, a missing column, uneven rows, no text, an unknown word."""

        def pantry(text: str) -> Callable[[dict[str, bytes]], object]:
            return lambda files: files.update({"pantry.csv": text.encode()})

        head = "id,whose,label_name,label_like,label_basis,label_serving,label_label,label_allergens\r\n"
        self.refused(repacked(demo_archive(), pantry(head + "a,own,=1+1,,,,,\r\n")), "line 2", "label_name", "formula")
        self.refused(repacked(demo_archive(), pantry("id,whose\r\n")), "lacks the column label_name")
        self.refused(repacked(demo_archive(), pantry(head + "a,own\r\n")), "line 2", "2 cells instead of 8")
        self.refused(repacked(demo_archive(), pantry("")), "empty")
        self.refused(repacked(demo_archive(), pantry(head + "a,mine,,,,,,\r\n")), "whose", "own or shipped")
        self.refused(repacked(demo_archive(), pantry(head + "a b,own,,,,,,\r\n")), "no identity")
        self.refused(repacked(demo_archive(), pantry(head + "a,own,,,,,,\r\na,own,,,,,,\r\n")), "twice")
        self.refused(repacked(demo_archive(), lambda files: files.update({"pantry.csv": b"\xff\xfe\x00"})), "UTF-8")


class Tables(unittest.TestCase):
    """CSV on its own."""

    @settings(max_examples=drawn(200))
    @given(st.lists(st.tuples(words, st.sampled_from(["=1", "+x", "-3", "-x", "@a", "'a", "''", "\ta", "a\nb", "\r"]))))
    def test_cells_come_back_and_none_runs(self, rows: list[tuple[str, str]]) -> None:
        """Whatever a cell holds; and as written, no cell begins like a formula unless it is a number."""
        text = write_csv(("a", "b"), [{"a": one, "b": other} for one, other in rows])
        back = read_csv(text, name="t.csv", columns=("a", "b"))
        self.assertEqual([(row["a"], row["b"]) for row in back], rows)
        for row in list(csv.reader(io.StringIO(text, newline="")))[1:]:
            self.assertTrue(all(not cell.startswith(("=", "+", "@", "\t", "\r")) for cell in row))

    def test_no_csv(self) -> None:
        """An open quote is said."""
        with self.assertRaisesRegex(FormatError, "no CSV"):
            read_csv('a,b\r\n"x,1\r\n', name="t.csv", columns=("a",))


class Records(unittest.TestCase):
    """What a record may not hold."""

    def test_presses_with_gaps(self) -> None:
        """They are numbered from 1 without gaps."""

        def gap(files: dict[str, bytes]) -> None:
            raw = json.loads(files["records/plan-0.json"])
            raw["presses"] = [{"number": 2, "at": NOW.isoformat(), "kind": "turned"}]
            files["records/plan-0.json"] = json.dumps(raw).encode()

        with self.assertRaisesRegex(FormatError, "numbered from 1"):
            read_archive(repacked(demo_archive(), gap))

    def test_a_long_stay_at_the_counter(self) -> None:
        """A core noted each minute of a week, more than anybody presses: what can be kept can be archived."""
        noted = tuple(LoggedEvent(n, NOW, CounterEvent("probe", celsius=4.0)) for n in range(1, 10_081))
        batch = replace(demo_whole().batches[0], events=noted)
        back, _ = read_archive(write_archive(KitchenSnapshot((batch,)), KITCHEN, now=NOW))
        self.assertEqual(back.batches[0].events, noted)

    def test_a_long_note_stays_whole(self) -> None:
        """20,000 letters come back, though a verdict that long is refused when it is said."""
        note = "a" * 20_000
        batch = replace(
            demo_whole().batches[0],
            verdicts=(VerdictSnapshot(VerdictInput("", {"salt": "just right"}, "", note), NOW),),
        )
        back, _ = read_archive(write_archive(KitchenSnapshot((batch,)), KITCHEN, now=NOW))
        self.assertEqual(back.batches[0].verdicts[0].said.note, note)


if __name__ == "__main__":
    unittest.main()
