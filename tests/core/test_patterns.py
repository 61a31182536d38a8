"""Patterns that wait to be asked: none is compiled before, and every one can be."""

from __future__ import annotations

import importlib
import pkgutil
import re
import unittest
from collections.abc import Iterator
from pathlib import Path
from types import ModuleType
from unittest import mock

import vadouvan
from vadouvan.core import patterns
from vadouvan.core.patterns import lazily


def modules() -> Iterator[ModuleType]:
    """Every module of the program but migrations, which are run by their tool."""
    for found in pkgutil.walk_packages(vadouvan.__path__, "vadouvan."):
        if ".migrations" not in found.name and not found.name.endswith("__main__"):
            yield importlib.import_module(found.name)


def patterns_in(value: object) -> Iterator[re.Pattern[str]]:
    """Patterns of a module, in its tables too."""
    if type(value).__name__ == "_Lazy":
        yield value  # type: ignore[misc]
    elif isinstance(value, tuple | list):
        for one in value:
            yield from patterns_in(one)
    elif isinstance(value, dict):
        yield from patterns_in([*value.keys(), *value.values()])


class Lazily(unittest.TestCase):
    """``lazily``."""

    def test_compiled_once_and_only_when_asked(self) -> None:
        """A start pays for none."""
        with mock.patch.object(patterns, "re", wraps=re) as compiling:
            pattern = lazily(r"(\d+) g", re.IGNORECASE)
            self.assertEqual(pattern.pattern, r"(\d+) g")
            self.assertEqual(compiling.compile.call_count, 0)
            found = pattern.search("about 12 G")
            assert found is not None
            self.assertEqual((found[1], pattern.sub("x", "1 g"), pattern.findall("1 g 2 g")), ("12", "x", ["1", "2"]))
            self.assertEqual(compiling.compile.call_count, 1)

    def test_every_pattern_of_the_program_can_be_compiled(self) -> None:
        """One that cannot would be found only when it is asked."""
        count = 0
        for module in modules():
            for pattern in patterns_in(list(vars(module).values())):
                with self.subTest(module=module.__name__, pattern=pattern.pattern):
                    pattern.search("")
                count += 1
        self.assertGreater(count, 250)

    def test_no_module_compiles_one_itself(self) -> None:
        """A start pays for each that does."""
        root = Path(vadouvan.__path__[0])
        compiling = [path.name for path in root.rglob("*.py") if "re.compile(" in path.read_text(encoding="utf-8")]
        self.assertEqual(compiling, ["patterns.py"])
