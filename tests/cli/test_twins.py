"""The command-line twins: each says what the page would, to a reader and a program; refusals have exit code 2."""

from __future__ import annotations

import csv
import io
import json
import re
import tempfile
import unittest
import zipfile
from dataclasses import replace
from pathlib import Path

from icalendar import Calendar
from pypdf import PdfReader
from typer.testing import CliRunner

from tests.drafts import NOW, steak
from tests.formats.test_archive import demo_archive, demo_whole
from tests.saturday import eaten_logbook, saturday_drafts
from vadouvan.cli import app
from vadouvan.core.draft.typed import LineInput
from vadouvan.core.interpretation.household import HouseholdInput
from vadouvan.core.snapshot.kitchen import BatchSnapshot, KitchenSettings, KitchenSnapshot
from vadouvan.core.weighing.event import CounterEvent, LoggedEvent
from vadouvan.data.tables import shipped_kitchen
from vadouvan.formats import batch_file
from vadouvan.formats.archive.records import write_record
from vadouvan.store.database import open_database
from vadouvan.use_cases.cards import write_archive

LEGS, SKEWERS, FLANK = saturday_drafts(NOW)[:3]
COLLAR = next(one.draft for one in eaten_logbook(NOW) if one.draft.name == "Pork collar, mustard and cider")


class Twin(unittest.TestCase):
    """A folder with batch files."""

    def setUp(self) -> None:
        """Four of the demo's."""
        folder = tempfile.TemporaryDirectory()
        self.addCleanup(folder.cleanup)
        self.folder = Path(folder.name)
        for name, draft in (("legs", LEGS), ("skewers", SKEWERS), ("flank", FLANK), ("collar", COLLAR)):
            (self.folder / f"{name}.json").write_text(batch_file.write(draft), encoding="utf-8")

    def path(self, name: str) -> str:
        """A file of the folder."""
        return str(self.folder / name)

    def run_it(self, *words: str, code: int = 0, now: bool = True) -> str:
        """What a command prints; its errors too if it fails."""
        moment = ("--now", NOW.isoformat()) if now else ()
        result = CliRunner().invoke(app, [*words, *moment])
        self.assertEqual(result.exit_code, code, f"{words}: {result.output} {result.exception!r}")
        return result.stdout if code == 0 else result.output


class Mix(Twin):
    """Amounts, corrections, swaps, labels."""

    def test_amounts(self) -> None:
        """Salt asked for by the kilogram is reached; the same for a program."""
        out = self.run_it("amounts", self.path("skewers.json"), "--salt", "10")
        self.assertIn("salt", out)
        answer = json.loads(self.run_it("amounts", self.path("skewers.json"), "--salt", "10", "--json"))
        salt = next(one for one in answer["reached"] if one["aim"] == "salt")
        self.assertAlmostEqual(salt["got"], 10, delta=0.1)

    def test_corrections(self) -> None:
        """Too salty: something without salt is added; an unknown taste lists those there are."""
        out = self.run_it("correct", self.path("skewers.json"), "too_salty")
        self.assertIn("salt", out)
        self.assertTrue(json.loads(self.run_it("correct", self.path("skewers.json"), "too_salty", "--json")))
        self.assertIn("'too_sweet'", self.run_it("correct", self.path("skewers.json"), "odd", code=2))

    def test_swaps(self) -> None:
        """Yoghurt without milk."""
        answer = json.loads(self.run_it("swaps", self.path("legs.json"), "1", "--without", "milk", "--json"))
        self.assertTrue(answer)
        self.assertTrue(all("milk" in one["loses"] for one in answer))
        self.assertIn("without milk", self.run_it("swaps", self.path("legs.json"), "1", "--without", "milk"))
        self.assertIn("no such line", self.run_it("swaps", self.path("legs.json"), "40", code=2))

    def test_label(self) -> None:
        """Sodium becomes salt, and says so."""
        (self.folder / "label.txt").write_text("Sugars 3 g\nSodium 920 mg", encoding="utf-8")
        words = ("label", self.path("label.txt"), "--name", "Harbour sauce")
        answer = json.loads(self.run_it(*words, "--json", now=False))
        self.assertAlmostEqual(answer["g_per_100g"]["salt"], 0.92 * 2.54, delta=0.01)
        self.assertIn("assumed: all sodium is salt", self.run_it(*words, now=False))


