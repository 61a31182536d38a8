"""Twelve windows against the hours that cooks give such batches; the page of them is current."""

from __future__ import annotations

import unittest

from tests.windows import PAGE, TWELVE, page, window_of

EARLIEST_BEST = 5.0  # how many times sooner than cooks' earliest hour best may be: salt is in before aroma is


class Windows(unittest.TestCase):
    """Source: common practice, none."""

    def test_each_meets_the_hours_of_cooks(self) -> None:
        """The window overlaps theirs, and best is no later than their last hour and not far before their first."""
        for usual in TWELVE:
            window = window_of(usual)
            with self.subTest(batch=usual.name):
                self.assertFalse(window.is_closed)
                self.assertLess(window.safe_earliest_h, usual.to_h)
                self.assertGreater(window.safe_latest_h, usual.from_h)
                self.assertTrue(usual.from_h / EARLIEST_BEST <= window.best.hours <= usual.to_h, window.best.hours)

    def test_what_ends_them_varies(self) -> None:
        """Days, acid, fruit, salt and texture each end some of the twelve."""
        self.assertGreaterEqual(len({window_of(usual).latest.limit.id for usual in TWELVE}), 4)

    def test_the_page_is_current(self) -> None:
        """Written by ``python -m tests.windows``."""
        self.assertEqual(PAGE.read_text(), page())
