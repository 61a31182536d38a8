"""A pasted list: its lines, and whether it holds two mixes under headings or a gap."""

from __future__ import annotations

import re
from dataclasses import dataclass

from vadouvan.core.measures.numbers import leading_number

_HEADING = re.compile(r"^\s*(?:#+\s*)?(?:for\s+(?:the\s+)?)?(?P<title>[^\d½¼¾⅓⅔:]{2,40}?)\s*:?\s*$", re.IGNORECASE)
_STARTS_LIKE_A_HEADING = re.compile(r"^\s*(?:#|for\s+the\b)|:\s*$", re.IGNORECASE)
LEAST_LINES = 2


@dataclass(frozen=True)
class PastedMix:
    """One mix of a pasted text: its heading, if any, and its lines."""

    title: str
    lines: tuple[str, ...]


def mixes_in(text: str) -> list[PastedMix]:
    r"""The mixes of a pasted text: usually one; two or more when headings or gaps part them.

    A gap parts mixes only when both sides have an ingredient in common, as two full lists have.

    >>> [mix.title for mix in mixes_in("For the paste:\n2 tbsp miso\nFor the glaze:\n1 tbsp honey")]
    ['paste', 'glaze']
    """
    blocks = _blocks(text)
    if len(blocks) > 1 and not any(block.title for block in blocks) and not _repeat_one_another(blocks):
        return [PastedMix("", tuple(line for block in blocks for line in block.lines))]
    return blocks


def _blocks(text: str) -> list[PastedMix]:
    blocks: list[PastedMix] = []
    title = ""
    lines: list[str] = []

    def close() -> None:
        """End the block at hand."""
        nonlocal title, lines
        if lines:
            blocks.append(PastedMix(title, tuple(lines)))
        title, lines = "", []

    for raw in text.splitlines():
        line = raw.strip()
        heading = _heading(line)
        if not line:
            if len(lines) >= LEAST_LINES:
                close()
        elif heading is not None:
            close()
            title = heading
        else:
            lines.append(line)
    close()
    return blocks


def _heading(line: str) -> str | None:
    if not line or not _STARTS_LIKE_A_HEADING.search(line) or leading_number(line) is not None:
        return None
    match = _HEADING.match(line)
    return match["title"].strip() if match else None


def _repeat_one_another(blocks: list[PastedMix]) -> bool:
    names = [{_last_word(line) for line in block.lines} for block in blocks]
    return any(names[one] & names[other] for one in range(len(names)) for other in range(one))


def _last_word(line: str) -> str:
    words = re.findall(r"[^\W\d_]+", line.split(",", maxsplit=1)[0].lower())
    return words[-1] if words else line