class Batch(Twin):
    """Cubes, comparisons, another cut, verdicts, cards, reading, weigh-in."""

    def test_cubes_and_comparison(self) -> None:
        """The present cube is marked; thicker takes longer, in the words of the page."""
        self.assertIn("> ", self.run_it("cubes", self.path("skewers.json")))
        edges = [one["edge_mm"] for one in json.loads(self.run_it("cubes", self.path("skewers.json"), "--json"))]
        self.assertEqual(edges, sorted(edges))
        self.assertTrue(self.run_it("compare", self.path("skewers.json"), "thickness", "50 mm").strip())
        self.assertIn("thickness", self.run_it("compare", self.path("skewers.json"), "colour", code=2))

    def test_cautions(self) -> None:
        """Chicken calls for some, the gravest first."""
        found = json.loads(self.run_it("cautions", self.path("legs.json"), "--json"))
        kinds = [one["kind"] for one in found]
        self.assertEqual(kinds, sorted(kinds, key=["stop", "warn", "note"].index))
        self.assertGreater(len(kinds), 1)
        self.assertIn(found[0]["says"], self.run_it("cautions", self.path("legs.json")))

    def test_again(self) -> None:
        """Another weight: a batch file with its amounts, and no time of the old one."""
        again = batch_file.read(self.run_it("again", self.path("collar.json"), "--mass", "800 g"))
        self.assertEqual((again.cut.mass, again.meal.pulled), ("800 g", ""))
        self.assertNotEqual([line.text for line in again.mix], [line.text for line in COLLAR.mix])

    def test_verdict(self) -> None:
        """Advice in grams and hours, what it teaches, and the next batch; no such word is refused."""
        said = ("verdict", self.path("collar.json"), "--said", "salt=a little too much", "--depth", "8 mm")
        out = self.run_it(*said)
        for words in ("% less", "right through would take about", "In your red meat", "less salt than is usual"):
            self.assertIn(words, out)
        self.assertEqual([one["id"] for one in json.loads(self.run_it(*said, "--json"))["advice"]], ["salt", "depth"])
        following = batch_file.read(self.run_it(*said, "--write"))
        self.assertEqual(following.meal.contact, "")
        wrong = self.run_it("verdict", self.path("collar.json"), "--said", "salt=lots", code=2)
        self.assertIn("far too little", wrong)
        self.assertIn("just right", self.run_it("verdict", self.path("collar.json"), "--said", "salty", code=2))

    def test_cards(self) -> None:
        """Markdown, JSON-LD and PDF."""
        self.assertTrue(self.run_it("card", self.path("legs.json")).startswith("# Saturday legs"))
        recipe = json.loads(self.run_it("card", self.path("legs.json"), "--form", "recipe"))
        self.assertEqual(recipe["@type"], "Recipe")
        self.run_it("card", self.path("legs.json"), "--form", "pdf", "--out", self.path("card.pdf"))
        self.assertIn("Saturday legs", PdfReader(self.path("card.pdf")).pages[0].extract_text())
        self.assertIn("markdown", self.run_it("card", self.path("legs.json"), "--form", "pdf", code=2))

    def test_read(self) -> None:
        """A list to a batch file."""
        (self.folder / "list.txt").write_text("Harbour tofu\n\n800 g firm tofu\n2 tbsp tamarind paste\n")
        draft = batch_file.read(self.run_it("read", self.path("list.txt"), now=False))
        self.assertEqual((draft.name, draft.cut.kind, len(draft.mix)), ("Harbour tofu", "tofu_firm", 1))
        self.assertIn("cannot be read", self.run_it("read", self.path("none.txt"), code=2, now=False))
        (self.folder / "chops.txt").write_text("4 chops\n12 g salt\n")
        told = CliRunner().invoke(app, ["read", self.path("chops.txt")]).stderr
        self.assertIn("Which cut is “4 chops”?\n- pork, loin chop, boneless\n- pork, rib or loin chop, bone-in\n", told)

    def test_weigh(self) -> None:
        """Two presses later: so much is in the bowl; a record of another kind is refused."""
        batch = replace(
            demo_whole().batches[1],
            events=(
                LoggedEvent(1, NOW, CounterEvent("tare", mass_kg=0.3)),
                LoggedEvent(2, NOW, CounterEvent("weighed", "1", 0.09)),
            ),
        )
        (self.folder / "record.json").write_text(write_record(batch), encoding="utf-8")
        words = ("weigh", self.path("skewers.json"), self.path("record.json"))
        answer = json.loads(self.run_it(*words, "--json"))
        self.assertEqual((answer["number"], answer["tare_g"], answer["total_g"]), (2, 300, 90))
        self.assertTrue(self.run_it(*words).strip())
        self.run_it("weigh", self.path("skewers.json"), self.path("legs.json"), code=2)


