"""docs/extending.md: how few files a new thing touches, counted on things that are there."""

from __future__ import annotations

import re
import unittest
from functools import cache
from pathlib import Path
from unittest.mock import patch

from vadouvan.core.draft.typed import LineInput
from vadouvan.core.interpretation.line import portion_of
from vadouvan.data import tables

ROOT = Path(__file__).resolve().parent.parent
GENERATED = {"generated.ts"}
READ = tables.table_rows


@cache
def sources() -> dict[Path, str]:
    """Every file of the program that a person writes."""
    found = [*(ROOT / "src/vadouvan").rglob("*.py"), *(ROOT / "web/src").rglob("*.ts*")]
    return {path.relative_to(ROOT): path.read_text() for path in found if path.name not in GENERATED}


def naming(pattern: str) -> list[str]:
    """Files in which something is named."""
    wanted = re.compile(pattern)
    return sorted(str(path) for path, text in sources().items() if wanted.search(text))


class Counted(unittest.TestCase):
    """Each is named in no more files than the recipe says."""

    def assert_at_most(self, most: int, pattern: str) -> None:
        """And in at least one, so that a name that is gone is noticed."""
        found = naming(pattern)
        self.assertTrue(1 <= len(found) <= most, "\n".join([pattern, *found]))

    def test_a_question_of_the_cut(self) -> None:
        """Declared, read, asked: evenness and where a cover lies."""
        for name in ("evenness", "cover_on"):
            self.assert_at_most(4, rf"\b{name}\b")

    def test_a_question_of_the_fire_or_beside_it(self) -> None:
        """How dark a crust is meant; when something goes in."""
        self.assert_at_most(4, r"\bcrust:|\.crust\b|\{ crust \}")
        self.assert_at_most(4, r"\bwhen: Text|\.when\b|\{ when \}")

    def test_a_concern(self) -> None:
        """What it is worth at each hour, and its words."""
        for name in ("texture", "tenderised", "cured"):
            self.assert_at_most(2, rf"\"{name}\"")

    def test_a_substance_of_the_balance(self) -> None:
        """Its share of a line, its span, and how it looks."""
        hold = "src/vadouvan/core/hold/"  # where a concern has the same name
        found = [path for path in naming(r"[\"'`.]aroma[\"'`]") if not path.startswith(hold)]
        self.assertTrue(2 <= len(found) <= 6, found)

    def test_an_export_format(self) -> None:
        """Written, and handed out by the server and the command line."""
        for name in ("today_pdf", "labels_pdf", "cut_face_out"):
            self.assert_at_most(3, rf"\b{name}\b")


class Exercised(unittest.TestCase):
    """An ingredient is a row."""

    def test_an_ingredient(self) -> None:
        """A row of the pantry with another identity and name is read, weighed and balanced."""
        rows = tables.table_rows("pantry")
        model = next(row for row in rows if row["id"] == "cumin")
        made = {**model, "id": "harbour_dust", "name": "Harbour dust", "also_called": "harbour dust"}
        with patch("vadouvan.data.tables.table_rows", lambda name: [*rows, made] if name == "pantry" else READ(name)):
            pantry = tables.shipped_kitchen.__wrapped__().pantry
        dust, cumin = (
            portion_of(LineInput("1", f"2 tsp {name}"), pantry, None) for name in ("harbour dust", "ground cumin")
        )
        self.assertEqual(dust.ingredient.name, "Harbour dust")
        self.assertEqual(dust.mass_kg, cumin.mass_kg)
