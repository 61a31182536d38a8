"""Verdicts, what they teach, the logbook and the next time."""
