"""The command line: the same judgement without a server."""

from __future__ import annotations

import json
import tempfile
import unittest
from pathlib import Path

from typer.testing import CliRunner

from tests.drafts import NOW, SATURDAY, of_kind
from vadouvan.cli import app
from vadouvan.core.draft.typed import Draft
from vadouvan.formats import batch_file

SKEWERS = of_kind("lamb_shoulder_cubes", "1.8 kg", "cube", "30 mm", "22 g salt", "juice of 2 lemons", "90 ml olive oil")


class Judge(unittest.TestCase):
    """``vadouvan judge``."""

    def run_on(self, text: str, *options: str) -> tuple[int, str, str]:
        """Exit code, output and errors of judging a file with this text."""
        with tempfile.TemporaryDirectory() as folder:
            path = Path(folder) / "batch.json"
            path.write_text(text, encoding="utf-8")
            result = CliRunner().invoke(app, ["judge", str(path), "--now", NOW.isoformat(), *options])
        return result.exit_code, result.stdout, result.stderr

    def test_for_a_program(self) -> None:
        """Field names of the glossary, numbers in the unit of their name."""
        draft = Draft(SKEWERS.name, SKEWERS.cut, SKEWERS.mix, SKEWERS.hold, SATURDAY)
        code, out, _ = self.run_on(batch_file.write(draft), "--json")
        answer = json.loads(out)
        self.assertEqual(code, 0)
        self.assertAlmostEqual(answer["salt_g_per_kg"], 22 * 0.985 / 1.8, delta=0.01)
        self.assertLess(answer["window"]["earliest"]["hours"], answer["window"]["best"]["hours"])
        self.assertEqual(answer["window"]["latest"]["limit"], "sour")
        self.assertEqual(answer["plan"]["pull_at"], "2026-11-28T18:00:00Z")
        self.assertEqual([item["name"] for item in answer["ingredients"]][1], "Lemon juice, fresh")
        self.assertIn("rule", answer["figures"]["window.best"])

    def test_for_a_reader(self) -> None:
        """The sentence first, then ledger, balance and limits."""
        code, out, _ = self.run_on(batch_file.write(SKEWERS))
        self.assertEqual(code, 0)
        self.assertTrue(out.startswith("It may go straight to the heat. Pull by"))
        for part in ("per kilogram of meat", "salt", "earliest", "latest", "assumed"):
            self.assertIn(part, out)

    def test_something_to_mend(self) -> None:
        """Exit code 2 and the sentences."""
        code, out, _ = self.run_on(batch_file.write(of_kind("beef_flank", "50 kg", "slab", "15 mm", "3 handfuls")))
        self.assertEqual(code, 2)
        self.assertIn("too much for a mass", out)
        self.assertIn("of what?", out)

    def test_a_stream_answers_line_by_line(self) -> None:
        """In order, a bad one with an error in its place, and on; the same hours as one by one."""
        good = json.dumps(json.loads(batch_file.write(SKEWERS)))
        text = "\n".join((good, "{broken", "", '{"format": "other"}', good)) + "\n"
        result = CliRunner().invoke(app, ["judge", "--stream", "--json", "--now", NOW.isoformat()], input=text)
        answers = [json.loads(line) for line in result.stdout.splitlines()]
        self.assertEqual([bool(one.get("error")) for one in answers], [False, True, True, False])
        alone = CliRunner().invoke(app, ["judge", "-", "--json", "--now", NOW.isoformat()], input=good)
        self.assertEqual(answers[0]["window"], json.loads(alone.stdout)["window"])
        self.assertIn("straight_to_heat", answers[3]["window"])
        self.assertEqual(answers[1]["error"]["kind"], "input")

    def test_files_that_cannot_be_judged(self) -> None:
        """Broken and missing files go to standard error; with --json a program gets the sentence."""
        code, _, err = self.run_on("{")
        self.assertEqual(code, 2)
        self.assertIn("broken or not JSON", err)
        code, out, _ = self.run_on("{", "--json")
        self.assertIn("broken or not JSON", json.loads(out)["sentence"])
        result = CliRunner().invoke(app, ["judge", "/nowhere/batch.json"])
        self.assertEqual(result.exit_code, 2)
        self.assertIn("cannot be read", result.stderr)

    def test_bad_moment(self) -> None:
        """--now has to be a moment."""
        result = CliRunner().invoke(app, ["judge", "-", "--now", "soon"], input=batch_file.write(SKEWERS))
        self.assertEqual(result.exit_code, 2)
        self.assertIn("is not a moment", result.stderr)

    def test_standard_input(self) -> None:
        """A dash reads what is piped in."""
        result = CliRunner().invoke(app, ["judge", "-"], input=batch_file.write(SKEWERS))
        self.assertEqual(result.exit_code, 0)
