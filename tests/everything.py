"""Run every test, class by class on all cores, and print ``N passed, N failed, N skipped`` on the last line.

A failure is told the moment it happens, with its name; the processor time that all of it took stands at the end. Words
choose the tests with one of them in their name; ``--by-one`` runs one class at a time.
"""

from __future__ import annotations

import gc
import os
import resource
import sys
import unittest
from collections.abc import Sequence
from concurrent.futures import ProcessPoolExecutor, as_completed
from dataclasses import dataclass
from multiprocessing import get_context
from pathlib import Path
from time import perf_counter
from types import TracebackType
from typing import Any

from hypothesis import is_hypothesis_test

os.environ.setdefault("OPENBLAS_NUM_THREADS", "1")

ROOT = Path(__file__).resolve().parent.parent
# Begun first, since they take longest: what is long at the end leaves the other cores idle.
WAITING = 2
LONGEST = (
    "browser.test_screens", "browser.test_week", "test_checks", "test_torture", "NeverAServerError",
    "formats.test_archive", "cli.test_serving", "formats.test_recipe.Outside", "browser",
)  # fmt: skip
DOCTESTS = "doctest.DocTestCase"


@dataclass(frozen=True)
class Ran:
    """What one class of tests came to."""

    name: str
    run: int
    failed: int
    skipped: int
    seconds: float
    worked_s: float  # of processor time, with what it started and waited for


class Told(unittest.TestResult):
    """A result that prints each failure at once."""

    def _tell(self, what: str, test: unittest.TestCase, trace: str) -> None:
        sys.stdout.write(f"\n{what}: {test.id()}\n{trace}\n")
        sys.stdout.flush()

    def addFailure(self, test: unittest.TestCase, err: Any) -> None:  # noqa: N802 - unittest's own name
        """A test that failed."""
        super().addFailure(test, err)
        self._tell("FAIL", test, self.failures[-1][1])

    def addError(self, test: unittest.TestCase, err: Any) -> None:  # noqa: N802 - unittest's own name
        """A test that broke."""
        super().addError(test, err)
        self._tell("ERROR", test, self.errors[-1][1])

    def addSubTest(  # noqa: N802 - unittest's own name
        self,
        test: unittest.TestCase,
        subtest: unittest.TestCase,
        err: tuple[type[BaseException], BaseException, TracebackType] | tuple[None, None, None] | None,
    ) -> None:
        """Part of a test."""
        super().addSubTest(test, subtest, err)
        if err is not None and err[0] is not None:
            self._tell("FAIL", subtest, (self.failures or self.errors)[-1][1])


def flat(tests: unittest.TestSuite) -> list[unittest.TestCase]:
    """The single tests of a suite."""
    singles: list[unittest.TestCase] = []
    for test in tests:
        singles.extend(flat(test) if isinstance(test, unittest.TestSuite) else [test])
    return singles


def found(with_browser: bool) -> list[unittest.TestCase]:
    """All tests below ``tests``; the browser's only when asked for."""
    tests = flat(unittest.defaultTestLoader.discover(str(ROOT / "tests"), top_level_dir=str(ROOT)))
    return [test for test in tests if with_browser or ".browser." not in test.id()]


def name_of(test: unittest.TestCase) -> str:
    """The class of a test, or one name for all docstring examples."""
    kind = type(test)
    return DOCTESTS if kind.__module__ == "doctest" else f"{kind.__module__}.{kind.__qualname__}"


def is_drawn(test: unittest.TestCase) -> bool:
    """Whether its examples are drawn by chance."""
    return is_hypothesis_test(getattr(test, test.id().rpartition(".")[2], None))


def in_order(names: Sequence[str]) -> list[str]:
    """Classes, those that take longest first."""
    return sorted(dict.fromkeys(names), key=lambda name: next((i for i, p in enumerate(LONGEST) if p in name), 99))


def ran(name: str) -> Ran:
    """Run one class in this process."""
    os.chdir(ROOT)
    started, worked = perf_counter(), _worked_s()
    if name == DOCTESTS:
        tests = [test for test in found(with_browser=False) if name_of(test) == DOCTESTS]
        suite = unittest.TestSuite(tests)
    elif name.startswith("unittest.loader"):  # a module that could not be imported
        suite = unittest.TestSuite(test for test in found(with_browser=True) if name_of(test) == name)
    else:
        suite = unittest.defaultTestLoader.loadTestsFromName(name)
    result = Told()
    suite.run(result)
    failed = len(result.failures) + len(result.errors) + len(result.unexpectedSuccesses)
    skipped = len(result.skipped) + len(result.expectedFailures)
    return Ran(name, result.testsRun, failed, skipped, perf_counter() - started, _worked_s() - worked)


def main() -> int:
    """Run, report, and give the exit code."""
    os.chdir(ROOT)
    started = perf_counter()
    wanted = [word for word in sys.argv[1:] if not word.startswith("--")]
    tests = found(with_browser="--without-browser" not in sys.argv)
    if "--drawn" in sys.argv:
        tests = [test for test in tests if is_drawn(test)]
    names = in_order([name_of(test) for test in tests if not wanted or any(word in test.id() for word in wanted)])
    done: list[Ran] = []
    # More than the cores: a page that waits for its server leaves a core idle. Forked, since what the tests import was
    # imported to find them, and nothing of it has begun a thread.
    gc.freeze()  # what the tests share is never garbage: nothing looks through it again in each process
    gc.set_threshold(20_000, 20, 20)
    workers = 1 if "--by-one" in sys.argv else (os.cpu_count() or 1) + WAITING
    with ProcessPoolExecutor(max_workers=workers, mp_context=get_context("fork")) as pool:
        for future in as_completed([pool.submit(ran, name) for name in names]):
            one = future.result()
            done.append(one)
            how = f"in {one.seconds:6.1f} s, {one.worked_s:6.1f} s of processor time"
            print(f"{'ok' if not one.failed else 'FAILED'} {one.run:4} {how}  {one.name}", flush=True)
    failed, skipped = sum(one.failed for one in done), sum(one.skipped for one in done)
    run = sum(one.run for one in done)
    print(f"{perf_counter() - started:.0f} s on the clock, {_worked_s():.0f} s of processor time")
    for one in done:
        if one.failed:
            print(f"failed: {one.name}")
    print(f"{max(0, run - failed - skipped)} passed, {failed} failed, {skipped} skipped", flush=True)
    return 0 if failed == 0 and run > 0 else 1


def _worked_s() -> float:
    used = [resource.getrusage(who) for who in (resource.RUSAGE_SELF, resource.RUSAGE_CHILDREN)]
    return sum(one.ru_utime + one.ru_stime for one in used)


if __name__ == "__main__":
    sys.exit(main())
