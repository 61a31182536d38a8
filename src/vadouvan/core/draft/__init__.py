"""A batch as typed: every answer a text."""