class Plans(Twin):
    """Offers, several together, the list, the calendar."""

    def test_offers(self) -> None:
        """For a meal that comes too soon there are some; for a plan that works none."""
        wet = (*SKEWERS.mix, LineInput("y", "600 g yoghurt"))
        soon = replace(SKEWERS, meal=replace(SKEWERS.meal, at="2026-11-25T10:20"), mix=wet)
        (self.folder / "soon.json").write_text(batch_file.write(soon), encoding="utf-8")
        self.assertTrue(json.loads(self.run_it("offers", self.path("soon.json"), "--json")))
        self.assertIn("works", self.run_it("offers", self.path("legs.json")))

    def test_move(self) -> None:
        """The meal an hour later; a mark that is none, and a batch without a plan, are refused."""
        later = batch_file.read(self.run_it("move", self.path("legs.json"), "meal", "2026-11-28T20:00+00:00"))
        self.assertEqual(later.meal.at, "2026-11-28T20:00")
        self.assertIn("pull", self.run_it("move", self.path("legs.json"), "salt", "2026-11-28T20:00", code=2))
        again = self.run_it("again", self.path("legs.json"), "--mass", "1 kg")
        (self.folder / "again.json").write_text(again, encoding="utf-8")
        self.assertIn("no plan", self.run_it("move", self.path("again.json"), "meal", "2026-11-28T20:00", code=2))

    def test_together_today_and_calendar(self) -> None:
        """Three for Saturday."""
        files = [self.path(f"{name}.json") for name in ("legs", "skewers", "flank")]
        answer = json.loads(self.run_it("together", *files, "--fridge", "38 l", "--json"))
        self.assertTrue(answer["proven"])
        self.assertEqual(answer["left_out"], {})
        tight = json.loads(self.run_it("together", *files, "--fridge", "1 l", "--json"))
        self.assertTrue(tight["left_out"])
        self.assertIn("Saturday legs", self.run_it("today", *files, "--hours", "96"))
        events = Calendar.from_ical(self.run_it("calendar", *files)).walk("VEVENT")
        owners = {str(event["UID"]).rsplit(".", 1)[1] for event in events}
        self.assertEqual(owners, {"legs@vadouvan", "skewers@vadouvan", "flank@vadouvan"})


