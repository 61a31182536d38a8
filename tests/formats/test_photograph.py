"""Photographs made small: what is read, what is left out, and what is refused."""

from __future__ import annotations

import io
import random
import unittest

from PIL import Image

from tests.photographs import photograph
from vadouvan.errors import FormatError
from vadouvan.formats.photograph import LARGEST_BYTES, LONGEST_SIDE, made_small, read_small

RIM, INSIDE = (200, 120, 90), (240, 205, 190)


def colour_at(jpeg: bytes, x: float, y: float) -> tuple[int, ...]:
    """The colour at a place, by shares of width and height."""
    with Image.open(io.BytesIO(jpeg)) as picture:
        found = picture.getpixel((int(x * picture.width), int(y * picture.height)))
        assert isinstance(found, tuple)
        return found


class Read(unittest.TestCase):
    """What a telephone takes."""

    def test_each_form(self) -> None:
        """JPEG, PNG and WebP come out as a JPEG of the same look."""
        for form in ("JPEG", "PNG", "WEBP"):
            with self.subTest(form):
                small = made_small(photograph(form))
                self.assertEqual((small.width, small.height), (400, 300))
                for place, colour in (((0.5, 0.2), RIM), ((0.5, 0.6), INSIDE)):
                    for is_, wanted in zip(colour_at(small.jpeg, *place), colour, strict=True):
                        self.assertAlmostEqual(is_, wanted, delta=8)

    def test_large_ones_are_made_small(self) -> None:
        """No side above 1600 points, in the same proportion."""
        small = made_small(photograph(size=(4000, 3000)))
        self.assertEqual((small.width, small.height), (LONGEST_SIDE, LONGEST_SIDE * 3 // 4))

    def test_metadata_is_left_out_and_the_picture_upright(self) -> None:
        """No place, no maker; a telephone held upside down gives the rim above."""
        small = made_small(photograph(upside_down=True))
        with Image.open(io.BytesIO(small.jpeg)) as picture:
            self.assertEqual(dict(picture.getexif()), {})
        self.assertNotIn(b"telephone", small.jpeg)
        self.assertAlmostEqual(colour_at(small.jpeg, 0.5, 0.8)[1], RIM[1], delta=8)

    def test_what_is_clear_is_white(self) -> None:
        """A cut-out on nothing lies on white."""
        written = io.BytesIO()
        Image.new("RGBA", (40, 30), (0, 0, 0, 0)).save(written, "PNG")
        self.assertEqual(colour_at(made_small(written.getvalue()).jpeg, 0.5, 0.5), (255, 255, 255))

    def test_a_small_one_comes_back_as_it_is(self) -> None:
        """From an archive: the same bytes; one that was put there by hand is made small first."""
        small = made_small(photograph())
        self.assertEqual(read_small(small.jpeg), small)
        foreign = read_small(photograph(size=(3200, 2400)))
        self.assertEqual((foreign.width, foreign.height), (1600, 1200))


class Refused(unittest.TestCase):
    """What is no photograph."""

    def test_each_is_told(self) -> None:
        """Another form, a text, a torn file, too many bytes, too many points: a sentence that says what is read."""
        gif = io.BytesIO()
        Image.new("RGB", (4, 4)).save(gif, "GIF")
        many = io.BytesIO()
        Image.new("1", (12_000, 9_000)).save(many, "PNG")
        for data in (b"", b"hello", gif.getvalue(), photograph()[:900], b"0" * (LARGEST_BYTES + 1), many.getvalue()):
            with self.subTest(data[:12], size=len(data)), self.assertRaises(FormatError) as refused:
                made_small(data)
            self.assertIn("JPEG, PNG or WebP", str(refused.exception))

    def test_damaged_ones_never_raise_anything_else(self) -> None:
        """Bytes changed at random: read, or refused."""
        chance = random.Random(8)
        for form in ("JPEG", "PNG", "WEBP"):
            for _ in range(60):
                torn = bytearray(photograph(form, size=(60, 40)))
                for _ in range(chance.randint(1, 12)):
                    torn[chance.randrange(len(torn))] = chance.randrange(256)
                for read in (made_small, read_small):
                    try:
                        read(bytes(torn))
                    except FormatError as refused:
                        self.assertTrue(refused.wrong)
