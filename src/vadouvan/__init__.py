"""Vadouvan: wet marinades and seasoning pastes, balanced by weight and timed by cut.

A cook's question goes straight through: ``web`` asks, ``api`` carries, ``core`` computes,
``store`` keeps. ``core`` is pure: frozen values in, frozen values out.
"""

__version__ = "0.1.0"
