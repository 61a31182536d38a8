"""Linters, types, import rules, generated files and locks: each is a test that can fail."""

from __future__ import annotations

import os
import re
import shutil
import subprocess
import sys
import tempfile
import unittest
from pathlib import Path

from vadouvan.api.openapi import openapi_text
from vadouvan.cli.serving import blank_draft
from vadouvan.formats.measures_for_page import measures_for_page, telling_cases

ROOT = Path(__file__).resolve().parent.parent
BIN = Path(sys.executable).parent
WEB = ROOT / "web"
NODE = WEB / "node_modules" / ".bin"


def run(*command: str | Path, cwd: Path = ROOT) -> subprocess.CompletedProcess[str]:
    """A finished command with its output."""
    env = {**os.environ, "PYTHONPATH": "src", "NO_COLOR": "1"}
    return subprocess.run(
        [str(part) for part in command], cwd=cwd, env=env, capture_output=True, text=True, check=False
    )


class Checked(unittest.TestCase):
    """A command that has to end well."""

    def passes(self, *command: str | Path, cwd: Path = ROOT) -> None:
        """Assert that a command ends with 0, showing its output if not."""
        done = run(*command, cwd=cwd)
        self.assertEqual(done.returncode, 0, f"{done.stdout}\n{done.stderr}")


class Python(Checked):
    """The Python side."""

    def test_ruff(self) -> None:
        """No lint findings."""
        self.passes(BIN / "ruff", "check", "src", "tests")

    def test_format(self) -> None:
        """Formatted as ``make format`` does."""
        self.passes(BIN / "ruff", "format", "--check", "src", "tests")

    def test_mypy(self) -> None:
        """Strict types."""
        self.passes(BIN / "mypy")

    def test_import_rules(self) -> None:
        """The layers of docs/architecture.md hold."""
        self.passes(BIN / "lint-imports", "--no-cache")

    def test_import_rules_fail_on_a_breach(self) -> None:
        """Core importing sqlite3, a lower room of core a higher one, a router SQLAlchemy, formats the judge,
        a use case FastAPI: each is caught.
        """
        for module, line in (
            ("core/judgement/judge.py", "import sqlite3\n"),
            ("core/mix/balance.py", "import vadouvan.core.hold.window\n"),
            ("api/routers/batches.py", "import sqlalchemy\n"),
            ("store/batches.py", "import vadouvan.formats.batch_file\nimport fastapi\n"),
            ("formats/card.py", "import vadouvan.core.judgement.judge\n"),
            ("use_cases/learning.py", "import fastapi\n"),
        ):
            with self.subTest(module=module), tempfile.TemporaryDirectory() as folder:
                shutil.copytree(ROOT / "src", Path(folder) / "src")
                shutil.copy(ROOT / "pyproject.toml", folder)
                target = Path(folder) / "src" / "vadouvan" / module
                target.write_text(target.read_text() + "\n" + line)
                self.assertNotEqual(run(BIN / "lint-imports", "--no-cache", cwd=Path(folder)).returncode, 0)


class Page(Checked):
    """The TypeScript side."""

    def test_format(self) -> None:
        """Formatted as ``make format`` does."""
        self.passes(NODE / "prettier", "--check", "src", cwd=WEB)

    def test_openapi_document_is_current(self) -> None:
        """``make types`` writes it anew."""
        self.assertEqual((WEB / "openapi.json").read_text(), openapi_text())

    def test_generated_types_are_current(self) -> None:
        """Types come from the OpenAPI document and nothing else."""
        with tempfile.TemporaryDirectory() as folder:
            fresh = Path(folder) / "generated.ts"
            self.passes(NODE / "openapi-typescript", "openapi.json", "-o", fresh, cwd=WEB)
            self.assertEqual((WEB / "src/api/generated.ts").read_text(), fresh.read_text())

    def test_blank_draft_is_current(self) -> None:
        """``make types`` writes it anew from what the core declares."""
        self.assertEqual((WEB / "src/lib/blank.json").read_text(), blank_draft())

    def test_measures_are_current(self) -> None:
        """So are the numbers of the units and what the page's telling is held to."""
        self.assertEqual((WEB / "src/lib/measures.json").read_text(), measures_for_page())
        self.assertEqual((WEB / "src/lib/told-cases.json").read_text(), telling_cases())

    def test_its_own_units(self) -> None:
        """What the page does with drafts, moments and what is held, away from any server."""
        self.passes(NODE / "vitest", "run", cwd=WEB)

    def test_built_page_names_no_other_origin(self) -> None:
        """Nothing in the built page is loaded from elsewhere."""
        for path in (WEB / "dist").rglob("*.css"):
            self.assertEqual(re.findall(r"url\(\s*['\"]?https?:", path.read_text()), [], path.name)
        self.assertNotRegex((WEB / "dist/index.html").read_text(), r"(?:src|href)=\"https?:")


class PageLint(Checked):
    """What takes longest of the TypeScript side, so that it may run beside the rest."""

    def test_types_and_eslint(self) -> None:
        """No fault of types, no lint findings, folder rules included; garbage is looked for seldom."""
        self.passes("node", "--max-semi-space-size=64", "--single-threaded-gc", "lint.mjs", cwd=WEB)


class Locks(unittest.TestCase):
    """Every dependency is pinned with a hash; no registry is named."""

    def test_python_locks(self) -> None:
        """Each requirement is pinned and hashed."""
        for path in (ROOT / "requirements").glob("*.txt"):
            text = path.read_text()
            self.assertNotRegex(text, r"https?://|--index-url|--extra-index")
            pinned = re.findall(r"^[a-z0-9].*$", text, re.MULTILINE)
            self.assertTrue(all("==" in line for line in pinned))
            self.assertGreaterEqual(text.count("--hash=sha256:"), len(pinned))

    def test_npm_lock(self) -> None:
        """Integrity hashes, and no address of a download."""
        text = (WEB / "package-lock.json").read_text()
        self.assertNotIn('"resolved"', text)
        self.assertGreater(text.count('"integrity"'), 200)
