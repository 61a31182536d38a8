"""Judgements that are kept: the last ones whole, more of what a page shows of them."""

from __future__ import annotations

import unittest
from dataclasses import replace
from datetime import timedelta

from tests.drafts import NOW, steak
from tests.mixes import KITCHEN
from vadouvan.use_cases.judged import MOST_KEPT, Judged


class Kept(unittest.TestCase):
    """By draft, kitchen and minute."""

    def test_the_same_value_within_the_minute(self) -> None:
        """Another one a minute later, in another kitchen, and of another draft."""
        judged, draft = Judged(), steak("12 g salt")
        first = judged.of(draft, KITCHEN, now=NOW)
        self.assertIs(judged.of(steak("12 g salt"), KITCHEN, now=NOW + timedelta(seconds=20)), first)
        for other in (
            judged.of(draft, KITCHEN, now=NOW + timedelta(minutes=1)),
            judged.of(draft, replace(KITCHEN), now=NOW),
            judged.of(replace(draft, name="Another"), KITCHEN, now=NOW),
        ):
            self.assertIsNot(other, first)

    def test_what_is_shown_is_kept_longer(self) -> None:
        """The whole goes when many others came; asked for again, it says the same."""
        judged, draft = Judged(), steak("12 g salt")
        first, shown = judged.of(draft, KITCHEN, now=NOW), judged.shown_of(draft, KITCHEN, now=NOW)
        for number in range(MOST_KEPT):
            judged.of(replace(draft, name=str(number)), KITCHEN, now=NOW)
        self.assertIs(judged.shown_of(draft, KITCHEN, now=NOW), shown)
        again = judged.of(draft, KITCHEN, now=NOW)
        self.assertIsNot(again, first)
        self.assertEqual(again.sentence, first.sentence)


if __name__ == "__main__":
    unittest.main()
