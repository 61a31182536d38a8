"""A little of ``make torture`` in every run: the same promises, some of each attack."""

from __future__ import annotations

import unittest

from tests.torture import Tally, hostile_drafts, interleaved, kills, mutated_files


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

    def test_interleaved_changes(self) -> None:
        """What was acknowledged stands."""
        self.assert_kept(interleaved(40, 7), 40)

    def test_kills(self) -> None:
        """What was acknowledged is there after a kill."""
        self.assert_kept(kills(2, 7), 2)


if __name__ == "__main__":
    unittest.main()
