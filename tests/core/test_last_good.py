"""The last batch of a dish that was just right."""

from __future__ import annotations

import unittest
from dataclasses import replace

from vadouvan.core.draft.typed import Draft, MealInput
from vadouvan.core.tasting.last_good import last_good
from vadouvan.core.tasting.logbook import Entry, entry_of
from vadouvan.core.tasting.verdict import Verdict


def entry(identity: str, day: str, name: str = "", *salt: int) -> Entry:
    """A batch eaten on a day, with what each eater said of its salt."""
    verdicts = tuple(Verdict(str(number), {"salt": step}) for number, step in enumerate(salt))
    return entry_of(identity, replace(Draft(), name=name, meal=MealInput(at=f"2026-11-{day}T19:00")), verdicts)


class LastGood(unittest.TestCase):
    """By descent, by name, and by what was said."""

    def test_the_latest_that_everybody_found_right(self) -> None:
        """A later one that was too salty is not it, nor one that nobody tasted, nor another dish."""
        entries = [
            entry("a", "01", "Legs", 0),
            entry("b", "05", "legs ", 0, 0),
            entry("c", "09", "Legs", 1),
            entry("d", "11", "Legs"),
            entry("e", "12", "Skewers", 0),
        ]
        found = last_good(entries, itself="new", name="LEGS", came_from={})
        self.assertEqual(found.id if found else "", "b")
        self.assertIsNone(last_good(entries[2:4], itself="new", name="Legs", came_from={}))
        self.assertIsNone(last_good(entries[:1], itself="a", name="Legs", came_from={}))

    def test_by_descent_through_one_that_was_not_tasted(self) -> None:
        """A repeat of a repeat finds the first, whatever the names; a dish without a name finds no other such."""
        entries = [entry("a", "01", "Legs", 0), entry("x", "02", "", 0)]
        came_from = {"new": "between", "between": "a"}
        found = last_good(entries, itself="new", name="Sunday", came_from=came_from)
        self.assertEqual(found.id if found else "", "a")
        self.assertIsNone(last_good(entries, itself="new", name="", came_from={}))

    def test_descents_in_a_circle(self) -> None:
        """As a foreign archive may say: all of the circle are one dish, from wherever it is entered."""
        came_from = {"a": "b", "b": "c", "c": "a", "new": "b"}
        entries = [entry("a", "01", "one", 0), entry("c", "03", "two", 0)]
        for itself in ("new", "b"):
            found = last_good(entries, itself=itself, name="", came_from=came_from)
            self.assertEqual(found.id if found else "", "c")


if __name__ == "__main__":
    unittest.main()
