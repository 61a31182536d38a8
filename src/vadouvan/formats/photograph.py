"""Photographs as cooks take them, made small: turned upright, without metadata such as the place they were taken."""

from __future__ import annotations

import io
from typing import NoReturn

from PIL import Image, ImageOps, UnidentifiedImageError

from vadouvan.core.tasting.cut_face import CutFace
from vadouvan.errors import FormatError

LARGEST_BYTES = 8_000_000
LARGEST_PIXELS = 60_000_000  # what a telephone's best camera gives; more is a trap for the memory
LONGEST_SIDE, QUALITY = 1600, 82
READ = ("JPEG", "PNG", "WEBP")
ACCEPTED = f"A photograph as JPEG, PNG or WebP of up to {LARGEST_BYTES // 1_000_000} MB."
# What Pillow is known to raise for a torn or hostile picture
DAMAGED = (UnidentifiedImageError, OSError, SyntaxError, ValueError, Image.DecompressionBombError, EOFError)


def made_small(data: bytes) -> CutFace:
    """A picture of at most 1600 pixels a side, as JPEG; raises FormatError."""
    if len(data) > LARGEST_BYTES:
        _refuse("This picture is larger than is read.")
    try:
        with Image.open(io.BytesIO(data), formats=READ) as picture:
            if picture.width * picture.height > LARGEST_PIXELS:
                _refuse("This picture has more points than is read.")
            picture.draft("RGB", (2 * LONGEST_SIDE, 2 * LONGEST_SIDE))  # a large JPEG is read at half its size
            upright = ImageOps.exif_transpose(picture)
            small = Image.new("RGB", upright.size, "white")
            seen = upright.convert("RGBA")
            small.paste(seen, mask=seen.getchannel("A"))
    except DAMAGED:
        _refuse("This is no picture, or it was cut short.")
    small.thumbnail((LONGEST_SIDE, LONGEST_SIDE))
    written = io.BytesIO()
    small.save(written, "JPEG", quality=QUALITY)
    return CutFace(written.getvalue(), small.width, small.height)


def read_small(jpeg: bytes) -> CutFace:
    """A picture that was made small before; raises FormatError for one that is none, or is not small."""
    try:
        with Image.open(io.BytesIO(jpeg), formats=("JPEG",)) as picture:
            size, has_metadata = picture.size, bool(picture.getexif())
            picture.verify()
    except DAMAGED:
        _refuse("This is no picture, or it was cut short.")
    if max(size) > LONGEST_SIDE or has_metadata:
        return made_small(jpeg)
    return CutFace(jpeg, *size)


def _refuse(wrong: str) -> NoReturn:
    raise FormatError(field="photograph", given="", wrong=wrong, accepted=ACCEPTED)
