"""Windows against the hours of the trade. Source: common practice, no source (tests/cases/trade_windows.csv)."""

from __future__ import annotations

import csv
import unittest
from functools import cache
from pathlib import Path

from tests.drafts import NOW, hours, of_kind
from vadouvan.core.hold.levels import STANDS
from vadouvan.core.judgement.judge import judge
from vadouvan.core.judgement.judgement import Judgement
from vadouvan.data.tables import shipped_kitchen
from vadouvan.formats import batch_file

CASES = Path(__file__).resolve().parent.parent / "cases"
REFERENCES = CASES.parent.parent / "docs" / "references.md"
NEAR, PAST = 1.3, 1.5  # cooks round their hours; past the acceptable by half is too long
HARD_ENDS = ("enzyme", "acid", "salt_bath", "safety")
LEAST, LEAST_UNSEEN = 0.95, 0.85
UNSEEN = ("ordinary", "further")


@cache
def judged(name: str = "trade") -> list[tuple[dict[str, str], Judgement]]:
    """Every case, judged."""
    with (CASES / f"{name}_windows.csv").open(encoding="utf-8", newline="") as table:
        rows = list(csv.DictReader(table))
    batches = (CASES / f"{name}_batches.jsonl").read_text(encoding="utf-8").splitlines()
    kitchen = shipped_kitchen()
    return list(zip(rows, [judge(batch_file.read(batch), kitchen, now=NOW) for batch in batches], strict=True))


def disagreement(row: dict[str, str], judgement: Judgement) -> str:
    """What does not agree with the hours of the trade; empty if all does."""
    window = judgement.window
    if window is None or window.is_closed:
        return "no time"
    return not_as_cooks_say(row, window.safe_earliest_h, window.best.hours, window.safe_latest_h)


def not_as_cooks_say(row: dict[str, str], earliest_h: float, best_h: float, latest_h: float) -> str:
    """What of these hours is not as the trade has it; empty if all is."""
    low, high, last = (float(row[name]) for name in ("best_low_h", "best_high_h", "acceptable_to_h"))
    if not low / NEAR <= best_h <= high * NEAR:
        return f"best {best_h:.2g} h, cooks say {low:g} to {high:g}"
    if earliest_h > low * NEAR + 0.1:
        return f"opens at {earliest_h:.2g} h, cooks say best from {low:g}"
    if latest_h < high / NEAR:
        return f"ends at {latest_h:.2g} h, cooks say best to {high:g}"
    if row["ends_by"] in HARD_ENDS and latest_h > last * PAST:
        return f"ends at {latest_h:.3g} h, cooks say {last:g}"
    return ""


class Trade(unittest.TestCase):
    """One set of constants for all of them."""

    def test_most_agree(self) -> None:
        """Nineteen in twenty at the least, and never "no good time" where the trade has hours."""
        found = [disagreement(row, one) for row, one in judged()]
        self.assertGreaterEqual(sum(not one for one in found) / len(found), LEAST)
        self.assertNotIn("no time", found)

    def test_each_that_does_not_is_told(self) -> None:
        """By name in docs/references.md."""
        told = REFERENCES.read_text(encoding="utf-8")
        missing = [row["id"] for row, one in judged() if disagreement(row, one) and f"`{row['id']}`" not in told]
        self.assertEqual(missing, [])

    def test_groups_left_out_agree_as_well(self) -> None:
        """No way of ending is much worse than the rest: the constants belong to no group."""
        for ends in {row["ends_by"] for row, _ in judged()}:
            group = [disagreement(row, one) for row, one in judged() if row["ends_by"] == ends]
            with self.subTest(ends=ends):
                self.assertGreaterEqual(sum(not one for one in group) / len(group), 0.75)

    def test_straight_to_the_heat(self) -> None:
        """Most of those that the trade seasons just before cooking; what is cooked in its mix is not known here."""
        self.assertGreaterEqual(_share_straight("trade"), 0.94)


class Ordinary(unittest.TestCase):
    """Ordinary dishes whose hours were written down before the model was asked, in two sets; nothing is fitted to the
    first, and of the second only what is said beside it in docs/references.md.
    """

    def test_most_agree(self) -> None:
        """By their hours, 85 of 100 at the least; each that does not is named in docs/references.md."""
        told = REFERENCES.read_text(encoding="utf-8")
        for table in UNSEEN:
            found = {row["id"]: disagreement(row, one) for row, one in judged(table)}
            off = [name for name, says in found.items() if says]
            with self.subTest(table=table):
                self.assertGreaterEqual(1 - len(off) / len(found), LEAST_UNSEEN, {name: found[name] for name in off})
                self.assertEqual([name for name in off if f"`{name}`" not in told], [])

    def test_straight_to_the_heat(self) -> None:
        """Nineteen of twenty that cooks put straight on the fire may go there."""
        self.assertGreaterEqual(_share_straight(*UNSEEN), 0.95)


def _share_straight(*tables: str) -> float:
    """Of what cooks put straight on the fire the share that may go there."""
    windows = [one.window for table in tables for row, one in judged(table) if row["straight_to_heat_ok"] == "yes"]
    return sum(window is not None and window.straight for window in windows) / len(windows)


class Fruit(unittest.TestCase):
    """What a live tenderiser does to pieces that hold together unlike. Source: common practice, no source."""

    def test_tough_meat_stands_it_longer(self) -> None:
        """The same mix on the same slab: what is full of sinew turns to mush later than what is tender."""
        kinds = ("chicken_breast", "chicken_thigh", "beef_flank")
        self.assertEqual([shipped_kitchen().cuts[kind].toughness for kind in kinds], ["tender", "moderate", "tough"])
        latest = [_in_pineapple(kind) for kind in kinds]
        self.assertEqual(latest, sorted(latest))
        self.assertAlmostEqual(latest[0] / latest[2], STANDS["tender"] / STANDS["tough"], delta=0.2)


def _in_pineapple(kind: str) -> float:
    """Latest hour of a 25 mm slab of a cut in a cup of raw pineapple."""
    return hours(of_kind(kind, "900 g", "slab", "25 mm", "150 g fresh pineapple puree", "9 g salt"))[2]
