"""Made-up photographs of a cut face: a piece with a darker, seasoned rim."""

from __future__ import annotations

import io

from PIL import Image, ImageDraw

UPSIDE_DOWN = 3  # of EXIF's orientations
ORIENTATION, MADE_BY, PLACE = 0x0112, 0x010F, 0x8825


def photograph(form: str = "JPEG", size: tuple[int, int] = (400, 300), *, upside_down: bool = False) -> bytes:
    """A picture whose piece fills its height from a tenth to nine tenths, seasoned to three tenths from above."""
    wide, high = size
    picture = Image.new("RGB", size, (205, 190, 170))
    drawn = ImageDraw.Draw(picture)
    drawn.rectangle((wide * 0.1, high * 0.1, wide * 0.9, high * 0.9), fill=(240, 205, 190))
    drawn.rectangle((wide * 0.1, high * 0.1, wide * 0.9, high * 0.3), fill=(200, 120, 90))
    metadata = Image.Exif()
    metadata[MADE_BY] = "a telephone"
    metadata[PLACE] = {1: "N", 2: (52.0, 30.0, 0.0)}
    if upside_down:
        metadata[ORIENTATION] = UPSIDE_DOWN
    written = io.BytesIO()
    picture.save(written, form, exif=metadata)
    return written.getvalue()
