"""Run every test and print ``N passed, N failed, N skipped`` on the last line."""

from __future__ import annotations

import os
import sys
import unittest
from pathlib import Path

os.environ.setdefault("OPENBLAS_NUM_THREADS", "1")

ROOT = Path(__file__).resolve().parent.parent


def suite(with_browser: bool) -> unittest.TestSuite:
    """All tests below ``tests``; the browser's only when asked for."""
    found = unittest.defaultTestLoader.discover(str(ROOT / "tests"), top_level_dir=str(ROOT))
    if with_browser:
        return found
    return unittest.TestSuite(test for test in flat(found) if ".browser." not in test.id())


def flat(tests: unittest.TestSuite) -> list[unittest.TestCase]:
    """The single tests of a suite."""
    singles: list[unittest.TestCase] = []
    for test in tests:
        singles.extend(flat(test) if isinstance(test, unittest.TestSuite) else [test])
    return singles


def main() -> int:
    """Run, report, and give the exit code."""
    os.chdir(ROOT)
    tests = suite(with_browser="--without-browser" not in sys.argv)
    result = unittest.TextTestRunner(stream=sys.stdout, verbosity=1).run(tests)
    failed = len(result.failures) + len(result.errors) + len(result.unexpectedSuccesses)
    skipped = len(result.skipped) + len(result.expectedFailures)
    print(f"{result.testsRun - failed - skipped} passed, {failed} failed, {skipped} skipped", flush=True)
    return 0 if result.wasSuccessful() and result.testsRun > 0 else 1


if __name__ == "__main__":
    sys.exit(main())
