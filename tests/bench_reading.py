"""Whether words can freeze the reading: hostile lines of 2,000 letters against the same of 1,000, as a ratio.

A reading that goes once through its letters takes twice as long for twice as many; a pattern that tries again from
every letter takes four times, and is where a line could hold the kitchen up.
"""

from __future__ import annotations

import time
from collections.abc import Callable
from contextlib import suppress
from itertools import product

from tests.drafts import judged
from vadouvan.core.draft.typed import LONGEST_TEXT, Draft, LineInput, OccasionInput
from vadouvan.core.interpretation.line import portion_of
from vadouvan.core.parsing.cut_name import cut_named, cuts_meant, cuts_near
from vadouvan.core.parsing.headings import heading_of, is_deed, is_told_of_all
from vadouvan.core.parsing.several import taken_apart
from vadouvan.core.parsing.tidy import tidied
from vadouvan.data.tables import shipped_kitchen
from vadouvan.errors import InputError
from vadouvan.formats.any_file import read_any

KITCHEN = shipped_kitchen()
LETTERS, CUT_LETTERS, TRIES = 2000, 200, 3  # a line of meat is looked at up to 200 letters
TOLD_MS = 5.0  # what takes less is not told
SEEDS = (
    " ", "_", ".", "-", "(", "1 ", "1", "a ", "½", "1/", "or ", "(or ", "(1 tsp dried ", "1 tsp (about ", ", ", "; ",
    "and ", "1 kg ", "2 x ", "(2 kg) ", "bone ", "for 2 ", "juice of ", "zest ", "heaping 1 ", "1.", "a (",
    "chopped and ", "- 1 g, ", ": ", "about 1 ", "…", "to taste ", "x 4, ", "head on ", "1\n", "a\n1\n", "--\n", "A\n",
    "scored, ", "cut into ", "🧂 ", "\t", "(a) ", "%",
)  # fmt: skip
STARTS = ("1 kg ", "a")


def _line(text: str) -> object:
    return portion_of.__wrapped__(LineInput("1", text), KITCHEN.pantry)


READERS: tuple[tuple[str, Callable[[str], object], int], ...] = (
    ("a line", _line, LONGEST_TEXT),
    ("a line tidied", tidied, LETTERS),
    ("a line taken apart", taken_apart, LETTERS),
    ("a heading", lambda text: (heading_of(text), is_deed(text), is_told_of_all(text)), LETTERS),
    ("a cut", lambda text: (cut_named(text, KITCHEN.cuts), cuts_meant(text, KITCHEN.cuts)), CUT_LETTERS),
    ("a cut nearby", lambda text: cuts_near(text, KITCHEN.cuts), CUT_LETTERS),
    ("how many eat", lambda text: judged(Draft(occasion=OccasionInput(servings=text))), LETTERS),
    ("a pasted text", lambda text: read_any(text, KITCHEN), LETTERS),
    ("a longer one", lambda text: read_any(text, KITCHEN), 5 * LETTERS),
)


def took_ms(read: Callable[[str], object], text: str) -> float:
    """Shortest of a few tries [ms]; a refusal is an answer too."""
    tries = []
    for _ in range(TRIES):
        start = time.perf_counter()
        with suppress(InputError):  # refused in a sentence: that is what hostile words come to
            read(text)
        tries.append((time.perf_counter() - start) * 1000)
    return min(tries)


def print_reading() -> None:
    """The slowest text for each reader, and how much longer than half of it takes."""
    print("reading hostile words (twice the letters, so many times as long)")
    for name, read, most in READERS:
        found = []
        for start, seed in product(STARTS, SEEDS):
            text = (start + seed * most)[: most - 1] + "z"
            found.append((took_ms(read, text), seed, text))
        slowest_ms, seed, text = max(found)
        half_ms = took_ms(read, text[: most // 2] + "z")
        grows = f"{slowest_ms / half_ms:.1f} times" if slowest_ms > TOLD_MS else "too short to tell"
        print(f"  {name:18}: {slowest_ms:6.1f} ms for {most} letters of {seed!r}, {grows}")
