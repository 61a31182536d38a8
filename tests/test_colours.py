"""The colours of the page against each other, where axe does not look: lines and marks (WCAG 2.2, 1.4.11)."""

from __future__ import annotations

import re
import unittest
from pathlib import Path

STYLES = Path(__file__).resolve().parent.parent / "web/src/styles.css"
LEAST_OF_A_CONTROL = 3.0  # WCAG 2.2, success criterion 1.4.11 (from memory, not looked up)


def luminance(colour: str) -> float:
    """Relative luminance of "#rrggbb" (WCAG 2.2, glossary; from memory)."""
    parts = [int(colour[place : place + 2], 16) / 255 for place in (1, 3, 5)]
    linear = [part / 12.92 if part <= 0.04045 else ((part + 0.055) / 1.055) ** 2.4 for part in parts]
    return 0.2126 * linear[0] + 0.7152 * linear[1] + 0.0722 * linear[2]


def contrast(one: str, other: str) -> float:
    """How many times as light the lighter is, from 1 to 21."""
    dark, light = sorted((luminance(one), luminance(other)))
    return (light + 0.05) / (dark + 0.05)


def lights() -> list[dict[str, str]]:
    """The colours by day and in the evening, by name."""
    blocks = re.findall(r"^:root[^{]*\{([^}]*)\}", STYLES.read_text(encoding="utf-8"), re.MULTILINE)
    found = [dict(re.findall(r"--([a-z-]+): (#[0-9a-f]{6})", block)) for block in blocks]
    return [colours for colours in found if "paper" in colours]


class Fields(unittest.TestCase):
    """Where something is typed."""

    def test_known_contrasts(self) -> None:
        """Black on white, and a grey that is at the limit for text (facts of the standard, from memory)."""
        self.assertAlmostEqual(contrast("#000000", "#ffffff"), 21.0)
        self.assertAlmostEqual(contrast("#767676", "#ffffff"), 4.54, places=2)

    def test_the_line_under_a_field_is_seen(self) -> None:
        """On paper and on what is raised from it, by day and in the evening; so is the mark of what has focus."""
        self.assertEqual(len(lights()), 2)
        for colours in lights():
            for line in ("field", "enamel", "stop"):
                for ground in ("paper", "raised"):
                    with self.subTest(line=line, ground=ground):
                        self.assertGreaterEqual(contrast(colours[line], colours[ground]), LEAST_OF_A_CONTROL)
