"""Tests, in the order of ``src/vadouvan``. ``python -m tests.everything`` runs them all."""
