"""Words that could hold the kitchen up: a pasted text of any letters is read, or refused in a sentence."""

from __future__ import annotations

import json
import resource
import subprocess
import sys
import unittest

from tests.browser.support import ROOT
from tests.drafts import judged
from vadouvan.data.tables import shipped_kitchen
from vadouvan.errors import FormatError
from vadouvan.formats.any_file import LONGEST_PASTED, MOST_PASTED_LINES, read_any

KITCHEN = shipped_kitchen()
ENOUGH_S = 120  # of the processor: what goes through its letters again from each of them would take hours
SEEDS = (" ", "\t", "1", "(a) ", "(", ", ", "%", "½ ")
READ_ALL = """
import json, sys
from vadouvan.data.tables import shipped_kitchen
from vadouvan.errors import InputError
from vadouvan.formats.any_file import read_any
kitchen = shipped_kitchen()
for text in json.load(sys.stdin):
    try:
        read_any(text, kitchen)
    except InputError as refused:
        print(refused)
print("all read")
"""


class HostileText(unittest.TestCase):
    """No text takes the kitchen from everybody."""

    def test_no_text_is_gone_through_from_each_of_its_letters(self) -> None:
        """Half as long as may be, of one thing again and again, behind an amount and behind a word."""
        texts = [
            (start + seed * LONGEST_PASTED)[: LONGEST_PASTED // 2] + "z" for start in ("1 kg ", "a") for seed in SEEDS
        ]
        done = subprocess.run(
            [sys.executable, "-c", READ_ALL],
            check=False,
            input=json.dumps(texts),
            capture_output=True,
            text=True,
            cwd=ROOT,
            env={"PYTHONPATH": str(ROOT / "src")},
            preexec_fn=lambda: resource.setrlimit(resource.RLIMIT_CPU, (ENOUGH_S, ENOUGH_S)),
        )
        self.assertTrue(done.stdout.endswith("all read\n"), done.stderr[-500:])

    def test_what_is_far_longer_than_a_recipe_is_refused_with_its_size(self) -> None:
        """And said what would be accepted."""
        for text in ("12 g salt " * (LONGEST_PASTED // 10 + 1), "12 g salt\n" * MOST_PASTED_LINES):
            with self.assertRaisesRegex(FormatError, r"Take the recipe alone: up to 100,000 letters in 3,000 lines"):
                read_any(f"1 kg chicken thighs\n{text}", KITCHEN)

    def test_gaps_between_columns_are_read_as_before(self) -> None:
        """However far apart."""
        for gap in (" " * 4, " " * 60, "\t" * 60):
            draft = read_any(f"1 kg chicken thighs\nSalt{gap}12 g\nOlive oil{gap}40 g\n", KITCHEN).draft
            found = [round(portion.mass_kg.value * 1000, 3) for portion in judged(draft).reading.portions]
            self.assertEqual((draft.cut.kind, found), ("chicken_thigh", [12.0, 40.0]), gap)
