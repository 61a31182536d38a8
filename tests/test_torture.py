"""A little of ``make torture`` in every run: the same promises, some of each attack."""

from __future__ import annotations

import unittest

from tests.torture.clock import jumping_clock
from tests.torture.disk import full_disk
from tests.torture.drafts import hostile_drafts
from tests.torture.edits import interleaved
from tests.torture.files import mutated_files
from tests.torture.kills import kills
from tests.torture.rows import damaged_rows
from tests.torture.streams import soak
from tests.torture.tally import Tally


class Torture(unittest.TestCase):
    """No promise of docs/reliability.md is broken."""

    def assert_kept(self, tally: Tally, tried: int) -> None:
        """All were tried, none broke anything."""
        self.assertEqual((tally.tried, tally.broken), (tried, []))

    def test_hostile_drafts(self) -> None:
        """Judged, and never by the sentence for what cannot be."""
        self.assert_kept(hostile_drafts(80, 7), 80)

    def test_mutated_files(self) -> None:
        """Refused or taken in, never a fault of ours."""
        self.assert_kept(mutated_files(40, 7), 40)

    def test_damaged_rows(self) -> None:
        """Told, and nothing else is taken away."""
        self.assert_kept(damaged_rows(25, 7), 25)

    def test_interleaved_changes(self) -> None:
        """What was acknowledged stands."""
        self.assert_kept(interleaved(40, 7), 40)

    def test_kills(self) -> None:
        """What was acknowledged is there after a kill."""
        self.assert_kept(kills(2, 7), 2)

    def test_a_clock_that_jumps(self) -> None:
        """Back, forth, to 1970: nothing fails, nothing is out of order."""
        self.assert_kept(jumping_clock(12, 7), 12)

    def test_a_full_disk(self) -> None:
        """Told as not kept, or kept; looked at all the while."""
        self.assert_kept(full_disk(60, 7), 60)

    def test_streams_that_come_and_go(self) -> None:
        """Memory stays."""
        self.assert_kept(soak(2, 7), 2)


if __name__ == "__main__":
    unittest.main()