class KitchenFile(Twin):
    """Export, import, backup, restore, check."""

    def test_out_and_in(self) -> None:
        """Into another folder, a preview first; a second time all is the same; the check is content."""
        here, there = ("--data-dir", self.path("here")), ("--data-dir", self.path("there"))
        (self.folder / "seed.zip").write_bytes(demo_archive())
        self.run_it("import", self.path("seed.zip"), *here, now=False)
        self.run_it("export", self.path("out.zip"), *here, now=False)
        preview = json.loads(self.run_it("import", self.path("out.zip"), "--preview", "--json", *there, now=False))
        again = json.loads(self.run_it("import", self.path("out.zip"), "--json", *there, now=False))
        self.assertEqual(preview, again, "the preview changed nothing")
        self.assertEqual(again["counts"]["new"], len(demo_whole().batches) + 2)
        third = json.loads(self.run_it("import", self.path("out.zip"), "--json", *there, now=False))
        self.assertEqual(third["counts"]["same"], len(demo_whole().batches) + 2)
        with zipfile.ZipFile(self.path("out.zip")) as archive:
            rows = list(csv.DictReader(io.StringIO(archive.read("logbook.csv").decode(), newline="")))
        self.assertEqual(len(rows), len(eaten_logbook(NOW)))
        self.assertIn("All well", self.run_it("check", *there, now=False))

    def test_cards_of_an_export_are_those_of_the_household(self) -> None:
        """The salt on the shelf weighs what it weighs on the page."""
        here = ("--data-dir", self.path("here"))
        snapshot = KitchenSnapshot(
            (BatchSnapshot("salted", steak("1 tbsp salt"), NOW),),
            settings=KitchenSettings(household=HouseholdInput("salt_kosher_light")),
        )
        (self.folder / "seed.zip").write_bytes(write_archive(snapshot, shipped_kitchen(), now=NOW))
        self.run_it("import", self.path("seed.zip"), *here, now=False)
        self.run_it("export", self.path("out.zip"), *here, now=False)
        grams = []
        for name in ("seed.zip", "out.zip"):
            with zipfile.ZipFile(self.path(name)) as archive:
                grams.append(re.search(r"\| ([\d.]+) g \|", archive.read("cards/salted.md").decode()))
        assert grams[0]
        assert grams[1]
        self.assertLess(float(grams[1][1]), 0.7 * float(grams[0][1]), "table salt in the one, flakes in the other")

    def test_backup_and_restore(self) -> None:
        """Back to an empty kitchen; a file that is there is not written over; no backup is refused."""
        here = ("--data-dir", self.path("here"))
        (self.folder / "seed.zip").write_bytes(demo_archive())
        open_database(self.folder / "here" / "kitchen.sqlite").dispose()
        self.run_it("backup", self.path("empty.sqlite"), *here, now=False)
        self.run_it("import", self.path("seed.zip"), *here, now=False)
        self.assertIn("there already", self.run_it("backup", self.path("empty.sqlite"), *here, now=False, code=2))
        self.assertIn("Put back, 0 rows", self.run_it("restore", self.path("empty.sqlite"), *here, now=False))
        self.assertIn("no backup", self.run_it("restore", self.path("seed.zip"), *here, now=False, code=2))
        self.assertEqual(json.loads(self.run_it("check", "--json", *here, now=False)), {"rows": 0, "findings": []})

    def test_where_no_kitchen_is_none_is_made(self) -> None:
        """A folder mistyped, a file that is none: one sentence, and nothing is left behind."""
        here = ("--data-dir", self.path("here"))
        (self.folder / "none").write_bytes(b"not a kitchen" * 500)
        for words in (("check",), ("export", self.path("x.zip")), ("backup", self.path("x.sqlite"))):
            self.assertIn("There is no kitchen in", self.run_it(*words, *here, now=False, code=2))
        self.assertIn("no backup", self.run_it("restore", self.path("none"), *here, now=False, code=2))
        self.assertEqual([path.name for path in self.folder.rglob("*.sqlite*")], [])


if __name__ == "__main__":
    unittest.main()
