"""``python -m vadouvan.cli``."""

from __future__ import annotations

from vadouvan.cli import app

app()
