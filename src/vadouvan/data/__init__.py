"""Shipped tables: pantry, cuts and sources. ``tables`` reads and validates them once."""
