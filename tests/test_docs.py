"""The documents say what is there: links lead somewhere, formats and glossary name real fields."""

from __future__ import annotations

import json
import re
import unittest
from dataclasses import fields
from pathlib import Path

from tests.drafts import judged, of_kind
from vadouvan.api.openapi import http_page, openapi_text
from vadouvan.cli import app
from vadouvan.data.tables import shipped_kitchen, source_keys
from vadouvan.formats import batch_file
from vadouvan.formats.judgement import JudgementOut, judgement_out

ROOT = Path(__file__).resolve().parent.parent
PAGES = [ROOT / "README.md", ROOT / "CONTRIBUTING.md", *sorted((ROOT / "docs").glob("*.md"))]


class Documents(unittest.TestCase):
    """README and docs."""

    def test_the_walk_of_an_amount_names_files_that_are_there(self) -> None:
        """At most eight, each there, and each but the last followed by one that it or its caller knows."""
        text = (ROOT / "docs/architecture.md").read_text()
        part = text[text.index("### One amount") : text.index("## At the counter")]
        files = re.findall(r"^\d+\. `([^`]+)`", part, re.MULTILINE)
        self.assertTrue(4 <= len(files) <= 8, files)
        self.assertEqual([name for name in files if not (ROOT / name).is_file()], [])

    def test_links_lead_somewhere(self) -> None:
        """Every relative link and picture exists."""
        for page in PAGES:
            for target in re.findall(r"\]\((?!https?:)([^)#]+)", page.read_text()):
                self.assertTrue((page.parent / target).exists(), f"{page.name}: {target}")

    def test_commands_of_the_readme_are_targets(self) -> None:
        """Each ``make`` command named in the documents is in the Makefile."""
        targets = set(re.findall(r"^([a-z-]+):", (ROOT / "Makefile").read_text(), re.MULTILINE))
        for page in PAGES:
            for target in re.findall(r"`?make ([a-z-]+)", page.read_text()):
                self.assertIn(target, targets, page.name)

    def test_example_of_the_batch_file_is_read(self) -> None:
        """The JSON in docs/formats.md is a batch file that is judged without anything to mend."""
        text = re.search(r"```json\n(.*?)```", (ROOT / "docs/formats.md").read_text(), re.DOTALL)
        assert text is not None
        judgement = judged(batch_file.read(text[1]))
        self.assertEqual(judgement.reading.problems, [])
        self.assertIsNotNone(judgement.plan)

    def test_fields_of_the_judgement_are_described(self) -> None:
        """Every field that leaves as JSON is named in docs/formats.md."""
        described = (ROOT / "docs/formats.md").read_text()
        undescribed = [one.name for one in fields(JudgementOut) if one.name not in described]
        self.assertEqual([name for name in undescribed if name != "plan_says"], [])

    def test_limits_are_described(self) -> None:
        """Every limit that can bind is in the table of limits."""
        described = (ROOT / "docs/formats.md").read_text()
        draft = of_kind("chicken_breast", "1 kg", "slab", "25 mm", "12 g salt", "100 g kiwi", "80 g cider vinegar")
        answer = judgement_out(judged(draft), shipped_kitchen())
        assert answer.window is not None
        for edge in (answer.window.earliest, answer.window.best, answer.window.latest):
            for limit in (edge.limit, *(other.limit for other in edge.others)):
                self.assertIn(f"`{limit}`", described)

    def test_the_page_of_the_http_interface_is_current(self) -> None:
        """docs/http-api.md is what ``make types`` writes, and every route is in it."""
        page = (ROOT / "docs/http-api.md").read_text()
        self.assertEqual(page, http_page())
        for path in json.loads(openapi_text())["paths"]:
            self.assertIn(path, page)

    def test_commands_are_described(self) -> None:
        """Every command of the command line is named in docs/formats.md."""
        described = (ROOT / "docs/formats.md").read_text()
        names = [command.name or command.callback.__name__ for command in app.registered_commands if command.callback]
        self.assertGreater(len(names), 20)
        self.assertEqual([name for name in names if f"`{name}`" not in described], [])

    def test_source_keys_are_in_the_references(self) -> None:
        """Keys of sources.csv stand in docs/references.md, but for those that explain themselves."""
        described = (ROOT / "docs/references.md").read_text()
        self.assertEqual([key for key in source_keys() if key not in described and key not in PLAIN], [])

    def test_every_figure_of_a_full_judgement_tells_its_sources(self) -> None:
        """Keys in workings are known, so that their titles can be shown."""
        draft = of_kind("cod_fillet", "800 g", "slab", "28 mm", "60 g white miso", "20 g honey", "a splash of sake")
        answer = judgement_out(judged(draft), shipped_kitchen())
        self.assertIsNotNone(answer.window)
        for name, figure in answer.figures.items():
            for source in figure.sources:
                self.assertIn(source.key, source_keys(), name)
                self.assertTrue(source.title)


PLAIN = {"physical", "arithmetic", "quality"}
