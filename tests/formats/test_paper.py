"""Lists and labels on paper: read back by other readers."""

from __future__ import annotations

import io
import re
import unittest
from datetime import UTC, datetime, timedelta
from typing import Any

import zxingcpp
from PIL import Image
from pypdf import PdfReader

from tests.drafts import NOW, judged
from tests.saturday import saturday_drafts
from vadouvan.formats.code import batch_address, code_svg
from vadouvan.formats.paper import labels_pdf, today_pdf
from vadouvan.formats.today import BagLabelOut, TodayOut, today_out

ADDRESS = "http://127.0.0.1:8140/"


def week() -> TodayOut:
    """Seven days of the demo kitchen."""
    kept = [(f"id-{number}", draft.name, judged(draft)) for number, draft in enumerate(saturday_drafts(NOW))]
    return today_out(kept, NOW, timedelta(days=7))


def text_of(paper: bytes) -> str:
    """All words of a PDF, in one line."""
    pages = PdfReader(io.BytesIO(paper)).pages
    return " ".join(" ".join(page.extract_text().split()) for page in pages)


class Lists(unittest.TestCase):
    """Today's list as another reader (pypdf) finds it."""

    def test_every_step_and_label_is_there(self) -> None:
        """Each hour with its words; each batch on a label; the letters are in the file."""
        today = week()
        paper = today_pdf(today, title="The next 7 days", address=ADDRESS, now=NOW)
        words = text_of(paper)
        for step in today.steps:
            self.assertIn(f"{step.batch}: {step.says}", words)
        for label in today.labels:
            self.assertIn(f"out: {label.comes_out}, not after {label.not_after}", words)
        fonts = set(re.findall(rb"/FontName /([A-Z]{6}\+[\w-]+)", paper))
        self.assertTrue(any(b"Besley" in name for name in fonts), fonts)
        self.assertTrue(any(b"Hyperlegible" in name for name in fonts), fonts)

    def test_it_is_read_at_arms_length_and_aloud(self) -> None:
        """No letters smaller than 9 pt; the language stands in it."""
        paper = today_pdf(week(), title="The next 7 days", address=ADDRESS, now=NOW)
        sizes: set[float] = set()

        def seen(text: str, _matrix: Any, _of_text: Any, _font: Any, size: float) -> None:
            """Note how large what is told is."""
            if text.strip():
                sizes.add(size)

        for page in PdfReader(io.BytesIO(paper)).pages:
            page.extract_text(visitor_text=seen)
        self.assertGreaterEqual(min(sizes), 9.0)
        self.assertIn(b"/Lang (en-GB)", paper)

    def test_the_same_moment_gives_the_same_file(self) -> None:
        """Nothing in it depends on when it is written, but the moment it is told."""
        now = datetime(2026, 11, 25, 9, tzinfo=UTC)
        once, again = (labels_pdf(week().labels, address=ADDRESS, now=now) for _ in range(2))
        self.assertEqual(once, again)

    def test_nothing_to_do_and_nothing_to_label(self) -> None:
        """Still a page, that says so."""
        empty = TodayOut(steps=[], labels=[])
        self.assertIn("Nothing to do", text_of(today_pdf(empty, title="Today", address=ADDRESS, now=NOW)))
        self.assertIn("nothing to label", text_of(labels_pdf([], address=ADDRESS, now=NOW)))

    def test_odd_names(self) -> None:
        """Marks of emphasis, other scripts, very long: printed without them, with a sign for each, cut with a dot."""
        label = BagLabelOut(
            batch_id="x", batch="**Żur** 雪 " + "very long name " * 20, meat_told="", went_in="a", turns="",
            comes_out="b", not_after="c", table="d", contains="", check_label="",
        )  # fmt: skip
        words = text_of(labels_pdf([label], address=ADDRESS, now=NOW))
        self.assertIn("Żur", words)
        self.assertIn("?", words)
        self.assertIn("…", words)


class Codes(unittest.TestCase):
    """Codes on labels, as another reader (ZXing) sees them."""

    def test_the_code_on_a_label_opens_its_batch(self) -> None:
        """Each picture in the PDF holds the address of one batch."""
        today = week()
        reader = PdfReader(io.BytesIO(labels_pdf(today.labels, address=ADDRESS, now=NOW)))
        found = set()
        for page in reader.pages:
            for picture in page.images:
                image = Image.open(io.BytesIO(picture.data)).convert("L")
                found |= {code.text for code in zxingcpp.read_barcodes(image)}
        self.assertEqual(found, {batch_address(ADDRESS, label.batch_id) for label in today.labels})

    def test_the_drawing_is_a_drawing(self) -> None:
        """An SVG with a path and no address of anything else."""
        drawn = code_svg("http://127.0.0.1:8140/batch/x")
        self.assertTrue(drawn.startswith("<svg"))
        self.assertNotIn("href", drawn)
