"""The zip around an archive: written in one order, and read with suspicion."""

from __future__ import annotations

import hashlib
import io
import json
import lzma
import struct
import zipfile
import zlib
from collections import Counter
from collections.abc import Mapping
from datetime import datetime
from pathlib import PurePosixPath
from typing import Annotated

from pydantic import BaseModel, ConfigDict, Field, ValidationError

from vadouvan import __version__
from vadouvan.errors import FormatError
from vadouvan.unchanging import unchanging

FORMAT, VERSION = "vadouvan-kitchen", 1
MANIFEST = "manifest.json"
LARGEST_ARCHIVE_BYTES = 100_000_000
LARGEST_UNPACKED_BYTES = 400_000_000
LARGEST_FILE_BYTES = 20_000_000
MOST_FILES = 60_000
ACCEPTED = "An archive is the .zip that Settings writes, whole and unchanged in its names."


class FileLine(BaseModel):
    """A file of the archive, and the fingerprint that it was written with."""

    model_config = ConfigDict(extra="forbid")

    path: Annotated[str, Field(max_length=200)]
    sha256: Annotated[str, Field(max_length=64)]


class Manifest(BaseModel):
    """Manifest of an archive."""

    format: Annotated[str, Field(max_length=60)]
    version: int
    made_at: datetime
    made_by: Annotated[str, Field(max_length=200)] = ""
    files: Annotated[list[FileLine], Field(max_length=MOST_FILES)]


@unchanging
class Unpacked:
    """The files of an archive by path; ``notes`` say what was missing, foreign or changed but can be done without."""

    made_at: datetime
    files: Mapping[str, bytes]
    notes: tuple[str, ...]


# All that unpacking a torn archive is known to raise
DAMAGED = (
    zipfile.BadZipFile, zlib.error, lzma.LZMAError, struct.error, OSError, EOFError, NotImplementedError, RuntimeError,
    ValueError, IndexError, OverflowError,
)  # fmt: skip


def pack(files: Mapping[str, bytes], *, now: datetime) -> bytes:
    """A zip of these files with a manifest of their fingerprints."""
    lines = [FileLine(path=path, sha256=hashlib.sha256(data).hexdigest()) for path, data in files.items()]
    manifest = Manifest(format=FORMAT, version=VERSION, made_at=now, made_by=f"Vadouvan {__version__}", files=lines)
    packed = io.BytesIO()
    with zipfile.ZipFile(packed, "w", zipfile.ZIP_DEFLATED) as archive:
        archive.writestr(MANIFEST, manifest.model_dump_json(indent=2) + "\n")
        for path, data in files.items():
            archive.writestr(path, data)
    return packed.getvalue()


def unpack(data: bytes, *, needed: tuple[str, ...]) -> Unpacked:
    """The files of an archive; raises FormatError.

    ``needed`` are the beginnings of paths that cannot be done without; others may be missing, and are noted.
    """
    if len(data) > LARGEST_ARCHIVE_BYTES:
        raise too_large(len(data))
    try:
        archive = zipfile.ZipFile(io.BytesIO(data))
    except DAMAGED:
        raise refused("This is not an archive of a kitchen, or it was cut short on its way.") from None
    with archive:
        present = _checked_names(archive)
        manifest = _manifest(archive, present)
        files, notes = {}, []
        for line in manifest.files:
            if line.path not in present:
                if line.path.startswith(needed):
                    raise refused(f"The archive lacks {line.path}, which it says it holds.")
                notes.append(f"{line.path} is missing; it can be done without.")
                continue
            files[line.path] = _read(archive, present[line.path])
            if hashlib.sha256(files[line.path]).hexdigest() != line.sha256 and line.path.startswith(needed):
                notes.append(f"{line.path} was changed since the archive was written.")
    foreign = sorted(set(present) - {line.path for line in manifest.files} - {MANIFEST})
    notes += [f"{path} is not part of the archive and was passed over." for path in foreign[:10]]
    return Unpacked(manifest.made_at, files, tuple(notes))


def refused(wrong: str, accepted: str = ACCEPTED) -> FormatError:
    """The error for an archive that cannot be read."""
    return FormatError(field="archive", given="", wrong=wrong, accepted=accepted)


def too_large(size: int) -> FormatError:
    """The error for an archive beyond what is read."""
    limit = LARGEST_ARCHIVE_BYTES // 1_000_000
    return refused(
        f"This is {size // 1_000_000} MB or more.", f"An archive of up to {limit} MB is read; a kitchen needs a few."
    )


def _checked_names(archive: zipfile.ZipFile) -> dict[str, zipfile.ZipInfo]:
    infos = [info for info in archive.infolist() if not info.is_dir()]
    if len(infos) > MOST_FILES:
        raise refused(f"It holds {len(infos)} files.", f"Up to {MOST_FILES} are read.")
    for info in infos:
        parts = PurePosixPath(info.filename).parts
        climbs = not parts or ".." in parts or info.filename.startswith(("/", "\\"))
        if climbs or "\\" in info.filename or ":" in info.filename or "\x00" in info.filename:
            raise refused(f"The name {info.filename[:80]!r} leads out of the archive.")
    twice = [name for name, times in Counter(info.filename for info in infos).items() if times > 1]
    if twice:
        raise refused(f"{twice[0][:80]} stands in it twice.")
    total = sum(info.file_size for info in infos)
    if total > LARGEST_UNPACKED_BYTES:
        limit = LARGEST_UNPACKED_BYTES // 1_000_000
        raise refused(f"Unpacked it is {total // 1_000_000} MB.", f"Up to {limit} MB are read.")
    return {info.filename: info for info in infos}


def _manifest(archive: zipfile.ZipFile, present: Mapping[str, zipfile.ZipInfo]) -> Manifest:
    if MANIFEST not in present:
        raise refused(f"It has no {MANIFEST}, so it is no archive of a kitchen.")
    try:
        raw = json.loads(_read(archive, present[MANIFEST]))
    except ValueError:
        raise refused(f"{MANIFEST} is no JSON.") from None
    if not isinstance(raw, dict) or raw.get("format") != FORMAT:
        raise refused(f"{MANIFEST} is not that of a kitchen.")
    if raw.get("version") != VERSION:
        wrong = f"It was written in version {str(raw.get('version'))[:20]} of the format by a newer Vadouvan."
        raise refused(wrong, f"This one reads version {VERSION}: update it, then take the archive in.")
    try:
        manifest = Manifest.model_validate(raw)
    except ValidationError as error:
        raise refused(f"{MANIFEST} cannot be read: {error.errors()[0]['msg']}.") from None
    twice = [path for path, times in Counter(line.path for line in manifest.files).items() if times > 1]
    if twice:
        raise refused(f"{MANIFEST} lists {twice[0]} twice.")
    return manifest


def _read(archive: zipfile.ZipFile, info: zipfile.ZipInfo) -> bytes:
    """A file, never more of it than it may have, whatever it says of its size."""
    try:
        with archive.open(info) as source:
            data = source.read(LARGEST_FILE_BYTES + 1)
    except DAMAGED:
        raise refused(f"{info.filename} is damaged.") from None
    if len(data) > LARGEST_FILE_BYTES:
        limit = LARGEST_FILE_BYTES // 1_000_000
        raise refused(f"{info.filename} is larger than {limit} MB.", "No file of a kitchen is.")
    return data
