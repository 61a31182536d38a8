"""Docstrings: their examples run, every public name has one, every float names its unit."""

from __future__ import annotations

import ast
import doctest
import importlib
import pkgutil
import re
import unittest
from pathlib import Path

import vadouvan.core

ROOT = Path(vadouvan.core.__file__).parent
UNIT = re.compile(
    r"_(?:kg|mg|g|m|mm|m2|m3|s|h|c|k|ph|pct|min)$|_per_|share|factor|ratio|exponent|strength|units|ph$|salt$|fo$"
)
PLAIN = {
    "hours",
    "value",
    "low",
    "high",
    "score",
    "s",
    "tau",
    "share",
    "number",
    "target",
    "volume",
    "manner",
    "threshold",
    "thresholds",
    "servings",
    "spoons",
}


def modules() -> list[str]:
    """Names of all modules of the core."""
    return [info.name for info in pkgutil.walk_packages([str(ROOT)], "vadouvan.core.")]


def load_tests(_loader: object, tests: unittest.TestSuite, _pattern: object) -> unittest.TestSuite:
    """Add every docstring example as a test."""
    for name in modules():
        tests.addTests(doctest.DocTestSuite(importlib.import_module(name)))
    return tests


class Docstrings(unittest.TestCase):
    """The core explains itself."""

    def trees(self) -> list[tuple[Path, ast.Module]]:
        """All syntax trees of the core."""
        return [(path, ast.parse(path.read_text())) for path in sorted(ROOT.rglob("*.py"))]

    def test_every_public_thing_has_a_docstring(self) -> None:
        """Modules, classes and functions without a leading underscore; what stands inside a function is its own."""
        bare = []
        for path, tree in self.trees():
            functions = [node for node in ast.walk(tree) if isinstance(node, ast.FunctionDef)]
            inside = {node for outer in functions for node in ast.walk(outer) if node is not outer}
            for node in ast.walk(tree):
                if node in inside or not isinstance(node, ast.Module | ast.FunctionDef | ast.ClassDef):
                    continue
                name = "module" if isinstance(node, ast.Module) else node.name
                if not name.startswith("_") and ast.get_docstring(node) is None:
                    bare.append(f"{path.name}: {name}")
        self.assertEqual(bare, [])

    def test_docstrings_name_what_they_give(self) -> None:
        """They begin with the thing or the deed, in all of the program, not with "What"."""
        asking = [
            f"{path.name}: {text[:60]}"
            for path in sorted(ROOT.parent.rglob("*.py"))
            for node in ast.walk(ast.parse(path.read_text()))
            if isinstance(node, ast.Module | ast.FunctionDef | ast.AsyncFunctionDef | ast.ClassDef)
            and (text := ast.get_docstring(node) or "").startswith("What ")
        ]
        self.assertEqual(asking, [])

    def test_public_floats_name_their_unit(self) -> None:
        """A float argument ends in its unit, or is a share, a factor or a plain number told in the docstring."""
        bare = []
        for path, tree in self.trees():
            for node in ast.walk(tree):
                if not isinstance(node, ast.FunctionDef) or node.name.startswith("_"):
                    continue
                for argument in (*node.args.args, *node.args.kwonlyargs):
                    is_float = argument.annotation is not None and ast.unparse(argument.annotation) == "float"
                    if is_float and not UNIT.search(argument.arg) and argument.arg not in PLAIN:
                        bare.append(f"{path.name}: {node.name}({argument.arg})")
        self.assertEqual(bare, [])

    def test_core_never_looks_outside(self) -> None:
        """No open, print, input, and no clock in any syntax tree of the core."""
        calls = []
        for path, tree in self.trees():
            for node in ast.walk(tree):
                if isinstance(node, ast.Call):
                    name = ast.unparse(node.func)
                    if name in {"open", "print", "input"} or name.endswith((".now", ".today", ".utcnow")):
                        calls.append(f"{path.name}:{node.lineno} {name}")
        self.assertEqual(calls, [])
